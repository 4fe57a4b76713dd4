import { result as resultTable, handsOn as handsOnTable } from '../coefficients/result';
import { rootMethods } from '../coefficients/root-and-ends';
import { startStates } from '../coefficients/start-states';
import { dueCautions } from '../advice/cautions';
import { curlAfterTakedown } from '../curl/after-takedown';
import { equilibriumRegain } from '../drying/sorption';
import { chanceDry } from '../drying/rate-belief';
import type { PlanFile } from '../formats/plan-file';
import { scalpAreaCm2 } from '../hair/head';
import { ZONES, type Zone } from '../hair/zone';
import { partingMin } from '../hands-on/install-time';
import type { Layout } from '../parting/brick-layout';
import { productRoles } from '../products';
import { recommendedDoseG } from '../products/dose';
import type { DosedLayer } from '../products/layer';
import { layOutDay, type Schedule } from '../schedule/backward';
import { spreadByShare } from '../stats/spread';
import { coefficientOfVariation } from '../stats/variation';
import { techniqueOf } from '../techniques';
import { clamp } from '../units/clamp';
import { daysPresentable } from '../wear/days';
import { definition, frizz, volume, type Look } from '../wear/look';
import { retentionLeft, setRetention, straightenedLeft } from '../wear/retention';
import { nightOf, sizeDoublings, type SetFacts } from '../wear/set-facts';
import type { Brief } from './brief';
import { dampAtTakedown, forecastDrying, type DryingForecast } from './drying-forecast';
import { isoWithOffset } from './iso-time';
import { planSections, type SectionPlan } from './section-forecasts';

/** Version of the models: frozen forecasts say which one made them. */
export const MODEL_VERSION = '2026.11';

/** Room humidity above which hair does not stay dry (drying §2). */
const ROOM_TOO_DAMP_REGAIN = 0.215;

/** The look of the style on one day of wear. */
export interface WearDayForecast {
  readonly day: number;
  readonly definition: number;
  readonly frizz: number;
  readonly volume: number;
  readonly curlDiameterMm: number;
  readonly stretch: number;
}

/** A plan in the open format, and what the screens need beyond it. */
export interface Forecast {
  readonly plan: PlanFile;
  readonly sections: readonly SectionPlan[];
  readonly drying: DryingForecast;
  readonly doses: readonly DosedLayer[];
  readonly schedule: Schedule | null;
  readonly byDay: readonly WearDayForecast[];
  readonly frizz: Look;
  readonly volume: Look;
  readonly dampAtTakedown: number;
  readonly prepMin: number;
}

const sum = <T>(items: readonly T[], of: (item: T) => number) =>
  items.reduce((total, item) => total + of(item), 0);

function dosedLayers(brief: Brief, dryMassG: number): DosedLayer[] {
  return brief.set.layers.map((layer) => ({
    ...layer,
    grams:
      layer.grams ??
      recommendedDoseG(layer.role, {
        dryMassG,
        strandUm: brief.head.strandDiameterUm,
        porosity: brief.head.porosity,
        startState: brief.set.startState,
      }),
  }));
}

const holdOf = (layer: DosedLayer) =>
  layer.hold === undefined ? productRoles[layer.role].hold : layer.hold / 5;

/** The strongest hold of the layers and the product that brings it. */
function strongestHold(layers: readonly DosedLayer[]): { hold: number; holdName: string | null } {
  const strongest = layers.reduce<DosedLayer | null>(
    (best, l) => (best && holdOf(best) >= holdOf(l) ? best : l),
    null,
  );
  const none = productRoles.water.hold;
  if (!strongest || holdOf(strongest) <= none) return { hold: none, holdName: null };
  return { hold: holdOf(strongest), holdName: productRoles[strongest.role].label.toLowerCase() };
}

function setFacts(
  brief: Brief,
  sections: readonly SectionPlan[],
  layers: readonly DosedLayer[],
  damp: number,
): SetFacts {
  const hairCount = sum(sections, (s) => s.hairCount);
  return {
    technique: techniqueOf(brief.set.technique),
    startState: brief.set.startState,
    rootMethod: brief.set.rootMethod,
    endsMethod: brief.set.endsMethod,
    coilDiameterMm: brief.head.naturalCoilDiameterMm,
    sizeDoublings:
      sum(sections, (s) => s.hairCount * sizeDoublings(s.form.definingMm, brief.head.naturalCoilDiameterMm)) /
      hairCount,
    unevenness: coefficientOfVariation(sections.map((s) => s.hairCount)),
    ...strongestHold(layers),
    damp,
    brushedThrough: brief.set.brushedThrough,
    ...brief.wear,
    dewPointOutsideC: brief.room.dewPointOutsideC,
    weakEnds: ['due-a-trim', 'transitioning', 'heat-damaged', 'blunt-trim'].some((c) =>
      brief.head.conditions.includes(c),
    ),
    hairCount,
    fill: Math.max(0, ...sections.map((s) => s.form.fit?.fill ?? 0)),
  };
}

/** Visible curl of one section on one day. */
function curlOn(brief: Brief, facts: SetFacts, section: SectionPlan, day: number, medianDays: number) {
  const root = rootMethods[brief.set.rootMethod];
  return curlAfterTakedown({
    lengthMm: section.lengthCm * 10,
    strandUm: brief.head.strandDiameterUm,
    coilDiameterMm: brief.head.naturalCoilDiameterMm,
    shrinkage: brief.head.shrinkage,
    setNodes: section.form.nodes,
    thicknessMm: section.form.thicknessMm,
    retention: setRetention(facts, section.hairCount) * retentionLeft(day, medianDays),
    straightened: straightenedLeft(facts, day),
    hold: facts.hold,
    openingN: facts.technique.coefficients.value.openingN,
    separations: brief.wear.separations,
    opened: nightOf(facts).opening * day,
    root,
  });
}

/** One section of each zone, with how many hairs it stands for: sections of a zone are alike. */
function zoneSamples(sections: readonly SectionPlan[]): { section: SectionPlan; hairCount: number }[] {
  return ZONES.flatMap((zone) => {
    const own = sections.filter((section) => section.zone === zone);
    return own[0] ? [{ section: own[0], hairCount: sum(own, (s) => s.hairCount) }] : [];
  });
}

function wearByDay(
  brief: Brief,
  facts: SetFacts,
  sections: readonly SectionPlan[],
  looks: Looks,
  days: DaysBand,
) {
  const samples = zoneSamples(sections);
  const hairs = sum(samples, (s) => s.hairCount);
  return Array.from({ length: Math.ceil(days.p90) + 1 }, (_, day): WearDayForecast => {
    const curls = samples.map(({ section, hairCount }) => ({
      curl: curlOn(brief, facts, section, day, days.p50),
      share: hairCount / hairs,
    }));
    const gone = 1 - retentionLeft(day, days.p50);
    return {
      day,
      definition: clamp(looks.definition.value - 7.5 * gone, 0, 10),
      frizz: clamp(looks.frizz.value + 5 * gone, 0, 10),
      volume: clamp(looks.volume.value + nightOf(facts).volume * day + 1.5 * gone, 0, 10),
      curlDiameterMm: sum(curls, ({ curl, share }) => curl.diameterMm * share),
      stretch: sum(curls, ({ curl, share }) => curl.stretch * share),
    };
  });
}

interface Looks {
  readonly definition: Look;
  readonly frizz: Look;
  readonly volume: Look;
}
interface DaysBand {
  readonly p50: number;
  readonly p90: number;
}

function toolPlan(brief: Brief, sections: readonly SectionPlan[]): PlanFile['tool'] {
  const fits = sections.flatMap((section) => (section.form.fit ? [section.form.fit] : []));
  if (fits.length === 0 || !brief.set.tool) return null;
  const fullest = fits.reduce((worst, fit) => (fit.fill > worst.fill ? fit : worst));
  return {
    turns: fullest.turns,
    layers: fullest.layers,
    fits: fits.every((fit) => fit.fits),
    smallestFittingDiameterMm: Math.max(...fits.map((fit) => fit.smallestFittingMm)),
    needed: sections.length,
    owned: brief.set.tool.owned,
    monthsUntilOutgrown: Math.min(...fits.map((fit) => fit.monthsUntilOutgrown.fast)),
  };
}

/** Figure on a 0–10 scale with its half range. */
const indexSpread = (look: Look) => ({
  p10: clamp(look.value - resultTable.value.indexRange, 0, 10),
  p50: look.value,
  p90: clamp(look.value + resultTable.value.indexRange, 0, 10),
});

/**
 * Works out a whole plan: hair, tools, hands-on time, doses, drying, result, days and schedule.
 * Pure: the same brief and layout give the same forecast, bit for bit.
 *
 * @param layout sections of the brief's technique and count; see {@link layoutFor}
 */
export function forecast(brief: Brief, layout: Layout): Forecast {
  const sections = planSections(brief, layout);
  const dryMassG = sum(sections, (s) => s.dryMassG);
  const doses = dosedLayers(brief, dryMassG);
  const drying = forecastDrying(brief, sections, doses);

  const installMin = handsOnTable.value.settleMin + sum(sections, (s) => s.installMin);
  const takedownMin = sum(sections, (s) => s.takedownMin);
  const separatingMin = sum(sections, (s) => s.separatingMin);
  const isStretched = startStates[brief.set.startState].straightened > 0.5;
  const prepMin = handsOnTable.value.prepMin + (isStretched ? handsOnTable.value.blowOutMin : 0);
  const listedH = sum(brief.drying.slice(0, -1), (step) => step.hours) + (brief.drying.at(-1)?.hours ?? 0);
  const dryingH = Math.max(listedH, drying.sureAfterH);
  const schedule =
    brief.wearByMs === null
      ? null
      : layOutDay(
          { prepMin, installMin, dryingH, drying: brief.drying, takedownMin, separatingMin },
          brief.wearByMs,
          brief.startAtMs,
        );
  const takedownAfterH = schedule ? schedule.dryingWindowH : dryingH;
  const chanceAtTakedown = schedule ? chanceDry(drying.belief, drying.all, takedownAfterH) : null;
  const damp = dampAtTakedown(drying, takedownAfterH);

  const facts = setFacts(brief, sections, doses, damp);
  const looks: Looks = { definition: definition(facts), frizz: frizz(facts), volume: volume(facts) };
  const days = daysPresentable(facts);
  const byDay = wearByDay(brief, facts, sections, looks, days);
  const firstDay = byDay[0]!;
  const visibleLengthCm: Partial<Record<Zone, number>> = {};
  for (const { section } of zoneSamples(sections)) {
    visibleLengthCm[section.zone] = curlOn(brief, facts, section, 0, days.p50).visibleMm / 10;
  }
  const fits = sections.flatMap((section) => (section.form.fit ? [section.form.fit] : []));

  const plan: PlanFile = {
    format: 'keen-spiral/plan',
    version: 1,
    hair: {
      scalpAreaCm2: scalpAreaCm2(brief.head.circumferenceCm),
      hairCount: sum(sections, (s) => s.hairCount),
      dryMassG,
    },
    sections: sections.map(({ number, zone, side, areaCm2, hairCount }) => ({
      number,
      zone,
      side,
      areaCm2,
      hairCount,
      order: number,
    })),
    evenness: { hairCountCv: coefficientOfVariation(sections.map((s) => s.hairCount)) },
    tool: toolPlan(brief, sections),
    handsOn: {
      partingMin: handsOnTable.value.settleMin + brief.pace * partingMin() * sections.length,
      installMin: spreadByShare(installMin, resultTable.value.timeRange),
      takedownMin,
      separatingMin,
    },
    doses: doses.map(({ role, grams }) => ({ role, grams, gramsPerSection: grams / sections.length })),
    drying: {
      dryAfterH: drying.dryAfterH,
      rootDryAfterH: drying.rootDryAfterH,
      endsDryAfterH: drying.endsDryAfterH,
      chanceDryAtWearBy: chanceAtTakedown,
      curve: [...drying.curve],
      remistEveryMin: drying.remistEveryMin,
    },
    result: {
      curlDiameterMm: firstDay.curlDiameterMm,
      visibleLengthCm,
      stretch: firstDay.stretch,
      definition: { ...indexSpread(looks.definition), why: [...looks.definition.why] },
      volume: looks.volume.value,
    },
    daysPresentable: { p10: days.p10, p50: days.p50, p90: days.p90, why: [...days.why] },
    schedule:
      schedule?.blocks.map(({ step, startMs, endMs, handsOn, method }) => ({
        step,
        startAt: isoWithOffset(startMs, brief.timeZone),
        endAt: isoWithOffset(endMs, brief.timeZone),
        handsOn,
        ...(method ? { method } : {}),
      })) ?? null,
    cautions: dueCautions({
      brief,
      roomStaysDamp: equilibriumRegain(Math.min(1, brief.room.relativeHumidity), 1) >= ROOM_TOO_DAMP_REGAIN,
      chanceDryAtTakedown: chanceAtTakedown,
      dryingWindowH: schedule?.dryingWindowH ?? null,
      fullestFit:
        fits.length === 0 ? null : fits.reduce((worst, fit) => (fit.fill > worst.fill ? fit : worst)),
      rodsNeeded: brief.set.tool ? sections.length : 0,
      productPerG: sum(doses, (d) => d.grams) / dryMassG,
      shortestTurns: fits.length === 0 ? null : Math.min(...fits.map((fit) => fit.turns)),
    }),
  };
  return {
    plan,
    sections,
    drying,
    doses,
    schedule,
    byDay,
    frizz: looks.frizz,
    volume: looks.volume,
    dampAtTakedown: damp,
    prepMin,
  };
}
