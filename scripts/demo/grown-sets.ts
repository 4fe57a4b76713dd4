import type { DraftBrief } from '@/core/draft/draft-brief';
import { seededRng } from '@/core/random/rng';
import { normalQuantile } from '@/core/stats/normal';
import type { DemoSet } from './past-sets';
import type { DemoHeadId, DemoProduct } from './world';

/** How a head of the demo differs from most in truth: ln drying rate, ln days, points of definition, ln hands-on time. */
const TRUTH: Readonly<
  Record<DemoHeadId, readonly [rate: number, days: number, definition: number, pace: number]>
> = {
  amara: [-0.3, 0.1, -0.3, 0.15],
  ife: [0.1, 0.2, 0.4, 0],
  maren: [0.15, -0.05, 0.1, -0.1],
  solveig: [-0.05, -0.25, -0.6, 0.1],
  dayo: [0.2, 0, 0.3, 0.2],
  keziah: [-0.25, -0.15, 0.2, -0.05],
  bisi: [-0.35, 0.45, 0.5, 0.1],
  ottilie: [0.05, -0.4, -1.7, 0.05],
};

/** Hands of the studio, and how much longer they take than most. */
const HANDS = { Odile: 0.02, Bryn: 0.2 } as const;

/** A set as it is told in one line. */
type Row = readonly [
  head: DemoHeadId,
  daysAgo: number,
  kind: 'twists' | 'twists-wet' | 'rods' | 'coils' | 'knots' | 'braids',
  hold: DemoProduct,
  mishap: '' | 'rushed' | 'no-bonnet' | 'heavy' | 'booking',
  by: keyof typeof HANDS,
];

/** Twenty-nine sets of the nine months before those that are told by hand, mistakes and all. */
const ROWS: readonly Row[] = [
  ['amara', 262, 'twists', 'foam', '', 'Odile'],
  ['bisi', 258, 'braids', 'gel', '', 'Odile'],
  ['ife', 251, 'coils', 'gel', '', 'Odile'],
  ['keziah', 246, 'twists-wet', 'gel', 'no-bonnet', 'Bryn'],
  ['ottilie', 240, 'rods', 'lotion', '', 'Odile'],
  ['solveig', 233, 'rods', 'lotion', 'no-bonnet', 'Bryn'],
  ['amara', 226, 'twists-wet', 'gel', '', 'Odile'],
  ['dayo', 221, 'twists', 'foam', 'booking', 'Odile'],
  ['bisi', 214, 'twists', 'gel', 'rushed', 'Bryn'],
  ['maren', 208, 'rods', 'foam', '', 'Odile'],
  ['keziah', 203, 'twists', 'gel', '', 'Odile'],
  ['ife', 197, 'twists', 'foam', '', 'Bryn'],
  ['amara', 191, 'knots', 'gel', '', 'Odile'],
  ['ottilie', 185, 'twists-wet', 'foam', 'no-bonnet', 'Bryn'],
  ['bisi', 178, 'braids', 'gel', '', 'Odile'],
  ['dayo', 172, 'twists', 'foam', '', 'Odile'],
  ['keziah', 166, 'twists-wet', 'foam', 'booking', 'Bryn'],
  ['solveig', 160, 'rods', 'foam', '', 'Odile'],
  ['amara', 154, 'twists', 'gel', 'heavy', 'Odile'],
  ['bisi', 149, 'twists', 'gel', '', 'Odile'],
  ['ife', 143, 'twists-wet', 'foam', 'no-bonnet', 'Bryn'],
  ['maren', 137, 'rods', 'lotion', '', 'Odile'],
  ['ottilie', 131, 'rods', 'lotion', '', 'Odile'],
  ['keziah', 124, 'twists', 'gel', 'no-bonnet', 'Odile'],
  ['dayo', 112, 'twists', 'foam', '', 'Bryn'],
  ['bisi', 104, 'twists-wet', 'gel', 'rushed', 'Bryn'],
  ['ottilie', 96, 'twists', 'gel', '', 'Odile'],
  ['amara', 54, 'twists', 'gel', '', 'Odile'],
  ['bisi', 40, 'braids', 'gel', '', 'Odile'],
];

/** Half-head sets: gel under the cream against the cream alone, sides swapped; and foam against gel, once. */
export const TRIAL_ROWS: readonly (readonly [
  head: DemoHeadId,
  daysAgo: number,
  left: readonly DemoProduct[],
  right: readonly DemoProduct[],
  /** Points that the left half holds better by. */
  betterLeft: number,
])[] = [
  ['ife', 36, ['gel'], ['cream'], 2.5],
  ['ife', 22, ['cream'], ['gel'], -2.1],
  ['keziah', 12, ['foam'], ['gel'], 0.5],
];

const KINDS: Readonly<Record<Row[2], DraftBrief['set']>> = {
  twists: { technique: 'two-strand-twist', sections: 20, rootMethod: 'plain', endsMethod: 'finger-coiled', startState: 'damp' },
  'twists-wet': { technique: 'two-strand-twist', sections: 18, rootMethod: 'plain', endsMethod: 'finger-coiled', startState: 'wet' },
  rods: { technique: 'rod-set', sections: 30, rootMethod: 'plain', endsMethod: 'pasted', startState: 'damp', tool: { diameterMm: 16, workingLengthMm: 80, owned: 36 } },
  coils: { technique: 'finger-coil', sections: 90, rootMethod: 'plain', startState: 'wet' },
  knots: { technique: 'bantu-knot', sections: 16, startState: 'damp' },
  braids: { technique: 'braid', sections: 20, rootMethod: 'plain', startState: 'damp' },
}; // prettier-ignore

const TITLES: Readonly<Record<Row[2], string>> = {
  twists: 'Twist out for the week',
  'twists-wet': 'Twists on wet hair',
  rods: 'Rod set',
  coils: 'Finger coils',
  knots: 'Knots for a big week',
  braids: 'Braid out',
};

const MISHAPS: Readonly<Record<Row[4], string>> = {
  '': '',
  rushed: 'In a hurry: taken down damp.',
  'no-bonnet': 'The bonnet stayed in the drawer.',
  heavy: 'Far too much butter on the lengths.',
  booking: '',
};

/** What comes of a told set beyond its forecast, for those that are told in one line. */
export interface Lived {
  readonly by: keyof typeof HANDS;
  /** ln of its drying rate, over the trade's. */
  readonly rate: number;
  /** ln of the days it lasts, over the forecast. */
  readonly days: number;
  /** Points of definition over the forecast. */
  readonly definition: number;
  /** Times the length that was said to show. */
  readonly shows: number;
  readonly isRushed: boolean;
  readonly isCutShort: boolean;
  readonly reason: NonNullable<DemoSet['outcome']>['reason'];
  readonly note: string;
  /** A second pair of eyes that rated the first day too, and by how much they give more. */
  readonly second: number | null;
}

const rng = seededRng(2026, 11);
const spread = (sd: number) => sd * normalQuantile(rng());

const reasonOf = (mishap: Row[4]): Lived['reason'] =>
  mishap === 'booking' ? 'booking' : mishap === 'heavy' ? 'limp' : rng() < 0.5 ? 'frizz' : 'lost-shape';

/** The told sets in full: what each head is like, what went wrong, and some luck. */
export const GROWN_SETS: readonly (DemoSet & { readonly lived: Lived })[] = ROWS.map(
  ([head, daysAgo, kind, hold, mishap, by], i) => {
    const [rate, days, definition, pace] = TRUTH[head];
    const isBare = mishap === 'no-bonnet';
    return {
      head,
      title: TITLES[kind],
      daysAgo,
      set: KINDS[kind],
      products: mishap === 'heavy' ? ['leave', 'butter', hold] : ['leave', hold],
      drying: [
        { method: isBare ? 'air' : 'bonnet', hours: 9 },
        { method: 'hood-warm', hours: 1 },
      ],
      wear: { night: isBare ? 'nothing' : 'gather-and-bonnet' },
      pace: Math.exp(HANDS[by] + pace + spread(0.06)),
      checks: [],
      takenDownAfterH: 0,
      diary: [],
      ...(MISHAPS[mishap] ? { notes: [MISHAPS[mishap]] } : {}),
      lived: {
        by,
        rate: rate + spread(0.08),
        days:
          days +
          (kind === 'twists-wet' ? -0.18 : 0.06) +
          (isBare ? -0.2 : 0.05) +
          (mishap === 'heavy' ? -0.35 : 0) +
          spread(0.14),
        definition: definition + (mishap === 'rushed' ? -1.6 : 0) + spread(0.5),
        shows: Math.exp(0.3 * rate + spread(0.09)),
        isRushed: mishap === 'rushed',
        isCutShort: mishap === 'booking',
        reason: reasonOf(mishap),
        note: MISHAPS[mishap],
        second: i % 3 === 0 ? 1 : null,
      },
    };
  },
);
