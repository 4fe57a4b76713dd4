'use client';
import type { Knowable } from '@/core/hair/head';
import { capitalised } from '@/core/words/words';
import { MEASURING } from '@/places/heads/measuring';
import type { UsefulNow } from './use-useful';
import styles from './measure.module.css';

/** A range of days as a bar on a line of two weeks. */
function DaysBar({
  label,
  range,
  mostDays,
}: {
  label: string;
  range: { p10: number; p90: number };
  mostDays: number;
}) {
  const at = (days: number) => `${Math.min(100, (100 * days) / mostDays)}%`;
  const [low, high] = [Math.round(range.p10), Math.round(range.p90)];
  return (
    <div className={styles.bar}>
      <span>{label}</span>
      <span className={styles.rail} aria-hidden="true">
        <i style={{ left: at(range.p10), right: `calc(100% - ${at(range.p90)})` }} />
      </span>
      <b>
        {low} to {high} days
      </b>
    </div>
  );
}

/** What nobody measured yet and would tell most, with what it does to the range of days. */
export function UsefulPanel({
  useful,
  unknown,
  onGo,
}: {
  useful: UsefulNow | null;
  unknown: readonly Knowable[];
  onGo: (field: Knowable) => void;
}) {
  if (unknown.length === 0)
    return <p className={styles.hint}>Everything that a forecast rests on is known.</p>;
  const ranked = useful?.useful.filter(({ field }) => unknown.includes(field)) ?? [];
  const [first, ...rest] = ranked;
  if (!first) return <p className={styles.hint}>What would help most is said once a little more is known.</p>;
  const { now, then } = useful!;
  const mostDays = Math.max(7, now?.p90 ?? 0, then?.p90 ?? 0);
  return (
    <>
      <h2>What would help most</h2>
      <button type="button" className={styles.most} onClick={() => onGo(first.field)}>
        <b>{capitalised(MEASURING[first.field].name)}</b>
        <span>{MEASURING[first.field].how}</span>
        {now && then && (
          <span className={styles.bars}>
            <DaysBar label="now" range={now} mostDays={mostDays} />
            <DaysBar label="then" range={then} mostDays={mostDays} />
          </span>
        )}
      </button>
      {rest.slice(0, 2).map(({ field }) => (
        <p key={field} className={styles.then}>
          <b>Then {MEASURING[field].name}.</b> {MEASURING[field].how}
        </p>
      ))}
    </>
  );
}
