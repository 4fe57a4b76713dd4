import { z } from 'zod';
import { CHECK_FEELS } from '@/core/drying/dryness-checks';
import { LEVELS } from '@/core/drying/nodes';
import { RUN_EVENT_KINDS } from '@/core/run/run-state';

const id = z.string().min(1).max(64);
const atMs = z.int().min(0);

export const recordEventsInput = z.strictObject({
  setId: id,
  events: z
    .array(
      z.strictObject({
        id,
        kind: z.enum(RUN_EVENT_KINDS),
        atMs,
        sectionNumber: z.int().min(1).max(600).nullable(),
        note: z.string().max(500).nullable(),
      }),
    )
    .min(1)
    .max(700),
});

export const recordCheckInput = z.strictObject({
  setId: id,
  check: z.strictObject({
    id,
    sectionNumber: z.int().min(1, 'name the section you felt').max(600),
    level: z.enum(LEVELS),
    feel: z.enum(CHECK_FEELS),
    atMs,
  }),
});
