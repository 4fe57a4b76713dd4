import { round } from '../../coefficients/round';

/**
 * Width of a head with its hair, cm: as wide as the head, the curl beside it, and what volume adds.
 *
 * @param volume 0 to 10
 * @source round §4 (assumed: the forecast gives volume only)
 * @example wantedWidthCm({ scale: 1, curlCm: 0.8, visibleCm: 21, volume: 8 }) // => 33.83
 */
export function wantedWidthCm(hair: {
  readonly scale: number;
  readonly curlCm: number;
  readonly visibleCm: number;
  readonly volume: number;
}): number {
  const c = round.value;
  const full = (Math.max(0, hair.volume) / 10) ** c.widthPower;
  return (
    c.width0 * hair.scale +
    2 * (hair.curlCm + c.widthCurl) +
    (2 * full * hair.visibleCm) / (1 + hair.visibleCm / c.widthLengthCm)
  );
}

/** Lower than this are shoulders: hair on them says nothing of how wide it is. */
export const ABOVE_SHOULDERS_CM = -14;
const BAND_CM = 2;
const LEAST_IN_BAND = 12;
const OUTLIERS = 0.015;

/**
 * Width over all of points, cm: of the widest band of 2 cm above the shoulders, without the outermost of either side.
 *
 * @param points x, y, z after each other
 */
export function widthOver(points: Float64Array, scale = 1): number {
  const bands = new Map<number, number[]>();
  for (let i = 0; i < points.length; i += 3) {
    const y = points[i + 1]!;
    if (y <= ABOVE_SHOULDERS_CM * scale) continue;
    const band = Math.floor(y / BAND_CM);
    const xs = bands.get(band);
    if (xs) xs.push(points[i]!);
    else bands.set(band, [points[i]!]);
  }
  let widest = 0;
  for (const xs of bands.values()) {
    if (xs.length < LEAST_IN_BAND) continue;
    xs.sort((a, b) => a - b);
    const at = (share: number) => {
      const place = share * (xs.length - 1);
      const low = Math.floor(place);
      const high = Math.min(xs.length - 1, low + 1);
      return xs[low]! + (place - low) * (xs[high]! - xs[low]!);
    };
    widest = Math.max(widest, at(1 - OUTLIERS) - at(OUTLIERS));
  }
  return widest;
}
