'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { ZONE_LABEL, ZONES, type Zone } from '@/core/hair/zone';
import type { DrawnSection } from '@/core/parting/drawn-layout';
import { TRIAL_PRODUCT } from '@/core/parting/layout';
import { MEASURED_RANGES } from '@/core/run/measured';
import type { DayEntry, DayMarks } from '@/core/diary/day-entry';
import type { WearMarkId } from '@/core/diary/day-words';
import { ratingScales, type RatingId } from '@/core/wear/rating-scales';
import type { PhotoFacts } from '@/core/diary/photo';
import type { Said } from '@/core/diary/said-of-day';
import { simulatedStation } from '@/core/diary/weather-station';
import { capitalised } from '@/core/words/words';
import { LengthField } from '@/ui/fields/length-field';
import { DayChips } from './day-chips';
import { Photos } from './photos';
import { ScaleRow } from './scale-row';
import { useDay, useSameAgain, type DayHand, type KeptEntry } from './use-days';
import { Where } from './where';
import styles from './day-card.module.css';

/** The make-believe station; a real one is another function of its kind. */
const STATION = simulatedStation(7);

export interface DayCardProps {
  readonly setId: string;
  readonly date: string;
  readonly day: number;
  /** What is kept of the day: one entry, or those of the two halves. */
  readonly known: readonly KeptEntry[];
  /** What was kept of the day before, half by half. */
  readonly before: readonly (DayEntry | null)[];
  readonly said: Partial<Record<RatingId, Said>>;
  readonly drawn: readonly DrawnSection[];
  readonly partPath: string | null;
  readonly skin: string;
  readonly hair: string;
  readonly onKept: (kept: KeptEntry) => void;
  readonly photos: readonly PhotoFacts[];
  readonly onPhotos: (photos: readonly PhotoFacts[]) => void;
  /** Only the scales, where the entry stands among other things. */
  readonly isCompact?: boolean;
}

const KEPT_WORDS = {
  nothing: '',
  keeping: 'keeping…',
  kept: '✓ kept',
  offline: 'waits for a connection',
  refused: 'not kept',
  conflict: 'not kept',
} as const;

/** A day of a whole head. */
export function DayCard(props: DayCardProps) {
  const hand = useDay(props.setId, props.date, props.known[0]!, props.onKept);
  const again = useSameAgain(hand, props.before[0] ?? null);
  return <Card {...props} hands={[hand]} agains={[again]} />;
}

/** A day of a half-head trial: both halves in one entry, told apart by side alone. */
export function HalvesCard(props: DayCardProps) {
  const left = useDay(props.setId, props.date, props.known[0]!, props.onKept);
  const right = useDay(props.setId, props.date, props.known[1]!, props.onKept);
  const againLeft = useSameAgain(left, props.before[0] ?? null);
  const againRight = useSameAgain(right, props.before[1] ?? null);
  return <Card {...props} hands={[left, right]} agains={[againLeft, againRight]} />;
}

function Card({
  setId,
  date,
  day,
  before,
  said,
  drawn,
  partPath,
  skin,
  hair,
  photos,
  onPhotos,
  hands,
  agains,
  isCompact = false,
}: DayCardProps & {
  readonly hands: readonly DayHand[];
  readonly agains: readonly ReturnType<typeof useSameAgain>[];
}) {
  const first = hands[0]!;
  const isPale = agains.some(({ pale }) => pale !== null);
  const canOffer = agains.some(({ canOffer: can }) => can);
  const worst = hands.find(({ kept }) => kept !== 'kept' && kept !== 'nothing') ?? first;
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
    <div className={isCompact ? styles.compact : styles.card}>
      <section className={styles.scales} aria-label="How it is holding up">
        {ratingScales.map((scale) => (
          <ScaleRow
            key={scale.id}
            scale={scale}
            said={said[scale.id] ?? null}
            skin={skin}
            hair={hair}
            sides={hands.map((hand, i) => ({
              side: hand.half === 'whole' ? null : hand.half,
              value: hand.entry.ratings[scale.id] ?? null,
              pale: agains[i]!.paleRating(scale.id),
              yesterday: before[i]?.ratings[scale.id] ?? null,
              onChange: (value) =>
                hand.change((entry) => ({ ...entry, ratings: { ...entry.ratings, [scale.id]: value } })),
            }))}
          />
        ))}
      </section>
      <div className={styles.keep}>
        <span role="status">{KEPT_WORDS[worst.kept]}</span>
        {canOffer && (
          <Button
            variant={isPale ? 'contained' : 'outlined'}
            onClick={() => agains.forEach((again) => (isPale ? again.take() : again.offer()))}
          >
            {isPale ? 'All the rest as yesterday' : 'Same as yesterday'}
          </Button>
        )}
      </div>
      {hands.map((hand) => (
        <DayProblem key={hand.half} hand={hand} />
      ))}
      {!isCompact && (
        <>
          <div className={styles.side}>
            {drawn.length > 0 && (
              <Where
                drawn={drawn}
                partPath={partPath}
                skin={skin}
                hair={hair}
                marks={marks}
                onMarks={onMarks}
              />
            )}
            <DayChips
              entry={first.entry}
              pale={agains[0]!.pale}
              day={day}
              date={date}
              station={STATION}
              onChange={changeAll}
            />
          </div>
          <div className={styles.last}>
            <Photos setId={setId} date={date} day={day} photos={photos} onChange={onPhotos} />
            <Lengths visibleCm={first.entry.visibleCm} onChange={(visibleCm) => changeAll({ visibleCm })} />
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
      )}
    </div>
  );
}

/** Visible length where it was measured: the crown is offered, others on demand. */
function Lengths({
  visibleCm,
  onChange,
}: {
  readonly visibleCm: DayEntry['visibleCm'];
  readonly onChange: (visibleCm: DayEntry['visibleCm']) => void;
}) {
  const [more, setMore] = useState<readonly Zone[]>([]);
  const zones = ZONES.filter(
    (zone) => zone === 'crown' || visibleCm[zone] !== undefined || more.includes(zone),
  );
  const others = ZONES.filter((zone) => !zones.includes(zone));
  return (
    <div className={styles.lengths}>
      {zones.map((zone) => (
        <LengthField
          key={zone}
          label={`${capitalised(ZONE_LABEL[zone])} hangs to`}
          valueCm={visibleCm[zone] ?? null}
          lowCm={MEASURED_RANGES.visibleCm.low}
          highCm={MEASURED_RANGES.visibleCm.high}
          onChange={(cm) => {
            const { [zone]: _, ...rest } = visibleCm;
            onChange(cm === null ? rest : { ...rest, [zone]: cm });
          }}
        />
      ))}
      {others.length > 0 && (
        <TextField
          select
          label="Another zone"
          value=""
          slotProps={{ select: { native: true }, inputLabel: { shrink: true } }}
          onChange={(event) => setMore([...more, event.target.value as Zone])}
        >
          <option value="" />
          {others.map((zone) => (
            <option key={zone} value={zone}>
              {ZONE_LABEL[zone]}
            </option>
          ))}
        </TextField>
      )}
    </div>
  );
}

/** Why an entry is not kept, and what can be done. */
function DayProblem({ hand: { half, kept, problem, resolve } }: { readonly hand: DayHand }) {
  const of = half === 'whole' ? '' : `, ${half} half`;
  if (kept === 'conflict')
    return (
      <Alert
        severity="warning"
        action={
          <>
            <Button size="small" color="inherit" onClick={() => void resolve('mine')}>
              Keep mine
            </Button>
            <Button size="small" color="inherit" onClick={() => void resolve('theirs')}>
              Take theirs
            </Button>
          </>
        }
      >
        This day{of} was entered in another tab meanwhile. Nothing of either is lost: what is replaced stays
        in its history.
      </Alert>
    );
  return problem ? <Alert severity="warning">{problem}</Alert> : null;
}
