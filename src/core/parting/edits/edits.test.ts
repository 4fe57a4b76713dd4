import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aPartingSpec } from '../../../../tests/support/partings';
import { sphereDistance } from '../../sphere/crown-chart';
import { polygonContains } from '../../sphere/polygon';
import { coefficientOfVariation } from '../../stats/variation';
import { EVEN_SIZES, generateRecipe, type PartingSpec } from '../generate';
import { layOut, type Layout } from '../layout';
import { loadFor } from '../load';
import { recipeCount, type PartingRecipe } from '../recipe';
import { changeCount, evenOut } from './count';
import { rowCounts, type Edited } from './edited';
import { moveHandle, nudgeHandle, partHandles, sectionHandles } from './handles';
import { CLOSEST_CM, evenPart, moveCut, movePart, moveRowLine } from './lines';
import {
  excludePatch,
  joinable,
  leaveOut,
  markSection,
  mergeSections,
  splitSection,
  unmergeSection,
} from './sections';

const load = loadFor(EVEN_SIZES);
const recipeOf = (count: number, change: Partial<PartingSpec> = {}) =>
  generateRecipe(aPartingSpec(count, change));
const done = (result: Edited): PartingRecipe => {
  if (!result.ok) throw new Error(result.why);
  return result.recipe;
};
const why = (result: Edited) => (result.ok ? '' : result.why);
const whole = ({ sections }: Layout) => sections.reduce((sum, section) => sum + section.share, 0);
const cv = ({ sections }: Layout) => coefficientOfVariation(sections.map(({ share }) => share));
const rows = ({ panels }: PartingRecipe) => panels.map(rowCounts);

describe('one section more or fewer', () => {
  it('keeps every row but one, and the panels even', () => {
    const before = recipeOf(18);
    const after = done(changeCount(before, 1, 1, load));
    expect(recipeCount(after)).toBe(19);
    const changed = rows(before)[0]!.map((count, i) => rows(after)[0]![i]! - count);
    expect(changed.filter((step) => step !== 0)).toEqual([1]);
    expect(cv(layOut(after))).toBeLessThan(0.005);
    expect(recipeCount(done(changeCount(after, -1, 1, load)))).toBe(18);
  });

  it('moves sections little: most of each is where it was (parting-map §7, stability)', () => {
    const kept: number[] = [];
    for (let count = 12; count <= 60; count += 8) {
      const before = recipeOf(count);
      const after = layOut(done(changeCount(before, 1, 1, load)));
      const own = layOut(before).sections;
      const stays = own.filter(({ key, centroid }) => {
        const now = after.sections.find((section) => section.key === key);
        return now !== undefined && polygonContains(now.outline, centroid);
      });
      kept.push(stays.length / own.length);
    }
    expect(kept.reduce((sum, share) => sum + share, 0) / kept.length).toBeGreaterThan(0.9);
    expect(Math.min(...kept)).toBeGreaterThan(0.8);
  });

  it('gives the section to the side that has more hair a section', () => {
    const before = recipeOf(30, { part: 'left' });
    const uneven = cv(layOut(before));
    const after = done(changeCount(before, 1, 1, load));
    expect(recipeCount(after)).toBe(31);
    expect(cv(layOut(after))).toBeLessThan(uneven + 0.03);
  });

  it('stops at 2 and at 600, and says so', () => {
    expect(why(changeCount(recipeOf(2), -1, 1, load))).toContain('2 to 600');
    expect(why(changeCount(recipeOf(600), 1, 1, load))).toContain('2 to 600');
  });
});

describe('lines moved by hand', () => {
  const recipe = recipeOf(24);

  it('change the two rows, or the two sections, beside them only', () => {
    const own = recipe.panels[0]!;
    const moved = layOut(done(moveRowLine(recipe, 0, 2, own.rowLines[2]! + 0.05)));
    const before = layOut(recipe);
    const rowsTouched = new Set(
      before.sections.filter((s, i) => Math.abs(s.share - moved.sections[i]!.share) > 1e-9).map((s) => s.row),
    );
    expect([...rowsTouched]).toEqual([1, 2]);
    const cut = layOut(done(moveCut(recipe, 0, 2, 1, own.cuts[2]![1]! + 0.05)));
    const keys = before.sections
      .filter((s, i) => Math.abs(s.share - cut.sections[i]!.share) > 1e-9)
      .map((s) => s.key);
    expect(keys).toEqual(['W.3.2', 'W.3.3']);
  });

  it('stop short of the next line', () => {
    const own = recipe.panels[0]!;
    const far = done(moveRowLine(recipe, 0, 2, 9)).panels[0]!;
    expect((far.rowLines[3]! - far.rowLines[2]!) * 0.190424 * 56).toBeCloseTo(CLOSEST_CM, 6);
    const near = done(moveCut(recipe, 0, 2, 1, -9)).panels[0]!;
    expect(near.cuts[2]![1]!).toBeGreaterThan(own.cuts[2]![0]!);
    expect(why(moveRowLine(recipe, 0, 0, 0))).toContain('edge');
    expect(why(moveCut(recipe, 0, 2, 9, 0))).toContain('no such cut');
  });

  it('go back when the head is evened out again', () => {
    const moved = done(moveRowLine(recipe, 0, 2, recipe.panels[0]!.rowLines[2]! + 0.08));
    expect(cv(layOut(moved))).toBeGreaterThan(0.05);
    const back = evenOut(moved, load);
    expect(cv(layOut(back))).toBeLessThan(0.001);
    expect(rows(back)).toEqual(rows(recipe));
  });
});

describe('the worn part', () => {
  const lanes = recipeOf(7, { pattern: 'lanes-back', part: 'curved-left' });

  it('moves with its sides cut evenly again, and stays on the head', () => {
    const moved = done(
      movePart(
        lanes,
        lanes.part.points.map(([t, f]) => [t, f - 2] as const),
        load,
      ),
    );
    expect(Math.min(...moved.part.points.map(([, f]) => f))).toBe(-0.62);
    expect(whole(layOut(moved))).toBeCloseTo(1, 6);
    expect(rows(moved)).toEqual(rows(lanes));
    expect(why(movePart(recipeOf(18), [], load))).toContain('no part');
  });

  it('shifts about a centimetre to make seven lanes even (parting-map §7: 1.0 cm, 7.9 % to 0.03 %)', () => {
    const even = done(evenPart(lanes, load));
    expect(100 * cv(layOut(lanes))).toBeCloseTo(7.9, 1);
    expect(100 * cv(layOut(even))).toBeLessThan(0.1);
    const shiftR = Math.abs(even.part.points[2]![1] - lanes.part.points[2]![1]) * 1.2;
    expect(shiftR * 0.190424 * 56).toBeGreaterThan(0.6);
    expect(shiftR * 0.190424 * 56).toBeLessThan(1.4);
  });
});

describe('single sections', () => {
  const recipe = recipeOf(18);
  const layout = layOut(recipe);

  it('split into halves of equal hair, and joined again as before, byte for byte', () => {
    const split = done(splitSection(layout, 'W.3.3', load));
    const halves = layOut(split).sections.filter(({ key }) => key.startsWith('W.3.3'));
    expect(halves.map(({ key }) => key)).toEqual(['W.3.3a', 'W.3.3b']);
    expect(halves[0]!.share / halves[1]!.share).toBeCloseTo(1, 3);
    const again = done(splitSection(layOut(split), 'W.3.3b', load, 'row'));
    expect(layOut(again).sections).toHaveLength(20);
    expect(JSON.stringify(done(mergeSections(layOut(split), 'W.3.3a', 'W.3.3b')))).toBe(
      JSON.stringify(recipe),
    );
  });

  it('join where they touch, and say when they do not', () => {
    const neighbours = joinable(layout, 'W.3.3').map(({ number }) => number);
    expect(neighbours).toContain(9);
    expect(neighbours).toContain(11);
    expect(neighbours).not.toContain(18);
    const joined = done(mergeSections(layout, 'W.3.3', 'W.3.4'));
    const after = layOut(joined);
    expect(after.sections).toHaveLength(17);
    expect(whole(after)).toBeCloseTo(1, 4);
    const three = done(mergeSections(after, 'W.3.3+W.3.4', 'W.3.2'));
    expect(three.merges).toEqual([['W.3.2', 'W.3.3', 'W.3.4']]);
    expect(layOut(three).sections).toHaveLength(16);
    expect(why(mergeSections(layout, 'W.1.1', 'W.5.1'))).toContain('do not touch');
    expect(why(splitSection(after, 'W.3.3+W.3.4', load))).toContain('cannot be split');
    expect(done(unmergeSection(after, 'W.3.3+W.3.4'))).toEqual(recipe);
    expect(why(unmergeSection(after, 'W.1.1'))).toContain('not there');
  });

  it('too small to split says so', () => {
    const coils = layOut(recipeOf(600));
    expect(why(splitSection(coils, coils.sections[100]!.key, load))).toContain('under 1 cm²');
  });

  it('leave their ground out, and no more than a third of the head', () => {
    const without = layOut(done(leaveOut(layout, 'W.2.2')));
    expect(without.sections).toHaveLength(17);
    expect(whole(without)).toBeCloseTo(17 / 18, 3);
    // A neighbour that only shares an edge can still be split.
    const key = without.sections.find((section) => section.key === 'W.2.3')!.key;
    expect(splitSection(without, key, load).ok).toBe(true);
    let current = layout;
    let refusal = '';
    for (let i = 0; i < 9 && refusal === ''; i++) {
      const next = leaveOut(current, current.sections[0]!.key);
      if (next.ok) current = layOut(next.recipe);
      else refusal = next.why;
    }
    expect(refusal).toContain('35 %');
    expect(1 - whole(current)).toBeLessThanOrEqual(0.35);
    expect(why(excludePatch({ ...layout, sections: layout.sections.slice(0, 1) }, []))).toContain(
      'has to stay',
    );
  });

  it('keep what was decided for them, until it is taken back', () => {
    const marked = markSection(recipe, 'W.3.3', { direction: 'left', tool: '12' });
    expect(layOut(marked).sections.find(({ key }) => key === 'W.3.3')!.winding).toBe('to-left');
    expect(markSection(marked, 'W.3.3', { tool: undefined }).marks).toEqual({
      'W.3.3': { direction: 'left' },
    });
    const back = markSection(marked, 'W.3.3', { tool: undefined, direction: undefined });
    expect(JSON.stringify(back)).toBe(JSON.stringify(recipe));
  });
});

describe('any chain of edits', () => {
  type Step = readonly [kind: number, pick: number, by: number];
  const apply = (recipe: PartingRecipe, [kind, pick, by]: Step): Edited => {
    const layout = layOut(recipe);
    const section = layout.sections[pick % layout.sections.length]!;
    const panelIndex = pick % recipe.panels.length;
    const panel = recipe.panels[panelIndex]!;
    switch (kind) {
      case 0:
        return splitSection(layout, section.key, load);
      case 1: {
        const [other] = joinable(layout, section.key);
        return other ? mergeSections(layout, section.key, other.key) : { ok: false, why: '' };
      }
      case 2:
        return leaveOut(layout, section.key);
      case 3:
        return changeCount(recipe, by > 0 ? 1 : -1, 1, load);
      case 4: {
        const line = 1 + (pick % Math.max(1, panel.rowLines.length - 2));
        return moveRowLine(recipe, panelIndex, line, (panel.rowLines[line] ?? 0) + by);
      }
      case 5: {
        const row = pick % panel.cuts.length;
        return moveCut(recipe, panelIndex, row, 0, (panel.cuts[row]![0] ?? 0) + by);
      }
      default:
        return movePart(
          recipe,
          recipe.part.points.map(([t, f]) => [t, f + by / 2] as const),
          load,
        );
    }
  };

  it('keeps an exact partition: every place of the scalp is in one section or left out', () => {
    const step = fc.tuple(
      fc.integer({ min: 0, max: 6 }),
      fc.nat({ max: 1000 }),
      fc.double({ min: -0.2, max: 0.2, noNaN: true }),
    );
    fc.assert(
      fc.property(
        fc.integer({ min: 4, max: 40 }),
        fc.constantFrom('none' as const, 'left' as const, 'half-up' as const),
        fc.array(step, { minLength: 1, maxLength: 8 }),
        (count, part, steps) => {
          const start = recipeOf(Math.max(6, count), { part });
          const before = JSON.stringify(start);
          let current = start;
          for (const own of steps) {
            const next = apply(current, own);
            if (!next.ok) continue;
            current = next.recipe;
          }
          const layout = layOut(current);
          const patches = current.exclude.map((patch) => patch.map(([x, y]) => ({ x, y })));
          const base = layOut({ ...current, exclude: [] });
          expect(whole(base)).toBeCloseTo(1, 2);
          for (const { centroid } of base.sections) {
            const holders = layout.sections.filter(({ outline }) => polygonContains(outline, centroid));
            if (patches.some((patch) => polygonContains(patch, centroid))) continue;
            expect(holders.length).toBeLessThanOrEqual(1);
          }
          expect(layout.sections.map(({ number }) => number)).toEqual(layout.sections.map((_, i) => i + 1));
          // Edits make new recipes: what stood before is still there, untouched.
          expect(JSON.stringify(start)).toBe(before);
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('handles', () => {
  it('stand on the four lines round a section, and follow where they are taken', () => {
    const recipe = recipeOf(24);
    const layout = layOut(recipe);
    const handles = sectionHandles(layout, 'W.3.3');
    expect(handles.map(({ kind }) => kind)).toEqual(['row-line', 'row-line', 'cut', 'cut']);
    expect(sectionHandles(layout, 'W.1.1').filter(({ kind }) => kind === 'row-line')).toHaveLength(1);
    for (const handle of handles) {
      const to = { x: handle.at.x + 0.02, y: handle.at.y + 0.02 };
      const after = layOut(done(moveHandle(recipe, handle, to, load)));
      const moved = sectionHandles(after, 'W.3.3').find(
        (own) =>
          own.kind === handle.kind &&
          JSON.stringify({ ...own, at: 0 }) === JSON.stringify({ ...handle, at: 0 }),
      )!;
      const along = handle.kind === 'cut' ? 'x' : 'y';
      expect(moved.at[along]).toBeCloseTo(to[along], 2);
    }
  });

  it('go by a distance on the head, for keys', () => {
    const recipe = recipeOf(24);
    for (const handle of sectionHandles(layOut(recipe), 'W.3.3')) {
      const after = done(nudgeHandle(recipe, handle, 0.5, load));
      const now = sectionHandles(layOut(after), 'W.3.3').find(
        (own) => JSON.stringify({ ...own, at: 0 }) === JSON.stringify({ ...handle, at: 0 }),
      )!;
      const cm = sphereDistance(handle.at, now.at) * 0.190424 * 56;
      expect(cm).toBeGreaterThan(0.4);
      expect(cm).toBeLessThan(0.6);
    }
  });

  it('hold the part where it is seen, and bend a straight one too', () => {
    expect(partHandles(recipeOf(24))).toEqual([]);
    const centre = recipeOf(24, { part: 'centre' });
    const handles = partHandles(centre);
    expect(handles.length).toBeGreaterThanOrEqual(2);
    const bent = done(moveHandle(centre, handles[0]!, { x: 0.2, y: handles[0]!.at.y }, load));
    expect(whole(layOut(bent))).toBeCloseTo(1, 6);
    expect(layOut(bent).partLine!.some(({ x }) => x > 0.15)).toBe(true);
  });

  it('know the place of a point in every kind of panel', () => {
    for (const recipe of [
      recipeOf(18),
      recipeOf(30, { part: 'left' }),
      recipeOf(40, { pattern: 'radial' }),
    ]) {
      for (const { frame, centroid } of layOut(recipe).sections) {
        const { f, t } = frame!.of(centroid);
        const back = frame!.at(f, t);
        expect(back.x).toBeCloseTo(centroid.x, 6);
        expect(back.y).toBeCloseTo(centroid.y, 6);
      }
    }
  });
});
