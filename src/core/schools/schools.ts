import { productRoles, type RoleId } from '../products';
import type { BriefInput } from '../formats/brief';
import type { KnotPrepared } from '../techniques/knot-way';

type SchoolDraft = Pick<BriefInput, 'set' | 'drying' | 'wear' | 'prep'>;
type DraftLayer = NonNullable<BriefInput['set']['layers']>[number];

/** One school of a disagreement: what it does, and what is gained and lost by it, in one line. */
export interface School {
  readonly label: string;
  readonly line: string;
  /** A brief done this school's way; left out where only the hands can do it. */
  readonly apply?: (draft: SchoolDraft) => Partial<SchoolDraft>;
  /** Whether a brief is done this way. */
  readonly isOf?: (draft: SchoolDraft) => boolean;
}

/** Where a disagreement is decided. */
export type SchoolStep = 'prep' | 'start' | 'layers' | 'roots' | 'drying' | 'nights';

/** A question that practitioners answer differently. All of it is common practice. */
export interface SchoolQuestion {
  readonly label: string;
  readonly step: SchoolStep;
  /** Only asked for these techniques; of all where left out. */
  readonly only?: readonly string[];
  readonly schools: Readonly<Record<string, School>>;
}

const layersOf = ({ set }: SchoolDraft): readonly DraftLayer[] => set.layers ?? [];
const withLayers = (draft: SchoolDraft, layers: readonly DraftLayer[]): Partial<SchoolDraft> => ({
  set: { ...draft.set, layers: [...layers] },
});
const isOil = ({ role }: DraftLayer) => productRoles[role].isSealant && !productRoles[role].isHold;
const isHold = ({ role }: DraftLayer) => productRoles[role].isHold;
const at = (layers: readonly DraftLayer[], is: (layer: DraftLayer) => boolean) => layers.findIndex(is);
const isCream = ({ role }: DraftLayer) => role === 'cream';

/** Cream and oil in an order, each in the place that one of them had. */
function ordered(draft: SchoolDraft, first: (layer: DraftLayer) => boolean): Partial<SchoolDraft> {
  const layers = layersOf(draft);
  const pair = layers.filter((layer) => isCream(layer) || isOil(layer));
  const next = [...pair.filter(first), ...pair.filter((layer) => !first(layer))];
  let i = 0;
  return withLayers(
    draft,
    layers.map((layer) => (isCream(layer) || isOil(layer) ? next[i++]! : layer)),
  );
}

/** The hold of a set changed to other roles; whatever is under it stays. */
function held(draft: SchoolDraft, roles: readonly RoleId[]): Partial<SchoolDraft> {
  const layers = layersOf(draft);
  const kept = layers.filter((layer) => !isHold(layer) || roles.includes(layer.role));
  const missing = roles.filter((role) => !kept.some((layer) => layer.role === role));
  return withLayers(draft, [...kept, ...missing.map((role) => ({ role }))]);
}
const holds = (draft: SchoolDraft, ...roles: readonly RoleId[]) => {
  const holding = layersOf(draft).filter(isHold);
  return (
    holding.length === roles.length && roles.every((role) => holding.some((layer) => layer.role === role))
  );
};

const startsAt = (startState: NonNullable<SchoolDraft['set']['startState']>) => ({
  apply: (draft: SchoolDraft) => ({ set: { ...draft.set, startState } }),
  isOf: (draft: SchoolDraft) => (draft.set.startState ?? 'damp') === startState,
});
const wears = (part: NonNullable<SchoolDraft['wear']>) => ({
  apply: (draft: SchoolDraft) => ({ wear: { ...draft.wear, ...part } }),
  isOf: (draft: SchoolDraft) =>
    Object.entries(part).every(
      ([key, value]) =>
        ({ night: 'gather-and-bonnet', hands: 'oiled', ...draft.wear })[key as 'night' | 'hands'] === value,
    ),
});

const knots = (prepared: KnotPrepared) => ({
  apply: (draft: SchoolDraft) => ({ set: { ...draft.set, knot: { ...draft.set.knot, prepared } } }),
  isOf: ({ set }: SchoolDraft) => (set.knot?.prepared ?? 'rolled') === prepared,
});

/** Where practitioners differ, in the order of the work. Add a question, or a school, by adding it here. */
export const schoolQuestions = {
  conditioning: {
    label: 'Deep conditioning',
    step: 'prep',
    schools: {
      always: {
        label: 'Every wash',
        line: 'Softer and easier to part; half an hour more. Always, where hair is bleached.',
        apply: ({ prep }) =>
          prep && !prep.some(({ step }) => step === 'deep-condition')
            ? {
                prep: [
                  ...prep.filter(({ step }) => step !== 'instant-condition' && step !== 'blot'),
                  { step: 'deep-condition' as const },
                  ...prep.filter(({ step }) => step === 'blot'),
                ],
              }
            : {},
      },
      alternate: {
        label: 'Every other wash',
        line: 'Saves the time; some hair goes limp when it is conditioned too often.',
      },
    },
  },
  detangling: {
    label: 'Detangling',
    step: 'prep',
    schools: {
      'before-and-after': {
        label: 'Before washing and after',
        line: 'Nothing mats under the water; two passes of the comb.',
      },
      'in-conditioner': {
        label: 'In the conditioner',
        line: 'One pass with all the slip there is; knots that were there get washed first.',
      },
    },
  },
  start: {
    label: 'How wet to start',
    step: 'start',
    schools: {
      wet: { label: 'As wet as possible', line: 'Slip and clumping; the longest drying.', ...startsAt('wet') },
      damp: { label: 'Damp', line: 'Sets sooner; wants a mist while it waits.', ...startsAt('damp') },
      'nearly-dry': {
        label: 'Nearly dry',
        line: 'Sets soonest of the washed starts; less clumping.',
        ...startsAt('nearly-dry'),
      },
      'blown-out': {
        label: 'Blown out, lightly misted',
        line: 'Length, volume and dry within about an hour; heat first, and little separating.',
        ...startsAt('stretched-misted'),
      },
    },
  },
  order: {
    label: 'Cream or oil first',
    step: 'layers',
    schools: {
      'cream-first': {
        label: 'Leave-in, cream, then oil',
        line: 'The oil seals everything in; softest.',
        apply: (draft) => ordered(draft, isCream),
        isOf: (draft) => at(layersOf(draft), isCream) >= 0 && at(layersOf(draft), isOil) > at(layersOf(draft), isCream),
      },
      'oil-first': {
        label: 'Leave-in, oil, then cream',
        line: 'The cream stays on top and takes hold better; dries a little sooner. Never oil under everything.',
        apply: (draft) => ordered(draft, isOil),
        isOf: (draft) => at(layersOf(draft), isOil) >= 0 && at(layersOf(draft), isCream) > at(layersOf(draft), isOil),
      },
    },
  },
  through: {
    label: 'After product',
    step: 'layers',
    schools: {
      brush: {
        label: 'Brush it through',
        line: 'Even coats and smooth roots; more minutes.',
        apply: ({ set }) => ({ set: { ...set, brushedThrough: true } }),
        isOf: ({ set }) => set.brushedThrough === true,
      },
      rake: {
        label: 'Fingers only',
        line: 'Keeps the clumps hair makes by itself.',
        apply: ({ set }) => ({ set: { ...set, brushedThrough: false } }),
        isOf: ({ set }) => set.brushedThrough !== true,
      },
    },
  },
  hold: {
    label: 'What holds it',
    step: 'layers',
    schools: {
      'cream-under-gel': {
        label: 'Cream under gel',
        line: 'The cream softens the cast; slower to dry.',
        apply: (draft) => {
          const { set } = held(draft, ['gel']);
          const layers = set?.layers ?? [];
          if (layers.some(isCream)) return { set: set! };
          const top = at(layers, isHold);
          return withLayers(draft, [...layers.slice(0, top), { role: 'cream' }, ...layers.slice(top)]);
        },
        isOf: (draft) => holds(draft, 'gel') && layersOf(draft).some(isCream),
      },
      gel: {
        label: 'Gel',
        line: 'Lasts longest, casts hard.',
        apply: (draft) => held(draft, ['gel']),
        isOf: (draft) => holds(draft, 'gel'),
      },
      foam: {
        label: 'Foam',
        line: 'Soft and light; gone sooner.',
        apply: (draft) => held(draft, ['mousse']),
        isOf: (draft) => holds(draft, 'mousse'),
      },
      soft: {
        label: 'Cream or butter alone',
        line: 'Softest, frizzes soonest.',
        apply: (draft) => {
          const soft = held(draft, []);
          const layers = soft.set?.layers ?? [];
          return layers.some(isCream) ? soft : withLayers(draft, [...layers, { role: 'cream' }]);
        },
        isOf: (draft) => holds(draft) && layersOf(draft).some((layer) => isCream(layer) || layer.role === 'butter'),
      },
      pomade: {
        label: 'Pomade',
        line: 'Soft hold that seals, and dries sooner because it brings no water.',
        apply: (draft) => held(draft, ['pomade']),
        isOf: (draft) => holds(draft, 'pomade'),
      },
    },
  },
  knots: {
    label: 'Into the knot',
    step: 'roots',
    only: ['bantu-knot'],
    schools: {
      roll: { label: 'Roll the section', line: 'A smooth wide spiral; slips more easily while winding.', ...knots('rolled') },
      twist: {
        label: 'Two-strand twist it first',
        line: 'Holds while winding and gives more texture; stop at three quarters and twirl the end.',
        ...knots('twisted'),
      },
    },
  },
  drying: {
    label: 'When to dry',
    step: 'drying',
    schools: {
      overnight: {
        label: 'Overnight, or longer in the set',
        line: 'No heat and nobody sits; roots may still be damp in the morning.',
        apply: () => ({ drying: [{ method: 'bonnet', hours: 9 }] }),
        isOf: ({ drying }) => (drying ?? []).every(({ method }) => method === 'bonnet' || method === 'air'),
      },
      today: {
        label: 'Hood or diffuser, worn today',
        line: 'Dry the same day and surer at the root; heat, and someone who sits.',
        apply: () => ({ drying: [{ method: 'hood-warm', hours: 1.5 }, { method: 'air', hours: 1 }] }),
        isOf: ({ drying }) => (drying ?? []).some(({ method }) => method !== 'bonnet' && method !== 'air'),
      },
    },
  },
  takedown: {
    label: 'Hands at takedown',
    step: 'nights',
    schools: {
      oiled: { label: 'Oil on the hands', line: 'Less frizz while it is undone; a little weight.', ...wears({ hands: 'oiled' }) },
      bare: { label: 'Nothing on them', line: 'Stays dry and light; frizzes more easily.', ...wears({ hands: 'bare' }) },
    },
  },
  fluffing: {
    label: 'Roots or pieces first',
    step: 'nights',
    schools: {
      'roots-first': { label: 'Roots first, then separate', line: 'Hides the parts at once; size comes early.' },
      'separate-first': { label: 'Separate first, pick last', line: 'Cleaner pieces; stop when it is big enough.' },
    },
  },
  night: {
    label: 'At night',
    step: 'nights',
    schools: {
      gather: { label: 'Loose high gather and bonnet', line: 'Keeps its size.', ...wears({ night: 'gather-and-bonnet' }) },
      scarf: { label: 'Scarf, free at the back', line: 'Smooth edges, a flat top.', ...wears({ night: 'scarf' }) },
      'big-twists': { label: 'Big re-twists', line: 'Grows stretch and volume each day.', ...wears({ night: 're-twists' }) },
      'larger-knots': { label: 'Re-knot, larger', line: 'Keeps the spiral; ten minutes every night.', ...wears({ night: 're-knots-larger' }) },
    },
  },
} as const satisfies Readonly<Record<string, SchoolQuestion>>; // prettier-ignore

export type SchoolQuestionId = keyof typeof schoolQuestions;
/** Their ids, in the order of the work. */
export const SCHOOL_QUESTION_IDS = Object.keys(schoolQuestions) as SchoolQuestionId[];

/** The question of an id, in the common shape. */
export const schoolQuestion = (id: SchoolQuestionId): SchoolQuestion => schoolQuestions[id];

/** Which school was taken, by question. A question left out was never asked. */
export type ChosenSchools = Partial<Readonly<Record<SchoolQuestionId, string>>>;

/** Questions of one step of a plan, for its technique. */
export const questionsOf = (step: SchoolStep, technique: string): SchoolQuestionId[] =>
  SCHOOL_QUESTION_IDS.filter((id) => {
    const { step: askedAt, only } = schoolQuestion(id);
    return askedAt === step && (!only || only.includes(technique));
  });

/** The school that a brief follows in one question, where a brief can tell; else the remembered one. */
export function followedSchool(
  id: SchoolQuestionId,
  draft: SchoolDraft,
  remembered: ChosenSchools,
): string | null {
  const { schools } = schoolQuestion(id);
  const known = remembered[id];
  if (known && schools[known] && (schools[known].isOf?.(draft) ?? true)) return known;
  return Object.keys(schools).find((school) => schools[school]!.isOf?.(draft)) ?? null;
}

/** A brief done as the remembered schools say. What no longer exists is passed over. */
export function withSchools<T extends SchoolDraft>(draft: T, remembered: ChosenSchools): T {
  return SCHOOL_QUESTION_IDS.reduce<T>((taught, id) => {
    const school = schoolQuestion(id).schools[remembered[id] ?? ''];
    return school?.apply && !school.isOf?.(taught) ? { ...taught, ...school.apply(taught) } : taught;
  }, draft);
}
