import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { loadSetView } from '@/places/sets/queries';
import { WearDesk } from '@/places/wear/wear-desk';

export async function generateMetadata({
  params,
}: {
  params: Promise<{ setId: string }>;
}): Promise<Metadata> {
  const loaded = await loadSetView((await params).setId);
  return { title: loaded ? `Wear of ${loaded.set.headName}, ${loaded.set.title}` : 'Not here' };
}

export default async function Page({ params }: { params: Promise<{ setId: string }> }) {
  const loaded = await loadSetView((await params).setId);
  if (!loaded) notFound();
  return <WearDesk {...loaded} />;
}
