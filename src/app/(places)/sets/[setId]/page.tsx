import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { SetPage } from '@/places/sets/set-page';
import { loadSet } from '@/places/sets/queries';

export async function generateMetadata({
  params,
}: {
  params: Promise<{ setId: string }>;
}): Promise<Metadata> {
  const loaded = await loadSet((await params).setId);
  return { title: loaded ? `${loaded.set.headName}, ${loaded.set.title}` : 'Not here' };
}

export default async function Page({ params }: { params: Promise<{ setId: string }> }) {
  const loaded = await loadSet((await params).setId);
  if (!loaded) notFound();
  return <SetPage {...loaded} />;
}
