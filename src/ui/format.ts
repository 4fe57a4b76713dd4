import { MINOR_UNITS } from '@/core/formats/money';
import { inchesFromCm } from '@/core/units/length';
import { ouncesFromGrams } from '@/core/units/mass';
import { fahrenheitFromCelsius } from '@/core/units/temperature';

export type UnitSystem = 'metric' | 'imperial';

const LOCALE = 'en-GB';
const number = (value: number, digits: number) =>
  value.toLocaleString(LOCALE, { maximumFractionDigits: digits });

const QUARTERS = ['', '¼', '½', '¾'] as const;

/** A number with its nearest fraction of `parts` as a vulgar fraction: 6.5 → "6½". */
function withFraction(value: number, parts: 2 | 4): string {
  const steps = Math.round(value * parts);
  const whole = Math.floor(steps / parts);
  const fraction = QUARTERS[((steps % parts) * 4) / parts]!;
  return whole === 0 && fraction ? fraction : `${whole}${fraction}`;
}

/** A length in cm to half a centimetre, or in inches to a quarter. */
export const formatLength = (cm: number, units: UnitSystem): string =>
  units === 'metric' ? `${number(Math.round(cm * 2) / 2, 1)} cm` : `${withFraction(inchesFromCm(cm), 4)} in`;

/** A curl or rod diameter: whole mm from 10 up, half below; or sixteenths of an inch as decimals. */
export const formatDiameter = (mm: number, units: UnitSystem): string =>
  units === 'metric'
    ? `${number(mm >= 10 ? Math.round(mm) : Math.round(mm * 2) / 2, 1)} mm`
    : `${number(mm / 25.4, 2)} in`;

/** An area of scalp. */
export const formatArea = (cm2: number, units: UnitSystem): string =>
  units === 'metric' ? `${number(cm2, cm2 < 10 ? 1 : 0)} cm²` : `${number(cm2 / 6.4516, 1)} sq in`;

/** A dose or weight: a decimal below 10 g. */
export const formatMass = (grams: number, units: UnitSystem): string =>
  units === 'metric'
    ? `${number(grams, grams < 10 ? 1 : 0)} g`
    : `${number(ouncesFromGrams(grams), grams < 30 ? 2 : 1)} oz`;

/** A price, from minor units. */
export const formatMoney = (minor: number, currency: string): string =>
  new Intl.NumberFormat(LOCALE, { style: 'currency', currency }).format(minor / MINOR_UNITS);

/** A day of the calendar as it is kept: "3 Mar 2027". */
export const formatCalendarDay = (day: string): string =>
  new Intl.DateTimeFormat(LOCALE, {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  }).format(Date.parse(`${day}T00:00:00Z`));

/** An amount in what hands measure with: to a half below ten, else whole. */
export function formatHands(amount: number, noun: readonly [string, string]): string {
  const rounded = amount < 10 ? Math.max(0.5, Math.round(amount * 2) / 2) : Math.round(amount);
  return `${withFraction(rounded, 2)} ${rounded <= 1 ? noun[0] : noun[1]}`;
}

/** A room temperature. */
export const formatTemperature = (celsius: number, units: UnitSystem): string =>
  units === 'metric' ? `${number(celsius, 0)} °C` : `${number(fahrenheitFromCelsius(celsius), 0)} °F`;

/** A share as whole percent. */
export const formatPercent = (share: number): string => `${Math.round(share * 100)} %`;

/** A chance as whole percent, never certain either way: no forecast is. */
export function formatChance(chance: number): string {
  if (chance < 0.01) return 'under 1 %';
  return chance > 0.99 ? 'over 99 %' : formatPercent(chance);
}

/** Minutes: to five over twenty, else to one; hours and minutes from 100 minutes up. */
export function formatMinutes(min: number): string {
  const rounded = min > 20 ? Math.round(min / 5) * 5 : Math.max(1, Math.round(min));
  if (rounded < 100) return `${rounded} min`;
  const hours = Math.floor(rounded / 60);
  const rest = rounded % 60;
  return rest === 0 ? `${hours} h` : `${hours} h ${rest}`;
}

/** Minutes and seconds of a single section. */
export function formatStopwatch(min: number): string {
  const seconds = Math.round(min * 60);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** Hours to a quarter below six, else to a half. */
export const formatHours = (hours: number): string =>
  hours < 1 ? formatMinutes(hours * 60) : `${withFraction(hours, hours < 6 ? 4 : 2)} h`;

/** Clock time of an instant. */
export const formatClock = (ms: number, timeZone: string): string =>
  new Intl.DateTimeFormat(LOCALE, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23', timeZone }).format(
    ms,
  );

/** Clock time to five minutes: a forecast knows no better. */
export const formatAboutClock = (ms: number, timeZone: string): string =>
  formatClock(Math.round(ms / 300_000) * 300_000, timeZone);

/** Weekday and day: "Sat 13 Mar". */
export const formatDay = (ms: number, timeZone: string): string =>
  new Intl.DateTimeFormat(LOCALE, { weekday: 'short', day: 'numeric', month: 'short', timeZone })
    .format(ms)
    .replace(',', '');

/** A wall-clock time of the studio as kept in a brief: "Sat 13 Mar, 09:00". */
export function formatLocalTime(local: string): string {
  const ms = Date.parse(`${local.slice(0, 16)}Z`);
  return `${formatDay(ms, 'UTC')}, ${formatClock(ms, 'UTC')}`;
}

/** The wall-clock time of an instant in a zone as a brief keeps it: "2027-03-13T09:00". */
export const localTimeOf = (ms: number, timeZone: string): string =>
  new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeStyle: 'short', timeZone })
    .format(ms)
    .replace(' ', 'T');

/** Weekday alone. */
export const formatWeekday = (ms: number, timeZone: string): string =>
  new Intl.DateTimeFormat(LOCALE, { weekday: 'short', timeZone }).format(ms);

/** Date as stored in forms, in a time zone: "2027-03-13". */
export const dateInZone = (ms: number, timeZone: string): string =>
  new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeZone }).format(ms);

/** Whole days with "day" or "days". */
export const formatDays = (days: number): string => {
  const whole = Math.round(days);
  return `${whole} ${whole === 1 ? 'day' : 'days'}`;
};

/** A figure on a 0–10 scale to a half. */
export const formatIndex = (value: number): string => withFraction(value, 2);

/** A signed effect with a real minus sign. */
export const formatSigned = (value: number, digits = 1): string =>
  `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(digits)}`;
