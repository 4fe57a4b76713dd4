import { grouped } from '@/core/grouped';
import { and, asc, count, desc, eq, inArray, isNotNull, isNull, sql } from 'drizzle-orm';
import { z } from 'zod';
import { MOST_WANTS, WANTS } from '@/core/coefficients/wants';
import type { ChosenSchools, SchoolQuestionId } from '@/core/schools/schools';
import { headInput, type HeadInput } from '@/core/formats/brief';
import { perZone, ZONES } from '@/core/hair/zone';
import { AppError, invalid } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { careLog, headMeasurements, headMerges, heads, plans, sets, zoneMeasurements } from '../schema';
import { readJson } from './json';
import { matching, pageOf, PAGE_SIZE, type ListAsked, type Paged } from './paging';

/** Who a head is, apart from what is measured. */
export type HeadCard = Pick<
  typeof heads.$inferSelect,
  'name' | 'description' | 'notes' | 'allergies' | 'skinTone' | 'hairTone' | 'likes'
>;

/** One measuring of a head. */
export interface Measurement {
  readonly id: string;
  readonly measuredAtMs: number;
  readonly head: HeadInput;
}

/** A head with its newest measurement. */
export interface HeadRecord extends HeadCard {
  readonly id: string;
  readonly revision: number;
  readonly schools: ChosenSchools;
  readonly archivedAtMs: number | null;
  readonly measurement: Measurement;
}

type MeasurementRow = typeof headMeasurements.$inferSelect;

/** Measurements with their zones, in the order of the rows. */
async function withZones(
  reader: Reader,
  studioId: string,
  rows: readonly MeasurementRow[],
): Promise<Measurement[]> {
  if (rows.length === 0) return [];
  const zones = await reader
    .select()
    .from(zoneMeasurements)
    .where(
      and(
        eq(zoneMeasurements.studioId, studioId),
        inArray(
          zoneMeasurements.measurementId,
          rows.map(({ id }) => id),
        ),
      ),
    );
  const lengths = grouped(zones, ({ measurementId }) => measurementId);
  return rows.map((row) => ({
    id: row.id,
    measuredAtMs: row.measuredAtMs,
    head: {
      circumferenceCm: row.circumferenceCm,
      ...(row.densityPerCm2 === null ? {} : { densityPerCm2: row.densityPerCm2 }),
      ...(row.ponytailCircumferenceCm === null
        ? {}
        : { ponytailCircumferenceCm: row.ponytailCircumferenceCm }),
      strandDiameterUm: row.strandDiameterUm,
      naturalCoilDiameterMm: row.naturalCoilDiameterMm,
      shrinkage: row.shrinkage,
      porosity: readJson(headInput.shape.porosity, row.porosity) ?? 'medium',
      conditions: readJson(headInput.shape.conditions, row.conditions) ?? [],
      zoneCoilMm: readJson(headInput.shape.zoneCoilMm, row.zoneCoilMm) ?? {},
      notKnown: readJson(headInput.shape.notKnown, row.notKnown) ?? [],
      stretchedLengthCm: perZone(
        (zone) => lengths.get(row.id)?.find((measured) => measured.zone === zone)?.stretchedLengthCm ?? 0,
      ),
    },
  }));
}

/** Measurements of a head, newest first. */
export const listMeasurements = async (
  reader: Reader,
  studioId: string,
  headId: string,
): Promise<Measurement[]> =>
  withZones(
    reader,
    studioId,
    await reader
      .select()
      .from(headMeasurements)
      .where(and(eq(headMeasurements.studioId, studioId), eq(headMeasurements.headId, headId)))
      .orderBy(desc(headMeasurements.measuredAtMs), desc(headMeasurements.id)),
  );

async function addMeasurement(tx: Tx, studioId: string, headId: string, head: HeadInput, nowMs: number) {
  const id = newId(nowMs);
  await tx.insert(headMeasurements).values({
    id,
    studioId,
    headId,
    measuredAtMs: nowMs,
    circumferenceCm: head.circumferenceCm ?? 56,
    densityPerCm2: head.densityPerCm2 ?? null,
    ponytailCircumferenceCm: head.ponytailCircumferenceCm ?? null,
    strandDiameterUm: head.strandDiameterUm ?? 70,
    naturalCoilDiameterMm: head.naturalCoilDiameterMm ?? 8,
    shrinkage: head.shrinkage ?? 0.5,
    porosity: head.porosity ?? 'medium',
    conditions: head.conditions ?? [],
    zoneCoilMm: head.zoneCoilMm ?? {},
    notKnown: head.notKnown ?? [],
  });
  const length = head.stretchedLengthCm;
  await tx.insert(zoneMeasurements).values(
    ZONES.map((zone) => ({
      measurementId: id,
      studioId,
      zone,
      stretchedLengthCm: typeof length === 'number' ? length : length[zone],
    })),
  );
  return id;
}

type HeadRow = typeof heads.$inferSelect;
const schoolsInput = z.record(z.string(), z.string());
const likesInput = z.array(z.enum(WANTS)).max(MOST_WANTS);

/** Heads with the newest measurement of each, in the order of the rows. */
async function withMeasurements(
  reader: Reader,
  studioId: string,
  rows: readonly HeadRow[],
): Promise<HeadRecord[]> {
  if (rows.length === 0) return [];
  const all = await reader
    .select()
    .from(headMeasurements)
    .where(
      and(
        eq(headMeasurements.studioId, studioId),
        inArray(
          headMeasurements.headId,
          rows.map(({ id }) => id),
        ),
      ),
    )
    .orderBy(desc(headMeasurements.measuredAtMs), desc(headMeasurements.id));
  const newest = new Map<string, MeasurementRow>();
  for (const row of all) if (!newest.has(row.headId)) newest.set(row.headId, row);
  const measured = await withZones(reader, studioId, [...newest.values()]);
  const byId = new Map(measured.map((measurement) => [measurement.id, measurement]));
  return rows.flatMap((row) => {
    const measurement = byId.get(newest.get(row.id)?.id ?? '');
    return measurement
      ? [
          {
            ...row,
            schools: readJson(schoolsInput, row.schools) ?? {},
            likes: readJson(likesInput, row.likes) ?? [],
            measurement,
          },
        ]
      : [];
  });
}

/** Every head of the day by name: who a new plan can be made for. */
export const listHeadNames = (
  reader: Reader,
  studioId: string,
): Promise<{ id: string; name: string; description: string }[]> =>
  reader
    .select({ id: heads.id, name: heads.name, description: heads.description })
    .from(heads)
    .where(and(eq(heads.studioId, studioId), isNull(heads.archivedAtMs)))
    .orderBy(asc(sql`${heads.name} collate nocase`));

/** How a list of heads may be put in order. */
export const HEAD_ORDERS = ['name', 'set', 'measured', 'new'] as const;
export type HeadOrder = (typeof HEAD_ORDERS)[number];

const lastSetMs = sql`(select max(${sets.startedAtMs}) from ${sets} where ${sets.headId} = ${heads.id} and ${sets.cancelledAtMs} is null)`;
const measuredMs = sql`(select max(${headMeasurements.measuredAtMs}) from ${headMeasurements} where ${headMeasurements.headId} = ${heads.id})`;
const ORDERS = {
  name: asc(sql`${heads.name} collate nocase`),
  set: sql`${lastSetMs} desc nulls last`,
  measured: sql`${measuredMs} asc`,
  new: desc(heads.createdAtMs),
} as const;

/** One page of heads, searched by name, description and cautions; those of the day or those put away. */
export async function pageOfHeads(
  reader: Reader,
  studioId: string,
  asked: ListAsked & { readonly order: HeadOrder; readonly isArchived: boolean },
): Promise<Paged<HeadRecord>> {
  const where = and(
    eq(heads.studioId, studioId),
    asked.isArchived ? isNotNull(heads.archivedAtMs) : isNull(heads.archivedAtMs),
    ...matching(asked.search, [heads.name, heads.description, heads.allergies]),
  );
  const [sum] = await reader.select({ total: count() }).from(heads).where(where);
  const total = sum?.total ?? 0;
  const { page, offset } = pageOf(asked.page, total);
  const rows = await reader
    .select()
    .from(heads)
    .where(where)
    .orderBy(ORDERS[asked.order], asc(heads.id))
    .limit(PAGE_SIZE)
    .offset(offset);
  return { rows: await withMeasurements(reader, studioId, rows), total, page };
}

/** How many heads there are, of the day and put away. */
export async function countHeads(
  reader: Reader,
  studioId: string,
): Promise<{ readonly present: number; readonly archived: number }> {
  const [row] = await reader
    .select({ all: count(), archived: count(heads.archivedAtMs) })
    .from(heads)
    .where(eq(heads.studioId, studioId));
  return { present: (row?.all ?? 0) - (row?.archived ?? 0), archived: row?.archived ?? 0 };
}

/** One head, or null. */
export async function findHead(reader: Reader, studioId: string, id: string): Promise<HeadRecord | null> {
  const rows = await reader
    .select()
    .from(heads)
    .where(and(eq(heads.studioId, studioId), eq(heads.id, id)));
  return (await withMeasurements(reader, studioId, rows))[0] ?? null;
}

/** Makes a head with its first measurement and answers its id. */
export async function createHead(
  tx: Tx,
  studioId: string,
  card: HeadCard,
  measured: HeadInput,
  nowMs: number,
): Promise<string> {
  const id = newId(nowMs);
  await tx
    .insert(heads)
    .values({ id, studioId, ...card, revision: 1, createdAtMs: nowMs, updatedAtMs: nowMs });
  await addMeasurement(tx, studioId, id, measured, nowMs);
  return id;
}

/** Whether two measurings say the same of a head. */
export const sameMeasure = (a: HeadInput, b: HeadInput): boolean => {
  const flat = (head: HeadInput) =>
    JSON.stringify([
      head.circumferenceCm,
      head.densityPerCm2,
      head.ponytailCircumferenceCm,
      head.strandDiameterUm,
      head.naturalCoilDiameterMm,
      head.shrinkage,
      head.porosity,
      [...(head.conditions ?? [])].sort(),
      [...(head.notKnown ?? [])].sort(),
      ZONES.map((zone) => head.zoneCoilMm?.[zone]),
      ZONES.map((zone) =>
        typeof head.stretchedLengthCm === 'number' ? head.stretchedLengthCm : head.stretchedLengthCm[zone],
      ),
    ]);
  return flat(a) === flat(b);
};

/**
 * Changes a head. Changed measurements become a new row of today; older plans and sets keep theirs.
 *
 * @throws AppError conflict when someone saved since `revision`; not-found
 */
export async function updateHead(
  tx: Tx,
  studioId: string,
  id: string,
  revision: number,
  card: HeadCard,
  measured: HeadInput,
  nowMs: number,
): Promise<number> {
  const before = await findHead(tx, studioId, id);
  if (!before) throw new AppError('not-found');
  if (before.revision !== revision) throw new AppError('conflict');
  await tx
    .update(heads)
    .set({ ...card, revision: revision + 1, updatedAtMs: nowMs })
    .where(and(eq(heads.studioId, studioId), eq(heads.id, id)));
  if (!sameMeasure(before.measurement.head, measured))
    await addMeasurement(tx, studioId, id, measured, nowMs);
  return revision + 1;
}

/**
 * Remembers which school was taken on a head. It is no edit of the card: an open form is not told.
 *
 * @throws AppError not-found
 */
export async function chooseSchool(
  tx: Tx,
  studioId: string,
  id: string,
  question: SchoolQuestionId,
  school: string,
): Promise<void> {
  const head = await findHead(tx, studioId, id);
  if (!head) throw new AppError('not-found');
  await tx
    .update(heads)
    .set({ schools: { ...head.schools, [question]: school } })
    .where(and(eq(heads.studioId, studioId), eq(heads.id, id)));
}

/**
 * Puts a head away, or brings it back. Its record stays whole.
 *
 * @throws AppError not-found
 */
export async function archiveHead(
  tx: Tx,
  studioId: string,
  id: string,
  archivedAtMs: number | null,
): Promise<void> {
  const changed = await tx
    .update(heads)
    .set({ archivedAtMs })
    .where(and(eq(heads.studioId, studioId), eq(heads.id, id)))
    .returning({ id: heads.id });
  if (changed.length === 0) throw new AppError('not-found');
}

/**
 * Makes two entries of the same person one: measurements, plans and sets of the second go to the first, which keeps
 * its own card; the second is put away empty.
 *
 * @returns the id of the merge, by which it can be undone
 * @throws AppError not-found, or invalid for a head with itself
 */
export async function mergeHeads(
  tx: Tx,
  studioId: string,
  keptId: string,
  mergedId: string,
  nowMs: number,
): Promise<string> {
  if (keptId === mergedId) throw invalid('mergedId', 'choose another entry of the same person');
  if (!(await findHead(tx, studioId, keptId)) || !(await findHead(tx, studioId, mergedId)))
    throw new AppError('not-found');
  const moved = {
    measurements: [] as string[],
    plans: [] as string[],
    sets: [] as string[],
    care: [] as string[],
  };
  for (const [name, table] of [
    ['measurements', headMeasurements],
    ['plans', plans],
    ['sets', sets],
    ['care', careLog],
  ] as const) {
    const rows = await tx
      .update(table)
      .set({ headId: keptId })
      .where(and(eq(table.studioId, studioId), eq(table.headId, mergedId)))
      .returning({ id: table.id });
    moved[name].push(...rows.map(({ id }) => id));
  }
  const id = newId(nowMs);
  await tx.insert(headMerges).values({ id, studioId, keptId, mergedId, moved, mergedAtMs: nowMs });
  await archiveHead(tx, studioId, mergedId, nowMs);
  return id;
}

const IDS_A_STATEMENT = 500;

/**
 * Parts two entries again that were made one.
 *
 * @returns the entry that is back
 * @throws AppError not-found
 */
export async function undoMerge(tx: Tx, studioId: string, id: string): Promise<string> {
  const [merge] = await tx
    .delete(headMerges)
    .where(and(eq(headMerges.studioId, studioId), eq(headMerges.id, id)))
    .returning();
  if (!merge) throw new AppError('not-found');
  for (const [table, ids] of [
    [headMeasurements, merge.moved.measurements],
    [plans, merge.moved.plans],
    [sets, merge.moved.sets],
    [careLog, merge.moved.care ?? []],
  ] as const) {
    for (let from = 0; from < ids.length; from += IDS_A_STATEMENT)
      await tx
        .update(table)
        .set({ headId: merge.mergedId })
        .where(and(eq(table.studioId, studioId), inArray(table.id, ids.slice(from, from + IDS_A_STATEMENT))));
  }
  await archiveHead(tx, studioId, merge.mergedId, null);
  return merge.mergedId;
}

/** Entries that were made one with a head, newest first. */
export const listMerges = (
  reader: Reader,
  studioId: string,
  keptId: string,
): Promise<{ id: string; name: string; mergedAtMs: number }[]> =>
  reader
    .select({ id: headMerges.id, name: heads.name, mergedAtMs: headMerges.mergedAtMs })
    .from(headMerges)
    .innerJoin(heads, eq(heads.id, headMerges.mergedId))
    .where(and(eq(headMerges.studioId, studioId), eq(headMerges.keptId, keptId)))
    .orderBy(desc(headMerges.mergedAtMs));

/**
 * Deletes everything kept of a person for good: card, measurements, plans, sets, taps and days of wear, and entries
 * merged into hers. The space is overwritten, so that nothing of it can be read out of the file.
 *
 * @throws AppError not-found
 */
export async function deleteHead(tx: Tx, studioId: string, id: string): Promise<void> {
  await tx.run(sql`pragma secure_delete = on`);
  const merged = await tx
    .select({ id: headMerges.mergedId })
    .from(headMerges)
    .where(and(eq(headMerges.studioId, studioId), eq(headMerges.keptId, id)));
  const gone = await tx
    .delete(heads)
    .where(and(eq(heads.studioId, studioId), inArray(heads.id, [id, ...merged.map((head) => head.id)])))
    .returning({ id: heads.id });
  if (gone.length === 0) throw new AppError('not-found');
}
