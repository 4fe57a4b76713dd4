import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formatMinutes } from '@/ui/format';
import { partWords, roundedSum } from './hands-on';

describe('a sum of work and its parts', () => {
  it('the parts as shown are the sum as shown', () => {
    const own = roundedSum([
      { name: 'set', min: 47.4 },
      { name: 'undo', min: 12.4 },
      { name: 'separate', min: 7.4 },
    ]);
    expect(own.minutes).toBe(65);
    expect(partWords(own)).toBe('set 50 min + undo 10 min + separate 5 min');
  });

  it('whatever the parts are', () => {
    const part = fc.double({ min: 0, max: 600, noNaN: true });
    fc.assert(
      fc.property(part, part, part, (set, undo, separate) => {
        const own = roundedSum([
          { name: 'set', min: set },
          { name: 'undo', min: undo },
          { name: 'separate', min: separate },
        ]);
        expect(own.parts.reduce((sum, { minutes }) => sum + minutes, 0)).toBe(own.minutes);
        // What is printed is what was summed: printing rounds nothing again.
        for (const minutes of [own.minutes, ...own.parts.map((one) => one.minutes)])
          expect(minutesOf(formatMinutes(minutes))).toBe(minutes);
      }),
    );
  });
});

/** Reads "1 h 35", "2 h" and "45 min" back. */
function minutesOf(words: string): number {
  const [, hours, rest] = /^(\d+) h(?: (\d+))?$/.exec(words) ?? [];
  return hours === undefined ? Number.parseInt(words, 10) : Number(hours) * 60 + Number(rest ?? 0);
}
