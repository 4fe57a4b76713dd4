'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Controller } from 'react-hook-form';
import { NIGHT_CARE_IDS, nightCares, type NightCareId } from '@/core/coefficients/night-care';
import type { Measured } from '@/core/run/measured';
import { ratingScales } from '@/core/wear/rating-scales';
import { capitalised, sentence } from '@/core/words/words';
import { TypedBackNote } from '@/ui/feedback/typed-back-note';
import { FormField } from '@/ui/fields/form-field';
import { FormLength } from '@/ui/fields/form-length';
import { FormSelect } from '@/ui/fields/form-select';
import { RatingField } from '@/ui/fields/rating-field';
import { pickedWords } from '@/ui/format';
import { writeUnsaved } from '@/ui/hooks/unsaved-store';
import { useCheckedForm } from '@/ui/hooks/use-checked-form';
import { useUnits } from '@/ui/units-context';
import type { loadSetView } from '../sets/queries';
import { saveWearDay } from './actions';
import { VISIBLE_LENGTH_CM, wearDayForm, type WearDayValues } from './wear-input';
import styles from './wear-desk.module.css';

type Day = NonNullable<Awaited<ReturnType<typeof loadSetView>>>['set']['wearDays'][number];
const NOT_RATED: WearDayValues['ratings'] = {
  definition: null,
  frizz: null,
  volume: null,
  moisture: null,
  shine: null,
};

const valuesOf = (
  date: string,
  day: Day | undefined,
  measured: Measured | null,
  usualNight: NightCareId,
): WearDayValues => ({
  date,
  revision: day?.revision ?? 0,
  ratings: day
    ? (Object.fromEntries(ratingScales.map(({ id }) => [id, day[id]])) as WearDayValues['ratings'])
    : { ...NOT_RATED, ...measured?.ratings },
  night: (day?.night as NightCareId | undefined) ?? usualNight,
  visibleLengthCm: day ? day.visibleLengthCm : (measured?.visibleCm.crown ?? null),
  note: day?.note ?? '',
});

const nameOf = (setId: string, date: string) => `wear.${setId}.${date}`;

/** One day of wear. What is typed stays in this tab until it is saved. */
export function DayEntry({
  setId,
  date,
  known,
  measured,
  usualNight,
  onDate,
}: {
  setId: string;
  date: string;
  known: Day | undefined;
  measured: Measured | null;
  usualNight: NightCareId;
  onDate: (date: string) => void;
}) {
  const router = useRouter();
  const { clock } = useUnits();
  const [kept, setKept] = useState<string | null>(null);
  const { form, submit, problem, busy, unsaved } = useCheckedForm({
    schema: wearDayForm,
    values: valuesOf(date, known, measured, usualNight),
    unsavedAs: nameOf(setId, date),
    save: (filled) => saveWearDay({ setId, form: filled }),
    onKept: ({ day }) => {
      setKept(`Day ${day} is saved`);
      const filled = form.getValues();
      form.reset({ ...filled, revision: filled.revision + 1 });
      router.refresh();
      return null;
    },
  });
  const { control } = form;
  const { errors, isDirty } = form.formState;

  return (
    <form className={styles.entry} onSubmit={submit} onChange={() => setKept(null)} noValidate>
      <TypedBackNote isBack={unsaved.isBack} drop={unsaved.drop} />
      <TextField
        type="date"
        label="Day"
        value={date}
        helperText={errors.date?.message ? capitalised(errors.date.message) : pickedWords(date, clock)}
        slotProps={{ inputLabel: { shrink: true } }}
        error={errors.date !== undefined}
        onChange={(event) => {
          const next = event.target.value;
          // What is rated goes along to the day that was meant.
          if (isDirty || unsaved.isBack) {
            writeUnsaved(nameOf(setId, next), { ...form.getValues(), date: next, revision: 0 });
            unsaved.forget();
          }
          onDate(next);
        }}
      />
      {ratingScales.map((scale) => (
        <Controller
          key={scale.id}
          control={control}
          name={`ratings.${scale.id}`}
          render={({ field }) => <RatingField scale={scale} value={field.value} onChange={field.onChange} />}
        />
      ))}
      <FormSelect
        control={control}
        name="night"
        label="The night before"
        options={NIGHT_CARE_IDS.map((id) => ({ value: id, label: nightCares[id].label }))}
      />
      <FormLength
        control={control}
        name="visibleLengthCm"
        label="Visible length at the crown (if measured)"
        range={VISIBLE_LENGTH_CM}
      />
      <FormField control={control} name="note" label="Note" lines={1} />
      {errors.ratings?.message && <Alert severity="warning">{sentence(errors.ratings.message)}</Alert>}
      {problem && <Alert severity="warning">{problem.text}</Alert>}
      <div className={styles.keep}>
        <Button type="submit" variant="contained" size="large" disabled={busy}>
          Save this entry
        </Button>
        <span role="status">{kept}</span>
      </div>
    </form>
  );
}
