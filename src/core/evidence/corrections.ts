import { z } from 'zod';
import type { Corrections } from '../brief/learnt';

const since = { sets: z.int(), atMs: z.number() };
const width = z.object({ width: z.number(), ...since });

/** What forecasts of a studio are put right by, each with the sets it rests on. One that is taken back is gone. */
export const keptCorrections = z.object({
  dry: z.object({ shift: z.number(), slope: z.number(), ...since }).optional(),
  days: width.optional(),
  definition: width.optional(),
  stretch: width.optional(),
  pace: width.optional(),
});
export type KeptCorrections = z.output<typeof keptCorrections>;
/** What can be put right. */
export const CORRECTABLE = ['dry', 'days', 'definition', 'stretch', 'pace'] as const;
export type Correctable = (typeof CORRECTABLE)[number];

/** The same as a forecast takes it; null where nothing is put right. */
export function correctionsOf({ dry, ...widths }: KeptCorrections): Corrections | null {
  const own = Object.fromEntries(
    Object.entries(widths).flatMap(([id, kept]) => (kept ? [[id, kept.width]] : [])),
  );
  if (!dry && Object.keys(own).length === 0) return null;
  return { dry: dry ? { shift: dry.shift, slope: dry.slope } : null, widths: own };
}
