import type { Brief } from '../brief/brief';
import { learntOf, learntSd } from '../brief/learnt';
import { result } from '../coefficients/result';
import type { PlanFile } from '../formats/plan-file';
import type { Spread } from '../stats/spread';
import { clamp } from '../units/clamp';
import { Z_90 } from '../stats/normal';
import type { SetResult } from './set-result';
import { ALL_KNOWN, type UnknownSpread } from './unknown-spread';

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

/** A half range with what is not known added, in squares. */
const wider = (half: number, sd: number) => Math.hypot(half, Z_90 * sd);

/** Half ranges of what is learnt of a head, points and shares; the trade's own where nothing is. */
export interface LearntHalves {
  readonly definition: number;
  readonly stretch: number;
}
/** As the trade has them. */
export const TRADE_HALVES: LearntHalves = {
  definition: result.value.indexRange,
  stretch: result.value.stretchRange,
};

/** Half ranges of a brief's main technique on its head, as wide as past bands should have been. */
export function halvesOf({ learnt, set, corrections: { widths } }: Brief): LearntHalves {
  const { definition, stretch } = learntOf(learnt, set.technique);
  const half = (own: typeof definition, tradeHalf: number, unit: number, width = 1) =>
    typeof own?.sd === 'number' ? (width * Z_90 * own.sd) / unit : learntSd(own, tradeHalf, width);
  return {
    definition: half(definition, TRADE_HALVES.definition, 1, widths.definition),
    stretch: half(stretch, TRADE_HALVES.stretch, 100, widths.stretch),
  };
}

/**
 * Ranges of curl diameter (mm), stretch (0–1) and volume (0–10) about what is expected.
 *
 * @param others the same if it dries otherwise
 * @param unknown what parts of the head nobody measured add
 * @param halves half ranges, where some are learnt
 * @source set-geometry §12: half ranges that are assumed, not drawn
 * @example rangesAround({ curlDiameterMm: 20, stretch: 0.95, volume: 6 }).stretch // => { p10: 0.85, p90: 1 }
 */
export function rangesAround(
  expected: Seen,
  others: readonly Seen[] = [expected],
  unknown: UnknownSpread = ALL_KNOWN,
  halves: LearntHalves = TRADE_HALVES,
): ResultRanges {
  const { curlRange, indexRange } = result.value;
  const of = (key: keyof Seen) => others.map((other) => other[key]);
  const { curlDiameterMm, stretch, volume } = expected;
  return {
    curlDiameterMm: around(
      curlDiameterMm,
      curlDiameterMm * wider(curlRange, unknown.lnCurl),
      of('curlDiameterMm'),
      0,
      Infinity,
    ),
    stretch: around(stretch, wider(halves.stretch, unknown.stretch), of('stretch'), 0, 1),
    volume: around(volume, wider(indexRange, unknown.volume), of('volume'), 0, 10),
  };
}

const seenOf = ({ byDay, volume }: SetResult): Seen => ({
  curlDiameterMm: byDay[0]!.curlDiameterMm,
  stretch: byDay[0]!.stretch,
  volume: volume.value,
});

/** Ranges of what is seen, as sure as it is that the hair dries in time. */
export const seenRanges = (
  { likeliest, slow, quick }: ResultsByDampness,
  unknown: UnknownSpread,
  halves: LearntHalves,
): ResultRanges => rangesAround(seenOf(likeliest), [seenOf(slow), seenOf(quick)], unknown, halves);

/** Definition or frizz with its range. */
export function lookSpread(
  { likeliest, slow, quick }: ResultsByDampness,
  key: 'definition' | 'frizz',
  unknown: UnknownSpread,
  half: number,
): Spread {
  const { value } = likeliest[key];
  const others = [slow[key].value, quick[key].value];
  return { ...around(value, wider(half, unknown[key]), others, 0, 10), p50: value };
}

/** Days presentable: the technique's own spread, and what may be damp at takedown, as factors. */
export function daysSpread({ likeliest, slow, quick }: ResultsByDampness, unknown: UnknownSpread): Spread {
  const { p10, p50, p90 } = likeliest.days;
  const ln = (days: number) => Math.log(days / p50);
  const below = Math.hypot(ln(p10), Math.min(0, ln(slow.days.p50)), Z_90 * unknown.lnDays);
  const above = Math.hypot(ln(p90), Math.max(0, ln(quick.days.p50)), Z_90 * unknown.lnDays);
  return { p10: p50 * Math.exp(-below), p50, p90: p50 * Math.exp(above) };
}

/** Ranges as a plan carries them; a forecast frozen before it carried any has those its model assumed. */
export const rangesOf = (planned: PlanFile['result']): ResultRanges =>
  planned.ranges ?? rangesAround(planned);
