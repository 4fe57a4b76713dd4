import { isDeepStrictEqual } from 'node:util';
import { and, asc, eq, gt, inArray, isNotNull, sql } from 'drizzle-orm';
import { keptCorrections, type KeptCorrections } from '@/core/evidence/corrections';
import type { SeenSymptoms } from '@/core/evidence/fault-finder';
import {
  causeAnswers,
  fittedSpreads,
  seenSymptoms,
  toldFacts,
  type CauseAnswers,
  type ToldFacts,
} from '@/core/evidence/kept';
import type { FittedSpreads } from '@/core/evidence/learning';
import { setEvidence as shape, type SetEvidence } from '@/core/evidence/set-evidence';
import { halfHead } from '@/core/coefficients/evidence';
import { dayEntry, type DayEntry } from '@/core/diary/day-entry';
import { AppError } from '../../errors';
import type { Reader, Tx } from '../client';
import {
  evidenceTouched,
  faultFindings,
  heads,
  setEvidence,
  sets,
  studioLearning,
  wearDayHistory,
  wearDays,
} from '../schema';
import { readJson } from './json';
import { standing } from './set-lists';
import { readWearDay } from './wear';

/** A set or a head that was touched, with what can be learnt from it by now. */
export interface Touched {
  readonly id: string;
  /** Its number in the order of changes. */
  readonly at: number;
  /** Null where it is no set, or one that tells nothing. */
  readonly set: { readonly headId: string; readonly startedAtMs: number } | null;
  /** Null where it is not read yet, or was taken away by a change. */
  readonly seen: SetEvidence | null;
}

/** Number of the last change in what a studio can learn from. */
export async function lastTouched(reader: Reader, studioId: string): Promise<number> {
  const [row] = await reader
    .select({ at: sql<number | null>`max(${evidenceTouched.at})` })
    .from(evidenceTouched)
    .where(eq(evidenceTouched.studioId, studioId));
  return row?.at ?? 0;
}

/** Sets that were taken down and not begun by mistake: something can be learnt from them. */
const telling = (studioId: string) =>
  and(eq(sets.studioId, studioId), standing, isNotNull(sets.takenDownAtMs));

/** What was touched after a change, each once, in order. */
export async function touchedSince(reader: Reader, studioId: string, since: number): Promise<Touched[]> {
  const rows = await reader
    .select({
      id: evidenceTouched.id,
      at: evidenceTouched.at,
      headId: sets.headId,
      startedAtMs: sets.startedAtMs,
      seen: setEvidence.seen,
    })
    .from(evidenceTouched)
    .leftJoin(sets, and(eq(sets.id, evidenceTouched.id), telling(studioId)))
    .leftJoin(setEvidence, and(eq(setEvidence.setId, sets.id), eq(setEvidence.studioId, studioId)))
    .where(and(eq(evidenceTouched.studioId, studioId), gt(evidenceTouched.at, since)))
    .orderBy(asc(evidenceTouched.at));
  return rows.map(({ id, at, headId, startedAtMs, seen }) => ({
    id,
    at,
    set: headId === null || startedAtMs === null ? null : { headId, startedAtMs },
    seen: seen === null ? null : readJson(shape, seen),
  }));
}

/** Keeps what can be learnt from some sets, a few at once. */
export async function keepEvidence(
  tx: Tx,
  studioId: string,
  rows: readonly { readonly setId: string; readonly seen: SetEvidence }[],
): Promise<void> {
  const ids = rows.map(({ setId }) => setId);
  const own = await tx
    .select({ id: sets.id })
    .from(sets)
    .where(and(telling(studioId), inArray(sets.id, ids)));
  for (const { setId, seen } of rows.filter((row) => own.some(({ id }) => id === row.setId)))
    await tx
      .insert(setEvidence)
      .values({ setId, studioId, seen })
      .onConflictDoUpdate({ target: setEvidence.setId, set: { seen } });
}

/** What a studio's log was fitted with, and what its forecasts are put right by. */
export interface LearningSettings {
  readonly fitted: FittedSpreads;
  readonly fittedSets: number;
  readonly fittedAtMs: number | null;
  readonly corrections: KeptCorrections;
  readonly noticeable: number;
}

/** The same of a studio; as usual where nothing was set. */
export async function learningSettings(reader: Reader, studioId: string): Promise<LearningSettings> {
  const [row] = await reader.select().from(studioLearning).where(eq(studioLearning.studioId, studioId));
  return {
    fitted: readJson(fittedSpreads, row?.fitted) ?? {},
    fittedSets: row?.fittedSets ?? 0,
    fittedAtMs: row?.fittedAtMs ?? null,
    corrections: readJson(keptCorrections, row?.corrections) ?? {},
    noticeable: row?.noticeable ?? halfHead.value.noticeable,
  };
}

/** Keeps a part of what a studio's learning is set to. */
export async function keepLearningSettings(
  tx: Tx,
  studioId: string,
  settings: Partial<LearningSettings>,
): Promise<void> {
  await tx
    .insert(studioLearning)
    .values({ studioId, ...settings })
    .onConflictDoUpdate({ target: studioLearning.studioId, set: { studioId, ...settings } });
}

/** What somebody says of a set that fell short. */
export interface FaultRecord {
  readonly symptoms: SeenSymptoms;
  readonly told: ToldFacts;
  readonly answers: CauseAnswers;
  /** 0 where nothing is kept yet. */
  readonly revision: number;
}

type FaultRow = typeof faultFindings.$inferSelect;
const readFault = (row: FaultRow | undefined): FaultRecord => ({
  symptoms: readJson(seenSymptoms, row?.symptoms) ?? {},
  told: readJson(toldFacts, row?.told) ?? {},
  answers: readJson(causeAnswers, row?.answers) ?? {},
  revision: row?.revision ?? 0,
});

/** What is kept of what went wrong with a set. */
export async function faultOf(reader: Reader, studioId: string, setId: string): Promise<FaultRecord> {
  const [row] = await reader
    .select()
    .from(faultFindings)
    .where(and(eq(faultFindings.studioId, studioId), eq(faultFindings.setId, setId)));
  return readFault(row);
}

/** The same of every set where anything was said, by set. */
export async function faultsOf(reader: Reader, studioId: string): Promise<Map<string, FaultRecord>> {
  const rows = await reader.select().from(faultFindings).where(eq(faultFindings.studioId, studioId));
  return new Map(rows.map((row) => [row.setId, readFault(row)]));
}

/**
 * Keeps what somebody says of a set that fell short, over the revision that they saw.
 *
 * @throws AppError not-found, conflict
 */
export async function saveFault(
  tx: Tx,
  studioId: string,
  setId: string,
  { revision, ...fault }: FaultRecord,
  nowMs: number,
): Promise<void> {
  const [set] = await tx
    .select({ id: sets.id })
    .from(sets)
    .where(and(eq(sets.studioId, studioId), eq(sets.id, setId)));
  if (!set) throw new AppError('not-found');
  const { revision: now, ...stands } = await faultOf(tx, studioId, setId);
  // The same said twice: the answer to the first was lost on the way.
  if (now === revision + 1 && isDeepStrictEqual(stands, fault)) return;
  if (now !== revision) throw new AppError('conflict');
  const row = { ...fault, revision: revision + 1, updatedAtMs: nowMs };
  await tx
    .insert(faultFindings)
    .values({ setId, studioId, ...row })
    .onConflictDoUpdate({ target: faultFindings.setId, set: row });
}

/** One day of a style that two people rated. */
export interface RatedTwice {
  readonly setId: string;
  readonly headId: string;
  readonly headName: string;
  readonly day: number;
  readonly first: { readonly by: string; readonly ratings: DayEntry['ratings'] };
  readonly second: { readonly by: string; readonly ratings: DayEntry['ratings'] };
}

/** Who rated, where nobody gave a name: somebody at home is not somebody here. */
const raterOf = (name: string | null, source: string): string =>
  name ?? (source === 'take-home' ? 'Home' : 'The studio');

/** Days that two people rated, by name: what stands, and what an earlier or a second look said. */
export async function ratedTwice(reader: Reader, studioId: string): Promise<RatedTwice[]> {
  const rows = await reader
    .select({
      day: wearDays,
      entry: wearDayHistory.entry,
      by: wearDayHistory.ratedBy,
      source: wearDayHistory.source,
      headId: heads.id,
      headName: heads.name,
    })
    .from(wearDayHistory)
    .innerJoin(wearDays, eq(wearDays.id, wearDayHistory.wearDayId))
    .innerJoin(sets, eq(sets.id, wearDays.setId))
    .innerJoin(heads, eq(heads.id, sets.headId))
    .where(and(eq(wearDayHistory.studioId, studioId), standing))
    .orderBy(sql`${wearDayHistory.replacedAtMs} desc`);
  // Of what one person said twice of a day, the last counts.
  const seen = new Set<string>();
  return rows.flatMap(({ day: row, entry, by: name, source, headId, headName }) => {
    const day = readWearDay(row);
    const told = readJson(dayEntry, entry);
    const [first, by] = [raterOf(day.ratedBy, day.source), raterOf(name, source)];
    const key = `${row.id}/${by}`;
    if (!told || first === by || seen.has(key)) return [];
    seen.add(key);
    return [
      {
        setId: row.setId,
        headId,
        headName,
        day: day.day,
        first: { by: first, ratings: day.ratings },
        second: { by, ratings: told.ratings },
      },
    ];
  });
}
