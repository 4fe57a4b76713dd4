import { randomBytes } from 'node:crypto';

/** A new id: time first, so that rows sort by age, then 80 random bits. */
export const newId = (nowMs: number = Date.now()): string =>
  nowMs.toString(36).padStart(9, '0') + randomBytes(10).toString('hex');
