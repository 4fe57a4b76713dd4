import type { AfterwardsId } from '../coefficients/afterwards';
import type { EndsMethodId, RootMethodId } from '../coefficients/root-and-ends';
import type { HandId } from '../coefficients/hands';
import type { NightCareId } from '../coefficients/night-care';
import type { PrepStepId } from '../coefficients/prep-steps';
import type { StartStateId } from '../coefficients/start-states';
import type { TakedownHandsId } from '../coefficients/takedown-hands';
import type { DryingStep } from '../drying/dry-run-input';
import type { Head } from '../hair/head';
import type { PerZone } from '../hair/zone';
import type { PartingPattern, PartLine } from '../parting/pattern';
import type { WindingPatternId } from '../parting/winding';
import type { SleepHours } from '../schedule/sleep';
import type { PartingRecipe } from '../parting/recipe';
import type { Layer } from '../products/layer';
import type { TechniqueId } from '../techniques';
import type { KnotWay } from '../techniques/knot-way';
import type { FastenedId } from '../coefficients/fastened';
import type { Tool } from '../techniques/bundle';
import type { Corrections, Learnt, LearntMultiplier } from './learnt';
import type { ToolKindId } from '../techniques/tool-kind';

/** A size of tool as a plan takes it. */
export interface PlannedSize extends Tool {
  readonly kind: ToolKindId;
  readonly owned: number;
}

/** What sections are wound on. */
export interface PlannedTool extends PlannedSize {
  /** The size that every other section takes; null where all take the same. */
  readonly alternate: PlannedSize | null;
}

/** What is done in one zone. */
export interface ZoneSet {
  readonly technique: TechniqueId;
  readonly rootMethod: RootMethodId;
  readonly endsMethod: EndsMethodId;
  readonly tool: PlannedTool | null;
  /** Sections of a zone that is parted for itself; null where the head's parting runs through it. */
  readonly sections: number | null;
}

/** A brief, checked and complete: what is to be forecast. */
export interface Brief {
  readonly head: Head;
  readonly set: Omit<ZoneSet, 'sections'> & {
    /** Sections on the head, without zones that are parted for themselves. */
    readonly sections: number;
    readonly startState: StartStateId;
    readonly layers: readonly Layer[];
    readonly brushedThrough: boolean;
    /** Pressed with a towel once the products are in. */
    readonly blotted: boolean;
    readonly hand: HandId;
    readonly knot: KnotWay;
    /** How flexible rods are closed: more fit bent over at the root only, both ends hold firmer. */
    readonly fastened: FastenedId;
  };
  readonly zones: PerZone<ZoneSet>;
  readonly parting: {
    readonly pattern: PartingPattern;
    readonly part: PartLine;
    /** Two halves are compared: no section lies in both. */
    readonly trial: boolean;
    /** Rows behind the ears; null for as many as suit. */
    readonly backRows: number | null;
    readonly sizes: PerZone<number>;
    readonly recipe: PartingRecipe | null;
    /** Which way sections are wound, where no single one says otherwise. */
    readonly winding: WindingPatternId;
  };
  readonly wear: {
    readonly night: NightCareId;
    readonly separations: number;
    readonly fluffing: number;
    readonly hands: TakedownHandsId;
    /** What goes on once it is taken down. */
    readonly after: readonly AfterwardsId[];
  };
  readonly room: {
    readonly temperatureC: number;
    readonly relativeHumidity: number;
    readonly dewPointOutsideC: number;
    /** Small, and shut while hair dries in it. */
    readonly closed: boolean;
  };
  /** Steps before the set; null for the usual ones in one. */
  readonly prep:
    | readonly {
        readonly step: PrepStepId;
        readonly minutes: number;
        /** What it is done with, by name; null where nobody says. */
        readonly product: string | null;
      }[]
    | null;
  /** Hours that are kept free of hands-on work; null for none. */
  readonly sleep: SleepHours | null;
  /** At least one step. */
  readonly drying: readonly DryingStep[];
  /** Hands-on time over the usual: above 1 is slower. */
  readonly pace: LearntMultiplier;
  /** Drying rate over the usual: above 1 dries faster. */
  readonly dryingRate: LearntMultiplier;
  /** What is learnt of this head; null where nothing is, or where it is to be forecast as if it were not known. */
  readonly learnt: Learnt | null;
  readonly corrections: Corrections;
  readonly startAtMs: number | null;
  readonly wearByMs: number | null;
  /** IANA name or offset that times are printed in. */
  readonly timeZone: string;
  /** Heads drawn for the spread of drying; 0 for the quick estimate without. */
  readonly draws: number;
  readonly seed: number;
  /** What hands and eyes should remember of it. */
  readonly note: string;
}
