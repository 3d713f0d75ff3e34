/** A picture of many tiles: what was found one by one, put right by the grid that they make together where that is plain. */
import { areaOf, type Shape } from '../frame';
import { boardTiles, type BoardTile } from './board-tiles';
import { readBoard, type Board } from './board';
import type { Card } from './cards';
import type { Raster } from './field';
import { look, type FoundFrame, type Seen } from './find';
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
    : shape.corners.reduce((sum, { x, y }) => ({ x: sum.x + x / 4, y: sum.y + y / 4 }), { x: 0, y: 0 }); // prettier-ignore

function at(
  tile: BoardTile,
  frames: readonly FoundFrame[],
  aspect: number,
): FoundFrame | undefined {
  const own: Shape = { kind: 'corners', corners: tile.corners };
  const area = sizeOf(own, aspect);
  const here = middle(own);
  return frames.find(({ shape }) => {
    const there = middle(shape);
    return Math.hypot(there.x - here.x, (there.y - here.y) * aspect) < 0.3 * Math.sqrt(area) && Math.abs(sizeOf(shape, aspect) / area - 1) < ALIKE; // prettier-ignore
  });
}

/**
 * Everything that lies in a picture, row by row from the top: faces, plates or tiles, with the grey and the board they make.
 * Where six or more make a plain grid, places at which nothing was found are filled from it, and what fits none is left out.
 */
export function lookAtMany(raster: Raster, { cards }: { cards: readonly Card[] }): Many {
  const seen = look(raster, { cards });
  const board = readBoard(raster, null, seen.grey.found?.corners ?? null);
  const tiles = board === null ? [] : boardTiles(raster, board);
  const plain = board !== null && board.sure >= SURE && tiles.length >= LEAST_TILES;
  if (!plain) return { ...seen, board, tiles };
  const aspect = raster.height / raster.width;
  const frames = tiles.flatMap((tile): FoundFrame[] => {
    const found = at(tile, seen.frames, aspect);
    if (found !== undefined) return [found];
    return tile.empty ? [] : [{ shape: { kind: 'corners', corners: tile.corners }, edge: 0 }];
  });
  return { ...seen, frames, why: frames.length > 0 ? null : seen.why, board, tiles };
}
