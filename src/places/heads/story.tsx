'use client';
import Link from '@/ui/shell/link';
import type { CSSProperties } from 'react';
import { setLabelOf } from '@/core/draft/labels';
import { careKinds } from '@/core/care/due';
import { DRYING_METHOD_IDS, dryingMethods } from '@/core/drying-methods';
import type { Clock } from '@/core/formats/display';
import { HOUR_MS } from '@/core/units/time';
import { listed } from '@/core/words/words';
import { END_REASON_IDS, endReasons } from '@/core/wear/end-reasons';
import { formatDay, formatDays, formatHours, formatLocalDay } from '@/ui/format';
import { DoItAgain } from '../sets/set-actions';
import { stageWords } from '../sets/set-stage';
import type { loadHead } from './queries';
import styles from './story.module.css';

type Loaded = NonNullable<Awaited<ReturnType<typeof loadHead>>>;
type StorySet = Loaded['sets'][number];

/** Sets that stand open; those of before are folded away. */
const SHOWN = 6;
/** A day without a rating is this high, of 1. */
const UNRATED = 0.3;

/** Every set as a small ribbon: when, what, how it dried, its days, its end, and what had been said. */
export function Story({
  sets,
  days,
  dried,
  careLog,
  clock,
}: Pick<Loaded, 'sets' | 'days' | 'dried' | 'careLog' | 'clock'>) {
  const ratings = new Map(days);
  const longest = Math.max(
    ...sets.map((set) => Math.max(lastDayOf(set, ratings.get(set.id) ?? []), set.daysPresentable?.p90 ?? 0)),
  );
  const style = { '--longest': longest } as CSSProperties;
  const rows = (shown: readonly StorySet[], before: StorySet | null) =>
    shown.map((set, i) => (
      <li key={set.id}>
        <Cuts
          log={careLog}
          from={set.startedAtMs}
          until={(shown[i - 1] ?? before)?.startedAtMs ?? Infinity}
          clock={clock}
        />
        <StoryRow set={set} days={ratings.get(set.id) ?? []} dried={dried[set.id] ?? []} clock={clock} />
      </li>
    ));
  const [open, folded] = [sets.slice(0, SHOWN), sets.slice(SHOWN)];
  return (
    <div style={style}>
      <p className={styles.key} aria-hidden="true">
        <span className={styles.saidKey} /> what had been said
        <span className={styles.dayKey} /> a day, as high as its definition
      </p>
      <ol className={styles.story}>{rows(open, null)}</ol>
      {folded.length > 0 && (
        <details className={styles.folded}>
          <summary>
            {folded.length} before that, from {formatDay(folded.at(-1)!.startedAtMs, clock)}
          </summary>
          <ol className={styles.story}>{rows(folded, open.at(-1) ?? null)}</ol>
        </details>
      )}
    </div>
  );
}

const lastDayOf = (set: StorySet, days: readonly { readonly day: number }[]): number =>
  Math.max(set.lastGoodDay ?? 0, ...days.map(({ day }) => day));

/** For how long a set dried, and under what. */
function driedWords(
  { installedAtMs, takenDownAtMs, isEnteredLater }: StorySet,
  methods: readonly string[],
): { readonly hours: string; readonly how: string } {
  const how = methods.flatMap((id) => {
    const known = DRYING_METHOD_IDS.find((own) => own === id);
    return known ? [dryingMethods[known].phrase] : [];
  });
  const isSeen = installedAtMs !== null && takenDownAtMs !== null && !isEnteredLater;
  return {
    hours: isSeen ? formatHours((takenDownAtMs - installedAtMs) / HOUR_MS) : '',
    how: listed(how),
  };
}

function endWords(set: StorySet): string {
  const known = END_REASON_IDS.find((id) => id === set.reason);
  return set.endedAtMs === null ? stageWords(set) : known ? endReasons[known].label.toLowerCase() : '';
}

function StoryRow({
  set,
  days,
  dried,
  clock,
}: {
  readonly set: StorySet;
  readonly days: readonly { readonly day: number; readonly definition: number | null }[];
  readonly dried: readonly string[];
  readonly clock: Clock;
}) {
  const last = lastDayOf(set, days);
  const hasWorn = set.takenDownAtMs !== null;
  const said = set.daysPresentable;
  const label = setLabelOf(set.set);
  const drying = driedWords(set, dried);
  return (
    <article className={styles.row} aria-label={`${formatDay(set.startedAtMs, clock)}, ${label}`}>
      <p className={styles.when}>
        <b>{formatDay(set.startedAtMs, clock)}</b>
        <DoItAgain
          setId={set.id}
          size="small"
          label="Again"
          name={`Do it again: ${label}, ${formatDay(set.startedAtMs, clock)}`}
        />
      </p>
      <div className={styles.ribbon}>
        <div className={styles.bars}>
          <span className={styles.prep} />
          <Link className={styles.set} href={`/sets/${set.id}`}>
            {label}
          </Link>
          <span className={styles.dry} title={`dried ${drying.how}`}>
            {drying.hours}
          </span>
          {hasWorn && <span className={styles.takedown} />}
          {hasWorn &&
            Array.from({ length: last + 1 }, (_, day) => {
              const rated = days.find((one) => one.day === day)?.definition ?? null;
              return (
                <span
                  key={day}
                  className={styles.day}
                  data-rated={rated !== null}
                  data-over={set.lastGoodDay !== null && day > set.lastGoodDay}
                  style={{ '--high': rated === null ? UNRATED : Math.max(0.12, rated / 10) } as CSSProperties}
                />
              );
            })}
          <span className={styles.end}>
            {set.lastGoodDay !== null && <b>{formatDays(set.lastGoodDay)}</b>}
            <span>{endWords(set)}</span>
          </span>
        </div>
        {said && (
          <span
            className={styles.said}
            style={{ '--from': said.p10, '--mid': said.p50, '--to': said.p90 } as CSSProperties}
            title={`said: ${Math.round(said.p10)} to ${Math.round(said.p90)} days, most likely ${Math.round(said.p50)}`}
          >
            <span className="visually-hidden">
              said: {Math.round(said.p10)} to {Math.round(said.p90)} days, most likely {Math.round(said.p50)}
            </span>
          </span>
        )}
      </div>
    </article>
  );
}

/** What changed the hair between two sets. */
function Cuts({
  log,
  from,
  until,
  clock,
}: {
  readonly log: Loaded['careLog'];
  readonly from: number;
  readonly until: number;
  readonly clock: Clock;
}) {
  const changes = log.filter(({ kind, date }) => {
    const at = Date.parse(date);
    return ['trim', 'cut', 'colour', 'heat'].includes(kind) && at >= from && at < until;
  });
  return (
    <>
      {changes.map(({ id, kind, date, cutMm }) => (
        <p key={id} className={styles.change}>
          {careKinds[kind].label}
          {cutMm !== null && `, ${cutMm / 10} cm off`}, {formatLocalDay(date, clock)}. What lies before counts
          less.
        </p>
      ))}
    </>
  );
}
