/** Where pieces can stand on one shelf: a lattice of places for many alike, or the first gap for one. */
import { gapBetween, onShelf, standingPosts } from './shelf';
import type { Footprint, Shelf, Spot, Standing } from './shelf';

export type Site = { xMm: number; yMm: number; turned: boolean };

/** Tenths of a millimetre: what is rounded must not come nearer than was asked. */
const ROUNDING = 0.1;
const tenth = (value: number): number => Math.round(value * 10) / 10;

/** A footprint turned by a quarter. */
export const turnedRound = (footprint: Footprint): Footprint => ({
  ...footprint,
  widthMm: footprint.depthMm,
  depthMm: footprint.widthMm,
});

const isOblong = ({ round, widthMm, depthMm }: Footprint): boolean => !round && widthMm !== depthMm;

/** Both ways a piece can stand; one for what is as wide as it is deep. */
export const ways = (footprint: Footprint): { footprint: Footprint; turned: boolean }[] =>
  isOblong(footprint)
    ? [
        { footprint, turned: false },
        { footprint: turnedRound(footprint), turned: true },
      ]
    : [{ footprint, turned: false }];

/** Is there room for it at this spot: on the shelf, clear of what stands there and of posts? */
export function isFree(
  shelf: Shelf,
  footprint: Footprint,
  spot: Spot,
  here: readonly Standing[],
  clearance: number,
): boolean {
  return onShelf(shelf, footprint, spot) && inTheWay(footprint, spot, here, clearance) === null;
}

/** Something that stands too near a spot; null when nothing does. */
function inTheWay(
  footprint: Footprint,
  spot: Spot,
  here: readonly Standing[],
  clearance: number,
): Standing | null {
  const one = { id: '', footprint, spot };
  for (const other of here) {
    const [wide, deep] = [
      (footprint.widthMm + other.footprint.widthMm) / 2 + clearance,
      (footprint.depthMm + other.footprint.depthMm) / 2 + clearance,
    ];
    if (Math.abs(other.spot.xMm - spot.xMm) > wide || Math.abs(other.spot.yMm - spot.yMm) > deep) continue;
    if (gapBetween(one, other) < clearance) return other;
  }
  return null;
}

/** How far to the right of something it has to stand, at least, to be clear of it in this row. */
function clearBeyond(footprint: Footprint, y: number, other: Standing, clearance: number): number {
  const wide = (footprint.widthMm + other.footprint.widthMm) / 2 + clearance;
  if (!footprint.round && !other.footprint.round) {
    const deep = (footprint.depthMm + other.footprint.depthMm) / 2;
    // Corner past corner may lie nearer; side by side it may not.
    return Math.abs(other.spot.yMm - y) < deep ? wide : 0;
  }
  if (!footprint.round || !other.footprint.round) {
    // A disc beside a box: where its middle is level with a side, the whole side is in the way.
    const side = (footprint.round ? other.footprint : footprint).depthMm / 2;
    return Math.abs(other.spot.yMm - y) < side ? wide : 0;
  }
  return Math.sqrt(Math.max(0, wide * wide - (other.spot.yMm - y) ** 2));
}

/** Offsets tried of a lattice, each way. */
const OFFSETS = 8;
/** Posts need no room around them, only that nothing stands on them. */
const POST_CLEAR = 1;

/**
 * The best lattice of places for many pieces of one size on an otherwise empty shelf: square, or with
 * every other row moved by half (discs then lie nearer), each way round, at many offsets.
 */
export function latticeSites(shelf: Shelf, size: Footprint, clearance: number, posts: boolean): Site[] {
  const standing = posts ? standingPosts(shelf, 1) : [];
  let best: Site[] = [];
  for (const { footprint, turned } of ways(size)) {
    const [px, py] = [footprint.widthMm + clearance + ROUNDING, footprint.depthMm + clearance + ROUNDING];
    for (const { dx, dy, swap } of lattices(footprint, px, py))
      for (let i = 0; i < OFFSETS; i++)
        for (let j = 0; j < OFFSETS; j++) {
          const sites: Site[] = [];
          const [ox, oy] = [(i * dx) / OFFSETS, (j * dy) / OFFSETS];
          const far = Math.max(shelf.widthMm, shelf.depthMm) / 2 + Math.max(dx, dy);
          for (let row = -Math.ceil(far / dy); row * dy <= far; row++)
            for (let column = -Math.ceil(far / dx) - 1; column * dx <= far; column++) {
              const shifted = dy < py - 1e-9 && row % 2 !== 0 ? dx / 2 : 0;
              const [a, b] = [column * dx + ox + shifted, row * dy + oy];
              const [xMm, yMm] = swap ? [tenth(b), tenth(a)] : [tenth(a), tenth(b)];
              if (isFree(shelf, footprint, { shelf: 1, xMm, yMm }, standing, POST_CLEAR))
                sites.push({ xMm, yMm, turned });
            }
          if (sites.length > best.length) best = sites;
        }
  }
  return best;
}

function lattices({ round }: Footprint, px: number, py: number): { dx: number; dy: number; swap: boolean }[] {
  const square = { dx: px, dy: py, swap: false };
  if (!round) return [square];
  const rows = { dx: px, dy: (px * Math.sqrt(3)) / 2 + ROUNDING };
  return [square, { ...rows, swap: false }, { ...rows, swap: true }];
}

/** Positions tried for a piece in a gap, mm apart. */
const GAP_STEP = 8;

/**
 * The first place on a shelf that is clear of everything that stands there, either way round; null when none
 * is.
 */
export function gapOn(
  size: Footprint,
  here: readonly Standing[],
  shelf: Shelf,
  no: number,
  clearance: number,
): Site | null {
  for (const { footprint, turned } of ways(size)) {
    const [w, d] = [footprint.widthMm / 2, footprint.depthMm / 2];
    const [left, front] = [-shelf.widthMm / 2 + w, -shelf.depthMm / 2 + d];
    const [across, deep] = [shelf.widthMm - 2 * w, shelf.depthMm - 2 * d];
    if (across < -0.01 || deep < -0.01) continue;
    // Evenly spread from edge to edge, so that what just fits finds its one place.
    const columns = Math.ceil(Math.max(0, across) / GAP_STEP);
    const rows = Math.ceil(Math.max(0, deep) / GAP_STEP);
    for (let j = 0; j <= rows; j++) {
      const yMm = tenth(front + (rows === 0 ? deep / 2 : (j * deep) / rows));
      for (let i = 0; i <= columns; i++) {
        const xMm = tenth(left + (columns === 0 ? across / 2 : (i * across) / columns));
        const spot = { shelf: no, xMm, yMm };
        if (!onShelf(shelf, footprint, spot)) continue;
        const other = inTheWay(footprint, spot, here, clearance);
        if (other === null) return { xMm, yMm, turned };
        // On to the first column that can be clear of what is in the way.
        const clear = other.spot.xMm + clearBeyond(footprint, yMm, other, clearance);
        if (columns > 0) i = Math.max(i, Math.ceil(((clear - left) * columns) / across - 1e-6) - 1);
      }
    }
    // The middle of a round shelf is where the widest piece fits.
    const middle = { shelf: no, xMm: 0, yMm: 0 };
    if (isFree(shelf, footprint, middle, here, clearance)) return { xMm: 0, yMm: 0, turned };
  }
  return null;
}

/** Sizes that found no place on a shelf: whatever is as wide and as deep finds none either. */
export class Hopeless {
  private readonly sizes: Footprint[] = [];

  has({ round, widthMm, depthMm }: Footprint): boolean {
    const [small, large] = [Math.min(widthMm, depthMm), Math.max(widthMm, depthMm)];
    return this.sizes.some(
      (one) =>
        // A box holds the disc that touches its sides, not the other way round.
        (one.round || !round) &&
        small >= Math.min(one.widthMm, one.depthMm) &&
        large >= Math.max(one.widthMm, one.depthMm),
    );
  }

  add(size: Footprint): void {
    this.sizes.push(size);
  }
}

/** Whether it can stand anywhere on an empty shelf, with posts on it or not. */
export const fitsAlone = (shelf: Shelf, size: Footprint, posts: boolean): boolean =>
  gapOn(size, posts ? standingPosts(shelf, 1) : [], shelf, 1, 0) !== null;
