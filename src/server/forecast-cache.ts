import type { BriefInput } from '@/core/formats/brief';
import type { Checked } from '@/core/formats/field-error';
import type { PlanFile } from '@/core/formats/plan-file';
import type { AnsweredView } from '@/core/plan/answer-view';
import type { PartedView } from '@/core/plan/chair-parting';
import { SETTLED_DRAWS } from '@/core/plan/draw-counts';
import { courseName, earlyDrying, withEarlyDrying } from '@/core/plan/early-drying';
import { asDried, courseOf, dryingTimeline, driesOtherwise, plannedDrying } from '@/core/run/dry-log';
import type { PartingEdit } from '@/core/run/parting-edit';
import type { RunState } from '@/core/run/run-state';
import type { DryTimes } from '@/core/plan/forecast-view';
import { inPool } from './pool';

/** Answers that are remembered; the oldest goes first. */
const MOST_KEPT = 64;

/** One revision of a plan, with what is known of its head. Its answer never changes, so it is worked out once. */
interface PlanVersion {
  readonly id: string;
  readonly revision: number | string;
  readonly brief: BriefInput;
}

const kept = new Map<string, Promise<unknown>>();

/** Works something out the first time it is asked for. Equal keys mean equal answers, of the same shape. */
function once<T>(key: string, work: () => Promise<T>): Promise<T> {
  const known = kept.get(key);
  if (known) return known as Promise<T>;
  const answer = work();
  kept.set(key, answer);
  // What failed is asked again next time.
  answer.catch(() => kept.delete(key));
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  return answer;
}

/** What is known of a head changes without its plans: it is part of what was asked. */
const knownKey = ({ learnt, corrections }: BriefInput): string =>
  learnt || corrections ? JSON.stringify({ learnt, corrections }) : '';

const remembered = (plan: PlanVersion, draws: number): Promise<Checked<AnsweredView>> =>
  once(`${plan.id}/${plan.revision}/${draws}/${knownKey(plan.brief)}`, () =>
    inPool('view', { brief: plan.brief, draws }),
  );

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
  readonly run: Pick<RunState, 'doneAtMs' | 'drying' | 'dryPlan' | 'parting' | 'room'>;
}

/** A set as it goes: what was planned, with the parting and the drying as they really are. */
export interface SetView extends PartedView {
  /** The brief that it was begun with, in the day that it is really done in: what changes at the chair starts from it. */
  readonly begunBrief: BriefInput;
  /** The drying that its times are about, as steps of a brief; null where it is the planned one. */
  readonly dryCourse: string | null;
  /** Times of the set as it was planned, where it dries or is parted otherwise. */
  readonly planned: DryTimes | null;
}

/** How the parting of a set was changed, in order. */
export const editsOf = ({ parting }: Pick<RunState, 'parting'>): PartingEdit[] =>
  parting.edits.map(({ edit }) => edit);

/** A begun set as its parting is now: the same brief and the same changes are worked out once. */
function partedOnce(
  id: string,
  brief: BriefInput,
  revision: number,
  edits: readonly PartingEdit[],
): Promise<Checked<PartedView>> {
  return once(`${id}/${revision}/${JSON.stringify(edits)}`, () => inPool('parted', { brief, edits }));
}

/**
 * A set as its frozen brief gives it, not drawn; what was forecast when it was begun is kept with it. Where it is parted
 * or dried in another way than planned, sections and times are those of that way.
 */
export async function setView(set: BegunSet, nowMs: number): Promise<Checked<SetView>> {
  const { id, installedAtMs, takenDownAtMs, run } = set;
  const edits = editsOf(run);
  const { begunBrief, revision, answer: planned } = await plannedView(set);
  if (!planned.ok) return planned;
  const parted = edits.length === 0 ? planned : await partedOnce(id, begunBrief, revision, edits);
  if (!parted.ok) return parted;
  const before = planned.value.view.dryTimes;
  const asParted: Checked<SetView> = {
    ok: true,
    value: { ...parted.value, begunBrief, dryCourse: null, planned: edits.length === 0 ? null : before },
  };
  if (installedAtMs === null || !driesOtherwise(run)) return asParted;
  const { view, brief } = parted.value;
  const stretches = plannedDrying(view.blocks, brief, installedAtMs, run.dryPlan);
  const untilMs = Math.min(nowMs, takenDownAtMs ?? nowMs);
  const course = asDried(brief, dryingTimeline(stretches, run.drying, installedAtMs, untilMs), run.room);
  const zones = new Map(view.plan.sections.map(({ number, zone }) => [number, zone]));
  const early = earlyDrying(brief, stretches, run, zones, installedAtMs, untilMs);
  const timesOf = async (own: BriefInput): Promise<DryTimes | null> => {
    const revision = `${courseOf(own)}${JSON.stringify(edits)}`;
    const answer = await remembered({ id, brief: own, revision }, 0);
    return answer.ok ? answer.value.view.dryTimes : null;
  };
  const dried = await timesOf(course);
  const fromMachine = early && (await timesOf(early.brief));
  if (!dried) return asParted;
  return {
    ok: true,
    value: {
      ...asParted.value,
      view: {
        ...view,
        dryTimes: early && fromMachine ? withEarlyDrying(dried, fromMachine, early) : dried,
      },
      dryCourse: courseName(course, early),
      planned: before,
    },
  };
}

/** Drying steps lie between the real end of the set, once it is in, and the takedown that is planned. */
async function plannedView({ id, brief, forecast, startedAtMs, installedAtMs }: BegunSet) {
  if (brief.wearBy) {
    const lasting = (...steps: readonly string[]) =>
      (forecast.schedule ?? [])
        .filter(({ step }) => steps.includes(step))
        .reduce((sum, { startAt, endAt }) => sum + Date.parse(endAt) - Date.parse(startAt), 0);
    const beginsMs = Math.round(
      installedAtMs === null ? startedAtMs - lasting('prep') : installedAtMs - lasting('prep', 'install'),
    );
    const inItsDay = { ...brief, startAt: new Date(beginsMs).toISOString() };
    const answer = await partedOnce(id, inItsDay, beginsMs, []);
    // Begun after it was to be ready, there is no day to lay it out in.
    if (answer.ok) return { begunBrief: inItsDay, revision: beginsMs, answer };
  }
  return { begunBrief: brief, revision: 0, answer: await partedOnce(id, brief, 0, []) };
}

/** Forgets every answer: another database stands behind the same ids. */
export const forgetForecasts = (): void => kept.clear();
