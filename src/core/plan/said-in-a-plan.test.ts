import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import '../../../tests/support/laws';
import { KNOWABLE } from '../hair/head';
import { byEye, zoneSides } from '../parting/by-eye';
import { knotForm } from '../techniques/knot-form';
import { dryingWays } from './drying-ways';
import { forecast } from './forecast';
import { afterWords, inHandWords, windingWords, workedWords } from './how-words';
import { layoutFor } from './layout-for';

const planOf = (input: ReturnType<typeof aBrief>) => {
  const brief = readOrThrow(input);
  return { brief, ...forecast(brief, layoutFor(brief), 0) };
};
const knots = (knot: object) =>
  aBrief({ set: { technique: 'bantu-knot', sections: 15, endsMethod: 'tucked', knot } });
const rods = (part: object) =>
  aBrief({
    set: {
      technique: 'flexible-rod-set',
      sections: 30,
      endsMethod: 'pasted',
      tool: { diameterMm: 16, workingLengthMm: 200, owned: 40 },
      ...part,
    },
  });

/* What practice says beside each: common practice. */
describe('what can be said in a plan', () => {
  it('a knot of fewer turns is smaller and pulls less; all of it wound is as before', () => {
    const bundle = { grossMm2: 55, lengthMm: 400, sectionCm2: 43 };
    const [one, two, all] = [1, 2, null].map((turns) => knotForm(bundle, { turns, prepared: 'rolled' }));
    expect(one!.turns).toBe(1);
    expect(two!.turns).toBe(2);
    expect(all!.turns).toBeGreaterThan(2);
    expect(one!.diameterMm).toBeLessThan(two!.diameterMm);
    expect(two!.diameterMm).toBeLessThan(all!.diameterMm);
    expect(one!.slackLeft).toBeGreaterThan(all!.slackLeft);
    expect(knotForm(bundle)).toEqual(all);
  });

  it('twisted first is thicker, and a wider spiral comes out', () => {
    const curl = (knot: object) => planOf(knots(knot)).plan.result.curlDiameterMm;
    expect(curl({ prepared: 'twisted' })).toBeGreaterThan(curl({ prepared: 'rolled' }));
  });

  it('rods closed at both ends hold firmer and take longer; on a twist it changes nothing', () => {
    const [root, both] = [planOf(rods({})), planOf(rods({ fastened: 'both' }))];
    expect(both.plan.handsOn.installMin.p50).toBeGreaterThan(root.plan.handsOn.installMin.p50);
    expect(both.plan.result.stretch).not.toBe(root.plan.result.stretch);
    expect(planOf(aBrief({ set: { fastened: 'both' } })).plan.handsOn).toEqual(planOf(aBrief()).plan.handsOn);
  });

  it('winding by pattern moves no section, only the way it is wound', () => {
    const windings = (winding: string) =>
      planOf({ ...rods({}), parting: { winding } as never }).plan.sections;
    for (const pattern of ['alternate', 'away', 'falls']) {
      const [usual, other] = [windings('usual'), windings(pattern)];
      expect(other.map(({ areaCm2 }) => areaCm2)).toEqual(usual.map(({ areaCm2 }) => areaCm2));
    }
    expect(new Set(windings('away').map(({ winding }) => winding))).toEqual(new Set(['away-from-face']));
    expect(windings('alternate').map(({ winding }) => winding)).not.toContain('away-from-face');
    for (const { side, winding } of windings('falls'))
      if (winding !== 'away-from-face' && side !== 'middle') expect(winding).toBe(`to-${side}`);
  });

  it('hands and what goes on afterwards: cream and oil frizz less than nothing, a spray helps only on damp days', () => {
    const frizz = (wear: object, dewPointOutsideC = 12) =>
      planOf(aBrief({ wear, room: { dewPointOutsideC } })).plan.result.frizz.p50;
    expect(frizz({ hands: 'oiled' })).toBeLessThan(frizz({ hands: 'bare' }));
    expect(frizz({ hands: 'cream' })).toBeLessThan(frizz({ hands: 'bare' }));
    expect(frizz({ hands: 'oiled', after: ['humidity-spray'] })).toBe(frizz({ hands: 'oiled' }));
    expect(frizz({ hands: 'oiled', after: ['humidity-spray'] }, 22)).toBeLessThan(
      frizz({ hands: 'oiled' }, 22),
    );
  });

  it('what is said is told at the chair and on the sheet', () => {
    const { brief } = planOf({
      ...rods({ fastened: 'both', layers: [{ role: 'cream' }, { role: 'gel', inHand: true }] }),
      wear: { after: ['cast-oil', 'edges'] },
      parting: { winding: 'away' },
      note: 'Mind the left temple.',
    });
    expect(workedWords(brief, 'flexible-rod-set')).toEqual(['Rods folded in at both ends']);
    expect(workedWords(brief, 'braid')).toEqual([]);
    expect(inHandWords(brief.set.layers)).toEqual(['Cream and gel mixed in the hand, section by section']);
    expect(afterWords(brief)).toBe('Then oil that breaks the cast and edge product, edges only');
    expect(windingWords(brief)).toBe('Wound: all away from the face');
    expect(brief.note).toBe('Mind the left temple.');
    const knot = readOrThrow(knots({ turns: 2, prepared: 'twisted' }));
    expect(workedWords(knot, 'bantu-knot')).toEqual([
      'Two-strand twisted first, 2 turns, the rest twirled and tucked',
    ]);
  });

  it('a scarf leaves hair to dry sooner than a bonnet, and later than open air', () => {
    const dry = (method: 'air' | 'scarf' | 'bonnet') =>
      planOf(aBrief({ brief: { drying: [{ method, hours: 30 }] } })).plan.drying.dryAfterH.p50;
    expect(dry('scarf')).toBeLessThan(dry('bonnet'));
    expect(dry('scarf')).toBeGreaterThan(dry('air'));
  });

  it('a tighter nape is worked out for itself', () => {
    const head = { naturalCoilDiameterMm: 12, zoneCoilMm: { nape: 4 } };
    const [alike, tighter] = [
      planOf(aBrief({ head: { naturalCoilDiameterMm: 12 } })),
      planOf(aBrief({ head })),
    ];
    const zones = (of: typeof alike) => of.result.byDay[0]!.zoneCurlDiameterMm;
    expect(zones(tighter).nape).toBeLessThan(zones(alike).nape!);
    expect(zones(tighter).crown).toBe(zones(alike).crown);
  });
});

describe('what is not known of a head', () => {
  it('widens every range that hangs on it and moves no middle', () => {
    fc.assert(
      fc.property(fc.subarray([...KNOWABLE], { minLength: 1 }), (notKnown) => {
        const [known, unknown] = [planOf(aBrief()).plan, planOf(aBrief({ head: { notKnown } })).plan];
        const width = (spread: { p10: number; p90: number }) => spread.p90 - spread.p10;
        for (const of of [
          (plan: typeof known) => plan.daysPresentable,
          (plan: typeof known) => plan.result.definition,
          (plan: typeof known) => plan.drying.dryAfterH,
          (plan: typeof known) => plan.handsOn.installMin,
        ]) {
          expect(width(of(unknown))).toBeGreaterThanOrEqual(width(of(known)) - 1e-9);
        }
        expect(unknown.result.definition.p50).toBeCloseTo(known.result.definition.p50, 1);
        expect(unknown.handsOn.installMin.p50).toBeCloseTo(known.handsOn.installMin.p50, 9);
      }),
      { numRuns: 8 },
    );
    const days = (notKnown: string[]) =>
      planOf(aBrief({ head: { notKnown: notKnown as never } })).plan.daysPresentable;
    expect(days(['strandDiameterUm']).p90).toBeGreaterThan(days([]).p90);
  });
});

describe('a set by eye and by the clock', () => {
  it('a side of a section is told by what a hand is wide', () => {
    expect(byEye(0.7)).toBe('a pencil');
    expect(byEye(5)).toBe('three fingers');
    expect(byEye(9)).toBe('a palm');
    const sides = zoneSides([
      { zone: 'nape', areaCm2: 16 },
      { zone: 'nape', areaCm2: 16 },
      { zone: 'crown', areaCm2: 25 },
    ]);
    expect(sides).toEqual([
      { zone: 'crown', sideCm: 5, sections: 1 },
      { zone: 'nape', sideCm: 4, sections: 2 },
    ]);
  });

  it('drying four ways: a hood before a diffuser’s arm tires, both before air, and never hot air on weak hair', () => {
    const brief = readOrThrow(
      aBrief({ brief: { startAt: '2027-03-12T18:00:00Z', wearBy: '2027-03-13T09:00:00Z' } }),
    );
    const [air, overnight, hood, diffuser] = dryingWays(brief, layoutFor(brief));
    expect(hood!.dryAfterH).toBeLessThan(air!.dryAfterH);
    expect(diffuser!.dryAfterH).toBeLessThan(air!.dryAfterH);
    for (const way of [air!, overnight!, hood!, diffuser!]) {
      expect(way.sureAfterH).toBeGreaterThanOrEqual(way.dryAfterH);
      expect(way.chance).toBeGreaterThanOrEqual(0);
    }
    const weak = readOrThrow(aBrief({ head: { conditions: ['bleached'] } }));
    expect(dryingWays(weak, layoutFor(weak)).map(({ label }) => label)).toContain('Hood, cool');
  });
});
