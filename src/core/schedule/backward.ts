import type { DryingStep } from '../drying/dry-run-input';
import { dryingMethods, type DryingMethodId } from '../drying-methods';
import type { DryingMethod } from '../drying-methods/method';
import { HOUR_MS, MINUTE_MS } from '../units/time';
import { laySteps, type DryingWindow, type LaidStep } from './drying-day';
import { nightsBetween, type Sleep, type SleepHours } from './sleep';

/** One block of the ribbon. */
export interface ScheduleBlock {
  readonly step: 'prep' | 'install' | 'dry' | 'takedown' | 'separate';
  readonly startMs: number;
  readonly endMs: number;
  readonly handsOn: boolean;
  /** How it dries. */
  readonly method?: string;
  /** Place among the drying steps that were asked for, where it is one of them in its full length. */
  readonly asked?: number;
  /** Which step of preparing. */
  readonly part?: string;
  /** What it is done with, by name. */
  readonly product?: string;
}

/** One step before the set; `part` is null where all of preparing is one. */
export interface PrepPart {
  readonly part: string | null;
  readonly minutes: number;
  readonly handsOn: boolean;
  /** What it is done with, by name. */
  readonly product?: string;
}

/** How long the parts of a set take. */
export interface ScheduleParts {
  readonly prep: readonly PrepPart[];
  readonly installMin: number;
  /** Time to keep for drying when only the end is fixed, h; told how steps would lie in so many hours. */
  readonly neededH: (stepsIn: (windowH: number) => readonly LaidStep[]) => number;
  readonly drying: readonly DryingStep[];
  /** What is over the hair of somebody asleep. */
  readonly nightCover: DryingMethod;
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

/** A schedule and the time it leaves for drying; its hours are negative when there is none at all. */
export interface Schedule {
  readonly blocks: readonly ScheduleBlock[];
  readonly window: DryingWindow;
  /** What it dries by, through that time. */
  readonly drying: readonly LaidStep[];
  readonly asleep: readonly AsleepBlock[];
  /** Nights that are kept free and touch the day laid out. */
  readonly nights: readonly Sleep[];
}

/** Nights looked back over for a stretch long enough to work in; then the work is left where it falls. */
const MOST_NIGHTS_BACK = 7;

/** The steps of drying as blocks, one after the other. */
function dryingBlocks(steps: readonly LaidStep[], startMs: number, endMs: number): ScheduleBlock[] {
  let at = startMs;
  return steps.map(({ method, hours, asked }, i): ScheduleBlock => {
    const block = {
      step: 'dry' as const,
      startMs: at,
      endMs: i === steps.length - 1 ? endMs : at + hours * HOUR_MS,
      handsOn: false,
      method: method.id,
      ...(asked === null ? {} : { asked }),
    };
    at = block.endMs;
    return block;
  });
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

/** What of the blocks needs somebody awake at night. */
function asleepOf(blocks: readonly ScheduleBlock[], nights: readonly Sleep[]): AsleepBlock[] {
  return blocks.flatMap((block) => {
    const { step, method = null } = block;
    if (method !== null && dryingMethods[method as DryingMethodId].canSleepIn) return [];
    const minutes = overlapMin(block, nights);
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
  const nightsIn = (fromMs: number, untilMs: number) =>
    kept ? nightsBetween(kept.hours, kept.timeZone, fromMs, untilMs) : [];
  const windowOf = (hours: number): DryingWindow => {
    const startsMs = takedownStart - hours * HOUR_MS;
    const inHours = (ms: number) => (ms - startsMs) / HOUR_MS;
    return {
      hours,
      nights: nightsIn(startsMs, takedownStart).map((night) => ({
        fromH: inHours(night.startMs),
        untilH: inHours(night.endMs),
      })),
      nightCover: parts.nightCover,
    };
  };
  const stepsIn = (hours: number) => laySteps(parts.drying, windowOf(hours));
  // Under a hood right after the set nobody is in bed yet either.
  const firstAsleep = parts.drying.findIndex(({ method }) => method.canSleepIn);
  const awakeMs = firstAsleep < 0 ? 0 : hoursOf(parts.drying.slice(0, firstAsleep)) * HOUR_MS;
  const latest = () => takedownStart - parts.neededH(stepsIn) * HOUR_MS - workMs;
  const begin = startMs ?? (kept ? beforeTheNight(latest(), workMs + awakeMs, kept) : latest());
  const installEnd = begin + workMs;
  const window = windowOf((takedownStart - installEnd) / HOUR_MS);
  const drying = laySteps(parts.drying, window);
  let at = begin;
  const prep = parts.prep.map(({ part, minutes, handsOn, product }): ScheduleBlock => {
    const block = {
      step: 'prep' as const,
      startMs: at,
      endMs: at + minutes * MINUTE_MS,
      handsOn,
      ...(part ? { part } : {}),
      ...(product ? { product } : {}),
    };
    at = block.endMs;
    return block;
  });
  const blocks: ScheduleBlock[] = [
    ...prep,
    { step: 'install', startMs: at, endMs: installEnd, handsOn: true },
    ...dryingBlocks(drying, installEnd, takedownStart),
    { step: 'takedown', startMs: takedownStart, endMs: separateStart, handsOn: true },
    ...(parts.separatingMin > 0
      ? [{ step: 'separate' as const, startMs: separateStart, endMs: readyMs, handsOn: true }]
      : []),
  ];
  const nights = nightsIn(begin, readyMs);
  return {
    window,
    drying,
    blocks,
    asleep: asleepOf(blocks, nights),
    nights,
  };
}
