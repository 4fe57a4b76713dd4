'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useWatch } from 'react-hook-form';
import type { Clock } from '@/core/formats/display';
import { END_REASON_IDS, endReasons } from '@/core/wear/end-reasons';
import { ratingAgainst, suggestedLastGoodDay, type RatedDay } from '@/core/wear/last-good-day';
import { wearDayNumber } from '@/core/wear/wear-day-number';
import { FormField } from '@/ui/fields/form-field';
import { FormSelect } from '@/ui/fields/form-select';
import { formatIndex, formatLocalDay, pickedWords } from '@/ui/format';
import { useCheckedForm } from '@/ui/hooks/use-checked-form';
import { giveUp } from './actions';
import { giveUpForm, type GiveUpValues } from './wear-input';
import styles from './wear-desk.module.css';
import { dateOfDay } from './worn-day';

/** What was recorded of an end, to be corrected; null for a style that is worn. */
export interface RecordedEnd {
  readonly lastGoodDay: number;
  readonly reason: string;
  readonly note: string;
}

/** "definition 3, frizz 8", as far as they were rated. */
const ratedWords = ({ ratings: { definition, frizz } }: RatedDay) =>
  [
    definition !== undefined && `definition ${formatIndex(definition)}`,
    frizz !== undefined && `frizz ${formatIndex(frizz)}`,
  ]
    .filter(Boolean)
    .join(', ');

/** When a style is over: which was the last good day, and why. The day is asked for, never taken for granted. */
export function GiveUp({
  setId,
  takenDownAtMs,
  today,
  days,
  recorded,
  clock,
  onDone,
}: {
  setId: string;
  takenDownAtMs: number;
  today: string;
  days: readonly RatedDay[];
  recorded: RecordedEnd | null;
  clock: Clock;
  onDone: () => void;
}) {
  const dateOf = (day: number) => dateOfDay(takenDownAtMs, day, clock.timeZone);
  const { form, submit, problem, busy } = useCheckedForm({
    schema: giveUpForm,
    values: {
      date: recorded ? dateOf(recorded.lastGoodDay) : '',
      reason: (recorded?.reason ?? '') as GiveUpValues['reason'],
      note: recorded?.note ?? '',
    },
    unsavedAs: `give-up.${setId}`,
    save: (filled) => giveUp({ setId, form: filled }),
    onKept: () => {
      onDone();
      return `/sets/${setId}`;
    },
  });
  const { control } = form;
  const date = useWatch({ control, name: 'date' });
  const suggested = suggestedLastGoodDay(days);
  const day = date === '' ? null : wearDayNumber(date, takenDownAtMs, clock.timeZone);
  const against = day === null ? null : ratingAgainst(days, day);
  const dayWords = (n: number) => `day ${n}, ${formatLocalDay(dateOf(n), clock)}`;
  return (
    <form className={styles.entry} onSubmit={submit} noValidate>
      <FormField
        control={control}
        name="date"
        type="date"
        label="Which was the last day you were happy with it?"
        hint={pickedWords(date, clock)}
        range={{ min: dateOf(0), max: today }}
      />
      {suggested !== null && day !== suggested && (
        <p className={styles.hint}>
          The ratings were good up to {dayWords(suggested)}.{' '}
          <Button
            size="small"
            onClick={() => form.setValue('date', dateOf(suggested), { shouldDirty: true })}
          >
            Take day {suggested}
          </Button>
        </p>
      )}
      {against && day !== null && (
        <Alert severity="warning">
          {against.day <= day
            ? `${dayWords(against.day)}, was rated ${ratedWords(against)}: hardly good any more. Was it still good after that?`
            : `${dayWords(against.day)}, was still rated good: ${ratedWords(against)}. Was it over before?`}
        </Alert>
      )}
      <FormSelect
        control={control}
        name="reason"
        label="Why did it end?"
        options={[
          { value: '', label: 'Choose…' },
          ...END_REASON_IDS.map((id) => ({ value: id, label: endReasons[id].label })),
        ]}
      />
      <FormField control={control} name="note" label="Anything else" />
      {problem && <Alert severity="warning">{problem.text}</Alert>}
      <Button variant="outlined" type="submit" disabled={busy}>
        {recorded ? 'Correct its end' : 'Record its end'}
      </Button>
      <p className={styles.hint}>
        Sore or itchy? Undo it, wash out, and leave the scalp alone. If it stays, see a dermatologist.
      </p>
    </form>
  );
}
