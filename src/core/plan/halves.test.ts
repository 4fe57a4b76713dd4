import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import type { DraftLayer } from '../draft/draft-brief';
import { readBrief } from '../formats/read-brief';
import { ROLE_IDS } from '../products';
import { takenByProduct } from '../shelf/taken';
import { runState } from '../run/run-state';
import { forecast } from './forecast';
import { layoutFor } from './layout-for';
import { sectionDoses } from './section-dose';

const trial = (layers: readonly DraftLayer[]) => {
  const brief = readOrThrow(
    aBrief({
      brief: { parting: { trial: true } },
      set: { sections: 24, layers: [...layers] },
    }),
  );
  const answer = forecast(brief, layoutFor(brief), 0);
  return { ...answer, brief, perSection: sectionDoses(answer.plan, brief.head) };
};
const layer = fc.record({ role: fc.constantFrom(...ROLE_IDS), hold: fc.constantFrom(1, 3, 5) });

describe('products by half', () => {
  it('goes on the sections of its half alone, and the halves take together what the head would', () => {
    const { plan, perSection } = trial([
      { role: 'leave-in' },
      { role: 'gel', half: 'left' },
      { role: 'gel', half: 'right' },
    ]);
    plan.sections.forEach(({ side }, i) => {
      expect(perSection[i]![0]).toBeGreaterThan(0);
      expect(perSection[i]![1] === null).toBe(side !== 'left');
      expect(perSection[i]![2] === null).toBe(side !== 'right');
    });
    const whole = trial([{ role: 'leave-in' }, { role: 'gel' }]).plan.doses[1]!;
    expect(plan.doses[1]!.grams + plan.doses[2]!.grams).toBeCloseTo(whole.grams, 6);
    expect(plan.doses[1]!.half).toBe('left');
  });

  it('the same on both halves is the same on the head', () => {
    fc.assert(
      fc.property(layer, (own) => {
        const both = trial([{ role: 'leave-in' }, { ...own, half: 'left' }, { ...own, half: 'right' }]);
        const one = trial([{ role: 'leave-in' }, own]);
        // Evenness is told half by half then, and a zone has two largest sections of fewer: a little apart.
        expect(Math.abs(both.plan.result.definition.p50 - one.plan.result.definition.p50)).toBeLessThan(0.05);
        expect(both.plan.result.curlDiameterMm / one.plan.result.curlDiameterMm).toBeCloseTo(1, 2);
        expect(both.plan.daysPresentable.p50 / one.plan.daysPresentable.p50).toBeCloseTo(1, 1);
        expect(both.plan.drying.dryAfterH.p50 / one.plan.drying.dryAfterH.p50).toBeGreaterThan(0.93);
        expect(both.plan.drying.dryAfterH.p50 / one.plan.drying.dryAfterH.p50).toBeLessThan(1.07);
        expect(one.plan.halves).toBeUndefined();
      }),
      { numRuns: 12 },
    );
  });

  it('sides exchanged, the halves exchange what is expected of them', () => {
    fc.assert(
      fc.property(layer, layer, (a, b) => {
        const ab = trial([
          { ...a, half: 'left' },
          { ...b, half: 'right' },
        ]).plan.halves!;
        const ba = trial([
          { ...b, half: 'left' },
          { ...a, half: 'right' },
        ]).plan.halves!;
        for (const [one, other] of [
          [ab.left, ba.right],
          [ab.right, ba.left],
        ] as const) {
          // Halves of a head are mirrored but for the sections in the middle rows, and damp is shared.
          expect(Math.abs(one.result.definition.p50 - other.result.definition.p50)).toBeLessThan(0.25);
          expect(one.daysPresentable.p50 / other.daysPresentable.p50).toBeCloseTo(1, 1);
        }
      }),
      { numRuns: 12 },
    );
  });

  it('firmer hold on one half lasts longer there, and the head lies between', () => {
    const { halves, daysPresentable } = trial([
      { role: 'gel', hold: 5, half: 'left' },
      { role: 'leave-in', half: 'right' },
    ]).plan;
    expect(halves!.left.daysPresentable.p50).toBeGreaterThan(halves!.right.daysPresentable.p50);
    expect(daysPresentable.p50).toBeLessThanOrEqual(halves!.left.daysPresentable.p50);
    expect(daysPresentable.p50).toBeGreaterThanOrEqual(halves!.right.daysPresentable.p50);
  });

  it('a half that gets more water decides when the head is dry', () => {
    const wet = { role: 'leave-in', grams: 120 } as const;
    const dry = (layers: readonly DraftLayer[]) => trial(layers).plan.drying.dryAfterH.p50;
    const oneWet = dry([{ ...wet, half: 'left' }]);
    expect(oneWet).toBeGreaterThan(dry([]));
    expect(oneWet).toBeGreaterThan(
      dry([
        { ...wet, grams: 60 },
        { role: 'oil', half: 'left' },
      ]) * 0.99,
    );
  });

  it('the shelf gives each half’s product what its half takes', () => {
    const { plan, layout } = trial([
      { role: 'gel', half: 'left' },
      { role: 'mousse', half: 'right' },
    ]);
    const sections = layout.sections.map(({ number, zone, side }, i) => ({
      number,
      zone,
      side,
      hairCount: plan.sections[i]!.hairCount,
    }));
    const taken = takenByProduct(
      plan.doses,
      ['gel-id', 'mousse-id'],
      sections,
      runState([], sections.length),
      {},
    );
    expect(taken.get('gel-id')).toBeCloseTo(plan.doses[0]!.grams, 6);
    expect(taken.get('mousse-id')).toBeCloseTo(plan.doses[1]!.grams, 6);
  });

  it('is asked for only where two halves are compared', () => {
    const read = readBrief(
      aBrief({ set: { layers: [{ role: 'leave-in' }, { role: 'gel', half: 'left' }] } }),
    );
    expect(read).toMatchObject({
      ok: false,
      errors: [{ path: 'set.layers.1.half', message: expect.stringMatching(/compare them/) as string }],
    });
  });
});
