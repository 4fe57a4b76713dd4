/** Which clipped-away quarter of the head a section waits in. */
export const QUADRANTS = ['back-left', 'back-right', 'front-left', 'front-right'] as const;
export type Quadrant = (typeof QUADRANTS)[number];

/** What a stylist calls them. */
export const QUADRANT_LABEL: Readonly<Record<Quadrant, string>> = {
  'back-left': 'back left',
  'back-right': 'back right',
  'front-left': 'front left',
  'front-right': 'front right',
};
