import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readingOf, putOn, switchedOn, zeroed } from '../scale/simulated-scale';
import { settledG, type ScaleReading } from '../scale/scale';
import { allergyMatches } from './allergy';
import { batchParts, mixed, type Ingredient } from './mix';
import { reservedFor } from './reserved';
import { checkShelf, isShort, type ShelvedProduct } from './shelf-check';
import { leftNowG, minorPerG } from './stock';

const tub = (change: Partial<ShelvedProduct> = {}): ShelvedProduct => ({
  id: 'foam',
  name: 'Foam',
  leftG: 100,
  usedSinceG: 0,
  priceMinor: 1000,
  sizeG: 200,
  useBy: null,
  mixId: null,
  openedOn: null,
  ...change,
});
const plan = (grams: number, sections = 22) => ({
  doses: [{ role: 'mousse', grams }],
  sections: Array.from({ length: sections }, () => ({ hairCount: 5000 })),
  tools: [],
});
const none = new Map<string, number>();

describe('what a plan takes from the shelf', () => {
  it('says how many sections a tub lasts and how much is missing', () => {
    // 44 g over 22 even sections are 2 g each: 28 g last 14.
    const check = checkShelf(plan(44), ['foam'], [tub({ leftG: 28 })], [], none, null);
    expect(check.products[0]).toMatchObject({ lastsSections: 14, shortG: 16, needG: 44 });
    expect(isShort(check)).toBe(true);
    expect(isShort(checkShelf(plan(44), ['foam'], [tub({ leftG: 44 })], [], none, null))).toBe(false);
  });

  it('leaves alone what booked sets need first, and counts what was used since the weighing', () => {
    const reserved = reservedFor({ id: 'mine', readyMs: 5 }, [
      { id: 'first', readyMs: 3, needs: plan(30), layerProductIds: ['foam'] },
      { id: 'later', readyMs: 9, needs: plan(50), layerProductIds: ['foam'] },
      { id: 'open', readyMs: null, needs: plan(7), layerProductIds: ['foam'] },
      { id: 'mine', readyMs: 5, needs: plan(44), layerProductIds: ['foam'] },
    ]);
    expect(reserved.get('foam')).toBe(37);
    const [need] = checkShelf(plan(44), ['foam'], [tub({ usedSinceG: 20 })], [], reserved, null).products;
    expect(need).toMatchObject({ freeG: 43, reservedG: 37 });
    expect(need!.shortG).toBeCloseTo(1, 9);
  });

  it('a tub in two layers is counted once for both; a layer without a tub takes nothing', () => {
    const both = {
      ...plan(0),
      doses: [
        { role: 'leave-in', grams: 10 },
        { role: 'oil', grams: 5 },
        { role: 'mousse', grams: 7 },
      ],
    };
    const { products, unpriced } = checkShelf(both, ['foam', null, 'foam'], [tub()], [], none, null);
    expect(products.map(({ needG }) => needG)).toEqual([17]);
    expect(unpriced).toEqual(['oil']);
  });

  it('never weighed is not short, and past its day is told', () => {
    const check = checkShelf(
      plan(44),
      ['foam'],
      [tub({ leftG: null, useBy: '2027-05-01' })],
      [],
      none,
      '2027-05-02',
    );
    expect(check.products[0]).toMatchObject({ freeG: null, shortG: 0, isPast: true });
    expect(
      checkShelf(plan(44), ['foam'], [tub({ useBy: '2027-05-02' })], [], none, '2027-05-02').products[0]!
        .isPast,
    ).toBe(false);
  });

  it('counts rods owned against needed per size, and knows a neighbour with enough to spare', () => {
    const rods = (kind: string) => ({
      ...plan(0),
      tools: [
        { kind, diameterMm: 16, needed: 20 },
        { kind, diameterMm: 20, needed: 8 },
      ],
    });
    const drawer = [
      { kind: 'rod', diameterMm: 13, owned: 4 },
      { kind: 'rod', diameterMm: 16, owned: 14 },
      { kind: 'rod', diameterMm: 20, owned: 15 },
    ];
    const [small, large] = checkShelf(rods('rod'), [], [], drawer, none, null).tools;
    expect(small).toMatchObject({ needed: 20, owned: 14, short: 6, insteadMm: 20 });
    expect(large).toMatchObject({ short: 0, insteadMm: null });
    // Ends go on any small rod of the drawer.
    expect(checkShelf(rods('end-rod'), [], [], drawer, none, null).tools[0]).toMatchObject({ owned: 14 });
    expect(checkShelf(rods('former'), [], [], drawer, none, null).tools[0]).toMatchObject({
      owned: 0,
      short: 20,
      insteadMm: null,
    });
  });

  it('counts a size wanted in two zones once, and offers a neighbour only with enough that nobody else needs', () => {
    const rods = (mm: number, needed: number) => ({ kind: 'rod', diameterMm: mm, needed });
    const drawer = (mm: number, owned: number) => ({ kind: 'rod', diameterMm: mm, owned });
    const check = (tools: ReturnType<typeof rods>[], owned: ReturnType<typeof drawer>[]) =>
      checkShelf({ ...plan(0), tools }, [], [], owned, none, null).tools;
    expect(check([rods(16, 20), rods(16, 15)], [drawer(16, 30)])).toMatchObject([{ needed: 35, short: 5 }]);
    // 18 mm would do for 5 of 16 mm; ten of its twelve are wanted themselves.
    expect(check([rods(16, 35)], [drawer(16, 30), drawer(18, 5)])[0]!.insteadMm).toBe(18);
    expect(check([rods(16, 35), rods(18, 10)], [drawer(16, 30), drawer(18, 12)])[0]!.insteadMm).toBeNull();
  });

  it('a neighbour gives the curl that was wanted within 1.35 of its size, either way', () => {
    const instead = (mm: number) =>
      checkShelf(
        { ...plan(0), tools: [{ kind: 'rod', diameterMm: 20, needed: 5 }] },
        [],
        [],
        [{ kind: 'rod', diameterMm: mm, owned: 9 }],
        none,
        null,
      ).tools[0]!.insteadMm;
    expect([27, 15].map(instead)).toEqual([27, 15]);
    expect([28, 14].map(instead)).toEqual([null, null]);
  });

  it('is used to the last gram: just enough is enough, a hundredth less is short', () => {
    const of = (leftG: number, usedSinceG = 0) =>
      checkShelf(plan(44), ['foam'], [tub({ leftG, usedSinceG })], [], none, null).products[0]!;
    expect(of(44)).toMatchObject({ shortG: 0, lastsSections: 22 });
    expect(of(100, 56)).toMatchObject({ shortG: 0, lastsSections: 22 });
    expect(of(43.9).shortG).toBeCloseTo(0.1, 9);
    expect(of(43.9).lastsSections).toBe(21);
    expect(of(0)).toMatchObject({ shortG: 44, lastsSections: 0 });
    expect(of(10, 30)).toMatchObject({ freeG: 0, lastsSections: 0 });
    expect([tub({ sizeG: 0 }), tub({ sizeG: null }), tub({ priceMinor: null })].map(minorPerG)).toEqual([
      null,
      null,
      null,
    ]);
  });

  it('prices what is priced', () => {
    expect(checkShelf(plan(44), ['foam'], [tub()], [], none, null).priceMinor).toBeCloseTo(220, 9);
    expect(checkShelf(plan(44), ['foam'], [tub({ sizeG: null })], [], none, null).priceMinor).toBeNull();
    expect(minorPerG({ priceMinor: 900, sizeG: 0 })).toBeNull();
    expect(leftNowG({ leftG: 10, usedSinceG: 25 })).toBe(0);
  });

  it('lasts as many sections as its grams reach, whatever the sections are', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 1, max: 9000 }), { minLength: 2, maxLength: 60 }),
        fc.double({ min: 1, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 1.5, noNaN: true }),
        (hairs, needG, share) => {
          const own = { ...plan(needG), sections: hairs.map((hairCount) => ({ hairCount })) };
          const [need] = checkShelf(own, ['foam'], [tub({ leftG: needG * share })], [], none, null).products;
          const all = hairs.reduce((sum, own) => sum + own, 0);
          const used = (count: number) => hairs.slice(0, count).reduce((sum, own) => sum + own, 0) / all;
          expect(used(need!.lastsSections)).toBeLessThanOrEqual(share + 1e-3);
          if (need!.lastsSections < hairs.length)
            expect(used(need!.lastsSections + 1)).toBeGreaterThan(share);
        },
      ),
    );
  });
});

describe('what a head is warned of', () => {
  const butter = { name: 'Butter', ingredients: 'Shea butter, COCONUT oil (Cocos nucifera)' };
  const gel = { name: 'Gel', ingredients: 'aqua, PVP, hydrolysed wheat protein, nuts' };

  it('is found in a list of ingredients, whatever the case and number', () => {
    expect(allergyMatches('coconut: patch-test anything new', [butter, gel])).toEqual([
      { product: 'Butter', word: 'coconut' },
    ]);
    expect(allergyMatches('Coconuts; wheat', [butter, gel]).map(({ word }) => word)).toEqual([
      'coconuts',
      'wheat',
    ]);
  });

  it('words that name no substance, and parts of words, find nothing', () => {
    expect(
      allergyMatches('patch test new products, mild rash', [{ name: 'X', ingredients: 'new test products' }]),
    ).toEqual([]);
    expect(allergyMatches('oil', [butter])).toEqual([]);
    expect(allergyMatches('cocon', [butter])).toEqual([]);
    expect(allergyMatches('', [butter])).toEqual([]);
  });
});

describe('own mixes', () => {
  const of = (change: Partial<Ingredient>): Ingredient => ({
    role: 'gel',
    waterShare: null,
    hold: null,
    weight: null,
    hasProtein: false,
    minorPerG: null,
    ...change,
  });

  it('adds water up by weight, and takes the usual of the role where nothing is known', () => {
    const made = mixed([
      { parts: 1, of: of({ role: 'oil', waterShare: 0, hold: 0, weight: 4, minorPerG: 8 }) },
      { parts: 3, of: of({ waterShare: 0.8, minorPerG: 4, hasProtein: true }) },
    ]);
    expect(made.waterShare).toBeCloseTo(0.6, 12);
    expect(made.weight).toBeCloseTo((4 + 3 * 2) / 4, 12);
    expect(made.minorPerG).toBeCloseTo(5, 12);
    expect(made.hasProtein).toBe(true);
    expect(mixed([{ parts: 1, of: of({}) }]).minorPerG).toBeNull();
    expect(() => mixed([])).toThrow(RangeError);
  });

  it('a batch is shared out by parts, and adds up', () => {
    expect(
      batchParts(
        [
          { productId: 'a', parts: 1 },
          { productId: 'b', parts: 2 },
        ],
        90,
      ),
    ).toEqual([
      { productId: 'a', grams: 30 },
      { productId: 'b', grams: 60 },
    ]);
  });
});

describe('the pretended scale', () => {
  /** Readings as the page of the scale tells them. */
  const readings = (scale: ReturnType<typeof switchedOn>, fromMs: number, untilMs: number): ScaleReading[] =>
    Array.from({ length: Math.floor((untilMs - fromMs) / 150) }, (_, i) =>
      readingOf(scale, fromMs + 150 * i),
    );

  it('settles on what lies on it, and on nothing while a hand moves', () => {
    const on = putOn(zeroed(switchedOn(7, 0), 1000), 183.4, 2000);
    expect(settledG(readings(on, 1500, 2600))).toBeNull();
    const steady = settledG(readings(on, 2000, 6000));
    expect(steady).toBeCloseTo(183.4, 0);
  });

  it('drifts: an hour later its zero has wandered, and the difference to its zero still weighs right', () => {
    const cold = zeroed(switchedOn(11, 0), 0);
    const hour = 3_600_000;
    const zero = settledG(readings(cold, hour, hour + 3000))!;
    expect(Math.abs(zero)).toBeGreaterThan(0.2);
    const loaded = putOn(cold, 250, hour + 3000);
    const weighed = settledG(readings(loaded, hour + 4500, hour + 8000))! - zero;
    expect(Math.abs(weighed - 250)).toBeLessThan(0.3);
  });

  it('says the same of the same scale at the same moment', () => {
    const scale = putOn(switchedOn(3, 0), 42, 10);
    expect(readingOf(scale, 9999)).toEqual(readingOf(scale, 9999));
  });

  it('of an even number of readings is the middle of the middle two', () => {
    const readings = [10, 10.1, 10.3, 10.4].map((grams, i) => ({ grams, atMs: i * 400 }));
    expect(settledG(readings)).toBeCloseTo(10.2, 9);
    expect(settledG([...readings, { grams: 10.4, atMs: 1600 }])).toBeCloseTo(10.35, 9);
    expect(settledG(readings.slice(0, 3))).toBeNull();
    expect(settledG(readings.map((own, i) => ({ ...own, grams: own.grams + i })))).toBeNull();
  });

  it('is not fooled by one odd reading more than its own tremble', () => {
    const calm = Array.from({ length: 20 }, (_, i) => ({ grams: 50 + (i % 2) * 0.1, atMs: i * 150 }));
    expect(settledG(calm)).toBeCloseTo(50, 0);
    expect(settledG(calm.map((own, i) => (i === 18 ? { ...own, grams: 57 } : own)))).toBeNull();
    expect(settledG([])).toBeNull();
  });
});
