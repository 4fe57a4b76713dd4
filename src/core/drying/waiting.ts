import { drying } from '../coefficients/drying';
import type { StartStateId } from '../coefficients/start-states';
import { startStates } from '../coefficients/start-states';
import { air } from '../drying-methods/air';
import { interpolate } from '../stats/interpolate';
import type { Room } from './air-at-hair';
import { dryRun } from './dry-run';
import type { DryingShape, SectionClass } from './nodes';
import { saturatedRegain } from './sorption';

/** Clipped hair waiting its turn. */
const CLIPPED: DryingShape = {
  kind: 'rope',
  packing: 0.2,
  axialRatio: 0.6,
  perimeterFactor: 1.2,
  rootExposure: 0.5,
  clumpRadiusMm: 5,
};

const WAIT_HORIZON_H = 12;

/**
 * Hours until waiting hair has dried below the wetness it should be set at, and until its ends have.
 *
 * @returns null where the start state is not wet, so that there is nothing to keep up
 * @source drying §8: four clipped quadrants in open air, without product
 */
export function waitingLimits(
  quadrants: readonly Omit<SectionClass, 'shape' | 'rod'>[],
  room: Room,
  startState: StartStateId,
  porosityFactor: number,
): { meanH: number; endsH: number } | null {
  const { moisture } = startStates[startState];
  if (moisture.kind !== 'free') return null;
  const saturated = saturatedRegain(porosityFactor);
  const floor = saturated + drying.value.waitingFloor;
  const run = dryRun({
    classes: quadrants.map((quadrant) => ({ ...quadrant, shape: CLIPPED, rod: null })),
    room,
    steps: [{ method: air, hours: WAIT_HORIZON_H }],
    porosityFactor,
    startMoisture: saturated + moisture.regain,
    filmResistanceSM: 0,
    rate: 1,
    horizonH: WAIT_HORIZON_H,
  });
  const crossing = (values: readonly number[]) => {
    const at = values.findIndex((value) => value <= floor);
    if (at <= 0) return at === 0 ? 0 : WAIT_HORIZON_H;
    return interpolate([-values[at - 1]!, -values[at]!], [run.timeH[at - 1]!, run.timeH[at]!], -floor);
  };
  return { meanH: crossing(run.moisture), endsH: crossing(run.levelMoisture[2]) };
}
