import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { ZONES } from '../hair/zone';
import { forecast } from './forecast';
import { layoutFor } from './layout-for';
import { sectionDoses } from './section-dose';

const dosed = (part: Parameters<typeof aBrief>[0]) => {
  const brief = readOrThrow(aBrief(part));
  const { plan } = forecast(brief, layoutFor(brief), 0);
  return { plan, doses: sectionDoses(plan, brief.head) };
};
const total = (doses: (number | null)[][], layer: number) =>
  doses.reduce((sum, own) => sum + (own[layer] ?? 0), 0);

describe('the dose of a section', () => {
  it('all of them together are the dose of the head, wherever layers go', () => {
    fc.assert(
      fc.property(
        fc.subarray([...ZONES], { minLength: 1 }),
        fc.integer({ min: 6, max: 60 }),
        fc.array(fc.double({ min: 4, max: 60, noNaN: true }), { minLength: 6, maxLength: 6 }),
        (zones, sections, lengths) => {
          const stretchedLengthCm = Object.fromEntries(ZONES.map((zone, i) => [zone, lengths[i]!])) as never;
          const { plan, doses } = dosed({
            head: { stretchedLengthCm },
            set: { sections, layers: [{ role: 'leave-in' }, { role: 'gel', zones }] },
          });
          plan.doses.forEach(({ grams }, layer) => expect(total(doses, layer)).toBeCloseTo(grams, 6));
          plan.sections.forEach(({ zone }, i) => {
            expect(doses[i]![0]).toBeGreaterThan(0);
            expect(doses[i]![1] === null).toBe(!zones.includes(zone));
          });
        },
      ),
      { numRuns: 25 },
    );
  });

  it('a section with twice the hair gets twice as much, and longer hair more', () => {
    const { plan, doses } = dosed({
      head: { stretchedLengthCm: { front: 20, crown: 30, left: 15, right: 15, back: 30, nape: 10 } },
      set: { sections: 24 },
    });
    const perHair = (zone: string) => {
      const own = plan.sections.flatMap((section, i) =>
        section.zone === zone ? [doses[i]![0]! / section.hairCount] : [],
      );
      for (const one of own) expect(one).toBeCloseTo(own[0]!, 9);
      return own[0]!;
    };
    expect(perHair('crown')).toBeCloseTo(perHair('back'), 9);
    expect(perHair('crown')).toBeGreaterThan(perHair('front'));
    expect(perHair('front')).toBeGreaterThan(perHair('nape'));
  });
});
