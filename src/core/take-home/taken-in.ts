import { dayEntry, EMPTY_DAY, saysSomething, type DayEntry } from '../diary/day-entry';
import type { HalfOutcome } from '../diary/outcome';
import type { Half } from '../hair/half';
import { endReasons } from '../wear/end-reasons';
import { WEAR_DAYS } from '../formats/ranges';
import { dayOfWear, wearDayNumber } from '../wear/wear-day-number';
import type { HomeDay, HomeDiary, HomeEnd } from './diary-code';

/** What becomes of an entry that comes from home. One row each. */
export const fates = {
  new: { label: 'taken in', isTaken: true },
  later: { label: 'taken in: later than what was here, which stays in the history', isTaken: true },
  earlier: { label: 'goes to the history: what is here was entered later', isTaken: true },
  same: { label: 'here already', isTaken: false },
  empty: { label: 'left out: nothing is said', isTaken: false },
  before: { label: 'left out: before the takedown', isTaken: false },
  future: { label: 'left out: that day has not come yet', isTaken: false },
  'too-late': { label: `left out: more than ${WEAR_DAYS.high} days after the takedown`, isTaken: false },
  'other-half': { label: 'left out: this set is rated otherwise, whole or by halves', isTaken: false },
  twice: { label: 'left out: a later entry of the day is in the diary', isTaken: false },
  unreadable: { label: 'left out: out of range', isTaken: false },
  'ended-otherwise': { label: 'left out: another end is recorded here', isTaken: false },
} as const satisfies Record<string, { readonly label: string; readonly isTaken: boolean }>;
export type FateId = keyof typeof fates;

/** An entry of a day as the studio has it. */
export interface KnownDay extends DayEntry {
  readonly day: number;
  readonly half: Half;
  readonly revision: number;
  readonly atMs: number;
}

/** What a diary is held against. */
export interface HeldAgainst {
  readonly takenDownAtMs: number;
  readonly nowMs: number;
  readonly timeZone: string;
  readonly isTrial: boolean;
  readonly days: readonly KnownDay[];
  readonly ends: readonly HalfOutcome[];
}

/** One entry from home and what becomes of it. */
export interface DayFate {
  readonly date: string;
  readonly day: number | null;
  readonly half: Half;
  readonly fate: FateId;
  /** What is kept: what is asked at home from there, all else as it is here. */
  readonly entry: DayEntry | null;
  /** The revision that it takes the place of; 0 for none. */
  readonly revision: number;
}

/** An end from home and what becomes of it. */
export interface EndFate {
  readonly date: string;
  readonly half: Half;
  readonly fate: FateId;
  readonly outcome: HalfOutcome | null;
}

/** All that would become of a diary. */
export interface DiaryFates {
  readonly days: readonly DayFate[];
  readonly ends: readonly EndFate[];
}

/** An entry of home over what is known of the day: what is not asked there stays. */
function entryOf({ ratings, night, deeds, redone, worn, note }: HomeDay, known: DayEntry): DayEntry | null {
  const read = dayEntry.safeParse({
    ...known,
    ratings,
    night,
    done: { deeds: [...deeds], redone, worn },
    note,
  });
  return read.success ? read.data : null;
}

const sameSaid = (a: DayEntry, b: DayEntry): boolean =>
  JSON.stringify([
    sorted(a.ratings),
    a.night,
    [...a.done.deeds].sort(),
    a.done.redone,
    a.done.worn,
    a.note,
  ]) ===
  JSON.stringify([sorted(b.ratings), b.night, [...b.done.deeds].sort(), b.done.redone, b.done.worn, b.note]);
const sorted = (ratings: DayEntry['ratings']) => Object.entries(ratings).sort(([a], [b]) => (a < b ? -1 : 1));

/**
 * What becomes of every entry of a diary. A day is never there twice: of two entries the later stands, the earlier is
 * kept in the history.
 */
export function diaryFates(diary: HomeDiary, against: HeldAgainst): DiaryFates {
  const { takenDownAtMs, nowMs, timeZone, isTrial, days: known, ends } = against;
  const today = dayOfWear(takenDownAtMs, nowMs, timeZone);
  const placeOf = ({
    date,
    half,
  }: {
    date: string;
    half: Half;
  }): { day: number | null; fate: FateId | null } => {
    const day = wearDayNumber(date, takenDownAtMs, timeZone);
    if (day === null) return { day, fate: 'unreadable' };
    if (day < 0) return { day, fate: 'before' };
    if (day > today) return { day, fate: 'future' };
    if (day > WEAR_DAYS.high) return { day, fate: 'too-late' };
    return { day, fate: isTrial === (half !== 'whole') ? null : 'other-half' };
  };
  const days = diary.days.map((home, i): DayFate => {
    const { date, half } = home;
    const place = placeOf(home);
    const nothing = { date, half, day: place.day, entry: null, revision: 0 };
    if (place.fate) return { ...nothing, fate: place.fate };
    const isLast = !diary.days.some(
      (other, j) =>
        other.date === date &&
        other.half === half &&
        (other.atMs > home.atMs || (other.atMs === home.atMs && j > i)),
    );
    if (!isLast) return { ...nothing, fate: 'twice' };
    const here = known.find((one) => one.day === place.day && one.half === half);
    const entry = entryOf(home, here ?? EMPTY_DAY);
    if (!entry) return { ...nothing, fate: 'unreadable' };
    if (!saysSomething(entryOf(home, EMPTY_DAY)!)) return { ...nothing, fate: 'empty' };
    const found = { ...nothing, entry, revision: here?.revision ?? 0 };
    if (!here || !saysSomething(here)) return { ...found, fate: 'new' };
    if (sameSaid(entry, here)) return { ...nothing, fate: 'same' };
    return { ...found, fate: Math.min(home.atMs, nowMs) >= here.atMs ? 'later' : 'earlier' };
  });
  return { days, ends: diary.ends.map((end) => endFate(end, placeOf(end), ends)) };
}

function endFate(
  { date, half, reason, wouldHaveGoneOn }: HomeEnd,
  { day, fate }: { readonly day: number | null; readonly fate: FateId | null },
  ends: readonly HalfOutcome[],
): EndFate {
  if (fate || day === null) return { date, half, fate: fate ?? 'unreadable', outcome: null };
  const here = ends.find((one) => one.half === half);
  if (here)
    return {
      date,
      half,
      fate: here.lastGoodDay === day && here.reason === reason ? 'same' : 'ended-otherwise',
      outcome: null,
    };
  const outcome: HalfOutcome = {
    half,
    lastGoodDay: day,
    reason,
    wouldHaveGoneOn: endReasons[reason].asks ? wouldHaveGoneOn : null,
    note: '',
    recalled: null,
  };
  return { date, half, fate: 'new', outcome };
}
