import type { Units } from '@/core/formats/display';
import type { ShelfCheck } from '@/core/shelf/shelf-check';
import { toolShortWords } from '@/core/techniques/tool-kind';
import { formatDiameter, formatMass } from '@/ui/format';

/** What a plan will find missing, a sentence each; empty where there is enough of everything. */
export function shortageWords({ products, tools }: ShelfCheck, sections: number, units: Units): string[] {
  const size = (mm: number) => formatDiameter(mm, units);
  return [
    ...products
      .filter(({ mustBeMade }) => mustBeMade)
      .map(({ name, needG }) => `${name} must be made first: the plan takes ${formatMass(needG, units)}.`),
    ...products
      .filter(({ shortG, mustBeMade }) => shortG > 0 && !mustBeMade)
      .map(
        ({ name, lastsSections, shortG, reservedG }) =>
          `${name} lasts ${lastsSections} of ${sections} sections, ${formatMass(shortG, units)} short${reservedG > 0 ? ` after ${formatMass(reservedG, units)} kept for booked sets` : ''}.`,
      ),
    ...products.filter(({ isPast }) => isPast).map(({ name }) => `${name} is past its day by then.`),
    ...tools
      .filter(({ short }) => short > 0)
      .map(
        (tool) =>
          `${toolShortWords(tool, size(tool.diameterMm))}${tool.insteadMm === null ? '' : ` ${size(tool.insteadMm)} has enough to spare.`}`,
      ),
  ];
}
