import Link from '@/ui/shell/link';
import { DRY_ENOUGH } from '@/core/plan/drying-now';
import { setLabelOf } from '@/core/draft/labels';
import { EmptyState } from '@/ui/feedback/empty-state';
import { formatAboutWhen, formatChance, formatEnds, formatMoment, formatWhen } from '@/ui/format';
import { Cards, LinkCard } from '@/ui/shell/card';
import { FreshEveryMinute } from '@/ui/shell/fresh-every-minute';
import { Page, Part } from '@/ui/shell/page';
import { DryingThumb } from '../today/drying-thumb';
import { nextWords } from './next-words';
import type { loadChairs } from './queries';
import styles from './chairs-page.module.css';

/** Sets going in, and every drying head on one screen: what wants hands next on top. */
export function ChairsPage({ drying, others, clock, nowMs }: Awaited<ReturnType<typeof loadChairs>>) {
  return (
    <Page title="Chair" lead="Sets going in, and sets drying.">
      <FreshEveryMinute />
      {drying.length + others.length === 0 && (
        <EmptyState
          title="Nobody is in the chair"
          text="Open a plan and take it to the chair: the set is tallied there, section by section, then watched until it is dry."
          action={<Link href="/plan">Go to the plans</Link>}
        />
      )}
      {others.length > 0 && (
        <Part title="In the chair">
          <Cards>
            {others.map((set) => (
              <LinkCard
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
        </Part>
      )}
      {drying.length > 0 && (
        <Part title="Drying" note="what wants hands next stands first">
          <ol className={styles.watch}>
            {drying.map(({ set, drawn, chances, dryAtMs, isBeyond, feel, next }) => (
              <li key={set.id} data-due={next.atMs <= nowMs}>
                <Link href={`/chair/${set.id}`}>
                  <span className={styles.thumb} aria-hidden="true">
                    <DryingThumb
                      drawn={drawn}
                      zones={chances.zones}
                      skin={set.skinTone}
                      hair={set.hairTone}
                    />
                  </span>
                  <span>
                    <b>{set.headName}</b>
                    <small>{setLabelOf(set.set)}</small>
                  </span>
                  <span data-dry={chances.whole >= DRY_ENOUGH}>
                    <b>{formatChance(chances.whole)}</b>
                    <small>sure it is dry</small>
                  </span>
                  <span>
                    <b>{isBeyond ? 'not within ten days' : formatAboutWhen(dryAtMs.p50, clock, nowMs)}</b>
                    <small>
                      {isBeyond
                        ? 'dry it another way'
                        : `dry between ${formatEnds(dryAtMs.p10, dryAtMs.p90, clock)}`}
                    </small>
                  </span>
                  <strong>{nextWords(next, feel, clock, nowMs)}</strong>
                </Link>
              </li>
            ))}
          </ol>
        </Part>
      )}
    </Page>
  );
}
