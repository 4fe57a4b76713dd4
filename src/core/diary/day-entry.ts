import { z } from 'zod';
import { NIGHT_CARE_IDS } from '../coefficients/night-care';
import { bounded, within } from '../formats/field';
import { ZONES } from '../hair/zone';
import { MOST_SECTION_NUMBER } from '../parting/section-name';
import { MEASURED_RANGES } from '../run/measured';
import { DAY_DEED_IDS, WEAR_MARK_IDS, WORN_WAY_IDS } from './day-words';
import { isHalfPoint, RATING_IDS } from '../wear/rating-scales';

/** Where an entry comes from. */
export const ENTRY_SOURCES = ['studio', 'take-home', 'table'] as const;
export type EntrySource = (typeof ENTRY_SOURCES)[number];

/** Weather outdoors that anybody lives in: the bounds of the fields. */
export const WEATHER_RANGES = {
  temperatureC: { low: -40, high: 50 },
  dewPointC: { low: -50, high: 35 },
} as const;

const rating = bounded('a rating', 0, 10).refine(isHalfPoint, { error: 'a rating: whole or half points' });
const section = z.int().min(1).max(MOST_SECTION_NUMBER);

/** The air outdoors on a day. */
export const dayWeather = z
  .object({
    temperatureC: within('temperature', WEATHER_RANGES.temperatureC, '°C'),
    dewPointC: within('dew point', WEATHER_RANGES.dewPointC, '°C'),
  })
  .refine(({ temperatureC, dewPointC }) => dewPointC <= temperatureC, {
    error: 'the dew point is never above the temperature',
    path: ['dewPointC'],
  });
export type DayWeather = z.output<typeof dayWeather>;

/** How many pieces were twisted or knotted again, and which. */
export const redone = z.object({ as: z.enum(['twists', 'knots']), count: z.int().min(1).max(600) });

/** Where something is wrong, section by section. */
export const dayMarks = z.partialRecord(z.enum(WEAR_MARK_IDS), z.array(section).max(600));
export type DayMarks = z.output<typeof dayMarks>;

/** What was done to it, or happened to it. */
export const dayDone = z.object({
  deeds: z.array(z.enum(DAY_DEED_IDS)).max(DAY_DEED_IDS.length).default([]),
  redone: redone.nullable().default(null),
  worn: z.enum(WORN_WAY_IDS).nullable().default(null),
});
export type DayDone = z.output<typeof dayDone>;

/** Visible length where it was measured, cm. */
export const visibleLengths = z.partialRecord(
  z.enum(ZONES),
  within('visible length', MEASURED_RANGES.visibleCm, 'cm'),
);

/** What somebody saw of a style on one day. Any part of it may be left out. */
export const dayEntry = z.object({
  ratings: z.partialRecord(z.enum(RATING_IDS), rating).default({}),
  marks: dayMarks.default({}),
  night: z.enum(NIGHT_CARE_IDS).nullable().default(null),
  done: dayDone.default({ deeds: [], redone: null, worn: null }),
  weather: dayWeather.nullable().default(null),
  visibleCm: visibleLengths.default({}),
  note: z.string().trim().max(500, 'at most 500 letters').default(''),
});
export type DayEntry = z.output<typeof dayEntry>;

/** An entry in which nothing is said yet. */
export const EMPTY_DAY: DayEntry = dayEntry.parse({});

/** Whether an entry says anything at all. */
export const saysSomething = (entry: DayEntry): boolean =>
  Object.keys(entry.ratings).length > 0 ||
  Object.values(entry.marks).some((sections) => sections.length > 0) ||
  entry.night !== null ||
  entry.done.deeds.length > 0 ||
  entry.done.redone !== null ||
  entry.done.worn !== null ||
  entry.weather !== null ||
  Object.keys(entry.visibleCm).length > 0 ||
  entry.note !== '';

/**
 * The same again: what was seen and done yesterday, for a day on which nothing changed. What is new every day stays
 * out: lengths, weather, notes.
 */
export const sameAgain = ({ ratings, marks, night, done }: DayEntry): DayEntry => ({
  ...EMPTY_DAY,
  ratings,
  marks,
  night,
  done,
});
