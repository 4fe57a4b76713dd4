import { drying as dryingTable } from '../coefficients/drying';
import type { DryingMethod } from '../drying-methods/method';
import {
  AIR_HEAT_CAPACITY,
  quickSaturatedDensity,
  quickVapourDiffusivity,
  saturatedDensitySlope,
} from './air';
import {
  nodeTransfer,
  radiationWM2K,
  zoneExchange,
  type AirSupply,
  type MethodAir,
  type Room,
} from './air-at-hair';
import { solveLadder } from './ladder';
import type { RunningNode, RunningZone } from './running-zone';
import { activityAtRegain, equilibriumRegain } from './sorption';

/** What the hair of a run is like, the same for every node. */
export interface HairOfRun {
  /** Bound-water factor, 0.9 low … 1.15 high porosity. */
  readonly porosityFactor: number;
  /** Regain at which the fibre is saturated, g per g. */
  readonly saturated: number;
  /** Drying-rate multiplier of the head. */
  readonly rate: number;
}

const c = dryingTable.value;
/** Heat that a volume of room air carries, J/(m³ K). */
const HEAT_PER_VOLUME = 1.19 * AIR_HEAT_CAPACITY;

/** Puts a zone under the air of a method: how freely it renews itself, and what passes over each node. */
export function airZone(
  zone: RunningZone,
  method: DryingMethod,
  air: MethodAir,
  room: Room,
  supply: AirSupply | undefined,
): void {
  const exchange = zoneExchange(method, room, zone, supply);
  zone.between = exchange.between;
  zone.roomC = exchange.roomC;
  for (const node of zone.nodes) {
    const transfer = nodeTransfer(air, zone.zone, node.drawn);
    node.heatWM2K = transfer.heatWM2K;
    node.massMS = transfer.massMS;
    node.radiation = radiationWM2K(node.level === 0 || node.isKnot) * node.areaM2 * air.openShare;
  }
}

/**
 * Readies the nodes of a zone that are set for a step: conductances and air as they are now, moisture halfway through
 * the step at that pace, and conductances and air again for what holds there (an exponential midpoint step).
 *
 * @param passes how often air and nodes come to terms first; more at the very start, when nothing is settled yet
 */
export function readyStep(
  zone: RunningZone,
  air: MethodAir,
  hair: HairOfRun,
  stepS: number,
  passes: number,
): void {
  for (let i = 0; i < zone.active; i++) updateConductance(zone.nodes[i]!, air.openShare, hair);
  for (let pass = 0; pass < passes; pass++) settleZone(zone, air, passes);
  for (let i = 0; i < zone.active; i++) {
    const node = zone.nodes[i]!;
    node.halfway = after(node, zone.vapour[node.level], stepS / 2, hair);
  }
  for (let i = 0; i < zone.active; i++) updateConductance(zone.nodes[i]!, air.openShare, hair);
  settleZone(zone, air, 1);
}

/** Dries one node over a step that was readied. */
export function dryNode(node: RunningNode, zone: RunningZone, hair: HairOfRun, stepS: number): void {
  node.moisture = node.halfway = after(node, zone.vapour[node.level], stepS, hair);
}

/** Works out how freely heat and vapour pass between a node and its air: wet surfaces in full, dry ones through the hair. */
function updateConductance(node: RunningNode, openShare: number, hair: HairOfRun) {
  const bound = Math.min(1, Math.max(0, 1 - (node.halfway - hair.saturated) / c.boundOnset));
  const diffusivity = bound > 0 ? node.diffusionShare * quickVapourDiffusivity(node.temperatureC) : 1;
  const depth = bound * node.profileFactor * node.depthM;
  const area = node.areaM2 * openShare;
  node.activity = node.halfway >= hair.saturated ? 1 : activityAtRegain(node.halfway, hair.porosityFactor);
  node.vapourConductance =
    area / (1 / node.massMS + node.sleeveSM + bound * node.filmSM + depth / diffusivity);
  node.heatConductance = area / (1 / node.heatWM2K + depth / c.fibreConductivityWMK);
}

/**
 * Lets the air of a zone and its nodes come to terms: vapour first, then heat, then each node’s own temperature by
 * Newton steps on its balance of warmth (drying §5.5).
 */
function settleZone(zone: RunningZone, air: MethodAir, newtonSteps: number) {
  const { ladder } = zone;
  const { toNodes, sources } = ladder;
  ladder.between = zone.between;
  toNodes[0] = toNodes[1] = toNodes[2] = sources[1] = sources[2] = 0;
  sources[0] = air.sweatKgM2S * zone.areaM2;
  for (let n = 0; n < zone.active; n++) {
    const node = zone.nodes[n]!;
    toNodes[node.level] += node.vapourConductance;
    sources[node.level] += node.vapourConductance * node.activity * node.saturatedDensity;
  }
  ladder.room = air.roomVapour;
  solveLadder(ladder, zone.vapour);

  toNodes[1] = toNodes[2] = sources[1] = sources[2] = 0;
  toNodes[0] = c.scalpToAirWM2K * zone.areaM2;
  sources[0] = toNodes[0] * air.scalpC;
  for (let n = 0; n < zone.active; n++) {
    const node = zone.nodes[n]!;
    toNodes[node.level] += node.heatConductance;
    sources[node.level] += node.heatConductance * node.temperatureC;
  }
  ladder.room = zone.roomC;
  solveLadder(ladder, zone.airC, HEAT_PER_VOLUME);

  for (let n = 0; n < zone.active; n++) {
    const node = zone.nodes[n]!;
    const contact = node.contactWK;
    const latent = c.latentHeatJKg * node.vapourConductance;
    const airC = zone.airC[node.level];
    const vapour = zone.vapour[node.level];
    for (let i = 0; i < newtonSteps; i++) {
      const t = node.temperatureC;
      const density = node.saturatedDensity;
      const balance =
        node.heatConductance * (airC - t) +
        node.radiation * (air.radiantC - t) +
        contact * (air.scalpC - t) -
        latent * (node.activity * density - vapour);
      const slope =
        -node.heatConductance -
        node.radiation -
        contact -
        latent * node.activity * saturatedDensitySlope(t, density);
      node.temperatureC = t - balance / slope;
      node.saturatedDensity = quickSaturatedDensity(node.temperatureC);
    }
  }
}

/** Moisture of a node after `seconds` at the rate it has halfway (drying §5.6). */
function after(node: RunningNode, vapour: number, seconds: number, hair: HairOfRun): number {
  const density = node.saturatedDensity;
  const rate = (hair.rate * node.vapourConductance * (node.activity * density - vapour)) / node.massKg;
  const explicit = node.moisture - rate * seconds;
  node.limit = equilibriumRegain(Math.min(1, Math.max(0, vapour / density)), hair.porosityFactor);
  if (node.moisture > hair.saturated + c.capillaryMargin && explicit > hair.saturated) return explicit;
  const decay = rate / (node.halfway - node.limit);
  return decay > 0 && Number.isFinite(decay)
    ? node.limit + (node.moisture - node.limit) * Math.exp(-decay * seconds)
    : explicit;
}
