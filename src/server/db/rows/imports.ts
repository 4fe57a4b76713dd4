import { and, asc, count, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import { dayEntry, type DayEntry } from '@/core/diary/day-entry';
import type { Half } from '@/core/hair/half';
import { TABLE_IDS, type TableId } from '@/core/tables/table';
import { AppError, invalid } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { heads, importedRows, imports, photos, sets, wearDayHistory, wearDays } from '../schema';
import { columnsOf, readWearDay, type WearDay } from './wear';

/** A table that was taken in. */
export interface ImportRecord {
  readonly id: string;
  readonly table: TableId;
  readonly fileName: string;
  readonly begunAtMs: number;
  readonly undoneAtMs: number | null;
  readonly rows: number;
}

/** The newest imports of a studio. */
export async function listImports(reader: Reader, studioId: string, most: number): Promise<ImportRecord[]> {
  const rows = await reader
    .select({
      id: imports.id,
      table: imports.table,
      fileName: imports.fileName,
      begunAtMs: imports.begunAtMs,
      undoneAtMs: imports.undoneAtMs,
      rows: count(importedRows.id),
    })
    .from(imports)
    .leftJoin(importedRows, eq(importedRows.importId, imports.id))
    .where(eq(imports.studioId, studioId))
    .groupBy(imports.id)
    .orderBy(desc(imports.begunAtMs), desc(imports.id))
    .limit(most);
  return rows.flatMap((row) => (TABLE_IDS.some((id) => id === row.table) ? [row] : []));
}

/** Begins taking a table in. @returns what its rows are written under */
export async function beginImport(
  tx: Tx,
  studioId: string,
  table: TableId,
  fileName: string,
  nowMs: number,
): Promise<string> {
  const id = newId(nowMs);
  await tx.insert(imports).values({ id, studioId, table, fileName, begunAtMs: nowMs });
  return id;
}

/**
 * An import that stands, for more of its rows.
 *
 * @throws AppError not-found
 */
export async function standingImport(reader: Reader, studioId: string, id: string): Promise<TableId> {
  const [row] = await reader
    .select({ table: imports.table })
    .from(imports)
    .where(and(eq(imports.studioId, studioId), eq(imports.id, id), isNull(imports.undoneAtMs)));
  if (!row) throw new AppError('not-found');
  return row.table;
}

/** What a table needs to know of a set. */
export interface TableSet {
  readonly id: string;
  readonly headName: string;
  readonly takenDownAtMs: number | null;
  readonly cancelledAtMs: number | null;
  readonly isTrial: boolean;
  /** One length, or one a zone, cm. */
  readonly stretchedCm: unknown;
}

const IDS_A_STATEMENT = 500;
const chunks = <T>(items: readonly T[]): T[][] =>
  Array.from({ length: Math.ceil(items.length / IDS_A_STATEMENT) }, (_, i) =>
    items.slice(i * IDS_A_STATEMENT, (i + 1) * IDS_A_STATEMENT),
  );

const parsed = (text: string | null): unknown => {
  try {
    return text === null ? null : JSON.parse(text);
  } catch {
    return null;
  }
};

/** Sets by id, and those of heads by name. */
export async function tableSets(
  reader: Reader,
  studioId: string,
  ids: readonly string[],
  names: readonly string[],
): Promise<TableSet[]> {
  const found = new Map<string, TableSet>();
  for (const [column, wanted] of [
    [sets.id, ids],
    [heads.name, names],
  ] as const) {
    for (const some of chunks([...new Set(wanted)])) {
      const rows = await reader
        .select({
          id: sets.id,
          headName: heads.name,
          takenDownAtMs: sets.takenDownAtMs,
          cancelledAtMs: sets.cancelledAtMs,
          told: sql<
            string | null
          >`case when json_valid(${sets.brief}) then json_extract(${sets.brief}, '$.parting.trial', '$.head.stretchedLengthCm') end`,
        })
        .from(sets)
        .innerJoin(heads, eq(heads.id, sets.headId))
        .where(and(eq(sets.studioId, studioId), inArray(column, some)));
      for (const { told, ...row } of rows) {
        const [isTrial, stretchedCm] = (parsed(told) ?? []) as [unknown, unknown];
        found.set(row.id, { ...row, isTrial: isTrial === true, stretchedCm });
      }
    }
  }
  return [...found.values()];
}

/**
 * The days that are entered of some sets, by `set/day/half`.
 *
 * @param only days that are asked for; all of them when left out
 */
export async function enteredOf(
  reader: Reader,
  studioId: string,
  setIds: readonly string[],
  only?: readonly number[],
): Promise<Map<string, WearDay>> {
  const days = new Map<string, WearDay>();
  for (const some of chunks([...new Set(setIds)])) {
    const rows = await reader
      .select()
      .from(wearDays)
      .where(
        and(
          eq(wearDays.studioId, studioId),
          inArray(wearDays.setId, some),
          only ? inArray(wearDays.day, [...only]) : undefined,
        ),
      )
      .orderBy(asc(wearDays.day));
    for (const row of rows) days.set(`${row.setId}/${row.day}/${row.half}`, readWearDay(row));
  }
  return days;
}

/** A day from a table. */
export interface DayToTakeIn {
  readonly setId: string;
  readonly day: number;
  readonly half: Half;
  readonly entry: DayEntry;
  readonly ratedBy: string | null;
  /** What it takes the place of; null where the day is new. */
  readonly before: WearDay | null;
}

/** Rows of one statement: SQLite binds some thirty thousand values at most. */
const ROWS_A_STATEMENT = 250;

/** Takes days of wear in under an import. What they replace goes to the history. */
export async function takeDaysIn(
  tx: Tx,
  studioId: string,
  importId: string,
  days: readonly DayToTakeIn[],
  nowMs: number,
): Promise<void> {
  await standingImport(tx, studioId, importId);
  const fresh = days.filter(({ before }) => before === null);
  for (let from = 0; from < fresh.length; from += ROWS_A_STATEMENT) {
    const rows = fresh.slice(from, from + ROWS_A_STATEMENT).map(({ setId, day, half, entry, ratedBy }) => ({
      id: newId(nowMs),
      studioId,
      setId,
      day,
      half,
      ...columnsOf(entry),
      ratedBy,
      source: 'table' as const,
      revision: 1,
      updatedAtMs: nowMs,
    }));
    await tx.insert(wearDays).values(rows);
    await tx
      .insert(importedRows)
      .values(
        rows.map(({ id, setId }) => ({ importId, studioId, rowId: id, setId, before: null, revision: 1 })),
      );
  }
  for (const { setId, entry, ratedBy, before } of days) {
    if (before === null) continue;
    const revision = before.revision + 1;
    await tx.insert(wearDayHistory).values({
      id: newId(nowMs),
      studioId,
      wearDayId: before.id,
      entry: dayEntry.parse(before),
      ratedBy: before.ratedBy,
      source: before.source,
      replacedAtMs: nowMs,
    });
    await tx
      .update(wearDays)
      .set({ ...columnsOf(entry), ratedBy, source: 'table', revision, updatedAtMs: nowMs })
      .where(and(eq(wearDays.studioId, studioId), eq(wearDays.id, before.id)));
    await tx.insert(importedRows).values({
      importId,
      studioId,
      rowId: before.id,
      setId,
      before: { entry: dayEntry.parse(before), ratedBy: before.ratedBy, source: before.source },
      revision,
    });
  }
}

/** Notes that a set, or a check by the id of its event, came in under an import. */
export async function noteImported(
  tx: Tx,
  studioId: string,
  importId: string,
  rows: readonly { readonly rowId: string; readonly setId: string }[],
): Promise<void> {
  await standingImport(tx, studioId, importId);
  if (rows.length > 0)
    await tx
      .insert(importedRows)
      .values(rows.map((row) => ({ ...row, importId, studioId, before: null, revision: 0 })));
}

/** What an import made or changed. */
export const importedOf = (reader: Reader, studioId: string, importId: string) =>
  reader
    .select()
    .from(importedRows)
    .where(and(eq(importedRows.studioId, studioId), eq(importedRows.importId, importId)))
    .orderBy(desc(importedRows.id));

/**
 * Takes days of wear back that an import made or changed. A day that was edited since stays as it is.
 *
 * @returns how many stay
 */
export async function undoDays(tx: Tx, studioId: string, importId: string, nowMs: number): Promise<number> {
  await standingImport(tx, studioId, importId);
  const ofImport = and(eq(importedRows.studioId, studioId), eq(importedRows.importId, importId));
  // Made by the import and not touched since: gone, in one statement however many they are.
  await tx.delete(wearDays).where(
    and(
      eq(wearDays.studioId, studioId),
      sql`exists (select 1 from imported_rows r where r.import_id = ${importId} and r.row_id = ${wearDays.id}
        and r.before is null and r.revision = ${wearDays.revision})`,
    ),
  );
  const changed = await tx
    .select()
    .from(importedRows)
    .where(and(ofImport, sql`${importedRows.before} is not null`));
  for (const { rowId, before, revision } of changed) {
    const was = before as { entry: unknown; ratedBy: string | null; source: WearDay['source'] };
    const entry = dayEntry.safeParse(was.entry);
    if (!entry.success) continue;
    await tx
      .update(wearDays)
      .set({
        ...columnsOf(entry.data),
        ratedBy: was.ratedBy,
        source: was.source,
        revision: revision + 1,
        updatedAtMs: nowMs,
      })
      .where(and(eq(wearDays.studioId, studioId), eq(wearDays.id, rowId), eq(wearDays.revision, revision)));
  }
  const [left] = await tx
    .select({ n: count() })
    .from(importedRows)
    .innerJoin(wearDays, eq(wearDays.id, importedRows.rowId))
    .where(
      and(
        ofImport,
        sql`case when ${importedRows.before} is null then 1 else ${wearDays.revision} <> ${importedRows.revision} + 1 end`,
      ),
    );
  return left?.n ?? 0;
}

/**
 * Deletes sets that an import made. One that got days, pictures or more taps since stays.
 *
 * @returns how many stay
 */
export async function undoSets(tx: Tx, studioId: string, importId: string): Promise<number> {
  await standingImport(tx, studioId, importId);
  const rows = await importedOf(tx, studioId, importId);
  let left = 0;
  for (const { setId } of rows) {
    const has = async (table: typeof wearDays | typeof photos) =>
      (
        await tx
          .select({ id: table.id })
          .from(table)
          .where(and(eq(table.studioId, studioId), eq(table.setId, setId)))
          .limit(1)
      ).length > 0;
    if ((await has(wearDays)) || (await has(photos))) left++;
    else await tx.delete(sets).where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
  }
  return left;
}

/**
 * Marks an import as taken back.
 *
 * @throws AppError invalid where it was already
 */
export async function endImport(tx: Tx, studioId: string, id: string, nowMs: number): Promise<void> {
  const done = await tx
    .update(imports)
    .set({ undoneAtMs: nowMs })
    .where(and(eq(imports.studioId, studioId), eq(imports.id, id), isNull(imports.undoneAtMs)))
    .returning({ id: imports.id });
  if (done.length === 0) throw invalid('id', 'this import was taken back already');
}
