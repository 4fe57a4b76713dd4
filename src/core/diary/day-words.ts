/** What can be wrong at a place of a style that is worn. One row a mark. */
export const wearMarks = {
  frizz: { label: 'Frizz' },
  'lost-shape': { label: 'Lost shape' },
  dry: { label: 'Dry' },
  itch: { label: 'Itch' },
} as const satisfies Record<string, { readonly label: string }>;
export type WearMarkId = keyof typeof wearMarks;
/** Their ids, as they are offered. */
export const WEAR_MARK_IDS = Object.keys(wearMarks) as WearMarkId[];

/** What was done to a style, or happened to it, in a day. One row each. */
export const dayDeeds = {
  misted: { label: 'Misted', isRefresh: true },
  product: { label: 'Product', isRefresh: true },
  steamed: { label: 'Steamed', isRefresh: true },
  'got-wet': { label: 'Got wet', isRefresh: false },
  sweated: { label: 'Sweated', isRefresh: false },
} as const satisfies Record<string, { readonly label: string; readonly isRefresh: boolean }>;
export type DayDeedId = keyof typeof dayDeeds;
/** Their ids, as they are offered. */
export const DAY_DEED_IDS = Object.keys(dayDeeds) as DayDeedId[];

/** How a style is worn that day. One row each. */
export const wornWays = {
  loose: { label: 'Worn loose' },
  'half-up': { label: 'Half up' },
  'pulled-back': { label: 'Pulled back' },
} as const satisfies Record<string, { readonly label: string }>;
export type WornWayId = keyof typeof wornWays;
/** Their ids, as they are offered. */
export const WORN_WAY_IDS = Object.keys(wornWays) as WornWayId[];
