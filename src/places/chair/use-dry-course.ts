'use client';
import { useEffect, useMemo, useState, type RefObject } from 'react';
import type { RateBelief } from '@/core/drying/rate-belief';
import type { BriefInput } from '@/core/formats/brief';
import { courseName, earlyDrying, withEarlyDrying, type EarlyDrying } from '@/core/plan/early-drying';
import { beliefOnCourse } from '@/core/plan/on-course';
import type { DryTimes, ForecastView } from '@/core/plan/forecast-view';
import type { MachineBy } from '@/core/plan/make-dry-by';
import {
  asDried,
  dryingRunning,
  dryingTimeline,
  driesOtherwise,
  nextMachine,
  plannedDrying,
  type DryingSpan,
  type DryingStretch,
} from '@/core/run/dry-log';
import type { RunState } from '@/core/run/run-state';
import type { Forecaster } from '@/workers/client';
import type { ChairSet } from './chair-set';

/** How a head is dried, and what is forecast of it. */
export interface DryCourse {
  readonly dryTimes: DryTimes;
  /** What runs now; null in the open, and where the plan is taken to be followed. */
  readonly running: DryingSpan | null;
  /** The machine that was planned and is not begun yet. */
  readonly next: DryingStretch | null;
  /** A new course was begun and is still being worked out. */
  readonly isWorking: boolean;
  /** What makes it dry by a time. */
  readonly dryBy: (belief: RateBelief, byMs: number) => Promise<MachineBy | null>;
}

const zonesOf = ({ sections }: ChairSet) =>
  new Map(Object.entries(sections).map(([number, { zone }]) => [Number(number), zone]));

/** The drying as it really goes: what changes midway is worked out beside the page, also without the server. */
export function useDryCourse(
  set: ChairSet,
  view: ForecastView,
  run: RunState,
  installedAtMs: number,
  nowMs: number,
  forecaster: RefObject<Forecaster | null>,
): DryCourse {
  const { drying, dryPlan, room } = run;
  const planned = useMemo(
    () => plannedDrying(view.blocks, set.brief, installedAtMs, dryPlan),
    [view.blocks, set.brief, installedAtMs, dryPlan],
  );
  const timeline = dryingTimeline(planned, drying, installedAtMs, nowMs);
  const brief = asDried(set.brief, timeline, room);
  const early = earlyDrying(set.brief, planned, run, zonesOf(set), installedAtMs, nowMs);
  const course = driesOtherwise(run) ? courseName(brief, early) : null;
  const isServed = course === set.dryCourse;
  const [worked, setWorked] = useState<{
    readonly course: string | null;
    readonly dryTimes: DryTimes;
  } | null>(null);
  const text = JSON.stringify({ brief, early });
  useEffect(() => {
    if (isServed) return;
    let isOver = false;
    const asked = JSON.parse(text) as { brief: BriefInput; early: EarlyDrying | null };
    const timesOf = async (own: BriefInput) => {
      const answer = await forecaster.current?.ask(own);
      return answer?.ok ? answer.value.view.dryTimes : null;
    };
    void (async () => {
      const dried = await timesOf(asked.brief);
      const fromMachine = asked.early && (await timesOf(asked.early.brief));
      if (isOver || !dried) return;
      const dryTimes = asked.early && fromMachine ? withEarlyDrying(dried, fromMachine, asked.early) : dried;
      setWorked({ course, dryTimes });
    })();
    return () => {
      isOver = true;
    };
  }, [text, course, isServed, forecaster]);

  const isWorked = worked?.course === course;
  const dryTimes = useMemo(() => {
    if (isServed || !worked) return view.dryTimes;
    const belief = beliefOnCourse(view.dryTimes.belief, view.dryTimes, worked.dryTimes);
    return { ...worked.dryTimes, belief };
  }, [isServed, worked, view.dryTimes]);
  return {
    dryTimes,
    running: dryingRunning(drying, nowMs),
    next: nextMachine(planned, drying),
    isWorking: !isServed && !isWorked,
    dryBy: async (belief, byMs) =>
      (await forecaster.current?.dryBy(set.brief, timeline, room, belief, installedAtMs, nowMs, byMs)) ??
      null,
  };
}
