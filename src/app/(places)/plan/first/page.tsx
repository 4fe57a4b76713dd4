import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { FirstDraft } from '@/places/plan/first/first-draft';
import { formOf } from '@/places/plan/first/wish-address';
import { loadFirst } from '@/places/plan/queries';
import { nextMorning } from '@/places/plan/usual-plan';
import type { SearchParams } from '@/ui/shell/list-asked';

const headOf = async (searchParams: SearchParams) => {
  const { head } = await searchParams;
  return typeof head === 'string' ? loadFirst(head) : null;
};

export async function generateMetadata({ searchParams }: { searchParams: SearchParams }): Promise<Metadata> {
  const loaded = await headOf(searchParams);
  return { title: loaded ? `First draft, ${loaded.head.name}` : 'Not here' };
}

export default async function Page({ searchParams }: { searchParams: SearchParams }) {
  const loaded = await headOf(searchParams);
  if (!loaded) notFound();
  const { head, past, known, products, tools, dryers, hand, clock, nowMs } = loaded;
  const { id, name, description, skinTone, hairTone } = head;
  return (
    <FirstDraft
      key={id}
      head={{ id, name, description, skinTone, hairTone }}
      means={{
        head: head.measurement.head,
        allergies: head.allergies,
        schools: head.schools,
        past,
        products,
        tools,
        dryers,
        hand,
        timeZone: clock.timeZone,
        known,
      }}
      form={formOf(await searchParams, nextMorning(nowMs, clock.timeZone), head.likes)}
      clock={clock}
      nowMs={nowMs}
    />
  );
}
