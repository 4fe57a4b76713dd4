import type { LateSet } from '@/core/plan/rescues';
import { plannedDrying } from '@/core/run/dry-log';
import type { LivePace } from '@/core/run/live-pace';
import { MINUTE_MS } from '@/core/units/time';
import { toolsOf } from './chair-sections';
import type { ChairViewProps } from './chair-set';

/** How a set stands against its plan, as the search for what would help wants it. */
export function lateSet(
  { set, view, log: { state }, nowMs }: Pick<ChairViewProps, 'set' | 'view' | 'log' | 'nowMs'>,
  { pace, finishAtMs }: LivePace,
  inHand: number | null,
): Omit<LateSet, 'brief' | 'edits' | 'done'> {
  const section = inHand === null ? undefined : set.sections[inHand];
  const takenOf = (mm: number) =>
    [...state.doneAtMs.keys()].filter((number) => set.sections[number]?.toolMm === mm).length;
  return {
    pace,
    lateMin: (finishAtMs.p50 - set.plannedInMs) / MINUTE_MS,
    nowMs,
    takedownMs: set.takedownMs,
    planned: plannedDrying(view.blocks, set.begunBrief, set.plannedInMs, null),
    larger: toolsOf(set, section?.toolKind ?? null)
      .filter(({ diameterMm }) => diameterMm > (section?.toolMm ?? Infinity))
      .map(({ diameterMm, owned }) => ({ diameterMm, free: owned - takenOf(diameterMm) }))
      .sort((a, b) => a.diameterMm - b.diameterMm),
    ways: set.waysToDry,
  };
}
