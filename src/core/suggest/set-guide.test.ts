import { describe, expect, it } from 'vitest';
import { readWishOf, wishOf } from '../../../tests/support/wishes';
import { techniqueOf } from '../techniques';
import { GUIDE_HAIRS, GUIDE_LENGTHS, GUIDE_TECHNIQUES, setGuide, type GuideRow } from './set-guide';

const wish = readWishOf(wishOf({}));
/** The rows for some of the hair: all twenty-seven are for the page. */
function rows(count: number, porosity: 'low' | 'medium' | 'high' = 'medium'): GuideRow[] {
  const guide = setGuide(wish, porosity);
  return Array.from({ length: count }, () => guide.next().value as GuideRow);
}

describe('a table of textures', () => {
  const first = rows(2);

  it('goes through every strand, coil and length once', () => {
    expect(GUIDE_HAIRS).toHaveLength(27);
    expect(new Set(GUIDE_HAIRS.map((hair) => JSON.stringify(hair))).size).toBe(27);
    expect(first.map(({ hair }) => hair)).toEqual(GUIDE_HAIRS.slice(0, 2));
  });

  it('has a cell for each technique, or says that the length does not carry it', () => {
    for (const { hair, cells } of first) {
      expect(cells).toHaveLength(GUIDE_TECHNIQUES.length);
      cells.forEach((cell, i) => {
        const { shortestCm } = techniqueOf(GUIDE_TECHNIQUES[i]!).coefficients.value;
        if (!cell) return expect(GUIDE_LENGTHS[hair.length].cm).toBeLessThan(shortestCm);
        expect(cell.technique).toBe(GUIDE_TECHNIQUES[i]);
        expect(cell.sections).toBeGreaterThan(1);
        expect(cell.sideCm).toBeGreaterThan(0.5);
        expect(cell.days).toBeGreaterThan(0.5);
        expect(cell.layers).not.toBe('');
      });
    }
  });

  it('is the same when it is asked again, and another for hair that drinks', () => {
    expect(rows(1)).toEqual(first.slice(0, 1));
    const layers = ([row]: GuideRow[]) => row!.cells.map((cell) => `${cell?.layers}/${cell?.startState}`);
    expect(layers(rows(1, 'high'))).not.toEqual(layers(first));
  });
});
