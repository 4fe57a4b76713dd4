import { describe, expect, it } from 'vitest';
import { readWishOf, wishOf } from '../../../tests/support/wishes';
import { KNOWABLE } from '../hair/head';
import { TECHNIQUE_IDS } from '../techniques';
import { HOUR_MS } from '../units/time';
import { ask, timesOf, usualStartMs } from './ask';
import { barredItems, toolsFor, type ShelfItem } from './means';
import { readWish } from './read-wish';
import { routesFor, sittingH, stepsOf } from './routes';
import { sketch } from './sketch';
import { stacksFor, withLayer } from './stacks';
import { routeWords, stackWords, wayWords } from './words';
import { zoneSizes, dueSizes } from './zone-sizes';
import { dryingMethods } from '../drying-methods';
import { ZONES } from '../hair/zone';

const errorsOf = (raw: unknown) => {
  const read = readWish(raw);
  return read.ok ? [] : read.errors;
};

describe('a wish as it is written', () => {
  it('of a head that says nothing, nothing is known; what is said is known', () => {
    expect(readWishOf(wishOf({})).base.head.notKnown).toEqual([...KNOWABLE]);
    const some = readWishOf(
      wishOf({ strandDiameterUm: 60, ponytailCircumferenceCm: 9, stretchedLengthCm: 25 }),
    );
    expect(some.base.head.notKnown).toEqual([
      'shrinkage',
      'naturalCoilDiameterMm',
      'porosity',
      'circumferenceCm',
    ]);
    expect(some.base.head.densityPerCm2).not.toBe(165);
  });

  it('what is said to be unknown stays so, whatever stands there', () => {
    const wish = readWishOf(wishOf({ porosity: 'medium', notKnown: ['porosity'] }));
    expect(wish.base.head.notKnown).toContain('porosity');
  });

  it('names each field that is wrong, and what would do', () => {
    expect(errorsOf(wishOf({ strandDiameterUm: 5 }))[0]).toMatchObject({ path: 'head.strandDiameterUm' });
    expect(errorsOf(wishOf({}, { wants: ['lasts', 'soft', 'big'] }))[0]).toEqual({
      path: 'wants',
      message: 'at most 2 things can matter at once',
    });
    expect(errorsOf(wishOf({}, { wants: ['big', 'big'] }))[0]?.path).toBe('wants');
    expect(errorsOf({ ...wishOf({}), wig: true })[0]).toMatchObject({ path: 'wig' });
    expect(errorsOf(wishOf({}, { sureness: 95 }))[0]?.message).toContain('a share, not a percentage');
    expect(errorsOf(wishOf({}, { handsOnHours: 0 }))[0]?.path).toBe('handsOnHours');
    expect(errorsOf(wishOf({}, { wearBy: '2027-03-12T17:00:00' }))[0]?.path).toBe('wearBy');
    expect(
      errorsOf(wishOf({}, { shelf: { products: [{ name: 'x', role: 'glue' as never }] } }))[0]?.path,
    ).toBe('shelf.products.0.role');
    expect(errorsOf([])).not.toEqual([]);
    expect(errorsOf(null)).not.toEqual([]);
  });

  it('without a shelf every role, usual tools and every machine but a fan can be had', () => {
    const { means } = readWishOf(wishOf({}));
    expect(means.products).toBeNull();
    expect(means.tools).toBeNull();
    expect(means.drying.map(({ id }) => id)).toContain('hood-warm');
    expect(means.drying.map(({ id }) => id)).not.toContain('fan');
  });

  it('a machine of one’s own dries as it blows', () => {
    const { means } = readWishOf(
      wishOf({}, { shelf: { drying: ['air', { method: 'hood-warm', airSpeedMS: 1 }] } }),
    );
    expect(means.drying[1]!.airSpeedMS).toBe(1);
  });
});

describe('when work begins where nobody says', () => {
  const sleep = { fromMin: 23 * 60, untilMin: 7 * 60 };
  const hourOf = (ready: string) =>
    new Date(usualStartMs(Date.parse(ready), sleep, 'UTC')).toISOString().slice(5, 16);

  it('worn in the morning: at six the evening before', () => {
    expect(hourOf('2027-03-13T09:00:00Z')).toBe('03-12T18:00');
  });
  it('worn in the evening: that morning; worn at two: the evening before, not in the night', () => {
    expect(hourOf('2027-03-13T19:00:00Z')).toBe('03-13T07:00');
    expect(hourOf('2027-03-13T14:00:00Z')).toBe('03-12T18:00');
  });
  it('who keeps no night begins fifteen hours before', () => {
    const ready = Date.parse('2027-03-13T14:00:00Z');
    expect(usualStartMs(ready, null, 'UTC')).toBe(ready - 15 * HOUR_MS);
  });
  it('a start that is said stays', () => {
    const { base } = readWishOf(wishOf({}, { startAt: '2027-03-12T20:15:00' }));
    expect(new Date(timesOf(base).startMs).toISOString()).toBe('2027-03-12T20:15:00.000Z');
  });
});

const item = (part: Partial<ShelfItem>): ShelfItem => ({
  id: part.name ?? 'x',
  name: 'x',
  role: 'gel',
  waterShare: null,
  hold: null,
  weight: null,
  hasProtein: false,
  ingredients: '',
  leftG: null,
  minorPerG: null,
  isOut: false,
  useBy: null,
  ...part,
});
const meansOf = (products: ShelfItem[], allergies = '') => ({
  ...readWishOf(wishOf({})).means,
  products,
  allergies,
});
const { head } = readWishOf(wishOf({ strandDiameterUm: 72 })).base;

describe('layers from a shelf', () => {
  it('what she reacts to never goes on, nor protein on hair that goes stiff with it', () => {
    const shelf = [
      item({ name: 'A', ingredients: 'coconut oil' }),
      item({ name: 'B', hasProtein: true }),
      item({ name: 'C' }),
    ];
    expect(barredItems(shelf, 'coconut', true).map(({ item: { name }, why }) => [name, why])).toEqual([
      ['A', 'allergy'],
      ['B', 'protein'],
    ]);
    const stacks = stacksFor({ ...head, conditions: ['protein-sensitive'] }, meansOf(shelf, 'coconut'));
    const used = new Set(stacks.flatMap(({ layers }) => layers.map(({ name }) => name)));
    expect(used.has('C')).toBe(true);
    expect(used.has('A') || used.has('B')).toBe(false);
  });

  it('where all there is of a role is barred it is not bought blindly; where there is none it may be', () => {
    const roles = (products: ShelfItem[]) =>
      new Set(
        stacksFor(head, meansOf(products, 'coconut')).flatMap(({ layers }) => layers.map(({ role }) => role)),
      );
    expect(roles([item({ ingredients: 'coconut' })]).has('gel')).toBe(false);
    expect(roles([item({ role: 'leave-in' })]).has('gel')).toBe(true);
  });

  it('what is past its day, or empty, gives way to what is not', () => {
    const shelf = [
      item({ name: 'old', isOut: true }),
      item({ name: 'empty', leftG: 0 }),
      item({ name: 'full', leftG: 300 }),
    ];
    const gels = stacksFor(head, meansOf(shelf)).flatMap(({ layers }) =>
      layers.filter(({ role }) => role === 'gel'),
    );
    expect(new Set(gels.map(({ name }) => name))).toEqual(new Set(['full']));
  });

  it('two holds that differ are two choices; what is heavy never lies under a foam', () => {
    const shelf = [item({ name: 'soft', hold: 2 }), item({ name: 'hard', hold: 5 })];
    const stacks = stacksFor(head, meansOf(shelf));
    const names = new Set(
      stacks.flatMap(({ layers }) => layers.filter(({ role }) => role === 'gel').map(({ name }) => name)),
    );
    expect(names).toEqual(new Set(['soft', 'hard']));
    for (const { layers } of stacks) {
      const roles = layers.map(({ role }) => role);
      if (roles.includes('mousse')) expect(roles).not.toContain('butter');
      expect(['butter', 'oil', 'pomade']).not.toContain(roles.length > 1 ? roles[0] : 'none');
    }
  });

  it('one more layer finds its usual place; a shield goes on last', () => {
    const [stack] = stacksFor(head, meansOf([item({ role: 'leave-in', name: 'L' })])).filter(
      ({ layers }) => layers.length === 3,
    );
    const layer = (role: ShelfItem['role']) => ({ ...stack!.layers[0]!, role, productId: role });
    expect(withLayer(stack!, layer('humidity-shield')).layers.at(-1)!.role).toBe('humidity-shield');
    expect(withLayer(stack!, layer('heat-protectant')).layers[1]!.role).toBe('heat-protectant');
  });

  it('rods that do not go round are no choice; ends take theirs from the same drawer', () => {
    const tools = [10, 16].map((diameterMm) => ({
      kind: 'rod' as const,
      diameterMm,
      workingLengthMm: 80,
      owned: diameterMm * 2,
    }));
    expect(toolsFor({ tools }, 'rod', 24).map(({ diameterMm }) => diameterMm)).toEqual([16]);
    expect(toolsFor({ tools }, 'end-rod', 12)).toHaveLength(2);
    expect(toolsFor({ tools }, 'end-rod', 12)[0]!.kind).toBe('end-rod');
    expect(toolsFor({ tools: null }, 'former', 40).length).toBeGreaterThan(5);
  });
});

describe('ways to dry', () => {
  const night = { hours: 12, nights: [{ fromH: 2, untilH: 10 }], nightCover: dryingMethods.bonnet };
  const hood = { method: dryingMethods['hood-warm'], hours: 0.5 };

  it('names a night with the hours it has, and keeps what is blown', () => {
    const steps = (route: Parameters<typeof stepsOf>[0]) =>
      stepsOf(route, night)?.map(({ method, hours }) => [method.id, hours]);
    expect(steps({ id: 'night', first: null, last: null })).toEqual([
      ['air', 2],
      ['bonnet', 8],
    ]);
    expect(steps({ id: 'h>night', first: hood, last: null })).toEqual([
      ['hood-warm', 0.5],
      ['air', 1.5],
      ['bonnet', 8],
    ]);
    expect(steps({ id: 'night>h', first: null, last: hood })?.at(-1)).toEqual(['hood-warm', 0.5]);
    expect(stepsOf({ id: 'x', first: { ...hood, hours: 13 }, last: null }, night)).toBeNull();
  });

  it('asks nobody to sit longer than two hours, and counts what is sat', () => {
    for (const hasNight of [true, false]) {
      const routes = routesFor(Object.values(dryingMethods), hasNight);
      expect(Math.max(...routes.map(sittingH))).toBeLessThanOrEqual(2);
      expect(routes.some((route) => sittingH(route) === 0)).toBe(true);
      expect(routes.some(({ first }) => first?.method.isManner)).toBe(false);
    }
    expect(routeWords({ id: 'hood-warm-0.5>night', first: hood, last: null })).toBe(
      '30 min under the hood on warm, then overnight',
    );
  });
});

describe('sections in a sketch and by zone', () => {
  it.each([2, 5, 6, 18, 33, 120])(
    '%d sections: all of them, as many left as right, the whole scalp',
    (count) => {
      const { sections } = sketch(count, zoneSizes(dueSizes(ask(readWishOf(wishOf({}))).levels, ['big'])));
      expect(sections).toHaveLength(count);
      expect(sections.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
      const inZone = (zone: string) => sections.filter((section) => section.zone === zone).length;
      expect(inZone('left')).toBe(inZone('right'));
    },
  );

  it('larger at the crown for size, smaller at the face, and the same left and right', () => {
    const { levels } = ask(readWishOf(wishOf({})));
    const sizes = (wants: Parameters<typeof dueSizes>[1]) => zoneSizes(dueSizes(levels, wants));
    expect(sizes(['big']).crown).toBeGreaterThan(sizes([]).crown);
    expect(sizes([]).front).toBeLessThan(1);
    for (const wants of [[], ['big']] as const) expect(sizes(wants).left).toBe(sizes(wants).right);
    for (const zone of ZONES) expect(sizes(['big'])[zone]).toBeGreaterThanOrEqual(0.4);
  });
});

describe('a way in words', () => {
  const [stack] = stacksFor(
    head,
    meansOf([item({ role: 'leave-in', name: 'L' }), item({ name: 'G' })]),
  ).filter(({ layers }) => layers.at(-1)?.role === 'gel');
  it('says what is set, what holds over what, and how it dries', () => {
    const way = {
      set: {
        technique: 'rod-set',
        sections: 30,
        countShare: 1,
        zones: { nape: 'comb-coil' },
        tool: { kind: 'rod', diameterMm: 16, workingLengthMm: 80, owned: 40, alternate: null },
      },
      startState: 'stretched-dry',
      rootMethod: 'plain',
      endsMethod: 'pasted',
      stack: stack!,
      route: { id: 'night', first: null, last: null },
      habit: { night: 'scarf', separations: 1, fluffing: 0, hands: 'bare' },
    } as const;
    expect(wayWords(way)).toBe(
      `30 rods of 16 mm, coils at the nape, ${stackWords(stack!)}, on stretched hair, overnight`,
    );
    expect(stackWords({ id: '', layers: [] })).toBe('nothing on it');
    expect(stackWords(stack!)).toMatch(/^gel over /);
  });

  it('every technique has a family and can be asked for alone', () => {
    for (const technique of TECHNIQUE_IDS)
      expect(ask({ ...readWishOf(wishOf({})), technique }).means.techniques).toEqual([technique]);
  });
});
