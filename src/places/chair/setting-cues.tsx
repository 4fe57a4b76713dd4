'use client';
import { dryingMethods } from '@/core/drying-methods';
import { QUADRANT_LABEL, QUADRANTS } from '@/core/parting/quadrant';
import type { WaitingHair } from '@/core/run/wetness';
import { MINUTE_MS } from '@/core/units/time';
import { capitalised } from '@/core/words/words';
import { formatClock, formatMinutes, formatWhen } from '@/ui/format';
import type { ChairViewProps } from './chair-set';
import styles from './chair.module.css';

/** Which quarters still wait, when not all do. */
const waitingWords = (waiting: readonly WaitingHair[]) =>
  waiting.length === QUADRANTS.length
    ? ''
    : `: ${waiting.map(({ quadrant }) => QUADRANT_LABEL[quadrant]).join(', ')}`;

/** What wants to be minded now, the most urgent first: a pause, hair that dries out, a hood that was planned, being late. */
export function SettingCues({
  log: { state, record },
  clock,
  nowMs,
  waiting,
  isPreparing,
  short,
  lateMin,
  finishMs,
  onRescue,
}: Pick<ChairViewProps, 'log' | 'clock' | 'nowMs'> & {
  readonly waiting: readonly WaitingHair[];
  readonly isPreparing: boolean;
  /** A product that will not reach. */
  readonly short: { readonly what: string; readonly todo: string } | null;
  /** How long it runs behind, min; null while it is in time. */
  readonly lateMin: number | null;
  /** When the last section will be in, at the pace so far. */
  readonly finishMs: number;
  readonly onRescue: () => void;
}) {
  const due = waiting.filter(({ dueMs }) => dueMs < nowMs);
  const { dryPlan } = state;
  const isBegun = dryPlan !== null && state.drying.some(({ method }) => method === dryPlan.method);
  return (
    <>
      {state.isPaused ? (
        <p className={styles.cue}>
          <b>Paused since {formatWhen(state.pausedSinceMs ?? nowMs, clock, nowMs)}.</b> The clock of the set
          stands still.
        </p>
      ) : (
        waiting.length > 0 &&
        !isPreparing && (
          <p className={styles.cue} data-late={due.length > 0}>
            <b>
              {due.length > 0
                ? `Mist the hair that waits now${waitingWords(due)}.`
                : `Mist the hair that waits before ${formatClock(waiting[0]!.dueMs, clock)}${waitingWords(waiting)}.`}
            </b>{' '}
            After that it is drier than it should be set.
          </p>
        )
      )}
      {short && (
        <p className={styles.cue} data-late="true">
          <b>{short.what}</b> {short.todo}
        </p>
      )}
      {dryPlan && !isBegun && (
        <div className={`${styles.cue} ${styles.cueRow}`} data-late={dryPlan.fromMs <= nowMs}>
          <b>
            {capitalised(dryingMethods[dryPlan.method].phrase)}{' '}
            {dryPlan.fromMs <= nowMs ? 'now' : `at ${formatWhen(dryPlan.fromMs, clock, nowMs)}`}, for{' '}
            {formatMinutes((dryPlan.untilMs - dryPlan.fromMs) / MINUTE_MS)}.
          </b>
          <span className={styles.cueButtons}>
            <button
              type="button"
              onClick={() =>
                record('dry-begun', {
                  step: dryPlan.method,
                  minutes: Math.round((dryPlan.untilMs - dryPlan.fromMs) / MINUTE_MS),
                })
              }
            >
              Begun
            </button>
            <button type="button" onClick={() => record('taken-back', { of: [dryPlan.id] })}>
              Take it back
            </button>
          </span>
        </div>
      )}
      {lateMin !== null && (
        <div className={`${styles.cue} ${styles.cueRow}`}>
          <b>
            About {formatMinutes(lateMin)} behind: finished about {formatWhen(finishMs, clock, nowMs)}.
          </b>
          <span className={styles.cueButtons}>
            <button type="button" onClick={onRescue}>
              What would help <kbd>R</kbd>
            </button>
          </span>
        </div>
      )}
    </>
  );
}
