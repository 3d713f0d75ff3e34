/** What of a board is looked for: the rest stays in its place and steps back. */
import { SURFACES, signOf } from '@/core/signs';
import { STANDINGS, describeStanding } from '@/core/standing';
import type { BoardCell } from '@/data/board';

/** Runs from here on are movers, mm; ratings from here on are liked. */
const MOVES = 3;
const LIKED = 4;

type Cell = Pick<BoardCell, 'surface' | 'movementMm' | 'signs' | 'standing' | 'rating'>;
export type BoardFilter = { value: string; label: string; group: string };

const FIXED: Record<string, { label: string; passes: (cell: Cell) => boolean }> = {
  runs: { label: 'what runs', passes: ({ movementMm }) => (movementMm ?? 0) >= MOVES },
  stays: { label: 'what stays put', passes: ({ movementMm }) => (movementMm ?? 0) < MOVES },
  liked: { label: `rated ${LIKED} and more`, passes: ({ rating }) => (rating ?? 0) >= LIKED },
  faultless: {
    label: 'without faults',
    passes: ({ signs }) => signs.every(({ wanted }) => wanted),
  },
};

/** Does a cell show what is looked for? Everything does where nothing is. */
export function passes(filter: string | null, cell: Cell): boolean {
  if (filter === null) return true;
  const [kind, value = ''] = filter.split(':');
  if (kind === 'surface') return cell.surface === value;
  if (kind === 'standing') return cell.standing === value;
  if (kind === 'sign') return cell.signs.some(({ sign }) => sign === value);
  return FIXED[filter]?.passes(cell) ?? true;
}

/** What can be looked for on a board: only what some of its cells show, and not all. */
export function filtersOf(cells: readonly Cell[]): BoardFilter[] {
  const signs = [...new Set(cells.flatMap((one) => one.signs.map(({ sign }) => sign)))].sort();
  return [
    ...Object.entries(FIXED).map(([value, { label }]) => ({
      value,
      label,
      group: 'How it behaves',
    })),
    ...SURFACES.map((one) => ({ value: `surface:${one}`, label: one, group: 'Surface' })),
    ...STANDINGS.map((one) => ({
      value: `standing:${one}`,
      label: describeStanding(one),
      group: 'How sure',
    })),
    ...signs.map((one) => ({
      value: `sign:${one}`,
      label: `with ${signOf(one)?.name.toLowerCase() ?? one}`,
      group: 'Signs',
    })),
  ].filter(({ value }) => {
    const many = cells.filter((cell) => passes(value, cell)).length;
    return many > 0 && many < cells.length;
  });
}
