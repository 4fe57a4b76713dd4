import type { BriefInput } from '@/core/formats/brief';
import type { Checked } from '@/core/formats/field-error';
import type { PlanFile } from '@/core/formats/plan-file';
import type { AnsweredView } from '@/core/plan/answer-view';
import { SETTLED_DRAWS } from '@/core/plan/draw-counts';
import { inPool } from './pool';

/** Answers that are remembered; the oldest goes first. */
const MOST_KEPT = 64;

/** One revision of a plan. Its answer never changes, so it is worked out once. */
interface PlanVersion {
  readonly id: string;
  readonly revision: number;
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
}

/**
 * A set as its frozen brief gives it, not drawn; what was forecast when it was begun is kept with it. Drying steps lie
 * between the real end of the set, once it is in, and the takedown that is planned.
 */
export async function setView(set: BegunSet): Promise<Checked<AnsweredView>> {
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
