import type { ReactNode } from 'react';
import type { Porosity } from '@/core/coefficients/hair';
import styles from './measure.module.css';

const frame = (children: ReactNode) => (
  <svg className={styles.wide} viewBox="0 0 160 100" aria-hidden="true">
    {children}
  </svg>
);

/** A strand beside a sewing thread, between two fingers. */
export const StrandPicture = ({ width, hair }: { width: number; hair: string }) =>
  frame(
    <>
      <path d="M0 30c30 -8 40 -6 56 4v32c-16 10 -26 12 -56 4z" className={styles.skin} />
      <path d="M160 30c-30 -8 -40 -6 -56 4v32c16 10 26 12 56 4z" className={styles.skin} />
      <path
        d="M10 40q70 6 140 0"
        fill="none"
        stroke="var(--control)"
        strokeWidth="4.6"
        strokeDasharray="5 2"
      />
      <path d="M10 62q70 6 140 0" fill="none" stroke={hair} strokeWidth={width} strokeLinecap="round" />
    </>,
  );

/** A part seen from above: how much scalp shows between the hair. */
export const ScalpPicture = ({ shows, hair }: { shows: number; hair: string }) =>
  frame(
    <>
      <rect x="6" y="6" width="148" height="88" rx="14" className={styles.skin} />
      {Array.from({ length: 14 }, (_, i) => {
        const y = 10 + i * 6;
        const gap = shows * 22;
        return (
          <g key={i} fill="none" stroke={hair} strokeWidth={5 - shows * 2} strokeLinecap="round">
            <path d={`M${80 - gap} ${y}q-30 6 -64 ${i % 2 === 0 ? 4 : 0}`} />
            <path d={`M${80 + gap} ${y}q30 6 64 ${i % 2 === 0 ? 0 : 4}`} />
          </g>
        );
      })}
    </>,
  );

/** Water on a lock of hair: it rolls off, sits, or is drunk at once. */
export const WaterPicture = ({ porosity, hair }: { porosity: Porosity; hair: string }) =>
  frame(
    <>
      {[22, 34, 46, 58, 70].map((y) => (
        <path
          key={y}
          d={`M8 ${y + 14}c36 -14 50 12 76 0s44 -10 68 0`}
          fill="none"
          stroke={hair}
          strokeWidth="8"
        />
      ))}
      {porosity === 'low' &&
        [
          [44, 26, 8],
          [84, 34, 9],
          [120, 28, 7],
        ].map(([x, y, r]) => <circle key={x} cx={x} cy={y} r={r} className={styles.drop} />)}
      {porosity === 'medium' &&
        [
          [48, 36, 15],
          [98, 40, 18],
        ].map(([x, y, r]) => <ellipse key={x} cx={x} cy={y} rx={r} ry={5} className={styles.drop} />)}
      {porosity === 'high' && (
        <path d="M30 34c30 -10 70 14 104 0v36c-34 14 -74 -10 -104 0z" className={styles.soaked} />
      )}
    </>,
  );

/** The same strand as it hangs, and pulled straight. */
export const HangPicture = ({ share, hair }: { share: number; hair: string }) =>
  frame(
    <>
      <path d="M30 8V92" fill="none" stroke={hair} strokeWidth="4" strokeLinecap="round" />
      <path
        d={Array.from(
          { length: 9 },
          (_, i) =>
            `${i === 0 ? 'M110 8' : ''}q${i % 2 === 0 ? 16 : -16} ${(84 * share) / 18} 0 ${(84 * share) / 9}`,
        ).join('')}
        fill="none"
        stroke={hair}
        strokeWidth="4"
        strokeLinecap="round"
      />
      <path d="M48 8h14M48 92h14M55 8V92M134 8h14M134 92" className={styles.rule} />
      <path d={`M134 ${8 + 84 * share}h14M141 8V${8 + 84 * share}`} className={styles.rule} />
    </>,
  );
