/** What the pieces of a cell are divided about, and whether it matters. */
import { apartIn } from '../colour';
import { wilson } from '../statistics';
import { tellApart, type Told } from './apart';
import { coloursApart } from './colour-sides';
import { bySize, sidesBy, type PieceView, type Sides } from './sides';

/** Pieces that say the same; only so many are named. */
export type Side = { value: string; count: number; pieces: string[] };

/**
 * Pieces that differ in one thing, most first. An exception leaves what most show standing; what a
 * circumstance tells apart beyond chance depends on it; the rest is open.
 */
export type Division = {
  about: string;
  weight: 'exception' | 'depends' | 'open';
  sides: Side[];
  told: Told[];
  looked: number;
};

/** A fault this bad makes the difference between two pieces. */
const MARKED = 2;
/** Most pieces agree when their share is at least this, with 95 % (so 6 of 6, 10 of 11). */
export const AGREED = 0.6;
/** Among so many pieces a single one that differs is an exception, not a side. */
const ENOUGH = 5;
const NAMED = 12;
/** How far measured colours lie apart that are two, where the studio’s repeats have not said it. */
const UNKNOWN_APART = apartIn({ within: null, between: null });

/** Runs are one side until a gap of more than 5 mm and of half the longer run. Common practice, no source. */
function byRun(views: readonly PieceView[]): Sides {
  const told = views.filter((view) => view.movementMm !== null).sort((a, b) => a.movementMm! - b.movementMm!);
  const groups: PieceView[][] = [];
  for (const view of told) {
    const before = groups.at(-1)?.at(-1)?.movementMm ?? -Infinity;
    const mm = view.movementMm!;
    if (mm - before > Math.max(5, mm / 2)) groups.push([view]);
    else groups.at(-1)!.push(view);
  }
  return new Map(
    groups.map((group) => {
      const [from, to] = [group[0]!.movementMm!, group.at(-1)!.movementMm!];
      return [from === to ? `${from} mm` : `${from} mm to ${to} mm`, group];
    }),
  );
}

/** Each thing that can divide, with its sides. */
function questions(views: readonly PieceView[], apart: number): [about: string, sides: Sides][] {
  const marked = new Set<string>();
  for (const { signs } of views)
    for (const [sign, { severity, wanted }] of signs) if (!wanted && severity >= MARKED) marked.add(sign);
  return [
    ['surface', sidesBy(views, ({ surface }) => surface)],
    // Translucent lies between: it stands against neither.
    ['opacity', sidesBy(views, ({ opacity }) => (opacity === 'translucent' ? null : opacity))],
    ['colour', coloursApart(views, apart)],
    ['how the coats met', sidesBy(views, ({ met }) => met)],
    ['run', byRun(views)],
    ...[...marked]
      .sort()
      .map((sign): [string, Sides] => [
        sign,
        sidesBy(views, (view) => (view.signs.has(sign) ? 'present' : speaks(view) ? 'absent' : null)),
      ]),
  ];
}

function division(about: string, sorted: ReturnType<typeof bySize>, low: number): Division {
  const all = sorted.reduce((sum, [, own]) => sum + own.length, 0);
  const most = sorted[0]![1].length;
  const agreed = low >= AGREED || (all >= ENOUGH && all - most === 1);
  const named = sorted.map(([value, own]) => ({
    value,
    count: own.length,
    pieces: own.slice(0, NAMED).map(({ pieceId }) => pieceId),
  }));
  if (agreed) return { about, weight: 'exception', sides: named, told: [], looked: 0 };
  const { told, looked } = tellApart(
    sorted.flatMap(([, own], i) =>
      own.map(({ firingId, variables }) => ({
        side: i === 0 ? (0 as const) : (1 as const),
        firingId,
        variables,
      })),
    ),
  );
  const weight = told.some(({ sure }) => sure) ? 'depends' : 'open';
  return { about, weight, sides: named, told, looked };
}

/** What was said of how it came out; a rating or a verdict alone is none of it. */
export const speaks = (view: PieceView): boolean =>
  view.signs.size > 0 ||
  [view.surface, view.opacity, view.colour, view.lab ?? null, view.met, view.movementMm].some(
    (one) => one !== null,
  );

/**
 * Everything the pieces are divided about, and in how many of those that say anything all is as
 * with most: `agreeing` of `speaking`, and the least share with which most agree about one thing.
 */
export function divisionsOf(
  views: readonly PieceView[],
  apart = UNKNOWN_APART,
): {
  divisions: Division[];
  speaking: number;
  agreeing: number;
  /** Lower bound of the share that agrees, over everything they say, and least of any one thing. */
  low: number;
} {
  const divisions: Division[] = [];
  const odd = new Set<PieceView>();
  let low = 1;
  for (const [about, sides] of questions(views, apart)) {
    if (sides.size < 2) continue;
    const [most, ...others] = bySize(sides);
    const differ = others.flatMap(([, own]) => own);
    for (const view of differ) odd.add(view);
    const share = wilson(most![1].length, most![1].length + differ.length).low;
    divisions.push(division(about, [most!, ...others], share));
    low = Math.min(low, share);
  }
  const speaking = views.filter(speaks).length;
  const agreeing = speaking - odd.size;
  return { divisions, speaking, agreeing, low: Math.min(low, wilson(agreeing, speaking).low) };
}
