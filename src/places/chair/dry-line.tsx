'use client';
import type { Clock } from '@/core/formats/display';
import { chanceDry } from '@/core/drying/rate-belief';
import type { DryingNow } from '@/core/plan/drying-now';
import { formatChance, formatWhen } from '@/ui/format';
import styles from './chair.module.css';
import type { FeltCheck } from '@/core/run/run-state';
import { HOUR_MS } from '@/core/units/time';

const WIDTH = 600;
const HEIGHT = 120;
const POINTS = 60;

/** The chance of being dry over time, with the now-line, what was felt, and the time to be ready. */
export function DryLine({
  now,
  installedAtMs,
  nowMs,
  readyMs,
  checks,
  clock,
}: {
  now: DryingNow;
  installedAtMs: number;
  nowMs: number;
  readyMs: number | null;
  checks: readonly FeltCheck[];
  clock: Clock;
}) {
  const nowH = (nowMs - installedAtMs) / HOUR_MS;
  const endH = Math.max(now.dryAfterH.p90 * 1.15, nowH * 1.1, 0.25);
  const x = (hours: number) => (WIDTH * hours) / endH;
  const y = (chance: number) => HEIGHT - 4 - (HEIGHT - 12) * chance;
  const curve = Array.from({ length: POINTS + 1 }, (_, i) => {
    const hours = (endH * i) / POINTS;
    return `${x(hours).toFixed(1)} ${y(chanceDry(now.belief, now.dryTimes.whole, hours)).toFixed(1)}`;
  });
  const readyH = readyMs === null ? null : (readyMs - installedAtMs) / HOUR_MS;
  return (
    <figure className={styles.dryLine}>
      <svg
        viewBox={`0 -4 ${WIDTH} ${HEIGHT + 8}`}
        role="img"
        aria-label={`Chance of being dry over time; now ${formatChance(chanceDry(now.belief, now.dryTimes.whole, Math.max(0, nowH)))}`}
      >
        <path d={`M0 ${HEIGHT}L${curve.join('L')}L${WIDTH} ${HEIGHT}Z`} className={styles.dryArea} />
        <path d={`M${curve.join('L')}`} className={styles.dryCurve} />
        <path d={`M0 ${y(0.8)}H${WIDTH}`} className={styles.enough} />
        {checks.map((check) => (
          <g
            key={check.id}
            transform={`translate(${x((check.atMs - installedAtMs) / HOUR_MS)} ${HEIGHT - 8})`}
          >
            {check.feel === 'dry' ? (
              <circle r="6" className={styles.feltDry} />
            ) : (
              <path d="M0 -7L7 6H-7Z" className={check.feel === 'damp' ? styles.feltDamp : styles.feltCool} />
            )}
          </g>
        ))}
        {readyH !== null && readyH > 0 && readyH < endH && (
          <path d={`M${x(readyH)} -4V${HEIGHT}`} className={styles.readyLine} />
        )}
        <path d={`M${x(Math.max(0, nowH))} -4V${HEIGHT}`} className={styles.nowLine} />
      </svg>
      <figcaption>
        <span>{formatWhen(installedAtMs, clock, nowMs)} set finished</span>
        <span>dashed line: 8 in 10 sure</span>
        <span>{formatWhen(installedAtMs + endH * HOUR_MS, clock, nowMs)}</span>
      </figcaption>
    </figure>
  );
}
