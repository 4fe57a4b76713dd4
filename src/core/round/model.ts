import type { PerZone, Zone } from '../hair/zone';
import type { PartLine } from '../parting/pattern';
import { windingHand, type Winding } from '../parting/winding';
import type { ChartPoint } from '../sphere/crown-chart';
import type { SetForm, Technique } from '../techniques/technique';
import type { Tool } from '../techniques/bundle';

/** A section as it is drawn in the round. */
export interface RoundSection {
  readonly number: number;
  readonly zone: Zone;
  readonly side: 'left' | 'middle' | 'right';
  readonly outline: readonly ChartPoint[];
  readonly centroid: ChartPoint;
  /** Middle of a lane from the back; null for sections that are not lanes. */
  readonly spine: readonly ChartPoint[] | null;
  readonly winding: Winding;
  readonly hairCount: number;
  readonly lengthCm: number;
  readonly technique: Technique;
  readonly form: SetForm;
  /** Diameter of one of its ropes, mm. */
  readonly ropeMm: number;
  readonly tool: Tool | null;
  /** Length at the root that stays flat once it is worn, cm. */
  readonly flatRootCm: number;
  /** Nothing was done with it: it falls in its own coil. */
  readonly isOwn: boolean;
}

/** Look of a head on one day: what the forecast says of it. */
export interface RoundLook {
  readonly definition: number;
  readonly frizz: number;
  readonly volume: number;
  /** Of sections of a zone; zones without sections have none. */
  readonly visibleCm: Partial<PerZone<number>>;
  readonly curlMm: Partial<PerZone<number>>;
}

/** Looks of either half; both are the same where nothing is compared. */
export interface RoundDay {
  readonly day: number;
  /** Rated on that day, and not only forecast. */
  readonly isRated: boolean;
  readonly left: RoundLook;
  readonly right: RoundLook;
}

/** Looks of a day, and of the hair that nothing was done with. */
export interface ShownDay extends RoundDay {
  readonly own: RoundLook;
}

/** One end of what is expected. */
export interface RoundEnd {
  readonly curl: number;
  readonly stretch: number;
  readonly volume: number;
}

/** All that a head is drawn from. */
export interface RoundModel {
  readonly sections: readonly RoundSection[];
  /** Hair that is left out of the set: it falls in its own coil throughout. */
  readonly leftOut: readonly RoundSection[];
  readonly circumferenceCm: number;
  readonly strandUm: number;
  readonly coilMm: PerZone<number>;
  readonly shrinkage: number;
  readonly lengthCm: PerZone<number>;
  /** The part that is worn; null without one. */
  readonly partLine: readonly ChartPoint[] | null;
  readonly part: PartLine;
  /** Pieces that each section is separated into. */
  readonly pieces: number;
  readonly days: readonly RoundDay[];
  /** How far the forecast reaches either way, 10 to 90 of 100: factors on curl and stretch, points of volume. */
  readonly ends: Readonly<Record<'narrow' | 'wide', RoundEnd>>;
  readonly seed: number;
}

/** The look of one side on a day; the middle is as the left. */
export const lookOf = (day: RoundDay, side: RoundSection['side']): RoundLook =>
  side === 'right' ? day.right : day.left;

/**
 * Which way round a section is drawn: a head and its mirror image are drawn as mirror images, chance included.
 */
export const handOf = ({ winding, centroid }: Pick<RoundSection, 'winding' | 'centroid'>): 1 | -1 =>
  windingHand(winding, centroid.x);
