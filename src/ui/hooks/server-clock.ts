import { clockOffsetMs, KEPT_EXCHANGES, type ClockExchange } from '@/core/run/device-clock';

let exchanges: readonly ClockExchange[] = [];

const KEY = 'keen.clock.offset';

/** What was found the last time that the server could be asked. */
function lastOffsetMs(): number {
  try {
    const offset = Number(localStorage.getItem(KEY));
    return Number.isFinite(offset) ? offset : 0;
  } catch {
    return 0;
  }
}

/** Remembers one exchange with the server. */
export function noteExchange(exchange: ClockExchange): void {
  exchanges = [...exchanges, exchange].slice(-KEPT_EXCHANGES);
  try {
    localStorage.setItem(KEY, String(clockOffsetMs(exchanges)));
  } catch {
    // Not kept: without the server this device then goes by its own clock.
  }
}

export const exchangeCount = (): number => exchanges.length;

/** How far the server's clock is ahead of this device's, ms. */
export const offsetMs = (): number => (exchanges.length > 0 ? clockOffsetMs(exchanges) : lastOffsetMs());

/** The time by the server's clock: the one that everything is kept by. */
export const serverNowMs = (): number => Date.now() + offsetMs();
