import Link from '@/ui/shell/link';
import { EmptyState } from '@/ui/feedback/empty-state';
import { formatDay } from '@/ui/format';
import { ListFrame } from '@/ui/shell/list-frame';
import { LinkButton } from '@/ui/shell/link-button';
import { Page } from '@/ui/shell/page';
import { setLabelOf } from '@/core/draft/labels';
import type { loadSets } from './queries';
import { stageWords } from './set-stage';
import styles from './sets-page.module.css';

const PATH = '/sets';
const ORDERS = [
  { value: 'newest', label: 'newest first' },
  { value: 'oldest', label: 'oldest first' },
  { value: 'head', label: 'by name' },
  { value: 'lasted', label: 'lasted longest' },
] as const;

/** Every set, past and present, a page at a time. */
export function SetsPage({ sets, counts, asked, clock }: Awaited<ReturnType<typeof loadSets>>) {
  return (
    <Page
      title="Sets"
      lead="Every set, past and present."
      action={
        <LinkButton href="/sets/new" variant="outlined">
          Write down a set done elsewhere
        </LinkButton>
      }
    >
      {counts.all + counts.cancelled === 0 ? (
        <EmptyState
          title="No set yet"
          text="A set stands here from the moment its plan is taken to the chair."
          action={<Link href="/plan">Go to the plans</Link>}
        />
      ) : (
        <ListFrame
          path={PATH}
          what="a head, a name, a technique"
          asked={asked}
          orders={ORDERS}
          tabs={[
            { value: 'all', label: 'All', count: counts.all },
            { value: 'chair', label: 'In the chair', count: counts.chair },
            { value: 'worn', label: 'Being worn', count: counts.worn },
            { value: 'ended', label: 'Over', count: counts.ended },
            { value: 'cancelled', label: 'Cancelled', count: counts.cancelled },
          ]}
          page={sets.page}
          total={sets.total}
          noMatch="No set here matches"
          nothing="No set stands here."
        >
          <table className={styles.sets}>
            <thead>
              <tr>
                <th scope="col">Begun</th>
                <th scope="col">Head</th>
                <th scope="col">What</th>
                <th scope="col">Forecast</th>
                <th scope="col">So far</th>
              </tr>
            </thead>
            <tbody>
              {sets.rows.map((set) => (
                <tr key={set.id}>
                  <td>{formatDay(set.startedAtMs, clock)}</td>
                  <td>
                    <Link href={`/heads/${set.headId}`}>{set.headName}</Link>
                  </td>
                  <td>
                    <Link href={`/sets/${set.id}`}>{setLabelOf(set.set)}</Link>
                    <small>{set.title}</small>
                  </td>
                  <td>
                    {set.daysPresentable &&
                      `${Math.round(set.daysPresentable.p10)} to ${Math.round(set.daysPresentable.p90)} days`}
                  </td>
                  <td>
                    {stageWords(set)}
                    {set.isEnteredLater && <small>entered later</small>}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </ListFrame>
      )}
    </Page>
  );
}
