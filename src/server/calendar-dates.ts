/** No zone changes its clocks, or its date, but on a quarter of an hour. */
const QUARTER_MS = 15 * 60_000;

/** Dates of moments on the calendar of a zone, YYYY-MM-DD; one formatter for all of them, for there are thousands. */
export function calendarDates(timeZone: string): (ms: number) => string {
  const date = new Intl.DateTimeFormat('sv-SE', { dateStyle: 'short', timeZone });
  const known = new Map<number, string>();
  return (ms) => {
    const quarter = Math.floor(ms / QUARTER_MS);
    const told = known.get(quarter) ?? date.format(ms);
    known.set(quarter, told);
    return told;
  };
}
