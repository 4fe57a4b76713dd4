import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { SetPage } from '@/places/sets/set-page';
import { loadWear } from '@/places/wear/queries';

export const metadata: Metadata = { title: 'Set' };

export default async function Page({ params }: { params: Promise<{ setId: string }> }) {
  const loaded = await loadWear((await params).setId);
  if (!loaded) notFound();
  return <SetPage {...loaded} />;
}
