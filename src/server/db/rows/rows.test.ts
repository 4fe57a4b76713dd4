import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { aBrief } from '../../../../tests/support/briefs';
import { aHead, aSet, aStudio, CARD, NOON } from '../../../../tests/support/studio';
import { AppError } from '../../errors';
import type { Database, Tx } from '../client';
import {
  archiveHead,
  countHeads,
  deleteHead,
  findHead,
  listHeadNames,
  listMeasurements,
  listMerges,
  mergeHeads,
  pageOfHeads,
  undoMerge,
  updateHead,
  type HeadRecord,
} from './heads';
import {
  carryPlans,
  createPlan,
  findPlan,
  keepPlan,
  listOpenPlans,
  renamePlan,
  savePlan,
  setPlanStatus,
} from './plans';
import { findSet } from './sets';
import { createStudio } from './studios';

let database: Database;
let studioId: string;
let head: HeadRecord;

beforeEach(async () => {
  ({ database, studioId } = await aStudio());
  head = await aHead(database, studioId);
});
afterEach(() => database.close());

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
    expect(await listHeadNames(database.db, other.id)).toEqual([]);
    expect(await findHead(database.db, other.id, head.id)).toBeNull();
    await expect(
      database.write((tx) => updateHead(tx, other.id, head.id, 1, CARD, head.measurement.head, NOON)),
    ).rejects.toMatchObject({ code: 'not-found' });
  });
});

describe('whole records', () => {
  const asked = { search: '', page: 1, order: 'name', isArchived: false } as const;
  const namesOf = async (change: Partial<Parameters<typeof pageOfHeads>[2]> = {}) =>
    (await pageOfHeads(database.db, studioId, { ...asked, ...change })).rows.map(({ name }) => name);

  it('put away are out of the lists and come back whole', async () => {
    await database.write((tx) => archiveHead(tx, studioId, head.id, NOON));
    expect(await namesOf()).toEqual([]);
    expect(await listHeadNames(database.db, studioId)).toEqual([]);
    expect(await namesOf({ isArchived: true })).toEqual(['Wren']);
    expect(await countHeads(database.db, studioId)).toEqual({ present: 0, archived: 1 });
    await database.write((tx) => archiveHead(tx, studioId, head.id, null));
    expect(await namesOf({ search: 'medium wren' })).toEqual(['Wren']);
    expect(await namesOf({ search: 'wren loose' })).toEqual([]);
  });

  it('of the same person are merged with everything, and parted again as they were', async () => {
    const other = await aHead(database, studioId, aBrief({ head: { stretchedLengthCm: 12 } }).head);
    const setId = await aSet(database, studioId, other);
    const planId = await database.write((tx) =>
      createPlan(
        tx,
        studioId,
        {
          title: 'Hers',
          brief: aBrief(),
          layerProductIds: [],
          headId: other.id,
          measurementId: other.measurement.id,
          status: 'draft',
        },
        NOON,
      ),
    );
    const mergeId = await database.write((tx) => mergeHeads(tx, studioId, head.id, other.id, NOON + 1));
    expect(await listMeasurements(database.db, studioId, head.id)).toHaveLength(2);
    expect((await findSet(database.db, studioId, setId))!.headId).toBe(head.id);
    expect((await findPlan(database.db, studioId, planId))!.headId).toBe(head.id);
    expect(await listMerges(database.db, studioId, head.id)).toMatchObject([{ id: mergeId, name: 'Wren' }]);
    expect(await namesOf()).toEqual(['Wren']);
    await database.write((tx) => undoMerge(tx, studioId, mergeId));
    expect((await findSet(database.db, studioId, setId))!.headId).toBe(other.id);
    expect(await listMeasurements(database.db, studioId, head.id)).toHaveLength(1);
    expect(await namesOf()).toEqual(['Wren', 'Wren']);
    await expect(
      database.write((tx) => mergeHeads(tx, studioId, head.id, head.id, NOON)),
    ).rejects.toMatchObject({ code: 'invalid' });
  });

  it('are deleted for good with every trace, those merged into them too', async () => {
    const other = await aHead(database, studioId);
    await aSet(database, studioId, other);
    await database.write((tx) => mergeHeads(tx, studioId, head.id, other.id, NOON));
    await database.write((tx) => deleteHead(tx, studioId, head.id));
    for (const table of [
      'heads',
      'head_measurements',
      'zone_measurements',
      'sets',
      'set_sections',
      'head_merges',
    ])
      expect((await database.client.execute(`select count(*) as n from ${table}`)).rows[0]!.n, table).toBe(0);
  });

  it('of another studio are neither put away, merged, parted nor deleted', async () => {
    const other = await aHead(database, studioId);
    const mergeId = await database.write((tx) => mergeHeads(tx, studioId, head.id, other.id, NOON));
    for (const work of [
      (tx: Tx) => archiveHead(tx, 'elsewhere', head.id, NOON),
      (tx: Tx) => mergeHeads(tx, 'elsewhere', head.id, other.id, NOON),
      (tx: Tx) => undoMerge(tx, 'elsewhere', mergeId),
      (tx: Tx) => deleteHead(tx, 'elsewhere', head.id),
    ] as ((tx: Tx) => Promise<unknown>)[])
      await expect(database.write(work)).rejects.toMatchObject({ code: 'not-found' });
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

  it('go along when the studio changes its zone: nine stays nine; those on another clock stay there', async () => {
    const timed = (timeZone: string) => ({ ...aBrief(), wearBy: '2027-03-13T09:00', timeZone });
    const add = (timeZone: string, status: 'draft' | 'aside' | 'done') =>
      database.write((tx) =>
        createPlan(
          tx,
          studioId,
          { ...content, brief: timed(timeZone), headId: head.id, measurementId: head.measurement.id, status },
          NOON,
        ),
      );
    const ids = [await add('UTC', 'draft'), await add('UTC', 'aside'), await add('UTC', 'done'), await add('Asia/Kolkata', 'draft')]; // prettier-ignore
    await database.write((tx) => carryPlans(tx, studioId, 'UTC', 'Australia/Brisbane', NOON + 1));
    const kept = await Promise.all(ids.map((id) => findPlan(database.db, studioId, id)));
    expect(kept.map((own) => own!.brief.timeZone)).toEqual([
      'Australia/Brisbane',
      'Australia/Brisbane',
      'UTC',
      'Asia/Kolkata',
    ]);
    expect(kept.map((own) => own!.brief.wearBy)).toEqual(Array(4).fill('2027-03-13T09:00'));
    expect(kept.map((own) => own!.revision)).toEqual([2, 2, 1, 1]);
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

  it('sent twice in the same words are no conflict; other words over an older revision are', async () => {
    const id = await plan();
    const keep = (revision: number, title: string) =>
      database.write((tx) => keepPlan(tx, studioId, id, revision, { ...content, title }, NOON));
    expect(await keep(1, 'left the page')).toBe(2);
    expect(await keep(1, 'left the page')).toBe(2);
    await expect(keep(1, 'another tab')).rejects.toMatchObject({ code: 'conflict' });
    expect(await keep(2, 'another tab')).toBe(3);
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
