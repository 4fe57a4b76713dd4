import type { BriefInput } from '../formats/brief';
import { chanceDry, type RateBelief } from '../drying/rate-belief';
import type { DryingMethodId } from '../drying-methods';
import { bearableHood } from '../drying-methods/bearable-hood';
import { asDried, type DryingStretch } from '../run/dry-log';
import type { RoomAir } from '../run/room-sensor';
import { HOUR_MS, MINUTE_MS } from '../units/time';
import { answerView } from './answer-view';
import { DRY_ENOUGH } from './drying-now';

/** Time under a machine that is tried, min: what a timer is set to. */
const TRIED_MIN = [10, 15, 20, 30, 40, 50, 60, 75, 90, 120, 150, 180] as const;

/** What a time under a machine, begun now, does for a head that is to be dry by some time. */
export interface MachineBy {
  readonly method: DryingMethodId;
  /** Least time that makes it sure enough; the longest there is where none does. */
  readonly minutes: number;
  /** Chance that it is dry by then, with it and without it. */
  readonly chance: number;
  readonly chanceWithout: number;
  readonly isEnough: boolean;
}

/**
 * What makes a drying head dry by a time: how long under a hood from now on.
 *
 * @param timeline its drying from the end of the set on, as it was and as it would go on
 * @param air measured where it dries; null for the room of the plan
 * @param belief in the drying rate of this head, after what was felt
 * @returns null where there is no time left, or the brief cannot be read
 */
export function makeDryBy(
  brief: BriefInput,
  timeline: readonly DryingStretch[],
  air: RoomAir | null,
  belief: RateBelief,
  installedAtMs: number,
  nowMs: number,
  byMs: number,
): MachineBy | null {
  const leftMin = (byMs - nowMs) / MINUTE_MS;
  if (leftMin < TRIED_MIN[0]) return null;
  const method = bearableHood(brief.head.conditions ?? []);
  const past = timeline.flatMap((stretch) =>
    stretch.fromMs >= nowMs ? [] : [{ ...stretch, untilMs: Math.min(stretch.untilMs, nowMs) }],
  );
  const byH = (byMs - installedAtMs) / HOUR_MS;
  const chanceWith = (course: readonly DryingStretch[]): number | null => {
    const answer = answerView(asDried(brief, course, air));
    return answer.ok ? chanceDry(belief, answer.value.view.dryTimes.whole, byH) : null;
  };
  const chanceWithout = chanceWith(timeline);
  if (chanceWithout === null) return null;
  let best: MachineBy | null = null;
  for (const minutes of TRIED_MIN.filter((min) => min <= leftMin)) {
    const untilMs = nowMs + minutes * MINUTE_MS;
    const chance = chanceWith([...past, { method, fromMs: nowMs, untilMs }]) ?? 0;
    best = { method, minutes, chance, chanceWithout, isEnough: chance >= DRY_ENOUGH };
    if (best.isEnough) return best;
  }
  return best;
}
