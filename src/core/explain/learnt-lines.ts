import type { PlanFile } from '../formats/plan-file';
import type { Reason } from '../wear/reason';

/** A figure of a plan that rests on what was learnt of the head. */
export interface LearntLine {
  readonly topic: 'dry' | 'days' | 'definition' | 'shows' | 'handsOn';
  /** Says how she differs, and from what. */
  readonly text: string;
  readonly now: number;
  /** The same on most heads. */
  readonly onMost: number;
}

/** Less than this of a figure, or of the trade's, nobody would see. */
const LEAST: Readonly<Record<LearntLine['topic'], (line: LearntLine) => boolean>> = {
  dry: ({ now, onMost }) => Math.abs(now / onMost - 1) >= 0.05,
  days: ({ now, onMost }) => Math.abs(now / onMost - 1) >= 0.08,
  definition: ({ now, onMost }) => Math.abs(now - onMost) >= 0.25,
  shows: ({ now, onMost }) => Math.abs(now - onMost) >= 0.02,
  handsOn: ({ now, onMost }) => Math.abs(now / onMost - 1) >= 0.05,
};

const learntReason = (why: readonly Reason[]): Reason | undefined =>
  why.find(({ factor }) => factor === 'learnt' || factor === 'learnt-rate');

/** Every figure of a plan that is seen to be other than the trade's because the head is known; none where nothing is. */
export function learntLines(plan: PlanFile): LearntLine[] {
  const { trade, drying, daysPresentable, result, handsOn } = plan;
  if (!trade) return [];
  const rows: readonly (readonly [LearntLine['topic'], readonly Reason[], number, number])[] = [
    ['dry', drying.why, drying.dryAfterH.p50, trade.dryAfterH],
    ['days', daysPresentable.why, daysPresentable.p50, trade.daysPresentable],
    ['definition', result.definition.why, result.definition.p50, trade.definition],
    ['shows', result.curlWhy, result.stretch, trade.stretch],
    ['handsOn', handsOn.why, handsOn.installMin.p50, trade.installMin],
  ];
  return rows.flatMap(([topic, why, now, onMost]) => {
    const reason = learntReason(why);
    const line = reason && { topic, text: reason.text, now, onMost };
    return line && LEAST[topic](line) ? [line] : [];
  });
}
