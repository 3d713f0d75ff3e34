import type { ConeKnown } from '../firing';
import type { Lab } from '../colour';
import { faceShare, hasRings } from '../designs';
import { stateOf, voicesOf, type Changes, type Looks, type Seen } from '../looks';
import { groundKey, parseZoneKey, slipKey, speaksFor, stackKey, zoneKey, zoneShare, zonesOf } from '../zones';
import type { Face, Layer, Zone } from '../zones';

/** A piece as it went through one firing, with all that was seen after it. */
export type FiredPiece = {
  pieceId: string;
  firingId: string;
  generation: number;
  body: string;
  faces: Face[];
  form: string;
  layers: Layer[];
  cone: string;
  /** How it is known that this cone was reached. */
  coneKnown: ConeKnown;
  atmosphere: string;
  /** Recorded circumstances, by name, that a contradiction may turn on. */
  variables: Record<string, string>;
  seen: Seen[];
};

/** One piece's contribution to one cell. */
export type Sighting = Looks & {
  pieceId: string;
  firingId: string;
  stackKey: string;
  slips: string;
  groundKey: string;
  cone: string;
  coneKnown: ConeKnown;
  atmosphere: string;
  /** Which glaze firing of the piece it was: 1 for the first. */
  generation: number;
  /** Coatings of the stack from base to top, by slug. */
  coatings: string[];
  /** How it changed since it came out. */
  changes: Changes;
  /** What people who saw the same state of it differ about. */
  split: string[];
  faceNo: number;
  /** The zone in which most of it lies, by its key. */
  zone: string;
  /** Share of its faces that this stack takes up, 0 … 1. */
  area: number;
  seenAt: string;
  variables: Record<string, string>;
};

/** What a sighting says of how its stack came out, apart from where it stands. */
export type Testimony = Pick<
  Sighting,
  | 'pieceId'
  | 'firingId'
  | 'seenAt'
  | 'surface'
  | 'opacity'
  | 'colour'
  | 'movementMm'
  | 'met'
  | 'rating'
  | 'signs'
  | 'variables'
  | 'coneKnown'
  | 'changes'
  | 'split'
> & {
  /** Its colour there, where a grey in its picture told it. */
  lab?: Lab | null;
};

/** A piece that went through a glaze firing before is not evidence for its stack as once fired. */
export const isRefired = ({ generation }: Pick<Sighting, 'generation'>): boolean => generation > 1;

/** Text of a cell's identity: stack, ground, cone and atmosphere, and whether it is of refires. */
export function cellKey(
  s: Pick<Sighting, 'stackKey' | 'groundKey' | 'cone' | 'atmosphere' | 'generation'>,
): string {
  const again = isRefired(s) ? ' @ after a refire' : '';
  return `${s.stackKey} @ ${s.groundKey} @ ${s.cone} @ ${s.atmosphere}${again}`;
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
  const largest = new Map<string, number>();
  const faces = new Map(piece.faces.map((face) => [face.no, face]));
  for (const zone of zonesOf(piece.faces, piece.layers, piece.generation)) {
    const face = faces.get(zone.face) as Face;
    const said = sayOf(zone, piece.seen);
    if (said === null) continue;
    // A foot is left bare on purpose: that says nothing of the body left bare.
    if (face.surface === 'foot' && zone.stack.length === 0) continue;
    const slips = slipKey(face, zone.ground);
    const sighting: Sighting = {
      pieceId: piece.pieceId,
      firingId: piece.firingId,
      stackKey: stackKey(zone.stack),
      slips,
      groundKey: groundKey(piece.body, slips),
      cone: piece.cone,
      coneKnown: piece.coneKnown,
      generation: piece.generation,
      atmosphere: piece.atmosphere,
      coatings: zone.stack.map((entry) => entry.coat.slug),
      faceNo: zone.face,
      zone: zoneKey(zone),
      area: zoneShare(zone, hasRings(piece.form, face.surface ?? null)) * faceShare(face, piece.faces),
      variables: piece.variables,
      ...said,
    };
    const key = cellKey(sighting);
    const other = byCell.get(key);
    const most = largest.get(key) ?? 0;
    const joined = other === undefined ? sighting : joinZones(other, sighting);
    byCell.set(key, sighting.area > most ? { ...joined, faceNo: zone.face, zone: sighting.zone } : joined);
    largest.set(key, Math.max(most, sighting.area));
  }
  return [...byCell.values()];
}

type Said = Looks & Pick<Sighting, 'seenAt' | 'changes' | 'split'>;

function sayOf(zone: Zone, seen: readonly Seen[]): Said | null {
  const here = seen.filter((one) => {
    if (one.zone === null) return true;
    const place = parseZoneKey(one.zone);
    return place !== null && speaksFor(place, zone);
  });
  const state = stateOf(here);
  if (state === null) return null;
  const split = voicesOf(here).flatMap(({ differ }) => differ.map(({ about }) => about));
  return {
    ...state.now,
    seenAt: state.seenAt,
    changes: state.changes,
    split: [...new Set(split)].sort(),
  };
}

function joinZones(a: Sighting, b: Sighting): Sighting {
  const worst = new Map(a.signs.map((sign) => [sign.sign, sign]));
  for (const sign of b.signs) {
    const held = worst.get(sign.sign);
    if (held === undefined || sign.severity > held.severity) worst.set(sign.sign, sign);
  }
  const max = (x: number | null, y: number | null): number | null =>
    x === null ? y : y === null ? x : Math.max(x, y);
  const both = (x: readonly string[], y: readonly string[]): string[] => [...new Set([...x, ...y])].sort();
  return {
    ...a,
    changes: {
      later: both(a.changes.later, b.changes.later),
      gone: both(a.changes.gone, b.changes.gone),
      surfaceWas: a.changes.surfaceWas ?? b.changes.surfaceWas,
    },
    split: both(a.split, b.split),
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
