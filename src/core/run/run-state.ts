/** What can happen to a set at the chair. Events are only ever added; the state is read off them. */
export type RunEventKind =
  'section-done' | 'section-undone' | 'paused' | 'resumed' | 'misted' | 'taken-down' | 'note';

export const RUN_EVENT_KINDS = [
  'section-done',
  'section-undone',
  'paused',
  'resumed',
  'misted',
  'taken-down',
  'note',
] as const satisfies readonly RunEventKind[];

export interface RunEvent {
  readonly id: string;
  readonly kind: RunEventKind;
  readonly atMs: number;
  readonly sectionNumber: number | null;
  /** Words of a note, or why a damp set was taken down all the same. */
  readonly note: string | null;
}

/** Where a set stands, read off its events. */
export interface RunState {
  /** When each section was done, by number. */
  readonly doneAtMs: ReadonlyMap<number, number>;
  /** Section numbers in the order they were done. */
  readonly doneOrder: readonly number[];
  readonly isPaused: boolean;
  /** Time with hands on the hair since the start, without pauses, until the last event or the end. */
  readonly pausedMs: number;
  readonly pausedSinceMs: number | null;
  readonly lastMistAtMs: number | null;
  /** When the last section was done; null while any is open. */
  readonly installedAtMs: number | null;
  readonly takenDownAtMs: number | null;
  readonly phase: 'setting' | 'drying' | 'worn';
}

/**
 * Replays the events of a set. Order of time decides; an undo takes back its section wherever it stands,
 * and the same event twice counts once.
 *
 * @param sectionCount sections of the set
 */
export function runState(events: readonly RunEvent[], sectionCount: number): RunState {
  const seen = new Set<string>();
  const ordered = [...events]
    .filter((event) => !seen.has(event.id) && seen.add(event.id))
    .sort((a, b) => a.atMs - b.atMs);
  const done = new Map<number, number>();
  let pausedMs = 0;
  let pausedSinceMs: number | null = null;
  let lastMistAtMs: number | null = null;
  let takenDownAtMs: number | null = null;
  const resume = (atMs: number) => {
    if (pausedSinceMs !== null) pausedMs += atMs - pausedSinceMs;
    pausedSinceMs = null;
  };
  for (const { kind, atMs, sectionNumber } of ordered) {
    if (kind === 'section-done' && sectionNumber !== null) {
      if (!done.has(sectionNumber)) done.set(sectionNumber, atMs);
      resume(atMs);
    } else if (kind === 'section-undone' && sectionNumber !== null) done.delete(sectionNumber);
    else if (kind === 'paused') pausedSinceMs ??= atMs;
    else if (kind === 'resumed') resume(atMs);
    else if (kind === 'misted') lastMistAtMs = atMs;
    else if (kind === 'taken-down') takenDownAtMs = atMs;
  }
  const doneOrder = [...done.entries()].sort((a, b) => a[1] - b[1]).map(([number]) => number);
  const installedAtMs = done.size === sectionCount ? Math.max(...done.values()) : null;
  return {
    doneAtMs: done,
    doneOrder,
    isPaused: pausedSinceMs !== null,
    pausedMs,
    pausedSinceMs,
    lastMistAtMs,
    installedAtMs,
    takenDownAtMs,
    phase: takenDownAtMs !== null ? 'worn' : installedAtMs !== null ? 'drying' : 'setting',
  };
}

/** The section to do next: the lowest open number. Null when all are done. */
export function nextSection(state: RunState, sectionCount: number): number | null {
  for (let number = 1; number <= sectionCount; number++) if (!state.doneAtMs.has(number)) return number;
  return null;
}
