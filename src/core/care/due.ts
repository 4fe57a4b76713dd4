import { care } from '../coefficients/care';
import { growthOf, type Cut, type LengthOnDay } from './growth';
import { nextWash, type WashDue } from './wash';

/** What is done to hair between sets, as it is written down. One row a kind. */
export const careKinds = {
  wash: { label: 'Washed' },
  'deep-condition': { label: 'Deep conditioned' },
  trim: { label: 'Trimmed' },
  cut: { label: 'Cut shorter' },
  colour: { label: 'Coloured or bleached' },
  heat: { label: 'Straightened with heat' },
} as const satisfies Record<string, { readonly label: string }>;
export type CareKindId = keyof typeof careKinds;
export const CARE_KIND_IDS = Object.keys(careKinds) as CareKindId[];

/** One thing that was done, on a day counted from one fixed day. */
export interface CareDone {
  readonly kind: CareKindId;
  readonly day: number;
  /** What came off, mm; null for anything but scissors. */
  readonly cutMm: number | null;
}

/** What care of a head rests on. */
export interface CareFacts {
  readonly today: number;
  readonly done: readonly CareDone[];
  /** Washes that sets began with, and whether they were deep conditioned. */
  readonly sets: readonly { readonly day: number; readonly isDeep: boolean }[];
  /** Twists, braids or the like are in. */
  readonly isInSet: boolean;
  readonly scalpNotedOn: number | null;
  /** Ends that were noted open, bent or broken in the last sets, newest first. */
  readonly endsNoted: readonly boolean[];
  readonly isDueATrim: boolean;
  /** Deep conditioned at every wash: bleached hair always, else by school; every other wash otherwise. */
  readonly isDeepEveryTime: boolean;
  /** Stretched lengths by zone. */
  readonly lengths: readonly (readonly LengthOnDay[])[];
  readonly trimWeeks: number;
  /** When the rods of the last set on rods will be too small. */
  readonly rodsOutgrownOn: number | null;
}

/** What can be due, as it is asked for. */
export const DUE_WORDS = {
  wash: 'wash',
  'deep-condition': 'deep condition',
  trim: 'trim',
  measure: 'measure again',
  rods: 'larger rods',
} as const;

/** Something that is due. */
export interface CareDue {
  readonly kind: keyof typeof DUE_WORDS;
  /** Null where it is due for another reason than the calendar. */
  readonly day: number | null;
  readonly why: string;
}

const washWhy: Readonly<Record<WashDue['why'], (due: WashDue) => string>> = {
  'her-rhythm': ({ intervals }) => `as the last ${intervals} washes lay apart`,
  'usual-loose': () => 'a week, as usual worn loose',
  'usual-twists': () => 'a fortnight in the set at most',
  scalp: () => 'itch or flakes were noted',
};

const isCut = ({ kind }: CareDone) => kind === 'trim' || kind === 'cut';

/** What came off, for the log of lengths. */
export const cutsOf = (done: readonly CareDone[]): Cut[] =>
  done.flatMap((one) => (isCut(one) && one.cutMm !== null ? [{ day: one.day, mm: one.cutMm }] : []));

/** Why a trim is due; null where it is not. */
function trimDue(facts: CareFacts): CareDue | null {
  const { done, endsNoted, isDueATrim, lengths, trimWeeks } = facts;
  const last = Math.max(-Infinity, ...done.filter(isCut).map(({ day }) => day));
  if (isDueATrim) return { kind: 'trim', day: null, why: 'the card says that it is due' };
  if (endsNoted[0] && endsNoted[1])
    return { kind: 'trim', day: null, why: 'ends were noted open or broken in two sets running' };
  const { trimSpan, poorRetention, fewestLengths } = care.value;
  const breaks = lengths.some((points) => {
    const since = points.filter(({ day }) => day >= last);
    const days = since.map(({ day }) => day);
    if (since.length < fewestLengths || Math.max(...days) - Math.min(...days) < trimSpan) return false;
    const growth = growthOf(since, cutsOf(done));
    return growth !== null && growth.kept < poorRetention;
  });
  if (breaks) return { kind: 'trim', day: null, why: 'less length is kept than grows' };
  return last === -Infinity
    ? null
    : { kind: 'trim', day: last + 7 * trimWeeks, why: `${trimWeeks} weeks after the last` };
}

/**
 * All care that is due, or will be, the soonest first.
 *
 * @source evidence §7
 */
export function careDue(facts: CareFacts): CareDue[] {
  const { done, sets, isInSet, scalpNotedOn, isDeepEveryTime, lengths } = facts;
  const washes = [
    ...sets.map(({ day }) => day),
    ...done.filter(({ kind }) => kind === 'wash').map(({ day }) => day),
  ];
  const wash = nextWash(washes, isInSet, scalpNotedOn);
  const deepDays = [
    ...sets.filter(({ isDeep }) => isDeep).map(({ day }) => day),
    ...done.filter(({ kind }) => kind === 'deep-condition').map(({ day }) => day),
  ];
  const lastDeep = Math.max(-Infinity, ...deepDays);
  const washesSince = new Set(washes.filter((day) => day > lastDeep)).size;
  const isDeepNext = wash !== null && (isDeepEveryTime || washesSince >= 1 || lastDeep === -Infinity);
  const measuredOn = Math.max(-Infinity, ...lengths.flatMap((points) => points.map(({ day }) => day)));
  const due: CareDue[] = [
    ...(wash ? [{ kind: 'wash' as const, day: wash.day, why: washWhy[wash.why](wash) }] : []),
    ...(isDeepNext
      ? [
          {
            kind: 'deep-condition' as const,
            day: wash.day,
            why: isDeepEveryTime ? 'with this wash, as every time' : 'with this wash, as every other time',
          },
        ]
      : []),
    ...[trimDue(facts)].filter((one) => one !== null),
    ...(measuredOn === -Infinity
      ? []
      : [
          {
            kind: 'measure' as const,
            day: measuredOn + care.value.measureAfterDays,
            why: 'it grows about a centimetre in that time',
          },
        ]),
  ];
  if (facts.rodsOutgrownOn !== null)
    due.push({
      kind: 'rods',
      day: facts.rodsOutgrownOn,
      why: 'it will lie in two layers on those of the last set',
    });
  return due.sort((a, b) => (a.day ?? -Infinity) - (b.day ?? -Infinity));
}
