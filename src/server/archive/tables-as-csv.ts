import Papa from 'papaparse';
import type { StudioArchive } from './studio-archive';

/**
 * Sets and wear entries of an archive as CSV (RFC 4180), for a spreadsheet. JSON columns are written as JSON, so
 * that nothing is lost.
 */
export function tablesAsCsv({ tables }: StudioArchive): Readonly<Record<string, string>> {
  const csv = (rows: readonly Readonly<Record<string, unknown>>[]) =>
    Papa.unparse(
      rows.map((row) =>
        Object.fromEntries(
          Object.entries(row).map(([key, value]) => [
            key,
            value !== null && typeof value === 'object' ? JSON.stringify(value) : value,
          ]),
        ),
      ),
      // A text that a spreadsheet would run as a formula gets an apostrophe before it; numbers stay numbers.
      { newline: '\r\n', escapeFormulae: /^[=+\-@\t\r]/ },
    );
  return { 'sets.csv': csv(tables.sets), 'wear-days.csv': csv(tables.wearDays) };
}
