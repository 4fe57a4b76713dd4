import { knotLevels } from './knot-core';
import type { RunningNode } from './running-zone';

/** Levels of the three rungs that a knot stands for, by when core, mean and shell are dry. */
export const KNOT_PLACES = [0, 1, 2] as const;

/** When each place became dry. */
export interface DryMarks {
  /** Hours after the end of installing; Infinity while it is damp. */
  readonly dryAfterH: readonly number[];
  /** Notes a node that is dry as the run begins. */
  readonly markFromStart: (node: RunningNode) => void;
  /**
   * Notes what of a node fell through its measure of dryness within a step, and whether all of it is dry now.
   *
   * @param before its moisture and limit as the step began
   */
  readonly markStep: (
    node: RunningNode,
    before: { readonly moisture: number; readonly limit: number },
    nowS: number,
    stepS: number,
  ) => void;
}

/**
 * @param places how many there are: three a class
 * @param installS seconds on the run's clock at which the last section is in
 */
export function dryMarks(places: number, installS: number, porosityFactor: number): DryMarks {
  const dryAfterH = new Array<number>(places).fill(Infinity);
  const mark = (place: number, seconds: number) => {
    if (dryAfterH[place] === Infinity) dryAfterH[place] = Math.max(0, (seconds - installS) / 3600);
  };
  return {
    dryAfterH,
    markFromStart: (node) => {
      node.isDry = true;
      if (node.isKnot) for (const level of KNOT_PLACES) mark(node.place - 1 + level, 0);
      else mark(node.place, 0);
    },
    markStep: (node, before, nowS, stepS) => {
      const { dry } = node;
      if (!node.isKnot) {
        if (node.moisture > dry) return;
        mark(node.place, nowS + stepS * crossingShare(before.moisture, node.moisture, dry, node.limit));
        node.isDry = true;
        return;
      }
      const was = knotLevels(before.moisture, before.limit, node.startMoisture, porosityFactor);
      const is = knotLevels(node.moisture, node.limit, node.startMoisture, porosityFactor);
      const pairs = [
        [was.core, is.core],
        [before.moisture, node.moisture],
        [was.shell, is.shell],
      ] as const;
      pairs.forEach(([from, to], level) => {
        if (to > dry) return;
        mark(node.place - 1 + level, nowS + stepS * crossingShare(from, to, dry, node.limit));
      });
      node.isDry = is.core <= dry;
    },
  };
}

/** Share of a step after which moisture that decays towards `limit` falls through `level`. */
function crossingShare(from: number, to: number, level: number, limit: number): number {
  if (from <= level || from <= to) return 0;
  const share =
    level > limit && to > limit
      ? Math.log((from - limit) / (level - limit)) / Math.log((from - limit) / (to - limit))
      : (from - level) / (from - to);
  return Math.min(1, Math.max(0, share));
}
