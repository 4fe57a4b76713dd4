import { dryingSpans, dryPlanOf, type DryingSpan, type DryPlan } from './dry-log';
import type { RoomAir } from './room-sensor';
import type { Measured } from './measured';
import { parted, type Parted } from './parted';
import type { RunEvent, RunEventDetail } from './run-event';

/** A stretch in which the hands rested; `untilMs` is null while it lasts. */
export interface Pause {
  readonly fromMs: number;
  readonly untilMs: number | null;
}

/** One dryness check as it stands. */
export interface FeltCheck {
  readonly id: string;
  readonly sectionNumber: number;
  readonly level: NonNullable<RunEvent['level']>;
  readonly feel: NonNullable<RunEvent['feel']>;
  readonly atMs: number;
}

/** One step before the set as it really went. */
export interface PrepDone {
  /** Null where nobody said when it began. */
  readonly begunAtMs: number | null;
  /** Null while it runs. */
  readonly doneAtMs: number | null;
  readonly isSkipped: boolean;
}

/** One pair of hands at a head. */
export interface Hand {
  /** The name that its device goes by; the device itself where it goes by none. */
  readonly hand: string;
  readonly name: string | null;
  readonly doneCount: number;
}

/** Where a set stands, read off its events. */
export interface RunState {
  /** Events that count, corrected, in the set's own order. */
  readonly standing: readonly RunEvent[];
  /** Its sections, and how they were changed at the chair. */
  readonly parting: Parted;
  /** When each section was done, by number. */
  readonly doneAtMs: ReadonlyMap<number, number>;
  /** The taps that say so, by number: what an undo takes back. */
  readonly doneBy: ReadonlyMap<number, readonly string[]>;
  /** Whose hand did each section, by number. */
  readonly handOf: ReadonlyMap<number, string>;
  /** The hands at this head, in the order of their first section. */
  readonly hands: readonly Hand[];
  /** Section numbers in the order they were done. */
  readonly doneOrder: readonly number[];
  readonly pauses: readonly Pause[];
  readonly isPaused: boolean;
  readonly pausedSinceMs: number | null;
  /** When hair that waits was misted, and which quarter; all of it where none is named. */
  readonly mists: readonly { readonly quadrant: string | null; readonly atMs: number }[];
  readonly checks: readonly FeltCheck[];
  /** Steps before the set that were begun, done or left out, by name. */
  readonly prep: ReadonlyMap<string, PrepDone>;
  /** What was really done to dry it, in order. */
  readonly drying: readonly DryingSpan[];
  /** What was planned of it at the chair; null for nothing. */
  readonly dryPlan: DryPlan | null;
  /** The air it dries in, as it was measured last; null where nobody measured it. */
  readonly room: RoomAir | null;
  /** When the last section was done, or the set was said to be finished; null while any is open. */
  readonly installedAtMs: number | null;
  /** When it was said to be dry all over; null where nobody said so. */
  readonly driedAtMs: number | null;
  readonly takenDownAtMs: number | null;
  /** The taps by which sections were undone at takedown, and separated, by number: the first of each. */
  readonly undone: ReadonlyMap<number, RunEvent>;
  readonly separated: ReadonlyMap<number, RunEvent>;
  readonly fluffedAtMs: number | null;
  /** What went wrong where, in the order it was said. */
  readonly faults: readonly RunEvent[];
  /** First measurements, as they were corrected last; null before there are any. */
  readonly measured: Measured | null;
  readonly phase: 'setting' | 'drying' | 'worn';
}

/** The set's own order: as the server received it, then what is still on its way, each device in its own order. */
function inOrder(events: readonly RunEvent[]): RunEvent[] {
  const seen = new Set<string>();
  return events
    .map((event, i) => ({ event, place: event.sequence ?? Number.MAX_SAFE_INTEGER, i }))
    .sort((a, b) => a.place - b.place || a.i - b.i)
    .map(({ event }) => event)
    .filter(({ id }) => !seen.has(id) && seen.add(id));
}

/**
 * Corrections carried out: what was taken back is gone, what was moved has its new time. Read from the newest, so
 * that a correction may itself be taken back.
 */
function corrected(ordered: readonly RunEvent[]): RunEvent[] {
  const gone = new Set<string>();
  const movedTo = new Map<string, number>();
  for (const event of [...ordered].reverse()) {
    if (gone.has(event.id)) continue;
    if (event.kind === 'taken-back') for (const id of event.of ?? []) gone.add(id);
    else if (event.kind === 'moved')
      for (const id of event.of ?? []) if (!movedTo.has(id)) movedTo.set(id, event.toMs ?? event.atMs);
  }
  return ordered
    .filter(({ id }) => !gone.has(id))
    .map((event) => ({ ...event, atMs: movedTo.get(event.id) ?? event.atMs }));
}

/** A step before the set once something more was said of it: begun again, it runs again. */
function prepAfter(kind: RunEvent['kind'], atMs: number, before: PrepDone | undefined): PrepDone {
  if (kind === 'step-begun') return { begunAtMs: atMs, doneAtMs: null, isSkipped: false };
  if (kind === 'step-skipped') return { begunAtMs: null, doneAtMs: null, isSkipped: true };
  return {
    begunAtMs: before?.begunAtMs ?? null,
    doneAtMs: Math.max(atMs, before?.begunAtMs ?? atMs),
    isSkipped: false,
  };
}

/** Whose sections are whose: by name where the device goes by one, so that two devices of one person are one hand. */
function handsOf(
  done: readonly (readonly [number, Pick<RunEvent, 'by' | 'device'>])[],
): Pick<RunState, 'handOf' | 'hands'> {
  const handOf = new Map(done.map(([number, { by, device }]) => [number, by ?? device ?? '']));
  const hands = [...new Map(done.map(([, { by, device }]) => [by ?? device ?? '', by]))];
  return {
    handOf,
    hands: hands.map(([hand, name]) => ({
      hand,
      name,
      doneCount: [...handOf.values()].filter((one) => one === hand).length,
    })),
  };
}

/**
 * Replays the events of a set. The order is the server's, so that a wrong clock reorders nothing; an undo takes
 * back the taps it names (those before it, where an old one names none), and the same event twice counts once.
 *
 * @param sectionCount sections of the set as planned
 */
export function runState(events: readonly RunEvent[], sectionCount: number): RunState {
  const standing = corrected(inOrder(events));
  const parting = parted(standing, sectionCount);
  const done = new Map<number, { id: string; atMs: number; by: string | null; device: string | null }[]>();
  const pauses: { fromMs: number; untilMs: number | null }[] = [];
  const checks: FeltCheck[] = [];
  const prep = new Map<string, PrepDone>();
  const undone = new Map<number, RunEvent>();
  const separated = new Map<number, RunEvent>();
  const faults: RunEvent[] = [];
  let fluffedAtMs: number | null = null;
  let measured: Measured | null = null;
  const mists: { quadrant: string | null; atMs: number }[] = [];
  let saidInstalledAtMs: number | null = null;
  let driedAtMs: number | null = null;
  let takenDownAtMs: number | null = null;
  const resume = (atMs: number) => {
    const open = pauses.at(-1);
    if (open?.untilMs === null) open.untilMs = Math.max(open.fromMs, atMs);
  };
  for (const event of standing) {
    const { id, kind, atMs, sectionNumber, of, level, feel, step, by, device } = event;
    if (kind === 'section-done' && sectionNumber !== null) {
      done.set(sectionNumber, [...(done.get(sectionNumber) ?? []), { id, atMs, by, device }]);
      resume(atMs);
    } else if (kind === 'section-undone' && sectionNumber !== null) {
      const left = of === null ? [] : (done.get(sectionNumber) ?? []).filter((tap) => !of.includes(tap.id));
      if (left.length > 0) done.set(sectionNumber, left);
      else done.delete(sectionNumber);
    } else if (kind === 'paused') {
      if (pauses.at(-1)?.untilMs !== null) pauses.push({ fromMs: atMs, untilMs: null });
    } else if (kind === 'resumed') resume(atMs);
    else if (kind === 'misted') mists.push({ quadrant: step, atMs });
    else if (kind === 'felt' && sectionNumber !== null && level && feel)
      checks.push({ id, sectionNumber, level, feel, atMs });
    else if (kind === 'installed') saidInstalledAtMs = atMs;
    else if (kind === 'dried') driedAtMs = atMs;
    else if (kind === 'taken-down') takenDownAtMs = atMs;
    else if (kind === 'section-loosed' && sectionNumber !== null) {
      if (!undone.has(sectionNumber)) undone.set(sectionNumber, event);
    } else if (kind === 'section-separated' && sectionNumber !== null) {
      if (!separated.has(sectionNumber)) separated.set(sectionNumber, event);
    } else if (kind === 'fluffed') fluffedAtMs = atMs;
    else if (kind === 'fault') faults.push(event);
    else if (kind === 'measured') measured = event.measured;
    else if (kind.startsWith('step-') && step) prep.set(step, prepAfter(kind, atMs, prep.get(step)));
  }
  // Taps on what was joined to another, or left out, rest until that is taken back.
  const isThere = new Set(parting.numbers);
  for (const taps of [done, undone, separated])
    for (const number of taps.keys()) if (!isThere.has(number)) taps.delete(number);
  const doneAtMs = new Map([...done].map(([number, taps]) => [number, taps[0]!.atMs]));
  const doneOrder = [...done.keys()];
  const installedAtMs =
    done.size === parting.numbers.length ? Math.max(...doneAtMs.values()) : saidInstalledAtMs;
  const open = pauses.at(-1);
  const pausedSinceMs = open?.untilMs === null ? open.fromMs : null;
  return {
    standing,
    parting,
    doneAtMs,
    doneBy: new Map([...done].map(([number, taps]) => [number, taps.map(({ id }) => id)])),
    ...handsOf([...done].map(([number, taps]) => [number, taps[0]!])),
    doneOrder,
    pauses,
    isPaused: pausedSinceMs !== null,
    pausedSinceMs,
    mists,
    checks,
    prep,
    drying: dryingSpans(standing),
    dryPlan: dryPlanOf(standing),
    room: standing.findLast(({ kind }) => kind === 'room')?.room ?? null,
    installedAtMs,
    driedAtMs,
    takenDownAtMs,
    undone,
    separated,
    fluffedAtMs,
    faults,
    measured,
    phase: takenDownAtMs !== null ? 'worn' : installedAtMs !== null ? 'drying' : 'setting',
  };
}

/**
 * Time rested between two moments.
 *
 * @returns ms, never negative; a pause that still lasts counts up to `untilMs`
 */
export const restedMs = (pauses: readonly Pause[], fromMs: number, untilMs: number): number =>
  pauses.reduce(
    (sum, pause) =>
      sum + Math.max(0, Math.min(pause.untilMs ?? untilMs, untilMs) - Math.max(pause.fromMs, fromMs)),
    0,
  );

/** A step before the set that runs now; null where none does. A section done ends whatever still ran. */
export function runningStep({ prep, doneOrder }: RunState): { step: string; begunAtMs: number } | null {
  if (doneOrder.length > 0) return null;
  for (const [step, { begunAtMs, doneAtMs }] of prep)
    if (begunAtMs !== null && doneAtMs === null) return { step, begunAtMs };
  return null;
}

/**
 * When the setting itself began: once what came before it was done. While a step still runs it has not begun.
 *
 * @param startedAtMs when the set came to the chair
 */
export function settingSinceMs(state: RunState, startedAtMs: number, nowMs: number): number {
  if (runningStep(state)) return nowMs;
  const firstDoneMs = Math.min(...state.doneAtMs.values());
  const prepared = [...state.prep.values()].flatMap(({ doneAtMs }) =>
    doneAtMs !== null && doneAtMs <= firstDoneMs ? [doneAtMs] : [],
  );
  return Math.max(startedAtMs, ...prepared);
}

/**
 * The section to do next. Null when all are done.
 *
 * @param order section numbers as this hand takes them
 */
export const nextSection = (state: RunState, order: readonly number[]): number | null =>
  order.find((number) => !state.doneAtMs.has(number)) ?? null;

/** What this hand did last and an undo would take back; of another hand only where this one did nothing. */
export const lastDone = ({ doneOrder, handOf }: RunState, ownHand: string | null): number | null =>
  doneOrder.findLast((number) => handOf.get(number) === ownHand) ?? doneOrder.at(-1) ?? null;

/** What an undo of a section says: the taps that it takes back. */
export const undoneOf = (state: RunState, sectionNumber: number): RunEventDetail => ({
  sectionNumber,
  of: state.doneBy.get(sectionNumber) ?? null,
});
