import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { PlanDesk } from '@/places/plan/plan-desk';
import { loadPlan } from '@/places/plan/queries';

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const loaded = await loadPlan((await params).id);
  return { title: loaded ? `${loaded.plan.title}, ${loaded.head.name}` : 'Not here' };
}

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const loaded = await loadPlan((await params).id);
  if (!loaded) notFound();
  const { plan, head } = loaded;
  return (
    <PlanDesk
      key={plan.id}
      id={plan.id}
      content={{ title: plan.title, brief: plan.brief, layerProductIds: plan.layerProductIds }}
      revision={plan.revision}
      head={{
        id: head.id,
        name: head.name,
        description: head.description,
        allergies: head.allergies,
        skinTone: head.skinTone,
        hairTone: head.hairTone,
      }}
      schools={head.schools}
      isBooked={plan.status === 'chosen'}
      isAside={plan.status === 'aside'}
      setId={loaded.setId}
      hasNewerMeasurement={loaded.hasNewerMeasurement}
      past={loaded.past}
      products={loaded.products}
      tools={loaded.tools}
      dryers={loaded.dryers}
      reserved={loaded.reserved}
      currency={loaded.currency}
      handUnits={loaded.handUnits}
      clock={loaded.clock}
      first={loaded.first}
      nowMs={loaded.nowMs}
    />
  );
}
