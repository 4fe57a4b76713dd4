import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../tests/support/briefs';
import type { CautionContext, ForecastFacts } from './advice/caution';
import { CAUTIONS, dueCautions } from './advice/cautions';
import { dryingMethods } from './drying-methods';
import { productRoles } from './products';
import { TECHNIQUE_IDS, techniqueOf } from './techniques';
import { bundleOf } from './techniques/bundle-of';
import type { SetForm } from './techniques/technique';
import { toolKinds } from './techniques/tool-kind';

const formOf = (id: (typeof TECHNIQUE_IDS)[number], hairCount: number, lengthMm: number): SetForm => {
  const technique = techniqueOf(id);
  const hair = bundleOf(technique, {
    sectionCm2: hairCount / 165,
    densityPerCm2: 165,
    strandUm: 70,
    lengthCm: lengthMm / 10,
    coilDiameterMm: 6,
    shrinkage: 0.6,
    packed: 1,
  });
  return technique.form(hair, technique.tool ? toolKinds[technique.tool].usual : null);
};

describe.each(TECHNIQUE_IDS)('the technique %s', (id) => {
  const technique = techniqueOf(id);
  it('keeps its contract', () => {
    expect(technique.id).toBe(id);
    expect(new Set(TECHNIQUE_IDS.map((other) => techniqueOf(other).label)).size).toBe(TECHNIQUE_IDS.length);
    expect(technique.summary.length).toBeGreaterThan(20);
    expect(technique.rootMethods.length * technique.endsMethods.length).toBeGreaterThan(0);
    for (const { low, high, value } of Object.values(technique.coefficients.records)) {
      expect(value).toBeGreaterThanOrEqual(low);
      expect(value).toBeLessThanOrEqual(high);
    }
  });

  it('draws finite curves at the corners of what hair can be', () => {
    for (const hairCount of [20, 3000, 60_000]) {
      for (const lengthMm of [10, 250, 1200]) {
        const form = formOf(id, hairCount, lengthMm);
        expect(form.nodes).toHaveLength(5);
        for (const { radiusMm, pitchMm } of form.nodes) {
          expect(radiusMm).toBeGreaterThan(0);
          expect(Number.isFinite(pitchMm)).toBe(true);
        }
      }
    }
  });

  it('more hair makes no thinner curl', () => {
    const radius = [1000, 3000, 6000].map((hairCount) => formOf(id, hairCount, 250).nodes[2]!.radiusMm);
    expect(radius).toEqual([...radius].sort((a, b) => a - b));
  });
});

describe('registries', () => {
  it('every role and method is listed under its own id with sane figures', () => {
    for (const [id, role] of Object.entries(productRoles)) {
      expect(role.id).toBe(id);
      expect(role.waterShare).toBeGreaterThanOrEqual(0);
      expect(role.waterShare).toBeLessThanOrEqual(1);
      expect(role.hold).toBeLessThanOrEqual(1);
    }
    for (const [id, method] of Object.entries(dryingMethods)) {
      expect(method.id).toBe(id);
      expect(method.duty).toBeGreaterThan(0);
      expect(method.isBlown).toBe(method.airC !== null);
    }
  });
});

describe('cautions', () => {
  const context = (
    change: Parameters<typeof aBrief>[0] = {},
    facts: Partial<ForecastFacts> = {},
    daysInSet: number | null = null,
  ): CautionContext => ({
    brief: readOrThrow(aBrief(change)),
    daysInSet,
    facts: {
      roomStaysDamp: false,
      chanceDryAtTakedown: 0.95,
      dryingWindowH: 9,
      asleep: [],
      blownHours: 0.5,
      dampCoveredH: 8,
      fullestFit: null,
      toolsShort: [],
      doses: [],
      productPerG: 0.3,
      zones: [],
      stretch: 0.6,
      tightestKnot: null,
      ...facts,
    },
  });
  const codes = (c: CautionContext) => dueCautions(c).map((caution) => caution.code);
  const dose = (verdict: 'little' | 'much'): ForecastFacts['doses'][number] => ({
    layer: { role: 'gel', grams: 1 },
    recommendedG: 20,
    verdict,
    inHands: { unit: 'dime', amount: 1 },
    leftAfterWashG: 0,
  });
  const knot = (slackLeft: number, crowding: number) =>
    ({ slackLeft, crowding, comfort: 'tight' }) as ForecastFacts['tightestKnot'];
  const shortNape: ForecastFacts['zones'][number] = {
    zone: 'nape',
    technique: 'braid',
    sections: 3,
    lengthCm: 3,
    problem: { code: 'too-short', text: '3 cm is too short for braids: they want 6 cm' },
    proposals: [{ technique: 'comb-coil', toolDiameterMm: null, sections: null, text: 'comb coils here' }],
  };

  it('has one row a code', () => {
    expect(new Set(CAUTIONS.map((caution) => caution.code)).size).toBe(CAUTIONS.length);
  });

  it.each([
    ['sore-scalp', context({ head: { conditions: ['sore-scalp'] } })],
    ['child', context({ head: { conditions: ['child'] } })],
    ['flaking', context({ head: { conditions: ['flaking-scalp'] } })],
    ['damp-takedown', context({}, { chanceDryAtTakedown: 0.4 })],
    ['no-time', context({}, { dryingWindowH: -1 })],
    ['will-not-stay-dry', context({}, { roomStaysDamp: true })],
    ['damp-wrapped', context({ brief: { drying: [{ method: 'bonnet', hours: 8 }] } }, { dampCoveredH: 26 })],
    [
      'hot-on-weak-hair',
      context({ head: { conditions: ['bleached'] }, brief: { drying: [{ method: 'hood-hot', hours: 1 }] } }),
    ],
    ['long-hot', context({}, { blownHours: 14 })],
    ['heat-without-protectant', context({ brief: { drying: [{ method: 'hood-hot', hours: 1 }] } })],
    ['sealant-first', context({ set: { layers: [{ role: 'oil' }, { role: 'gel' }] } })],
    [
      'water-over-sealant',
      context({ set: { layers: [{ role: 'cream' }, { role: 'oil' }, { role: 'leave-in' }] } }),
    ],
    ['heavy-under-foam', context({ set: { layers: [{ role: 'butter' }, { role: 'mousse' }] } })],
    [
      'hold-and-butter-on-fine',
      context({ head: { strandDiameterUm: 55 }, set: { layers: [{ role: 'butter' }, { role: 'gel' }] } }),
    ],
    ['heavy-on-fine', context({ head: { strandDiameterUm: 55 }, set: { layers: [{ role: 'butter' }] } })],
    [
      'protein',
      context({
        head: { conditions: ['protein-sensitive'] },
        set: { layers: [{ role: 'leave-in', protein: true }] },
      }),
    ],
    ['more-product-than-hair', context({}, { productPerG: 1.2 })],
    ['too-much-product', context({}, { doses: [dose('much')] })],
    ['too-little-product', context({}, { doses: [dose('little')] })],
    ['length-cannot-carry', context({}, { zones: [shortNape] })],
    ['hangs-straight', context({}, { stretch: 0.95 })],
    ['tension', context({ set: { rootMethod: 'braided' } })],
    ['knot-tight', context({}, { tightestKnot: knot(-0.05, 1) })],
    [
      'slept-in',
      context({
        set: { technique: 'bantu-knot', endsMethod: 'tucked' },
        brief: { drying: [{ method: 'bonnet', hours: 8 }] },
      }),
    ],
    ['left-in', context({}, {}, 20)],
    ['little-stretch', context({ set: { startState: 'wet', layers: [] } })],
    ['patch-test', context()],
    ['hygiene', context()],
    ['nails-and-rings', context({}, {}, 0)],
  ])('%s shows when it is due, once, in words', (code, due) => {
    expect(codes(due).filter((own) => own === code)).toHaveLength(1);
    const own = dueCautions(due).find((caution) => caution.code === code)!;
    expect(own.text.length).toBeGreaterThan(30);
    expect(own.shows.length).toBeGreaterThan(0);
  });

  it('a calm set shows only what every set shows', () => {
    expect(codes(context())).toEqual(['patch-test', 'hygiene']);
    // Once it is begun, what hands must mind before the first part.
    expect(codes(context({}, {}, 5))).toEqual(['patch-test', 'nails-and-rings', 'hygiene']);
  });

  it('what asks not to set comes first, and says who to turn to', () => {
    const [first] = dueCautions(context({ head: { conditions: ['child', 'sore-scalp'] } }));
    expect(first).toMatchObject({ code: 'sore-scalp', severity: 'stop', turnTo: 'a dermatologist' });
  });

  it('twists may stay in for a fortnight, braids for six weeks', () => {
    expect(codes(context({}, {}, 13))).not.toContain('left-in');
    expect(codes(context({ set: { technique: 'braid' } }, {}, 40))).not.toContain('left-in');
    expect(codes(context({ set: { technique: 'braid' } }, {}, 43))).toContain('left-in');
  });

  it('both orders of cream and oil pass', () => {
    for (const layers of [
      [{ role: 'leave-in' as const }, { role: 'cream' as const }, { role: 'oil' as const }],
      [{ role: 'leave-in' as const }, { role: 'oil' as const }, { role: 'cream' as const }],
    ]) {
      expect(codes(context({ set: { layers } }))).not.toContain('sealant-first');
    }
  });

  it('tools are watched for band and count', () => {
    const fit = { impossible: false, bandTooWide: true } as ForecastFacts['fullestFit'];
    const rods = {
      set: {
        technique: 'rod-set' as const,
        endsMethod: 'pasted' as const,
        tool: { diameterMm: 13, owned: 20 },
      },
    };
    const due = dueCautions(
      context(rods, {
        fullestFit: fit,
        toolsShort: [{ kind: 'rod', diameterMm: 10, needed: 30, owned: 20 }],
      }),
    );
    expect(due.find((own) => own.code === 'tools-short')!.text).toBe(
      '30 rods of 10 mm needed, 20 owned: 10 short.',
    );
    expect(due.map((own) => own.code)).toContain('band-wide');
  });
});
