'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { NIGHT_CARE_IDS, nightCares, type NightCareId } from '@/core/coefficients/night-care';
import { whyOf } from '@/core/explain/why-of';
import type { FieldError } from '@/core/formats/field-error';
import { END_REASON_IDS, endReasons, type EndReasonId } from '@/core/wear/end-reasons';
import { ratingScales, type RatingId } from '@/core/wear/rating-scales';
import { LengthField } from '@/ui/fields/length-field';
import { RatingField } from '@/ui/fields/rating-field';
import { SelectField } from '@/ui/fields/select-field';
import { formatDay, formatIndex } from '@/ui/format';
import { AskHow } from '@/ui/how-we-know/ask';
import { Page, Part } from '@/ui/shell/page';
import { wholeSetLabel } from '../plan/plan-content';
import { giveUp, saveWearDay } from './actions';
import type { loadWear } from './queries';
import { dateOfDay, wornDay } from './worn-day';
import styles from './wear-desk.module.css';
import { WearStrip } from './wear-strip';
import { LinkButton } from '@/ui/shell/link-button';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadWear>>>;
type Day = Loaded['set']['wearDays'][number];
type Ratings = Readonly<Record<RatingId, number | null>>;

const NOT_RATED = Object.fromEntries(ratingScales.map(({ id }) => [id, null])) as Ratings;

interface Entry {
  readonly date: string;
  readonly ratings: Ratings;
  readonly night: NightCareId;
  readonly visibleLengthCm: number | null;
  readonly note: string;
  readonly revision: number;
}

function entryOf(date: string, day: Day | undefined, usualNight: NightCareId): Entry {
  return {
    date,
    ratings: day ? (Object.fromEntries(ratingScales.map(({ id }) => [id, day[id]])) as Ratings) : NOT_RATED,
    night: (day?.night as NightCareId | undefined) ?? usualNight,
    visibleLengthCm: day?.visibleLengthCm ?? null,
    note: day?.note ?? '',
    revision: day?.revision ?? 0,
  };
}

/** A style being worn: one entry a day, and the day it is given up. */
export function WearDesk({ set, view, timeZone, nowMs }: Loaded) {
  const router = useRouter();
  const takenDownAtMs = set.takenDownAtMs ?? nowMs;
  const usualNight = set.brief.wear?.night ?? 'gather-and-bonnet';
  const today = dateOfDay(takenDownAtMs, Math.max(0, wornDay(takenDownAtMs, nowMs, timeZone)), timeZone);
  const dayOn = (date: string) =>
    set.wearDays.find((day) => dateOfDay(takenDownAtMs, day.day, timeZone) === date);
  const [entry, setEntry] = useState<Entry>(() => entryOf(today, dayOn(today), usualNight));
  const [errors, setErrors] = useState<readonly FieldError[]>([]);
  const [kept, setKept] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const { p10, p50, p90 } = set.forecast.daysPresentable;
  const lasts = `${Math.round(p10)} to ${Math.round(p90)} days, most likely ${Math.round(p50)}`;
  const missing = ratingScales.filter(({ id }) => entry.ratings[id] === null);

  const change = (part: Partial<Entry>) => {
    setEntry({ ...entry, ...part });
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
      const answer = await saveWearDay({ setId: set.id, ...rest, ...(ratings as Record<RatingId, number>) });
      if (answer.ok) {
        setKept(`Day ${answer.value.day} is kept`);
        setEntry({ ...entry, revision: entry.revision + 1 });
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

  if (set.takenDownAtMs === null) {
    return (
      <Page title={set.headName} lead={wholeSetLabel(set.brief.set)}>
        <p>This set has not been taken down yet.</p>
        <Link href={`/chair/${set.id}`}>Go to the chair</Link>
      </Page>
    );
  }
  const isOver = set.endedAtMs !== null;
  return (
    <Page
      title={set.headName}
      lead={
        <>
          {wholeSetLabel(set.brief.set)}, taken down {formatDay(takenDownAtMs, timeZone)}.{' '}
          <AskHow
            topic="days"
            name="Forecast"
            now={`Forecast: ${lasts}. Today is day ${wornDay(takenDownAtMs, nowMs, timeZone)}.`}
            why={whyOf(set.forecast, 'days')}
          />
          : {lasts}.
        </>
      }
      action={
        <LinkButton href={`/sets/${set.id}`} variant="outlined">
          Forecast and outcome
        </LinkButton>
      }
    >
      <WearStrip
        days={set.wearDays}
        forecast={view?.plan.result.byDay ?? []}
        band={{ p10, p50, p90 }}
        takenDownAtMs={takenDownAtMs}
        timeZone={timeZone}
        chosen={entry.date}
        lastDay={wornDay(takenDownAtMs, nowMs, timeZone)}
        onChoose={(date) => {
          setEntry(entryOf(date, dayOn(date), usualNight));
          setErrors([]);
          setKept(null);
        }}
      />
      <div className={styles.columns}>
        <Part title="How it is holding up" note="in daylight, at arm’s length, before touching it">
          <div className={styles.entry}>
            <TextField
              type="date"
              label="Day"
              value={entry.date}
              slotProps={{ inputLabel: { shrink: true } }}
              error={errors.some((error) => error.path === 'date')}
              onChange={(event) => {
                const date = event.target.value;
                const known = dayOn(date);
                change(known ? entryOf(date, known, usualNight) : { date, revision: 0 });
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
              key={entry.date}
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
                {error.message.charAt(0).toUpperCase() + error.message.slice(1)}.
              </Alert>
            ))}
            <div className={styles.keep}>
              <Button variant="contained" size="large" onClick={keep} disabled={busy}>
                Keep this day
              </Button>
              <span role="status">{kept}</span>
            </div>
          </div>
        </Part>
        <Part title={isOver ? 'Given up' : 'Giving it up'}>
          {isOver && set.outcome ? (
            <p>
              Last good day {set.outcome.lastGoodDay}:{' '}
              {(endReasons[set.outcome.reason as EndReasonId]?.label ?? set.outcome.reason).toLowerCase()}.{' '}
              {set.outcome.note}
            </p>
          ) : (
            <GiveUp setId={set.id} today={today} />
          )}
          {set.wearDays.length > 0 && (
            <table className={styles.days}>
              <thead>
                <tr>
                  <th>Day</th>
                  {ratingScales.map((scale) => (
                    <th key={scale.id}>{scale.label}</th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {set.wearDays.map((day) => (
                  <tr key={day.id}>
                    <td>{day.day}</td>
                    {ratingScales.map((scale) => (
                      <td key={scale.id}>{formatIndex(day[scale.id])}</td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          )}
        </Part>
      </div>
    </Page>
  );
}

/** When and why a style was given up. */
function GiveUp({ setId, today }: { setId: string; today: string }) {
  const router = useRouter();
  const [date, setDate] = useState(today);
  const [reason, setReason] = useState<EndReasonId | ''>('');
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const submit = async () => {
    if (reason === '') return setProblem('Say why it was given up');
    try {
      const answer = await giveUp({ setId, date, reason, note });
      if (answer.ok) router.push(`/sets/${setId}`);
      else setProblem(answer.errors[0]?.message ?? null);
    } catch {
      setProblem('No connection. Nothing is lost; try again');
    }
  };
  return (
    <div className={styles.entry}>
      <TextField
        type="date"
        label="Last day it was still good"
        value={date}
        onChange={(event) => setDate(event.target.value)}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <SelectField
        label="Why"
        value={reason}
        options={[
          { value: '', label: 'Choose…' },
          ...END_REASON_IDS.map((id) => ({ value: id, label: endReasons[id].label })),
        ]}
        onChange={(value) => setReason(value as EndReasonId | '')}
      />
      <TextField label="Anything else" value={note} onChange={(event) => setNote(event.target.value)} />
      {problem && <Alert severity="warning">{problem}.</Alert>}
      <Button variant="outlined" onClick={submit}>
        It is given up
      </Button>
      <p className={styles.hint}>
        Sore or itchy? Undo it, wash out, and leave the scalp alone. If it stays, see a dermatologist.
      </p>
    </div>
  );
}
