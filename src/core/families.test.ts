import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../tests/support/briefs';
import { CAUTIONS, dueCautions, type CautionContext } from './advice/cautions';
import { dryingMethods } from './drying-methods';
import { productRoles } from './products';
import { TECHNIQUE_IDS, techniqueOf } from './techniques';
import type { SetForm } from './techniques/technique';

const formOf = (id: (typeof TECHNIQUE_IDS)[number], hairCount: number, lengthMm: number): SetForm => {
  const technique = techniqueOf(id);
  const grossMm2 = (hairCount * 0.00385) / technique.coefficients.value.packing;
  const bundle = {
    hairCount,
    lengthMm,
    grossMm2,
    ropeMm: Math.sqrt((4 * grossMm2) / (Math.PI * technique.coefficients.value.ropes)),
  };
  return technique.form(bundle, technique.tool ? { diameterMm: 16, workingLengthMm: 80 } : null);
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
      expect(method.isHot).toBe(method.airC !== null);
    }
  });
});

describe('cautions', () => {
  const context = (
    change: Parameters<typeof aBrief>[0] = {},
    more: Partial<CautionContext> = {},
  ): CautionContext => ({
    brief: readOrThrow(aBrief(change)),
    roomStaysDamp: false,
    chanceDryAtTakedown: 0.95,
    dryingWindowH: 9,
    fullestFit: null,
    rodsNeeded: 0,
    productPerG: 0.3,
    shortestTurns: null,
    ...more,
  });
  const codes = (c: CautionContext) => dueCautions(c).map((caution) => caution.code);

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
    [
      'damp-wrapped',
      context({ brief: { drying: [{ method: 'bonnet', hours: 8 }] } }, { chanceDryAtTakedown: 0.3 }),
    ],
    [
      'hot-on-weak-hair',
      context({ head: { conditions: ['bleached'] }, brief: { drying: [{ method: 'hood-hot', hours: 1 }] } }),
    ],
    ['heat-without-protectant', context({ brief: { drying: [{ method: 'hood-hot', hours: 1 }] } })],
    ['sealant-first', context({ set: { layers: [{ role: 'oil' }, { role: 'gel' }] } })],
    ['heavy-on-fine', context({ head: { strandDiameterUm: 55 }, set: { layers: [{ role: 'butter' }] } })],
    ['more-product-than-hair', context({}, { productPerG: 1.2 })],
    ['tension', context({ set: { rootMethod: 'braided' } })],
    ['less-than-a-turn', context({}, { shortestTurns: 0.6 })],
    ['little-stretch', context({ set: { startState: 'wet', layers: [] } })],
    ['patch-test', context()],
    ['hygiene', context()],
  ])('%s shows when it is due, once, in words', (code, due) => {
    expect(codes(due).filter((own) => own === code)).toHaveLength(1);
    expect(dueCautions(due).find((own) => own.code === code)!.text.length).toBeGreaterThan(30);
  });

  it('a calm set shows only what every set shows', () => {
    expect(codes(context())).toEqual(['patch-test', 'hygiene']);
  });

  it('rods are watched for overlap, band and count', () => {
    const fit = {
      impossible: false,
      fill: 1.3,
      bandTooWide: true,
      smallestFittingMm: 17.2,
    } as CautionContext['fullestFit'];
    const rods = {
      set: {
        technique: 'rod-set' as const,
        endsMethod: 'pasted' as const,
        tool: { diameterMm: 13, owned: 20 },
      },
    };
    const due = dueCautions(context(rods, { fullestFit: fit, rodsNeeded: 30 }));
    expect(due.find((own) => own.code === 'rod-overlaps')!.text).toContain('18 mm');
    expect(due.find((own) => own.code === 'rods-short')!.text).toBe('30 rods wanted, 20 owned.');
    expect(due.map((own) => own.code)).toContain('rod-band-wide');
    const impossible = { ...fit!, impossible: true };
    expect(codes(context(rods, { fullestFit: impossible, rodsNeeded: 10 }))).toContain('rod-impossible');
  });
});
