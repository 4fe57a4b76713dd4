import { POROSITY } from '../coefficients/hair';
import { slowestHours, rateTable, dampnessAt, type NodeTimes, type RateTable } from '../drying/rate-table';
import {
  chanceDry,
  drySpread,
  hoursForChances,
  priorBelief,
  type RateBelief,
  type TimesByRate,
} from '../drying/rate-belief';
import { handPartedClasses, type ZoneSections } from '../drying/section-classes';
import { filmResistanceSM, hairMoisture, productWaterPerG, WETTEST_ROOM } from '../drying/start-moisture';
import { waitingLimits } from '../drying/waiting';
import type { Level } from '../drying/nodes';
import { ZONES, type Zone } from '../hair/zone';
import type { DosedLayer } from '../products/layer';
import { interpolate } from '../stats/interpolate';
import type { Spread } from '../stats/spread';
import { techniqueOf } from '../techniques';
import type { Brief } from './brief';
import type { SectionPlan } from './section-forecasts';

/** A head is called surely dry at this chance; schedules leave time for it. */
export const SURE = 0.9;

/** The drying of one plan, with what is needed to bend it when hair is felt. */
export interface DryingForecast {
  readonly table: RateTable;
  readonly belief: RateBelief;
  readonly all: TimesByRate;
  readonly dryAfterH: Spread;
  readonly rootDryAfterH: Spread;
  readonly endsDryAfterH: Spread;
  /** Hours after which it is surely dry. */
  readonly sureAfterH: number;
  readonly curve: readonly { afterH: number; chanceDry: number; waterPerDryG: number }[];
  readonly remistEveryMin: number | null;
}

const CURVE_POINTS = 32;

/** Times over the rate axis for a zone's section: the typical one, or the largest that decides the whole. */
export function sectionTimes(table: RateTable, zone: Zone, level: Level): TimesByRate {
  const nodes = table.nodes.filter((node) => node.zone === zone && node.level === level);
  const typical = nodes.reduce<NodeTimes | null>(
    (best, n) => (best && best.count >= n.count ? best : n),
    null,
  );
  return { lnRates: table.lnRates, hours: typical?.hours ?? table.lnRates.map(() => 0) };
}

/** Times until the slowest place of the head, or of one level of it, is dry. */
export const wholeHeadTimes = (table: RateTable, level?: Level): TimesByRate => ({
  lnRates: table.lnRates,
  hours: slowestHours(table, level ? table.nodes.filter((node) => node.level === level) : table.nodes),
});

/** Forecasts the drying of a set from the end of installing. */
export function forecastDrying(
  brief: Brief,
  sections: readonly SectionPlan[],
  doses: readonly DosedLayer[],
): DryingForecast {
  const { head, set, room } = brief;
  const technique = techniqueOf(set.technique);
  const porosityFactor = POROSITY[head.porosity].boundWater;
  const dryMass = sections.reduce((sum, section) => sum + section.dryMassG, 0);
  const zones: ZoneSections[] = ZONES.map((zone) => {
    const own = sections.filter((section) => section.zone === zone);
    return { zone, count: own.length, areaCm2: own.length === 0 ? 0 : sumArea(own) / own.length };
  });
  const hairRoom = {
    temperatureC: room.temperatureC,
    relativeHumidity: Math.min(WETTEST_ROOM, room.relativeHumidity),
  };
  const classes = handPartedClasses(zones, {
    hairsPerCm2: head.densityPerCm2,
    strandUm: head.strandDiameterUm,
    lengthCm: head.stretchedLengthCm,
    shape: technique.dryingShape,
    rod: set.tool ? { diameterMm: set.tool.diameterMm, woundWidthMm: set.tool.workingLengthMm } : null,
  });
  const table = rateTable({
    classes,
    room: hairRoom,
    steps: brief.drying,
    porosityFactor,
    startMoisture: hairMoisture(set.startState, porosityFactor, hairRoom) + productWaterPerG(doses, dryMass),
    filmResistanceSM: filmResistanceSM(doses, dryMass),
  });
  const belief = priorBelief();
  const all = wholeHeadTimes(table);
  const [sureAfterH, end] = hoursForChances(belief, all, [SURE, 0.99]) as [number, number];
  const waiting = waitingLimits(
    zones
      .filter((zone) => zone.count > 0)
      .map((zone) => ({
        zone: zone.zone,
        count: 1,
        sectionAreaCm2: zone.count * zone.areaCm2,
        hairsPerCm2: head.densityPerCm2,
        strandUm: head.strandDiameterUm,
        lengthCm: head.stretchedLengthCm[zone.zone],
      })),
    hairRoom,
    set.startState,
    porosityFactor,
  );
  return {
    table,
    belief,
    all,
    dryAfterH: drySpread(belief, all),
    rootDryAfterH: drySpread(belief, wholeHeadTimes(table, 'root')),
    endsDryAfterH: drySpread(belief, wholeHeadTimes(table, 'ends')),
    sureAfterH,
    curve: Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
      const afterH = (end * i) / CURVE_POINTS;
      return {
        afterH,
        chanceDry: chanceDry(belief, all, afterH),
        waterPerDryG: interpolate(table.usual.timeH, table.usual.moisture, afterH),
      };
    }),
    remistEveryMin: waiting ? waiting.meanH * 60 : null,
  };
}

/** Mean share of removable water left at takedown, over what is believed of the drying rate. */
export function dampAtTakedown(
  { table, belief }: Pick<DryingForecast, 'table' | 'belief'>,
  afterH: number,
): number {
  let damp = 0;
  // Every third point of the fine belief grid is plenty for a mean of a smooth curve.
  let weight = 0;
  for (let i = 0; i < belief.lnRates.length; i += 3) {
    damp += belief.weights[i]! * dampnessAt(table, belief.lnRates[i]!, Math.max(0, afterH));
    weight += belief.weights[i]!;
  }
  return damp / weight;
}

const sumArea = (sections: readonly SectionPlan[]) =>
  sections.reduce((sum, section) => sum + section.areaCm2, 0);
