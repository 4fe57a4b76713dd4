import { plural } from '../words/words';
import type { Tool } from './bundle';

/** A kind of tool that hair is wound on. One row a kind; sizes are common practice. */
export interface ToolKind {
  readonly label: string;
  readonly noun: readonly [string, string];
  /** What the length of hair it takes is called. */
  readonly lengthLabel: string;
  /** Taken when a brief names none. */
  readonly usual: Tool;
  /** Gap left between wraps, as a share of the band's width. */
  readonly gap: number;
  /** The kind it lies among in the drawer: ends go on any small rod. */
  readonly keptAs: string;
}

/** One row a kind. */
export const toolKinds = {
  rod: { label: 'Rigid rod', noun: ['rod', 'rods'], lengthLabel: 'Working length', usual: { diameterMm: 16, workingLengthMm: 80 }, gap: 0, keptAs: 'rod' },
  'flexible-rod': { label: 'Flexible rod', noun: ['flexible rod', 'flexible rods'], lengthLabel: 'Working length', usual: { diameterMm: 16, workingLengthMm: 200 }, gap: 0.25, keptAs: 'flexible-rod' },
  former: { label: 'Spiral former', noun: ['former', 'formers'], lengthLabel: 'Sleeve length', usual: { diameterMm: 16, workingLengthMm: 300 }, gap: 0, keptAs: 'former' },
  'end-rod': { label: 'Rod on the ends', noun: ['end rod', 'end rods'], lengthLabel: 'Working length', usual: { diameterMm: 16, workingLengthMm: 70 }, gap: 0, keptAs: 'rod' },
} as const satisfies Record<string, ToolKind>; // prettier-ignore

/** A size of tool of which there are too few. */
export interface ToolShort {
  readonly kind: string;
  readonly diameterMm: number;
  readonly needed: number;
  readonly owned: number;
}

/** The one way that it is said: "50 rods of 10 mm needed, 30 owned: 20 short." */
export function toolShortWords({ kind, needed, owned }: ToolShort, size: string): string {
  const [one, many] = toolKinds[kind as ToolKindId]?.noun ?? ['tool', 'tools'];
  return `${plural(needed, one, many)} of ${size} needed, ${owned} owned: ${needed - owned} short.`;
}

export type ToolKindId = keyof typeof toolKinds;

/** Kinds that have a place of their own in a drawer. */
export const DRAWER_KIND_IDS = (Object.keys(toolKinds) as ToolKindId[]).filter(
  (id) => toolKinds[id].keptAs === id,
);

/** Diameters that rods are commonly sold in, mm (common practice). */
export const CATALOGUE_MM = [6, 8, 10, 13, 16, 19, 22, 25, 28, 32, 38, 45] as const;
