import type { Metadata } from 'next';
import { loadSets } from '@/places/sets/queries';
import { SetsPage } from '@/places/sets/sets-page';
import type { SearchParams } from '@/ui/shell/list-asked';

export const metadata: Metadata = { title: 'Sets' };

export default async function Page({ searchParams }: { searchParams: SearchParams }) {
  return <SetsPage {...await loadSets(await searchParams)} />;
}
