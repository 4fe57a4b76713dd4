import { randomUUID } from 'node:crypto';
import type { FieldError } from '@/core/formats/field-error';
import { AppError, ERRORS, errorCodeOf, type ErrorCode } from './errors';
import { log } from './log';

/** Largest body a route reads, bytes. */
const MAX_BODY = 256 * 1024;

/** An RFC 9457 problem document. */
function problem(code: ErrorCode, errors: readonly FieldError[], requestId: string): Response {
  const { status, title } = ERRORS[code];
  return Response.json(
    { type: `urn:keen-spiral:${code}`, title, status, requestId, ...(errors.length > 0 ? { errors } : {}) },
    { status, headers: { 'content-type': 'application/problem+json' } },
  );
}

/** The one wrapper of every route handler: run, and answer failures as problem+json without a stack. */
export function route(run: (request: Request) => Promise<Response>): (request: Request) => Promise<Response> {
  return async (request) => {
    const requestId = randomUUID();
    try {
      return await run(request);
    } catch (thrown) {
      const code = thrown instanceof AppError ? thrown.code : 'fault';
      if (code === 'fault') log.error({ code: errorCodeOf(thrown), requestId }, 'route failed');
      return problem(code, thrown instanceof AppError ? thrown.errors : [], requestId);
    }
  };
}

/**
 * Reads a JSON body of at most 256 KiB.
 *
 * @throws AppError too-large or broken-json
 */
export async function readJson(request: Request): Promise<unknown> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  for await (const chunk of request.body ?? []) {
    size += chunk.byteLength;
    if (size > MAX_BODY) throw new AppError('too-large');
    chunks.push(chunk);
  }
  try {
    return JSON.parse(Buffer.concat(chunks).toString('utf8')) as unknown;
  } catch (cause) {
    const where = cause instanceof Error ? cause.message : '';
    throw new AppError('broken-json', [
      {
        path: '',
        message: size === 0 ? 'the body is empty; send a brief as JSON' : `the body is not JSON: ${where}`,
      },
    ]);
  }
}
