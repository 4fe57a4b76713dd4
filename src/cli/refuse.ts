import type { FieldError } from '@/core/formats/field-error';

/** Says what is wrong on standard error, and answers the exit code of bad input. */
export function refuseAll(errors: readonly FieldError[]): number {
  console.error(JSON.stringify({ errors }));
  return 2;
}

/** The same with one message that belongs to no field. */
export const refuse = (message: string): number => refuseAll([{ path: '', message }]);
