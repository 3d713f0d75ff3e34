/** A device that has no room for the worker, or none at all: the frame is drawn by hand, and it is said. */
import '../../../test-support/dom';
import { picturesAre } from '../../../test-support/looker';

let made = 0;
class Breaks {
  constructor() {
    made++;
  }
  onmessage = null;
  onerror: (() => void) | null = null;
  terminate(): void {}
  postMessage(): void {
    queueMicrotask(() => this.onerror?.());
  }
}
Object.assign(globalThis, { Worker: Breaks });
picturesAre({ width: 4, height: 3 });

const { boardIn, proposeIn, shelfIn, tilesIn, BY_HAND } = await import('./propose');
const pixels = { width: 4, height: 3, data: new Uint8ClampedArray(48) };

test('every question that waits is answered with nothing found', async () => {
  const [one, shelf, board, tiles] = await Promise.all([
    proposeIn(pixels, [1], null),
    shelfIn(pixels, null),
    boardIn(pixels, null),
    tilesIn(pixels, { corners: BY_HAND.corners, rows: 2, columns: 2 }),
  ]);
  expect(one.frames).toMatchObject([{ face: 1, shape: { kind: 'corners' } }]);
  expect((one.frames[0]!.shape as typeof BY_HAND).corners[2].x).toBeCloseTo(BY_HAND.corners[2].x, 9);
  expect(one.words[0]).toMatch(/Nothing could be looked for in this browser/);
  expect([shelf, board, tiles]).toEqual([
    { shapes: [], grey: null },
    { board: null, tiles: [], grey: null },
    [],
  ]);
  // A worker that broke is not asked again.
  const before = made;
  await tilesIn(pixels, { corners: BY_HAND.corners, rows: 2, columns: 2 });
  expect(made).toBe(before + 1);
  // The pixels that were handed over are here still: they are looked at again when a corner is moved.
  expect(pixels.data).toHaveLength(48);
});
