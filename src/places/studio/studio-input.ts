import { z } from 'zod';
import { HAND_IDS } from '@/core/coefficients/hands';
import { displaySettings } from '@/core/formats/read-display';
import { CURRENCIES } from '@/core/formats/money';
import { wholeWithin } from '@/core/formats/field';
import { TRIM_WEEKS } from '@/core/formats/ranges';
import { isTimeZone } from '@/core/formats/read-brief';

const name = z.string().trim().min(1, 'give the studio a name').max(60, 'a name of at most 60 letters');
const timeZone = z
  .string()
  .max(60)
  .refine(isTimeZone, 'this is not a time zone; choose one such as Europe/Lisbon');

/** What the studio page keeps. */
export const studioCard = z.strictObject({
  name,
  timeZone,
  currency: z.enum(CURRENCIES),
  display: displaySettings,
  hand: z.enum(HAND_IDS),
  trimWeeks: wholeWithin('weeks from trim to trim', TRIM_WEEKS),
});
export type StudioCardInput = z.output<typeof studioCard>;

/** The card as it is to be, and as it was when the page was opened. */
export const saveStudioInput = z.strictObject({ before: studioCard, card: studioCard });
export const unitsInput = displaySettings.pick({ length: true, mass: true, temperature: true });
export const copyInput = z.strictObject({ name: z.string().max(80) });
export const ownStudioInput = z.strictObject({ name, timeZone });
