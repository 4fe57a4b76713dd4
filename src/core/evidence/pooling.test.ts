import { Matrix, inverse } from 'ml-matrix';
import { describe, expect, it } from 'vitest';
import { usualSpreads, type Spreads } from '../coefficients/evidence';
import { seededRng } from '../random/rng';
import { normalQuantile } from '../stats/normal';
import { daysCell, gridKnowledge, gridSummary, type DaysSeen } from './days-knowledge';
import { fitSpreads } from './fit-spreads';
import { normalCell, normalKnowledge, type NormalMessage } from './normal-knowledge';
import {
  evidenceOf,
  gathered,
  knownHead,
  rootOf,
  unseen,
  unseenHead,
  type Knowledge,
  type PooledHead,
} from './pooling';

const stretch = usualSpreads('stretch');
const days = usualSpreads('days');

/** Everything that is known of some heads. */
function known<M>(by: Knowledge<M>, spreads: Spreads, heads: readonly PooledHead<M>[]) {
  const own = heads.map((head) => gathered(by, spreads, head));
  const root = rootOf(
    by,
    spreads,
    own.map(({ message }) => message),
  );
  return {
    root,
    heads: own.map((one) => knownHead(by, spreads, root, one)),
    evidence: evidenceOf(by, spreads, heads),
  };
}

type Cells = Readonly<Record<string, readonly number[]>>;
const exact = (periods: readonly Cells[], setSd = stretch.set): PooledHead<NormalMessage> => ({
  periods: periods.map(
    (cells) =>
      new Map(
        Object.entries(cells).map(([id, own]) => [
          id,
          normalCell(
            own.map((value) => ({ value })),
            setSd,
          ),
        ]),
      ),
  ),
});
const wears = (...seen: readonly (readonly [days: number, ended: boolean])[]) => ({
  periods: [
    new Map([
      [
        'twist',
        daysCell(
          seen.map(([own, ended]): DaysSeen => ({ days: own, ended, expectedDays: 3.5 })),
          days.set,
        ),
      ],
    ]),
  ],
});

describe('what is learnt of a head (worked figures, evidence §2)', () => {
  it('A: one head, one technique, three sets', () => {
    const { root, heads, evidence } = known(normalKnowledge, stretch, [exact([{ twist: [6, 10, 2] }])]);
    expect(root.mean).toBeCloseTo(1.282051, 6);
    expect(root.variance).toBeCloseTo(19.65812, 6);
    expect(heads[0]!.head.mean).toBeCloseTo(4.564103, 6);
    expect(heads[0]!.head.variance).toBeCloseTo(21.299145, 6);
    const cell = heads[0]!.cells.get('twist')!;
    expect(cell.mean).toBeCloseTo(5.384615, 6);
    expect(cell.variance).toBeCloseTo(10.769231, 6);
    expect(evidence).toBeCloseTo(-9.869018, 6);
  });

  it('B: what one head shows another leans on', () => {
    const { root, heads, evidence } = known(normalKnowledge, stretch, [
      exact([{ twist: [6, 10, 2], knot: [-3] }]),
      exact([{ twist: [4, 1] }]),
    ]);
    expect(root.mean).toBeCloseTo(0.964922, 6);
    // The note's own last figure, 16.033463, is .000007 off what dense conditioning gives.
    expect(root.variance).toBeCloseTo(16.03347, 5);
    expect(heads[0]!.head.mean).toBeCloseTo(2.432623, 6);
    expect(heads[0]!.head.variance).toBeCloseTo(14.956324, 6);
    expect(heads[1]!.head.mean).toBeCloseTo(1.967422, 6);
    expect(heads[1]!.head.variance).toBeCloseTo(24.133974, 6);
    expect(heads[0]!.cells.get('twist')!.mean).toBeCloseTo(4.471124, 6);
    expect(heads[0]!.cells.get('twist')!.variance).toBeCloseTo(9.604223, 6);
    expect(heads[0]!.cells.get('knot')!.mean).toBeCloseTo(0.761046, 6);
    expect(heads[0]!.cells.get('knot')!.variance).toBeCloseTo(18.245339, 6);
    expect(evidence).toBeCloseTo(-19.760417, 6);
    expect(unseen(normalKnowledge, stretch, heads[1]!)).toMatchObject({
      mean: heads[1]!.head.mean,
      variance: heads[1]!.head.variance + stretch.technique ** 2,
    });
    expect(unseenHead(normalKnowledge, stretch, root).variance).toBeCloseTo(root.variance + 64 + 16, 9);
  });

  it('C: one surprising set', () => {
    const { heads } = known(normalKnowledge, stretch, [exact([{ twist: [9] }])]);
    expect(heads[0]!.head.mean).toBeCloseTo(5.680851, 6);
    expect(heads[0]!.head.variance).toBeCloseTo(32.822695, 6);
    expect(heads[0]!.cells.get('twist')!.mean).toBeCloseTo(6.702128, 6);
    expect(heads[0]!.cells.get('twist')!.variance).toBeCloseTo(26.808511, 6);
  });

  it.each([
    ['D: two given up, one still good', wears([5, true], [4, true], [4, false]), 0.25057, 0.03739, [0.0029, 0.2492, 0.4988]],
    ['E: all still good', wears([6, false], [6, false]), 0.62299, 0.06479, [0.3036, 0.6153, 0.9526]],
    ['F: one set', wears([5, true]), 0.19264, 0.06896, [-0.1439, null, 0.5296]],
  ] as const)('%s', (_, head, mean, variance, quantiles) => {
    const { heads } = known(gridKnowledge, days, [head]);
    const cell = gridSummary(heads[0]!.cells.get('twist')!);
    expect(Math.abs(cell.mean - mean)).toBeLessThan(0.003);
    expect(Math.abs(cell.variance - variance)).toBeLessThan(0.003);
    quantiles.forEach((own, i) => {
      if (own !== null) expect(Math.abs(cell.quantiles[i]! - own)).toBeLessThan(0.003);
    });
  }); // prettier-ignore

  it('point by point is as exact as the curve, where days are known closely', () => {
    const values = [0.1, 0.34, -0.2];
    // Fifty whole days are known to an interval of .02 in ln.
    const seen = values.map((u): DaysSeen => ({ days: 50, ended: true, expectedDays: 50 / Math.exp(u) }));
    const head = { periods: [new Map([['twist', daysCell(seen, days.set)]])] };
    const grid = gridSummary(known(gridKnowledge, days, [head]).heads[0]!.cells.get('twist')!);
    const curve = known(normalKnowledge, days, [exact([{ twist: values }], days.set)]).heads[0]!.cells.get('twist')!;
    expect(Math.abs(grid.mean - curve.mean)).toBeLessThan(0.001);
    expect(Math.abs(grid.variance - curve.variance)).toBeLessThan(0.001);
  }); // prettier-ignore

  it('is what conditioning all numbers at once gives, over cuts too', () => {
    const heads: readonly (readonly Cells[])[] = [
      [{ twist: [6, 10], knot: [-3] }, { twist: [1] }],
      [{ twist: [4, 1] }],
    ];
    const own = known(
      normalKnowledge,
      stretch,
      heads.map((periods) => exact(periods)),
    );
    // Dense conditioning: root a, head periods v, cells u, in one covariance matrix.
    const { stylist, head: hSd, technique, set } = stretch;
    const sets = heads.flatMap((periods, h) =>
      periods.flatMap((cells, p) =>
        Object.entries(cells).flatMap(([id, rs]) => rs.map((r) => ({ h, p, id, r }))),
      ),
    );
    const shared = (a: { h: number; p: number; id: string }, b: { h: number; p: number; id: string }) =>
      stylist ** 2 +
      (a.h === b.h ? (1 + Math.min(a.p, b.p)) * hSd ** 2 : 0) +
      (a.h === b.h && a.p === b.p && a.id === b.id ? technique ** 2 : 0);
    const covariance = new Matrix(
      sets.map((a, i) => sets.map((b, j) => shared(a, b) + (i === j ? set ** 2 : 0))),
    );
    const target = { h: 0, p: 1, id: 'twist' };
    const cross = Matrix.rowVector(sets.map((one) => shared(target, one)));
    const gain = cross.mmul(inverse(covariance));
    const mean = gain.mmul(Matrix.columnVector(sets.map(({ r }) => r))).get(0, 0);
    const variance = shared(target, target) - gain.mmul(cross.transpose()).get(0, 0);
    const cell = own.heads[0]!.cells.get('twist')!;
    expect(cell.mean).toBeCloseTo(mean, 9);
    expect(cell.variance).toBeCloseTo(variance, 9);
  });

  it('a cut makes what was known less sure, and does not forget it', () => {
    const before = known(normalKnowledge, stretch, [exact([{ twist: [9, 9, 9, 9] }])]).heads[0]!.head;
    const after = known(normalKnowledge, stretch, [exact([{ twist: [9, 9, 9, 9] }, {}])]).heads[0]!.head;
    expect(after.mean).toBeCloseTo(before.mean, 9);
    expect(after.variance).toBeCloseTo(before.variance + stretch.head ** 2, 9);
  });
});

describe('spreads from a studio’s own log', () => {
  const normal = (rng: () => number) => normalQuantile(rng());
  const studio = (truth: Spreads, heads: number, sets: number, seed: number): Cells[] => {
    const rng = seededRng(seed, 1);
    const root = truth.stylist * normal(rng);
    return Array.from({ length: heads }, () => {
      const head = root + truth.head * normal(rng);
      return Object.fromEntries(
        ['twist', 'knot'].map((id) => {
          const cell = head + truth.technique * normal(rng);
          return [id, Array.from({ length: sets }, () => cell + truth.set * normal(rng))];
        }),
      );
    });
  };
  const fitted = (cells: readonly Cells[]): Spreads => {
    const search = fitSpreads(normalKnowledge, stretch, (setSd) => cells.map((own) => exact([own], setSd)));
    for (;;) {
      const step = search.next();
      if (step.done) return step.value;
    }
  };

  it('find the truth where it is larger and smaller than usual', () => {
    for (const scale of [0.5, 1, 2]) {
      const truth: Spreads = { ...stretch, set: stretch.set * scale, head: stretch.head * scale };
      const own = fitted(studio(truth, 40, 8, 7));
      expect(own.set / truth.set).toBeGreaterThan(0.85);
      expect(own.set / truth.set).toBeLessThan(1.15);
      expect(own.head / truth.head).toBeGreaterThan(0.7);
      expect(own.head / truth.head).toBeLessThan(1.4);
      expect(own.stylist).toBe(stretch.stylist);
    }
  });
});
