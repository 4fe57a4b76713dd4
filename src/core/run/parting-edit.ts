import { z } from 'zod';
import { MOST_SECTION_NUMBER } from '../parting/section-name';

/** A section by its number at the chair. */
const section = z.int().min(1).max(MOST_SECTION_NUMBER);

/** At most so many sections come back with one patch. */
const MOST_ADDED = 60;

/**
 * How the parting is changed at the chair. Sections are named by number, never by geometry: the lines are worked out
 * from the parting as it stands, so that a change still holds when one before it is taken back.
 */
export const partingEdit = z.discriminatedUnion('edit', [
  /** One section becomes two of equal hair; the second is new. */
  z.object({ edit: z.literal('split'), section }),
  /** Two that touch become one, under the number of the first. */
  z.object({ edit: z.literal('join'), section, beside: section }),
  z.object({ edit: z.literal('leave-out'), section }),
  /** A share of a section's hair goes to one beside it. */
  z.object({ edit: z.literal('thin'), section, beside: section, share: z.number().min(0.05).max(0.5) }),
  /** A third of each of two that touch becomes a section between them. */
  z.object({ edit: z.literal('between'), section, beside: section }),
  /** Ground that was left out is set after all: the place of the patch, and the numbers of what is new there. */
  z.object({
    edit: z.literal('add'),
    patch: z.int().min(0).max(19),
    numbers: z.array(section).max(MOST_ADDED),
  }),
  /** Sections go on another size of the tool of their zone. */
  z.object({
    edit: z.literal('size'),
    sections: z.array(section).min(1).max(600),
    diameterMm: z.number().min(1).max(120),
  }),
]);
export type PartingEdit = z.output<typeof partingEdit>;
