import { eq, getTableColumns, type Column } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { z } from 'zod';
import { fieldErrors, type Checked } from '@/core/formats/field-error';
import type { Database, Reader, Tx } from '../db/client';
import {
  drynessChecks,
  headMeasurements,
  heads,
  mixes,
  outcomes,
  plans,
  products,
  setEvents,
  sets,
  setSections,
  studios,
  tools,
  wearDays,
  zoneMeasurements,
} from '../db/schema';

/** Everything of one studio, in an order in which rows can be put back: what is pointed at comes first. */
const TABLES = {
  heads,
  headMeasurements,
  zoneMeasurements,
  mixes,
  products,
  tools,
  plans,
  sets,
  setSections,
  setEvents,
  drynessChecks,
  wearDays,
  outcomes,
} as const satisfies Record<string, SQLiteTable>;

type TableName = keyof typeof TABLES;
/** Tables that archives of the first sessions do not have. */
const LATER_TABLES: readonly TableName[] = ['mixes'];
const TABLE_NAMES = Object.keys(TABLES) as TableName[];

/** What a column may hold: its own kind of value, or null where the table allows it. JSON is taken as it is. */
function columnSchema(column: Column): z.ZodType {
  const kinds: Readonly<Record<string, z.ZodType>> = {
    string: z.string(),
    number: z.number(),
    boolean: z.boolean(),
    json: z.json(),
  };
  const kind = kinds[column.dataType] ?? z.never();
  // What an older archive does not know yet may be missing: it is null, or has its default.
  return column.notNull && !column.hasDefault ? kind : column.notNull ? kind.optional() : kind.nullish();
}

const rowSchema = (table: SQLiteTable) =>
  z.strictObject(
    Object.fromEntries(
      Object.entries(getTableColumns(table))
        .filter(([name]) => name !== 'studioId')
        .map(([name, column]) => [name, columnSchema(column)]),
    ),
  );

/** A whole studio as one file. */
export const studioArchive = z
  .strictObject({
    format: z.literal('keen-spiral/studio', { error: 'format must be “keen-spiral/studio”' }),
    version: z.literal(1, { error: 'this version reads studios of version 1' }),
    studio: z.strictObject({
      name: z.string().min(1),
      timeZone: z.string().min(1),
      handUnits: z.record(z.string(), z.number()),
      currency: z.string().length(3).default('EUR'),
    }),
    tables: z.strictObject(
      Object.fromEntries(
        TABLE_NAMES.map((name) => {
          const rows = z.array(rowSchema(TABLES[name]));
          return [name, LATER_TABLES.includes(name) ? rows.default([]) : rows];
        }),
      ) as Record<TableName, z.ZodArray<ReturnType<typeof rowSchema>>>,
    ),
  })
  .meta({ title: 'Keen Spiral studio, version 1' });

export type StudioArchive = z.output<typeof studioArchive>;

const rowsOf = async (reader: Reader, table: SQLiteTable, studioId: string) => {
  const own = getTableColumns(table).studioId;
  if (!own) throw new RangeError('a table without a studio');
  const rows = await reader.select().from(table).where(eq(own, studioId));
  return rows.map((row) => Object.fromEntries(Object.entries(row).filter(([name]) => name !== 'studioId')));
};

/** Puts everything of a studio into one archive. */
export async function exportStudio(reader: Reader, studioId: string): Promise<StudioArchive> {
  const [studio] = await reader.select().from(studios).where(eq(studios.id, studioId));
  if (!studio) throw new RangeError('no such studio');
  const tables = {} as Record<TableName, StudioArchive['tables'][TableName]>;
  for (const name of TABLE_NAMES) {
    tables[name] = (await rowsOf(reader, TABLES[name], studioId)) as StudioArchive['tables'][TableName];
  }
  return {
    format: 'keen-spiral/studio',
    version: 1,
    studio: {
      name: studio.name,
      timeZone: studio.timeZone,
      handUnits: studio.handUnits as Record<string, number>,
      currency: studio.currency,
    },
    tables,
  };
}

/** Reads an archive, or says what is wrong with it. */
export function readArchive(raw: unknown): Checked<StudioArchive> {
  const parsed = studioArchive.safeParse(raw, { reportInput: true });
  return parsed.success ? { ok: true, value: parsed.data } : { ok: false, errors: fieldErrors(parsed.error) };
}

/** Rows a statement takes: 21 columns stay well below SQLite's parameter limit. */
const ROWS_A_STATEMENT = 200;

/** Fills a studio that has nothing yet from an archive, in one transaction. */
export async function importStudio(tx: Tx, studioId: string, archive: StudioArchive): Promise<void> {
  const { name, timeZone, handUnits, currency } = archive.studio;
  await tx.update(studios).set({ name, timeZone, handUnits, currency }).where(eq(studios.id, studioId));
  for (const table of TABLE_NAMES) {
    const rows = archive.tables[table];
    for (let from = 0; from < rows.length; from += ROWS_A_STATEMENT) {
      const part = rows.slice(from, from + ROWS_A_STATEMENT).map((row) => ({ ...row, studioId }));
      await tx.insert(TABLES[table] as SQLiteTable).values(part as never);
    }
  }
}

/** Whether a studio has anything in it yet. */
export async function isEmptyStudio({ db }: Database, studioId: string): Promise<boolean> {
  return (
    (await db.select({ id: heads.id }).from(heads).where(eq(heads.studioId, studioId)).limit(1)).length === 0
  );
}
