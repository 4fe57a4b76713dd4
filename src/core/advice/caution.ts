import type { ZoneVerdict } from '../techniques/zone-verdict';
import type { Dose } from '../products/dose';
import type { Brief } from '../brief/brief';
import { isHotAir } from '../drying-methods/method';
import type { RoleId } from '../products';
import type { AsleepBlock } from '../schedule/backward';
import type { KnotForm } from '../techniques/knot-form';
import type { ToolFit } from '../techniques/rod-fit';
import type { ToolShort } from '../techniques/tool-kind';

/** What a forecast says of a brief, as far as cautions look at it. */
export interface ForecastFacts {
  readonly roomStaysDamp: boolean;
  /** Chance that everything is dry when it is taken down; null without a time. */
  readonly chanceDryAtTakedown: number | null;
  /** Hours the schedule leaves for drying; null without a time. */
  readonly dryingWindowH: number | null;
  /** What falls into the hours kept for sleep. */
  readonly asleep: readonly AsleepBlock[];
  /** Hours of blown air in the plan. */
  readonly blownHours: number;
  /** Hours from first covered to last covered while it is still damp. */
  readonly dampCoveredH: number;
  readonly fullestFit: ToolFit | null;
  readonly toolsShort: readonly ToolShort[];
  readonly doses: readonly Dose[];
  /** Product, g per g of dry hair. */
  readonly productPerG: number;
  readonly zones: readonly ZoneVerdict[];
  /** Visible over stretched length at takedown. */
  readonly stretch: number;
  /** The knot that pulls most. */
  readonly tightestKnot: KnotForm | null;
}

/** What a caution may look at: the brief, its forecast, and how long a set has been in. */
export interface CautionContext {
  readonly brief: Brief;
  /** Null once the set is in and only the calendar counts. */
  readonly facts: ForecastFacts | null;
  /** Days since it was put in; null while it is planned. */
  readonly daysInSet: number | null;
}

/** `stop` asks not to set at all. */
export type Severity = 'note' | 'warn' | 'stop';

/** Where a caution shows: while planning, at the chair, while it dries, while it is worn. */
export const CAUTION_PHASES = ['plan', 'setting', 'drying', 'wear'] as const;
export type CautionPhase = (typeof CAUTION_PHASES)[number];

/** When at the chair it matters: before the first part, or at sections by the hairline; left out where always. */
export type CautionMoment = 'first' | 'hairline';

/** One caution: when it is due, where it shows, what it says and who to turn to. */
export interface Caution {
  readonly code: string;
  readonly severity: Severity;
  readonly shows: readonly CautionPhase[];
  readonly moment?: CautionMoment;
  readonly when: (context: CautionContext) => boolean;
  readonly text: (context: CautionContext) => string;
  /** Who knows better than this program. */
  readonly turnTo?: string;
}

/** Whether something is noted of the hair or who wears it. */
export const hasCondition = ({ brief }: CautionContext, condition: string): boolean =>
  brief.head.conditions.includes(condition);
/** Whether any step dries with hot air. */
export const isDriedHot = ({ brief }: CautionContext): boolean =>
  brief.drying.some((step) => isHotAir(step.method));
/** Whether any step is under a wrap that is slept in. */
export const isSleptIn = ({ brief }: CautionContext): boolean =>
  brief.drying.some((step) => step.method.cover !== null);
/** The roles of its layers, in order. */
export const rolesOf = ({ brief }: CautionContext): RoleId[] => brief.set.layers.map((layer) => layer.role);
/** A share in words: “45 %”. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`;
