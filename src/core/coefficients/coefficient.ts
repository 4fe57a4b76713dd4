/**
 * Where a number comes from: P published, M published but quoted from memory, C common practice with no
 * published source, F fitted so that the common-practice check values hold, A assumption with a physical argument.
 */
export type Source = 'P' | 'M' | 'C' | 'F' | 'A';

/** One number of a model that is not derived: its unit, plausible range, source and what it stands for. */
export interface Coefficient {
  readonly value: number;
  readonly unit: string;
  readonly low: number;
  readonly high: number;
  readonly source: Source;
  readonly note: string;
}

/** A table of coefficients: `records` for documents and sensitivity, `value` for the formulas. */
export interface CoefficientTable<K extends string> {
  readonly records: Readonly<Record<K, Coefficient>>;
  readonly value: Readonly<Record<K, number>>;
}

type Row = readonly [value: number, unit: string, low: number, high: number, source: Source, note: string];

/**
 * Builds a coefficient table from rows of value, unit, low, high, source and note.
 *
 * @throws RangeError when a value lies outside its own range
 * @example coefficients({ growth: [12.5, 'mm/month', 6, 15, 'P', 'scalp hair'] }).value.growth // => 12.5
 */
export function coefficients<K extends string>(rows: Readonly<Record<K, Row>>): CoefficientTable<K> {
  const records = {} as Record<K, Coefficient>;
  const values = {} as Record<K, number>;
  for (const key of Object.keys(rows) as K[]) {
    const [value, unit, low, high, source, note] = rows[key];
    if (!(value >= low && value <= high)) {
      throw new RangeError(`coefficient ${key} = ${value} ${unit} lies outside ${low} to ${high}`);
    }
    records[key] = { value, unit, low, high, source, note };
    values[key] = value;
  }
  return { records, value: values };
}
