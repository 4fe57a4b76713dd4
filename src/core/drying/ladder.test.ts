import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveLadder, type Ladder } from './ladder';

const levelsOf = (ladder: Ladder): [number, number, number] => {
  const out: [number, number, number] = [0, 0, 0];
  solveLadder(ladder, out);
  return out;
};

const positive = fc.double({ min: 1e-4, max: 10, noNaN: true });

describe('the ladder of air between roots and room', () => {
  it('lets out at the top exactly what flows in at the rungs', () => {
    fc.assert(
      fc.property(
        fc.tuple(positive, positive, positive),
        fc.tuple(positive, positive, positive),
        fc.tuple(positive, positive, positive),
        positive,
        (between, toNodes, sources, room) => {
          const levels = levelsOf({ between, toNodes, sources, room });
          const inflow = sources.reduce((sum, source, i) => sum + source - toNodes[i]! * levels[i]!, 0);
          const outflow = between[2] * (levels[2] - room);
          expect(Math.abs(inflow - outflow)).toBeLessThan(
            1e-9 * (1 + Math.abs(inflow) + Math.abs(outflow)) * 1e3,
          );
        },
      ),
    );
  });

  it('with nothing flowing in is level with the room', () => {
    for (const level of levelsOf({
      between: [1, 2, 3],
      toNodes: [0, 0, 0],
      sources: [0, 0, 0],
      room: 7,
    })) {
      expect(level).toBeCloseTo(7, 12);
    }
  });
});
