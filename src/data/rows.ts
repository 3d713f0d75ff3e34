/** A row as the driver hands it over; each repository turns it into a type at once. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export type Row = Record<string, any>;

/** Rows made into things and gathered by a key of theirs, the piece they belong to unless said otherwise. */
export function groupRows<T>(
  rows: readonly Row[],
  make: (row: Row) => T,
  keyOf = (row: Row): string => row.piece_id,
): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const key = keyOf(row);
    const list = groups.get(key);
    if (list) list.push(make(row));
    else groups.set(key, [make(row)]);
  }
  return groups;
}
