import { drawSpread } from '../coefficients/drying';
import type { StartStateId } from '../coefficients/start-states';
import { seededRng, type Rng } from '../random/rng';
import { sobolPoints } from '../random/sobol';
import { normalQuantile } from '../stats/normal';
import { clamp } from '../units/clamp';
import { dryRun } from './dry-run';
import type { DryingStep } from './dry-run-input';
import { handPartedClasses, type ZoneSections } from './section-classes';
import { blotted, hairMoisture, WETTEST_ROOM } from './start-moisture';
import type { Room } from './air-at-hair';

/** What a head, a set and a room are believed to be; every draw makes one of it. Plain data: workers are given it. */
export interface UncertainDrying {
  /** Sections without their start moisture: that depends on the draw. */
  readonly zones: readonly ZoneSections[];
  readonly room: Room;
  readonly steps: readonly DryingStep[];
  readonly porosityFactor: number;
  /** Resistance of the dried products of each zone, s/m. */
  readonly filmResistanceSM: readonly number[];
  readonly startState: StartStateId;
  /** Water that each zone's hair lost while it waited its turn, g per g. */
  readonly lostWaiting: readonly number[];
  /** Water of the products of each zone, g per g of dry hair. */
  readonly productWaterPerG: readonly number[];
  /** Pressed with a towel once the products are in. */
  readonly blotted: boolean;
  /** × the air movement that is usual. */
  readonly movement: number;
  /** Belief in the head's drying rate. */
  readonly rate: { readonly median: number; readonly lnSd: number };
  readonly horizonH: number;
}

/** Hours after the end of installing at which one drawn head is dry. */
export interface DrawnTimes {
  readonly allH: number;
  readonly rootH: number;
  readonly endsH: number;
  /** The same of a usual section of each zone, zone by zone, root to ends. */
  readonly placesH: readonly number[];
}

/**
 * Moisture of a zone as it is set, product and towel included, g per g.
 *
 * @param pickUp × the water its start state brings
 * @param productWater × the water of the products
 */
export function startMoistureOf(
  { startState, porosityFactor, lostWaiting, productWaterPerG, blotted: isBlotted }: UncertainDrying,
  zoneIndex: number,
  room: Room,
  pickUp = 1,
  productWater = 1,
): number {
  const hair = hairMoisture(startState, porosityFactor, room, pickUp) - (lostWaiting[zoneIndex] ?? 0);
  const moisture = Math.max(0, hair) + (productWaterPerG[zoneIndex] ?? 0) * productWater;
  return isBlotted ? blotted(moisture, porosityFactor) : moisture;
}

/**
 * Heads `from` … `to` − 1 as they may be: how much hair, how wet, what air, how evenly parted, how quick to dry.
 * Heads of the same seed and number are the same on every machine, however many are drawn at once.
 *
 * @source drying §7
 */
export function drawnHeads(what: UncertainDrying, seed: number, from: number, to: number): DrawnTimes[] {
  const point = sobolPoints(seed);
  return Array.from({ length: to - from }, (_, i) =>
    // How large the largest section of a zone is, is drawn by chance: there are more zones than directions.
    drawnHead(what, (direction) => point(from + i, direction), seededRng(seed, from + i)),
  );
}

/**
 * One head.
 *
 * @param point its coordinates, one a thing that is not known
 */
function drawnHead(what: UncertainDrying, point: (direction: number) => number, rng: Rng): DrawnTimes {
  let direction = 0;
  const normal = () => normalQuantile(point(direction++));
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
  const classes = handPartedClasses(what.zones, (i) => ({
    density,
    startMoisture: startMoistureOf(what, i, room, pickUp, productWater),
    filmResistanceSM: what.filmResistanceSM[i] ?? 0,
    largestQuantile: rng(),
  }));
  const { dryAfterH } = dryRun({
    classes,
    room,
    steps: what.steps,
    porosityFactor: what.porosityFactor,
    startMoisture: 0,
    filmResistanceSM: 0,
    rate,
    horizonH: what.horizonH,
    supply: { movement: movement * what.movement, hotAirK },
    stepScale: 2.4,
    timesOnly: true,
    untilDry: true,
  });
  const latest: [number, number, number] = [0, 0, 0];
  dryAfterH.forEach((hours, place) => {
    const level = (place % 3) as 0 | 1 | 2;
    latest[level] = Math.max(latest[level], Math.min(what.horizonH, hours));
  });
  // Usual sections of a zone come before its largest.
  const placesH = what.zones.flatMap(({ zone }) => {
    const place = 3 * classes.findIndex((own) => own.zone === zone);
    return dryAfterH.slice(place, place + 3).map((hours) => Math.min(what.horizonH, hours));
  });
  return { rootH: latest[0], endsH: latest[2], allH: Math.max(...latest), placesH };
}
