import type { Metadata } from 'next';
import { loadToday } from '@/places/today/queries';
import { TodayPage } from '@/places/today/today-page';

export const metadata: Metadata = { title: 'Today' };

export default async function Page() {
  return <TodayPage {...await loadToday()} />;
}
