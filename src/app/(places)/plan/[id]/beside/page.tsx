import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { DraftsBeside } from '@/places/plan/beside/drafts-beside';
import { loadBeside } from '@/places/plan/queries';

export const metadata: Metadata = { title: 'Drafts beside each other' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const loaded = await loadBeside((await params).id);
  if (!loaded) notFound();
  return <DraftsBeside {...loaded} />;
}
