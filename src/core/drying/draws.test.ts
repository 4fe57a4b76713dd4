import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import type { BriefInput } from '../formats/brief';
import { drawHeads, dryingBasis, readyToDry } from '../plan/drying-forecast';
import { ZONES } from '../hair/zone';
import { layoutFor } from '../plan/layout-for';
import { dosesOf } from '../plan/dosing';
import { planSections } from '../plan/section-forecasts';
import { quantiles } from '../stats/quantile';
import { drawnHeads } from './draws';
import { beliefFromDraws, chanceDry, drySpread } from './rate-belief';

const basisOf = (input: BriefInput) => {
  const brief = readOrThrow(input);
  const sections = planSections(brief, layoutFor(brief));
  const ready = readyToDry(
    brief,
    sections,
    dosesOf(brief, sections).map((dose) => dose.layer),
  );
  return dryingBasis(ready, brief.drying);
};
const basis = basisOf(aBrief());
const heads = drawHeads(basis, 1, 0, 300);
const drawn = heads.map((head) => head.allH);

describe('heads drawn at random', () => {
  it('are the same for the same seed, and go on where they stopped', () => {
    expect(drawHeads(basis, 1, 0, 20)).toEqual(drawHeads(basis, 1, 0, 20));
    expect(drawHeads(basis, 1, 10, 20)).toEqual(drawHeads(basis, 1, 0, 20).slice(10));
    expect(drawHeads(basis, 2, 0, 5)).not.toEqual(drawHeads(basis, 1, 0, 5));
  });

  it('lie about the usual head, some way apart: 10–90 % is about ± 40 % (drying note, scenario 1)', () => {
    const [p10, p50, p90] = quantiles(drawn, [0.1, 0.5, 0.9]) as [number, number, number];
    const usual = basis.all.hours[2]!;
    expect(p50 / usual).toBeGreaterThan(0.85);
    expect(p50 / usual).toBeLessThan(1.2);
    expect(p50 / p10).toBeGreaterThan(1.25);
    expect(p90 / p50).toBeLessThan(1.8);
  });

  it('in air that moves half as much dry later', () => {
    const still = drawnHeads({ ...basis.uncertain, movement: 0.5 }, 1, 0, 20);
    still.forEach((head, i) => expect(head.allH).toBeGreaterThan(heads[i]!.allH));
  });

  it('a head that is known well spreads less, and a quick one dries sooner', () => {
    const spreadOf = (dryingRate: { median: number; lnSd: number }) => {
      const own = drawHeads(basisOf(aBrief({ brief: { dryingRate } })), 1, 0, 120).map((head) => head.allH);
      const [p10, p50, p90] = quantiles(own, [0.1, 0.5, 0.9]) as [number, number, number];
      return { p50, width: Math.log(p90 / p10) };
    };
    const unknown = spreadOf({ median: 1, lnSd: 0.25 });
    const known = spreadOf({ median: 1, lnSd: 0.08 });
    expect(known.width).toBeLessThan(unknown.width);
    expect(spreadOf({ median: 1.3, lnSd: 0.08 }).p50).toBeLessThan(known.p50);
  });

  it('the belief made of them gives their own quantiles and chances back', () => {
    const belief = beliefFromDraws(basis.all, heads, ZONES);
    const spread = drySpread(belief, basis.all);
    const [p10, p50, p90] = quantiles(drawn, [0.1, 0.5, 0.9]) as [number, number, number];
    expect(spread.p50 / p50).toBeCloseTo(1, 1);
    expect(Math.abs(spread.p10 / p10 - 1)).toBeLessThan(0.05);
    expect(Math.abs(spread.p90 / p90 - 1)).toBeLessThan(0.05);
    for (const hours of [p10, p50, p90]) {
      const share = drawn.filter((own) => own <= hours).length / drawn.length;
      expect(Math.abs(chanceDry(belief, basis.all, hours) - share)).toBeLessThan(0.05);
    }
  });
});

describe('while the set goes in', () => {
  const waitingOf = (set: NonNullable<Parameters<typeof aBrief>[0]>['set']) =>
    basisOf(aBrief({ set })).waiting;

  it('a quick set needs no mist, a long one does, the front of the head first', () => {
    expect(waitingOf({ sections: 8 }).quadrants.flatMap((own) => own.mistAtMin)).toEqual([]);
    const long = waitingOf({ technique: 'finger-coil', endsMethod: 'twisted', sections: 150 });
    const needMisting = long.quadrants.filter((own) => own.mistAtMin.length > 0).map((own) => own.quadrant);
    expect(needMisting).toContain('front-left');
    expect(needMisting).toContain('front-right');
    for (const own of long.quadrants) {
      expect(own.untilMin).toBeGreaterThan(own.fromMin);
      for (const at of own.mistAtMin) expect(at).toBeLessThan(own.untilMin);
    }
  });

  it('hair misted in its turn needs no cue', () => {
    const own = waitingOf({ sections: 100, startState: 'stretched-misted' });
    expect(own.remistEveryMin).toBeNull();
  });

  it('what is set first has dried longest when the last is in', () => {
    const { setBeforeEndH, installMin } = waitingOf({});
    expect(setBeforeEndH('nape')).toBeGreaterThan(setBeforeEndH('front'));
    expect(setBeforeEndH('nape') * 60).toBeLessThan(installMin);
  });
});
