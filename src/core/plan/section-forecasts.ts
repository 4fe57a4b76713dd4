import { hands } from '../coefficients/hands';
import { dryMassG, meanSurvival } from '../hair/dry-mass';
import { scalpAreaCm2 } from '../hair/head';
import { coilMm } from '../hair/unknown';
import type { Zone } from '../hair/zone';
import {
  INSTALL_PARTS,
  sectionInstallParts,
  sectionSeparateMin,
  sectionTakedownMin,
  type InstallParts,
} from '../hands-on/install-time';
import type { LaidSection, Layout } from '../parting/layout';
import type { Quadrant } from '../parting/quadrant';
import type { HairInSet } from '../techniques/bundle';
import { bundleOf, type BundleSource } from '../techniques/bundle-of';
import { withEndRod } from '../techniques/end-rod';
import type { SetForm } from '../techniques/technique';
import { techniqueOf } from '../techniques';
import type { Brief, PlannedSize, PlannedTool } from '../brief/brief';

/** What is worked out for each section of a plan. */
export interface SectionPlan {
  readonly number: number;
  readonly zone: Zone;
  readonly side: 'left' | 'middle' | 'right';
  readonly quadrant: Quadrant;
  readonly areaCm2: number;
  readonly hairCount: number;
  readonly lengthCm: number;
  readonly dryMassG: number;
  readonly bundle: HairInSet;
  readonly form: SetForm;
  /** Its tool: the zone's, in the size whose turn it is or that was decided for this section by hand. */
  readonly tool: PlannedSize | null;
  /** × the dose that its hair would get. */
  readonly doseFactor: number;
  /** Products that do not go on it, by role. */
  readonly without: readonly string[];
  /** Minutes at the brief's pace. */
  readonly installMin: number;
  /** What they go into, at pace 1. */
  readonly installParts: InstallParts;
  readonly takedownMin: number;
  readonly separatingMin: number;
}

/** What the hair of a section brings, before anything is done with it. */
export const sourceOf = ({ head, set }: Brief, zone: Zone, sectionCm2: number): BundleSource => ({
  sectionCm2,
  packed: hands[set.hand].packing,
  densityPerCm2: head.densityPerCm2,
  strandUm: head.strandDiameterUm,
  lengthCm: head.stretchedLengthCm[zone],
  coilDiameterMm: coilMm(head, zone),
  shrinkage: head.shrinkage,
  knot: set.knot,
});

/** A size of tool as marks of a parting name it. */
const markOf = ({ kind, diameterMm }: PlannedSize) => `${kind}-${diameterMm}`;

/** The size that a section takes by its place, where two take turns along a row. */
function turnOf(tool: PlannedTool | null, { row, col }: LaidSection): string | undefined {
  return tool?.alternate && (row + col) % 2 === 1 ? markOf(tool.alternate) : undefined;
}

/** A tool in the size that a mark names, as in `rod-19`; as it is where the mark is for another kind, or none. */
function toolAsMarked(tool: PlannedTool | null, mark: string | undefined): PlannedSize | null {
  if (!tool || !mark) return tool;
  if (tool.alternate && mark === markOf(tool.alternate)) return tool.alternate;
  const at = mark.lastIndexOf('-');
  const diameterMm = Number(mark.slice(at + 1));
  if (mark.slice(0, at) !== tool.kind || !(diameterMm > 0) || diameterMm === tool.diameterMm) return tool;
  // How many of another size there are is not known here.
  return { ...tool, diameterMm, owned: 0 };
}

type SharedPlan = Omit<SectionPlan, 'number' | 'side' | 'quadrant' | 'areaCm2' | 'doseFactor' | 'without'>;

/** Works out sections of a brief by zone, area and tool; equal ones share one computation. */
function sectionWork(
  brief: Brief,
): (zone: Zone, areaCm2: number, toolMark: string | undefined) => SharedPlan {
  const { head, set } = brief;
  const pace = brief.pace.median;
  const work = (zone: Zone, areaCm2: number, toolMark: string | undefined): SharedPlan => {
    const zoneSet = brief.zones[zone];
    const tool = toolAsMarked(zoneSet.tool, toolMark);
    const technique = techniqueOf(zoneSet.technique);
    const bundle = bundleOf(technique, sourceOf(brief, zone, areaCm2));
    const { hairCount } = bundle;
    const lengthCm = head.stretchedLengthCm[zone];
    const form = technique.form(bundle, technique.tool ? tool : null);
    const one = { ...set, ...zoneSet, technique, hairCount, lengthCm };
    const installParts = sectionInstallParts(one);
    return {
      zone,
      hairCount,
      lengthCm,
      dryMassG: dryMassG(hairCount, lengthCm, head.strandDiameterUm, meanSurvival(lengthCm)),
      bundle,
      tool,
      form: tool?.kind === 'end-rod' ? withEndRod(form, bundle, tool) : form,
      installMin: pace * INSTALL_PARTS.reduce((sum, part) => sum + installParts[part], 0),
      installParts,
      takedownMin: pace * sectionTakedownMin(one),
      separatingMin: pace * sectionSeparateMin(one, brief.wear.separations),
    };
  };
  const known = new Map<string, SharedPlan>();
  return (zone, areaCm2, toolMark) => {
    const key = `${zone}/${areaCm2.toFixed(2)}/${toolMark ?? ''}`;
    const shared = known.get(key) ?? work(zone, areaCm2, toolMark);
    known.set(key, shared);
    return shared;
  };
}

/** The same sections on another head: as many, in the same places, as much larger as its scalp. */
export function sectionsOn(brief: Brief, sections: readonly SectionPlan[], areaScale: number): SectionPlan[] {
  const work = sectionWork(brief);
  return sections.map((section) => {
    const areaCm2 = section.areaCm2 * areaScale;
    return {
      ...section,
      ...work(section.zone, areaCm2, section.tool ? markOf(section.tool) : undefined),
      areaCm2,
    };
  });
}

/** Works out every section. */
export function planSections(brief: Brief, layout: Layout): SectionPlan[] {
  const scalp = scalpAreaCm2(brief.head.circumferenceCm);
  const work = sectionWork(brief);
  return layout.sections.map((section) => {
    const areaCm2 = section.share * scalp;
    const mark = layout.recipe.marks[section.key];
    const toolMark = mark?.tool ?? turnOf(brief.zones[section.zone].tool, section);
    return {
      ...work(section.zone, areaCm2, toolMark),
      number: section.number,
      side: section.side,
      quadrant: section.quadrant,
      areaCm2,
      doseFactor: mark?.dose ?? 1,
      without: mark?.without ?? [],
    };
  });
}
