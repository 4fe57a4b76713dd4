'use client';
import type { Option } from '@/core/suggest/option';
import { HeadThumb } from '@/ui/crown-map/head-thumb';
import { useUnits } from '@/ui/units-context';
import { differenceWords, type Compared } from '../difference-words';
import styles from './first-draft.module.css';

/** What an option is compared by. */
export const comparedOption = ({ figures }: Option): Compared => ({
  chance: figures.chanceDryAtWearBy,
  dryH: null,
  workMin: figures.handsOnMin,
  definition: figures.definition,
  days: figures.daysPresentable,
  stretch: figures.stretch,
  curlMm: figures.curlDiameterMm,
});

/** Options that differ in kind, each told against the one that is looked at, and one press from being it. */
export function OtherKinds({
  options,
  now,
  head,
  onTake,
}: {
  options: readonly { readonly index: number; readonly option: Option }[];
  now: Option;
  head: { readonly skinTone: string; readonly hairTone: string };
  onTake: (index: number, option: Option) => void;
}) {
  const { units } = useUnits();
  return (
    <ul className={styles.kinds} aria-label="Others to look at">
      {options.map(({ index, option }) => {
        const words = differenceWords(comparedOption(now), comparedOption(option), units);
        return (
          <li key={option.title}>
            <button type="button" className={styles.kind} onClick={() => onTake(index, option)}>
              <HeadThumb drawn={option.drawn} skin={head.skinTone} hair={head.hairTone} />
              <span>
                <b>{option.title}</b>
                <small>
                  {words.length > 0 ? words.join(' · ') : 'much the same figures, done otherwise'}
                </small>
              </span>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
