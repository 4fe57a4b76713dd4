import type { Metadata } from 'next';
import { PlansPage } from '@/places/plan/plans-page';
import { loadPlans } from '@/places/plan/queries';
import type { SearchParams } from '@/ui/shell/list-asked';

export const metadata: Metadata = { title: 'Plan' };

export default async function Page({ searchParams }: { searchParams: SearchParams }) {
  return <PlansPage {...await loadPlans(await searchParams)} />;
}
