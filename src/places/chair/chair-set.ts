import type { DryingMethodId } from '@/core/drying-methods';
import type { BriefInput } from '@/core/formats/brief';
import type { Clock } from '@/core/formats/display';
import type { Why } from '@/core/explain/why-of';
import type { PerZone, Zone } from '@/core/hair/zone';
import type { RunEvent } from '@/core/run/run-event';
import type { EndsMethodId, RootMethodId } from '@/core/coefficients/root-and-ends';
import type { CautionMoment } from '@/core/advice/caution';
import type { FinishPlan } from '@/core/run/finish';
import type { TakedownHandsId } from '@/core/coefficients/takedown-hands';
import type { Winding } from '@/core/parting/winding';
import type { RoleId } from '@/core/products';
import type { HandUnitId, WeighedUnits } from '@/core/products/hand-units';
import type { TechniqueId } from '@/core/techniques';
import type { ToolKindId } from '@/core/techniques/tool-kind';
import type { useRunLog } from './use-run-log';
import type { ForecastView } from '@/core/plan/forecast-view';
import type { DrawnSection } from '@/core/parting/drawn-layout';

/** A step before the set as the chair names it. */
export interface ChairPrep {
  readonly step: string;
  readonly minutes: number;
  readonly handsOn: boolean;
  /** What it is done with, by name. */
  readonly product: string | null;
}

/** A layer as the chair names it. */
export interface ChairLayer {
  readonly role: RoleId;
  readonly name: string;
  /** What kind of product it is, where the name does not say. */
  readonly what: string;
  /** What hands measure it with. */
  readonly unit: HandUnitId;
  /** What there was of it when the set was begun, g; null where nobody knows. */
  readonly atStartG: number | null;
  /** Mixed in the hand with the layer before. */
  readonly isMixedIn: boolean;
}

/** What to mind, and when; `moment` is null where always. */
export interface ChairCaution {
  readonly text: string;
  readonly moment: CautionMoment | null;
}

/** A set as the chair needs it. */
export interface ChairSet {
  readonly id: string;
  readonly headName: string;
  readonly skinTone: string;
  readonly hairTone: string;
  readonly technique: TechniqueId;
  /** What to do with a section, by its zone. */
  readonly setupLines: PerZone<readonly string[]>;
  /** How each zone is set: what its cards are about. */
  readonly howOf: PerZone<{
    readonly technique: TechniqueId;
    readonly rootMethod: RootMethodId;
    readonly endsMethod: EndsMethodId;
  }>;
  readonly startedAtMs: number;
  /** When it was all in, as far as the server knew; its day is laid out from there. */
  readonly installedAtMs: number | null;
  readonly wearByMs: number | null;
  readonly sectionCount: number;
  /** The steps before it, as planned, in order; none where all of them are one. */
  readonly prep: readonly ChairPrep[];
  /** What goes on, in order: by the name on the tub where one was chosen. */
  readonly layers: readonly ChairLayer[];
  /** Grams of each layer for each section, in working order; null where it does not go. */
  readonly sectionDoses: readonly (readonly (number | null)[])[];
  readonly handUnits: WeighedUnits;
  readonly zoneOf: Readonly<Record<number, Zone>>;
  /** What to mind while it goes in, and while it dries. */
  readonly cautions: Readonly<Record<'setting' | 'drying', readonly ChairCaution[]>>;
  /** What pushed the forecast of the set when it was begun. */
  readonly why: Readonly<Record<'handsOn' | 'dry', Why | null>>;
  /** The tool of each section and which way it is wound, by number. */
  readonly sectionLines: Readonly<
    Record<
      number,
      {
        readonly toolKind: ToolKindId | null;
        readonly toolMm: number | null;
        readonly winding: Winding | null;
        /** Colour the studio gave that size; null where it has none. */
        readonly swatch: string | null;
      }
    >
  >;
  /** What the head's card says to mind; empty where nothing is written. */
  readonly allergies: string;
  readonly events: readonly RunEvent[];
  readonly isCancelled: boolean;
  /** The brief that it was begun with: what changes at the chair is forecast from it. */
  readonly brief: BriefInput;
  /** The drying that the forecast it came with is about; null for the planned one. */
  readonly dryCourse: string | null;
  readonly finish: FinishPlan & {
    /** What is on the hands at takedown, as planned. */
    readonly hands: TakedownHandsId;
    /** How a section is undone, by its zone; null where there is nothing to undo. */
    readonly undoLines: PerZone<string | null>;
    readonly separations: number;
    readonly fluffing: number;
    /** What goes on afterwards, in words; empty for nothing. */
    readonly after: string;
    /** The zone with the longest hair, besides the crown. */
    readonly longestZone: Zone;
    readonly takedownMin: number;
    readonly separatingMin: number;
  };
  /** Ways of drying that this studio has what it takes for. */
  readonly waysToDry: readonly DryingMethodId[];
}

/** What opens over the chair, whatever its view. */
export type OpenDialog = 'note' | 'keys' | 'prep' | 'layout' | 'hands' | 'more' | 'cards' | 'product';

/** What both views of the chair are given. */
export interface ChairViewProps {
  readonly set: ChairSet;
  readonly view: ForecastView;
  readonly drawn: readonly DrawnSection[];
  readonly clock: Clock;
  readonly nowMs: number;
  readonly log: ReturnType<typeof useRunLog>;
  readonly dialog: OpenDialog | null;
  readonly onDialog: (dialog: OpenDialog | null) => void;
}
