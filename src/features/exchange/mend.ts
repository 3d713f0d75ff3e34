/** What is done to the cells of a table before its rows are read. */
import type { Column } from './columns';
import type { ImportOptions } from './contracts';

type Lines = { line: number; cells: string[] }[];

/** Merged cells leave blanks below their first line; the named columns take what stands above. */
export function fillDown(rows: Lines, columns: readonly (Column | null)[], fill: readonly Column[]): void {
  const last = new Map<number, string>();
  for (const { cells } of rows) {
    columns.forEach((column, i) => {
      if (column === null || !fill.includes(column)) return;
      const value = cells[i] ?? '';
      if (value !== '') last.set(i, value);
      else cells[i] = last.get(i) ?? '';
    });
  }
}

/** Puts what was mended into its cells; says which lines were touched. */
export function mend(rows: Lines, mended: ImportOptions['mended']): Set<number> {
  const touched = new Set<number>();
  for (const { column, line, from, to } of mended)
    for (const row of rows) {
      if (line === null ? (row.cells[column] ?? '') !== from : row.line !== line) continue;
      row.cells[column] = to;
      touched.add(row.line);
    }
  return touched;
}
