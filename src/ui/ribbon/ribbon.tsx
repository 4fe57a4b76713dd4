import type { Clock } from '@/core/formats/display';
import type { ScheduleBlock } from '@/core/schedule/backward';
import type { Spread } from '@/core/stats/spread';
import { formatChance, formatClock, formatDay, formatHours, formatMinutes, formatWeekday } from '../format';
import type { Sleep } from '@/core/schedule/sleep';
import { DAY_MS, MINUTE_MS } from '@/core/units/time';
import { BlockHold } from './block-hold';
import { blockLabel } from './block-label';
import { chanceStillGood } from './still-good';
import { ReadyPin } from './ready-pin';
import styles from './ribbon.module.css';

export interface RibbonProps {
  readonly blocks: readonly ScheduleBlock[];
  readonly readyMs: number;
  readonly days: Spread;
  readonly clock: Clock;
  /** "18 twists". */
  readonly setLabel: string;
  readonly nowMs?: number;
  /** Days really worn, to lay over the forecast. */
  readonly worn?: { readonly lastDay: number };
  /** Nights kept free of work. */
  readonly nights?: readonly Sleep[];
  /** Moves the beginning; where it is left out the blocks stand fast. */
  readonly onMoveStart?: (startMs: number) => void;
  /** Makes one drying step longer or shorter, by its place among those that were asked for. */
  readonly onStretch?: (step: number, byMinutes: number) => void;
  /** Moves the time to be ready; where it is left out the pin stands fast. */
  readonly onMovePin?: (readyMs: number) => void;
  /** Whether what is drawn is laid out for where the pin was moved last. */
  readonly isSettled?: boolean;
}

const MOST_DAYS = 10;

const minutes = (block: ScheduleBlock) => (block.endMs - block.startMs) / 60_000;
/** Where a night lies in a block, as shares of the block. */
function shareWithin(night: Sleep, { startMs, endMs }: ScheduleBlock): readonly [number, number] {
  const share = (ms: number) => Math.min(1, Math.max(0, (ms - startMs) / (endMs - startMs)));
  return [share(night.startMs), share(night.endMs)];
}

/** Keys of the blocks that outlive a move, so that the hand on a bar stays on it while the day is laid out anew. */
function keysOf(blocks: readonly ScheduleBlock[]): readonly string[] {
  const seen = new Map<string, number>();
  return blocks.map(({ step, part, asked, method }) => {
    const name = [step, part, asked ?? method].filter((word) => word !== undefined).join('-');
    const before = seen.get(name) ?? 0;
    seen.set(name, before + 1);
    return `${name}-${before}`;
  });
}

const lasts = (block: ScheduleBlock) =>
  minutes(block) >= 100 ? formatHours(minutes(block) / 60) : formatMinutes(minutes(block));

/** One set as a line of time, from prep to the days it is worn. */
export function Ribbon({
  blocks,
  readyMs,
  days,
  clock,
  setLabel,
  nowMs,
  worn,
  nights = [],
  onMoveStart,
  onStretch,
  onMovePin,
  isSettled = true,
}: RibbonProps) {
  const dayCount = Math.min(MOST_DAYS, Math.max(1, Math.round(days.p90), worn?.lastDay ?? 0));
  /** Work is moved with everything before the drying; a drying step that was asked for is made longer. */
  const moverOf = (block: ScheduleBlock) => {
    const { asked } = block;
    if (block.step === 'prep' || block.step === 'install') {
      return (
        onMoveStart && {
          kind: 'start' as const,
          by: (minutes: number) => onMoveStart(blocks[0]!.startMs + minutes * MINUTE_MS),
        }
      );
    }
    return (
      asked !== undefined &&
      onStretch && { kind: 'length' as const, by: (minutes: number) => onStretch(asked, minutes) }
    );
  };
  const keys = keysOf(blocks);
  const dayOfBlock = (block: ScheduleBlock) => formatDay(block.startMs, clock);
  return (
    <div className={styles.scroller} tabIndex={0} role="region" aria-label="The set as a line of time">
      <ol className={styles.ribbon}>
        {blocks.map((block, i) => {
          const isNewDay = i === 0 || dayOfBlock(block) !== dayOfBlock(blocks[i - 1]!);
          const isNow = nowMs !== undefined && nowMs >= block.startMs && nowMs < block.endMs;
          const share = isNow ? (nowMs - block.startMs) / (block.endMs - block.startMs) : 0;
          return (
            <li
              key={keys[i]}
              className={styles.block}
              data-step={block.step}
              data-hands={block.handsOn}
              title={`${lasts(block)}, ${block.handsOn ? 'with hands' : 'by itself'}`}
              style={{ flexGrow: Math.max(3, Math.sqrt(minutes(block))) }}
            >
              <span className={styles.day}>{isNewDay ? dayOfBlock(block) : ''}</span>
              <span className={styles.label}>{blockLabel(block, setLabel)}</span>
              <BlockHold
                label={blockLabel(block, setLabel)}
                block={block}
                isSettled={isSettled}
                clock={clock}
                onMove={moverOf(block) || undefined}
              >
                {nights.map((night) => {
                  const [from, until] = shareWithin(night, block);
                  return until > from ? (
                    <span
                      key={night.startMs}
                      className={styles.night}
                      style={{ left: `${100 * from}%`, width: `${100 * (until - from)}%` }}
                    >
                      asleep
                    </span>
                  ) : null;
                })}
                {isNow && (
                  <span className={styles.now} style={{ left: `${100 * share}%` }} aria-label="now" />
                )}
              </BlockHold>
              <span className={styles.time}>
                {formatClock(block.startMs, clock)}
                {!block.part && ` · ${lasts(block)}`}
              </span>
            </li>
          );
        })}
        <li className={styles.pin}>
          <ReadyPin readyMs={readyMs} isSettled={isSettled} clock={clock} onMove={onMovePin} />
        </li>
        {Array.from({ length: dayCount }, (_, day) => {
          const chance = chanceStillGood(days, day);
          const wasWorn = worn !== undefined && day <= worn.lastDay;
          return (
            <li
              key={day}
              className={styles.dayOfWear}
              data-worn={worn === undefined ? undefined : wasWorn}
              title={`${formatChance(chance)} still presentable`}
            >
              <span className={styles.day} />
              <span className={styles.label}>{formatWeekday(readyMs + day * DAY_MS, clock)}</span>
              <span className={styles.bar} style={{ height: `${10 + 26 * chance}px` }} />
              <span className={styles.time}>{day === 0 ? 'day 0' : day}</span>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
