import { drawSpread } from '../coefficients/drying';
import { seededRng, type Rng } from '../random/rng';
import { normalQuantile } from '../stats/normal';
import { clamp } from '../units/clamp';
import { dryRun } from './dry-run';
import type { DryingStep } from './dry-run-input';
import { handPartedClasses, type ZoneSections } from './section-classes';
import { WETTEST_ROOM } from './start-moisture';
import type { Room } from './air-at-hair';

/** What a head, a set and a room are believed to be; every draw makes one of it. */
export interface UncertainDrying {
  /** Sections without their start moisture: that depends on the draw. */
  readonly zones: readonly ZoneSections[];
  readonly room: Room;
  readonly steps: readonly DryingStep[];
  readonly porosityFactor: number;
  readonly filmResistanceSM: number;
  /** Moisture of a zone's hair as it is set, before product, in a room and with that much pick-up. */
  readonly hairMoistureOf: (zoneIndex: number, room: Room, pickUp: number) => number;
  readonly productWaterPerG: number;
  /** What a towel leaves of the moisture of hair and products together. */
  readonly asSet: (moisture: number) => number;
  /** Belief in the head's drying rate. */
  readonly rate: { readonly median: number; readonly lnSd: number };
  readonly horizonH: number;
}

/** Hours after the end of installing at which one drawn head is dry. */
export interface DrawnTimes {
  readonly allH: number;
  readonly rootH: number;
  readonly endsH: number;
}

/**
 * One head as it may be: how much hair, how wet, what air, how evenly parted, how quick to dry.
 * Draws with the same seed and index are the same on every machine.
 *
 * @source drying §7
 */
export function drawDrying(what: UncertainDrying, seed: number, index: number): DrawnTimes {
  const rng: Rng = seededRng(seed, index);
  const normal = () => normalQuantile(rng());
  const s = drawSpread.value;
  const pickUp = Math.exp(s.pickUp * normal());
  const density = Math.exp(s.hairDensity * normal());
  const movement = Math.exp(s.airMovement * normal());
  const productWater = Math.exp(s.productWater * normal());
  const rate = what.rate.median * Math.exp(what.rate.lnSd * normal());
  const room: Room = {
    relativeHumidity: clamp(what.room.relativeHumidity + s.roomHumidity * normal(), 0, WETTEST_ROOM),
    temperatureC: what.room.temperatureC + s.roomTemperatureK * normal(),
  };
  const hotAirK = s.hotAirK * normal();
  const { dryAfterH } = dryRun({
    classes: handPartedClasses(what.zones, (i) => ({
      density,
      startMoisture: what.asSet(what.hairMoistureOf(i, room, pickUp) + what.productWaterPerG * productWater),
      largestQuantile: rng(),
    })),
    room,
    steps: what.steps,
    porosityFactor: what.porosityFactor,
    startMoisture: 0,
    filmResistanceSM: what.filmResistanceSM,
    rate,
    horizonH: what.horizonH,
    supply: { movement, hotAirK },
    stepScale: 2.4,
    timesOnly: true,
    untilDry: true,
  });
  const latest: [number, number, number] = [0, 0, 0];
  dryAfterH.forEach((hours, place) => {
    const level = (place % 3) as 0 | 1 | 2;
    latest[level] = Math.max(latest[level], Math.min(what.horizonH, hours));
  });
  return { rootH: latest[0], endsH: latest[2], allH: Math.max(...latest) };
}
