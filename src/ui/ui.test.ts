import { describe, expect, it } from 'vitest';
import { aPartingSpec } from '../../tests/support/partings';
import { IMPERIAL, METRIC, UTC_CLOCK } from '@/core/formats/display';
import { drawLayout } from '@/core/parting/drawn-layout';
import { generateRecipe } from '@/core/parting/generate';
import { layOut } from '@/core/parting/layout';
import { anchorWords, ratingScales } from '@/core/wear/rating-scales';
import { moveFocus } from './crown-map/crown-map-focus';
import { dryingState, stateWords, wetStep } from './crown-map/section-state';
import { problemOf } from './fields/number-field';
import { localTimeOf } from '@/core/schedule/local-time';
import * as format from './format';
import { chanceStillGood } from './ribbon/still-good';

describe('figures as they are shown', () => {
  it('lengths to half a centimetre or a quarter inch', () => {
    expect(format.formatLength(23.27, METRIC)).toBe('23.5 cm');
    expect(format.formatLength(23.495, IMPERIAL)).toBe('9¼ in');
    expect(format.formatDiameter(9.04, METRIC)).toBe('9 mm');
    expect(format.formatDiameter(14.3, METRIC)).toBe('14 mm');
  });

  it('times no finer than is known', () => {
    expect(format.formatMinutes(31.7)).toBe('30 min');
    expect(format.formatMinutes(12.4)).toBe('12 min');
    expect(format.formatMinutes(157)).toBe('2 h 35');
    expect(format.formatHours(9.6)).toBe('9½ h');
    expect(format.formatHours(0.5)).toBe('30 min');
    expect(format.formatAboutClock(Date.UTC(2027, 0, 1, 7, 22), UTC_CLOCK)).toBe('07:20');
  });

  it('chances never certain, shares as they are', () => {
    for (const sure of [0.996, 1 - 1e-16, 1]) expect(format.formatChance(sure)).toBe('over 99 %');
    for (const unsure of [0.004, 0]) expect(format.formatChance(unsure)).toBe('under 1 %');
    expect(format.formatChance(0.914)).toBe('91 %');
    expect(format.formatPercent(1)).toBe('100 %');
  });

  it('masses, temperatures and scales in both units', () => {
    expect(format.formatMass(7.24, METRIC)).toBe('7.2 g');
    expect(format.formatMass(58.4, METRIC)).toBe('58 g');
    expect(format.formatMass(28.35, IMPERIAL)).toBe('1 oz');
    expect(format.formatTemperature(22, IMPERIAL)).toBe('72 °F');
    expect(format.formatIndex(6.4)).toBe('6½');
    expect(format.formatIndex(0.4)).toBe('½');
    expect(format.formatSigned(-0.45)).toBe('−0.5');
    expect(format.formatLocalTime('2027-03-13T09:00', UTC_CLOCK)).toBe('Sat 13 Mar, 09:00');
  });
});

describe('moving over the crown map by keys', () => {
  const sections = drawLayout(layOut(generateRecipe(aPartingSpec(18))));
  it('right and left follow the working order and stop at the ends', () => {
    expect(moveFocus(sections, 1, 'ArrowRight', false)).toBe(2);
    expect(moveFocus(sections, 1, 'ArrowLeft', false)).toBe(1);
    expect(moveFocus(sections, 7, 'End', false)).toBe(18);
    expect(moveFocus(sections, 7, 'Home', false)).toBe(1);
  });

  it('up goes towards what is drawn above, also when the map is turned', () => {
    expect(moveFocus(sections, 2, 'ArrowUp', false)).toBeGreaterThan(3);
    expect(moveFocus(sections, 2, 'ArrowDown', true)).toBeGreaterThan(3);
    expect(moveFocus(sections, 2, 'ArrowDown', false)).toBe(2);
    expect([9, 10, 11]).toContain(moveFocus(sections, 5, 'ArrowUp', false));
  });
});

describe('states and scales in words', () => {
  it('a section is dry, or says how sure', () => {
    expect(dryingState(0.97)).toEqual({ kind: 'dry' });
    expect(stateWords(dryingState(0.4))).toBe('40 percent sure to be dry');
    expect([0.1, 0.3, 0.6, 0.9].map(wetStep)).toEqual([0, 1, 2, 3]);
  });

  it('a rating says its nearest anchor', () => {
    const definition = ratingScales[0];
    expect(anchorWords(definition, 7.5)).toBe('most clumps whole to the tip');
    expect(anchorWords(definition, 0)).toBe('no clumps');
  });

  it('a number out of range says the range', () => {
    const range = { label: 'Sections', low: 2, high: 600, unit: '', whole: true };
    expect(problemOf('900', range)).toBe('Sections: 2 to 600');
    expect(problemOf('', range)).toContain('write a number');
    expect(problemOf('seven', range)).toContain('“seven” is not a number');
    expect(problemOf('7.5', range)).toContain('whole number');
    expect(problemOf('18', range)).toBeNull();
  });

  it('a style is presentable on its median day half the time', () => {
    const band = { p10: 2.4, p50: 3.5, p90: 5 };
    expect(chanceStillGood(band, 0)).toBe(1);
    expect(chanceStillGood(band, 3)).toBeCloseTo(0.5, 1);
    expect(chanceStillGood(band, 9)).toBeLessThan(0.01);
  });
});

describe('a pin moved along the day', () => {
  it('keeps wall-clock time through the hours that daylight saving takes and gives', () => {
    const minute = 60_000;
    // Lisbon: the clock goes from 01:00 to 02:00 on 28 March 2027, and from 02:00 to 01:00 on 31 October 2027.
    const spring = Date.UTC(2027, 2, 28, 0, 45);
    expect(localTimeOf(spring, 'Europe/Lisbon')).toBe('2027-03-28T00:45');
    expect(localTimeOf(spring + 15 * minute, 'Europe/Lisbon')).toBe('2027-03-28T02:00');
    const autumn = Date.UTC(2027, 9, 31, 0, 45);
    expect(localTimeOf(autumn, 'Europe/Lisbon')).toBe('2027-10-31T01:45');
    expect(localTimeOf(autumn + 15 * minute, 'Europe/Lisbon')).toBe('2027-10-31T01:00');
    expect(localTimeOf(Date.UTC(2027, 2, 13, 15), 'America/Chicago')).toBe('2027-03-13T09:00');
  });
});
