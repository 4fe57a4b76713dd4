import type { Metadata } from 'next';
import { loadImports } from '@/places/tables/queries';
import { TablesPage } from '@/places/tables/tables-page';
import { loadStudio } from '@/places/studio/queries';

export const metadata: Metadata = { title: 'Tables' };
export const dynamic = 'force-dynamic';

export default async function Page() {
  const { clock } = await loadStudio();
  return <TablesPage imports={await loadImports()} clock={clock} />;
}
