import { seededRng } from './rng';

/**
 * Degree, coefficients and first direction numbers of the primitive polynomials of dimensions 2 to 9.
 *
 * @source Joe and Kuo 2008, "new-joe-kuo-6" (from memory; that they stratify as a Sobol sequence must is tested)
 */
const POLYNOMIALS: readonly (readonly [degree: number, coefficients: number, first: readonly number[]])[] = [
  [1, 0, [1]],
  [2, 1, [1, 3]],
  [3, 1, [1, 3, 1]],
  [3, 2, [1, 1, 1]],
  [4, 1, [1, 1, 3, 3]],
  [4, 4, [1, 3, 5, 13]],
  [5, 2, [1, 1, 5, 5, 17]],
  [5, 4, [1, 1, 5, 5, 5]],
];
const BITS = 32;
const ONE = 2 ** BITS;

/** Directions of one dimension, the first bit first. */
function directionsOf(dimension: number): Uint32Array {
  const directions = new Uint32Array(BITS);
  if (dimension === 0) {
    for (let bit = 0; bit < BITS; bit++) directions[bit] = 1 << (BITS - 1 - bit);
    return directions;
  }
  const [degree, coefficients, first] = POLYNOMIALS[dimension - 1]!;
  for (let bit = 0; bit < BITS; bit++) {
    if (bit < degree) {
      directions[bit] = first[bit]! << (BITS - 1 - bit);
      continue;
    }
    const before = directions[bit - degree]!;
    let next = before ^ (before >>> degree);
    for (let k = 1; k < degree; k++) {
      if ((coefficients >>> (degree - 1 - k)) & 1) next ^= directions[bit - k]!;
    }
    directions[bit] = next;
  }
  return directions;
}

/** Dimensions there are. */
export const SOBOL_DIMENSIONS = POLYNOMIALS.length + 1;
const DIRECTIONS = Array.from({ length: SOBOL_DIMENSIONS }, (_, dimension) => directionsOf(dimension));

/** Coordinate of a point of the plain sequence, in units of 2⁻³². */
function plain(index: number, dimension: number): number {
  const directions = DIRECTIONS[dimension]!;
  let value = 0;
  for (let bit = 0, rest = index; rest > 0; bit++, rest >>>= 1) if (rest & 1) value ^= directions[bit]!;
  return value >>> 0;
}

function reversed(bits: number): number {
  let x = bits;
  x = ((x >>> 1) & 0x55555555) | ((x & 0x55555555) << 1);
  x = ((x >>> 2) & 0x33333333) | ((x & 0x33333333) << 2);
  x = ((x >>> 4) & 0x0f0f0f0f) | ((x & 0x0f0f0f0f) << 4);
  x = ((x >>> 8) & 0x00ff00ff) | ((x & 0x00ff00ff) << 8);
  return ((x >>> 16) | (x << 16)) >>> 0;
}

/** Owen's nested scramble as a hash: each bit is turned or not by the bits above it alone. */
function scrambled(value: number, seed: number): number {
  let x = (reversed(value) + seed) >>> 0;
  x ^= Math.imul(x, 0x6c50b47c);
  x ^= Math.imul(x, 0xb82f1e52);
  x ^= Math.imul(x, 0xc7afe638);
  x ^= Math.imul(x, 0x8d22f6e6);
  return reversed(x);
}

/**
 * A sequence of points that fill 0 … 1 in each direction far more evenly than chance does, scrambled by a seed: means
 * and quantiles of a few hundred are as good as those of several times as many random ones. The first 2ᵐ points are
 * always balanced, so that a sequence can be gone on with.
 *
 * @returns coordinate of point `index` in one of {@link SOBOL_DIMENSIONS} dimensions, exclusive of 0 and 1
 * @source Sobol 1967; Joe and Kuo 2008; scrambling Owen 1995, as a hash Burley 2020 (constants from memory)
 */
export function sobolPoints(seed: number): (index: number, dimension: number) => number {
  const seeds = DIRECTIONS.map((_, dimension) => Math.floor(seededRng(seed, dimension)() * ONE));
  return (index, dimension) => (scrambled(plain(index, dimension), seeds[dimension]!) + 0.5) / ONE;
}
