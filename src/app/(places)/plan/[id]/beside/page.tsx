import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { DraftsBeside } from '@/places/plan/beside/drafts-beside';
import { loadBeside } from '@/places/plan/queries';
import type { SearchParams } from '@/ui/shell/list-asked';

interface Asked {
  readonly params: Promise<{ id: string }>;
  readonly searchParams: SearchParams;
}

/** The plan, and which drafts are to stand beside it. */
async function load({ params, searchParams }: Asked) {
  const beside = (await searchParams).with;
  return loadBeside((await params).id, typeof beside === 'string' ? beside : '');
}

export async function generateMetadata(asked: Asked): Promise<Metadata> {
  const loaded = await load(asked);
  return { title: loaded ? `Drafts for ${loaded.head.name} compared` : 'Not here' };
}

export default async function Page(asked: Asked) {
  const loaded = await load(asked);
  if (!loaded) notFound();
  return <DraftsBeside {...loaded} />;
}
