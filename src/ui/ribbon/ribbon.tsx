import type { ScheduleBlock } from '@/core/schedule/backward';
import type { Spread } from '@/core/stats/spread';
import { dryingMethods, type DryingMethodId } from '@/core/drying-methods';
import { formatClock, formatDay, formatHours, formatMinutes, formatWeekday } from '../format';
import { chanceStillGood } from './still-good';
import { ReadyPin } from './ready-pin';
import styles from './ribbon.module.css';

export interface RibbonProps {
  readonly blocks: readonly ScheduleBlock[];
  readonly readyMs: number;
  readonly days: Spread;
  readonly timeZone: string;
  /** "18 twists". */
  readonly setLabel: string;
  readonly nowMs?: number;
  /** Days really worn, to lay over the forecast. */
  readonly worn?: { readonly lastDay: number };
  /** Moves the time to be ready; where it is left out the pin stands fast. */
  readonly onMovePin?: (readyMs: number) => void;
  /** Whether what is drawn is laid out for where the pin was moved last. */
  readonly isSettled?: boolean;
}

const DAY_MS = 86_400_000;
const MOST_DAYS = 10;

function blockLabel(block: ScheduleBlock, setLabel: string): string {
  switch (block.step) {
    case 'prep':
      return 'Wash and prep';
    case 'install':
      return `Set ${setLabel}`;
    case 'dry':
      return `Dry ${dryingMethods[block.method as DryingMethodId]?.phrase ?? ''}`.trim();
    case 'takedown':
      return 'Take down';
    case 'separate':
      return 'Separate';
  }
}

const minutes = (block: ScheduleBlock) => (block.endMs - block.startMs) / 60_000;
const lasts = (block: ScheduleBlock) =>
  minutes(block) >= 100 ? formatHours(minutes(block) / 60) : formatMinutes(minutes(block));

/** One set as a line of time, from prep to the days it is worn. */
export function Ribbon({
  blocks,
  readyMs,
  days,
  timeZone,
  setLabel,
  nowMs,
  worn,
  onMovePin,
  isSettled = true,
}: RibbonProps) {
  const dayCount = Math.min(MOST_DAYS, Math.max(1, Math.round(days.p90), worn?.lastDay ?? 0));
  const dayOfBlock = (block: ScheduleBlock) => formatDay(block.startMs, timeZone);
  return (
    <div className={styles.scroller} tabIndex={0} role="region" aria-label="The set as a line of time">
      <ol className={styles.ribbon}>
        {blocks.map((block, i) => {
          const isNewDay = i === 0 || dayOfBlock(block) !== dayOfBlock(blocks[i - 1]!);
          const isNow = nowMs !== undefined && nowMs >= block.startMs && nowMs < block.endMs;
          const share = isNow ? (nowMs - block.startMs) / (block.endMs - block.startMs) : 0;
          return (
            <li
              key={`${block.step}-${block.startMs}`}
              className={styles.block}
              data-step={block.step}
              style={{ flexGrow: Math.max(3, Math.sqrt(minutes(block))) }}
            >
              <span className={styles.day}>{isNewDay ? dayOfBlock(block) : ''}</span>
              <span className={styles.label}>{blockLabel(block, setLabel)}</span>
              <span className={styles.bar}>
                {isNow && (
                  <span className={styles.now} style={{ left: `${100 * share}%` }} aria-label="now" />
                )}
              </span>
              <span className={styles.time}>
                {formatClock(block.startMs, timeZone)} · {lasts(block)}
              </span>
            </li>
          );
        })}
        <li className={styles.pin}>
          <ReadyPin readyMs={readyMs} isSettled={isSettled} timeZone={timeZone} onMove={onMovePin} />
        </li>
        {Array.from({ length: dayCount }, (_, day) => {
          const chance = chanceStillGood(days, day);
          const wasWorn = worn !== undefined && day <= worn.lastDay;
          return (
            <li
              key={day}
              className={styles.wornDay}
              data-worn={worn === undefined ? undefined : wasWorn}
              title={`${Math.round(chance * 100)} % still presentable`}
            >
              <span className={styles.day} />
              <span className={styles.label}>{formatWeekday(readyMs + day * DAY_MS, timeZone)}</span>
              <span className={styles.bar} style={{ height: `${10 + 26 * chance}px` }} />
              <span className={styles.time}>{day === 0 ? 'day 0' : day}</span>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
