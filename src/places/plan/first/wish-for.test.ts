import { describe, expect, it } from 'vitest';
import type { ShelfDryer, ShelfProduct } from '@/core/draft/draft-brief';
import { readWish } from '@/core/suggest/read-wish';
import { addressOf, formOf } from './wish-address';
import { beginOf, wishFor, type WishForm, type WishMeans } from './wish-for';

const NOW = Date.parse('2027-03-11T12:00:00Z');
const form: WishForm = {
  ready: '2027-03-13T09:00',
  wants: ['lasts'],
  technique: null,
  begin: null,
  workH: null,
};
const product = (part: Partial<ShelfProduct>): ShelfProduct => ({
  id: 'p',
  name: 'Stillpond gel',
  role: 'gel',
  waterShare: null,
  hold: 4,
  weight: null,
  hasProtein: false,
  leftG: 120,
  usedSinceG: 30,
  sizeG: 250,
  priceMinor: 1000,
  useBy: null,
  mixId: null,
  openedOn: null,
  ingredients: 'water',
  ...part,
});
const dryer = (part: Partial<ShelfDryer>): ShelfDryer => ({
  id: 'd',
  kind: 'hood',
  name: 'Old hood',
  airSpeedMS: 1.2,
  airC: null,
  count: 1,
  ...part,
});
const means: WishMeans = {
  head: { stretchedLengthCm: 22 },
  allergies: 'coconut',
  schools: {},
  past: [],
  known: { learnt: null, corrections: null },
  products: [],
  tools: [],
  dryers: [],
  hand: 'usual',
  timeZone: 'UTC',
};

describe('a wish from the screen', () => {
  it('is one that can be read, with the studio’s clock, her card and her schools', () => {
    const raw = wishFor(form, { ...means, products: [product({})], schools: { order: 'cream-first' } }, NOW);
    const read = readWish(raw);
    if (!read.ok) throw new Error(JSON.stringify(read.errors));
    const { wish } = read.value;
    expect(wish.wants).toEqual(['lasts']);
    expect(wish.means.allergies).toBe('coconut');
    expect(wish.schools).toEqual({ order: 'cream-first' });
    expect(new Date(wish.base.wearByMs!).toISOString()).toBe('2027-03-13T09:00:00.000Z');
    expect(wish.means.products).toMatchObject([{ id: 'p', hold: 4, leftG: 90, minorPerG: 4, isOut: false }]);
  });

  it('who keeps no shelf is not told to buy everything', () => {
    const { shelf } = wishFor(form, means, NOW);
    expect(shelf?.products).toBeUndefined();
    expect(shelf?.tools).toBeUndefined();
  });

  it('a product past its day on the day it is wanted, or a mix not made, cannot be used', () => {
    const unusable = (part: Partial<ShelfProduct>) =>
      wishFor(form, { ...means, products: [product(part)] }, NOW).shelf!.products![0]!.unusable;
    expect(unusable({ useBy: '2027-03-12' })).toBe(true);
    expect(unusable({ useBy: '2027-03-13' })).toBe(false);
    expect(unusable({ mixId: 'm', openedOn: null })).toBe(true);
    expect(unusable({ mixId: 'm', openedOn: '2027-03-01' })).toBe(false);
  });

  it('dries with the machines there are; with the usual ones where none is listed', () => {
    const drying = (dryers: ShelfDryer[]) =>
      wishFor(form, { ...means, dryers }, NOW).shelf!.drying!.map((way) =>
        typeof way === 'string' ? way : way.method,
      );
    expect(drying([])).toEqual(expect.arrayContaining(['air', 'bonnet', 'hood-warm', 'diffuser']));
    expect(drying([])).not.toContain('fan');
    expect(drying([dryer({})])).toContain('hood-cool');
    expect(drying([dryer({})])).not.toContain('diffuser');
    expect(drying([dryer({ count: 0 })])).toContain('diffuser');
    const own = wishFor(form, { ...means, dryers: [dryer({})] }, NOW).shelf!.drying!;
    expect(own).toContainEqual({ method: 'hood-hot', airSpeedMS: 1.2 });
  });

  it('begins at the usual hour, or now where that has gone by; not at all without a time', () => {
    expect(beginOf('2027-03-13T09:00', 'UTC', NOW)).toBe('2027-03-12T18:00');
    expect(beginOf('2027-03-13T09:00', 'UTC', Date.parse('2027-03-12T20:07:00Z'))).toBe('2027-03-12T20:15');
    expect(beginOf(null, 'UTC', NOW)).toBeNull();
    expect(wishFor({ ...form, ready: null }, means, NOW).wearBy).toBeUndefined();
    expect(wishFor({ ...form, begin: '2027-03-12T10:00' }, means, NOW).startAt).toBe('2027-03-12T10:00');
  });
});

describe('what was asked, in the address', () => {
  const back = (asked: WishForm) =>
    formOf(Object.fromEntries(new URL(addressOf('h', asked), 'http://x').searchParams), '2027-01-01T09:00');

  it('comes back as it was', () => {
    for (const asked of [
      form,
      { ...form, wants: [], ready: null },
      { ...form, wants: ['big', 'soft'], technique: 'braid', begin: '2027-03-12T10:00', workH: 2.5 },
    ] as const)
      expect(back(asked)).toEqual(asked);
  });

  it('begins with what she likes, until something else is asked or nothing', () => {
    expect(formOf({}, '2027-01-01T09:00', ['soft']).wants).toEqual(['soft']);
    expect(formOf({ want: 'none' }, '2027-01-01T09:00', ['soft']).wants).toEqual([]);
    expect(formOf({ want: 'big' }, '2027-01-01T09:00', ['soft']).wants).toEqual(['big']);
  });

  it('nonsense is as if it were not there', () => {
    const read = formOf(
      { ready: 'soon', want: 'fast,big,big,soft,long', as: 'wig', begin: ['a', 'b'], work: '99' },
      '2027-01-01T09:00',
    );
    expect(read).toEqual({
      ready: '2027-01-01T09:00',
      wants: ['big', 'soft'],
      technique: null,
      begin: null,
      workH: null,
    });
  });
});
