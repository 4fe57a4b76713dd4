import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { HeadForm } from '@/places/heads/head-form';
import { formValuesOf } from '@/places/heads/head-form-values';
import { loadHead } from '@/places/heads/queries';
import { Page as Sheet } from '@/ui/shell/page';

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const loaded = await loadHead((await params).id);
  return { title: loaded ? `Measure ${loaded.head.name}` : 'Not here' };
}

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const loaded = await loadHead((await params).id);
  if (!loaded) notFound();
  const { head } = loaded;
  return (
    <Sheet title={head.name} lead="New measurements are kept beside the old ones; past sets keep theirs.">
      <HeadForm id={head.id} revision={head.revision} values={formValuesOf(head)} />
    </Sheet>
  );
}
