/**
 * Pictures that were taken wrongly: upside down, mirrored, much too dark or too light, a part of the tile
 * outside.
 */
import { Random } from '../../../demo/random';
import { photograph } from '../../../test-support/photographs/camera';
import { PLAIN } from '../../../test-support/photographs/ranges';
import { drawScene } from '../../../test-support/photographs/scene';
import { correctionFrom, deltaE, type Lab } from '../colour';
import { turned, type Corners } from '../frame';
import { ROUND } from '../zones';
import { coloursUnder, look, type Raster } from '.';

const WIDTH = 480;
const CARD = [30, 60, 90];
const [LOWER, UPPER]: [Lab, Lab] = [
  [40, 10, 20],
  [70, -5, 10],
];
const scene = drawScene(new Random(12), PLAIN, 'tile');
scene.slabs[0]!.patches = [
  { from: 0, to: 0.5, lab: LOWER, mottle: 0.03, gloss: 0 },
  { from: 0.5, to: 1, lab: UPPER, mottle: 0.03, gloss: 0 },
];
scene.card!.steps = CARD.map((l): Lab => [l, 0, 0]);
scene.stated = CARD;
const { pixels, truth } = photograph(scene, { ...PLAIN, exposure: [-0.3, 0] }, 12, WIDTH);
const PICTURE: Raster = { width: WIDTH, height: truth.height, channels: 3, data: pixels };

/** Every pixel taken from elsewhere, or changed. */
function remade(place: (x: number, y: number) => [number, number], light = (v: number) => v): Raster {
  const data = new Uint8Array(PICTURE.data.length);
  for (let y = 0; y < PICTURE.height; y++)
    for (let x = 0; x < WIDTH; x++) {
      const [fx, fy] = place(x, y);
      for (let c = 0; c < 3; c++)
        data[3 * (y * WIDTH + x) + c] = light(PICTURE.data[3 * (fy * WIDTH + fx) + c]!);
    }
  return { ...PICTURE, data };
}
const same = (x: number, y: number): [number, number] => [x, y];

/**
 * How far the colours of both halves are from the true ones, by the grey found in the picture; null where
 * they are not told.
 */
function offBy(raster: Raster, way: (shape: Corners) => Corners = (shape) => shape) {
  const { frames, grey } = look(raster, { cards: [CARD], faces: 1 });
  const shape = frames[0]?.shape;
  if (shape?.kind !== 'corners' || grey.found?.card == null) return null;
  const by = correctionFrom(grey.found.steps, grey.found.card);
  if (!by.ok) return null;
  const colours = [0, 0.5].map((from) =>
    coloursUnder(raster, way(shape), { stretch: { from, to: from + 0.5 }, sector: ROUND }, by),
  );
  return colours.map((one, i) => one && deltaE(one.lab, [LOWER, UPPER][i]!));
}
const near = (off: ReturnType<typeof offBy>) => off!.every((one) => one! < 4);

test('as it should be, for comparison', () => {
  expect(near(offBy(PICTURE))).toBe(true);
});

test('upside down the foot is at another side: turned twice, the halves have their own colours again', () => {
  const picture = remade((x, y) => [WIDTH - 1 - x, PICTURE.height - 1 - y]);
  expect(offBy(picture)!.every((one) => one! > 15)).toBe(true);
  expect(near(offBy(picture, (shape) => turned(turned(shape))))).toBe(true);
});

test('mirrored, heights and colours are as they were', () => {
  expect(near(offBy(remade((x, y) => [WIDTH - 1 - x, y])))).toBe(true);
});

test.each([
  ['much too dark', (v: number) => 0.04 * v],
  ['much too light', (v: number) => Math.min(255, 4 * v)],
  ['nearly black', () => 3],
])('%s: no wrong colour is told as a right one', (_, light) => {
  const off = offBy(remade(same, light));
  for (const one of off ?? []) if (one !== null) expect(one).toBeLessThan(8);
});

test('half a tile at the edge is no whole face', () => {
  const middle = truth.outlines[0]!.reduce((sum, [x]) => sum + x / 4, 0);
  const shift = Math.round(middle);
  const { frames } = look(
    remade((x, y) => [Math.min(WIDTH - 1, x + shift), y]),
    { cards: [CARD], faces: 1 },
  );
  expect(frames).toEqual([]);
});
