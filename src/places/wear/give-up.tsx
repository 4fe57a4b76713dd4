'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { Controller, useWatch, type Control } from 'react-hook-form';
import type { Clock } from '@/core/formats/display';
import { NIGHT_CARE_IDS, nightCares } from '@/core/coefficients/night-care';
import type { Half } from '@/core/hair/half';
import type { HalfOutcome } from '@/core/diary/outcome';
import { endReasons, OFFERED_REASONS } from '@/core/wear/end-reasons';
import { isGoodDay, ratingAgainst, suggestedLastGoodDay, type RatedDay } from '@/core/wear/last-good-day';
import { ratingScales } from '@/core/wear/rating-scales';
import { capitalised } from '@/core/words/words';
import { FormField } from '@/ui/fields/form-field';
import { FormSelect } from '@/ui/fields/form-select';
import { formatIndex, formatLocalDay } from '@/ui/format';
import { useCheckedForm } from '@/ui/hooks/use-checked-form';
import { giveUp } from './actions';
import { Chip, Chips } from './chips';
import { giveUpForm, type GiveUpValues } from './wear-input';
import styles from './give-up.module.css';
import { dateOfDay } from './worn-day';

/** "definition 3, frizz 8", as far as they were rated. */
const ratedWords = ({ ratings: { definition, frizz } }: RatedDay) =>
  [
    definition !== undefined && `definition ${formatIndex(definition)}`,
    frizz !== undefined && `frizz ${formatIndex(frizz)}`,
  ]
    .filter(Boolean)
    .join(', ');

const HALF_LABELS: Readonly<Record<Half, string>> = {
  whole: 'Both halves',
  left: 'The left half',
  right: 'The right half',
};
const SCALES = [
  { value: '', label: 'Nobody knows' },
  ...ratingScales.map(({ id, label }) => ({ value: id, label })),
];

const valuesOf = (half: Half, recorded: HalfOutcome | null, isUnseen: boolean): GiveUpValues => ({
  half,
  lastGoodDay: recorded?.lastGoodDay ?? null,
  reason: recorded && recorded.reason !== 'unknown' ? recorded.reason : '',
  goesOn:
    recorded === null || recorded.wouldHaveGoneOn === null ? '' : recorded.wouldHaveGoneOn ? 'yes' : 'no',
  isRecalled: recorded ? recorded.recalled !== null : isUnseen,
  best: recorded?.recalled?.best ?? '',
  worst: recorded?.recalled?.worst ?? '',
  night: recorded?.recalled?.night ?? '',
  note: recorded?.note ?? '',
});

/**
 * When a style is over: which was the last good day, and why. The day is asked for, never taken for granted. Where
 * nobody wrote anything down it is a whole diary in under a minute, marked as told from memory.
 */
export function GiveUp({
  setId,
  takenDownAtMs,
  lastDay,
  days,
  halves,
  given,
  recorded,
  clock,
  onDone,
}: {
  setId: string;
  takenDownAtMs: number;
  /** Today, as a day of wear. */
  lastDay: number;
  days: readonly RatedDay[];
  /** The halves of a trial that can be given up apart; only the whole head elsewhere. */
  halves: readonly Half[];
  /** Those that are given up already. */
  given: readonly Half[];
  /** What was recorded of it, to be corrected; null for a style that is worn. */
  recorded: HalfOutcome | null;
  clock: Clock;
  onDone: () => void;
}) {
  const { form, submit, problem, busy } = useCheckedForm({
    schema: giveUpForm,
    values: valuesOf(
      recorded?.half ?? halves.find((half) => !given.includes(half)) ?? halves[0]!,
      recorded,
      days.length === 0,
    ),
    unsavedAs: `give-up.${setId}`,
    save: (filled) => giveUp({ setId, form: filled }),
    onKept: (): string => {
      onDone();
      const half = form.getValues('half');
      const isOver = half === 'whole' || halves.every((one) => one === half || given.includes(one));
      return isOver && !recorded ? `/sets/${setId}/next` : `/sets/${setId}`;
    },
  });
  const { control } = form;
  const { errors } = form.formState;
  const [day, reason, isRecalled] = useWatch({ control, name: ['lastGoodDay', 'reason', 'isRecalled'] });
  const suggested = suggestedLastGoodDay(days);
  const against = day === null ? null : ratingAgainst(days, day);
  const dateOf = (n: number) => dateOfDay(takenDownAtMs, n, clock.timeZone);
  const dayWords = (n: number) => `day ${n}, ${formatLocalDay(dateOf(n), clock)}`;
  return (
    <form className={styles.form} onSubmit={submit} noValidate>
      {halves.length > 1 && (
        <ChoiceChips
          control={control}
          name="half"
          title="Which half is given up?"
          options={[...halves, 'whole' as const].map((half) => ({ value: half, label: HALF_LABELS[half] }))}
        />
      )}
      <Chips title="Which was the last day you were happy with it?">
        {Array.from({ length: lastDay + 1 }, (_, n) => {
          const rated = days.find((one) => one.day === n);
          const good = rated ? isGoodDay(rated) : null;
          return (
            <Chip
              key={n}
              isOn={day === n}
              onToggle={() => {
                form.setValue('lastGoodDay', n, { shouldDirty: true });
                form.clearErrors('lastGoodDay');
              }}
            >
              {formatLocalDay(dateOf(n), clock)}, day {n}
              {good !== null && (good ? ' · good' : ' · hardly good')}
            </Chip>
          );
        })}
      </Chips>
      <Wrong message={errors.lastGoodDay?.message} />
      {suggested !== null && day !== suggested && (
        <p className={styles.hint}>The ratings were good up to {dayWords(suggested)}.</p>
      )}
      {against && day !== null && (
        <Alert severity="warning">
          {against.day <= day
            ? `${capitalised(dayWords(against.day))}, was rated ${ratedWords(against)}: hardly good any more. Was it still good after that?`
            : `${capitalised(dayWords(against.day))}, was still rated good: ${ratedWords(against)}. Was it over before?`}
        </Alert>
      )}
      <ChoiceChips
        control={control}
        name="reason"
        title="Why did it end?"
        options={OFFERED_REASONS.map((id) => ({ value: id, label: endReasons[id].label }))}
      />
      <Wrong message={errors.reason?.message} />
      {reason !== '' && endReasons[reason].asks && (
        <ChoiceChips
          control={control}
          name="goesOn"
          title="Would it have gone another day?"
          options={[
            { value: 'yes', label: 'Yes, it was still good' },
            { value: 'no', label: 'No, it was going' },
          ]}
        />
      )}
      <Wrong message={errors.goesOn?.message} />
      <Chips title="How is this known?">
        <Chip isOn={!isRecalled} onToggle={() => form.setValue('isRecalled', false, { shouldDirty: true })}>
          Seen as it went
        </Chip>
        <Chip isOn={isRecalled} onToggle={() => form.setValue('isRecalled', true, { shouldDirty: true })}>
          Told afterwards, from memory
        </Chip>
      </Chips>
      {isRecalled && (
        <>
          <div className={styles.recalled}>
            <FormSelect control={control} name="best" label="Best about it" options={SCALES} />
            <FormSelect control={control} name="worst" label="Worst about it" options={SCALES} />
            <FormSelect
              control={control}
              name="night"
              label="At night, mostly"
              options={[
                { value: '', label: 'Nobody knows' },
                ...NIGHT_CARE_IDS.map((id) => ({ value: id, label: nightCares[id].label })),
              ]}
            />
          </div>
          <p className={styles.hint}>
            It counts for the days it lasted. How it looked each day stays unknown.
          </p>
        </>
      )}
      <FormField control={control} name="note" label="Anything else" />
      {problem && <Alert severity="warning">{problem.text}</Alert>}
      <div className={styles.buttons}>
        <Button variant="contained" type="submit" disabled={busy}>
          {recorded ? 'Correct its end' : 'Record its end'}
        </Button>
        <Button onClick={onDone}>Leave it</Button>
      </div>
      <p className={styles.hint}>
        Sore or itchy? Undo it, wash out, and leave the scalp alone. If it stays, see a dermatologist.
      </p>
    </form>
  );
}

const Wrong = ({ message }: { readonly message: string | undefined }) =>
  message ? (
    <p className={styles.wrong} role="alert">
      {capitalised(message)}
    </p>
  ) : null;

/** One of a few, each in sight. */
function ChoiceChips({
  control,
  name,
  title,
  options,
}: {
  readonly control: Control<GiveUpValues>;
  readonly name: 'half' | 'reason' | 'goesOn';
  readonly title: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
}) {
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <Chips title={title}>
          {options.map(({ value, label }) => (
            <Chip key={value} isOn={field.value === value} onToggle={() => field.onChange(value)}>
              {label}
            </Chip>
          ))}
        </Chips>
      )}
    />
  );
}
