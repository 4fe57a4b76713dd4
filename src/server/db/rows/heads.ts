import { and, asc, desc, eq } from 'drizzle-orm';
import type { ChosenSchools, SchoolQuestionId } from '@/core/advice/schools';
import type { HeadInput } from '@/core/formats/brief';
import { perZone, ZONES } from '@/core/hair/zone';
import { AppError } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { headMeasurements, heads, zoneMeasurements } from '../schema';

/** Who a head is, apart from what is measured. */
export type HeadCard = Pick<
  typeof heads.$inferSelect,
  'name' | 'description' | 'notes' | 'allergies' | 'skinTone' | 'hairTone'
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
  readonly measurement: Measurement;
}

async function measurementsOf(reader: Reader, studioId: string, headId: string): Promise<Measurement[]> {
  const rows = await reader
    .select()
    .from(headMeasurements)
    .where(and(eq(headMeasurements.studioId, studioId), eq(headMeasurements.headId, headId)))
    .orderBy(desc(headMeasurements.measuredAtMs), desc(headMeasurements.id));
  return Promise.all(
    rows.map(async (row) => {
      const zones = await reader
        .select()
        .from(zoneMeasurements)
        .where(and(eq(zoneMeasurements.studioId, studioId), eq(zoneMeasurements.measurementId, row.id)));
      return {
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
          porosity: row.porosity as HeadInput['porosity'],
          conditions: row.conditions as HeadInput['conditions'],
          stretchedLengthCm: perZone(
            (zone) => zones.find((measured) => measured.zone === zone)?.stretchedLengthCm ?? 0,
          ),
        },
      };
    }),
  );
}

/** Measurements of a head, newest first. */
export const listMeasurements = measurementsOf;

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

/** Every head of a studio, by name. */
export async function listHeads(reader: Reader, studioId: string): Promise<HeadRecord[]> {
  const rows = await reader.select().from(heads).where(eq(heads.studioId, studioId)).orderBy(asc(heads.name));
  return Promise.all(
    rows.map(async (row) => ({
      ...row,
      measurement: (await measurementsOf(reader, studioId, row.id))[0]!,
    })),
  );
}

/** One head, or null. */
export async function findHead(reader: Reader, studioId: string, id: string): Promise<HeadRecord | null> {
  const [row] = await reader
    .select()
    .from(heads)
    .where(and(eq(heads.studioId, studioId), eq(heads.id, id)));
  if (!row) return null;
  const [measurement] = await measurementsOf(reader, studioId, id);
  return measurement ? { ...row, measurement } : null;
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
