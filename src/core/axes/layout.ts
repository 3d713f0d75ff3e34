/** Lays cells out by any two axes: one cell of a chart holds all the ways that stand there. */
import type { Axis, Placed } from './axes';

/** All cells at one crossing: the one shown, and how many others there are. */
export type Crossing<C> = { row: string; column: string; main: C; ways: number; pieces: number };

export type Layout<C> = {
  crossings: Map<string, Crossing<C>>;
  /** Values that occur on each axis, in the axis's order. */
  rows: string[];
  columns: string[];
};

export const crossingKey = (row: string, column: string): string => `${row}/${column}`;

/**
 * `better` orders the cells of one crossing, negative when the first is the better known. One pass,
 * so a board of a whole studio is laid out in the time it takes to read it.
 */
export function layOut<K extends keyof Placed, C extends Pick<Placed, K> & { pieces: number }>(
  cells: readonly C[],
  { rows, columns, better }: { rows: Axis<K>; columns: Axis<K>; better: (a: C, b: C) => number },
): Layout<C> {
  const crossings = new Map<string, Crossing<C>>();
  const [seenRows, seenColumns] = [new Set<string>(), new Set<string>()];
  for (const cell of cells) {
    const [row, column] = [rows.value(cell), columns.value(cell)];
    if (row === null || column === null) continue;
    seenRows.add(row);
    seenColumns.add(column);
    const key = crossingKey(row, column);
    const held = crossings.get(key);
    if (held === undefined) {
      crossings.set(key, { row, column, main: cell, ways: 1, pieces: cell.pieces });
      continue;
    }
    held.ways++;
    held.pieces += cell.pieces;
    if (better(cell, held.main) < 0) held.main = cell;
  }
  return {
    crossings,
    rows: [...seenRows].sort(rows.order),
    columns: [...seenColumns].sort(columns.order),
  };
}
