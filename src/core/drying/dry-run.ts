import { drying as dryingTable } from '../coefficients/drying';
import type { DryingMethod } from '../drying-methods/method';
import { ZONES, type Zone } from '../hair/zone';
import { AIR_HEAT_CAPACITY, saturatedDensitySlope, saturatedVapourDensity, vapourDiffusivity } from './air';
import {
  methodAir,
  nodeTransfer,
  radiationWM2K,
  zoneExchange,
  type MethodAir,
  type Room,
} from './air-at-hair';
import { sectionNodes, type DryingNode, type SectionClass } from './nodes';
import { solveLadder } from './ladder';
import { activityAtRegain, dryRegain, equilibriumRegain, saturatedRegain } from './sorption';

/** One step of a drying sequence. The last step of a sequence goes on until everything is dry. */
export interface DryingStep {
  readonly method: DryingMethod;
  readonly hours: number;
}

/** A head in the set, ready to dry. */
export interface DryRunInput {
  readonly classes: readonly SectionClass[];
  readonly room: Room;
  readonly steps: readonly DryingStep[];
  /** Bound-water factor of the hair, 0.9 low … 1.15 high porosity. */
  readonly porosityFactor: number;
  /** Moisture at the start with product water, g per g dry hair. */
  readonly startMoisture: number;
  /** Resistance of dried product films, s/m. */
  readonly filmResistanceSM: number;
  /** Drying-rate multiplier of the head: 1.2 dries a fifth faster. */
  readonly rate: number;
  /** Hours after which a head that is still damp is given up on. */
  readonly horizonH: number;
}

/** What a run gives. Nodes are numbered class × 3 + level (root, middle, ends). */
export interface DryRun {
  /** First time each node is dry, h; Infinity when it was not by the horizon. */
  readonly dryAfterH: readonly number[];
  /** Times of the curve, h. */
  readonly timeH: readonly number[];
  /** Mean moisture of the head at those times, g per g. */
  readonly moisture: readonly number[];
  /** Mean share of the removable water still in the hair, 1 at the start … 0 dry. */
  readonly dampness: readonly number[];
  /** Mean moisture at root, middle and ends at those times, g per g. */
  readonly levelMoisture: readonly [
    root: readonly number[],
    middle: readonly number[],
    ends: readonly number[],
  ];
  readonly dryMoisture: number;
}

const AIR_DENSITY = 1.19;
/** First, largest and growth of the time step, s (drying §6). */
const STILL_STEP = { first: 60, most: 1200 } as const;
const HOT_STEP = { first: 8, most: 120 } as const;
const STEP_GROWTH = 1.1;

/** Everything one node needs inside the time loop; all of one shape, changed in place. */
interface RunningNode {
  readonly drawn: DryingNode;
  readonly level: 0 | 1 | 2;
  readonly massKg: number;
  readonly areaM2: number;
  readonly baseM2: number;
  readonly depthM: number;
  /** Vapour diffusion inside the bundle over that in free air. */
  readonly diffusionShare: number;
  readonly profileFactor: number;
  readonly section: SectionClass;
  heatWM2K: number;
  massMS: number;
  radiation: number;
  moisture: number;
  temperatureC: number;
  /** Saturated vapour density at that temperature, kg/m³. */
  saturatedDensity: number;
  activity: number;
  vapourConductance: number;
  heatConductance: number;
  dryAfterH: number;
}

/** Three rungs of air of one zone. */
interface RunningZone {
  readonly zone: Zone;
  readonly areaM2: number;
  readonly lengthM: number;
  readonly nodes: RunningNode[];
  between: readonly [number, number, number];
  roomC: number;
  vapour: [number, number, number];
  airC: [number, number, number];
}

function runningZones(input: DryRunInput): RunningZone[] {
  const zones: RunningZone[] = [];
  for (const zone of ZONES) {
    const classes = input.classes.filter((section) => section.zone === zone && section.count > 0);
    if (classes.length === 0) continue;
    const areaM2 = classes.reduce((sum, c) => sum + c.count * c.sectionAreaCm2 * 1e-4, 0);
    const lengthM =
      classes.reduce((sum, c) => sum + c.count * c.sectionAreaCm2 * 1e-4 * c.lengthCm, 0) / areaM2 / 100;
    const nodes = classes.flatMap((section) =>
      sectionNodes(section).map((node, level): RunningNode => ({
        drawn: node,
        level: level as 0 | 1 | 2,
        massKg: node.massKg * section.count,
        areaM2: node.areaM2 * section.count,
        baseM2: level === 0 ? section.count * section.sectionAreaCm2 * 1e-4 : 0,
        depthM: node.depthM,
        diffusionShare: dryingTable.value.bundleDiffusivity * (1 - node.packing) ** (4 / 3),
        profileFactor: node.profileFactor,
        section,
        heatWM2K: 0,
        massMS: 0,
        radiation: 0,
        moisture: input.startMoisture,
        temperatureC: input.room.temperatureC,
        saturatedDensity: saturatedVapourDensity(input.room.temperatureC),
        activity: 1,
        vapourConductance: 0,
        heatConductance: 0,
        dryAfterH: Infinity,
      })),
    );
    zones.push({
      zone,
      areaM2,
      lengthM,
      nodes,
      between: [0, 0, 0],
      roomC: input.room.temperatureC,
      vapour: [0, 0, 0],
      airC: [input.room.temperatureC, input.room.temperatureC, input.room.temperatureC],
    });
  }
  return zones;
}

/**
 * Dries a set head: one state per section class and level, in air that is shared within a zone.
 *
 * @throws RangeError when there is no section, no step or the rate is not positive
 * @source drying §5–6; the lumped curve is within 2 % of a radial finite-volume model from damp (§5.7)
 */
export function dryRun(input: DryRunInput): DryRun {
  if (input.classes.length === 0 || input.steps.length === 0) {
    throw new RangeError('a drying run needs at least one section and one drying step');
  }
  if (!(input.rate > 0)) throw new RangeError(`drying rate ${input.rate} must be above 0`);
  const c = dryingTable.value;
  const p = input.porosityFactor;
  const zones = runningZones(input);
  const nodes = zones.flatMap((zone) => zone.nodes);
  const order = input.classes.flatMap((section) => nodes.filter((node) => node.section === section));
  const saturated = saturatedRegain(p);
  const dryMoisture = dryRegain(input.room.relativeHumidity, p);
  const totalKg = nodes.reduce((sum, node) => sum + node.massKg, 0);
  const removable = Math.max(1e-9, input.startMoisture - dryMoisture);

  let stillDamp = nodes.length;
  const markDry = (node: RunningNode, hours: number) => {
    node.dryAfterH = hours;
    stillDamp--;
  };
  for (const node of nodes) if (node.moisture <= dryMoisture) markDry(node, 0);
  const timeH: number[] = [];
  const moisture: number[] = [];
  const dampness: number[] = [];
  const levelMoisture: [number[], number[], number[]] = [[], [], []];
  const levelKg = [0, 1, 2].map((level) =>
    nodes.reduce((kg, n) => kg + (n.level === level ? n.massKg : 0), 0),
  );
  const record = (seconds: number) => {
    let damp = 0;
    let [root, middle, ends] = [0, 0, 0];
    for (const node of nodes) {
      const water = node.massKg * node.moisture;
      if (node.level === 0) root += water;
      else if (node.level === 1) middle += water;
      else ends += water;
      damp += node.massKg * Math.min(1, Math.max(0, (node.moisture - dryMoisture) / removable));
    }
    timeH.push(seconds / 3600);
    moisture.push((root + middle + ends) / totalKg);
    dampness.push(damp / totalKg);
    levelMoisture[0].push(root / levelKg[0]!);
    levelMoisture[1].push(middle / levelKg[1]!);
    levelMoisture[2].push(ends / levelKg[2]!);
  };
  record(0);

  const horizon = input.horizonH * 3600;
  let now = 0;
  let stepsTaken = 0;
  for (let s = 0; s < input.steps.length && stillDamp > 0 && now < horizon; s++) {
    const { method, hours } = input.steps[s]!;
    const isLast = s === input.steps.length - 1;
    const until = isLast ? horizon : Math.min(horizon, now + hours * 3600);
    const air = methodAir(method, input.room);
    for (const zone of zones) {
      const exchange = zoneExchange(method, input.room, zone.zone, zone.areaM2, zone.lengthM);
      zone.between = exchange.between;
      zone.roomC = exchange.roomC;
      for (const node of zone.nodes) {
        const transfer = nodeTransfer(air, zone.zone, node.drawn, node.level);
        node.heatWM2K = transfer.heatWM2K;
        node.massMS = transfer.massMS;
        node.radiation = radiationWM2K(node.level) * node.areaM2 * air.openShare;
      }
    }
    const size = air.hotStep ? HOT_STEP : STILL_STEP;
    let dt: number = size.first;
    while (now < until - 1e-9 && stillDamp > 0) {
      const step = Math.min(dt, until - now);
      dt = Math.min(size.most, dt * STEP_GROWTH);
      const passes = stepsTaken < 2 ? 3 : 1;
      stepsTaken++;
      for (const zone of zones) {
        for (let i = 0; i < zone.nodes.length; i++) updateConductance(zone.nodes[i]!, air.openShare);
        for (let pass = 0; pass < passes; pass++) {
          settleZone(zone, air, passes);
        }
        for (let i = 0; i < zone.nodes.length; i++) {
          const node = zone.nodes[i]!;
          const before = node.moisture;
          node.moisture = nextMoisture(node, zone.vapour[node.level], step);
          if (node.moisture <= dryMoisture && node.dryAfterH === Infinity) {
            const share = before > node.moisture ? (before - dryMoisture) / (before - node.moisture) : 1;
            markDry(node, (now + share * step) / 3600);
          }
        }
      }
      now += step;
      record(now);
    }
  }

  function updateConductance(node: RunningNode, openShare: number) {
    const bound = Math.min(1, Math.max(0, 1 - (node.moisture - saturated) / c.boundOnset));
    const diffusivity = bound > 0 ? node.diffusionShare * vapourDiffusivity(node.temperatureC) : 1;
    const depth = bound * node.profileFactor * node.depthM;
    const area = node.areaM2 * openShare;
    node.activity = node.moisture >= saturated ? 1 : activityAtRegain(node.moisture, p);
    node.vapourConductance = area / (1 / node.massMS + bound * input.filmResistanceSM + depth / diffusivity);
    node.heatConductance = area / (1 / node.heatWM2K + depth / c.fibreConductivityWMK);
  }

  function settleZone(zone: RunningZone, air: MethodAir, newtonSteps: number) {
    const toVapour: [number, number, number] = [0, 0, 0];
    const vapourIn: [number, number, number] = [air.sweatKgM2S * zone.areaM2, 0, 0];
    const toHeat: [number, number, number] = [c.scalpToAirWM2K * zone.areaM2, 0, 0];
    const heatIn: [number, number, number] = [toHeat[0] * air.scalpC, 0, 0];
    for (const node of zone.nodes) {
      toVapour[node.level] += node.vapourConductance;
      vapourIn[node.level] += node.vapourConductance * node.activity * node.saturatedDensity;
      toHeat[node.level] += node.heatConductance;
      heatIn[node.level] += node.heatConductance * node.temperatureC;
    }
    zone.vapour = solveLadder({
      between: zone.between,
      toNodes: toVapour,
      sources: vapourIn,
      room: air.roomVapour,
    });
    const heatPerVolume = AIR_DENSITY * AIR_HEAT_CAPACITY;
    zone.airC = solveLadder({
      between: [
        zone.between[0] * heatPerVolume,
        zone.between[1] * heatPerVolume,
        zone.between[2] * heatPerVolume,
      ],
      toNodes: toHeat,
      sources: heatIn,
      room: zone.roomC,
    });
    for (const node of zone.nodes) {
      const contact = c.scalpContactWM2K * node.baseM2;
      const latent = c.latentHeatJKg * node.vapourConductance;
      for (let i = 0; i < newtonSteps; i++) {
        const t = node.temperatureC;
        const density = node.saturatedDensity;
        const balance =
          node.heatConductance * (zone.airC[node.level] - t) +
          node.radiation * (air.radiantC - t) +
          contact * (air.scalpC - t) -
          latent * (node.activity * density - zone.vapour[node.level]);
        const slope =
          -node.heatConductance -
          node.radiation -
          contact -
          latent * node.activity * saturatedDensitySlope(t, density);
        node.temperatureC = t - balance / slope;
        node.saturatedDensity = saturatedVapourDensity(node.temperatureC);
      }
    }
  }

  function nextMoisture(node: RunningNode, vapour: number, seconds: number): number {
    const density = node.saturatedDensity;
    const rate = (input.rate * node.vapourConductance * (node.activity * density - vapour)) / node.massKg;
    const explicit = node.moisture - rate * seconds;
    if (node.moisture > saturated + c.capillaryMargin && explicit > saturated) return explicit;
    const limit = equilibriumRegain(Math.min(1, Math.max(0, vapour / density)), p);
    const decay = rate / (node.moisture - limit);
    return decay > 0 && Number.isFinite(decay)
      ? limit + (node.moisture - limit) * Math.exp(-decay * seconds)
      : explicit;
  }

  return {
    dryAfterH: order.map((node) => node.dryAfterH),
    timeH,
    moisture,
    dampness,
    levelMoisture,
    dryMoisture,
  };
}
