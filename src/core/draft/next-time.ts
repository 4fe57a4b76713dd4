import { endsMethods, rootMethods } from '../coefficients/root-and-ends';
import { nightCares } from '../coefficients/night-care';
import { takedownHands } from '../coefficients/takedown-hands';
import { causes, type CauseId } from '../evidence/causes';
import { dryingMethods } from '../drying-methods';
import type { PlanFile } from '../formats/plan-file';
import { MAX_SECTIONS } from '../parting/generate';
import { productRoles } from '../products';
import { techniqueOf } from '../techniques';
import { plural } from '../words/words';
import type { DraftBrief, DraftLayer, PlanContent } from './draft-brief';
import { MOST_LAYERS } from '../formats/ranges';
import { partedAnew, withWords } from './edits';
import type { TrialWays } from './trial-draft';

/** One thing that is done otherwise the next time. */
export interface NextChange {
  /** What of the plan it changes. */
  readonly what: string;
  readonly was: string;
  readonly now: string;
  readonly content: PlanContent;
}

type Change = (content: PlanContent, given: Pick<PlanFile, 'doses' | 'sections'>) => NextChange | null;

const withBrief = (content: PlanContent, part: Partial<DraftBrief>): PlanContent => ({
  ...content,
  brief: { ...content.brief, ...part },
});
const withSet = (content: PlanContent, part: Partial<DraftBrief['set']>): PlanContent =>
  withBrief(content, { set: { ...content.brief.set, ...part } });

/** What a plan cannot carry by itself is written on it, for hands to remember. */
const noted =
  (id: CauseId): Change =>
  (content) => {
    const note = withWords(content.brief.note, causes[id].nextTime);
    return {
      what: 'Note',
      was: 'nothing said',
      now: causes[id].nextTime,
      content: withBrief(content, { note }),
    };
  };

/** A third more sections, alike on both sides of a trial. */
const moreSections: Change = (content, given) => {
  const { brief } = content;
  const was = brief.set.sections ?? given.sections.length;
  const more = Math.min(MAX_SECTIONS, Math.round((was * 4) / 3));
  const now = brief.parting?.trial ? 2 * Math.ceil(more / 2) : more;
  if (now === was) return null;
  const noun = techniqueOf(brief.set.technique).noun[1];
  return {
    what: 'Sections',
    was: `${was} ${noun}`,
    now: `${now} ${noun}`,
    // Lines drawn by hand are of the old count.
    content: withBrief(content, { parting: partedAnew(brief), set: { ...brief.set, sections: now } }),
  };
};

/** Three quarters of an hour under a warm hood first: what dries it afterwards has less to do. */
const HOOD_H = 0.75;
const drier: Change = (content) => {
  const drying = content.brief.drying ?? [];
  const [first, ...rest] = drying;
  const words = (steps: typeof drying) =>
    steps.map(({ method }) => dryingMethods[method].label.toLowerCase()).join(', ') || 'open air';
  const isHood = first?.method === 'hood-warm';
  return {
    what: 'Drying',
    was: words(drying),
    now: isHood
      ? `${HOOD_H * 60} min longer under the hood`
      : `${HOOD_H * 60} min of warm hood first, then ${words(drying)}`,
    content: withBrief(content, {
      drying: isHood
        ? [{ ...first, hours: first.hours + HOOD_H }, ...rest]
        : [{ method: 'hood-warm' as const, hours: HOOD_H }, ...drying],
    }),
  };
};

/** Every dose times so much. */
const dosed =
  (times: number): Change =>
  (content, { doses }) => {
    const layers = content.brief.set.layers ?? [];
    if (layers.length === 0) return null;
    const gramsOf = (i: number) => doses[i]?.grams ?? 0;
    const total = layers.reduce((sum, _, i) => sum + gramsOf(i), 0);
    const round = (grams: number) => Math.round(10 * times * grams) / 10;
    return {
      what: 'Product',
      was: `${Math.round(total)} g`,
      now: `${Math.round(times * total)} g`,
      content: withSet(content, {
        layers: layers.map((layer, i) => ({ ...layer, grams: round(gramsOf(i)) })),
      }),
    };
  };

const ROOTS_HELD = ['braided', 'stretched'] as const;
const stretchedRoots: Change = (content) => {
  const technique = techniqueOf(content.brief.set.technique);
  const was = content.brief.set.rootMethod ?? technique.rootMethods[0];
  const now = ROOTS_HELD.find((id) => (technique.rootMethods as readonly string[]).includes(id));
  if (!now || now === was) return null;
  return {
    what: 'Roots',
    was: rootMethods[was].label.toLowerCase(),
    now: rootMethods[now].label.toLowerCase(),
    content: withSet(content, { rootMethod: now }),
  };
};

/** Ends that are held best, of those that the technique can carry. */
const heldEnds: Change = (content) => {
  const technique = techniqueOf(content.brief.set.technique);
  const was = content.brief.set.endsMethod ?? technique.endsMethods[0];
  const [now] = [...technique.endsMethods].sort(
    (a, b) => endsMethods[b].definition - endsMethods[a].definition,
  );
  if (!now || endsMethods[now].definition <= endsMethods[was].definition) return null;
  return {
    what: 'Ends',
    was: endsMethods[was].label.toLowerCase(),
    now: endsMethods[now].label.toLowerCase(),
    content: withSet(content, { endsMethod: now }),
  };
};

const gentlerTakedown: Change = (content) => {
  const { hands = 'oiled', separations = 2 } = content.brief.wear ?? {};
  const fewer = Math.max(1, separations - 1);
  const words = (on: keyof typeof takedownHands, pieces: number) =>
    `${takedownHands[on].short}, each in ${plural(pieces, 'piece')}`;
  if (hands === 'oiled' && fewer === separations) return null;
  return {
    what: 'Takedown',
    was: words(hands, separations),
    now: words('oiled', fewer),
    content: withBrief(content, {
      wear: { ...content.brief.wear, hands: 'oiled', separations: fewer },
    }),
  };
};

const keptNights: Change = (content) => {
  const was = content.brief.wear?.night ?? 'gather-and-bonnet';
  if (was === 'gather-and-bonnet') return null;
  return {
    what: 'Nights',
    was: nightCares[was].label.toLowerCase(),
    now: nightCares['gather-and-bonnet'].label.toLowerCase(),
    content: withBrief(content, { wear: { ...content.brief.wear, night: 'gather-and-bonnet' } }),
  };
};

const againstDampAir: Change = (content) => {
  const after = content.brief.wear?.after ?? [];
  if (after.includes('humidity-spray')) return null;
  return {
    what: 'Afterwards',
    was: after.length === 0 ? 'nothing' : 'as it was',
    now: 'a humidity spray',
    content: withBrief(content, { wear: { ...content.brief.wear, after: [...after, 'humidity-spray'] } }),
  };
};

const looser: Change = (content) =>
  content.brief.set.hand === 'loose'
    ? null
    : { what: 'Hand', was: 'as most', now: 'loose', content: withSet(content, { hand: 'loose' }) };

const evenParting: Change = (content) => {
  const { recipe, zoneSize } = content.brief.parting ?? {};
  if (!recipe && !zoneSize) return null;
  return {
    what: 'Parting',
    was: 'drawn by hand',
    now: 'even, as laid out',
    content: withBrief(content, { parting: partedAnew(content.brief, { zoneSize: undefined }) }),
  };
};

const creamBeneath: Change = (content) => {
  const layers = content.brief.set.layers ?? [];
  const at = layers.findIndex(({ role }) => productRoles[role].isHold);
  if (at < 0 || layers.some(({ role }) => role === 'cream') || layers.length >= MOST_LAYERS) return null;
  const half = layers[at]!.half;
  return {
    what: 'Layers',
    was: 'gel by itself',
    now: 'cream beneath it',
    content: {
      ...withSet(content, {
        layers: [...layers.slice(0, at), { role: 'cream', ...(half ? { half } : {}) }, ...layers.slice(at)],
      }),
      layerProductIds: [...content.layerProductIds.slice(0, at), null, ...content.layerProductIds.slice(at)],
    },
  };
};

const fromStretched: Change = (content) =>
  content.brief.set.startState === 'stretched-misted'
    ? null
    : {
        what: 'Start',
        was: (content.brief.set.startState ?? 'damp').replaceAll('-', ' '),
        now: 'stretched, then misted',
        content: withSet(content, { startState: 'stretched-misted' }),
      };

const withoutMask: Change = (content) => {
  const prep = content.brief.prep;
  if (!prep?.some(({ step }) => step === 'deep-condition')) return null;
  return {
    what: 'Before the set',
    was: 'deep conditioner',
    now: 'none on the day',
    content: withBrief(content, { prep: prep.filter(({ step }) => step !== 'deep-condition') }),
  };
};

/** What each cause changes in a plan; a note where a plan has no field for it. */
const CHANGES: Partial<Readonly<Record<CauseId, Change>>> = {
  'before-dry': drier,
  'sections-big': moreSections,
  'sections-few': moreSections,
  'uneven-parting': evenParting,
  'root-method': stretchedRoots,
  'ends-open': heldEnds,
  'ends-worn': heldEnds,
  'too-much': dosed(0.5),
  'too-little': dosed(1.3),
  'rough-takedown': gentlerTakedown,
  'damp-air': againstDampAir,
  'night-care': keptNights,
  'too-tight': looser,
  'hold-hard': creamBeneath,
  'little-stretch': fromStretched,
  'over-softened': withoutMask,
};

/**
 * What a plan has on the hair, and what it has there once changed, as two halves of one head.
 *
 * @param given what was forecast of the plan: its doses
 * @returns null where the change is to no layer, or both ways together are more layers than a set takes
 */
export function asTwoWays(
  before: PlanContent,
  after: PlanContent,
  { doses }: Pick<PlanFile, 'doses'>,
): Omit<TrialWays, 'isALeft'> | null {
  const [was, now] = [before, after].map(({ brief }) => brief.set.layers ?? []) as [
    DraftLayer[],
    DraftLayer[],
  ];
  if (JSON.stringify(was) === JSON.stringify(now) || was.length + now.length > MOST_LAYERS) return null;
  if ([...was, ...now].some(({ half }) => half)) return null;
  const halved = (grams: number | undefined) =>
    grams === undefined ? {} : { grams: Math.round(5 * grams) / 10 };
  return {
    a: was.map((layer, i) => ({
      layer: { ...layer, ...halved(doses[i]?.grams) },
      productId: before.layerProductIds[i] ?? null,
    })),
    b: now.map((layer, i) => ({
      layer: { ...layer, ...halved(layer.grams) },
      productId: after.layerProductIds[i] ?? null,
    })),
  };
}

/**
 * A plan with exactly what a cause asks for changed.
 *
 * @param given what was forecast of it: its doses and sections
 */
export function changedFor(
  id: CauseId,
  content: PlanContent,
  given: Pick<PlanFile, 'doses' | 'sections'>,
): NextChange {
  return CHANGES[id]?.(content, given) ?? noted(id)(content, given)!;
}
