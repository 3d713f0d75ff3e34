import type { Placed } from './axes';

/** What stands before a cell's own id where an address names no pair. */
export const CELL = 'cell:';

/** A cell of which the address is asked. */
export type Addressed = Pick<Placed, 'body' | 'slips' | 'cone' | 'atmosphere' | 'base' | 'over' | 'depth'> & {
  id: string;
};

/**
 * The chart's address that shows a cell open: its board, and the pair on it, or the cell by its id
 * where no pair says it (three coats and more, or bare ground).
 */
export function chartAddress(cell: Addressed): string {
  const at = cell.base !== null && cell.depth <= 2 ? `${cell.base}/${cell.over ?? ''}` : `${CELL}${cell.id}`;
  const { body, cone, atmosphere, slips: ground } = cell;
  return `/chart?${new URLSearchParams({ body, cone, atmosphere, ground, at })}`;
}
