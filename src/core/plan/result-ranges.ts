import { result } from '../coefficients/result';
import type { PlanFile } from '../formats/plan-file';
import { clamp } from '../units/clamp';

type Result = Pick<PlanFile['result'], 'curlDiameterMm' | 'stretch' | 'volume'>;

/** Eight of ten sets fall between the two. */
export interface Range {
  readonly p10: number;
  readonly p90: number;
}

export type ResultRanges = Readonly<Record<keyof Result, Range>>;

const around = (middle: number, half: number, low: number, high: number): Range => ({
  p10: clamp(middle - half, low, high),
  p90: clamp(middle + half, low, high),
});

/**
 * Ranges of curl diameter (mm), stretch (0–1) and volume (0–10) about what is expected.
 *
 * @source set-geometry §12: half ranges that are assumed, not drawn
 * @example rangesAround({ curlDiameterMm: 20, stretch: 0.95, volume: 6 }).stretch // => { p10: 0.85, p90: 1 }
 */
export function rangesAround({ curlDiameterMm, stretch, volume }: Result): ResultRanges {
  const { curlRange, stretchRange, indexRange } = result.value;
  return {
    curlDiameterMm: around(curlDiameterMm, curlRange * curlDiameterMm, 0, Infinity),
    stretch: around(stretch, stretchRange, 0, 1),
    volume: around(volume, indexRange, 0, 10),
  };
}

/** Ranges as a plan carries them; a forecast frozen before it carried any has those its model assumed. */
export const rangesOf = (planned: PlanFile['result']): ResultRanges =>
  planned.ranges ?? rangesAround(planned);
