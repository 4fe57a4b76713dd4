/** Requests that one address may send at once, and that it may go on sending, a second. */
const AT_ONCE = 240;
const A_SECOND = 24;
/** Addresses that are remembered; the network of a studio has fewer. */
const MOST_REMEMBERED = 2000;

/** A bucket for each address: full at first, emptied by a request, filled by time. */
export function rateLimit(): (address: string, nowMs: number) => boolean {
  const buckets = new Map<string, { left: number; atMs: number }>();
  return (address, nowMs) => {
    const bucket = buckets.get(address) ?? { left: AT_ONCE, atMs: nowMs };
    const filled = Math.min(AT_ONCE, bucket.left + (A_SECOND * Math.max(0, nowMs - bucket.atMs)) / 1000);
    const isLet = filled >= 1;
    // Put last: whoever has not asked for longest is forgotten first.
    buckets.delete(address);
    buckets.set(address, { left: isLet ? filled - 1 : filled, atMs: nowMs });
    for (const oldest of buckets.keys()) {
      if (buckets.size <= MOST_REMEMBERED) break;
      buckets.delete(oldest);
    }
    return isLet;
  };
}
