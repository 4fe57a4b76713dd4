import { generateRecipe, type OwnZone, type PartingSpec } from '../parting/generate';
import { layOut, type Layout } from '../parting/layout';
import { techniqueOf } from '../techniques';
import type { Brief } from '../brief/brief';

/** What decides how the head is parted, and nothing else. */
export function partingSpec({ head, set, zones, parting }: Brief): PartingSpec {
  return {
    circumferenceCm: head.circumferenceCm,
    count: set.sections,
    pattern: parting.pattern,
    part: parting.part,
    trial: parting.trial,
    backRows: parting.backRows,
    aspect: techniqueOf(set.technique).sectionAspect,
    sizes: parting.sizes,
    own: Object.fromEntries(
      Object.entries(zones).flatMap(([zone, { sections, technique }]): [string, OwnZone][] => {
        if (sections === null) return [];
        const { usualPattern, sectionAspect } = techniqueOf(technique);
        return [[zone, { count: sections, pattern: usualPattern, aspect: sectionAspect }]];
      }),
    ),
  };
}

/** Equal keys mean equal layouts. */
export const layoutKey = (brief: Brief): string =>
  JSON.stringify([brief.parting.recipe ?? partingSpec(brief), brief.parting.winding]);

/** The layout of a brief: its own recipe, or one made for it. */
export const layoutFor = (brief: Brief): Layout =>
  layOut(brief.parting.recipe ?? generateRecipe(partingSpec(brief)), brief.parting.winding);
