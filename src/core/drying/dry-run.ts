import { air as openAir } from '../drying-methods/air';
import type { DryingMethod } from '../drying-methods/method';
import { methodAir } from './air-at-hair';
import { curveRecorder } from './dry-curve';
import { dryMarks } from './dry-marks';
import type { DryingStep, DryRun, DryRunInput } from './dry-run-input';
import { dryMoistureInHotAir } from './dry-threshold';
import { runningZones, type RunningNode } from './running-zone';
import { saturatedRegain } from './sorption';
import { airZone, dryNode, readyStep, type HairOfRun } from './zone-step';

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
/** Steps at the very start in which air and hair are brought to terms more than once, and how often. */
const UNSETTLED = { steps: 2, passes: 3 } as const;
/** Nearer than this to the end of a leg is its end, s. */
const AT_END_S = 1e-9;

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

/** Whether only blown air was asked for; air without hours of its own at the end is for what that leaves damp. */
const isHotAllAlong = (steps: readonly DryingStep[]): boolean =>
  steps[0]!.method.isBlown && steps.every(({ method, hours }) => method.isBlown || hours === 0);

/** Takes the measure of dryness of a node for a sequence that is hot all along, as its hot air begins. */
function startHot(node: RunningNode, { room, porosityFactor }: DryRunInput): void {
  node.dry = dryMoistureInHotAir(
    { start: node.startMoisture, roomHumidity: room.relativeHumidity, porosityFactor },
    node.moisture,
  );
}

/**
 * Dries a set head: one state per section class and level, in air that is shared within a zone. Sections that
 * are set before the others dry in open air meanwhile. Zones do not feel each other.
 *
 * @throws RangeError when there is no section, no step or the rate is not positive
 * @source drying §5–6 and §8; the lumped curve is within 2 % of a radial finite-volume model from damp (§5.7)
 */
export function dryRun(input: DryRunInput): DryRun {
  if (input.classes.length === 0 || input.steps.length === 0) {
    throw new RangeError('a drying run needs at least one section and one drying step');
  }
  if (!(input.rate > 0)) throw new RangeError(`drying rate ${input.rate} must be above 0`);
  const { porosityFactor, stepScale = 1, untilDry = false } = input;
  const hair: HairOfRun = {
    porosityFactor,
    saturated: saturatedRegain(porosityFactor),
    rate: input.rate,
  };
  const mostGrowth = stepScale >= COARSE_STEP_SCALE ? MOST_GROWTH.coarse : MOST_GROWTH.careful;
  const installS = 3600 * Math.max(0, ...input.classes.map((member) => member.setBeforeEndH ?? 0));
  const zones = runningZones(input, installS);
  const nodes = zones.flatMap((zone) => zone.nodes);
  const isAllHot = isHotAllAlong(input.steps);
  const waterKg = () => nodes.reduce((sum, node) => sum + node.massKg * node.moisture, 0);
  const startWaterKg = waterKg();
  let evaporatedKg = 0;

  const legs = legsOf(input, installS);
  const places = input.classes.length * 3;
  const marks = dryMarks(places, installS, porosityFactor);
  let stillDamp = 0;
  for (const zone of zones) {
    for (const node of zone.nodes) {
      if (isAllHot && installS === 0) startHot(node, input);
      if (node.moisture > node.dry) zone.damp++;
      else marks.markFromStart(node);
    }
    stillDamp += zone.damp;
  }

  const { curve, record } = curveRecorder(nodes, {
    porosityFactor,
    places: input.byPlace ? places : 0,
  });
  let now = 0;
  let stepsTaken = 0;
  let isRecording = false;
  const startRecording = () => {
    if (input.timesOnly || isRecording) return;
    isRecording = true;
    record((now - installS) / 3600);
  };
  if (installS === 0) startRecording();

  for (const leg of legs) {
    if (stillDamp === 0) break;
    if (now >= leg.untilS - AT_END_S) continue;
    const air = methodAir(leg.method, input.room, input.supply);
    if (isAllHot && installS > 0 && !leg.isInstalling)
      for (const node of nodes) if (!node.isDry) startHot(node, input);
    for (const zone of zones) airZone(zone, leg.method, air, input.room, input.supply);
    const size = leg.isInstalling ? INSTALL_STEP : air.hotStep ? HOT_STEP : STILL_STEP;
    let dt: number = size.first * stepScale;
    while (now < leg.untilS - AT_END_S && stillDamp > 0) {
      const step = Math.min(dt, leg.untilS - now);
      const passes = stepsTaken < UNSETTLED.steps ? UNSETTLED.passes : 1;
      stepsTaken++;
      // How much of what it may lose the quickest place lost: the next step is as long as that allows.
      let fastest = 0;
      for (const zone of zones) {
        while (zone.active < zone.nodes.length && zone.nodes[zone.active]!.setAtS <= now + step / 2)
          zone.active++;
        if (zone.active === 0 || (untilDry && zone.damp === 0)) continue;
        readyStep(zone, air, hair, step, passes);
        for (let i = 0; i < zone.active; i++) {
          const node = zone.nodes[i]!;
          const before = { moisture: node.moisture, limit: node.limit };
          dryNode(node, zone, hair, step);
          evaporatedKg += node.massKg * (before.moisture - node.moisture);
          if (node.isDry) continue;
          const loss =
            Math.abs(before.moisture - node.moisture) /
            (LOSS_A_STEP + LOSS_SHARE_A_STEP * Math.max(0, before.moisture - node.dry));
          if (loss > fastest) fastest = loss;
          marks.markStep(node, before, now, step);
          if (node.isDry) {
            zone.damp--;
            stillDamp--;
          }
        }
      }
      now += step;
      dt = Math.min(size.most * stepScale, dt * Math.min(mostGrowth, stepScale / Math.max(1e-9, fastest)));
      if (isRecording) record((now - installS) / 3600);
    }
    if (leg.isInstalling) startRecording();
  }
  // Everything dry before the last section was in: the curve is one dry point.
  now = Math.max(now, installS);
  startRecording();

  return {
    ...curve,
    dryAfterH: marks.dryAfterH,
    evaporatedKg,
    startWaterKg,
    endWaterKg: waterKg(),
  };
}
