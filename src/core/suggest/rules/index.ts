import { CONDITION_RULES } from './conditions';
import type { Rule } from './rule';
import { TRAITS } from './traits';

/** What suits which hair. Common practice throughout; add a row by adding it to its list. */
export const RULES: readonly Rule[] = [...TRAITS, ...CONDITION_RULES];
