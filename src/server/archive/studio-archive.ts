import { eq, getTableColumns, inArray, type Column } from 'drizzle-orm';
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { z } from 'zod';
import { takenDownShape } from '@/core/plan/as-taken-down';
import { HAND_IDS } from '@/core/coefficients/hands';
import {
  DRYER_RANGES,
  HEAD_RANGES,
  LAYER_RANGES,
  TOOL_RANGES,
  TRIM_WEEKS,
  WEAR_DAYS,
  type Range,
} from '@/core/formats/ranges';
import { MAX_SECTIONS } from '@/core/parting/generate';
import { MOST_SECTION_NUMBER } from '@/core/parting/section-name';
import { displaySettings, readDisplay } from '@/core/formats/read-display';
import { fieldErrors, type Checked, type FieldError } from '@/core/formats/field-error';
import { planFile } from '@/core/formats/plan-file';
import { MOST_WANTS } from '@/core/coefficients/wants';
import { headInput } from '@/core/formats/brief';
import { isTimeZone, readBrief } from '@/core/formats/read-brief';
import { ZONES } from '@/core/hair/zone';
import { MAX_TIME_MS } from '@/core/formats/time-bounds';
import { measured } from '@/core/run/measured';
import { partingEdit } from '@/core/run/parting-edit';
import { roomAir } from '@/core/run/room-sensor';
import { dayDone, dayEntry, dayMarks, dayWeather, visibleLengths } from '@/core/diary/day-entry';
import { recalled } from '@/core/diary/outcome';
import { RATING_IDS } from '@/core/wear/rating-scales';
import { care } from '@/core/coefficients/care';
import { viewMarks } from '@/core/diary/photo';
import { WORSE_IDS } from '@/core/diary/photo-measure';
import { runEventInput } from '@/core/run/run-event-input';
import { keptCorrections } from '@/core/evidence/corrections';
import { causeAnswers, fittedSpreads, seenSymptoms, toldFacts } from '@/core/evidence/kept';
import { AppError } from '../errors';
import type { Database, Reader, Tx } from '../db/client';
import {
  careLog,
  deeds,
  dryers,
  faultFindings,
  headMeasurements,
  headMerges,
  heads,
  mixes,
  outcomes,
  people,
  photoMeasures,
  photos,
  plans,
  products,
  setEvents,
  sets,
  setSections,
  studioLearning,
  studios,
  takeHomeDiaries,
  tools,
  wearDayHistory,
  wearDays,
  zoneMeasurements,
} from '../db/schema';

/** Everything of one studio, in an order in which rows can be put back: what is pointed at comes first. */
const TABLES = {
  heads,
  headMeasurements,
  zoneMeasurements,
  headMerges,
  mixes,
  products,
  tools,
  dryers,
  plans,
  sets,
  setSections,
  setEvents,
  wearDays,
  wearDayHistory,
  outcomes,
  photos,
  photoMeasures,
  careLog,
  takeHomeDiaries,
  studioLearning,
  faultFindings,
  people,
  deeds,
} as const satisfies Record<string, SQLiteTable>;

type TableName = keyof typeof TABLES;
/** Tables that older archives do not have. */
const LATER_TABLES: readonly TableName[] = [
  'mixes',
  'headMerges',
  'dryers',
  'wearDayHistory',
  'photos',
  'photoMeasures',
  'careLog',
  'takeHomeDiaries',
  'studioLearning',
  'faultFindings',
  'people',
  'deeds',
];
/** What stays in the studio: its scope, and what PINs can be guessed by. Devices are paired anew elsewhere. */
const KEPT_BACK: readonly string[] = ['studioId', 'secretHash'];
const TABLE_NAMES = Object.keys(TABLES) as TableName[];

/** Letters of any one text: far above what a form takes. */
const MOST_LETTERS = 20_000;
/** A picture of 400 KiB, as base64, and room to spare. */
const MOST_PIXEL_LETTERS = 1_000_000;
const ends = ({ low, high }: Range): readonly [number, number] => [low, high];
/** Bounds of numbers by their column, over all tables; the others are bounded by `ANY_NUMBER`. */
const BOUNDS: Readonly<Record<string, readonly [number, number]>> = {
  ...Object.fromEntries(RATING_IDS.map((scale) => [scale, [0, 10] as const])),
  day: ends(WEAR_DAYS),
  lastGoodDay: ends(WEAR_DAYS),
  number: [1, MAX_SECTIONS],
  sectionNumber: [1, MOST_SECTION_NUMBER],
  ...Object.fromEntries(
    Object.entries({ ...HEAD_RANGES, ...TOOL_RANGES, ...DRYER_RANGES }).map(([column, range]) => [
      column,
      ends(range),
    ]),
  ),
  waterShare: ends(LAYER_RANGES.waterShare),
  keepsDays: [1, 1000],
};
const ANY_NUMBER = [-1e9, 1e9] as const;

const numberOf = (name: string): z.ZodType => {
  const [low, high] = BOUNDS[name] ?? ANY_NUMBER;
  const message = `${name} must be ${low} to ${high}`;
  return z.number().min(low, message).max(high, message);
};
const timeMs = z.int().min(0).max(MAX_TIME_MS, 'this time is not on any calendar in use');

const asBrief = z.unknown().superRefine((raw, context) => {
  const read = readBrief(raw);
  if (!read.ok)
    for (const { path, message } of read.errors)
      context.addIssue({ code: 'custom', path: path.split('.'), message });
});
/** Checked, and taken as it was written: nothing that a newer version adds is lost on the way. */
const asPlan = z.unknown().superRefine((raw, context) => {
  const read = planFile.safeParse(raw);
  if (!read.success)
    for (const { path, message } of read.error.issues) context.addIssue({ code: 'custom', path, message });
});
/** What a JSON column holds, by its name over all tables. */
const JSON_COLUMNS: Readonly<Record<string, z.ZodType>> = {
  brief: asBrief,
  forecast: asPlan,
  dryingBelief: z.strictObject({
    lnRates: z.array(z.number()).max(500),
    weights: z.array(z.number()).max(500),
    heads: z
      .strictObject({
        weights: z.array(z.number()).max(2000),
        lnRates: z.array(z.number()).max(2000),
        zones: z.array(z.enum(ZONES)).max(ZONES.length),
        placesH: z.array(z.array(z.number()).max(3 * ZONES.length)).max(2000),
      })
      .nullable()
      .optional(),
  }),
  asTakenDown: takenDownShape,
  takenG: z.record(z.string().max(64), z.number().min(0).max(100_000)),
  layerProductIds: z.array(z.string().max(64).nullable()).max(8),
  conditions: z.array(z.string().max(40)).max(20),
  schools: z.record(z.string().max(40), z.string().max(40)),
  likes: z.array(z.string().max(40)).max(MOST_WANTS),
  zoneCoilMm: headInput.shape.zoneCoilMm.unwrap(),
  notKnown: z.array(z.string().max(40)).max(20),
  parts: z
    .array(z.strictObject({ productId: z.string().max(64), parts: z.number().min(0).max(1000) }))
    .max(12),
  of: z.array(z.string().max(64)).max(700),
  measured,
  room: roomAir,
  parting: partingEdit,
  // Of a day by section, of a picture by place.
  marks: z.union([dayMarks, viewMarks]),
  done: dayDone,
  weather: dayWeather,
  visibleCm: visibleLengths,
  // Of a person: names of before, and ways of her own; what is left out is as in the studio.
  formerNames: z.array(z.string().max(200)).max(1000),
  display: z.record(z.string().max(40), z.union([z.string().max(40), z.number()])),
  handUnits: z.record(z.string().max(40), z.number().min(0).max(1000)),
  entry: dayEntry,
  recalled,
  fitted: fittedSpreads,
  corrections: keptCorrections,
  symptoms: seenSymptoms,
  told: toldFacts,
  answers: causeAnswers,
  worse: z.array(z.enum(WORSE_IDS)).max(WORSE_IDS.length),
  moved: z.strictObject({
    measurements: z.array(z.string().max(64)),
    plans: z.array(z.string().max(64)),
    sets: z.array(z.string().max(64)),
    care: z.array(z.string().max(64)).optional(),
  }),
};

/** What a column may hold: its own kind of value within bounds, or null where the table allows it. */
function columnSchema(name: string, column: Column): z.ZodType {
  const kinds: Readonly<Record<string, () => z.ZodType>> = {
    string: () => z.string().max(MOST_LETTERS, `${name} is longer than ${MOST_LETTERS} letters`),
    number: () => numberOf(name),
    boolean: () => z.boolean(),
    // Pictures are written as text.
    buffer: () => z.base64().max(MOST_PIXEL_LETTERS, `${name} is larger than a picture is kept`),
    custom: () => {
      const own = JSON_COLUMNS[name] ?? (name.endsWith('Ms') ? timeMs : null);
      // A column that nobody gave a shape here would be written and never read again.
      if (!own) throw new RangeError(`an archive cannot hold the column ${name} yet`);
      return own;
    },
  };
  const kind = kinds[column.dataType]?.() ?? z.never();
  // What an older archive does not know yet may be missing: it is null, or has its default.
  return column.notNull && !column.hasDefault ? kind : column.notNull ? kind.optional() : kind.nullish();
}

const rowSchema = (table: SQLiteTable) =>
  z.strictObject(
    Object.fromEntries(
      Object.entries(getTableColumns(table))
        .filter(([name]) => !KEPT_BACK.includes(name))
        .map(([name, column]) => [name, columnSchema(name, column)]),
    ),
  );

/** Dryness checks of archives from before they were events of the set. */
const oldCheck = z.strictObject({
  id: z.string(),
  setId: z.string(),
  sectionNumber: z.int(),
  level: z.string(),
  feel: z.string(),
  atMs: timeMs,
});

/** Days of archives from before a length could be of any zone: it was the crown's. */
const withZones = (raw: unknown): unknown => {
  const old = z.looseObject({ visibleLengthCm: z.number().nullable() }).safeParse(raw);
  if (!old.success) return raw;
  const { visibleLengthCm, ...day } = old.data;
  return { ...day, visibleCm: visibleLengthCm === null ? {} : { crown: visibleLengthCm } };
};

/** A whole studio as one file. */
export const studioArchive = z
  .strictObject({
    format: z.literal('keen-spiral/studio', { error: 'format must be “keen-spiral/studio”' }),
    version: z.literal(1, { error: 'this version reads studios of version 1' }),
    studio: z.strictObject({
      name: z.string().min(1).max(80),
      timeZone: z
        .string()
        .min(1)
        .refine(isTimeZone, {
          error: (issue) => `“${String(issue.input)}” is not a time zone; use a name such as Europe/Lisbon`,
        }),
      handUnits: z.record(z.string(), z.number()),
      currency: z.string().length(3).default('EUR'),
      display: displaySettings.prefault({}),
      hand: z.enum(HAND_IDS).default('usual'),
      trimWeeks: z.int().min(TRIM_WEEKS.low).max(TRIM_WEEKS.high).default(care.value.trimWeeks),
    }),
    tables: z.strictObject({
      ...(Object.fromEntries(
        TABLE_NAMES.map((name) => {
          const row = rowSchema(TABLES[name]);
          const rows = z.array(name === 'wearDays' ? z.preprocess(withZones, row) : row);
          return [name, LATER_TABLES.includes(name) ? rows.default([]) : rows];
        }),
      ) as Record<TableName, z.ZodArray<ReturnType<typeof rowSchema>>>),
      drynessChecks: z.array(oldCheck).optional(),
    }),
  })
  .meta({ title: 'Keen Spiral studio, version 1' });

export type StudioArchive = z.output<typeof studioArchive>;

const textOf = ({ buffer, byteOffset, byteLength }: ArrayBufferView) =>
  Buffer.from(buffer as ArrayBuffer, byteOffset, byteLength).toString('base64');

/** A row as a table takes it: its pictures as they were. */
function withPixels(table: SQLiteTable, row: Row): Row {
  const columns = getTableColumns(table);
  return Object.fromEntries(
    Object.entries(row).map(([name, value]) => [
      name,
      columns[name]?.dataType === 'buffer' && typeof value === 'string'
        ? Buffer.from(value, 'base64')
        : value,
    ]),
  );
}

const rowsOf = async (reader: Reader, table: SQLiteTable, studioId: string) => {
  const studioColumn = getTableColumns(table).studioId;
  if (!studioColumn) throw new RangeError('a table without a studio');
  const rows = await reader.select().from(table).where(eq(studioColumn, studioId));
  return rows.map((row) =>
    Object.fromEntries(
      Object.entries(row)
        .filter(([name]) => !KEPT_BACK.includes(name))
        .map(([name, value]) => [name, ArrayBuffer.isView(value) ? textOf(value) : value]),
    ),
  );
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
      display: readDisplay(studio.display),
      hand: studio.hand,
      trimWeeks: studio.trimWeeks,
    },
    tables,
  };
}

type Row = Readonly<Record<string, unknown>>;

/** Columns that point at rows of another table. */
const POINTS: readonly (readonly [from: TableName, column: string, to: TableName])[] = [
  ['headMeasurements', 'headId', 'heads'],
  ['zoneMeasurements', 'measurementId', 'headMeasurements'],
  ['headMerges', 'keptId', 'heads'],
  ['headMerges', 'mergedId', 'heads'],
  ['products', 'mixId', 'mixes'],
  ['plans', 'headId', 'heads'],
  ['plans', 'measurementId', 'headMeasurements'],
  ['sets', 'headId', 'heads'],
  ['sets', 'planId', 'plans'],
  ['sets', 'measurementId', 'headMeasurements'],
  ['setSections', 'setId', 'sets'],
  ['setEvents', 'setId', 'sets'],
  ['wearDays', 'setId', 'sets'],
  ['wearDayHistory', 'wearDayId', 'wearDays'],
  ['outcomes', 'setId', 'sets'],
  ['photos', 'setId', 'sets'],
  ['careLog', 'headId', 'heads'],
  ['takeHomeDiaries', 'setId', 'sets'],
  ['photoMeasures', 'setId', 'sets'],
  ['photoMeasures', 'photoId', 'photos'],
  ['faultFindings', 'setId', 'sets'],
];

/** An entry as it can be found again: its name or title where it has one. */
const nameOf = (row: Row): string => {
  const name = row.name ?? row.title ?? row.id ?? row.setId;
  return typeof name === 'string' ? `“${name}”` : 'an entry';
};

/** What does not hang together in an archive whose rows are well each by itself. */
function looseEnds({ tables }: StudioArchive): FieldError[] {
  const errors: FieldError[] = [];
  const ids = Object.fromEntries(
    TABLE_NAMES.map((table) => [table, new Set((tables[table] as Row[]).map((row) => row.id))]),
  ) as Record<TableName, Set<unknown>>;
  for (const [from, column, to] of POINTS)
    (tables[from] as Row[]).forEach((row, i) => {
      const target = row[column];
      if (target !== null && target !== undefined && !ids[to].has(target))
        errors.push({
          path: `tables.${from}.${i}.${column}`,
          message: `${nameOf(row)} points at something that is not in this file`,
        });
    });
  const measured = new Set((tables.headMeasurements as Row[]).map((row) => row.headId));
  const merged = new Set((tables.headMerges as Row[]).map((row) => row.mergedId));
  (tables.heads as Row[]).forEach((row, i) => {
    if (!measured.has(row.id) && !merged.has(row.id))
      errors.push({
        path: `tables.heads.${i}`,
        message: `${nameOf(row)} has no measurements; add one to headMeasurements, or leave the head out`,
      });
  });
  (tables.setEvents as Row[]).forEach((row, i) => {
    const { setId: _, sequence: __, deviceId: ___, deviceNumber: ____, ...event } = row;
    const read = runEventInput.safeParse(event);
    if (!read.success)
      errors.push({
        path: `tables.setEvents.${i}`,
        message: `an event at the chair cannot be read: ${read.error.issues[0]!.message}`,
      });
  });
  return errors;
}

/** Checks of an older archive as events, and every set's events in their order. */
function inOrder(archive: StudioArchive): StudioArchive {
  const { drynessChecks, ...tables } = archive.tables;
  const events: Row[] = [
    ...(tables.setEvents as Row[]),
    ...(drynessChecks ?? []).map((check) => ({ ...check, kind: 'felt', note: null })),
  ];
  if (events.every((event) => typeof event.sequence === 'number' && event.sequence > 0))
    return { ...archive, tables };
  const next = new Map<unknown, number>();
  const ordered = [...events]
    .sort((a, b) => Number(a.atMs) - Number(b.atMs))
    .map((event) => {
      const sequence = (next.get(event.setId) ?? 0) + 1;
      next.set(event.setId, sequence);
      return { ...event, sequence };
    });
  return { ...archive, tables: { ...tables, setEvents: ordered } } as StudioArchive;
}

/** Reads an archive, or says what is wrong with it, naming the entry. */
export function readArchive(raw: unknown): Checked<StudioArchive> {
  const parsed = studioArchive.safeParse(raw, { reportInput: true });
  if (!parsed.success) return { ok: false, errors: fieldErrors(parsed.error) };
  const archive = inOrder(parsed.data);
  const errors = looseEnds(archive);
  return errors.length > 0 ? { ok: false, errors } : { ok: true, value: archive };
}

/** Rows a statement takes: 24 columns stay well below SQLite's parameter limit. */
const ROWS_A_STATEMENT = 200;

/**
 * Fills a studio that has nothing yet from an archive, in one transaction.
 *
 * @throws AppError invalid when an entry is in another studio of this database already
 */
export async function importStudio(tx: Tx, studioId: string, archive: StudioArchive): Promise<void> {
  const { name, timeZone, handUnits, currency, display, hand } = archive.studio;
  await tx
    .update(studios)
    .set({ name, timeZone, handUnits, currency, display, hand })
    .where(eq(studios.id, studioId));
  for (const table of TABLE_NAMES) {
    const rows = archive.tables[table] as Row[];
    for (let from = 0; from < rows.length; from += ROWS_A_STATEMENT) {
      const part = rows.slice(from, from + ROWS_A_STATEMENT);
      await refuseTaken(tx, table, part, from);
      await tx
        .insert(TABLES[table] as SQLiteTable)
        .values(part.map((row) => ({ ...withPixels(TABLES[table], row), studioId })) as never);
    }
  }
}

/** @throws AppError invalid naming the entries whose ids another studio of this database has */
async function refuseTaken(tx: Tx, name: TableName, rows: readonly Row[], from: number): Promise<void> {
  const table = TABLES[name] as SQLiteTable;
  const { id } = getTableColumns(table);
  if (!id) return;
  const taken = await tx
    .select({ id })
    .from(table)
    .where(
      inArray(
        id,
        rows.map((row) => row.id),
      ),
    );
  if (taken.length === 0) return;
  const ids = new Set(taken.map((row) => row.id));
  throw new AppError(
    'invalid',
    rows.flatMap((row, i) =>
      ids.has(row.id as string)
        ? [
            {
              path: `tables.${name}.${from + i}.id`,
              message: `${nameOf(row)} is in another studio of this database already; import into a new one`,
            },
          ]
        : [],
    ),
  );
}

/** Whether a studio has anything in it yet. */
export async function isEmptyStudio({ db }: Database, studioId: string): Promise<boolean> {
  return (
    (await db.select({ id: heads.id }).from(heads).where(eq(heads.studioId, studioId)).limit(1)).length === 0
  );
}
