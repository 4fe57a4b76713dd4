import type { CheckFeel } from '../drying/dryness-checks';
import type { Level } from '../drying/nodes';
import type { Measured } from './measured';
import type { RoomAir } from './room-sensor';
import type { PartingEdit } from './parting-edit';

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

/** Events that are sent at once at most. */
export const MOST_EVENTS = 50;
/** Letters in the name that a device goes by. */
export const MOST_NAME_LETTERS = 24;

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
