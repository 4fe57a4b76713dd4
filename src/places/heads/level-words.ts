/** The level of a table that a figure is nearest to: 72 µm is medium. */
export function nearestLevel<const K extends string>(table: Readonly<Record<K, number>>, value: number): K {
  const levels = Object.keys(table) as K[];
  return levels.reduce((nearest, other) =>
    Math.abs(table[other] - value) < Math.abs(table[nearest] - value) ? other : nearest,
  );
}

/** Density as hands say it. */
export const DENSITY_WORDS = { low: 'thin', medium: 'medium', high: 'thick' } as const;
