import { z } from 'zod';
import { learntOf, type Learnt } from '../brief/learnt';
import { nightCares } from '../coefficients/night-care';
import { START_STATE_IDS, type StartStateId } from '../coefficients/start-states';
import { stretchedOf } from '../diary/day-problem';
import type { DayEntry } from '../diary/day-entry';
import type { HalfOutcome } from '../diary/outcome';
import { saidOfDay, saidStretchOfDay, type Said } from '../diary/said-of-day';
import { wholeDays } from '../diary/whole-days';
import type { BriefInput } from '../formats/brief';
import type { PlanFile } from '../formats/plan-file';
import type { Half } from '../hair/half';
import { ZONES } from '../hair/zone';
import { standingForecast, type TakenDown } from '../plan/as-taken-down';
import { FULL_SCALE } from '../products/role';
import { productRoles, ROLE_IDS, type RoleId } from '../products';
import type { RunState } from '../run/run-state';
import { workedMinutes } from '../run/worked-minutes';
import { TECHNIQUE_IDS } from '../techniques';
import { END_REASON_IDS, hasEnded } from '../wear/end-reasons';

/** What was forecast of a figure, and what came. `trade` is the middle as most heads would have it. */
const judged = z.object({
  low: z.number(),
  middle: z.number(),
  high: z.number(),
  trade: z.number(),
  came: z.number(),
  /** What the choices that are compared add to it, as the trade has it. */
  ofChoices: z.number().default(0),
});

/** A product that went on one half only. */
const wayLayer = z.object({
  role: z.enum(ROLE_IDS),
  productId: z.string().nullable(),
  grams: z.number().nullable(),
});
export type WayLayer = z.output<typeof wayLayer>;

/** One set, boiled down to what can be learnt from it. Kept beside the set, and made anew whenever it changes. */
export const setEvidence = z.object({
  technique: z.enum(TECHNIQUE_IDS),
  modelVersion: z.string(),
  isEnteredLater: z.boolean(),
  /** Who set most of it; null where nobody said. */
  stylist: z.string().nullable(),
  days: z
    .object({
      /** Last day it was good, or was rated. */
      last: z.number(),
      /** `worn` while it is; `cut` while still good; `wet` where water ended it. */
      how: z.enum(['ended', 'cut', 'wet', 'worn']),
      reason: z.enum(END_REASON_IDS).nullable(),
      isRecalled: z.boolean(),
      low: z.number(),
      middle: z.number(),
      high: z.number(),
      trade: z.number(),
      /** ln of what the choices that are compared add to it, as the trade has it. */
      ofChoices: z.number().default(0),
    })
    .nullable(),
  definition: judged.nullable(),
  /** Points of 100. */
  stretch: judged.nullable(),
  /** Minutes. */
  install: judged.nullable(),
  /** ln of its drying rate over the trade's, as hands showed it. */
  rate: z.object({ value: z.number(), ownVariance: z.number() }).nullable(),
  /** Chance to be dry at the takedown, and whether it was. */
  dry: z.object({ chance: z.number(), came: z.boolean() }).nullable(),
  factors: z.object({
    sections: z.number(),
    /** 0 dry … wettest. */
    startState: z.number(),
    hold: z.object({ role: z.enum(ROLE_IDS), productId: z.string().nullable() }).nullable(),
    nightShare: z.number().nullable(),
    dewPointC: z.number().nullable(),
    chanceDry: z.number().nullable(),
    doseRatio: z.number().nullable(),
  }),
  /** Two ways worn side by side. */
  halves: z
    .object({
      left: z.array(wayLayer),
      right: z.array(wayLayer),
      pairs: z.array(z.object({ day: z.number(), left: z.number(), right: z.number() })),
      gaveUpFirst: z.enum(['left', 'right']).nullable(),
    })
    .nullable(),
});
export type SetEvidence = z.output<typeof setEvidence>;

/** A day of wear, as far as something is learnt from it. */
type WearDaySeen = Pick<DayEntry, 'ratings' | 'visibleCm' | 'night' | 'weather'> & {
  readonly day: number;
  readonly half: Half;
};

/** A set as its record has it. */
export interface SetSeen {
  readonly brief: BriefInput;
  readonly forecast: Pick<
    PlanFile,
    'result' | 'halves' | 'daysPresentable' | 'handsOn' | 'doses' | 'sections' | 'trade'
  >;
  readonly asTakenDown: TakenDown | null;
  readonly modelVersion: string;
  readonly isEnteredLater: boolean;
  readonly layerProductIds: readonly (string | null)[];
  readonly takenG: Readonly<Record<string, number>> | null;
  readonly sections: readonly { readonly number: number; readonly plannedMin: number }[];
  readonly run: Pick<RunState, 'doneAtMs' | 'pauses' | 'installedAtMs' | 'hands'>;
  readonly wearDays: readonly WearDaySeen[];
  readonly outcome: HalfOutcome | null;
  readonly halfOutcomes: readonly HalfOutcome[];
}

/** Days after the takedown up to which a look is that of the first day. */
const FIRST_DAYS = 1;
/** Setting that took so many times longer or shorter than planned was not tapped as it went. */
const MOST_PACE = 3;

const mean = (values: readonly number[]): number | null =>
  values.length === 0 ? null : values.reduce((sum, value) => sum + value, 0) / values.length;

/** What was learnt of the head when the set was forecast. */
const learntThen = ({ learnt, asIfUnknown, set }: BriefInput) =>
  learntOf(asIfUnknown ? null : ((learnt as Learnt | undefined) ?? null), set.technique);

/** Whether somebody told it afterwards, from memory. */
const isRecalled = (outcome: HalfOutcome | null): boolean => outcome !== null && outcome.recalled !== null;

function daysOf(set: SetSeen): SetEvidence['days'] {
  const { outcome, wearDays } = set;
  const rated = wearDays.filter(({ ratings }) => Object.keys(ratings).length > 0).map(({ day }) => day);
  if (!outcome && rated.length === 0) return null;
  const { p10, p50, p90 } = (set.asTakenDown ?? set.forecast).daysPresentable;
  const how = !outcome
    ? 'worn'
    : hasEnded(outcome.reason, outcome.wouldHaveGoneOn)
      ? 'ended'
      : outcome.reason === 'got-wet'
        ? 'wet'
        : 'cut';
  return {
    last: outcome?.lastGoodDay ?? Math.max(...rated),
    how,
    reason: outcome?.reason ?? null,
    isRecalled: isRecalled(outcome),
    low: p10,
    middle: p50,
    high: p90,
    trade: p50 / Math.exp(learntThen(set.brief).days?.shift ?? 0),
    ofChoices: ofChoices((set.asTakenDown ?? set.forecast).daysPresentable.why, Math.log),
  };
}

/** Reasons of a forecast that are choices to be compared. */
const CHOICES: readonly string[] = ['section-size', 'start-state', 'hold', 'night', 'dew-point', 'damp'];

const ofChoices = (
  why: readonly { readonly factor: string; readonly effect: number }[],
  as: (effect: number) => number,
): number => why.reduce((sum, { factor, effect }) => sum + (CHOICES.includes(factor) ? as(effect) : 0), 0);

const judgedOf = (said: Said, trade: number, came: number) => ({
  low: said.low,
  middle: said.middle,
  high: said.high,
  trade,
  came,
  ofChoices: 0,
});

/** Definition and stretch on the first day, as forecast and as seen. */
function firstLook(set: SetSeen): Pick<SetEvidence, 'definition' | 'stretch'> {
  const told = standingForecast(set.forecast as PlanFile, set.asTakenDown);
  const learnt = learntThen(set.brief);
  const rated = wholeDays(set.wearDays).find(({ ratings }) => ratings.definition !== undefined);
  const said = rated && rated.day <= FIRST_DAYS ? saidOfDay(told, rated.day).definition : undefined;
  const lengths = stretchedOf(set.brief.head.stretchedLengthCm);
  const measured = set.wearDays.find(
    ({ day, visibleCm }) => day <= FIRST_DAYS && Object.keys(visibleCm).length > 0,
  );
  const zones = ZONES.flatMap((zone) => {
    const cm = measured?.visibleCm[zone];
    const saidHere = measured && saidStretchOfDay(told, measured.day, zone, lengths[zone]);
    return cm !== undefined && saidHere ? [{ came: cm / lengths[zone], said: saidHere }] : [];
  });
  const over = (of: (zone: (typeof zones)[number]) => number) => 100 * (mean(zones.map(of)) ?? 0);
  return {
    definition: said
      ? {
          ...judgedOf(said, said.middle - (learnt.definition?.shift ?? 0), rated!.ratings.definition!),
          ofChoices: ofChoices(told.result.definition.why, (effect) => effect),
        }
      : null,
    stretch:
      zones.length === 0
        ? null
        : judgedOf(
            {
              low: over(({ said: own }) => own.low),
              middle: over(({ said: own }) => own.middle),
              high: over(({ said: own }) => own.high),
            },
            over(({ said: own }) => own.middle) - (learnt.stretch?.shift ?? 0),
            over(({ came }) => came),
          ),
  };
}

function installOf({ run, sections, forecast }: SetSeen): SetEvidence['install'] {
  const came = workedMinutes(run, new Map(sections.map(({ number, plannedMin }) => [number, plannedMin])));
  const { p10, p50, p90 } = forecast.handsOn.installMin;
  const trade = forecast.trade?.installMin ?? p50;
  if (came === null || came > MOST_PACE * trade || came < trade / MOST_PACE) return null;
  return { low: p10, middle: p50, high: p90, trade, came, ofChoices: 0 };
}

/** Whose hands set most of it. */
const stylistOf = ({ hands }: SetSeen['run']): string | null =>
  [...hands].sort((a, b) => b.doneCount - a.doneCount)[0]?.name ?? null;

/** What went on over what suits it, g per g. */
function doseRatioOf({ forecast, layerProductIds, takenG }: SetSeen): number | null {
  const advised = forecast.doses.reduce((sum, { recommendedGrams }) => sum + recommendedGrams, 0);
  if (advised <= 0) return null;
  const isWeighed = takenG !== null && layerProductIds.every((id) => id !== null && id in takenG);
  const went = isWeighed
    ? Object.values(takenG).reduce((sum, grams) => sum + grams, 0)
    : forecast.doses.reduce((sum, { grams }) => sum + grams, 0);
  return went / advised;
}

/** The layer that holds most, with its product. */
function holdOf({ forecast, brief, layerProductIds }: SetSeen): SetEvidence['factors']['hold'] {
  const layers = forecast.doses.map(({ role }, i) => {
    const own = brief.set.layers?.[i]?.hold;
    return {
      role: role as RoleId,
      productId: layerProductIds[i] ?? null,
      hold: own === undefined ? productRoles[role as RoleId].hold : own / FULL_SCALE,
    };
  });
  const strongest = layers.sort((a, b) => b.hold - a.hold)[0];
  return strongest && strongest.hold > productRoles.water.hold
    ? { role: strongest.role, productId: strongest.productId }
    : null;
}

/** What is over a style at night counts as care, nothing does not. */
const isCared = (night: keyof typeof nightCares): boolean => nightCares[night].cover !== null;

function factorsOf(set: SetSeen): SetEvidence['factors'] {
  const nights = set.wearDays.flatMap(({ night }) => (night ? [isCared(night) ? 1 : 0] : []));
  const dews = set.wearDays.flatMap(({ weather }) => (weather ? [weather.dewPointC] : []));
  const startState: StartStateId = set.brief.set.startState ?? 'damp';
  return {
    sections: set.forecast.sections.length,
    startState: START_STATE_IDS.length - 1 - START_STATE_IDS.indexOf(startState),
    hold: holdOf(set),
    nightShare: mean(nights),
    dewPointC: dews.length === 0 ? null : Math.max(...dews),
    chanceDry: set.asTakenDown?.chanceDry ?? null,
    doseRatio: doseRatioOf(set),
  };
}

function halvesOf({ brief, layerProductIds, wearDays, halfOutcomes }: SetSeen): SetEvidence['halves'] {
  const layers = (brief.set.layers ?? []).map((layer, i) => ({
    layer,
    productId: layerProductIds[i] ?? null,
  }));
  const way = (side: 'left' | 'right'): WayLayer[] =>
    layers
      .filter(({ layer }) => layer.half === side)
      .map(({ layer, productId }) => ({ role: layer.role, productId, grams: layer.grams ?? null }));
  const [left, right] = [way('left'), way('right')];
  if (left.length + right.length === 0) return null;
  const ratedOn = (half: 'left' | 'right') =>
    new Map(
      wearDays.flatMap(({ day, half: own, ratings: { definition } }) =>
        own === half && definition !== undefined ? [[day, definition] as const] : [],
      ),
    );
  const [l, r] = [ratedOn('left'), ratedOn('right')];
  const lastDay = (half: 'left' | 'right') =>
    halfOutcomes.find((one) => one.half === half)?.lastGoodDay ?? null;
  const [leftDay, rightDay] = [lastDay('left'), lastDay('right')];
  const until = Math.min(leftDay ?? Infinity, rightDay ?? Infinity);
  return {
    left,
    right,
    pairs: [...l].flatMap(([day, value]) => {
      const other = r.get(day);
      return other !== undefined && day <= until ? [{ day, left: value, right: other }] : [];
    }),
    gaveUpFirst:
      leftDay === null || rightDay === null || leftDay === rightDay
        ? null
        : leftDay < rightDay
          ? 'left'
          : 'right',
  };
}

/**
 * What can be learnt from one set. What was told afterwards, from memory or of a set done elsewhere, counts for the days
 * it lasted and for nothing else.
 */
export function evidenceOfSet(set: SetSeen): SetEvidence {
  const isTold = set.isEnteredLater || isRecalled(set.outcome);
  const look = isTold ? { definition: null, stretch: null } : firstLook(set);
  const seen = isTold ? undefined : set.asTakenDown?.seen;
  return {
    technique: set.brief.set.technique,
    modelVersion: set.modelVersion,
    isEnteredLater: set.isEnteredLater,
    stylist: set.isEnteredLater ? null : stylistOf(set.run),
    days: daysOf(set),
    ...look,
    install: set.isEnteredLater ? null : installOf(set),
    rate: seen?.rate ?? null,
    dry: seen?.felt ? { chance: seen.saidChance, came: seen.felt === 'dry' } : null,
    factors: factorsOf(set),
    halves: isTold ? null : halvesOf(set),
  };
}
