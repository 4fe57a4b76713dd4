import { DAY_MS } from '@/core/units/time';

const NAME = /^keen-spiral-(\d{4}-\d{2}-\d{2})T(\d{2})-(\d{2})-(\d{2})\.db$/;

/** Copies that are kept: the last ones, then the newest of each day, then of each week. */
const LAST = 6;
const DAYS = 14;
const WEEKS = 8;

/** File name of a copy taken at a moment, in UTC so that names sort by age. */
export const copyName = (ms: number): string =>
  `keen-spiral-${new Date(ms).toISOString().slice(0, 19).replaceAll(':', '-')}.db`;

/** When a copy was taken, by its name; null for another file. */
export function timeOfCopy(name: string): number | null {
  const [, day, hour, minute, second] = NAME.exec(name) ?? [];
  if (!day) return null;
  const ms = Date.parse(`${day}T${hour}:${minute}:${second}Z`);
  return Number.isNaN(ms) ? null : ms;
}

/** The newest of each period, for as many periods as are kept. */
function newestOfEach(
  newestFirst: readonly number[],
  periodOf: (ms: number) => number,
  most: number,
): number[] {
  const newest = new Map<number, number>();
  for (const ms of newestFirst) if (!newest.has(periodOf(ms))) newest.set(periodOf(ms), ms);
  return [...newest.values()].slice(0, most);
}

/** Which of the copies are kept: six last, fourteen daily, eight weekly; one may be several of these. */
export function copiesToKeep(takenAtMs: readonly number[]): number[] {
  const newestFirst = [...new Set(takenAtMs)].sort((a, b) => b - a);
  // 1 January 1970 was a Thursday: three days on, weeks begin on Monday.
  const weekOf = (ms: number) => Math.floor((ms + 3 * DAY_MS) / (7 * DAY_MS));
  return [
    ...new Set([
      ...newestFirst.slice(0, LAST),
      ...newestOfEach(newestFirst, (ms) => Math.floor(ms / DAY_MS), DAYS),
      ...newestOfEach(newestFirst, weekOf, WEEKS),
    ]),
  ].sort((a, b) => b - a);
}
