import type { Metadata } from 'next';
import { FindingsPage } from '@/places/findings/findings-page';
import { loadFindings } from '@/places/findings/queries';
import type { SearchParams } from '@/ui/shell/list-asked';

export const metadata: Metadata = { title: 'Findings' };

export default async function Page({ searchParams }: { searchParams: SearchParams }) {
  const { head } = await searchParams;
  return <FindingsPage {...await loadFindings(typeof head === 'string' && head !== '' ? head : null)} />;
}
