import type { Bundle, Tool } from './bundle';
import { fitRod } from './rod-fit';

/** A size in the drawer and how many there are. */
export interface OwnedTool extends Tool {
  readonly owned: number;
}

/** Rods of one size that a plan takes. */
export interface ToolCount extends OwnedTool {
  /** First choice of this many sections, as if there were no end of them. */
  readonly needed: number;
}

/**
 * Deals rods out to sections, thickest and longest first: each takes the smallest rod at or above the wanted
 * size that fits and is left; where none at or above it fits, the largest that does.
 *
 * @returns the first choices by size, and how many sections are left without a rod
 * @source set-geometry §4, rods needed and owned
 */
export function rodsNeeded(
  bundles: readonly Pick<Bundle, 'grossMm2' | 'lengthMm'>[],
  wantedMm: number,
  drawer: readonly OwnedTool[],
  gap = 0,
): { sizes: ToolCount[]; short: number } {
  const sizes = [...drawer].sort((a, b) => a.diameterMm - b.diameterMm);
  const left = sizes.map((size) => size.owned);
  const needed = sizes.map(() => 0);
  let short = 0;
  const hardestFirst = [...bundles].sort(
    (a, b) => b.lengthMm * Math.sqrt(b.grossMm2) - a.lengthMm * Math.sqrt(a.grossMm2),
  );
  for (const bundle of hardestFirst) {
    const fitting = sizes.map((size) => fitRod(bundle, size, gap).fits);
    const choose = (isLeft: (i: number) => boolean) => {
      const up = sizes.findIndex((size, i) => size.diameterMm >= wantedMm && fitting[i] && isLeft(i));
      return up >= 0 ? up : sizes.findLastIndex((_, i) => fitting[i] && isLeft(i));
    };
    const first = choose(() => true);
    if (first >= 0) needed[first]!++;
    const taken = choose((i) => left[i]! > 0);
    if (taken >= 0) left[taken]!--;
    else short++;
  }
  return { sizes: sizes.map((size, i) => ({ ...size, needed: needed[i]! })), short };
}
