import type { Metadata } from 'next';
import { SetGuide } from '@/places/plan/guide/set-guide';
import { loadGuide } from '@/places/plan/queries';

export const metadata: Metadata = { title: 'Set guide' };

export default async function Page() {
  return <SetGuide {...await loadGuide()} />;
}
