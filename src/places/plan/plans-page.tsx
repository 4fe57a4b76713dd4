import Link from 'next/link';
import { EmptyState } from '@/ui/feedback/empty-state';
import { formatLocalTime } from '@/ui/format';
import { Cards, LinkCard } from '@/ui/shell/card';
import { Page, Part } from '@/ui/shell/page';
import { OpenFile } from './open-file';
import { NewPlanButton } from './new-plan-button';
import { wholeSetLabel } from './plan-content';
import styles from './plans-page.module.css';
import type { loadPlans } from './queries';

type Loaded = Awaited<ReturnType<typeof loadPlans>>;

/** Plans still ahead, and the heads a new one can be made for. */
export function PlansPage({ plans, heads }: Loaded) {
  return (
    <Page title="Plan" lead="Sets still ahead. Each keeps itself while you work on it.">
      {plans.length === 0 ? (
        <EmptyState
          title="No set is planned"
          text={
            heads.length === 0
              ? 'Measure a head first; planning starts from it.'
              : 'Choose a head below to plan its next set.'
          }
          action={heads.length === 0 ? <Link href="/heads/new">Measure a head</Link> : undefined}
        />
      ) : (
        <Cards>
          {plans.map((plan) => (
            <LinkCard level={2} key={plan.id} href={`/plan/${plan.id}`} title={plan.title}>
              <p>
                {plan.headName}, {wholeSetLabel(plan.brief.set)}
              </p>
              <p>{plan.brief.wearBy ? `ready by ${formatLocalTime(plan.brief.wearBy)}` : 'no time set'}</p>
            </LinkCard>
          ))}
        </Cards>
      )}
      {heads.length > 0 && (
        <Part title="A new plan for">
          <ul className={styles.heads}>
            {heads.map((head) => (
              <li key={head.id}>
                <span>
                  <b>{head.name}</b>, {head.description}
                </span>
                <NewPlanButton headId={head.id} label={`Plan a set for ${head.name}`} variant="outlined" />
              </li>
            ))}
          </ul>
          <OpenFile heads={heads.map(({ id, name }) => ({ id, name }))} />
        </Part>
      )}
    </Page>
  );
}
