import { z } from 'zod';

/** How a studio wants to see times, dates, lengths, weights and temperatures. */
export const displaySettings = z.object({
  length: z.enum(['cm', 'in']).default('cm'),
  mass: z.enum(['g', 'oz']).default('g'),
  temperature: z.enum(['C', 'F']).default('C'),
  /** The clock: 24 hours, or 12 with am and pm. */
  hours: z.union([z.literal(24), z.literal(12)]).default(24),
  dateOrder: z.enum(['day-first', 'month-first', 'year-first']).default('day-first'),
  /** ISO number of the first day of the week: 1 Monday, 6 Saturday, 7 Sunday. */
  firstDay: z.union([z.literal(1), z.literal(6), z.literal(7)]).default(1),
});

export type DisplaySettings = z.output<typeof displaySettings>;

/** As it is shown where nothing was chosen. */
export const USUAL_DISPLAY: DisplaySettings = displaySettings.parse({});

/** What was kept of a studio's choices, completed; an unreadable choice is as usual. */
export const readDisplay = (kept: unknown): DisplaySettings => {
  const read = displaySettings.safeParse(kept);
  return read.success ? read.data : USUAL_DISPLAY;
};

/** The units of a studio. */
export type Units = Pick<DisplaySettings, 'length' | 'mass' | 'temperature'>;
/** Centimetres, grams and degrees Celsius. */
export const METRIC: Units = { length: 'cm', mass: 'g', temperature: 'C' };
/** Inches, ounces and degrees Fahrenheit. */
export const IMPERIAL: Units = { length: 'in', mass: 'oz', temperature: 'F' };

/** How a studio tells the time: where, and in which words. */
export type Clock = { readonly timeZone: string } & Pick<DisplaySettings, 'hours' | 'dateOrder' | 'firstDay'>;

/** The clock of a studio. */
export function clockOf(studio: { readonly timeZone: string; readonly display: unknown }): Clock {
  const { hours, dateOrder, firstDay } = readDisplay(studio.display);
  return { timeZone: studio.timeZone, hours, dateOrder, firstDay };
}

/** The clock of Greenwich in the usual words, for times that are on a clock of their own already. */
export const UTC_CLOCK: Clock = clockOf({ timeZone: 'UTC', display: {} });
