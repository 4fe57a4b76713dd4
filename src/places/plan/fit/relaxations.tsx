'use client';
import type { ReactNode } from 'react';
import type { Units } from '@/core/formats/display';
import { formatChance, formatDays, formatDiameter, formatMinutes } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import type { FitOptionShown, FitProgress } from '@/workers/fit.worker';
import type { Compared } from '../difference-words';
import { FitOption } from './fit-option';
import styles from './fit.module.css';

type Relaxed = FitProgress['relaxed'][number];

function giveWords({ gives, option }: Relaxed, units: Units): string {
  const { figures, ranges } = option;
  switch (gives) {
    case 'chance':
      return `It would have to do to be ${formatChance(figures.chanceDryAtWearBy ?? 0)} sure that it is dry:`;
    case 'handsOn':
      return `With ${formatMinutes(ranges.workMin.p50)} of work this would do:`;
    case 'days':
      return `If ${formatDays(ranges.days.p50)} were enough:`;
    case 'curl':
      return `With a curl of ${formatDiameter(figures.curlDiameterMm, units)}:`;
  }
}

/** Nothing fits: what would have to give, each alone, and what that would allow. */
export function Relaxations({
  relaxed,
  now,
  pictureOf,
  onTake,
}: {
  relaxed: readonly Relaxed[];
  now: Compared | null;
  pictureOf: (option: FitOptionShown) => ReactNode;
  onTake: (option: FitOptionShown) => void;
}) {
  const { units } = useUnits();
  if (relaxed.length === 0) {
    return <p>No one thing that gives is enough. More time from first touch to ready would help most.</p>;
  }
  return (
    <>
      {relaxed.map((relaxation) => (
        <section key={relaxation.gives}>
          <p className={styles.give}>{giveWords(relaxation, units)}</p>
          <ul className={styles.options}>
            <FitOption option={relaxation.option} now={now} onTake={() => onTake(relaxation.option)}>
              {pictureOf(relaxation.option)}
            </FitOption>
          </ul>
        </section>
      ))}
    </>
  );
}
