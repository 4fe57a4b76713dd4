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
  /** Sections cut once more along a line of their panel. */
  readonly splits: readonly { readonly key: string; readonly axis: 'g' | 't'; readonly at: number }[];
  /** Sections taken together, by their keys. */
  readonly merges: readonly (readonly string[])[];
  /** Patches that are left out, as outlines on the chart. */
  readonly exclude: readonly (readonly (readonly [x: number, y: number])[])[];
  /** What was decided for single sections, by key. */
  readonly marks: Readonly<Record<string, SectionMark>>;
}

/** What was decided for one section by hand. */
export interface SectionMark {
  readonly tool?: string | undefined;
  readonly dir?: 'away' | 'left' | 'right' | undefined;
  readonly angle?: number | undefined;
  readonly product?: string | undefined;
}

/** One panel: row limits from the back and the cuts in each row, in the panel's own coordinates. */
export interface RecipePanel {
  readonly id: PanelId;
  readonly t: readonly number[];
  readonly g: readonly (readonly number[])[];
}

/** How many sections a recipe cuts, before anything is left out. */
export const recipeCount = (recipe: Pick<Recipe, 'panels' | 'splits' | 'merges'>): number =>
  recipe.panels.reduce((sum, { g }) => sum + g.reduce((inner, cuts) => inner + cuts.length + 1, 0), 0) +
  recipe.splits.length -
  recipe.merges.reduce((sum, keys) => sum + keys.length - 1, 0);

/** A recipe that nothing was changed in by hand. */
export const UNEDITED = { splits: [], merges: [], exclude: [], marks: {} } as const;
