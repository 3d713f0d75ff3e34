import { CONE_KNOWN, type ConeKnown } from '../firing';
import type { Meeting, Surface } from '../signs';
import { AGREED, divisionsOf, type Division } from './divisions';
import type { PieceView } from './sides';
import type { Testimony } from './sightings';

export const STANDINGS = ['untried', 'once', 'repeated', 'settled', 'depends', 'contradictory'] as const;
export type Standing = (typeof STANDINGS)[number];

/** A fault or effect over all pieces of a cell. */
export type CellSign = { sign: string; pieces: number; severity: 1 | 2 | 3; wanted: boolean };

export type CellSummary = {
  standing: Standing;
  pieces: number;
  firings: number;
  /** Pieces of which something was said, and those that show in everything what most show. */
  speaking: number;
  agreeing: number;
  surface: Surface | null;
  met: Meeting | null;
  movementMm: number | null;
  rating: number | null;
  /** Least and most liked: people's taste, which divides nothing. */
  ratings: [number, number] | null;
  signs: CellSign[];
  /** Signs that came after the opening, by pieces; and those that went away again. */
  later: { sign: string; pieces: number }[];
  gone: { sign: string; pieces: number }[];
  /** Pieces about which people who looked at the same time differ. */
  split: number;
  /** How the cone is known, by pieces. */
  known: Partial<Record<ConeKnown, number>>;
  lastSeen: string;
  divisions: Division[];
};

/** The sightings of a piece, several firings may be among them, as one: the latest words stand. */
function pieceViews(sightings: readonly Testimony[]): PieceView[] {
  const views = new Map<string, PieceView>();
  const inTime = [...sightings].sort(
    (a, b) => compare(a.seenAt, b.seenAt) || compare(a.firingId, b.firingId),
  );
  for (const one of inTime) {
    const before = views.get(one.pieceId);
    views.set(one.pieceId, {
      pieceId: one.pieceId,
      firingId: one.firingId,
      surface: one.surface ?? before?.surface ?? null,
      opacity: one.opacity ?? before?.opacity ?? null,
      colour: one.colour ?? before?.colour ?? null,
      lab: one.lab ?? before?.lab ?? null,
      met: one.met ?? before?.met ?? null,
      movementMm: one.movementMm ?? before?.movementMm ?? null,
      signs: new Map(one.signs.map((sign) => [sign.sign, sign])),
      variables: one.variables,
    });
  }
  return [...views.values()].sort((a, b) => compare(a.pieceId, b.pieceId));
}

const compare = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** The commonest value; ties go to the one that sorts first. Null when there is none. */
function commonest<T extends string>(values: readonly (T | null)[]): T | null {
  const counts = tally(values.filter((value) => value !== null));
  return [...counts].sort((a, b) => b[1] - a[1] || compare(a[0], b[0]))[0]?.[0] ?? null;
}

function tally<T>(values: readonly T[]): Map<T, number> {
  const counts = new Map<T, number>();
  for (const value of values) counts.set(value, (counts.get(value) ?? 0) + 1);
  return counts;
}

function median(values: readonly number[]): number | null {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1
    ? (sorted[middle] as number)
    : ((sorted[middle - 1] as number) + (sorted[middle] as number)) / 2;
}

const known = (values: readonly (number | null)[]): number[] => values.filter((value) => value !== null);

function signsOf(views: readonly PieceView[]): CellSign[] {
  const signs = new Map<string, CellSign>();
  for (const view of views)
    for (const [sign, { severity, wanted }] of view.signs) {
      const held = signs.get(sign) ?? { sign, pieces: 0, severity: 1, wanted: true };
      signs.set(sign, {
        sign,
        pieces: held.pieces + 1,
        severity: Math.max(held.severity, severity) as 1 | 2 | 3,
        wanted: held.wanted && wanted,
      });
    }
  return [...signs.values()].sort((a, b) => b.pieces - a.pieces || compare(a.sign, b.sign));
}

const bySign = (signs: readonly string[]): { sign: string; pieces: number }[] =>
  [...tally(signs)]
    .map(([sign, pieces]) => ({ sign, pieces }))
    .sort((a, b) => b.pieces - a.pieces || compare(a.sign, b.sign));

/**
 * How well a cell is known, from all sightings of it, by proportion. Pieces are counted, never
 * zones, looks or pictures. Settled: three or more pieces over two or more firings, of which at
 * least 60 % agree with 95 % (6 of 6, 10 of 11); what differs is named as an exception. Depends:
 * what divides them a recorded circumstance tells apart beyond chance. Contradictory: sides that
 * nothing recorded tells apart. Repeated: several that agree so far. Measured colours further apart than
 * `apart` (ΔE₀₀) are two. The result does not depend
 * on the order of the sightings; time grows in proportion to their number.
 */
export function summarise(sightings: readonly Testimony[], apart?: number): CellSummary {
  const views = pieceViews(sightings);
  const firings = new Set(sightings.map((sighting) => sighting.firingId)).size;
  const { divisions, speaking, agreeing, low } = divisionsOf(views, apart);
  const ratings = known(sightings.map(({ rating }) => rating));
  const knownBy = tally(sightings.map(({ coneKnown }) => coneKnown));
  return {
    standing: standingOf(views.length, firings, speaking, low, divisions),
    pieces: views.length,
    firings,
    speaking,
    agreeing,
    surface: commonest(views.map((view) => view.surface)),
    met: commonest(views.map(({ met }) => met)),
    movementMm: median(known(views.map(({ movementMm }) => movementMm))),
    rating: median(ratings),
    ratings:
      ratings.length === 0
        ? null
        : [ratings.reduce((a, b) => Math.min(a, b)), ratings.reduce((a, b) => Math.max(a, b))],
    signs: signsOf(views),
    later: bySign(sightings.flatMap(({ changes }) => changes.later)),
    gone: bySign(sightings.flatMap(({ changes }) => changes.gone)),
    split: sightings.filter(({ split }) => split.length > 0).length,
    known: Object.fromEntries(
      CONE_KNOWN.flatMap((how) => (knownBy.has(how) ? [[how, knownBy.get(how)!]] : [])),
    ),
    lastSeen: sightings.reduce((last, { seenAt }) => (seenAt > last ? seenAt : last), ''),
    divisions,
  };
}

function standingOf(
  pieces: number,
  firings: number,
  speaking: number,
  low: number,
  divisions: readonly Division[],
): Standing {
  if (pieces === 0) return 'untried';
  if (divisions.some(({ weight }) => weight === 'open')) return 'contradictory';
  if (divisions.some(({ weight }) => weight === 'depends')) return 'depends';
  if (pieces === 1) return 'once';
  return speaking >= 3 && firings >= 2 && low >= AGREED ? 'settled' : 'repeated';
}
