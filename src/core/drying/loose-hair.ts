import { drying } from '../coefficients/drying';
import { POROSITY } from '../coefficients/hair';
import { air } from '../drying-methods/air';
import type { Head } from '../hair/head';
import { ZONES, type Zone } from '../hair/zone';
import { interpolate } from '../stats/interpolate';
import type { Room } from './air-at-hair';
import { dryRun } from './dry-run';
import type { DryingShape } from './nodes';
import { equilibriumRegain } from './sorption';
import { hairMoisture, WETTEST_ROOM } from './start-moisture';

/** Hair that hangs loose after a towel: in clumps, with air passing freely. */
export const LOOSE: DryingShape = {
  kind: 'rope',
  packing: 0.2,
  axialRatio: 0.75,
  perimeterFactor: 1.2,
  rootExposure: 0.6,
  clumpRadiusMm: 2.2,
  vent: 3,
};

const LONGEST_H = 12;

/**
 * Minutes for towelled, damp, loose hair to become nearly dry in open air.
 *
 * @param areas zone and scalp area of each section
 * @source drying §11, scenario 10 (common practice: one to two hours)
 */
export function nearlyDryAfterMin(
  head: Head,
  room: Room,
  areas: readonly { readonly zone: Zone; readonly areaCm2: number }[],
): number {
  const { looseBundles, nearlyDryShare } = drying.value;
  const total = areas.reduce((sum, { areaCm2 }) => sum + areaCm2, 0);
  const porosityFactor = POROSITY[head.porosity].boundWater;
  const boundedRoom = { ...room, relativeHumidity: Math.min(WETTEST_ROOM, room.relativeHumidity) };
  const run = dryRun({
    classes: ZONES.flatMap((zone) => {
      const zoneCm2 = areas.reduce((sum, area) => sum + (area.zone === zone ? area.areaCm2 : 0), 0);
      if (zoneCm2 === 0) return [];
      return [
        {
          zone,
          count: (looseBundles * zoneCm2) / total,
          sectionAreaCm2: total / looseBundles,
          hairsPerCm2: head.densityPerCm2,
          strandUm: head.strandDiameterUm,
          lengthCm: head.stretchedLengthCm[zone],
          shape: LOOSE,
          rod: null,
        },
      ];
    }),
    room: boundedRoom,
    steps: [{ method: air, hours: LONGEST_H }],
    porosityFactor,
    startMoisture: hairMoisture('damp', porosityFactor, boundedRoom),
    filmResistanceSM: 0,
    rate: 1,
    horizonH: LONGEST_H,
  });
  const inRoom = equilibriumRegain(boundedRoom.relativeHumidity, porosityFactor);
  const set = run.moisture[0]!;
  const gone = run.moisture.map((moisture) => (set - moisture) / (set - inRoom));
  return 60 * interpolate(gone, run.timeH, nearlyDryShare);
}
