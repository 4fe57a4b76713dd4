import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { HeadPage } from '@/places/heads/head-page';
import { loadHead } from '@/places/heads/queries';

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const loaded = await loadHead((await params).id);
  return { title: loaded ? loaded.head.name : 'Not here' };
}

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const loaded = await loadHead((await params).id);
  if (!loaded) notFound();
  return <HeadPage {...loaded} />;
}
