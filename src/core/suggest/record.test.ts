import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reasonsOf, suggested, wishOf } from '../../../tests/support/wishes';
import { suggestion } from '../coefficients/suggestion';
import { TECHNIQUE_IDS } from '../techniques';
import { recordOf, type PastSet } from './record';

const set = (daysLasted: number, daysForecast: number, hasEnded = true): PastSet => ({
  technique: 'rod-set',
  daysLasted,
  daysForecast,
  hasEnded,
});
const pointsOf = (past: readonly PastSet[]) => recordOf(past).get('rod-set')?.points;
const anySet = fc.record({
  technique: fc.constant('rod-set' as const),
  daysLasted: fc.integer({ min: 0, max: 40 }),
  daysForecast: fc.double({ min: 0.5, max: 20, noNaN: true }),
  hasEnded: fc.boolean(),
});

describe('what a head’s own sets say', () => {
  it('a doubling in one set counts half, in many nearly whole (weights are our judgement)', () => {
    const { recordDoubling } = suggestion.value;
    expect(pointsOf([set(8, 4)])).toBeCloseTo(recordDoubling / 2, 9);
    expect(pointsOf(Array.from({ length: 9 }, () => set(8, 4)))).toBeCloseTo(0.9 * recordDoubling, 9);
    expect(pointsOf([set(2, 4)])).toBeCloseTo(-recordDoubling / 2, 9);
    expect(pointsOf([set(4, 4)])).toBeCloseTo(0, 9);
  });

  it('a set cut short while still good speaks for itself only once it has outlasted its forecast', () => {
    expect(pointsOf([set(2, 4, false)])).toBeUndefined();
    expect(pointsOf([set(8, 4, false)])).toBeGreaterThan(0);
    expect(pointsOf([set(8, 4), set(1, 4, false)])).toBe(pointsOf([set(8, 4)]));
  });

  it('another good set never speaks against, another poor one never for; no record outweighs a school', () => {
    fc.assert(
      fc.property(fc.array(anySet, { maxLength: 8 }), fc.integer({ min: 1, max: 12 }), (past, times) => {
        const before = pointsOf(past) ?? 0;
        const best = Math.max(1, ...past.map(({ daysLasted, daysForecast }) => daysLasted / daysForecast));
        const better = pointsOf([...past, set(Math.ceil(6 * best), 3)])!;
        expect(better).toBeGreaterThanOrEqual(Math.min(before, suggestion.value.school) - 1e-9);
        const many = pointsOf(Array.from({ length: times }, () => set(0, 20)))!;
        expect(many).toBeGreaterThanOrEqual(-suggestion.value.school);
        expect(Math.abs(better)).toBeLessThanOrEqual(suggestion.value.school);
      }),
    );
  });

  it('says what was seen, in days and sets', () => {
    expect(recordOf([set(9, 7), set(10, 7)]).get('rod-set')!.text).toBe(
      'Rods have outlasted what was expected of them on her: 10 days where 7 were expected (2 sets).',
    );
    expect(recordOf([set(0, 4)]).get('rod-set')!.text).toBe(
      'Rods have fallen short on her: 1 day where 4 were expected (1 set).',
    );
  });
});

describe('a suggestion for a head with a record', () => {
  const head = { stretchedLengthCm: 24, strandDiameterUm: 68, naturalCoilDiameterMm: 8, densityPerCm2: 165 };
  const wanting = (past: PastSet[]) => suggested(wishOf(head, { wants: ['lasts'], past }));
  const poorly = (technique: PastSet['technique']) =>
    Array.from({ length: 4 }, (): PastSet => ({ technique, daysLasted: 1, daysForecast: 8, hasEnded: true }));

  it('leaves what fell short on her again and again for something else, and says so', () => {
    const first = wanting([]).draft.way.set.technique;
    const after = wanting(poorly(first));
    expect(after.draft.way.set.technique).not.toBe(first);
    const told = reasonsOf(after).filter(({ fact }) => fact === 'record');
    expect(told.map(({ text }) => text).join(' ')).toMatch(/have fallen short on her: 1 day where 8 were/);
  });

  it('comes back to what outlasted its forecast on her', () => {
    const usual = wanting([]);
    const others = TECHNIQUE_IDS.filter((id) =>
      usual.found.kinds.some(({ way }) => way.set.technique === id && id !== usual.draft.way.set.technique),
    );
    const scores = (of: ReturnType<typeof wanting>, id: string) =>
      Math.max(...of.found.kinds.filter(({ way }) => way.set.technique === id).map(({ score }) => score));
    const id = others[0]!;
    const good = wanting([{ technique: id, daysLasted: 16, daysForecast: 4, hasEnded: true }]);
    expect(scores(good, id)).toBeGreaterThan(scores(usual, id));
  });
});
