import Link from '@/ui/shell/link';
import { EmptyState } from '@/ui/feedback/empty-state';
import { formatDay } from '@/ui/format';
import { Cards, LinkCard } from '@/ui/shell/card';
import { Page } from '@/ui/shell/page';
import { setLabelOf } from '@/core/draft/labels';
import type { loadWorn } from './queries';
import { dayOfWear } from '@/core/wear/wear-day-number';

/** Styles being worn, each leading to tonight's entry. */
export function WornPage({ sets, clock, nowMs }: Awaited<ReturnType<typeof loadWorn>>) {
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
                  <strong>day {dayOfWear(set.takenDownAtMs ?? nowMs, nowMs, clock.timeZone)}</strong>
                  {set.daysPresentable &&
                    `of ${Math.round(set.daysPresentable.p10)} to ${Math.round(set.daysPresentable.p90)}`}
                </>
              }
            >
              <p>{setLabelOf(set.set)}</p>
              <p>taken down {formatDay(set.takenDownAtMs ?? nowMs, clock)}</p>
            </LinkCard>
          ))}
        </Cards>
      )}
    </Page>
  );
}
