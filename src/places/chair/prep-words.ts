import type { PrepDone, RunState } from '@/core/run/run-state';
import { MINUTE_MS } from '@/core/units/time';

/** Minutes that a step before the set took; null where they are not known. */
export const stepMin = ({ begunAtMs, doneAtMs }: PrepDone): number | null =>
  begunAtMs === null || doneAtMs === null ? null : (doneAtMs - begunAtMs) / MINUTE_MS;

/** Minutes that the steps before the set took, as far as they were timed. */
export const preparedMin = ({ prep }: Pick<RunState, 'prep'>): number =>
  [...prep.values()].reduce((sum, step) => sum + (stepMin(step) ?? 0), 0);
