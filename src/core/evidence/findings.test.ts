import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BLANK, daysOf, simulatedStudio } from '../../../tests/support/simulated-studio';
import { seededRng } from '../random/rng';
import { DAY_MS } from '../units/time';
import {
  bandSentence,
  drySentence,
  lastingQuestion,
  lastingSentence,
  peopleSentence,
  trialSentence,
  type Sentence,
} from './findings';
import { lastingOf } from './lasting';
import type { LearntSet } from './learning';
import { bandRightness, dryRightness, isCorrectable } from './rightness';
import type { SetEvidence } from './set-evidence';
import { trialsOf } from './trials';
import { twoPeople } from './two-people';

const said = ({ lead }: Sentence) => lead.map(({ text }) => text).join('');
const productName = (id: string) => ({ gel: 'Gel', foam: 'Foam' })[id] ?? null;
const name = (key: string) => productName(key) ?? key;

const set = (i: number, headId: string, seen: Partial<SetEvidence>): LearntSet => ({
  id: `set-${i}`,
  headId,
  startedAtMs: i * DAY_MS,
  period: 0,
  seen: { ...BLANK, ...seen },
});

/** Sets begun wet and damp on some heads; damp lasts longer by a factor. */
function wetAndDamp(heads: number, each: number, factor: number): LearntSet[] {
  const rng = seededRng(8, 2);
  return Array.from({ length: heads * each }, (_, i) => {
    const isDamp = i % 2 === 0;
    const ln = Math.log(3.2 * (isDamp ? factor : 1)) + 0.3 * (rng() + rng() + rng() - 1.5);
    return set(i, `head-${i % heads}`, {
      days: daysOf(ln, 3.5, rng, 0),
      factors: { ...BLANK.factors, startState: isDamp ? 3 : 4 },
    });
  });
}
const byStart = (sets: readonly LearntSet[]) =>
  lastingOf(sets, name).find(({ grouping }) => grouping === 'start')!;

describe('how long styles stay good', () => {
  it('says which lasts longer where heads that had both say so', () => {
    const { comparison, subject } = byStart(wetAndDamp(5, 12, 2.2));
    expect(subject).toBe('twists');
    expect(comparison!.verdict).toBe('differ');
    expect(said(lastingSentence(comparison!))).toMatch(
      /^Twists begun damp stay good for \d+ days, begun wet for \d+ days?\.$/,
    );
    expect(lastingSentence(comparison!).sure.words).toBe('Sure');
  });

  it('says no difference where there is none, and what is missing where there is too little', () => {
    expect(said(lastingSentence(byStart(wetAndDamp(5, 12, 1)).comparison!))).toContain('No difference seen');
    const few = byStart(wetAndDamp(1, 6, 2.2));
    expect(few.comparison!.verdict).toBe('not-enough');
    expect(lastingQuestion(few)!.text).toContain('2 more heads that had both');
    const [technique] = lastingOf(wetAndDamp(4, 6, 1), name);
    expect(lastingQuestion(technique!)!.text).toContain('Every set so far was twists');
    expect(lastingQuestion(lastingOf([], name)[0]!)!.text).toBe('No set says so yet.');
  });

  it('gives no middle under five ends, and counts what was cut short', () => {
    const sets = [2, 3, 4].map((last, i) =>
      set(i, 'a', { days: { ...daysOf(0, 3, () => 0.5, 0)!, last, how: i === 0 ? 'wet' : 'ended' } }),
    );
    const [group] = lastingOf(sets, name)[0]!.groups;
    expect(group).toMatchObject({ median: null, wet: 1, ended: 2, longest: 4 });
    expect(group!.values).toEqual([
      { days: 2, ended: false },
      { days: 3, ended: true },
      { days: 4, ended: true },
    ]);
  });

  it('never extends a curve past the last that was seen, and order does not matter', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), (seed) => {
        const { sets } = simulatedStudio({ seed, heads: 4, setsEach: 5 });
        const groups = lastingOf(sets, name)[0]!.groups;
        for (const { steps, longest } of groups)
          for (const { days } of steps) expect(days).toBeLessThanOrEqual(longest);
        expect(lastingOf([...sets].reverse(), name)[0]!.groups.map(({ median }) => median)).toEqual(
          groups.map(({ median }) => median),
        );
      }),
      { numRuns: 30 },
    );
  });
});

describe('half-head sets of one head', () => {
  const half = (i: number, left: string, right: string, l: number, r: number) =>
    set(i, 'ife', {
      halves: {
        left: [{ role: 'gel', productId: left, grams: null }],
        right: [{ role: 'gel', productId: right, grams: null }],
        pairs: [0, 1, 2, 3].map((day) => ({ day, left: l - day, right: r - day })),
        gaveUpFirst: l > r ? 'right' : 'left',
      },
    });

  it('belong together whichever side each way was on', () => {
    const trials = trialsOf([half(1, 'gel', 'foam', 9, 6.5), half(2, 'foam', 'gel', 6.5, 9)], 1, productName);
    expect(trials).toHaveLength(1);
    expect(trials[0]!.verdict).toMatchObject({ kind: 'a', isSwapped: true, longerLived: { a: 2, b: 0 } });
    expect(trials[0]!.nextIsALeft).toBeNull();
    const sentence = trialSentence(trials[0]!, 'Ife');
    expect(said(sentence)).toBe('On Ife, Gel came out better than Foam, by about 2 points.');
    expect(sentence.basis).toContain('Gel was given up later 2 times');
  });

  it('one alone is not known yet, and the other side is next', () => {
    const [trial] = trialsOf([half(1, 'gel', 'foam', 8, 6)], 1, productName);
    expect(trial!.nextIsALeft).toBe(false);
    expect(said(trialSentence(trial!, 'Ife'))).toContain('It could be the side, not the product');
    expect(trialsOf([half(1, 'gel', 'gel', 8, 6), set(2, 'ife', {})], 1, productName)).toEqual([]);
  });

  it('a product that left the shelf is called by its role', () => {
    const [trial] = trialsOf([half(1, 'gone', 'foam', 8, 6)], 1, productName);
    expect(trial!.a).toBe('gel');
  });
});

describe('whether forecasts held', () => {
  const judged = (i: number, came: number): LearntSet =>
    set(i, 'a', { definition: { low: 5, middle: 6, high: 7, trade: 6, came, ofChoices: 0 } });

  it('counts those inside, and widens bands that were too narrow', () => {
    const sets = Array.from({ length: 24 }, (_, i) => judged(i, i % 2 === 0 ? 6 : 9));
    const band = bandRightness('definition', sets);
    expect(band.coverage).toMatchObject({ held: 12, total: 24, verdict: 'narrow' });
    expect(band.width).toBeGreaterThan(1.5);
    expect(said(bandSentence(band)!)).toBe('What we said of definition held 12 times of 24.');
    expect(bandRightness('definition', sets.slice(0, 9)).width).toBeNull();
    expect(bandSentence(bandRightness('stretch', sets))).toBeNull();
    expect(band.byVersion).toEqual([{ version: BLANK.modelVersion, held: 12, known: 24 }]);
  });

  it('leaves out what was told from memory or written down afterwards', () => {
    const days = { ...daysOf(1.2, 3, () => 0.9, 0)!, isRecalled: true };
    expect(bandRightness('days', [set(1, 'a', { days })]).sets).toEqual([]);
    const later = { ...judged(1, 6), seen: { ...judged(1, 6).seen, isEnteredLater: true } };
    expect(bandRightness('definition', [later]).sets).toEqual([]);
  });

  it('says how often “surely dry” was dry', () => {
    const sets = Array.from({ length: 20 }, (_, i) => set(i, 'a', { dry: { chance: 0.9, came: i < 12 } }));
    const dry = dryRightness(sets);
    expect(said(drySentence(dry)!)).toBe('When we said it was surely dry, it was: 12 times of 20.');
    expect(drySentence(dry)!.sure.words).toBe('Promised too much');
    expect(dry.correction!.shift).toBeCloseTo(-0.5943, 3);
    expect(drySentence(dryRightness(sets.slice(0, 5)))!.sure.words).toBe('Too few to judge');
    expect(drySentence(dryRightness([]))).toBeNull();
  });

  it('bands from the log’s own spreads are not put right a second time', () => {
    expect(isCorrectable('days', { days: true })).toBe(false);
    expect(isCorrectable('days', {})).toBe(true);
    expect(isCorrectable('dry', { days: true })).toBe(true);
  });
});

describe('two people, one scale', () => {
  const pair = (i: number, a: number, b: number) => ({
    setId: `set-${i}`,
    first: { by: i % 2 ? 'Odile' : 'Bryn', ratings: { definition: i % 2 ? a : b } },
    second: { by: i % 2 ? 'Bryn' : 'Odile', ratings: { definition: i % 2 ? b : a } },
  });

  it('tells who gives more, whoever was first', () => {
    const rated = [3, 5, 6, 8, 2, 7, 4, 9, 5, 6, 3].map((value, i) => pair(i, value, value + 1));
    const [people] = twoPeople(rated);
    expect(people).toMatchObject({ first: 'Bryn', second: 'Odile' });
    expect(people!.scales[0]).toMatchObject({ scale: 'definition', pairs: 11, offset: -1, typicalGap: 0 });
    expect(said(peopleSentence(people!)!)).toBe('Bryn gives definition a point more than Odile.');
  });

  it('judges no agreement under ten pairs, nor without spread', () => {
    expect(twoPeople([pair(1, 5, 6)])[0]!.scales[0]!.reading).toBe('few');
    const alike = Array.from({ length: 12 }, (_, i) => pair(i, 5, 5));
    expect(twoPeople(alike)[0]!.scales[0]!.reading).toBe('no-spread');
    expect(twoPeople([])).toEqual([]);
  });
});
