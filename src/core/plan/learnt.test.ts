import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { chanceDry, priorBelief, recalibrated } from '../drying/rate-belief';
import type { BriefInput } from '../formats/brief';
import type { PlanFile } from '../formats/plan-file';
import { correctedChance } from '../stats/logit';
import { forecast } from './forecast';
import { layoutFor } from './layout-for';
import { rangesOf } from './result-ranges';

const planOf = ({ set, ...change }: Partial<BriefInput>): PlanFile => {
  const brief = readOrThrow(aBrief({ brief: change, ...(set ? { set } : {}) }));
  return forecast(brief, layoutFor(brief), 64).plan;
};
const of = (shift: number, spread = 0.8, sets = 3) => ({ shift, spread, sets, worth: sets });
const learnt: BriefInput['learnt'] = {
  techniques: {
    'two-strand-twist': {
      days: of(Math.log(1.3)),
      definition: of(-0.8),
      stretch: of(5),
      pace: of(Math.log(1.2)),
      dryingRate: of(-Math.log(1.3)),
    },
  },
  others: { days: of(Math.log(0.8), 0.95, 0) },
};
const plain = planOf({});
const known = planOf({ learnt });
const reasonOf = (why: PlanFile['drying']['why']) => why.find(({ factor }) => factor.startsWith('learnt'));

describe('a forecast of a head that is known', () => {
  it('takes what was learnt as it stands, and says from what', () => {
    expect(known.daysPresentable.p50 / plain.daysPresentable.p50).toBeCloseTo(1.3, 2);
    expect(reasonOf(known.daysPresentable.why)?.text).toBe(
      'lasts 1.3× as long on her as on most (from 3 of her sets)',
    );
    expect(known.result.definition.p50).toBeCloseTo(plain.result.definition.p50 - 0.8, 1);
    expect(reasonOf(known.result.definition.why)?.text).toBe(
      'comes out less defined on her than on most (from 3 of her sets)',
    );
    expect(known.result.stretch).toBeCloseTo(plain.result.stretch + 0.05, 1);
    expect(reasonOf(known.result.curlWhy)!.effect).toBeGreaterThan(1);
    const { why } = known.drying;
    expect(reasonOf(why)!.text).toBe('dries 1.3× slower than most (from 3 of her sets)');
    expect(reasonOf(why)!.effect).toBeGreaterThan(0.5);
    expect(known.drying.dryAfterH.p50).toBeGreaterThan(1.15 * plain.drying.dryAfterH.p50);
    expect(reasonOf(known.handsOn.why)!.text).toBe(
      'takes 1.2× as long on her as on most (from 3 of her sets)',
    );
    const minutes = known.handsOn.why.reduce((sum, { effect }) => sum + effect, 0);
    expect(Math.abs(minutes - known.handsOn.installMin.p50)).toBeLessThan(10);
  });

  it('carries the trade’s figures beside them', () => {
    const { trade } = known;
    expect(plain.trade).toBeUndefined();
    expect(trade!.installMin).toBeCloseTo(plain.handsOn.installMin.p50, 6);
    expect(trade!.daysPresentable / plain.daysPresentable.p50).toBeCloseTo(1, 1);
    expect(trade!.definition).toBeCloseTo(plain.result.definition.p50, 0);
    expect(trade!.dryAfterH / plain.drying.dryAfterH.p50).toBeCloseTo(1, 0);
  });

  it('is narrower by as much as doubt went, or as wide as the log has it', () => {
    const width = ({ daysPresentable: { p10, p90 } }: PlanFile) => Math.log(p90 / p10);
    expect(width(known) / width(plain)).toBeCloseTo(0.8, 1);
    const own = { techniques: { 'two-strand-twist': { days: { ...of(0), sd: 0.5 } } } };
    expect(width(planOf({ learnt: own }))).toBeGreaterThan(2 * 1.28 * 0.5 - 0.01);
    const halved = planOf({ corrections: { widths: { days: 2, definition: 0.5 } } });
    expect(width(halved) / width(plain)).toBeCloseTo(2, 1);
    const reach = ({ result }: PlanFile) => result.definition.p90 - result.definition.p50;
    expect(reach(halved)).toBeLessThan(reach(plain));
    expect(rangesOf(halved.result).stretch).toEqual(rangesOf(plain.result).stretch);
  });

  it('is that of any head where it is asked for so', () => {
    expect(planOf({ learnt, asIfUnknown: true })).toEqual(plain);
  });

  it('takes what other techniques showed where this one is new on her', () => {
    const coils = { set: { technique: 'finger-coil' as const, sections: 60 } };
    const [other, before] = [planOf({ ...coils, learnt }), planOf(coils)];
    expect(other.daysPresentable.p50 / before.daysPresentable.p50).toBeCloseTo(0.8, 2);
    expect(reasonOf(other.daysPresentable.why)?.text).toBe(
      'lasts 0.8× as long on her as on most (from your other heads)',
    );
    expect(other.drying.dryAfterH).toEqual(before.drying.dryAfterH);
  });
});

describe('chances that are put right', () => {
  it('are told as corrected at every moment, and stay chances', () => {
    const times = { lnRates: [-1.5, 0, 1.5], hours: [20, 8, 3] };
    const correction = fc.record({
      shift: fc.double({ min: -1, max: 1, noNaN: true }),
      slope: fc.double({ min: 0.4, max: 1.6, noNaN: true }),
    });
    fc.assert(
      fc.property(correction, fc.double({ min: 4, max: 16, noNaN: true }), (own, hours) => {
        const before = chanceDry(priorBelief(), times, hours);
        const after = chanceDry(
          recalibrated(priorBelief(), (chance) => correctedChance(own, chance)),
          times,
          hours,
        );
        const wanted = correctedChance(own, before);
        const [none, all] = [correctedChance(own, 0), correctedChance(own, 1)];
        expect(Math.abs(after - (wanted - none) / (all - none))).toBeLessThan(0.04);
      }),
    );
  });

  it('move what is surely dry later where they promised too much', () => {
    const later = planOf({ corrections: { dry: { shift: -0.6, slope: 0.57 } } });
    expect(later.drying.dryAfterH.p90).toBeGreaterThan(plain.drying.dryAfterH.p90);
  });
});
