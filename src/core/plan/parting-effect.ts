import type { BriefInput } from '../formats/brief';
import { readBrief } from '../formats/read-brief';
import { joinable } from '../parting/edits/sections';
import { layOut } from '../parting/layout';
import { plannedNumber } from '../parting/section-name';
import type { PartingEdit } from '../run/parting-edit';
import { editParting, partedBy, withRecipe, type ChairParting } from './chair-parting';
import { dryingForecast } from './drying-forecast';
import { forecastBasis, type ForecastBasis } from './forecast';
import { firstCurlMm } from './set-result';
import { zoneGroups } from './zone-groups';

/** A parting with what is forecast of it. */
export interface WeighedParting {
  readonly parting: ChairParting;
  readonly basis: ForecastBasis;
  /** Minutes of setting of each section, by number. */
  readonly minutes: ReadonlyMap<number, number>;
  /** Hours after the end of the set until it is dry, in the middle. */
  readonly dryAfterH: number;
}

/** What a change of the parting brings, against the parting as it was. */
export interface PartingEffect {
  /** Minutes of setting more, at the plan's pace. */
  readonly moreMin: number;
  /** Hours that it is dry later, counted from the end of the set. */
  readonly laterH: number;
  /** First-day curl of what it is about, before and after, mm; null where nothing of it is left. */
  readonly curlMm: { readonly before: number; readonly after: number } | null;
}

/**
 * Forecasts a parting at the chair, without draws.
 *
 * @param raw the brief that the set was begun with
 * @returns null where the brief cannot be read
 */
export function weighParting(raw: BriefInput, parting: ChairParting): WeighedParting | null {
  const brief = readBrief(withRecipe(raw, parting.layout.recipe));
  if (!brief.ok) return null;
  const basis = forecastBasis(brief.value, parting.layout);
  const numbers = [...parting.keys.keys()];
  return {
    parting,
    basis,
    minutes: new Map(basis.sections.map(({ installMin }, i) => [numbers[i]!, installMin])),
    dryAfterH: dryingForecast(basis.drying, []).dryAfterH.p50,
  };
}

/** First-day curl over some sections, by their numbers at the chair. */
function curlOver({ basis, parting }: WeighedParting, numbers: ReadonlySet<number>): number | null {
  const all = [...parting.keys.keys()];
  const { brief, sections, doses } = basis;
  return firstCurlMm(brief, zoneGroups(brief, sections), doses, ({ number }) =>
    numbers.has(all[number - 1]!),
  );
}

const total = ({ minutes }: WeighedParting) => [...minutes.values()].reduce((sum, min) => sum + min, 0);

/** The sections whose curl a change is about: of one that is thinned, that one. */
function aboutOf(edit: PartingEdit): readonly number[] {
  if (edit.edit === 'add') return edit.numbers;
  if (edit.edit === 'size') return edit.sections;
  return edit.edit === 'join' || edit.edit === 'between' ? [edit.section, edit.beside] : [edit.section];
}

/** What is different after some changes. */
export function partingEffect(
  before: WeighedParting,
  after: WeighedParting,
  edits: readonly PartingEdit[],
): PartingEffect {
  const named = new Set(edits.flatMap(aboutOf));
  const fresh = [...after.parting.keys.keys()].filter((number) => !before.parting.used.has(number));
  const [was, is] = [curlOver(before, named), curlOver(after, new Set([...named, ...fresh]))];
  return {
    moreMin: total(after) - total(before),
    laterH: after.dryAfterH - before.dryAfterH,
    curlMm: was === null || is === null ? null : { before: was, after: is },
  };
}

/** One way to part a section otherwise, and what it brings. */
export interface PartingChoice {
  readonly edit: PartingEdit;
  readonly effect: PartingEffect;
}

/** How much of its hair a section that is thinned gives away. */
const THINNED_SHARE = 0.25;

/** A patch that was left out comes back, with a number for each section that it held. */
function addPatch({ layout, keys, used }: ChairParting, patch: number): PartingEdit {
  const { recipe } = layout;
  const whole = layOut({ ...recipe, exclude: recipe.exclude.filter((_, i) => i !== patch) });
  const free = Math.max(...[...used].map(plannedNumber)) + 1;
  const added = whole.sections.length - keys.size;
  return { edit: 'add', patch, numbers: Array.from({ length: added }, (_, i) => free + i) };
}

/** Every way that a section and those beside it can be parted otherwise; done ones are left alone. */
function editsAt(
  parting: ChairParting,
  section: number,
  isOpen: (number: number) => boolean,
  sizesMm: readonly number[],
): PartingEdit[] {
  const { layout, keys } = parting;
  const near = new Set(joinable(layout, keys.get(section) ?? '').map(({ key }) => key));
  const beside = [...keys].flatMap(([number, key]) => (near.has(key) && isOpen(number) ? [number] : []));
  return [
    { edit: 'split', section },
    ...beside.map((other) => ({ edit: 'join', section, beside: other }) as const),
    ...beside.map((other) => ({ edit: 'thin', section, beside: other, share: THINNED_SHARE }) as const),
    ...beside.map((other) => ({ edit: 'between', section, beside: other }) as const),
    { edit: 'leave-out', section },
    ...sizesMm.map((diameterMm): PartingEdit => ({ edit: 'size', sections: [section], diameterMm })),
    ...layout.recipe.exclude.map((_, patch) => addPatch(parting, patch)),
  ];
}

/**
 * How a section can be parted otherwise at the chair, each way with what it brings. What cannot be is left out.
 *
 * @param edits what was changed so far
 * @param done sections that are in: nothing of them is changed
 * @param sizesMm sizes of its tool that there are, besides its own
 */
export function partingChoices(
  raw: BriefInput,
  edits: readonly PartingEdit[],
  section: number,
  done: readonly number[],
  sizesMm: readonly number[],
): PartingChoice[] {
  const brief = readBrief(raw);
  const so = brief.ok && partedBy(brief.value, edits);
  if (!brief.ok || !so || !so.ok) return [];
  const before = weighParting(raw, so.parting);
  if (!before) return [];
  return editsAt(so.parting, section, (number) => !done.includes(number), sizesMm).flatMap(
    (edit): PartingChoice[] => {
      const next = editParting(so.parting, edit, brief.value);
      const after = next.ok ? weighParting(raw, next.parting) : null;
      return after ? [{ edit, effect: partingEffect(before, after, [edit]) }] : [];
    },
  );
}
