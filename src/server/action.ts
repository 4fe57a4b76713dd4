import { unstable_rethrow } from 'next/navigation';
import type { z } from 'zod';
import { fieldErrors, type FieldError } from '@/core/formats/field-error';
import type { Permission } from '@/core/people/permission';
import type { Actor } from './actor';
import { actorWho } from './actor-who';
import { database, type Database } from './db/client';
import { AppError, ERRORS, errorCodeOf, type ErrorCode } from './errors';
import { log } from './log';

/** What an action answers: a value, or what to change. It never throws to the browser. */
export type ActionResult<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly code: ErrorCode; readonly errors: readonly FieldError[] };

/** What can be asked for, and by what permission. */
export interface Asks {
  readonly permission: Permission | 'public';
}

/** What an action or query works with. */
export interface Call {
  readonly actor: Actor;
  readonly database: Database;
  readonly nowMs: number;
}

/** The one wrapper of every server action: may who is asking do this, check the input, run, turn failures into words. */
export function action<S extends z.ZodType, T>(
  permission: Permission,
  input: S,
  run: (call: Call & { input: z.output<S> }) => Promise<T>,
): ((raw: z.input<S>) => Promise<ActionResult<T>>) & Asks {
  const asked = async (raw: z.input<S>): Promise<ActionResult<T>> => {
    try {
      const actor = await actorWho(permission);
      const parsed = input.safeParse(raw, { reportInput: true });
      if (!parsed.success) return { ok: false, code: 'invalid', errors: fieldErrors(parsed.error) };
      const value = await run({ actor, database: database(), nowMs: Date.now(), input: parsed.data });
      return { ok: true, value };
    } catch (thrown) {
      const code = thrown instanceof AppError ? thrown.code : 'fault';
      if (code === 'fault') log.error({ code: errorCodeOf(thrown) }, 'action failed');
      const errors = thrown instanceof AppError ? thrown.errors : [];
      return {
        ok: false,
        code,
        errors: errors.length > 0 ? errors : [{ path: '', message: ERRORS[code].title }],
      };
    }
  };
  return Object.assign(asked, { permission });
}

/**
 * The one wrapper of every page query: may who is asking do this, then run. What goes wrong reaches neither the terminal nor the
 * browser in its own words: those of a database hold names and notes.
 */
export async function query<T>(permission: Permission, run: (call: Call) => Promise<T>): Promise<T> {
  try {
    return await run({ actor: await actorWho(permission), database: database(), nowMs: Date.now() });
  } catch (thrown) {
    unstable_rethrow(thrown);
    if (thrown instanceof AppError) throw thrown;
    log.error({ code: errorCodeOf(thrown) }, 'page failed');
    throw new AppError('fault');
  }
}
