import { result } from '../coefficients/result';
import { seededRng } from '../random/rng';
import { normalQuantile } from '../stats/normal';
import { clamp } from '../units/clamp';
import { DAY_MS } from '../units/time';
import type { DayWeather } from './day-entry';

/**
 * An outdoor weather station as the product knows it: it tells what a day was like, and not always. A real one is added
 * by another function of this shape.
 *
 * @param date ISO calendar date
 * @returns null where it missed the day
 */
export type WeatherStation = (date: string) => DayWeather | null;

/** A mild coast (assumed): mean and half the swing of a year, °C, warmest so many days into it. */
const YEAR = { meanC: 15, swingC: 8, warmestDay: 205, days: 365.25 } as const;
const DAY_SD_C = 3;
/** How far the dew point lies below the temperature, °C: least, and what comes on top of it at most. */
const DRYNESS_C = { least: 1, most: 11 } as const;
const MISSED = 0.08;

/** A make-believe station: a year of mild weather, the same for a date each time it is asked. */
export const simulatedStation =
  (seed: number): WeatherStation =>
  (date) => {
    const day = Math.floor(Date.parse(`${date}T12:00Z`) / DAY_MS);
    const chance = seededRng(seed, day);
    if (chance() < MISSED) return null;
    const season = Math.cos((2 * Math.PI * (day - YEAR.warmestDay)) / YEAR.days);
    const noise = DAY_SD_C * normalQuantile(clamp(chance(), 1e-3, 1 - 1e-3));
    const temperatureC = Math.round(YEAR.meanC + YEAR.swingC * season + noise);
    const below = DRYNESS_C.least + (DRYNESS_C.most - DRYNESS_C.least) * chance();
    return { temperatureC, dewPointC: Math.round(temperatureC - below) };
  };

/** The air of a day in one word, by what its dew point does to a set. */
export const airWord = ({ dewPointC }: DayWeather): 'Damp' | 'Dry' | 'Mild' =>
  dewPointC > result.value.dewFree ? 'Damp' : dewPointC < 0 ? 'Dry' : 'Mild';
