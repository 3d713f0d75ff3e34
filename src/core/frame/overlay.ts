/** Pictures of one face laid on one another: each drawn so that its frame fills the same box. */
import { homographyOnto, inverse, type Homography } from './homography';
import type { Corners, Shape, Spot } from './shapes';

/** The corners of the rectangle around a plate, as its axes lie: so that flat faces and plates go one way. */
function around(shape: Shape, aspect: number): Corners['corners'] {
  if (shape.kind === 'corners') return shape.corners;
  const tilt = (shape.turn / 180) * Math.PI;
  const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
  const at = (u: number, v: number): Spot => ({
    x: shape.centre.x + u * shape.across * c - v * shape.along * s,
    y: shape.centre.y + (u * shape.across * s + v * shape.along * c) / aspect,
  });
  return [at(-1, 1), at(1, 1), at(1, -1), at(-1, -1)];
}

const times = (a: Homography, b: Homography): Homography =>
  [0, 3, 6].flatMap((row) =>
    [0, 1, 2].map(
      (column) => a[row]! * b[column]! + a[row + 1]! * b[column + 3]! + a[row + 2]! * b[column + 6]!,
    ),
  ) as unknown as Homography;

/** Width of a face by its height as its frame shows it: means of opposite sides. */
export function faceRatio(shape: Shape, aspect: number): number {
  const [a, b, c, d] = around(shape, aspect);
  const side = (p: Spot, q: Spot): number => Math.hypot(p.x - q.x, (p.y - q.y) * aspect);
  return (side(a, b) + side(d, c)) / (side(a, d) + side(b, c));
}

/**
 * The sixteen numbers of a CSS matrix3d that draws a picture of `width` × `height` (from its top left corner)
 * so that its framed face fills a box of the given size, rim above.
 */
export function ontoBox(
  shape: Shape,
  { width, height }: { width: number; height: number },
  box: { width: number; height: number },
): number[] {
  const corners = around(shape, height / width).map(({ x, y }) => ({ x: x * width, y: y * height }));
  const toFace = inverse(homographyOnto(corners as unknown as Corners['corners']));
  // The face’s foot is at the bottom of the box.
  const toBox: Homography = [box.width, 0, 0, 0, -box.height, box.height, 0, 0, 1];
  const [a, b, c, d, e, f, g, h, i] = times(toBox, toFace);
  // Column by column, the third axis left alone.
  return [a, d, 0, g, b, e, 0, h, 0, 0, 1, 0, c, f, 0, i].map((value) => value / i);
}
