import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { loadWear } from '@/places/wear/queries';
import { WearDesk } from '@/places/wear/wear-desk';

export const metadata: Metadata = { title: 'Wear' };

export default async function Page({ params }: { params: Promise<{ setId: string }> }) {
  const loaded = await loadWear((await params).setId);
  if (!loaded) notFound();
  return <WearDesk {...loaded} />;
}
