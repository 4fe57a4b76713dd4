'use client';
import type { ReactNode } from 'react';
import Button from '@mui/material/Button';
import { STRENGTHS } from '@/core/fit/fit';
import type { FitOptionShown } from '@/workers/fit.worker';
import {
  formatChance,
  formatDays,
  formatDiameter,
  formatIndex,
  formatMinutes,
  formatPercent,
} from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import { differenceWords, type Compared } from '../difference-words';
import { comparedOption } from '../first/other-kinds';
import styles from './fit.module.css';

/** One way to do it: what it is best at, what comes of it, and one press to take it. */
export function FitOption({
  option,
  now,
  children,
  onTake,
}: {
  option: FitOptionShown;
  /** The plan as it is, to say how this differs. */
  now: Compared | null;
  /** Its picture. */
  children: ReactNode;
  onTake: () => void;
}) {
  const { units } = useUnits();
  const { title, figures: found, strengths } = option;
  const { workMin, definition, days } = option.ranges;
  const differences = now ? differenceWords(now, comparedOption(option), units) : [];
  const figures = [
    [
      'dry at takedown',
      found.chanceDryAtWearBy === null ? 'no time set' : formatChance(found.chanceDryAtWearBy),
      null,
    ],
    [
      'work, from washing on',
      formatMinutes(workMin.p50),
      `${formatMinutes(workMin.p10)} to ${formatMinutes(workMin.p90)}`,
    ],
    ['lasts', formatDays(days.p50), `${Math.round(days.p10)} to ${Math.round(days.p90)}`],
    [
      'definition',
      `${formatIndex(definition.p50)} of 10`,
      `${formatIndex(definition.p10)} to ${formatIndex(definition.p90)}`,
    ],
    ['curl', formatDiameter(found.curlDiameterMm, units), null],
    ['stretch', formatPercent(found.stretch), null],
  ] as const;
  return (
    <li className={styles.option}>
      {strengths.length > 0 && (
        <p className={styles.strengths}>{strengths.map((strength) => STRENGTHS[strength]).join(', ')}</p>
      )}
      <h3>{title}</h3>
      {differences.length > 0 && (
        <p className={styles.against}>Against the plan as it is: {differences.join(', ')}.</p>
      )}
      <div className={styles.seen}>
        {children}
        <dl>
          {figures.map(([name, value, range]) => (
            <div key={name}>
              <dt>{name}</dt>
              <dd>
                {value}
                {range && <small>{range}</small>}
              </dd>
            </div>
          ))}
        </dl>
      </div>
      <Button size="small" variant="outlined" onClick={onTake} aria-label={`Take this: ${title}`}>
        Take this
      </Button>
    </li>
  );
}
