/**
 * A picture of many tiles: what was found one by one, put right by the grid that they make together where
 * that is plain.
 */
import { areaOf, type Shape } from '../frame';
import { boardTiles, type BoardTile } from './board-tiles';
import { readBoard, type Board } from './board';
import type { Card } from './cards';
import { Field, reduced, type Raster } from './field';
import { look, type FoundFrame, type Seen } from './find';
import { findGrey, type GreySearch } from './grey';
import type { Quad } from './quad';
import { SURE } from './sure';

const LEAST_TILES = 6;
/** What was found at a tile's place is that tile where it is about as large. */
const ALIKE = 0.4;

export type Many = Seen & { board: Board | null; tiles: BoardTile[] };

/** In widths of the picture squared. */
const sizeOf = (shape: Shape, aspect: number): number =>
  areaOf(shape, aspect) * (shape.kind === 'corners' ? aspect : 1);

const middle = (shape: Shape): { x: number; y: number } =>
  shape.kind === 'ellipse'
    ? shape.centre
    : shape.corners.reduce((sum, { x, y }) => ({ x: sum.x + x / 4, y: sum.y + y / 4 }), { x: 0, y: 0 });

function at(tile: BoardTile, frames: readonly FoundFrame[], aspect: number): FoundFrame | undefined {
  const own: Shape = { kind: 'corners', corners: tile.corners };
  const area = sizeOf(own, aspect);
  const here = middle(own);
  return frames.find(({ shape }) => {
    const there = middle(shape);
    return (
      Math.hypot(there.x - here.x, (there.y - here.y) * aspect) < 0.3 * Math.sqrt(area) &&
      Math.abs(sizeOf(shape, aspect) / area - 1) < ALIKE
    );
  });
}

const isMany = ({ frames }: Seen, { rows, columns }: Board): boolean =>
  frames.length > 2 || rows * columns >= LEAST_TILES;

/**
 * Three tiles in a row may be grey, and from dark to light: what lies among them is no card. One beside them
 * is looked for anew.
 */
function greyBeside(
  raster: Raster,
  cards: readonly Card[],
  { corners }: Board,
  found: GreySearch,
): GreySearch {
  if (found.found === null) return found;
  const field = new Field(reduced(raster));
  const quad = corners.map(({ x, y }) => ({ x: x * field.width, y: y * field.height })) as Quad;
  return findGrey(field, cards, [quad]);
}

/**
 * Everything that lies in a picture, row by row from the top: faces, plates or tiles, with the grey and the
 * board they make. Where six or more make a plain grid, places at which nothing was found are filled from it,
 * and what fits none is left out.
 */
export function lookAtMany(raster: Raster, { cards }: { cards: readonly Card[] }): Many {
  const seen = look(raster, { cards });
  const board = readBoard(raster, null, seen.grey.found?.corners ?? null);
  const tiles = board === null ? [] : boardTiles(raster, board);
  const grey =
    board !== null && isMany(seen, board) ? greyBeside(raster, cards, board, seen.grey) : seen.grey;
  const plain = board !== null && board.sure >= SURE && tiles.length >= LEAST_TILES;
  if (!plain) return { ...seen, grey, board, tiles };
  const aspect = raster.height / raster.width;
  const frames = tiles.flatMap((tile): FoundFrame[] => {
    const found = at(tile, seen.frames, aspect);
    if (found !== undefined) return [found];
    return tile.empty ? [] : [{ shape: { kind: 'corners', corners: tile.corners }, edge: 0 }];
  });
  return { ...seen, grey, frames, why: frames.length > 0 ? null : seen.why, board, tiles };
}
