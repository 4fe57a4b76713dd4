import { z } from 'zod';
import { briefInput } from '@/core/formats/brief';
import { SCHOOL_QUESTION_IDS, schoolQuestion } from '@/core/schools/schools';
import { bounded } from '@/core/formats/field';
import { HAND_UNIT_IDS } from '@/core/products/hand-units';

const id = z.string().min(1).max(64);

const title = z.string().trim().min(1, 'give the plan a name').max(80, 'a name of at most 80 letters');

const content = { title, brief: briefInput, layerProductIds: z.array(id.nullable()).max(8) };
const draft = { revision: z.int().min(1), ...content };
/** What the plan desk sends to be kept, and the same at an address that names the plan. */
export const savePlanInput = z.strictObject({ id, ...draft });
export const draftInput = z.strictObject(draft);

/** A draft that was suggested, taken as a plan of a head. */
/** The id is made where the draft is taken: sent again after a lost answer, it is the same plan. */
export const takeDraftInput = z.strictObject({ id: z.uuid(), headId: id, ...content });

export const planIdInput = z.strictObject({ id });
export const newPlanInput = z.strictObject({ headId: id });
export const renamePlanInput = z.strictObject({ id, title });
export const likeSetInput = z.strictObject({ setId: id });
export const asidePlanInput = z.strictObject({ id, isAside: z.boolean() });
export const bookPlanInput = z.strictObject({ id, isBooked: z.boolean() });

/** A brief or plan file opened as a new plan for a head. */
export const openFileInput = z.strictObject({
  headId: id,
  title,
  text: z.string().max(250_000, 'a file of at most 250 kB'),
});

/** A school taken on a head. */
export const schoolInput = z
  .strictObject({ headId: id, question: z.enum(SCHOOL_QUESTION_IDS), school: z.string().max(40) })
  .refine(({ question, school }) => Object.hasOwn(schoolQuestion(question).schools, school), {
    path: ['school'],
    error: 'choose one of the schools listed',
  });

/** What one pump, dime or teaspoon weighs here, g. */
export const handUnitsInput = z.strictObject({
  handUnits: z.partialRecord(z.enum(HAND_UNIT_IDS), bounded('what one weighs', 0.05, 30, 'g')),
});

export const planLinksInput = z.strictObject({ planId: id });
export const planLinkInput = z.strictObject({ planId: id, linkId: id });
