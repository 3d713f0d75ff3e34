/** A board of tiles: where it lies, and how many rows and columns it has. */
import { apply, homographyOnto, inverse, type Corners } from '../frame';
import { far, Field, reduced, type Raster } from './field';
import { groundOf, type Ground } from './ground';
import { ordered, polygonArea, quadAround, type Quad } from './quad';
import { offGround, regionsOf, type Point, type Region } from './regions';

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

const outlineOf = (regions: readonly Region[]): Quad | null => {
  const quad = quadAround(hullOf(regions.flatMap(({ hull }) => hull)));
  return quad === null ? null : ordered(quad);
};

/**
 * The parts that belong to a board whose tiles are about so large: those beside it that are none of them are
 * left out.
 */
function belonging(
  regions: readonly Region[],
  quad: Quad,
  { rows, columns }: Pick<Board, 'rows' | 'columns'>,
  strip: Quad | null,
): Region[] {
  const back = inverse(homographyOnto(quad));
  const least = (LEAST_OF_TILE * polygonArea(quad)) / (rows * columns);
  const [x, y] = [BESIDE / columns, BESIDE / rows];
  return regions.filter(({ area, hull }) => {
    if (area < least) return false;
    const middle = middleOf(hull);
    const at = apply(back, middle);
    if (at.x < -x || at.x > 1 + x || at.y < -y || at.y > 1 + y) return false;
    return strip === null || area > 2.6 * polygonArea(strip) || !holds(strip, middle);
  });
}
const middleOf = (points: readonly Point[]): Point =>
  points.reduce((sum, { x, y }) => ({ x: sum.x + x / points.length, y: sum.y + y / points.length }), {
    x: 0,
    y: 0,
  });
const holds = (strip: Quad, { x, y }: Point): boolean => {
  const centre = middleOf(strip);
  return (
    Math.hypot(x - centre.x, y - centre.y) <
    0.5 * Math.max(...strip.map((one) => Math.hypot(one.x - strip[0].x, one.y - strip[0].y)))
  );
};
/** A part this much smaller than a tile is none: a card's step, a label. */
const LEAST_OF_TILE = 0.35;
/** So many tiles beside what was seen of the board, others of it may lie. */
const BESIDE = 1.6;

/**
 * Reads a board of tiles that hang or lie with ground between them. Without corners they are looked for;
 * `strip` is where the grey card lies, which is none of the tiles. Null where there is no even ground to tell
 * tiles from, or nothing on it.
 */
export function readBoard(
  raster: Raster,
  given: Corners['corners'] | null,
  strip: Corners['corners'] | null = null,
): Board | null {
  const field = new Field(reduced(raster));
  const ground = groundOf(field);
  if (ground === null) return null;
  const inPixels = (corners: Corners['corners']): Quad =>
    corners.map(({ x, y }) => ({ x: x * field.width, y: y * field.height })) as Quad;
  const counts = (quad: Quad): Board => {
    const corners = quad.map(({ x, y }) => ({
      x: x / field.width,
      y: y / field.height,
    })) as Corners['corners'];
    const seen = gapsIn(field, ground, corners);
    const [columns, rows] = [counted(seen.across), counted(seen.along)];
    return { corners, columns: columns.count, rows: rows.count, sure: Math.min(columns.sure, rows.sure) };
  };
  if (given !== null) return counts(inPixels(given));
  const regions = regionsOf(field, offGround(field, ground), ground).filter(({ cut }) => !cut);
  const largest = regions[0]?.area ?? 0;
  const quad = outlineOf(regions.filter(({ area }) => area >= LEAST_OF_LARGEST * largest));
  if (quad === null) return null;
  let board = counts(quad);
  // Tiles that hang apart from those that run into one another are smaller than what these make together.
  for (let round = 0; round < 2; round++) {
    const more = outlineOf(belonging(regions, inPixels(board.corners), board, strip && inPixels(strip)));
    const next = more === null ? null : counts(more);
    if (next === null || next.sure < 0.8 * board.sure) break;
    board = next;
  }
  return board;
}

/**
 * How much ground is seen along each line across and along the board: its own colour, or darker where a tile
 * shades it.
 */
function gapsIn(
  field: Field,
  ground: Ground,
  corners: Corners['corners'],
): { across: Float64Array; along: Float64Array } {
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
      const tint = 1.5 * far(here[1]! - own[1]!, here[2]! - own[2]!);
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
  let held = start;
  for (let i = Math.max(0, Math.floor(from)); i <= Math.min(FINE - 1, Math.ceil(to)); i++)
    held = of(held, profile[i]!);
  return held;
};

/**
 * The number of equal parts at whose borders ground is seen, and in whose middles it is not. Of numbers that
 * fit, as every divisor of the true one does, the largest.
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
      const beside =
        (best(profile, at - 0.6 * part, at - 0.35 * part, Math.min, 1) +
          best(profile, at + 0.35 * part, at + 0.6 * part, Math.min, 1)) /
        2;
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
