/** A cell as it is named and found from elsewhere. */
import { coneWords } from '@/core/firing';
import { coatsOfKey } from '@/core/zones';
import type { Body } from '@/data/bodies';
import type { Cell } from '@/data/board';

export type NamedCell = {
  /** "Tarn over Gull". */
  title: string;
  /** "Saltbox with slip, cone 6, oxidation". */
  where: string;
  /** The board that shows it, with its close look open where there is one. */
  href: string;
};

export function namedCell(
  cell: Pick<
    Cell,
    'stackKey' | 'slips' | 'cone' | 'coneKnown' | 'atmosphere' | 'base' | 'over' | 'depth' | 'refired'
  >,
  body: Pick<Body, 'slug' | 'name'> | undefined,
  names: Readonly<Record<string, string>>,
): NamedCell {
  const query = new URLSearchParams({
    body: body?.slug ?? '',
    cone: cell.cone,
    atmosphere: cell.atmosphere,
    ground: cell.slips,
    ...(cell.depth <= 2 ? { at: `${cell.base ?? ''}/${cell.over ?? ''}` } : {}),
  });
  return {
    title: coatsOfKey(cell.stackKey)
      .reverse()
      .map(({ slug, version }) => `${names[slug] ?? slug}${version > 1 ? ` v${version}` : ''}`)
      .join(' over '),
    where: `${body?.name ?? ''}${cell.slips === '' ? '' : ' with slip'}, ${coneWords({ known: cell.coneKnown, band: cell.cone })}, ${cell.atmosphere}${cell.refired ? ', after a refire' : ''}`,
    href: `/chart?${query.toString()}`,
  };
}
