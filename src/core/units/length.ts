/** Exact by definition (international inch, 1959). */
export const CM_PER_INCH = 2.54;

/**
 * Centimetres from inches.
 *
 * @example cmFromInches(9.5) // => 24.13
 */
export const cmFromInches = (inches: number): number => inches * CM_PER_INCH;

/** Inches from centimetres. */
export const inchesFromCm = (cm: number): number => cm / CM_PER_INCH;

const NUMBER = String.raw`\d+(?:[.,]\d+)?`;
const PATTERN = new RegExp(
  String.raw`^(?:(?<whole>${NUMBER})(?:\s+(?<num>\d+)\s*/\s*(?<den>\d+))?|(?<num2>\d+)\s*/\s*(?<den2>\d+))\s*(?<unit>cm|mm|in|inch|inches|")?$`,
  'i',
);

const GLYPHS: Readonly<Record<string, string>> = {
  '⅛': '1/8', '¼': '1/4', '⅜': '3/8', '½': '1/2', '⅝': '5/8', '¾': '3/4', '⅞': '7/8',
}; // prettier-ignore

/**
 * Reads a length as people write it: "24", "24,5 cm", "9 1/2 in", "9½", "1/2 in", `10"`, "120 mm".
 *
 * @param text what was typed
 * @param assumed the unit of a bare number
 * @returns centimetres, or null when the text is not a length
 * @example parseLengthCm('9 1/2 in', 'cm') // => 24.13
 */
export function parseLengthCm(text: string, assumed: 'cm' | 'in'): number | null {
  const plain = text.replace(/[⅛¼⅜½⅝¾⅞]/g, (glyph) => ` ${GLYPHS[glyph]}`);
  const groups = PATTERN.exec(plain.trim())?.groups;
  if (!groups) return null;
  const number = (value: string | undefined) => (value === undefined ? 0 : Number(value.replace(',', '.')));
  const fraction = (over: string | undefined, under: string | undefined) =>
    over === undefined ? 0 : number(over) / number(under);
  const value = number(groups.whole) + fraction(groups.num ?? groups.num2, groups.den ?? groups.den2);
  if (!Number.isFinite(value)) return null;
  const unit = groups.unit?.toLowerCase() ?? assumed;
  if (unit === 'mm') return value / 10;
  return unit === 'cm' ? value : cmFromInches(value);
}
