import type { Brief } from '../brief/brief';
import { prepSteps, type PrepStepId } from '../coefficients/prep-steps';
import { suggestion } from '../coefficients/suggestion';
import { schoolQuestion, SCHOOL_QUESTION_IDS, type ChosenSchools, type SchoolStep } from '../schools/schools';
import { nightsBetween } from '../schedule/sleep';
import { HOUR_MS } from '../units/time';
import type { TechniqueId } from '../techniques';
import { factLevels, type FactContext } from './facts';
import { coveringPieces } from './figures';
import type { Means } from './means';
import { routesFor } from './routes';
import { extraLayer, stacksFor, withLayer } from './stacks';
import { SuitTable } from './suit';
import { NOMINAL_H, type Times } from './trial';
import { recordOf, type PastSet } from './record';
import type { Axis, Stack, Way } from './way';
import type { Asked, FollowedSchool } from './ways';
import { weightsOf, type Want } from '../coefficients/wants';
import { dueSizes, zoneSizes } from './zone-sizes';

/** What somebody wants of a set, for one head with what is at hand. */
export interface Wish {
  /** Head, room, hours of sleep, times, pace and hand; what it says of the set is not looked at. */
  readonly base: Brief;
  readonly wants: readonly Want[];
  /** Null where any may come out. */
  readonly technique: TechniqueId | null;
  /** Work there is strength for, min. */
  readonly handsOnMaxMin: number | null;
  /** Chance wanted that it is dry at takedown. */
  readonly sureness: number;
  readonly means: Means;
  /** Schools taken on this head before. */
  readonly schools: ChosenSchools;
  /** Sets on this head that are over. */
  readonly past: readonly PastSet[];
  /** How much each wish adds to its weight; usual where left out. */
  readonly strength?: number;
}

/** Points from which rules add a step of preparing, and a last thin layer. */
const ASKED_FOR = 0.75;
const LEANING = 0.5;

/** Preparing as it usually goes, with what a rule adds (common practice). */
export function prepFor(isConditioned: boolean): NonNullable<Brief['prep']> {
  const steps: readonly PrepStepId[] = [
    'cleanse',
    isConditioned ? 'deep-condition' : 'instant-condition',
    'blot',
  ];
  return steps.map((step) => ({ step, minutes: prepSteps[step].usualMin, product: null }));
}

const AXIS_OF_STEP: Readonly<Record<SchoolStep, Axis>> = {
  prep: 'prep',
  start: 'start',
  layers: 'layers',
  roots: 'root',
  drying: 'drying',
  nights: 'nights',
};

/** The schools taken on a head, as far as a way can follow them. */
function followed(schools: ChosenSchools): FollowedSchool[] {
  return SCHOOL_QUESTION_IDS.flatMap((question): FollowedSchool[] => {
    const asked = schoolQuestion(question);
    const school = asked.schools[schools[question] ?? ''];
    const isOf = school?.isOf;
    const axis = AXIS_OF_STEP[asked.step];
    // When to dry is decided by the time there is.
    if (!isOf || axis === 'drying') return [];
    return [
      {
        question,
        axis,
        label: school.label,
        follows: (way: Way) =>
          (!asked.only || asked.only.includes(way.set?.technique)) &&
          isOf({
            set: {
              technique: way.set?.technique ?? 'two-strand-twist',
              startState: way.startState,
              layers: [...(way.stack?.layers ?? [])],
            },
            wear: way.habit,
            drying: [],
          }),
      },
    ];
  });
}

/** Nine in the morning of a day without a date: where no time is set, a set is thought of over a night. */
const NINE_MS = 9 * HOUR_MS;
/** Longest that work is begun before a night, and the least day that is worth getting up for, h (common practice). */
const EVENING_H = 5;
const LATEST_EVENING_H = 4;
const WHOLE_DAY_H = 8;

/**
 * When work begins where nobody says: in the evening before, or in the morning where the day is long enough.
 *
 * @source common practice: a set that is worn in the morning goes in at six in the evening
 */
export function usualStartMs(readyMs: number, sleep: Brief['sleep'], timeZone: string): number {
  const begin = readyMs - NOMINAL_H * HOUR_MS;
  const [night] = sleep ? nightsBetween(sleep, timeZone, begin, begin + LATEST_EVENING_H * HOUR_MS) : [];
  if (!night) return begin;
  return readyMs - night.endMs >= WHOLE_DAY_H * HOUR_MS ? night.endMs : night.startMs - EVENING_H * HOUR_MS;
}

/** When the set begins and must be ready; a night where no time is set. */
export function timesOf({ startAtMs, wearByMs, sleep, timeZone }: Brief): Times {
  const readyMs = wearByMs ?? NINE_MS;
  return { readyMs, startMs: startAtMs ?? usualStartMs(readyMs, sleep, timeZone) };
}

/** From first touch to ready, h; null where no time is set. */
export const availableH = (base: Brief): number | null => {
  const { readyMs, startMs } = timesOf(base);
  return base.wearByMs === null ? null : (readyMs - startMs) / HOUR_MS;
};

/** The context that facts are read from. */
export const contextOf = (base: Brief): FactContext => ({
  head: base.head,
  dewPointOutsideC: base.room.dewPointOutsideC,
  availableH: availableH(base),
});

/** Everything that ways are made of and weighed by, for one wish. */
export function ask(wish: Wish, context: FactContext = contextOf(wish.base)): Asked {
  const { base: given, means, wants, schools, strength = suggestion.value.asked } = wish;
  const base: Brief = {
    ...given,
    head: context.head,
    room: { ...given.room, dewPointOutsideC: context.dewPointOutsideC },
  };
  const levels = factLevels(context);
  const suits = new SuitTable(levels);
  const isConditioned = suits.effect('deep-condition').points >= ASKED_FOR;
  const shield = extraLayer('humidity-shield', base.head, means);
  const isShielded = shield && !shield.isToBuy && suits.effect('shield').points >= LEANING;
  const stacks = stacksFor(base.head, means).map((stack): Stack =>
    isShielded ? withLayer(stack, shield) : stack,
  );
  const { startMs, readyMs } = timesOf(base);
  const hasNight =
    base.sleep !== null && nightsBetween(base.sleep, base.timeZone, startMs, readyMs).length > 0;
  return {
    base: {
      ...base,
      prep: prepFor(isConditioned),
      parting: { ...base.parting, recipe: null, sizes: zoneSizes(dueSizes(levels, wants)) },
    },
    means: wish.technique ? { ...means, techniques: [wish.technique] } : means,
    levels,
    suits,
    weighing: {
      weights: weightsOf(wants, strength),
      sureness: wish.sureness,
      handsOnMaxMin: wish.handsOnMaxMin,
      coveringPieces: coveringPieces(levels),
    },
    stacks,
    routes: routesFor(means.drying, hasNight),
    schools: followed(schools),
    record: recordOf(wish.past),
    isConditioned,
  };
}
