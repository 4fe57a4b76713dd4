import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { aHead, ALL_DONE, aSet, aStudio, NOON, sent, tap } from '../../../../tests/support/studio';
import { careOfHeads, growthOfHead } from '../../care';
import type { Database } from '../client';
import { addCare, careOf, deleteCare, syncCalendar } from './care';
import { findHead, updateHead, type HeadRecord } from './heads';

const DAY = 86_400_000;
let database: Database;
let studioId: string;
let head: HeadRecord;
beforeAll(async () => {
  ({ database, studioId } = await aStudio());
  head = await aHead(database, studioId);
});
afterAll(() => database.close());

const studio = () => ({ id: studioId, timeZone: 'UTC', trimWeeks: 12 });
const due = async (nowMs: number) => (await careOfHeads(database.db, studio(), nowMs, head.id))[0]!.due;
const note = (kind: 'wash' | 'trim', date: string, cutMm: number | null = null) =>
  database.write((tx) => addCare(tx, studioId, { headId: head.id, kind, date, cutMm, note: '' }, NOON));

describe('care', () => {
  it('knows nothing of a head without sets but when to measure again', async () => {
    expect((await due(NOON)).map(({ kind }) => kind)).toEqual(['measure']);
  });

  it('a set is a wash: a fortnight while it is in, a week once it is down; a wash that is written down moves it on', async () => {
    const setId = await aSet(database, studioId, head);
    const wash = async () => (await due(NOON)).find(({ kind }) => kind === 'wash');
    expect(await wash()).toMatchObject({ date: '2027-03-27', why: 'a fortnight in the set at most' });
    await tap(database, studioId, setId, [...ALL_DONE, sent('down', 'taken-down', 9)]);
    expect(await wash()).toMatchObject({ date: '2027-03-20', isDue: false });
    const id = await note('wash', '2027-03-18');
    expect(await wash()).toMatchObject({ date: '2027-03-25' });
    await database.write((tx) => deleteCare(tx, studioId, id));
    expect(await wash()).toMatchObject({ date: '2027-03-20' });
    await expect(database.write((tx) => deleteCare(tx, studioId, id))).rejects.toMatchObject({
      code: 'not-found',
    });
  });

  it('the log of lengths has a day a measurement, and what came off is given back', async () => {
    for (const [days, cm] of [
      [40, 26.2],
      [80, 25.4],
    ] as const) {
      const { revision, measurement, ...card } = (await findHead(database.db, studioId, head.id))!;
      await database.write((tx) =>
        updateHead(tx, studioId, head.id, revision, {
          name: card.name, description: card.description, notes: card.notes, allergies: card.allergies,
          skinTone: card.skinTone, hairTone: card.hairTone, likes: card.likes,
        }, { ...measurement.head, stretchedLengthCm: cm }, NOON + days * DAY),
      ); // prettier-ignore
    }
    await note('trim', '2027-05-10', 20);
    const { zones, cuts } = await growthOfHead(database.db, studio(), head.id);
    expect(zones).toHaveLength(6);
    expect(zones[0]!.points.map(({ date }) => date)).toEqual(['2027-03-13', '2027-04-22', '2027-06-01']);
    expect(zones[0]!.growth!.slope.perDay).toBeGreaterThan(0);
    expect(cuts).toEqual([{ date: '2027-05-10', mm: 20 }]);
    expect((await careOf(database.db, studioId, head.id)).map(({ kind }) => kind)).toContain('trim');
  });
});

describe('what calendars are told', () => {
  const sync = (due_: Parameters<typeof syncCalendar>[2], nowMs = NOON) =>
    database.write((tx) => syncCalendar(tx, studioId, due_, nowMs));
  const wash = { uid: 'wash-1', date: '2027-03-20', summary: 'wash' };

  it('an event keeps its name; moved it counts one on; fallen away it is called off, and comes back under its name', async () => {
    expect(await sync([wash])).toMatchObject([{ ...wash, sequence: 0, isCancelled: false }]);
    expect(await sync([wash])).toMatchObject([{ sequence: 0 }]);
    expect(await sync([{ ...wash, date: '2027-03-22' }])).toMatchObject([
      { date: '2027-03-22', sequence: 1 },
    ]);
    expect(await sync([])).toMatchObject([{ uid: 'wash-1', sequence: 2, isCancelled: true }]);
    expect(await sync([wash])).toMatchObject([{ sequence: 3, isCancelled: false }]);
    await sync([]);
    // Every calendar has heard of it by then.
    expect(await sync([], NOON + 61 * DAY)).toEqual([]);
  });
});
