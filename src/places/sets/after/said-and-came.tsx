import type { OutcomeRow } from '../outcome-rows';
import { heldUp } from '../outcome-rows';
import styles from './after.module.css';

const WIDTH = 150;

/** Where what came lies against what was said: the band in pale green, a dot inside it, a diamond outside. */
export function SaidAndCame({ row }: { readonly row: OutcomeRow }) {
  const { low, middle, high, happened } = row;
  const came =
    happened === null
      ? null
      : happened.kind === 'between'
        ? (happened.low + happened.high) / 2
        : happened.value;
  const from = Math.min(low, came ?? low);
  const to = Math.max(high, came ?? high);
  const pad = 0.25 * (to - from || 1);
  const x = (value: number) => (WIDTH * (value - from + pad)) / (to - from + 2 * pad);
  const isHeld = heldUp(row);
  return (
    <svg viewBox={`0 0 ${WIDTH} 24`} className={styles.band} aria-hidden>
      <line x1="0" x2={WIDTH} y1="12" y2="12" />
      <rect x={x(low)} width={Math.max(2, x(high) - x(low))} y="4" height="16" rx="6" />
      <path d={`M ${x(middle)} 2 V 22`} />
      {came !== null &&
        (isHeld === false ? (
          <path className={styles.outside} d={`M ${x(came)} 4 l 8 8 l -8 8 l -8 -8 Z`} />
        ) : (
          <circle cx={x(came)} cy="12" r="6.5" data-known={isHeld !== null} />
        ))}
    </svg>
  );
}
