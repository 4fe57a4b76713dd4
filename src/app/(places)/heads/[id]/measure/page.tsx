import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { formValuesOf } from '@/places/heads/head-form-values';
import { Measure } from '@/places/heads/measure/measure';
import { loadHead } from '@/places/heads/queries';
import type { SearchParams } from '@/ui/shell/list-asked';

interface Props {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: SearchParams;
}

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const loaded = await loadHead((await params).id);
  return { title: loaded ? `Look and measure, ${loaded.head.name}` : 'Not here' };
}

export default async function Page({ params, searchParams }: Props) {
  const loaded = await loadHead((await params).id);
  if (!loaded) notFound();
  const { head } = loaded;
  const { at } = await searchParams;
  return (
    <Measure
      key={head.id}
      id={head.id}
      revision={head.revision}
      values={formValuesOf(head)}
      at={typeof at === 'string' ? at : null}
    />
  );
}
