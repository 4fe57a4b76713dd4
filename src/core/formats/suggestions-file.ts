import { z } from 'zod';
import { KNOWABLE } from '../hair/head';
import { ROLE_IDS } from '../products';
import { briefInput } from './brief';

const number = z.number();

/** What a reason can be about, in the order of the work. */
export const REASON_ABOUT = ['technique', 'prep', 'start', 'layers', 'sections', 'root', 'ends', 'tool', 'drying', 'nights'] as const; // prettier-ignore

/** Suggestions as they are written: the draft first, then others that differ in kind. */
export const suggestionsFile = z
  .strictObject({
    format: z.literal('keen-spiral/suggestions'),
    version: z.literal(1),
    options: z.array(
      z.strictObject({
        title: z.string(),
        brief: briefInput,
        products: z
          .partialRecord(z.enum(ROLE_IDS), z.string().nullable())
          .describe('name on the shelf, or null where one has to be bought or any will do'),
        figures: z.strictObject({
          chanceDryAtWearBy: number.nullable(),
          handsOnMin: number,
          daysPresentable: number,
          definition: number,
          frizz: number,
          volume: number,
          stretch: number,
          curlDiameterMm: number,
          costMinor: number.nullable(),
        }),
        reasons: z.array(
          z.strictObject({
            about: z.enum(REASON_ABOUT),
            fact: z
              .string()
              .describe('what it rests on: changing it changes the choice; “usual” where nothing did'),
            text: z.string(),
          }),
        ),
        score: number,
        scoreParts: z.record(z.string(), number).describe('what the score is the sum of'),
      }),
    ),
    nothingFits: z
      .string()
      .nullable()
      .describe('what would have to give; null where the first option keeps to all of it'),
    mostUsefulToMeasure: z.enum(KNOWABLE).nullable(),
  })
  .meta({ title: 'Keen Spiral suggestions, version 1' });

export type SuggestionsFile = z.input<typeof suggestionsFile>;
