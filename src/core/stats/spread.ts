/** A quantity with its 10–90 % band. `p10 ≤ p50 ≤ p90`; the unit is in the name of the field that holds it. */
export interface Spread {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/** A band of a fixed share of the middle value, as ± `share` (0.2 for ± 20 %). */
export const spreadByShare = (p50: number, share: number): Spread => ({
  p10: p50 * (1 - share),
  p50,
  p90: p50 * (1 + share),
});
