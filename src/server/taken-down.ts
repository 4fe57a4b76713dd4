import { z } from 'zod';
import { MODEL_VERSION } from '@/core/plan/forecast';
import type { Takedown } from '@/core/plan/as-taken-down';
import { TAKEDOWN_HANDS_IDS } from '@/core/coefficients/takedown-hands';
import type { BriefInput } from '@/core/formats/brief';
import { asDried, dryingTimeline, driesOtherwise, plannedDrying } from '@/core/run/dry-log';
import { withBelief } from '@/core/plan/forecast-view';
import type { RunEvent } from '@/core/run/run-event';
import { HOUR_MS } from '@/core/units/time';
import type { Database } from './db/client';
import { findSet, type SetRecord } from './db/rows/sets';
import type { Studio } from './db/rows/studios';
import { countWhatWasUsed, saveTakenDown } from './db/rows/set-commands';
import { editsOf, setView } from './forecast-cache';
import { log } from './log';
import { inPool } from './pool';

/** What tells how much of a product was used. */
const USING = z.object({ kind: z.enum(['tub-weighed', 'dispensed'] satisfies RunEvent['kind'][]) });
/** What can move a takedown, or what was known at it. */
const TELLING = z.object({
  kind: z.enum([
    'taken-down',
    'moved',
    'taken-back',
    'felt',
    'dry-begun',
    'dry-stopped',
    'parted',
    'room',
  ] satisfies RunEvent['kind'][]),
});

/** Whether any event of a device, as it was sent, is such a one. */
export const concernsTakedown = (events: readonly unknown[]): boolean =>
  events.some((event) => TELLING.safeParse(event).success);

/** Whether what a set took off the shelf may be another amount by them. */
export const concernsShelf = (events: readonly unknown[]): boolean =>
  concernsTakedown(events) || events.some((event) => USING.safeParse(event).success);

/** The takedown of a set; null while it is in, where nobody saw it dry, or where another model forecast it. */
export function takedownOf(set: SetRecord): Takedown | null {
  const { installedAtMs, takenDownAtMs: atMs, isEnteredLater, modelVersion } = set;
  if (installedAtMs === null || atMs === null || isEnteredLater || modelVersion !== MODEL_VERSION)
    return null;
  const afterH = (ms: number) => Math.max(0, (ms - installedAtMs) / HOUR_MS);
  return {
    atMs,
    afterH: afterH(atMs),
    belief: set.dryingBelief,
    checks: set.run.checks
      .filter((check) => check.atMs <= atMs)
      .map((check) => ({ ...check, afterH: afterH(check.atMs) })),
  };
}

/** The brief of a set with its drying and takedown as they came, where that was seen. */
function asItCame({ brief, installedAtMs, takenDownAtMs, run }: SetRecord): BriefInput {
  const said = run.standing.findLast(({ kind }) => kind === 'taken-down')?.step;
  const hands = TAKEDOWN_HANDS_IDS.find((id) => id === said);
  const handled = hands ? { ...brief, wear: { ...brief.wear, hands } } : brief;
  if (!driesOtherwise(run) || installedAtMs === null || takenDownAtMs === null) return handled;
  // Where nothing was begun the plan is taken to be followed.
  const planned = run.drying.length > 0 ? [] : plannedDrying([], handled, installedAtMs, run.dryPlan);
  return asDried(handled, dryingTimeline(planned, run.drying, installedAtMs, takenDownAtMs), run.room);
}

/** The belief it was begun with, about the drying as it came. */
async function onItsCourse(set: SetRecord, takedown: Takedown): Promise<Takedown> {
  if (!driesOtherwise(set.run) && set.run.parting.edits.length === 0) return takedown;
  const answer = await setView(set, takedown.atMs);
  if (!answer.ok) return { ...takedown, belief: null };
  const { view, planned } = answer.value;
  return { ...takedown, belief: withBelief(view, set, planned).dryTimes.belief };
}

/** Counts on the shelf what was really used; the taps themselves are kept already. */
export async function keepUsed({ write }: Database, studio: Studio, setId: string): Promise<void> {
  try {
    await write((tx) => countWhatWasUsed(tx, studio.id, setId, studio.handUnits));
  } catch (thrown) {
    log.warn({ err: thrown, setId }, 'what was used could not be counted on the shelf');
  }
}

/**
 * Keeps what comes of a set as it was taken down. The tap itself is kept already: where this fails, the set shows what
 * was forecast until its log moves again.
 */
export async function keepTakenDown({ db, write }: Database, studioId: string, setId: string): Promise<void> {
  try {
    const set = await findSet(db, studioId, setId);
    const takedown = set && takedownOf(set);
    if (!set || !takedown) return;
    const course = await onItsCourse(set, takedown);
    const takenDown = await inPool('takenDown', {
      brief: asItCame(set),
      edits: editsOf(set.run),
      takedown: course,
    });
    if (takenDown) await write((tx) => saveTakenDown(tx, studioId, setId, takenDown));
  } catch (thrown) {
    log.warn({ err: thrown, setId }, 'what comes of a takedown could not be worked out');
  }
}
