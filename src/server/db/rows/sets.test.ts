import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { aBrief } from '../../../../tests/support/briefs';
import {
  aDay,
  aHead,
  anEnd,
  ALL_DONE,
  aSet,
  aStudio,
  CARD,
  NOON,
  sent,
  tap,
} from '../../../../tests/support/studio';
import type { Database } from '../client';
import { createHead, type HeadRecord } from './heads';
import { createPlan, findPlan, setPlanStatus } from './plans';
import { cancelSet, countWhatWasUsed, restoreSet, startSet } from './set-commands';
import { countSets, listSets, pageOfSets, type SetStage } from './set-lists';
import { findSet, setOfPlan } from './sets';
import { countAsUsed, findProduct, saveProduct, weighProduct } from './shelf';
import { addPhoto, deletePhoto, photoBytes, keepMeasures, measuresOf, photosOf } from './photos';
import { endSet, reopenSet, saveWearDay } from './wear';

let database: Database;
let studioId: string;
let head: HeadRecord;

beforeEach(async () => {
  ({ database, studioId } = await aStudio());
  head = await aHead(database, studioId);
});
afterEach(() => database.close());

const record = (setId: string, events: readonly unknown[]) => tap(database, studioId, setId, events);
const stages = async () => {
  const counts = await countSets(database.db, studioId);
  return Object.entries(counts)
    .filter(([, n]) => n > 0)
    .map(([stage]) => stage);
};

describe('sets', () => {
  it('go from the chair to wear to their end', async () => {
    const setId = await aSet(database, studioId, head);
    expect(await stages()).toEqual(['chair', 'all']);
    await record(setId, ALL_DONE);
    expect((await findSet(database.db, studioId, setId))!.installedAtMs).toBe(NOON + 4 * 60_000);
    await record(setId, [sent('t', 'taken-down', 600)]);
    expect(await stages()).toEqual(['worn', 'all']);
    await database.write((tx) => saveWearDay(tx, studioId, setId, aDay({ day: 0, revision: 0 }), NOON));
    await database.write((tx) =>
      endSet(tx, studioId, setId, anEnd({ lastGoodDay: 3, reason: 'frizz', note: '' }), NOON + 1),
    );
    const [over] = await listSets(database.db, studioId, 'ended');
    expect(over).toMatchObject({ id: setId, lastGoodDay: 3, set: { technique: 'two-strand-twist' } });
    expect(over!.daysPresentable!.p50).toBeGreaterThan(0);
    expect((await findSet(database.db, studioId, setId))!.sections).toHaveLength(4);
  });

  it('whose brief or forecast is damaged are still listed, and say so when opened', async () => {
    const setId = await aSet(database, studioId, head);
    await database.client.execute("update sets set brief = '{', forecast = '[1]'");
    expect(await listSets(database.db, studioId, 'all')).toMatchObject([
      { id: setId, set: null, daysPresentable: null },
    ]);
    await expect(findSet(database.db, studioId, setId)).rejects.toMatchObject({ code: 'unreadable' });
  });

  it('are found by head, name and technique, page by page', async () => {
    const other = await database.write((tx) =>
      createHead(tx, studioId, { ...CARD, name: 'Odile_100%' }, aBrief().head, NOON),
    );
    for (let i = 0; i < 30; i++) await aSet(database, studioId, head);
    await aSet(database, studioId, { ...head, id: other });
    const find = async (search: string, page = 1, stage: SetStage = 'all') => {
      const found = await pageOfSets(database.db, studioId, { search, page, stage, order: 'newest' });
      return [found.rows.length, found.total, found.page];
    };
    expect(await find('')).toEqual([24, 31, 1]);
    expect(await find('', 2)).toEqual([7, 31, 2]);
    expect(await find('', 99)).toEqual([7, 31, 2]);
    expect(await find('wren two strand')).toEqual([24, 30, 1]);
    expect(await find('odile_100%')).toEqual([1, 1, 1]);
    expect(await find('_')).toEqual([1, 1, 1]);
    expect(await find('wren odile')).toEqual([0, 0, 1]);
    expect(await find('', 1, 'ended')).toEqual([0, 0, 1]);
  });
});

describe('a set begun by mistake', () => {
  async function begun(status: 'draft' | 'chosen' = 'chosen') {
    const product = await database.write((tx) =>
      saveProduct(
        tx,
        studioId,
        { id: null, revision: 0 },
        {
          name: 'Foam', role: 'mousse', waterShare: null, hold: null, weight: null, hasProtein: false, sizeG: 250,
          priceMinor: null, emptyG: null, openedOn: null, useBy: null, notes: '', ingredients: '',
        },
        NOON,
      ),
    ); // prettier-ignore
    await database.write((tx) =>
      weighProduct(tx, studioId, product, { leftG: 100, emptyG: null }, NOON - 86_400_000),
    );
    const brief = aBrief({ set: { sections: 4, layers: [{ role: 'mousse', grams: 12 }] } });
    const planId = await database.write((tx) =>
      createPlan(
        tx,
        studioId,
        {
          title: 'A plan',
          brief,
          layerProductIds: [product],
          headId: head.id,
          measurementId: head.measurement.id,
          status,
        },
        NOON,
      ),
    );
    const plain = await findSet(database.db, studioId, await aSet(database, studioId, head, brief));
    const setId = await database.write(async (tx) => {
      await countAsUsed(tx, studioId, new Map([[product, 12]]));
      const id = await startSet(
        tx,
        studioId,
        {
          headId: head.id,
          planId,
          planStatusBefore: status,
          measurementId: head.measurement.id,
          title: 'A set',
          brief,
          forecast: plain!.forecast,
          layerProductIds: [product],
          modelVersion: 'test',
          dryingBelief: null,
          costMinor: null,
          sections: plain!.sections,
        },
        NOON,
      );
      await setPlanStatus(tx, studioId, planId, 'done');
      return id;
    });
    const used = async () => (await findProduct(database.db, studioId, product))!.usedSinceG;
    const statusNow = async () => (await findPlan(database.db, studioId, planId))!.status;
    return { product, planId, setId, used, statusNow };
  }

  it('gives its products back, its plan is as before, and all of it can be undone', async () => {
    const { planId, setId, used, statusNow } = await begun();
    await record(setId, ALL_DONE.slice(0, 2));
    expect(await used()).toBe(12);
    await database.write((tx) => cancelSet(tx, studioId, setId, NOON + 1));
    await database.write((tx) => cancelSet(tx, studioId, setId, NOON + 2));
    expect(await used()).toBe(0);
    expect(await statusNow()).toBe('chosen');
    expect(await setOfPlan(database.db, studioId, planId)).toBeNull();
    expect((await listSets(database.db, studioId, 'cancelled')).map(({ id }) => id)).toEqual([setId]);

    await database.write((tx) => restoreSet(tx, studioId, setId));
    expect(await used()).toBe(12);
    expect(await statusNow()).toBe('done');
    expect((await findSet(database.db, studioId, setId))!.run.doneOrder).toEqual([1, 2]);
  });

  it('gives back what it really used, where the tub was weighed or pumps were counted', async () => {
    const { setId, used } = await begun();
    const settle = () => database.write((tx) => countWhatWasUsed(tx, studioId, setId, { 'foam-pump': 4 }));
    const weighed = (id: string, minutes: number, amount: number) =>
      sent(id, 'tub-weighed', minutes, { step: '0', amount });
    await record(setId, [weighed('w1', 1, 300), ...ALL_DONE, weighed('w2', 500, 281.5)]);
    await settle();
    expect(await used(), 'while it is in, as planned').toBe(12);
    await record(setId, [sent('t', 'taken-down', 600)]);
    await settle();
    await settle();
    expect(await used()).toBeCloseTo(18.5, 9);
    // A weighing taken back leaves one, which tells nothing: as planned again, or what pumps say.
    await record(setId, [sent('b', 'taken-back', 610, { of: ['w2'] })]);
    await settle();
    expect(await used()).toBeCloseTo(12, 9);
    await record(setId, [sent('p', 'dispensed', 620, { step: '0', amount: 4 })]);
    await settle();
    expect(await used()).toBeCloseTo(16, 9);
    await database.write((tx) => cancelSet(tx, studioId, setId, NOON + 1));
    expect(await used()).toBeCloseTo(0, 9);
  });

  it('gives nothing back to a tub weighed since: the scale knows better', async () => {
    const { product, setId, used } = await begun();
    await database.write((tx) =>
      weighProduct(tx, studioId, product, { leftG: 80, emptyG: null }, NOON + 60_000),
    );
    await database.write((tx) => countAsUsed(tx, studioId, new Map([[product, 5]])));
    await database.write((tx) => cancelSet(tx, studioId, setId, NOON + 120_000));
    expect(await used()).toBe(5);
  });

  it('is not brought back beside another begun from the same plan', async () => {
    const { planId, setId } = await begun();
    await database.write((tx) => cancelSet(tx, studioId, setId, NOON + 1));
    const other = await aSet(database, studioId, head);
    await database.client.execute({ sql: 'update sets set plan_id = ? where id = ?', args: [planId, other] });
    await expect(database.write((tx) => restoreSet(tx, studioId, setId))).rejects.toThrow('begun again');
  });
});

describe('days of wear and the end', () => {
  it('refuse a day before the takedown, and a second tab over the first', async () => {
    const setId = await aSet(database, studioId, head);
    const wear = (day: number, revision: number) =>
      database.write((tx) => saveWearDay(tx, studioId, setId, aDay({ day, revision }), NOON));
    await expect(wear(0, 0)).rejects.toThrow('not been taken down yet');
    await record(setId, [...ALL_DONE, sent('t', 'taken-down', 600)]);
    await expect(wear(-1, 0)).rejects.toThrow('before the takedown');
    await expect(wear(91, 0)).rejects.toThrow('more than 90 days');
    await wear(90, 0);
    await wear(1, 0);
    await expect(wear(1, 0)).rejects.toMatchObject({ code: 'conflict' });
    await wear(1, 1);
    expect((await findSet(database.db, studioId, setId))!.wearDays).toHaveLength(2);
  });

  it('halves of a trial end apart; the set is over with the second, on the day of the longer', async () => {
    const setId = await aSet(database, studioId, head);
    await record(setId, [...ALL_DONE, sent('t', 'taken-down', 600)]);
    const end = (over: Parameters<typeof anEnd>[0]) =>
      database.write((tx) => endSet(tx, studioId, setId, anEnd(over), NOON));
    await end({ half: 'left', lastGoodDay: 2 });
    expect(await stages()).toEqual(['worn', 'all']);
    expect(await findSet(database.db, studioId, setId)).toMatchObject({
      outcome: null,
      halfOutcomes: [{ half: 'left', lastGoodDay: 2 }],
    });
    await end({ half: 'right', lastGoodDay: 5, reason: 'wash-day', wouldHaveGoneOn: true });
    expect(await stages()).toEqual(['ended', 'all']);
    const over = await findSet(database.db, studioId, setId);
    expect(over!.outcome).toMatchObject({
      half: 'whole',
      lastGoodDay: 5,
      reason: 'wash-day',
      wouldHaveGoneOn: true,
    });
    expect((await listSets(database.db, studioId, 'ended'))[0]).toMatchObject({ lastGoodDay: 5 });
    const removed = await database.write((tx) => reopenSet(tx, studioId, setId));
    expect(removed).toHaveLength(3);
    expect(await stages()).toEqual(['worn', 'all']);
    for (const own of removed) await database.write((tx) => endSet(tx, studioId, setId, own, NOON));
    expect((await findSet(database.db, studioId, setId))!.halfOutcomes).toHaveLength(2);
  });

  it('two entries of a day: the later wins, the earlier stays in its history; halves stand beside each other', async () => {
    const setId = await aSet(database, studioId, head);
    await record(setId, [...ALL_DONE, sent('t', 'taken-down', 600)]);
    const save = (over: Parameters<typeof aDay>[0]) =>
      database.write((tx) => saveWearDay(tx, studioId, setId, aDay(over), NOON));
    await save({ half: 'left', ratings: { frizz: 2 } });
    await save({ half: 'right', ratings: { frizz: 6 } });
    await save({ half: 'left', revision: 1, ratings: { hold: 8 }, note: 'later' });
    const { wearDays } = (await findSet(database.db, studioId, setId))!;
    expect(wearDays.map(({ half, ratings, revision }) => [half, ratings, revision])).toEqual([
      ['left', { hold: 8 }, 2],
      ['right', { frizz: 6 }, 1],
    ]);
    const { rows } = await database.client.execute('select entry from wear_day_history');
    expect(rows.map(({ entry }) => JSON.parse(String(entry)) as unknown)).toMatchObject([
      { ratings: { frizz: 2 } },
    ]);
  });

  it('a day holds four pictures; they keep their date when the takedown moves, and are gone for good when deleted', async () => {
    const setId = await aSet(database, studioId, head);
    const picture = {
      day: 1,
      view: 'front',
      focal35Mm: null,
      width: 4,
      height: 3,
      jpeg: Buffer.from('large'),
      thumb: Buffer.from('s'),
    } as const;
    const add = (over = {}) =>
      database.write((tx) => addPhoto(tx, studioId, setId, { ...picture, ...over }, NOON));
    await expect(add()).rejects.toThrow('not been taken down yet');
    await record(setId, [...ALL_DONE, sent('t', 'taken-down', 600)]);
    const ids = [await add(), await add(), await add(), await add()];
    await expect(add()).rejects.toThrow('a day holds 4 pictures');
    await add({ day: 2 });
    expect((await photoBytes(database.db, studioId, ids[0]!, 'jpeg'))!.toString()).toBe('large');
    expect((await photoBytes(database.db, studioId, ids[0]!, 'thumb'))!.toString()).toBe('s');
    await record(setId, [sent('m', 'moved', 700, { of: ['t'], toMs: NOON + 20 * 60_000 })]);
    expect((await photosOf(database.db, studioId, setId)).map(({ day }) => day)).toEqual([1, 1, 1, 1, 2]);
    // What is measured on it is of its day, measured anew replaces what was, and stays when the picture is gone.
    const curl = { measure: 'curl', zone: null, value: 9, sigma: 1, worse: ['depth'] } as const;
    const keep = (value: number) =>
      database.write((tx) =>
        keepMeasures(tx, studioId, ids[0]!, [{ ...curl, worse: [...curl.worse], value }], NOON),
      );
    await keep(9);
    await keep(11);
    expect(await measuresOf(database.db, studioId, setId)).toMatchObject([
      { ...curl, value: 11, day: 1, photoId: ids[0] },
    ]);
    await database.write((tx) => deletePhoto(tx, studioId, ids[0]!));
    expect(await measuresOf(database.db, studioId, setId)).toMatchObject([{ value: 11, photoId: null }]);
    await expect(database.write((tx) => deletePhoto(tx, studioId, ids[0]!))).rejects.toMatchObject({
      code: 'not-found',
    });
    expect(await photoBytes(database.db, studioId, ids[0]!, 'jpeg')).toBeNull();
  });

  it('a giving up is corrected, and taken back', async () => {
    const setId = await aSet(database, studioId, head);
    const end = (lastGoodDay: number, nowMs = NOON) =>
      database.write((tx) =>
        endSet(tx, studioId, setId, anEnd({ lastGoodDay, reason: 'limp', note: '' }), nowMs),
      );
    await expect(end(2)).rejects.toThrow('not been taken down yet');
    await record(setId, [...ALL_DONE, sent('t', 'taken-down', 600)]);
    await end(2);
    await end(5, NOON + 1000);
    expect((await findSet(database.db, studioId, setId))!).toMatchObject({
      outcome: { lastGoodDay: 5 },
      endedAtMs: NOON,
    });
    await expect(end(91)).rejects.toThrow('at most 90');
    await expect(end(-1)).rejects.toThrow('before the takedown');
    expect((await database.write((tx) => reopenSet(tx, studioId, setId)))[0]).toMatchObject({
      lastGoodDay: 5,
    });
    expect(await stages()).toEqual(['worn', 'all']);
    await expect(database.write((tx) => reopenSet(tx, studioId, setId))).rejects.toThrow('not given up');
  });
});
