import { z } from 'zod';
import { clockIn, USUAL_DISPLAY, type Clock, type DisplaySettings } from './display';

/** How a studio wants to see things, as it is kept and sent. */
export const displaySettings = z.object({
  length: z.enum(['cm', 'in']).default(USUAL_DISPLAY.length),
  mass: z.enum(['g', 'oz']).default(USUAL_DISPLAY.mass),
  temperature: z.enum(['C', 'F']).default(USUAL_DISPLAY.temperature),
  hours: z.union([z.literal(24), z.literal(12)]).default(USUAL_DISPLAY.hours),
  dateOrder: z.enum(['day-first', 'month-first', 'year-first']).default(USUAL_DISPLAY.dateOrder),
  firstDay: z.union([z.literal(1), z.literal(6), z.literal(7)]).default(USUAL_DISPLAY.firstDay),
});

/** What was kept of a studio's choices, completed; an unreadable choice is as usual. */
export const readDisplay = (kept: unknown): DisplaySettings => {
  const read = displaySettings.safeParse(kept);
  return read.success ? read.data : USUAL_DISPLAY;
};

/** The clock of a studio. */
export const clockOf = (studio: { readonly timeZone: string; readonly display: unknown }): Clock =>
  clockIn(studio.timeZone, readDisplay(studio.display));
