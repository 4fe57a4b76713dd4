import type { StartStateId } from '../coefficients/start-states';
import { startStates } from '../coefficients/start-states';
import { productRoles, ROLE_IDS, type RoleId } from '../products';
import { techniqueOf, TECHNIQUE_IDS, type TechniqueId } from '../techniques';
import { toolKinds } from '../techniques/tool-kind';
import { capitalised, plural } from '../words/words';
import { alternatives, bestAmong } from './alternatives';
import { ask, timesOf, type Wish } from './ask';
import { facts } from './facts';
import { barredItems } from './means';
import type { SuggestReason } from './reasons';
import { chanceWords } from './reasons';
import type { Rule } from './rules/rule';
import { Search, type Pick } from './search';
import { scoreParts, type Weighed } from './score';
import { extraLayer, withLayer } from './stacks';
import { roleName } from './words';
import type { Axis, Stack, Way } from './way';

/** Something that was not chosen, and is asked about. */
export type WhyNot =
  | { readonly kind: 'technique'; readonly id: TechniqueId }
  | { readonly kind: 'role'; readonly id: RoleId }
  | { readonly kind: 'start'; readonly id: StartStateId }
  | { readonly kind: 'sections'; readonly count: number }
  | { readonly kind: 'tool'; readonly diameterMm: number };

/** Why it was not chosen. */
export interface WhyNotAnswer {
  /** In a colleague's words: what speaks against it, then what it would cost. */
  readonly text: string;
  readonly fact: SuggestReason['fact'];
  /** The best way with it, to draft; null where there is none. */
  readonly instead: Pick | null;
}

const axisOf = ({ kind }: WhyNot): Axis => (kind === 'role' ? 'layers' : kind);

/** What can be asked about a draft: everything that it does not do. */
export function questionsAbout({ way }: Pick, search: Search): WhyNot[] {
  const { set, stack, startState } = way;
  const technique = techniqueOf(set.technique);
  return [
    ...TECHNIQUE_IDS.filter((id) => id !== set.technique).map((id): WhyNot => ({ kind: 'technique', id })),
    ...ROLE_IDS.filter((id) => id !== 'water' && !stack.layers.some(({ role }) => role === id)).map(
      (id): WhyNot => ({ kind: 'role', id }),
    ),
    ...search.ways.starts.filter((id) => id !== startState).map((id): WhyNot => ({ kind: 'start', id })),
    ...search.ways
      .counts(set.technique)
      .filter(({ sections }) => sections !== set.sections)
      .map(({ sections }): WhyNot => ({ kind: 'sections', count: sections })),
    ...(technique.tool && technique.tool !== 'end-rod'
      ? search.ways
          .sizesFor(set.technique, set.sections)
          .filter(({ diameterMm }) => diameterMm !== set.tool?.diameterMm)
          .map(({ diameterMm }): WhyNot => ({ kind: 'tool', diameterMm }))
      : []),
  ];
}

/** A question in words: "butter", "rods", "18". */
export function whyNotLabel(asked: WhyNot, { way }: Pick): string {
  switch (asked.kind) {
    case 'technique':
      return techniqueOf(asked.id).label.toLowerCase();
    case 'role':
      return roleName(asked.id);
    case 'start':
      return startStates[asked.id].label.toLowerCase();
    case 'sections':
      return plural(asked.count, ...techniqueOf(way.set.technique).noun);
    case 'tool':
      return `${asked.diameterMm} mm`;
  }
}

/** Differences that a stylist would notice, and how they are said when something gets worse. */
const LOSSES: readonly (readonly [
  key: keyof Weighed,
  least: number,
  words: (by: number, now: Weighed) => string,
])[] = [
  ['chance', -0.08, (_, now) => `it would be ${chanceWords(now.chance ?? 0)} by takedown`],
  ['days', -0.4, (by) => `it would last ${by < -1.5 ? `${Math.round(-by)} days` : 'about a day'} less`],
  ['definition', -0.4, (by) => `definition would be ${(-by).toFixed(1)} of 10 lower`],
  ['handsOnMin', 10, (by) => `it takes ${Math.round(by / 5) * 5} min more work`],
  ['stretch', -0.05, (by) => `it would show ${Math.round(-100 * by)} % less of the length`],
  ['volume', -0.5, (by) => `it would be ${(-by).toFixed(1)} of 10 less big`],
  ['soft', -0.7, (by) => `it would be ${(-by).toFixed(1)} of 10 harder to the hand`],
  ['gentle', -0.7, (by) => `it is ${(-by).toFixed(1)} of 10 harder on the hair`],
  ['frizz', 0.5, (by) => `it would frizz ${by.toFixed(1)} of 10 more`],
];
const MOST_LOSSES = 3;

/** What is lost with another way, what is weighed most first. */
function lossWords(draft: Weighed, other: Weighed, search: Search): string[] {
  const { weighing } = search.asked;
  const [was, now] = [scoreParts(draft, weighing), scoreParts(other, weighing)];
  const partOf: Partial<Record<keyof Weighed, keyof typeof was>> = {
    chance: 'sure',
    days: 'lasts',
    definition: 'defined',
    handsOnMin: 'little-work',
    stretch: 'long',
    volume: 'big',
    soft: 'soft',
    gentle: 'gentle',
    frizz: 'frizz',
  };
  return LOSSES.flatMap(([key, least, words]) => {
    const by = Number(other[key] ?? 0) - Number(draft[key] ?? 0);
    const isWorse = least < 0 ? by <= least : by >= least;
    const part = partOf[key]!;
    return isWorse ? [{ text: words(by, other), cost: was[part] - now[part] }] : [];
  })
    .sort((a, b) => b.cost - a.cost)
    .slice(0, MOST_LOSSES)
    .map(({ text }) => text);
}

/** The row that speaks most against a way, where its draft does not have it against itself too. */
function rowAgainst(axis: Axis, draft: Way, other: Way, search: Search): Rule | null {
  const { suits } = search.asked;
  const before = new Set(
    suits
      .of(axis, draft)
      .lines.filter(({ points }) => points < 0)
      .map(({ rule }) => rule.id),
  );
  const against = suits
    .of(axis, other)
    .lines.filter(({ points, rule }) => points < 0 && !before.has(rule.id))
    .sort((a, b) => a.points - b.points);
  return against[0]?.rule ?? null;
}

/** Ways with what is asked about in them, everything else as in the draft, or as suits it best. */
function waysWith(asked: WhyNot, { way }: Pick, search: Search): Way[] {
  switch (asked.kind) {
    case 'role': {
      const layer = extraLayer(asked.id, search.asked.base.head, search.asked.means);
      const withRole = search.asked.stacks.filter(({ layers }) =>
        layers.some(({ role }) => role === asked.id),
      );
      const added: Stack[] = layer ? [withLayer(way.stack, layer)] : [];
      return (withRole.length > 0 ? withRole : added).map((stack) => ({ ...way, stack }));
    }
    case 'start':
      return [{ ...way, startState: asked.id }];
    case 'sections':
      return alternatives('sections', way, search).filter(({ set }) => set.sections === asked.count);
    case 'tool':
      return alternatives('tool', way, search).filter(({ set }) => set.tool?.diameterMm === asked.diameterMm);
    case 'technique':
      return [];
  }
}

/** The best way with a technique, everything else chosen for it. */
function bestWith(wish: Wish, technique: TechniqueId): Pick | null {
  const search = new Search(ask({ ...wish, technique }), timesOf(wish.base));
  const run = search.run();
  let step = run.next();
  while (!step.done) step = run.next();
  return step.value;
}

/** Products of a role that must not go on her. */
function barredWords(role: RoleId, wish: Wish): string | null {
  const ofRole = wish.means.products?.filter((item) => item.role === role) ?? [];
  const [bar] = barredItems(
    ofRole,
    wish.means.allergies,
    wish.base.head.conditions.includes('protein-sensitive'),
  );
  if (!bar || ofRole.some((item) => item !== bar.item && !item.isOut)) return null;
  return bar.why === 'allergy'
    ? `${bar.item.name} lists ${bar.word}, and her card warns of it.`
    : `${bar.item.name} holds protein, and her hair goes stiff with it.`;
}

/** Why a kind of product has to be bought: there is none, or what there is cannot be used. */
function missingWords(role: RoleId | null, label: string, { means }: Wish): string {
  const spent = means.products?.find((item) => item.role === role && item.isOut);
  return spent
    ? `${spent.name} is past its day or not made yet, and there is no other ${label.toLowerCase()} on the shelf.`
    : `There is no ${label.toLowerCase()} on the shelf.`;
}

/** Why something was not chosen: what rules it out, or what speaks against it and what it would cost. */
export function whyNot(wish: Wish, search: Search, draft: Pick, asked: WhyNot): WhyNotAnswer {
  const axis = axisOf(asked);
  const label = capitalised(whyNotLabel(asked, draft));
  if (asked.kind === 'role') {
    const barred = barredWords(asked.id, wish);
    if (barred) return { text: barred, fact: 'allergies', instead: null };
  }
  const other =
    asked.kind === 'technique' ? bestWith(wish, asked.id) : bestAmong(waysWith(asked, draft, search), search);
  if (!other) return { ...impossible(asked, label, search, draft), instead: null };
  const row = rowAgainst(axis, draft.way, other.way, search);
  const losses = lossWords(draft.weighed, other.weighed, search);
  const role = asked.kind === 'role' ? asked.id : null;
  const isToBuy = other.way.stack.layers.some((layer) => layer.isToBuy && layer.role === role);
  const parts = [
    ...(row ? [row.text] : []),
    ...(isToBuy ? [missingWords(role, label, wish)] : []),
    ...(losses.length > 0 ? [`${capitalised(joined(losses))}.`] : []),
  ];
  return {
    text: parts.length > 0 ? parts.join(' ') : `${label} would do nearly as well: take it if you prefer it.`,
    fact: row ? facts[row.fact].field : isToBuy ? 'shelf' : 'wants',
    instead: other,
  };
}

const joined = (items: readonly string[]) =>
  items.length < 2 ? items.join('') : `${items.slice(0, -1).join(', ')} and ${items.at(-1)!}`;

/** Why something cannot be done at all. */
function impossible(
  asked: WhyNot,
  label: string,
  search: Search,
  { way }: Pick,
): Omit<WhyNotAnswer, 'instead'> {
  const { suits, means, base } = search.asked;
  const tried = asked.kind === 'technique' ? { ...way, set: { ...way.set, technique: asked.id } } : way;
  const out = suits.of(axisOf(asked), tried).out;
  if (out) return { text: out.text, fact: facts[out.fact].field };
  if (asked.kind === 'technique') {
    const { tool, noun, coefficients } = techniqueOf(asked.id);
    const { shortestCm, longestCm } = coefficients.value;
    const lengths = Object.values(base.head.stretchedLengthCm);
    if (tool && means.tools && !means.tools.some(({ kind }) => kind === toolKinds[tool].keptAs))
      return { text: `There are no ${toolKinds[tool].noun[1]} in the drawer.`, fact: 'shelf' };
    if (lengths.some((cm) => cm < shortestCm))
      return { text: `Too short in places: ${noun[1]} want ${shortestCm} cm.`, fact: 'stretchedLengthCm' };
    if (lengths.some((cm) => cm > longestCm))
      return { text: `Too long: ${noun[1]} go up to ${longestCm} cm.`, fact: 'stretchedLengthCm' };
    if (tool)
      return { text: `There are not enough ${toolKinds[tool].noun[1]} of a size that fits.`, fact: 'shelf' };
  }
  if (asked.kind === 'role' && productRoles[asked.id].isSealant)
    return { text: `${label} has no sound place among these layers.`, fact: 'usual' };
  return { text: `${label}: this hair, or this set, cannot be done so.`, fact: 'usual' };
}
