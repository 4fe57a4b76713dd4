import type { Drawing } from './shape';

/** One step of a card: what hands do, and its picture, drawn when it is looked at. */
export interface CardStep {
  readonly words: string;
  readonly draw: () => Drawing;
}

/** How something is done, in our own words, with our own drawings (common practice). */
export interface Card {
  readonly title: string;
  readonly steps: readonly CardStep[];
  /** Where practice differs: what each of two ways gives. */
  readonly schools: string | null;
  /** What goes wrong, and how it shows. */
  readonly wrong: string;
}

export const card = (
  title: string,
  steps: readonly (readonly [words: string, draw: () => Drawing])[],
  wrong: string,
  schools: string | null = null,
): Card => ({ title, steps: steps.map(([words, draw]) => ({ words, draw })), schools, wrong });
