import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { loadShown } from '@/places/studio/queries';
import { loadToday } from '@/places/today/queries';
import { TodayPage } from '@/places/today/today-page';

export const metadata: Metadata = { title: 'Today' };

export default async function Page() {
  // Who works at the chair only begins there.
  if ((await loadShown()).role === 'assistant') redirect('/chair');
  return <TodayPage {...await loadToday()} />;
}
