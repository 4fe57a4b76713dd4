import type { ShelfCheck } from '@/core/shelf/shelf-check';
import { toolKinds, type ToolKindId } from '@/core/techniques/tool-kind';
import { formatDiameter, formatMass, type UnitSystem } from '@/ui/format';

/** What a plan will find missing, a sentence each; empty where there is enough of everything. */
export function shortageWords(
  { products, tools }: ShelfCheck,
  sections: number,
  units: UnitSystem,
): string[] {
  const size = (mm: number) => formatDiameter(mm, units);
  return [
    ...products
      .filter(({ shortG }) => shortG > 0)
      .map(
        ({ name, lastsSections, shortG, reservedG }) =>
          `${name} lasts ${lastsSections} of ${sections} sections, ${formatMass(shortG, units)} short${reservedG > 0 ? ` after ${formatMass(reservedG, units)} kept for booked sets` : ''}.`,
      ),
    ...products.filter(({ isPast }) => isPast).map(({ name }) => `${name} is past its day by then.`),
    ...tools
      .filter(({ short }) => short > 0)
      .map(({ kind, diameterMm, needed, owned, short, insteadMm }) => {
        const noun = toolKinds[kind as ToolKindId]?.noun ?? ['tool', 'tools'];
        return `${needed} ${needed === 1 ? noun[0] : noun[1]} of ${size(diameterMm)} needed, ${owned} owned: ${short} short.${insteadMm === null ? '' : ` ${size(insteadMm)} has enough to spare.`}`;
      }),
  ];
}
