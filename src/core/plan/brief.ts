import type { EndsMethodId, RootMethodId } from '../coefficients/root-and-ends';
import type { NightCareId } from '../coefficients/night-care';
import type { StartStateId } from '../coefficients/start-states';
import type { DryingStep } from '../drying/dry-run';
import type { Head } from '../hair/head';
import type { Layer } from '../products/layer';
import type { TechniqueId } from '../techniques';

/** A brief, checked and complete: what is to be forecast. */
export interface Brief {
  readonly head: Head;
  readonly set: {
    readonly technique: TechniqueId;
    readonly sections: number;
    readonly rootMethod: RootMethodId;
    readonly endsMethod: EndsMethodId;
    readonly startState: StartStateId;
    readonly tool: {
      readonly diameterMm: number;
      readonly workingLengthMm: number;
      readonly owned: number;
    } | null;
    readonly layers: readonly Layer[];
    readonly brushedThrough: boolean;
  };
  readonly wear: {
    readonly night: NightCareId;
    readonly separations: number;
    readonly fluffing: number;
    readonly hands: 'oiled' | 'bare';
  };
  readonly room: {
    readonly temperatureC: number;
    readonly relativeHumidity: number;
    readonly dewPointOutsideC: number;
  };
  /** At least one step; the last goes on until everything is dry. */
  readonly drying: readonly DryingStep[];
  readonly pace: number;
  readonly startAtMs: number | null;
  readonly wearByMs: number | null;
  /** IANA name or offset that times are printed in. */
  readonly timeZone: string;
}
