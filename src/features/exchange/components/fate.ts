import type { ImportRow } from '../interpret';
import { leftOutAsCame } from '../row';

/** What becomes of a row. */
export function fateOf(row: ImportRow): string {
  if (leftOutAsCame(row)) return 'left out';
  if (row.errors.length > 0) return 'refused';
  return row.warnings.length > 0 ? 'added, but' : 'added';
}

/** And why. */
export const whyOf = ({ errors, warnings }: ImportRow): string => [...errors, ...warnings].join(' ');
