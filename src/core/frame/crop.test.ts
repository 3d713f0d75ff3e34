/** Geometry: a place of the picture is the same place of what is kept of it. */
import fc from 'fast-check';
import { boxSchema, cutsInto, onFace, outlineOf, shapeIn, spotIn, type Box, type Shape } from './index';

const unit = fc.double({ min: 0.05, max: 0.45, noNaN: true });
const boxes = fc.record({
  x: unit,
  y: unit,
  width: unit.map((v) => v + 0.05),
  height: unit.map((v) => v + 0.05),
});
const FLAT: Shape = {
  kind: 'corners',
  corners: [
    { x: 0.4, y: 0.7 },
    { x: 0.6, y: 0.72 },
    { x: 0.58, y: 0.4 },
    { x: 0.42, y: 0.38 },
  ],
};
const ROUND: Shape = {
  kind: 'ellipse',
  centre: { x: 0.5, y: 0.5 },
  across: 0.2,
  along: 0.1,
  turn: 30,
};

test.each([FLAT, ROUND])('a spot lies at the same place of a face before and after', (shape) => {
  fc.assert(
    fc.property(
      boxes,
      fc.double({ min: 0.42, max: 0.58, noNaN: true }),
      fc.double({ min: 0.45, max: 0.6, noNaN: true }),
      (box, x, y) => {
        const aspect = 0.75;
        const before = onFace(shape, { x, y }, aspect, Infinity)!;
        const after = onFace(
          shapeIn(shape, box),
          spotIn({ x, y }, box),
          (aspect * box.height) / box.width,
          Infinity,
        )!;
        expect(after.height).toBeCloseTo(before.height, 6);
        expect(Math.cos(2 * Math.PI * (after.turn - before.turn))).toBeCloseTo(1, 6);
      },
    ),
  );
});

test('what would cut a face is told from what leaves it whole', () => {
  const keep = (x: number, y: number, width: number, height: number): Box => ({
    x,
    y,
    width,
    height,
  });
  for (const shape of [FLAT, ROUND]) {
    expect(cutsInto(shape, keep(0.25, 0.3, 0.5, 0.5), 0.75)).toBe(false);
    expect(cutsInto(shape, keep(0.5, 0.3, 0.5, 0.5), 0.75)).toBe(true);
    expect(cutsInto(shape, keep(0.25, 0.6, 0.5, 0.4), 0.75)).toBe(true);
  }
  // The outline itself is what has to be inside.
  expect(outlineOf(FLAT, { stretch: { from: 0, to: 1 }, sector: { from: 0, to: 1 } }, 0.75)).toHaveLength(4);
});

test('a part that is none, or all of it, is refused', () => {
  for (const box of [
    { x: 0, y: 0, width: 1, height: 1 },
    { x: 0.6, y: 0, width: 0.6, height: 1 },
    { x: 0, y: 0, width: 0, height: 1 },
    { x: -0.1, y: 0, width: 0.5, height: 0.5 },
  ])
    expect(boxSchema.safeParse(box).success).toBe(false);
  expect(boxSchema.safeParse({ x: 0.1, y: 0, width: 0.9, height: 1 }).success).toBe(true);
});
