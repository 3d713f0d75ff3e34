import type { Source } from './database';

/** A row as the driver hands it over; each repository turns it into a type at once. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- what a query selects only its repository knows
export type Row = Record<string, any>;

/** Rows made into things and gathered by a key of theirs, the piece they belong to unless said otherwise. */
export function groupRows<T, R extends object = Row>(
  rows: readonly R[],
  make: (row: R) => T,
  keyOf: (row: R) => string = (row) => (row as Row).piece_id,
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

/** Writes columns over the revision that was read; false when somebody saved in between. */
export const writeOver = async (
  src: Source,
  table: string,
  { id, revision }: { id: string; revision: number },
  columns: Record<string, unknown>,
): Promise<boolean> =>
  (await src(table)
    .where({ id, revision })
    .update({ ...columns, revision: revision + 1 })) === 1;
