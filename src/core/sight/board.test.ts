/** Boards drawn square by square: how many rows and columns they have, and when that is not known. */
import { Random } from '../../../demo/random';
import { readBoard } from './board';
import type { Raster } from './field';

/** An even ground with so many even squares on it. */
function plainBoard(columns: number, rows: number, gap: number): Raster {
  const [width, height] = [480, 360];
  const data = new Uint8Array(width * height * 3).fill(180);
  for (let y = 60; y < 300; y++)
    for (let x = 60; x < 420; x++) {
      const [u, v] = [(((x - 60) / 360) * columns) % 1, (((y - 60) / 240) * rows) % 1];
      const inside = u >= gap && u <= 1 - gap && v >= gap && v <= 1 - gap;
      if (inside) data.set([150, 60, 50], (y * width + x) * 3);
    }
  return { width, height, channels: 3, data };
}

test.each([
  [1, 1],
  [4, 1],
  [3, 2],
  [7, 5],
  [12, 8],
])('%p columns of %p rows, found with their corners', (columns, rows) => {
  const board = readBoard(plainBoard(columns, rows, 0.08), null)!;
  expect([board.columns, board.rows]).toEqual([columns, rows]);
  // Half a gap inside on every side.
  expect(Math.abs(board.corners[0].x - (60 + (0.08 * 360) / columns) / 480)).toBeLessThan(0.01);
  expect(Math.abs(board.corners[2].y - (60 + (0.08 * 240) / rows) / 360)).toBeLessThan(0.01);
});

test('no ground between them: one, and said to be a guess where something speaks against it', () => {
  expect(readBoard(plainBoard(5, 4, 0), null)).toMatchObject({ columns: 1, rows: 1 });
});

test('a picture without an even ground, or with nothing on it, is no board', () => {
  const random = new Random(3);
  const noise: Raster = {
    width: 240,
    height: 180,
    channels: 3,
    data: Uint8Array.from({ length: 240 * 180 * 3 }, () => 255 * random.next()),
  };
  expect(readBoard(noise, null)).toBeNull();
  expect(readBoard({ ...noise, data: new Uint8Array(240 * 180 * 3).fill(170) }, null)).toBeNull();
});
