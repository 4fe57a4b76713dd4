import { nightCares } from '../coefficients/night-care';
import { startStates, type StartStateId } from '../coefficients/start-states';
import { suggestion } from '../coefficients/suggestion';
import type { TechniqueId } from '../techniques';
import { familyOf } from './families';
import type { Figures } from './figures';
import type { Habit } from './way';
import { WANTS, type Want, type WantWeights } from '../coefficients/wants';

const c = suggestion.value;
const bent = (share: number) => (share > 0 ? share ** c.bend : 0);

/** Work that a habit asks for over the days it is worn, min. */
export const nightWorkMin = ({ night }: Pick<Habit, 'night'>): number =>
  nightCares[night].worksByNight ? c.nightWorkMin : 0;

/** Whether hair that hangs long and flat is what is meant. */
export const isMeantStraight = (technique: TechniqueId, startState: StartStateId): boolean =>
  familyOf(technique) === 'flat' ||
  technique === 'braid' ||
  technique === 'braid-with-rods' ||
  startStates[startState].straightened > 0.5;

/** How ways are weighed for one wish. */
export interface Weighing {
  readonly weights: WantWeights;
  /** Chance wanted that it is dry at takedown. */
  readonly sureness: number;
  /** Work there is strength for, min; null where no limit is named. */
  readonly handsOnMaxMin: number | null;
  /** Pieces that cover this head. */
  readonly coveringPieces: number;
}

/** A way in the numbers it is weighed by. */
export interface Weighed extends Figures {
  /** Work by night, min. */
  readonly nightWorkMin: number;
  /** Points of suiting this hair, over all choices. */
  readonly suit: number;
  /** Products that are not on the shelf. */
  readonly toBuy: number;
  /** Shares of doses that the shelf is short of, summed over the layers. */
  readonly shortShare: number;
  /** Hours somebody sits under blown air. */
  readonly sittingH: number;
  /** Pieces after takedown. */
  readonly pieces: number;
  readonly isMeantStraight: boolean;
  /** Whether a caution would warn. */
  readonly isWarned: boolean;
}

/** What each wish is fulfilled to: about 0 to 1, the first of it counting most. Rising in its figure throughout. */
const UTILITY: Readonly<Record<Want, (way: Weighed) => number>> = {
  lasts: ({ days }) =>
    Math.log(Math.min(days, c.enoughDays) / c.fewestDays) / Math.log(c.enoughDays / c.fewestDays) +
    (days > c.enoughDays ? c.beyondEnough * Math.log(days / c.enoughDays) : 0),
  defined: ({ definition }) =>
    c.definitionTop * (1 - Math.exp(-(definition - c.leastDefinition) / c.definitionScale)),
  big: ({ volume }) => bent((volume - c.leastVolume) / c.volumeScale),
  long: ({ stretch }) => bent((stretch - c.leastStretch) / c.stretchScale),
  soft: ({ soft }) => bent(soft / 10),
  'little-work': ({ handsOnMin, nightWorkMin: byNight }) =>
    1 - Math.log((handsOnMin + byNight) / c.littleWorkMin) / Math.log(c.muchWorkMin / c.littleWorkMin),
  gentle: ({ gentle }) => bent(gentle / 10),
};

/** Parts of a score, in the order they are told. */
export const SCORE_PARTS = [
  ...WANTS,
  'suit',
  'sure',
  'frizz',
  'overtime',
  'to-buy',
  'short',
  'sitting',
  'pieces',
  'straight',
  'warned',
] as const;
export type ScorePartId = (typeof SCORE_PARTS)[number];

const PART_VALUE: Readonly<Record<Exclude<ScorePartId, Want>, (way: Weighed, weighing: Weighing) => number>> =
  {
    suit: ({ suit }) => c.suit * suit,
    sure: ({ chance }, { sureness }) =>
      chance === null ? 0 : c.chance * chance - (chance < sureness ? c.unsure * (sureness - chance) : 0),
    frizz: ({ frizz }) => -c.frizz * frizz,
    overtime: ({ handsOnMin }, { handsOnMaxMin }) => {
      const over = handsOnMin / (handsOnMaxMin ?? c.longestWorkMin) - 1;
      return over <= 0 ? 0 : -(handsOnMaxMin === null ? 1 : c.overtime) * over;
    },
    'to-buy': ({ toBuy }) => -c.toBuy * toBuy,
    short: ({ shortShare }) => -c.short * shortShare,
    sitting: ({ sittingH }) => -c.sitting * sittingH,
    pieces: ({ pieces }, { coveringPieces }) =>
      pieces >= coveringPieces ? 0 : -c.fewPieces * (1 - pieces / coveringPieces),
    straight: ({ stretch, isMeantStraight: isMeant }) =>
      stretch <= c.straightFrom
        ? 0
        : -c.straight * (stretch - c.straightFrom) * (isMeant ? c.straightMeant : 1),
    warned: ({ isWarned }) => (isWarned ? -c.warned : 0),
  };
const COST_IDS = Object.keys(PART_VALUE) as (keyof typeof PART_VALUE)[];

/** The score of a way: the sum of its parts. */
export function scoreOf(way: Weighed, weighing: Weighing): number {
  let sum = 0;
  for (const want of WANTS) sum += weighing.weights[want] * UTILITY[want](way);
  for (const id of COST_IDS) sum += PART_VALUE[id](way, weighing);
  return sum;
}

/** The parts that a score is the sum of. */
export const scoreParts = (way: Weighed, weighing: Weighing): Record<ScorePartId, number> =>
  Object.fromEntries([
    ...WANTS.map((want) => [want, weighing.weights[want] * UTILITY[want](way)]),
    ...COST_IDS.map((id) => [id, PART_VALUE[id](way, weighing)]),
  ]) as Record<ScorePartId, number>;
