'use client';
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { pooling } from '@/core/coefficients/evidence';
import type { Clock } from '@/core/formats/display';
import { plural } from '@/core/words/words';
import { NumberField } from '@/ui/fields/number-field';
import { formatDay } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { startLearning, type RunningFit } from '@/workers/client';
import { keepFitted, keepNoticeable, setsToFit } from './actions';
import type { LoadedFindings } from './queries';
import styles from './findings-page.module.css';

/** How much heads and sets differ in this studio: by its own log where there is enough, worked out again on demand. */
export function LearnAgain({
  fitted,
  setCount,
  noticeable,
  clock,
}: {
  fitted: LoadedFindings['fitted'];
  setCount: number;
  noticeable: number;
  clock: Clock;
}) {
  const router = useRouter();
  const { run, isBusy, problem } = useAction();
  const [share, setShare] = useState<number | null>(null);
  const running = useRef<RunningFit | null>(null);
  useEffect(() => () => running.current?.stop(), []);
  const missing = pooling.value.fewestSets - setCount;
  const begin = () =>
    run(
      () => setsToFit({}),
      ({ sets }) => {
        setShare(0);
        const fit = startLearning(sets, setShare);
        running.current = fit;
        void fit.done.then((spreads) => {
          setShare(null);
          void run(
            () => keepFitted({ fitted: spreads, sets: sets.length }),
            () => router.refresh(),
          );
        });
      },
    );
  const stop = () => {
    running.current?.stop();
    setShare(null);
  };
  return (
    <section className={styles.again} aria-labelledby="again-title">
      <h2 id="again-title">How sure to be</h2>
      <p>
        {fitted.atMs !== null
          ? `How much heads and sets differ here is taken from your own ${plural(fitted.sets, 'set')}, worked out ${formatDay(fitted.atMs, clock)}.`
          : missing > 0
            ? `How much heads and sets differ is the trade’s figure until there are ${plural(missing, 'more set')}.`
            : 'How much heads and sets differ is still the trade’s figure; your own log is enough to say.'}
      </p>
      {missing <= 0 &&
        (share === null ? (
          <Button variant="outlined" size="small" disabled={isBusy} onClick={begin}>
            Work it out from our log
          </Button>
        ) : (
          <span className={styles.working} role="status">
            <progress max={1} value={share} aria-label="Working it out" />
            <Button size="small" onClick={stop}>
              Stop
            </Button>
          </span>
        ))}
      <div className={styles.noticeable}>
        <NumberField
          label="Least difference you notice between halves"
          unit="points"
          value={noticeable}
          low={0.5}
          high={2}
          step={0.5}
          onCommit={(points) =>
            void run(
              () => keepNoticeable({ points }),
              () => router.refresh(),
            )
          }
        />
      </div>
      {problem}
    </section>
  );
}
