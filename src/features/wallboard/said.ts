/** What somebody says of a board before it is brought in, and what its tiles are by that. */
import type { BoardTile } from '@/core/sight';
import { tileOf, type WallTile } from '@/core/wallboard';
import type { BringBoardInput } from './contracts';

export type Said = Omit<BringBoardInput, 'tiles' | 'grey'>;
/** What was said of one place: words of its own, and whether a tile hangs there. */
export type OfPlace = { own: string; hangs: boolean };
export type Places = Readonly<Record<string, Partial<OfPlace>>>;

export const NOTHING_SAID: Said = {
  name: '',
  board: {
    rows: { are: 'coating', headings: [] },
    columns: { are: 'coating', headings: [] },
    beneath: 'rows',
    under: 1,
    top: { lower: 1, upper: 1 },
    line: 0.5,
    halves: null,
    body: '',
  },
  cone: '',
  conesShown: false,
  atmosphere: 'unknown',
  kilnId: null,
  firedOn: null,
  method: 'dip',
};

export type OnBoard = BoardTile & OfPlace & { key: string; is: WallTile };

const keyOf = ({ row, column }: Pick<BoardTile, 'row' | 'column'>): string => `${row}/${column}`;

/** Every place of the board with what hangs there by what was said. */
export const placesOn = (tiles: readonly BoardTile[], board: Said['board'], places: Places): OnBoard[] =>
  tiles.map((tile) => {
    const key = keyOf(tile);
    const own = places[key]?.own ?? '';
    return {
      ...tile,
      key,
      own,
      hangs: places[key]?.hangs ?? !tile.empty,
      is: tileOf(board, tile.row, tile.column, own),
    };
  });

/** Headings from one on: what was pasted fills the following ones, as many as there are. */
export function headed(
  headings: readonly string[],
  at: number,
  written: readonly string[],
  count: number,
): string[] {
  const next = Array.from({ length: count }, (_, i) => headings[i] ?? '');
  written.forEach((one, i) => {
    if (at + i < count) next[at + i] = one;
  });
  return next;
}

/** What is to be sent: only tiles that hang. */
export const toBring = (
  said: Said,
  list: readonly OnBoard[],
  grey: BringBoardInput['grey'],
): BringBoardInput => ({
  ...said,
  tiles: list.flatMap(({ row, column, own, hangs, corners }) =>
    hangs
      ? [{ row, column, own: own === '' ? null : own, shape: { kind: 'corners' as const, corners } }]
      : [],
  ),
  grey,
});
