import type { BriefInput } from '../formats/brief';
import type { SuggestionsFile } from '../formats/suggestions-file';
import { readBrief } from '../formats/read-brief';
import { forecast } from '../plan/forecast';
import { drawLayout, type DrawnSection } from '../parting/drawn-layout';
import { layoutFor } from '../plan/layout-for';
import type { Spread } from '../stats/spread';
import { capitalised } from '../words/words';
import { scoreParts, type ScorePartId } from './score';
import type { Pick } from './search';
import { briefOfPick, productIdsOf } from './to-brief';
import type { Asked } from './ways';
import { wayWords } from './words';

export type OptionFigures = SuggestionsFile['options'][number]['figures'];

/** One way to do a head, written as a brief, with the figures that its plan says. */
export interface Option {
  readonly title: string;
  readonly brief: BriefInput;
  /** Its sections, ready to draw. */
  readonly drawn: readonly DrawnSection[];
  /** Products of the shelf, layer by layer. */
  readonly productIds: readonly (string | null)[];
  readonly products: SuggestionsFile['options'][number]['products'];
  readonly figures: OptionFigures;
  /** Ranges of what is said with one. */
  readonly ranges: Readonly<Record<'workMin' | 'definition' | 'days', Spread>>;
  readonly score: number;
  readonly scoreParts: Readonly<Record<ScorePartId, number>>;
}

const around = (rest: number, { p10, p50, p90 }: Spread): Spread => ({
  p10: rest + p10,
  p50: rest + p50,
  p90: rest + p90,
});

/**
 * Works a way out in full, with its sections cut.
 *
 * @param draws heads drawn for the chance; 0 is the quick estimate that a plan opens with
 * @throws Error where the brief of a way cannot be read: a fault of ours
 */
export function optionOf(told: BriefInput, asked: Asked, pick: Pick, draws: number): Option {
  const brief = briefOfPick(told, asked, pick);
  const read = readBrief(brief);
  if (!read.ok)
    throw new Error(
      `a suggestion is no brief: ${read.errors.map(({ path, message }) => `${path} ${message}`).join('; ')}`,
    );
  const layout = layoutFor(read.value);
  const { plan } = forecast(read.value, layout, draws);
  const { handsOn, drying, result, daysPresentable, doses } = plan;
  const rest = handsOn.prepMin + handsOn.takedownMin + handsOn.separatingMin;
  const layers = pick.way.stack.layers;
  const costs = layers.map(({ minorPerG }, i) => (minorPerG === null ? null : minorPerG * doses[i]!.grams));
  return {
    title: capitalised(wayWords(pick.way)),
    brief,
    drawn: drawLayout(layout),
    productIds: productIdsOf(pick),
    products: Object.fromEntries(layers.map(({ role, name }) => [role, name])),
    figures: {
      chanceDryAtWearBy: drying.chanceDryAtWearBy,
      handsOnMin: rest + handsOn.installMin.p50,
      daysPresentable: daysPresentable.p50,
      definition: result.definition.p50,
      frizz: result.frizz.p50,
      volume: result.volume,
      stretch: result.stretch,
      curlDiameterMm: result.curlDiameterMm,
      costMinor: costs.some((cost) => cost === null)
        ? null
        : costs.reduce<number>((sum, cost) => sum + cost!, 0),
    },
    ranges: {
      workMin: around(rest, handsOn.installMin),
      definition: result.definition,
      days: daysPresentable,
    },
    score: pick.score,
    scoreParts: scoreParts(pick.weighed, asked.weighing),
  };
}
