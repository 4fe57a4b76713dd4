import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { aBrief } from '../../../../tests/support/briefs';
import { aHead, aSet, aStudio, CARD, NOON } from '../../../../tests/support/studio';
import type { RunEvent } from '@/core/run/run-state';
import { AppError } from '../../errors';
import type { Database } from '../client';
import { findHead, listHeads, listMeasurements, updateHead, type HeadRecord } from './heads';
import { createPlan, findPlan, listOpenPlans, renamePlan, savePlan, setPlanStatus } from './plans';
import { addCheck, addEvents, endSet, findSet, listSets, saveWearDay } from './sets';
import { createStudio } from './studios';

const MINUTE = 60_000;
let database: Database;
let studioId: string;
let head: HeadRecord;

beforeEach(async () => {
  ({ database, studioId } = await aStudio());
  head = await aHead(database, studioId);
});
afterEach(() => database.close());

const event = (
  id: string,
  kind: RunEvent['kind'],
  atMin: number,
  sectionNumber: number | null = null,
): RunEvent => ({
  id,
  kind,
  atMs: NOON + atMin * MINUTE,
  sectionNumber,
  note: null,
});
const record = (setId: string, events: RunEvent[]) =>
  database.write((tx) => addEvents(tx, studioId, setId, events));
const allDone = [1, 2, 3, 4].map((n) => event(`d${n}`, 'section-done', n, n));
const entry = {
  definition: 6,
  frizz: 3,
  volume: 5,
  moisture: 7,
  shine: 6,
  night: 'scarf',
  visibleLengthCm: null,
  note: '',
};

describe('heads', () => {
  it('keep the old measurements when they are measured again', async () => {
    const measured = aBrief({ head: { stretchedLengthCm: 30 } }).head;
    await database.write((tx) => updateHead(tx, studioId, head.id, 1, CARD, measured, NOON + 1));
    const all = await listMeasurements(database.db, studioId, head.id);
    expect(all.map((m) => (m.head.stretchedLengthCm as { crown: number }).crown)).toEqual([30, 25]);
  });

  it('do not make a measurement of a changed note', async () => {
    await database.write((tx) =>
      updateHead(tx, studioId, head.id, 1, { ...CARD, notes: 'new' }, head.measurement.head, NOON + 1),
    );
    expect(await listMeasurements(database.db, studioId, head.id)).toHaveLength(1);
    expect((await findHead(database.db, studioId, head.id))!.notes).toBe('new');
  });

  it('notice that another tab saved first', async () => {
    const save = (revision: number) =>
      database.write((tx) => updateHead(tx, studioId, head.id, revision, CARD, head.measurement.head, NOON));
    await save(1);
    await expect(save(1)).rejects.toMatchObject({ code: 'conflict' });
    await expect(save(2)).resolves.toBe(3);
  });

  it('of another studio are not to be seen', async () => {
    const other = await database.write((tx) => createStudio(tx, { name: 'Other', timeZone: 'UTC' }, NOON));
    expect(await listHeads(database.db, other.id)).toEqual([]);
    expect(await findHead(database.db, other.id, head.id)).toBeNull();
    await expect(
      database.write((tx) => updateHead(tx, other.id, head.id, 1, CARD, head.measurement.head, NOON)),
    ).rejects.toMatchObject({ code: 'not-found' });
  });
});

describe('plans', () => {
  const content = { title: 'A plan', brief: aBrief(), layerProductIds: [null] };
  const plan = () =>
    database.write((tx) =>
      createPlan(
        tx,
        studioId,
        { ...content, headId: head.id, measurementId: head.measurement.id, status: 'draft' },
        NOON,
      ),
    );

  it('keep the head as it was measured, whatever is measured after', async () => {
    const id = await plan();
    await database.write((tx) =>
      updateHead(tx, studioId, head.id, 1, CARD, aBrief({ head: { stretchedLengthCm: 9 } }).head, NOON + 1),
    );
    const kept = await findPlan(database.db, studioId, id);
    expect(kept!.brief.head.stretchedLengthCm).toBe(25);
    expect(kept!.measurementId).toBe(head.measurement.id);
  });

  it('are saved over the revision that was seen, and no other', async () => {
    const id = await plan();
    const save = (revision: number, title: string) =>
      database.write((tx) =>
        savePlan(tx, studioId, id, revision, { ...content, title, measurementId: head.measurement.id }, NOON),
      );
    await save(1, 'mine');
    await expect(save(1, 'theirs')).rejects.toBeInstanceOf(AppError);
    expect((await findPlan(database.db, studioId, id))!.title).toBe('mine');
  });

  it('leave the list once carried out', async () => {
    const id = await plan();
    expect(await listOpenPlans(database.db, studioId)).toHaveLength(1);
    await database.write((tx) => setPlanStatus(tx, studioId, id, 'done'));
    expect(await listOpenPlans(database.db, studioId)).toHaveLength(0);
  });

  it('put aside are out of the list until they are taken back, and listed by head', async () => {
    const id = await plan();
    await database.write((tx) => setPlanStatus(tx, studioId, id, 'aside'));
    expect(await listOpenPlans(database.db, studioId)).toEqual([]);
    await database.write((tx) => setPlanStatus(tx, studioId, id, 'draft'));
    expect(await listOpenPlans(database.db, studioId, head.id)).toHaveLength(1);
    expect(await listOpenPlans(database.db, studioId, 'another-head')).toEqual([]);
  });

  it('renamed elsewhere are not overwritten by a tab that did not see it', async () => {
    const id = await plan();
    await database.write((tx) => renamePlan(tx, studioId, id, 'renamed', NOON));
    expect((await findPlan(database.db, studioId, id))!.title).toBe('renamed');
    const stale = { ...content, measurementId: head.measurement.id };
    await expect(database.write((tx) => savePlan(tx, studioId, id, 1, stale, NOON))).rejects.toBeInstanceOf(
      AppError,
    );
    await expect(database.write((tx) => renamePlan(tx, studioId, 'gone', 'x', NOON))).rejects.toBeInstanceOf(
      AppError,
    );
  });
});

describe('sets', () => {
  it('go from the chair to wear to their end', async () => {
    const setId = await aSet(database, studioId, head);
    expect(await listSets(database.db, studioId, 'chair')).toHaveLength(1);
    await record(setId, allDone);
    expect((await findSet(database.db, studioId, setId))!.installedAtMs).toBe(NOON + 4 * MINUTE);
    await record(setId, [event('t', 'taken-down', 600)]);
    expect(await listSets(database.db, studioId, 'worn')).toHaveLength(1);
    await database.write((tx) => saveWearDay(tx, studioId, setId, { ...entry, day: 0, revision: 0 }, NOON));
    await database.write((tx) =>
      endSet(tx, studioId, setId, { lastGoodDay: 3, reason: 'frizz', note: '' }, NOON + 1),
    );
    const [over] = await listSets(database.db, studioId, 'ended');
    expect(over).toMatchObject({ id: setId, lastGoodDay: 3 });
    expect((await findSet(database.db, studioId, setId))!.sections).toHaveLength(4);
  });

  it('take the same tap twice as one, and an undo back', async () => {
    const setId = await aSet(database, studioId, head);
    await record(setId, allDone);
    await record(setId, allDone);
    expect((await findSet(database.db, studioId, setId))!.events).toHaveLength(4);
    await record(setId, [event('u', 'section-undone', 6, 4)]);
    expect((await findSet(database.db, studioId, setId))!.installedAtMs).toBeNull();
  });

  it('refuse what cannot have happened', async () => {
    const setId = await aSet(database, studioId, head);
    await expect(record(setId, [event('x', 'section-done', 1, 9)])).rejects.toThrow(
      'this set has no section 9',
    );
    await expect(record(setId, [event('y', 'paused', -1)])).rejects.toThrow('before the set was started');
    await expect(record('nowhere', allDone)).rejects.toMatchObject({ code: 'not-found' });
    const check = {
      id: 'c',
      sectionNumber: 1,
      level: 'root',
      feel: 'damp',
      atMs: NOON + 9 * MINUTE,
    } as const;
    const feel = (change = {}) =>
      database.write((tx) => addCheck(tx, studioId, setId, { ...check, ...change }));
    await expect(feel()).rejects.toThrow('finish every section before');
    await record(setId, allDone);
    await expect(feel({ atMs: NOON })).rejects.toThrow('before the set was finished');
    await expect(feel({ sectionNumber: 40 })).rejects.toThrow('no section 40');
    await feel();
    expect((await findSet(database.db, studioId, setId))!.checks).toHaveLength(1);
  });

  it('refuse a day of wear before the takedown, and a second tab over the first', async () => {
    const setId = await aSet(database, studioId, head);
    const wear = (day: number, revision: number) =>
      database.write((tx) => saveWearDay(tx, studioId, setId, { ...entry, day, revision }, NOON));
    await expect(wear(0, 0)).rejects.toThrow('not been taken down yet');
    await record(setId, [...allDone, event('t', 'taken-down', 600)]);
    await expect(wear(-1, 0)).rejects.toThrow('before the takedown');
    await wear(1, 0);
    await expect(wear(1, 0)).rejects.toMatchObject({ code: 'conflict' });
    await wear(1, 1);
    expect((await findSet(database.db, studioId, setId))!.wearDays).toHaveLength(1);
  });

  it('are not given up twice', async () => {
    const setId = await aSet(database, studioId, head);
    const end = () =>
      database.write((tx) => endSet(tx, studioId, setId, { lastGoodDay: 2, reason: 'limp', note: '' }, NOON));
    await expect(end()).rejects.toThrow('not been taken down yet');
    await record(setId, [...allDone, event('t', 'taken-down', 600)]);
    await end();
    await expect(end()).rejects.toThrow('already given up');
  });

  it('roll back whole when one event of many is wrong', async () => {
    const setId = await aSet(database, studioId, head);
    await expect(record(setId, [...allDone, event('bad', 'section-done', 9, 99)])).rejects.toThrow();
    expect((await findSet(database.db, studioId, setId))!.events).toHaveLength(0);
  });
});
