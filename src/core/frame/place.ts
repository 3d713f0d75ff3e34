/** Zones onto pictures, and touches of a picture onto zones. */
import { inSector, sectorWidth, type Sector, type Stretch, type Zone } from '../zones';
import { apply, homographyOnto, inverse } from './homography';
import type { Corners, Ellipse, Shape, Spot } from './shapes';

/** Height from the foot (or out from the centre) and turn, each 0 to 1. */
export type OnFace = { height: number; turn: number };

const TURN = 2 * Math.PI;

/**
 * Where a point of a picture lies on the framed face; null outside the frame. `aspect` is the picture's
 * height by its width. A face that is drawn flat has its turn from left to right; of a plate it goes
 * clockwise from the rim's top.
 */
export function onFace(shape: Shape, at: Spot, aspect: number, slack = 0): OnFace | null {
  if (shape.kind === 'corners') {
    const { x, y } = apply(inverse(homographyOnto(shape.corners)), at);
    const within = (v: number): boolean => v >= -slack && v <= 1 + slack;
    return within(x) && within(y) ? { height: clamp(y), turn: clamp(x) } : null;
  }
  const { u, v } = inEllipse(shape, at, aspect);
  const height = Math.hypot(u, v);
  if (height > 1 + slack) return null;
  // Back from the ellipse's own axes to the picture's upright, so that the turn begins at the top.
  const tilt = (shape.turn / 180) * Math.PI;
  const turn = (Math.atan2(v, u) + tilt) / TURN + 0.25;
  return { height: clamp(height), turn: ((turn % 1) + 1) % 1 };
}

const clamp = (v: number): number => Math.min(1, Math.max(0, v));

function inEllipse(shape: Ellipse, at: Spot, aspect: number): { u: number; v: number } {
  const [dx, dy] = [at.x - shape.centre.x, (at.y - shape.centre.y) * aspect];
  const tilt = (shape.turn / 180) * Math.PI;
  const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
  return { u: (dx * c + dy * s) / shape.across, v: (-dx * s + dy * c) / shape.along };
}

/** Where a place of the face lies in the picture. */
export function onPicture(shape: Shape, { height, turn }: OnFace, aspect: number): Spot {
  if (shape.kind === 'corners') return apply(homographyOnto(shape.corners), { x: turn, y: height });
  const tilt = (shape.turn / 180) * Math.PI;
  const angle = (turn - 0.25) * TURN - tilt;
  const [u, v] = [height * Math.cos(angle) * shape.across, height * Math.sin(angle) * shape.along];
  const [c, s] = [Math.cos(tilt), Math.sin(tilt)];
  return { x: shape.centre.x + u * c - v * s, y: shape.centre.y + (u * s + v * c) / aspect };
}

type Part = { stretch: Stretch; sector: Sector };

/** The outline of a zone in the picture: four corners, or as many as make its ring smooth. */
export function outlineOf(shape: Shape, { stretch, sector }: Part, aspect: number): Spot[] {
  const width = sectorWidth(sector);
  if (shape.kind === 'corners') {
    // A sector that passes the front is drawn as what is left and right of it: here as the whole face.
    const [from, to] = sector.from < sector.to ? [sector.from, sector.to] : [0, 1];
    return [
      { height: stretch.from, turn: from },
      { height: stretch.from, turn: to },
      { height: stretch.to, turn: to },
      { height: stretch.to, turn: from },
    ].map((one) => onPicture(shape, one, aspect));
  }
  const steps = Math.max(4, Math.round(48 * width));
  const arc = (height: number): Spot[] =>
    Array.from({ length: steps + 1 }, (_, i) =>
      onPicture(shape, { height, turn: sector.from + (width * i) / steps }, aspect),
    );
  const outer = arc(stretch.to);
  return stretch.from < 0.001 && width > 0.99 ? outer : [...outer, ...arc(stretch.from).reverse()];
}

/**
 * The zones of a framed face that lie under a point of the picture: one, or the parts of a relief that share
 * the place.
 */
export function zonesUnder<Z extends Pick<Zone, 'face' | 'stretch' | 'sector'>>(
  zones: readonly Z[],
  frame: { face: number; shape: Shape },
  at: Spot,
  aspect: number,
): Z[] {
  const place = onFace(frame.shape, at, aspect, 0.02);
  if (place === null) return [];
  return zones.filter(
    ({ face, stretch, sector }) =>
      face === frame.face &&
      place.height >= stretch.from &&
      (place.height < stretch.to || stretch.to === 1) &&
      inSector(Math.min(place.turn, 1 - 1e-9), sector),
  );
}

/**
 * Spots inside a zone, evenly over it, its edges left out where they may belong to its neighbour or lie in
 * the shade.
 */
export function spotsOf(shape: Shape, part: Part, aspect: number, count = 2500): Spot[] {
  const inner = within(part);
  const width = sectorWidth(inner.sector);
  const side = Math.ceil(Math.sqrt(count));
  const rings = shape.kind === 'ellipse';
  const spots: Spot[] = [];
  for (let i = 0; i < side; i++)
    for (let j = 0; j < side; j++) {
      const share = (i + 0.5) / side;
      const { from, to } = inner.stretch;
      // Rings further out are longer: as many spots to every bit of area.
      const height = rings
        ? Math.sqrt(from * from + share * (to * to - from * from))
        : from + share * (to - from);
      const turn = inner.sector.from + width * ((j + 0.5) / side);
      spots.push(onPicture(shape, { height, turn: turn % 1 }, aspect));
    }
  return spots;
}

/** A zone without its edges: a tenth of it, and no less than a fiftieth of the face, on every side. */
export function within({ stretch, sector }: Part): Part {
  const drawn = (from: number, to: number): [number, number] => {
    const edge = Math.min(Math.max(0.02, 0.12 * (to - from)), 0.35 * (to - from));
    return [from + edge, to - edge];
  };
  const [low, high] = drawn(stretch.from, stretch.to);
  const width = sectorWidth(sector);
  if (width > 0.999) {
    return { stretch: { from: low, to: high }, sector: { from: 0.06, to: 0.94 } };
  }
  const [start, end] = drawn(0, width);
  return {
    stretch: { from: low, to: high },
    sector: { from: (sector.from + start) % 1, to: (sector.from + end) % 1 },
  };
}

/** A face that takes up a frame together with others beside it, left to right: its own part of it. */
export function split({ corners }: Corners, parts: number): Corners[] {
  const map = homographyOnto(corners);
  return Array.from({ length: parts }, (_, i) => ({
    kind: 'corners' as const,
    corners: [
      apply(map, { x: i / parts, y: 0 }),
      apply(map, { x: (i + 1) / parts, y: 0 }),
      apply(map, { x: (i + 1) / parts, y: 1 }),
      apply(map, { x: i / parts, y: 1 }),
    ],
  }));
}

/** The part of a picture that shows a zone, as fractions of the picture, and the zone's outline in it. */
export type Cut = {
  x: number;
  y: number;
  width: number;
  height: number;
  /** Height of the picture by its width. */
  aspect: number;
  outline: Spot[];
};

/** How much of its neighbours a cut shows, as a share of the zone's own size. */
const BESIDE = 0.12;

/** The rectangle around a zone with a little of its neighbours, inside the picture. */
export function cutOf(shape: Shape, part: Part, aspect: number): Cut {
  const outline = outlineOf(shape, part, aspect);
  const span = (of: (at: Spot) => number): [number, number] => {
    const values = outline.map(of);
    const [low, high] = [Math.min(...values), Math.max(...values)];
    const beside = BESIDE * (high - low);
    return [Math.max(0, low - beside), Math.min(1, high + beside)];
  };
  const [left, right] = span(({ x }) => x);
  const [top, bottom] = span(({ y }) => y);
  const round = (v: number): number => Math.round(v * 1e4) / 1e4;
  return {
    x: round(left),
    y: round(top),
    width: round(right - left),
    height: round(bottom - top),
    aspect: round(aspect),
    outline: outline.map(({ x, y }) => ({ x: round(x), y: round(y) })),
  };
}
