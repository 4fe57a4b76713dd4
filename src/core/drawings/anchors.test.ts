import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ANCHOR_POINTS, RATING_IDS } from '../wear/rating-scales';
import { ANCHOR_FRAME, ratingDrawing } from './anchors';
import { TONES, type Drawing } from './shape';

/** Moves and lines of absolute numbers, one outline after the other (SVG 2, path data grammar). */
const PATH = /^(M-?[\d.]+ -?[\d.]+(L-?[\d.]+ -?[\d.]+)+Z?)+$/;
const numbersOf = (drawing: Drawing) => drawing.flatMap(({ d }) => d.match(/-?[\d.]+/g)!.map(Number));
const widthOf = (drawing: Drawing) => {
  const xs = numbersOf(drawing).filter((_, i) => i % 2 === 0);
  return Math.max(...xs) - Math.min(...xs);
};
const lengthsOf = (drawing: Drawing, tone: string) =>
  drawing.filter(({ stroke }) => stroke === tone).reduce((sum, { d }) => sum + d.length, 0);

describe('what a rating looks like', () => {
  it.each(RATING_IDS)('%s: any value is drawn, well-formed, within its frame, always the same', (scale) => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20 }), (halves) => {
        const drawing = ratingDrawing(scale, halves / 2);
        expect(drawing.length).toBeGreaterThanOrEqual(3);
        for (const { d, fill, stroke } of drawing) {
          expect(d).toMatch(PATH);
          for (const tone of [fill, stroke]) if (tone) expect(TONES).toContain(tone);
          expect(fill ?? stroke).toBeDefined();
        }
        const numbers = numbersOf(drawing);
        expect(numbers.every(Number.isFinite)).toBe(true);
        expect(Math.min(...numbers)).toBeGreaterThan(-14);
        expect(Math.max(...numbers)).toBeLessThan(ANCHOR_FRAME.width + 14);
        expect(ratingDrawing(scale, halves / 2)).toEqual(drawing);
        // Thirty of them stand on one screen.
        expect(JSON.stringify(drawing).length).toBeLessThan(32_000);
      }),
      { numRuns: 21 },
    );
  });

  it.each(RATING_IDS)('%s: no two anchors look alike', (scale) => {
    const all = ANCHOR_POINTS.map((point) => JSON.stringify(ratingDrawing(scale, point)));
    expect(new Set(all).size).toBe(ANCHOR_POINTS.length);
  });

  it('shows the difference that the words tell', () => {
    const volume = ANCHOR_POINTS.map((point) => widthOf(ratingDrawing('volume', point).slice(0, 1)));
    expect(volume).toEqual([...volume].sort((a, b) => a - b));
    // “As wide as the face” counts both sides of it: the hair is wider than the shoulders’ neck, at 10 than all else.
    expect(volume[4]! / volume[0]!).toBeGreaterThan(2);
    const halo = ANCHOR_POINTS.map((point) => ratingDrawing('frizz', point).at(-1)!.d.length);
    expect(halo).toEqual([...halo].sort((a, b) => a - b));
    const loose = ANCHOR_POINTS.map((point) => lengthsOf(ratingDrawing('definition', point), 'warm'));
    expect(loose).toEqual([...loose].sort((a, b) => b - a));
    const lit = ANCHOR_POINTS.map((point) => lengthsOf(ratingDrawing('shine', point), 'sand'));
    expect(lit).toEqual([...lit].sort((a, b) => a - b));
    expect(lit[0]).toBe(0);
  });
});
