import { nightCares, type NightCareId } from '../coefficients/night-care';
import {
  endsMethods,
  rootMethods,
  type EndsMethodId,
  type RootMethodId,
} from '../coefficients/root-and-ends';
import { result } from '../coefficients/result';
import { startStates, type StartStateId } from '../coefficients/start-states';
import { takedownHands, type TakedownHandsId } from '../coefficients/takedown-hands';
import type { FastenedId } from '../coefficients/fastened';
import { afterwards, type AfterwardsId } from '../coefficients/afterwards';
import type { LearntOutcomes } from '../brief/learnt';
import type { Technique } from '../techniques/technique';
import { clamp } from '../units/clamp';

/** Everything the look and life of a set depend on, once per head. */
export interface SetFacts {
  readonly technique: Technique;
  readonly startState: StartStateId;
  readonly rootMethod: RootMethodId;
  readonly endsMethod: EndsMethodId;
  /** Mean over the hair of log₂(section thickness ÷ thickness that suits the coil). */
  readonly sizeDoublings: number;
  /** Coefficient of variation of hair per section. */
  readonly unevenness: number;
  /** Largest hold of the layers, 0 to 1, and what brings it. */
  readonly hold: number;
  readonly holdName: string | null;
  /** Share of removable water left at takedown, 0 to 1. */
  readonly damp: number;
  readonly brushedThrough: boolean;
  readonly separations: number;
  readonly fluffing: number;
  readonly fastened: FastenedId;
  readonly hands: TakedownHandsId;
  /** What goes on once it is taken down. */
  readonly after: readonly AfterwardsId[];
  readonly dewPointOutsideC: number;
  readonly night: NightCareId;
  readonly weakEnds: boolean;
  readonly hairCount: number;
  /** Largest fill of a rod over the head; 0 without rods. */
  readonly fill: number;
  /** What is learnt of this technique on this head. */
  readonly learnt: LearntOutcomes;
  /** Times the spread of days, where past bands were too narrow or too wide. */
  readonly daysWidth: number;
}

/** Section thickness against the thickness that suits the coil, in doublings (set-geometry §9). */
export function sizeDoublings(definingMm: number, coilDiameterMm: number): number {
  const c = result.value;
  const reference = clamp(c.referenceCoilShare * coilDiameterMm + c.referenceCoilMm, 3, 12);
  return Math.log2(clamp(definingMm / reference, 0.1, 12));
}

/** How well it was detangled, 0 to 1: brushed through, or raked with fingers as is usual. */
export const detangling = (facts: SetFacts): number => (facts.brushedThrough ? 1 : 0.8);
/** Unevenness beyond what anybody sees, as a coefficient of variation. */
export const unevenPart = (facts: SetFacts): number =>
  Math.max(0, facts.unevenness - result.value.evennessFree);
/** Dew point outdoors above what leaves a set alone, °C. */
export const dewOver = (facts: SetFacts): number =>
  facts.after.reduce((dew, id) => dew * afterwards[id].dew, 1) *
  Math.max(0, facts.dewPointOutsideC - result.value.dewFree);
/** The rows of what goes on afterwards. */
export const afterOf = (facts: SetFacts) => facts.after.map((id) => afterwards[id]);
/** The row of its start state. */
export const startOf = (facts: SetFacts) => startStates[facts.startState];
/** The row of its ends method. */
export const endsOf = (facts: SetFacts) => endsMethods[facts.endsMethod];
/** The row of its root method. */
export const rootOf = (facts: SetFacts) => rootMethods[facts.rootMethod];
/** The row of what is on the hands at takedown. */
export const handsOf = (facts: SetFacts) => takedownHands[facts.hands];
/** The row of its night care. */
export const nightOf = (facts: SetFacts) => nightCares[facts.night];
