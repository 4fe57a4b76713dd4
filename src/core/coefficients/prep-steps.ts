/** One step before the set. Minutes are common practice. */
export interface PrepStep {
  readonly label: string;
  readonly usualMin: number;
  /** Needs hands all the while; a mask or a turban does not. */
  readonly handsOn: boolean;
}

/** What can come before a set, in the order it is done. One row a step. */
export const prepSteps = {
  'old-style-down': { label: 'Take the old style down', usualMin: 15, handsOn: true },
  detangle: { label: 'Detangle, ends to roots', usualMin: 15, handsOn: true },
  'clay-mask': { label: 'Clay mask', usualMin: 45, handsOn: false },
  cleanse: { label: 'Cleanse and rinse', usualMin: 20, handsOn: true },
  'instant-condition': { label: 'Instant conditioner', usualMin: 5, handsOn: true },
  'deep-condition': { label: 'Deep conditioner under a cap', usualMin: 25, handsOn: false },
  blot: { label: 'Blot in a turban', usualMin: 20, handsOn: false },
} as const satisfies Record<string, PrepStep>; // prettier-ignore

export type PrepStepId = keyof typeof prepSteps;
export const PREP_STEP_IDS = Object.keys(prepSteps) as PrepStepId[];
