import { CHILD_STEP, plannedNumber } from '../parting/section-name';
import type { PartingEdit } from './parting-edit';
import type { RunEvent } from './run-event';

/** The parting of a set as it was changed at the chair. */
export interface Parted {
  /** Sections as they are now, in working order. */
  readonly numbers: readonly number[];
  /** Every number that there ever was. */
  readonly ever: ReadonlySet<number>;
  /** What was changed and holds, in order, with the event that says so. */
  readonly edits: readonly { readonly id: string; readonly edit: PartingEdit }[];
}

/** The number that the next part of a section gets. */
function childOf(parent: number, used: ReadonlySet<number>): number {
  let child = plannedNumber(parent) + CHILD_STEP;
  while (used.has(child)) child += CHILD_STEP;
  return child;
}

const withAfter = (numbers: readonly number[], after: number, added: number) =>
  numbers.flatMap((number) => (number === after ? [number, added] : [number]));

/**
 * The sections after one change; null where it is about sections that are not there.
 *
 * @param used every number that ever was: none is given twice
 */
export function numbersAfter(
  numbers: readonly number[],
  used: ReadonlySet<number>,
  edit: PartingEdit,
): readonly number[] | null {
  const isThere = (number: number) => numbers.includes(number);
  if (edit.edit === 'add')
    return edit.numbers.some((number) => used.has(number)) ? null : [...numbers, ...edit.numbers];
  if (edit.edit === 'size') return edit.sections.some(isThere) ? numbers : null;
  if (!isThere(edit.section)) return null;
  if ('beside' in edit && (edit.beside === edit.section || !isThere(edit.beside))) return null;
  switch (edit.edit) {
    case 'split':
    case 'between':
      return withAfter(numbers, edit.section, childOf(edit.section, used));
    case 'join':
      return numbers.filter((number) => number !== edit.beside);
    case 'leave-out':
      return numbers.length > 1 ? numbers.filter((number) => number !== edit.section) : null;
    case 'thin':
      return numbers;
  }
}

/**
 * The sections of a set, as they were changed at the chair. A change about sections that are gone changes nothing.
 *
 * @param standing events that count, in the set's own order
 * @param sectionCount sections as planned
 */
export function parted(standing: readonly Pick<RunEvent, 'id' | 'parting'>[], sectionCount: number): Parted {
  let numbers: readonly number[] = Array.from({ length: sectionCount }, (_, i) => i + 1);
  const used = new Set(numbers);
  const edits: { id: string; edit: PartingEdit }[] = [];
  for (const { id, parting: edit } of standing) {
    const after = edit && numbersAfter(numbers, used, edit);
    if (!after) continue;
    numbers = after;
    for (const number of numbers) used.add(number);
    edits.push({ id, edit });
  }
  return { numbers, ever: used, edits };
}
