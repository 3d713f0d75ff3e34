/** Cells of the chart that show what was asked for, in words and with their picture. */
import { colourWords } from '@/core/colour';
import type { Asked } from '@/core/finding';
import { signOf } from '@/core/signs';
import { colourLikeness } from '@/core/standing';
import type { Body } from '@/data/bodies';
import type { Source } from '@/data/database';
import { findCells, type CellFound } from '@/data/finding';
import { namedCell } from '../chart/server';
import type { Found } from './find-records';

const SHOWN = 8;

/**
 * Do a cell's colours answer the asked-for ones? What a grey told of its pieces says it, with the colours
 * that take a good part; where nothing was measured, the commonest words have to be among them.
 */
function inColours(cell: CellFound, wanted: readonly string[]): string | null {
  const answers = (words: string): boolean => likeness(words, wanted) > 0;
  if (cell.colour !== null) {
    const words = colourWords(cell.colour.parts);
    return answers(words) ? words : null;
  }
  const counts = new Map<string, number>();
  for (const colour of cell.colours) counts.set(colour, (counts.get(colour) ?? 0) + 1);
  const match = [...counts].sort((a, b) => b[1] - a[1]).find(([colour]) => answers(colour));
  return match === undefined || match[1] * 3 < cell.colours.length ? null : match[0];
}

export async function cellsFor(
  src: Source,
  asked: Asked,
  bodies: readonly Body[],
  names: Readonly<Record<string, string>>,
): Promise<Found[]> {
  const keys = (is: string): string[] =>
    asked.chips.flatMap(({ filter }) => (filter.is === is ? [filter.key] : []));
  const signs = asked.chips.flatMap(({ filter }) => (filter.is === 'sign' ? [filter] : []));
  const colours = keys('colour');
  const coatings = keys('coating');
  const named = keys('body');
  const grounds = keys('ground');
  const bodyIds =
    named.length + grounds.length === 0
      ? null
      : bodies
          .filter(
            ({ slug, ground }) =>
              (named.length === 0 || named.includes(slug)) &&
              (grounds.length === 0 || grounds.includes(ground)),
          )
          .map(({ id }) => id);
  const wanted = signs.filter(({ without }) => !without).map(({ key }) => key);
  const cells = await findCells(src, {
    bodyIds,
    coatings,
    over: asked.over && coatings.length === 2,
    cone: keys('cone')[0] ?? null,
    atmosphere: keys('atmosphere')[0] ?? null,
    surface: keys('surface')[0] ?? null,
    opacity: keys('opacity')[0] ?? null,
    signs: wanted,
    notSigns: signs.filter(({ without }) => without).map(({ key }) => key),
  });
  const byId = new Map(bodies.map((body) => [body.id, body]));
  return cells
    .flatMap((cell) => {
      const colour = inColours(cell, colours);
      return colours.length > 0 && colour === null ? [] : [{ cell, colour }];
    })
    .sort(
      (a, b) =>
        share(b.cell, wanted) - share(a.cell, wanted) ||
        likeness(b.colour ?? '', colours) - likeness(a.colour ?? '', colours),
    )
    .slice(0, SHOWN)
    .map(({ cell, colour }) => {
      const { title, where, href } = namedCell(cell, byId.get(cell.bodyId), names);
      const shown = [
        cell.surface,
        colour ?? cell.colours[0],
        ...cell.signs.map(({ sign }) => signOf(sign)?.name.toLowerCase() ?? sign),
      ].filter(Boolean);
      return {
        kind: 'cell',
        title,
        detail: `${where}: ${shown.join(', ')}`,
        href,
        photo: cell.photo,
        cut: cell.cut,
      };
    });
}

/** How well a colour answers all that is asked for. */
const likeness = (words: string, wanted: readonly string[]): number =>
  Math.min(1, ...wanted.map((one) => colourLikeness(words, one)));

/** How much of a cell shows all that is asked for: only tells signs apart. */
const share = (cell: CellFound, wanted: readonly string[]): number =>
  wanted.length === 0
    ? 0
    : Math.min(
        ...wanted.map((sign) => (cell.signs.find((one) => one.sign === sign)?.pieces ?? 0) / cell.pieces),
      );
