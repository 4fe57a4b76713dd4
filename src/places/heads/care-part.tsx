'use client';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { CARE_KIND_IDS, careKinds, DUE_WORDS, type CareKindId } from '@/core/care/due';
import { SHED_CAUTION, SHED_FROM_DAYS, shedAfter } from '@/core/care/shed';
import { CUT_MM } from '@/core/formats/ranges';
import { DAY_MS } from '@/core/units/time';
import { capitalised } from '@/core/words/words';
import { NumberField } from '@/ui/fields/number-field';
import { SelectField } from '@/ui/fields/select-field';
import { dateInZone, formatLocalDay } from '@/ui/format';
import { useAction } from '@/ui/hooks/use-action';
import { addCare, deleteCare } from './actions';
import type { loadHead } from './queries';
import styles from './head-page.module.css';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadHead>>>;

/** Entries of care that are listed; older ones stay in the log of lengths. */
const LISTED = 6;
/** What a trim takes, mm, until somebody says otherwise. */
const USUAL_TRIM_MM = 10;

/** What is due, what was done, and what to expect at the next takedown. */
export function CarePart({
  head,
  care,
  careLog,
  sets,
  clock,
  nowMs,
}: Pick<Loaded, 'head' | 'care' | 'careLog' | 'sets' | 'clock' | 'nowMs'>) {
  const router = useRouter();
  const today = dateInZone(nowMs, clock.timeZone);
  const [kind, setKind] = useState<CareKindId>('wash');
  const [date, setDate] = useState(today);
  const [cutMm, setCutMm] = useState(USUAL_TRIM_MM);
  const { run, isBusy, problem } = useAction();
  const isScissors = kind === 'trim' || kind === 'cut';
  const inSet = sets.find(({ takenDownAtMs, endedAtMs }) => takenDownAtMs === null && endedAtMs === null);
  const daysIn = inSet ? Math.floor((nowMs - inSet.startedAtMs) / DAY_MS) : 0;
  const shed = shedAfter(daysIn);
  return (
    <>
      {care.length === 0 ? (
        <p className={styles.line}>
          Nothing is known yet. Write down a wash, and the next one is worked out.
        </p>
      ) : (
        <ul className={styles.care}>
          {care.map(({ kind: what, date: on, why, isDue }) => (
            <li key={what} data-due={isDue}>
              <b>{capitalised(DUE_WORDS[what])}</b>
              <span>
                {on === null ? 'now' : on === today ? 'today' : formatLocalDay(on, clock)}
                <small>{why}</small>
              </span>
            </li>
          ))}
        </ul>
      )}
      {daysIn >= SHED_FROM_DAYS && (
        <p className={styles.line}>
          At takedown expect {shed.low.toLocaleString('en-GB')} to {shed.high.toLocaleString('en-GB')} shed
          hairs after {daysIn} days in: they would have fallen anyway. {SHED_CAUTION}
        </p>
      )}
      <form
        className={styles.careForm}
        aria-label="Write down care"
        onSubmit={(event) => {
          event.preventDefault();
          void run(
            () => addCare({ headId: head.id, kind, date, cutMm: isScissors ? cutMm : null, note: '' }),
            () => router.refresh(),
          );
        }}
      >
        <SelectField
          label="Done"
          value={kind}
          options={CARE_KIND_IDS.map((id) => ({ value: id, label: careKinds[id].label }))}
          onChange={(value) => setKind(value as CareKindId)}
        />
        <TextField
          label="On"
          type="date"
          value={date}
          slotProps={{ htmlInput: { max: today }, inputLabel: { shrink: true } }}
          onChange={(event) => setDate(event.target.value)}
        />
        {isScissors && (
          <NumberField label="Came off" unit="mm" value={cutMm} {...CUT_MM} onCommit={setCutMm} />
        )}
        <Button type="submit" variant="outlined" disabled={isBusy}>
          Write it down
        </Button>
      </form>
      {problem}
      {careLog.length > 0 && (
        <ul className={styles.careLog}>
          {careLog.slice(0, LISTED).map((entry) => (
            <li key={entry.id}>
              {formatLocalDay(entry.date, clock)}: {careKinds[entry.kind].label.toLowerCase()}
              {entry.cutMm !== null && `, ${entry.cutMm / 10} cm off`}
              <Button
                size="small"
                disabled={isBusy}
                aria-label={`Take out ${careKinds[entry.kind].label.toLowerCase()}, ${formatLocalDay(entry.date, clock)}`}
                onClick={() =>
                  void run(
                    () => deleteCare({ id: entry.id }),
                    () => router.refresh(),
                  )
                }
              >
                Take out
              </Button>
            </li>
          ))}
        </ul>
      )}
      <p className={styles.line}>
        <a href="/studio#calendar">Into your calendar</a>
      </p>
    </>
  );
}
