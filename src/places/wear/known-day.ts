import { EMPTY_DAY, saysSomething, type DayEntry } from '@/core/diary/day-entry';
import type { Half } from '@/core/hair/half';
import { saidOfDay, type SaidOfDay } from '@/core/diary/said-of-day';
import type { Measured } from '@/core/run/measured';
import type { KeptEntry } from './use-days';

/** What is kept of the days of a set, as it stands in this tab. */
export interface KeptDay extends KeptEntry {
  readonly day: number;
}

/** The halves that are rated of a set. */
export const halvesOf = (isTrial: boolean): readonly Half[] => (isTrial ? ['left', 'right'] : ['whole']);

/**
 * What was said of a day, half by half. Where names are kept from who rates, both halves are told what was said of the
 * head: anything else would tell which product is where.
 */
export const saidOfHalves = (
  forecast: Parameters<typeof saidOfDay>[0],
  day: number,
  halves: readonly Half[],
  isHidden: boolean,
): SaidOfDay[] => halves.map((half) => saidOfDay(forecast, day, isHidden ? 'whole' : half));

/** Days as the database has them, for this tab. */
export const keptDays = (
  days: readonly (DayEntry & {
    readonly id: string;
    readonly day: number;
    readonly half: Half;
    readonly revision: number;
  })[],
): KeptDay[] =>
  days.map(({ day, half, revision, ratings, marks, night, done, weather, visibleCm, note }) => ({
    day,
    half,
    revision,
    entry: { ratings, marks, night, done, weather, visibleCm, note },
  }));

/**
 * What a day opens with, half by half: what is kept of it, and what was kept of the day before.
 *
 * @param measured first measurements of the set: the first day's, until that is entered
 */
export function openedDay(
  days: readonly KeptDay[],
  day: number,
  halves: readonly Half[],
  measured: Measured | null,
): { readonly known: readonly KeptEntry[]; readonly before: readonly (DayEntry | null)[] } {
  const of = (half: Half, on: number) => days.find((one) => one.day === on && one.half === half);
  const first: DayEntry = {
    ...EMPTY_DAY,
    ...(day === 0 && measured && { ratings: measured.ratings, visibleCm: measured.visibleCm }),
  };
  return {
    known: halves.map((half) => of(half, day) ?? { half, revision: 0, entry: first }),
    before: halves.map((half) => {
      const yesterday = of(half, day - 1)?.entry;
      return yesterday && saysSomething(yesterday) ? yesterday : null;
    }),
  };
}
