import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aPartingSpec } from '../../../tests/support/partings';
import { fromFrame, framePoint, sphereDistance } from '../sphere/crown-chart';
import { hairlinePolygon } from '../sphere/hairline';
import { polygonArea, polygonContains } from '../sphere/polygon';
import { coefficientOfVariation } from '../stats/variation';
import { EVEN_SIZES, generateRecipe, shareOut, type PartingSpec } from './generate';
import { movePart } from './edits/lines';
import { aspectOf, evennessOf } from './evenness';
import { layOut } from './layout';
import { loadFor } from './load';
import { PART_POINTS, partAcross } from './part-line';
import { PART_LINES, PARTING_PATTERNS } from './pattern';
import { recipeCount } from './recipe';
import { visualCentre } from './visual-centre';
import { zoneShares } from './zone-outlines';

describe('the surface of the scalp', () => {
  it('covers 5.716 R², within 0.02 % at the drawn sampling', () => {
    expect(polygonArea(hairlinePolygon(0.25))).toBeCloseTo(5.716, 3);
    expect(Math.abs(polygonArea(hairlinePolygon()) / 5.716 - 1)).toBeLessThan(2e-4);
  });

  it('is symmetrical', () => {
    const points = hairlinePolygon();
    points.forEach((point, i) => {
      const mirror = points[(points.length - i) % points.length]!;
      expect(mirror.x).toBeCloseTo(-point.x, 10);
      expect(mirror.y).toBeCloseTo(point.y, 10);
    });
  });

  it('has the row frame of the note', () => {
    const at = framePoint({ x: 0.5, y: 0.5 });
    expect([at.f, at.t]).toEqual([expect.closeTo(0.41747, 4), expect.closeTo(0.51803, 4)]);
    const low = framePoint({ x: 0.7, y: -0.9 });
    expect([low.f, low.t]).toEqual([expect.closeTo(0.63085, 4), expect.closeTo(-0.96361, 4)]);
  });

  it('the frame and its inverse undo each other', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1.05, max: 1.05, noNaN: true }),
        fc.double({ min: -1.5, max: 1.5, noNaN: true }),
        (f, t) => {
          const back = framePoint(fromFrame(f, t));
          expect(back.f).toBeCloseTo(f, 9);
          expect(back.t).toBeCloseTo(t, 9);
        },
      ),
    );
  });

  it('measures a quarter turn as π/2', () => {
    const rim = 2 * Math.sin(Math.PI / 4);
    expect(sphereDistance({ x: 0, y: 0 }, { x: 0, y: rim })).toBeCloseTo(Math.PI / 2, 10);
  });

  it('divides into the zones of the note', () => {
    const shares = zoneShares();
    expect(shares.nape).toBeCloseTo(0.121, 3);
    expect(shares.back).toBeCloseTo(0.281, 3);
    expect(shares.left).toBeCloseTo(0.119, 3);
    expect(shares.right).toBeCloseTo(shares.left, 10);
    expect(shares.crown).toBeCloseTo(0.217, 3);
    expect(shares.front).toBeCloseTo(0.1425, 3);
  });
});

const laid = (count: number, change: Partial<PartingSpec> = {}) =>
  layOut(generateRecipe(aPartingSpec(count, change)));
const layBrick = (count: number, aspect: number) => {
  const layout = laid(count, { aspect });
  return { ...layout, rows: layout.recipe.panels[0]!.cuts.map((cuts) => cuts.length + 1) };
};
const rowsOf = (count: number, change: Partial<PartingSpec>) =>
  Object.fromEntries(
    laid(count, change).recipe.panels.map(({ id, cuts }) => [
      id,
      cuts.map((row) => row.length + 1).join('-'),
    ]),
  );
const shareCv = (layout: ReturnType<typeof laid>) =>
  coefficientOfVariation(layout.sections.map((section) => section.share));

describe('brick rows', () => {
  it('lays 15 and 18 square sections as the note does', () => {
    expect(layBrick(15, 1).rows).toEqual([3, 4, 5, 3]);
    expect(layBrick(18, 1).rows).toEqual([3, 4, 5, 4, 2]);
  });

  it('numbers from the nape, left to right', () => {
    const { sections } = layBrick(18, 1);
    expect(sections[0]).toMatchObject({ number: 1, zone: 'nape', side: 'left' });
    expect(sections[2]).toMatchObject({ zone: 'nape', side: 'right' });
    expect(sections[17]).toMatchObject({ number: 18, zone: 'front', winding: 'away-from-face' });
  });

  it('any count from 2 to 600 is an exact partition into equal shares', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 600 }), fc.constantFrom(1, 1.5), (count, aspect) => {
        const { sections, rows } = layBrick(count, aspect);
        expect(sections).toHaveLength(count);
        expect(rows.reduce((sum, n) => sum + n, 0)).toBe(count);
        expect(sections.reduce((sum, s) => sum + s.share, 0)).toBeCloseTo(1, 9);
        expect(coefficientOfVariation(sections.map((s) => s.share))).toBeLessThan(0.005);
        expect(new Set(sections.map((s) => s.key)).size).toBe(count);
      }),
      { numRuns: 25 },
    );
  });

  it('left and right mirror each other', () => {
    const { sections } = layBrick(60, 1);
    for (const section of sections) {
      const nearest = Math.min(
        ...sections.map((s) =>
          Math.hypot(s.centroid.x + section.centroid.x, s.centroid.y - section.centroid.y),
        ),
      );
      expect(nearest).toBeLessThan(0.001);
    }
  });

  it('puts each number inside its section', () => {
    for (const { outline, centroid } of layBrick(40, 1).sections) {
      const centre = visualCentre(outline, centroid);
      expect(polygonContains(outline, centre)).toBe(true);
      expect(centre.radius).toBeGreaterThan(0.05);
    }
  });

  it('refuses one section, 601, and halves', () => {
    for (const count of [1, 601, 7.5, Number.NaN]) expect(() => layBrick(count, 1)).toThrow(RangeError);
  });
});

describe('patterns and parts of the note', () => {
  it('30 rods beside a left part, 60 in rows beside a curved one, 120 beside a centre part', () => {
    expect(rowsOf(30, { part: 'left', aspect: 1.5 })).toEqual({ B: '3-4-5-4', FL: '2-1-1', FR: '4-3-2-1' });
    expect(rowsOf(60, { part: 'curved-right', pattern: 'rows' })).toEqual({
      B: '4-6-8-8',
      FR: '4-3-3-1',
      FL: '5-5-5-5-3',
    });
    const centre = rowsOf(120, { part: 'centre' });
    expect(centre.FL).toBe('6-5-6-5-4-3-2');
    expect(centre.FR).toBe(centre.FL);
  });

  it('7 lanes beside a curved part are as uneven as the note says: 7.9 %', () => {
    const lanes = laid(7, { pattern: 'lanes-back', part: 'curved-left' });
    expect(100 * shareCv(lanes)).toBeCloseTo(7.9, 1);
    expect(lanes.partLine!.length).toBeGreaterThan(10);
  });

  it('a size of 1.35 at the crown makes its sections that much larger than elsewhere', () => {
    const layout = laid(60, { sizes: { ...EVEN_SIZES, crown: 1.35 } });
    const mean = (zone: string) => {
      const own = layout.sections.filter((section) => section.zone === zone);
      return own.reduce((sum, section) => sum + section.share, 0) / own.length;
    };
    expect(mean('crown') / mean('back')).toBeGreaterThan(1.15);
    expect(mean('crown') / mean('back')).toBeLessThan(1.4);
  });

  it('any pattern, part and count is an exact partition, even within the limits of the note', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 24, max: 150 }),
        fc.constantFrom(...PARTING_PATTERNS),
        fc.constantFrom(...PART_LINES),
        fc.boolean(),
        (count, pattern, part, trial) => {
          // Halves are alike only in pairs.
          fc.pre(!trial || count % 2 === 0);
          const layout = laid(count, { pattern, part, trial });
          expect(layout.sections).toHaveLength(count);
          expect(recipeCount(layout.recipe)).toBe(count);
          expect(layout.sections.reduce((sum, s) => sum + s.share, 0)).toBeCloseTo(1, 3);
          if (!pattern.startsWith('lanes')) expect(shareCv(layout)).toBeLessThan(0.03);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('a zone with a count of its own has just that many, and the rest share what is asked', () => {
    const layout = laid(18, {
      own: {
        nape: { count: 6, pattern: 'brick', aspect: 1 },
        left: { count: 12, pattern: 'brick', aspect: 1 },
        right: { count: 12, pattern: 'brick', aspect: 1 },
      },
    });
    const count = (zone: string) => layout.sections.filter((section) => section.zone === zone).length;
    expect([count('nape'), count('left'), count('right'), layout.sections.length]).toEqual([6, 12, 12, 48]);
    expect(layout.sections.reduce((sum, s) => sum + s.share, 0)).toBeCloseTo(1, 6);
    expect(layout.sections[0]!.zone).toBe('nape');
  });

  it('a recipe written out and read back gives the very same sections', () => {
    const recipe = generateRecipe(aPartingSpec(30, { part: 'left' }));
    const readBack = layOut(JSON.parse(JSON.stringify(recipe)) as typeof recipe);
    expect(JSON.stringify(readBack)).toBe(JSON.stringify(layOut(recipe)));
  });

  it('splits, merges, leaves out and turns sections as a recipe says, and lists what it cannot place', () => {
    const plain = generateRecipe(aPartingSpec(18));
    const whole = layOut(plain).sections;
    const share = (layout: ReturnType<typeof layOut>, key: string) =>
      layout.sections.find((section) => section.key === key)?.share;
    const centre = whole.find((section) => section.key === 'W.3.3')!;
    const edited = layOut({
      ...plain,
      splits: [
        { key: 'W.2.2', axis: 'cut', at: framePoint(whole.find((s) => s.key === 'W.2.2')!.centroid).f },
        { key: 'W.9.9', axis: 'cut', at: 0 },
      ],
      merges: [
        ['W.1.1', 'W.1.2'],
        ['W.1.3', 'W.5.1'],
      ],
      exclude: [
        [
          [centre.centroid.x - 0.1, centre.centroid.y - 0.1],
          [centre.centroid.x + 0.1, centre.centroid.y - 0.1],
          [centre.centroid.x + 0.1, centre.centroid.y + 0.1],
          [centre.centroid.x - 0.1, centre.centroid.y + 0.1],
        ],
      ],
      marks: { 'W.4.1': { direction: 'left' }, 'W.7.1': { direction: 'away' } },
    });
    // One more by the split, one fewer by the merge.
    expect(edited.sections).toHaveLength(18);
    expect(share(edited, 'W.2.2a')! + share(edited, 'W.2.2b')!).toBeCloseTo(1 / 18, 4);
    expect(share(edited, 'W.1.1+W.1.2')).toBeCloseTo(2 / 18, 4);
    expect(edited.unplaced).toEqual(['W.9.9', 'W.1.3+W.5.1', 'W.7.1']);
    expect(edited.sections.find((section) => section.key === 'W.4.1')!.winding).toBe('to-left');
    const left = edited.sections.reduce((sum, section) => sum + section.share, 0);
    expect((1 - left) * polygonArea(hairlinePolygon())).toBeCloseTo(0.04, 4);
    expect(edited.sections.map((section) => section.number)).toEqual(edited.sections.map((_, i) => i + 1));
  });

  it('shares whole sections out by largest remainder, one at least', () => {
    expect(shareOut([1, 1, 2], 8)).toEqual([2, 2, 4]);
    expect(shareOut([0.01, 1, 1], 5).reduce((sum, n) => sum + n, 0)).toBe(5);
    expect(shareOut([0.01, 1, 1], 5)[0]).toBe(1);
  });
});

describe('a half-head trial', () => {
  const trialOf = (count: number, pattern: PartingSpec['pattern'] = 'brick') =>
    laid(count, { pattern, trial: true });

  it('24 as the note has them: 12 and 12, even to 0.5 %, a mirror image (parting-map §7)', () => {
    const layout = trialOf(24);
    const { loadCv, mirrorCm, aspect } = evennessOf(layout, loadFor(EVEN_SIZES));
    expect(layout.sections.filter(({ product }) => product === 'A')).toHaveLength(12);
    expect(loadCv).toBeLessThan(0.005);
    expect(mirrorCm).toBeLessThan(0.01);
    // The note: 1.54 in the middle, 1.93 at most.
    expect(aspect.median).toBeLessThan(1.7);
    expect(aspect.most).toBeLessThan(2.3);
  });

  it('is worked in turns: left, its mirror image on the right, and so on', () => {
    fc.assert(
      fc.property(fc.integer({ min: 2, max: 60 }), fc.constantFrom(...PARTING_PATTERNS), (pairs, pattern) => {
        const { sections } = trialOf(2 * pairs, pattern);
        expect(sections).toHaveLength(2 * pairs);
        for (let i = 0; i < sections.length; i += 2) {
          const [a, b] = [sections[i]!, sections[i + 1]!];
          expect([a.product, b.product, a.side, b.side]).toEqual(['A', 'B', 'left', 'right']);
          expect(Math.hypot(a.centroid.x + b.centroid.x, a.centroid.y - b.centroid.y)).toBeLessThan(0.01);
        }
      }),
      { numRuns: 40 },
    );
  });
});

describe('a half-head trial that keeps its part', () => {
  const SIDE_PARTS = ['left', 'right', 'curved-left', 'curved-right'] as const;
  const trialWith = (count: number, part: PartingSpec['part'], pattern: PartingSpec['pattern'] = 'brick') =>
    laid(count, { pattern, part, trial: true });

  it('no section lies in both halves: the worn part ends them in front, the middle behind', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 12, max: 80 }),
        fc.constantFrom(...SIDE_PARTS, 'half-up' as const),
        fc.constantFrom(...PARTING_PATTERNS),
        (asked, part, pattern) => {
          const count = part === 'half-up' ? 2 * Math.ceil(asked / 2) : asked;
          const { sections, recipe } = trialWith(count, part, pattern);
          const across = partAcross(PART_POINTS[part] ?? PART_POINTS.centre!);
          expect(sections).toHaveLength(count);
          for (const { outline, side, product, panel } of sections) {
            expect(product).toBe(side === 'left' ? 'A' : 'B');
            const isBack = panel.startsWith('B');
            for (const point of outline) {
              const { t, f } = framePoint(point);
              const past = f - (isBack ? 0 : across(t));
              expect(side === 'left' ? past : -past).toBeLessThan(0.01);
            }
          }
          expect(recipe.part.kind).toBe(part);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('sections are as large on either side, and the back has as many of each', () => {
    for (const part of SIDE_PARTS) {
      const { sections } = trialWith(26, part);
      const shares = sections.map(({ share }) => share);
      expect(coefficientOfVariation(shares), part).toBeLessThan(0.06);
      const atBack = sections.filter(({ panel }) => panel.startsWith('B'));
      expect(atBack.filter(({ side }) => side === 'left')).toHaveLength(atBack.length / 2);
      // A part on the left leaves less hair on the left.
      const [left, right] = (['left', 'right'] as const).map(
        (side) => sections.filter((section) => section.side === side).length,
      );
      expect(part.endsWith('left') ? right! - left! : left! - right!, part).toBeGreaterThanOrEqual(2);
    }
  });

  it('the part can be moved, and the back stays cut down the middle', () => {
    const { recipe } = trialWith(24, 'left');
    const points = recipe.part.points.map(([t, f]) => [t, f + 0.1] as const);
    const moved = movePart(recipe, points, loadFor(EVEN_SIZES));
    if (!moved.ok) throw new Error(moved.why);
    const panel = (of: typeof recipe, id: string) => of.panels.find((one) => one.id === id);
    expect(panel(moved.recipe, 'BL')).toEqual(panel(recipe, 'BL'));
    expect(panel(moved.recipe, 'FL')).not.toEqual(panel(recipe, 'FL'));
    expect(layOut(moved.recipe).sections.every(({ side }) => side !== 'middle')).toBe(true);
  });
});

describe('rows at the back that are asked for', () => {
  it('four rows at the back and a side part', () => {
    const rows = rowsOf(24, { part: 'left', backRows: 4 });
    expect(Object.keys(rows)).toEqual(['B', 'FL', 'FR']);
    expect(rows.B!.split('-')).toHaveLength(4);
  });

  it('as many as asked, with and without a part or two halves, in sections as large as the rest', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 6 }),
        fc.integer({ min: 7, max: 40 }),
        fc.constantFrom(...PART_LINES),
        fc.constantFrom('rows' as const, 'brick' as const),
        fc.boolean(),
        (backRows, half, part, pattern, trial) => {
          const count = 2 * Math.max(half, 2 * backRows);
          const layout = laid(count, { part, pattern, backRows, trial });
          expect(layout.sections).toHaveLength(count);
          for (const { id, cuts } of layout.recipe.panels)
            if (id.startsWith('B')) expect(cuts).toHaveLength(backRows);
          expect(shareCv(layout)).toBeLessThan(0.12);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('rows asked for as they suit by themselves are the very same lines', () => {
    for (const count of [14, 20, 32]) {
      const free = generateRecipe(aPartingSpec(count, { part: 'right' }));
      const backRows = free.panels.find(({ id }) => id === 'B')!.cuts.length;
      expect(generateRecipe(aPartingSpec(count, { part: 'right', backRows }))).toEqual(free);
    }
  });
});

describe('evenness', () => {
  const even = (count: number, change: Partial<PartingSpec> = {}) =>
    evennessOf(laid(count, change), loadFor(change.sizes ?? EVEN_SIZES));

  // Median, 90th percentile and worst aspect as measured for the note this grew from (parting-map §7).
  it.each([
    ['18 twists', 18, {}, 1.15, 1.61],
    ['15 knots', 15, {}, 1.25, 1.78],
    ['30 rods beside a left part', 30, { part: 'left', aspect: 1.5 }, 1.36, 3.53],
    ['120 coils beside a centre part', 120, { part: 'centre' }, 1.21, 2.26],
  ] as const)('%s: as long against as wide as the note says', (_, count, change, median, most) => {
    const { aspect } = even(count, change);
    expect(Math.abs(aspect.median / median - 1)).toBeLessThan(0.08);
    expect(Math.abs(aspect.most / most - 1)).toBeLessThan(0.12);
  });

  it('is a mirror image without a part and beside a centre part, and says nothing beside a side part', () => {
    expect(even(60).mirrorCm).toBeLessThan(0.01);
    expect(even(60, { part: 'centre' }).mirrorCm).toBeLessThan(0.01);
    expect(even(60, { part: 'left' }).mirrorCm).toBeNull();
  });

  it('counts against the sizes that were asked for, and names what is odd', () => {
    const larger = { ...EVEN_SIZES, crown: 1.35 };
    expect(even(60, { sizes: larger }).loadCv).toBeLessThan(0.005);
    expect(evennessOf(laid(60, { sizes: larger }), loadFor(EVEN_SIZES)).loadCv).toBeGreaterThan(0.05);
    const recipe = generateRecipe(aPartingSpec(18));
    const panel = recipe.panels[0]!;
    const squeezed = layOut({
      ...recipe,
      panels: [
        { ...panel, rowLines: panel.rowLines.map((t, i) => (i === 1 ? panel.rowLines[0]! + 0.15 : t)) },
      ],
    });
    expect(evennessOf(squeezed, loadFor(EVEN_SIZES)).odd).toContain(2);
    expect(even(18).odd).toEqual([]);
  });

  it('a square laid flat on the head is as long as it is wide', () => {
    const half = 0.08;
    const square = [[-1, -1], [1, -1], [1, 1], [-1, 1]].map(([x, y]) => ({ ...framePoint({ x: half * x!, y: half * y! }) })); // prettier-ignore
    expect(aspectOf(square)).toBeCloseTo(1, 3);
  });
});
