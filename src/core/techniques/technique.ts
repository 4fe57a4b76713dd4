import type { CoefficientTable } from '../coefficients/coefficient';
import type { EndsMethodId, RootMethodId } from '../coefficients/root-and-ends';
import type { Helix } from '../curl/helix';
import type { DryingShape } from '../drying/nodes';
import type { Bundle, Rod } from './bundle';
import type { RodFit } from './rod-fit';

/** Hair in the set: the curve at five places along it, and what it is wound on. */
export interface SetForm {
  /** One helix for each node of {@link ALONG_HAIR}, root to tip. */
  readonly nodes: readonly Helix[];
  /** Thickness added to the outside of the curl, mm. */
  readonly thicknessMm: number;
  /** Thickness that decides definition, mm. */
  readonly definingMm: number;
  /** Null where nothing is wound on a tool. */
  readonly fit: RodFit | null;
}

export type TechniqueNumber =
  | 'ropes' // how many ropes a section is parted into
  | 'packing' // packing fraction of dry, released hair
  | 'retentionCap' // best share of the set that stays
  | 'installMin'
  | 'installMinPerCm'
  | 'installPower' // growth of time with hair per section
  | 'takedownMin'
  | 'takedownMinPerCm'
  | 'medianDays'
  | 'lnDaysSd'
  | 'definition'
  | 'frizz'
  | 'volume'
  | 'openingN'; // opening kept from handling, N per hair

/** A technique: one file, listed in the registry; forms, forecasts and tests follow. */
export interface Technique {
  readonly id: string;
  readonly label: string;
  /** One set section and several: "twist", "twists". */
  readonly noun: readonly [string, string];
  readonly summary: string;
  /** The instruction at the chair for the section in hand. */
  readonly chairLine: string;
  /** How the style is called once taken down: "twist out". */
  readonly styleName: string;
  readonly motif: 'rope' | 'rod';
  /** Wanted width over height of a section. */
  readonly sectionAspect: number;
  readonly usualSections: number;
  readonly tool: 'rod' | null;
  /** First is the default. */
  readonly rootMethods: readonly [RootMethodId, ...RootMethodId[]];
  readonly endsMethods: readonly [EndsMethodId, ...EndsMethodId[]];
  readonly coefficients: CoefficientTable<TechniqueNumber>;
  readonly dryingShape: DryingShape;
  /** Geometry of the set hair. `rod` is given exactly when `tool` is not null. */
  readonly form: (bundle: Bundle, rod: Rod | null) => SetForm;
}

/** Keeps the literal id of a technique. */
export const defineTechnique = <const T extends Technique>(technique: T): T => technique;
