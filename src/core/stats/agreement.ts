/**
 * Weighted agreement of two raters beyond chance, from a square table of counts or shares.
 *
 * @param weightOf disagreement of two categories, 0 for the same
 * @returns null where there is no spread to judge
 * @source Cohen 1968
 */
export function weightedKappa(
  table: readonly (readonly number[])[],
  weightOf: (i: number, j: number) => number,
): number | null {
  const total = table.flat().reduce((sum, n) => sum + n, 0);
  const rows = table.map((row) => row.reduce((sum, n) => sum + n, 0) / total);
  const columns = table.map((_, j) => table.reduce((sum, row) => sum + row[j]!, 0) / total);
  let [seen, expected] = [0, 0];
  table.forEach((row, i) =>
    row.forEach((n, j) => {
      seen += (weightOf(i, j) * n) / total;
      expected += weightOf(i, j) * rows[i]! * columns[j]!;
    }),
  );
  return expected > 0 ? 1 - seen / expected : null;
}

/** Two-way analysis of ratings, one row a subject and one column a rater. */
export interface RatersTable {
  /** Mean squares between subjects, between raters, and of what is left. */
  readonly betweenSubjects: number;
  readonly betweenRaters: number;
  readonly rest: number;
  /** Intraclass correlations (2,1) and (3,1); null where there is no spread to judge. */
  readonly absolute: number | null;
  readonly consistent: number | null;
  /** How far each rater lies from the mean of all. */
  readonly offsets: readonly number[];
  readonly typicalGap: number;
}

/**
 * Agreement of raters in points.
 *
 * @param rows at least two, each with one rating a rater, at least two
 * @source Shrout & Fleiss 1979
 */
export function ratersTable(rows: readonly (readonly number[])[]): RatersTable {
  const n = rows.length;
  const k = rows[0]!.length;
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const grand = mean(rows.flat());
  const subjects = rows.map(mean);
  const raters = Array.from({ length: k }, (_, j) => mean(rows.map((row) => row[j]!)));
  const squares = (values: readonly number[]) => values.reduce((sum, value) => sum + (value - grand) ** 2, 0);
  const betweenSubjects = (k * squares(subjects)) / (n - 1);
  const betweenRaters = (n * squares(raters)) / (k - 1);
  const left = squares(rows.flat()) - k * squares(subjects) - n * squares(raters);
  const rest = Math.max(0, left) / ((n - 1) * (k - 1));
  const over = (denominator: number) => (denominator > 1e-12 ? (betweenSubjects - rest) / denominator : null);
  return {
    betweenSubjects,
    betweenRaters,
    rest,
    absolute: over(betweenSubjects + (k - 1) * rest + (k * (betweenRaters - rest)) / n),
    consistent: over(betweenSubjects + (k - 1) * rest),
    offsets: raters.map((rater) => rater - grand),
    typicalGap: Math.sqrt(rest),
  };
}
