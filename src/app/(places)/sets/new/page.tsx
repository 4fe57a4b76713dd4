import type { Metadata } from 'next';
import { EnterSet } from '@/places/sets/enter-set';
import { loadEnterSet } from '@/places/sets/queries';
import { Page as Sheet } from '@/ui/shell/page';
import type { SearchParams } from '@/ui/shell/list-asked';

export const metadata: Metadata = { title: 'A set done elsewhere' };

export default async function Page({ searchParams }: { searchParams: SearchParams }) {
  const { head } = await searchParams;
  return (
    <Sheet
      title="A set done elsewhere"
      lead="Written down afterwards. It counts for how long it lasted, not for what nobody saw here."
    >
      <EnterSet {...await loadEnterSet()} headId={typeof head === 'string' ? head : null} />
    </Sheet>
  );
}
