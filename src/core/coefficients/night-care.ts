/** What is done with the style at night. One row a habit (set-geometry §8; fitted or assumed). */
export interface NightCare {
  readonly label: string;
  readonly phrase: string;
  readonly lnDays: number;
  /** How much the curl opens a night. */
  readonly opening: number;
  readonly volume: number;
  /** Hands do something to every section each night. */
  readonly worksByNight: boolean;
  /** What is over hair still damp meanwhile: a bonnet, a scarf that leaves the back free, or nothing. */
  readonly cover: 'bonnet' | 'scarf' | null;
}

export const nightCares = {
  nothing: { label: 'Nothing', phrase: 'no night care', lnDays: -0.4, opening: 0, volume: -0.1, worksByNight: false, cover: null },
  'gather-and-bonnet': { label: 'Loose gather and bonnet', phrase: 'loose gather and bonnet at night', lnDays: 0, opening: 0.01, volume: 0.05, worksByNight: false, cover: 'bonnet' },
  scarf: { label: 'Scarf', phrase: 'scarf at night', lnDays: 0.03, opening: 0.004, volume: -0.15, worksByNight: false, cover: 'scarf' },
  're-twists': { label: 'Big re-twists', phrase: 'big re-twists at night', lnDays: 0.1, opening: 0.045, volume: 0.2, worksByNight: true, cover: 'bonnet' },
  're-knots': { label: 'Re-knots', phrase: 're-knots at night', lnDays: 0.05, opening: 0.015, volume: 0.15, worksByNight: true, cover: 'bonnet' },
  're-knots-larger': { label: 'Re-knots, larger than the set', phrase: 'larger re-knots at night', lnDays: 0.03, opening: 0.03, volume: 0.22, worksByNight: true, cover: 'bonnet' },
} as const satisfies Record<string, NightCare>; // prettier-ignore

export type NightCareId = keyof typeof nightCares;
/** Their ids, as they are offered. */
export const NIGHT_CARE_IDS = Object.keys(nightCares) as NightCareId[];
