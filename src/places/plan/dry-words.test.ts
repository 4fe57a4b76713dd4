import { describe, expect, it } from 'vitest';
import { UTC_CLOCK } from '@/core/formats/display';
import { HORIZON_H } from '@/core/drying/horizon';
import type { ForecastView } from '@/core/plan/forecast-view';
import { HOUR_MS } from '@/core/units/time';
import { dryLine, dryWords } from './dry-words';

const SET_AT = Date.UTC(2027, 2, 12, 21);
const words = (p10: number, p50: number, p90: number, isLaidOut = true) =>
  dryWords(
    {
      plan: { drying: { dryAfterH: { p10, p50, p90 } } },
      blocks: isLaidOut ? [{ step: 'install', startMs: SET_AT - HOUR_MS, endMs: SET_AT }] : [],
    } as unknown as ForecastView,
    UTC_CLOCK,
  );

describe('when a plan is dry, in words', () => {
  it('is a clock time with its range where the day is laid out, hours after setting elsewhere', () => {
    expect(dryLine(words(7, 9.5, 12))).toContain('06:30');
    expect(words(7, 9.5, 12, false)).toEqual({
      value: '9½ h',
      day: null,
      range: 'between 7 h and 12 h after setting',
    });
  });

  it('beyond ten days is said, and never shown as two hundred and forty hours', () => {
    for (const isLaidOut of [true, false]) {
      const never = dryLine(words(HORIZON_H, HORIZON_H, HORIZON_H, isLaidOut));
      expect(never).toBe('not within ten days, not in this air; change the drying');
      expect(dryLine(words(200, HORIZON_H, HORIZON_H, isLaidOut))).toContain(
        'at the earliest 200 h after setting',
      );
      const maybe = dryLine(words(30, 90, HORIZON_H, isLaidOut));
      expect(maybe).toContain('over ten days');
      expect(maybe).not.toContain('240');
    }
  });

  it('hair with nothing wet on it is already dry: no hour is shown', () => {
    expect(dryLine(words(0, 0, 0))).toBe('already dry, nothing that was put on it wets it');
    expect(words(0, 0.3, 0.8, false).range).toBe('between at once and 50 min after setting');
  });
});
