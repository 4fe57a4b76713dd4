import { z } from 'zod';
import { runEventInput } from './run-event-input';
import { MOST_EVENTS } from './run-event';

/** A clock may be wrong by this much and still be understood: ten years, ms. */
const WORST_CLOCK_MS = 10 * 366 * 86_400_000;

/**
 * What a device sends of a set. The events are taken one by one, so that one that is refused takes no other with
 * it; their shape is `deviceEventInput` of `core/run/run-event`.
 */
export const setEventsInput = z.strictObject({
  format: z.literal(1, { error: 'format must be 1' }),
  deviceId: z.string().min(1, 'deviceId is missing').max(64),
  /** How far the server's clock is ahead of the device's, ms. */
  offsetMs: z.number().min(-WORST_CLOCK_MS).max(WORST_CLOCK_MS).default(0),
  events: z
    .array(z.unknown())
    .min(1, 'there is no event in it')
    .max(MOST_EVENTS, `at most ${MOST_EVENTS} events at once`),
});
export type SetEventsInput = z.input<typeof setEventsInput>;

/** What the server says of each event it was sent, in the same order. */
export const setEventsAnswer = z.object({
  format: z.literal(1),
  serverMs: z.number(),
  verdicts: z.array(
    z.union([
      z.object({ id: z.string(), kept: z.literal(true), sequence: z.int(), atMs: z.int() }),
      z.object({ id: z.string(), kept: z.literal(false), message: z.string() }),
    ]),
  ),
});
export type SetEventsAnswer = z.output<typeof setEventsAnswer>;

/** Events as they are kept. */
export const runEventInputs = z.array(runEventInput);

/** One event with its place in the log of its set, as a page hears of it. */
export const heardEvent = z.object({ sequence: z.int().min(1), event: runEventInput });
export const heardEvents = z.array(heardEvent);
export type HeardEvent = z.output<typeof heardEvent>;

/** The log of a set from a place on, as a page asks for it that may have missed something. */
export const setEventsPage = z.object({
  format: z.literal(1),
  // What happened in a way that this version does not know yet hides nothing else.
  events: z.array(z.unknown()).transform((all) =>
    all.flatMap((one) => {
      const read = heardEvent.safeParse(one);
      return read.success ? [read.data] : [];
    }),
  ),
});
export type SetEventsPage = z.output<typeof setEventsPage>;
