import { thresholds } from '../coefficients/thresholds';

/** Machines that a studio dries with. */
export const DRYER_KINDS = ['fan', 'hood', 'diffuser'] as const;
export type DryerKind = (typeof DRYER_KINDS)[number];
/** What a stylist calls them. */
export const DRYER_LABEL: Readonly<Record<DryerKind, string>> = {
  fan: 'Fan',
  hood: 'Hood',
  diffuser: 'Diffuser',
};

/** What one machine gives at the hair, where it is known. */
export interface DryerOutput {
  readonly airSpeedMS?: number | undefined;
  /** Of a machine that warms the air, °C. */
  readonly airC?: number | undefined;
}

/** How one way of drying moves air and heat round a set head (drying §5.5). One file a method. */
export interface DryingMethod {
  readonly id: string;
  readonly label: string;
  /** Said of a step: "under a satin bonnet". */
  readonly phrase: string;
  /** The machine it takes; null for none. */
  readonly dryer: DryerKind | null;
  /** A machine blows air that is warmer than the room: somebody sits under it, awake. */
  readonly isBlown: boolean;
  /** Air temperature at the hair, °C; null is the room's. */
  readonly airC: number | null;
  readonly airSpeedMS: number;
  /** Share of the air speed felt at root, middle and end. */
  readonly speedShare: readonly [number, number, number];
  /** Exchange velocities of the ladder root–middle, middle–end, end–room, mm/s. */
  readonly exchangeMmS: readonly [number, number, number];
  readonly scalpC: number;
  readonly sweatGM2H: number;
  /** Radiant surroundings: room air + this, or hot air + this when an enclosed hood. */
  readonly radiant: { readonly from: 'room' | 'air'; readonly offsetK: number };
  /** A wrap over the hair: outer resistance, the share of hair it is pressed on, and its cloth over the scalp. */
  readonly cover: {
    readonly resistanceSM: number;
    readonly share: number;
    readonly areaRatio: number;
  } | null;
  /** Share of the time that moving hot air is on a given place; 1 for air that stays. */
  readonly duty: number;
  /** A manner of another method, for hands that want it so; nothing is suggested with it. */
  readonly isManner?: boolean;
  readonly usualHours: number;
  /** Goes on by itself through a night; the others need somebody awake. */
  readonly canSleepIn: boolean;
}

/** Checks a method at definition time and keeps its literal id. */
export const defineDryingMethod = <const M extends DryingMethod>(method: M): M => method;

/**
 * A method as one machine gives it: its own air speed, which renews the air as much faster, and its own temperature.
 *
 * @source exchange in proportion to air speed (assumed); a hood half as strong dries 1.3 to 1.4 times as long
 */
export function withOutput(method: DryingMethod, { airSpeedMS, airC }: DryerOutput): DryingMethod {
  if (method.dryer === null || (airSpeedMS === undefined && airC === undefined)) return method;
  const faster = (airSpeedMS ?? method.airSpeedMS) / method.airSpeedMS;
  const [root, middle, ends] = method.exchangeMmS;
  return {
    ...method,
    airSpeedMS: method.airSpeedMS * faster,
    exchangeMmS: [root * faster, middle * faster, ends * faster],
    airC: method.airC === null ? null : (airC ?? method.airC),
  };
}

/** Whether its air is hot enough to harm weak hair and to want a protectant; a cool hood is not. */
export const isHotAir = ({ airC }: Pick<DryingMethod, 'airC'>): boolean =>
  airC !== null && airC >= thresholds.value.hotAirC;
