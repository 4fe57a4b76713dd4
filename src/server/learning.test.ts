import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aDay, aHead, ALL_DONE, anEnd, aSet, aStudio, NOON, sent, tap } from '../../tests/support/studio';
import { DAY_MS } from '@/core/units/time';
import type { Database } from './db/client';
import { addCare } from './db/rows/care';
import { addPerson, changePerson } from './db/rows/people';
import {
  faultOf,
  lastTouched,
  learningSettings,
  saveFault,
  touchedSince,
  type FaultRecord,
} from './db/rows/evidence';
import { cancelSet, restoreSet } from './db/rows/set-commands';
import { endSet, reopenSet, saveWearDay } from './db/rows/wear';
import { forgetLearning, knownOfHead, studioKnowledge, wholeKnowledge } from './learning';

let database: Database;
let studioId: string;
let headId: string;
let setId: string;
const studio = () => ({ id: studioId, timeZone: 'UTC' });
const knowledge = () => studioKnowledge(database, studio());
const lasted = async () => {
  const { learnt } = await knownOfHead(database, studio(), headId);
  return learnt?.techniques['two-strand-twist']?.days ?? null;
};

beforeAll(async () => {
  ({ database, studioId } = await aStudio());
  const head = await aHead(database, studioId);
  headId = head.id;
  setId = await aSet(database, studioId, head);
  await tap(database, studioId, setId, [...ALL_DONE, sent('down', 'taken-down', 600)]);
});
afterAll(() => {
  forgetLearning();
  database.close();
});

describe('what a studio learns from its sets', () => {
  it('begins with nothing, and takes a set as soon as it tells something', async () => {
    expect((await knowledge()).sets).toHaveLength(1);
    expect(await lasted()).toBeNull();
    await database.write((tx) => saveWearDay(tx, studioId, setId, aDay({ day: 2 }), NOON));
    expect((await knowledge()).sets[0]!.seen.days).toMatchObject({ how: 'worn', last: 2 });
    await database.write((tx) => endSet(tx, studioId, setId, anEnd({ lastGoodDay: 9 }), NOON));
    const known = (await lasted())!;
    expect(known.shift).toBeGreaterThan(0.1);
    expect(known.sets).toBe(1);
  });

  it('is asked again only where something changed', async () => {
    const before = await knowledge();
    expect(await knowledge()).toBe(before);
    const touched = await lastTouched(database.db, studioId);
    await database.write((tx) => endSet(tx, studioId, setId, anEnd({ lastGoodDay: 1 }), NOON));
    expect(await touchedSince(database.db, studioId, touched)).toMatchObject([{ id: setId, seen: null }]);
    expect((await lasted())!.shift).toBeLessThan(0);
  });

  it('a set taken out, or a giving up taken back, takes what it taught with it', async () => {
    await database.write((tx) => cancelSet(tx, studioId, setId, NOON));
    expect((await knowledge()).sets).toEqual([]);
    expect(await lasted()).toBeNull();
    await database.write((tx) => restoreSet(tx, studioId, setId));
    expect((await lasted())!.shift).toBeLessThan(0);
    await database.write((tx) => reopenSet(tx, studioId, setId));
    expect((await knowledge()).sets[0]!.seen.days!.how).toBe('worn');
  });

  it('what is told from memory counts for days and for nothing else', async () => {
    await database.write((tx) =>
      saveWearDay(tx, studioId, setId, aDay({ day: 1, ratings: { definition: 9 } }), NOON),
    );
    expect((await knowledge()).sets[0]!.seen.definition).not.toBeNull();
    const recalled = { best: null, worst: null, night: null };
    await database.write((tx) => endSet(tx, studioId, setId, anEnd({ lastGoodDay: 5, recalled }), NOON));
    expect((await knowledge()).sets[0]!.seen).toMatchObject({
      definition: null,
      days: { last: 5, isRecalled: true },
    });
  });

  it('a cut begins a new period: what was known is only a start', async () => {
    const before = (await lasted())!;
    const date = new Date(NOON + 30 * DAY_MS).toISOString().slice(0, 10);
    await database.write((tx) =>
      addCare(tx, studioId, { headId, kind: 'cut', date, cutMm: 80, note: '' }, NOON),
    );
    // The set itself was before it, and stays in its period.
    expect((await lasted())!.shift).toBe(before.shift);
    const earlier = new Date(NOON - 30 * DAY_MS).toISOString().slice(0, 10);
    await database.write((tx) =>
      addCare(tx, studioId, { headId, kind: 'colour', date: earlier, cutMm: null, note: '' }, NOON),
    );
    expect((await knowledge()).sets[0]!.period).toBe(1);
  });

  it('a set that is deleted is forgotten, and one that cannot be read teaches nothing until it is touched', async () => {
    const copy = async (id: string, brief: string) => {
      await database.client.execute({
        sql: `insert into sets (id, studio_id, head_id, measurement_id, title, brief, forecast, model_version, layer_product_ids, started_at_ms, installed_at_ms, taken_down_at_ms) select ?, studio_id, head_id, measurement_id, title, ${brief}, forecast, model_version, layer_product_ids, started_at_ms, installed_at_ms, taken_down_at_ms from sets where id = ?`,
        args: [id, setId],
      });
      return (await knowledge()).sets.map((set) => set.id);
    };
    expect(await copy('readable', 'brief')).toEqual([setId, 'readable']);
    expect(await copy('broken', "'{}'")).toEqual([setId, 'readable']);
    expect((await knowledge()).waiting).toBe(0);
    const before = await knowledge();
    expect(await knowledge()).toBe(before);
    await database.client.execute({
      sql: "update sets set brief = (select brief from sets where id = ?) where id = 'broken'",
      args: [setId],
    });
    expect((await knowledge()).sets.map((set) => set.id)).toEqual([setId, 'readable', 'broken']);
    await database.client.execute("delete from sets where id in ('readable', 'broken')");
    expect((await knowledge()).sets.map((set) => set.id)).toEqual([setId]);
  });

  it('in another time zone a set may fall in another period', async () => {
    const date = new Date(NOON + DAY_MS).toISOString().slice(0, 10);
    await database.write((tx) =>
      addCare(tx, studioId, { headId, kind: 'heat', date, cutMm: null, note: '' }, NOON),
    );
    const before = (await knowledge()).sets[0]!.period;
    const ahead = await studioKnowledge(database, { id: studioId, timeZone: 'Pacific/Kiritimati' });
    expect(ahead.sets[0]!.period).toBe(before + 1);
    expect((await knowledge()).sets[0]!.period).toBe(before);
  });

  it('what was timed under a name is hers who has another by now, unless another took it', async () => {
    const hands = async () => (await knowledge()).sets.map(({ seen }) => seen.stylist);
    const timed = await aSet(database, studioId, await aHead(database, studioId));
    const taps = [...ALL_DONE, sent('down', 'taken-down', 600)];
    await tap(
      database,
      studioId,
      timed,
      taps.map((event) => ({ ...event, id: `of ${event.id}`, by: 'Bea' })),
    );
    expect(await hands()).toEqual([null, 'Bea']);
    const card = { role: 'stylist', colour: 1, secretHash: null } as const;
    const called = (id: string, name: string) =>
      database.write((tx) => changePerson(tx, studioId, id, { ...card, name }, NOON));
    const bea = await database.write((tx) =>
      addPerson(tx, studioId, { ...card, name: 'Bea', secretHash: '' }, NOON),
    );
    const before = await knowledge();
    await called(bea, 'Beatrix');
    await called(bea, 'Beatrice');
    expect(await hands()).toEqual([null, 'Beatrice']);
    const { learning } = await knowledge();
    expect(learning.paces.stylists.map(({ stylist }) => stylist)).toEqual(
      before.learning.paces.stylists.map(({ stylist }) => (stylist === 'Bea' ? 'Beatrice' : stylist)),
    );
    await called(bea, 'Bea');
    expect(await hands()).toEqual([null, 'Bea']);
    await called(bea, 'Beatrice');
    await database.write((tx) => addPerson(tx, studioId, { ...card, name: 'Bea', secretHash: '' }, NOON));
    expect(await hands()).toEqual([null, 'Bea']);
    await database.client.execute({ sql: 'delete from sets where id = ?', args: [timed] });
  });

  it('another studio learns nothing from it', async () => {
    expect((await studioKnowledge(database, { id: 'another', timeZone: 'UTC' })).sets).toEqual([]);
    expect(await learningSettings(database.db, 'another')).toMatchObject({ fittedSets: 0, noticeable: 1 });
  });
});

describe('what somebody says of a set that fell short', () => {
  const said = { symptoms: { limp: 'present' }, told: {}, answers: { 'too-much': true } } as const;

  it('is kept once however often it is sent, and not over what another said since', async () => {
    const save = (fault: FaultRecord) => database.write((tx) => saveFault(tx, studioId, setId, fault, NOON));
    await save({ ...said, revision: 0 });
    await save({ ...said, revision: 0 });
    expect(await faultOf(database.db, studioId, setId)).toEqual({ ...said, revision: 1 });
    await expect(save({ ...said, symptoms: {}, revision: 0 })).rejects.toMatchObject({ code: 'conflict' });
    await save({ ...said, answers: {}, revision: 1 });
    expect(await faultOf(database.db, studioId, setId)).toEqual({ ...said, answers: {}, revision: 2 });
  });
});

describe('a log that was never read', () => {
  it('is read a few sets at once while others are answered, and whole in the end', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'keen-spiral-'));
    const { database: crowded, studioId: id } = await aStudio(`file:${join(folder, 'log.db')}`);
    const head = await aHead(crowded, id);
    const first = await aSet(crowded, id, head);
    await tap(crowded, id, first, [...ALL_DONE, sent('down', 'taken-down', 600)]);
    for (let i = 0; i < 70; i++)
      await crowded.client.execute({
        sql: 'insert into sets (id, studio_id, head_id, measurement_id, title, brief, forecast, model_version, layer_product_ids, started_at_ms, installed_at_ms, taken_down_at_ms) select ?, studio_id, head_id, measurement_id, title, brief, forecast, model_version, layer_product_ids, started_at_ms, installed_at_ms, taken_down_at_ms from sets where id = ?',
        args: [`copy-${i}`, first],
      });
    const now = () => studioKnowledge(crowded, { id, timeZone: 'UTC' });
    const begun = await now();
    expect(begun.sets.length).toBeGreaterThanOrEqual(60);
    expect(begun.waiting).toBe(11);
    const whole = await wholeKnowledge(crowded, { id, timeZone: 'UTC' });
    expect(whole.sets).toHaveLength(71);
    expect(await now()).toBe(whole);
    crowded.close();
    rmSync(folder, { recursive: true });
  });
});
