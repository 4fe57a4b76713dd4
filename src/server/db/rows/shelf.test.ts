import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { isUnmade, leftNowG } from '@/core/shelf/stock';
import { aHead, aStudio, NOON, PRODUCT } from '../../../../tests/support/studio';
import { AppError } from '../../errors';
import type { Database } from '../client';
import { chooseSchool, findHead } from './heads';
import {
  countAsUsed,
  findMix,
  findProduct,
  listDryers,
  listMixes,
  listProducts,
  listTools,
  makeBatch,
  saveDryer,
  saveMix,
  saveProduct,
  saveTool,
  takeOff,
  weighProduct,
  type ProductCard,
} from './shelf';
import { createStudio } from './studios';

let database: Database;
let studioId: string;

beforeEach(async () => {
  ({ database, studioId } = await aStudio());
});
afterEach(() => database.close());

const NEW = { id: null, revision: 0 };
const put = (card: Partial<ProductCard> = {}) =>
  database.write((tx) => saveProduct(tx, studioId, NEW, { ...PRODUCT, ...card }, NOON));
const weighed = (id: string, leftG: number) =>
  database.write((tx) => weighProduct(tx, studioId, id, { leftG, emptyG: null }, NOON));
const codeOf = (work: Promise<unknown>) =>
  work.then(
    () => 'done',
    (thrown: unknown) => (thrown instanceof AppError ? thrown.code : 'fault'),
  );

describe('products', () => {
  it('are what was weighed, less what sets took since', async () => {
    const id = await put();
    expect(leftNowG((await findProduct(database.db, studioId, id))!)).toBeNull();
    await weighed(id, 120);
    await database.write((tx) =>
      countAsUsed(
        tx,
        studioId,
        new Map([
          [id, 30],
          ['gone', 5],
        ]),
      ),
    );
    await database.write((tx) => countAsUsed(tx, studioId, new Map([[id, 12.5]])));
    const used = (await findProduct(database.db, studioId, id))!;
    expect([used.leftG, used.usedSinceG, leftNowG(used)]).toEqual([120, 42.5, 77.5]);
    await weighed(id, 80);
    const again = (await findProduct(database.db, studioId, id))!;
    expect([again.usedSinceG, leftNowG(again), again.emptyG]).toEqual([0, 80, 50]);
  });

  it('a second tab that saves over a weighing is told', async () => {
    const id = await put();
    await weighed(id, 120);
    const late = database.write((tx) =>
      saveProduct(tx, studioId, { id, revision: 1 }, { ...PRODUCT, name: 'X' }, NOON),
    );
    expect(await codeOf(late)).toBe('conflict');
    expect((await findProduct(database.db, studioId, id))!.name).toBe('Foam');
    await database.write((tx) =>
      saveProduct(tx, studioId, { id, revision: 2 }, { ...PRODUCT, name: 'X' }, NOON),
    );
    const saved = (await findProduct(database.db, studioId, id))!;
    expect([saved.name, saved.leftG]).toEqual(['X', 120]);
  });

  it('of another studio are neither seen, weighed, changed nor taken off', async () => {
    const id = await put();
    const other = (await database.write((tx) => createStudio(tx, { name: 'B', timeZone: 'UTC' }, NOON + 1)))
      .id;
    expect(await listProducts(database.db, other)).toEqual([]);
    expect(await findProduct(database.db, other, id)).toBeNull();
    expect(
      await codeOf(database.write((tx) => weighProduct(tx, other, id, { leftG: 1, emptyG: 1 }, NOON))),
    ).toBe('not-found');
    expect(
      await codeOf(database.write((tx) => saveProduct(tx, other, { id, revision: 1 }, PRODUCT, NOON))),
    ).toBe('not-found');
    await database.write((tx) => takeOff(tx, other, 'product', id));
    await database.write((tx) => countAsUsed(tx, other, new Map([[id, 9]])));
    expect((await findProduct(database.db, studioId, id))!.usedSinceG).toBe(0);
  });
});

describe('tools', () => {
  it('are kept, changed and taken off', async () => {
    const card = { kind: 'rod', diameterMm: 16, workingLengthMm: 80, owned: 12, swatch: '#112233' };
    const id = await database.write((tx) => saveTool(tx, studioId, NEW, card, NOON));
    await database.write((tx) => saveTool(tx, studioId, { id, revision: 1 }, { ...card, owned: 20 }, NOON));
    expect(await listTools(database.db, studioId)).toMatchObject([{ owned: 20, revision: 2 }]);
    expect(
      await codeOf(database.write((tx) => saveTool(tx, studioId, { id, revision: 1 }, card, NOON))),
    ).toBe('conflict');
    await database.write((tx) => takeOff(tx, studioId, 'tool', id));
    expect(await listTools(database.db, studioId)).toEqual([]);
  });
});

describe('dryers', () => {
  it('are kept, changed and taken off', async () => {
    const card = { kind: 'hood', name: 'Tall hood', airSpeedMS: 2, airC: 56, count: 1 };
    const id = await database.write((tx) => saveDryer(tx, studioId, NEW, card, NOON));
    await database.write((tx) => saveDryer(tx, studioId, { id, revision: 1 }, { ...card, count: 2 }, NOON));
    expect(await listDryers(database.db, studioId)).toMatchObject([{ count: 2, revision: 2 }]);
    expect(
      await codeOf(database.write((tx) => saveDryer(tx, studioId, { id, revision: 1 }, card, NOON))),
    ).toBe('conflict');
    await database.write((tx) => takeOff(tx, studioId, 'dryer', id));
    expect(await listDryers(database.db, studioId)).toEqual([]);
  });
});

describe('own mixes', () => {
  const mixOfTwo = async () => {
    const [cream, gel] = [
      await put({ name: 'Cream', role: 'cream' }),
      await put({ name: 'Gel', role: 'gel' }),
    ];
    await weighed(cream, 100);
    await weighed(gel, 50);
    const id = await database.write((tx) =>
      saveMix(
        tx,
        studioId,
        NEW,
        {
          name: 'Cream gel',
          role: 'gel',
          parts: [
            { productId: cream, parts: 1 },
            { productId: gel, parts: 1 },
          ],
          batchG: 60,
          keepsDays: 14,
          notes: '',
        },
        {},
        NOON,
      ),
    );
    const mix = (await findMix(database.db, studioId, id))!;
    const batch = (grams: number) =>
      database.write((tx) =>
        makeBatch(
          tx,
          studioId,
          mix,
          {
            takes: mix.parts.map(({ productId }) => ({ productId, grams: grams / 2 })),
            batchG: grams,
            card: { ...PRODUCT, name: mix.name, role: mix.role, openedOn: '2027-03-13', useBy: '2027-03-27' },
          },
          NOON,
        ),
      );
    return { cream, gel, mix, batch };
  };

  it('a batch takes its ingredients and stands there, and the next one takes its place', async () => {
    const { cream, batch, mix } = await mixOfTwo();
    const first = await batch(60);
    const made = (await findProduct(database.db, studioId, first))!;
    expect([made.leftG, made.mixId, made.useBy]).toEqual([60, mix.id, '2027-03-27']);
    expect(leftNowG((await findProduct(database.db, studioId, cream))!)).toBe(70);
    expect(await batch(30)).toBe(first);
    expect((await findProduct(database.db, studioId, first))!.leftG).toBe(30);
  });

  it('too large a batch takes nothing at all', async () => {
    const { cream, gel, batch } = await mixOfTwo();
    expect(await codeOf(batch(160))).toBe('invalid');
    for (const id of [cream, gel]) expect((await findProduct(database.db, studioId, id))!.usedSinceG).toBe(0);
    const tub = (await listProducts(database.db, studioId)).find(({ mixId }) => mixId !== null)!;
    expect(tub).toMatchObject({ leftG: 0, openedOn: null });
  });

  it('a mix taken off leaves its batch on the shelf', async () => {
    const { mix, batch } = await mixOfTwo();
    const made = await batch(60);
    await database.write((tx) => takeOff(tx, studioId, 'mix', mix.id));
    expect(await listMixes(database.db, studioId)).toEqual([]);
    expect((await findProduct(database.db, studioId, made))!.mixId).toBeNull();
  });

  it('a mix has a tub that can be planned and must be made first; it follows the mix and goes with it', async () => {
    const { mix } = await mixOfTwo();
    const tub = async () =>
      (await listProducts(database.db, studioId)).find(({ mixId }) => mixId === mix.id) ?? null;
    expect(isUnmade((await tub())!)).toBe(true);
    const { id: _, revision, ...card } = mix;
    await database.write((tx) =>
      saveMix(tx, studioId, { id: mix.id, revision }, { ...card, name: 'Renamed' }, {}, NOON),
    );
    expect((await tub())!.name).toBe('Renamed');
    await database.write((tx) => takeOff(tx, studioId, 'mix', mix.id));
    expect(await tub()).toBeNull();
    expect(await listProducts(database.db, studioId)).toHaveLength(2);
  });
});

describe('schools of a head', () => {
  it('are remembered one by one, and are no edit of its card', async () => {
    const head = await aHead(database, studioId);
    await database.write((tx) => chooseSchool(tx, studioId, head.id, 'order', 'oil-first'));
    await database.write((tx) => chooseSchool(tx, studioId, head.id, 'night', 'scarf'));
    await database.write((tx) => chooseSchool(tx, studioId, head.id, 'order', 'cream-first'));
    const after = (await findHead(database.db, studioId, head.id))!;
    expect(after.schools).toEqual({ order: 'cream-first', night: 'scarf' });
    expect(after.revision).toBe(head.revision);
    expect(
      await codeOf(database.write((tx) => chooseSchool(tx, 'elsewhere', head.id, 'order', 'oil-first'))),
    ).toBe('not-found');
  });
});
