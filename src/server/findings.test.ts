import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aDay, aHead, ALL_DONE, anEnd, aSet, aStudio, NOON, sent, tap } from '../../tests/support/studio';
import type { Database } from './db/client';
import { keepLearningSettings } from './db/rows/evidence';
import { endSet, reopenSet, saveWearDay } from './db/rows/wear';
import { findOut, findOutBeforehand } from './findings';
import { forgetLearning } from './learning';
import { closePool } from './pool';

let database: Database;
let studioId: string;
let headId: string;
let setId: string;
const studio = () => ({ id: studioId, timeZone: 'UTC' });
const ended = (found: Awaited<ReturnType<typeof findOut>>) =>
  found.findings.lasting[0]!.groups.map(({ sets, ended: by, longest }) => [sets, by, longest]);

beforeAll(async () => {
  ({ database, studioId } = await aStudio());
  const head = await aHead(database, studioId);
  headId = head.id;
  setId = await aSet(database, studioId, head);
  await tap(database, studioId, setId, [...ALL_DONE, sent('down', 'taken-down', 600)]);
  await database.write((tx) => saveWearDay(tx, studioId, setId, aDay({ day: 2 }), NOON));
});
afterAll(async () => {
  await closePool();
  forgetLearning();
  database.close();
});

describe('what a studio’s log says', () => {
  it('is worked out beforehand, and once for each state of the log', async () => {
    await findOutBeforehand(database, studio());
    const first = await findOut(database, studio());
    expect(first).toMatchObject({ isOlder: false, findings: { sets: 1, heads: 1 } });
    expect((await findOut(database, studio())).findings).toBe(first.findings);
    expect(first.headNames.get(headId)).toBeDefined();
  });

  it('changes with a set that is given up, and back with it', async () => {
    expect(ended(await findOut(database, studio()))).toEqual([[1, 0, 2]]);
    await database.write((tx) => endSet(tx, studioId, setId, anEnd({ lastGoodDay: 4 }), NOON));
    expect(ended(await findOut(database, studio()))).toEqual([[1, 1, 4]]);
    await database.write((tx) => reopenSet(tx, studioId, setId));
    expect(ended(await findOut(database, studio()))).toEqual([[1, 0, 2]]);
  });

  it('a screen that may show older findings gets newer ones in the end, whole at every time', async () => {
    const before = await findOut(database, studio(), null, true);
    await database.write((tx) => endSet(tx, studioId, setId, anEnd({ lastGoodDay: 7 }), NOON));
    const soon = await findOut(database, studio(), null, true);
    expect(ended(soon)).toEqual(soon.isOlder ? ended(before) : [[1, 1, 7]]);
    await expect.poll(async () => (await findOut(database, studio(), null, true)).isOlder).toBe(false);
    expect(ended(await findOut(database, studio(), null, true))).toEqual([[1, 1, 7]]);
  });

  it('is kept where something else is set, and made anew where it rests on that', async () => {
    const before = await findOut(database, studio());
    await database.write((tx) => keepLearningSettings(tx, studioId, { fittedAtMs: NOON }));
    expect((await findOut(database, studio())).findings).toBe(before.findings);
    await database.write((tx) => keepLearningSettings(tx, studioId, { noticeable: 2 }));
    expect((await findOut(database, studio())).findings).not.toBe(before.findings);
  });

  it('of one head is hers alone, and of no head nothing', async () => {
    expect((await findOut(database, studio(), headId)).findings.sets).toBe(1);
    expect((await findOut(database, studio(), 'another')).findings.sets).toBe(0);
    expect((await findOut(database, { id: 'another', timeZone: 'UTC' })).findings.sets).toBe(0);
  });
});
