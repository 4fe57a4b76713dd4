import { drying } from '../coefficients/drying';
import type { StartStateId } from '../coefficients/start-states';
import { startStates } from '../coefficients/start-states';
import { air } from '../drying-methods/air';
import type { Zone } from '../hair/zone';
import { interpolate } from '../stats/interpolate';
import type { Room } from './air-at-hair';
import { dryRun } from './dry-run';
import type { DryingShape, SectionClass } from './nodes';
import { saturatedRegain } from './sorption';
import { hairMoisture } from './start-moisture';

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

/** Clipped hair of one zone: all of it as one bundle. */
export type WaitingZone = Omit<SectionClass, 'shape' | 'rod'>;

/** How hair dries while it waits: moisture over time of each zone, g per g, and the floor it should not fall below. */
export interface WaitingHair {
  readonly timeH: readonly number[];
  readonly zones: readonly {
    readonly zone: Zone;
    /** Share of the head's hair, by mass. */
    readonly massShare: number;
    readonly mean: readonly number[];
    readonly ends: readonly number[];
  }[];
  /** Null where the start state is not wet, so that there is nothing to keep up. */
  readonly floor: number | null;
}

/**
 * Dries clipped, unset hair in open air, without product.
 *
 * @source drying §8
 */
export function waitingHair(
  clipped: readonly WaitingZone[],
  room: Room,
  startState: StartStateId,
  porosityFactor: number,
): WaitingHair {
  const run = dryRun({
    classes: clipped.map((zone) => ({ ...zone, shape: CLIPPED, rod: null })),
    room,
    steps: [{ method: air, hours: WAIT_HORIZON_H }],
    porosityFactor,
    startMoisture: hairMoisture(startState, porosityFactor, room),
    filmResistanceSM: 0,
    rate: 1,
    horizonH: WAIT_HORIZON_H,
    byPlace: true,
    stepScale: 2.4,
  });
  const c = drying.value;
  const massOf = (zone: WaitingZone) => {
    const root = Math.min(c.rootSegmentCm, c.rootSegmentShare * zone.lengthCm);
    const ends = c.endSegmentShare * zone.lengthCm;
    const perCm = [1, c.middleSurvival, c.endSurvival] as const;
    const hairs = zone.count * zone.sectionAreaCm2 * zone.hairsPerCm2 * zone.strandUm ** 2;
    return [root, zone.lengthCm - root - ends, ends].map((cm, level) => hairs * cm * perCm[level]!);
  };
  const total = clipped.reduce((sum, zone) => sum + massOf(zone).reduce((a, b) => a + b, 0), 0);
  return {
    timeH: run.timeH,
    zones: clipped.map((zone, i) => {
      const mass = massOf(zone);
      const whole = mass.reduce((a, b) => a + b, 0);
      const levels = [0, 1, 2].map((level) => run.placeMoisture[i * 3 + level]!);
      return {
        zone: zone.zone,
        massShare: whole / total,
        mean: run.timeH.map(
          (_, t) => levels.reduce((sum, own, level) => sum + own[t]! * mass[level]!, 0) / whole,
        ),
        ends: levels[2]!,
      };
    }),
    floor:
      startStates[startState].moisture.kind === 'free'
        ? saturatedRegain(porosityFactor) + c.waitingFloor
        : null,
  };
}

/** Mean over some zones of a series, by their hair. */
const meanOf = (hair: WaitingHair, zones: readonly Zone[], of: 'mean' | 'ends'): number[] => {
  const chosen = hair.zones.filter(({ zone }) => zones.includes(zone));
  const mass = chosen.reduce((sum, { massShare }) => sum + massShare, 0);
  return hair.timeH.map((_, t) => chosen.reduce((sum, z) => sum + z.massShare * z[of][t]!, 0) / mass);
};

/**
 * Hours until the hair of some zones has dried to the floor on the mean, and until its ends have.
 *
 * @returns null where there is nothing to keep up
 */
export function waitingLimits(
  hair: WaitingHair,
  zones: readonly Zone[],
): { meanH: number; endsH: number } | null {
  const { floor } = hair;
  if (floor === null) return null;
  const crossing = (values: readonly number[]) => {
    const at = values.findIndex((value) => value <= floor);
    if (at <= 0) return at === 0 ? 0 : WAIT_HORIZON_H;
    return interpolate([-values[at - 1]!, -values[at]!], [hair.timeH[at - 1]!, hair.timeH[at]!], -floor);
  };
  return { meanH: crossing(meanOf(hair, zones, 'mean')), endsH: crossing(meanOf(hair, zones, 'ends')) };
}

/** Moisture of a zone's hair after it has waited, g per g. */
export function waitedMoisture(hair: WaitingHair, zone: Zone, hours: number): number {
  const hairOfZone = hair.zones.find((z) => z.zone === zone);
  return hairOfZone ? interpolate(hair.timeH, hairOfZone.mean, hours) : 0;
}
