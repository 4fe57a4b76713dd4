import { z } from 'zod';
import { CHECK_FEELS, type CheckFeel } from '../drying/dryness-checks';
import { LEVELS, type Level } from '../drying/nodes';
import { measured, type Measured } from './measured';
import { MAX_TIME_MS } from '../formats/time-bounds';
import { roomAir, type RoomAir } from '../room/room-sensor';
import { MOST_SECTION_NUMBER } from '../parting/section-name';
import { partingEdit, type PartingEdit } from './parting-edit';

/** What can happen to a set at the chair. Events are only ever added; the state is read off them. */
export const RUN_EVENT_KINDS = [
  'section-done',
  'section-undone',
  'paused',
  'resumed',
  'misted',
  'felt',
  'installed',
  'dried',
  'taken-down',
  'note',
  'taken-back',
  'moved',
  'step-begun',
  'step-done',
  'step-skipped',
  'dry-begun',
  'dry-stopped',
  'dry-planned',
  'section-loosed',
  'section-separated',
  'fluffed',
  'fault',
  'measured',
  'tub-weighed',
  'dispensed',
  'parted',
  'room',
] as const;
export type RunEventKind = (typeof RUN_EVENT_KINDS)[number];

export interface RunEvent {
  readonly id: string;
  readonly kind: RunEventKind;
  /** When it happened, by the server's clock. */
  readonly atMs: number;
  readonly sectionNumber: number | null;
  /** Words of a note, or why a damp set was taken down all the same. */
  readonly note: string | null;
  /** Place in the set's own order, given by the server; null while it is on its way there. */
  readonly sequence: number | null;
  /** Where a hand felt, and what; of a `felt` only. */
  readonly level: Level | null;
  readonly feel: CheckFeel | null;
  /** The events that a `section-undone`, `taken-back` or `moved` is about, as far as the hand had seen them. */
  readonly of: readonly string[] | null;
  /** The time that a `moved` gives them; when a `dry-planned` is to begin. */
  readonly toMs: number | null;
  /**
   * Which step before the set a `step-…` is about, by its name in the plan; how it dries, of a `dry-begun` or `dry-planned`; what went
   * wrong, of a `fault`; what was on the hands, of a `taken-down`; which quarter was `misted`, where not all that waits.
   */
  readonly step: string | null;
  /** First measurements; of a `measured` only. */
  readonly measured: Measured | null;
  /** Grams on the scale, of a `tub-weighed`; hand units, of a `dispensed`. Their `step` is the place of the layer. */
  readonly amount: number | null;
  /** The air it dries in, as it was measured; of a `room` only. */
  readonly room: RoomAir | null;
  /** How the parting was changed; of a `parted` only. */
  readonly parting: PartingEdit | null;
  /** How long a `dry-begun` or `dry-planned` is to last from then on; null until something else is begun. */
  readonly minutes: number | null;
  /** Who tapped, by the name that the device goes by; null where it goes by none. */
  readonly by: string | null;
  /** The device it came from; null while it is on its way, and for what the server wrote itself. */
  readonly device: string | null;
}

/** What an event is about, without who wrote it and where it stands. */
export type RunEventDetail = Partial<
  Pick<
    RunEvent,
    | 'sectionNumber'
    | 'note'
    | 'level'
    | 'feel'
    | 'of'
    | 'toMs'
    | 'step'
    | 'minutes'
    | 'by'
    | 'measured'
    | 'amount'
    | 'parting'
    | 'room'
  >
>;

const id = z.string().min(1).max(64);
const timeMs = z.int().min(0).max(MAX_TIME_MS, 'this time is not on any calendar in use');

/** Kinds that are about one section. */
const OF_A_SECTION: readonly RunEventKind[] = [
  'section-done',
  'section-undone',
  'felt',
  'section-loosed',
  'section-separated',
  'fault',
];
/** Kinds that are about other events. */
const OF_EVENTS: readonly RunEventKind[] = ['taken-back', 'moved'];

/** Longest that a way of drying is begun for: four days, min. */
const LONGEST_MIN = 96 * 60;
/** No tub weighs more, g. */
const MOST_AMOUNT = 20_000;
/** Letters in the name that a device goes by. */
export const MOST_NAME_LETTERS = 24;

const fields = {
  id,
  kind: z.enum(RUN_EVENT_KINDS, { error: 'this version does not know what happened here; reload the page' }),
  atMs: timeMs,
  sectionNumber: z.int().min(1).max(MOST_SECTION_NUMBER).nullable().default(null),
  note: z.string().max(500, 'a note of at most 500 letters').nullable().default(null),
  level: z.enum(LEVELS).nullable().default(null),
  feel: z.enum(CHECK_FEELS).nullable().default(null),
  of: z.array(id).min(1).max(700).nullable().default(null),
  toMs: timeMs.nullable().default(null),
  step: z.string().min(1).max(40).nullable().default(null),
  minutes: z.number().min(1).max(LONGEST_MIN).nullable().default(null),
  amount: z.number().min(0).max(MOST_AMOUNT).nullable().default(null),
  measured: measured.nullable().default(null),
  parting: partingEdit.nullable().default(null),
  room: roomAir.nullable().default(null),
  by: z.string().min(1).max(MOST_NAME_LETTERS).nullable().default(null),
};

/** Kinds that are about one step before the set. */
const OF_A_STEP: readonly RunEventKind[] = [
  'step-begun',
  'step-done',
  'step-skipped',
  'dry-begun',
  'dry-planned',
  'fault',
  'tub-weighed',
  'dispensed',
];

/** Every kind brings what it is about. */
function isWhole(event: z.core.output<z.ZodObject<typeof fields>>, context: z.RefinementCtx) {
  const missing = (path: string, message: string) =>
    context.addIssue({ code: 'custom', path: [path], message });
  if (OF_A_SECTION.includes(event.kind) && event.sectionNumber === null)
    missing('sectionNumber', 'which section it was is missing');
  if (event.kind === 'felt' && (event.level === null || event.feel === null))
    missing('feel', 'where and what was felt is missing');
  if (OF_A_STEP.includes(event.kind) && event.step === null) missing('step', 'which step it was is missing');
  if (OF_EVENTS.includes(event.kind) && event.of === null) missing('of', 'what it corrects is missing');
  if ((event.kind === 'tub-weighed' || event.kind === 'dispensed') && event.amount === null)
    missing('amount', 'how much it was is missing');
  if (event.kind === 'measured' && event.measured === null)
    missing('measured', 'what was measured is missing');
  if (event.kind === 'dry-planned' && (event.toMs === null || event.minutes === null))
    missing('toMs', 'when it begins and how long it lasts is missing');
  if (event.kind === 'room' && event.room === null) missing('room', 'what was measured is missing');
  if (event.kind === 'parted' && event.parting === null) missing('parting', 'how it was parted is missing');
  if (event.kind === 'moved' && event.toMs === null) missing('toMs', 'the corrected time is missing');
}

/** An event as it is kept. What this version does not know is left out: a page may be older than its server, or newer. */
export const runEventInput = z
  .object({ ...fields, device: z.string().max(64).nullable().default(null) })
  .superRefine(isWhole);

/** An event as a device sends it, with its number there. */
export const deviceEventInput = z
  .object({ ...fields, number: z.int().min(0).max(Number.MAX_SAFE_INTEGER).default(0) })
  .superRefine(isWhole);
export type DeviceEvent = z.output<typeof deviceEventInput>;

/** An event with everything that its kind does not need left empty. */
export const runEvent = (
  id: string,
  kind: RunEventKind,
  atMs: number,
  detail: RunEventDetail & { readonly sequence?: number; readonly device?: string } = {},
): RunEvent => ({
  id,
  kind,
  atMs,
  sectionNumber: null,
  note: null,
  sequence: null,
  level: null,
  feel: null,
  of: null,
  toMs: null,
  step: null,
  minutes: null,
  measured: null,
  amount: null,
  parting: null,
  room: null,
  by: null,
  device: null,
  ...detail,
});
