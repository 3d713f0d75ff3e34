import { faceRatio, ontoBox } from './overlay';
import type { Shape, Spot } from './shapes';

/** What a browser does with a matrix3d of a point of the picture. */
function drawn(matrix: readonly number[], { x, y }: Spot): Spot {
  const at = (row: number): number => matrix[row]! * x + matrix[4 + row]! * y + matrix[12 + row]!;
  return { x: at(0) / at(3), y: at(1) / at(3) };
}
const size = { width: 800, height: 600 };
const box = { width: 120, height: 300 };
const tilted: Shape = {
  kind: 'corners',
  corners: [
    { x: 0.2, y: 0.9 },
    { x: 0.5, y: 0.85 },
    { x: 0.48, y: 0.15 },
    { x: 0.25, y: 0.1 },
  ],
};

test('the corners of a frame fall on those of the box, its foot below', () => {
  const matrix = ontoBox(tilted, size, box);
  expect(matrix).toHaveLength(16);
  const ends = (tilted as Extract<Shape, { kind: 'corners' }>).corners.map(({ x, y }) =>
    drawn(matrix, { x: x * 800, y: y * 600 }),
  );
  [
    [0, 300],
    [120, 300],
    [120, 0],
    [0, 0],
  ].forEach(([x, y], i) => {
    expect(ends[i]!.x).toBeCloseTo(x!, 6);
    expect(ends[i]!.y).toBeCloseTo(y!, 6);
  });
});

test('a straight frame keeps straight: the middle of the face is the middle of the box', () => {
  const straight: Shape = {
    kind: 'corners',
    corners: [
      { x: 0.2, y: 0.9 },
      { x: 0.6, y: 0.9 },
      { x: 0.6, y: 0.1 },
      { x: 0.2, y: 0.1 },
    ],
  };
  const middle = drawn(ontoBox(straight, size, box), { x: 320, y: 300 });
  expect([middle.x, middle.y]).toEqual([expect.closeTo(60, 9), expect.closeTo(150, 9)]);
  // 0.4 of 800 by 0.8 of 600.
  expect(faceRatio(straight, 600 / 800)).toBeCloseTo(320 / 480, 9);
});

test('a plate fills a square, however its axes lie', () => {
  const plate: Shape = { kind: 'ellipse', centre: { x: 0.5, y: 0.5 }, across: 0.3, along: 0.2, turn: 30 };
  const matrix = ontoBox(plate, size, { width: 200, height: 200 });
  const tilt = Math.PI / 6;
  const end = drawn(matrix, { x: 400 + 240 * Math.cos(tilt), y: 300 + 240 * Math.sin(tilt) });
  expect([end.x, end.y]).toEqual([expect.closeTo(200, 6), expect.closeTo(100, 6)]);
  const centre = drawn(matrix, { x: 400, y: 300 });
  expect([centre.x, centre.y]).toEqual([expect.closeTo(100, 6), expect.closeTo(100, 6)]);
  expect(faceRatio(plate, 0.75)).toBeCloseTo(1.5, 9);
});
