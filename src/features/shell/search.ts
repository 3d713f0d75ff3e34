import { nearCodes, readCode } from '@/core/codes';
import { formatCone } from '@/core/cones';
import type { Source } from '@/data/database';
import { listFirings } from '@/data/firings';
import type { Person } from '@/data/people';
import { findByMarks, listPieces } from '@/data/pieces';
import { may, mayTouchPiece } from '../people';
import { listBodies } from '@/data/bodies';
import { entryAt } from '@/data/entries';
import { listCoatings } from '@/data/coatings';
import { listKilns } from '@/data/kilns';

export type Found = { kind: string; title: string; detail: string; href: string };

const ACTS: readonly { words: string; title: string; href: string }[] = [
  { words: 'make tiles pieces lot alike new', title: 'Make tiles', href: '/tests/make' },
  {
    words: 'matrix every base over board new',
    title: 'Every base under every over',
    href: '/tests/matrix',
  },
  { words: 'plan firing load kiln new', title: 'Plan a firing', href: '/kilns/plan' },
  { words: 'schedule program hold cone how long', title: 'Schedules', href: '/kilns/schedules' },
  { words: 'calendar queue waiting firings duty', title: 'Calendar', href: '/kilns/calendar' },
  { words: 'compare firings curves', title: 'Compare firings', href: '/kilns/compare' },
  {
    words: 'import bring in csv spreadsheet past',
    title: 'Bring in past tests',
    href: '/studio/import',
  },
  {
    words: 'pictures folder photos match',
    title: 'Bring in a folder of pictures',
    href: '/studio/pictures',
  },
];

const has = (text: string, wanted: string): boolean => text.toLowerCase().includes(wanted);

/** What the search field finds, best guess first; a code that is nearly right gets a hint. */
export async function search(
  src: Source,
  person: Person,
  text: string,
): Promise<{ found: Found[]; hint: string | null }> {
  const wanted = text.trim().toLowerCase();
  const records = may(person, 'see records');
  const found: Found[] = [];
  let hint: string | null = null;
  const code = readCode(wanted);
  if (code.ok) {
    for (const piece of await listPieces(src, { codes: [code.code] })) {
      if (mayTouchPiece(person, piece.ownerId))
        found.push({
          kind: 'piece',
          title: piece.code,
          detail: `${piece.form}, ${piece.bodyName}`,
          href: `/pieces/${piece.code}`,
        });
    }
    if (found.length === 0) hint = `${code.code} is a right code, but no piece of yours bears it.`;
  } else if (/^[a-z0-9]{5}$/.test(wanted) && records) {
    const near = await listPieces(src, { codes: nearCodes(wanted) });
    for (const piece of near)
      found.push({
        kind: 'piece?',
        title: piece.code,
        detail: `one character away: ${piece.form}, ${piece.bodyName}`,
        href: `/pieces/${piece.code}`,
      });
  }
  if (wanted !== '' && records) {
    for (const { code: bearer } of (await findByMarks(src, [text.trim()]))
      .get(wanted)
      ?.slice(0, 5) ?? []) {
      found.push({
        kind: 'piece',
        title: bearer,
        detail: `mark “${text.trim()}”`,
        href: `/pieces/${bearer}`,
      });
    }
  }
  const [bodies, coatings] = await Promise.all([listBodies(src), listCoatings(src)]);
  const pair = /^(.+?)\s+over\s+(.+)$/.exec(wanted);
  if (pair) {
    const named = (part: string) => coatings.filter((coating) => has(coating.name, part.trim()));
    for (const over of named(pair[1] as string)) {
      for (const base of named(pair[2] as string)) {
        if (over.slug !== base.slug)
          found.push({
            kind: 'chart',
            title: `${over.name} over ${base.name}`,
            detail: '',
            href: `/chart?at=${base.slug}/${over.slug}`,
          });
      }
    }
  }
  /** Entries of that name; a double leads to what it is. */
  const called = <T extends Parameters<typeof entryAt>[0][number] & { name: string }>(
    entries: readonly T[],
  ): T[] => [
    ...new Set(
      entries
        .filter((one) => wanted !== '' && has(one.name, wanted))
        .flatMap(({ slug }) => entryAt(entries, slug) ?? []),
    ),
  ];
  for (const coating of called(coatings)) {
    found.push({
      kind: coating.kind,
      title: coating.name,
      detail: coating.whatItDoes,
      href: records ? `/store/coatings/${coating.slug}` : `/chart?at=${coating.slug}/`,
    });
  }
  for (const body of called(bodies)) {
    found.push({
      kind: 'body',
      title: `Chart on ${body.name}`,
      detail: body.notes,
      href: `/chart?body=${body.slug}`,
    });
  }
  if (records && wanted !== '') {
    const kilns = await listKilns(src);
    const number = /(\d+)$/.exec(wanted)?.[1];
    const meant = kilns.find((one) => has(wanted, one.name.toLowerCase()) || has(one.name, wanted));
    const kiln = meant && entryAt(kilns, meant.slug);
    if (kiln) {
      if (number === undefined)
        found.push({
          kind: 'kiln',
          title: kiln.name,
          detail: 'its thermocouple, hot and cold places, upkeep',
          href: `/kilns/${kiln.slug}`,
        });
      const firings = await listFirings(src, {
        kilnId: kiln.id,
        limit: 6,
        ...(number === undefined ? {} : { no: Number(number) }),
      });
      for (const firing of firings) {
        found.push({
          kind: 'firing',
          title: `${kiln.name} ${firing.no}`,
          detail: `${firing.kind}, cone ${formatCone(firing.targetCone)}, ${firing.plannedFor ?? 'no date'}, ${firing.status}`,
          href: `/kilns/firings/${firing.id}`,
        });
      }
    }
  }
  if (records) {
    for (const act of ACTS.filter(
      (one) => wanted === '' || wanted.split(/\s+/).every((word) => has(one.words, word)),
    )) {
      found.push({ kind: 'do', title: act.title, detail: '', href: act.href });
    }
  }
  return { found: found.slice(0, 25), hint };
}
