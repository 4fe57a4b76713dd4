import type { DrawnSection } from '@/core/parting/drawn-layout';
import type { Winding } from '@/core/parting/winding';
import styles from './chair.module.css';

/** Degrees that an arrow which points to the nape is turned by, face up. */
const TURN: Readonly<Record<Winding, number>> = { 'away-from-face': 0, 'to-left': 90, 'to-right': -90 };
/** Smaller sections than this have no room for it. */
const SMALLEST_RADIUS = 9;

/** Which way the section in hand is wound, drawn on it. */
export function WindingArrow({ section }: { readonly section: DrawnSection }) {
  const { x, y, clearRadius: r, winding } = section;
  if (r < SMALLEST_RADIUS) return null;
  return (
    <path
      className={styles.arrow}
      transform={`translate(${x} ${y + 0.76 * r}) rotate(${TURN[winding]}) scale(${r / 21})`}
      d="M0 -5V5M-4.500 1L0 5.500L4.500 1"
    />
  );
}
