import { drying as dryingTable } from '../coefficients/drying';
import { air as openAir } from '../drying-methods/air';
import type { DryingMethod } from '../drying-methods/method';
import { ZONES, type Zone } from '../hair/zone';
import {
  AIR_HEAT_CAPACITY,
  saturatedDensitySlope,
  saturatedVapourDensity,
  quickSaturatedDensity,
  quickVapourDiffusivity,
} from './air';
import {
  methodAir,
  nodeTransfer,
  radiationWM2K,
  zoneExchange,
  type AirSupply,
  type MethodAir,
  type Room,
} from './air-at-hair';
import { knotLevels } from './knot-core';
import { sectionNodes, type DryingNode, type SectionClass } from './nodes';
import { solveLadder, type Ladder } from './ladder';
import {
  activityAtRegain,
  dryRegain,
  dryRegainInHotAir,
  equilibriumRegain,
  saturatedRegain,
} from './sorption';

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
  /** Moisture at the start with product water, g per g dry hair, of classes that do not bring their own. */
  readonly startMoisture: number;
  /** Resistance of dried product films, s/m. */
  readonly filmResistanceSM: number;
  /** Drying-rate multiplier of the head: 1.2 dries a fifth faster. */
  readonly rate: number;
  /** Hours after which a head that is still damp is given up on. */
  readonly horizonH: number;
  /** How the air differs from the method's own figures. */
  readonly supply?: AirSupply;
  /** × what a place may dry in one time step: 1 as usual, 2 for many draws, less to see that it has converged. */
  readonly stepScale?: number;
  /** Keep no curve. */
  readonly timesOnly?: boolean;
  /** Follow a zone no further than until all of it is dry: zones do not feel each other. */
  readonly untilDry?: boolean;
  /** Keep the moisture of every place over time. */
  readonly byPlace?: boolean;
}

/** What a run gives. Places are numbered class × 3 + level (root, middle, ends). */
export interface DryRun {
  /** Hours after the end of installing at which each place is dry; Infinity when it was not by the horizon. */
  readonly dryAfterH: readonly number[];
  /** Times of the curve, h after the end of installing. */
  readonly timeH: readonly number[];
  /** Mean moisture of the head at those times, g per g. */
  readonly moisture: readonly number[];
  /** Mean share of the removable water still in the hair, 1 as set … 0 dry. */
  readonly dampness: readonly number[];
  /** Mean moisture at root, middle and ends at those times, g per g. */
  readonly levelMoisture: readonly [
    root: readonly number[],
    middle: readonly number[],
    ends: readonly number[],
  ];
  /** Moisture of each place at those times, when it was asked for. */
  readonly placeMoisture: readonly (readonly number[])[];
  readonly dryMoisture: number;
  /** Water that left the hair over the run, by what was carried off step by step, kg. */
  readonly evaporatedKg: number;
  readonly startWaterKg: number;
  readonly endWaterKg: number;
}

/** Heat that a volume of room air carries, J/(m³ K). */
const HEAT_PER_VOLUME = 1.19 * AIR_HEAT_CAPACITY;
/** First and longest time step, s. */
const STILL_STEP = { first: 60, most: 3600 } as const;
const INSTALL_STEP = { first: 60, most: 600 } as const;
const HOT_STEP = { first: 8, most: 900 } as const;
/** What a damp place may lose in a step, g per g: a little, and more while it is far from dry. */
const LOSS_A_STEP = 0.012;
const LOSS_SHARE_A_STEP = 0.08;
/** × a time step may grow by over the one before; coarse runs in longer steps dare more. */
const MOST_GROWTH = { careful: 1.5, coarse: 2 } as const;
const COARSE_STEP_SCALE = 2;

/** Levels of the three rungs that a knot stands for, by when core, mean and shell are dry. */
const KNOT_PLACES = [0, 1, 2] as const;

/** Everything one node needs inside the time loop; all of one shape, changed in place. */
interface RunningNode {
  readonly drawn: DryingNode;
  readonly level: 0 | 1 | 2;
  readonly place: number;
  readonly isKnot: boolean;
  readonly massKg: number;
  readonly areaM2: number;
  readonly baseM2: number;
  readonly depthM: number;
  readonly sleeveSM: number;
  /** Vapour diffusion inside the bundle over that in free air. */
  readonly diffusionShare: number;
  readonly profileFactor: number;
  readonly startMoisture: number;
  /** Seconds on the run's clock at which it is set. */
  readonly setAtS: number;
  heatWM2K: number;
  massMS: number;
  radiation: number;
  moisture: number;
  /** Moisture at which its air and conductances are worked out: as it is, or halfway through a step. */
  halfway: number;
  limit: number;
  temperatureC: number;
  /** Saturated vapour density at that temperature, kg/m³. */
  saturatedDensity: number;
  activity: number;
  vapourConductance: number;
  heatConductance: number;
  isDry: boolean;
}

/** Three rungs of air of one zone. */
interface RunningZone {
  readonly zone: Zone;
  readonly areaM2: number;
  readonly lengthM: number;
  readonly vent: number;
  readonly nodes: RunningNode[];
  /** Nodes that are in the set by now: the first of {@link nodes}. */
  active: number;
  /** Nodes that are not dry yet. */
  damp: number;
  between: readonly [number, number, number];
  roomC: number;
  readonly vapour: [number, number, number];
  readonly airC: [number, number, number];
  /** Scratch for the two ladders of a step. */
  readonly ladder: Ladder;
}

function runningZones(input: DryRunInput, installS: number): RunningZone[] {
  const zones: RunningZone[] = [];
  for (const zone of ZONES) {
    const classes = input.classes
      .map((section, index) => ({ section, index }))
      .filter(({ section }) => section.zone === zone && section.count > 0);
    if (classes.length === 0) continue;
    const areaOf = (c: SectionClass) => c.count * c.sectionAreaCm2 * 1e-4;
    const areaM2 = classes.reduce((sum, { section }) => sum + areaOf(section), 0);
    const lengthM =
      classes.reduce((sum, { section }) => sum + areaOf(section) * section.lengthCm, 0) / areaM2 / 100;
    const vent =
      classes.reduce(
        (sum, { section }) =>
          sum + areaOf(section) * (section.shape.kind === 'rope' ? (section.shape.vent ?? 1) : 1),
        0,
      ) / areaM2;
    const nodes = classes.flatMap(({ section, index }) =>
      sectionNodes(section).map((node): RunningNode => {
        const startMoisture = section.startMoisture ?? input.startMoisture;
        return {
          drawn: node,
          level: node.level,
          place: index * 3 + node.level,
          isKnot: node.isKnot,
          massKg: node.massKg * section.count,
          areaM2: node.areaM2 * section.count,
          baseM2: node.baseShare * section.count * section.sectionAreaCm2 * 1e-4,
          depthM: node.depthM,
          sleeveSM: node.sleeveSM,
          diffusionShare: dryingTable.value.bundleDiffusivity * (1 - node.packing) ** (4 / 3),
          profileFactor: node.profileFactor,
          startMoisture,
          setAtS: installS - 3600 * (section.setBeforeEndH ?? 0),
          heatWM2K: 0,
          massMS: 0,
          radiation: 0,
          moisture: startMoisture,
          halfway: startMoisture,
          limit: 0,
          temperatureC: input.room.temperatureC,
          saturatedDensity: saturatedVapourDensity(input.room.temperatureC),
          activity: 1,
          vapourConductance: 0,
          heatConductance: 0,
          isDry: false,
        };
      }),
    );
    nodes.sort((a, b) => a.setAtS - b.setAtS);
    zones.push({
      zone,
      areaM2,
      lengthM,
      vent,
      nodes,
      active: 0,
      damp: 0,
      between: [0, 0, 0],
      roomC: input.room.temperatureC,
      vapour: [0, 0, 0],
      airC: [input.room.temperatureC, input.room.temperatureC, input.room.temperatureC],
      ladder: { between: [0, 0, 0], toNodes: [0, 0, 0], sources: [0, 0, 0], room: 0 },
    });
  }
  return zones;
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

/** A stretch of the run under one method. */
interface Leg {
  readonly method: DryingMethod;
  readonly untilS: number;
  readonly isInstalling: boolean;
}

/** Installing in open air, then the steps; the last goes on to the horizon. */
function legsOf(input: DryRunInput, installS: number): Leg[] {
  const horizonS = installS + input.horizonH * 3600;
  const legs: Leg[] = installS > 0 ? [{ method: openAir, untilS: installS, isInstalling: true }] : [];
  let at = installS;
  input.steps.forEach(({ method, hours }, i) => {
    at = i === input.steps.length - 1 ? horizonS : Math.min(horizonS, at + hours * 3600);
    legs.push({ method, untilS: at, isInstalling: false });
  });
  return legs;
}

/**
 * Dries a set head: one state per section class and level, in air that is shared within a zone. Sections that
 * are set before the others dry in open air meanwhile.
 *
 * @throws RangeError when there is no section, no step or the rate is not positive
 * @source drying §5–6 and §8; the lumped curve is within 2 % of a radial finite-volume model from damp (§5.7)
 */
export function dryRun(input: DryRunInput): DryRun {
  if (input.classes.length === 0 || input.steps.length === 0) {
    throw new RangeError('a drying run needs at least one section and one drying step');
  }
  if (!(input.rate > 0)) throw new RangeError(`drying rate ${input.rate} must be above 0`);
  const c = dryingTable.value;
  const p = input.porosityFactor;
  const keepsCurve = !input.timesOnly;
  const { stepScale = 1, untilDry = false } = input;
  const mostGrowth = stepScale >= COARSE_STEP_SCALE ? MOST_GROWTH.coarse : MOST_GROWTH.careful;
  const installS = 3600 * Math.max(0, ...input.classes.map((own) => own.setBeforeEndH ?? 0));
  const zones = runningZones(input, installS);
  const nodes = zones.flatMap((zone) => zone.nodes);
  const saturated = saturatedRegain(p);
  const dryMoisture = dryRegain(input.room.relativeHumidity, p);
  const dryUnder = (method: DryingMethod) => (method.isHot ? dryRegainInHotAir(p) : dryMoisture);
  const totalKg = nodes.reduce((sum, node) => sum + node.massKg, 0);
  const startWaterKg = nodes.reduce((sum, node) => sum + node.massKg * node.moisture, 0);
  let evaporatedKg = 0;

  const dryAfterH = new Array<number>(input.classes.length * 3).fill(Infinity);
  const legs = legsOf(input, installS);
  const firstMethod = legs[0]!.method;
  /** Notes a place as dry at `seconds`, unless it was before. */
  const markDry = (place: number, seconds: number) => {
    if (dryAfterH[place] === Infinity) dryAfterH[place] = Math.max(0, (seconds - installS) / 3600);
  };
  for (const zone of zones) {
    for (const node of zone.nodes) {
      if (node.moisture > dryUnder(firstMethod)) {
        zone.damp++;
        continue;
      }
      node.isDry = true;
      if (node.isKnot) for (const level of KNOT_PLACES) markDry(node.place - 1 + level, 0);
      else markDry(node.place, 0);
    }
  }
  let stillDamp = zones.reduce((sum, zone) => sum + zone.damp, 0);

  const timeH: number[] = [];
  const moisture: number[] = [];
  const dampness: number[] = [];
  const levelMoisture: [number[], number[], number[]] = [[], [], []];
  const placeMoisture: number[][] = input.byPlace ? dryAfterH.map(() => []) : [];
  const levelKg: [number, number, number] = [0, 0, 0];
  for (const node of nodes) {
    if (node.isKnot) for (const level of KNOT_PLACES) levelKg[level] += node.massKg;
    else levelKg[node.level] += node.massKg;
  }
  const record = (seconds: number) => {
    let damp = 0;
    let total = 0;
    const water: [number, number, number] = [0, 0, 0];
    for (const node of nodes) {
      total += node.massKg * node.moisture;
      if (node.isKnot) {
        const { core, shell } = knotLevels(node.moisture, node.limit, node.startMoisture, p);
        water[0] += node.massKg * core;
        water[1] += node.massKg * node.moisture;
        water[2] += node.massKg * shell;
      } else {
        water[node.level] += node.massKg * node.moisture;
        if (input.byPlace) placeMoisture[node.place]!.push(node.moisture);
      }
      const removable = Math.max(1e-9, node.startMoisture - dryMoisture);
      damp += node.massKg * Math.min(1, Math.max(0, (node.moisture - dryMoisture) / removable));
    }
    timeH.push((seconds - installS) / 3600);
    moisture.push(total / totalKg);
    dampness.push(damp / totalKg);
    for (const level of KNOT_PLACES) levelMoisture[level].push(water[level] / (levelKg[level] || 1));
  };

  let now = 0;
  let stepsTaken = 0;
  let isRecording = false;
  const startRecording = () => {
    if (keepsCurve && !isRecording) {
      isRecording = true;
      record(now);
    }
  };
  if (installS === 0) startRecording();

  for (const leg of legs) {
    if (stillDamp === 0) break;
    if (now >= leg.untilS - 1e-9) continue;
    const air = methodAir(leg.method, input.room, input.supply);
    const dry = dryUnder(leg.method);
    for (const zone of zones) {
      const exchange = zoneExchange(leg.method, input.room, zone, input.supply);
      zone.between = exchange.between;
      zone.roomC = exchange.roomC;
      for (const node of zone.nodes) {
        const transfer = nodeTransfer(air, zone.zone, node.drawn);
        node.heatWM2K = transfer.heatWM2K;
        node.massMS = transfer.massMS;
        node.radiation = radiationWM2K(node.level === 0 || node.isKnot) * node.areaM2 * air.openShare;
      }
    }
    const size = leg.isInstalling ? INSTALL_STEP : air.hotStep ? HOT_STEP : STILL_STEP;
    let dt: number = size.first * stepScale;
    while (now < leg.untilS - 1e-9 && stillDamp > 0) {
      const step = Math.min(dt, leg.untilS - now);
      let fastest = 0;
      const passes = stepsTaken < 2 ? 3 : 1;
      stepsTaken++;
      for (const zone of zones) {
        while (zone.active < zone.nodes.length && zone.nodes[zone.active]!.setAtS <= now + step / 2)
          zone.active++;
        if (zone.active === 0 || (untilDry && zone.damp === 0)) continue;
        for (let i = 0; i < zone.active; i++) updateConductance(zone.nodes[i]!, air.openShare);
        for (let pass = 0; pass < passes; pass++) settleZone(zone, air, passes);
        for (let i = 0; i < zone.active; i++) {
          const node = zone.nodes[i]!;
          node.halfway = after(node, zone.vapour[node.level], step / 2);
        }
        for (let i = 0; i < zone.active; i++) updateConductance(zone.nodes[i]!, air.openShare);
        settleZone(zone, air, 1);
        for (let i = 0; i < zone.active; i++) {
          const node = zone.nodes[i]!;
          const before = node.moisture;
          const limitBefore = node.limit;
          node.moisture = node.halfway = after(node, zone.vapour[node.level], step);
          evaporatedKg += node.massKg * (before - node.moisture);
          if (node.isDry) continue;
          const loss =
            Math.abs(before - node.moisture) /
            (LOSS_A_STEP + LOSS_SHARE_A_STEP * Math.max(0, before - dryMoisture));
          if (loss > fastest) fastest = loss;
          if (node.isKnot) markKnot(node, before, limitBefore, step, dry);
          else if (node.moisture <= dry) {
            markDry(node.place, now + step * crossingShare(before, node.moisture, dry, node.limit));
            node.isDry = true;
          }
          if (node.isDry) {
            zone.damp--;
            stillDamp--;
          }
        }
      }
      now += step;
      dt = Math.min(size.most * stepScale, dt * Math.min(mostGrowth, stepScale / Math.max(1e-9, fastest)));
      if (isRecording) record(now);
    }
    if (leg.isInstalling) startRecording();
  }
  // Everything dry before the last section was in: the curve is one dry point.
  now = Math.max(now, installS);
  startRecording();

  function markKnot(node: RunningNode, before: number, limitBefore: number, step: number, dry: number) {
    const was = knotLevels(before, limitBefore, node.startMoisture, p);
    const is = knotLevels(node.moisture, node.limit, node.startMoisture, p);
    const pairs = [
      [was.core, is.core],
      [before, node.moisture],
      [was.shell, is.shell],
    ] as const;
    pairs.forEach(([from, to], level) => {
      if (to > dry) return;
      markDry(node.place - 1 + level, now + step * crossingShare(from, to, dry, node.limit));
    });
    node.isDry = is.core <= dry;
  }

  function updateConductance(node: RunningNode, openShare: number) {
    const bound = Math.min(1, Math.max(0, 1 - (node.halfway - saturated) / c.boundOnset));
    const diffusivity = bound > 0 ? node.diffusionShare * quickVapourDiffusivity(node.temperatureC) : 1;
    const depth = bound * node.profileFactor * node.depthM;
    const area = node.areaM2 * openShare;
    node.activity = node.halfway >= saturated ? 1 : activityAtRegain(node.halfway, p);
    node.vapourConductance =
      area / (1 / node.massMS + node.sleeveSM + bound * input.filmResistanceSM + depth / diffusivity);
    node.heatConductance = area / (1 / node.heatWM2K + depth / c.fibreConductivityWMK);
  }

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
      const contact = c.scalpContactWM2K * node.baseM2;
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
  function after(node: RunningNode, vapour: number, seconds: number): number {
    const density = node.saturatedDensity;
    const rate = (input.rate * node.vapourConductance * (node.activity * density - vapour)) / node.massKg;
    const explicit = node.moisture - rate * seconds;
    node.limit = equilibriumRegain(Math.min(1, Math.max(0, vapour / density)), p);
    if (node.moisture > saturated + c.capillaryMargin && explicit > saturated) return explicit;
    const decay = rate / (node.halfway - node.limit);
    return decay > 0 && Number.isFinite(decay)
      ? node.limit + (node.moisture - node.limit) * Math.exp(-decay * seconds)
      : explicit;
  }

  return {
    dryAfterH,
    timeH,
    moisture,
    dampness,
    levelMoisture,
    placeMoisture,
    dryMoisture,
    evaporatedKg,
    startWaterKg,
    endWaterKg: nodes.reduce((sum, node) => sum + node.massKg * node.moisture, 0),
  };
}
