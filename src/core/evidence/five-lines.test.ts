import { describe, expect, it } from 'vitest';
import { BLANK, simulatedStudio } from '../../../tests/support/simulated-studio';
import { othersWords } from '../brief/learnt';
import { DAY_MS } from '../units/time';
import { fiveLines, type HeadLine } from './five-lines';
import { learningOf, learntOfHead, type LearntSet } from './learning';

const NOW = Date.UTC(2026, 10, 27);
const aSet = (i: number, seen: Partial<LearntSet['seen']>, daysAgo = 7): LearntSet => ({
  id: `set-${i}`,
  headId: 'hers',
  startedAtMs: NOW - (daysAgo + i) * DAY_MS,
  period: 0,
  seen: { ...BLANK, ...seen },
});
const slow = (i: number, daysAgo?: number) =>
  aSet(i, { rate: { value: Math.log(1 / 1.6), ownVariance: 0 } }, daysAgo);
const linesOf = (sets: readonly LearntSet[], likes: Parameters<typeof fiveLines>[2] = []) =>
  Object.fromEntries(
    fiveLines(learningOf(sets), 'hers', likes, NOW).map((line) => [line.id, line]),
  ) as Record<HeadLine['id'], HeadLine>;

describe('what is known of a head in five lines', () => {
  it('says of nothing what would tell it', () => {
    const { dries, holds, stretches, lasts, likes } = linesOf([]);
    for (const line of [dries, holds, stretches, lasts, likes])
      expect(line).toMatchObject({ text: 'not known yet', sureness: null, strength: 0 });
    expect(dries.from).toBe('feel for dryness at the chair once or twice, and it will be');
  });

  it('says how she dries, how sure that is and from what', () => {
    const { dries, lasts } = linesOf([slow(1), slow(2), slow(3), slow(4), slow(5)]);
    expect(dries.text).toMatch(/^1\.[4-6]× slower than most \(1\.\d× to 1\.\d×\)$/);
    expect(dries).toMatchObject({
      from: 'from 5 of her sets',
      sureness: 'starting to lean on her own sets',
      strength: 1,
    });
    expect(lasts.strength).toBe(0);
  });

  it('flags what lies long back, for hair drifts', () => {
    expect(linesOf([slow(1), slow(2), slow(3, 700)]).dries.from).toBe(
      'from 3 of her sets, 1 of them over a year and a half ago',
    );
    expect(linesOf([slow(1, 600), slow(2, 600)]).dries.from).toBe(
      'from 2 of her sets, all over a year and a half ago',
    );
    expect(linesOf([slow(1, 530)]).dries.from).toBe('from 1 of her sets');
  });

  it('after a cut only what came since is counted', () => {
    const since = [slow(1), slow(2)].map((set) => ({ ...set, period: 1 }));
    expect(linesOf([slow(8, 60), slow(9, 60), ...since]).dries.from).toBe('from 2 of her sets');
  });

  it('says what she likes in her words, and what she comes back for', () => {
    const sets = [aSet(1, {}), aSet(2, {}), aSet(3, { technique: 'bantu-knot' })];
    expect(linesOf(sets, ['big']).likes).toMatchObject({
      text: 'it big; twists most often, 2 of 3',
      sureness: 'as she says',
      strength: 2,
    });
    expect(linesOf(sets).likes).toMatchObject({ sureness: 'by what she comes back for', strength: 1 });
  });

  it('what stands out is said before a plan is made, in the words of a plan', () => {
    const learning = learningOf([1, 2, 3, 4, 5, 6].map((i) => slow(i)));
    expect(othersWords(learntOfHead(learning, 'hers'))).toEqual([
      expect.stringMatching(/^dries 1\.[4-6]× slower than most \(from 6 of her sets\)$/),
    ]);
    expect(othersWords(null)).toEqual([]);
  });

  it('never calls other than usual what could be as usual', () => {
    const { sets } = simulatedStudio({ seed: 11, heads: 12, setsEach: 3 });
    const learning = learningOf(sets);
    for (const headId of learning.sets.keys())
      for (const { text, id } of fiveLines(learning, headId, [], NOW))
        if (id === 'dries' && text.includes('than most'))
          for (const [, factor] of text.matchAll(/(\d\.\d)×/g))
            expect(Number(factor)).toBeGreaterThanOrEqual(1);
  });
});
