import type { Metadata } from 'next';
import { ChairsPage } from '@/places/chair/chairs-page';
import { loadChairs } from '@/places/chair/queries';

export const metadata: Metadata = { title: 'Chair' };

export default async function Page() {
  return <ChairsPage {...await loadChairs()} />;
}
