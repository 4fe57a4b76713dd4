/** How sections lie on the head. */
export const PARTING_PATTERNS = ['rows', 'brick', 'radial', 'lanes-back', 'lanes-side'] as const;
export type PartingPattern = (typeof PARTING_PATTERNS)[number];

/** Patterns that run in rows from ear to ear, so that rows can be counted. */
export const inRows = (pattern: PartingPattern): boolean => pattern === 'rows' || pattern === 'brick';

/** Whether a part leaves more hair on one side. */
export const dividesAside = (part: PartLine): boolean =>
  part !== 'none' && part !== 'centre' && part !== 'half-up' && part !== 'off-face';

/** Which way the style is parted for wearing. */
export const PART_LINES = [
  'none',
  'centre',
  'left',
  'right',
  'curved-left',
  'curved-right',
  'half-up',
  'off-face',
] as const;
export type PartLine = (typeof PART_LINES)[number];

/** What a stylist calls each pattern. */
export const PATTERN_LABEL: Readonly<Record<PartingPattern, string>> = {
  rows: 'Straight rows',
  brick: 'Brick rows',
  radial: 'Rings round the crown',
  'lanes-back': 'Lanes to the back',
  'lanes-side': 'Lanes to the side',
};

/** What a stylist calls each part. */
export const PART_LABEL: Readonly<Record<PartLine, string>> = {
  none: 'No part',
  centre: 'Centre part',
  left: 'Left part',
  right: 'Right part',
  'curved-left': 'Curved left part',
  'curved-right': 'Curved right part',
  'half-up': 'Half up',
  'off-face': 'Off the face',
};
