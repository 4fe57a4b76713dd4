import Link from '@/ui/shell/link';
import { EmptyState } from '@/ui/feedback/empty-state';
import { formatLocalTime } from '@/ui/format';
import { Cards, LinkCard } from '@/ui/shell/card';
import { LinkButton } from '@/ui/shell/link-button';
import { ListFrame } from '@/ui/shell/list-frame';
import { Page, Part } from '@/ui/shell/page';
import { NewPlan } from './new-plan';
import { OpenFile } from './open-file';
import { setLabelOf } from '@/core/draft/labels';
import { PutAsideButton } from './put-aside-button';
import type { loadPlans } from './queries';

const PATH = '/plan';
const ORDERS = [
  { value: 'changed', label: 'last worked on' },
  { value: 'ready', label: 'ready first' },
  { value: 'head', label: 'by head' },
  { value: 'title', label: 'by name' },
] as const;

const NOTHING = {
  open: 'No set is planned.',
  aside: 'Nothing is put aside.',
  done: 'No plan was begun yet.',
} as const;

/** Plans a page at a time: those ahead, those put aside, those begun; and the heads a new one can be made for. */
export function PlansPage({ plans, counts, heads, asked, clock }: Awaited<ReturnType<typeof loadPlans>>) {
  const isEmpty = counts.open + counts.aside + counts.done === 0;
  return (
    <Page
      title="Plan"
      lead="Sets still ahead. Each keeps itself while you work on it."
      action={
        <LinkButton href="/plan/guide" variant="outlined">
          Set guide
        </LinkButton>
      }
    >
      {isEmpty ? (
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
        <ListFrame
          path={PATH}
          what="a head, a name, a technique"
          asked={asked}
          orders={ORDERS}
          tabs={[
            { value: 'open', label: 'Ahead', count: counts.open },
            { value: 'aside', label: 'Put aside', count: counts.aside },
            { value: 'done', label: 'Begun', count: counts.done },
          ]}
          page={plans.page}
          total={plans.total}
          noMatch="No plan here matches"
          nothing={NOTHING[asked.list]}
        >
          <Cards>
            {plans.rows.map((plan) => (
              <LinkCard
                level={2}
                key={plan.id}
                href={`/plan/${plan.id}`}
                title={plan.title}
                figure={plan.status === 'chosen' ? <b>booked</b> : undefined}
              >
                <p>
                  {plan.headName}, {setLabelOf(plan.set)}
                </p>
                <p>{plan.wearBy ? `ready by ${formatLocalTime(plan.wearBy, clock)}` : 'no time set'}</p>
                {plan.status === 'aside' && <PutAsideButton id={plan.id} isAside title={plan.title} />}
              </LinkCard>
            ))}
          </Cards>
        </ListFrame>
      )}
      {heads.length > 0 && (
        <Part title="A new plan">
          <NewPlan heads={heads} />
          <OpenFile heads={heads} />
        </Part>
      )}
    </Page>
  );
}
