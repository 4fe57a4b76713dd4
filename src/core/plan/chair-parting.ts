import type { Brief } from '../brief/brief';
import type { BriefInput } from '../formats/brief';
import type { Checked } from '../formats/field-error';
import { readBrief } from '../formats/read-brief';
import { drawLayout, drawPart } from '../parting/drawn-layout';
import { leaveOut, markSection, mergeSections, splitSection } from '../parting/edits/sections';
import { stripToward } from '../parting/edits/strip';
import type { Edited } from '../parting/edits/edited';
import { layOut, type Layout } from '../parting/layout';
import { loadFor, type LoadOf } from '../parting/load';
import type { PartingRecipe } from '../parting/recipe';
import { sectionName } from '../parting/section-name';
import { numbersAfter } from '../run/parted';
import type { PartingEdit } from '../run/parting-edit';
import type { AnsweredView } from './answer-view';
import { evennessOf } from '../parting/evenness';
import { finishForecast, forecastBasis } from './forecast';
import { forecastView } from './forecast-view';
import { layoutFor } from './layout-for';
import { sectionDoses } from './section-dose';

/** A parting as it stands at the chair: its lines, and which section of them has which number. */
export interface ChairParting {
  readonly layout: Layout;
  /** Sections by the number that the chair calls them by, in working order. */
  readonly keys: ReadonlyMap<number, string>;
  /** Every number that ever was. */
  readonly used: ReadonlySet<number>;
}

/** A parting after a change, or why it cannot be changed so. */
export type ChairEdited =
  { readonly ok: true; readonly parting: ChairParting } | { readonly ok: false; readonly why: string };

/** How much of each of two sections makes the one between them. */
const BETWEEN_SHARE = 1 / 3;

const GONE = 'that section is not there any more';

/** The parting of a set as it was planned. */
export function plannedParting(brief: Brief): ChairParting {
  const layout = layoutFor(brief);
  const keys = new Map(layout.sections.map(({ number, key }) => [number, key]));
  return { layout, keys, used: new Set(keys.keys()) };
}

/** What was decided for a section goes along with all that it became. */
function withMarksOf(recipe: PartingRecipe, from: string, to: readonly string[]): PartingRecipe {
  const mark = recipe.marks[from];
  if (!mark) return recipe;
  const { [from]: _, ...others } = recipe.marks;
  return { ...recipe, marks: { ...others, ...Object.fromEntries(to.map((key) => [key, mark])) } };
}

/** A join that names its sections as the chair does. */
function joined(layout: Layout, key: string, other: string, numbers: readonly [number, number]): Edited {
  const edit = mergeSections(layout, key, other);
  const [one, two] = numbers.map(sectionName);
  return edit.ok
    ? edit
    : { ok: false, why: `${one} and ${two} do not touch enough; choose one that lies beside it` };
}

/** The lines after one change, and the keys of the sections it names where those are others now. */
type Cut = Edited & { readonly renamed?: ReadonlyMap<number, string> };

/** What a change is worked out from. */
interface Before extends ChairParting {
  readonly brief: Brief;
  readonly load: LoadOf;
}

const refuse = (why: string): Cut => ({ ok: false, why });

/** The key of the one section that was not there before. */
const newKey = (recipe: PartingRecipe, before: Iterable<string>): string | undefined => {
  const known = new Set(before);
  return layOut(recipe).sections.find(({ key }) => !known.has(key))?.key;
};

type Of<E extends PartingEdit['edit']> = Extract<PartingEdit, { edit: E }>;

function cutSplit({ layout, keys, load }: Before, { section }: Of<'split'>): Cut {
  const key = keys.get(section)!;
  const split = splitSection(layout, key, load);
  if (!split.ok) return split;
  const halves = [`${key}a`, `${key}b`] as const;
  return {
    ok: true,
    recipe: withMarksOf(split.recipe, key, halves),
    renamed: new Map([[section, halves[0]]]),
  };
}

function cutJoin({ layout, keys }: Before, { section, beside }: Of<'join'>): Cut {
  const key = keys.get(section)!;
  const edit = joined(layout, key, keys.get(beside)!, [section, beside]);
  if (!edit.ok) return edit;
  const together = newKey(edit.recipe, keys.values());
  if (together === undefined) return refuse(GONE);
  return {
    ok: true,
    recipe: withMarksOf(edit.recipe, key, [together]),
    renamed: new Map([[section, together]]),
  };
}

function cutThin({ layout, keys, load }: Before, { section, beside, share }: Of<'thin'>): Cut {
  const [from, into] = [keys.get(section)!, keys.get(beside)!];
  const strip = stripToward(layout, from, into, share, load);
  if (!strip.ok) return strip;
  const moved = joined(layOut(strip.recipe), into, strip.key, [section, beside]);
  if (!moved.ok) return moved;
  const grown = newKey(moved.recipe, [...keys.values(), strip.restKey]);
  if (grown === undefined) return refuse(GONE);
  return {
    ok: true,
    recipe: withMarksOf(withMarksOf(moved.recipe, from, [strip.restKey]), into, [grown]),
    renamed: new Map([
      [section, strip.restKey],
      [beside, grown],
    ]),
  };
}

function cutBetween({ layout, keys, load }: Before, { section, beside }: Of<'between'>): Cut {
  const [one, other] = [keys.get(section)!, keys.get(beside)!];
  const first = stripToward(layout, one, other, BETWEEN_SHARE, load);
  if (!first.ok) return first;
  const second = stripToward({ ...layout, recipe: first.recipe }, other, one, BETWEEN_SHARE, load);
  if (!second.ok) return second;
  const between = joined(layOut(second.recipe), first.key, second.key, [section, beside]);
  if (!between.ok) return between;
  return {
    ok: true,
    recipe: withMarksOf(withMarksOf(between.recipe, one, [first.restKey]), other, [second.restKey]),
    renamed: new Map([
      [section, first.restKey],
      [beside, second.restKey],
    ]),
  };
}

function cutAdd({ layout: { recipe } }: Before, { patch }: Of<'add'>): Cut {
  if (recipe.exclude[patch] === undefined) return refuse('nothing is left out there');
  return { ok: true, recipe: { ...recipe, exclude: recipe.exclude.filter((_, i) => i !== patch) } };
}

function cutSize({ layout, keys, brief }: Before, { sections, diameterMm }: Of<'size'>): Cut {
  const sized = sections.reduce((so, number) => {
    const section = layout.sections.find(({ key }) => key === keys.get(number));
    const tool = section && brief.zones[section.zone].tool;
    return tool ? markSection(so, section.key, { tool: `${tool.kind}-${diameterMm}` }) : so;
  }, layout.recipe);
  return sized === layout.recipe ? refuse('these sections go on no tool') : { ok: true, recipe: sized };
}

function cut(before: Before, edit: PartingEdit): Cut {
  switch (edit.edit) {
    case 'split':
      return cutSplit(before, edit);
    case 'join':
      return cutJoin(before, edit);
    case 'leave-out':
      return leaveOut(before.layout, before.keys.get(edit.section)!);
    case 'thin':
      return cutThin(before, edit);
    case 'between':
      return cutBetween(before, edit);
    case 'add':
      return cutAdd(before, edit);
    case 'size':
      return cutSize(before, edit);
  }
}

/**
 * One change of a parting at the chair. Sections keep their numbers; what is new gets the number that
 * `core/run/parted` gives it.
 */
export function editParting(before: ChairParting, edit: PartingEdit, brief: Brief): ChairEdited {
  const numbers = numbersAfter([...before.keys.keys()], before.used, edit);
  if (!numbers) return { ok: false, why: GONE };
  const load = loadFor(brief.parting.sizes, before.layout.recipe.exclude);
  const done = cut({ ...before, brief, load }, edit);
  if (!done.ok) return done;
  const layout = layOut(done.recipe, brief.parting.winding);
  const known = new Map<string, number>();
  for (const number of numbers) {
    const key = done.renamed?.get(number) ?? before.keys.get(number);
    if (key) known.set(key, number);
  }
  const fresh = numbers.filter((number) => !before.used.has(number));
  const named = layout.sections.map(({ key }) => [known.get(key) ?? fresh.shift(), key] as const);
  const keys = new Map(
    named.flatMap(([number, key]) => (number === undefined ? [] : [[number, key] as const])),
  );
  if (keys.size !== layout.sections.length || keys.size !== numbers.length)
    return { ok: false, why: 'the lines there do not allow it: take back what was changed before' };
  return { ok: true, parting: { layout, keys, used: new Set([...before.used, ...numbers]) } };
}

/** All changes of a parting, in order; the first that cannot be made says why. */
export function partedBy(brief: Brief, edits: readonly PartingEdit[]): ChairEdited {
  let so: ChairEdited = { ok: true, parting: plannedParting(brief) };
  for (const edit of edits) {
    if (!so.ok) return so;
    so = editParting(so.parting, edit, brief);
  }
  return so;
}

/**
 * Why a set cannot have been parted so; null where it can.
 *
 * @param raw the brief it was begun with
 */
export function partingProblem(raw: BriefInput, edits: readonly PartingEdit[]): string | null {
  const brief = readBrief(raw);
  if (!brief.ok) return 'the plan of this set cannot be read';
  const parting = partedBy(brief.value, edits);
  return parting.ok ? null : parting.why;
}

/** A brief whose parting is drawn: zones that were parted for themselves are part of it. */
export function withRecipe(raw: BriefInput, recipe: PartingRecipe): BriefInput {
  const zones =
    raw.set.zones &&
    Object.fromEntries(Object.entries(raw.set.zones).map(([zone, { sections: _, ...rest }]) => [zone, rest]));
  return {
    ...raw,
    set: { ...raw.set, ...(zones && { zones }) },
    parting: { ...raw.parting, recipe: recipe as NonNullable<NonNullable<BriefInput['parting']>['recipe']> },
  };
}

/** A set as its parting is now: its forecast, with sections under the numbers of the chair. */
export interface PartedView extends AnsweredView {
  /** The brief with the parting as it is now. */
  readonly brief: BriefInput;
  /** Grams of each layer by section; null where a layer does not go. */
  readonly doses: Readonly<Record<number, readonly (number | null)[]>>;
}

/** Gives sections of a forecast the numbers of the chair. */
function renumbered(answer: AnsweredView, numbers: readonly number[]): AnsweredView {
  const named = <T extends { readonly number: number }>(sections: readonly T[]) =>
    sections.map((section, i) => ({ ...section, number: numbers[i]! }));
  const { view } = answer;
  return {
    ...answer,
    drawn: named(answer.drawn),
    view: { ...view, plan: { ...view.plan, sections: named(view.plan.sections) } },
  };
}

/**
 * From a raw brief and what was changed at the chair to what the screens show, without draws.
 *
 * @returns what is wrong with the brief; changes that cannot be made are left out, for they were checked when they came
 */
export function partedView(raw: BriefInput, edits: readonly PartingEdit[]): Checked<PartedView> {
  const asPlanned = readBrief(raw);
  if (!asPlanned.ok) return asPlanned;
  const parting = edits.reduce((so, edit) => {
    const next = editParting(so, edit, asPlanned.value);
    return next.ok ? next.parting : so;
  }, plannedParting(asPlanned.value));
  const changed = edits.length === 0 ? raw : withRecipe(raw, parting.layout.recipe);
  const brief = readBrief(changed);
  if (!brief.ok) return brief;
  const { layout } = parting;
  const answer: AnsweredView = {
    view: forecastView(finishForecast(forecastBasis(brief.value, layout), [])),
    drawn: drawLayout(layout),
    partPath: drawPart(layout),
    recipe: layout.recipe,
    evenness: evennessOf(layout, loadFor(brief.value.parting.sizes, layout.recipe.exclude)),
  };
  const numbers = [...parting.keys.keys()];
  const doses = sectionDoses(answer.view.plan, brief.value.head);
  return {
    ok: true,
    value: {
      ...renumbered(answer, numbers),
      brief: changed,
      doses: Object.fromEntries(numbers.map((number, i) => [number, doses[i]!])),
    },
  };
}
