import type { KeyboardEvent } from 'react';

/** Steps of the arrow keys: rows, columns. */
export const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/**
 * The keys of a board: arrows go from cell to cell, letters do what they are given for. Where a
 * coating would meet itself there is no cell: the arrows go on to the next.
 */
export function chartKeys(
  event: KeyboardEvent<HTMLElement>,
  board: HTMLElement | null,
  far: number,
  letters: Readonly<Record<string, () => void>>,
): void {
  const target = event.target as HTMLElement;
  if (event.ctrlKey || event.metaKey || event.altKey) return;
  if (target.closest('input, [role="combobox"], [role="listbox"]')) return;
  const cell = target.closest<HTMLElement>('[data-row]');
  const step = ARROWS[event.key];
  if (step === undefined || cell === null) return letters[event.key]?.();
  event.preventDefault();
  for (let n = 1; n <= far; n++) {
    const row = Number(cell.dataset.row) + n * step[0];
    const column = Number(cell.dataset.column) + n * step[1];
    const next = board?.querySelector<HTMLElement>(`[data-row="${row}"][data-column="${column}"]`);
    if (next) return next.focus();
  }
}
