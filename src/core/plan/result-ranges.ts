import { result } from '../coefficients/result';
import type { PlanFile } from '../formats/plan-file';
import type { Spread } from '../stats/spread';
import { clamp } from '../units/clamp';
import type { SetResult } from './set-result';

type Seen = Pick<PlanFile['result'], 'curlDiameterMm' | 'stretch' | 'volume'>;

/** Eight of ten sets fall between the two. */
export interface Range {
  readonly p10: number;
  readonly p90: number;
}

export type ResultRanges = Readonly<Record<keyof Seen, Range>>;

/** What comes of a set whose hair dries as is likeliest, slower than nine in ten, and quicker. */
export interface ResultsByDampness {
  readonly likeliest: SetResult;
  readonly slow: SetResult;
  readonly quick: SetResult;
}

/** A range of fixed half width, and as much wider as what may be damp at takedown moves the figure: in squares. */
function around(middle: number, half: number, others: readonly number[], low: number, high: number): Range {
  const below = Math.hypot(half, Math.max(0, middle - Math.min(...others)));
  const above = Math.hypot(half, Math.max(0, Math.max(...others) - middle));
  return { p10: clamp(middle - below, low, high), p90: clamp(middle + above, low, high) };
}

/**
 * Ranges of curl diameter (mm), stretch (0–1) and volume (0–10) about what is expected.
 *
 * @param others the same if it dries otherwise
 * @source set-geometry §12: half ranges that are assumed, not drawn
 * @example rangesAround({ curlDiameterMm: 20, stretch: 0.95, volume: 6 }).stretch // => { p10: 0.85, p90: 1 }
 */
export function rangesAround(expected: Seen, others: readonly Seen[] = [expected]): ResultRanges {
  const { curlRange, stretchRange, indexRange } = result.value;
  const of = (key: keyof Seen) => others.map((other) => other[key]);
  const { curlDiameterMm, stretch, volume } = expected;
  return {
    curlDiameterMm: around(curlDiameterMm, curlRange * curlDiameterMm, of('curlDiameterMm'), 0, Infinity),
    stretch: around(stretch, stretchRange, of('stretch'), 0, 1),
    volume: around(volume, indexRange, of('volume'), 0, 10),
  };
}

const seenOf = ({ byDay, volume }: SetResult): Seen => ({
  curlDiameterMm: byDay[0]!.curlDiameterMm,
  stretch: byDay[0]!.stretch,
  volume: volume.value,
});

/** Ranges of what is seen, as sure as it is that the hair dries in time. */
export const seenRanges = ({ likeliest, slow, quick }: ResultsByDampness): ResultRanges =>
  rangesAround(seenOf(likeliest), [seenOf(slow), seenOf(quick)]);

/** Definition or frizz with its range. */
export function lookSpread(
  { likeliest, slow, quick }: ResultsByDampness,
  key: 'definition' | 'frizz',
): Spread {
  const { value } = likeliest[key];
  const others = [slow[key].value, quick[key].value];
  return { ...around(value, result.value.indexRange, others, 0, 10), p50: value };
}

/** Days presentable: the technique's own spread, and what may be damp at takedown, as factors. */
export function daysSpread({ likeliest, slow, quick }: ResultsByDampness): Spread {
  const { p10, p50, p90 } = likeliest.days;
  const ln = (days: number) => Math.log(days / p50);
  const below = Math.hypot(ln(p10), Math.min(0, ln(slow.days.p50)));
  const above = Math.hypot(ln(p90), Math.max(0, ln(quick.days.p50)));
  return { p10: p50 * Math.exp(-below), p50, p90: p50 * Math.exp(above) };
}

/** Ranges as a plan carries them; a forecast frozen before it carried any has those its model assumed. */
export const rangesOf = (planned: PlanFile['result']): ResultRanges =>
  planned.ranges ?? rangesAround(planned);
