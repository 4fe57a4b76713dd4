'use client';
import { useMemo, useState } from 'react';
import { perZone } from '@/core/hair/zone';
import { drawLayout, drawPart, type DrawnSection } from '@/core/parting/drawn-layout';
import type { Edited } from '@/core/parting/edits/edited';
import {
  moveHandle,
  nudgeHandle,
  partHandles,
  sectionHandles,
  type Handle,
} from '@/core/parting/edits/handles';
import { aspectOf, evennessOf, type Evenness } from '@/core/parting/evenness';
import { generateRecipe } from '@/core/parting/generate';
import { layOut, type LaidSection, type Layout } from '@/core/parting/layout';
import { loadFor, type LoadOf } from '@/core/parting/load';
import { recipeCount, type PartingRecipe } from '@/core/parting/recipe';
import { techniqueOf } from '@/core/techniques';
import type { ChartPoint } from '@/core/sphere/crown-chart';
import { withRecipe } from '@/core/draft/edits';
import type { DraftBrief } from '@/core/draft/draft-brief';

/** A parting while it is edited by hand: what is drawn, what is held, and what can be done. */
export interface HandParting {
  readonly layout: Layout;
  readonly load: LoadOf;
  readonly drawn: readonly DrawnSection[];
  readonly partPath: string | null;
  readonly evenness: Evenness;
  /** Mean aspect of the sections if they were parted anew; null while nothing was drawn by hand. */
  readonly freshAspect: number | null;
  readonly selected: LaidSection | null;
  readonly handles: readonly Handle[];
  /** Why the last edit could not be done. */
  readonly problem: string | null;
  readonly select: (number: number) => void;
  readonly apply: (edit: Edited) => void;
  readonly drag: (handle: Handle, to: ChartPoint) => void;
  /** Ends a drag where the hand let go: all of it is one edit. */
  readonly drop: (handle: Handle, to: ChartPoint) => void;
  readonly nudge: (handle: Handle, cm: number) => void;
}

/**
 * Edits the parting of a brief by hand; null while that is not wanted or nothing is parted yet.
 *
 * @param answered lines of the newest forecast
 * @param isCurrent whether that forecast is of this brief; until it is, nothing is edited
 */
export function useHandParting(
  isOn: boolean,
  brief: DraftBrief,
  answered: PartingRecipe | null,
  isCurrent: boolean,
  onChange: (part: Partial<DraftBrief>) => void,
): HandParting | null {
  const drawn = (brief.parting?.recipe as PartingRecipe | undefined) ?? answered;
  const [preview, setPreview] = useState<{ from: PartingRecipe; recipe: PartingRecipe } | null>(null);
  const [selectedKey, setSelectedKey] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  // A preview belongs to the lines it was dragged from.
  const recipe = preview && preview.from === drawn ? preview.recipe : drawn;
  const sizes = JSON.stringify(brief.parting?.zoneSize ?? {});
  const leftOut = JSON.stringify(recipe?.exclude ?? []);
  const load = useMemo(() => {
    const given = JSON.parse(sizes) as Partial<Record<string, number>>;
    return loadFor(
      perZone((zone) => given[zone] ?? 1),
      JSON.parse(leftOut) as PartingRecipe['exclude'],
    );
  }, [sizes, leftOut]);
  const laid = useMemo(() => {
    if (!isOn || !recipe) return null;
    const layout = layOut(recipe);
    return {
      layout,
      drawn: drawLayout(layout),
      partPath: drawPart(layout),
      evenness: evennessOf(layout, load),
    };
  }, [isOn, recipe, load]);
  const hasOwnLines = brief.parting?.recipe !== undefined;
  // What a parting cut anew would be like: the lines drawn by hand are measured against it.
  const freshAspect = useMemo(() => {
    if (!isOn || !drawn || !hasOwnLines) return null;
    const given = JSON.parse(sizes) as Partial<Record<string, number>>;
    const spec = {
      circumferenceCm: drawn.circumferenceCm,
      count: recipeCount(drawn),
      pattern: drawn.pattern,
      part: drawn.part.kind,
      trial: drawn.trial,
      backRows: null,
      aspect: techniqueOf(brief.set.technique).sectionAspect,
      sizes: perZone((zone) => given[zone] ?? 1),
      own: {},
    };
    const { sections } = layOut(generateRecipe(spec));
    return sections.reduce((sum, { outline }) => sum + aspectOf(outline), 0) / sections.length;
  }, [isOn, drawn, hasOwnLines, sizes, brief.set.technique]);
  if (!laid || !recipe || !drawn) return null;

  const { layout } = laid;
  const selected = layout.sections.find(({ key }) => key === selectedKey) ?? null;
  const apply = (edit: Edited) => {
    setPreview(null);
    if (!isCurrent && drawn === answered) return;
    if (!edit.ok) return setProblem(edit.why);
    setProblem(null);
    onChange(withRecipe(brief, edit.recipe));
  };
  return {
    ...laid,
    load,
    freshAspect,
    selected,
    handles: [...partHandles(recipe), ...(selected ? sectionHandles(layout, selected.key) : [])],
    problem,
    select: (number) => {
      const key = layout.sections[number - 1]?.key ?? null;
      setSelectedKey(key === selectedKey ? null : key);
      setProblem(null);
    },
    apply,
    drag: (handle, to) => {
      const edit = moveHandle(recipe, handle, to, load);
      if (edit.ok) setPreview({ from: drawn, recipe: edit.recipe });
    },
    drop: (handle, to) => apply(moveHandle(recipe, handle, to, load)),
    nudge: (handle, cm) => apply(nudgeHandle(recipe, handle, cm, load)),
  };
}
