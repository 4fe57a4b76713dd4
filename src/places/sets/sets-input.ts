import { z } from 'zod';
import { boundedInt, choice } from '@/core/formats/field';
import { MAX_SECTIONS, MIN_SECTIONS } from '@/core/parting/generate';
import { TECHNIQUE_IDS } from '@/core/techniques';
import { HALVES } from '@/core/hair/half';
import { halfOutcome } from '@/core/diary/outcome';
import { OFFERED_REASONS } from '@/core/wear/end-reasons';

const id = z.string().min(1).max(64);
const DAY = /^\d{4}-\d{2}-\d{2}$/;
const LOCAL = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/;
const local = (label: string) =>
  z.string().regex(LOCAL, `${label}: a whole day and time, such as 13/03/2027, 09:00`);

export const setIdInput = z.strictObject({ setId: id });
export const eventInput = z.strictObject({ setId: id, eventId: id });
export const moveEventInput = z.strictObject({ setId: id, eventId: id, at: local('time') });
export const moveStartInput = z.strictObject({ setId: id, at: local('begun') });

/** Puts a giving up back that was taken back by mistake. */
export const outcomesInput = z.strictObject({
  setId: id,
  outcomes: z.array(halfOutcome).min(1).max(HALVES.length),
});

/** What the form of a set done elsewhere holds. */
export const enterSetForm = z
  .strictObject({
    headId: z.string().min(1, 'choose whose hair it was').max(64),
    technique: choice('what was done', TECHNIQUE_IDS),
    sections: boundedInt('sections', MIN_SECTIONS, MAX_SECTIONS),
    title: z.string().trim().max(80, 'a name of at most 80 letters'),
    begun: local('begun'),
    installed: local('set finished'),
    /** Empty where nobody knows. */
    dried: z.union([z.literal(''), local('dry')]),
    takenDown: local('taken down'),
    isOver: z.boolean(),
    lastGoodDate: z.string(),
    reason: z.enum(['', ...OFFERED_REASONS]),
    note: z.string().max(500, 'at most 500 letters'),
  })
  .transform(({ isOver, lastGoodDate, reason, dried, ...told }, context) => {
    if (isOver && !DAY.test(lastGoodDate))
      context.addIssue({ code: 'custom', path: ['lastGoodDate'], message: 'last good day: choose a day' });
    if (isOver && reason === '')
      context.addIssue({ code: 'custom', path: ['reason'], message: 'say why it was given up' });
    const ended = isOver && reason !== '' ? { date: lastGoodDate, reason } : null;
    return { ...told, dried: dried === '' ? null : dried, ended };
  });
export type EnterSetValues = z.input<typeof enterSetForm>;
export const enterSetInput = z.strictObject({ form: enterSetForm });
