import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import {
  aDay,
  aHead,
  anEnd,
  ALL_DONE,
  aSet,
  aStudio,
  NOON,
  sent,
  tap,
} from '../../../../tests/support/studio';
import { aBrief } from '../../../../tests/support/briefs';
import type { Database } from '../client';
import type { PartingEdit } from '@/core/run/parting-edit';
import { DAY_MS, MINUTE_MS } from '@/core/units/time';
import { addEvents, correctStart } from './set-log';
import { findSet, type SetRecord } from './sets';
import { endSet, saveWearDay } from './wear';

let database: Database;
let studioId: string;
let setId: string;

beforeEach(async () => {
  ({ database, studioId } = await aStudio());
  setId = await aSet(database, studioId, await aHead(database, studioId));
});
afterEach(() => database.close());

const record = (events: readonly unknown[]) => tap(database, studioId, setId, events);
const theSet = async (): Promise<SetRecord> => (await findSet(database.db, studioId, setId))!;

describe('taps at the chair', () => {
  it('are each told what became of them, and one that is refused takes no other with it', async () => {
    const verdicts = await record([
      ALL_DONE[0],
      sent('x', 'section-done', 2, 9),
      { id: 'broken', kind: 'section-done', atMs: 'noon' },
      { ...ALL_DONE[1], atMs: Number.MAX_SAFE_INTEGER },
      ALL_DONE[2],
    ]);
    expect(verdicts.map(({ kept }) => kept)).toEqual([true, false, false, false, true]);
    expect(verdicts[1]).toMatchObject({ message: 'this set has no section 9; it was planned with 4' });
    expect(verdicts[3]).toMatchObject({ message: expect.stringContaining('calendar') as string });
    expect((await theSet()).run.doneOrder).toEqual([1, 3]);
  });

  it('part the head otherwise, each checked against the lines as they are', async () => {
    const parted = (id: string, atMin: number, parting: PartingEdit) =>
      sent(id, 'parted', atMin, { parting });
    const messages = (verdicts: Awaited<ReturnType<typeof record>>) =>
      verdicts.map((verdict) => (verdict.kept ? 'kept' : verdict.message));
    expect(messages(await record([sent('early', 'section-done', 1, 1002)]))).toEqual([
      'this set has no section 2b; it was planned with 4',
    ]);
    const split = parted('split', 2, { edit: 'split', section: 2 });
    expect(
      messages(
        await record([
          split,
          split,
          sent('child', 'section-done', 3, 1002),
          parted('gone', 4, { edit: 'split', section: 7 }),
          parted('join', 5, { edit: 'join', section: 2, beside: 1002 }),
          parted('again', 6, { edit: 'split', section: 1 }),
        ]),
      ),
    ).toEqual([
      'kept',
      'kept',
      'kept',
      'other hands changed that section meanwhile; look at the map and part it as it is now',
      'kept',
      'kept',
    ]);
    // 2b was joined to 2 again: its tap rests, and the set has 1, 1b, 2, 3, 4.
    const { run } = await theSet();
    expect(run.parting.numbers).toEqual([1, 1001, 2, 3, 4]);
    expect(run.doneOrder).toEqual([]);
    await record([parted('thin', 7, { edit: 'thin', section: 1, beside: 1001, share: 0.25 })]);
    const back = (id: string, of: string) => sent(id, 'taken-back', 8, { of: [of] });
    expect(messages(await record([back('b1', 'join'), back('b2', 'thin')]))).toEqual(['kept', 'kept']);
    expect((await theSet()).run.parting.numbers).toEqual([1, 1001, 2, 1002, 3, 4]);
    expect((await theSet()).run.doneOrder).toEqual([1002]);
  });

  it('cannot join what does not touch, nor take a change back that a later one builds on', async () => {
    const other = await aSet(
      database,
      studioId,
      await aHead(database, studioId),
      aBrief({ set: { sections: 24 } }),
    );
    const send = (events: readonly unknown[]) => tap(database, studioId, other, events);
    const parted = (id: string, parting: PartingEdit) => sent(id, 'parted', 2, { parting });
    const [far] = await send([parted('far', { edit: 'join', section: 1, beside: 24 })]);
    expect(far).toMatchObject({
      kept: false,
      message: '1 and 24 do not touch enough; choose one that lies beside it',
    });
    const [one, two] = await send([
      parted('one', { edit: 'join', section: 1, beside: 2 }),
      parted('two', { edit: 'join', section: 1, beside: 3 }),
    ]);
    expect([one!.kept, two!.kept]).toEqual([true, true]);
    const [back] = await send([sent('back', 'taken-back', 3, { of: ['one'] })]);
    expect(back).toMatchObject({
      kept: false,
      message: expect.stringContaining('take that back first') as string,
    });
  });

  it('count once however often they are sent, and keep their place', async () => {
    const first = await record(ALL_DONE);
    expect(await record(ALL_DONE)).toEqual(first);
    expect((await theSet()).events.map(({ sequence }) => sequence)).toEqual([1, 2, 3, 4]);
  });

  it('of a tablet a day slow are kept, in the order they were made, between the start and now', async () => {
    const slow = (events: readonly unknown[], offsetMs: number) =>
      database.write((tx) =>
        addEvents(tx, studioId, setId, events, {
          deviceId: 'slow',
          offsetMs,
          nowMs: NOON + 9 * MINUTE_MS,
          timeZone: 'UTC',
        }),
      );
    const off = [sent('a', 'section-done', 5 - 1440, 2), sent('b', 'section-done', 6 - 1440, 1)];
    const brought = await slow(off, DAY_MS);
    expect(brought.map((own) => own.kept && own.atMs)).toEqual([NOON + 5 * MINUTE_MS, NOON + 6 * MINUTE_MS]);
    const unknown = await slow([sent('c', 'section-done', 7 - 1440, 3)], 0);
    expect(unknown[0]).toMatchObject({ kept: true, atMs: NOON });
    const fast = await slow([sent('d', 'section-done', 7 + 1440, 4)], 0);
    expect(fast[0]).toMatchObject({ kept: true, atMs: NOON + 9 * MINUTE_MS });
    expect((await theSet()).run.doneOrder).toEqual([2, 1, 3, 4]);
  });

  it('end each kept or refused in words, whatever is sent', async () => {
    const anything = fc.oneof(
      fc.anything(),
      fc.record({
        id: fc.string(),
        kind: fc.constantFrom('section-done', 'felt', 'moved', 'taken-down', 'note'),
        atMs: fc.oneof(fc.integer(), fc.double()),
        sectionNumber: fc.option(fc.integer({ min: -5, max: 700 })),
        of: fc.option(fc.array(fc.string())),
        toMs: fc.option(fc.integer()),
      }),
    );
    await fc.assert(
      fc.asyncProperty(fc.array(anything, { maxLength: 20 }), async (events) => {
        const verdicts = await record(events);
        expect(verdicts).toHaveLength(events.length);
        for (const verdict of verdicts) expect(verdict.kept || verdict.message.length > 0).toBe(true);
        await theSet();
      }),
      { numRuns: 60 },
    );
  });

  it('of another set or studio are refused', async () => {
    await record(ALL_DONE);
    const other = await aSet(database, studioId, await aHead(database, studioId));
    const verdicts = await tap(database, studioId, other, [ALL_DONE[0]]);
    expect(verdicts[0]).toMatchObject({ kept: false, message: 'this tap belongs to another set' });
    await expect(tap(database, 'another-studio', setId, ALL_DONE)).rejects.toMatchObject({
      code: 'not-found',
    });
  });

  it('leave a row that nobody can read out, and go on', async () => {
    await record(ALL_DONE.slice(0, 2));
    await database.client.execute("update set_events set kind = 'danced' where sequence = 1");
    expect((await theSet()).run.doneOrder).toEqual([2]);
    await record([ALL_DONE[2]]);
    expect((await theSet()).events.map(({ sequence }) => sequence)).toEqual([2, 3]);
  });

  it('are held against the log as it is, whatever else was done to its file meanwhile', async () => {
    const kept = async () => (await theSet()).run.doneOrder;
    await record(ALL_DONE.slice(0, 3));
    // As when a copy from before the last tap is put back: the device sends it again, and it is new.
    await database.client.execute('delete from set_events where sequence = 3');
    expect(await kept()).toEqual([1, 2]);
    expect((await record([ALL_DONE[2]]))[0]).toMatchObject({ kept: true, sequence: 3 });
    expect(await kept()).toEqual([1, 2, 3]);
    // Another program of the studio wrote to it.
    await database.client.execute(
      "insert into set_events (id, studio_id, set_id, kind, section_number, at_ms, sequence, device_id, device_number) select 'other', studio_id, set_id, kind, 4, at_ms, 4, 'other', 1 from set_events where sequence = 3",
    );
    const again = await record([sent('other', 'section-done', 9, 4), sent('t', 'taken-down', 600)]);
    expect(again).toMatchObject([
      { kept: true, sequence: 4 },
      { kept: true, sequence: 5 },
    ]);
    expect((await theSet()).takenDownAtMs).toBe(NOON + 600 * MINUTE_MS);
    // A copy with as many rows, but others.
    await database.client.execute(
      "update set_events set id = 'swapped', at_ms = at_ms + 1 where sequence = 2",
    );
    expect((await record([ALL_DONE[1]]))[0]).toMatchObject({ kept: true, sequence: 6 });
  });

  it('with a time from beyond the calendar in the file show as its end, never as a failure', async () => {
    await record(ALL_DONE);
    await database.client.execute('update set_events set at_ms = 9007199254740991 where sequence = 4');
    await database.client.execute('update sets set installed_at_ms = 9007199254740991, started_at_ms = -5');
    const { installedAtMs, startedAtMs, run } = await theSet();
    expect(installedAtMs).toBe(Date.UTC(2200, 0, 1) - 1);
    expect(startedAtMs).toBe(0);
    expect(run.installedAtMs).toBe(installedAtMs);
  });
});

describe('dryness checks and the takedown', () => {
  const felt = (id: string, atMin: number) =>
    sent(id, 'felt', atMin, { sectionNumber: 1, level: 'root', feel: 'damp' });

  it('a check needs a finished set, and one not taken down', async () => {
    expect(await record([felt('c1', 9)])).toMatchObject([{ kept: false }]);
    expect(await record([...ALL_DONE, felt('c2', 9)])).toMatchObject(Array(5).fill({ kept: true }));
    await record([sent('t', 'taken-down', 600)]);
    expect(await record([felt('c3', 700)])).toMatchObject([
      { kept: false, message: 'this set is already taken down' },
    ]);
    expect((await theSet()).run.checks).toHaveLength(1);
  });

  it('a takedown needs something set', async () => {
    expect(await record([sent('t', 'taken-down', 5)])).toMatchObject([
      { message: 'nothing is set yet, so nothing can be taken down' },
    ]);
    expect((await theSet()).takenDownAtMs).toBeNull();
  });

  it('a takedown is taken back and corrected', async () => {
    await record([...ALL_DONE, sent('t', 'taken-down', 600)]);
    await record([sent('back', 'taken-back', 610, { of: ['t'] })]);
    expect((await theSet()).takenDownAtMs).toBeNull();
    await record([sent('again', 'taken-back', 611, { of: ['back'] })]);
    await record([sent('m', 'moved', 612, { of: ['t'], toMs: NOON + 540 * MINUTE_MS })]);
    expect((await theSet()).takenDownAtMs).toBe(NOON + 540 * MINUTE_MS);
    for (const [of, toMs] of [
      [['nowhere'], NOON + MINUTE_MS],
      [['t'], NOON - 1],
      [['t'], NOON + 9 * DAY_MS],
    ] as const)
      expect(await record([sent(`w${toMs}${of[0]}`, 'moved', 620, { of, toMs })])).toMatchObject([
        { kept: false },
      ]);
  });

  it('days of wear keep their dates when the takedown moves, and stop it where they cannot', async () => {
    await record([...ALL_DONE, sent('t', 'taken-down', 1440)]);
    for (const day of [0, 1])
      await database.write((tx) => saveWearDay(tx, studioId, setId, aDay({ day, revision: 0 }), NOON));
    await database.write((tx) =>
      endSet(tx, studioId, setId, anEnd({ lastGoodDay: 1, reason: 'frizz', note: '' }), NOON + 2 * DAY_MS),
    );
    await record([sent('m', 'moved', 2000, { of: ['t'], toMs: NOON + 600 * MINUTE_MS })]);
    const moved = await theSet();
    expect(moved.wearDays.map(({ day }) => day)).toEqual([1, 2]);
    expect(moved.outcome!.lastGoodDay).toBe(2);
    const later = { of: ['t'], toMs: NOON + 2.5 * DAY_MS };
    expect(
      await record([sent('m2', 'moved', 2001, later), sent('n', 'note', 2002, { note: 'x' })]),
    ).toMatchObject([
      { kept: false, message: expect.stringContaining('cannot come after') as string },
      { kept: true },
    ]);
    expect((await theSet()).takenDownAtMs).toBe(NOON + 600 * MINUTE_MS);
    expect(await record([sent('b', 'taken-back', 2003, { of: ['t'] })])).toMatchObject([
      { kept: false, message: expect.stringContaining('given up') as string },
    ]);
  });

  it('the start can be corrected, but not past what happened', async () => {
    await record(ALL_DONE);
    const start = (ms: number) =>
      database.write((tx) => correctStart(tx, studioId, setId, ms, NOON + DAY_MS));
    await start(NOON - 30 * MINUTE_MS);
    expect((await theSet()).startedAtMs).toBe(NOON - 30 * MINUTE_MS);
    await expect(start(NOON + 2 * MINUTE_MS)).rejects.toThrow('before the first thing');
  });
});
