import { thresholds } from '../coefficients/thresholds';

/** How one way of drying moves air and heat round a set head (drying §5.5). One file a method. */
export interface DryingMethod {
  readonly id: string;
  readonly label: string;
  /** Said of a step: "under a satin bonnet". */
  readonly phrase: string;
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
  readonly usualHours: number;
  /** Goes on by itself through a night; the others need somebody awake. */
  readonly canSleepIn: boolean;
}

/** Checks a method at definition time and keeps its literal id. */
export const defineDryingMethod = <const M extends DryingMethod>(method: M): M => method;

/** Whether its air is hot enough to harm weak hair and to want a protectant; a cool hood is not. */
export const isHotAir = ({ airC }: Pick<DryingMethod, 'airC'>): boolean =>
  airC !== null && airC >= thresholds.value.hotAirC;
