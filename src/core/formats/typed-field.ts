import { z } from 'zod';

/** A number as it is typed, with a comma or a point; empty is null. The message says what to write. */
export const typedNumber = (label: string, low: number, high: number, unit = '') =>
  z.string().transform((text, context) => {
    if (text.trim() === '') return null;
    const value = Number(text.trim().replace(',', '.'));
    const range = `${low} to ${high}${unit && ` ${unit}`}`;
    if (!Number.isFinite(value)) {
      context.addIssue({ code: 'custom', message: `“${text}” is not a number; write ${range}, or nothing` });
      return z.NEVER;
    }
    if (value < low || value > high) {
      context.addIssue({ code: 'custom', message: `${label}: ${range}` });
      return z.NEVER;
    }
    return value;
  });

/** A number that must be typed. */
export const neededNumber = (label: string, low: number, high: number, unit = '') =>
  typedNumber(label, low, high, unit).transform((value, context) => {
    if (value !== null) return value;
    context.addIssue({ code: 'custom', message: `${label}: write ${low} to ${high}${unit && ` ${unit}`}` });
    return z.NEVER;
  });

/** A whole number that must be typed. */
export const neededWhole = (label: string, low: number, high: number, unit = '') =>
  neededNumber(label, low, high, unit).refine(Number.isInteger, { error: `${label}: a whole number` });

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** A day of the calendar as a date field gives it; empty is null. */
export const typedDay = (label: string) =>
  z.string().transform((text, context) => {
    if (text === '') return null;
    if (!DAY.test(text) || Number.isNaN(Date.parse(`${text}T00:00:00Z`))) {
      context.addIssue({ code: 'custom', message: `${label}: choose a day, or leave it empty` });
      return z.NEVER;
    }
    return text;
  });
