/**
 * What goes on once a set is taken down; none of it is a layer that has to dry. One row a habit (common practice, figures
 * assumed).
 */
export interface Afterwards {
  readonly label: string;
  readonly phrase: string;
  readonly definition: number;
  readonly frizz: number;
  readonly lnDays: number;
  /** × what damp air outdoors does. */
  readonly dew: number;
}

export const afterwards = {
  'cast-oil': { label: 'Oil that breaks the cast', phrase: 'the cast broken with oil', definition: -0.1, frizz: -0.15, lnDays: 0, dew: 0.95 },
  'leave-in': { label: 'A little leave-in', phrase: 'leave-in afterwards', definition: -0.15, frizz: 0.1, lnDays: -0.05, dew: 1 },
  'humidity-spray': { label: 'Humidity spray', phrase: 'humidity spray afterwards', definition: 0, frizz: 0, lnDays: 0, dew: 0.7 },
  edges: { label: 'Edge product, edges only', phrase: 'edges smoothed', definition: 0, frizz: 0, lnDays: 0, dew: 1 },
} as const satisfies Record<string, Afterwards>; // prettier-ignore

export type AfterwardsId = keyof typeof afterwards;
/** Their ids, in the order they go on. */
export const AFTERWARDS_IDS = Object.keys(afterwards) as AfterwardsId[];
