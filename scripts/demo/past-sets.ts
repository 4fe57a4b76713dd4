import type { CheckFeel } from '@/core/drying/dryness-checks';
import type { Level } from '@/core/drying/nodes';
import type { EndReasonId } from '@/core/wear/end-reasons';
import type { DraftBrief } from '@/core/draft/draft-brief';
import type { DemoHeadId, DemoProduct } from './world';

/** A set of the demo as it is told: what was planned, and what happened against it. */
export interface DemoSet {
  readonly head: DemoHeadId;
  readonly title: string;
  /** Days before now that it was begun. */
  readonly daysAgo: number;
  readonly set: DraftBrief['set'];
  readonly products: readonly DemoProduct[];
  readonly drying: NonNullable<DraftBrief['drying']>;
  readonly room?: DraftBrief['room'];
  readonly wear?: DraftBrief['wear'];
  /** Actual over planned setting time. */
  readonly pace: number;
  readonly checks: readonly { afterH: number; section: number; level: Level; feel: CheckFeel }[];
  /** Hours after the set was finished; null while it still dries. */
  readonly takenDownAfterH: number | null;
  readonly takedownReason?: string;
  /** Definition and frizz as rated against the forecast of each day, in points. */
  readonly diary: readonly (readonly [definition: number, frizz: number, note?: string])[];
  readonly outcome?: { lastGoodDay: number; reason: EndReasonId; note: string };
  readonly notes?: readonly string[];
}

const twists = (sections: number, more: Partial<DraftBrief['set']> = {}): DraftBrief['set'] => ({
  technique: 'two-strand-twist',
  sections,
  rootMethod: 'plain',
  endsMethod: 'finger-coiled',
  startState: 'damp',
  ...more,
});
const rods = (
  sections: number,
  diameterMm: number,
  workingLengthMm: number,
  owned: number,
  more: Partial<DraftBrief['set']> = {},
): DraftBrief['set'] => ({
  technique: 'rod-set',
  sections,
  rootMethod: 'plain',
  endsMethod: 'pasted',
  startState: 'damp',
  tool: { diameterMm, workingLengthMm, owned },
  ...more,
});

/** Six sets that are over, one being worn, one drying now. Times are counted back from now. */
export const DEMO_SETS: readonly DemoSet[] = [
  {
    head: 'amara',
    title: 'First twist out with the gel',
    daysAgo: 118,
    set: twists(18, { rootMethod: 'braided' }),
    products: ['leave', 'cream', 'gel'],
    drying: [
      { method: 'bonnet', hours: 9.5 },
      { method: 'hood-hot', hours: 1.5 },
    ],
    pace: 1.12,
    checks: [
      { afterH: 8.1, section: 2, level: 'root', feel: 'damp' },
      { afterH: 12.1, section: 2, level: 'root', feel: 'dry' },
    ],
    takenDownAfterH: 12.4,
    diary: [
      [0.4, -0.5],
      [0.3, -0.2],
      [0, 0],
      [-0.4, 0.6],
      [-0.8, 1],
    ],
    outcome: { lastGoodDay: 4, reason: 'lost-shape', note: 'Still soft, crown had gone.' },
  },
  {
    head: 'amara',
    title: 'Rushed: taken down damp',
    daysAgo: 81,
    set: twists(12),
    products: ['leave', 'butter', 'foam'],
    drying: [{ method: 'air', hours: 8 }],
    pace: 0.92,
    checks: [{ afterH: 8, section: 6, level: 'root', feel: 'damp' }],
    takenDownAfterH: 8.5,
    takedownReason: 'had to leave for the train',
    diary: [
      [-1.6, 1.8, 'roots puffed by noon'],
      [-2.2, 2.6],
    ],
    outcome: { lastGoodDay: 1, reason: 'frizz', note: 'Damp inside at takedown.' },
  },
  {
    head: 'ife',
    title: 'Small twists, foam only',
    daysAgo: 66,
    set: twists(34),
    products: ['leave', 'foam'],
    drying: [{ method: 'hood-warm', hours: 1.5 }],
    pace: 1.05,
    checks: [{ afterH: 1.9, section: 17, level: 'root', feel: 'dry' }],
    takenDownAfterH: 2.2,
    diary: [
      [0.2, 0],
      [0.4, -0.3],
      [0.1, 0],
      [0, 0.4],
      [-0.5, 0.9],
    ],
    outcome: { lastGoodDay: 4, reason: 'dull', note: '' },
  },
  {
    head: 'solveig',
    title: 'Rods for the wedding',
    daysAgo: 47,
    set: rods(30, 20, 85, 30, { startState: 'nearly-dry' }),
    products: ['leave', 'lotion', 'heat'],
    drying: [
      { method: 'hood-cool', hours: 2.5 },
      { method: 'air', hours: 3 },
    ],
    pace: 1.18,
    checks: [
      { afterH: 2.6, section: 5, level: 'root', feel: 'cool' },
      { afterH: 5, section: 5, level: 'root', feel: 'dry' },
    ],
    takenDownAfterH: 5.5,
    diary: [
      [0.3, -0.2],
      [0, 0],
      [-0.3, 0.3, 'skipped the bonnet'],
      [-0.8, 1],
      [-1.4, 1.5],
    ],
    outcome: { lastGoodDay: 4, reason: 'frizz', note: 'Two nights without the bonnet.' },
    notes: ['Ends needed a second comb-through before winding.'],
  },
  {
    head: 'keziah',
    title: 'Twists after the pool',
    daysAgo: 30,
    set: twists(20, { startState: 'wet' }),
    products: ['leave', 'cream', 'gel'],
    drying: [
      { method: 'hood-hot', hours: 1 },
      { method: 'bonnet', hours: 9 },
    ],
    pace: 1,
    checks: [{ afterH: 10.5, section: 2, level: 'root', feel: 'dry' }],
    takenDownAfterH: 11,
    diary: [
      [0.1, 0],
      [0, 0.2],
      [-0.2, 0.3],
    ],
    outcome: { lastGoodDay: 2, reason: 'got-wet', note: 'Swam on the third day.' },
  },
  {
    head: 'maren',
    title: 'Rods on the tapered cut',
    daysAgo: 16,
    set: rods(36, 13, 75, 36),
    products: ['leave', 'foam'],
    drying: [{ method: 'hood-hot', hours: 2.5 }],
    pace: 1.08,
    checks: [{ afterH: 2.5, section: 3, level: 'root', feel: 'dry' }],
    takenDownAfterH: 2.75,
    diary: [
      [-0.2, 0.2],
      [0, 0],
      [0.2, -0.2],
      [0.1, 0],
      [0, 0.2],
      [-0.3, 0.4],
      [-0.6, 0.8],
    ],
    outcome: { lastGoodDay: 6, reason: 'wash-day', note: '' },
    notes: ['Nape hair barely goes once round.'],
  },
  {
    head: 'keziah',
    title: 'Twists for the week',
    daysAgo: 3,
    set: twists(24),
    products: ['leave', 'gel'],
    drying: [
      { method: 'bonnet', hours: 9 },
      { method: 'hood-hot', hours: 1 },
    ],
    pace: 0.97,
    checks: [{ afterH: 10, section: 12, level: 'root', feel: 'dry' }],
    takenDownAfterH: 10.25,
    diary: [
      [0.2, 0],
      [0.3, -0.2],
    ],
  },
];

/** The set that is drying while the demo is looked at: finished this many hours ago. */
export const DRYING_NOW: Omit<DemoSet, 'daysAgo'> & { readonly finishedHoursAgo: number } = {
  head: 'ife',
  title: 'Twist out for the week',
  finishedHoursAgo: 4.5,
  set: twists(22),
  products: ['leave', 'gel'],
  drying: [{ method: 'air', hours: 8 }],
  pace: 1.03,
  checks: [{ afterH: 3.4, section: 2, level: 'root', feel: 'damp' }],
  takenDownAfterH: null,
  diary: [],
};
