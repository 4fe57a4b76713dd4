import { z } from 'zod';
import { CHECK_FEELS } from '../drying/dryness-checks';
import { LEVELS } from '../drying/nodes';
import { MAX_TIME_MS } from '../formats/time-bounds';
import { MOST_SECTION_NUMBER } from '../parting/section-name';
import { roomAir } from './room-sensor';
import { measured } from './measured';
import { partingEdit } from './parting-edit';
import { MOST_NAME_LETTERS, RUN_EVENT_KINDS, type RunEventKind } from './run-event';

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
