import type { Metadata } from 'next';
import { MePage } from '@/places/people/sign-in/me-page';
import { loadMe } from '@/places/people/sign-in/queries';

export const metadata: Metadata = { title: 'You' };

export default async function Page() {
  return <MePage {...await loadMe()} />;
}
