import type { DryingStep } from '../drying/dry-run-input';
import { HOUR_MS, MINUTE_MS } from '../units/time';
import { nightsBetween, type Sleep, type SleepHours } from './sleep';

/** One block of the ribbon. */
export interface ScheduleBlock {
  readonly step: 'prep' | 'install' | 'dry' | 'takedown' | 'separate';
  readonly startMs: number;
  readonly endMs: number;
  readonly handsOn: boolean;
  /** How it dries. */
  readonly method?: string;
  /** Which step of preparing. */
  readonly part?: string;
}

/** One step before the set; `part` is null where all of preparing is one. */
export interface PrepPart {
  readonly part: string | null;
  readonly minutes: number;
  readonly handsOn: boolean;
}

/** How long the parts of a set take. */
export interface ScheduleParts {
  readonly prep: readonly PrepPart[];
  readonly installMin: number;
  /** Time kept for drying when only the end is fixed, h. */
  readonly dryingH: number;
  readonly drying: readonly DryingStep[];
  readonly takedownMin: number;
  readonly separatingMin: number;
}

/** The nights to keep free of work. */
export interface KeptNights {
  readonly hours: SleepHours;
  readonly timeZone: string;
}

/** Something that needs somebody awake, in the hours kept for sleep. */
export interface AsleepBlock {
  readonly step: ScheduleBlock['step'];
  readonly method: string | null;
  readonly minutes: number;
}

/** A schedule and the hours it leaves for drying; negative when there is no time at all. */
export interface Schedule {
  readonly blocks: readonly ScheduleBlock[];
  readonly dryingWindowH: number;
  readonly asleep: readonly AsleepBlock[];
  /** Nights that are kept free and touch the day laid out. */
  readonly nights: readonly Sleep[];
}

/** Nights looked back over for a stretch long enough to work in; then the work is left where it falls. */
const MOST_NIGHTS_BACK = 7;

/** Listed steps laid into the drying window: the last goes on to its end, and all are cut at it. */
function dryingBlocks(steps: readonly DryingStep[], startMs: number, endMs: number): ScheduleBlock[] {
  const blocks: ScheduleBlock[] = [];
  let at = startMs;
  steps.forEach((step, i) => {
    const until = i === steps.length - 1 ? endMs : Math.min(endMs, at + step.hours * HOUR_MS);
    if (until > at)
      blocks.push({ step: 'dry', startMs: at, endMs: until, handsOn: false, method: step.method.id });
    at = Math.max(at, until);
  });
  return blocks;
}

const hoursOf = (steps: readonly DryingStep[]) => steps.reduce((sum, step) => sum + step.hours, 0);

/** The latest beginning, at or before `beginMs`, from which the work is done before a night or after it. */
function beforeTheNight(beginMs: number, workMs: number, kept: KeptNights): number {
  let begin = beginMs;
  for (let i = 0; i < MOST_NIGHTS_BACK; i++) {
    const night = nightsBetween(kept.hours, kept.timeZone, begin, begin + workMs)[0];
    if (!night) return begin;
    begin = night.startMs - workMs;
  }
  return beginMs;
}

const overlapMin = (a: { readonly startMs: number; readonly endMs: number }, nights: readonly Sleep[]) =>
  nights.reduce(
    (sum, night) => sum + Math.max(0, Math.min(a.endMs, night.endMs) - Math.max(a.startMs, night.startMs)),
    0,
  ) / MINUTE_MS;

/** What of the blocks needs somebody awake at night. A hood counts for the hours it was asked for. */
function asleepOf(
  blocks: readonly ScheduleBlock[],
  steps: readonly DryingStep[],
  nights: readonly Sleep[],
): AsleepBlock[] {
  return blocks.flatMap((block) => {
    const { step, method = null } = block;
    const asked = steps.find((planned) => planned.method.id === method);
    if (step === 'dry' && asked?.method.canSleepIn) return [];
    const endMs = asked ? Math.min(block.endMs, block.startMs + asked.hours * HOUR_MS) : block.endMs;
    const minutes = overlapMin({ startMs: block.startMs, endMs }, nights);
    return minutes >= 1 ? [{ step, method, minutes }] : [];
  });
}

/**
 * The day laid out backwards from the time to be ready, or between a given start and that time.
 *
 * @param readyMs when the style must be worn
 * @param startMs when the work begins; null lays everything out backwards
 * @param kept nights that work is laid round when everything is laid out backwards; drying goes on through them
 */
export function layOutDay(
  parts: ScheduleParts,
  readyMs: number,
  startMs: number | null,
  kept: KeptNights | null = null,
): Schedule {
  const separateStart = readyMs - parts.separatingMin * MINUTE_MS;
  const takedownStart = separateStart - parts.takedownMin * MINUTE_MS;
  const prepMin = parts.prep.reduce((sum, part) => sum + part.minutes, 0);
  const workMs = (prepMin + parts.installMin) * MINUTE_MS;
  const latest = takedownStart - parts.dryingH * HOUR_MS - workMs;
  // Under a hood right after the set nobody is in bed yet either.
  const firstAsleep = parts.drying.findIndex(({ method }) => method.canSleepIn);
  const awakeMs = firstAsleep < 0 ? 0 : hoursOf(parts.drying.slice(0, firstAsleep)) * HOUR_MS;
  const begin = startMs ?? (kept ? beforeTheNight(latest, workMs + awakeMs, kept) : latest);
  const installEnd = begin + workMs;
  let at = begin;
  const prep = parts.prep.map(({ part, minutes, handsOn }): ScheduleBlock => {
    const block = {
      step: 'prep' as const,
      startMs: at,
      endMs: at + minutes * MINUTE_MS,
      handsOn,
      ...(part ? { part } : {}),
    };
    at = block.endMs;
    return block;
  });
  const blocks: ScheduleBlock[] = [
    ...prep,
    { step: 'install', startMs: at, endMs: installEnd, handsOn: true },
    ...dryingBlocks(parts.drying, installEnd, takedownStart),
    { step: 'takedown', startMs: takedownStart, endMs: separateStart, handsOn: true },
    ...(parts.separatingMin > 0
      ? [{ step: 'separate' as const, startMs: separateStart, endMs: readyMs, handsOn: true }]
      : []),
  ];
  const nights = kept ? nightsBetween(kept.hours, kept.timeZone, begin, readyMs) : [];
  return {
    dryingWindowH: (takedownStart - installEnd) / HOUR_MS,
    blocks,
    asleep: asleepOf(blocks, parts.drying, nights),
    nights,
  };
}
