import { describe, expect, it } from 'vitest';
import { ratersTable, weightedKappa } from './agreement';

describe('weighted kappa (Cohen 1968, table quoted from memory)', () => {
  const TABLE = [
    [0.44, 0.07, 0.09],
    [0.05, 0.2, 0.05],
    [0.01, 0.03, 0.06],
  ];
  it.each([
    ['as published', [[0, 1, 3], [1, 0, 6], [3, 6, 0]], 0.348],
    ['unweighted', [[0, 1, 1], [1, 0, 1], [1, 1, 0]], 0.4915],
    ['quadratic', [[0, 1, 4], [1, 0, 1], [4, 1, 0]], 0.454545],
    ['linear', [[0, 1, 2], [1, 0, 1], [2, 1, 0]], 0.473684],
  ] as const)('%s', (_, weights, kappa) => {
    expect(weightedKappa(TABLE, (i, j) => weights[i]![j]!)).toBeCloseTo(kappa, 3);
  }); // prettier-ignore

  it('has nothing to say where all fall in one box', () => {
    expect(weightedKappa([[9, 0], [0, 0]], (i, j) => (i - j) ** 2)).toBeNull();
  }); // prettier-ignore
});

describe('intraclass correlation (Shrout & Fleiss 1979, table quoted from memory)', () => {
  it('has the published mean squares and coefficients', () => {
    const rows = [[9, 2, 5, 8], [6, 1, 3, 2], [8, 4, 6, 8], [7, 1, 2, 6], [10, 5, 6, 9], [6, 2, 4, 7]]; // prettier-ignore
    const own = ratersTable(rows);
    expect(own.betweenSubjects).toBeCloseTo(11.2417, 4);
    expect(own.betweenRaters).toBeCloseTo(32.4861, 4);
    expect(own.rest).toBeCloseTo(1.01944, 5);
    expect(own.absolute).toBeCloseTo(0.2898, 4);
    expect(own.consistent).toBeCloseTo(0.7148, 4);
    expect(own.offsets.reduce((sum, offset) => sum + offset, 0)).toBeCloseTo(0, 9);
  });

  it('judges no spread where every rating is the same', () => {
    expect(ratersTable([[5, 5], [5, 5]])).toMatchObject({ absolute: null, consistent: null, typicalGap: 0 }); // prettier-ignore
  });
});
