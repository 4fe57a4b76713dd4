import pino from 'pino';
import { env } from './env';

/** JSON lines on standard output: codes, paths and request ids, never names, notes or query parameters. */
export const log = pino({ level: env.logLevel, base: null });
