import type { DryingMethod } from '../drying-methods/method';
import type { AirSupply, Room } from './air-at-hair';
import type { SectionClass } from './nodes';

/** One step of a drying sequence. In a run the last goes on until everything is dry. */
export interface DryingStep {
  readonly method: DryingMethod;
  readonly hours: number;
}

/** A head in the set, ready to dry. */
export interface DryRunInput {
  readonly classes: readonly SectionClass[];
  readonly room: Room;
  readonly steps: readonly DryingStep[];
  /** Bound-water factor of the hair, 0.9 low … 1.15 high porosity. */
  readonly porosityFactor: number;
  /** Moisture at the start with product water, g per g dry hair, of classes that do not bring their own. */
  readonly startMoisture: number;
  /** Resistance of dried product films, s/m, of classes that do not bring their own. */
  readonly filmResistanceSM: number;
  /** Drying-rate multiplier of the head: 1.2 dries a fifth faster. */
  readonly rate: number;
  /** Hours after which a head that is still damp is given up on. */
  readonly horizonH: number;
  /** How the air differs from the method's own figures. */
  readonly supply?: AirSupply;
  /** × what a place may dry in one time step: 1 as usual, 2 for many draws, less to see that it has converged. */
  readonly stepScale?: number;
  /** Keep no curve. */
  readonly timesOnly?: boolean;
  /** Follow a zone no further than until all of it is dry: zones do not feel each other. */
  readonly untilDry?: boolean;
  /** Keep the moisture of every place over time. */
  readonly byPlace?: boolean;
}

/** What a run gives. Places are numbered class × 3 + level (root, middle, ends). */
export interface DryRun {
  /** Hours after the end of installing at which each place is dry; Infinity when it was not by the horizon. */
  readonly dryAfterH: readonly number[];
  /** Times of the curve, h after the end of installing. */
  readonly timeH: readonly number[];
  /** Mean moisture of the head at those times, g per g. */
  readonly moisture: readonly number[];
  /** Mean share of the removable water still in the hair, 1 as set … 0 dry. */
  readonly dampness: readonly number[];
  /** Mean moisture at root, middle and ends at those times, g per g. */
  readonly levelMoisture: readonly [
    root: readonly number[],
    middle: readonly number[],
    ends: readonly number[],
  ];
  /** Moisture of each place at those times, when it was asked for. */
  readonly placeMoisture: readonly (readonly number[])[];
  /** Water that left the hair over the run, by what was carried off step by step, kg. */
  readonly evaporatedKg: number;
  readonly startWaterKg: number;
  readonly endWaterKg: number;
}
