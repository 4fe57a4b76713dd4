import { forbidden, redirect, unstable_rethrow } from 'next/navigation';
import type { z } from 'zod';
import { fieldErrors, type FieldError } from '@/core/formats/field-error';
import { isNoted, type Permission } from '@/core/people/permission';
import type { Actor } from './actor';
import { actorWho } from './actor-who';
import { asking } from './asking';
import { database, type Database } from './db/client';
import { noteDeed, type Subject } from './db/rows/deeds';
import { subjectOf } from './subject';
import { AppError, ERRORS, errorCodeOf, type ErrorCode } from './errors';
import { log } from './log';

/** What an action answers: a value, or what to change. It never throws to the browser. */
export type ActionResult<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly code: ErrorCode; readonly errors: readonly FieldError[] };

/** What can be asked for, by what permission, and what an action takes. */
export interface Asks {
  readonly permission: Permission | 'public';
  readonly input?: z.ZodType;
}

/** What an action or query works with. */
export interface Call {
  readonly actor: Actor;
  readonly database: Database;
  readonly nowMs: number;
}

/** Checks the input, runs, and turns failures into words. */
async function answered<S extends z.ZodType, T>(
  raw: z.input<S>,
  input: S,
  run: (parsed: z.output<S>) => Promise<T>,
): Promise<ActionResult<T>> {
  try {
    const parsed = input.safeParse(raw, { reportInput: true });
    if (!parsed.success) return { ok: false, code: 'invalid', errors: fieldErrors(parsed.error) };
    return { ok: true, value: await run(parsed.data) };
  } catch (thrown) {
    return refused(thrown);
  }
}

function refused(thrown: unknown): ActionResult<never> {
  const code = thrown instanceof AppError ? thrown.code : 'fault';
  if (code === 'fault') log.error({ code: errorCodeOf(thrown) }, 'action failed');
  const errors = thrown instanceof AppError ? thrown.errors : [];
  return {
    ok: false,
    code,
    errors: errors.length > 0 ? errors : [{ path: '', message: ERRORS[code].title }],
  };
}

/** The one wrapper of every server action: may who is asking do this, check the input, run, note who did it. */
export function action<S extends z.ZodType, T>(
  permission: Permission,
  input: S,
  run: (call: Call & { input: z.output<S> }) => Promise<T>,
): ((raw: z.input<S>) => Promise<ActionResult<T>>) & Asks {
  const asked = async (raw: z.input<S>): Promise<ActionResult<T>> => {
    try {
      const actor = await actorWho(permission);
      return await answered(raw, input, async (parsed) => {
        const nowMs = Date.now();
        const value = await run({ actor, database: database(), nowMs, input: parsed });
        if (isNoted(permission)) await noted(actor, permission, subjectOf(permission, parsed, value), nowMs);
        return value;
      });
    } catch (thrown) {
      return refused(thrown);
    }
  };
  return Object.assign(asked, { permission, input });
}

/** Notes who did something. What was done is done, and stands where it cannot be noted: its studio may be gone. */
const noted = (actor: Actor, permission: Permission, subject: Subject | null, nowMs: number): Promise<void> =>
  database()
    .write((tx) => noteDeed(tx, actor.studio.id, actor, permission, subject, nowMs))
    .catch((thrown: unknown) => log.warn({ code: errorCodeOf(thrown) }, 'a deed was not noted'));

/** The wrapper of the few actions that anybody may ask for, such as signing in. */
export function openAction<S extends z.ZodType, T>(
  input: S,
  run: (call: Omit<Call, 'actor'> & { input: z.output<S> }) => Promise<T>,
): ((raw: z.input<S>) => Promise<ActionResult<T>>) & Asks {
  const asked = (raw: z.input<S>): Promise<ActionResult<T>> =>
    answered(raw, input, (parsed) => run({ database: database(), nowMs: Date.now(), input: parsed }));
  return Object.assign(asked, { permission: 'public' as const, input });
}

/** Where somebody signs in, and from where she goes on to where she was. */
function signInPath(): string {
  const [path = '/', search = ''] = asking().path.split('?', 2);
  const params = new URLSearchParams(search);
  params.delete('_rsc');
  return `/sign-in?to=${encodeURIComponent(params.size > 0 ? `${path}?${params.toString()}` : path)}`;
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
    if (thrown instanceof AppError && thrown.code === 'sign-in') redirect(signInPath());
    if (thrown instanceof AppError && thrown.code === 'not-allowed') forbidden();
    if (thrown instanceof AppError) throw thrown;
    log.error({ code: errorCodeOf(thrown) }, 'page failed');
    throw new AppError('fault');
  }
}

/** The wrapper of the few page queries that anybody may make, such as who may sign in here. */
export async function openQuery<T>(run: (call: Omit<Call, 'actor'>) => Promise<T>): Promise<T> {
  try {
    return await run({ database: database(), nowMs: Date.now() });
  } catch (thrown) {
    unstable_rethrow(thrown);
    if (thrown instanceof AppError) throw thrown;
    log.error({ code: errorCodeOf(thrown) }, 'page failed');
    throw new AppError('fault');
  }
}
