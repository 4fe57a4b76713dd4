import { schoolQuestion, type SchoolQuestionId } from '../schools/schools';
import { perZone, type Zone } from '../hair/zone';
import { MOST_NOTE, SET_RANGES } from '../formats/ranges';
import type { Option } from '../suggest/option';
import { changeCount } from '../parting/edits/count';
import { MAX_SECTIONS, MIN_SECTIONS } from '../parting/generate';
import { loadFor } from '../parting/load';
import { recipeCount, type PartingRecipe } from '../parting/recipe';
import { zoneShares } from '../parting/zone-outlines';
import { localMs, localTimeOf } from '../schedule/local-time';
import { techniqueOf, type TechniqueId } from '../techniques';
import { clamp } from '../units/clamp';
import { toolKinds } from '../techniques/tool-kind';
import type {
  DraftBrief,
  DraftSet,
  DraftParting,
  DraftTool,
  ZoneDraft,
  PlanContent,
  ShelfTool,
} from './draft-brief';
import { toolsFor, toolOf } from './shelf-choices';

/** A step of drying dragged shorter than this is left out by hand instead. */
const SHORTEST_STEP_H = 0.25;

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
    ...(parting?.trial ? { trial: true } : {}),
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

/** Moves one item of a list. */
export function moved<T>(items: readonly T[], from: number, to: number): T[] {
  const next = [...items];
  const [item] = next.splice(from, 1);
  next.splice(to, 0, item!);
  return next;
}

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
  // Rows are counted over a back that is parted as one.
  const isBackApart = zones.back?.sections !== undefined || zones.nape?.sections !== undefined;
  return {
    parting: partedAnew(brief, isBackApart ? { backRows: undefined } : {}),
    set: { ...brief.set, zones: Object.keys(zones).length > 0 ? zones : undefined },
  };
}

/** A brief whose one zone takes its own size of tool, or that of the rest again. No line moves. */
export function withZoneTool(brief: DraftBrief, zone: Zone, tool: DraftTool | null): Partial<DraftBrief> {
  const { tool: _, ...own } = brief.set.zones?.[zone] ?? {};
  const { [zone]: __, ...others } = brief.set.zones ?? {};
  const zones =
    tool || Object.keys(own).length > 0 ? { ...others, [zone]: tool ? { ...own, tool } : own } : others;
  return { set: { ...brief.set, zones: Object.keys(zones).length > 0 ? zones : undefined } };
}

/**
 * A plan as a trial of two halves, or no trial again: an even number of sections, and no zone parted for itself. What was
 * for one half is for the whole head again where it was the left one's, and goes with the trial where it was the right
 * one's.
 */
export function withTrial(content: PlanContent, trial: boolean): PlanContent {
  const { brief, layerProductIds } = content;
  if (trial) return { ...content, brief: { ...brief, ...asTrial(brief) } };
  const layers = brief.set.layers ?? [];
  const isKept = layers.map(({ half }) => half !== 'right');
  return {
    ...content,
    brief: {
      ...brief,
      parting: partedAnew(brief, { trial: undefined, namesHidden: undefined }),
      set: {
        ...brief.set,
        layers: layers.filter((_, i) => isKept[i]).map(({ half: _, ...layer }) => layer),
      },
    },
    layerProductIds: layerProductIds.filter((_, i) => isKept[i]),
  };
}

function asTrial(brief: DraftBrief): Partial<DraftBrief> {
  const parting = partedAnew(brief, { trial: true });
  const count = brief.set.sections ?? techniqueOf(brief.set.technique).usualSections;
  const zones = Object.fromEntries(
    Object.entries(brief.set.zones ?? {}).map(([zone, { sections: _, ...rest }]) => [zone, rest]),
  );
  return {
    parting,
    set: {
      ...brief.set,
      sections: 2 * Math.ceil(count / 2),
      ...(brief.set.zones ? { zones } : {}),
    },
  };
}

/** A brief parted along lines drawn by hand. Zones keep their technique; their counts are in the lines. */
export function withRecipe(brief: DraftBrief, recipe: PartingRecipe): Partial<DraftBrief> {
  const zones = Object.fromEntries(
    Object.entries(brief.set.zones ?? {}).map(([zone, draft]) => {
      const { sections: _, ...rest } = draft;
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

/** A note with words added to it, once. */
export const withWords = (note: string | undefined, words: string): string =>
  note?.includes(words) ? note : [note, words].filter(Boolean).join(' ').slice(0, MOST_NOTE);

/** A parting that is cut anew: whatever was drawn by hand goes, and the change is made. */
export function partedAnew(brief: DraftBrief, change: DraftParting = {}): DraftParting {
  const { recipe: _, ...parting } = brief.parting ?? {};
  return { ...parting, ...change };
}

/** Whether two halves of a head are compared. */
const isTrial = (brief: DraftBrief): boolean => brief.parting?.trial === true;

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
  answered: PartingRecipe | null,
): Partial<DraftBrief> {
  if (isTrial(brief)) {
    // One on either side, so that the halves stay alike.
    const even = 2 * Math.round((count + 2 * by) / 2);
    return { parting: partedAnew(brief), set: { ...brief.set, sections: clamp(even, 2, MAX_SECTIONS) } };
  }
  const recipe = (brief.parting?.recipe as PartingRecipe | undefined) ?? answered;
  const hasOwnZones = Object.values(brief.set.zones ?? {}).some((draft) => draft?.sections !== undefined);
  if (recipe && !hasOwnZones && recipeCount(recipe) === count) {
    const sizes = perZone((zone) => brief.parting?.zoneSize?.[zone] ?? 1);
    const { sectionAspect } = techniqueOf(brief.set.technique);
    const edit = changeCount(recipe, by, sectionAspect, loadFor(sizes, recipe.exclude));
    if (edit.ok) return withRecipe(brief, edit.recipe);
  }
  const next = Math.min(MAX_SECTIONS, Math.max(MIN_SECTIONS, count + by));
  return { parting: partedAnew(brief), set: { ...brief.set, sections: next } };
}

/** A plan done as an option says, with its products; a plan without a time stays without. */
export function withOption(
  { title, brief }: PlanContent,
  { brief: found, productIds }: Pick<Option, 'brief' | 'productIds'>,
): PlanContent {
  const { startAt: _, wearBy: __, ...rest } = found;
  return {
    title,
    brief: brief.wearBy === undefined ? rest : found,
    layerProductIds: productIds,
  };
}

/** Drying with one step longer or shorter, as far as a step may be. */
export const stretched = (
  drying: NonNullable<DraftBrief['drying']>,
  step: number,
  byMinutes: number,
): NonNullable<DraftBrief['drying']> =>
  drying.map((before, i) =>
    i === step
      ? {
          ...before,
          hours: clamp(before.hours + byMinutes / 60, SHORTEST_STEP_H, SET_RANGES.dryingHours.high),
        }
      : before,
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

/** A brief whose times are written on the wall clock of a zone; they stay the same moments. */
export function onClockOf(brief: DraftBrief, timeZone: string): DraftBrief {
  const { startAt, wearBy } = brief;
  const written = (text: string) => {
    const ms = localMs(text, brief.timeZone ?? timeZone);
    return ms === null ? text : localTimeOf(ms, timeZone);
  };
  return {
    ...brief,
    ...(startAt === undefined ? {} : { startAt: written(startAt) }),
    ...(wearBy === undefined ? {} : { wearBy: written(wearBy) }),
    timeZone,
  };
}

/** A brief taken along to another zone: what was planned for nine is planned for nine there. */
export const carriedTo = (brief: DraftBrief, fromZone: string, toZone: string): DraftBrief => ({
  ...onClockOf(brief, fromZone),
  timeZone: toZone,
});
