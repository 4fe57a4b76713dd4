import type { ReactNode } from 'react';
import { Coil, UNITS_PER_MM } from '@/ui/drawings/coil';
import type { ThingId } from './things';
import styles from './measure.module.css';

const WIDTH = 96;
const MIDDLE = WIDTH / 2;
const COIL_TOP = 20;
const COIL_HEIGHT = 92;
const THING_TOP = 124;
const THING_BOTTOM = 236;

/** The thing itself, as wide as it is. */
const SHAPES: Readonly<Record<ThingId, (half: number) => ReactNode>> = {
  spring: (half) => (
    <g fill="none" stroke="var(--soft-ink)" strokeWidth="2">
      {Array.from({ length: 11 }, (_, i) => (
        <path key={i} d={`M${MIDDLE - half} ${THING_TOP + 8 + i * 9}q${half} 8 ${2 * half} 0`} />
      ))}
    </g>
  ),
  straw: (half) => (
    <>
      <rect
        x={MIDDLE - half}
        y={THING_TOP + 4}
        width={2 * half}
        height={THING_BOTTOM - THING_TOP - 8}
        className={styles.pale}
      />
      {[0, 1, 2, 3].map((i) => (
        <path
          key={i}
          d={`M${MIDDLE - half} ${THING_TOP + 26 + i * 26}l${2 * half} -12v9l${-2 * half} 12z`}
          fill="var(--caution)"
        />
      ))}
      <ellipse cx={MIDDLE} cy={THING_TOP + 4} rx={half} ry="3" className={styles.dark} />
    </>
  ),
  pencil: (half) => (
    <>
      <path
        d={`M${MIDDLE - half} ${THING_TOP + 34}L${MIDDLE} ${THING_TOP + 2}L${MIDDLE + half} ${THING_TOP + 34}z`}
        className={styles.pale}
      />
      <path
        d={`M${MIDDLE - half * 0.28} ${THING_TOP + 11}L${MIDDLE} ${THING_TOP + 2}L${MIDDLE + half * 0.28} ${THING_TOP + 11}z`}
        className={styles.dark}
      />
      <rect
        x={MIDDLE - half}
        y={THING_TOP + 34}
        width={2 * half}
        height={THING_BOTTOM - THING_TOP - 38}
        fill="var(--dry)"
      />
    </>
  ),
  marker: (half) => (
    <>
      <path d={`M${MIDDLE - half * 0.35} ${THING_TOP + 22}v-12l${half * 0.7} -8v20z`} fill="var(--act)" />
      <rect
        x={MIDDLE - half * 0.6}
        y={THING_TOP + 20}
        width={half * 1.2}
        height="18"
        className={styles.pale}
      />
      <rect
        x={MIDDLE - half}
        y={THING_TOP + 38}
        width={2 * half}
        height={THING_BOTTOM - THING_TOP - 42}
        rx="4"
        className={styles.pale}
      />
      <rect x={MIDDLE - half} y={THING_TOP + 62} width={2 * half} height="24" fill="var(--act)" />
    </>
  ),
  thumb: (half) => (
    <>
      <path
        d={`M${MIDDLE - half} ${THING_BOTTOM}V${THING_TOP + 34}c0 -44 ${2 * half} -44 ${2 * half} 0V${THING_BOTTOM}z`}
        className={styles.skin}
      />
      <path
        d={`M${MIDDLE - half * 0.6} ${THING_TOP + 46}v-20c0 -24 ${half * 1.2} -24 ${half * 1.2} 0v20c0 9 ${-half * 1.2} 9 ${-half * 1.2} 0z`}
        className={styles.nail}
      />
    </>
  ),
};

/** A coil hanging over a thing that is as wide, its edges carried down, at the scale of every other card. */
export function ThingPicture({
  id,
  mm,
  hair,
  skin,
}: {
  id: ThingId;
  mm: number;
  hair: string;
  skin: string;
}) {
  const half = (mm * UNITS_PER_MM) / 2;
  return (
    <svg
      className={styles.picture}
      viewBox={`0 0 ${WIDTH} 240`}
      aria-hidden="true"
      style={{ '--hand': skin } as React.CSSProperties}
    >
      <path
        d={`M2 8c16 -4 26 -2 ${MIDDLE - 6} 6M${WIDTH - 2} 8c-16 -4 -26 -2 -${MIDDLE - 6} 6`}
        className={styles.finger}
      />
      <Coil
        diameterMm={mm}
        x={MIDDLE}
        top={COIL_TOP}
        height={COIL_HEIGHT}
        hair={hair}
        ground="var(--raised)"
      />
      {SHAPES[id](half)}
      <path
        d={`M${MIDDLE - half} ${COIL_TOP}V${THING_BOTTOM}M${MIDDLE + half} ${COIL_TOP}V${THING_BOTTOM}`}
        className={styles.edges}
      />
    </svg>
  );
}
