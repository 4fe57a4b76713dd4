import { drying as dryingTable } from '../coefficients/drying';
import { handsOn as handsOnTable } from '../coefficients/result';
import { dueCautions } from '../advice/cautions';
import { asLongWords, learntOf, type LearntShift } from '../brief/learnt';
import { equilibriumRegain } from '../drying/sorption';
import type { DrawnTimes } from '../drying/draws';
import { chanceDry } from '../drying/rate-belief';
import { hoursAtRate, rateForHours } from '../drying/rate-table';
import type { PlanFile } from '../formats/plan-file';
import { scalpAreaCm2 } from '../hair/head';
import { INSTALL_PARTS, partingMin, type InstallParts } from '../hands-on/install-time';
import type { Layout } from '../parting/layout';
import type { Schedule } from '../schedule/backward';
import { prepWorkMin } from './prep-parts';
import { spreadByLn } from '../stats/spread';
import { techniqueOf } from '../techniques';
import type { KnotForm } from '../techniques/knot-form';
import type { ToolFit } from '../techniques/rod-fit';
import { toolKinds, type ToolKindId, type ToolShort } from '../techniques/tool-kind';
import type { Reason } from '../wear/reason';
import type { Brief } from '../brief/brief';
import { dosesOf, dryMassOf, onZone, sectionsUnder } from './dosing';
import type { Dose } from '../products/dose';
import {
  dampAtTakedown,
  drawHeads,
  dryingBasis,
  dryingForecast,
  readyToDry,
  type DryingBasis,
  type DryingForecast,
} from './drying-forecast';
import { dryingReasons } from './drying-reasons';
import { hairCountCv } from './hair-variation';
import { isoWithOffset } from './iso-time';
import { blownH, dampCoveredH, plannedDay, sureUnder, type PlannedDay } from './planned-day';
import { plannedResult, type PlannedSet } from './planned-result';
import type { SetResult } from './set-result';
import { planSections, type SectionPlan } from './section-forecasts';
import { unknownSpread, withUnknown } from './unknown-spread';
import { zoneVerdicts } from './zone-verdicts';

/** Version of the models: frozen forecasts say which one made them. */
export const MODEL_VERSION = '2027.2';

/** A plan in the open format, and what the screens need beyond it. */
export interface Forecast {
  readonly plan: PlanFile;
  readonly layout: Layout;
  readonly sections: readonly SectionPlan[];
  readonly drying: DryingForecast;
  readonly doses: readonly Dose[];
  readonly schedule: Schedule | null;
  readonly result: SetResult;
  readonly dampAtTakedown: number;
}

/** Everything of a forecast that no draw changes. */
export interface ForecastBasis extends PlannedSet {
  readonly layout: Layout;
  readonly dryMassG: number;
  readonly day: PlannedDay;
  readonly drying: DryingBasis;
}

const sum = <T>(items: readonly T[], of: (item: T) => number) =>
  items.reduce((total, item) => total + of(item), 0);

/** The part of a forecast that stays the same however many heads are drawn. */
export function forecastBasis(asked: Brief, layout: Layout): ForecastBasis {
  const sections = planSections(asked, layout);
  const unknown = unknownSpread(asked, sections);
  const brief = withUnknown(asked, unknown);
  const doses = dosesOf(brief, sections);
  const ready = readyToDry(
    brief,
    sections,
    doses.map((dose) => dose.layer),
  );
  const day = plannedDay(brief, sections, ready);
  return {
    brief,
    layout,
    sections,
    unknown,
    dryMassG: dryMassOf(sections),
    doses,
    day,
    drying: dryingBasis(ready, day.steps),
  };
}

const fitsOf = (sections: readonly SectionPlan[]): ToolFit[] =>
  sections.flatMap(({ form }) => (form.fit ? [form.fit] : []));

const fullestFit = (sections: readonly SectionPlan[]): ToolFit | null =>
  fitsOf(sections).reduce<ToolFit | null>((most, fit) => (most && most.fill >= fit.fill ? most : fit), null);

const tightestKnot = (sections: readonly SectionPlan[]): KnotForm | null =>
  sections.reduce<KnotForm | null>((tightest, { form }) => {
    const { knot } = form;
    return knot && (!tightest || knot.slackLeft < tightest.slackLeft) ? knot : tightest;
  }, null);

/** The tool of the set, on the sections that have it. */
function toolPlan(brief: Brief, sections: readonly SectionPlan[]): PlanFile['tool'] {
  const { tool } = brief.set;
  if (!tool) return null;
  const onTool = sections.filter(({ zone }) => brief.zones[zone].tool?.kind === tool.kind);
  const fullest = fullestFit(onTool);
  if (!fullest) return null;
  const fits = fitsOf(onTool);
  return {
    kind: tool.kind,
    turns: fullest.turns,
    layers: fullest.layers,
    fits: fits.every((fit) => fit.fits),
    smallestFittingDiameterMm: Math.max(...fits.map((fit) => fit.smallestFittingMm)),
    needed: onTool.filter(({ tool: taken }) => taken?.diameterMm === tool.diameterMm).length,
    owned: tool.owned,
    monthsUntilOutgrown: Math.min(...fits.map((fit) => fit.monthsUntilOutgrown.fast)),
  };
}

/** Every size of tool that the plan takes, over all zones. */
function toolSizes(sections: readonly SectionPlan[]): PlanFile['tools'] {
  const sizes = new Map<string, PlanFile['tools'][number]>();
  for (const { tool } of sections) {
    if (!tool) continue;
    const key = `${tool.kind}/${tool.diameterMm}/${tool.workingLengthMm}`;
    const before = sizes.get(key);
    sizes.set(key, {
      kind: tool.kind,
      diameterMm: tool.diameterMm,
      workingLengthMm: tool.workingLengthMm,
      needed: (before?.needed ?? 0) + 1,
      owned: Math.max(before?.owned ?? 0, tool.owned),
    });
  }
  return [...sizes.values()].sort((a, b) => a.diameterMm - b.diameterMm);
}

/** Sizes of which fewer are owned than the plan takes over all zones; where none is said to be owned nothing is known. */
function toolsShort(sizes: PlanFile['tools']): ToolShort[] {
  const bySize = new Map<string, ToolShort>();
  for (const { kind, diameterMm, needed, owned } of sizes) {
    const keptAs = toolKinds[kind as ToolKindId].keptAs;
    const key = `${keptAs}/${diameterMm}`;
    const before = bySize.get(key);
    bySize.set(key, {
      kind: keptAs,
      diameterMm,
      needed: (before?.needed ?? 0) + needed,
      owned: Math.max(before?.owned ?? 0, owned),
    });
  }
  return [...bySize.values()].filter(({ needed, owned }) => owned > 0 && needed > owned);
}

/** Minutes more or less than on most heads. */
const learntPace = (pace: number, learnt: LearntShift, sections: readonly SectionPlan[]): Reason => ({
  factor: 'learnt',
  effect: (pace - 1) * sum(sections, ({ installParts }) => sum(INSTALL_PARTS, (part) => installParts[part])),
  text: asLongWords(learnt, 'takes', pace),
});

/** What the minutes of setting go into, most first. */
function handsOnReasons(brief: Brief, sections: readonly SectionPlan[]): Reason[] {
  const texts: Readonly<Record<keyof InstallParts, string>> = {
    parting: `parting ${sections.length} sections`,
    product: 'working product through',
    setting: 'setting them',
    root: 'starting the roots',
    ends: 'finishing the ends',
    brushing: 'brushing it through',
  };
  const learnt = learntOf(brief.learnt, brief.set.technique).pace;
  return INSTALL_PARTS.map((part): Reason => ({
    factor: part,
    effect: (learnt ? 1 : brief.pace.median) * sum(sections, (section) => section.installParts[part]),
    text: texts[part],
  }))
    .concat(learnt ? [learntPace(brief.pace.median, learnt, sections)] : [])
    .filter(({ effect }) => Math.abs(effect) >= 0.5)
    .sort((a, b) => b.effect - a.effect);
}

/** Middle of the drying time on a head of the usual drying rate. */
function dryOnMost({ all, dryAfterH }: DryingForecast, rate: number): number {
  const lnRate = rateForHours(all.lnRates, all.hours, dryAfterH.p50);
  return hoursAtRate(all.lnRates, all.hours, lnRate - Math.log(rate));
}

/** Completes a forecast with the heads drawn so far: none for the quick estimate. */
export function finishForecast(basis: ForecastBasis, drawn: readonly DrawnTimes[]): Forecast {
  const { brief, layout, sections, dryMassG, doses } = basis;
  const { prep, takedownMin, separatingMin, schedule, steps } = basis.day;
  const drying = dryingForecast(basis.drying, drawn);
  const { installMin } = basis.drying.waiting;
  const takedownAfterH = schedule
    ? schedule.window.hours
    : Math.max(
        sum(brief.drying, (step) => step.hours),
        drying.sureAfterH,
      );
  const chanceAtTakedown = schedule ? chanceDry(drying.belief, drying.all, takedownAfterH) : null;
  const damp = dampAtTakedown(drying, takedownAfterH);
  const { outcome: result, seen, onMost } = plannedResult(basis, damp);
  const verdicts = zoneVerdicts(brief, sections);
  const layers = doses.map(({ layer }) => layer);
  const tool = toolPlan(brief, sections);

  const plan: PlanFile = {
    format: 'keen-spiral/plan',
    version: 1,
    hair: {
      scalpAreaCm2: scalpAreaCm2(brief.head.circumferenceCm),
      hairCount: sum(sections, (s) => s.hairCount),
      dryMassG,
    },
    sections: sections.map(
      ({ number, zone, side, areaCm2, hairCount, tool: itsTool, doseFactor, without }) => ({
        number,
        zone,
        side,
        areaCm2,
        hairCount,
        order: number,
        technique: brief.zones[zone].technique,
        toolDiameterMm: itsTool?.diameterMm ?? null,
        winding: layout.sections[number - 1]!.winding,
        ...(doseFactor === 1 ? {} : { doseFactor }),
        ...(without.length > 0 ? { without: [...without] } : {}),
      }),
    ),
    zones: verdicts.map(({ zone, technique, sections: count, lengthCm, problem, proposals }) => ({
      zone,
      technique,
      sections: count,
      lengthCm,
      problem,
      proposals: [...proposals],
    })),
    evenness: { hairCountCv: hairCountCv(sections) },
    tool,
    tools: toolSizes(sections),
    handsOn: {
      prepMin: prepWorkMin(prep),
      partingMin: handsOnTable.value.settleMin + brief.pace.median * partingMin() * sections.length,
      installMin: spreadByLn(installMin, (brief.corrections.widths.pace ?? 1) * brief.pace.lnSd),
      takedownMin,
      separatingMin,
      why: handsOnReasons(brief, sections),
    },
    doses: doses.map((dose) => ({
      role: dose.layer.role,
      grams: dose.layer.grams,
      gramsPerSection: dose.layer.grams / Math.max(1, sectionsUnder(dose.layer, sections).length),
      ...(dose.layer.zones ? { zones: [...dose.layer.zones] } : {}),
      ...(dose.layer.half ? { half: dose.layer.half } : {}),
      recommendedGrams: dose.recommendedG,
      amount: dose.verdict,
      inHands: dose.inHands,
      leftAfterWashGrams: dose.leftAfterWashG,
    })),
    drying: {
      dryAfterH: drying.dryAfterH,
      rootDryAfterH: drying.rootDryAfterH,
      endsDryAfterH: drying.endsDryAfterH,
      chanceDryAtWearBy: chanceAtTakedown,
      sureUnder: drawn.length > 0 ? sureUnder(brief, schedule, basis.drying, drying, chanceAtTakedown) : null,
      curve: [...drying.curve],
      remistEveryMin: drying.waiting.remistEveryMin,
      waiting: drying.waiting.quadrants.map((quadrant) => ({
        ...quadrant,
        mistAtMin: [...quadrant.mistAtMin],
      })),
      why: drawn.length > 0 ? dryingReasons(brief, sections, basis.drying) : [],
      draws: drying.draws,
    },
    ...seen,
    ...(onMost
      ? {
          trade: {
            installMin:
              handsOnTable.value.settleMin + (installMin - handsOnTable.value.settleMin) / brief.pace.median,
            dryAfterH: dryOnMost(drying, brief.dryingRate.median),
            definition: onMost.definition.value,
            stretch: onMost.byDay[0]!.stretch,
            daysPresentable: onMost.days.p50,
          },
        }
      : {}),
    schedule:
      schedule?.blocks.map(({ step, startMs, endMs, handsOn, method, part, product }) => ({
        step,
        startAt: isoWithOffset(startMs, brief.timeZone),
        endAt: isoWithOffset(endMs, brief.timeZone),
        handsOn,
        ...(method ? { method } : {}),
        ...(part ? { part } : {}),
        ...(product ? { product } : {}),
      })) ?? null,
    cautions: dueCautions({
      brief,
      daysInSet: null,
      facts: {
        roomStaysDamp:
          equilibriumRegain(Math.min(1, brief.room.relativeHumidity), 1) >=
          dryingTable.value.roomTooDampRegain,
        chanceDryAtTakedown: chanceAtTakedown,
        dryingWindowH: schedule?.window.hours ?? null,
        asleep: schedule?.asleep ?? [],
        blownHours: blownH(steps),
        dampCoveredH: dampCoveredH(steps, drying.dryAfterH.p50),
        fullestFit: techniqueOf(brief.set.technique).tool ? fullestFit(sections) : null,
        toolsShort: toolsShort(toolSizes(sections)),
        doses,
        productPerG: Math.max(
          ...basis.drying.uncertain.zones.map((place) =>
            sum(onZone(layers, place, sections), ({ grams }) => grams),
          ),
        ),
        zones: verdicts,
        stretch: seen.result.stretch,
        tightestKnot: tightestKnot(sections),
      },
    }),
  };
  return { plan, layout, sections, drying, doses, schedule, result, dampAtTakedown: damp.mean };
}

/**
 * Works out a whole plan: hair, tools, hands-on time, doses, drying, result, days and schedule.
 * Pure: the same brief and layout give the same forecast, bit for bit.
 *
 * @param layout sections of the brief; see {@link layoutFor}
 * @param draws heads drawn for the spread of drying; the brief's own number when left out
 */
export function forecast(brief: Brief, layout: Layout, draws = brief.draws): Forecast {
  const basis = forecastBasis(brief, layout);
  return finishForecast(basis, drawHeads(basis.drying, brief.seed, 0, draws));
}
