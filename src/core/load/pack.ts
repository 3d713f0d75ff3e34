/** Packing a load: tall pieces together, shelf by shelf; rectangles are laid out by a library. */
import { MaxRectsPacker, Rectangle } from 'maxrects-packer';
import {
  CLEARANCE_MM,
  fullness,
  gapBetween,
  HEADROOM_MM,
  onPost,
  onShelf,
  SHELF_MM,
  standingPosts,
  type Footprint,
  type Shelf,
  type Spot,
  type Standing,
} from './shelf';

export type Parcel = { id: string; footprint: Footprint };
export type Packed = { spots: Map<string, Spot>; left: { id: string; why: string }[] };

type Region = { x: number; y: number; width: number; depth: number };

/** Rectangles that lie within a shelf without meeting: ways to cut it up, the plainest first. */
function cuts(shelf: Shelf, clearance: number): Region[][] {
  const { widthMm, depthMm } = shelf;
  if (shelf.shape === 'rectangle')
    return [[{ x: -widthMm / 2, y: -depthMm / 2, width: widthMm, depth: depthMm }]];
  const r = widthMm / 2;
  /** A strip across a disc from y = a to y = b, as wide as it can be and clear of the next. */
  const strip = (a: number, b: number): Region => {
    const far = Math.max(Math.abs(a), Math.abs(b));
    const half = Math.sqrt(Math.max(0, r * r - far * far));
    return { x: -half, y: a + clearance / 2, width: 2 * half, depth: b - a - clearance };
  };
  if (shelf.shape === 'half') {
    const up = ({ y, ...rest }: Region): Region => ({ ...rest, y: depthMm / 2 + y });
    return [[0.45, 0.75], [0.6, 0.85], [0.707]].map((ends) =>
      ends.map((end, i) => up(strip(-end * r, -(ends[i - 1] ?? 0) * r))),
    );
  }
  return [
    [strip(-0.45 * r, 0.45 * r), strip(0.45 * r, 0.8 * r), strip(-0.8 * r, -0.45 * r)],
    [strip(-0.707 * r, 0.707 * r), strip(0.707 * r, 0.87 * r), strip(-0.87 * r, -0.707 * r)],
    [
      strip(-0.25 * r, 0.25 * r),
      strip(0.25 * r, 0.62 * r),
      strip(-0.62 * r, -0.25 * r),
      strip(0.62 * r, 0.87 * r),
      strip(-0.87 * r, -0.62 * r),
    ],
  ];
}

/** Lays as many parcels as fit into regions, in the order given; what does not fit is left. */
function lay(
  parcels: readonly Parcel[],
  regions: readonly Region[],
  clearance: number,
): { laid: { parcel: Parcel; x: number; y: number; turned: boolean }[]; left: Parcel[] } {
  const laid: { parcel: Parcel; x: number; y: number; turned: boolean }[] = [];
  let left = [...parcels];
  for (const region of regions) {
    const fits = left.filter(
      ({ footprint: { widthMm, depthMm } }) =>
        Math.max(widthMm, depthMm) <= Math.max(region.width, region.depth) &&
        Math.min(widthMm, depthMm) <= Math.min(region.width, region.depth),
    );
    if (fits.length === 0) continue;
    const packer = new MaxRectsPacker(region.width, region.depth, clearance, {
      smart: false,
      pot: false,
      square: false,
      allowRotation: true,
      border: 0,
    });
    // One after another: the order given is by height, and is to be kept.
    for (const parcel of fits) {
      const rectangle = new Rectangle(parcel.footprint.widthMm, parcel.footprint.depthMm);
      rectangle.data = parcel;
      packer.add(rectangle);
    }
    const placed = new Set<Parcel>();
    for (const rectangle of packer.bins[0]?.rects ?? []) {
      const parcel = rectangle.data as Parcel;
      if (rectangle.width > region.width || rectangle.height > region.depth) continue;
      placed.add(parcel);
      laid.push({
        parcel,
        x: region.x + rectangle.x + rectangle.width / 2,
        y: region.y + rectangle.y + rectangle.height / 2,
        turned: rectangle.rot === true,
      });
    }
    left = left.filter((parcel) => !placed.has(parcel));
  }
  return { laid, left };
}

/**
 * Packs pieces onto `shelves` like shelves, tallest below, so that each shelf holds pieces of
 * like height. `chamberMm` bounds the sum of spacings; null when it is not known. Pieces that
 * find no place are returned with why. `heard` is told after each shelf how many are done with.
 */
export function packLoad(
  parcels: readonly Parcel[],
  shelf: Shelf,
  shelves: number,
  chamberMm: number | null,
  clearance = CLEARANCE_MM,
  heard: (done: number) => void = () => {},
): Packed & { turned: Set<string> } {
  const spots = new Map<string, Spot>();
  const turned = new Set<string>();
  const left: Packed['left'] = [];
  let waiting = [...parcels].sort(
    (a, b) =>
      b.footprint.heightMm - a.footprint.heightMm ||
      b.footprint.widthMm * b.footprint.depthMm - a.footprint.widthMm * a.footprint.depthMm ||
      (a.id < b.id ? -1 : 1),
  );
  waiting = waiting.filter((parcel) => {
    const middle = { shelf: 1, xMm: 0, yMm: 0 };
    const fits =
      onShelf(shelf, parcel.footprint, middle) ||
      onShelf(
        shelf,
        {
          ...parcel.footprint,
          widthMm: parcel.footprint.depthMm,
          depthMm: parcel.footprint.widthMm,
        },
        middle,
      );
    const low =
      chamberMm === null || parcel.footprint.heightMm + HEADROOM_MM + SHELF_MM <= chamberMm;
    if (!fits) left.push({ id: parcel.id, why: 'larger than a shelf' });
    else if (!low) left.push({ id: parcel.id, why: 'taller than the chamber' });
    return fits && low;
  });
  let room = chamberMm ?? Infinity;
  for (let no = 1; no <= shelves && waiting.length > 0; no++) {
    // The tallest that the rest of the chamber still takes sets this shelf's height.
    const able = waiting.filter(
      ({ footprint }) => footprint.heightMm + HEADROOM_MM + SHELF_MM <= room,
    );
    if (able.length === 0) break;
    const best = cuts(shelf, clearance)
      .map((regions) => lay(able, regions, clearance))
      .sort((a, b) => b.laid.length - a.laid.length)[0]!;
    if (best.laid.length === 0) break;
    const done = new Set<Parcel>();
    const here = standingPosts(shelf, no);
    const inTheWay: Parcel[] = [];
    let tallest = 0;
    const stand = (parcel: Parcel, footprint: Footprint, spot: Spot): void => {
      spots.set(parcel.id, spot);
      here.push({ id: parcel.id, footprint, spot });
      done.add(parcel);
      tallest = Math.max(tallest, parcel.footprint.heightMm);
    };
    for (const { parcel, x, y, turned: rotated } of best.laid) {
      const spot = { shelf: no, xMm: Math.round(x), yMm: Math.round(y) };
      const { widthMm, depthMm } = parcel.footprint;
      const lies = rotated
        ? { ...parcel.footprint, widthMm: depthMm, depthMm: widthMm }
        : parcel.footprint;
      if (onPost(shelf, lies, spot)) inTheWay.push(parcel);
      else {
        stand(parcel, lies, spot);
        if (rotated) turned.add(parcel.id);
      }
    }
    // What lay where a post has to stand looks for a gap, or waits for the next shelf.
    for (const parcel of inTheWay) {
      const spot = gapOn(parcel, here, shelf, no, clearance);
      if (spot !== null) stand(parcel, parcel.footprint, spot);
    }
    if (done.size === 0) break;
    room -= tallest + HEADROOM_MM + SHELF_MM;
    waiting = waiting.filter((parcel) => !done.has(parcel));
    heard(parcels.length - waiting.length);
  }
  for (const { id } of waiting) left.push({ id, why: 'no room left' });
  return { spots, left, turned };
}

/** Positions tried for a small piece in a gap, mm apart. */
const GAP_STEP = 10;

/**
 * Finds places between what already stands for more pieces, smallest first, each no taller than
 * its shelf is already spaced for. Places are not moved, and what is placed counts for the next.
 */
export function fillGaps(
  standing: readonly Standing[],
  parcels: readonly Parcel[],
  shelf: Shelf,
  shelves: number,
  most = 12,
  clearance = CLEARANCE_MM,
): Map<string, Spot> {
  const { spacing } = fullness(shelf, shelves, null, standing);
  const found = new Map<string, Spot>();
  const all = [...standing];
  const area = ({ footprint }: Parcel): number => footprint.widthMm * footprint.depthMm;
  // A size that found no place finds none later either: gaps only shrink.
  const hopeless = new Set<string>();
  for (const parcel of [...parcels].sort((a, b) => area(a) - area(b))) {
    if (found.size >= most) break;
    const { round, widthMm, depthMm, heightMm } = parcel.footprint;
    const size = `${round} ${widthMm} ${depthMm} ${heightMm}`;
    if (hopeless.has(size)) continue;
    const spot = gapFor(parcel, all, shelf, spacing, clearance);
    if (spot === null) hopeless.add(size);
    else {
      found.set(parcel.id, spot);
      all.push({ id: parcel.id, footprint: parcel.footprint, spot });
    }
  }
  return found;
}

function gapFor(
  parcel: Parcel,
  standing: readonly Standing[],
  shelf: Shelf,
  spacing: readonly number[],
  clearance: number,
): Spot | null {
  for (let no = 1; no <= spacing.length; no++) {
    if (parcel.footprint.heightMm + HEADROOM_MM > spacing[no - 1]!) continue;
    const here = [...standing.filter(({ spot }) => spot.shelf === no), ...standingPosts(shelf, no)];
    const spot = gapOn(parcel, here, shelf, no, clearance);
    if (spot !== null) return spot;
  }
  return null;
}

/** The first place on one shelf that is clear of everything that stands there. */
function gapOn(
  parcel: Parcel,
  here: readonly Standing[],
  shelf: Shelf,
  no: number,
  clearance: number,
): Spot | null {
  for (let y = -shelf.depthMm / 2; y <= shelf.depthMm / 2; y += GAP_STEP)
    for (let x = -shelf.widthMm / 2; x <= shelf.widthMm / 2; x += GAP_STEP) {
      const spot = { shelf: no, xMm: Math.round(x), yMm: Math.round(y) };
      if (!onShelf(shelf, parcel.footprint, spot)) continue;
      const one = { id: parcel.id, footprint: parcel.footprint, spot };
      if (here.every((other) => gapBetween(one, other) >= clearance)) return spot;
    }
  return null;
}
