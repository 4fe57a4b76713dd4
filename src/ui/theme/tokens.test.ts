import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { dark, light, TEXT_PAIRS } from './tokens';

/** Relative luminance and contrast of WCAG 2.2. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const c = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}
const contrast = (a: string, b: string) => {
  const [high, low] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
  return (high + 0.05) / (low + 0.05);
};

describe.each([
  ['light', light],
  ['dark', dark],
] as const)('the %s scheme', (name, tokens) => {
  it.each(TEXT_PAIRS)('%s on %s can be read (WCAG 2.2 AA)', (text, ground) => {
    expect(contrast(tokens[text], tokens[ground])).toBeGreaterThanOrEqual(4.5);
  });

  it('edges of controls stand out 3 : 1 (WCAG 2.2, 1.4.11)', () => {
    expect(contrast(tokens.control, tokens.ground)).toBeGreaterThanOrEqual(3);
  });

  it('is the same in the style sheet', () => {
    const css = readFileSync('src/app/globals.css', 'utf8');
    const block = css.slice(css.indexOf(`[data-scheme='${name}']`));
    for (const [key, value] of Object.entries(tokens)) {
      const property = key.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);
      expect(block.slice(0, block.indexOf('}'))).toContain(`--${property}: ${value};`);
    }
  });
});

it('the chair reads from two metres: 7 : 1', () => {
  expect(contrast(dark.ink, dark.ground)).toBeGreaterThanOrEqual(7);
  expect(contrast(dark.now, dark.ground)).toBeGreaterThanOrEqual(7);
});
