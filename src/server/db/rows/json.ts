import type { z } from 'zod';
import { AppError } from '../../errors';

/** A part of a JSON column as it is read back: parsed, never cast; null where it is not readable. */
export function readJson<S extends z.ZodType>(schema: S, kept: unknown): z.output<S> | null {
  const read = schema.safeParse(kept);
  return read.success ? read.data : null;
}

/** The same of a part that a query took out as text. */
export function readJsonText<S extends z.ZodType>(schema: S, text: string | null): z.output<S> | null {
  try {
    return text === null ? null : readJson(schema, JSON.parse(text));
  } catch {
    return null;
  }
}

/**
 * A JSON column that a record cannot do without.
 *
 * @throws AppError unreadable
 */
export function requireJson<S extends z.ZodType>(schema: S, kept: unknown): z.output<S> {
  const read = readJson(schema, kept);
  if (read === null) throw new AppError('unreadable');
  return read;
}
