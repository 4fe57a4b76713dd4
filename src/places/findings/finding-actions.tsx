'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import type { Clock } from '@/core/formats/display';
import { plural } from '@/core/words/words';
import { formatDay } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { planTrial, putRight } from './actions';
import type { LoadedFindings } from './queries';
import styles from './findings-page.module.css';

/** One touch to a planned half-head set. */
export function PlanTrial({
  headId,
  trialKey = null,
  products = null,
  label,
}: {
  headId: string;
  trialKey?: string | null;
  products?: readonly [string, string] | null;
  label: string;
}) {
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  return (
    <>
      <Button
        variant="outlined"
        size="small"
        disabled={isBusy}
        onClick={() =>
          run(
            () => planTrial({ headId, key: trialKey, products: products && [...products] }),
            ({ id }) => router.push(`/plan/${id}`),
          )
        }
      >
        {label}
      </Button>
      {problem}
    </>
  );
}

/** Puts a kind of forecast right by what came, or takes that back with one touch. */
export function PutRight({
  correction,
  isPossible,
  clock,
}: {
  correction: LoadedFindings['corrections'][number];
  isPossible: boolean;
  clock: Clock;
}) {
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  const { kind, kept, isOffered } = correction;
  if (!kept && !isOffered)
    return (
      <p className={styles.note}>
        These bands come from your own log already: there is nothing to put right.
      </p>
    );
  if (!kept && !isPossible)
    return <p className={styles.note}>From ten such forecasts on they can be put right by what came.</p>;
  const words =
    kept && 'width' in kept
      ? `Bands are drawn ${kept.width.toFixed(2)}× as wide as the model has them`
      : 'Chances are told as they came true';
  return (
    <p className={styles.right}>
      <span>
        {kept
          ? `${words}, since ${formatDay(kept.atMs, clock)}, from ${plural(kept.sets, 'forecast')}.`
          : 'New forecasts can be put right by what came of these.'}
      </span>
      <Button
        size="small"
        variant="outlined"
        disabled={isBusy}
        onClick={() =>
          run(
            () => putRight({ kind, isOn: kept === null }),
            () => router.refresh(),
          )
        }
      >
        {kept ? 'Back to the model’s own' : 'Put it right'}
      </Button>
      {problem}
    </p>
  );
}
