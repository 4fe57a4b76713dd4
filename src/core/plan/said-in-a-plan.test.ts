import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import '../../../tests/support/laws';
import { KNOWABLE } from '../hair/head';
import { byEye, zoneSides } from '../parting/by-eye';
import { knotForm } from '../techniques/knot-form';
import { dryingWays } from './drying-ways';
import { forecast } from './forecast';
import { blockLabel } from '@/ui/ribbon/block-label';
import { readBrief } from '../formats/read-brief';
import { afterWords, inHandWords, windingWords, placesOnly, workedWords } from './how-words';
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

/* Two sizes in turn, layers by zone, a mask by name: what each must do is common practice. */
describe('two sizes of rod in turn', () => {
  const SIZE = { diameterMm: 16, workingLengthMm: 80, owned: 40 };
  const LARGE = { diameterMm: 25, workingLengthMm: 80, owned: 40 };
  const onRods = (tool: object, zones = {}) =>
    planOf(
      aBrief({
        set: {
          technique: 'rod-set',
          sections: 36,
          rootMethod: 'plain',
          endsMethod: 'pasted',
          tool,
          zones,
        } as never,
      }),
    );
  const sizesOf = ({ plan }: ReturnType<typeof onRods>) =>
    Object.fromEntries(plan.tools.map(({ diameterMm, needed }) => [diameterMm, needed]));

  it('every other section of a row takes the second, about half of them in all', () => {
    const mixed = onRods({ ...SIZE, alternate: LARGE });
    const counts = sizesOf(mixed);
    expect(counts[16]! + counts[25]!).toBe(36);
    expect(counts[16]).toBeGreaterThan(12);
    expect(counts[25]).toBeGreaterThan(12);
    const mm = mixed.plan.sections.map(({ toolDiameterMm }) => toolDiameterMm);
    mixed.layout.sections.forEach(({ panel, row, col, number }) => {
      const next = mixed.layout.sections.find((o) => o.panel === panel && o.row === row && o.col === col + 1);
      if (next) expect(mm[number - 1]).not.toBe(mm[next.number - 1]);
    });
    expect(mixed.plan.tool!.needed).toBe(counts[16]);
  });

  it('curls come out between those of either alone, and it dries between them', () => {
    const [small, mixed, large] = [onRods(SIZE), onRods({ ...SIZE, alternate: LARGE }), onRods(LARGE)];
    const curl = ({ plan }: typeof small) => plan.result.curlDiameterMm;
    expect(curl(mixed)).toBeGreaterThan(curl(small) + 0.5);
    expect(curl(mixed)).toBeLessThan(curl(large) - 0.5);
    for (const zone of ['front', 'nape'] as const) {
      const seen = ({ plan }: typeof small) => plan.result.visibleLengthCm[zone]!;
      const ends = [seen(small), seen(large)].sort((a, b) => a - b);
      expect(seen(mixed)).toBeGreaterThanOrEqual(ends[0]! - 0.05);
      expect(seen(mixed)).toBeLessThanOrEqual(ends[1]! + 0.05);
    }
  });

  it('may be in one zone only, and the same size twice changes nothing', () => {
    const atCrown = onRods(SIZE, { crown: { tool: { ...SIZE, alternate: LARGE } } });
    for (const { zone, toolDiameterMm } of atCrown.plan.sections)
      if (zone !== 'crown') expect(toolDiameterMm).toBe(16);
    expect(sizesOf(atCrown)[25]).toBeGreaterThan(1);
    const curl = ({ plan }: ReturnType<typeof onRods>) => plan.result.curlDiameterMm;
    expect(curl(onRods({ ...SIZE, alternate: SIZE }))).toBeCloseTo(curl(onRods(SIZE)), 2);
  });

  it('a second size that hair cannot go round is said', () => {
    const short = { ...aBrief().head, stretchedLengthCm: 7 };
    const problems = (tool: object) =>
      planOf({
        ...aBrief({
          set: {
            technique: 'rod-set',
            sections: 60,
            endsMethod: 'pasted',
            rootMethod: 'plain',
            tool,
          } as never,
        }),
        head: short,
      }).plan.zones.filter(({ problem }) => problem);
    expect(problems({ ...SIZE, diameterMm: 8 })).toEqual([]);
    expect(problems({ ...SIZE, diameterMm: 8, alternate: { ...SIZE, diameterMm: 40 } })).not.toEqual([]);
  });
});

describe('layers that differ by zone', () => {
  const withLayers = (layers: object[]) => planOf(aBrief({ set: { layers: layers as never } }));
  const everywhere = ['front', 'crown', 'left', 'right', 'back', 'nape'];

  it('a layer in every zone by name is a layer without zones', () => {
    const all = withLayers([{ role: 'leave-in' }, { role: 'gel', zones: everywhere }]).plan;
    const { zones: _, ...gel } = all.doses[1]!;
    const plain = withLayers([{ role: 'leave-in' }, { role: 'gel' }]).plan;
    expect({ ...all, doses: [all.doses[0], gel] }).toEqual(plain);
  });

  it('takes as much as the hair it goes on, and as much a section as it would everywhere', () => {
    const some = withLayers([{ role: 'leave-in' }, { role: 'gel', zones: ['front', 'crown'] }]);
    const all = withLayers([{ role: 'leave-in' }, { role: 'gel' }]);
    const [part, whole] = [some.plan.doses[1]!, all.plan.doses[1]!];
    const under = some.sections.filter(({ zone }) => zone === 'front' || zone === 'crown');
    const share = under.reduce((sum, s) => sum + s.dryMassG, 0) / some.plan.hair.dryMassG;
    expect(part.grams / whole.grams).toBeCloseTo(share, 9);
    expect(part.gramsPerSection).toBeCloseTo(part.grams / under.length, 9);
    expect(part.zones).toEqual(['front', 'crown']);
  });

  it('where it is it holds and wets; elsewhere nothing changes', () => {
    const dry = (layers: object[]) => {
      const { drying } = withLayers(layers);
      return (zone: string) =>
        Math.max(...drying.table.nodes.filter((node) => node.zone === zone).map(({ hours }) => hours[2]!));
    };
    const base = [{ role: 'leave-in' }];
    const butter = { role: 'butter', grams: 25 };
    const [none, napeOnly, all] = [
      dry(base),
      dry([...base, { ...butter, zones: ['nape'], grams: 4 }]),
      dry([...base, butter]),
    ];
    expect(napeOnly('nape')).toBeGreaterThan(none('nape'));
    expect(napeOnly('crown')).toBe(none('crown'));
    expect(all('crown')).toBeGreaterThan(none('crown'));
    const days = (zones?: string[]) =>
      withLayers([...base, { role: 'gel', ...(zones ? { zones } : {}) }]).plan.daysPresentable.p50;
    const without = withLayers(base).plan.daysPresentable.p50;
    expect(days(['front', 'crown'])).toBeGreaterThan(without);
    expect(days(['front', 'crown'])).toBeLessThan(days());
  });

  it('order is judged zone by zone', () => {
    const codes = (layers: object[]) => withLayers(layers).plan.cautions.map(({ code }) => code);
    const butter = { role: 'butter' };
    expect(codes([butter, { role: 'leave-in' }])).toContain('sealant-first');
    expect(
      codes([
        { ...butter, zones: ['nape'] },
        { role: 'leave-in', zones: ['crown', 'front'] },
      ]),
    ).not.toContain('sealant-first');
    expect(codes([{ ...butter, zones: ['nape'] }, { role: 'leave-in' }])).toContain('sealant-first');
    expect(placesOnly({ zones: ['nape', 'back'] })).toBe('nape and back only');
    expect(placesOnly({ zones: ['front'], half: 'left' })).toBe('front, left half only');
    expect(placesOnly({})).toBe('');
  });

  it('says what to change where no zone is named', () => {
    const read = readBrief(aBrief({ set: { layers: [{ role: 'gel', zones: [] }] } }));
    expect(read.ok ? '' : read.errors[0]!.message).toMatch(/name a zone/);
  });
});

describe('a mask or mix by name before the set', () => {
  const masked = (prep: object[]) =>
    planOf(aBrief({ brief: { prep: prep as never, wearBy: '2027-03-13T09:00:00-06:00' } }));

  it('stands in the day and changes nothing of it', () => {
    const day = (product?: string) =>
      masked([{ step: 'clay-mask', ...(product ? { product } : {}) }, { step: 'deep-condition' }]);
    const [named, bare] = [day('Clay and vinegar'), day()];
    const block = named.schedule!.blocks.find(({ part }) => part === 'clay-mask')!;
    expect(blockLabel(block, '')).toBe('Clay mask: Clay and vinegar');
    expect(named.plan.drying).toEqual(bare.plan.drying);
    expect(named.plan.schedule!.map(({ startAt }) => startAt)).toEqual(
      bare.plan.schedule!.map(({ startAt }) => startAt),
    );
  });

  it('clay wants a deep conditioner after it', () => {
    const codes = (...steps: string[]) =>
      masked(steps.map((step) => ({ step }))).plan.cautions.map(({ code }) => code);
    expect(codes('clay-mask', 'cleanse')).toContain('clay-alone');
    expect(codes('clay-mask', 'deep-condition')).not.toContain('clay-alone');
    expect(codes('cleanse')).not.toContain('clay-alone');
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
