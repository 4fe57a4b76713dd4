import { describe, expect, it } from 'vitest';
import { aBrief, readOrThrow } from '../../../tests/support/briefs';
import type { BriefInput } from '../formats/brief';
import { forecast } from './forecast';
import { layoutFor } from './layout-for';

const resultOf = (input: BriefInput) => {
  const brief = readOrThrow(input);
  return forecast(brief, layoutFor(brief), 0).result;
};
const reason = (input: BriefInput, factor: string) =>
  resultOf(input).definition.why.find((own) => own.factor === factor);
/** Nothing damp at takedown, so that only what is asked about moves. */
const dry = (change: Parameters<typeof aBrief>[0] = {}) =>
  aBrief({ ...change, brief: { drying: [{ method: 'hood-hot', hours: 24 }], ...change.brief } });

describe('hold of a set', () => {
  it('is the strongest of its layers, in whatever order they lie', () => {
    const layers = [{ role: 'cream' }, { role: 'gel' }, { role: 'mousse' }] as const;
    // Gel .85 against a usual .45, times 2.2
    for (const own of [layers, [...layers].reverse()])
      expect(reason(dry({ set: { layers: [...own] } }), 'hold')).toMatchObject({
        effect: expect.closeTo(0.88, 9) as number,
        text: expect.stringContaining('gel') as string,
      });
  });

  it('of a product is what its label says, of five', () => {
    const hold = (of: number) =>
      reason(dry({ set: { layers: [{ role: 'gel', hold: of }] } }), 'hold')?.effect;
    expect(hold(5)).toBeCloseTo(2.2 * 0.55, 9);
    expect(hold(3)).toBeCloseTo(2.2 * 0.15, 9);
  });

  it('without a layer that holds is none', () => {
    expect(reason(dry({ set: { layers: [] } }), 'hold')).toMatchObject({
      effect: expect.closeTo(2.2 * (0.05 - 0.45), 9) as number,
      text: 'no hold product',
    });
  });
});

describe('from day to day', () => {
  const days = (night: 'gather-and-bonnet' | 'scarf' | 're-twists') =>
    resultOf(dry({ wear: { night } })).byDay;

  it('a set fades as its share that is left: definition down by 7.5, frizz up by 5 of what is gone', () => {
    const { byDay, days: life, definition, frizz } = resultOf(dry());
    for (const { day, definition: d, frizz: f } of byDay) {
      const gone = 1 - 0.6 ** (day / life.p50);
      expect(d).toBeCloseTo(Math.max(0, definition.value - 7.5 * gone), 6);
      expect(f).toBeCloseTo(Math.min(10, frizz.value + 5 * gone), 6);
    }
  });

  it('each night adds its own to volume: big re-twists .2, a bonnet .05, a scarf takes .15', () => {
    for (const [night, perNight] of [
      ['gather-and-bonnet', 0.05],
      ['scarf', -0.15],
      ['re-twists', 0.2],
    ] as const) {
      const { days: life } = resultOf(dry({ wear: { night } }));
      const [first, , third] = days(night);
      const gone = 1 - 0.6 ** (2 / life.p50);
      expect(third!.volume - first!.volume).toBeCloseTo(2 * perNight + 1.5 * gone, 6);
    }
  });
});
