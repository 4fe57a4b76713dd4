import { describe, expect, it } from 'vitest';
import { finger, twist } from '../../../tests/support/works';
import { sectionInstallParts, sectionSeparateMin, sectionTakedownMin } from './install-time';

/*
 * Figures by hand from the model's time formula (docs/model; fitted to common practice): a section of 5,000 hairs is
 * one, n = hairs ÷ 5,000; .22 min part, .30√n product, (a + b·cm)·n^γ set, .30√n when brushed.
 */
describe('minutes of one section', () => {
  it('a two-strand twist of 5,000 hairs, 25 cm, damp, plain root, coiled ends', () => {
    expect(sectionInstallParts(twist())).toEqual({
      parting: expect.closeTo(0.22, 9) as number,
      product: expect.closeTo(0.3, 9) as number,
      // .2 + .027 × 25 to set, .05 more for damp hair
      setting: expect.closeTo(0.925, 9) as number,
      root: 0,
      ends: expect.closeTo(0.12, 9) as number,
      brushing: 0,
    });
  });

  it('four times the hair: product and brushing take twice, the twist itself 4^.35', () => {
    const four = sectionInstallParts(twist({ hairCount: 20_000, brushedThrough: true }));
    expect(four.product).toBeCloseTo(0.6, 9);
    expect(four.brushing).toBeCloseTo(0.6, 9);
    expect(four.setting).toBeCloseTo(0.875 * 4 ** 0.35 + 0.05 * 2, 9);
    expect(four.parting).toBeCloseTo(0.22, 9);
  });

  it('a section is never reckoned thinner than a fiftieth nor thicker than ten', () => {
    const product = (hairCount: number) => sectionInstallParts(twist({ hairCount })).product;
    expect(product(1)).toBeCloseTo(0.3 * Math.sqrt(0.02), 9);
    expect(product(1)).toBe(product(100));
    expect(product(90_000)).toBeCloseTo(0.3 * Math.sqrt(10), 9);
    expect(product(90_000)).toBe(product(50_000));
  });

  it('brushing costs nothing where nobody brushes; roots and ends cost what they cost', () => {
    expect(sectionInstallParts(twist()).brushing).toBe(0);
    const plaited = sectionInstallParts(twist({ rootMethod: 'outside-plaited', endsMethod: 'rod' }));
    expect([plaited.root, plaited.ends]).toEqual([1, 0.9]);
  });

  it('undoing: .1 + .01 a cm, .45 more for an outside-plaited root, .1 for a rod', () => {
    expect(sectionTakedownMin(twist())).toBeCloseTo(0.35, 9);
    expect(sectionTakedownMin(twist({ lengthCm: 40 }))).toBeCloseTo(0.5, 9);
    expect(sectionTakedownMin(twist({ rootMethod: 'outside-plaited', endsMethod: 'rod' }))).toBeCloseTo(
      0.9,
      9,
    );
  });

  it('separating: .05(q − 1)√k√n', () => {
    expect(sectionSeparateMin(twist(), 1)).toBe(0);
    expect(sectionSeparateMin(twist(), 2)).toBeCloseTo(0.05 * Math.SQRT2, 9);
    expect(sectionSeparateMin(twist(), 4)).toBeCloseTo(0.15 * Math.SQRT2, 9);
    expect(sectionSeparateMin(twist({ hairCount: 20_000 }), 2)).toBeCloseTo(0.1 * Math.SQRT2, 9);
    expect(sectionSeparateMin(finger(), 3)).toBeCloseTo(0.1, 9);
  });
});
