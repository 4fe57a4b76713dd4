import type { CoefficientTable } from '../coefficients/coefficient';
import type { EndsMethodId, RootMethodId } from '../coefficients/root-and-ends';
import type { Helix } from '../curl/helix';
import type { DryingShape } from '../drying/nodes';
import type { PartingPattern } from '../parting/pattern';
import type { HairInSet, Tool } from './bundle';
import type { InSetId } from './in-set-id';
import type { KnotForm } from './knot-form';
import type { ToolFit } from './rod-fit';
import type { TechniqueNumber } from './technique-coefficients';
import type { ToolKindId } from './tool-kind';

/** Hair in the set: the curve at five places along it, and what it is wound on. */
export interface SetForm {
  /** One helix for each node of {@link ALONG_HAIR}, root to tip. */
  readonly nodes: readonly Helix[];
  /** Ends that lie otherwise, on a rod of their own: their share of the hair. Null where they lie as the rest does. */
  readonly ends: { readonly share: number; readonly helix: Helix } | null;
  /** Thickness added to the outside of the curl, mm. */
  readonly thicknessMm: number;
  /** Thickness that decides definition, mm. */
  readonly definingMm: number;
  /** Null where nothing is wound on a tool. */
  readonly fit: ToolFit | null;
  /** Null for everything but knots. */
  readonly knot: KnotForm | null;
}

/** A piece at the root that stays stretched after takedown. */
export interface StretchedRoot {
  readonly stretchedMm: number;
  /** Visible over true length of that piece. */
  readonly stretch: number;
}

/** A technique: one file, listed in the registry; forms, forecasts and tests follow. */
export interface Technique {
  readonly id: string;
  readonly label: string;
  /** One set section and several: "twist", "twists". */
  readonly noun: readonly [string, string];
  readonly summary: string;
  /** The instruction at the chair for the section in hand. */
  readonly chairLine: string;
  /** How one is undone; null for what hangs free and is only separated. */
  readonly takedownLine: string | null;
  /** How the style is called once taken down: "twist out". */
  readonly styleName: string;
  /** What the pattern that it leaves is called. */
  readonly curlName: 'curl' | 'crimp' | 'wave';
  readonly motif: 'rope' | 'plait' | 'rod' | 'spiral' | 'coil';
  /** How it is drawn in the round while it is in. */
  readonly inSet: InSetId;
  /** Wanted width over height of a section. */
  readonly sectionAspect: number;
  readonly usualPattern: PartingPattern;
  readonly usualSections: number;
  readonly tool: ToolKindId | null;
  /** First is the default. */
  readonly rootMethods: readonly [RootMethodId, ...RootMethodId[]];
  readonly endsMethods: readonly [EndsMethodId, ...EndsMethodId[]];
  readonly coefficients: CoefficientTable<TechniqueNumber>;
  readonly dryingShape: DryingShape;
  /** How it lies for drying when its root is plaited, where that differs. */
  readonly plaitedRootShape?: DryingShape;
  /** A root that the technique itself leaves straight. */
  readonly ownRoot?: StretchedRoot;
  /** Only for hair that was stretched first. */
  readonly needsStretched?: boolean;
  /** Worked into wet hair only. */
  readonly needsWet?: boolean;
  /** Wound on what bends, and is closed at one end or both. */
  readonly bends?: boolean;
  /** Presses or pulls when slept in. */
  readonly pressesAsleep?: boolean;
  /** May stay in as a protective style for this many days at most; without it, take it down once dry. */
  readonly leaveInDays?: number;
  /** Geometry of the set hair. `tool` is given exactly when the technique has one. */
  readonly form: (hair: HairInSet, tool: Tool | null) => SetForm;
}

/** Keeps the literal id of a technique. */
export const defineTechnique = <const T extends Technique>(technique: T): T => technique;

/** The tool, where a technique cannot do without. */
export function toolOrThrow(tool: Tool | null, technique: string): Tool {
  if (!tool) throw new RangeError(`${technique} needs a tool`);
  return tool;
}
