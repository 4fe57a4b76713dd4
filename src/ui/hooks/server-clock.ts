import { clockOffsetMs, KEPT_EXCHANGES, type ClockExchange } from '@/core/run/device-clock';

let exchanges: readonly ClockExchange[] = [];

/** Remembers one exchange with the server. */
export function noteExchange(exchange: ClockExchange): void {
  exchanges = [...exchanges, exchange].slice(-KEPT_EXCHANGES);
}

export const exchangeCount = (): number => exchanges.length;

/** How far the server's clock is ahead of this device's, ms. */
export const offsetMs = (): number => clockOffsetMs(exchanges);

/** The time by the server's clock: the one that everything is kept by. */
export const serverNowMs = (): number => Date.now() + offsetMs();
