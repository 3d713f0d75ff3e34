/** Shelves and what stands on them. Millimetres; the origin is the middle of the shelf. */

export const SHELF_SHAPES = ['rectangle', 'round', 'half'] as const;
export type Shelf = {
  shape: (typeof SHELF_SHAPES)[number];
  widthMm: number;
  depthMm: number;
  /** Where its posts stand, where somebody has moved them; else at their usual places. */
  posts?: readonly Post[];
};
export type Post = { xMm: number; yMm: number };

export type Footprint = { round: boolean; widthMm: number; depthMm: number; heightMm: number };
/** Where a piece stands: shelf counted from the bottom, the middle of its footprint. */
export type Spot = { shelf: number; xMm: number; yMm: number };
export type Standing = { id: string; footprint: Footprint; spot: Spot };

/** Pieces are set about this far apart. Common practice, no source. */
export const CLEARANCE_MM = 6;
/** Room above the tallest piece of a shelf, and the thickness of a shelf. Common practice, no source. */
export const HEADROOM_MM = 15;
export const SHELF_MM = 20;

type Guess = Omit<Footprint, 'heightMm'> & { heightMm: number };
const round = (widthMm: number, heightMm: number): Guess => ({
  round: true,
  widthMm,
  depthMm: widthMm,
  heightMm,
});
const oblong = (widthMm: number, depthMm: number, heightMm: number): Guess => ({
  round: false,
  widthMm,
  depthMm,
  heightMm,
});

/** What a form usually takes up, for pieces whose size is not on record. Common practice, no source. */
const USUAL: Record<string, Guess> = {
  'L tile': oblong(50, 55, 95),
  'ring-cut T tile': oblong(45, 50, 80),
  'test cup': round(55, 55),
  'test bowl': round(80, 45),
  slab: oblong(60, 40, 100),
  'ball and coil': oblong(50, 40, 50),
  'draped coil': oblong(60, 50, 60),
  mug: round(88, 105),
  beaker: round(80, 120),
  bowl: round(150, 75),
  plate: round(230, 35),
  vase: round(120, 300),
  'jar with lid': round(120, 160),
};

/** The footprint of a piece: its form's usual one, widened with a height that is on record. */
export function footprintOf(form: string, heightMm: number | null): Footprint {
  const usual = USUAL[form] ?? round(100, 100);
  if (heightMm === null || form === 'plate' || form.includes('tile')) {
    return {
      ...usual,
      heightMm: heightMm !== null && form !== 'plate' ? heightMm : usual.heightMm,
    };
  }
  // Taller pieces of a form are wider too, but less than in proportion.
  const wider = Math.sqrt(Math.max(0.25, heightMm / usual.heightMm));
  return {
    round: usual.round,
    widthMm: Math.round(usual.widthMm * wider),
    depthMm: Math.round(usual.depthMm * wider),
    heightMm,
  };
}

/** Gap between two footprints on one shelf, mm; negative where they overlap. */
export function gapBetween(a: Standing, b: Standing): number {
  const [dx, dy] = [Math.abs(a.spot.xMm - b.spot.xMm), Math.abs(a.spot.yMm - b.spot.yMm)];
  const [fa, fb] = [a.footprint, b.footprint];
  if (fa.round && fb.round) return Math.hypot(dx, dy) - (fa.widthMm + fb.widthMm) / 2;
  if (!fa.round && !fb.round) {
    const [gx, gy] = [dx - (fa.widthMm + fb.widthMm) / 2, dy - (fa.depthMm + fb.depthMm) / 2];
    if (gx > 0 && gy > 0) return Math.hypot(gx, gy);
    return Math.max(gx, gy);
  }
  const [disc, box] = fa.round ? [fa, fb] : [fb, fa];
  const [ox, oy] = [dx - box.widthMm / 2, dy - box.depthMm / 2];
  const outside = Math.hypot(Math.max(ox, 0), Math.max(oy, 0));
  const inside = Math.min(0, Math.max(ox, oy));
  return outside + inside - disc.widthMm / 2;
}

/** Pairs on one shelf nearer than `clearance`. */
export function tooNear(
  standing: readonly Standing[],
  clearance = CLEARANCE_MM,
): { a: string; b: string; gapMm: number }[] {
  const pairs: { a: string; b: string; gapMm: number }[] = [];
  for (let i = 0; i < standing.length; i++)
    for (let j = i + 1; j < standing.length; j++) {
      const [a, b] = [standing[i]!, standing[j]!];
      if (a.spot.shelf !== b.spot.shelf) continue;
      const gapMm = gapBetween(a, b);
      if (gapMm < clearance - 0.01) pairs.push({ a: a.id, b: b.id, gapMm });
    }
  return pairs;
}

/** A post's width. Common practice, no source. */
export const POST_MM = 32;
const POST: Footprint = { round: false, widthMm: POST_MM, depthMm: POST_MM, heightMm: 0 };

/** Where the posts stand that carry the shelf above; usually three: two corners in front, one behind. */
export function postsOf(shelf: Shelf): readonly Post[] {
  if (shelf.posts !== undefined) return shelf.posts;
  const [w, d] = [shelf.widthMm / 2 - POST_MM / 2, shelf.depthMm / 2 - POST_MM / 2];
  if (shelf.shape === 'rectangle')
    return [
      { xMm: -w, yMm: -d },
      { xMm: w, yMm: -d },
      { xMm: 0, yMm: d },
    ];
  const r = shelf.widthMm / 2 - 0.75 * POST_MM;
  if (shelf.shape === 'round')
    return [210, 330, 90].map((degrees) => ({
      xMm: Math.round(r * Math.cos((degrees * Math.PI) / 180)),
      yMm: Math.round(r * Math.sin((degrees * Math.PI) / 180)),
    }));
  // A half shelf: near the ends of its straight edge, and at the middle of its bow.
  return [
    { xMm: -(r - POST_MM / 2), yMm: d },
    { xMm: r - POST_MM / 2, yMm: d },
    { xMm: 0, yMm: Math.round(shelf.depthMm / 2 - r) },
  ];
}

/** The posts on a shelf as things that stand in the way. */
export const standingPosts = (shelf: Shelf, no: number): Standing[] =>
  postsOf(shelf).map((post, i) => ({
    id: `post ${i}`,
    footprint: POST,
    spot: { shelf: no, ...post },
  }));

/** Does a footprint stand where a post has to? */
export const onPost = (shelf: Shelf, footprint: Footprint, spot: Spot): boolean =>
  standingPosts(shelf, spot.shelf).some((post) => gapBetween(post, { id: '', footprint, spot }) < 0);

/** Does the whole footprint lie on the shelf? */
export function onShelf(shelf: Shelf, footprint: Footprint, spot: Spot): boolean {
  const { xMm: x, yMm: y } = spot;
  const [w, d] = [footprint.widthMm / 2, footprint.depthMm / 2];
  if (Math.abs(x) + w > shelf.widthMm / 2 + 0.01 || Math.abs(y) + d > shelf.depthMm / 2 + 0.01) return false;
  if (shelf.shape === 'rectangle') return true;
  const radius = shelf.widthMm / 2;
  // A half shelf's straight edge lies at the foot of its box; its circle's middle is on that edge.
  const centre = shelf.shape === 'half' ? shelf.depthMm / 2 : 0;
  if (footprint.round) {
    return Math.hypot(x, y - centre) + w <= radius + 0.01;
  }
  return [-1, 1].every((sx) =>
    [-1, 1].every((sy) => Math.hypot(x + sx * w, y + sy * d - centre) <= radius + 0.01),
  );
}

/** Area of a shelf, mm². */
export function shelfArea(shelf: Shelf): number {
  if (shelf.shape === 'rectangle') return shelf.widthMm * shelf.depthMm;
  const disc = Math.PI * (shelf.widthMm / 2) ** 2;
  return shelf.shape === 'half' ? disc / 2 : disc;
}

const areaOf = (footprint: Footprint): number =>
  footprint.round ? Math.PI * (footprint.widthMm / 2) ** 2 : footprint.widthMm * footprint.depthMm;

export type Fullness = {
  /** Share of the shelves' area that is stood on, 0 … 1. */
  area: number;
  /** Share of the chamber's height that shelves and ware take up. */
  height: number;
  /** What each shelf needs above it, from its tallest piece, mm; shelf 1 first. */
  spacing: number[];
};

/** How full a load is, and how far apart its shelves must stand. */
export function fullness(
  shelf: Shelf,
  shelves: number,
  chamberMm: number | null,
  standing: readonly { footprint: Footprint; spot: Pick<Spot, 'shelf'> }[],
): Fullness {
  const spacing = Array.from({ length: shelves }, (_, i) => {
    const heights = standing
      .filter(({ spot }) => spot.shelf === i + 1)
      .map(({ footprint }) => footprint.heightMm);
    return heights.length === 0 ? 0 : Math.max(...heights) + HEADROOM_MM;
  });
  const used = spacing.filter((one) => one > 0);
  const needed = used.reduce((sum, one) => sum + one + SHELF_MM, 0);
  const area = standing.reduce((sum, { footprint }) => sum + areaOf(footprint), 0);
  return {
    area: area / (shelfArea(shelf) * Math.max(1, shelves)),
    height: chamberMm === null ? 0 : needed / chamberMm,
    spacing,
  };
}

/** What may be known of how a kiln is built; every part may be unknown. */
export type KilnBuild = {
  shelfShape: Shelf['shape'] | null;
  shelfWidthMm: number | null;
  shelfDepthMm: number | null;
  chamberMm: number | null;
  thermocoupleXMm: number | null;
  thermocoupleYMm: number | null;
  powerKw: number | null;
  /** What a kWh, or a unit of gas, costs. */
  unitPrice: number | null;
  /** Its fastest climb, °C/h. */
  climbRate: number | null;
  /** Hours after which a firing of it is late. */
  latestHours: number | null;
  /** What its pyrometer shows; null: as the studio. */
  showsUnit: 'C' | 'F' | null;
};

/** A kiln nobody has measured yet. */
export const UNMEASURED: KilnBuild = {
  shelfShape: null,
  shelfWidthMm: null,
  shelfDepthMm: null,
  chamberMm: null,
  thermocoupleXMm: null,
  thermocoupleYMm: null,
  powerKw: null,
  unitPrice: null,
  climbRate: null,
  latestHours: null,
  showsUnit: null,
};

/** The shelf of a kiln whose shelf has been measured. */
export function shelfOf(build: KilnBuild, posts: readonly Post[] | null = null): Shelf | null {
  const { shelfShape: shape, shelfWidthMm: widthMm, shelfDepthMm } = build;
  if (shape === null || widthMm === null) return null;
  const moved = posts === null ? {} : { posts };
  if (shape === 'rectangle')
    return shelfDepthMm === null ? null : { shape, widthMm, depthMm: shelfDepthMm, ...moved };
  return { shape, widthMm, depthMm: shape === 'round' ? widthMm : widthMm / 2, ...moved };
}

/** Where a piece stands that has been put in but not on the plan. */
export const NOWHERE = { xMm: null, yMm: null, turned: false } as const;
