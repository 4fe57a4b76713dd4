import { drawnHeads, type DrawnTimes, type UncertainDrying } from '../drying/draws';
import type { Checked } from '../formats/field-error';
import { readBrief } from '../formats/read-brief';
import type { Layout } from '../parting/layout';
import { evennessOf, type Evenness } from '../parting/evenness';
import { loadFor } from '../parting/load';
import type { PartingRecipe } from '../parting/recipe';
import { drawLayout, drawPart, type DrawnSection } from '../parting/drawn-layout';
import { finishForecast, forecastBasis } from './forecast';
import { forecastView, type ForecastView } from './forecast-view';
import { layoutFor, layoutKey } from './layout-for';

/** A forecast with its sections ready to draw. */
export interface AnsweredView {
  readonly view: ForecastView;
  readonly drawn: readonly DrawnSection[];
  /** The part that is worn, as SVG path data; null without one. */
  readonly partPath: string | null;
  /** The lines the sections were cut by: what is edited by hand. */
  readonly recipe: PartingRecipe;
  readonly evenness: Evenness;
}

/** A draft that was asked about: its layout is kept for the next question, and heads can be drawn for it. */
export interface AskedDraft {
  readonly layoutKey: string;
  readonly layout: Layout;
  readonly sections: readonly DrawnSection[];
  readonly evenness: Evenness;
  /** What its heads are drawn from, by whoever draws them. */
  readonly uncertain: UncertainDrying;
  readonly seed: number;
  /** Heads drawn so far. */
  readonly drawn: () => number;
  /** Takes heads from number `from` on, unless they are there; answers how many there are. */
  readonly add: (from: number, heads: readonly DrawnTimes[]) => number;
  /** The forecast from the first `draws` heads; 0 is the quick estimate. */
  readonly view: (draws: number) => AnsweredView;
}

/**
 * Reads a raw brief and works out everything that no draw changes.
 *
 * @param last the draft before, whose layout serves again when sections have not moved
 */
export function answerDraft(raw: unknown, last: AskedDraft | null): Checked<AskedDraft> {
  const brief = readBrief(raw);
  if (!brief.ok) return brief;
  const key = layoutKey(brief.value);
  const kept = last?.layoutKey === key ? last : null;
  const layout = kept?.layout ?? layoutFor(brief.value);
  const drawn = kept?.sections ?? drawLayout(layout);
  const evenness =
    kept?.evenness ?? evennessOf(layout, loadFor(brief.value.parting.sizes, layout.recipe.exclude));
  const basis = forecastBasis(brief.value, layout);
  const heads: DrawnTimes[] = [];
  return {
    ok: true,
    value: {
      layoutKey: key,
      layout,
      sections: drawn,
      evenness,
      uncertain: basis.drying.uncertain,
      seed: brief.value.seed,
      drawn: () => heads.length,
      add: (from, more) => {
        if (from === heads.length) heads.push(...more);
        return heads.length;
      },
      view: (draws) => ({
        view: forecastView(finishForecast(basis, heads.slice(0, draws))),
        drawn,
        partPath: drawPart(layout),
        recipe: layout.recipe,
        evenness,
      }),
    },
  };
}

/** Draws heads of a draft until there are `count`, in one go. */
export function drawTo({ uncertain, seed, drawn, add }: AskedDraft, count: number): void {
  const from = drawn();
  if (count > from) add(from, drawnHeads(uncertain, seed, from, count));
}

/** From a raw brief to what the screens show, without draws. */
export function answerView(raw: unknown): Checked<AnsweredView> {
  const draft = answerDraft(raw, null);
  return draft.ok ? { ok: true, value: draft.value.view(0) } : draft;
}
