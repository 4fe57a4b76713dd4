import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ENDS_METHOD_IDS, ROOT_METHOD_IDS } from '../coefficients/root-and-ends';
import { TECHNIQUE_IDS, techniqueOf } from '../techniques';
import { forLeftHand } from './left-hand';
import { endsCards, finishCards, rootCards } from './method-cards';
import { plait, rope, walk } from './pen';
import { FRAME, pathOf, TONES, type Drawing, type Point } from './shape';
import { techniqueCards } from './technique-cards';

const all = [
  ...Object.values(techniqueCards),
  ...Object.values(rootCards),
  ...Object.values(endsCards),
  ...Object.values(finishCards),
];
const numbersOf = (d: string) => d.match(/-?[\d.]+/g)!.map(Number);

/** Moves and lines of absolute numbers, closed or not (SVG 2, path data grammar). */
const PATH = /^M-?[\d.]+ -?[\d.]+(L-?[\d.]+ -?[\d.]+)+Z?$/;

function expectWellFormed(drawing: Drawing) {
  expect(drawing.length).toBeGreaterThanOrEqual(2);
  for (const { d, fill, stroke, width } of drawing) {
    expect(d).toMatch(PATH);
    expect(fill ?? stroke).toBeDefined();
    for (const tone of [fill, stroke]) if (tone) expect(TONES).toContain(tone);
    if (width !== undefined) expect(width).toBeGreaterThan(0);
    const numbers = numbersOf(d);
    expect(numbers.every(Number.isFinite)).toBe(true);
    // A shape may be cut off by the frame; none lies outside it.
    const [xs, ys] = [numbers.filter((_, i) => i % 2 === 0), numbers.filter((_, i) => i % 2 === 1)];
    expect(Math.max(...xs)).toBeGreaterThan(0);
    expect(Math.min(...xs)).toBeLessThan(FRAME.width);
    expect(Math.max(...ys)).toBeGreaterThan(0);
    expect(Math.min(...ys)).toBeLessThan(FRAME.height);
  }
}

describe('cards', () => {
  it('every technique, root and ends method has one', () => {
    expect(Object.keys(techniqueCards).sort()).toEqual([...TECHNIQUE_IDS].sort());
    expect(Object.keys(rootCards).sort()).toEqual([...ROOT_METHOD_IDS].sort());
    expect(Object.keys(endsCards).sort()).toEqual([...ENDS_METHOD_IDS].sort());
    for (const id of TECHNIQUE_IDS) {
      const words = techniqueCards[id].title.toLowerCase().split(/[ ,-]+/);
      expect(techniqueOf(id).label.toLowerCase()).toContain(words[0]!.slice(0, 4));
    }
  });

  it.each(all.map((card) => [card.title, card] as const))('%s: three to six drawn steps', (_, card) => {
    expect(card.steps.length).toBeGreaterThanOrEqual(3);
    expect(card.steps.length).toBeLessThanOrEqual(6);
    expect(new Set(card.steps.map(({ words }) => words)).size).toBe(card.steps.length);
    expect(card.wrong).toMatch(/[.]$/);
    for (const { draw } of card.steps) expectWellFormed(draw());
  });

  it('a step weighs less than 60 kB, and the same step is always the same drawing', () => {
    for (const { steps } of all)
      for (const { draw } of steps) {
        const bytes = draw().reduce((sum, { d }) => sum + d.length, 0);
        expect(bytes).toBeLessThan(60_000);
        expect(draw()).toEqual(draw());
      }
  });

  it('for the left hand, left is right', () => {
    expect(forLeftHand('Right over left, one way')).toBe('Left over right, one way');
    expect(forLeftHand('The leftover is bright')).toBe('The leftover is bright');
  });
});

describe('the pen', () => {
  const width = fc.integer({ min: 12, max: 40 });
  const length = fc.integer({ min: 60, max: 200 });

  it('a rope and a plait stay within their width about their line, open ends apart', () => {
    fc.assert(
      fc.property(width, length, fc.constantFrom(2 as const, 3 as const), (w, l, strands) => {
        const path: Point[] = [
          [100, 10],
          [100, 10 + l],
        ];
        for (const drawing of [rope({ path, strands, width: w }), plait({ path, width: w })]) {
          const xs = drawing.flatMap(({ d }) => numbersOf(d).filter((_, i) => i % 2 === 0));
          expect(Math.min(...xs)).toBeGreaterThan(100 - 1.3 * w);
          expect(Math.max(...xs)).toBeLessThan(100 + 1.3 * w);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('an outside plait is the inside one seen from behind: what was over is under', () => {
    const path: Point[] = [
      [100, 10],
      [100, 160],
    ];
    const [inside, outside] = [plait({ path, width: 30 }), plait({ path, width: 30, isOutside: true })];
    const fills = (drawing: Drawing) => drawing.flatMap(({ d, fill }) => (fill ? [d] : []));
    // What lies on top is drawn last.
    const [over, under] = [fills(inside).at(-1)!, fills(outside)];
    expect(under.indexOf(over)).toBeGreaterThanOrEqual(0);
    expect(under.indexOf(over)).toBeLessThan(under.length / 2);
  });

  it('a walk along a line is as long as the line, and goes straight on beyond it', () => {
    const line = walk([
      [0, 0],
      [3, 4],
      [3, 10],
    ]);
    expect(line.length).toBe(11);
    expect(line.at(5).point).toEqual([3, 4]);
    expect(line.at(13).point).toEqual([3, 12]);
    expect(pathOf([[0.04, 1]])).toBe('M0 1');
  });
});
