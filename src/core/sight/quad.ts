/** Four corners around a region, then drawn onto the edges that are there. */
import { far, type Field } from './field';
import type { Point } from './regions';

export type Quad = [Point, Point, Point, Point];

const cross = (o: Point, a: Point, b: Point): number => (a.x - o.x) * (b.y - o.y) - (a.y - o.y) * (b.x - o.x);

export function polygonArea(points: readonly Point[]): number {
  let sum = 0;
  points.forEach((one, i) => {
    const next = points[(i + 1) % points.length]!;
    sum += one.x * next.y - next.x * one.y;
  });
  return Math.abs(sum) / 2;
}

/** Where the line through a, b meets the line through c, d; null when they run side by side. */
export function meet(a: Point, b: Point, c: Point, d: Point): Point | null {
  const [rx, ry, sx, sy] = [b.x - a.x, b.y - a.y, d.x - c.x, d.y - c.y];
  const det = rx * sy - ry * sx;
  if (Math.abs(det) < 1e-9 * Math.hypot(rx, ry) * Math.hypot(sx, sy)) return null;
  const t = ((c.x - a.x) * sy - (c.y - a.y) * sx) / det;
  return { x: a.x + t * rx, y: a.y + t * ry };
}

/**
 * The four-sided figure around a convex hull that grows it least: its sides are left out one after another,
 * each time the one whose neighbours, drawn on until they meet, add the smallest area. Null when no such
 * figure is found.
 */
export function quadAround(hull: readonly Point[]): Quad | null {
  let points = [...hull];
  if (points.length < 4) return null;
  // The library's hull goes round either way; from here on with the clock, as a picture's y points down.
  if (points.reduce((sum, a, i) => sum + cross({ x: 0, y: 0 }, a, points[(i + 1) % points.length]!), 0) < 0)
    points = points.reverse();
  while (points.length > 4) {
    let best: { i: number; at: Point; grows: number } | null = null;
    const n = points.length;
    for (let i = 0; i < n; i++) {
      const [before, a, b, after] = [
        points[(i + n - 1) % n]!,
        points[i]!,
        points[(i + 1) % n]!,
        points[(i + 2) % n]!,
      ];
      const at = meet(before, a, after, b);
      if (at === null) continue;
      // They must meet outside, beyond the side that is left out.
      if (cross(a, b, at) >= 0) continue;
      const grows = Math.abs(cross(a, at, b)) / 2;
      if (best === null || grows < best.grows) best = { i, at, grows };
    }
    if (best === null) return null;
    const next = (best.i + 1) % n;
    points[best.i] = best.at;
    points.splice(next, 1);
  }
  return points as unknown as Quad;
}

/** As the piece stands when its foot is below in the picture: foot left, foot right, rim right, rim left. */
export function ordered(quad: Quad): Quad {
  const centre = { x: 0, y: 0 };
  for (const { x, y } of quad) {
    centre.x += x / 4;
    centre.y += y / 4;
  }
  // Against the clock from the lower left.
  const round = [...quad].sort(
    (a, b) => Math.atan2(centre.y - a.y, a.x - centre.x) - Math.atan2(centre.y - b.y, b.x - centre.x),
  );
  let first = 0;
  const lowLeft = ({ x, y }: Point): number => y - centre.y - (x - centre.x);
  round.forEach((one, i) => {
    if (lowLeft(one) > lowLeft(round[first]!)) first = i;
  });
  return [0, 1, 2, 3].map((i) => round[(first + i) % 4]!) as unknown as Quad;
}

/**
 * No corner of a flat face is seen this blunt (degrees): there a corner is missing, of the colour of the
 * ground.
 */
const BLUNT = 124;

/** A figure with a corner cut away gets it back where the sides beside the opposite corner say. */
export function whole(quad: Quad): Quad {
  const angles = quad.map((at, i) => {
    const [p, n] = [quad[(i + 3) % 4]!, quad[(i + 1) % 4]!];
    const [ux, uy, vx, vy] = [p.x - at.x, p.y - at.y, n.x - at.x, n.y - at.y];
    return (Math.acos((ux * vx + uy * vy) / (Math.hypot(ux, uy) * Math.hypot(vx, vy))) * 180) / Math.PI;
  });
  const i = angles.indexOf(Math.max(...angles));
  if (!(angles[i]! > BLUNT)) return quad;
  const [before, opposite, after] = [quad[(i + 3) % 4]!, quad[(i + 2) % 4]!, quad[(i + 1) % 4]!];
  const next = [...quad] as Quad;
  next[i] = { x: before.x + after.x - opposite.x, y: before.y + after.y - opposite.y };
  return next;
}

const SAMPLES = 36;
/** A difference across a line beyond this says no more (OKLab). */
const STRONG = 0.14;

/**
 * How much of an edge a line is: mean difference of colour across it, its ends and its worst sixth left out.
 */
export class EdgeSense {
  private readonly inside = new Float64Array(3);
  private readonly outside = new Float64Array(3);
  private readonly strengths = new Float64Array(SAMPLES);

  constructor(
    private readonly field: Field,
    private readonly reach = 1.6,
  ) {}

  along(a: Point, b: Point): number {
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    if (length < 4) return 0;
    const [nx, ny] = [(-(b.y - a.y) / length) * this.reach, ((b.x - a.x) / length) * this.reach];
    for (let i = 0; i < SAMPLES; i++) {
      const t = 0.06 + (0.88 * (i + 0.5)) / SAMPLES;
      const [x, y] = [a.x + t * (b.x - a.x), a.y + t * (b.y - a.y)];
      this.field.sample(x + nx, y + ny, this.inside);
      this.field.sample(x - nx, y - ny, this.outside);
      const d = far(
        this.inside[0]! - this.outside[0]!,
        1.5 * (this.inside[1]! - this.outside[1]!),
        1.5 * (this.inside[2]! - this.outside[2]!),
      );
      this.strengths[i] = Math.min(STRONG, d);
    }
    const sorted = this.strengths.slice().sort();
    let sum = 0;
    for (let i = SAMPLES / 6; i < SAMPLES; i++) sum += sorted[i]!;
    return sum / (SAMPLES - SAMPLES / 6);
  }
}
