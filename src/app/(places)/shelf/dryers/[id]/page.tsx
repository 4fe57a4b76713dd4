import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { DryerForm } from '@/places/shelf/dryer-form';
import { loadDryer } from '@/places/shelf/queries';
import { Page as Sheet } from '@/ui/shell/page';

type Asked = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Asked): Promise<Metadata> {
  const { id } = await params;
  if (id === 'new') return { title: 'New dryer' };
  return { title: (await loadDryer(id))?.name ?? 'Not here' };
}

export default async function Page({ params }: Asked) {
  const { id } = await params;
  const dryer = id === 'new' ? null : await loadDryer(id);
  if (id !== 'new' && !dryer) notFound();
  return (
    <Sheet title={dryer?.name ?? 'New dryer'}>
      <DryerForm dryer={dryer} />
    </Sheet>
  );
}
