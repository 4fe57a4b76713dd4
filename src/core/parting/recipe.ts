import type { PanelId } from './panel';
import type { PartPoints } from './part-line';
import type { PartingPattern, PartLine } from './pattern';

/** A section is cut once more along the cuts of its row, or along its row lines. */
export const SPLIT_AXES = ['cut', 'row'] as const;
export type SplitAxis = (typeof SPLIT_AXES)[number];
/** Which way a section is turned: off the face, or to a side. */
export const DIRECTIONS = ['away', 'left', 'right'] as const;

/** The lines that a parting is made of; every polygon and figure is derived from it (parting-map §3). */
export interface PartingRecipe {
  readonly version: 2;
  /** Head circumference it was made for, cm. */
  readonly circumferenceCm: number;
  readonly pattern: PartingPattern;
  readonly part: { readonly kind: PartLine; readonly points: PartPoints };
  /** Two halves are compared: the client's left and right. */
  readonly trial: boolean;
  /** In working order. */
  readonly panels: readonly RecipePanel[];
  /** Sections cut once more along a line of their panel. */
  readonly splits: readonly { readonly key: string; readonly axis: SplitAxis; readonly at: number }[];
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
  readonly direction?: (typeof DIRECTIONS)[number] | undefined;
  readonly angle?: number | undefined;
  readonly product?: string | undefined;
  /** × the dose that its hair would get. */
  readonly dose?: number | undefined;
  /** Products that do not go on it, by role. */
  readonly without?: readonly string[] | undefined;
}

/** One panel: row limits from the back and the cuts in each row, in the panel's own coordinates. */
export interface RecipePanel {
  readonly id: PanelId;
  readonly rowLines: readonly number[];
  readonly cuts: readonly (readonly number[])[];
}

/** How many sections a recipe cuts, before anything is left out. */
export const recipeCount = (recipe: Pick<PartingRecipe, 'panels' | 'splits' | 'merges'>): number =>
  recipe.panels.reduce((sum, { cuts }) => sum + cuts.reduce((inner, row) => inner + row.length + 1, 0), 0) +
  recipe.splits.length -
  recipe.merges.reduce((sum, keys) => sum + keys.length - 1, 0);

/** A recipe that nothing was changed in by hand. */
export const UNEDITED = { splits: [], merges: [], exclude: [], marks: {} } as const;
