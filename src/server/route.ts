import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import type { FieldError } from '@/core/formats/field-error';
import type { Permission } from '@/core/people/permission';
import type { Asks } from './action';
import { actorWho } from './actor-who';
import { AppError, ERRORS, errorCodeOf, type ErrorCode } from './errors';
import { log } from './log';
import { isStopping } from './stopping';

/** Largest body a route reads, bytes. */
const MAX_BODY = 256 * 1024;
/** When somebody who was told to come back may, seconds. */
const RETRY_AFTER_S = '2';
/** A refusal is held back this long, ms, so that one who asks again at once cannot fill the time of the taps. */
const BREATH_MS = 1000;

/** An RFC 9457 problem document. */
function problem(code: ErrorCode, errors: readonly FieldError[], requestId: string): Response {
  const { status, title } = ERRORS[code];
  return Response.json(
    { type: `urn:keen-spiral:${code}`, title, status, requestId, ...(errors.length > 0 ? { errors } : {}) },
    {
      status,
      headers: {
        'content-type': 'application/problem+json',
        ...(code === 'busy' || code === 'closing' ? { 'retry-after': RETRY_AFTER_S } : {}),
      },
    },
  );
}

/** The last answer over its line where the server stops: who asks again and again would keep it up. */
function onlyAnswer(response: Response): Response {
  if (isStopping()) response.headers.set('connection', 'close');
  return response;
}

/**
 * The one wrapper of every route handler: may who is asking do this, run, and answer failures as problem+json without a
 * stack.
 *
 * @param permission “public” for what says nothing of anybody
 */
export function route<P = Record<string, never>>(
  permission: Permission | 'public',
  run: (request: Request, params: P) => Promise<Response>,
): ((request: Request, context: { params: Promise<P> }) => Promise<Response>) & Asks {
  const asked = async (request: Request, context: { params: Promise<P> }): Promise<Response> => {
    const requestId = randomUUID();
    try {
      if (permission !== 'public') await actorWho(permission);
      return onlyAnswer(await run(request, await context.params));
    } catch (thrown) {
      const code = thrown instanceof AppError ? thrown.code : 'fault';
      if (code === 'fault') log.error({ code: errorCodeOf(thrown), requestId }, 'route failed');
      if (code === 'busy') await sleep(BREATH_MS);
      return onlyAnswer(problem(code, thrown instanceof AppError ? thrown.errors : [], requestId));
    }
  };
  return Object.assign(asked, { permission });
}

/**
 * Reads a body of at most so many bytes.
 *
 * @param words what is said of a larger one; nothing where the usual words are right
 * @throws AppError too-large
 */
export async function readBody(
  request: Request,
  mostBytes: number,
  words: readonly FieldError[] = [],
): Promise<Buffer> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? []) {
    size += chunk.byteLength;
    if (size > mostBytes) throw new AppError('too-large', words);
    chunks.push(chunk);
  }
  return Buffer.concat(chunks);
}

/** How deep anything in a body may lie: far deeper than a plan. */
const DEEPEST = 40;

/** Whether something lies deeper in a value than so many levels; told without going there. */
function isDeeper(value: unknown, levels: number): boolean {
  if (typeof value !== 'object' || value === null) return false;
  return levels === 0 || Object.values(value).some((part) => isDeeper(part, levels - 1));
}

/**
 * Reads a JSON body of at most 256 KiB.
 *
 * @throws AppError too-large or broken-json
 */
export async function readJson(request: Request): Promise<unknown> {
  const body = await readBody(request, MAX_BODY);
  const told = parsed(body);
  if (isDeeper(told, DEEPEST))
    throw new AppError('broken-json', [
      { path: '', message: `the body is nested deeper than ${DEEPEST} levels` },
    ]);
  return told;
}

function parsed(body: Buffer): unknown {
  try {
    return JSON.parse(body.toString('utf8')) as unknown;
  } catch (cause) {
    const where = cause instanceof Error ? cause.message : '';
    throw new AppError('broken-json', [
      {
        path: '',
        message:
          body.byteLength === 0
            ? 'the body is empty; send a brief as JSON'
            : `the body is not JSON: ${where}`,
      },
    ]);
  }
}
