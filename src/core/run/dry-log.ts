import type { BriefInput } from '../formats/brief';
import { MOST_DRYING_STEPS, SET_RANGES } from '../formats/ranges';
import { DRYING_METHOD_IDS, dryingMethods, type DryingMethodId } from '../drying-methods';
import type { RoomAir } from './room-sensor';
import { HOUR_MS, MINUTE_MS } from '../units/time';
import type { RunEvent } from './run-event';

/** A way of drying as it was really begun. */
export interface DryingSpan {
  readonly method: DryingMethodId;
  readonly fromMs: number;
  /** When it was stopped, or something else begun; null while nobody said so. */
  readonly untilMs: number | null;
  /** When its time is up; null where it has none. */
  readonly dueMs: number | null;
}

/** A stretch of drying, planned or real. */
export interface DryingStretch {
  readonly method: DryingMethodId;
  readonly fromMs: number;
  /** Infinity where it lasts until something else is begun. */
  readonly untilMs: number;
}

/** Whether a word names a way of drying. */
export const isDryingMethod = (word: string | null): word is DryingMethodId =>
  DRYING_METHOD_IDS.some((id) => id === word);

/**
 * What was really done to dry a head, in order: one way at a time, so that beginning one ends the one before. The same
 * begun again while it runs is given that much more time.
 *
 * @param standing events that count, in the set's own order
 */
export function dryingSpans(standing: readonly RunEvent[]): DryingSpan[] {
  const spans: DryingSpan[] = [];
  const stop = (atMs: number) => {
    const open = spans.at(-1);
    if (open?.untilMs === null) spans[spans.length - 1] = { ...open, untilMs: Math.max(open.fromMs, atMs) };
  };
  for (const { kind, step, atMs, minutes } of standing) {
    if (kind === 'dry-stopped' || kind === 'taken-down') stop(atMs);
    if (kind !== 'dry-begun' || !isDryingMethod(step)) continue;
    const dueMs = minutes === null ? null : atMs + minutes * MINUTE_MS;
    const open = spans.at(-1);
    if (open?.untilMs === null && open.method === step) spans[spans.length - 1] = { ...open, dueMs };
    else {
      stop(atMs);
      spans.push({ method: step, fromMs: atMs, untilMs: null, dueMs });
    }
  }
  return spans;
}

/** A way of drying that was planned at the chair; the last one said holds. */
export interface DryPlan extends DryingStretch {
  /** The event that says so: what takes it back. */
  readonly id: string;
}

/** What was planned of the drying at the chair; null for nothing. */
export function dryPlanOf(standing: readonly RunEvent[]): DryPlan | null {
  const said = standing.findLast(({ kind }) => kind === 'dry-planned');
  if (!said || !isDryingMethod(said.step) || said.toMs === null || said.minutes === null) return null;
  return {
    id: said.id,
    method: said.step,
    fromMs: said.toMs,
    untilMs: said.toMs + said.minutes * MINUTE_MS,
  };
}

/** A planned drying with a stretch laid over it. */
const laidOver = (planned: readonly DryingStretch[], { method, fromMs, untilMs }: DryingStretch) =>
  [
    ...planned.flatMap((stretch): DryingStretch[] => [
      { ...stretch, untilMs: Math.min(stretch.untilMs, fromMs) },
      { ...stretch, fromMs: Math.max(stretch.fromMs, untilMs) },
    ]),
    { method, fromMs, untilMs },
  ]
    .filter((stretch) => stretch.untilMs > stretch.fromMs)
    .sort((a, b) => a.fromMs - b.fromMs);

/** When a way of drying ended or will end. A machine that nobody was seen to stop stops when its time is up. */
const endOf = ({ untilMs, dueMs }: DryingSpan): number => untilMs ?? dueMs ?? Infinity;

/** What runs now; null where nothing was begun, or its time is up. */
export const dryingRunning = (spans: readonly DryingSpan[], nowMs: number): DryingSpan | null => {
  const last = spans.at(-1);
  return last && endOf(last) > nowMs ? last : null;
};

const isBlown = ({ method }: DryingStretch) => dryingMethods[method].isBlown;

/**
 * The drying of a head from the end of its set on: what was done, then what is still planned. What was planned before
 * now and not begun was not done. Where nothing was ever begun the plan is taken to be followed.
 */
export function dryingTimeline(
  planned: readonly DryingStretch[],
  spans: readonly DryingSpan[],
  installedAtMs: number,
  nowMs: number,
): DryingStretch[] {
  if (spans.length === 0) return [...planned];
  const out: DryingStretch[] = [];
  let cursor = installedAtMs;
  const until = (untilMs: number, method: DryingMethodId) => {
    if (untilMs <= cursor) return;
    const before = out.at(-1);
    if (before?.method === method) out[out.length - 1] = { ...before, untilMs };
    else out.push({ method, fromMs: cursor, untilMs });
    cursor = untilMs;
  };
  for (const span of spans) {
    until(span.fromMs, 'air');
    const isOpen = endOf(span) === Infinity;
    const asPlanned = planned.find(
      ({ method, fromMs, untilMs }) => method === span.method && fromMs <= nowMs && untilMs > nowMs,
    );
    until(isOpen && asPlanned ? asPlanned.untilMs : endOf(span), span.method);
  }
  for (const stretch of planned) {
    const isMissed = isBlown(stretch) && stretch.fromMs < Math.max(cursor, nowMs);
    if (isMissed || stretch.untilMs <= Math.max(cursor, nowMs)) continue;
    until(stretch.fromMs, 'air');
    until(stretch.untilMs, stretch.method);
  }
  return out;
}

/** The machine that is planned and was not begun yet; null where none is left. */
export function nextMachine(
  planned: readonly DryingStretch[],
  spans: readonly DryingSpan[],
): DryingStretch | null {
  const begun = spans.map(({ method }) => method);
  for (const stretch of planned.filter(isBlown)) {
    const at = begun.indexOf(stretch.method);
    if (at === -1) return stretch;
    begun.splice(at, 1);
  }
  return null;
}

/** The shortest and the longest step that a brief takes, h. */
const { low: SHORTEST_H, high: LONGEST_H } = SET_RANGES.dryingHours;

type StepInput = NonNullable<BriefInput['drying']>[number];

/** Stretches as steps of a brief. One too short for a step lengthens the one before it. */
function asSteps(timeline: readonly DryingStretch[], planned: readonly StepInput[]): StepInput[] {
  const steps: StepInput[] = [];
  /** Too short to be one, h, and not part of any yet. */
  let looseH = 0;
  for (const { method, fromMs, untilMs } of timeline) {
    const hours = Math.min(LONGEST_H, (untilMs - fromMs) / HOUR_MS + looseH);
    looseH = 0;
    const before = steps.at(-1);
    if (hours >= SHORTEST_H) {
      // The machine is the one that was planned, with what it gives.
      const machine = planned.find((step) => step.method === method) ?? { method };
      steps.push({ ...machine, hours });
    } else if (before) before.hours = Math.min(LONGEST_H, before.hours + hours);
    else looseH = hours;
  }
  return steps.slice(0, MOST_DRYING_STEPS);
}

/**
 * The brief of a set as it is really dried: its steps as they came, in the air that was measured, in no other day than
 * the one that was.
 *
 * @param air measured where it dries; taken for all of its drying. Null for the room of the plan
 */
export function asDried(
  brief: BriefInput,
  timeline: readonly DryingStretch[],
  air: RoomAir | null,
): BriefInput {
  const { wearBy: _, startAt: __, drying = [], room, ...rest } = brief;
  return { ...rest, room: air ? { ...room, ...air } : room, drying: asSteps(timeline, drying) };
}

/** Whether a set dries in another way than its plan has it, as far as anybody said. */
export const driesOtherwise = ({
  drying,
  dryPlan,
  room,
}: {
  readonly drying: readonly DryingSpan[];
  readonly dryPlan: DryPlan | null;
  readonly room: RoomAir | null;
}): boolean => drying.length > 0 || dryPlan !== null || room !== null;

/** Tells one course of drying from another. */
export const courseOf = ({ drying, room }: BriefInput): string => JSON.stringify([drying, room]);

/** The drying that a set was planned with, from the end of the set on, and what was planned over it at the chair. */
export function plannedDrying(
  blocks: readonly {
    readonly step: string;
    readonly method?: string;
    readonly startMs: number;
    readonly endMs: number;
  }[],
  { drying = [] }: BriefInput,
  installedAtMs: number,
  atChair: DryPlan | null,
): DryingStretch[] {
  const over = (planned: readonly DryingStretch[]) =>
    atChair && atChair.untilMs > installedAtMs
      ? laidOver(planned, { ...atChair, fromMs: Math.max(atChair.fromMs, installedAtMs) })
      : [...planned];
  const laid = blocks.flatMap(({ step, method = null, startMs, endMs }): DryingStretch[] =>
    step === 'dry' && isDryingMethod(method) ? [{ method, fromMs: startMs, untilMs: endMs }] : [],
  );
  if (laid.length > 0) return over(laid);
  let fromMs = installedAtMs;
  return over(
    drying.map(({ method, hours }) => {
      const stretch = { method, fromMs, untilMs: fromMs + hours * HOUR_MS };
      fromMs = stretch.untilMs;
      return stretch;
    }),
  );
}
