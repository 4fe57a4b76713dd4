import type { PanelId } from './panel';
import type { PartPoints } from './part-line';
import type { PartingPattern, PartLine } from './pattern';

/** The lines that a parting is made of; every polygon and figure is derived from it (parting-map §3). */
export interface Recipe {
  readonly v: 1;
  /** Head circumference it was made for, cm. */
  readonly C: number;
  readonly pattern: PartingPattern;
  readonly part: { readonly kind: PartLine; readonly points: PartPoints };
  /** In working order. */
  readonly panels: readonly RecipePanel[];
}

/** One panel: row limits from the back and the cuts in each row, in the panel's own coordinates. */
export interface RecipePanel {
  readonly id: PanelId;
  readonly t: readonly number[];
  readonly g: readonly (readonly number[])[];
}

/** How many sections a recipe cuts. */
export const recipeCount = (recipe: Recipe): number =>
  recipe.panels.reduce((sum, { g }) => sum + g.reduce((inner, cuts) => inner + cuts.length + 1, 0), 0);
