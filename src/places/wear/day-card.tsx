'use client';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import type { DayEntry } from '@/core/diary/day-entry';
import { ratingScales } from '@/core/wear/rating-scales';
import type { SaidOfDay } from '@/core/diary/said-of-day';
import { DayRest, type RestOfDay } from './day-rest';
import { ScaleRow } from './scale-row';
import { useDay, useSameAgain, type DayHand, type KeptEntry } from './use-days';
import styles from './day-card.module.css';

export interface DayCardProps {
  readonly setId: string;
  readonly date: string;
  readonly day: number;
  /** What is kept of the day: one entry, or those of the two halves. */
  readonly known: readonly KeptEntry[];
  /** What was kept of the day before, half by half. */
  readonly before: readonly (DayEntry | null)[];
  /** What was said of the day, half by half. */
  readonly said: readonly SaidOfDay[];
  readonly skin: string;
  readonly hair: string;
  readonly onKept: (kept: KeptEntry) => void;
  /** All beyond the scales; left out where the entry stands among other things. */
  readonly rest?: RestOfDay;
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
  skin,
  hair,
  rest,
  hands,
  agains,
}: DayCardProps & {
  readonly hands: readonly DayHand[];
  readonly agains: readonly ReturnType<typeof useSameAgain>[];
}) {
  const first = hands[0]!;
  const isPale = agains.some(({ pale }) => pale !== null);
  const canOffer = agains.some(({ canOffer: can }) => can);
  const worst = hands.find(({ kept }) => kept !== 'kept' && kept !== 'nothing') ?? first;
  return (
    <div className={rest ? styles.card : styles.compact}>
      <section className={styles.scales} aria-label="How it is holding up">
        {ratingScales.map((scale) => (
          <ScaleRow
            key={scale.id}
            scale={scale}
            skin={skin}
            hair={hair}
            sides={hands.map((hand, i) => ({
              side: hand.half === 'whole' ? null : hand.half,
              said: said[i]?.[scale.id] ?? null,
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
      {rest && (
        <DayRest
          {...rest}
          setId={setId}
          date={date}
          day={day}
          skin={skin}
          hair={hair}
          hands={hands}
          pale={agains[0]!.pale}
        />
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
