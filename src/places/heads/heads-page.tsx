import { ZoneThumb, ZoneThumbShapes } from '@/ui/crown-map/zone-thumb';
import { EmptyState } from '@/ui/feedback/empty-state';
import { Cards, LinkCard } from '@/ui/shell/card';
import { ListFrame } from '@/ui/shell/list-frame';
import { LinkButton } from '@/ui/shell/link-button';
import { Page } from '@/ui/shell/page';
import { LengthRange } from './length-range';
import headStyles from './head-page.module.css';
import type { loadHeads } from './queries';

const PATH = '/heads';
const ORDERS = [
  { value: 'name', label: 'by name' },
  { value: 'set', label: 'last set first' },
  { value: 'measured', label: 'longest not measured' },
  { value: 'new', label: 'newest first' },
] as const;

/** Heads, a page at a time, and the way to a new one. */
export function HeadsPage({ heads, counts, asked }: Awaited<ReturnType<typeof loadHeads>>) {
  const add = (
    <span className={headStyles.actions}>
      <LinkButton href="/heads/new" variant="outlined">
        New head
      </LinkButton>
      <LinkButton href="/heads/measure" variant="contained">
        Look and measure
      </LinkButton>
    </span>
  );
  const isEmpty = counts.present + counts.archived === 0;
  return (
    <Page title="Heads" lead="Who you set, and how their hair is." action={!isEmpty && add}>
      {isEmpty ? (
        <EmptyState
          title="No heads yet"
          text="Measure one: six lengths, the coil and the strand. Two minutes with a tape, and every plan starts from it."
          action={add}
        />
      ) : (
        <ListFrame
          path={PATH}
          what="a name, a word, a caution"
          asked={asked}
          orders={ORDERS}
          tabs={[
            { value: 'present', label: 'Heads', count: counts.present },
            { value: 'archived', label: 'Put away', count: counts.archived },
          ]}
          page={heads.page}
          total={heads.total}
          noMatch="Nobody here matches"
          nothing="Nobody is in this list."
        >
          <ZoneThumbShapes />
          <Cards>
            {heads.rows.map((head) => (
              <LinkCard
                level={2}
                key={head.id}
                href={`/heads/${head.id}`}
                title={head.name}
                figure={<ZoneThumb skin={head.skinTone} hair={head.hairTone} />}
              >
                <p>{head.description}</p>
                <LengthRange lengthCm={head.measurement.head.stretchedLengthCm} />
                {head.allergies && <p>Mind: {head.allergies}</p>}
              </LinkCard>
            ))}
          </Cards>
        </ListFrame>
      )}
    </Page>
  );
}
