import { z } from 'zod';
import { boundedInt, choice } from '@/core/formats/field';
import { MAX_SECTIONS, MIN_SECTIONS } from '@/core/parting/generate';
import { TECHNIQUE_IDS } from '@/core/techniques';
import { END_REASON_IDS } from '@/core/wear/end-reasons';

const id = z.string().min(1).max(64);
const LOCAL = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;
const local = (label: string) =>
  z.string().regex(LOCAL, `${label}: a whole day and time, such as 13/03/2027, 09:00`);

export const setIdInput = z.strictObject({ setId: id });
export const eventInput = z.strictObject({ setId: id, eventId: id });
export const moveEventInput = z.strictObject({ setId: id, eventId: id, at: local('time') });
export const moveStartInput = z.strictObject({ setId: id, at: local('begun') });

const outcome = {
  lastGoodDay: boundedInt('last good day', 0, 90),
  reason: z.enum(END_REASON_IDS, { error: 'say why it was given up' }),
  note: z.string().max(500, 'at most 500 letters'),
};
/** Puts a giving up back that was taken back by mistake. */
export const outcomeInput = z.strictObject({ setId: id, ...outcome });

/** A set that was done elsewhere, as it is written down afterwards. */
export const enterSetInput = z.strictObject({
  headId: z.string().min(1, 'choose whose hair it was').max(64),
  technique: choice('what was done', TECHNIQUE_IDS),
  sections: boundedInt('sections', MIN_SECTIONS, MAX_SECTIONS),
  title: z.string().trim().max(80, 'a name of at most 80 letters'),
  begun: local('begun'),
  installed: local('set finished'),
  dried: local('dry').nullable(),
  takenDown: local('taken down'),
  /** The last day it was still good and why it ended; null while it is worn. */
  ended: z
    .strictObject({
      date: z.string().regex(/^\d{4}-\d{2}-\d{2}$/, 'last good day: choose a day'),
      reason: outcome.reason,
    })
    .nullable(),
  note: outcome.note,
});
