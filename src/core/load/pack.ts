/**
 * Packing a load: tall pieces together, shelf by shelf. On each shelf several ways are tried (pieces of
 * one size on their best lattice, rectangles laid out by a library, one after another into gaps), each
 * filled up with whatever else fits, and the one that covers most is kept.
 */
import { MaxRectsPacker, Rectangle } from 'maxrects-packer';
import {
  CLEARANCE_MM,
  fullness,
  HEADROOM_MM,
  SHELF_MM,
  standingPosts,
  type Footprint,
  type Shelf,
  type Spot,
  type Standing,
} from './shelf';
import { fitsAlone, gapOn, Hopeless, isFree, latticeSites, turnedRound, type Site } from './sites';

export type Parcel = { id: string; footprint: Footprint };
export type Packed = {
  spots: Map<string, Spot>;
  turned: Set<string>;
  left: { id: string; why: string }[];
};

const areaOf = ({ footprint: { round, widthMm, depthMm } }: Parcel): number =>
  (round ? Math.PI / 4 : 1) * widthMm * depthMm;

const sizeOf = ({ footprint: { round, widthMm, depthMm } }: Parcel): string =>
  `${round} ${widthMm} ${depthMm}`;

/** Height that a shelf with this piece takes from the chamber. */
const taken = ({ footprint }: Parcel): number => footprint.heightMm + HEADROOM_MM + SHELF_MM;

/** What stands on one shelf while it is packed. */
class ShelfLoad {
  readonly placed = new Map<Parcel, Site>();
  private readonly here: Standing[];
  private readonly hopeless = new Hopeless();
  private volume = 0;
  private tallest = 0;

  constructor(
    private readonly shelf: Shelf,
    private readonly clearance: number,
    posts: boolean,
  ) {
    this.here = posts ? [...standingPosts(shelf, 1)] : [];
  }

  private lies(parcel: Parcel, { turned }: Site): Footprint {
    return turned ? turnedRound(parcel.footprint) : parcel.footprint;
  }

  /** Puts it there if there is room. */
  put(parcel: Parcel, site: Site): boolean {
    const footprint = this.lies(parcel, site);
    const spot = { shelf: 1, xMm: site.xMm, yMm: site.yMm };
    if (!isFree(this.shelf, footprint, spot, this.here, this.clearance)) return false;
    this.stand(parcel, site, footprint, spot);
    return true;
  }

  /** Puts it on a place of a lattice: clear of its neighbours by its making, and of posts. */
  seat(parcel: Parcel, site: Site): void {
    this.stand(parcel, site, this.lies(parcel, site), {
      shelf: 1,
      xMm: site.xMm,
      yMm: site.yMm,
    });
  }

  private stand(parcel: Parcel, site: Site, footprint: Footprint, spot: Spot): void {
    this.placed.set(parcel, site);
    this.here.push({ id: parcel.id, footprint, spot });
    this.volume += areaOf(parcel) * parcel.footprint.heightMm;
    this.tallest = Math.max(this.tallest, taken(parcel));
  }

  /** Ware for each millimetre of the chamber that the shelf takes: low pieces between tall ones waste it. */
  get worth(): number {
    return this.tallest === 0 ? 0 : this.volume / this.tallest;
  }

  /** What would not make the shelf any taller, into its gaps. */
  fillUp(parcels: readonly Parcel[]): this {
    return this.fill(parcels.filter((parcel) => taken(parcel) <= this.tallest));
  }

  /** One after another into the first gap that takes it. */
  fill(parcels: readonly Parcel[]): this {
    for (const parcel of parcels) {
      if (this.placed.has(parcel) || this.hopeless.has(parcel.footprint)) continue;
      const site = gapOn(parcel.footprint, this.here, this.shelf, 1, this.clearance);
      if (site === null) this.hopeless.add(parcel.footprint);
      else this.stand(parcel, site, this.lies(parcel, site), { shelf: 1, ...site });
    }
    return this;
  }
}

type Region = { x: number; y: number; width: number; depth: number };

/** The largest rectangles that lie within a shelf, for what is laid out in rectangles. */
function regionsOf({ shape, widthMm, depthMm }: Shelf): Region[] {
  if (shape === 'rectangle') return [{ x: -widthMm / 2, y: -depthMm / 2, width: widthMm, depth: depthMm }];
  const r = widthMm / 2;
  if (shape === 'round') {
    const half = 0.707 * r;
    return [{ x: -half, y: -half, width: 2 * half, depth: 2 * half }];
  }
  const half = 0.707 * r;
  return [{ x: -half, y: depthMm / 2 - half, width: 2 * half, depth: half }];
}

/** Lays rectangles with a library, in the order given, and puts them where it says. */
function layOut(load: ShelfLoad, parcels: readonly Parcel[], shelf: Shelf, clearance: number): void {
  for (const region of regionsOf(shelf)) {
    const packer = new MaxRectsPacker(region.width, region.depth, clearance, {
      smart: false,
      pot: false,
      square: false,
      allowRotation: true,
      border: 0,
    });
    for (const parcel of parcels) {
      const { widthMm, depthMm } = parcel.footprint;
      const [small, large] = [Math.min(widthMm, depthMm), Math.max(widthMm, depthMm)];
      if (small > Math.min(region.width, region.depth) || large > Math.max(region.width, region.depth))
        continue;
      const rectangle = new Rectangle(widthMm, depthMm);
      rectangle.data = parcel;
      packer.add(rectangle);
    }
    for (const rectangle of packer.bins[0]?.rects ?? [])
      load.put(rectangle.data as Parcel, {
        xMm: region.x + rectangle.x + rectangle.width / 2,
        yMm: region.y + rectangle.y + rectangle.height / 2,
        turned: rectangle.rot === true,
      });
  }
}

/** The sizes there are most of, at most so many of them get a lattice tried. */
const LATTICES = 2;
/** More pieces than this are never laid out on one shelf: enough for its smallest tiles. */
const CANDIDATES = 160;

/** The fullest way found to load one shelf with some of these pieces, tallest first. */
function loadShelf(
  parcels: readonly Parcel[],
  shelf: Shelf,
  clearance: number,
  posts: boolean,
  sitesFor: (parcel: Parcel, posts: boolean) => Site[],
): ShelfLoad {
  const able = parcels.slice(0, CANDIDATES);
  const tries: ShelfLoad[] = [new ShelfLoad(shelf, clearance, posts).fill(able)];
  if (able.some(({ footprint }) => !footprint.round)) {
    const laid = new ShelfLoad(shelf, clearance, posts);
    layOut(laid, able, shelf, clearance);
    tries.push(laid.fillUp(able));
  }
  const alike = new Map<string, Parcel[]>();
  for (const parcel of able) alike.set(sizeOf(parcel), [...(alike.get(sizeOf(parcel)) ?? []), parcel]);
  const most = [...alike.values()].filter((group) => group.length > 2);
  for (const group of most.sort((a, b) => b.length - a.length).slice(0, LATTICES)) {
    const seated = new ShelfLoad(shelf, clearance, posts);
    sitesFor(group[0]!, posts).forEach((site, i) => {
      if (group[i] !== undefined) seated.seat(group[i], site);
    });
    tries.push(seated.fillUp(able));
  }
  return tries.reduce((best, one) => (one.worth > best.worth + 1e-6 ? one : best));
}

/**
 * Packs pieces onto `shelves` like shelves, tallest below, so that each shelf holds pieces of like
 * height. `chamberMm` bounds the sum of spacings; null when it is not known. What is too wide to stand
 * between posts stands on the top shelf, which carries none. Pieces that find no place are returned
 * with why, and stop none of the others. `heard` is told after each shelf how many are done with.
 */
export function packLoad(
  parcels: readonly Parcel[],
  shelf: Shelf,
  shelves: number,
  chamberMm: number | null,
  clearance = CLEARANCE_MM,
  heard: (done: number) => void = () => {},
): Packed {
  const packed: Packed = { spots: new Map(), turned: new Set(), left: [] };
  const lattices = new Map<string, Site[]>();
  const sitesFor = (parcel: Parcel, posts: boolean): Site[] => {
    const key = `${sizeOf(parcel)} ${posts}`;
    const sites = lattices.get(key) ?? latticeSites(shelf, parcel.footprint, clearance, posts);
    lattices.set(key, sites);
    return sites;
  };
  const known = new Map<string, 'anywhere' | 'top' | 'nowhere'>();
  const standsWhere = (parcel: Parcel): 'anywhere' | 'top' | 'nowhere' => {
    const held = known.get(sizeOf(parcel));
    if (held !== undefined) return held;
    const found = fitsAlone(shelf, parcel.footprint, true)
      ? ('anywhere' as const)
      : fitsAlone(shelf, parcel.footprint, false)
        ? ('top' as const)
        : ('nowhere' as const);
    known.set(sizeOf(parcel), found);
    return found;
  };
  let room = chamberMm ?? Infinity;
  let waiting = [...parcels].sort(
    (a, b) => b.footprint.heightMm - a.footprint.heightMm || areaOf(b) - areaOf(a) || (a.id < b.id ? -1 : 1),
  );
  waiting = waiting.filter((parcel) => {
    const why =
      standsWhere(parcel) === 'nowhere'
        ? 'larger than a shelf'
        : taken(parcel) > room
          ? 'taller than the chamber'
          : null;
    if (why !== null) packed.left.push({ id: parcel.id, why });
    return why === null;
  });
  const loads: ShelfLoad[] = [];
  const load = (able: readonly Parcel[], posts: boolean): ShelfLoad | null => {
    const one = loadShelf(able, shelf, clearance, posts, sitesFor);
    if (one.placed.size === 0) return null;
    room -= Math.max(...[...one.placed.keys()].map(taken));
    waiting = waiting.filter((parcel) => !one.placed.has(parcel));
    heard(parcels.length - waiting.length);
    return one;
  };
  // What stands only where no posts are sets the top shelf; the rest goes below, and around it.
  const wide = waiting.filter((parcel) => standsWhere(parcel) === 'top');
  const top =
    wide.length === 0
      ? null
      : load(
          [...wide, ...waiting.filter((one) => taken(one) <= taken(wide[0]!))].filter(
            (one, i, all) => all.indexOf(one) === i,
          ),
          false,
        );
  while (loads.length + (top === null ? 0 : 1) < shelves) {
    const able = waiting.filter((one) => taken(one) <= room && standsWhere(one) === 'anywhere');
    const next = able.length === 0 ? null : load(able, true);
    if (next === null) break;
    loads.push(next);
  }
  if (top !== null) loads.push(top);
  // What came too late to be tried on a shelf may still find a gap there.
  for (const one of loads) {
    one.fillUp(waiting);
    waiting = waiting.filter((parcel) => !one.placed.has(parcel));
  }
  loads.forEach(({ placed }, i) => {
    for (const [{ id }, { xMm, yMm, turned }] of placed) {
      packed.spots.set(id, { shelf: i + 1, xMm, yMm });
      if (turned) packed.turned.add(id);
    }
  });
  for (const parcel of waiting)
    packed.left.push({
      id: parcel.id,
      why:
        standsWhere(parcel) === 'top'
          ? 'too wide to stand between posts, and the top shelf is taken'
          : 'no room left',
    });
  return packed;
}

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
): Map<string, Spot & { turned: boolean }> {
  const { spacing } = fullness(shelf, shelves, null, standing);
  const found = new Map<string, Spot & { turned: boolean }>();
  const here = spacing.map((_, i) => [
    ...standing.filter(({ spot }) => spot.shelf === i + 1),
    ...standingPosts(shelf, i + 1),
  ]);
  const hopeless = spacing.map(() => new Hopeless());
  for (const parcel of [...parcels].sort((a, b) => areaOf(a) - areaOf(b))) {
    if (found.size >= most) break;
    for (const [i, height] of spacing.entries()) {
      if (parcel.footprint.heightMm + HEADROOM_MM > height) continue;
      if (hopeless[i]!.has(parcel.footprint)) continue;
      const site = gapOn(parcel.footprint, here[i]!, shelf, i + 1, clearance);
      if (site === null) {
        hopeless[i]!.add(parcel.footprint);
        continue;
      }
      const spot = { shelf: i + 1, xMm: site.xMm, yMm: site.yMm };
      const footprint = site.turned ? turnedRound(parcel.footprint) : parcel.footprint;
      found.set(parcel.id, { ...spot, turned: site.turned });
      here[i]!.push({ id: parcel.id, footprint, spot });
      break;
    }
  }
  return found;
}
