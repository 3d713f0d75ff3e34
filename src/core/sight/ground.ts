/** What the pieces lie on: its colour over the whole picture, with the light that falls off across it. */
import { far, type Field } from './field';

export type Ground = {
  /** OKLab of the ground at a place of the field, whatever lies there. */
  at: (x: number, y: number, into: Float64Array) => void;
  /** How far its own pixels lie from that (a robust standard deviation, OKLab). */
  grain: number;
  /** Share of the picture that is ground. */
  share: number;
};

/** x², y², xy, x, y, 1 of a place in the picture, −1 to 1. */
const TERMS = 6;
const terms = (x: number, y: number, t: Float64Array): void => {
  t[0] = x * x;
  t[1] = y * y;
  t[2] = x * y;
  t[3] = x;
  t[4] = y;
  t[5] = 1;
};

/** Solves the normal equations of a least-squares fit in place (Gauss with pivots; six unknowns). */
function solved(matrix: Float64Array, right: Float64Array): Float64Array {
  const n = TERMS;
  for (let i = 0; i < n; i++) {
    let pivot = i;
    for (let r = i + 1; r < n; r++)
      if (Math.abs(matrix[r * n + i]!) > Math.abs(matrix[pivot * n + i]!)) pivot = r;
    for (let c = 0; c < n; c++)
      [matrix[i * n + c], matrix[pivot * n + c]] = [matrix[pivot * n + c]!, matrix[i * n + c]!];
    [right[i], right[pivot]] = [right[pivot]!, right[i]!];
    const d = matrix[i * n + i]! || 1e-12;
    for (let r = i + 1; r < n; r++) {
      const f = matrix[r * n + i]! / d;
      for (let c = i; c < n; c++) matrix[r * n + c]! -= f * matrix[i * n + c]!;
      right[r]! -= f * right[i]!;
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    for (let c = i + 1; c < n; c++) right[i]! -= matrix[i * n + c]! * right[c]!;
    right[i]! /= matrix[i * n + i]! || 1e-12;
  }
  return right;
}

type Sample = { x: number; y: number; lab: [number, number, number] };

const median = (values: readonly number[]): number => {
  const sorted = new Float64Array(values).sort();
  return sorted[sorted.length >> 1] ?? 0;
};

function fit(samples: readonly Sample[]): Float64Array[] {
  const t = new Float64Array(TERMS);
  const matrix = new Float64Array(TERMS * TERMS);
  const rights = [0, 1, 2].map(() => new Float64Array(TERMS));
  for (const { x, y, lab } of samples) {
    terms(x, y, t);
    for (let i = 0; i < TERMS; i++) {
      for (let j = 0; j < TERMS; j++) matrix[i * TERMS + j]! += t[i]! * t[j]!;
      for (let c = 0; c < 3; c++) rights[c]![i]! += t[i]! * lab[c]!;
    }
  }
  // A little stiffness: where the ground is seen on one side only, it is not made up on the other.
  for (let i = 0; i < TERMS - 1; i++) matrix[i * TERMS + i]! += samples.length * 1e-3;
  return rights.map((right) => solved(matrix.slice(), right));
}

/** Of the six terms at a place; asked of every pixel. */
const valueOf = (k: Float64Array, x: number, y: number): number =>
  (k[0]! * x + k[2]! * y + k[3]!) * x + (k[1]! * y + k[4]!) * y + k[5]!;

/**
 * Finds the ground of a picture: the colour that most of its edge has, then everything of that colour, with a
 * smooth change across the picture. Null when the edge has no such colour: a picture full of one thing, or of
 * many.
 */
export function groundOf(field: Field): Ground | null {
  const { width, height, lab } = field;
  const step = Math.max(2, Math.round(Math.max(width, height) / 120));
  const all: Sample[] = [];
  const edge: Sample[] = [];
  for (let y = step >> 1; y < height; y += step)
    for (let x = step >> 1; x < width; x += step) {
      const p = (y * width + x) * 3;
      const one: Sample = {
        x: (2 * x) / width - 1,
        y: (2 * y) / height - 1,
        lab: [lab[p]!, lab[p + 1]!, lab[p + 2]!],
      };
      all.push(one);
      if (Math.max(Math.abs(one.x), Math.abs(one.y)) > 0.84) edge.push(one);
    }
  // The commonest lightness of the edge: a clutter of other things does not move it as it would a mean.
  const bins = new Map<string, Sample[]>();
  for (const one of edge) {
    const key = one.lab.map((v, c) => Math.round(v / (c === 0 ? 0.08 : 0.04))).join();
    const bin = bins.get(key);
    if (bin) bin.push(one);
    else bins.set(key, [one]);
  }
  const commonest = [...bins.values()].sort((a, b) => b.length - a.length)[0];
  if (commonest === undefined) return null;
  const start = [0, 1, 2].map((c) => median(commonest.map((one) => one.lab[c]!)));
  const off = (one: Sample, at: ArrayLike<number>): number =>
    far(one.lab[0] - at[0]!, 1.5 * (one.lab[1] - at[1]!), 1.5 * (one.lab[2] - at[2]!));
  let own = edge.filter((one) => off(one, start) < 0.13);
  if (own.length < edge.length * 0.3 || own.length < 40) return null;
  const here = new Float64Array(3);
  let coefficients = fit(own);
  let grain = 0.02;
  for (let round = 0; round < 5; round++) {
    const from = round < 2 ? edge : all;
    const limit = round === 0 ? 0.09 : Math.max(0.02, 3 * grain);
    const distances: number[] = [];
    own = from.filter((one) => {
      for (let c = 0; c < 3; c++) here[c] = valueOf(coefficients[c]!, one.x, one.y);
      const d = off(one, here);
      if (d < limit) distances.push(d);
      return d < limit;
    });
    if (own.length < 40) return null;
    // Distances in three coordinates: their median is 1.54 standard deviations of one.
    grain = Math.max(0.002, median(distances) / 1.54);
    coefficients = fit(own);
  }
  return {
    at: (x, y, into) => {
      const [u, v] = [(2 * x) / width - 1, (2 * y) / height - 1];
      into[0] = valueOf(coefficients[0]!, u, v);
      into[1] = valueOf(coefficients[1]!, u, v);
      into[2] = valueOf(coefficients[2]!, u, v);
    },
    grain,
    share: own.length / all.length,
  };
}
