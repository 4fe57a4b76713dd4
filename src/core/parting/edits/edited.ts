import { RADIUS_CM_PER_CIRCUMFERENCE_CM } from '../../sphere/crown-chart';
import { panelOf, type Panel } from '../panel';
import { partAcross } from '../part-line';
import type { PartingRecipe, RecipePanel } from '../recipe';

/** A recipe after an edit, or why the edit cannot be done. */
export type Edited =
  { readonly ok: true; readonly recipe: PartingRecipe } | { readonly ok: false; readonly why: string };

/** An edit that was done: the recipe after it. */
export const edited = (recipe: PartingRecipe): Edited => ({ ok: true, recipe });
/** An edit that cannot be done, and why, in words for the hand that tried. */
export const refused = (why: string): Edited => ({ ok: false, why });

/** The part of a recipe as a function from nape to face. */
export const partOf = ({ part }: PartingRecipe): ((t: number) => number) =>
  part.points.length > 1 ? partAcross(part.points) : () => 0;

/** The region of one panel of a recipe. */
export const regionOf = (recipe: PartingRecipe, panel: RecipePanel): Panel =>
  panelOf(panel.id, panel.rowLines[0]!, panel.rowLines.at(-1)!, partOf(recipe));

/** Sections in each row of a panel, from the back. */
export const rowCounts = (panel: RecipePanel): number[] => panel.cuts.map((cuts) => cuts.length + 1);

/** A recipe with one panel changed. */
export const withPanel = (recipe: PartingRecipe, index: number, panel: RecipePanel): PartingRecipe => ({
  ...recipe,
  panels: recipe.panels.map((before, i) => (i === index ? panel : before)),
});

/** A length on the head in units of R. */
export const inRadii = (recipe: PartingRecipe, cm: number): number =>
  cm / (RADIUS_CM_PER_CIRCUMFERENCE_CM * recipe.circumferenceCm);
