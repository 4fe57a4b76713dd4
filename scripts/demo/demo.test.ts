import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { migrateDatabase, openDatabase, type Database } from '@/server/db/client';
import { listHeadNames } from '@/server/db/rows/heads';
import { findPlan, listOpenPlans } from '@/server/db/rows/plans';
import { findSet, type SetRecord } from '@/server/db/rows/sets';
import { listSets } from '@/server/db/rows/set-lists';
import { listProducts, listTools } from '@/server/db/rows/shelf';
import { currentStudio } from '@/server/db/rows/studios';
import { answerBrief } from '@/core/plan/answer-brief';
import { productRoles } from '@/core/products';
import { HOUR_MS } from '@/core/units/time';
import { seedDemo } from './seed';

// The night summer time ends in the studio's zone: the hardest day to count hours back from.
const NOW = Date.UTC(2026, 9, 25, 1, 30);
let database: Database;
let studioId: string;
let sets: SetRecord[];

beforeAll(async () => {
  database = openDatabase(':memory:');
  await migrateDatabase(database, ':memory:', NOW);
  await seedDemo(database, NOW);
  const studio = await currentStudio(database.db);
  studioId = studio!.id;
  const listed = await listSets(database.db, studioId, 'all');
  sets = await Promise.all(listed.map(async ({ id }) => (await findSet(database.db, studioId, id))!));
});
afterAll(() => database.close());

describe('the demo studio', () => {
  it('has heads across textures, a shelf, rods, and a set booked in three days', async () => {
    expect((await currentStudio(database.db))!.name).toBe('Fernhollow Studio');
    expect((await listHeadNames(database.db, studioId)).length).toBeGreaterThanOrEqual(4);
    const products = await listProducts(database.db, studioId);
    expect(products.every(({ role }) => role in productRoles)).toBe(true);
    expect(
      (await listTools(database.db, studioId))
        .filter((tool) => tool.kind === 'rod')
        .map((rod) => rod.diameterMm),
    ).toEqual([10, 13, 16, 20, 25]);
    const [booked] = (await listOpenPlans(database.db, studioId)).filter((plan) => plan.status === 'chosen');
    const plan = await findPlan(database.db, studioId, booked!.id);
    expect(plan!.brief.wearBy).toBe('2026-10-28T09:00');
    expect(answerBrief(plan!.brief).ok).toBe(true);
  });

  it('tells at least six sets that are over, each with a diary and a reason', () => {
    const over = sets.filter((set) => set.endedAtMs !== null);
    expect(over.length).toBeGreaterThanOrEqual(6);
    for (const set of over) {
      expect(set.wearDays.length).toBeGreaterThan(0);
      expect(set.outcome!.lastGoodDay).toBe(set.wearDays.at(-1)!.day);
      expect(set.takenDownAtMs!).toBeGreaterThan(set.installedAtMs!);
      expect(set.installedAtMs!).toBeGreaterThan(set.startedAtMs);
    }
  });

  it('has one set drying now, felt damp an hour ago, and one being worn', () => {
    const drying = sets.filter((set) => set.installedAtMs !== null && set.takenDownAtMs === null);
    expect(drying).toHaveLength(1);
    expect((NOW - drying[0]!.installedAtMs!) / HOUR_MS).toBeCloseTo(4.5, 1);
    expect(drying[0]!.run.checks.map((check) => check.feel)).toEqual(['damp']);
    expect(sets.filter((set) => set.takenDownAtMs !== null && set.endedAtMs === null)).toHaveLength(1);
  });

  it('holds only what could have happened by now', () => {
    for (const set of sets) {
      expect(set.events.every((event) => event.atMs <= NOW)).toBe(true);
      expect(set.run.checks.every((check) => check.atMs <= NOW)).toBe(true);
      expect(set.forecast.sections).toHaveLength(set.sections.length);
      for (const day of set.wearDays) {
        expect(set.takenDownAtMs! + day.day * 24 * HOUR_MS).toBeLessThan(NOW);
        for (const rating of Object.values(day.ratings)) {
          expect(Number.isInteger(rating * 2) && rating >= 0 && rating <= 10).toBe(true);
        }
      }
    }
  });

  it('shows the mistakes people really make: the damp takedown lasted least', () => {
    const rushed = sets.find((set) => set.title.includes('damp'))!;
    const others = sets.filter((set) => set.outcome && set !== rushed);
    expect(rushed.outcome!.lastGoodDay).toBeLessThan(
      Math.min(...others.map((set) => set.outcome!.lastGoodDay)),
    );
    expect(rushed.events.find((event) => event.kind === 'taken-down')!.note).toBeTruthy();
  });
});
