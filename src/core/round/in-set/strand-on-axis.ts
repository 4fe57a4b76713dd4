import { round } from '../../coefficients/round';
import type { Framed } from '../hair/curl-on-axis';

const MOST = 170;

/** Radius of a rope at a share of its length: hairs end before the tip. */
export const taper = (share: number): number => Math.sqrt(1 - round.value.tapers * share);

/**
 * A strand about an axis, its place across given by how far round it is; turns come closer as it thins.
 *
 * @param across place across the axis at an angle, cm
 * @param pitchCm length of a turn at the root
 * @param aTurn points in a turn
 */
export function strandOnAxis(
  { at, u, v }: Framed,
  lengthCm: number,
  pitchCm: number,
  across: (angle: number) => readonly [number, number],
  aTurn = 11,
  thins: (share: number) => number = taper,
): Float64Array {
  const nodes = at.length / 3 - 1;
  const count = Math.min(MOST, Math.max(12, Math.ceil(((lengthCm / pitchCm) * aTurn) / 0.85)));
  const points = new Float64Array(3 * (count + 1));
  let angle = 0;
  for (let i = 0; i <= count; i++) {
    const share = i / count;
    const thin = thins(share);
    if (i > 0) angle += (2 * Math.PI * lengthCm) / count / (pitchCm * thin);
    const [au, av] = across(angle);
    const place = Math.min(nodes - 1e-9, share * nodes);
    const k = Math.floor(place);
    const t = place - k;
    for (let c = 0; c < 3; c++) {
      const [a, b] = [3 * k + c, 3 * k + 3 + c];
      points[3 * i + c] =
        at[a]! + t * (at[b]! - at[a]!) +
        thin * au * (u[a]! + t * (u[b]! - u[a]!)) +
        thin * av * (v[a]! + t * (v[b]! - v[a]!)); // prettier-ignore
    }
  }
  return points;
}
