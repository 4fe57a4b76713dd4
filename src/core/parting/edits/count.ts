import { polygonArea } from '../../sphere/polygon';
import { coefficientOfVariation } from '../../stats/variation';
import { MAX_SECTIONS, MIN_SECTIONS } from '../generate';
import type { LoadOf } from '../load';
import { bandOf, cutPanel, lineLengthAt } from '../plan-panel';
import { recipeCount, type PartingRecipe } from '../recipe';
import { edited, refused, regionOf, rowCounts, withPanel, type Edited } from './edited';

/** What weighs against each other when a section is added: even panels, and sections near the wanted shape. */
const EVENNESS_WEIGHT = 25;
const SHAPE_WEIGHT = 0.1;

/** One row given a section more or fewer. */
interface Candidate {
  readonly panel: number;
  readonly rows: readonly number[];
  readonly cost: number;
}

function candidates(recipe: PartingRecipe, step: 1 | -1, aspect: number, load: LoadOf): Candidate[] {
  const regions = recipe.panels.map((panel) => regionOf(recipe, panel));
  const counts = recipe.panels.map((panel) => rowCounts(panel).reduce((sum, row) => sum + row, 0));
  const loads = regions.map(({ polygon }) => load(polygon));
  const unevenness = (changed: number) =>
    coefficientOfVariation(
      loads.flatMap((regionLoad, i) => {
        const count = counts[i]! + (i === changed ? step : 0);
        return Array.from({ length: count }, () => regionLoad / count);
      }),
    );
  return recipe.panels.flatMap((panel, i): Candidate[] => {
    const rows = rowCounts(panel);
    const region = regions[i]!;
    const even = EVENNESS_WEIGHT * unevenness(i);
    return rows.flatMap((count, row): Candidate[] => {
      const next = count + step;
      if (next < 1) return [];
      const band = bandOf(region, panel.rowLines, row);
      const width = lineLengthAt(band, region.frame, (panel.rowLines[row]! + panel.rowLines[row + 1]!) / 2);
      const shape = (size: number) => size * Math.log(width ** 2 / (size * polygonArea(band) * aspect)) ** 2;
      return [
        {
          panel: i,
          rows: rows.map((size, r) => (r === row ? next : size)),
          cost: even + SHAPE_WEIGHT * (shape(next) - shape(count)),
        },
      ];
    });
  });
}

/**
 * One section more or fewer: every row stays, one of them gains or loses one, and its panel is cut evenly again.
 * Keys of all other rows keep their meaning.
 *
 * @param step 1 or −1
 * @param aspect wanted width over height of a section
 * @source parting-map §6
 */
export function changeCount(recipe: PartingRecipe, step: 1 | -1, aspect: number, load: LoadOf): Edited {
  const next = recipeCount(recipe) + step;
  if (next < MIN_SECTIONS || next > MAX_SECTIONS) {
    return refused(`a head takes ${MIN_SECTIONS} to ${MAX_SECTIONS} sections`);
  }
  const best = candidates(recipe, step, aspect, load).reduce<Candidate | null>(
    (lowest, change) => (lowest && lowest.cost <= change.cost ? lowest : change),
    null,
  );
  if (!best) return refused('every row is down to one section: part the head anew for fewer');
  const panel = recipe.panels[best.panel]!;
  return edited(
    withPanel(recipe, best.panel, {
      ...panel,
      ...cutPanel(regionOf(recipe, panel), best.rows, load),
    }),
  );
}

/** Every panel cut evenly again in the rows it has: lines that were moved by hand go back. */
export const evenOut = (recipe: PartingRecipe, load: LoadOf): PartingRecipe => ({
  ...recipe,
  panels: recipe.panels.map((panel) => ({
    ...panel,
    ...cutPanel(regionOf(recipe, panel), rowCounts(panel), load),
  })),
});
