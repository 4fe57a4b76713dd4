import { restedMs, type RunState } from './run-state';
import { MINUTE_MS } from '../units/time';

/** Fewer sections than this tell no pace, and neither does less time than that. */
const FEWEST_SECTIONS = 3;
const LEAST_MIN = 5;

/**
 * Minutes that the setting itself took, rests and what came before it left out: from the first section to the last by
 * the taps, and the first as long as the others were against their plan.
 *
 * @param plannedMin planned minutes of each section, by number
 * @returns null where too little was tapped to tell
 */
export function workedMinutes(
  { doneAtMs, pauses, installedAtMs }: Pick<RunState, 'doneAtMs' | 'pauses' | 'installedAtMs'>,
  plannedMin: ReadonlyMap<number, number>,
): number | null {
  const done = [...doneAtMs].filter(([number]) => plannedMin.has(number)).sort((a, b) => a[1] - b[1]);
  if (installedAtMs === null || done.length < Math.max(FEWEST_SECTIONS, plannedMin.size / 2)) return null;
  const [firstMs, lastMs] = [done[0]![1], done.at(-1)![1]];
  const worked = (lastMs - firstMs - restedMs(pauses, firstMs, lastMs)) / MINUTE_MS;
  const all = [...plannedMin.values()].reduce((sum, min) => sum + min, 0);
  const after = done.slice(1).reduce((sum, [number]) => sum + plannedMin.get(number)!, 0);
  return worked < LEAST_MIN || after <= 0 ? null : (worked * all) / after;
}
