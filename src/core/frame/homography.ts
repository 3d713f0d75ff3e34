/** The unit square laid onto any four corners as a camera would see it, and back. */
import type { Spot } from './shapes';

/** Nine numbers, row by row, of a map between planes. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/**
 * The map that takes (0,0), (1,0), (1,1), (0,1) to four corners in that order: with corners from foot left
 * round to rim left, x runs across the face and y up from its foot. After P. Heckbert, "Fundamentals of
 * Texture Mapping and Image Warping" (1989), section 2.2.3. The corners must not lie on a line.
 */
export function homographyOnto([a, b, c, d]: readonly [Spot, Spot, Spot, Spot]): Homography {
  const [sx, sy] = [a.x - b.x + c.x - d.x, a.y - b.y + c.y - d.y];
  const [dx1, dx2, dy1, dy2] = [b.x - c.x, d.x - c.x, b.y - c.y, d.y - c.y];
  const det = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / det;
  const h = (dx1 * sy - sx * dy1) / det;
  return [
    b.x - a.x + g * b.x,
    d.x - a.x + h * d.x,
    a.x,
    b.y - a.y + g * b.y,
    d.y - a.y + h * d.y,
    a.y,
    g,
    h,
    1,
  ];
}

export function apply(map: Homography, { x, y }: Spot): Spot {
  const w = map[6] * x + map[7] * y + map[8];
  return { x: (map[0] * x + map[1] * y + map[2]) / w, y: (map[3] * x + map[4] * y + map[5]) / w };
}

/** The map back. */
export function inverse([a, b, c, d, e, f, g, h, i]: Homography): Homography {
  return [
    e * i - f * h,
    c * h - b * i,
    b * f - c * e,
    f * g - d * i,
    a * i - c * g,
    c * d - a * f,
    d * h - e * g,
    b * g - a * h,
    a * e - b * d,
  ];
}
