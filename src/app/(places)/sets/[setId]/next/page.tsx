import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { NextPage } from '@/places/sets/after/next-page';
import { loadNext } from '@/places/sets/after/queries';

type Params = { params: Promise<{ setId: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  const loaded = await loadNext((await params).setId);
  return { title: loaded ? `Next time, ${loaded.set.headName}` : 'Not here' };
}

export default async function Page({ params }: Params) {
  const loaded = await loadNext((await params).setId);
  if (!loaded) notFound();
  return <NextPage {...loaded} />;
}
