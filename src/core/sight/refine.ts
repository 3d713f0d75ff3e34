/** Draws a rough outline onto the edges that are there: a shade or a slab's side is left outside. */
import type { Field } from './field';
import type { Ground } from './ground';
import { EdgeSense, meet, type Quad } from './quad';
import type { Point } from './regions';

type Line = { a: Point; b: Point };

/**
 * How far inwards an edge is looked for, as a share of the distance to the other side; and outwards, in
 * pixels.
 */
const INWARDS = 0.12;
const OUTWARDS = 4;
/** An edge this much weaker than the strongest near it is none. */
const PEAK = 0.33;
/** The side of a slab is seen at most this wide, as a share of its face; an unglazed foot is wider. */
const SLAB_SIDE = 0.036;

type Peak = { t: number; ta: number; tb: number; score: number };

/** The edges beside a side of the outline, outermost first. */
class SideSearch {
  private readonly colour = new Float64Array(3);
  private readonly under = new Float64Array(3);
  readonly peaks: Peak[];
  private readonly most: number;

  constructor(
    private readonly field: Field,
    private readonly ground: Ground,
    private readonly sense: EdgeSense,
    private readonly side: Line,
    private readonly inward: Point,
    private readonly depth: number,
  ) {
    this.most = Math.max(4, INWARDS * depth);
    const tilt = Math.max(2, 0.035 * depth);
    const profile: Peak[] = [];
    for (let t = -OUTWARDS; t <= this.most; t += 1) {
      let best: Peak = { t, ta: t, tb: t, score: -1 };
      for (let d = -tilt; d <= tilt; d += Math.max(1, tilt / 3)) {
        const score = this.score(t + d, t - d);
        if (score > best.score) best = { t, ta: t + d, tb: t - d, score };
      }
      profile.push(best);
    }
    const strongest = Math.max(...profile.map(({ score }) => score));
    this.peaks = profile
      .filter(
        ({ score }, i) =>
          score >= PEAK * strongest &&
          score >= (profile[i - 1]?.score ?? 0) &&
          score > (profile[i + 1]?.score ?? 0),
      )
      // The same edge seen at two tilts is one.
      .filter((one, i, list) => {
        const next = list[i + 1];
        return next === undefined || next.t - one.t > 2.5 || one.score >= next.score;
      })
      .filter((one, i, list) => {
        const before = list[i - 1];
        return before === undefined || one.t - before.t > 2.5 || one.score > before.score;
      });
  }

  private at(ta: number, tb: number): Line {
    const { a, b } = this.side;
    return {
      a: { x: a.x + this.inward.x * ta, y: a.y + this.inward.y * ta },
      b: { x: b.x + this.inward.x * tb, y: b.y + this.inward.y * tb },
    };
  }

  private score(ta: number, tb: number): number {
    const { a, b } = this.at(ta, tb);
    return this.sense.along(a, b);
  }

  /** Middle colour of the strip between two edges, or just inside the last, and of the ground there. */
  private strip(outer: Peak, inner: Peak | undefined): { own: number[]; ground: number[] } {
    const own: number[][] = [];
    const ground: number[][] = [];
    const gap = inner === undefined ? 6 : inner.t - outer.t;
    for (const share of gap > 5 ? [0.35, 0.5, 0.65] : [0.5])
      for (let i = 1; i < 16; i++) {
        const [ta, tb] =
          inner === undefined
            ? [outer.ta + share * gap, outer.tb + share * gap]
            : [outer.ta + share * (inner.ta - outer.ta), outer.tb + share * (inner.tb - outer.tb)];
        const { a, b } = this.at(ta, tb);
        const [x, y] = [a.x + (i / 16) * (b.x - a.x), a.y + (i / 16) * (b.y - a.y)];
        this.field.sample(x, y, this.colour);
        this.ground.at(x, y, this.under);
        own.push([...this.colour]);
        ground.push([...this.under]);
      }
    const middle = (list: number[][]): number[] =>
      [0, 1, 2].map((c) => list.map((one) => one[c]!).sort((p, q) => p - q)[list.length >> 1]!);
    return { own: middle(own), ground: middle(ground) };
  }

  /** The edge of the face itself: the outermost that is neither a shade's nor that of a slab's side. */
  chosen(): { line: Line; score: number } {
    const { peaks } = this;
    let i = 0;
    for (; i + 1 < peaks.length; i++) {
      const [outer, inner] = [peaks[i]!, peaks[i + 1]!];
      const { own, ground } = this.strip(outer, inner);
      const tint = Math.hypot(own[1]! - ground[1]!, own[2]! - ground[2]!);
      const shade = tint < 0.022 && own[0]! < ground[0]! + 0.01 && own[0]! > 0.4 * ground[0]!;
      if (shade && inner.score > 0.7 * outer.score) continue;
      if (inner.t - outer.t > Math.max(4, 2 * SLAB_SIDE * this.depth)) break;
      const next = this.strip(inner, peaks[i + 2]);
      const alike = Math.hypot(own[1]! - next.own[1]!, own[2]! - next.own[2]!) < 0.03;
      const dimmer = own[0]! < next.own[0]! * 0.97 && own[0]! > next.own[0]! * 0.75;
      const narrow = inner.t - outer.t < SLAB_SIDE * this.depth;
      if (
        (alike && dimmer && inner.score > 0.3 * outer.score) ||
        (narrow && !alike && inner.score > 0.6 * outer.score)
      )
        continue;
      break;
    }
    let best = peaks[i] ?? { t: 0, ta: 0, tb: 0, score: 0 };
    for (const step of [0.5, 0.25]) {
      const { ta, tb } = best;
      for (let p = -1; p <= 1; p++)
        for (let q = -1; q <= 1; q++) {
          const score = this.score(ta + p * step, tb + q * step);
          if (score > best.score) best = { ...best, ta: ta + p * step, tb: tb + q * step, score };
        }
    }
    return { line: this.at(best.ta, best.tb), score: best.score };
  }
}

/**
 * The four sides of a rough frame drawn onto edges, and how strong the weakest of them is; null when they
 * meet nowhere.
 */
export function refined(field: Field, ground: Ground, quad: Quad): { quad: Quad; edge: number } | null {
  const sense = new EdgeSense(field);
  const centre = quad.reduce((sum, { x, y }) => ({ x: sum.x + x / 4, y: sum.y + y / 4 }), { x: 0, y: 0 });
  const found = quad.map((a, i) => {
    const b = quad[(i + 1) % 4]!;
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    const normal = { x: -(b.y - a.y) / length, y: (b.x - a.x) / length };
    const deep = (centre.x - (a.x + b.x) / 2) * normal.x + (centre.y - (a.y + b.y) / 2) * normal.y;
    const inward = deep < 0 ? { x: -normal.x, y: -normal.y } : normal;
    return new SideSearch(field, ground, sense, { a, b }, inward, 2 * Math.abs(deep)).chosen();
  });
  const corners = found.map(({ line }, i) => {
    const before = found[(i + 3) % 4]!.line;
    return meet(before.a, before.b, line.a, line.b);
  });
  if (corners.some((one) => one === null)) return null;
  return { quad: corners as Quad, edge: Math.min(...found.map(({ score }) => score)) };
}
