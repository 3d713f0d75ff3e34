import type { Meeting, Opacity, Surface } from '../signs';
import {
  groundKey,
  parseZoneKey,
  slipKey,
  speaksFor,
  stackKey,
  zoneShare,
  zonesOf,
} from '../zones';
import type { Face, Layer, Zone } from '../zones';

/** A fault or an effect as it was seen on a piece. */
export type SeenSign = { sign: string; severity: 1 | 2 | 3; wanted: boolean };

/** What someone wrote of a piece (`zone: null`) or of one of its zones; null where nothing was said. */
export type Seen = {
  zone: string | null;
  seenAt: string;
  surface: Surface | null;
  opacity: Opacity | null;
  colour: string | null;
  movementMm: number | null;
  met: Meeting | null;
  rating: number | null;
  signs: SeenSign[];
};

/** A piece as it went through one firing, with all that was seen after it. */
export type FiredPiece = {
  pieceId: string;
  firingId: string;
  generation: number;
  body: string;
  faces: Face[];
  layers: Layer[];
  cone: string;
  atmosphere: string;
  /** Recorded circumstances, by name, that a contradiction may turn on. */
  variables: Record<string, string>;
  seen: Seen[];
};

/** One piece's contribution to one cell. */
export type Sighting = {
  pieceId: string;
  firingId: string;
  stackKey: string;
  slips: string;
  groundKey: string;
  cone: string;
  atmosphere: string;
  /** Coatings of the stack from base to top, by slug. */
  coatings: string[];
  faceNo: number;
  /** Share of its faces that this stack takes up, 0 … 1. */
  area: number;
  seenAt: string;
  surface: Surface | null;
  opacity: Opacity | null;
  colour: string | null;
  movementMm: number | null;
  met: Meeting | null;
  rating: number | null;
  signs: SeenSign[];
  variables: Record<string, string>;
};

/** Text of a cell's identity: stack, ground, cone and atmosphere. */
export function cellKey(
  s: Pick<Sighting, 'stackKey' | 'groundKey' | 'cone' | 'atmosphere'>,
): string {
  return `${s.stackKey} @ ${s.groundKey} @ ${s.cone} @ ${s.atmosphere}`;
}

/**
 * From layers and observations to what the chart counts. Every zone of the piece
 * takes what was said of the whole piece, overlaid by what was said of that zone; two
 * zones with one stack on one ground are one sighting. A piece of which nothing was
 * said contributes nothing.
 */
export function sightingsOf(piece: FiredPiece): Sighting[] {
  if (piece.seen.length === 0) return [];
  const byCell = new Map<string, Sighting>();
  const faces = new Map(piece.faces.map((face) => [face.no, face]));
  for (const zone of zonesOf(piece.faces, piece.layers, piece.generation)) {
    const face = faces.get(zone.face) as Face;
    const said = sayOf(zone, piece.seen);
    if (said === null) continue;
    const slips = slipKey(face, zone.ground);
    const sighting: Sighting = {
      pieceId: piece.pieceId,
      firingId: piece.firingId,
      stackKey: stackKey(zone.stack),
      slips,
      groundKey: groundKey(piece.body, slips),
      cone: piece.cone,
      atmosphere: piece.atmosphere,
      coatings: zone.stack.map((entry) => entry.coat.slug),
      faceNo: zone.face,
      area: zoneShare(zone) / piece.faces.length,
      variables: piece.variables,
      ...said,
    };
    const key = cellKey(sighting);
    const other = byCell.get(key);
    byCell.set(key, other === undefined ? sighting : joinZones(other, sighting));
  }
  return [...byCell.values()];
}

type Said = Omit<Seen, 'zone'>;

function sayOf(zone: Zone, seen: readonly Seen[]): Said | null {
  const here = seen.filter((one) => {
    if (one.zone === null) return true;
    const place = parseZoneKey(one.zone);
    return place !== null && speaksFor(place, zone);
  });
  if (here.length === 0) return null;
  const whole = here.filter((one) => one.zone === null);
  const own = here.filter((one) => one.zone !== null);
  const said = [...whole, ...own].reduce<Said>(
    (sum, one) => ({
      seenAt: one.seenAt > sum.seenAt ? one.seenAt : sum.seenAt,
      surface: one.surface ?? sum.surface,
      opacity: one.opacity ?? sum.opacity,
      colour: one.colour ?? sum.colour,
      movementMm: one.movementMm ?? sum.movementMm,
      met: one.met ?? sum.met,
      rating: one.rating ?? sum.rating,
      signs: [],
    }),
    {
      seenAt: '',
      surface: null,
      opacity: null,
      colour: null,
      movementMm: null,
      met: null,
      rating: null,
      signs: [],
    },
  );
  return { ...said, signs: joinSigns([...whole, ...own].map((one) => one.signs)) };
}

/** Later words about the same sign replace earlier ones. */
function joinSigns(lists: readonly SeenSign[][]): SeenSign[] {
  const bySign = new Map<string, SeenSign>();
  for (const sign of lists.flat()) bySign.set(sign.sign, sign);
  return [...bySign.values()].sort((a, b) => a.sign.localeCompare(b.sign));
}

function joinZones(a: Sighting, b: Sighting): Sighting {
  const worst = new Map(a.signs.map((sign) => [sign.sign, sign]));
  for (const sign of b.signs) {
    const held = worst.get(sign.sign);
    if (held === undefined || sign.severity > held.severity) worst.set(sign.sign, sign);
  }
  const max = (x: number | null, y: number | null): number | null =>
    x === null ? y : y === null ? x : Math.max(x, y);
  return {
    ...a,
    area: a.area + b.area,
    seenAt: a.seenAt > b.seenAt ? a.seenAt : b.seenAt,
    surface: a.surface ?? b.surface,
    opacity: a.opacity ?? b.opacity,
    colour: a.colour ?? b.colour,
    movementMm: max(a.movementMm, b.movementMm),
    met: a.met ?? b.met,
    rating: max(a.rating, b.rating),
    signs: [...worst.values()].sort((x, y) => x.sign.localeCompare(y.sign)),
  };
}
