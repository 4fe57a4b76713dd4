import { airAtHair, drying, dryness, unsure } from '../coefficients/drying';
import { hands, type HandId } from '../coefficients/hands';
import { POROSITY } from '../coefficients/hair';
import { drawnHeads, startMoistureOf, type DrawnTimes, type UncertainDrying } from '../drying/draws';
import { dryRun } from '../drying/dry-run';
import type { DryingStep } from '../drying/dry-run-input';
import {
  dampnessAt,
  FEW_LN_RATES,
  rateTable,
  slowestHours,
  type NodeTimes,
  type RateTable,
} from '../drying/rate-table';
import { HORIZON_H } from '../drying/horizon';
import {
  beliefFromDraws,
  chanceDry,
  drySpread,
  hoursForChances,
  lnTimeSd,
  priorBelief,
  recalibrated,
  slowRateOf,
  type RateBelief,
  type TimesByRate,
} from '../drying/rate-belief';
import { handPartedClasses, type ZoneSections } from '../drying/section-classes';
import type { Room } from '../drying/air-at-hair';
import { restingRegain } from '../drying/dry-threshold';
import { filmResistanceSM, productWaterPerG, WETTEST_ROOM } from '../drying/start-moisture';
import { END_ROD_WIDTH_MM, type Level, type WoundRod } from '../drying/nodes';
import { rootMethods } from '../coefficients/root-and-ends';
import { ZONES, type Zone } from '../hair/zone';
import { sidesApart, type DosedLayer } from '../products/layer';
import { thenInAir } from '../schedule/drying-day';
import { clamp } from '../units/clamp';
import { interpolate } from '../stats/interpolate';
import { correctedChance, type ChanceCorrection } from '../stats/logit';
import { quantiles } from '../stats/quantile';
import type { Spread } from '../stats/spread';
import { techniqueOf } from '../techniques';
import type { Brief, ZoneSet } from '../brief/brief';
import { onZone } from './dosing';
import type { SectionPlan } from './section-forecasts';
import { planWaiting, type WaitingPlan } from './waiting-plan';

/** The drying of one plan before anything uncertain is drawn: one run for each of a range of drying rates. */
export interface DryingBasis {
  readonly table: RateTable;
  readonly all: TimesByRate;
  readonly waiting: WaitingPlan;
  readonly uncertain: UncertainDrying;
  /** What chances to be dry are put right by; null for nothing. */
  readonly correction: ChanceCorrection | null;
}

/** The drying of one plan, with what is needed to bend it when hair is felt. */
export interface DryingForecast {
  readonly table: RateTable;
  readonly belief: RateBelief;
  readonly all: TimesByRate;
  readonly waiting: WaitingPlan;
  readonly dryAfterH: Spread;
  readonly rootDryAfterH: Spread;
  readonly endsDryAfterH: Spread;
  /** Hours after which it is surely dry. */
  readonly sureAfterH: number;
  readonly curve: readonly { afterH: number; chanceDry: number; waterPerDryG: number }[];
  /** Heads drawn for the spread; 0 for the quick estimate. */
  readonly draws: number;
}

const CURVE_POINTS = 32;
/** Chance up to which the curve is drawn. */
const CURVE_TO = 0.99;

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

/** How the sections of one zone lie for drying. */
function shapeOf({ technique: id, rootMethod }: ZoneSet, hand: HandId) {
  const technique = techniqueOf(id);
  const shape = (rootMethods[rootMethod].isPlaited && technique.plaitedRootShape) || technique.dryingShape;
  return { ...shape, packing: shape.packing * hands[hand].packing };
}

function zoneSections(brief: Brief, sections: readonly SectionPlan[], waiting: WaitingPlan): ZoneSections[] {
  const places = sidesApart(brief.set.layers).flatMap((side) => ZONES.map((zone) => ({ zone, side })));
  return places.flatMap(({ zone, side }): ZoneSections[] => {
    const inZone = sections.filter(
      (section) => section.zone === zone && (side === null || section.side === side),
    );
    if (inZone.length === 0) return [];
    const set = brief.zones[zone];
    // Sections may have sizes of their own: a zone dries as their mean.
    const diameters = inZone.flatMap(({ tool }) => (tool ? [tool.diameterMm] : []));
    const diameterMm = diameters.reduce((sum, mm) => sum + mm, 0) / Math.max(1, diameters.length);
    const rod = (width: number): WoundRod | null => set.tool && { diameterMm, woundWidthMm: width };
    return [
      {
        zone,
        side,
        count: inZone.length,
        areaCm2: inZone.reduce((sum, section) => sum + section.areaCm2, 0) / inZone.length,
        largestCm2: Math.max(...inZone.map((section) => section.areaCm2)),
        hairsPerCm2: brief.head.densityPerCm2,
        strandUm: brief.head.strandDiameterUm,
        lengthCm: brief.head.stretchedLengthCm[zone],
        shape: shapeOf(set, brief.set.hand),
        rod:
          set.tool && set.tool.kind !== 'end-rod'
            ? rod(woundWidthMm(inZone, set.tool.workingLengthMm))
            : null,
        endRod: set.tool?.kind === 'end-rod' ? rod(END_ROD_WIDTH_MM) : null,
        setBeforeEndH: waiting.setBeforeEndH(zone),
      },
    ];
  });
}

/** Zones whose halves get more water first: where a zone is asked for as one, the half that dries later stands for it. */
const wetterFirst = (zones: readonly ZoneSections[], waterOf: (place: ZoneSections) => number) =>
  zones.some(({ side }) => side) ? [...zones].sort((a, b) => waterOf(b) - waterOf(a)) : zones;

/** Width of rod that hair lies on, mm. */
const woundWidthMm = (sections: readonly SectionPlan[], workingLengthMm: number): number => {
  const axial = sections.map(({ form }) => form.fit?.axialMm ?? 0);
  const mean = axial.reduce((sum, mm) => sum + mm, 0) / axial.length;
  return Math.min(workingLengthMm, Math.max(END_ROD_WIDTH_MM, drying.value.spreadOnRod * mean));
};

/** The room that hair dries in: a small one that is shut grows damper than it was. */
export const dryingRoom = ({ temperatureC, relativeHumidity, closed }: Brief['room']): Room => ({
  temperatureC,
  relativeHumidity: Math.min(WETTEST_ROOM, relativeHumidity + (closed ? airAtHair.value.closedHumidity : 0)),
});

/** What of a plan's drying is known before its day is laid out. */
export interface ReadyToDry {
  readonly waiting: WaitingPlan;
  readonly uncertain: UncertainDrying;
  readonly correction: ChanceCorrection | null;
}

/**
 * What is added to the spread of a rate where little has to dry.
 *
 * @param aboveRoom water above what the room gives hair, g per g
 * @source overnight, "What the rows pin down"; fading in over a few hundredths, so that no dose makes a range jump
 */
export function littleWaterSd(aboveRoom: number): number {
  const { littleWater, littleFrom, littleTo } = unsure.value;
  return littleWater * clamp((littleFrom - aboveRoom) / (littleFrom - littleTo), 0, 1);
}

/** What is believed of the drying rate before heads are drawn: about the spread and the middle that they will have. */
export const beliefBefore = ({ uncertain: { rate } }: Pick<ReadyToDry, 'uncertain'>): RateBelief =>
  priorBelief(Math.log(rate.median) - unsure.value.drawnLater, lnTimeSd(rate.lnSd));

/**
 * Everything of a plan's drying but the steps as they lie in its day.
 *
 * @param known for a plan among many: what is known of the waiting already
 */
export function readyToDry(
  brief: Brief,
  sections: readonly SectionPlan[],
  doses: readonly DosedLayer[],
  known?: { readonly waiting: WaitingPlan },
): ReadyToDry {
  const porosityFactor = POROSITY[brief.head.porosity].boundWater;
  const room = dryingRoom(brief.room);
  const waiting = known?.waiting ?? planWaiting(brief, sections, room);
  const zones = wetterFirst(zoneSections(brief, sections, waiting), (place) =>
    productWaterPerG(onZone(doses, place, sections), 1),
  );
  const layers = zones.map((place) => onZone(doses, place, sections));
  const uncertain: UncertainDrying = {
    zones,
    room,
    steps: thenInAir(brief.drying),
    porosityFactor,
    filmResistanceSM: layers.map((onIt) => filmResistanceSM(onIt, 1)),
    startState: brief.set.startState,
    lostWaiting: zones.map(({ zone }) => waiting.lostWaiting(zone)),
    productWaterPerG: layers.map((onIt) => productWaterPerG(onIt, 1)),
    blotted: brief.set.blotted,
    movement: brief.room.closed ? airAtHair.value.closedMovement : 1,
    rate: brief.dryingRate,
    horizonH: HORIZON_H,
  };
  const wettest = Math.max(...zones.map((_, i) => startMoistureOf(uncertain, i, room)));
  const aboveRoom = wettest - restingRegain(room.relativeHumidity, porosityFactor);
  const lnSd = Math.hypot(brief.dryingRate.lnSd, littleWaterSd(aboveRoom));
  return {
    waiting,
    uncertain: { ...uncertain, rate: { ...brief.dryingRate, lnSd } },
    correction: brief.corrections.dry,
  };
}

/** Nothing drawn: the head, room and hands that are the likeliest. */
const likeliest = (what: UncertainDrying) => ({
  classes: handPartedClasses(what.zones, (i) => ({
    density: 1,
    startMoisture: startMoistureOf(what, i, what.room),
    filmResistanceSM: what.filmResistanceSM[i] ?? 0,
    largestQuantile: 0.5,
  })),
  room: what.room,
  steps: what.steps,
  porosityFactor: what.porosityFactor,
  startMoisture: 0,
  filmResistanceSM: 0,
  supply: { movement: what.movement, hotAirK: 0 },
});

/** Steps long enough for a figure that is compared, and not shown. */
const QUICK_STEPS = 3;

/** Hours until a head of one drying rate is dry, in one coarse run. */
export function hoursToDry(what: UncertainDrying, rate: number): number {
  const { dryAfterH } = dryRun({
    ...likeliest(what),
    rate,
    horizonH: what.horizonH,
    stepScale: QUICK_STEPS,
    timesOnly: true,
    untilDry: true,
  });
  return Math.min(what.horizonH, Math.max(...dryAfterH.filter((hours) => !Number.isNaN(hours))));
}

/**
 * Everything of a plan's drying that does not hang on chance.
 *
 * @param steps as they lie in the day
 * @param isRough for a plan among many: fewer runs, in longer steps
 */
export function dryingBasis(
  { waiting, uncertain: asked, correction }: ReadyToDry,
  steps: readonly DryingStep[],
  isRough = false,
): DryingBasis {
  const uncertain = { ...asked, steps: thenInAir(steps) };
  const input = likeliest(uncertain);
  const table = isRough ? rateTable(input, FEW_LN_RATES, true) : rateTable(input);
  return { table, all: wholeHeadTimes(table), waiting, uncertain, correction };
}

/** Draws heads `from` … `to` − 1 of a plan. Equal numbers give equal heads, so that draws can be added to. */
export const drawHeads = (basis: DryingBasis, seed: number, from: number, to: number): DrawnTimes[] =>
  drawnHeads(basis.uncertain, seed, from, to);

/** 10–90 % band and middle of what was drawn. */
function drawnSpread(hours: readonly number[]): Spread {
  const [p10, p50, p90] = quantiles(hours, [0.1, 0.5, 0.9]);
  return { p10: p10!, p50: p50!, p90: p90! };
}

/** The drying of a plan: from drawn heads, or without any by the spread that such draws usually have. */
export function dryingForecast(
  { table, all, waiting, uncertain, correction }: DryingBasis,
  drawn: readonly DrawnTimes[],
): DryingForecast {
  const asDrawn =
    drawn.length > 0
      ? beliefFromDraws(
          all,
          drawn,
          uncertain.zones.map(({ zone }) => zone),
        )
      : beliefBefore({ uncertain });
  const belief = correction
    ? recalibrated(asDrawn, (chance) => correctedChance(correction, chance))
    : asDrawn;
  const spreadOf = (level: Level | null, key: 'allH' | 'rootH' | 'endsH'): Spread =>
    drawn.length > 0 && !correction
      ? drawnSpread(drawn.map((head) => head[key]))
      : drySpread(belief, level ? wholeHeadTimes(table, level) : all);
  const [sureAfterH, end] = hoursForChances(belief, all, [dryness.value.sure, CURVE_TO]) as [number, number];
  return {
    table,
    belief,
    all,
    waiting,
    dryAfterH: spreadOf(null, 'allH'),
    rootDryAfterH: spreadOf('root', 'rootH'),
    endsDryAfterH: spreadOf('ends', 'endsH'),
    sureAfterH,
    curve: Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
      const afterH = (end * i) / CURVE_POINTS;
      return {
        afterH,
        chanceDry: chanceDry(belief, all, afterH),
        waterPerDryG: interpolate(table.usual.timeH, table.usual.moisture, afterH),
      };
    }),
    draws: drawn.length,
  };
}

/** Share of the removable water that is left at takedown. */
export interface DampLeft {
  /** Mean over what is believed of the drying rate. */
  readonly mean: number;
  /** Of a head that dries slower than nine in ten, and of one that dries faster. */
  readonly slow: number;
  readonly quick: number;
}

/** How damp it still is `afterH` hours after it was set. */
export function dampAtTakedown(
  { table, belief }: Pick<DryingForecast, 'table' | 'belief'>,
  afterH: number,
): DampLeft {
  const at = (lnRate: number) => dampnessAt(table, lnRate, Math.max(0, afterH));
  let damp = 0;
  let weight = 0;
  // Every third point of the fine belief grid is plenty for a mean of a smooth curve.
  for (let i = 0; i < belief.lnRates.length; i += 3) {
    damp += belief.weights[i]! * at(belief.lnRates[i]!);
    weight += belief.weights[i]!;
  }
  return {
    mean: damp / weight,
    slow: at(Math.log(slowRateOf(belief, 0.1))),
    quick: at(Math.log(slowRateOf(belief, 0.9))),
  };
}
