import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { WhyPage } from '@/places/sets/after/why-page';
import { loadWhy } from '@/places/sets/after/queries';

type Params = { params: Promise<{ setId: string }> };

export async function generateMetadata({ params }: Params): Promise<Metadata> {
  const loaded = await loadWhy((await params).setId);
  return { title: loaded ? `What went wrong, ${loaded.set.headName}` : 'Not here' };
}

export default async function Page({ params }: Params) {
  const loaded = await loadWhy((await params).setId);
  if (!loaded) notFound();
  return <WhyPage {...loaded} />;
}
