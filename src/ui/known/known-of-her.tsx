import type { PlanFile } from '@/core/formats/plan-file';
import { learntLines, type LearntLine } from '@/core/explain/learnt-lines';
import { capitalised } from '@/core/words/words';
import {
  formatDays,
  formatDryHours,
  formatHours,
  formatIndex,
  formatMinutes,
  formatPercent,
  formatSigned,
} from '../format';

/** A figure, and what it differs by, in the words of each topic. */
const WORDS: Readonly<
  Record<
    LearntLine['topic'],
    { readonly show: (value: number) => string; readonly by: (line: LearntLine) => string }
  >
> = {
  dry: {
    show: formatDryHours,
    by: ({ now, onMost }) => `${now < onMost ? '−' : '+'}${formatHours(Math.abs(now - onMost))}`,
  },
  days: { show: formatDays, by: ({ now }) => formatDays(now) },
  definition: {
    show: (value) => `${formatIndex(value)} of 10`,
    by: ({ now, onMost }) => formatSigned(now - onMost),
  },
  shows: {
    show: formatPercent,
    by: ({ now, onMost }) => `${formatSigned(100 * (now - onMost), 0)} %`,
  },
  handsOn: {
    show: formatMinutes,
    by: ({ now, onMost }) => `${now < onMost ? '−' : '+'}${formatMinutes(Math.abs(now - onMost))}`,
  },
};

/** A figure of a plan that rests on what was learnt: the sentence, and the figure of most heads behind it. */
export interface LearntSentence {
  readonly topic: LearntLine['topic'];
  /** "Dries 1.3× slower than most (from 3 of her sets): +2 h" */
  readonly text: string;
  /** "On most heads 9 h, on her 11 h." */
  readonly onMost: string;
}

/** Every such sentence of a plan. */
export const learntSentences = (plan: PlanFile): LearntSentence[] =>
  learntLines(plan).map((line) => {
    const { show, by } = WORDS[line.topic];
    return {
      topic: line.topic,
      text: `${capitalised(line.text)}: ${by(line)}`,
      onMost: `On most heads ${show(line.onMost)}, on her ${show(line.now)}.`,
    };
  });

/** The sentence of one figure of a plan; null where nothing was learnt of it. */
export const learntWords = (plan: PlanFile, topic: LearntLine['topic']): string | null =>
  learntSentences(plan).find((one) => one.topic === topic)?.text ?? null;
