import type { PrepStepId } from '../coefficients/prep-steps';
import type { ShelfKindId } from './shelf-kind';

/** Kinds of product that a step before the set is done with; none where nothing of the shelf is named. */
export const PREP_TAKES: Readonly<Partial<Record<PrepStepId, readonly ShelfKindId[]>>> = {
  'clay-mask': ['mask', 'clay'],
  cleanse: ['rinse'],
  'instant-condition': ['mask'],
  'deep-condition': ['mask'],
  cap: ['leave-in', 'cream'],
};
