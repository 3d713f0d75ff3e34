/** Cells of the chart that show what was asked for, in words and with their picture. */
import type { Asked } from '@/core/finding';
import { coneWords, type ConeKnown } from '@/core/firing';
import { signOf } from '@/core/signs';
import { plainColours } from '@/core/standing';
import { coatsOfKey } from '@/core/zones';
import type { Body } from '@/data/bodies';
import type { Source } from '@/data/database';
import { findCells, type CellFound } from '@/data/finding';
import type { Found } from './find-records';

const SHOWN = 8;

/** Do a cell's colours answer the asked-for ones? Its commonest has to be among them. */
function inColours(cell: CellFound, wanted: readonly string[]): string | null {
  const counts = new Map<string, number>();
  for (const colour of cell.colours) counts.set(colour, (counts.get(colour) ?? 0) + 1);
  const likely = [...counts].sort((a, b) => b[1] - a[1]);
  const match = likely.find(([colour]) => {
    const plain = plainColours(colour);
    return wanted.every((one) => plainColours(one).some((each) => plain.includes(each)));
  });
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
  const bodyIds = keys('body').flatMap((slug) => bodies.find((one) => one.slug === slug)?.id ?? []);
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
        Number(says(b.colour, colours)) - Number(says(a.colour, colours)),
    )
    .slice(0, SHOWN)
    .map(({ cell, colour }) => {
      const body = byId.get(cell.bodyId);
      const coats = coatsOfKey(cell.stackKey);
      const title = [...coats]
        .reverse()
        .map(({ slug, version }) => `${names[slug] ?? slug}${version > 1 ? ` v${version}` : ''}`)
        .join(' over ');
      const shown = [
        cell.surface,
        colour ?? cell.colours[0],
        ...cell.signs.map(({ sign }) => signOf(sign)?.name.toLowerCase() ?? sign),
      ].filter(Boolean);
      const query = new URLSearchParams({
        body: body?.slug ?? '',
        cone: cell.cone,
        atmosphere: cell.atmosphere,
        ground: cell.slips,
        ...(cell.depth <= 2 ? { at: `${cell.base ?? ''}/${cell.over ?? ''}` } : {}),
      });
      return {
        kind: 'cell',
        title,
        detail: `${body?.name ?? ''}${cell.slips === '' ? '' : ' with slip'}, ${coneWords({ known: cell.coneKnown as ConeKnown, band: cell.cone })}, ${cell.atmosphere}: ${shown.join(', ')}`,
        href: `/chart?${query.toString()}`,
        photo: cell.photo,
        cut: cell.cut,
      };
    });
}

/** Does a colour say what was asked for in so many words, and not only lie near it? */
const says = (colour: string | null, wanted: readonly string[]): boolean =>
  wanted.every((one) => colour?.toLowerCase().includes(one) ?? false);

/** How much of a cell shows all that is asked for: only tells signs apart. */
const share = (cell: CellFound, wanted: readonly string[]): number =>
  wanted.length === 0
    ? 0
    : Math.min(
        ...wanted.map((sign) => (cell.signs.find((one) => one.sign === sign)?.pieces ?? 0) / cell.pieces), // prettier-ignore
      );
