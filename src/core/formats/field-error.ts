import type { z } from 'zod';

/** One thing wrong with an input, in words that say what to change. */
export interface FieldError {
  readonly path: string;
  readonly message: string;
}

export type Checked<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly errors: readonly FieldError[] };

/** Turns Zod issues into field errors; an unknown key is named. */
export function fieldErrors(error: z.ZodError): FieldError[] {
  return error.issues.flatMap((issue) => {
    const at = issue.path.join('.');
    if (issue.code === 'unrecognized_keys') {
      return issue.keys.map((key) => ({
        path: at ? `${at}.${key}` : key,
        message: `“${key}” is not a field here; check its spelling or leave it out`,
      }));
    }
    if (issue.code === 'invalid_union') {
      // The branch that went furthest in says best what is wrong.
      const deepest = issue.errors
        .flat()
        .filter((inner) => inner.path.length > 0)
        .map((inner) => ({ path: [at, ...inner.path].filter(Boolean).join('.'), message: inner.message }));
      const first = issue.errors[0]?.[0];
      if (deepest.length > 0) return deepest;
      if (first && typeof issue.input === 'number') return [{ path: at, message: first.message }];
    }
    if (
      issue.code === 'invalid_type' &&
      issue.input === undefined &&
      issue.message.startsWith('Invalid input')
    ) {
      return [{ path: at, message: 'this is missing' }];
    }
    return [{ path: at, message: issue.message }];
  });
}
