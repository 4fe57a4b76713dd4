import { describe, expect, it } from 'vitest';
import { simulatedStudio, type Studio } from '../../../tests/support/simulated-studio';
import { LEARNT_OUTCOMES, usualSpreads, type LearntOutcome, type Spreads } from '../coefficients/evidence';
import { fittedSpreads } from './fitted-studio';
import {
  knownOf,
  learningOf,
  learntOfHead,
  leaningWords,
  paceResidual,
  residualOf,
  withHeadChanged,
  type LearntSet,
} from './learning';
import { normalCell, normalKnowledge } from './normal-knowledge';
import { paceHeads, pacesOf } from './pace';
import { gathered, knownHead, rootOf } from './pooling';

const scaled = (by: number, setBy: number): Record<LearntOutcome, Spreads> =>
  Object.fromEntries(
    LEARNT_OUTCOMES.map((outcome) => {
      const { stylist, head, technique, set } = usualSpreads(outcome);
      return [outcome, { stylist, head: by * head, technique: by * technique, set: setBy * set }];
    }),
  ) as Record<LearntOutcome, Spreads>;

/** How often 80 % intervals hold what is true, over some studios. */
function coverage(studios: readonly Studio[], outcome: LearntOutcome, isFitted: boolean): number {
  let [held, all] = [0, 0];
  for (const studio of studios) {
    const { sets, trueShift } = simulatedStudio(studio);
    const learning = learningOf(sets, isFitted ? fittedSpreads(sets) : {});
    for (const [headId, own] of learning.sets)
      for (const technique of new Set(own.map(({ seen }) => seen.technique))) {
        const { low, high } = knownOf(learning, outcome, headId, technique, 'Ada');
        const truth = trueShift(outcome, headId, technique);
        all += 1;
        if (truth >= low && truth <= high) held += 1;
      }
  }
  return held / all;
}

const studios = (change: Partial<Studio> = {}, count = 14): Studio[] =>
  Array.from({ length: count }, (_, seed) => ({
    seed: seed + 1,
    heads: 12,
    setsEach: 3 + (seed % 8),
    ...change,
  }));

describe('simulated studios whose truth is known', () => {
  it.each(['days', 'definition', 'stretch', 'dryingRate'] as const)(
    '80 %% intervals of %s hold 75 to 85 %% of the time',
    (outcome) => {
      const share = coverage(studios(), outcome, false);
      expect(share).toBeGreaterThan(0.75);
      expect(share).toBeLessThan(0.85);
    },
  );

  it('they still do where heads differ more than usual, once spreads are fitted; not before', () => {
    const wild = studios({ truth: scaled(1.6, 1.25), setsEach: 8, heads: 16 });
    expect(coverage(wild, 'definition', false)).toBeLessThan(0.72);
    const fitted = coverage(wild, 'definition', true);
    expect(fitted).toBeGreaterThan(0.73);
    expect(fitted).toBeLessThan(0.87);
    const days = coverage(wild.slice(0, 6), 'days', true);
    expect(days).toBeGreaterThan(0.7);
    expect(days).toBeLessThan(0.88);
  });

  it('a pace is fitted with the hands told apart', () => {
    const truth = scaled(2, 0.6);
    const { sets } = simulatedStudio({ seed: 3, heads: 20, setsEach: 8, truth, stylists: ['Ada', 'Bo'] });
    const { pace } = fittedSpreads(sets);
    expect(pace!.set / truth.pace.set).toBeGreaterThan(0.8);
    expect(pace!.set / truth.pace.set).toBeLessThan(1.25);
    expect(pace!.head).toBeGreaterThan(usualSpreads('pace').head);
    expect(fittedSpreads(sets.slice(0, 20))).toEqual({});
  });

  it('after six sets the next is forecast with no more than .6 of the error without learning', () => {
    let [withLearning, without] = [0, 0];
    for (const studio of studios({ setsEach: 7, techniques: ['two-strand-twist'], cutShort: 0 }, 20)) {
      const { sets, trueShift } = simulatedStudio(studio);
      const last = new Map(sets.map((set) => [set.headId, set]));
      const learning = learningOf(sets.filter((set) => last.get(set.headId) !== set));
      for (const [headId, { seen }] of last) {
        const { shift } = knownOf(learning, 'definition', headId, seen.technique);
        // Against what sets of this head are about: how one set differs from the next nobody can learn.
        const truth = trueShift('definition', headId, seen.technique);
        withLearning += (shift - truth) ** 2;
        without += truth ** 2;
      }
    }
    expect(Math.sqrt(withLearning / without)).toBeLessThan(0.6);
  });
});

describe('what a head is known for', () => {
  const { sets } = simulatedStudio({ seed: 5, heads: 6, setsEach: 5 });
  const learning = learningOf(sets);

  it('is the same when only that head is worked out again', () => {
    const own = sets.filter(({ headId }) => headId === 'head-2');
    const before = learningOf(sets.filter((set) => set !== own[4]));
    const after = withHeadChanged(before, 'head-2', own);
    for (const outcome of LEARNT_OUTCOMES)
      for (const headId of ['head-2', 'head-3'])
        expect(knownOf(after, outcome, headId, 'two-strand-twist', 'Ada').shift).toBeCloseTo(
          knownOf(learning, outcome, headId, 'two-strand-twist', 'Ada').shift,
          9,
        );
  });

  it('leans on her own sets the more of them there are', () => {
    const few = learningOf(
      sets.filter(({ headId, startedAtMs }) => headId !== 'head-0' || startedAtMs === 0),
    );
    const one = knownOf(few, 'stretch', 'head-0', sets[0]!.seen.technique);
    const more = knownOf(learning, 'stretch', 'head-0', sets[0]!.seen.technique);
    expect(one.sets).toBe(1);
    expect(more.worth).toBeGreaterThan(one.worth);
    expect(more.sd).toBeLessThan(one.sd);
    expect(leaningWords({ worth: 0.4 })).toBe('still mostly the trade’s figure');
    expect(leaningWords({ worth: 2 })).toBe('starting to lean on her own sets');
    expect(leaningWords({ worth: 5 })).toBe('mostly her own sets');
  });

  it('begins anew with a cut, and keeps what was known as a start', () => {
    const cut = sets.map((set): LearntSet => ({ ...set, period: set.startedAtMs > 20 * 86_400_000 ? 1 : 0 }));
    const before = knownOf(learning, 'definition', 'head-1', null);
    const after = knownOf(learningOf(cut), 'definition', 'head-1', null);
    expect(after.sd).toBeGreaterThan(before.sd);
    expect(after.sets).toBeLessThan(before.sets);
  });

  it('nothing is learnt where there is nothing, and a forecast takes nothing then', () => {
    expect(learntOfHead(learningOf([]), 'anybody')).toBeNull();
    const known = learntOfHead(learning, 'head-0')!;
    expect(known.techniques['two-strand-twist']!.days!.sets).toBeGreaterThan(0);
    expect(known.others.days!.spread).toBeLessThan(1);
    expect(known.others.days!.sd).toBeUndefined();
    // What is told of a technique that is new to her rests on all her sets.
    expect(known.others.definition!.sets).toBe(learning.sets.get('head-0')!.length);
    // A head that was never set leans on the others.
    expect(learntOfHead(learning, 'stranger')!.techniques).toEqual({});
    expect(learntOfHead(learning, 'stranger')!.others.stretch!.sets).toBe(0);
  });

  it('days tell of days only where they were told from memory', () => {
    const { seen } = sets[0]!;
    expect(residualOf('definition', { ...seen, definition: null })).toBeNull();
    expect(paceResidual({ ...seen, install: null })).toBeNull();
  });
});

describe('a hand’s own pace, apart from the head’s', () => {
  const spreads = usualSpreads('pace');

  it('is what a forecast takes for whoever will set her; a hand nobody timed has that of the last', () => {
    const sets = simulatedStudio(studios()[3]!).sets.map(({ seen, ...set }, index): LearntSet => {
      const isBea = index % 2 === 1;
      const { install } = seen;
      return {
        ...set,
        seen: {
          ...seen,
          stylist: isBea ? 'Bea' : 'Ada',
          install: install && { ...install, came: install.came * (isBea ? 1.5 : 1) },
        },
      };
    });
    const learning = learningOf(sets);
    const ofHead = (headId: string, setBy?: string) =>
      learntOfHead(learning, headId, setBy)!.others.pace!.shift;
    expect(ofHead('head-0', 'Bea') - ofHead('head-0', 'Ada')).toBeGreaterThan(0.25);
    const last = learning.sets.get('head-0')!.at(-1)!.seen.stylist!;
    expect(ofHead('head-0', 'Nobody')).toBe(ofHead('head-0', last));
    expect(ofHead('head-0')).toBe(ofHead('head-0', last));
  });

  it('of one hand is what the tree gives', () => {
    const told: [string, number[]][] = [
      ['a', [0.3, 0.2]],
      ['b', [-0.1]],
    ];
    const paces = pacesOf(
      paceHeads(
        told.flatMap(([headId, values]) =>
          values.map((value) => ({ headId, technique: 'twist', stylist: '', value })),
        ),
      ),
      spreads,
    );
    const heads = told.map(([, values]) =>
      gathered(normalKnowledge, spreads, {
        periods: [
          new Map([
            [
              'twist',
              normalCell(
                values.map((value) => ({ value })),
                spreads.set,
              ),
            ],
          ]),
        ],
      }),
    );
    const root = rootOf(
      normalKnowledge,
      spreads,
      heads.map(({ message }) => message),
    );
    expect(paces.stylists[0]!.mean).toBeCloseTo(root.mean, 9);
    expect(paces.stylists[0]!.variance).toBeCloseTo(root.variance, 9);
    const { cells } = knownHead(normalKnowledge, spreads, root, heads[0]!);
    expect(paces.on('a', 'twist', '').mean).toBeCloseTo(cells.get('twist')!.mean, 9);
    expect(paces.on('a', 'twist', '').variance).toBeCloseTo(cells.get('twist')!.variance, 9);
  });

  it('tells a slow hand from a head that takes long', () => {
    const seen = ['a', 'b', 'c', 'd', 'e'].flatMap((headId, h) =>
      [0, 1, 2].flatMap(() => [
        { headId, technique: 'twist', stylist: 'Quick', value: -0.2 + (h === 0 ? 0.3 : 0) },
        { headId, technique: 'twist', stylist: 'Slow', value: 0.2 + (h === 0 ? 0.3 : 0) },
      ]),
    );
    const paces = pacesOf(paceHeads(seen), spreads);
    const of = (name: string) => paces.stylists.find(({ stylist }) => stylist === name)!.mean;
    expect(of('Slow') - of('Quick')).toBeGreaterThan(0.3);
    expect(paces.ofHead('a').mean).toBeGreaterThan(paces.ofHead('b').mean + 0.15);
    expect(paces.on('a', 'twist', 'Slow').mean).toBeGreaterThan(paces.on('a', 'twist', 'Quick').mean + 0.3);
    expect(paces.on('a', 'twist', 'Nobody').variance).toBeGreaterThan(
      paces.on('a', 'twist', 'Slow').variance,
    );
  });
});
