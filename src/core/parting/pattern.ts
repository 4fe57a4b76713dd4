/** How sections lie on the head. */
export const PARTING_PATTERNS = ['rows', 'brick', 'radial', 'lanes-back', 'lanes-side'] as const;
export type PartingPattern = (typeof PARTING_PATTERNS)[number];

/** Which way the style is parted for wearing. */
export const PART_LINES = [
  'none',
  'centre',
  'left',
  'right',
  'curved-left',
  'curved-right',
  'half-up',
] as const;
export type PartLine = (typeof PART_LINES)[number];
