import { coneOrdinal, inConeRange, isCone } from '@/core/cones';
import type { BoardCell } from '@/data/board';
import type { Coating } from '@/data/catalogue';

/** A coating as the chart's axes name it. */
export type AxisCoating = { slug: string; name: string; colour: string };

/** All ways one coating has been put over another, on one ground at one cone and atmosphere. */
export type Position = {
  base: string;
  over: string | null;
  /** The way shown on the board: the one best known. */
  main: BoardCell;
  ways: number;
  pieces: number;
};

export type Board = { axis: AxisCoating[]; positions: Map<string, Position>; deeper: BoardCell[] };

export const positionKey = (base: string, over: string | null): string => `${base}/${over ?? ''}`;

const better = (a: BoardCell, b: BoardCell): number =>
  b.pieces - a.pieces ||
  Number(b.photo !== null) - Number(a.photo !== null) ||
  (a.stackKey < b.stackKey ? -1 : 1);

/**
 * Lays cells out as base × over. Every coating that has a cell stands on the axes, and
 * every other one that is in use and whose range holds the cone, so that what is untried
 * has its place; those best known come first. Stacks of three and more coats stand apart.
 */
export function layOut(
  cells: readonly BoardCell[],
  coatings: readonly Coating[],
  cone: string,
): Board {
  const groups = new Map<string, BoardCell[]>();
  const present = new Map<string, number>();
  const deeper: BoardCell[] = [];
  for (const cell of cells) {
    if (cell.base === null) continue;
    if (cell.depth > 2) {
      deeper.push(cell);
      continue;
    }
    for (const slug of [cell.base, cell.over])
      if (slug !== null) present.set(slug, (present.get(slug) ?? 0) + 1);
    const key = positionKey(cell.base, cell.over);
    const group = groups.get(key);
    if (group) group.push(cell);
    else groups.set(key, [cell]);
  }
  const positions = new Map<string, Position>();
  for (const [key, group] of groups) {
    let main = group[0] as BoardCell;
    let pieces = 0;
    for (const cell of group) {
      if (better(cell, main) < 0) main = cell;
      pieces += cell.pieces;
    }
    positions.set(key, {
      base: main.base as string,
      over: main.over,
      main,
      ways: group.length,
      pieces,
    });
  }
  const axis = coatings
    .filter((coating) => present.has(coating.slug) || fits(coating, cone))
    .sort(
      (a, b) =>
        (present.get(b.slug) ?? 0) - (present.get(a.slug) ?? 0) || a.name.localeCompare(b.name),
    )
    .map(({ slug, name, colour }) => ({ slug, name, colour }));
  return { axis, positions, deeper: deeper.sort(better) };
}

/** A coating belongs on the axes of a cone when it is in use, is no slip and no trial, and its range holds the cone. */
function fits(coating: Coating, cone: string): boolean {
  if (coating.archived || coating.trial || coating.kind === 'slip' || coating.kind === 'engobe')
    return false;
  if (!isCone(cone) || coating.coneLow === null || coating.coneHigh === null) return false;
  return inConeRange(cone, { low: coating.coneLow, high: coating.coneHigh });
}

/** Cones in order, "unknown" last. */
export function sortCones(cones: readonly string[]): string[] {
  const place = (cone: string): number => (isCone(cone) ? coneOrdinal(cone) : Infinity);
  return [...new Set(cones)].sort((a, b) => place(a) - place(b));
}
