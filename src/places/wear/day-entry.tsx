'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { NIGHT_CARE_IDS, nightCares, type NightCareId } from '@/core/coefficients/night-care';
import type { FieldError } from '@/core/formats/field-error';
import { ratingScales, type RatingId } from '@/core/wear/rating-scales';
import { LengthField } from '@/ui/fields/length-field';
import { RatingField } from '@/ui/fields/rating-field';
import { SelectField } from '@/ui/fields/select-field';
import { writeUnsaved } from '@/ui/hooks/unsaved-store';
import { useUnsaved } from '@/ui/hooks/use-unsaved';
import { saveWearDay } from './actions';
import type { loadSetView } from '../sets/queries';
import { sentence } from '@/core/words/words';
import { pickedWords } from '@/ui/format';
import { useUnits } from '@/ui/units-context';
import styles from './wear-desk.module.css';

type Day = NonNullable<Awaited<ReturnType<typeof loadSetView>>>['set']['wearDays'][number];
type Ratings = Readonly<Record<RatingId, number | null>>;

interface Entry {
  readonly ratings: Ratings;
  readonly night: NightCareId;
  readonly visibleLengthCm: number | null;
  readonly note: string;
  readonly revision: number;
}

const NOT_RATED = Object.fromEntries(ratingScales.map(({ id }) => [id, null])) as Ratings;

const entryOf = (day: Day | undefined, usualNight: NightCareId): Entry => ({
  ratings: day ? (Object.fromEntries(ratingScales.map(({ id }) => [id, day[id]])) as Ratings) : NOT_RATED,
  night: (day?.night as NightCareId | undefined) ?? usualNight,
  visibleLengthCm: day?.visibleLengthCm ?? null,
  note: day?.note ?? '',
  revision: day?.revision ?? 0,
});

const nameOf = (setId: string, date: string) => `wear.${setId}.${date}`;

/** One day of wear. What is typed stays in this tab until it is saved. */
export function DayEntry({
  setId,
  date,
  known,
  usualNight,
  onDate,
}: {
  setId: string;
  date: string;
  known: Day | undefined;
  usualNight: NightCareId;
  onDate: (date: string) => void;
}) {
  const router = useRouter();
  const {
    value: entry,
    change: changed,
    forget,
    isBack,
    isDirty,
  } = useUnsaved(nameOf(setId, date), entryOf(known, usualNight));
  const { clock } = useUnits();
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const [kept, setKept] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const missing = ratingScales.filter(({ id }) => entry.ratings[id] === null);

  const change = (part: Partial<Entry>) => {
    changed(part);
    setKept(null);
  };
  const keep = async () => {
    setErrors(
      missing.length > 0
        ? [{ path: 'ratings', message: `Rate ${missing.map((s) => s.label.toLowerCase()).join(', ')} too` }]
        : [],
    );
    if (missing.length > 0) return;
    setBusy(true);
    try {
      const { ratings, ...rest } = entry;
      const answer = await saveWearDay({ setId, date, ...rest, ...(ratings as Record<RatingId, number>) });
      if (answer.ok) {
        setKept(`Day ${answer.value.day} is saved`);
        forget({ ...entry, revision: entry.revision + 1 });
        router.refresh();
      } else if (answer.code === 'conflict') {
        setErrors([
          {
            path: '',
            message:
              'This day was entered in another tab meanwhile. Yours is still here: reload to see the other',
          },
        ]);
      } else setErrors(answer.errors);
    } catch {
      setErrors([{ path: '', message: 'No connection. What you entered is still here; try again' }]);
    }
    setBusy(false);
  };

  return (
    <div className={styles.entry}>
      {isBack && (
        <Alert
          severity="info"
          action={
            <Button size="small" color="inherit" onClick={() => forget(entryOf(known, usualNight))}>
              Drop it
            </Button>
          }
        >
          What you entered before and did not save is back.
        </Alert>
      )}
      <TextField
        type="date"
        label="Day"
        value={date}
        helperText={pickedWords(date, clock)}
        slotProps={{ inputLabel: { shrink: true } }}
        error={errors.some((error) => error.path === 'date')}
        onChange={(event) => {
          const next = event.target.value;
          // What is rated goes along to the day that was meant.
          if (isDirty) {
            writeUnsaved(nameOf(setId, next), { ...entry, revision: 0 });
            forget();
          }
          onDate(next);
        }}
      />
      {ratingScales.map((scale) => (
        <RatingField
          key={scale.id}
          scale={scale}
          value={entry.ratings[scale.id]}
          onChange={(value) => change({ ratings: { ...entry.ratings, [scale.id]: value } })}
        />
      ))}
      <SelectField
        label="The night before"
        value={entry.night}
        options={NIGHT_CARE_IDS.map((id) => ({ value: id, label: nightCares[id].label }))}
        onChange={(night) => change({ night: night as NightCareId })}
      />
      <LengthField
        label="Visible length at the crown (if measured)"
        valueCm={entry.visibleLengthCm}
        lowCm={1}
        highCm={120}
        onChange={(visibleLengthCm) => change({ visibleLengthCm })}
      />
      <TextField
        label="Note"
        multiline
        value={entry.note}
        onChange={(event) => change({ note: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 500 } }}
      />
      {errors.map((error) => (
        <Alert severity="warning" key={error.message}>
          {sentence(error.message)}
        </Alert>
      ))}
      <div className={styles.keep}>
        <Button variant="contained" size="large" onClick={keep} disabled={busy}>
          Save this entry
        </Button>
        <span role="status">{kept}</span>
      </div>
    </div>
  );
}
