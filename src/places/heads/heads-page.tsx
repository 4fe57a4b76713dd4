import { drawZones } from '@/core/parting/drawn-layout';
import { HeadThumb } from '@/ui/crown-map/head-thumb';
import { EmptyState } from '@/ui/feedback/empty-state';
import { Cards, LinkCard } from '@/ui/shell/card';
import { Page } from '@/ui/shell/page';
import { LengthRange } from './length-range';
import type { loadHeads } from './queries';
import { LinkButton } from '@/ui/shell/link-button';

const ZONE_MAP = drawZones();

/** Every head, and the way to a new one. */
export function HeadsPage({ heads }: Awaited<ReturnType<typeof loadHeads>>) {
  const add = (
    <LinkButton href="/heads/new" variant="contained">
      New head
    </LinkButton>
  );
  return (
    <Page title="Heads" lead="Who you set, and how their hair is." action={heads.length > 0 && add}>
      {heads.length === 0 ? (
        <EmptyState
          title="No heads yet"
          text="Measure one: six lengths, the coil and the strand. Two minutes with a tape, and every plan starts from it."
          action={add}
        />
      ) : (
        <Cards>
          {heads.map((head) => (
            <LinkCard
              level={2}
              key={head.id}
              href={`/heads/${head.id}`}
              title={head.name}
              figure={<HeadThumb drawn={ZONE_MAP} skin={head.skinTone} hair={head.hairTone} />}
            >
              <p>{head.description}</p>
              <LengthRange lengthCm={head.measurement.head.stretchedLengthCm} />
              {head.allergies && <p>Mind: {head.allergies}</p>}
            </LinkCard>
          ))}
        </Cards>
      )}
    </Page>
  );
}
