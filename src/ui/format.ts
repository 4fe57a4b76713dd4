import type { Clock, Units } from '@/core/formats/display';
import { MINOR_UNITS } from '@/core/formats/money';
import { isBeyondHorizon } from '@/core/drying/horizon';
import { plural } from '@/core/words/words';
import { inchesFromCm } from '@/core/units/length';
import { ouncesFromGrams } from '@/core/units/mass';
import { fahrenheitFromCelsius } from '@/core/units/temperature';

const LOCALE = 'en-GB';
const number = (value: number, digits: number) =>
  value.toLocaleString(LOCALE, { maximumFractionDigits: digits });

const VULGAR: Readonly<Record<string, string>> = {
  '1/8': '⅛', '1/4': '¼', '3/8': '⅜', '1/2': '½', '5/8': '⅝', '3/4': '¾', '7/8': '⅞',
}; // prettier-ignore

/** A number with its nearest fraction of `parts`, a power of two, in lowest terms: 6.5 → "6½", 9.4375 → "9 7/16". */
function withFraction(value: number, parts: 2 | 4 | 16): string {
  const steps = Math.round(value * parts);
  const whole = Math.floor(steps / parts);
  let [over, under] = [steps % parts, parts as number];
  while (over > 0 && over % 2 === 0) [over, under] = [over / 2, under / 2];
  if (over === 0) return String(whole);
  const fraction = VULGAR[`${over}/${under}`];
  const shown = fraction ?? `${over}/${under}`;
  return whole === 0 ? shown : `${whole}${fraction ? '' : ' '}${shown}`;
}

/** A length that is forecast: in cm to half a centimetre, or in inches to a quarter. */
export const formatLength = (cm: number, { length }: Units): string =>
  length === 'cm' ? `${number(Math.round(cm * 2) / 2, 1)} cm` : `${withFraction(inchesFromCm(cm), 4)} in`;

/** Inches to a sixteenth, as they are read and typed: "9 7/16". */
export const inchWords = (cm: number): string => withFraction(inchesFromCm(cm), 16);

/** A length that was measured: as it was, or in inches to a sixteenth. */
export const formatMeasured = (cm: number, { length }: Units): string =>
  length === 'cm' ? `${number(cm, 1)} cm` : `${withFraction(inchesFromCm(cm), 16)} in`;

/** A curl or rod diameter: whole mm from 10 up, half below; or the inches that rods are called by, to a sixteenth. */
export const formatDiameter = (mm: number, { length }: Units): string =>
  length === 'cm'
    ? `${number(mm >= 10 ? Math.round(mm) : Math.round(mm * 2) / 2, 1)} mm`
    : `${withFraction(Math.max(1 / 16, mm / 25.4), 16)} in`;

/** An area of scalp. */
export const formatArea = (cm2: number, { length }: Units): string =>
  length === 'cm' ? `${number(cm2, cm2 < 10 ? 1 : 0)} cm²` : `${number(cm2 / 6.4516, 1)} sq in`;

/** A dose or weight: a decimal below 10 g. */
export const formatMass = (grams: number, { mass }: Units): string =>
  mass === 'g'
    ? `${number(grams, grams < 10 ? 1 : 0)} g`
    : `${number(ouncesFromGrams(grams), grams < 30 ? 2 : 1)} oz`;

/** A price, from minor units. */
export const formatMoney = (minor: number, currency: string): string =>
  new Intl.NumberFormat(LOCALE, { style: 'currency', currency }).format(minor / MINOR_UNITS);

/** A day of the calendar as it is kept: "3 Mar 2027", "Mar 3, 2027" or "2027-03-03". */
export function formatCalendarDay(day: string, clock: Pick<Clock, 'dateOrder'>): string {
  if (clock.dateOrder === 'year-first') return day;
  return new Intl.DateTimeFormat(DATE_LOCALE[clock.dateOrder], {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: 'UTC',
  }).format(Date.parse(`${day}T00:00:00Z`));
}

/** An amount in what hands measure with: to a half below ten, else whole. */
export function formatHands(amount: number, noun: readonly [string, string]): string {
  const rounded = amount < 10 ? Math.max(0.5, Math.round(amount * 2) / 2) : Math.round(amount);
  return `${withFraction(rounded, 2)} ${rounded <= 1 ? noun[0] : noun[1]}`;
}

/** Less than this of a unit nobody portions out: one does for several sections. */
const LEAST_PORTION = 0.4;
/** One does for more sections than this: nobody counts that far. */
const MOST_SHARED = 20;

/** The dose of one section in what hands measure with; where that is too little to portion, how many one does for. */
export const formatPortion = (amount: number, noun: readonly [string, string]): string =>
  amount >= LEAST_PORTION || amount <= 0
    ? formatHands(amount, noun)
    : 1 / amount > MOST_SHARED
      ? 'a touch'
      : `1 ${noun[0]} for ${Math.round(1 / amount)}`;

/** A room temperature. */
export const formatTemperature = (celsius: number, { temperature }: Units): string =>
  temperature === 'C' ? `${number(celsius, 0)} °C` : `${number(fahrenheitFromCelsius(celsius), 0)} °F`;

/** A share as whole percent. */
export const formatPercent = (share: number): string => `${Math.round(share * 100)} %`;

/** A chance as whole percent, never certain either way: no forecast is. */
export function formatChance(chance: number): string {
  if (chance < 0.01) return 'under 1 %';
  return chance > 0.99 ? 'over 99 %' : formatPercent(chance);
}

/** The same in the room of a section. */
export const formatChanceShort = (chance: number): string =>
  formatChance(chance).replace('under ', '<').replace('over ', '>');

/** What minutes are rounded to: five above twenty, else one. */
export const minuteGrain = (min: number): 1 | 5 => (min > 20 ? 5 : 1);

/** Minutes: to five over twenty, else to one; hours and minutes above ninety. */
export function formatMinutes(min: number): string {
  const grain = minuteGrain(min);
  const rounded = Math.max(1, Math.round(min / grain) * grain);
  if (rounded <= 90) return `${rounded} min`;
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

/** Dry sooner than this after setting is dry already, h. */
const ALREADY_H = 1 / 60;

/** Hours until dry: "6½ h", "over ten days" where that is all that can be said, "at once" for hair that is dry as it is set. */
export const formatDryHours = (hours: number): string =>
  isBeyondHorizon(hours) ? 'over ten days' : hours < ALREADY_H ? 'at once' : formatHours(hours);

/** Clock time of an instant: "17:45", or "5:45 pm". */
export const formatClock = (ms: number, { timeZone, hours }: Clock): string =>
  hours === 24
    ? new Intl.DateTimeFormat(LOCALE, {
        hour: '2-digit',
        minute: '2-digit',
        hourCycle: 'h23',
        timeZone,
      }).format(ms)
    : new Intl.DateTimeFormat(LOCALE, { hour: 'numeric', minute: '2-digit', hourCycle: 'h12', timeZone })
        .format(ms)
        .toLowerCase();

const FIVE_MIN_MS = 300_000;
const toFiveMin = (ms: number) => Math.round(ms / FIVE_MIN_MS) * FIVE_MIN_MS;

/** Clock time to five minutes: a forecast knows no better. */
export const formatAboutClock = (ms: number, clock: Clock): string => formatClock(toFiveMin(ms), clock);

/** The locale whose order of day and month is wanted; the words stay English. */
const DATE_LOCALE = { 'day-first': 'en-GB', 'month-first': 'en-US', 'year-first': 'en-GB' } as const;

/** Weekday and day: "Sat 13 Mar", "Sat Mar 13" or "Sat 03-13". */
export function formatDay(ms: number, { timeZone, dateOrder }: Clock): string {
  if (dateOrder === 'year-first')
    return `${formatWeekday(ms, { timeZone })} ${dateInZone(ms, timeZone).slice(5)}`;
  return new Intl.DateTimeFormat(DATE_LOCALE[dateOrder], {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone,
  })
    .format(ms)
    .replaceAll(',', '');
}

/** The day of that time: a minute before midnight is about the next one. */
export const formatAboutDay = (ms: number, clock: Clock): string => formatDay(toFiveMin(ms), clock);

/** Day and clock time: "Sat 13 Mar, 09:00". */
export const formatMoment = (ms: number, clock: Clock): string =>
  `${formatDay(ms, clock)}, ${formatClock(ms, clock)}`;

/** The same to five minutes, for what is forecast. */
export const formatAboutMoment = (ms: number, clock: Clock): string => formatMoment(toFiveMin(ms), clock);

/** A moment to come or gone by, seen from now: the time alone today, else with its day. */
export const formatWhen = (ms: number, clock: Clock, nowMs: number): string =>
  dateInZone(ms, clock.timeZone) === dateInZone(nowMs, clock.timeZone)
    ? formatClock(ms, clock)
    : formatMoment(ms, clock);

/** The same to five minutes, for what is forecast. */
export const formatAboutWhen = (ms: number, clock: Clock, nowMs: number): string =>
  formatWhen(toFiveMin(ms), clock, nowMs);

/**
 * Two ends of a range of moments, to five minutes. Where they lie on different days both say theirs: "21:45 and 08:10"
 * would be two days.
 */
export function formatEnds(lowMs: number, highMs: number, clock: Clock, between = 'and'): string {
  return formatExactEnds(toFiveMin(lowMs), toFiveMin(highMs), clock, between);
}

/** The same to the minute, for what is minutes away. */
export function formatExactEnds(low: number, high: number, clock: Clock, between = 'and'): string {
  const isOneDay = dateInZone(low, clock.timeZone) === dateInZone(high, clock.timeZone);
  const show = isOneDay ? formatClock : formatMoment;
  return `${show(low, clock)} ${between} ${show(high, clock)}`;
}

/** A calendar date of the studio with its weekday: "Sat 13 Mar". */
export const formatLocalDay = (date: string, clock: Clock): string =>
  formatDay(Date.parse(`${date}T12:00:00Z`), { ...clock, timeZone: 'UTC' });

/** A wall-clock time of the studio as kept in a brief: "Sat 13 Mar, 09:00". */
export const formatLocalTime = (local: string, clock: Clock): string =>
  formatMoment(Date.parse(`${local.slice(0, 16)}Z`), { ...clock, timeZone: 'UTC' });

const WHOLE_LOCAL = /^\d{4}-\d{2}-\d{2}(?:T\d{2}:\d{2})?$/;

/** What a field of the browser's own holds, a day or a time of one, in the words of the studio; null while it is not whole. */
export function pickedWords(local: string, clock: Clock): string | null {
  if (!WHOLE_LOCAL.test(local)) return null;
  return local.includes('T') ? formatLocalTime(local, clock) : formatLocalDay(local, clock);
}

/** Weekday alone. */
export const formatWeekday = (ms: number, { timeZone }: Pick<Clock, 'timeZone'>): string =>
  new Intl.DateTimeFormat(LOCALE, { weekday: 'short', timeZone }).format(ms);

/** Date as stored in forms, in a time zone: "2027-03-13". */
export const dateInZone = (ms: number, timeZone: string): string =>
  new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeZone }).format(ms);

/** Whole days with "day" or "days". */
export const formatDays = (days: number): string => plural(Math.round(days), 'day');

/** A figure on a 0–10 scale to a half. */
export const formatIndex = (value: number): string => withFraction(value, 2);

/** A signed effect with a real minus sign. */
export const formatSigned = (value: number, digits = 1): string =>
  `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(digits)}`;
