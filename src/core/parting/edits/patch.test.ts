import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aPartingSpec } from '../../../../tests/support/partings';
import { aBrief, readOrThrow } from '../../../../tests/support/briefs';
import { forecast } from '../../plan/forecast';
import { RADIUS_CM_PER_CIRCUMFERENCE_CM, sphereDistance } from '../../sphere/crown-chart';
import { polygonArea } from '../../sphere/polygon';
import { coefficientOfVariation } from '../../stats/variation';
import { drawLayout } from '../drawn-layout';
import { evennessOf } from '../evenness';
import { EVEN_SIZES, generateRecipe } from '../generate';
import { layOut } from '../layout';
import { loadFor } from '../load';
import type { PartingRecipe } from '../recipe';
import { evenOut } from './count';
import type { Edited } from './edited';
import { crossesItself, drawnPatch, roundPatch } from './patch';
import { markSection } from './sections';

const RADIUS_CM = RADIUS_CM_PER_CIRCUMFERENCE_CM * 56;
const recipeOf = (count: number): PartingRecipe => generateRecipe(aPartingSpec(count));
const done = (edit: Edited): PartingRecipe => {
  if (!edit.ok) throw new Error(edit.why);
  return edit.recipe;
};
const circle = (x: number, y: number, r: number, points = 60) =>
  Array.from({ length: points }, (_, i) => ({
    x: x + r * Math.cos((2 * Math.PI * i) / points),
    y: y + r * Math.sin((2 * Math.PI * i) / points),
  }));

describe('a patch that a hand draws', () => {
  it('is left out, and the head can be evened out round it (parting-map §6: hairs CV 0.18 %)', () => {
    // 6.92 cm², as in the note: a circle of 1.484 cm.
    const patched = done(drawnPatch(layOut(recipeOf(18)), circle(0.15, 0.35, 1.484 / RADIUS_CM)));
    const load = loadFor(EVEN_SIZES, patched.exclude);
    const before = layOut(patched);
    const evened = layOut(evenOut(patched, load));
    const cv = (layout: typeof before) => coefficientOfVariation(layout.sections.map(({ share }) => share));
    expect(cv(before)).toBeGreaterThan(0.02);
    expect(cv(evened)).toBeLessThan(0.005);
    expect(evennessOf(evened, load).loadCv).toBeLessThan(0.005);
    const leftOutCm2 = (1 - evened.sections.reduce((sum, { share }) => sum + share, 0)) * 650;
    expect(leftOutCm2).toBeCloseTo(6.92, 0);
  });

  it('that is a slip of the hand, or crosses itself, says so', () => {
    const layout = layOut(recipeOf(18));
    const why = (points: { x: number; y: number }[]) => {
      const edit = drawnPatch(layout, points);
      return edit.ok ? '' : edit.why;
    };
    expect(why([])).toContain('fingertip');
    expect(why(circle(0, 0, 0.02))).toContain('fingertip');
    const eight = [...circle(0, 0, 0.3, 30), ...circle(0.6, 0, 0.3, 30).reverse()];
    expect(crossesItself(circle(0, 0, 0.3))).toBe(false);
    expect(
      crossesItself([
        { x: 0, y: 0 },
        { x: 1, y: 1 },
        { x: 1, y: 0 },
        { x: 0, y: 1 },
      ]),
    ).toBe(true);
    expect(why(eight.map(({ x, y }, i) => (i % 2 ? { x, y } : { x: 0.6 - x, y })))).not.toBe('');
    expect(why(circle(0, 0, 1.2))).toContain('35 %');
  });

  it('for the keyboard is as wide as it says, on the head, wherever the section is', () => {
    const layout = layOut(recipeOf(18));
    fc.assert(
      fc.property(
        fc.constantFrom(...layout.sections),
        fc.constantFrom(2, 3, 4),
        ({ key, centroid }, diameterCm) => {
          const [patch] = done(roundPatch(layout, key, diameterCm)).exclude;
          for (const [x, y] of patch!) {
            expect(sphereDistance({ x, y }, centroid) * RADIUS_CM).toBeGreaterThan(0.4 * diameterCm);
            expect(sphereDistance({ x, y }, centroid) * RADIUS_CM).toBeLessThan(0.6 * diameterCm);
          }
          const area = polygonArea(patch!.map(([x, y]) => ({ x, y }))) * RADIUS_CM ** 2;
          expect(area / ((Math.PI * diameterCm ** 2) / 4)).toBeCloseTo(1, 1);
        },
      ),
    );
  });
});

describe('load where ground is left out', () => {
  it('is what is left, however a polygon lies over the patch', () => {
    // Edges are sampled as outlines of sections are.
    const square = (x: number, y: number, half: number) => {
      const side = Array.from({ length: 40 }, (_, i) => -half + (2 * half * i) / 40);
      return [
        ...side.map((at) => ({ x: x + at, y: y - half })),
        ...side.map((at) => ({ x: x + half, y: y + at })),
        ...side.map((at) => ({ x: x - at, y: y + half })),
        ...side.map((at) => ({ x: x - half, y: y - at })),
      ];
    };
    const patch = square(0.1, 0.2, 0.2).map(({ x, y }) => [x, y] as const);
    const load = loadFor(EVEN_SIZES, [patch]);
    expect(load(square(0.1, 0.2, 0.5))).toBeCloseTo(1 - 0.16, 2);
    expect(load(square(0.1, 0.2, 0.1))).toBeCloseTo(0, 2);
    expect(load(square(-0.6, -0.4, 0.2))).toBeCloseTo(0.16, 3);
    // A sized head loses the same share.
    const sized = loadFor({ ...EVEN_SIZES, crown: 1.4 }, [patch]);
    const bare = loadFor({ ...EVEN_SIZES, crown: 1.4 });
    expect(sized(square(0.1, 0.2, 0.5)) / bare(square(0.1, 0.2, 0.5))).toBeCloseTo(0.84, 1);
  });
});

describe('what is decided for one section', () => {
  it('its product side is drawn with it', () => {
    const recipe = recipeOf(8);
    const { key } = layOut(recipe).sections[2]!;
    const drawn = drawLayout(layOut(markSection(recipe, key, { product: 'B' })));
    expect(drawn.map(({ product }) => product)).toEqual([null, null, 'B', null, null, null, null, null]);
  });

  it('rods of their own dry as rods of the plan do', () => {
    const recipe = recipeOf(24);
    const marked = layOut(recipe).sections.reduce(
      (own, { key }) => markSection(own, key, { tool: 'rod-32' }),
      recipe,
    );
    const planOf = (parted: PartingRecipe, diameterMm: number) => {
      const brief = readOrThrow(
        aBrief({
          set: {
            technique: 'rod-set',
            endsMethod: 'pasted',
            tool: { diameterMm, workingLengthMm: 75 },
            layers: [],
          },
          brief: { parting: { recipe: parted as never } },
        }),
      );
      return forecast(brief, layOut(parted), 0).plan;
    };
    const [own, planned, small] = [planOf(marked, 13), planOf(recipe, 32), planOf(recipe, 13)];
    expect(own.tools.map(({ diameterMm }) => diameterMm)).toEqual([32]);
    expect(own.drying.dryAfterH.p50).toBeCloseTo(planned.drying.dryAfterH.p50, 6);
    expect(small.drying.dryAfterH.p50).not.toBeCloseTo(planned.drying.dryAfterH.p50, 2);
  });
});
