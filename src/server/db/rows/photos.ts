import { and, asc, count, desc, eq, isNull } from 'drizzle-orm';
import {
  PHOTO_MEASURE_IDS,
  WORSE_IDS,
  type KeptMeasure,
  type PhotoMeasure,
  type PhotoMeasureId,
} from '@/core/diary/photo-measure';
import { ZONES } from '@/core/hair/zone';
import { WEAR_DAYS } from '@/core/formats/ranges';
import {
  MOST_PHOTOS_A_DAY,
  PHOTO_VIEW_IDS,
  type PhotoFacts,
  type PhotoViewId,
  viewMarks,
  type ViewMarks,
} from '@/core/diary/photo';
import { AppError, invalid } from '../../errors';
import type { Reader, Tx } from '../client';
import { newId } from '../id';
import { photoMeasures, photos, sets } from '../schema';

/** A picture to be kept. */
export interface PhotoToKeep {
  readonly day: number;
  readonly view: PhotoViewId;
  readonly width: number;
  readonly height: number;
  readonly focal35Mm: number | null;
  readonly jpeg: Buffer;
  readonly thumb: Buffer;
}

const ofSet = (studioId: string, setId: string) =>
  and(eq(photos.studioId, studioId), eq(photos.setId, setId));
const one = (studioId: string, id: string) => and(eq(photos.studioId, studioId), eq(photos.id, id));

/** What is told of a picture without its pixels. */
const facts = {
  id: photos.id,
  day: photos.day,
  view: photos.view,
  width: photos.width,
  height: photos.height,
  takenAtMs: photos.takenAtMs,
  focal35Mm: photos.focal35Mm,
  marks: photos.marks,
};
const factsOf = <R extends { view: string; marks: unknown }>(row: R) => ({
  ...row,
  view: viewOf(row.view),
  marks: viewMarks.safeParse(row.marks).data ?? null,
});
const viewOf = (view: string): PhotoViewId => PHOTO_VIEW_IDS.find((id) => id === view) ?? 'front';

/** The pictures of a set, by day and then as they were taken, without their pixels. */
export async function photosOf(reader: Reader, studioId: string, setId: string): Promise<PhotoFacts[]> {
  const rows = await reader
    .select(facts)
    .from(photos)
    .where(ofSet(studioId, setId))
    .orderBy(asc(photos.day), asc(photos.takenAtMs));
  return rows.map(factsOf);
}

/** A picture of a head, and the set it is of. */
export interface HeadPhoto extends PhotoFacts {
  readonly setId: string;
}

/** The newest pictures of a head over all its sets, oldest first, and how many there are. */
export async function photosOfHead(
  reader: Reader,
  studioId: string,
  headId: string,
  most: number,
): Promise<{ readonly photos: HeadPhoto[]; readonly total: number }> {
  const ofHead = and(eq(photos.studioId, studioId), eq(sets.headId, headId), eq(sets.id, photos.setId));
  const [sum] = await reader
    .select({ total: count() })
    .from(photos)
    .innerJoin(sets, eq(sets.id, photos.setId))
    .where(ofHead);
  const rows = await reader
    .select({ ...facts, setId: photos.setId })
    .from(photos)
    .innerJoin(sets, eq(sets.id, photos.setId))
    .where(ofHead)
    .orderBy(desc(photos.takenAtMs), desc(photos.id))
    .limit(most);
  return {
    photos: rows.map(factsOf).reverse(),
    total: sum?.total ?? 0,
  };
}

/** The pixels of a picture, or of its thumbnail; null where it is not of this studio. */
export async function photoBytes(
  reader: Reader,
  studioId: string,
  id: string,
  size: 'jpeg' | 'thumb',
): Promise<Buffer | null> {
  const [row] = await reader.select({ bytes: photos[size] }).from(photos).where(one(studioId, id));
  return row ? Buffer.from(row.bytes) : null;
}

/**
 * Keeps a picture of a style that is worn.
 *
 * @returns its id
 * @throws AppError not-found, or invalid before the takedown and for more than a day holds
 */
export async function addPhoto(
  tx: Tx,
  studioId: string,
  setId: string,
  photo: PhotoToKeep,
  nowMs: number,
): Promise<string> {
  const [set] = await tx
    .select({ takenDownAtMs: sets.takenDownAtMs })
    .from(sets)
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
  if (!set) throw new AppError('not-found');
  if (set.takenDownAtMs === null) throw invalid('date', 'this set has not been taken down yet');
  if (photo.day < 0 || photo.day > WEAR_DAYS.high)
    throw invalid('date', `a picture is of a day from 0 to ${WEAR_DAYS.high} after the takedown`);
  const [there] = await tx
    .select({ count: count() })
    .from(photos)
    .where(and(ofSet(studioId, setId), eq(photos.day, photo.day)));
  if (there!.count >= MOST_PHOTOS_A_DAY)
    throw invalid('photo', `a day holds ${MOST_PHOTOS_A_DAY} pictures; delete one of them first`);
  const id = newId(nowMs);
  await tx.insert(photos).values({ id, studioId, setId, ...photo, takenAtMs: nowMs });
  return id;
}

/**
 * Deletes a picture for good.
 *
 * @throws AppError not-found
 */
export async function deletePhoto(tx: Tx, studioId: string, id: string): Promise<void> {
  const gone = await tx.delete(photos).where(one(studioId, id)).returning({ id: photos.id });
  if (gone.length === 0) throw new AppError('not-found');
}

/** What was measured on the pictures of a set, by day. */
export async function measuresOf(reader: Reader, studioId: string, setId: string): Promise<KeptMeasure[]> {
  const rows = await reader
    .select()
    .from(photoMeasures)
    .where(and(eq(photoMeasures.studioId, studioId), eq(photoMeasures.setId, setId)));
  const placeOf = ({ measure }: { measure: PhotoMeasureId }) => PHOTO_MEASURE_IDS.indexOf(measure);
  rows.sort((a, b) => a.day - b.day || a.measuredAtMs - b.measuredAtMs || placeOf(a) - placeOf(b));
  return rows.flatMap((row) => {
    const measure = PHOTO_MEASURE_IDS.find((id) => id === row.measure);
    if (!measure) return [];
    const { id, photoId, day, value, sigma, worse } = row;
    const zone = ZONES.find((known) => known === row.zone) ?? null;
    return [
      {
        id,
        photoId,
        day,
        measure,
        zone,
        value,
        sigma,
        worse: WORSE_IDS.filter((one) => Array.isArray(worse) && worse.includes(one)),
      },
    ];
  });
}

/**
 * Keeps what was measured on a picture; what was measured of the same on it before goes.
 *
 * @returns what is kept now
 * @throws AppError not-found
 */
export async function keepMeasures(
  tx: Tx,
  studioId: string,
  photoId: string,
  measures: readonly PhotoMeasure[],
  nowMs: number,
): Promise<KeptMeasure[]> {
  const [photo] = await tx
    .select({ setId: photos.setId, day: photos.day })
    .from(photos)
    .where(one(studioId, photoId));
  if (!photo) throw new AppError('not-found');
  const kept: KeptMeasure[] = [];
  for (const told of measures) {
    const { measure, zone } = told;
    await tx
      .delete(photoMeasures)
      .where(
        and(
          eq(photoMeasures.studioId, studioId),
          eq(photoMeasures.photoId, photoId),
          eq(photoMeasures.measure, measure),
          zone === null ? isNull(photoMeasures.zone) : eq(photoMeasures.zone, zone),
        ),
      );
    const row = { ...told, id: newId(nowMs), photoId, day: photo.day };
    await tx.insert(photoMeasures).values({ ...row, studioId, setId: photo.setId, measuredAtMs: nowMs });
    kept.push(row);
  }
  return kept;
}

/**
 * Takes one figure out again.
 *
 * @throws AppError not-found
 */
export async function deleteMeasure(tx: Tx, studioId: string, id: string): Promise<void> {
  const gone = await tx
    .delete(photoMeasures)
    .where(and(eq(photoMeasures.studioId, studioId), eq(photoMeasures.id, id)))
    .returning({ id: photoMeasures.id });
  if (gone.length === 0) throw new AppError('not-found');
}

/**
 * Keeps where a view is marked on a picture.
 *
 * @throws AppError not-found
 */
export async function keepMarks(tx: Tx, studioId: string, photoId: string, marks: ViewMarks): Promise<void> {
  const kept = await tx
    .update(photos)
    .set({ marks })
    .where(one(studioId, photoId))
    .returning({ id: photos.id });
  if (kept.length === 0) throw new AppError('not-found');
}
