import { grouped } from '@/core/grouped';
import { careDue, cutsOf, type CareDone, type CareDue, type CareFacts } from '@/core/care/due';
import { growthOf, type Cut, type Growth, type LengthOnDay } from '@/core/care/growth';
import { ZONES, type Zone } from '@/core/hair/zone';
import { DAY_MS } from '@/core/units/time';
import { calendarDates } from './calendar-dates';
import type { Reader } from './db/client';
import {
  careHeads,
  careOf,
  careSets,
  conditionsOf,
  lengthsOf,
  type CareEntry,
  type CareSet,
  type MeasuredLength,
} from './db/rows/care';

/** The studio whose heads are cared for. */
export interface CareStudio {
  readonly id: string;
  readonly timeZone: string;
  readonly trimWeeks: number;
}

/** Something that is due, on the calendar of the studio. */
export interface DatedCare extends CareDue {
  /** YYYY-MM-DD; null where the calendar does not say. */
  readonly date: string | null;
  readonly isDue: boolean;
}

/** Care of one head. */
export interface HeadCare {
  readonly headId: string;
  readonly name: string;
  readonly due: readonly DatedCare[];
}

/** Days since the first of 1970 of a calendar date, and back. */
const dayOfDate = (date: string) => Math.round(Date.parse(`${date}T00:00:00Z`) / DAY_MS);
const dateOfDay = (day: number) => new Date(day * DAY_MS).toISOString().slice(0, 10);

/** Days of moments on the calendar of a zone. */
function dayCounter(timeZone: string): (ms: number) => number {
  const date = calendarDates(timeZone);
  return (ms) => dayOfDate(date(ms));
}

/** Care looks back so far: what was washed and set before tells nothing of what is due. */
const LOOKED_BACK_MS = 400 * DAY_MS;

/** Steps of a set that wash the hair, and those that condition it deeply. */
const isWash = ({ prep }: CareSet) => prep === null || prep.includes('cleanse');
const isDeep = ({ prep }: CareSet) => prep?.includes('deep-condition') ?? false;

/** Lengths of each zone by day, the last of a day standing. */
function zonesByDay(
  rows: readonly MeasuredLength[],
  dayOf: (ms: number) => number,
): Map<Zone, LengthOnDay[]> {
  const zones = new Map<Zone, LengthOnDay[]>();
  for (const zone of ZONES) {
    const days = new Map<number, number>();
    for (const row of rows) if (row.zone === zone) days.set(dayOf(row.measuredAtMs), 10 * row.cm);
    if (days.size > 0)
      zones.set(
        zone,
        [...days].map(([day, mm]) => ({ day, mm })),
      );
  }
  return zones;
}

const byHead = <T extends { readonly headId: string }>(rows: readonly T[]): Map<string, T[]> =>
  grouped(rows, ({ headId }) => headId);

const doneOf = (entries: readonly CareEntry[]): CareDone[] =>
  entries.map(({ kind, date, cutMm }) => ({ kind, day: dayOfDate(date), cutMm }));

/** What is due on heads, of one or of all that are there, by name. */
export async function careOfHeads(
  reader: Reader,
  { id: studioId, timeZone, trimWeeks }: CareStudio,
  nowMs: number,
  headId?: string,
): Promise<HeadCare[]> {
  const dayOf = dayCounter(timeZone);
  const today = dayOf(nowMs);
  const heads = await careHeads(reader, studioId, headId);
  const log = byHead(await careOf(reader, studioId, headId));
  const sets = byHead(await careSets(reader, studioId, nowMs - LOOKED_BACK_MS, headId));
  const lengths = byHead(await lengthsOf(reader, studioId, headId));
  const conditions = await conditionsOf(reader, studioId, headId);
  return heads.map(({ id, name, schools }) => {
    const own = sets.get(id) ?? [];
    const noted = own.flatMap(({ takenDownAtMs, itchDay, flakesAtMs }) => [
      ...(takenDownAtMs !== null && itchDay !== null ? [dayOf(takenDownAtMs) + itchDay] : []),
      ...(flakesAtMs !== null ? [dayOf(flakesAtMs)] : []),
    ]);
    const told = conditions.get(id) ?? [];
    const outgrownAtMs = own.find((set) => set.outgrownAtMs !== null)?.outgrownAtMs ?? undefined;
    const facts: CareFacts = {
      today,
      done: doneOf(log.get(id) ?? []),
      sets: own.filter(isWash).map((set) => ({ day: dayOf(set.startedAtMs), isDeep: isDeep(set) })),
      isInSet: own[0]?.takenDownAtMs === null && own[0].endedAtMs === null,
      scalpNotedOn: noted.length > 0 ? Math.max(...noted) : null,
      endsNoted: own.map(({ isEndsNoted }) => isEndsNoted),
      isDueATrim: told.includes('due-a-trim'),
      isDeepEveryTime: told.includes('bleached') || schools.conditioning === 'always',
      lengths: [...zonesByDay(lengths.get(id) ?? [], dayOf).values()],
      trimWeeks,
      rodsOutgrownOn: outgrownAtMs === undefined ? null : dayOf(outgrownAtMs),
    };
    const due = careDue(facts).map((one): DatedCare => ({
      ...one,
      date: one.day === null ? null : dateOfDay(one.day),
      isDue: one.day === null || one.day <= today,
    }));
    return { headId: id, name, due };
  });
}

/** How one zone of a head grew. */
export interface ZoneGrowth {
  readonly zone: Zone;
  readonly points: readonly { readonly date: string; readonly cm: number }[];
  readonly growth: Growth | null;
  readonly oddDates: readonly string[];
}

/** The log of lengths of a head, zone by zone, and what came off. */
export async function growthOfHead(
  reader: Reader,
  { id: studioId, timeZone }: CareStudio,
  headId: string,
): Promise<{
  readonly zones: readonly ZoneGrowth[];
  readonly cuts: readonly { date: string; mm: number | null }[];
}> {
  const dayOf = dayCounter(timeZone);
  const entries = await careOf(reader, studioId, headId);
  const cuts: Cut[] = cutsOf(doneOf(entries));
  const zones = zonesByDay(await lengthsOf(reader, studioId, headId), dayOf);
  return {
    zones: [...zones].map(([zone, points]) => {
      const growth = growthOf(points, cuts);
      return {
        zone,
        points: points.map(({ day, mm }) => ({ date: dateOfDay(day), cm: mm / 10 })),
        growth,
        oddDates: (growth?.oddDays ?? []).map(dateOfDay),
      };
    }),
    cuts: entries
      .filter(({ kind }) => kind === 'trim' || kind === 'cut')
      .map(({ date, cutMm }) => ({ date, mm: cutMm })),
  };
}
