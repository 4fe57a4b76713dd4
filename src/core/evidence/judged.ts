import { judged } from '../coefficients/evidence';
import { normalDensity } from '../stats/gauss';
import { expit, logit, type ChanceCorrection } from '../stats/logit';
import { normalCdf, Z_90 } from '../stats/normal';

/** A forecast that was given beforehand, and what came: known exactly, or only to be at least so much. */
export interface JudgedBand {
  readonly low: number;
  readonly high: number;
  readonly came: number;
  /** Still good then: it would have been more. */
  readonly isAtLeast?: boolean;
}

/** How many of some bands held. */
export interface Coverage {
  readonly held: number;
  readonly total: number;
  /** What cannot be told yet: counted as held for the most, as missed for the least. */
  readonly unknown: number;
  /** 80 % interval of the share that holds, of what is known. */
  readonly interval: readonly [low: number, high: number] | null;
  readonly verdict: 'few' | 'right' | 'narrow' | 'wide' | 'unsure';
}

/**
 * Interval of a share.
 *
 * @source Wilson 1927
 * @example wilson(24, 30) // => [0.692, 0.8769]
 */
export function wilson(held: number, total: number, z = Z_90): readonly [low: number, high: number] {
  const share = held / total;
  const spread = z * Math.sqrt((share * (1 - share)) / total + (z * z) / (4 * total * total));
  const middle = share + (z * z) / (2 * total);
  const scale = 1 + (z * z) / total;
  return [Math.max(0, (middle - spread) / scale), Math.min(1, (middle + spread) / scale)];
}

/** Share of ten-to-ninety bands that should hold. */
const WANTED = 0.8;

/** How well ten-to-ninety bands held. */
export function coverageOf(bands: readonly JudgedBand[]): Coverage {
  const c = judged.value;
  const stateOf = ({ low, high, came, isAtLeast }: JudgedBand): 'held' | 'missed' | 'unknown' => {
    if (isAtLeast) return came > high ? 'missed' : 'unknown';
    return came >= low && came <= high ? 'held' : 'missed';
  };
  const states = bands.map(stateOf);
  const held = states.filter((state) => state === 'held').length;
  const unknown = states.filter((state) => state === 'unknown').length;
  const total = bands.length;
  const known = total - unknown;
  const interval = known > 0 ? wilson(held, known) : null;
  const verdict = ((): Coverage['verdict'] => {
    if (!interval || known < c.fewestForWords) return 'few';
    if (interval[0] <= WANTED && WANTED <= interval[1]) return 'right';
    if (known < c.fewestForWrong) return 'unsure';
    return interval[1] < WANTED ? 'narrow' : 'wide';
  })();
  return { held, total, unknown, interval, verdict };
}

/**
 * How far a normal forecast lay from what came, as one number: 0 is perfect.
 *
 * @source continuous ranked probability score, closed form (Gneiting & Raftery 2007)
 */
export function crps(mean: number, sd: number, came: number): number {
  const z = (came - mean) / sd;
  return sd * (z * (2 * normalCdf(z) - 1) + 2 * normalDensity(z) - 1 / Math.sqrt(Math.PI));
}

/** How far a quantile forecast lay from what came (Koenker & Bassett 1978). */
export const pinball = (share: number, quantile: number, came: number): number =>
  came >= quantile ? share * (came - quantile) : (1 - share) * (quantile - came);

/** A chance that was told, and whether it came so. */
export interface JudgedChance {
  readonly chance: number;
  readonly came: boolean;
}

/** One bin of a reliability chart. */
export interface ReliabilityBin {
  readonly from: number;
  readonly to: number;
  readonly count: number;
  readonly meanChance: number;
  readonly share: number;
  readonly interval: readonly [low: number, high: number];
  /** Too few to say much. */
  readonly isHollow: boolean;
}

/** How well chances held. */
export interface Reliability {
  readonly brier: number;
  readonly reliability: number;
  readonly resolution: number;
  readonly uncertainty: number;
  readonly bins: readonly ReliabilityBin[];
}

const BINS = 5;
/** A chance on the edge of two bins goes into the upper, whatever its last bit is. */
const EDGE = 1e-9;

/**
 * Chances against what came, as a whole and bin by bin.
 *
 * @returns null where there is none
 * @source Brier 1950; Murphy's decomposition 1973
 */
export function reliabilityOf(chances: readonly JudgedChance[]): Reliability | null {
  const n = chances.length;
  if (n === 0) return null;
  const came = ({ came: so }: JudgedChance) => (so ? 1 : 0);
  const base = chances.reduce((sum, one) => sum + came(one), 0) / n;
  const groups = Array.from({ length: BINS }, (_, bin) =>
    chances.filter(({ chance }) => Math.min(BINS - 1, Math.floor(BINS * (chance + EDGE))) === bin),
  );
  const bins = groups.flatMap((group, bin): ReliabilityBin[] => {
    if (group.length === 0) return [];
    const sum = group.reduce((total, one) => total + came(one), 0);
    return [
      {
        from: bin / BINS,
        to: (bin + 1) / BINS,
        count: group.length,
        meanChance: group.reduce((total, { chance }) => total + chance, 0) / group.length,
        share: sum / group.length,
        interval: wilson(sum, group.length),
        isHollow: group.length < judged.value.hollowUnder,
      },
    ];
  });
  return {
    brier: chances.reduce((sum, one) => sum + (one.chance - came(one)) ** 2, 0) / n,
    reliability: bins.reduce((sum, bin) => sum + (bin.count / n) * (bin.meanChance - bin.share) ** 2, 0),
    resolution: bins.reduce((sum, bin) => sum + (bin.count / n) * (bin.share - base) ** 2, 0),
    uncertainty: base * (1 - base),
    bins,
  };
}

/**
 * The correction of chances that fits what came, held near none.
 *
 * @source logistic recalibration (Cox 1958), priors a ~ N(0, .7²), b ~ N(1, .4²); evidence §6
 */
export function chanceCorrection(chances: readonly JudgedChance[]): ChanceCorrection {
  const { shiftSd, slopeSd, leastSlope } = judged.value;
  let [a, b] = [0, 1];
  for (let step = 0; step < 50; step++) {
    let [ga, gb] = [-a / shiftSd ** 2, -(b - 1) / slopeSd ** 2];
    let [aa, ab, bb] = [1 / shiftSd ** 2, 0, 1 / slopeSd ** 2];
    for (const { chance, came } of chances) {
      const x = logit(chance);
      const p = expit(a + b * x);
      const off = (came ? 1 : 0) - p;
      const weight = p * (1 - p);
      ga += off;
      gb += off * x;
      aa += weight;
      ab += weight * x;
      bb += weight * x * x;
    }
    const determinant = aa * bb - ab * ab;
    const da = (bb * ga - ab * gb) / determinant;
    const db = (aa * gb - ab * ga) / determinant;
    a += da;
    b += db;
    if (Math.abs(da) + Math.abs(db) < 1e-10) break;
  }
  return { shift: a, slope: Math.max(leastSlope, b) };
}

/** By how much bands want widening. @param z distances of what came from the middle, in standard deviations */
export function bandCorrection(z: readonly number[]): number {
  const { bandPrior } = judged.value;
  const squares = z.reduce((sum, own) => sum + own * own, 0);
  return Math.sqrt((bandPrior + squares) / (bandPrior + z.length));
}
