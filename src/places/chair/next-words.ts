import { dryingMethods } from '@/core/drying-methods';
import type { Clock } from '@/core/formats/display';
import type { NextThing } from '@/core/run/next-thing';
import { listed } from '@/core/words/words';
import { formatAboutWhen, formatWhen } from '@/ui/format';

/** What a drying head wants next, as one says it: "Feel 2, 6 and 11 about 07:50". */
export function nextWords(next: NextThing, feel: readonly number[], clock: Clock, nowMs: number): string {
  const isNow = next.atMs <= nowMs;
  if (next.kind === 'feel')
    return `Feel ${listed(feel)} ${isNow ? 'now' : `about ${formatAboutWhen(next.atMs, clock, nowMs)}`}`;
  const { label, phrase } = dryingMethods[next.method];
  const at = formatWhen(next.atMs, clock, nowMs);
  if (next.kind === 'stop') return `${label}: time is up at ${at}`;
  return isNow ? `Planned for ${at} and not begun: ${phrase}` : `Begin at ${at}: ${phrase}`;
}
