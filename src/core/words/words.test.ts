import { describe, expect, it } from 'vitest';
import { capitalised, listed, plural, sentence } from './words';

describe('words', () => {
  it('one is one, many are many, and thousands are parted', () => {
    expect(plural(1, 'twist')).toBe('1 twist');
    expect(plural(0, 'twist')).toBe('0 twists');
    expect(plural(2, 'box', 'boxes')).toBe('2 boxes');
    expect(plural(22_700, 'hair')).toBe('22,700 hairs');
  });

  it('a sentence begins with a capital and ends with a stop; nothing stays nothing', () => {
    expect(capitalised('hair is bleached')).toBe('Hair is bleached');
    expect(capitalised('')).toBe('');
    expect(sentence('hair is bleached')).toBe('Hair is bleached.');
    expect(sentence('')).toBe('');
  });

  it('a list is said as one says it', () => {
    expect([[], [3], [3, 7], [3, 7, 9]].map(listed)).toEqual(['', '3', '3 and 7', '3, 7 and 9']);
  });
});
