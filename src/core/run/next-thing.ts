import type { DryingMethodId } from '../drying-methods';
import { dryingRunning, nextMachine, type DryingSpan, type DryingStretch } from './dry-log';

/** What a drying head wants next, and when. */
export type NextThing =
  | { readonly kind: 'stop' | 'begin'; readonly method: DryingMethodId; readonly atMs: number }
  | { readonly kind: 'feel'; readonly atMs: number };

/**
 * The next thing to do with a drying head: a machine whose time is up, one that was planned, or a hand to feel it.
 *
 * @param feelAtMs when it is worth feeling
 */
export function nextThing(
  planned: readonly DryingStretch[],
  spans: readonly DryingSpan[],
  feelAtMs: number,
  nowMs: number,
): NextThing {
  const running = dryingRunning(spans, nowMs);
  const next = nextMachine(planned, spans);
  const things: NextThing[] = [
    ...(running?.dueMs ? [{ kind: 'stop', method: running.method, atMs: running.dueMs } as const] : []),
    ...(next ? [{ kind: 'begin', method: next.method, atMs: next.fromMs } as const] : []),
    { kind: 'feel', atMs: feelAtMs },
  ];
  return things.reduce((first, thing) => (thing.atMs < first.atMs ? thing : first));
}
