/** A three-rung chain root–middle–end–room: conductances between rungs and to nodes at each rung. */
export interface Ladder {
  /** Conductances root–middle, middle–end, end–room. */
  readonly between: readonly [number, number, number];
  /** Sum of node conductances at each rung. */
  readonly toNodes: readonly [number, number, number];
  /** What flows into each rung irrespective of its own level. */
  readonly sources: readonly [number, number, number];
  /** Level of the room at the far end. */
  readonly room: number;
}

/**
 * Levels of the three rungs at which everything that flows in flows out (tridiagonal elimination).
 * Serves vapour (m³/s, kg/m³) and heat (W/K, °C) alike.
 *
 * @source drying §5.5
 */
export function solveLadder({ between, toNodes, sources, room }: Ladder): [number, number, number] {
  const [rootMiddle, middleEnd, endRoom] = between;
  const d0 = toNodes[0] + rootMiddle;
  const d1 = toNodes[1] + rootMiddle + middleEnd - (rootMiddle * rootMiddle) / d0;
  const b1 = sources[1] + (rootMiddle * sources[0]) / d0;
  const d2 = toNodes[2] + middleEnd + endRoom - (middleEnd * middleEnd) / d1;
  const b2 = sources[2] + endRoom * room + (middleEnd * b1) / d1;
  const end = b2 / d2;
  const middle = (b1 + middleEnd * end) / d1;
  return [(sources[0] + rootMiddle * middle) / d0, middle, end];
}
