/**
 * Items by what they have in common, groups and items in the order of their first and next appearance.
 *
 * @example [...grouped([1, 2, 3], (n) => n % 2).values()] // => [[1, 3], [2]]
 */
export function grouped<T, K>(items: Iterable<T>, keyOf: (item: T) => K): Map<K, T[]> {
  const groups = new Map<K, T[]>();
  for (const item of items) {
    const key = keyOf(item);
    const own = groups.get(key);
    if (own) own.push(item);
    else groups.set(key, [item]);
  }
  return groups;
}
