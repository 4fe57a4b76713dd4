import { coefficients } from './coefficient';

/** How far sets differ by who sets, whose head it is, what is set, and from one to the next (evidence §2). */
export interface Spreads {
  /** Between stylists; never fitted, for there are too few. */
  readonly stylist: number;
  readonly head: number;
  /** Between techniques on one head. */
  readonly technique: number;
  /** Between sets of one technique on one head. */
  readonly set: number;
}

/** What is learnt of heads, each as a distance from what the trade expects. */
export const LEARNT_OUTCOMES = ['days', 'definition', 'stretch', 'pace', 'dryingRate'] as const;
export type LearntOutcome = (typeof LEARNT_OUTCOMES)[number];

/** The spreads of each outcome until a studio's own log gives them. Days, pace and drying rate in ln; stretch in percentage points. */
export const pooling = coefficients({
  daysStylist: [0.2, 'sd of ln days', 0.1, 0.4, 'A', 'days lasted, between stylists'],
  daysHead: [0.3, 'sd of ln days', 0.15, 0.6, 'A', 'days lasted, between heads'],
  daysTechnique: [0.15, 'sd of ln days', 0.08, 0.3, 'A', 'days lasted, between techniques on a head'],
  daysSet: [0.35, 'sd of ln days', 0.2, 0.6, 'A', 'days lasted, from set to set'],
  definitionStylist: [0.7, 'points', 0.3, 1.4, 'A', 'definition, between stylists'],
  definitionHead: [1, 'points', 0.5, 2, 'A', 'definition, between heads'],
  definitionTechnique: [0.6, 'points', 0.3, 1.2, 'A', 'definition, between techniques on a head'],
  definitionSet: [1.2, 'points', 0.6, 2, 'A', 'definition, from set to set'],
  stretchStylist: [5, 'points of 100', 2, 10, 'A', 'stretch, between stylists'],
  stretchHead: [8, 'points of 100', 4, 16, 'A', 'stretch, between heads'],
  stretchTechnique: [4, 'points of 100', 2, 8, 'A', 'stretch, between techniques on a head'],
  stretchSet: [6, 'points of 100', 3, 12, 'A', 'stretch, from set to set'],
  paceStylist: [0.25, 'sd of ln time', 0.1, 0.5, 'A', 'hands-on time, between stylists'],
  paceHead: [0.15, 'sd of ln time', 0.08, 0.3, 'A', 'hands-on time, between heads'],
  paceTechnique: [0.1, 'sd of ln time', 0.05, 0.2, 'A', 'hands-on time, between techniques on a head'],
  paceSet: [0.15, 'sd of ln time', 0.08, 0.3, 'A', 'hands-on time, from set to set'],
  dryingRateStylist: [0.25, 'sd of ln rate', 0.1, 0.5, 'A', 'drying rate, between stylists'],
  dryingRateHead: [0.3, 'sd of ln rate', 0.15, 0.6, 'A', 'drying rate, between heads'],
  dryingRateTechnique: [0.1, 'sd of ln rate', 0.05, 0.2, 'A', 'drying rate, between techniques on a head'],
  dryingRateSet: [0.25, 'sd of ln rate', 0.1, 0.5, 'A', 'drying rate, from set to set'],
  setDoubt: [
    0.35,
    'sd of ln',
    0.2,
    0.6,
    'A',
    'how far a fitted spread from set to set may be from the usual',
  ],
  headDoubt: [0.8, 'sd of ln', 0.4, 1.2, 'A', 'the same between heads and techniques'],
  fewestHeads: [5, 'heads', 3, 10, 'A', 'before spreads are fitted'],
  fewestSets: [25, 'sets', 15, 50, 'A', 'before spreads are fitted'],
  mostFitted: [2000, 'sets', 500, 5000, 'A', 'newest sets that spreads are fitted on'],
  fittedEvery: [10, 'sets', 5, 25, 'A', 'new sets after which spreads are fitted again'],
  oldAfterDays: [548, 'days', 365, 730, 'A', 'older sets count and are flagged: heads drift'],
  leastTold: [
    0.1,
    'share',
    0.05,
    0.2,
    'A',
    'of the doubt that is gone, under which the trade’s figure stands as it is',
  ],
  startsLeaning: [1, 'sets', 0.5, 2, 'A', 'worth so many of her sets, a figure begins to lean on them'],
  mostlyHers: [3, 'sets', 2, 5, 'A', 'worth so many, it is mostly hers'],
});

/** The spreads of an outcome as the trade has them. */
export function usualSpreads(outcome: LearntOutcome): Spreads {
  const c = pooling.value;
  return {
    stylist: c[`${outcome}Stylist`],
    head: c[`${outcome}Head`],
    technique: c[`${outcome}Technique`],
    set: c[`${outcome}Set`],
  };
}

/** What is thought of two halves of a head before they are compared, and when it is enough (evidence §3). */
export const halfHead = coefficients({
  differenceSd: [1.5, 'points', 1, 2.5, 'A', 'how far two ways differ, before they are tried'],
  sideSd: [0.5, 'points', 0.2, 1, 'A', 'how far the two sides of a head differ'],
  trialSd: [0.6, 'points', 0.3, 1, 'A', 'from trial to trial'],
  daySd: [0.9, 'points', 0.5, 1.5, 'A', 'from day to day within a trial'],
  dayCorrelation: [0.5, '–', 0.2, 0.8, 'A', 'of neighbouring days'],
  noticeable: [1, 'points', 0.5, 2, 'C', 'least difference that anybody notices'],
  noiseSd: [0.35, 'sd of ln', 0.2, 0.6, 'A', 'how far the noise may be from that'],
  firm: [0.8, 'chance', 0.7, 0.95, 'A', 'from which a verdict is firm'],
  leansSign: [0.9, 'chance', 0.8, 0.95, 'A', 'that it is better at all, for “leans”'],
  leansNoticed: [0.4, 'chance', 0.3, 0.6, 'A', 'that it is noticeably better, for “leans”'],
  plannedSets: [4, 'sets', 2, 8, 'A', 'two each way; two only find a large difference'],
  mostMore: [9, 'sets', 5, 12, 'A', 'more sets that are ever asked for'],
  usualPairDays: [4, 'days', 2, 7, 'A', 'rated on both halves, in a set to come'],
  sideShown: [0.5, 'points', 0.3, 1, 'A', 'from which a side of the head is said to come out better'],
});

/** When a choice is said to go with longer life (evidence §4). */
export const factorRules = coefficients({
  interceptSd: [0.3, 'ln days', 0.1, 0.6, 'A', 'studio as a whole against the trade'],
  effectSdDays: [0.15, 'ln days per sd', 0.08, 0.3, 'A', 'of a choice on days'],
  effectSdPoints: [0.5, 'points per sd', 0.2, 1, 'A', 'of a choice on definition'],
  fewestSets: [20, 'sets', 12, 40, 'A', 'over several heads'],
  fewestHeads: [3, 'heads', 2, 5, 'A', 'or more sets of one'],
  fewestSetsOfOne: [12, 'sets', 8, 20, 'A', 'on one head'],
  fewestEnded: [12, 'sets', 8, 20, 'A', 'that ended by themselves'],
  fewestOfLevel: [5, 'sets', 3, 8, 'A', 'of each way, inside heads that had both'],
  sureOfSign: [0.99, 'chance', 0.95, 0.995, 'F', 'that it goes that way at all: at .95 a third of null logs claim something'],
  worthTrying: [0.9, 'chance', 0.85, 0.95, 'A', 'from which a half-head trial is worth it'],
  leastDays: [0.1, 'share', 0.05, 0.2, 'A', 'longer or shorter, that is worth saying'],
  leastPoints: [0.5, 'points', 0.3, 1, 'A', 'of definition that are worth saying'],
  mostInflation: [5, '× variance', 4, 10, 'M', 'variance inflation above which nothing is claimed'],
  together: [0.8, 'correlation', 0.7, 0.9, 'A', 'within heads, from which two choices changed together'],
}); // prettier-ignore

/** When past forecasts are judged, and how far a correction is trusted (evidence §6). */
export const judged = coefficients({
  fewestForWords: [10, 'sets', 5, 20, 'A', 'before bands are called right or wrong'],
  fewestForWrong: [20, 'sets', 15, 30, 'A', 'before they are called too narrow or too wide'],
  fewestForRecalibration: [10, 'sets', 10, 30, 'A', 'before bands or chances may be corrected'],
  bandPrior: [10, 'sets', 5, 20, 'A', 'that the width of a band as it is counts for'],
  shiftSd: [0.7, 'logits', 0.3, 1.2, 'A', 'of a corrected chance'],
  slopeSd: [0.4, '–', 0.2, 0.8, 'A', 'of a corrected chance'],
  leastSlope: [0.05, '–', 0.02, 0.2, 'A', 'of a corrected chance: more certain stays more certain'],
  hollowUnder: [3, 'sets', 2, 5, 'A', 'fewer in a bin are drawn hollow'],
});

/** When days lasted are compared, and rating is compared between two people (evidence §1, §8). */
export const compared = coefficients({
  fewestHeads: [3, 'heads', 2, 5, 'A', 'that had both, before two ways are compared'],
  fewestOnOneHead: [4, 'sets', 3, 6, 'A', 'of each way, where it is one head'],
  fewestEnded: [5, 'sets', 4, 8, 'A', 'that ended by themselves, of each way'],
  surely: [0.05, 'chance', 0.01, 0.1, 'C', 'of as large a difference by accident, below which it is told as one'],
  fewestPairs: [10, 'pairs', 8, 20, 'A', 'before agreement is judged'],
  notYet: [0.4, '–', 0.3, 0.5, 'C', 'agreement below which two people do not use one scale'],
  good: [0.75, '–', 0.7, 0.85, 'C', 'agreement above which it is good'],
}); // prettier-ignore
