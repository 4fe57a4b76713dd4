/** One step before the set. Minutes are common practice. */
export interface PrepStep {
  /** One or two words, for a narrow place. */
  readonly short: string;
  readonly label: string;
  readonly usualMin: number;
  /** Needs hands all the while; a mask or a turban does not. */
  readonly handsOn: boolean;
}

/** What can come before a set, in the order it is done. One row a step. */
export const prepSteps = {
  'old-style-down': { short: 'Old style', label: 'Take the old style down', usualMin: 15, handsOn: true },
  detangle: { short: 'Detangle', label: 'Detangle, ends to roots', usualMin: 15, handsOn: true },
  'clay-mask': { short: 'Clay mask', label: 'Clay mask', usualMin: 45, handsOn: false },
  cleanse: { short: 'Cleanse', label: 'Cleanse and rinse', usualMin: 20, handsOn: true },
  'instant-condition': { short: 'Condition', label: 'Instant conditioner', usualMin: 5, handsOn: true },
  'deep-condition': { short: 'Under cap', label: 'Deep conditioner under a cap', usualMin: 25, handsOn: false },
  cap: { short: 'Leave-in, cap', label: 'Leave-in under a cap', usualMin: 15, handsOn: false },
  blot: { short: 'Blot', label: 'Blot in a turban', usualMin: 20, handsOn: false },
} as const satisfies Record<string, PrepStep>; // prettier-ignore

/** Preparing that no brief asks for by name: it follows from how wet hair is set. */
export const prepBySetting = {
  'blow-out': { short: 'Blow out', handsOn: true },
  wait: { short: 'Let it dry', handsOn: false },
} as const;

/** The short name of any step of preparing. */
export const prepName = (part: string): string =>
  (({ ...prepSteps, ...prepBySetting }) as Readonly<Record<string, { readonly short: string }>>)[part]
    ?.short ?? part;

export type PrepStepId = keyof typeof prepSteps;
/** Their ids, in the order of the work. */
export const PREP_STEP_IDS = Object.keys(prepSteps) as PrepStepId[];
