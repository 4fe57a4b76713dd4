import type { DraftLayer, PlanContent } from './draft-brief';
import { MOST_LAYERS } from '../formats/ranges';
import { withTrial, withWords } from './edits';

/** A layer with the product that brings it. */
export interface TrialLayer {
  readonly layer: DraftLayer;
  readonly productId: string | null;
}

/** The two ways of a trial, and the side that the first goes on. */
export interface TrialWays {
  readonly a: readonly TrialLayer[];
  readonly b: readonly TrialLayer[];
  readonly isALeft: boolean;
}

/** What bears on one half beside what is on it, to be noted before the hair is sectioned. */
const SIDES_NOTE =
  'A coin chose the sides. Before sectioning note the side she sleeps on and where her part lies: that half wears sooner.';

/**
 * A plan made into a half-head trial: what both halves share stays, each way goes on its half, and names are hidden from
 * who rates. Layers of either way that went on everywhere before give way to it.
 *
 * @param isOf whether a layer belongs to what is compared, and so gives way
 */
export function asHalfHeadTrial(
  content: PlanContent,
  { a, b, isALeft }: TrialWays,
  isOf: (layer: DraftLayer, productId: string | null) => boolean,
): PlanContent {
  const whole = withTrial(content, true);
  const shared = (whole.brief.set.layers ?? [])
    .map((layer, i): TrialLayer => ({ layer, productId: whole.layerProductIds[i] ?? null }))
    .filter(({ layer, productId }) => !layer.half && !isOf(layer, productId));
  const onHalf = (layers: readonly TrialLayer[], half: 'left' | 'right'): TrialLayer[] =>
    layers.map(({ layer, productId }) => ({ layer: { ...layer, half }, productId }));
  const halves = [...onHalf(isALeft ? a : b, 'left'), ...onHalf(isALeft ? b : a, 'right')];
  const layers = [...shared.slice(0, MOST_LAYERS - halves.length), ...halves];
  return {
    ...whole,
    brief: {
      ...whole.brief,
      note: withWords(whole.brief.note, SIDES_NOTE),
      parting: { ...whole.brief.parting, namesHidden: true },
      set: { ...whole.brief.set, layers: layers.map(({ layer }) => layer) },
    },
    layerProductIds: layers.map(({ productId }) => productId),
  };
}
