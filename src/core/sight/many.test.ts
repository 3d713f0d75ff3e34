/**
 * Pictures of many tiles: every tile of a plain grid has its frame, an empty hook none, and the grey card is
 * no tile.
 */
import { Random } from '../../../demo/random';
import { photograph } from '../../../test-support/photographs/camera';
import { PLAIN } from '../../../test-support/photographs/ranges';
import { drawScene, type Scene } from '../../../test-support/photographs/scene';
import { areaOf, type Corners } from '../frame';
import { boardTiles } from './board-tiles';
import { readBoard } from './board';
import type { Raster } from './field';
import { look } from './find';
import { lookAtMany } from './many';

const WIDTH = 640;
function taken(subject: 'board' | 'two faces', seed: number, gone: (scene: Scene) => number[] = () => []) {
  const scene = drawScene(new Random(seed), PLAIN, subject);
  const { grid } = scene;
  const left = gone(scene);
  scene.slabs = scene.slabs.filter((_, i) => !left.includes(i));
  const { pixels, truth } = photograph(scene, PLAIN, seed, WIDTH);
  const raster: Raster = { width: WIDTH, height: truth.height, channels: 3, data: pixels };
  return { raster, truth, grid: grid!, cards: [truth.scene.stated] };
}
/** The worst corner, in widths of the picture. */
const offBy = (
  corners: Corners['corners'],
  outline: readonly (readonly [number, number])[],
  height: number,
) =>
  Math.max(
    ...corners.map(({ x, y }, i) => Math.hypot(x * WIDTH - outline[i]![0], y * height - outline[i]![1])),
  ) / WIDTH;

const BOARD = 8006;

test('the tiles of a board lie where they are, row by row from the top', () => {
  const { raster, truth, grid, cards } = taken('board', BOARD);
  const seen = lookAtMany(raster, { cards });
  expect(seen.board).toMatchObject(grid);
  expect(seen.frames).toHaveLength(grid.columns * grid.rows);
  const far = seen.frames.filter(
    ({ shape }, i) => offBy((shape as Corners).corners, truth.outlines[i] as never, truth.height) > 0.02,
  );
  expect(far.length).toBeLessThanOrEqual(1);
  // One by one most of them run into one another.
  expect(look(raster, { cards }).frames.length).toBeLessThan(seen.frames.length);
}, 30_000);

test('an empty hook in the middle of a board is seen, and has no frame', () => {
  const gap = (scene: Scene): number[] => [scene.grid!.columns + 2];
  const { raster, grid, cards } = taken('board', BOARD, gap);
  const { board, frames } = lookAtMany(raster, { cards });
  expect(board).toMatchObject(grid);
  expect(boardTiles(raster, board!).filter(({ empty }) => empty)).toMatchObject([{ row: 1, column: 2 }]);
  expect(frames).toHaveLength(grid.columns * grid.rows - 1);
}, 30_000);

test('two faces stay two, for they make no grid', () => {
  const { raster, cards } = taken('two faces', 8001);
  expect(lookAtMany(raster, { cards }).frames).toHaveLength(2);
}, 30_000);

/** Squares with more ground between the first column and the others than these have among themselves. */
function apart(): Raster {
  const [width, height] = [480, 360];
  const data = new Uint8Array(width * height * 3).fill(180);
  for (let row = 0; row < 3; row++)
    for (let column = 0; column < 5; column++)
      for (let y = 0; y < 70; y++)
        for (let x = 0; x < 60; x++) {
          // All but the first column touch in one corner pixel row, as tiles do whose shades run together.
          data.set([150, 60, 50], ((60 + row * 80 + y) * width + 60 + column * 70 + x) * 3);
          if (column > 0 && y === 69)
            for (let k = 0; k < 12; k++)
              data.set(
                [150, 60, 50],
                ((60 + row * 80 + y) * width + Math.min(60 + column * 70 + x + k, 60 + 4 * 70 + 59)) * 3,
              );
        }
  return { width, height, channels: 3, data };
}

test('tiles that hang apart from those that run into one another belong to the board too', () => {
  expect(readBoard(apart(), null)).toMatchObject({ columns: 5, rows: 3 });
});

test('without an even ground a board is parted into equal tiles, none of them empty', () => {
  const random = new Random(3);
  const noise: Raster = {
    width: 240,
    height: 180,
    channels: 3,
    data: Uint8Array.from({ length: 240 * 180 * 3 }, () => 255 * random.next()),
  };
  const corners = [
    { x: 0.1, y: 0.9 },
    { x: 0.9, y: 0.9 },
    { x: 0.9, y: 0.1 },
    { x: 0.1, y: 0.1 },
  ] as Corners['corners'];
  const tiles = boardTiles(noise, { corners, rows: 2, columns: 4 });
  expect(tiles.map(({ row, column, empty }) => [row, column, empty])).toEqual(
    [0, 1].flatMap((row) => [0, 1, 2, 3].map((column) => [row, column, false])),
  );
  for (const tile of tiles)
    expect(areaOf({ kind: 'corners', corners: tile.corners })).toBeCloseTo(0.64 / 8, 9);
  expect(tiles[0]!.corners[3].x).toBeCloseTo(0.1, 9);
  expect(tiles[0]!.corners[3].y).toBeCloseTo(0.1, 9);
});
