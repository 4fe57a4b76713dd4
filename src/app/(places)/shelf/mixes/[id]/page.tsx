import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { MixForm } from '@/places/shelf/mix-form';
import { loadMix } from '@/places/shelf/queries';
import { Page as Sheet } from '@/ui/shell/page';

export const metadata: Metadata = { title: 'Own mix' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const loaded = await loadMix(id === 'new' ? null : id);
  if (!loaded) notFound();
  return (
    <Sheet title={loaded.mix?.name ?? 'New mix'} lead="In parts by weight, from what is on the shelf.">
      <MixForm {...loaded} />
    </Sheet>
  );
}
