import { and, asc, desc, eq } from 'drizzle-orm';
import { z } from 'zod';
import type { RateBelief } from '@/core/drying/rate-belief';
import type { BriefInput } from '@/core/formats/brief';
import { takenDownShape, type TakenDown } from '@/core/plan/as-taken-down';
import { planFile, type PlanFile } from '@/core/formats/plan-file';
import { ZONES } from '@/core/hair/zone';
import type { HalfOutcome } from '@/core/diary/outcome';
import type { RunEvent } from '@/core/run/run-event';
import { runState, type RunState } from '@/core/run/run-state';
import type { Reader } from '../client';
import { heads, outcomes, sets, setSections } from '../schema';
import { readJson, requireJson } from './json';
import { briefShape } from './kept-brief';
import { facts, standing, wholeOutcome, type SetListing } from './set-lists';
import { eventsOf } from './set-log';
import { outcomesOf, wearDaysOf, type WearDay } from './wear';

export type SetSection = Omit<typeof setSections.$inferSelect, 'studioId' | 'setId'>;

/** A set with everything that happened to it. */
export interface SetRecord extends Omit<SetListing, 'set' | 'daysPresentable'> {
  readonly measurementId: string;
  /** What the head's card says to mind. */
  readonly allergies: string;
  readonly brief: BriefInput;
  readonly forecast: PlanFile;
  readonly layerProductIds: readonly (string | null)[];
  /** Grams taken out of each product of the shelf, by id; null: as planned. */
  readonly takenG: Readonly<Record<string, number>> | null;
  readonly modelVersion: string;
  readonly dryingBelief: RateBelief | null;
  /** What comes of it as it was taken down; null while it is in, or where nothing is known of that. */
  readonly asTakenDown: TakenDown | null;
  readonly sections: readonly SetSection[];
  readonly events: readonly RunEvent[];
  readonly run: RunState;
  readonly wearDays: readonly WearDay[];
  readonly outcome: HalfOutcome | null;
  /** How the halves of a trial ended, as far as they did. */
  readonly halfOutcomes: readonly HalfOutcome[];
}

const layerIds = z.array(z.string().nullable());
const grams = z.record(z.string(), z.number());
const belief = z.looseObject({
  lnRates: z.array(z.number()),
  weights: z.array(z.number()),
  // Beliefs of older models were kept without their heads.
  heads: z
    .object({
      weights: z.array(z.number()),
      lnRates: z.array(z.number()),
      zones: z.array(z.enum(ZONES)),
      placesH: z.array(z.array(z.number())),
    })
    .nullable()
    .default(null),
});

/** The set that a plan was begun as, or null. */
export async function setOfPlan(
  reader: Reader,
  studioId: string,
  planId: string,
): Promise<{ readonly id: string; readonly takenDownAtMs: number | null } | null> {
  const [row] = await reader
    .select({ id: sets.id, takenDownAtMs: sets.takenDownAtMs })
    .from(sets)
    .where(and(eq(sets.studioId, studioId), eq(sets.planId, planId), standing))
    .orderBy(desc(sets.startedAtMs))
    .limit(1);
  return row ?? null;
}

/**
 * One set with its whole record, or null.
 *
 * @throws AppError unreadable when the kept brief or forecast is damaged
 */
export async function findSet(reader: Reader, studioId: string, id: string): Promise<SetRecord | null> {
  const [row] = await reader
    .select({
      ...facts,
      measurementId: sets.measurementId,
      allergies: heads.allergies,
      brief: sets.brief,
      forecast: sets.forecast,
      layerProductIds: sets.layerProductIds,
      takenG: sets.takenG,
      modelVersion: sets.modelVersion,
      dryingBelief: sets.dryingBelief,
      asTakenDown: sets.asTakenDown,
    })
    .from(sets)
    .innerJoin(heads, eq(heads.id, sets.headId))
    .leftJoin(outcomes, wholeOutcome)
    .where(and(eq(sets.studioId, studioId), eq(sets.id, id)));
  if (!row) return null;
  const [sections, events, days, ended] = await Promise.all([
    reader
      .select()
      .from(setSections)
      .where(and(eq(setSections.studioId, studioId), eq(setSections.setId, id)))
      .orderBy(asc(setSections.number)),
    eventsOf(reader, studioId, id),
    wearDaysOf(reader, studioId, id),
    outcomesOf(reader, studioId, id),
  ]);
  return {
    ...row,
    brief: requireJson(briefShape, row.brief) as BriefInput,
    forecast: requireJson(planFile, row.forecast),
    layerProductIds: readJson(layerIds, row.layerProductIds) ?? [],
    takenG: readJson(grams, row.takenG),
    dryingBelief: readJson(belief, row.dryingBelief) as RateBelief | null,
    asTakenDown: readJson(takenDownShape, row.asTakenDown),
    sections,
    events,
    run: runState(events, sections.length),
    wearDays: days,
    outcome: ended.find(({ half }) => half === 'whole') ?? null,
    halfOutcomes: ended.filter(({ half }) => half !== 'whole'),
  };
}
