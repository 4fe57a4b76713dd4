import { perZone, ZONE_LABEL, ZONES, type PerZone } from '../hair/zone';
import { sectionName } from '../parting/section-name';
import type { DayEntry } from './day-entry';

/** What an entry is held against. */
export interface WornSet {
  /** Length pulled straight, by zone, cm. */
  readonly stretchedCm: PerZone<number>;
  /** Sections that the set has, or had at the chair; null where they are not looked up. */
  readonly sections: ReadonlySet<number> | null;
}

/** Length pulled straight zone by zone, however a head has it. */
export const stretchedOf = (length: number | PerZone<number>): PerZone<number> =>
  perZone((zone) => (typeof length === 'number' ? length : length[zone]));

/** Hair hanging free is measured no finer than this share of its length. */
const TAPE = 1.03;

/** Why an entry cannot be of this set, for the field that says it; null where it can. */
export function dayProblem(
  { visibleCm, marks }: DayEntry,
  { stretchedCm, sections }: WornSet,
): { readonly path: string; readonly message: string } | null {
  for (const zone of ZONES) {
    const visible = visibleCm[zone];
    if (visible !== undefined && visible > TAPE * stretchedCm[zone])
      return {
        path: `visibleCm.${zone}`,
        message: `hair that is ${stretchedCm[zone]} cm pulled straight cannot hang ${visible} cm long at the ${ZONE_LABEL[zone]}; measure it again, or put the head’s own length right first`,
      };
  }
  for (const [mark, numbers] of Object.entries(marks)) {
    const unknown = sections && numbers.find((number) => !sections.has(number));
    if (unknown !== undefined && unknown !== null)
      return { path: `marks.${mark}`, message: `this set has no section ${sectionName(unknown)}` };
  }
  return null;
}
