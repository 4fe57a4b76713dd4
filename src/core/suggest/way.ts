import type { Brief, PlannedTool } from '../brief/brief';
import type { NightCareId } from '../coefficients/night-care';
import type { EndsMethodId, RootMethodId } from '../coefficients/root-and-ends';
import type { StartStateId } from '../coefficients/start-states';
import type { DryingMethod } from '../drying-methods/method';
import type { Layer } from '../products/layer';
import type { RoleId } from '../products';
import type { TechniqueId } from '../techniques';
import type { ZoneTechniques } from './mended-zones';

/** What is set: the technique, in how many sections, on what, and what is done where hair cannot carry it. */
export interface SetChoice {
  readonly technique: TechniqueId;
  readonly sections: number;
  /** Sections over what is usual of the technique on a head this dense and large. */
  readonly countShare: number;
  readonly tool: PlannedTool | null;
  readonly zones: ZoneTechniques;
}

/** One layer of a stack: a product of the shelf, or a role that would have to be bought. */
export interface StackLayer extends Omit<Layer, 'zones'> {
  readonly role: RoleId;
  /** Null where any product of the role is meant. */
  readonly productId: string | null;
  readonly name: string | null;
  /** There is no product of the role at hand. */
  readonly isToBuy: boolean;
  /** Left of it, g; null where nobody weighed it, or it is to be bought. */
  readonly leftG: number | null;
  readonly minorPerG: number | null;
}

/** Layers in the order they go on. */
export interface Stack {
  readonly id: string;
  readonly layers: readonly StackLayer[];
}

/** Blown air before the rest, or kept for last; what remains is open air by day and satin by night. */
export interface Route {
  readonly id: string;
  readonly first: { readonly method: DryingMethod; readonly hours: number } | null;
  readonly last: { readonly method: DryingMethod; readonly hours: number } | null;
}

/** How it is taken down and slept in. */
export interface Habit {
  readonly night: NightCareId;
  readonly separations: number;
  readonly fluffing: number;
  readonly hands: Brief['wear']['hands'];
}

/** One whole way to do a head. */
export interface Way {
  readonly set: SetChoice;
  readonly startState: StartStateId;
  readonly rootMethod: RootMethodId;
  readonly endsMethod: EndsMethodId;
  readonly stack: Stack;
  readonly route: Route;
  readonly habit: Habit;
}

/** What a choice is about, in the order of the work. */
export const AXES = ['technique', 'prep', 'start', 'layers', 'sections', 'root', 'ends', 'tool', 'drying', 'nights'] as const; // prettier-ignore
export type Axis = (typeof AXES)[number];
