/** A source of uniform numbers in 0 … 1, exclusive of both ends. */
export type Rng = () => number;

/** Mixes two whole numbers into one seed (finaliser of MurmurHash3, public domain). */
function mixed(seed: number, stream: number): number {
  let h = (seed ^ Math.imul(stream, 0x9e3779b9)) >>> 0;
  h = Math.imul(h ^ (h >>> 16), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return (h ^ (h >>> 16)) >>> 0;
}

/**
 * A seeded generator for one stream: equal seeds and streams give equal numbers on every machine, and streams
 * do not depend on how many were drawn before them.
 *
 * @source mulberry32, public domain
 */
export function seededRng(seed: number, stream: number): Rng {
  let state = mixed(seed, stream);
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return (((t ^ (t >>> 14)) >>> 0) + 0.5) / 4294967296;
  };
}
