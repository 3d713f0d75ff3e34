/** Takes apart what only seems one: faces that lie close together, with ground in the shade between them. */
import { apply, homographyOnto } from '../frame';
import { far, type Field } from './field';
import type { Ground } from './ground';
import type { Quad } from './quad';

const SIDE = 260;
/** A gap is ground, or ground in the shade, for this share of its length. */
const CLEAR = 0.86;
/** The widest gap, and the narrowest face, as shares of what is taken apart. */
const WIDEST = 0.12;
const FACE = 0.06;
/**
 * A gap is at least so many pixels wide: where two colours meet, a line of what lies between them may look
 * like ground.
 */
const THINNEST = 2.2;
/**
 * Faces that lie side by side are about equally large: one this much smaller than the middle one is a streak
 * of light.
 */
const UNLIKE = 0.62;

/** Where the picture shows ground or its shade, row by row of the rectified figure. */
function groundlike(field: Field, ground: Ground, quad: Quad): Uint8Array {
  const map = homographyOnto(quad);
  const out = new Uint8Array(SIDE * SIDE);
  const own = new Float64Array(3);
  const under = new Float64Array(3);
  const slack = Math.max(0.02, 3 * ground.grain);
  for (let j = 0; j < SIDE; j++)
    for (let i = 0; i < SIDE; i++) {
      const { x, y } = apply(map, { x: (i + 0.5) / SIDE, y: (j + 0.5) / SIDE });
      field.sample(x, y, own);
      ground.at(x, y, under);
      const tint = far(own[1]! - under[1]!, own[2]! - under[2]!);
      const l = own[0]! / under[0]!;
      if (tint < slack && l > 0.42 && own[0]! < under[0]! + slack) out[j * SIDE + i] = 1;
    }
  return out;
}

type Span = readonly [from: number, to: number];
type Box = { across: Span; up: Span };

/** The faces along one direction of a box: the runs between its gaps; one when there is no gap. */
function runs(clear: Uint8Array, box: Box, along: 'across' | 'up', pixels: number): Span[] {
  const other = along === 'across' ? box.up : box.across;
  const [from, to] = box[along];
  const length = other[1] - other[0];
  const isGap = (i: number): boolean => {
    let count = 0;
    for (let k = other[0]; k < other[1]; k++)
      count += along === 'across' ? clear[k * SIDE + i]! : clear[i * SIDE + k]!;
    return count >= CLEAR * length;
  };
  const found: Span[] = [];
  let start = -1;
  for (let i = from; i <= to; i++) {
    const gap = i === to || isGap(i);
    if (!gap && start < 0) start = i;
    if (gap && start >= 0) {
      if (i - start >= FACE * (to - from)) found.push([start, i]);
      start = -1;
    }
  }
  const joined = found.slice(0, 1);
  for (const next of found.slice(1)) {
    const last = joined.at(-1)!;
    const gap = next[0] - last[1];
    // What is wide and clear is no gap between faces but a face of the ground's own colour.
    if (gap > WIDEST * (to - from)) return [[from, to]];
    if ((gap * pixels) / SIDE < THINNEST) joined[joined.length - 1] = [last[0], next[1]];
    else joined.push(next);
  }
  const sizes = joined.map(([a, b]) => b - a).sort((a, b) => a - b);
  const usual = sizes[sizes.length >> 1] ?? 0;
  return joined.length > 1 && (joined.length > 3 || sizes[0]! >= UNLIKE * usual) ? joined : [[from, to]];
}

function cutUp(clear: Uint8Array, box: Box, size: Record<'across' | 'up', number>, depth = 0): Box[] {
  if (depth > 6) return [box];
  for (const along of ['across', 'up'] as const) {
    const found = runs(clear, box, along, size[along]);
    if (found.length > 1)
      return found.flatMap((span) => cutUp(clear, { ...box, [along]: span }, size, depth + 1));
  }
  return [box];
}

/**
 * The figures into which gaps part a figure, each drawn a little wide; the figure itself when there is none.
 */
export function partedByGaps(field: Field, ground: Ground, quad: Quad): Quad[] {
  const clear = groundlike(field, ground, quad);
  const [a, b, , d] = quad;
  const size = { across: Math.hypot(b.x - a.x, b.y - a.y), up: Math.hypot(d.x - a.x, d.y - a.y) };
  const boxes = cutUp(clear, { across: [0, SIDE], up: [0, SIDE] }, size);
  if (boxes.length === 1) return [quad];
  const map = homographyOnto(quad);
  const wide = 1.2;
  return boxes.map(({ across, up }) => {
    const [l, r, b, t] = [across[0] - wide, across[1] + wide, up[0] - wide, up[1] + wide].map(
      (v) => v / SIDE,
    );
    return [
      apply(map, { x: l!, y: b! }),
      apply(map, { x: r!, y: b! }),
      apply(map, { x: r!, y: t! }),
      apply(map, { x: l!, y: t! }),
    ];
  });
}
