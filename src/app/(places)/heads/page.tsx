import type { Metadata } from 'next';
import { HeadsPage } from '@/places/heads/heads-page';
import { loadHeads } from '@/places/heads/queries';
import type { SearchParams } from '@/ui/shell/list-asked';

export const metadata: Metadata = { title: 'Heads' };

export default async function Page({ searchParams }: { searchParams: SearchParams }) {
  return <HeadsPage {...await loadHeads(await searchParams)} />;
}
