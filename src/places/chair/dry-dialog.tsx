'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { dryingMethods, type DryingMethodId } from '@/core/drying-methods';
import { isHotAir } from '@/core/drying-methods/method';
import type { RateBelief } from '@/core/drying/rate-belief';
import type { MachineBy } from '@/core/plan/make-dry-by';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '@/core/units/time';
import { NumberField } from '@/ui/fields/number-field';
import { formatChance, formatMinutes, formatWhen } from '@/ui/format';
import { ChairDialog } from './chair-dialog';
import type { ChairViewProps } from './chair-set';
import { RoomPart } from './room-part';
import type { DryCourse } from './use-dry-course';
import styles from './chair.module.css';

const LONGER_MIN = 15;
/** Times that are asked for: the next full hours. */
const HOURS_AHEAD = 8;

/** The next full hours of the clock. */
const fullHours = (nowMs: number): number[] =>
  Array.from({ length: HOURS_AHEAD }, (_, i) => Math.ceil(nowMs / HOUR_MS) * HOUR_MS + i * HOUR_MS);

/** How it is dried: another way begun, stopped or given longer; and what would make it dry by a time. */
export function DryDialog({
  set,
  log,
  clock,
  nowMs,
  course,
  belief,
  open,
  onClose,
}: Pick<ChairViewProps, 'set' | 'log' | 'clock' | 'nowMs'> & {
  readonly course: DryCourse;
  readonly belief: RateBelief;
  readonly open: boolean;
  readonly onClose: () => void;
}) {
  const { running, next } = course;
  const [minutes, setMinutes] = useState<Readonly<Partial<Record<DryingMethodId, number>>>>({});
  const [answer, setAnswer] = useState<{ readonly byMs: number; readonly by: MachineBy | null } | null>(null);
  const when = (ms: number) => formatWhen(ms, clock, nowMs);
  const minutesOf = (id: DryingMethodId) => {
    const planned = next?.method === id ? (next.untilMs - next.fromMs) / MINUTE_MS : null;
    return minutes[id] ?? Math.round(planned ?? dryingMethods[id].usualHours * 60);
  };
  const begin = (step: DryingMethodId, forMin: number | null) => {
    log.record('dry-begun', { step, minutes: forMin });
    onClose();
  };
  const times = fullHours(nowMs).filter((ms) => ms - nowMs < DAY_MS);
  if (set.wearByMs !== null && set.wearByMs > nowMs) times.unshift(set.wearByMs);
  return (
    <ChairDialog open={open} title="How it dries" onClose={onClose} maxWidth="sm">
      {running && (
        <div className={styles.dryRunning}>
          <p>
            <b>{dryingMethods[running.method].label}</b> since {when(running.fromMs)}
            {running.dueMs !== null && `, until ${when(running.dueMs)}`}
          </p>
          <button type="button" onClick={() => log.record('dry-stopped')}>
            Stop
          </button>
          {running.dueMs !== null && (
            <button
              type="button"
              onClick={() =>
                begin(running.method, Math.round((running.dueMs! - nowMs) / MINUTE_MS) + LONGER_MIN)
              }
            >
              {LONGER_MIN} min more
            </button>
          )}
        </div>
      )}
      <ul className={styles.ways}>
        {set.waysToDry
          .filter((id) => id !== running?.method)
          .map((id) => {
            const method = dryingMethods[id];
            return (
              <li key={id}>
                <span>
                  <b>{method.label}</b>
                  {isHotAir(method) && (
                    <small>stop at once where it feels too hot; cool before touching</small>
                  )}
                </span>
                {method.isBlown && (
                  <NumberField
                    label={`${method.label}, minutes`}
                    short="minutes"
                    value={minutesOf(id)}
                    low={1}
                    high={600}
                    whole
                    width={96}
                    onCommit={(value) => setMinutes((before) => ({ ...before, [id]: value }))}
                  />
                )}
                <button
                  type="button"
                  aria-label={`${method.label}: begin`}
                  onClick={() => begin(id, method.isBlown ? minutesOf(id) : null)}
                >
                  Begin
                </button>
              </li>
            );
          })}
      </ul>
      <RoomPart set={set} log={log} nowMs={nowMs} />
      <h3>What would make it dry by …</h3>
      <p className={styles.byTimes}>
        {times.map((ms, i) => (
          <button
            key={ms}
            type="button"
            aria-pressed={answer?.byMs === ms}
            onClick={() => void course.dryBy(belief, ms).then((by) => setAnswer({ byMs: ms, by }))}
          >
            {when(ms)}
            {i === 0 && ms === set.wearByMs && <small>as planned</small>}
          </button>
        ))}
      </p>
      {answer && (
        <div className={styles.byAnswer} role="status">
          {answer.by === null ? (
            <p>There is too little time left for that.</p>
          ) : answer.by.chanceWithout >= answer.by.chance && answer.by.isEnough ? (
            <p>
              Nothing more is needed: {formatChance(answer.by.chanceWithout)} sure by {when(answer.byMs)}.
            </p>
          ) : (
            <>
              <p>
                <b>
                  {formatMinutes(answer.by.minutes)} {dryingMethods[answer.by.method].phrase} from now
                </b>
                {answer.by.isEnough
                  ? ` makes it ${formatChance(answer.by.chance)} sure by ${when(answer.byMs)}; `
                  : ` would still leave it at ${formatChance(answer.by.chance)} by ${when(answer.byMs)}; `}
                as it goes on now it is {formatChance(answer.by.chanceWithout)}.
              </p>
              <Button variant="contained" onClick={() => begin(answer.by!.method, answer.by!.minutes)}>
                Begin it
              </Button>
            </>
          )}
        </div>
      )}
    </ChairDialog>
  );
}
