import { describe, expect, it } from 'vitest';
import { readOrThrow } from '../../../tests/support/briefs';
import { briefOfRow, PRACTICE_ROWS } from '../../../tests/support/overnight-rows';
import { chanceDry } from '../drying/rate-belief';
import { wholeHeadTimes } from './drying-forecast';
import { forecast } from './forecast';
import { layoutFor } from './layout-for';

const forecastOf = (row: (typeof PRACTICE_ROWS)[number]) => {
  const brief = readOrThrow(briefOfRow(row));
  return forecast(brief, layoutFor(brief));
};

describe('what practice says of whole forecasts (common practice, wide bands; trade §5)', () => {
  it.each(PRACTICE_ROWS)('$name', (row) => {
    const { drying } = forecastOf(row);
    const [low, high] = row.middleH ?? [0, Infinity];
    expect(drying.dryAfterH.p50).toBeGreaterThanOrEqual(low);
    expect(drying.dryAfterH.p50).toBeLessThanOrEqual(high);
    for (const [afterH, least, most] of row.chances ?? []) {
      const chance = chanceDry(drying.belief, drying.all, afterH);
      expect(chance, `after ${afterH} h`).toBeGreaterThanOrEqual(least);
      expect(chance, `after ${afterH} h`).toBeLessThanOrEqual(most);
    }
  });

  it('under a cover alone the roots are last, whatever is set', () => {
    const covered = PRACTICE_ROWS.filter(({ drying }) => drying?.length === 1 && drying[0]![0] === 'bonnet');
    expect(covered.length).toBeGreaterThanOrEqual(8);
    for (const row of covered) {
      const { table } = forecastOf(row).drying;
      const usual = table.lnRates.indexOf(0);
      const at = (level: 'root' | 'middle' | 'ends') => wholeHeadTimes(table, level).hours[usual]!;
      expect(at('root'), row.name).toBeGreaterThanOrEqual(at('middle') * 0.999);
      expect(at('root'), row.name).toBeGreaterThanOrEqual(at('ends') * 0.999);
    }
  });
});
