import { grouped } from '@/core/grouped';
import 'server-only';
import { dayProblem, stretchedOf } from '@/core/diary/day-problem';
import { saysSomething, type DayEntry } from '@/core/diary/day-entry';
import { WEAR_DAYS } from '@/core/formats/ranges';
import { perZone, ZONES, type PerZone } from '@/core/hair/zone';
import { readCheckRow } from '@/core/tables/checks-table';
import { columnsOf, rowOf, type TableRow } from '@/core/tables/cells';
import { readSetRow } from '@/core/tables/sets-table';
import { tables, type RowFate, type TableId } from '@/core/tables/table';
import { readWearRow, type WearTableRow } from '@/core/tables/wear-table';
import { localTimeOf } from '@/core/schedule/local-time';
import { DAY_MS } from '@/core/units/time';
import { query, type Call } from '@/server/action';
import { tableAsCsv } from '@/server/archive/tables-as-csv';
import { listHeadNames } from '@/server/db/rows/heads';
import {
  beginImport as beginImportRow,
  endImport,
  enteredOf,
  importedOf,
  listImports,
  noteImported,
  standingImport,
  tableSets,
  takeDaysIn,
  undoDays,
  undoSets,
  type DayToTakeIn,
  type TableSet,
} from '@/server/db/rows/imports';
import { findSet } from '@/server/db/rows/sets';
import { AppError, invalid } from '@/server/errors';
import { enterTold, momentOf, tell } from '../sets/entering/queries';

/** Imports that the page lists. */
const LISTED = 8;

/** The newest imports of the studio. */
export const loadImports = () =>
  query('records', ({ actor, database }) => listImports(database.db, actor.studio.id, LISTED));

/** A table of the studio as CSV. */
export const loadTable = (table: TableId) =>
  query('records', ({ actor, database }) => tableAsCsv(database.db, actor.studio, table));

/** Rows of a file as they are sent: the names of its columns, and cells. */
export interface SentRows {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** What they are taken in under; null to look what would become of them. */
  readonly importId: string | null;
}

/** Begins taking a table in. */
export const beginImport = (table: TableId, fileName: string) =>
  query('records', ({ actor, database, nowMs }) =>
    database.write((tx) => beginImportRow(tx, actor.studio.id, table, fileName, nowMs)),
  );

/**
 * What becomes of rows: looked at, or taken in under an import.
 *
 * @throws AppError invalid where a column is missing that nothing can be read without
 */
export const tableRows = (table: TableId, { columns, rows, importId }: SentRows): Promise<RowFate[]> =>
  query('records', async (call) => {
    const places = columnsOf(columns, tables[table].columns);
    const missing = tables[table].needs.filter((name) => !places.has(name));
    if (missing.length > 0)
      throw invalid(
        'columns',
        `the column ${missing.join(', ')} is missing: the first row names the columns`,
      );
    if (
      importId !== null &&
      (await standingImport(call.database.db, call.actor.studio.id, importId)) !== table
    )
      throw new AppError('not-found');
    const read = rows.map((cells) => rowOf(cells, places));
    return TAKERS[table](call, read, importId);
  });

type Taker = (call: Call, rows: readonly TableRow[], importId: string | null) => Promise<RowFate[]>;

const refuse = (words: string): RowFate => ({ fate: 'refused', words });

/** Lengths of a head as they stand in a brief. */
function lengthsOf(told: unknown): PerZone<number> {
  if (typeof told === 'number') return stretchedOf(told);
  const zones = (told ?? {}) as Partial<Record<(typeof ZONES)[number], unknown>>;
  return perZone((zone) => (typeof zones[zone] === 'number' ? zones[zone] : Infinity));
}

/** What is said of a day, in one order, so that the same can be told. */
const said = ({ ratings, marks, night, done, weather, visibleCm, note }: DayEntry): string =>
  JSON.stringify([
    Object.entries(ratings).sort(),
    Object.entries(marks)
      .filter(([, numbers]) => numbers.length > 0)
      .sort(),
    night,
    [[...done.deeds].sort(), done.redone, done.worn],
    weather,
    Object.entries(visibleCm).sort(),
    note,
  ]);

const takeDays: Taker = async ({ actor: { studio }, database, nowMs }, rows, importId) => {
  const read = rows.map(readWearRow);
  const told = read.flatMap((one) => (one.ok ? [one.value] : []));
  const found = await tableSets(
    database.db,
    studio.id,
    told.flatMap(({ set }) => (set === '' ? [] : [set])),
    told.flatMap(({ set, head }) => (set === '' ? [head] : [])),
  );
  const dateOf = (ms: number) => localTimeOf(ms, studio.timeZone).slice(0, 10);
  const today = dateOf(nowMs);
  const downOn = new Map(
    found.map(({ id, takenDownAtMs }) => [id, takenDownAtMs === null ? null : dateOf(takenDownAtMs)]),
  );
  const byId = new Map(found.map((set) => [set.id, set]));
  const byHead = grouped(found, ({ headName }) => headName);
  const setOf = (row: WearTableRow) =>
    row.set !== ''
      ? byId.get(row.set)
      : byHead.get(row.head)?.find(({ id }) => downOn.get(id) === row.takenDown);
  const dayOf = (row: WearTableRow, set: TableSet) =>
    Math.round((Date.parse(row.date) - Date.parse(downOn.get(set.id) ?? '')) / DAY_MS);
  const asked = told.flatMap((row) => {
    const set = setOf(row);
    const day = set ? dayOf(row, set) : NaN;
    return set && day >= 0 ? [{ id: set.id, day }] : [];
  });
  const known = await enteredOf(
    database.db,
    studio.id,
    asked.map(({ id }) => id),
    [...new Set(asked.map(({ day }) => day))],
  );
  const seen = new Set<string>();
  const taken: DayToTakeIn[] = [];
  const one = (row: WearTableRow): RowFate => {
    const set = setOf(row);
    if (!set)
      return refuse(
        row.set === '' ? 'no set of this head was taken down on that day' : 'this set is not here',
      );
    const takenDownOn = downOn.get(set.id);
    if (!takenDownOn) return refuse('this set has not been taken down yet');
    if (set.cancelledAtMs !== null) return refuse('this set was cancelled');
    const day = dayOf(row, set);
    if (Number.isNaN(day)) return refuse(`“${row.date}” is not a day that exists`);
    if (day < 0) return refuse('that day is before the takedown');
    if (row.date > today) return refuse('that day has not come yet');
    if (day > WEAR_DAYS.high)
      return refuse(`that day is more than ${WEAR_DAYS.high} days after the takedown`);
    if (set.isTrial !== (row.half !== 'whole'))
      return refuse(
        set.isTrial ? 'this set is rated by halves: left or right' : 'this set is no half-head trial',
      );
    if (!saysSomething(row.entry)) return refuse('nothing is said');
    const problem = dayProblem(row.entry, { stretchedCm: lengthsOf(set.stretchedCm), sections: null });
    if (problem) return refuse(problem.message);
    const key = `${set.id}/${day}/${row.half}`;
    if (seen.has(key)) return refuse('another row of this file is of the same day');
    seen.add(key);
    const before = known.get(key) ?? null;
    if (before && said(before) === said(row.entry)) return { fate: 'same' };
    taken.push({
      setId: set.id,
      day,
      half: row.half,
      entry: row.entry,
      ratedBy: row.ratedBy || null,
      before,
    });
    return { fate: before ? 'later' : 'new' };
  };
  const fates = read.map((row) => (row.ok ? one(row.value) : refuse(row.message)));
  if (importId !== null && taken.length > 0)
    await database.write((tx) => takeDaysIn(tx, studio.id, importId, taken, nowMs));
  return fates;
};

const takeSets: Taker = async (call, rows, importId) => {
  const { actor, database } = call;
  const studioId = actor.studio.id;
  const read = rows.map(readSetRow);
  const known = await tableSets(
    database.db,
    studioId,
    read.flatMap((row) => (row.ok && row.value.set !== '' ? [row.value.set] : [])),
    read.flatMap((row) => (row.ok ? [row.value.head] : [])),
  );
  const names = await listHeadNames(database.db, studioId);
  const fates: RowFate[] = [];
  for (const row of read) {
    if (!row.ok) {
      fates.push(refuse(row.message));
      continue;
    }
    const {
      set,
      head,
      allIn,
      takenDown,
      begun,
      title,
      technique,
      sections,
      note,
      lastGoodDay,
      reason,
      wouldHaveGoneOn,
    } = row.value;
    const heads = names.filter(({ name }) => name === head);
    const downMs = takenDown === '' ? null : momentOrNull(call, takenDown);
    const isHere =
      known.some(({ id }) => id === set) ||
      known.some(
        (own) =>
          own.headName === head &&
          downMs !== null &&
          own.takenDownAtMs !== null &&
          Math.abs(own.takenDownAtMs - downMs) < 60_000,
      );
    if (isHere) fates.push({ fate: 'same' });
    else if (heads.length !== 1)
      fates.push(
        refuse(
          heads.length === 0
            ? `no head is called ${head}: make its card first`
            : `several heads are called ${head}`,
        ),
      );
    else if (allIn === '' || takenDown === '')
      fates.push(refuse('a set that is new here takes the times it was all in and taken down'));
    else {
      const problem = timesProblem(call, [begun, allIn, takenDown]);
      if (problem) fates.push(refuse(problem));
      else {
        if (importId !== null) {
          const ended =
            lastGoodDay === null || reason === null
              ? null
              : {
                  date: new Date(Date.parse(takenDown.slice(0, 10)) + lastGoodDay * DAY_MS)
                    .toISOString()
                    .slice(0, 10),
                  reason,
                  wouldHaveGoneOn,
                };
          await enterTold(
            call,
            {
              headId: heads[0]!.id,
              technique,
              sections,
              title,
              begun,
              installed: allIn,
              dried: null,
              takenDown,
              note,
              ended,
            },
            (tx, setId) => noteImported(tx, studioId, importId, [{ rowId: setId, setId }]),
          );
        }
        fates.push({ fate: 'new' });
      }
    }
  }
  return fates;
};

function momentOrNull(call: Call, local: string): number | null {
  try {
    return momentOf(call, local, 'at');
  } catch {
    return null;
  }
}

/** Why times of a set cannot be; null where they can. */
function timesProblem(call: Call, locals: readonly string[]): string | null {
  const times = locals.map((local) => momentOrNull(call, local));
  const gone = times.findIndex((ms) => ms === null);
  if (gone >= 0) return `“${locals[gone]}” is not a time that exists`;
  if (times.some((ms) => ms! > call.nowMs)) return 'that has not come yet';
  return times.some((ms, i) => i > 0 && ms! < times[i - 1]!)
    ? 'begun, all in and taken down come in that order'
    : null;
}

const takeChecks: Taker = async (call, rows, importId) => {
  const { actor, database } = call;
  const studioId = actor.studio.id;
  const read = rows.map(readCheckRow);
  const sets = new Map<string, Awaited<ReturnType<typeof findSet>>>();
  const fates: RowFate[] = [];
  for (const row of read) {
    if (!row.ok) {
      fates.push(refuse(row.message));
      continue;
    }
    const { set: setId, at, section, level, feel } = row.value;
    if (!sets.has(setId)) sets.set(setId, await findSet(database.db, studioId, setId));
    const set = sets.get(setId);
    const atMs = momentOrNull(call, at);
    if (!set) fates.push(refuse('this set is not here'));
    else if (atMs === null) fates.push(refuse(`“${at}” is not a time that exists`));
    else if (set.installedAtMs === null) fates.push(refuse('this set is not finished yet: nothing dries'));
    else if (atMs < set.installedAtMs || atMs > (set.takenDownAtMs ?? call.nowMs))
      fates.push(refuse('a check lies between the end of the set and its takedown'));
    else if (!set.sections.some(({ number }) => number === section) && !set.run.parting.ever.has(section))
      fates.push(refuse(`this set has no section ${section}`));
    else if (
      set.run.checks.some(
        (own) =>
          own.sectionNumber === section &&
          own.level === level &&
          own.feel === feel &&
          Math.abs(own.atMs - atMs) < 60_000,
      )
    )
      fates.push({ fate: 'same' });
    else {
      if (importId !== null) {
        try {
          await database.write(async (tx) => {
            const id = await tell(tx, call, setId, 'felt', atMs, { sectionNumber: section, level, feel });
            await noteImported(tx, studioId, importId, [{ rowId: id, setId }]);
          });
          sets.delete(setId);
        } catch (thrown) {
          if (!(thrown instanceof AppError)) throw thrown;
          fates.push(refuse(thrown.errors[0]?.message ?? 'this cannot have happened'));
          continue;
        }
      }
      fates.push({ fate: 'new' });
    }
  }
  return fates;
};

const TAKERS: Readonly<Record<TableId, Taker>> = {
  sets: takeSets,
  'wear-days': takeDays,
  checks: takeChecks,
};

/**
 * Takes an import back.
 *
 * @returns how many rows stay because they were changed since
 */
export const undoImport = (id: string) =>
  query('records', async (call) => {
    const { actor, database, nowMs } = call;
    const studioId = actor.studio.id;
    return database.write(async (tx) => {
      const table = await standingImport(tx, studioId, id);
      let left = 0;
      if (table === 'wear-days') left = await undoDays(tx, studioId, id, nowMs);
      else if (table === 'sets') left = await undoSets(tx, studioId, id);
      else
        for (const { rowId, setId } of await importedOf(tx, studioId, id))
          await tell(tx, call, setId, 'taken-back', nowMs, { of: [rowId] });
      await endImport(tx, studioId, id, nowMs);
      return { left };
    });
  });
