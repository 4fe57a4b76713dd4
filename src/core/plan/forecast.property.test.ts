import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBrief, anyBrief, readOrThrow } from '../../../tests/support/briefs';
import type { BriefInput } from '../formats/brief';
import { planFile } from '../formats/plan-file';
import { answerBrief } from './answer-brief';
import { forecast } from './forecast';
import { layoutFor } from './layout-for';

const planOf = (input: BriefInput) => {
  const brief = readOrThrow(input);
  return forecast(brief, layoutFor(brief)).plan;
};

function everyNumber(value: unknown, visit: (number: number, path: string) => void, path = ''): void {
  if (typeof value === 'number') visit(value, path);
  else if (value !== null && typeof value === 'object') {
    for (const [key, inner] of Object.entries(value)) everyNumber(inner, visit, `${path}.${key}`);
  }
}

describe('any valid brief', () => {
  it('gives a plan of the open format with finite, sensible numbers', () => {
    fc.assert(
      fc.property(anyBrief, (input) => {
        const plan = planOf(input);
        expect(planFile.safeParse(plan).success).toBe(true);
        everyNumber(plan, (number, path) => {
          expect(Number.isFinite(number), path).toBe(true);
          if (!path.endsWith('.effect')) expect(number, path).toBeGreaterThanOrEqual(0);
        });
        for (const spread of [
          plan.drying.dryAfterH,
          plan.drying.rootDryAfterH,
          plan.drying.endsDryAfterH,
          plan.handsOn.installMin,
          plan.result.definition,
          plan.daysPresentable,
        ]) {
          expect(spread.p10).toBeLessThanOrEqual(spread.p50 + 1e-9);
          expect(spread.p50).toBeLessThanOrEqual(spread.p90 + 1e-9);
        }
        plan.drying.curve.reduce((before, point) => {
          expect(point.chanceDry).toBeGreaterThanOrEqual(before - 1e-9);
          return point.chanceDry;
        }, 0);
        expect(plan.result.stretch).toBeLessThanOrEqual(1 + 1e-9);
      }),
      { numRuns: 60 },
    );
  });

  it('gives the same plan every time, bit for bit', () => {
    fc.assert(
      fc.property(anyBrief, (input) => {
        expect(answerBrief(input)).toEqual(answerBrief(input));
      }),
      { numRuns: 8 },
    );
  });

  it('lays the day out without gaps, ready on time', () => {
    fc.assert(
      fc.property(anyBrief, (input) => {
        const blocks = planOf(input).schedule!;
        blocks.slice(1).forEach((block, i) => expect(block.startAt).toBe(blocks[i]!.endAt));
        expect(Date.parse(blocks.at(-1)!.endAt)).toBe(Date.parse('2027-03-13T09:00:00-06:00'));
        expect(blocks[0]!.endAt.endsWith('-06:00')).toBe(true);
      }),
      { numRuns: 20 },
    );
  });
});

describe('what a change must do', () => {
  const hours = (input: BriefInput) => planOf(input).drying.dryAfterH.p50;

  it('a hot hood dries no later than a cool one, and that than open air', () => {
    const under = (method: 'hood-hot' | 'hood-cool' | 'air') =>
      hours(aBrief({ brief: { drying: [{ method, hours: 1 }] } }));
    expect(under('hood-hot')).toBeLessThan(under('hood-cool'));
    expect(under('hood-cool')).toBeLessThan(under('air'));
  });

  it('more of a wet product, damper air and longer hair dry no sooner', () => {
    const gel = (grams: number) => hours(aBrief({ set: { layers: [{ role: 'gel', grams }] } }));
    expect(gel(10)).toBeLessThan(gel(30));
    const air = (relativeHumidity: number) => hours(aBrief({ room: { relativeHumidity } }));
    expect(air(0.3)).toBeLessThan(air(0.6));
    const long = (stretchedLengthCm: number) => hours(aBrief({ head: { stretchedLengthCm } }));
    expect(long(15)).toBeLessThan(long(40));
  });

  it('more sections dry sooner, curl smaller, define better and take longer', () => {
    const plans = [8, 18, 40].map((sections) => planOf(aBrief({ set: { sections } })));
    for (let i = 1; i < plans.length; i++) {
      const [few, many] = [plans[i - 1]!, plans[i]!];
      expect(many.drying.dryAfterH.p50).toBeLessThan(few.drying.dryAfterH.p50);
      expect(many.result.curlDiameterMm).toBeLessThan(few.result.curlDiameterMm);
      expect(many.result.definition.p50).toBeGreaterThan(few.result.definition.p50);
      expect(many.handsOn.installMin.p50).toBeGreaterThan(few.handsOn.installMin.p50);
    }
  });

  it('a bigger rod gives no smaller curl', () => {
    const curl = (diameterMm: number) =>
      planOf(
        aBrief({ set: { technique: 'rod-set', sections: 40, endsMethod: 'pasted', tool: { diameterMm } } }),
      ).result.curlDiameterMm;
    const curls = [12, 16, 20, 25].map(curl);
    expect(curls).toEqual([...curls].sort((a, b) => a - b));
  });

  it('taken down too early costs definition and days', () => {
    const at = (startAt: string) =>
      planOf(
        aBrief({ brief: { startAt, wearBy: '2027-03-13T09:00:00Z', drying: [{ method: 'air', hours: 8 }] } }),
      );
    const rushed = at('2027-03-13T03:00:00Z');
    const patient = at('2027-03-11T20:00:00Z');
    expect(rushed.drying.chanceDryAtWearBy).toBeLessThan(0.3);
    expect(patient.drying.chanceDryAtWearBy).toBeGreaterThan(0.95);
    expect(rushed.result.definition.p50).toBeLessThan(patient.result.definition.p50);
    expect(rushed.daysPresentable.p50).toBeLessThan(patient.daysPresentable.p50);
    expect(rushed.cautions.map((caution) => caution.code)).toContain('damp-takedown');
    expect(rushed.result.definition.why.map((reason) => reason.factor)).toContain('damp');
  });

  it('left and right are alike', () => {
    const { sections } = planOf(aBrief({ set: { sections: 41 } }));
    const count = (zone: string) => sections.filter((section) => section.zone === zone).length;
    expect(count('left')).toBe(count('right'));
  });
});
