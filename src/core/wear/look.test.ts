import { describe, expect, it } from 'vitest';
import { twoStrandTwist } from '../techniques/two-strand-twist';
import { rodSet } from '../techniques/rod-set';
import { daysPresentable, lnDaysPresentable } from './days';
import { definitionTerms, frizzTerms, lookOf, volumeTerms } from './look';
import { retentionLeft, setRetention } from './retention';
import type { SetFacts } from './set-facts';

const usual: SetFacts = {
  technique: twoStrandTwist,
  startState: 'damp',
  rootMethod: 'plain',
  endsMethod: 'finger-coiled',
  sizeDoublings: 0,
  unevenness: 0,
  hold: 0.55,
  holdName: 'foam',
  damp: 0,
  brushedThrough: false,
  separations: 2,
  fluffing: 1,
  hands: 'oiled',
  fastened: 'root',
  after: [],
  dewPointOutsideC: 12,
  night: 'gather-and-bonnet',
  weakEnds: false,
  hairCount: 100_000,
  fill: 0,
  learnt: {},
  daysWidth: 1,
};
const definition = (facts: SetFacts) => lookOf([{ share: 1, look: definitionTerms(facts) }]);
const frizz = (facts: SetFacts) => lookOf([{ share: 1, look: frizzTerms(facts) }]);
const volume = (facts: SetFacts) => lookOf([{ share: 1, look: volumeTerms(facts) }]);
const days = (facts: SetFacts) => daysPresentable([{ share: 1, days: lnDaysPresentable(facts) }]);
const worse = (change: Partial<SetFacts>): SetFacts => ({ ...usual, ...change });

/** A change, and whether definition, frizz and days go up (1), down (−1) or stay (0). */
const effects: readonly (readonly [string, Partial<SetFacts>, number, number, number])[] = [
  ['larger sections', { sizeDoublings: 1 }, -1, 1, -1],
  ['uneven sections', { unevenness: 0.4 }, -1, 1, -1],
  ['firmer hold', { hold: 0.85 }, 1, -1, 1],
  ['taken down damp', { damp: 0.25 }, -1, 1, -1],
  ['split into more pieces', { separations: 4 }, -1, 1, -1],
  ['fluffed more', { fluffing: 3 }, 0, 1, -1],
  ['damp air outdoors', { dewPointOutsideC: 22 }, 0, 1, -1],
  ['very dry air outdoors', { dewPointOutsideC: -8 }, 0, 1, 0],
  ['bare hands', { hands: 'bare' }, 0, 1, 0],
  ['no night care', { night: 'nothing' }, 0, 0, -1],
  ['brushed through', { brushedThrough: true }, 1, -1, 0],
  ['ends left plain', { endsMethod: 'twisted' }, -1, 0, 0],
  ['set on stretched hair', { startState: 'stretched-dry' }, -1, 1, 1],
];

describe('what each choice does to the look and life of a set', () => {
  it.each(effects)('%s', (_, change, onDefinition, onFrizz, onDays) => {
    const sign = (after: number, before: number) =>
      Math.abs(after - before) < 1e-9 ? 0 : Math.sign(after - before);
    const after = worse(change);
    expect(sign(definition(after).value, definition(usual).value)).toBe(onDefinition);
    expect(sign(frizz(after).value, frizz(usual).value)).toBe(onFrizz);
    expect(sign(days(after).p50, days(usual).p50)).toBe(onDays);
  });

  it('shows its reasons largest first, and they add up to the figure', () => {
    const look = definition(worse({ damp: 0.1, sizeDoublings: 0.5, separations: 4 }));
    const sizes = look.why.map((reason) => Math.abs(reason.effect));
    expect(sizes).toEqual([...sizes].sort((a, b) => b - a));
    const hidden = 0.06; // terms under 0.05 are not shown
    expect(
      Math.abs(look.value - 5.5 - look.why.reduce((sum, reason) => sum + reason.effect, 0)),
    ).toBeLessThan(hidden);
  });

  it('of a head set in two ways lies between the two, in the words of the part that weighs more', () => {
    const held = worse({ hold: 0.85, holdName: 'gel' });
    const bare = worse({ hold: 0.05, holdName: null });
    const mixed = lookOf([
      { share: 0.8, look: definitionTerms(held) },
      { share: 0.2, look: definitionTerms(bare) },
    ]);
    expect(mixed.value).toBeCloseTo(0.8 * definition(held).value + 0.2 * definition(bare).value, 9);
    expect(mixed.why.find((reason) => reason.factor === 'hold')!.text).toBe('strong hold from the gel');
  });

  it('says when the scale ends', () => {
    const ruined = definition(worse({ damp: 1 }));
    expect(ruined.value).toBe(0);
    expect(ruined.why.map((reason) => reason.factor)).toContain('end-of-scale');
  });

  it('names the product that holds, or that none does', () => {
    expect(
      definition(worse({ hold: 0.85, holdName: 'gel' })).why.find((r) => r.factor === 'hold')!.text,
    ).toBe('strong hold from the gel');
    expect(definition(worse({ hold: 0.05, holdName: null })).why.find((r) => r.factor === 'hold')!.text).toBe(
      'no hold product',
    );
  });

  it('more hair and a plain root give more volume', () => {
    expect(volume(worse({ hairCount: 150_000 })).value).toBeGreaterThan(volume(usual).value);
    expect(volume(worse({ rootMethod: 'braided' })).value).toBeLessThan(volume(usual).value);
  });

  it('ends count for more when they are weak', () => {
    const twisted = { endsMethod: 'twisted' as const };
    expect(definition(worse({ ...twisted, weakEnds: true })).value).toBeLessThan(
      definition(worse(twisted)).value,
    );
  });
});

describe('how much of a set stays', () => {
  it('is less when damp, thick, overlapping or in damp air', () => {
    const usually = setRetention(usual, 5000);
    expect(setRetention(worse({ damp: 0.2 }), 5000)).toBeLessThan(usually);
    expect(setRetention(usual, 20_000)).toBeLessThan(usually);
    expect(setRetention(worse({ dewPointOutsideC: 22 }), 5000)).toBeLessThan(usually);
    const rods = worse({ technique: rodSet, fill: 0.8 });
    expect(setRetention({ ...rods, fill: 1.6 }, 5000)).toBeLessThan(setRetention(rods, 5000));
  });

  it('falls to 60 % by the median day', () => {
    expect(retentionLeft(0, 3.5)).toBe(1);
    expect(retentionLeft(3.5, 3.5)).toBeCloseTo(0.6, 12);
  });
});
