import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ChairDesk } from '@/places/chair/chair-desk';
import { chairSetOf } from '@/places/chair/chair-set-of';
import { loadChair } from '@/places/chair/queries';

export async function generateMetadata({
  params,
}: {
  params: Promise<{ setId: string }>;
}): Promise<Metadata> {
  const loaded = await loadChair((await params).setId);
  return { title: loaded ? `${loaded.set.headName} at the chair` : 'Not here' };
}

export default async function Page({ params }: { params: Promise<{ setId: string }> }) {
  const loaded = await loadChair((await params).setId);
  if (!loaded) notFound();
  const { set, view, drawn, clock, nowMs } = loaded;
  return (
    <main>
      <ChairDesk
        key={set.id}
        set={chairSetOf(loaded)}
        view={view}
        drawn={drawn}
        clock={clock}
        nowMs={nowMs}
      />
    </main>
  );
}
