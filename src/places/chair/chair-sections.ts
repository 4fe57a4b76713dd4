import type { PartedView } from '@/core/plan/chair-parting';
import { toolKinds, type ToolKindId } from '@/core/techniques/tool-kind';
import type { ChairSection, ChairSections, ChairSetBase, ChairTool } from './chair-set';

/** The sizes that the studio keeps of a kind of tool. */
export const toolsOf = (
  { tools }: Pick<ChairSetBase, 'tools'>,
  kind: ToolKindId | null,
): readonly ChairTool[] => tools.filter((tool) => kind !== null && tool.kind === toolKinds[kind].keptAs);

/** What of a set follows its parting, read off the forecast of that parting. */
export function chairSections(
  { toolOf, tools, finish }: Pick<ChairSetBase, 'toolOf' | 'tools' | 'finish'>,
  { view, drawn, doses, brief }: Pick<PartedView, 'view' | 'drawn' | 'doses' | 'brief'>,
): ChairSections {
  const { plan, quadrants, sectionMin } = view;
  const sections = plan.sections.map((section, i): readonly [number, ChairSection] => {
    const { number, zone, toolDiameterMm: toolMm = null, winding = null } = section;
    const toolKind = toolOf[zone];
    const kept = toolsOf({ tools }, toolKind).find(({ diameterMm }) => diameterMm === toolMm);
    return [
      number,
      {
        zone,
        quadrant: quadrants[i]!,
        minutes: sectionMin[i]!,
        doses: doses[number] ?? [],
        toolKind,
        toolMm,
        winding,
        swatch: kept?.swatch ?? null,
      },
    ];
  });
  return {
    sections: Object.fromEntries(sections),
    sectionCount: drawn.length,
    brief,
    toUndo: plan.sections.filter(({ zone }) => finish.undoLines[zone] !== null).length,
    takedownMin: plan.handsOn.takedownMin,
    separatingMin: plan.handsOn.separatingMin,
  };
}
