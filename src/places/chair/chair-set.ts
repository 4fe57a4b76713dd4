import type { DryingMethodId } from '@/core/drying-methods';
import type { BriefInput } from '@/core/formats/brief';
import type { Clock } from '@/core/formats/display';
import type { Why } from '@/core/explain/why-of';
import type { PerZone, Zone } from '@/core/hair/zone';
import type { RunEvent } from '@/core/run/run-event';
import type { EndsMethodId, RootMethodId } from '@/core/coefficients/root-and-ends';
import type { CautionMoment } from '@/core/advice/caution';
import type { FinishPlan, FluffSchool } from '@/core/run/finish';
import type { TakedownHandsId } from '@/core/coefficients/takedown-hands';
import type { Winding } from '@/core/parting/winding';
import type { RoleId } from '@/core/products';
import type { HandUnitId, WeighedUnits } from '@/core/products/hand-units';
import type { TechniqueId } from '@/core/techniques';
import type { ToolKindId } from '@/core/techniques/tool-kind';
import type { Quadrant } from '@/core/parting/quadrant';
import type { RefObject } from 'react';
import type { Forecaster } from '@/workers/client';
import type { useRunLog } from './use-run-log';
import type { ForecastView } from '@/core/plan/forecast-view';
import type { PartingChoice } from '@/core/plan/parting-effect';
import type { LateSet, Rescue } from '@/core/plan/rescues';
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

/** A section as the chair shows it. */
export interface ChairSection {
  readonly zone: Zone;
  readonly quadrant: Quadrant;
  /** Planned minutes of setting. */
  readonly minutes: number;
  /** Grams of each layer; null where it does not go. */
  readonly doses: readonly (number | null)[];
  readonly toolKind: ToolKindId | null;
  readonly toolMm: number | null;
  readonly winding: Winding | null;
  /** Colour the studio gave that size; null where it has none. */
  readonly swatch: string | null;
}

/** A size of tool as the studio keeps it. */
export interface ChairTool {
  readonly kind: string;
  readonly diameterMm: number;
  readonly owned: number;
  readonly swatch: string;
}

/** What of a set follows its parting. */
export interface ChairSections extends Omit<FinishPlan, 'school'> {
  /** By number. */
  readonly sections: Readonly<Record<number, ChairSection>>;
  /** The brief with the parting as it is now: what changes at the chair is forecast from it. */
  readonly brief: BriefInput;
  readonly takedownMin: number;
  readonly separatingMin: number;
}

/** A set as the chair needs it, but for what follows its parting. */
export interface ChairSetBase {
  readonly id: string;
  /** Where a phone opens it; null where none can. */
  readonly phoneUrl: string | null;
  readonly headName: string;
  readonly skinTone: string;
  readonly hairTone: string;
  readonly technique: TechniqueId;
  /** What the technique is called, and what one section and several are called. */
  readonly techniqueLabel: string;
  readonly noun: readonly [string, string];
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
  /** When it was planned to be in, and when it is to be taken down; null without a time to be ready. */
  readonly plannedInMs: number;
  readonly takedownMs: number | null;
  /** Sections as planned, before anything was changed at the chair. */
  readonly plannedCount: number;
  /** The steps before it, as planned, in order; none where all of them are one. */
  readonly prep: readonly ChairPrep[];
  /** What goes on, in order: by the name on the tub where one was chosen. */
  readonly layers: readonly ChairLayer[];
  readonly handUnits: WeighedUnits;
  /** What to mind while it goes in, and while it dries. */
  readonly cautions: Readonly<Record<'setting' | 'drying', readonly ChairCaution[]>>;
  /** What pushed the forecast of the set when it was begun. */
  readonly why: Readonly<Record<'handsOn' | 'dry', Why | null>>;
  /** How this head differs from most, where that was learnt. */
  readonly known: Readonly<Record<'handsOn' | 'dry', string | null>>;
  /** What each zone is wound on; null for nothing. */
  readonly toolOf: PerZone<ToolKindId | null>;
  /** Sizes of tools that the studio keeps. */
  readonly tools: readonly ChairTool[];
  /** What the head's card says to mind; empty where nothing is written. */
  readonly allergies: string;
  readonly events: readonly RunEvent[];
  readonly isCancelled: boolean;
  /** The brief that it was begun with, in the day it is really done in. */
  readonly begunBrief: BriefInput;
  /** Which changes of the parting the forecast it came with is about, by their events. */
  readonly partedBy: readonly string[];
  /** The drying that the forecast it came with is about; null for the planned one. */
  readonly dryCourse: string | null;
  readonly school: FluffSchool;
  readonly finish: {
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
  };
  /** Ways of drying that this studio has what it takes for. */
  readonly waysToDry: readonly DryingMethodId[];
}

/** A set as the chair needs it. */
export interface ChairSet extends ChairSetBase, ChairSections {}

/** What a page of the chair is made from. */
export interface ChairDeskProps {
  readonly set: ChairSet;
  readonly view: ForecastView;
  readonly drawn: readonly DrawnSection[];
  readonly clock: Clock;
  readonly nowMs: number;
}

/** The parting as it is now, and what can be asked of it. */
export interface PartingNow {
  /** It was changed and is still being worked out. */
  readonly isWorking: boolean;
  /** How a section can be parted otherwise; sections that are done are left alone. */
  readonly choicesAt: (section: number) => Promise<readonly PartingChoice[]>;
  /** Why some changes cannot be taken back by themselves; null where they can. */
  readonly holdsWithout: (eventIds: readonly string[]) => Promise<string | null>;
  /** How a set that runs late can be in time. */
  readonly rescuesOf: (late: Omit<LateSet, 'brief' | 'edits' | 'done'>) => Promise<readonly Rescue[]>;
}

/** What opens over the chair, whatever its view. */
export type OpenDialog =
  'note' | 'keys' | 'prep' | 'layout' | 'hands' | 'more' | 'cards' | 'product' | 'parting' | 'rescue';

/** What both views of the chair are given. */
export interface ChairViewProps extends ChairDeskProps {
  readonly log: ReturnType<typeof useRunLog>;
  readonly parting: PartingNow;
  readonly forecaster: RefObject<Forecaster | null>;
  readonly dialog: OpenDialog | null;
  readonly onDialog: (dialog: OpenDialog | null) => void;
}
