/**
 * What is found in synthetic photographs, whose truth is known and which are made by following rays, not by any map that is
 * used here. Few and small ones: the figures of many are in docs/PICTURES.md.
 */
import { Random } from '../../../demo/random';
import { photograph } from '../../../test-support/photographs/camera';
import { PLAIN } from '../../../test-support/photographs/ranges';
import { drawScene, type Subject } from '../../../test-support/photographs/scene';
import { correctionFrom, deltaE } from '../colour';
import { onFace, type Spot } from '../frame';
import { ROUND } from '../zones';
import { coloursUnder, look, reduced, type Raster } from '.';

function taken(subject: Subject, seed: number, { card = true, width = 560 } = {}) {
  const { pixels, truth } = photograph(drawScene(new Random(seed), PLAIN, subject, card), PLAIN, seed, width); // prettier-ignore
  const raster: Raster = { width, height: truth.height, channels: 3, data: pixels };
  return { raster, truth, cards: [truth.scene.stated] };
}

/** How far corners are from the true ones, at the worst, as a share of the picture's width. */
const off = (corners: readonly Spot[], truth: [number, number][], { width, height }: Raster): number => // prettier-ignore
  Math.max(...corners.map(({ x, y }, i) => Math.hypot(x * width - truth[i]![0], y * height - truth[i]![1]))) / width; // prettier-ignore

test('tiles are framed within a hundredth of the picture’s width, and their zones measured by the card', () => {
  const errors: number[] = [];
  const offs: number[] = [];
  for (const seed of [201, 202, 203, 205, 206]) {
    const { raster, truth, cards } = taken('tile', seed);
    const seen = look(raster, { cards, faces: 1 });
    expect(seen.frames).toHaveLength(1);
    const { shape } = seen.frames[0]!;
    if (shape.kind !== 'corners') throw new Error('a tile is no plate');
    offs.push(off(shape.corners, truth.outlines[0]!, raster));
    if (seen.grey.found === null) continue;
    const by = correctionFrom(seen.grey.found.steps, seen.grey.found.card!);
    if (!by.ok) throw new Error(by.why);
    for (const { from, to, lab } of truth.scene.slabs[0]!.patches) {
      if (to - from < 0.1) continue;
      const colour = coloursUnder(raster, shape, { stretch: { from, to }, sector: ROUND }, by);
      if (colour !== null) errors.push(deltaE(colour.lab, lab));
    }
  }
  // A tile whose foot has nearly the colour of the table may be framed without it: one of them, not two.
  offs.sort((a, b) => a - b);
  expect(offs.at(-2)).toBeLessThan(0.01);
  expect(offs.at(-1)).toBeLessThan(0.06);
  expect(errors.length).toBeGreaterThan(6);
  errors.sort((a, b) => a - b);
  expect(errors[errors.length >> 1]).toBeLessThan(2);
  expect(errors.at(-1)).toBeLessThan(5);
});

test('two faces are two frames, from left to right', () => {
  const { raster, truth, cards } = taken('two faces', 303);
  const { frames } = look(raster, { cards });
  expect(frames).toHaveLength(2);
  frames.forEach(({ shape }, i) => {
    if (shape.kind !== 'corners') throw new Error('a tile is no plate');
    expect(off(shape.corners, truth.outlines[i]!, raster)).toBeLessThan(0.02);
  });
});

test('a plate is an ellipse along its rim', () => {
  const { raster, truth, cards } = taken('plate', 401);
  const [frame] = look(raster, { cards }).frames;
  expect(frame!.shape.kind).toBe('ellipse');
  for (const [x, y] of truth.outlines[0]!) {
    const at = onFace(frame!.shape, { x: x / raster.width, y: y / raster.height }, raster.height / raster.width, 0.1)!; // prettier-ignore
    expect(at.height).toBeGreaterThan(0.96);
  }
});

test('a shelf of tiles is framed in reading order', () => {
  const { raster, truth, cards } = taken('shelf', 501, { width: 640 });
  const { frames } = look(raster, { cards });
  expect(frames).toHaveLength(truth.outlines.length);
  frames.forEach(({ shape }, i) => {
    if (shape.kind !== 'corners') throw new Error('a tile is no plate');
    expect(off(shape.corners, truth.outlines[i]!, raster)).toBeLessThan(0.03);
  });
});

test('no card is no grey, and one that the studio does not have is not taken for its own', () => {
  const bare = taken('tile', 601, { card: false });
  expect(look(bare.raster, bare).grey).toEqual({ found: null, why: 'none' });
  const other = taken('tile', 201);
  const { found } = look(other.raster, { cards: [[10, 20, 30, 40, 50]] }).grey;
  expect(found?.card ?? null).toBeNull();
});

const flat = (
  width: number,
  height: number,
  colour: (x: number, y: number) => readonly number[],
): Raster => {
  // prettier-ignore
  const data = new Uint8Array(width * height * 3);
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) data.set(colour(x, y), (y * width + x) * 3); // prettier-ignore
  return { width, height, channels: 3, data };
};

/** A table with cards lying on it, each a row of squares of 24 pixels, in its own light. */
const table = (
  ...cards: { x: number; y: number; light: readonly [number, number, number] }[]
): Raster =>
  // prettier-ignore
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
  expect(look(table(one, other), { cards }).grey).toEqual({ found: null, why: 'two-that-disagree' }); // prettier-ignore
  expect(look(table(one, { ...one, x: 250, y: 200 }), { cards }).grey.found?.card).toEqual(cards[0]); // prettier-ignore
});

test('pictures of something else: nothing is made up, and it is said why', () => {
  const random = new Random(3);
  expect(look(flat(300, 200, () => [120, 120, 120]), { cards: [] })).toMatchObject({ frames: [], why: 'nothing' }); // prettier-ignore
  const chaos = flat(300, 200, () => [random.integer(0, 255), random.integer(0, 255), random.integer(0, 255)]); // prettier-ignore
  expect(look(chaos, { cards: [[30, 60, 90]] })).toMatchObject({ frames: [], grey: { found: null } }); // prettier-ignore
  const cut = flat(300, 200, (x, y) => (x < 120 && y > 60 ? [150, 40, 40] : [170, 170, 170]));
  expect(look(cut, { cards: [] })).toMatchObject({ frames: [], why: 'nothing' });
  for (const [w, h] of [[1, 1], [2, 400], [5, 5]] as const) expect(look(flat(w, h, () => [9, 9, 9]), { cards: [] }).frames).toEqual([]); // prettier-ignore
});

test('a face that is burnt out, or half outside the picture, is not measured', () => {
  const white = flat(400, 300, (x) => (x > 180 ? [255, 255, 255] : [140, 120, 90]));
  const shape = { kind: 'corners' as const, corners: [{ x: 0.5, y: 0.9 }, { x: 0.9, y: 0.9 }, { x: 0.9, y: 0.1 }, { x: 0.5, y: 0.1 }] as [Spot, Spot, Spot, Spot] }; // prettier-ignore
  const part = { stretch: { from: 0, to: 1 }, sector: ROUND };
  expect(coloursUnder(white, shape, part, null)).toBeNull();
  const beside = { ...shape, corners: shape.corners.map(({ x, y }) => ({ x: x - 0.85, y })) as typeof shape.corners }; // prettier-ignore
  expect(coloursUnder(white, beside, part, null)).toBeNull();
});

test('a reduced picture keeps its shape and its mean', () => {
  const large = flat(1500, 900, (x) => (x < 750 ? [200, 0, 0] : [0, 100, 0]));
  const small = reduced(large);
  expect([small.width, small.height]).toEqual([720, 432]);
  expect([...small.data.slice(0, 3)]).toEqual([200, 0, 0]);
  expect(reduced(small)).toBe(small);
});
