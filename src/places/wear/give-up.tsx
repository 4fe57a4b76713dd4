'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { END_REASON_IDS, endReasons, type EndReasonId } from '@/core/wear/end-reasons';
import { ratingAgainst, suggestedLastGoodDay, type RatedDay } from '@/core/wear/last-good-day';
import { wearDayNumber } from '@/core/wear/wear-day-number';
import type { Clock } from '@/core/formats/display';
import { SelectField } from '@/ui/fields/select-field';
import { formatIndex, formatLocalDay, pickedWords } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { useUnsaved } from '@/ui/hooks/use-unsaved';
import { giveUp } from './actions';
import styles from './wear-desk.module.css';
import { dateOfDay } from './worn-day';

/** What was recorded of an end, to be corrected; null for a style that is worn. */
export interface RecordedEnd {
  readonly lastGoodDay: number;
  readonly reason: string;
  readonly note: string;
}

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
  const router = useRouter();
  const dateOf = (day: number) => dateOfDay(takenDownAtMs, day, clock.timeZone);
  const { value, change, forget } = useUnsaved(`give-up.${setId}`, {
    date: recorded ? dateOf(recorded.lastGoodDay) : '',
    reason: (recorded?.reason ?? '') as EndReasonId | '',
    note: recorded?.note ?? '',
  });
  const { run, isBusy, problem, errors } = useAction();
  const suggested = suggestedLastGoodDay(days);
  const day = value.date === '' ? null : wearDayNumber(value.date, takenDownAtMs, clock.timeZone);
  const against = day === null ? null : ratingAgainst(days, day);
  const dayWords = (n: number) => `day ${n}, ${formatLocalDay(dateOf(n), clock)}`;
  const errorAt = (path: string) => errors.find((error) => error.path === path)?.message;
  const submit = () =>
    run(
      () => giveUp({ setId, date: value.date, reason: value.reason as EndReasonId, note: value.note }),
      () => {
        forget();
        onDone();
        router.push(`/sets/${setId}`);
      },
    );
  return (
    <form
      className={styles.entry}
      onSubmit={(event) => {
        event.preventDefault();
        void submit();
      }}
    >
      <TextField
        type="date"
        label="Which was the last day you were happy with it?"
        value={value.date}
        error={errorAt('date') !== undefined}
        helperText={errorAt('date') ?? pickedWords(value.date, clock)}
        onChange={(event) => change({ date: event.target.value })}
        slotProps={{
          inputLabel: { shrink: true },
          htmlInput: { min: dateOf(0), max: today },
        }}
      />
      {suggested !== null && day !== suggested && (
        <p className={styles.hint}>
          The ratings were good up to {dayWords(suggested)}.{' '}
          <Button size="small" onClick={() => change({ date: dateOf(suggested) })}>
            Take day {suggested}
          </Button>
        </p>
      )}
      {against && day !== null && (
        <Alert severity="warning">
          {against.day <= day
            ? `${dayWords(against.day)}, was rated definition ${formatIndex(against.definition)}, frizz ${formatIndex(against.frizz)}: hardly good any more. Was it still good after that?`
            : `${dayWords(against.day)}, was still rated good: definition ${formatIndex(against.definition)}, frizz ${formatIndex(against.frizz)}. Was it over before?`}
        </Alert>
      )}
      <SelectField
        label="Why did it end?"
        value={value.reason}
        options={[
          { value: '', label: 'Choose…' },
          ...END_REASON_IDS.map((id) => ({ value: id, label: endReasons[id].label })),
        ]}
        onChange={(reason) => change({ reason: reason as EndReasonId })}
        error={errorAt('reason')}
      />
      <TextField
        label="Anything else"
        value={value.note}
        onChange={(event) => change({ note: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 500 } }}
      />
      {problem}
      <Button variant="outlined" type="submit" disabled={isBusy}>
        {recorded ? 'Correct its end' : 'Record its end'}
      </Button>
      <p className={styles.hint}>
        Sore or itchy? Undo it, wash out, and leave the scalp alone. If it stays, see a dermatologist.
      </p>
    </form>
  );
}
