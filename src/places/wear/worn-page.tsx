import Link from 'next/link';
import { EmptyState } from '@/ui/feedback/empty-state';
import { formatDay } from '@/ui/format';
import { Cards, LinkCard } from '@/ui/shell/card';
import { Page } from '@/ui/shell/page';
import { wholeSetLabel } from '../plan/plan-content';
import type { loadWorn } from './queries';
import { wornDay } from './worn-day';

/** Styles being worn, each leading to tonight's entry. */
export function WornPage({ sets, timeZone, nowMs }: Awaited<ReturnType<typeof loadWorn>>) {
  return (
    <Page title="Wear" lead="Styles being worn. An entry a day shows what really lasts.">
      {sets.length === 0 ? (
        <EmptyState
          title="Nothing is being worn"
          text="A set comes here when it is taken down. Its first entry takes twenty seconds."
          action={<Link href="/chair">Go to the chair</Link>}
        />
      ) : (
        <Cards>
          {sets.map((set) => (
            <LinkCard
              level={2}
              key={set.id}
              href={`/wear/${set.id}`}
              title={set.headName}
              figure={
                <>
                  <strong>day {wornDay(set.takenDownAtMs ?? nowMs, nowMs, timeZone)}</strong>
                  of {Math.round(set.forecast.daysPresentable.p10)} to{' '}
                  {Math.round(set.forecast.daysPresentable.p90)}
                </>
              }
            >
              <p>{wholeSetLabel(set.brief.set)}</p>
              <p>taken down {formatDay(set.takenDownAtMs ?? nowMs, timeZone)}</p>
            </LinkCard>
          ))}
        </Cards>
      )}
    </Page>
  );
}
