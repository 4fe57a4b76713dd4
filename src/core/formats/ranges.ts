import { DENSITY_PER_CM2, STRAND_UM } from '../coefficients/hair';

/** From the least to the most that is taken. */
export interface Range {
  readonly low: number;
  readonly high: number;
}

/** Layers that a set takes at most, and letters of a note. */
export const MOST_LAYERS = 8;
export const MOST_NOTE = 500;

/** How often a section gets the dose that its hair would get (common practice: a dry patch, a greasy hairline). */
export const SECTION_DOSE = { low: 0.25, high: 3 } as const;

/** What can be measured on a head (common practice, with room to spare). */
export const HEAD_RANGES = {
  circumferenceCm: { low: 46, high: 66 },
  densityPerCm2: { low: 40, high: 350 },
  ponytailCircumferenceCm: { low: 1, high: 25 },
  strandDiameterUm: { low: 35, high: 120 },
  naturalCoilDiameterMm: { low: 0.5, high: 60 },
  /** A share of the length; hair that drew up further could not be told from its own coil. */
  shrinkage: { low: 0, high: 0.92 },
  stretchedLengthCm: { low: 1, high: 120 },
} as const satisfies Record<string, Range>;

/** A head of which nothing but its length is known. */
export const USUAL_HEAD = {
  circumferenceCm: 56,
  densityPerCm2: DENSITY_PER_CM2.medium,
  strandDiameterUm: STRAND_UM.medium,
  naturalCoilDiameterMm: 8,
  shrinkage: 0.5,
  porosity: 'medium',
  stretchedLengthCm: 22,
} as const;

/** Rods and formers that exist. */
export const TOOL_RANGES = {
  diameterMm: { low: 3, high: 80 },
  workingLengthMm: { low: 20, high: 600 },
  owned: { low: 0, high: 1000 },
} as const satisfies Record<string, Range>;

/** What fans, hoods and diffusers give at the hair. */
export const DRYER_RANGES = {
  airSpeedMS: { low: 0.2, high: 8 },
  airC: { low: 20, high: 75 },
  count: { low: 0, high: 50 },
} as const satisfies Record<string, Range>;

/** What is put on a head, and how products state hold and weight. */
export const LAYER_RANGES = {
  grams: { low: 0, high: 500 },
  waterShare: { low: 0, high: 1 },
  hold: { low: 0, high: 5 },
  weight: { low: 0, high: 5 },
} as const satisfies Record<string, Range>;

/** Rooms and weather that somebody sets hair in. */
export const ROOM_RANGES = {
  temperatureC: { low: 5, high: 45 },
  relativeHumidity: { low: 0, high: 1 },
  dewPointOutsideC: { low: -30, high: 35 },
} as const satisfies Record<string, Range>;
/** A room and weather of which nothing is known. */
export const USUAL_ROOM = { temperatureC: 22, relativeHumidity: 0.5, dewPointOutsideC: 12 } as const;

/** Choices of a set that are numbers. */
export const SET_RANGES = {
  sectionSideCm: { low: 1, high: 20 },
  zoneSize: { low: 0.4, high: 2.5 },
  separations: { low: 1, high: 8 },
  fluffing: { low: 0, high: 3 },
  dryingHours: { low: 0.05, high: 96 },
  prepMinutes: { low: 1, high: 240 },
  handsOnHours: { low: 0.25, high: 16 },
  sureness: { low: 0.5, high: 0.99 },
} as const satisfies Record<string, Range>;

/** Weeks from trim to trim that a stylist may keep to, and what may come off at once, mm. */
export const TRIM_WEEKS = { low: 4, high: 52 } as const;
export const CUT_MM = { low: 1, high: 600 } as const;

/** Days after the takedown on which wear can be entered. */
export const WEAR_DAYS = { low: 0, high: 90 } as const satisfies Range;

/** Steps of drying in a brief: a plan has a few, a set that is run has as many as were begun. */
export const MOST_DRYING_STEPS = 24;
