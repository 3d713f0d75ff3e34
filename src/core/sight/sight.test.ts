/**
 * What is found in pictures that are no careful photographs: without a card, of something else, burnt out,
 * cut off.
 */
import { Random } from '../../../demo/random';
import { photograph } from '../../../test-support/photographs/camera';
import { PLAIN } from '../../../test-support/photographs/ranges';
import { drawScene, type Subject } from '../../../test-support/photographs/scene';
import type { Spot } from '../frame';
import { ROUND } from '../zones';
import { coloursUnder, look, reduced, type Raster } from '.';

function taken(subject: Subject, seed: number, { card = true, width = 560 } = {}) {
  const { pixels, truth } = photograph(drawScene(new Random(seed), PLAIN, subject, card), PLAIN, seed, width);
  const raster: Raster = { width, height: truth.height, channels: 3, data: pixels };
  return { raster, truth, cards: [truth.scene.stated] };
}

test('no card is no grey, and one that the studio does not have is not taken for its own', () => {
  const bare = taken('tile', 601, { card: false });
  expect(look(bare.raster, bare).grey).toEqual({ found: null, why: 'none' });
  const other = taken('tile', 201);
  const { found } = look(other.raster, { cards: [[10, 20, 30, 40, 50]] }).grey;
  expect(found?.card ?? null).toBeNull();
});

const flat = (width: number, height: number, colour: (x: number, y: number) => readonly number[]): Raster => {
  const data = new Uint8Array(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.set(colour(x, y), (y * width + x) * 3);
  return { width, height, channels: 3, data };
};

/** A table with cards lying on it, each a row of squares of 24 pixels, in its own light. */
const table = (...cards: { x: number; y: number; light: readonly [number, number, number] }[]): Raster =>
  flat(420, 300, (x, y) => {
    for (const card of cards) {
      const step = Math.floor((x - card.x) / 24);
      if (step >= 0 && step < 3 && y >= card.y && y < card.y + 24)
        return card.light.map((gain) => [71, 144, 226][step]! * gain);
    }
    return [170, 170, 170];
  });

test('two greys that disagree are said to, and neither is taken', () => {
  const cards = [[30, 60, 90]];
  const one = { x: 60, y: 50, light: [1, 1, 1] as const };
  expect(look(table(one), { cards }).grey.found?.card).toEqual(cards[0]);
  const other = { x: 250, y: 200, light: [0.7, 0.8, 0.95] as const };
  expect(look(table(one, other), { cards }).grey).toEqual({ found: null, why: 'two-that-disagree' });
  expect(look(table(one, { ...one, x: 250, y: 200 }), { cards }).grey.found?.card).toEqual(cards[0]);
});

test('pictures of something else: nothing is made up, and it is said why', () => {
  const random = new Random(3);
  expect(
    look(
      flat(300, 200, () => [120, 120, 120]),
      { cards: [] },
    ),
  ).toMatchObject({ frames: [], why: 'nothing' });
  const chaos = flat(300, 200, () => [
    random.integer(0, 255),
    random.integer(0, 255),
    random.integer(0, 255),
  ]);
  expect(look(chaos, { cards: [[30, 60, 90]] })).toMatchObject({ frames: [], grey: { found: null } });
  const cut = flat(300, 200, (x, y) => (x < 120 && y > 60 ? [150, 40, 40] : [170, 170, 170]));
  expect(look(cut, { cards: [] })).toMatchObject({ frames: [], why: 'nothing' });
  for (const [w, h] of [
    [1, 1],
    [2, 400],
    [5, 5],
  ] as const)
    expect(
      look(
        flat(w, h, () => [9, 9, 9]),
        { cards: [] },
      ).frames,
    ).toEqual([]);
});

test('a face that is burnt out, or half outside the picture, is not measured', () => {
  const white = flat(400, 300, (x) => (x > 180 ? [255, 255, 255] : [140, 120, 90]));
  const shape = {
    kind: 'corners' as const,
    corners: [
      { x: 0.5, y: 0.9 },
      { x: 0.9, y: 0.9 },
      { x: 0.9, y: 0.1 },
      { x: 0.5, y: 0.1 },
    ] as [Spot, Spot, Spot, Spot],
  };
  const part = { stretch: { from: 0, to: 1 }, sector: ROUND };
  expect(coloursUnder(white, shape, part, null)).toBeNull();
  const beside = {
    ...shape,
    corners: shape.corners.map(({ x, y }) => ({ x: x - 0.85, y })) as typeof shape.corners,
  };
  expect(coloursUnder(white, beside, part, null)).toBeNull();
});

test('a reduced picture keeps its shape and its mean', () => {
  const large = flat(1500, 900, (x) => (x < 750 ? [200, 0, 0] : [0, 100, 0]));
  const small = reduced(large);
  expect([small.width, small.height]).toEqual([720, 432]);
  expect([...small.data.slice(0, 3)]).toEqual([200, 0, 0]);
  expect(reduced(small)).toBe(small);
});
