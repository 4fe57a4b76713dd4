import type { Metadata } from 'next';
import { PlansPage } from '@/places/plan/plans-page';
import { loadPlans } from '@/places/plan/queries';

export const metadata: Metadata = { title: 'Plan' };

export default async function Page() {
  return <PlansPage {...await loadPlans()} />;
}
