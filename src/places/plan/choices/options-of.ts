/** The rows of a table as a list offers them. */
export const optionsOf = <K extends string>(
  ids: readonly K[],
  table: Readonly<Record<K, { readonly label: string }>>,
) => ids.map((id) => ({ value: id, label: table[id].label }));
