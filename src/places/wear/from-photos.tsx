'use client';
import Button from '@mui/material/Button';
import type { DayEntry } from '@/core/diary/day-entry';
import type { KeptMeasure } from '@/core/diary/photo-measure';
import { ZONE_LABEL } from '@/core/hair/zone';
import { formatIndex } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { useUnits } from '@/ui/units-context';
import { deleteMeasure } from './actions';
import { measureWords } from './measure-words';
import styles from './measure.module.css';

/** What was measured on pictures of a day, beside what hands and eyes said; a length can be taken as the day’s. */
export function FromPhotos({
  measures,
  entry,
  onLength,
  onGone,
}: {
  readonly measures: readonly KeptMeasure[];
  readonly entry: DayEntry;
  readonly onLength: (visibleCm: DayEntry['visibleCm']) => void;
  readonly onGone: (id: string) => void;
}) {
  const { units } = useUnits();
  const { run, isBusy, problem } = useAction();
  if (measures.length === 0) return null;
  return (
    <section aria-label="From pictures">
      <ul className={styles.kept}>
        {measures.map((kept) => {
          const { id, measure, zone, value } = kept;
          const words = measureWords(kept, units);
          const rated = measure === 'definition' || measure === 'frizz' ? entry.ratings[measure] : undefined;
          return (
            <li key={id}>
              <span>
                {words.name} <b>{words.value}</b>{' '}
                <small>
                  {words.range}, from a picture
                  {rated !== undefined && `; by eye ${formatIndex(rated)}`}
                </small>
              </span>
              {measure === 'length' && zone && entry.visibleCm[zone] !== Math.round(value * 10) / 10 && (
                <Button
                  size="small"
                  onClick={() => onLength({ ...entry.visibleCm, [zone]: Math.round(value * 10) / 10 })}
                >
                  Take it as the {ZONE_LABEL[zone]}’s
                </Button>
              )}
              <Button
                size="small"
                disabled={isBusy}
                aria-label={`Take out ${words.name} from a picture`}
                onClick={() =>
                  void run(
                    () => deleteMeasure({ id }),
                    () => onGone(id),
                  )
                }
              >
                Take out
              </Button>
            </li>
          );
        })}
      </ul>
      {problem}
    </section>
  );
}
