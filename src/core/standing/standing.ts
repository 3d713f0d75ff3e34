import type { Meeting, Surface } from '../signs';
import type { Sighting } from './sightings';

export const STANDINGS = ['untried', 'once', 'repeated', 'settled', 'contradictory'] as const;
export type Standing = (typeof STANDINGS)[number];

/** A fault or effect over all pieces of a cell. */
export type CellSign = { sign: string; pieces: number; severity: 1 | 2 | 3; wanted: boolean };

/** Pieces that disagree about one thing, and the recorded circumstances that tell them apart. */
export type Contradiction = {
  about: string;
  sides: { value: string; pieces: string[] }[];
  /** Circumstances of which the two sides share no value, then those shared only in part. */
  differIn: { variable: string; wholly: boolean; values: string[][] }[];
};

export type CellSummary = {
  standing: Standing;
  pieces: number;
  firings: number;
  surface: Surface | null;
  met: Meeting | null;
  movementMm: number | null;
  rating: number | null;
  signs: CellSign[];
  lastSeen: string;
  contradictions: Contradiction[];
};

/** One piece of a cell: its sightings there (several firings may be among them) as one. */
type PieceView = {
  pieceId: string;
  surface: Surface | null;
  signs: Map<string, { severity: number; wanted: boolean }>;
  variables: Record<string, string>;
};

/** A fault this bad makes the difference between two pieces. */
const MARKED = 2;

function pieceViews(sightings: readonly Sighting[]): PieceView[] {
  const views = new Map<string, PieceView>();
  for (const sighting of [...sightings].sort(
    (a, b) => a.seenAt.localeCompare(b.seenAt) || a.firingId.localeCompare(b.firingId),
  )) {
    const view = views.get(sighting.pieceId) ?? {
      pieceId: sighting.pieceId,
      surface: null,
      signs: new Map(),
      variables: {},
    };
    view.surface = sighting.surface ?? view.surface;
    for (const sign of sighting.signs) view.signs.set(sign.sign, sign);
    view.variables = { ...view.variables, ...sighting.variables };
    views.set(sighting.pieceId, view);
  }
  return [...views.values()].sort((a, b) => a.pieceId.localeCompare(b.pieceId));
}

/** The commonest value; ties go to the one that sorts first. Null when there is none. */
function commonest<T extends string>(values: readonly (T | null)[]): T | null {
  const counts = new Map<T, number>();
  for (const value of values) if (value !== null) counts.set(value, (counts.get(value) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]))[0]?.[0] ?? null;
}

function median(values: readonly number[]): number | null {
  if (values.length === 0) return null;
  const sorted = [...values].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1
    ? (sorted[middle] as number)
    : ((sorted[middle - 1] as number) + (sorted[middle] as number)) / 2;
}

function tellApart(sides: readonly PieceView[][]): Contradiction['differIn'] {
  const names = new Set(sides.flat().flatMap((view) => Object.keys(view.variables)));
  const found: Contradiction['differIn'] = [];
  for (const variable of [...names].sort()) {
    const values = sides.map((side) =>
      [
        ...new Set(
          side.map((view) => view.variables[variable]).filter((value) => value !== undefined),
        ),
      ].sort(),
    );
    if (values.some((side) => side.length === 0)) continue;
    const seen = new Set<string>();
    let shared = false;
    for (const side of values)
      for (const value of side)
        if (seen.has(value)) shared = true;
        else seen.add(value);
    if (!shared) found.push({ variable, wholly: true, values });
    else if (values.some((side) => side.join('\n') !== (values[0] as string[]).join('\n'))) {
      found.push({ variable, wholly: false, values });
    }
  }
  return found.sort((a, b) => Number(b.wholly) - Number(a.wholly));
}

function contradictionsOf(views: readonly PieceView[]): Contradiction[] {
  const found: Contradiction[] = [];
  const bySurface = new Map<string, PieceView[]>();
  for (const view of views) {
    if (view.surface !== null)
      bySurface.set(view.surface, [...(bySurface.get(view.surface) ?? []), view]);
  }
  if (bySurface.size > 1) {
    const groups = [...bySurface].sort((a, b) => a[0].localeCompare(b[0]));
    found.push({
      about: 'surface',
      sides: groups.map(([value, side]) => ({ value, pieces: side.map((view) => view.pieceId) })),
      differIn: tellApart(groups.map(([, side]) => side)),
    });
  }
  const marked = new Set<string>();
  for (const view of views) {
    for (const [sign, { severity, wanted }] of view.signs) {
      if (!wanted && severity >= MARKED) marked.add(sign);
    }
  }
  for (const sign of [...marked].sort()) {
    const present = views.filter((view) => view.signs.has(sign));
    const absent = views.filter((view) => !view.signs.has(sign));
    if (absent.length === 0) continue;
    found.push({
      about: sign,
      sides: [
        { value: 'present', pieces: present.map((view) => view.pieceId) },
        { value: 'absent', pieces: absent.map((view) => view.pieceId) },
      ],
      differIn: tellApart([present, absent]),
    });
  }
  return found;
}

/**
 * How well a cell is known, from all sightings of it. Pieces are counted, never zones
 * or pictures. Repeated: two or more pieces that agree; settled: three or more, over at
 * least two firings, that agree; contradictory: two that differ in surface, or one with a
 * marked fault that another does not show at all. (Thresholds: the studio's convention,
 * no source.) The result does not depend on the order of the sightings.
 */
export function summarise(sightings: readonly Sighting[]): CellSummary {
  const views = pieceViews(sightings);
  const firings = new Set(sightings.map((sighting) => sighting.firingId)).size;
  const contradictions = contradictionsOf(views);
  const signs = new Map<string, CellSign>();
  for (const view of views) {
    for (const [sign, { severity, wanted }] of view.signs) {
      const held = signs.get(sign) ?? { sign, pieces: 0, severity: 1, wanted: true };
      signs.set(sign, {
        sign,
        pieces: held.pieces + 1,
        severity: Math.max(held.severity, severity) as 1 | 2 | 3,
        wanted: held.wanted && wanted,
      });
    }
  }
  const ratings = sightings.flatMap(({ rating }) => (rating === null ? [] : [rating]));
  return {
    standing: standingOf(views.length, firings, contradictions.length > 0),
    pieces: views.length,
    firings,
    surface: commonest(views.map((view) => view.surface)),
    met: commonest(sightings.map((sighting) => sighting.met)),
    movementMm: median(
      sightings.flatMap(({ movementMm }) => (movementMm === null ? [] : [movementMm])),
    ),
    rating: median(ratings),
    signs: [...signs.values()].sort((a, b) => b.pieces - a.pieces || a.sign.localeCompare(b.sign)),
    lastSeen: sightings.reduce((last, { seenAt }) => (seenAt > last ? seenAt : last), ''),
    contradictions,
  };
}

function standingOf(pieces: number, firings: number, contradictory: boolean): Standing {
  if (pieces === 0) return 'untried';
  if (contradictory) return 'contradictory';
  if (pieces === 1) return 'once';
  return pieces >= 3 && firings >= 2 ? 'settled' : 'repeated';
}

const WORDS: Record<Standing, string> = {
  untried: 'untried',
  once: 'seen once',
  repeated: 'repeated',
  settled: 'settled',
  contradictory: 'contradictory',
};

/** "seen once", "repeated" … */
export const describeStanding = (standing: Standing): string => WORDS[standing];
