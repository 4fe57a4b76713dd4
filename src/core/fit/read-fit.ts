import type { BriefInput } from '../formats/brief';
import type { Checked } from '../formats/field-error';
import { readBrief } from '../formats/read-brief';
import { isoWithOffset } from '../plan/iso-time';
import { readWish, type ReadWish } from '../suggest/read-wish';
import { HOUR_MS } from '../units/time';

/** A moment that a plan without a time is fitted to; it does not come back with what is found. */
const NOMINAL_READY = '2027-03-13T09:00:00Z';

/**
 * A wish for a plan that stands on the desk: its head, room, sleep, pace and time to be ready, with what is at hand and
 * what is limited from the wish.
 *
 * @param availableH from first touch to ready
 */
export function readFit(plan: BriefInput, rawWish: unknown, availableH: number): Checked<ReadWish> {
  const wish = readWish(rawWish);
  if (!wish.ok) return wish;
  const { startAt: _, ...rest } = plan;
  const ready = readBrief({ ...rest, wearBy: plan.wearBy ?? NOMINAL_READY });
  if (!ready.ok) return ready;
  const { wearByMs, timeZone } = ready.value;
  const told: BriefInput = {
    ...rest,
    wearBy: plan.wearBy ?? NOMINAL_READY,
    startAt: isoWithOffset(wearByMs! - availableH * HOUR_MS, timeZone),
  };
  const brief = readBrief(told);
  if (!brief.ok) return brief;
  return { ok: true, value: { told, wish: { ...wish.value.wish, base: brief.value } } };
}
