'use client';
import TextField from '@mui/material/TextField';
import type { DayEntry, DayMarks } from '@/core/diary/day-entry';
import type { WearMarkId } from '@/core/diary/day-words';
import type { KeptMeasure } from '@/core/diary/photo-measure';
import type { PhotoFacts } from '@/core/diary/photo';
import { simulatedStation } from '@/core/diary/weather-station';
import type { PerZone } from '@/core/hair/zone';
import type { DrawnSection } from '@/core/parting/drawn-layout';
import { TRIAL_PRODUCT } from '@/core/parting/layout';
import { DayChips } from './day-chips';
import { FromPhotos } from './from-photos';
import { Lengths } from './lengths';
import { Photos } from './photos';
import type { DayHand } from './use-days';
import { Where } from './where';
import styles from './day-card.module.css';

/** The make-believe station; a real one is another function of its kind. */
const STATION = simulatedStation(7);

/** What stands beside the scales of a day. */
export interface RestOfDay {
  readonly drawn: readonly DrawnSection[];
  readonly partPath: string | null;
  /** Length pulled straight, by zone, cm, and how long it was said to hang on this day. */
  readonly stretchedCm: PerZone<number>;
  readonly saidCm: Partial<PerZone<number>>;
  readonly photos: readonly PhotoFacts[];
  readonly onPhotos: (photos: readonly PhotoFacts[]) => void;
  /** What was measured on them, of all days. */
  readonly measures: readonly KeptMeasure[];
  readonly onMeasures: (measures: readonly KeptMeasure[]) => void;
}

/** Whether a figure was measured anew: the same of the same picture. */
const isReplaced = (old: KeptMeasure, kept: readonly KeptMeasure[]) =>
  kept.some((one) => one.photoId === old.photoId && one.measure === old.measure && one.zone === old.zone);

/** Where, what was done, pictures, lengths and a note. */
export function DayRest({
  setId,
  date,
  day,
  skin,
  hair,
  drawn,
  partPath,
  stretchedCm,
  saidCm,
  photos,
  onPhotos,
  measures,
  onMeasures,
  hands,
  pale,
}: RestOfDay & {
  readonly setId: string;
  readonly date: string;
  readonly day: number;
  readonly skin: string;
  readonly hair: string;
  readonly hands: readonly DayHand[];
  /** As yesterday, not taken yet. */
  readonly pale: DayEntry | null;
}) {
  const first = hands[0]!;
  /** What is of the whole head stands in both halves. */
  const changeAll = (change: Partial<DayEntry>) =>
    hands.forEach((hand) => hand.change((entry) => ({ ...entry, ...change })));
  const marks = hands.reduce<DayMarks>((all, { entry }) => {
    const next = { ...all };
    for (const [mark, numbers] of Object.entries(entry.marks) as [WearMarkId, number[]][])
      next[mark] = [...new Set([...(next[mark] ?? []), ...numbers])];
    return next;
  }, {});
  const sideOf = (number: number) =>
    drawn.find((section) => section.number === number)?.product === TRIAL_PRODUCT.right ? 'right' : 'left';
  const onMarks = (mark: WearMarkId, numbers: readonly number[]) =>
    hands.forEach((hand) => {
      const own = hand.half === 'whole' ? numbers : numbers.filter((number) => sideOf(number) === hand.half);
      hand.change((entry) => ({ ...entry, marks: { ...entry.marks, [mark]: [...own] } }));
    });
  return (
    <>
      <div className={styles.side}>
        {drawn.length > 0 && (
          <Where drawn={drawn} partPath={partPath} skin={skin} hair={hair} marks={marks} onMarks={onMarks} />
        )}
        <DayChips
          entry={first.entry}
          pale={pale}
          day={day}
          date={date}
          station={STATION}
          onChange={changeAll}
        />
      </div>
      <div className={styles.last}>
        <Photos
          setId={setId}
          date={date}
          day={day}
          photos={photos}
          stretchedCm={stretchedCm}
          onChange={onPhotos}
          onMeasured={(kept) => onMeasures([...measures.filter((one) => !isReplaced(one, kept)), ...kept])}
        />
        <FromPhotos
          measures={measures.filter((one) => one.day === day)}
          entry={first.entry}
          onLength={(visibleCm) => changeAll({ visibleCm })}
          onGone={(id) => onMeasures(measures.filter((one) => one.id !== id))}
        />
        <Lengths
          stretchedCm={stretchedCm}
          saidCm={saidCm}
          visibleCm={first.entry.visibleCm}
          onChange={(visibleCm) => changeAll({ visibleCm })}
        />
        <TextField
          label="A note, if there is one"
          multiline
          fullWidth
          value={first.entry.note}
          slotProps={{ htmlInput: { maxLength: 500 } }}
          onChange={(event) => changeAll({ note: event.target.value })}
        />
      </div>
    </>
  );
}
