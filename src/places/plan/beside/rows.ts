import type { Clock, Units } from '@/core/formats/display';
import { techniqueOf } from '@/core/techniques';
import type { AnsweredView } from '@/core/plan/answer-view';
import type { WeighedUnits } from '@/core/products/hand-units';
import {
  formatMoment,
  formatChance,
  formatDays,
  formatDiameter,
  formatIndex,
  formatMass,
  formatMinutes,
  formatPercent,
} from '@/ui/format';
import { PLAN_STEPS } from '../choices/steps';
import { dryLine, dryWords } from '../dry-words';
import { partWords, workOf } from '../hands-on';
import { comparedPlan } from '../difference-words';
import type { PlanContent, ShelfProduct, ShelfTool } from '@/core/draft/draft-brief';

/** One line of the comparison: what it is, and what each draft says to it; null where it has nothing to say. */
export interface BesideRow {
  readonly id: string;
  readonly title: string;
  readonly kind: 'choice' | 'figure';
  readonly cells: readonly (string | null)[];
}

/** A draft as it is compared. */
export interface ComparedDraft {
  readonly content: PlanContent;
  readonly answer: AnsweredView | null;
}

export interface RowContext {
  readonly products: readonly ShelfProduct[];
  readonly tools: readonly ShelfTool[];
  readonly handUnits: WeighedUnits;
  readonly units: Units;
  readonly clock: Clock;
}

const nothing = () => undefined;

/** What a draft chose, step by step, in the words of its own page. */
function choicesOf({ content, answer }: ComparedDraft, context: RowContext) {
  const { brief } = content;
  return PLAN_STEPS.flatMap((step) => {
    const line = step({
      content,
      plan: answer?.view.plan ?? null,
      fullestBundle: answer?.view.fullestBundle ?? null,
      products: context.products,
      skin: '',
      allergies: '',
      tools: context.tools,
      dryers: [],
      handUnits: context.handUnits,
      units: context.units,
      clock: context.clock,
      schools: {},
      onSchool: nothing,
      onWeighed: nothing,
      askWays: () => Promise.resolve([]),
      onChange: nothing,
      brief,
      set: brief.set,
      technique: techniqueOf(brief.set.technique),
      changeBrief: nothing,
      changeSet: nothing,
    });
    return line
      ? [{ id: line.id, title: line.title, text: [line.answer, line.note].filter(Boolean).join('; ') }]
      : [];
  });
}

/** What comes of a draft, figure by figure. */
function figuresOf({ answer }: ComparedDraft, { units, clock }: RowContext) {
  if (!answer) return [];
  const { view } = answer;
  const { plan } = view;
  const { chanceDryAtWearBy } = plan.drying;
  const compared = comparedPlan(plan);
  const begins = view.blocks[0]?.startMs;
  const atClock = (ms: number) => formatMoment(ms, clock);
  const range = (low: string, high: string) => `${low} to ${high}`;
  return [
    { id: 'begins', title: 'Work begins', text: begins === undefined ? null : atClock(begins) },
    {
      id: 'dry',
      title: 'Dry to the root',
      text: dryLine(dryWords(view, clock)),
    },
    {
      id: 'chance',
      title: 'Sure to be dry at takedown',
      text: chanceDryAtWearBy === null ? null : formatChance(chanceDryAtWearBy),
    },
    {
      id: 'work',
      title: 'Work, from washing on',
      text: `${formatMinutes(compared.workMin)}: ${partWords(workOf(plan))}`,
    },
    {
      id: 'days',
      title: 'Lasts',
      text: `${formatDays(compared.days)}; ${range(String(Math.round(plan.daysPresentable.p10)), String(Math.round(plan.daysPresentable.p90)))}`,
    },
    { id: 'curl', title: 'Curl', text: formatDiameter(compared.curlMm, units) },
    { id: 'stretch', title: 'Stretch', text: formatPercent(compared.stretch) },
    {
      id: 'definition',
      title: 'Definition',
      text: `${formatIndex(compared.definition)} of 10; ${range(formatIndex(plan.result.definition.p10), formatIndex(plan.result.definition.p90))}`,
    },
    { id: 'frizz', title: 'Frizz', text: `${formatIndex(plan.result.frizz.p50)} of 10` },
    { id: 'volume', title: 'Volume', text: `${formatIndex(plan.result.volume)} of 10` },
    {
      id: 'product',
      title: 'Product',
      text: formatMass(
        plan.doses.reduce((sum, dose) => sum + dose.grams, 0),
        units,
      ),
    },
  ];
}

/** Every line of drafts beside each other, in the order of the work; a step that only one has is there for all. */
export function besideRows(drafts: readonly ComparedDraft[], context: RowContext): BesideRow[] {
  const lines = (
    kind: BesideRow['kind'],
    of: readonly { id: string; title: string; text: string | null }[][],
  ) => {
    const order = [...new Map(of.flat().map(({ id, title }) => [id, title]))];
    return order.map(([id, title]): BesideRow => ({
      id,
      title,
      kind,
      cells: of.map((ofDraft) => ofDraft.find((line) => line.id === id)?.text ?? null),
    }));
  };
  return [
    ...lines(
      'choice',
      drafts.map((draft) => choicesOf(draft, context)),
    ),
    ...lines(
      'figure',
      drafts.map((draft) => figuresOf(draft, context)),
    ),
  ];
}

/** Whether drafts say different things. */
export const isDifferent = ({ cells }: BesideRow): boolean => new Set(cells).size > 1;
