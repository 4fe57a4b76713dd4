/** Numbers of what a section gave away at the chair lie this far from its own: 12 gave 1012, then 2012. */
export const CHILD_STEP = 1000;
/** No section has a higher number: one of six hundred that was parted nine times. */
export const MOST_SECTION_NUMBER = 9 * CHILD_STEP + 999;

/** The section that a section was taken out of at the chair; its own number where it was planned. */
export const plannedNumber = (number: number): number => number % CHILD_STEP;

/**
 * What a section is called: its number as planned, with a letter where it was parted off at the chair.
 *
 * @example sectionName(12) // => '12'
 * @example sectionName(1012) // => '12b'
 */
export const sectionName = (number: number): string =>
  number < CHILD_STEP
    ? String(number)
    : `${plannedNumber(number)}${String.fromCharCode(97 + Math.floor(number / CHILD_STEP))}`;
