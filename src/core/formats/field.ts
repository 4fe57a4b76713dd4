import { z } from 'zod';
import type { Range } from './ranges';

/** A number with a range, whose message says the range, the unit and what was given. */
export function bounded(label: string, low: number, high: number, unit = '') {
  const range = `${label} must be ${low} to ${high}${unit && ` ${unit}`}`;
  return z
    .number({
      error: (issue) => (issue.input === undefined ? `${label} is missing` : `${range}; a number is needed`),
    })
    .min(low, { error: (issue) => `${range}; ${String(issue.input)} was given` })
    .max(high, { error: (issue) => `${range}; ${String(issue.input)} was given` });
}

/** A whole number with a range. */
export const boundedInt = (label: string, low: number, high: number, unit = '') =>
  bounded(label, low, high, unit).int({ error: `${label} must be a whole number from ${low} to ${high}` });

/** A number in a range of `ranges.ts`. */
export const within = (label: string, { low, high }: Range, unit = '') => bounded(label, low, high, unit);

/** A whole number in one. */
export const wholeWithin = (label: string, { low, high }: Range) => boundedInt(label, low, high);

/** A choice from a registry. */
export function choice<const K extends string>(label: string, ids: readonly K[]) {
  const list = ids.join(', ');
  return z.enum(ids as readonly [K, ...K[]], {
    error: (issue) =>
      issue.input === undefined
        ? `${label} is missing; choose one of ${list}`
        : `${label} “${String(issue.input)}” is not known; choose one of ${list}`,
  });
}
