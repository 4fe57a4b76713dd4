import { KNOT_PLACES } from './dry-marks';
import { knotLevels } from './knot-core';
import type { RunningNode } from './running-zone';

/** Moisture of a head over time. */
export interface DryCurve {
  readonly timeH: readonly number[];
  readonly moisture: readonly number[];
  readonly dampness: readonly number[];
  readonly levelMoisture: readonly [readonly number[], readonly number[], readonly number[]];
  readonly placeMoisture: readonly (readonly number[])[];
}

/** Share of a node's removable water that is left, 1 as set … 0 dry. */
const dampnessOf = ({ moisture, startMoisture, dry }: RunningNode): number =>
  Math.min(1, Math.max(0, (moisture - dry) / Math.max(1e-9, startMoisture - dry)));

/**
 * Keeps a curve point by point.
 *
 * @param places how many places there are where each is to be kept; 0 keeps none
 */
export function curveRecorder(
  nodes: readonly RunningNode[],
  { porosityFactor, places }: { porosityFactor: number; places: number },
): { readonly curve: DryCurve; readonly record: (timeH: number) => void } {
  const timeH: number[] = [];
  const moisture: number[] = [];
  const dampness: number[] = [];
  const levelMoisture: [number[], number[], number[]] = [[], [], []];
  const placeMoisture: number[][] = Array.from({ length: places }, () => []);
  const totalKg = nodes.reduce((sum, node) => sum + node.massKg, 0);
  const levelKg: [number, number, number] = [0, 0, 0];
  for (const node of nodes) {
    if (node.isKnot) for (const level of KNOT_PLACES) levelKg[level] += node.massKg;
    else levelKg[node.level] += node.massKg;
  }
  return {
    curve: { timeH, moisture, dampness, levelMoisture, placeMoisture },
    record: (at) => {
      let damp = 0;
      let total = 0;
      const water: [number, number, number] = [0, 0, 0];
      for (const node of nodes) {
        total += node.massKg * node.moisture;
        damp += node.massKg * dampnessOf(node);
        if (node.isKnot) {
          const { core, shell } = knotLevels(node.moisture, node.limit, node.startMoisture, porosityFactor);
          water[0] += node.massKg * core;
          water[1] += node.massKg * node.moisture;
          water[2] += node.massKg * shell;
        } else {
          water[node.level] += node.massKg * node.moisture;
          placeMoisture[node.place]?.push(node.moisture);
        }
      }
      timeH.push(at);
      moisture.push(total / totalKg);
      dampness.push(damp / totalKg);
      for (const level of KNOT_PLACES) levelMoisture[level].push(water[level] / (levelKg[level] || 1));
    },
  };
}
