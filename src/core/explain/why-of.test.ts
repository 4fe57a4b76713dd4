import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import { forecast } from '../plan/forecast';
import { layoutFor } from '../plan/layout-for';
import type { PlanFile } from '../formats/plan-file';
import { TOPIC_IDS } from './topics';
import { whyOf } from './why-of';

const brief = readOrThrow(aBrief({ brief: { draws: 20 } }));
const { plan } = forecast(brief, layoutFor(brief));
const total = (topic: Parameters<typeof whyOf>[1]) =>
  whyOf(plan, topic)!.reasons.reduce((sum, reason) => sum + reason.effect, 0);

describe('what pushed a number', () => {
  it('is known for every number but mist and product, and said in a sentence', () => {
    const without = TOPIC_IDS.filter((topic) => whyOf(plan, topic) === null);
    expect(without).toEqual(['mist', 'product']);
    for (const topic of TOPIC_IDS) {
      for (const { text, effect } of whyOf(plan, topic)?.reasons ?? []) {
        expect(text.length, topic).toBeGreaterThan(3);
        expect(Number.isFinite(effect), topic).toBe(true);
      }
    }
  });

  it('the minutes add up to the time of setting, but for the setting up', () => {
    const { installMin } = plan.handsOn;
    expect(installMin.p50 - total('handsOn')).toBeGreaterThan(0);
    expect((installMin.p50 - total('handsOn')) / installMin.p50).toBeLessThan(0.25);
  });

  it('what makes it dry later is worse, and what makes it last longer is better', () => {
    expect(whyOf(plan, 'dry')!.isWorseUp).toBe(true);
    expect(whyOf(plan, 'days')!.isWorseUp).toBe(false);
  });

  it('a forecast kept by an older version, without its lists, has nothing to say', () => {
    const older = {
      ...plan,
      result: { ...plan.result, curlWhy: undefined },
      drying: { ...plan.drying, why: undefined },
    } as unknown as PlanFile;
    expect(whyOf(older, 'curl')).toBeNull();
    expect(whyOf(older, 'dry')).toBeNull();
  });
});
