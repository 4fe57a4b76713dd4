import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { MixForm } from '@/places/shelf/mix-form';
import { loadMix } from '@/places/shelf/queries';
import { Page as Sheet } from '@/ui/shell/page';

type Asked = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Asked): Promise<Metadata> {
  const { id } = await params;
  return { title: id === 'new' ? 'New mix' : ((await loadMix(id))?.mix?.name ?? 'Not here') };
}

export default async function Page({ params }: Asked) {
  const { id } = await params;
  const loaded = await loadMix(id === 'new' ? null : id);
  if (!loaded) notFound();
  return (
    <Sheet title={loaded.mix?.name ?? 'New mix'} lead="In parts by weight, from what is on the shelf.">
      <MixForm {...loaded} />
    </Sheet>
  );
}
