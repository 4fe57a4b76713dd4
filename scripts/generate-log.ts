import { writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { evidenceOfSet, type SetSeen } from '@/core/evidence/set-evidence';
import { LEARNT_OUTCOMES } from '@/core/coefficients/evidence';
import { EMPTY_DAY } from '@/core/diary/day-entry';
import type { BriefInput } from '@/core/formats/brief';
import { planFile, type PlanFile } from '@/core/formats/plan-file';
import { answerBrief } from '@/core/plan/answer-brief';
import type { TakenDown } from '@/core/plan/as-taken-down';
import { MODEL_VERSION } from '@/core/plan/forecast';
import { seededRng } from '@/core/random/rng';
import { runEvent } from '@/core/run/run-event';
import { runState } from '@/core/run/run-state';
import type { TechniqueId } from '@/core/techniques';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '@/core/units/time';
import { migrateDatabase, openDatabase, type Database } from '@/server/db/client';
import { createHead } from '@/server/db/rows/heads';
import { createStudio, currentStudio } from '@/server/db/rows/studios';
import {
  headMeasurements,
  outcomes,
  setEvents,
  setEvidence,
  sets as setsTable,
  setSections,
  wearDays,
} from '@/server/db/schema';
import { eq } from 'drizzle-orm';
import { simulatedStudio, type Simulated } from '../tests/support/simulated-studio';

/** How large a generated log is. */
export interface LogSize {
  readonly sets: number;
  readonly heads: number;
  readonly seed: number;
}

const TECHNIQUES = ['two-strand-twist', 'braid', 'rod-set', 'bantu-knot'] as const satisfies TechniqueId[];
const HANDS = ['Odile', 'Bryn'] as const;
const SECTIONS = 4;
/** Sets written in one transaction. */
const AT_ONCE = 200;
/** Days a diary has on average, so that ten thousand sets come to sixty thousand days. */
const MOST_DAYS = 12;

const briefOf = (technique: TechniqueId): BriefInput => ({
  format: 'keen-spiral/brief',
  version: 1,
  head: { stretchedLengthCm: 25 },
  set: { technique, sections: 18, layers: [{ role: 'leave-in' }, { role: 'gel' }] },
});

/** A forecast small enough to be kept ten thousand times: what lists and learning read of it. */
function smallForecast(technique: TechniqueId): PlanFile {
  const answer = answerBrief({ ...briefOf(technique), draws: 0 });
  if (!answer.ok) throw new Error('the brief of a generated log is refused');
  const plan = answer.value;
  return planFile.parse({
    ...plan,
    brief: undefined,
    sections: plan.sections.slice(0, SECTIONS),
    zones: [],
    drying: { ...plan.drying, curve: plan.drying.curve.slice(0, 2), waiting: [] },
    result: { ...plan.result, byDay: plan.result.byDay.slice(0, 3) },
    cautions: [],
  });
}

/**
 * Fills a studio with a log of sets whose truth is known: who dries slowly, on whom styles last, whose hand is slow. The
 * same seed gives the same log.
 *
 * @returns the truth
 */
export async function generateLog(
  { write }: Database,
  studioId: string,
  { sets: count, heads, seed }: LogSize,
  nowMs: number,
): Promise<Simulated> {
  const simulated = simulatedStudio({
    seed,
    heads,
    setsEach: Math.ceil(count / heads),
    techniques: TECHNIQUES,
    stylists: HANDS,
  });
  const rng = seededRng(seed, 9);
  const forecasts = new Map(TECHNIQUES.map((technique) => [technique, smallForecast(technique)]));
  const headIds = new Map<string, { id: string; measurementId: string }>();
  await write(async (tx) => {
    for (let h = 0; h < heads; h++) {
      const card = {
        name: `Head ${h + 1}`,
        description: '',
        notes: '',
        allergies: '',
        skinTone: 'mahogany',
        hairTone: 'black',
        likes: [],
      };
      const id = await createHead(tx, studioId, card, { stretchedLengthCm: 25 }, nowMs - 900 * DAY_MS);
      const [measured] = await tx
        .select({ id: headMeasurements.id })
        .from(headMeasurements)
        .where(eq(headMeasurements.headId, id));
      headIds.set(`head-${h}`, { id, measurementId: measured!.id });
    }
  });
  const told = simulated.sets.slice(0, count);
  const firstMs = nowMs - 2 * count * HOUR_MS - 30 * DAY_MS;
  for (let from = 0; from < told.length; from += AT_ONCE)
    await write(async (tx) => {
      const rows = told.slice(from, from + AT_ONCE).map(({ headId, seen }, i) => {
        const n = from + i;
        const id = `generated-${seed}-${String(n).padStart(6, '0')}`;
        const startedAtMs = firstMs + 2 * n * HOUR_MS;
        const forecast = forecasts.get(seen.technique as (typeof TECHNIQUES)[number])!;
        const plannedMin = forecast.handsOn.installMin.p50 / SECTIONS;
        const paced = seen.install!.came / seen.install!.trade;
        const events = Array.from({ length: SECTIONS }, (_, section) =>
          runEvent(
            `${id}-${section}`,
            'section-done',
            Math.round(startedAtMs + (section + 1) * paced * plannedMin * MINUTE_MS),
            { sectionNumber: section + 1, by: seen.stylist, sequence: section + 1 },
          ),
        );
        const installedAtMs = events.at(-1)!.atMs;
        const takenDownAtMs = installedAtMs + 12 * HOUR_MS;
        const days = seen.days!;
        const said = forecast.result.byDay[1]!.definition;
        const dayCount = Math.min(MOST_DAYS, days.last + 1);
        const diary = Array.from({ length: dayCount }, (_, day) => ({
          ...EMPTY_DAY,
          id: `${id}-${day}`,
          day,
          half: 'whole' as const,
          ratings: {
            definition: Math.min(
              10,
              Math.max(0, said + seen.definition!.came - seen.definition!.trade - 0.4 * day),
            ),
            frizz: Math.min(10, 2 + 0.5 * day),
          },
          night: rng() < 0.7 ? ('gather-and-bonnet' as const) : ('nothing' as const),
        }));
        const asTakenDown: TakenDown = {
          takenDownAtMs,
          chanceDry: 0.9,
          result: forecast.result,
          daysPresentable: forecast.daysPresentable,
          seen: {
            rate: { ...seen.rate!, ownVariance: 0 },
            saidChance: 0.9,
            felt: rng() < 0.88 ? 'dry' : 'damp',
          },
        };
        const outcome = {
          half: 'whole' as const,
          lastGoodDay: days.last,
          reason: days.reason!,
          wouldHaveGoneOn: days.how === 'cut' ? true : null,
          note: '',
          recalled: null,
        };
        const sections = Array.from({ length: SECTIONS }, (_, section) => ({
          number: section + 1,
          zone: 'crown' as const,
          side: 'left' as const,
          areaCm2: 30,
          hairCount: 5000,
          plannedMin,
        }));
        const record: SetSeen = {
          brief: briefOf(seen.technique),
          forecast,
          asTakenDown,
          modelVersion: MODEL_VERSION,
          isEnteredLater: false,
          layerProductIds: [null, null],
          takenG: null,
          sections,
          run: runState(events, SECTIONS),
          wearDays: diary,
          outcome,
          halfOutcomes: [],
        };
        return {
          id,
          head: headIds.get(headId)!,
          startedAtMs,
          installedAtMs,
          takenDownAtMs,
          events,
          diary,
          record,
          outcome,
        };
      });
      for (const {
        id,
        head,
        startedAtMs,
        installedAtMs,
        takenDownAtMs,
        events,
        diary,
        record,
        outcome,
      } of rows) {
        await tx.insert(setsTable).values({
          id,
          studioId,
          headId: head.id,
          measurementId: head.measurementId,
          title: 'Generated',
          brief: record.brief,
          forecast: record.forecast as PlanFile,
          asTakenDown: record.asTakenDown,
          modelVersion: MODEL_VERSION,
          layerProductIds: [null, null],
          startedAtMs,
          installedAtMs,
          takenDownAtMs,
          endedAtMs: takenDownAtMs + outcome.lastGoodDay * DAY_MS,
        });
        await tx.insert(setSections).values(
          record.sections.map((section) => ({
            ...section,
            setId: id,
            studioId,
            zone: 'crown' as const,
            side: 'left' as const,
            areaCm2: 30,
            hairCount: 5000,
          })),
        );
        await tx.insert(setEvents).values(
          events.map(({ sequence, device: _, ...event }) => ({
            ...event,
            of: null,
            setId: id,
            studioId,
            sequence: sequence ?? 0,
          })),
        );
        await tx.insert(wearDays).values(
          diary.map(({ ratings, ...day }) => ({
            ...day,
            ...ratings,
            setId: id,
            studioId,
            ratedBy: null,
            revision: 1,
            updatedAtMs: takenDownAtMs + day.day * DAY_MS,
          })),
        );
        await tx.insert(outcomes).values({ ...outcome, setId: id, studioId, createdAtMs: takenDownAtMs });
        await tx.insert(setEvidence).values({ setId: id, studioId, seen: evidenceOfSet(record) });
      }
    });
  return simulated;
}

/** `tsx scripts/generate-log.ts --sets 10000 --heads 100 --seed 1 FILE.db`: a log and, beside it, its truth. */
async function main() {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      sets: { type: 'string', default: '10000' },
      heads: { type: 'string', default: '100' },
      seed: { type: 'string', default: '1' },
    },
  });
  const [file] = positionals;
  if (!file) throw new Error('name the database file to make');
  const nowMs = Date.now();
  const database = openDatabase(`file:${file}`);
  await migrateDatabase(database, `file:${file}`, nowMs);
  const studio =
    (await currentStudio(database.db)) ??
    (await database.write((tx) => createStudio(tx, { name: 'Generated', timeZone: 'UTC' }, nowMs)));
  const size = { sets: Number(values.sets), heads: Number(values.heads), seed: Number(values.seed) };
  const { trueShift, truePace } = await generateLog(database, studio.id, size, nowMs);
  const truth = {
    size,
    hands: Object.fromEntries(HANDS.map((name) => [name, truePace(name)])),
    heads: Array.from({ length: size.heads }, (_, h) =>
      Object.fromEntries(
        TECHNIQUES.map((technique) => [
          technique,
          Object.fromEntries(
            LEARNT_OUTCOMES.map((outcome) => [outcome, trueShift(outcome, `head-${h}`, technique)]),
          ),
        ]),
      ),
    ),
  };
  writeFileSync(`${file}.truth.json`, `${JSON.stringify(truth, null, 1)}\n`);
  database.close();
}

if (process.argv[1]?.endsWith('generate-log.ts')) await main();
