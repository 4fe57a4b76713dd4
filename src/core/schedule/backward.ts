import type { DryingStep } from '../drying/dry-run';

/** One block of the ribbon. */
export interface ScheduleBlock {
  readonly step: 'prep' | 'install' | 'dry' | 'takedown' | 'separate';
  readonly startMs: number;
  readonly endMs: number;
  readonly handsOn: boolean;
  readonly method?: string;
}

/** How long the parts of a set take. */
export interface ScheduleParts {
  readonly prepMin: number;
  readonly installMin: number;
  /** Time kept for drying when only the end is fixed, h. */
  readonly dryingH: number;
  readonly drying: readonly DryingStep[];
  readonly takedownMin: number;
  readonly separatingMin: number;
}

/** A schedule and the hours it leaves for drying; negative when there is no time at all. */
export interface Schedule {
  readonly blocks: readonly ScheduleBlock[];
  readonly dryingWindowH: number;
}

const MINUTE = 60_000;
const HOUR = 3_600_000;

/** Listed steps laid into the drying window: the last goes on to its end, and all are cut at it. */
function dryingBlocks(steps: readonly DryingStep[], startMs: number, endMs: number): ScheduleBlock[] {
  const blocks: ScheduleBlock[] = [];
  let at = startMs;
  steps.forEach((step, i) => {
    const until = i === steps.length - 1 ? endMs : Math.min(endMs, at + step.hours * HOUR);
    if (until > at)
      blocks.push({ step: 'dry', startMs: at, endMs: until, handsOn: false, method: step.method.id });
    at = Math.max(at, until);
  });
  return blocks;
}

/**
 * The day laid out backwards from the time to be ready, or between a given start and that time.
 *
 * @param readyMs when the style must be worn
 * @param startMs when hands-on work begins; null lays everything out backwards
 */
export function layOutDay(parts: ScheduleParts, readyMs: number, startMs: number | null): Schedule {
  const separateStart = readyMs - parts.separatingMin * MINUTE;
  const takedownStart = separateStart - parts.takedownMin * MINUTE;
  const workMs = (parts.prepMin + parts.installMin) * MINUTE;
  const begin = startMs ?? takedownStart - parts.dryingH * HOUR - workMs;
  const prepEnd = begin + parts.prepMin * MINUTE;
  const installEnd = begin + workMs;
  return {
    dryingWindowH: (takedownStart - installEnd) / HOUR,
    blocks: [
      { step: 'prep', startMs: begin, endMs: prepEnd, handsOn: true },
      { step: 'install', startMs: prepEnd, endMs: installEnd, handsOn: true },
      ...dryingBlocks(parts.drying, installEnd, takedownStart),
      { step: 'takedown', startMs: takedownStart, endMs: separateStart, handsOn: true },
      ...(parts.separatingMin > 0
        ? [{ step: 'separate' as const, startMs: separateStart, endMs: readyMs, handsOn: true }]
        : []),
    ],
  };
}
