import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { ZONES } from '../hair/zone';
import { markSection } from '../parting/edits/sections';
import type { SectionMark } from '../parting/recipe';
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

  it('a section may have a dose of its own, and the head needs that much more', () => {
    const planned = dosed({ set: { sections: 24, layers: [{ role: 'gel' }] } });
    const layout = layoutFor(readOrThrow(aBrief({ set: { sections: 24 } })));
    const marked = (mark: SectionMark, layers: { role: 'gel' | 'leave-in'; grams?: number }[]) =>
      dosed({
        set: { sections: 24, layers },
        brief: { parting: { recipe: markSection(layout.recipe, layout.sections[4]!.key, mark) as never } },
      });
    const own = planned.doses[4]![0]!;
    const doubled = marked({ dose: 2 }, [{ role: 'gel' }]);
    expect(doubled.doses[4]![0]).toBeCloseTo(2 * own, 6);
    expect(doubled.doses[5]![0]).toBeCloseTo(planned.doses[5]![0]!, 6);
    expect(doubled.plan.doses[0]!.grams).toBeCloseTo(planned.plan.doses[0]!.grams + own, 6);
    // Where the stylist said how much there is for the head, the others get less.
    const grams = planned.plan.doses[0]!.grams;
    const shared = marked({ dose: 2 }, [{ role: 'gel', grams }]);
    expect(total(shared.doses, 0)).toBeCloseTo(grams, 6);
    expect(shared.doses[4]![0]).toBeCloseTo(2 * shared.doses[5]![0]!, 1);
    // A product that does not go on it stays in the tub.
    const without = marked({ without: ['gel'] }, [{ role: 'leave-in' }, { role: 'gel' }]);
    expect(without.doses[4]![1]).toBeNull();
    expect(without.doses[4]![0]).toBeGreaterThan(0);
    expect(without.plan.doses[1]!.grams).toBeCloseTo(grams - own, 6);
  });
});
