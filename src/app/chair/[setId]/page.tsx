import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { ChairDesk } from '@/places/chair/chair-desk';
import { chairSetOf } from '@/places/chair/chair-set-of';
import { loadChair } from '@/places/chair/queries';

export const metadata: Metadata = { title: 'Chair' };

export default async function Page({ params }: { params: Promise<{ setId: string }> }) {
  const loaded = await loadChair((await params).setId);
  if (!loaded) notFound();
  const { set, view, drawn, timeZone, nowMs } = loaded;
  return (
    <main>
      <ChairDesk
        key={set.id}
        set={chairSetOf(set, view, nowMs)}
        view={view}
        drawn={drawn}
        timeZone={timeZone}
        nowMs={nowMs}
      />
    </main>
  );
}
