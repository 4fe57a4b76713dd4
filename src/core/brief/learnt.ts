import { UNKNOWN_HEAD_LN_SD } from '../coefficients/drying';
import type { LearntOutcome } from '../coefficients/evidence';
import { UNKNOWN_HAND_LN_SD } from '../coefficients/pace';
import type { ChanceCorrection } from '../stats/logit';
import type { TechniqueId } from '../techniques';
import { plural } from '../words/words';

/** A multiplier that is only roughly known: its middle value and the standard deviation of its ln. */
export interface LearntMultiplier {
  readonly median: number;
  readonly lnSd: number;
}

/** What is learnt of one outcome on one head: how far its sets lie from what the trade expects. */
export interface LearntShift {
  /** Of ln days, ln time and ln drying rate; of points of definition; of points of 100 of stretch. */
  readonly shift: number;
  /** Times the spread that the trade gives, as long as the studio's own log does not give one. */
  readonly spread: number;
  /** Standard deviation of the next set as the studio's own log gives it; left out until it does. */
  readonly sd?: number | undefined;
  /** Her own sets that it rests on. */
  readonly sets: number;
  /** Worth so many of her sets, with what other heads told. */
  readonly worth: number;
}

/** What is learnt of the outcomes of one technique. */
export type LearntOutcomes = Partial<Record<LearntOutcome, LearntShift>>;

/** What is learnt of one head. */
export interface Learnt {
  /** Of techniques that were set on it. */
  readonly techniques: Partial<Record<TechniqueId, LearntOutcomes>>;
  /** Of any other. */
  readonly others: LearntOutcomes;
}

/** Forecasts that turned out too sure, or not sure enough, are put right by this. */
export interface Corrections {
  /** Of chances to be dry. */
  readonly dry: ChanceCorrection | null;
  /** Times the width of bands. */
  readonly widths: Partial<Record<'days' | 'definition' | 'stretch' | 'pace', number>>;
}

/** Nothing is put right. */
export const NO_CORRECTIONS: Corrections = { dry: null, widths: {} };

/** What is learnt of a technique on a head; nothing where the head is not known. */
export const learntOf = (learnt: Learnt | null, technique: TechniqueId): LearntOutcomes =>
  learnt ? (learnt.techniques[technique] ?? learnt.others) : {};

/** What a learnt figure rests on. */
export const learntFrom = ({ sets }: Pick<LearntShift, 'sets'>): string =>
  sets > 0 ? `from ${plural(sets, 'of her sets', 'of her sets')}` : 'from your other heads';

/** Factors this near to one are as usual. */
const AS_USUAL = 0.05;
const isAsUsual = (factor: number) => Math.max(factor, 1 / factor) < 1 + AS_USUAL;
/** "1.3×" */
const times = (factor: number): string => `${factor.toFixed(1)}×`;

/** "dries 1.3× slower than most (from 3 of her sets)" @param slower above 1 dries slower */
export function dryingWords(learnt: LearntShift, slower: number): string {
  const words = isAsUsual(slower)
    ? 'dries as most do'
    : slower > 1
      ? `dries ${times(slower)} slower than most`
      : `dries ${times(1 / slower)} faster than most`;
  return `${words} (${learntFrom(learnt)})`;
}

/** "lasts 1.3× as long on her as on most (from 3 of her sets)" @param verb what is longer or shorter */
export const asLongWords = (learnt: LearntShift, verb: string, factor: number): string =>
  `${verb} ${isAsUsual(factor) ? '' : `${times(factor)} `}as long on her as on most (${learntFrom(learnt)})`;

/** The same for points: "comes out half a point less defined than on most". */
export const learntPoints = (learnt: LearntShift, [more, less]: readonly [string, string]): string =>
  `comes out ${learnt.shift > 0 ? more : less} on her than on most (${learntFrom(learnt)})`;

/** Less than this of points and of hundredths of the length nobody would see. */
const LEAST_POINTS = 0.25;
const LEAST_HUNDREDTHS = 2;

/** What stands out of a head whatever is set on her, a sentence each; none where she is as most are. */
export function othersWords(learnt: Learnt | null): string[] {
  const { dryingRate, days, definition, stretch, pace } = learnt?.others ?? {};
  const factor = ({ shift }: LearntShift) => Math.exp(shift);
  const isOther = (own: LearntShift | undefined): own is LearntShift => !!own && !isAsUsual(factor(own));
  return [
    ...(isOther(dryingRate) ? [dryingWords(dryingRate, 1 / factor(dryingRate))] : []),
    ...(isOther(days) ? [asLongWords(days, 'lasts', factor(days))] : []),
    ...(definition && Math.abs(definition.shift) >= LEAST_POINTS
      ? [learntPoints(definition, ['more defined', 'less defined'])]
      : []),
    ...(stretch && Math.abs(stretch.shift) >= LEAST_HUNDREDTHS
      ? [learntPoints(stretch, ['longer', 'shorter'])]
      : []),
    ...(isOther(pace) ? [asLongWords(pace, 'takes', factor(pace))] : []),
  ];
}

/** Spread of a figure once something is learnt: the log's own, or as much less of the trade's as doubt went. */
export const learntSd = (learnt: LearntShift | undefined, tradeSd: number, width = 1): number =>
  width * (learnt ? (learnt.sd ?? learnt.spread * tradeSd) : tradeSd);

/** A multiplier is kept within what a brief may ask for. */
const held = (factor: number): number => Math.min(3, Math.max(0.3, factor));

/** A brief whose pace and drying rate are those learnt of its technique on this head, where anything is. */
export function withLearntTimes<
  B extends {
    readonly set: { readonly technique: TechniqueId };
    readonly pace: LearntMultiplier;
    readonly dryingRate: LearntMultiplier;
    readonly learnt: Learnt | null;
  },
>(brief: B): B {
  const { pace, dryingRate } = learntOf(brief.learnt, brief.set.technique);
  const known = (learnt: LearntShift, usualLnSd: number): LearntMultiplier => ({
    median: held(Math.exp(learnt.shift)),
    lnSd: Math.min(1, learntSd(learnt, usualLnSd)),
  });
  return {
    ...brief,
    pace: pace ? known(pace, UNKNOWN_HAND_LN_SD) : brief.pace,
    dryingRate: dryingRate ? known(dryingRate, UNKNOWN_HEAD_LN_SD) : brief.dryingRate,
  };
}
