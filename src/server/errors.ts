import type { FieldError } from '@/core/formats/field-error';

/** Every way a request can fail, with its status and what people are told when nothing better is known. */
export const ERRORS = {
  invalid: { status: 422, title: 'Some of this needs changing' },
  'broken-json': { status: 400, title: 'This is not readable JSON' },
  'not-found': { status: 404, title: 'This is not here any more' },
  conflict: { status: 409, title: 'This was changed somewhere else meanwhile' },
  'too-large': { status: 413, title: 'This is larger than 256 KiB' },
  unreadable: {
    status: 500,
    title: 'What is kept of this cannot be read. The rest is safe; a copy from before may hold it whole',
  },
  busy: { status: 429, title: 'Too many forecasts are asked for at once; try again in a moment' },
  'took-too-long': {
    status: 422,
    title: 'This would take too long to work out; ask for fewer draws, fewer sections or a shorter time',
  },
  closing: { status: 503, title: 'The program is being closed or restored; try again in a moment' },
  'sign-in': { status: 401, title: 'Sign in first' },
  'too-often': { status: 429, title: 'Too many guesses; wait a little' },
  'not-allowed': { status: 403, title: 'This is not allowed from here' },
  fault: { status: 500, title: 'Something went wrong on our side. Nothing you typed is lost; try again' },
} as const;
export type ErrorCode = keyof typeof ERRORS;

/** A failure that people can act on. */
export class AppError extends Error {
  constructor(
    readonly code: ErrorCode,
    readonly errors: readonly FieldError[] = [],
  ) {
    super(errors[0]?.message ?? ERRORS[code].title);
  }

  /** All that an error page in the browser is told: messages are withheld on the way there. */
  get digest(): ErrorCode {
    return this.code;
  }
}

/** A failure about one field. */
export const invalid = (path: string, message: string): AppError =>
  new AppError('invalid', [{ path, message }]);

/** What is safe to write to the log about anything thrown: never a message that may hold query parameters. */
export function errorCodeOf(thrown: unknown): string {
  if (thrown instanceof AppError) return thrown.code;
  const cause = (thrown as { cause?: { code?: unknown; extendedCode?: unknown } } | null)?.cause;
  const code = cause?.extendedCode ?? cause?.code ?? (thrown as { code?: unknown } | null)?.code;
  return typeof code === 'string' ? code : thrown instanceof Error ? thrown.name : 'unknown';
}
