import Link from 'next/link';
import { EmptyState } from '@/ui/feedback/empty-state';
import { formatMoment, formatWhen } from '@/ui/format';
import { Cards, LinkCard } from '@/ui/shell/card';
import { Page } from '@/ui/shell/page';
import { setLabelOf } from '@/core/draft/labels';
import type { loadChairs } from './queries';

/** Sets in the chair or drying. */
export function ChairsPage({ sets, clock, nowMs }: Awaited<ReturnType<typeof loadChairs>>) {
  return (
    <Page title="Chair" lead="Sets going in, and sets drying.">
      {sets.length === 0 ? (
        <EmptyState
          title="Nobody is in the chair"
          text="Open a plan and take it to the chair: the set is tallied there, section by section, then watched until it is dry."
          action={<Link href="/plan">Go to the plans</Link>}
        />
      ) : (
        <Cards>
          {sets.map((set) => (
            <LinkCard
              level={2}
              key={set.id}
              href={`/chair/${set.id}`}
              title={set.headName}
              tone={set.installedAtMs ? 'plain' : 'now'}
            >
              <p>{setLabelOf(set.set)}</p>
              <p>
                {set.installedAtMs === null
                  ? `being set since ${formatWhen(set.startedAtMs, clock, nowMs)}`
                  : `drying since ${formatMoment(set.installedAtMs, clock)}`}
              </p>
            </LinkCard>
          ))}
        </Cards>
      )}
    </Page>
  );
}
