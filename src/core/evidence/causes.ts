/** How strongly a cause brings a symptom with it: chance by level, 0 for no more than by accident. */
export const LEVEL_CHANCE = [0.07, 0.2, 0.45, 0.75] as const;
export type Level = 1 | 2 | 3;

/** What can be seen of a style that fell short. One row a symptom (common practice). */
export const symptoms = {
  'frizz-roots': { label: 'Frizz at the roots' },
  'frizz-all': { label: 'Frizz all over' },
  stringy: { label: 'Stringy, thin' },
  limp: { label: 'Limp or greasy' },
  flakes: { label: 'White flakes' },
  crunchy: { label: 'Crunchy' },
  'puffy-ends': { label: 'Puffy ends' },
  'roots-unlike': { label: 'Roots unlike the lengths' },
  uneven: { label: 'Uneven curls' },
  'lost-by-two': { label: 'Shape gone by day 2' },
  'damp-inside': { label: 'Damp inside' },
  shrank: { label: 'Shrank' },
  scalp: { label: 'Scalp sore or itchy' },
} as const satisfies Record<string, { readonly label: string }>;
export type SymptomId = keyof typeof symptoms;
/** Their ids, as they are offered. */
export const SYMPTOM_IDS = Object.keys(symptoms) as [SymptomId, ...SymptomId[]];

/** What the record of a set says that bears on causes; null for what nobody knows. */
export interface FaultFacts {
  /** Chance that it was dry when it was taken down. */
  readonly chanceDry: number | null;
  /** Dose used over the dose that suits. */
  readonly doseRatio: number | null;
  /** Coefficient of variation of hair per section. */
  readonly sizeCv: number | null;
  /** Sections made over those that suit. */
  readonly sectionsRatio: number | null;
  readonly rootsStretched: boolean | null;
  readonly endsHeld: boolean | null;
  /** Outdoors on the dampest day it was worn. */
  readonly dewPointC: number | null;
  readonly nightsMissed: number | null;
  /** Time of the takedown over what it takes. */
  readonly takedownRatio: number | null;
  readonly hadDryHands: boolean | null;
  readonly separations: number | null;
  readonly longestWaitMin: number | null;
  readonly wasMisted: boolean | null;
  readonly daysSinceClarifying: number | null;
  readonly weeksSinceTrim: number | null;
  /** 0 to 10, as the client says. */
  readonly tension: number | null;
  readonly newAtScalp: boolean | null;
  readonly mixFailed: boolean | null;
  readonly gelWithoutCream: boolean | null;
  readonly setWetUnstretched: boolean | null;
  readonly deepConditioned: boolean | null;
}

/** Nothing is known. */
export const NO_FACTS: FaultFacts = {
  chanceDry: null,
  doseRatio: null,
  sizeCv: null,
  sectionsRatio: null,
  rootsStretched: null,
  endsHeld: null,
  dewPointC: null,
  nightsMissed: null,
  takedownRatio: null,
  hadDryHands: null,
  separations: null,
  longestWaitMin: null,
  wasMisted: null,
  daysSinceClarifying: null,
  weeksSinceTrim: null,
  tension: null,
  newAtScalp: null,
  mixFailed: null,
  gelWithoutCream: null,
  setWetUnstretched: null,
  deepConditioned: null,
};

/** What a fact does to a cause, and how it is said. */
export interface FactWeight {
  readonly fact: keyof FaultFacts;
  readonly times: number;
  readonly text: string;
}

type Steps = readonly (readonly [below: number, times: number])[];
const stepped = (value: number, steps: Steps, otherwise: number): number =>
  steps.find(([below]) => value < below)?.[1] ?? otherwise;

const tenths = (chance: number): string => `${Math.min(9, Math.max(1, Math.round(chance * 10)))} in 10`;
const times = (ratio: number): string => `${ratio.toFixed(1)} times`;

/** A fact in figures: its steps, and its sentence. */
const figure =
  (fact: keyof FaultFacts, steps: Steps, otherwise: number, say: (value: number) => string) =>
  (facts: FaultFacts): FactWeight[] => {
    const value = facts[fact];
    return typeof value === 'number'
      ? [{ fact, times: stepped(value, steps, otherwise), text: say(value) }]
      : [];
  };

/** A fact that is so or not. */
const told =
  (fact: keyof FaultFacts, yes: readonly [number, string], no: readonly [number, string] | null) =>
  (facts: FaultFacts): FactWeight[] => {
    const value = facts[fact];
    if (value === null) return [];
    if (value) return [{ fact, times: yes[0], text: yes[1] }];
    return no ? [{ fact, times: no[0], text: no[1] }] : [];
  };

/** Why a style may have fallen short. */
export interface Cause {
  readonly label: string;
  readonly prior: number;
  readonly brings: Partial<Record<SymptomId, Level>>;
  readonly facts: readonly ((facts: FaultFacts) => FactWeight[])[];
  readonly nextTime: string;
}

const dose = (steps: Steps, otherwise: number) =>
  figure('doseRatio', steps, otherwise, (ratio) => `${times(ratio)} the dose that suits went on`);
const sections = (steps: Steps, otherwise: number) =>
  figure('sectionsRatio', steps, otherwise, (ratio) =>
    ratio < 1
      ? `${tenths(ratio)} of the sections that suit were made`
      : 'as many sections as suit were made, or more',
  );

/** One row a cause. All weights are common practice: judgement until real logs exist (evidence §5). */
export const causes = {
  'before-dry': {
    label: 'Taken down before it was dry',
    prior: 0.14,
    brings: { 'frizz-roots': 2, 'frizz-all': 2, 'puffy-ends': 1, 'roots-unlike': 1, 'lost-by-two': 3, 'damp-inside': 3, shrank: 2 },
    facts: [
      figure('chanceDry', [[0.5, 6], [0.7, 4], [0.85, 2], [0.95, 1]], 0.25, (chance) =>
        chance < 0.95 ? `at takedown it was ${tenths(chance)} sure to be dry` : 'it was surely dry at takedown',
      ),
    ],
    nextTime: 'Open one at the crown and one at the nape first; any cool or damp, close and wait.',
  },
  'sections-big': {
    label: 'Sections too big',
    prior: 0.07,
    brings: { 'frizz-roots': 1, 'frizz-all': 1, 'roots-unlike': 2, uneven: 1, 'lost-by-two': 2, 'damp-inside': 2 },
    facts: [sections([[0.6, 4], [0.8, 2.5], [1, 1]], 0.4)],
    nextTime: 'Add about a third more sections.',
  },
  'uneven-parting': {
    label: 'Uneven parting',
    prior: 0.06,
    brings: { stringy: 1, uneven: 3, 'damp-inside': 1 },
    facts: [
      figure('sizeCv', [[0.15, 0.3], [0.25, 0.7], [0.35, 1.5], [0.5, 3]], 4, (cv) =>
        cv < 0.25 ? 'sections were even' : `sections differed by ${Math.round(cv * 100)} % in hair`,
      ),
    ],
    nextTime: 'Quarter first, then halve each quarter the same way.',
  },
  'root-method': {
    label: 'Root method does not suit',
    prior: 0.06,
    brings: { 'frizz-roots': 2, 'roots-unlike': 3, shrank: 1 },
    facts: [told('rootsStretched', [0.4, 'roots were stretched'], [1.8, 'roots were not stretched'])],
    nextTime: 'Braid, band or stretch the first few centimetres.',
  },
  'ends-open': {
    label: 'Ends not held',
    prior: 0.06,
    brings: { 'puffy-ends': 3, uneven: 1 },
    facts: [told('endsHeld', [0.3, 'ends were held'], [2.5, 'ends were left as they were'])],
    nextTime: 'Coil the tip round a finger, or use a small rod or a band.',
  },
  'too-much': {
    label: 'Too much product',
    prior: 0.08,
    brings: { stringy: 2, limp: 3, flakes: 1, 'lost-by-two': 1, 'damp-inside': 2 },
    facts: [dose([[0.8, 0.2], [1.15, 0.6], [1.4, 2], [1.8, 3.5]], 5)],
    nextTime: 'Halve the dose; a second pass on the ends only.',
  },
  'too-little': {
    label: 'Too little product or hold',
    prior: 0.08,
    brings: { 'frizz-roots': 1, 'frizz-all': 3, 'puffy-ends': 1, 'lost-by-two': 2, shrank: 1 },
    facts: [dose([[0.5, 5], [0.75, 3], [0.9, 1.5], [1.2, 0.7]], 0.3)],
    nextTime: 'More slip per section; add a layer with hold.',
  },
  'do-not-mix': {
    label: 'Products do not mix',
    prior: 0.04,
    brings: { flakes: 3, crunchy: 1 },
    facts: [told('mixFailed', [5, 'they balled when rubbed together'], [0.4, 'they mixed in the hand'])],
    nextTime: 'Rub the pair on the back of a hand; if it balls or goes white, do not pair it.',
  },
  'dried-waiting': {
    label: 'Hair dried out while it was set',
    prior: 0.05,
    brings: { 'frizz-roots': 1, 'frizz-all': 2, 'puffy-ends': 1, 'roots-unlike': 1, uneven: 2 },
    facts: [
      (facts) =>
        facts.wasMisted === true
          ? [{ fact: 'wasMisted', times: 0.4, text: 'what waited was misted again' }]
          : figure('longestWaitMin', [[20, 0.3], [40, 1], [70, 2.5]], 4, (min) => `hair waited ${Math.round(min)} min for its turn`)(facts),
    ],
    nextTime: 'Wet a quarter at a time, and mist before each section.',
  },
  'rough-takedown': {
    label: 'Rushed or rough takedown',
    prior: 0.09,
    brings: { 'frizz-roots': 1, 'frizz-all': 3, 'puffy-ends': 2, 'lost-by-two': 1 },
    facts: [
      figure('takedownRatio', [[0.5, 3.5], [0.75, 2], [1.1, 0.8]], 0.5, (ratio) =>
        ratio < 0.75 ? `taken down in ${tenths(ratio)} of the time it takes` : 'taken down without hurry',
      ),
      told('hadDryHands', [1.4, 'taken down with dry hands'], null),
      (facts) =>
        facts.separations !== null && facts.separations > 2
          ? [{ fact: 'separations', times: 2, text: `each parted into ${facts.separations}` }]
          : [],
    ],
    nextTime: 'Oil the fingers, work from the tip, split it fewer times.',
  },
  'damp-air': {
    label: 'Damp air or sweat',
    prior: 0.07,
    brings: { 'frizz-roots': 2, 'frizz-all': 2, limp: 1, 'puffy-ends': 1, 'lost-by-two': 2, 'damp-inside': 1, shrank: 3 },
    facts: [
      figure('dewPointC', [[5, 0.3], [12, 0.6], [16, 1.2], [20, 2.5]], 4, (dew) =>
        dew < 12 ? 'the air outdoors was dry' : `the dew point outdoors reached ${Math.round(dew)} °C`,
      ),
    ],
    nextTime: 'A firmer hold, sealed; wear it up on such a day.',
  },
  'night-care': {
    label: 'Night care missed',
    prior: 0.07,
    brings: { 'frizz-roots': 1, 'frizz-all': 2, uneven: 1, 'lost-by-two': 3 },
    facts: [
      figure('nightsMissed', [[1, 0.25], [2, 2.5]], 4, (nights) =>
        nights < 1 ? 'every night was kept' : nights < 2 ? 'one night was missed' : `${nights} nights were missed`,
      ),
    ],
    nextTime: 'A loose high gather and satin, every night.',
  },
  'too-tight': {
    label: 'Too tight',
    prior: 0.03,
    brings: { scalp: 3 },
    facts: [figure('tension', [[3, 0.3], [6, 1], [8, 3]], 5, (tension) => `tension was ${tension} of 10`)],
    nextTime: 'Undo it; looser at the hairline, the first turn slack.',
  },
  'build-up': {
    label: 'Build-up',
    prior: 0.04,
    brings: { limp: 2, flakes: 2, 'lost-by-two': 1, scalp: 2 },
    facts: [
      figure('daysSinceClarifying', [[14, 0.4], [35, 1], [60, 2]], 3, (days) => `last clarified ${Math.round(days)} days before`),
    ],
    nextTime: 'Clarify, then condition.',
  },
  'hold-hard': {
    label: 'Hold without softness',
    prior: 0.04,
    brings: { stringy: 1, flakes: 2, crunchy: 3 },
    facts: [told('gelWithoutCream', [2.5, 'gel went on with no cream beneath'], null)],
    nextTime: 'Cream beneath; scrunch the cast out once it is dry.',
  },
  'ends-worn': {
    label: 'Ends worn, a trim due',
    prior: 0.04,
    brings: { 'frizz-all': 1, stringy: 1, 'puffy-ends': 3, uneven: 1 },
    facts: [figure('weeksSinceTrim', [[8, 0.3], [14, 1], [24, 2]], 3, (weeks) => `last trimmed ${Math.round(weeks)} weeks before`)],
    nextTime: 'Trim; put the ends on rods until then.',
  },
  'little-stretch': {
    label: 'Little stretch in the method',
    prior: 0.05,
    brings: { 'roots-unlike': 2, shrank: 3 },
    facts: [told('setWetUnstretched', [2.5, 'set wet and not stretched'], [0.5, 'it was stretched before or while it was set'])],
    nextTime: 'Begin stretched, or braid instead of twisting.',
  },
  'sections-few': {
    label: 'Too few sections for the density',
    prior: 0.04,
    brings: { stringy: 3, uneven: 1 },
    facts: [sections([[0.6, 3], [0.8, 2], [1, 1]], 0.5)],
    nextTime: 'Smaller sections at the crown, and separate once more.',
  },
  'scalp-disagrees': {
    label: 'A product on the scalp disagrees',
    prior: 0.03,
    brings: { flakes: 1, scalp: 3 },
    facts: [told('newAtScalp', [4, 'a product was new to this scalp'], [0.5, 'nothing was new to this scalp'])],
    nextTime: 'Wash it out and stop it; patch-test before it is used again.',
  },
  'over-softened': {
    label: 'Over-softened',
    prior: 0.04,
    brings: { 'frizz-all': 1, stringy: 1, limp: 2, 'lost-by-two': 2, shrank: 1 },
    facts: [told('deepConditioned', [1.8, 'deep-conditioned the day before or that day'], [0.8, 'not deep-conditioned just before'])],
    nextTime: 'A lighter conditioner; skip the mask on set day.',
  },
  other: {
    label: 'Something else',
    prior: 0.05,
    brings: {},
    facts: [],
    nextTime: 'Note it, and rate the next set.',
  },
} as const satisfies Record<string, Cause>; // prettier-ignore

export type CauseId = keyof typeof causes;
/** Their ids. */
export const CAUSE_IDS = Object.keys(causes) as [CauseId, ...CauseId[]];
