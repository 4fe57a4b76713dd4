import type { Metadata } from 'next';
import { HeadsPage } from '@/places/heads/heads-page';
import { loadHeads } from '@/places/heads/queries';

export const metadata: Metadata = { title: 'Heads' };

export default async function Page() {
  return <HeadsPage {...await loadHeads()} />;
}
