import { airAtHair, drying as dryingTable, zoneExposure } from '../coefficients/drying';
import { air as openAir } from '../drying-methods/air';
import type { DryingMethod } from '../drying-methods/method';
import type { Zone } from '../hair/zone';
import { clamp } from '../units/clamp';
import { humidityRatio, saturatedVapourDensity, wetBulbFromRatioC } from './air';
import type { DryingNode } from './nodes';
import { cylinderTransfer, filmAir, type FilmAir, type Transfer } from './transfer';

/** The room the head dries in. */
export interface Room {
  readonly temperatureC: number;
  /** 0 to 1. */
  readonly relativeHumidity: number;
}

/** How the air at hand differs from a method's own figures. */
export interface AirSupply {
  /** × the air movement: in full in open air, by its root where a machine blows. */
  readonly movement: number;
  /** Added to the temperature of hot air, K. */
  readonly hotAirK: number;
}

const AS_USUAL: AirSupply = { movement: 1, hotAirK: 0 };

/** What one drying method makes of a room, the same for every zone. */
export interface MethodAir {
  readonly scalpC: number;
  readonly radiantC: number;
  readonly sweatKgM2S: number;
  readonly roomVapour: number;
  /** Share of each node's area that a wrap leaves open. */
  readonly openShare: number;
  readonly hotStep: boolean;
  /** Air that passes over each node, with the share of the time it does. */
  readonly streams: readonly AirStream[];
}

/** Air of one temperature over the hair. */
interface AirStream {
  readonly share: number;
  readonly method: DryingMethod;
  readonly movement: number;
  readonly film: FilmAir;
  readonly differenceK: number;
}

/** Air temperature of a method in a room: a hood set cooler than the room blows room air. */
const airTemperatureC = (method: DryingMethod, room: Room, supply: AirSupply) =>
  method.airC === null ? room.temperatureC : Math.max(method.airC + supply.hotAirK, room.temperatureC);

/** Scalp, radiation, sweat and room vapour under a method (drying §5.5). */
export function methodAir(method: DryingMethod, room: Room, supply = AS_USUAL): MethodAir {
  const c = airAtHair.value;
  const radiantFrom =
    method.radiant.from === 'air' ? airTemperatureC(method, room, supply) : room.temperatureC;
  return {
    scalpC: method.isBlown
      ? method.scalpC
      : Math.max(room.temperatureC, method.scalpC + c.scalpFollowsRoom * (room.temperatureC - c.scalpRoomC)),
    radiantC: radiantFrom + method.radiant.offsetK,
    sweatKgM2S: method.sweatGM2H / 3.6e6,
    roomVapour: room.relativeHumidity * saturatedVapourDensity(room.temperatureC),
    openShare: method.cover ? 1 - method.cover.share / 2 : 1,
    hotStep: method.isBlown,
    streams: [
      airStream(method, room, method.duty, supply),
      ...(method.duty < 1 ? [airStream(openAir, room, 1 - method.duty, supply)] : []),
    ],
  };
}

/** Exchange conductances of one zone's ladder, m³/s, and the temperature of its far end, °C. */
export interface ZoneExchange {
  readonly between: readonly [number, number, number];
  readonly roomC: number;
}

/** What of a zone decides how freely its air renews itself. */
export interface AiredZone {
  readonly zone: Zone;
  readonly areaM2: number;
  /** Mean length of its hair, m. */
  readonly lengthM: number;
  /** × for hair that hangs loose. */
  readonly vent: number;
}

/** Ladder of one zone: area, hair length, exposure and air movement decide how freely its air renews itself. */
export function zoneExchange(
  method: DryingMethod,
  room: Room,
  { zone, areaM2, lengthM, vent }: AiredZone,
  supply = AS_USUAL,
): ZoneExchange {
  const exposure = zoneExposure.value[zone] * vent;
  const c = airAtHair.value;
  const envelope = 1 + c.envelopePerM * lengthM;
  const rootShape = clamp(Math.sqrt(c.rootShapeM / lengthM), c.rootShapeLow, c.rootShapeHigh);
  const mix = (index: 0 | 1 | 2) =>
    (method.duty * method.exchangeMmS[index] + (1 - method.duty) * openAir.exchangeMmS[index]) / 1000;
  const endSpeed = mix(2) * Math.sqrt(supply.movement);
  const endRoom = method.cover
    ? (areaM2 * Math.max(envelope, method.cover.areaRatio) * (1 - method.cover.share)) /
      (1 / (endSpeed * exposure) + method.cover.resistanceSM)
    : endSpeed * exposure * areaM2 * envelope;
  const hotShare = (method.duty * method.exchangeMmS[2]) / 1000 / mix(2);
  return {
    between: [mix(0) * exposure * areaM2 * rootShape, mix(1) * exposure * areaM2 * envelope, endRoom],
    roomC: hotShare * airTemperatureC(method, room, supply) + (1 - hotShare) * room.temperatureC,
  };
}

function airStream(method: DryingMethod, room: Room, share: number, supply: AirSupply): AirStream {
  const airC = airTemperatureC(method, room, supply);
  const movement = method.isBlown ? Math.sqrt(supply.movement) : supply.movement;
  const wetC = wetBulbFromRatioC(airC, humidityRatio(room.temperatureC, room.relativeHumidity));
  return {
    share,
    method,
    movement,
    film: filmAir((airC + wetC) / 2),
    differenceK: airAtHair.value.convectionShare * Math.max(1, airC - wetC),
  };
}

/** Heat and mass transfer at one node; a moving nozzle is averaged over its duty. */
export function nodeTransfer(air: MethodAir, zone: Zone, node: DryingNode): Transfer {
  let heatWM2K = 0;
  let massMS = 0;
  for (const { share, method, movement, film, differenceK } of air.streams) {
    const speed = movement * method.airSpeedMS * method.speedShare[node.level] * zoneExposure.value[zone];
    const transfer = cylinderTransfer(node.diameterM, speed, film, differenceK);
    heatWM2K += share * transfer.heatWM2K;
    massMS += share * transfer.massMS;
  }
  return { heatWM2K, massMS };
}

/** Radiation conductance per m² of a node, W/K: roots and knots are half hidden. */
export const radiationWM2K = (isHidden: boolean): number =>
  dryingTable.value.radiationWM2K *
  (isHidden ? airAtHair.value.hiddenRadiation : airAtHair.value.openRadiation);
