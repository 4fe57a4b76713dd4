import type { CareKindId } from './due';

/** Hair is another after these: what was learnt before is only a start. */
const BEGINS_ANEW: readonly CareKindId[] = ['cut', 'colour', 'heat'];

/** Something that was done to a head on a date of the calendar. */
interface DatedCare {
  readonly headId: string;
  readonly kind: CareKindId;
  /** YYYY-MM-DD */
  readonly date: string;
}

/** Dates on which a new period of a head begins, in order, each once. */
export const periodStarts = (care: readonly DatedCare[], headId: string): string[] =>
  [
    ...new Set(
      care
        .filter((entry) => entry.headId === headId && BEGINS_ANEW.includes(entry.kind))
        .map(({ date }) => date),
    ),
  ].sort();

/**
 * Which period of a head a date falls in, counted from 0.
 *
 * @returns a set of the very day counts as after the cut: it is set on the hair as it is then
 */
export function periodsOf(care: readonly DatedCare[]): (headId: string, date: string) => number {
  const starts = new Map<string, string[]>();
  for (const { headId } of care) if (!starts.has(headId)) starts.set(headId, periodStarts(care, headId));
  return (headId, date) => (starts.get(headId) ?? []).filter((start) => start <= date).length;
}
