import type { BriefInput } from '@/core/formats/brief';
import type { Checked } from '@/core/formats/field-error';
import type { PlanFile } from '@/core/formats/plan-file';
import type { AnsweredView } from '@/core/plan/answer-view';
import { SETTLED_DRAWS } from '@/core/plan/draw-counts';
import { asDried, courseOf, dryingTimeline, plannedDrying } from '@/core/run/dry-log';
import type { RunState } from '@/core/run/run-state';
import type { DryTimes } from '@/core/plan/forecast-view';
import { inPool } from './pool';

/** Answers that are remembered; the oldest goes first. */
const MOST_KEPT = 64;

/** One revision of a plan. Its answer never changes, so it is worked out once. */
interface PlanVersion {
  readonly id: string;
  readonly revision: number | string;
  readonly brief: BriefInput;
}

const kept = new Map<string, Promise<Checked<AnsweredView>>>();

function remembered(plan: PlanVersion, draws: number): Promise<Checked<AnsweredView>> {
  const key = `${plan.id}/${plan.revision}/${draws}`;
  const known = kept.get(key);
  if (known) return known;
  const answer = inPool('view', { brief: plan.brief, draws });
  kept.set(key, answer);
  // What failed is asked again next time.
  answer.catch(() => kept.delete(key));
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  return answer;
}

/** A plan as the desk shows it once it has settled: the one answer for Compare, sheet and chair too. */
export const settledView = (plan: PlanVersion): Promise<Checked<AnsweredView>> =>
  remembered(plan, SETTLED_DRAWS);

/** A plan as first estimated: doses, tools and sections are exact, ranges are not drawn yet. */
export const quickView = (plan: PlanVersion): Promise<Checked<AnsweredView>> => remembered(plan, 0);

/** A set that was begun. */
interface BegunSet {
  readonly id: string;
  readonly brief: BriefInput;
  readonly forecast: Pick<PlanFile, 'schedule'>;
  readonly startedAtMs: number;
  readonly installedAtMs: number | null;
  readonly takenDownAtMs: number | null;
  readonly run: Pick<RunState, 'drying'>;
}

/** A set as it goes: what was planned, and the drying as it really is. */
export interface SetView extends AnsweredView {
  /** The drying that its times are about, as steps of a brief; null where it is the planned one. */
  readonly dryCourse: string | null;
  /** Times of the planned drying, where it is another. */
  readonly planned: DryTimes | null;
}

/**
 * A set as its frozen brief gives it, not drawn; what was forecast when it was begun is kept with it. Where it was dried
 * in another way than planned, its times are those of that way.
 */
export async function setView(set: BegunSet, nowMs: number): Promise<Checked<SetView>> {
  const planned = await plannedView(set);
  if (!planned.ok) return planned;
  const asPlanned: Checked<SetView> = {
    ok: true,
    value: { ...planned.value, dryCourse: null, planned: null },
  };
  const { id, brief, installedAtMs, takenDownAtMs, run } = set;
  if (installedAtMs === null || run.drying.length === 0) return asPlanned;
  const stretches = plannedDrying(planned.value.view.blocks, brief, installedAtMs);
  const untilMs = Math.min(nowMs, takenDownAtMs ?? nowMs);
  const course = asDried(brief, dryingTimeline(stretches, run.drying, installedAtMs, untilMs));
  const dryCourse = courseOf(course);
  const dried = await remembered({ id, brief: course, revision: dryCourse }, 0);
  if (!dried.ok) return asPlanned;
  const view = { ...planned.value.view, dryTimes: dried.value.view.dryTimes };
  return { ok: true, value: { ...planned.value, view, dryCourse, planned: planned.value.view.dryTimes } };
}

/** Drying steps lie between the real end of the set, once it is in, and the takedown that is planned. */
async function plannedView(set: BegunSet): Promise<Checked<AnsweredView>> {
  const { id, brief, forecast, startedAtMs, installedAtMs } = set;
  if (brief.wearBy) {
    const lasting = (...steps: readonly string[]) =>
      (forecast.schedule ?? [])
        .filter(({ step }) => steps.includes(step))
        .reduce((sum, { startAt, endAt }) => sum + Date.parse(endAt) - Date.parse(startAt), 0);
    const beginsMs = Math.round(
      installedAtMs === null ? startedAtMs - lasting('prep') : installedAtMs - lasting('prep', 'install'),
    );
    const inItsDay = { ...brief, startAt: new Date(beginsMs).toISOString() };
    const answer = await remembered({ id, brief: inItsDay, revision: beginsMs }, 0);
    // Begun after it was to be ready, there is no day to lay it out in.
    if (answer.ok) return answer;
  }
  return remembered({ id, brief, revision: 0 }, 0);
}

/** Forgets every answer: another database stands behind the same ids. */
export const forgetForecasts = (): void => kept.clear();
