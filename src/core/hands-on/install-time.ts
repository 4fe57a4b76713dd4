import {
  endsMethods,
  rootMethods,
  type EndsMethodId,
  type RootMethodId,
} from '../coefficients/root-and-ends';
import { fastened, type FastenedId } from '../coefficients/fastened';
import { handsOn } from '../coefficients/result';
import { startStates, type StartStateId } from '../coefficients/start-states';
import type { Technique } from '../techniques/technique';
import { clamp } from '../units/clamp';

/** What one section takes to put in and take out. */
export interface SectionWork {
  readonly technique: Technique;
  readonly hairCount: number;
  readonly lengthCm: number;
  readonly rootMethod: RootMethodId;
  readonly endsMethod: EndsMethodId;
  readonly startState: StartStateId;
  readonly brushedThrough: boolean;
  /** How what bends is closed. */
  readonly fastened: FastenedId;
}

const thickness = (hairCount: number) => clamp(hairCount / handsOn.value.hairsOfUsualSection, 0.02, 10);

/** Minutes to part one section at pace 1. */
export const partingMin = (): number => handsOn.value.partMin;

/** What the time of one section goes into, min at pace 1. */
export interface InstallParts {
  readonly parting: number;
  readonly product: number;
  /** Twisting, plaiting, winding: the set itself. */
  readonly setting: number;
  readonly root: number;
  readonly ends: number;
  readonly brushing: number;
}
/** Their names, in the order of the work. */
export const INSTALL_PARTS = ['parting', 'product', 'setting', 'root', 'ends', 'brushing'] as const;

/**
 * Minutes to part, coat and set one section at pace 1; laying out, once a head, is not in it.
 *
 * @source set-geometry §10 (fitted to common practice)
 */
export function sectionInstallParts(work: SectionWork): InstallParts {
  const n = thickness(work.hairCount);
  const c = handsOn.value;
  const t = work.technique.coefficients.value;
  return {
    parting: partingMin(),
    product: c.productMin * Math.sqrt(n),
    setting:
      (t.installMin + t.installMinPerCm * work.lengthCm) * n ** t.installPower +
      startStates[work.startState].extraMin * Math.sqrt(n),
    root: rootMethods[work.rootMethod].installMin,
    ends:
      endsMethods[work.endsMethod].installMin +
      (work.technique.bends ? fastened[work.fastened].installMin : 0),
    brushing: work.brushedThrough ? c.brushMin * Math.sqrt(n) : 0,
  };
}

/** Minutes to undo one section at pace 1. */
export function sectionTakedownMin(work: SectionWork): number {
  const t = work.technique.coefficients.value;
  return (
    t.takedownMin +
    t.takedownMinPerCm * work.lengthCm +
    rootMethods[work.rootMethod].takedownMin +
    endsMethods[work.endsMethod].takedownMin
  );
}

/** Minutes to separate one section into `pieces` at pace 1. */
export const sectionSeparateMin = (work: SectionWork, pieces: number): number =>
  handsOn.value.separateMin *
  (pieces - 1) *
  Math.sqrt(work.technique.coefficients.value.ropes) *
  Math.sqrt(thickness(work.hairCount));
