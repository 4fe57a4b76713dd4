import { describe, expect, it } from 'vitest';
import type { LookFacts, RoundFacts } from '@/core/round/facts';
import { stateWords } from './round-words';

const CM = { length: 'cm', mass: 'g', temperature: 'C' } as const;
const INCHES = { ...CM, length: 'in' } as const;
const facts: RoundFacts = {
  days: 6,
  hairCm: { low: 26, high: 32 },
  sets: [
    { label: 'Two-strand twist', noun: ['twist', 'twists'], count: 18 },
    { label: 'Bantu knot', noun: ['knot', 'knots'], count: 1 },
  ],
  ropeMm: { low: 6, high: 6 },
  leftOut: 0,
  outlines: [],
  hairline: '',
  partPath: null,
};
const look: LookFacts = {
  isRated: false,
  curlMm: { low: 8, high: 8 },
  visibleCm: { low: 19, high: 23 },
  definition: { low: 6.2, high: 6.2 },
  frizz: { low: 4, high: 5 },
  volume: { low: 8, high: 8 },
};
const onDay = (day: number, reach: 'narrow' | 'likely' | 'wide' = 'likely') =>
  ({ kind: 'worn', day, reach }) as const;

describe('what is told under a head', () => {
  it('is its size, its length and its marks, without a decimal that nobody knows', () => {
    expect(stateWords(facts, onDay(0), look, 33.2, CM)).toBe(
      'First day. Curls 8 mm wide; hair shows 19 cm to 23 cm of 26 cm to 32 cm. About 33 cm wide over all. Definition 6, frizz 4 to 5, volume 8 of 10.',
    );
    expect(stateWords(facts, onDay(3, 'wide'), look, null, INCHES)).toBe(
      'Day 3, at its widest. Curls 5/16 in wide; hair shows 7½ in to 9 in of 10¼ in to 12½ in. Definition 6, frizz 4 to 5, volume 8 of 10.',
    );
  });

  it('counts what was left out of the set', () => {
    const set = (leftOut: number) => stateWords({ ...facts, leftOut }, { kind: 'set' }, null, null, CM);
    expect(set(0)).toBe(
      'In the set. 18 twists (two-strand twist), 1 knot (bantu knot), each rope 6 mm thick.',
    );
    expect(set(1)).toMatch(/thick\. One patch is left out\.$/);
    expect(set(2)).toMatch(/2 patches are left out\.$/);
  });

  it('says what was rated, and of her own hair nothing that was never forecast', () => {
    expect(stateWords(facts, onDay(1), { ...look, isRated: true }, null, CM)).toMatch(
      /volume 8 of 10, as it was rated\.$/,
    );
    expect(stateWords(facts, { kind: 'own', isWet: true }, look, null, CM)).toBe(
      'Her own hair, wet. Curls 8 mm wide; hair shows 19 cm to 23 cm of 26 cm to 32 cm.',
    );
  });

  it('counts what is in, technique by technique', () => {
    expect(stateWords(facts, { kind: 'set' }, null, null, CM)).toBe(
      'In the set. 18 twists (two-strand twist), 1 knot (bantu knot), each rope 6 mm thick.',
    );
  });
});
