/** A pure function of an object that remembers what it made, for as long as the object lives. */
export function remembered<K extends object, V>(work: (key: K) => V): (key: K) => V {
  const known = new WeakMap<K, { readonly value: V }>();
  return (key) => {
    const kept = known.get(key) ?? { value: work(key) };
    known.set(key, kept);
    return kept.value;
  };
}
