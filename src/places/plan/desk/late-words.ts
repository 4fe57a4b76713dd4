import type { Clock } from '@/core/formats/display';
import type { ScheduleBlock } from '@/core/schedule/backward';
import { formatMinutes, formatMoment } from '@/ui/format';

/** What to do about a day that begins in the past or is over; null for one that can still be kept. */
export function lateWords(blocks: readonly ScheduleBlock[], nowMs: number, clock: Clock): string | null {
  const [first, last] = [blocks[0], blocks.at(-1)];
  if (!first || !last) return null;
  if (last.endMs <= nowMs)
    return `${formatMoment(last.endMs, clock)} has gone by: choose a later time to be ready.`;
  const lateMin = (nowMs - first.startMs) / 60_000;
  return lateMin > 1
    ? `To be ready by then you would have had to start ${formatMinutes(lateMin)} ago. A later time, a hood, or more and smaller sections would help.`
    : null;
}
