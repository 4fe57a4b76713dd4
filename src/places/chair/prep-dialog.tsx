'use client';
import { prepName } from '@/core/coefficients/prep-steps';
import type { PrepDone } from '@/core/run/run-state';
import { MINUTE_MS } from '@/core/units/time';
import { formatMinutes } from '@/ui/format';
import type { ChairViewProps } from './chair-set';
import { stepMin } from './prep-words';
import { ChairDialog } from './chair-dialog';
import styles from './chair.module.css';

/** How a step stands, in words: planned, running, done in so many minutes, left out. */
function stepWords(planned: number, done: PrepDone | undefined, nowMs: number): string {
  if (!done) return `planned ${formatMinutes(planned)}`;
  if (done.isSkipped) return 'left out';
  if (done.doneAtMs === null)
    return `${Math.max(0, Math.floor((nowMs - (done.begunAtMs ?? nowMs)) / MINUTE_MS))} of ${formatMinutes(planned)}`;
  const took = stepMin(done);
  return took === null ? 'done' : `done in ${formatMinutes(took)}, planned ${formatMinutes(planned)}`;
}

/** The steps before the set, each begun, done or left out by one touch. */
export function PrepDialog({
  set,
  log: { state, record },
  nowMs,
  onClose,
}: Pick<ChairViewProps, 'set' | 'log' | 'nowMs'> & { readonly onClose: () => void }) {
  const begin = (step: string) => {
    // One pair of hands: what ran is done when the next begins.
    for (const [other, { begunAtMs, doneAtMs }] of state.prep)
      if (other !== step && begunAtMs !== null && doneAtMs === null) record('step-done', { step: other });
    record('step-begun', { step });
  };
  return (
    <ChairDialog open title="Before the set" onClose={onClose} maxWidth="sm">
      <ol className={styles.prep}>
        {set.prep.map(({ step, minutes, handsOn, product }) => {
          const done = state.prep.get(step);
          const isRunning = done !== undefined && done.begunAtMs !== null && done.doneAtMs === null;
          const name = prepName(step);
          return (
            <li key={step} data-running={isRunning}>
              <span>
                <b>{[name, product].filter(Boolean).join(': ')}</b>
                <small>
                  {stepWords(minutes, done, nowMs)}
                  {!handsOn && !done && ', sits by itself'}
                </small>
              </span>
              {isRunning ? (
                <button
                  type="button"
                  aria-label={`${name}: done`}
                  onClick={() => record('step-done', { step })}
                >
                  Done
                </button>
              ) : (
                <button type="button" aria-label={`${name}: begin`} onClick={() => begin(step)}>
                  {done && !done.isSkipped ? 'Again' : 'Begin'}
                </button>
              )}
              <button
                type="button"
                aria-label={`${name}: leave out`}
                disabled={done !== undefined}
                onClick={() => record('step-skipped', { step })}
              >
                Leave out
              </button>
            </li>
          );
        })}
      </ol>
    </ChairDialog>
  );
}
