import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief } from '../../../tests/support/briefs';
import { CAUSE_IDS, causes, type CauseId } from '../evidence/causes';
import { readBrief } from '../formats/read-brief';
import { answerBrief } from '../plan/answer-brief';
import type { PlanContent } from './draft-brief';
import { asTwoWays, changedFor } from './next-time';
import { asHalfHeadTrial } from './trial-draft';

const brief = aBrief({
  set: { layers: [{ role: 'leave-in' }, { role: 'gel' }], endsMethod: 'twisted' },
  wear: { night: 'nothing', hands: 'bare', separations: 3 },
  brief: {
    drying: [{ method: 'bonnet', hours: 9 }],
    prep: [{ step: 'cleanse' }, { step: 'deep-condition' }],
    parting: { zoneSize: { front: 1.4 } },
  },
});
const content: PlanContent = { title: 'Twists', brief, layerProductIds: ['leave', 'gel'] };
const given = answerBrief({ ...brief, draws: 0 });
if (!given.ok) throw new Error('the brief of this test is refused');
const plan = given.value;
const change = (id: CauseId, from = content) => changedFor(id, from, plan);

/** Parts of a brief that differ. */
const different = (a: PlanContent, b: PlanContent): string[] => {
  const [x, y] = [a.brief, b.brief] as unknown as Record<string, unknown>[];
  return [...new Set([...Object.keys(x!), ...Object.keys(y!)])].filter(
    (key) => JSON.stringify(x![key]) !== JSON.stringify(y![key]),
  );
};

describe('what a cause changes next time', () => {
  it.each(CAUSE_IDS)('%s: a draft that adds up, with that one thing changed', (id) => {
    const { content: next, what, was, now } = change(id);
    expect(readBrief(next.brief).ok).toBe(true);
    expect(what.length * was.length * now.length).toBeGreaterThan(0);
    expect(next.brief.set.layers).toHaveLength(next.layerProductIds.length);
    expect(different(content, next).filter((key) => key !== 'parting').length).toBeLessThanOrEqual(1);
  });

  it('does what practice says', () => {
    expect(change('before-dry').content.brief.drying![0]).toEqual({ method: 'hood-warm', hours: 0.75 });
    expect(change('sections-big').content.brief.set.sections).toBe(24);
    expect(change('ends-open').content.brief.set.endsMethod).toBe('rod');
    expect(change('night-care')).toMatchObject({ what: 'Nights', now: 'loose gather and bonnet' });
    expect(change('rough-takedown').content.brief.wear).toMatchObject({ hands: 'oiled', separations: 2 });
    expect(change('over-softened').content.brief.prep).toEqual([{ step: 'cleanse' }]);
    expect(change('uneven-parting').content.brief.parting?.zoneSize).toBeUndefined();
    expect(change('hold-hard').content.brief.set.layers!.map(({ role }) => role)).toEqual([
      'leave-in',
      'cream',
      'gel',
    ]);
    expect(change('hold-hard').content.layerProductIds).toEqual(['leave', null, 'gel']);
    const half = change('too-much').content.brief.set.layers!.map(({ grams }) => grams!);
    half.forEach((grams, i) => expect(grams).toBeCloseTo(plan.doses[i]!.grams / 2, 0));
  });

  it('writes down what a plan has no field for, and what it has done already', () => {
    expect(change('do-not-mix').content.brief.note).toContain('Rub the pair');
    const kept = changedFor('night-care', change('night-care').content, plan);
    expect(kept).toMatchObject({ what: 'Note', now: causes['night-care'].nextTime });
  });

  it('several changes may follow each other in any order', () => {
    fc.assert(
      fc.property(fc.shuffledSubarray([...CAUSE_IDS], { maxLength: 4 }), (ids) => {
        const next = ids.reduce((draft, id) => changedFor(id, draft, plan).content, content);
        expect(readBrief(next.brief).ok).toBe(true);
      }),
      { numRuns: 60 },
    );
  });
});

describe('a plan made into a half-head trial', () => {
  const ways = {
    a: [{ layer: { role: 'gel' as const }, productId: 'gel' }],
    b: [{ layer: { role: 'mousse' as const }, productId: 'foam' }],
  };
  const isHold = (layer: { role: string }) => layer.role === 'gel' || layer.role === 'mousse';

  it('keeps what both share, and puts each way on its half with names hidden', () => {
    for (const isALeft of [true, false]) {
      const trial = asHalfHeadTrial(content, { ...ways, isALeft }, isHold);
      expect(trial.brief.set.layers!.map(({ role, half }) => [role, half])).toEqual([
        ['leave-in', undefined],
        [isALeft ? 'gel' : 'mousse', 'left'],
        [isALeft ? 'mousse' : 'gel', 'right'],
      ]);
      expect(trial.layerProductIds).toEqual(['leave', isALeft ? 'gel' : 'foam', isALeft ? 'foam' : 'gel']);
      expect(trial.brief.parting).toMatchObject({ trial: true, namesHidden: true });
      expect(readBrief(trial.brief).ok).toBe(true);
    }
  });

  it('of one that is a trial already swaps the sides, and doubles nothing', () => {
    const first = asHalfHeadTrial(content, { ...ways, isALeft: true }, isHold);
    const second = asHalfHeadTrial(first, { ...ways, isALeft: false }, isHold);
    expect(second.brief.set.layers).toHaveLength(3);
    expect(second.brief.set.layers![1]).toMatchObject({ role: 'mousse', half: 'left' });
    expect(second.brief.note).toBe(first.brief.note);
    expect(second.brief.note).toContain('the side she sleeps on');
  });

  it('wears a change of what is on the hair on one half, the other as it was, each with half the grams', () => {
    const less = change('too-much').content;
    const twoWays = asTwoWays(content, less, plan)!;
    const trial = asHalfHeadTrial(content, { ...twoWays, isALeft: false }, () => true);
    const on = (half: string) =>
      trial.brief.set.layers!.filter((layer) => layer.half === half).map(({ grams }) => grams!);
    on('right').forEach((grams, i) => expect(grams).toBeCloseTo(plan.doses[i]!.grams / 2, 0));
    on('left').forEach((grams, i) => expect(grams).toBeCloseTo(plan.doses[i]!.grams / 4, 0));
    expect(trial.layerProductIds).toEqual(['leave', 'gel', 'leave', 'gel']);
    expect(readBrief(trial.brief).ok).toBe(true);
  });

  it('what is not on the hair cannot be worn by halves, nor more layers than a set takes', () => {
    expect(asTwoWays(content, change('before-dry').content, plan)).toBeNull();
    expect(asTwoWays(content, content, plan)).toBeNull();
    const many: PlanContent = {
      ...content,
      brief: {
        ...brief,
        set: { ...brief.set, layers: Array.from({ length: 5 }, () => ({ role: 'gel' as const })) },
      },
    };
    expect(asTwoWays(many, changedFor('too-much', many, plan).content, plan)).toBeNull();
  });
});
