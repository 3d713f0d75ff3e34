/** A board of tiles: where it lies, and how many rows and columns it has. */
import { apply, homographyOnto, type Corners } from '../frame';
import { Field, reduced, type Raster } from './field';
import { groundOf, type Ground } from './ground';
import { ordered, quadAround, type Quad } from './quad';
import { offGround, regionsOf, type Point } from './regions';

export type Board = {
  /** Foot left, foot right, rim right, rim left of all tiles together. */
  corners: Corners['corners'];
  rows: number;
  columns: number;
  /** How plainly the gaps were seen, 0 to 1: below a half the counts are a guess. */
  sure: number;
};

const MOST = 24;
/** So fine the board is looked at along each side. */
const FINE = 480;
/** Parts smaller than this share of the largest are none of the tiles. */
const LEAST_OF_LARGEST = 0.25;

/** Corners of the convex hull, by going round from the leftmost (A. M. Andrew, 1979). */
function hullOf(points: readonly Point[]): Point[] {
  const sorted = [...points].sort((a, b) => a.x - b.x || a.y - b.y);
  const half = (list: readonly Point[]): Point[] => {
    const chain: Point[] = [];
    for (const p of list) {
      while (chain.length > 1) {
        const [a, b] = [chain[chain.length - 2]!, chain[chain.length - 1]!];
        if ((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x) > 0) break;
        chain.pop();
      }
      chain.push(p);
    }
    return chain.slice(0, -1);
  };
  return [...half(sorted), ...half(sorted.reverse())];
}

function outline(field: Field, ground: Ground, distance: Float32Array): Quad | null {
  const regions = regionsOf(field, distance, ground).filter(({ cut }) => !cut);
  const largest = regions[0]?.area ?? 0;
  const own = regions.filter(({ area }) => area >= LEAST_OF_LARGEST * largest);
  const quad = quadAround(hullOf(own.flatMap(({ hull }) => hull)));
  return quad === null ? null : ordered(quad);
}

/**
 * Reads a board of tiles that hang or lie with ground between them. Without corners they are looked for. Null where there
 * is no even ground to tell tiles from, or nothing on it.
 */
export function readBoard(raster: Raster, given: Corners['corners'] | null): Board | null {
  const field = new Field(reduced(raster));
  const ground = groundOf(field);
  if (ground === null) return null;
  const distance = offGround(field, ground);
  const quad = given === null ? outline(field, ground, distance) : null;
  const corners = given ?? (quad?.map(({ x, y }) => ({ x: x / field.width, y: y / field.height })) as Corners['corners'] | undefined); // prettier-ignore
  if (corners === undefined) return null;
  const seen = gapsIn(field, ground, corners);
  const [columns, rows] = [counted(seen.across), counted(seen.along)];
  return { corners, columns: columns.count, rows: rows.count, sure: Math.min(columns.sure, rows.sure) }; // prettier-ignore
}

/** How much ground is seen along each line across and along the board: its own colour, or darker where a tile shades it. */
function gapsIn(
  field: Field,
  ground: Ground,
  corners: Corners['corners'],
): { across: Float64Array; along: Float64Array } {
  // prettier-ignore
  const map = homographyOnto(corners);
  const across = new Float64Array(FINE);
  const along = new Float64Array(FINE);
  const [own, here] = [new Float64Array(3), new Float64Array(3)];
  const limit = Math.max(0.02, 4 * ground.grain);
  for (let j = 0; j < FINE; j++)
    for (let i = 0; i < FINE; i++) {
      const { x, y } = apply(map, { x: (i + 0.5) / FINE, y: (j + 0.5) / FINE });
      const [px, py] = [x * field.width, y * field.height];
      if (px < 0 || py < 0 || px >= field.width || py >= field.height) continue;
      field.sample(px, py, here);
      ground.at(px, py, own);
      const dl = here[0]! - own[0]!;
      const tint = 1.5 * Math.hypot(here[1]! - own[1]!, here[2]! - own[2]!);
      if (tint < limit && dl < limit && dl > -SHADE) {
        across[i]!++;
        along[j]!++;
      }
    }
  return { across: across.map((n) => n / FINE), along: along.map((n) => n / FINE) };
}
/** A shade between tiles is darker than the ground by at most this (OKLab). */
const SHADE = 0.22;

const best = (
  profile: Float64Array,
  from: number,
  to: number,
  of: (a: number, b: number) => number,
  start: number,
): number => {
  // prettier-ignore
  let held = start;
  for (let i = Math.max(0, Math.floor(from)); i <= Math.min(FINE - 1, Math.ceil(to)); i++) held = of(held, profile[i]!); // prettier-ignore
  return held;
};

/**
 * The number of equal parts at whose borders ground is seen, and in whose middles it is not. Of numbers that fit, as every
 * divisor of the true one does, the largest.
 */
function counted(profile: Float64Array): { count: number; sure: number } {
  const scores = Array.from({ length: MOST }, (_, k) => {
    const n = k + 1;
    if (n === 1) return 0;
    const part = FINE / n;
    let sum = 0;
    let worst = 1;
    for (let line = 1; line < n; line++) {
      const at = line * part;
      const gap = best(profile, at - 0.12 * part, at + 0.12 * part, Math.max, 0);
      const beside = (best(profile, at - 0.6 * part, at - 0.35 * part, Math.min, 1) + best(profile, at + 0.35 * part, at + 0.6 * part, Math.min, 1)) / 2; // prettier-ignore
      sum += gap - beside;
      worst = Math.min(worst, gap - beside);
    }
    // Every border has to be one: a mean would let a multiple of the true number pass.
    return 0.5 * (sum / (n - 1)) + 0.5 * worst;
  });
  const top = Math.max(...scores);
  if (top < LEAST) return { count: 1, sure: 1 - top / LEAST };
  const count = scores.findLastIndex((score) => score > FITS * top) + 1;
  return { count, sure: Math.min(1, scores[count - 1]! / 0.5) };
}
/** A multiple of a number that fits fits nearly as well or not at all. */
const FITS = 0.55;
/** Less difference between borders and middles than this is none. */
const LEAST = 0.12;
