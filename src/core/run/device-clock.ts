/** One exchange with the server: when it left, when it came back (device clock), and what the server's clock said. */
export interface ClockExchange {
  readonly sentMs: number;
  readonly receivedMs: number;
  readonly serverMs: number;
}

/** Exchanges that are remembered. A quick one tells more than many slow ones. */
export const KEPT_EXCHANGES = 8;

/**
 * How far the server's clock is ahead of the device's.
 *
 * @returns ms to add to a time of the device; 0 before any exchange. Wrong by at most half the shortest round trip.
 * @source offset of the exchange with the shortest round trip (RFC 5905 §10, clock filter)
 * @example clockOffsetMs([{ sentMs: 1000, receivedMs: 1200, serverMs: 5100 }]) // => 4000
 */
export function clockOffsetMs(exchanges: readonly ClockExchange[]): number {
  const trip = ({ sentMs, receivedMs }: ClockExchange) => receivedMs - sentMs;
  const best = exchanges.reduce<ClockExchange | null>(
    (shortest, other) => (shortest === null || trip(other) < trip(shortest) ? other : shortest),
    null,
  );
  return best === null ? 0 : best.serverMs - (best.sentMs + best.receivedMs) / 2;
}

/**
 * A time of a device as it is kept: on the server's clock, never before the set began or after it arrived.
 *
 * @example keptTimeMs(900, 4000, 5000, 6000) // => 5000
 */
export const keptTimeMs = (
  deviceMs: number,
  offsetMs: number,
  startedAtMs: number,
  arrivedMs: number,
): number =>
  Math.round(Math.min(Math.max(deviceMs + offsetMs, startedAtMs), Math.max(startedAtMs, arrivedMs)));
