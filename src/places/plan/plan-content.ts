import type { z } from 'zod';
import { schoolQuestion, type SchoolQuestionId } from '@/core/advice/schools';
import type { briefInput } from '@/core/formats/brief';
import { perZone, type Zone } from '@/core/hair/zone';
import type { ShownOption } from '@/core/fit/shown-option';
import { changeCount } from '@/core/parting/edits/count';
import { MAX_SECTIONS, MIN_SECTIONS } from '@/core/parting/generate';
import { loadFor } from '@/core/parting/load';
import { recipeCount, type Recipe } from '@/core/parting/recipe';
import { zoneShares } from '@/core/parting/zone-outlines';
import { productRoles, type RoleId } from '@/core/products';
import { toolKindOf } from '@/core/techniques/tool-kind-of';
import { techniqueOf, techniques, type TechniqueId } from '@/core/techniques';
import { clamp } from '@/core/units/clamp';
import type { Technique } from '@/core/techniques/technique';
import { toolKinds, type ToolKindId } from '@/core/techniques/tool-kind';

const SHORTEST_STEP_H = 0.25;
const LONGEST_STEP_H = 96;

/** A brief as the plan desk edits it. */
export type DraftBrief = z.input<typeof briefInput>;
export type DraftSet = DraftBrief['set'];
export type DraftLayer = NonNullable<DraftSet['layers']>[number];

/** What a plan decides. */
export interface PlanContent {
  readonly title: string;
  readonly brief: DraftBrief;
  readonly layerProductIds: readonly (string | null)[];
}

/** A product as the plan desk offers it. */
export interface ShelfProduct {
  readonly id: string;
  readonly name: string;
  readonly role: string;
  readonly waterShare: number | null;
  readonly hold: number | null;
  readonly weight: number | null;
  readonly hasProtein: boolean;
  readonly leftG: number | null;
  readonly usedSinceG: number;
  readonly sizeG: number | null;
  readonly priceMinor: number | null;
  readonly useBy: string | null;
  readonly ingredients: string;
}

/** A size of tool as the plan desk offers it. */
export interface ShelfTool {
  readonly id: string;
  readonly kind: string;
  readonly diameterMm: number;
  readonly workingLengthMm: number;
  readonly owned: number;
  readonly swatch: string;
}

/** The tools of the shelf that a technique, or its ends, can take. */
export const toolsFor = (shelf: readonly ShelfTool[], kind: ToolKindId | null): readonly ShelfTool[] =>
  kind === null ? [] : shelf.filter((tool) => tool.kind === toolKinds[kind].keptAs);

/** The kind of tool that a set takes, by technique and ends. */
export const toolKindOfSet = (set: DraftSet): ToolKindId | null => {
  const technique = techniqueOf(set.technique);
  return toolKindOf(technique, set.endsMethod ?? technique.endsMethods[0]);
};

/** The set of a brief changed to another technique, with that technique's usual choices. */
export function withTechnique(
  { parting, set }: DraftBrief,
  technique: TechniqueId,
  shelf: readonly ShelfTool[],
): Partial<DraftBrief> {
  if (set.technique === technique) return {};
  const next = techniqueOf(technique);
  const sizes = toolsFor(shelf, next.tool);
  const usual = sizes[Math.floor(sizes.length / 2)];
  // A pattern, and lines drawn by hand, belong to the technique they were chosen for.
  const kept = {
    ...(parting?.part ? { part: parting.part } : {}),
    ...(parting?.zoneSize ? { zoneSize: parting.zoneSize } : {}),
  };
  return {
    parting: kept,
    set: {
      ...set,
      technique,
      sections: next.usualSections,
      rootMethod: next.rootMethods[0],
      endsMethod: next.endsMethods[0],
      tool: next.tool ? (usual ? toolOf(usual) : { ...toolKinds[next.tool].usual, owned: 0 }) : null,
    },
  };
}

/** A tool of the shelf as a brief names it. */
export const toolOf = ({ diameterMm, workingLengthMm, owned }: ShelfTool) => ({
  diameterMm,
  workingLengthMm,
  owned,
});

/** A layer of a brief from a product of the shelf. */
export function layerOf(product: ShelfProduct): DraftLayer {
  return {
    role: product.role as RoleId,
    ...(product.waterShare === null ? {} : { waterShare: product.waterShare }),
    ...(product.hold === null ? {} : { hold: product.hold }),
    ...(product.weight === null ? {} : { weight: product.weight }),
    ...(product.hasProtein ? { protein: true } : {}),
  };
}

/** Name of a layer: the product when one is chosen, else its role. */
export const layerName = (
  layer: DraftLayer,
  productId: string | null,
  shelf: readonly ShelfProduct[],
): string => shelf.find((product) => product.id === productId)?.name ?? productRoles[layer.role].label;

const counted = (id: TechniqueId, count: number | undefined) => {
  const { noun } = techniqueOf(id);
  return `${count ?? ''} ${count === 1 ? noun[0] : noun[1]}`;
};

/** "18 twists": what the head is parted in, without zones of their own. */
export const sectionsLabel = (set: DraftSet): string => counted(set.technique, set.sections);

/** "20 braids, 15 coils": everything that goes in, zones of their own too. */
export function wholeSetLabel(set: DraftSet): string {
  const counts = new Map<TechniqueId, number>([[set.technique, set.sections ?? 0]]);
  for (const own of Object.values(set.zones ?? {})) {
    const id = own?.technique ?? set.technique;
    if (own?.sections) counts.set(id, (counts.get(id) ?? 0) + own.sections);
  }
  return [...counts].map(([id, count]) => counted(id, count)).join(', ');
}

/** Moves one item of a list. */
export function moved<T>(items: readonly T[], from: number, to: number): T[] {
  const next = [...items];
  const [item] = next.splice(from, 1);
  next.splice(to, 0, item!);
  return next;
}

/** The motif of a section by what is done there; of the whole set where an old record does not say. */
export const motifOfSection = (
  sections: readonly { readonly technique?: string }[],
  number: number,
): Technique['motif'] | null => {
  const id = sections[number - 1]?.technique;
  return id && id in techniques ? techniqueOf(id as TechniqueId).motif : null;
};

type ZoneDraft = NonNullable<NonNullable<DraftSet['zones']>[Zone]>;

/**
 * A brief with one zone done differently, or like the rest again. A zone of its own technique is parted for
 * itself: as finely as the scalp there would be with that technique's usual number on the head.
 */
export function withZone(brief: DraftBrief, zone: Zone, own: ZoneDraft | null): Partial<DraftBrief> {
  const zones = { ...brief.set.zones };
  if (own === null) delete zones[zone];
  else {
    const technique = techniqueOf(own.technique ?? brief.set.technique);
    zones[zone] = {
      ...own,
      sections: own.sections ?? Math.max(1, Math.round(technique.usualSections * zoneShares()[zone])),
    };
  }
  return {
    parting: partedAnew(brief),
    set: { ...brief.set, zones: Object.keys(zones).length > 0 ? zones : undefined },
  };
}

type DraftParting = NonNullable<DraftBrief['parting']>;

/** A brief parted along lines drawn by hand. Zones keep their technique; their counts are in the lines. */
export function withRecipe(brief: DraftBrief, recipe: Recipe): Partial<DraftBrief> {
  const zones = Object.fromEntries(
    Object.entries(brief.set.zones ?? {}).map(([zone, own]) => {
      const { sections: _, ...rest } = own;
      return [zone, rest];
    }),
  ) as NonNullable<DraftSet['zones']>;
  return {
    parting: { ...brief.parting, recipe: recipe as DraftParting['recipe'] },
    set: {
      ...brief.set,
      sections: recipeCount(recipe),
      ...(brief.set.zones ? { zones } : {}),
    },
  };
}

/** A parting that is cut anew: whatever was drawn by hand goes, and the change is made. */
export function partedAnew(brief: DraftBrief, change: DraftParting = {}): DraftParting {
  const { recipe: _, ...parting } = brief.parting ?? {};
  return { ...parting, ...change };
}

/** Whether two halves of a head are compared. */
const isTrial = (brief: DraftBrief): boolean => brief.parting?.part === 'half-head';

/**
 * A brief with one section more or fewer. Sections stay where they are as far as they can; a head with zones
 * parted for themselves, or whose lines are not known yet, is cut anew.
 *
 * @param answered lines that the brief is parted along, when they are known
 */
export function oneSection(
  brief: DraftBrief,
  count: number,
  by: 1 | -1,
  answered: Recipe | null,
): Partial<DraftBrief> {
  if (isTrial(brief)) {
    // One on either side, so that the halves stay alike.
    const even = 2 * Math.round((count + 2 * by) / 2);
    return { parting: partedAnew(brief), set: { ...brief.set, sections: clamp(even, 2, MAX_SECTIONS) } };
  }
  const recipe = (brief.parting?.recipe as Recipe | undefined) ?? answered;
  const hasOwnZones = Object.values(brief.set.zones ?? {}).some((own) => own?.sections !== undefined);
  if (recipe && !hasOwnZones && recipeCount(recipe) === count) {
    const sizes = perZone((zone) => brief.parting?.zoneSize?.[zone] ?? 1);
    const { sectionAspect } = techniqueOf(brief.set.technique);
    const edit = changeCount(recipe, by, sectionAspect, loadFor(sizes, recipe.exclude));
    if (edit.ok) return withRecipe(brief, edit.recipe);
  }
  const next = Math.min(MAX_SECTIONS, Math.max(MIN_SECTIONS, count + by));
  return { parting: partedAnew(brief), set: { ...brief.set, sections: next } };
}

/** A brief done as an option of a search says, parted anew; zones that cannot carry it as the option does them. */
export function withOption(
  brief: DraftBrief,
  { candidate, zones, drying, startAt }: Pick<ShownOption, 'candidate' | 'zones' | 'drying' | 'startAt'>,
): Partial<DraftBrief> {
  const { technique: id, sections, startState, tool } = candidate;
  const technique = techniqueOf(id);
  const keep = <K extends string>(of: readonly [K, ...K[]], own: K | undefined): K =>
    own && of.includes(own) ? own : of[0];
  const { pattern: _, ...parting } = partedAnew(brief);
  return {
    parting,
    drying: [...drying],
    startAt: startAt ?? undefined,
    set: {
      ...brief.set,
      technique: id,
      sections: isTrial(brief) ? 2 * Math.ceil(sections / 2) : sections,
      sectionSideCm: undefined,
      startState,
      rootMethod: keep(technique.rootMethods, brief.set.rootMethod),
      endsMethod: keep(technique.endsMethods, brief.set.endsMethod),
      tool: tool && {
        diameterMm: tool.diameterMm,
        workingLengthMm: tool.workingLengthMm,
        owned: tool.owned,
      },
      zones:
        Object.keys(zones).length === 0
          ? undefined
          : Object.fromEntries(
              Object.entries(zones).map(([zone, own]) => [zone, { technique: own, tool: null }]),
            ),
    },
  };
}

/** Drying with one step longer or shorter, as far as a step may be. */
export const stretched = (
  drying: NonNullable<DraftBrief['drying']>,
  step: number,
  byMinutes: number,
): NonNullable<DraftBrief['drying']> =>
  drying.map((own, i) =>
    i === step ? { ...own, hours: clamp(own.hours + byMinutes / 60, SHORTEST_STEP_H, LONGEST_STEP_H) } : own,
  );

/** A plan done a school's way; layers that stay keep their product. */
export function withSchool(content: PlanContent, question: SchoolQuestionId, school: string): PlanContent {
  const { brief, layerProductIds } = content;
  const changed = schoolQuestion(question).schools[school]?.apply?.(brief);
  if (!changed) return content;
  const before = brief.set.layers ?? [];
  const after = changed.set?.layers ?? before;
  return {
    ...content,
    brief: { ...brief, ...changed },
    layerProductIds: after.map((layer) => layerProductIds[before.indexOf(layer)] ?? null),
  };
}

/** Mean size of the sections of one technique, cm²; of all of them where none has it. */
export function meanSectionCm2(
  { sections }: { readonly sections: readonly { readonly areaCm2: number; readonly technique: string }[] },
  technique: TechniqueId,
): number {
  const own = sections.filter((section) => section.technique === technique);
  const counted = own.length > 0 ? own : sections;
  return counted.reduce((sum, section) => sum + section.areaCm2, 0) / Math.max(1, counted.length);
}
