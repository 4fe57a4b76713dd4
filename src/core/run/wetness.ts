import { QUADRANTS, type Quadrant } from '../parting/quadrant';
import { MINUTE_MS } from '../units/time';
import type { RunState } from './run-state';

/** Hair that is clipped away and waits its turn. */
export interface WaitingHair {
  readonly quadrant: Quadrant;
  /** Its sections that are still to come, by number. */
  readonly numbers: readonly number[];
  /** When it is drier than it should be set, unless it is misted before. */
  readonly dueMs: number;
}

/** When a quarter was last wetted: misted by itself, or with the rest. */
function lastMistMs({ mists }: RunState, quadrant: Quadrant): number | null {
  const own = mists.filter((mist) => mist.quadrant === null || mist.quadrant === quadrant);
  return own.length === 0 ? null : Math.max(...own.map(({ atMs }) => atMs));
}

/**
 * Quarters that dry out before their turn is over, the driest first. One whose last section is reached before that
 * needs nothing.
 *
 * @param quadrantOf quarter of a section
 * @param order sections as they will be taken
 * @param minutesOf how long each takes at the pace so far
 * @param sinceMs when setting began: all of it was wet then
 */
export function waitingHair(
  state: RunState,
  quadrantOf: (number: number) => Quadrant | null,
  order: readonly number[],
  minutesOf: (number: number) => number,
  remistEveryMin: number,
  sinceMs: number,
  nowMs: number,
): WaitingHair[] {
  const open = order.filter((number) => !state.doneAtMs.has(number));
  const reachedMs = new Map<number, number>();
  let atMs = nowMs;
  for (const number of open) {
    reachedMs.set(number, atMs);
    atMs += minutesOf(number) * MINUTE_MS;
  }
  return QUADRANTS.flatMap((quadrant): WaitingHair[] => {
    // The one in hand is wet under the hands.
    const numbers = open.slice(1).filter((number) => quadrantOf(number) === quadrant);
    const dueMs = (lastMistMs(state, quadrant) ?? sinceMs) + remistEveryMin * MINUTE_MS;
    const lastMs = Math.max(...numbers.map((number) => reachedMs.get(number)!));
    return numbers.length === 0 || lastMs <= dueMs ? [] : [{ quadrant, numbers, dueMs }];
  }).sort((a, b) => a.dueMs - b.dueMs);
}
