import { Z_90 } from './normal';

/** A quantity with its 10–90 % band. `p10 ≤ p50 ≤ p90`; the unit is in the name of the field that holds it. */
export interface Spread {
  readonly p10: number;
  readonly p50: number;
  readonly p90: number;
}

/**
 * The 10–90 % band of a quantity whose logarithm is normal about ln `p50` with standard deviation `lnSd`.
 *
 * @example spreadByLn(10, 0.2) // => { p10: 7.739, p50: 10, p90: 12.922 }
 */
export const spreadByLn = (p50: number, lnSd: number): Spread => ({
  p10: p50 * Math.exp(-Z_90 * lnSd),
  p50,
  p90: p50 * Math.exp(Z_90 * lnSd),
});
