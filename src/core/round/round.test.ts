import fc from 'fast-check';
import { ran } from '../work';
import { describe, expect, it } from 'vitest';
import { forecast } from '../plan/forecast';
import { layoutFor } from '../plan/layout-for';
import { TECHNIQUE_IDS, type TechniqueId } from '../techniques';
import { readOrThrow } from '../../../tests/support/briefs';
import { usualBrief } from '../../../tests/support/usual-brief';
import { turnCm, type SeenCurl } from '../curl/seen-curl';
import { buildRound, drawRound, type RoundPicture } from './build';
import type { RoundPen } from './mesh';
import { NODES } from './hair/axis';
import { framed, lengthOf, lockOnAxis, type LockShape } from './hair/curl-on-axis';
import { inPieces, rootsIn } from './hair/roots';
import { ABOVE_SHOULDERS_CM, wantedWidthCm, widthOver } from './hair/width';
import { distanceAt, headGrid } from './head/head-grid';
import { chartDirection, directionOnChart, onScalp } from './head/scalp';
import { headSurface } from './head/surface';
import type { RoundModel } from './model';
import { roundOf } from './round-of';
import { seededRng } from '../random/rng';
import type { BriefInput } from '../formats/brief';

const modelOf = (input: BriefInput): RoundModel => {
  const brief = readOrThrow(input);
  return roundOf(brief, forecast(brief, layoutFor(brief), 0));
};
const onDay = (day: number) => ({ kind: 'worn', day, reach: 'likely' }) as const;
const FIRST = onDay(0);
const SET = { kind: 'set' } as const;

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/** Everything of a picture that decides what is seen, as one number. */
function checksum({ hair }: RoundPicture): number {
  let sum = 0;
  for (const part of [hair.positions, hair.shapes, hair.lights, hair.indices])
    for (let i = 0; i < part.length; i++) sum = (Math.imul(sum, 31) + Math.round(part[i]! * 4096)) | 0;
  return sum;
}

describe('the head', () => {
  it('is as far round as it was measured, where a tape goes', () => {
    // Over the brow and the widest of the back: the longest level line round the cranium, ears left out.
    for (const cm of [50, 56, 60]) {
      const grid = headGrid(cm);
      const at = (azimuth: number) => {
        let far = 14 * grid.scale;
        for (let i = 0; i < 60; i++)
          far -= 0.9 * distanceAt(grid, far * Math.sin(azimuth), 1.2 * grid.scale, far * Math.cos(azimuth));
        return [far * Math.sin(azimuth), far * Math.cos(azimuth)] as const;
      };
      const ring = Array.from({ length: 180 }, (_, i) => at((2 * Math.PI * i) / 180));
      const round = ring.reduce((sum, [x, z], i) => {
        const [nx, nz] = ring[(i + 1) % ring.length]!;
        return sum + Math.hypot(nx - x, nz - z);
      }, 0);
      expect(round / cm).toBeGreaterThan(0.94);
      expect(round / cm).toBeLessThan(1.04);
    }
  });

  it('is closed: every edge belongs to two triangles', () => {
    const { indices, positions } = headSurface();
    const edges = new Map<string, number>();
    for (let i = 0; i < indices.length; i += 3)
      for (const [a, b] of [[0, 1], [1, 2], [2, 0]] as const) {
        const [p, q] = [indices[i + a]!, indices[i + b]!];
        const key = p < q ? `${p}/${q}` : `${q}/${p}`;
        edges.set(key, (edges.get(key) ?? 0) + 1);
      } // prettier-ignore
    const open = [...edges.values()].filter((count) => count !== 2).length;
    expect(open / edges.size).toBeLessThan(0.002);
    expect(indices.length / 3).toBeLessThan(30_000);
    expect(positions.every(Number.isFinite)).toBe(true);
  });

  it('is alike left and right', () => {
    const grid = headGrid(56);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 20, noNaN: true }),
        fc.double({ min: -25, max: 12, noNaN: true }),
        fc.double({ min: -14, max: 14, noNaN: true }),
        (x, y, z) => distanceAt(grid, x, y, z) === distanceAt(grid, -x, y, z),
      ),
    );
  });

  it('has its chart on it: what goes out comes back', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1.3, max: 1.3, noNaN: true }),
        fc.double({ min: -1.4, max: 1.3, noNaN: true }),
        (x, y) => {
          const back = directionOnChart(chartDirection({ x, y }));
          expect(back.x).toBeCloseTo(x, 6);
          expect(back.y).toBeCloseTo(y, 6);
        },
      ),
    );
  });

  it('has its scalp where the chart says: face in front, nape behind, her right at −x', () => {
    expect(onScalp({ x: 0, y: 1.3 }, 1).at[2]).toBeGreaterThan(6);
    expect(onScalp({ x: 0, y: -1.4 }, 1).at[2]).toBeLessThan(-4);
    expect(onScalp({ x: 1, y: 0 }, 1).at[0]).toBeLessThan(-5);
    for (const [x, y] of [[0, 0], [0.7, 0.5], [-0.9, -0.6]] as const) {
      const { at, normal } = onScalp({ x, y }, 1);
      expect(Math.abs(distanceAt(headGrid(56), ...at))).toBeLessThan(0.1);
      expect(Math.hypot(...normal)).toBeCloseTo(1, 9);
    } // prettier-ignore
  });
});

describe('pieces', () => {
  it('are of equal hair, and lose none', () => {
    const { sections } = modelOf(usualBrief('two-strand-twist'));
    fc.assert(
      fc.property(
        fc.nat(17),
        fc.integer({ min: 1, max: 8 }),
        fc.integer({ min: 1, max: 12 }),
        (k, pieces, locks) => {
          const { outline, centroid } = sections[k]!;
          const roots = rootsIn(outline, centroid, pieces * locks, seededRng(1, k), 1);
          const groups = inPieces(roots, pieces);
          expect(groups.map((group) => group.length)).toEqual(Array(pieces).fill(locks));
          expect(new Set(groups.flat())).toEqual(new Set(roots));
        },
      ),
      { numRuns: 40 },
    );
  });
});

describe('a lock on its axis', () => {
  const straight = (cm: number) => {
    const nodes = new Float64Array(3 * NODES);
    for (let i = 0; i < NODES; i++) nodes[3 * i + 1] = (-cm * i) / (NODES - 1);
    return framed(nodes, 0, 1);
  };
  const lock = (change: Partial<LockShape['curl']>): LockShape => ({
    curl: { lengthCm: 25, visibleCm: 18, diameterMm: 10, shape: 'curl', ...change },
    reach: 1,
    halfCm: 0,
    phaseRad: 0.3,
    driftRad: 0,
    asideU: 0,
    asideV: 0,
    rootOff: [0, 0, 0],
    flatRootCm: 0,
  });

  it('is as long as its hair and hangs as low as it shows', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 6, max: 40, noNaN: true }),
        fc.double({ min: 0.45, max: 0.97, noNaN: true }),
        fc.double({ min: 6, max: 30, noNaN: true }),
        fc.constantFrom('curl' as const, 'wave' as const, 'crimp' as const),
        (lengthCm, share, diameterMm, shape) => {
          // Finer curls on longer hair have more turns than are drawn.
          fc.pre((lengthCm / (Math.PI * (diameterMm / 10))) * Math.sqrt(1 - share * share) < 12);
          const shown = lock({ lengthCm, visibleCm: share * lengthCm, diameterMm, shape });
          const points = lockOnAxis(shown, straight(share * lengthCm));
          expect(lengthOf(points) / lengthCm).toBeGreaterThan(0.98);
          expect(lengthOf(points) / lengthCm).toBeLessThan(1.02);
          const tip = points[points.length - 2]!;
          expect(-tip).toBeCloseTo(share * lengthCm, 6);
        },
      ),
    );
  });

  it('is as wide as its curl: a helix of the stated diameter', () => {
    const points = lockOnAxis(lock({}), straight(18));
    const radii: number[] = [];
    for (let i = 0; i < points.length; i += 3)
      if (-points[i + 1]! > 4) radii.push(Math.hypot(points[i]!, points[i + 2]!));
    expect(20 * mean(radii)).toBeCloseTo(10, 5);
  });
});

describe('the width of a head with its hair', () => {
  it('is what volume, curl and length make it (round §4)', () => {
    expect(wantedWidthCm({ scale: 1, curlCm: 0.8, visibleCm: 21, volume: 0 })).toBeCloseTo(17.5, 9);
    expect(wantedWidthCm({ scale: 1, curlCm: 0.8, visibleCm: 25, volume: 10 })).toBeCloseTo(42.5, 9);
  });

  it('is measured in the widest band above the shoulders, without the outermost', () => {
    const points: number[] = [];
    for (let i = 0; i <= 200; i++) points.push(-10 + i / 10, 0.5, 0);
    points.push(40, 0.5, 0, 90, -20, 0, -90, -20, 0);
    expect(widthOver(Float64Array.from(points))).toBeGreaterThan(19);
    expect(widthOver(Float64Array.from(points))).toBeLessThan(20.1);
  });
});

/** A line averaged over a window of so many of its points, and how far it lies from that, cm. */
function averaged(points: Float64Array, from: number, window: number): { lengthCm: number; rmsCm: number } {
  const count = points.length / 3;
  const half = window / 2;
  const steps = 24;
  const middles: number[] = [];
  let [sum, many] = [0, 0];
  for (let i = Math.ceil(half + from * count); i + half < count - 1; i++) {
    const middle = [0, 0, 0];
    for (let k = 0; k < steps; k++) {
      const place = i - half + ((k + 0.5) / steps) * window;
      const [at, t] = [Math.floor(place), place % 1];
      for (let c = 0; c < 3; c++)
        middle[c]! += ((1 - t) * points[3 * at + c]! + t * points[3 * at + 3 + c]!) / steps;
    }
    sum += middle.reduce((square, value, c) => square + (points[3 * i + c]! - value) ** 2, 0);
    middles.push(...middle);
    many++;
  }
  return {
    lengthCm: lengthOf(Float64Array.from(middles)) / Math.max(1, many - 1),
    rmsCm: Math.sqrt(sum / many),
  };
}

/**
 * How far a line winds from its own mean over one turn, cm: the radius of a helix, the height of a wave. One turn is the
 * window whose mean runs straightest; a flat root makes the turns below it tighter than they are on the mean.
 */
function offMeanLine(points: Float64Array, from: number, meanTurn: number, shape: SeenCurl['shape']): number {
  const tried = Array.from({ length: 35 }, (_, i) => averaged(points, from, (0.5 + 0.02 * i) * meanTurn));
  const best = tried.reduce((least, one) => (one.lengthCm < least.lengthCm ? one : least));
  return best.rmsCm * (shape === 'curl' ? 1 : Math.SQRT2);
}

/** Width of a picture of locks in its widest band of 2 cm above the shoulders, cm: all but one point of 100 on either side. */
function drawnWidth(locks: readonly { points: Float64Array; halfCm: number }[], lowestCm: number): number {
  const bands = new Map<number, number[]>();
  for (const { points, halfCm } of locks)
    for (let i = 0; i < points.length; i += 3) {
      if (points[i + 1]! <= lowestCm) continue;
      const band = Math.floor(points[i + 1]! / 2);
      const xs = bands.get(band) ?? [];
      xs.push(points[i]! + Math.sign(points[i]!) * halfCm);
      bands.set(band, xs);
    }
  return Math.max(
    ...[...bands.values()].map((xs) => {
      xs.sort((a, b) => a - b);
      const left = Math.floor(xs.length / 100);
      return xs.length < 200 ? 0 : xs[xs.length - 1 - left]! - xs[left]!;
    }),
  );
}

describe('honesty, technique by technique (round §9)', () => {
  it.each(TECHNIQUE_IDS)(
    '%s: hair length, width and triangles within tolerance, nothing in the skull',
    (id) => {
      const model = modelOf(usualBrief(id));
      const grid = headGrid(model.circumferenceCm);
      const worn = ran(buildRound(model, FIRST));
      const { lockLengths, wantedWidthCm: wanted, widthCm } = worn.measures!;
      expect(Math.abs(mean(lockLengths) - 1)).toBeLessThan(0.05);
      expect(Math.abs(widthCm / wanted - 1)).toBeLessThan(0.05);
      expect(worn.hair.indices.length / 3).toBeLessThan(350_000);
      const set = ran(buildRound(model, SET));
      expect(set.hair.indices.length / 3).toBeLessThan(350_000);
      for (const { hair } of [worn, set]) {
        let deep = 0;
        for (let i = 0; i < hair.positions.length; i += 3)
          if (distanceAt(grid, hair.positions[i]!, hair.positions[i + 1]!, hair.positions[i + 2]!) < -0.6)
            deep++;
        expect(deep / (hair.positions.length / 3)).toBeLessThan(0.01);
        expect(hair.positions.every(Number.isFinite)).toBe(true);
      }
    },
  );

  it.each(TECHNIQUE_IDS)('%s: curls on the head and the width of what is drawn are those forecast', (id) => {
    const model = modelOf(usualBrief(id));
    const locks: { points: Float64Array; halfCm: number }[] = [];
    const pen: RoundPen = {
      ribbon: (points, { kind, tier, half }) => {
        if (kind === 'ribbon' && (tier === 'locks' || tier === 'third'))
          locks.push({ points: points.slice(), halfCm: half(0.5) });
      },
      tube: () => undefined,
    };
    const { wantedWidthCm: wanted } = ran(drawRound(model, FIRST, 'full', pen))!;
    // Locks come section by section, as many of each.
    const { curlMm, visibleCm } = model.days[0]!.left;
    const ratios = locks.flatMap(({ points, halfCm }, i) => {
      if (i % 7 > 0) return [];
      const { zone, lengthCm, technique, flatRootCm } =
        model.sections[Math.floor((i * model.sections.length) / locks.length)]!;
      const curl: SeenCurl = {
        lengthCm,
        visibleCm: visibleCm[zone]!,
        diameterMm: curlMm[zone]!,
        shape: technique.curlName,
      };
      const wound = (Math.min(flatRootCm, 0.6 * curl.visibleCm) + 2.2) / curl.visibleCm;
      const turn = (turnCm(curl) / curl.visibleCm) * (points.length / 3 - 1);
      return [(20 * (offMeanLine(points, wound, turn, curl.shape) + 0.8 * halfCm)) / curl.diameterMm];
    });
    const drawn = drawnWidth(locks, ABOVE_SHOULDERS_CM * headGrid(model.circumferenceCm).scale);
    ratios.sort((a, b) => a - b);
    expect(Math.abs(ratios[Math.floor(ratios.length / 2)]! - 1)).toBeLessThan(0.05);
    // A few locks hang where pieces meet, or stay nearly straight.
    expect(Math.abs(mean(ratios) - 1)).toBeLessThan(0.1);
    expect(Math.abs(drawn / wanted - 1)).toBeLessThan(0.06);
  });

  it('the free lock beside the ruler hangs as far as hair shows', () => {
    const model = modelOf(usualBrief('rod-set'));
    const { sample } = ran(buildRound(model, FIRST));
    let lowest = 0;
    for (let i = 1; i < sample!.positions.length; i += 3) lowest = Math.min(lowest, sample!.positions[i]!);
    const shows = Math.max(...Object.values(model.days[0]!.left.visibleCm));
    expect(-lowest / shows).toBeGreaterThan(0.99);
    expect(-lowest / shows).toBeLessThan(1.01);
  });

  it('later days are other pictures, by what the forecast says of them', () => {
    const model = modelOf(usualBrief('two-strand-twist'));
    const [first, later] = [ran(buildRound(model, FIRST)), ran(buildRound(model, onDay(3)))];
    expect(model.days[3]!.left.definition).toBeLessThan(model.days[0]!.left.definition);
    expect(later.measures!.wantedWidthCm).not.toBe(first.measures!.wantedWidthCm);
    const frizz = ({ hair: { tierEnds } }: RoundPicture) => tierEnds.frizz - tierEnds.fine;
    expect(frizz(later)).toBeGreaterThan(frizz(first));
  });
});

describe('a picture', () => {
  it('tells how far it is, and can be left at any step', () => {
    const model = modelOf(usualBrief('rod-set'));
    for (const state of [FIRST, SET]) {
      const shares = [...buildRound(model, state)];
      expect(shares.length).toBeGreaterThan(5);
      expect([...shares].sort((a, b) => a - b)).toEqual(shares);
      expect(shares.at(-1)).toBeLessThanOrEqual(1);
      const left = buildRound(model, state);
      for (let i = 0; i < 3; i++) left.next();
      expect(checksum(ran(buildRound(model, state)))).toBe(checksum(ran(buildRound(model, state))));
    }
  });

  it('is the same for the same plan, and another for another seed', () => {
    const model = modelOf(usualBrief('two-strand-twist'));
    expect(checksum(ran(buildRound(model, FIRST)))).toBe(checksum(ran(buildRound(model, FIRST))));
    expect(checksum(ran(buildRound({ ...model, seed: model.seed + 1 }, FIRST)))).not.toBe(
      checksum(ran(buildRound(model, FIRST))),
    );
  });

  it('of a mirrored head is the mirrored picture', () => {
    const model = modelOf(usualBrief('two-strand-twist', { brief: { parting: { part: 'left' } } }));
    const flip = <P extends { x: number; y: number }>(point: P) => ({ ...point, x: -point.x });
    const mirrored: RoundModel = {
      ...model,
      partLine: model.partLine!.map(flip),
      part: 'right',
      sections: model.sections.map((section) => ({
        ...section,
        outline: [...section.outline].map(flip),
        centroid: flip(section.centroid),
        winding:
          section.winding === 'to-left'
            ? ('to-right' as const)
            : section.winding === 'to-right'
              ? ('to-left' as const)
              : section.winding,
      })),
    };
    const [one, other] = [ran(buildRound(model, FIRST)), ran(buildRound(mirrored, FIRST))];
    expect(other.hair.positions.length).toBe(one.hair.positions.length);
    let [far, count] = [0, 0];
    for (let i = 0; i < one.hair.positions.length; i += 3) {
      const off = Math.hypot(
        one.hair.positions[i]! + other.hair.positions[i]!,
        one.hair.positions[i + 1]! - other.hair.positions[i + 1]!,
        one.hair.positions[i + 2]! - other.hair.positions[i + 2]!,
      );
      far += off;
      count++;
    }
    expect(far / count).toBeLessThan(0.02);
  });

  it('is told apart by techniques: ropes of two and of three, rods as thick as they are', () => {
    const tubes = (id: TechniqueId) =>
      ran(buildRound(modelOf(usualBrief(id, { set: { sections: 18 } })), SET)).hair;
    const [two, three] = [tubes('two-strand-twist'), tubes('three-strand-twist')];
    expect(three.positions.length).toBeGreaterThan(1.2 * two.positions.length);
    const model = modelOf(usualBrief('rod-set'));
    const { tangents, shapes } = ran(buildRound(model, SET)).hair;
    const radii = new Set<number>();
    for (let v = 0; v < tangents.length / 4; v++)
      if (tangents[4 * v + 3] === 2 && shapes[4 * v + 1]! > 0.1) radii.add(shapes[4 * v + 1]!);
    expect([...radii].map((cm) => 20 * cm)).toEqual([expect.closeTo(model.sections[0]!.tool!.diameterMm, 3)]);
  });
});
