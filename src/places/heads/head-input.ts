import { CARE_KIND_IDS } from '@/core/care/due';
import { within } from '@/core/formats/field';
import { CUT_MM } from '@/core/formats/ranges';
import { z } from 'zod';
import { MOST_WANTS, WANTS } from '@/core/coefficients/wants';
import { headInput } from '@/core/formats/brief';
import { fieldErrors } from '@/core/formats/field-error';
import { HEAD_RANGES, type Range } from '@/core/formats/ranges';
import { perZone, ZONE_LABEL } from '@/core/hair/zone';

const words = (most: number) => z.string().trim().max(most, `at most ${most} letters`);

/** Who it is, and what to mind. */
const headCard = z.strictObject({
  name: words(60).min(1, 'write the name of this head'),
  description: words(80),
  notes: words(2000),
  allergies: words(500),
  skinTone: words(30),
  hairTone: words(30),
  likes: z.array(z.enum(WANTS)).max(MOST_WANTS, `at most ${MOST_WANTS} things can matter at once`),
});

/** A length as its field gives it: null while nothing was measured. */
const measured = (label: string, { low, high }: Range, missing = `${label}: ${low} to ${high} cm`) =>
  z.custom<number | null>().transform((cm, context) => {
    if (typeof cm === 'number' && cm >= low && cm <= high) return cm;
    context.addIssue({ code: 'custom', message: cm === null ? missing : `${label}: ${low} to ${high} cm` });
    return z.NEVER;
  });

const lengths = z.strictObject(
  perZone((zone) =>
    measured(ZONE_LABEL[zone], HEAD_RANGES.stretchedLengthCm, `measure the ${ZONE_LABEL[zone]}`),
  ),
);

/** What the form of a head holds; read, it is the card and what was measured. */
export const headForm = headCard
  .extend({
    circumferenceCm: measured('head circumference', HEAD_RANGES.circumferenceCm),
    densityFrom: z.enum(['feel', 'ponytail']),
    densityPerCm2: z.number(),
    ponytailCircumferenceCm: z.custom<number | null>(),
    strandDiameterUm: z.number(),
    naturalCoilDiameterMm: z.number(),
    shrinkagePercent: z.number(),
    porosity: headInput.shape.porosity.unwrap(),
    conditions: headInput.shape.conditions.unwrap(),
    zoneCoilMm: headInput.shape.zoneCoilMm.unwrap(),
    notKnown: headInput.shape.notKnown.unwrap(),
    lengthCm: lengths,
  })
  .transform((form, context) => {
    const { name, description, notes, allergies, skinTone, hairTone, likes, ...hair } = form;
    const { densityFrom, densityPerCm2, ponytailCircumferenceCm, shrinkagePercent, lengthCm, ...rest } = hair;
    const ponytail = measured('ponytail circumference', HEAD_RANGES.ponytailCircumferenceCm).safeParse(
      ponytailCircumferenceCm,
    );
    if (densityFrom === 'ponytail' && !ponytail.success) {
      context.addIssue({
        code: 'custom',
        path: ['ponytailCircumferenceCm'],
        message: ponytail.error.issues[0]!.message,
      });
      return z.NEVER;
    }
    const read = headInput.safeParse({
      ...rest,
      ...(densityFrom === 'ponytail' ? { ponytailCircumferenceCm: ponytail.data } : { densityPerCm2 }),
      shrinkage: shrinkagePercent / 100,
      stretchedLengthCm: lengthCm,
    });
    if (!read.success) {
      for (const { path, message } of fieldErrors(read.error))
        context.addIssue({ code: 'custom', path: path.split('.'), message });
      return z.NEVER;
    }
    return {
      card: { name, description, notes, allergies, skinTone, hairTone, likes },
      measured: read.data,
    };
  });
export type HeadFormValues = z.input<typeof headForm>;

export const saveHeadInput = z.strictObject({
  /** Null makes a new head. */
  id: z.string().max(64).nullable(),
  revision: z.int().min(0),
  form: headForm,
});

const id = z.string().min(1).max(64);
export const archiveHeadInput = z.strictObject({ id, isArchived: z.boolean() });
export const mergeHeadsInput = z.strictObject({
  keptId: id,
  mergedId: z.string().min(1, 'choose the other entry').max(64),
});
export const undoMergeInput = z.strictObject({ mergeId: id });
export const deleteHeadInput = z.strictObject({ id });

/** Something that was done to hair between sets. */
export const careInput = z.object({
  headId: z.string(),
  kind: z.enum(CARE_KIND_IDS, { error: 'choose what was done' }),
  date: z.iso.date({ error: 'choose a day' }),
  cutMm: within('what came off', CUT_MM, 'mm').nullable(),
  note: z.string().trim().max(300, 'at most 300 letters'),
});
