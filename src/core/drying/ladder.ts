/** A three-rung chain root–middle–end–room: conductances between rungs and to nodes at each rung. */
export interface Ladder {
  /** Conductances root–middle, middle–end, end–room. */
  between: readonly [number, number, number];
  /** Sum of node conductances at each rung. */
  toNodes: [number, number, number];
  /** What flows into each rung irrespective of its own level. */
  sources: [number, number, number];
  /** Level of the room at the far end. */
  room: number;
}

/**
 * Levels of the three rungs at which everything that flows in flows out (tridiagonal elimination).
 * Serves vapour (m³/s, kg/m³) and heat (W/K, °C) alike. Writes into `out`, for it runs in the innermost loop.
 *
 * @param scale × the conductances between rungs
 * @source drying §5.5
 */
export function solveLadder(
  { between, toNodes, sources, room }: Ladder,
  out: [number, number, number],
  scale = 1,
): void {
  const rootMiddle = between[0] * scale;
  const middleEnd = between[1] * scale;
  const endRoom = between[2] * scale;
  const d0 = toNodes[0] + rootMiddle;
  const d1 = toNodes[1] + rootMiddle + middleEnd - (rootMiddle * rootMiddle) / d0;
  const b1 = sources[1] + (rootMiddle * sources[0]) / d0;
  const d2 = toNodes[2] + middleEnd + endRoom - (middleEnd * middleEnd) / d1;
  const b2 = sources[2] + endRoom * room + (middleEnd * b1) / d1;
  out[2] = b2 / d2;
  out[1] = (b1 + middleEnd * out[2]) / d1;
  out[0] = (sources[0] + rootMiddle * out[1]) / d0;
}
