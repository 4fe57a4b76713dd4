import type { PlanFile } from '../formats/plan-file';
import type { Reason } from '../wear/reason';
import type { TopicId } from './topics';

/** What the effect of a reason is counted in; a share is a factor, 1.1 for a tenth more. */
export type EffectUnit = 'hours' | 'minutes' | 'points' | 'share';

/** What pushed one number of a plan. */
export interface Why {
  readonly title: string;
  readonly reasons: readonly Reason[];
  readonly unit: EffectUnit;
  /** More of it is worse: later, frizzier. */
  readonly isWorseUp: boolean;
}

// A forecast that an older version kept may lack a list.
const why = (
  reasons: readonly Reason[] | undefined,
  unit: EffectUnit,
  { title = 'What pushed it', isWorseUp = false } = {},
): Why => ({ title, reasons: reasons ?? [], unit, isWorseUp });

const LISTS: Partial<Readonly<Record<TopicId, (plan: PlanFile) => Why | null>>> = {
  dry: ({ drying }) => why(drying.why, 'hours', { isWorseUp: true }),
  handsOn: ({ handsOn }) => why(handsOn.why, 'minutes', { title: 'Where the minutes go' }),
  days: ({ daysPresentable }) => daysWhy(daysPresentable),
  curl: ({ result }) => why(result.curlWhy, 'share'),
  shows: ({ result }) => why(result.curlWhy, 'share'),
  definition: ({ result }) => why(result.definition.why, 'points'),
  frizz: ({ result }) => why(result.frizz.why, 'points', { isWorseUp: true }),
  volume: ({ result }) => why(result.volumeWhy, 'points'),
};

/** What pushed the days that a style lasts; null where a list does not say. */
export const daysWhy = (days: { readonly why?: readonly Reason[] | undefined }): Why | null =>
  days.why?.length ? why(days.why, 'share') : null;

/** What pushed a number of a plan; null for a number without such a list, or before it was worked out. */
export function whyOf(plan: PlanFile, topic: TopicId): Why | null {
  const reasons = LISTS[topic]?.(plan);
  return reasons && reasons.reasons.length > 0 ? reasons : null;
}
