import { ALONE, BASE, CONE, OVER, crossingKey, layOut } from '@/core/axes';
import { inConeRange, isCone } from '@/core/cones';
import { intendedOf } from '@/core/firing';
import type { BoardCell } from '@/data/board';
import type { Coating } from '@/data/coatings';

/** A coating as the chart's axes name it. */
export type AxisCoating = { slug: string; name: string; colour: string };

/** A place on the board. */
export type Pair = { base: string; over: string | null };

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

export const positionKey = (base: string, over: string | null): string => crossingKey(base, over ?? ALONE);

/** What was fired once stands before what was fired again, then the best known. */
const better = (a: BoardCell, b: BoardCell): number =>
  Number(a.refired) - Number(b.refired) ||
  b.pieces - a.pieces ||
  Number(b.photo !== null) - Number(a.photo !== null) ||
  (a.stackKey < b.stackKey ? -1 : 1);

/**
 * Lays cells out as base × over. Every coating that has a cell stands on the axes, and
 * every other one that is in use and whose range holds the cone, so that what is untried
 * has its place; those best known come first. Stacks of three and more coats stand apart.
 */
export function boardOf(cells: readonly BoardCell[], coatings: readonly Coating[], cone: string): Board {
  const [shallow, deeper] = [
    cells.filter(({ depth }) => depth <= 2),
    cells.filter(({ depth, base }) => depth > 2 && base !== null),
  ];
  const present = new Map<string, number>();
  for (const { base, over } of shallow)
    for (const slug of [base, over])
      if (base !== null && slug !== null) present.set(slug, (present.get(slug) ?? 0) + 1);
  const { crossings } = layOut(shallow, { rows: BASE, columns: OVER, better });
  const positions = new Map(
    [...crossings].map(([key, { row, main, ways, pieces }]): [string, Position] => [
      key,
      { base: row, over: main.over, main, ways, pieces },
    ]),
  );
  const axis = coatings
    .filter((coating) => present.has(coating.slug) || fits(coating, cone))
    .sort((a, b) => (present.get(b.slug) ?? 0) - (present.get(a.slug) ?? 0) || a.name.localeCompare(b.name))
    .map(({ slug, name, colour }) => ({ slug, name, colour }));
  return { axis, positions, deeper: deeper.sort(better) };
}

/**
 * A coating belongs on the axes of a cone when it is in use, is no slip and no trial, and its range holds the
 * cone.
 */
function fits(coating: Coating, cone: string): boolean {
  if (coating.archived || coating.trial || coating.kind === 'slip' || coating.kind === 'engobe') return false;
  const heat = intendedOf(cone) ?? cone;
  if (!isCone(heat) || coating.coneLow === null || coating.coneHigh === null) return false;
  return inConeRange(heat, { low: coating.coneLow, high: coating.coneHigh });
}

/** Cones in order, "unknown" last. */
export const sortCones = (cones: readonly string[]): string[] => [...new Set(cones)].sort(CONE.order);
