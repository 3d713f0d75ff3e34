/** What the search finds of each kind: pieces by code or mark, names, firings, anything by its words. */
import type { Cut } from '@/core/frame';
import { nearCodes, readCode } from '@/core/codes';
import { formatCone } from '@/core/cones';
import type { Asked, Named } from '@/core/finding';
import type { Body } from '@/data/bodies';
import type { Coating } from '@/data/coatings';
import type { Source } from '@/data/database';
import { entryAt } from '@/data/entries';
import { findWords } from '@/data/finding';
import { listFirings } from '@/data/firings';
import type { Kiln } from '@/data/kilns';
import type { Person } from '@/data/people';
import { findByMarks, listPieces, type PieceSummary } from '@/data/pieces';
import { listQuestions } from '@/data/questions';
import { may, maySeePiece } from '../people';

export type Found = {
  kind: string;
  title: string;
  detail: string;
  href: string;
  photo?: string | null;
  /** The part of it that is meant. */
  cut?: Cut | null;
};

export const pieceFound = (piece: PieceSummary, detail: string): Found => ({
  kind: 'piece',
  title: piece.code,
  detail,
  href: `/pieces/${piece.code}`,
});

/** A piece by its code or mark; a code that is nearly right is offered as a guess. */
export async function byCode(
  src: Source,
  person: Person,
  text: string,
): Promise<{ found: Found[]; hint: string | null }> {
  const records = may(person, 'see records');
  const found: Found[] = [];
  const code = readCode(text);
  if (code.ok) {
    for (const piece of await listPieces(src, { codes: [code.code] }))
      if (maySeePiece(person, piece)) found.push(pieceFound(piece, `${piece.form}, ${piece.bodyName}`));
    if (found.length === 0)
      return {
        found,
        hint: `${code.code} is a right code, but no piece that you may look at bears it.`,
      };
  } else if (/^[a-z0-9]{5}$/.test(text) && records)
    for (const piece of await listPieces(src, { codes: nearCodes(text) }))
      found.push({
        ...pieceFound(piece, `one character away: ${piece.form}, ${piece.bodyName}`),
        kind: 'piece?',
      });
  if (records)
    for (const { code: bearer } of (await findByMarks(src, [text])).get(text)?.slice(0, 5) ?? [])
      found.push({
        kind: 'piece',
        title: bearer,
        detail: `mark “${text}”`,
        href: `/pieces/${bearer}`,
      });
  return { found, hint: null };
}

export type Studio = {
  bodies: readonly Body[];
  coatings: readonly Coating[];
  kilns: readonly Kiln[];
  people: readonly Person[];
};

/** Everything that has a name, doubles under what they are. People only for those who keep records. */
export function namesOf({ bodies, coatings, kilns, people }: Studio): Named[] {
  const kept = <T extends { slug: string; name: string }>(
    kind: Named['kind'],
    all: readonly (T & Parameters<typeof entryAt>[0][number])[],
  ): Named[] => all.map(({ slug, name }) => ({ kind, key: entryAt(all, slug)?.slug ?? slug, name }));
  return [
    ...kept(
      'coating',
      coatings.filter(({ trial }) => !trial),
    ),
    ...kept('body', bodies),
    // A kind of clay of which there is one body is that body.
    ...bodies
      .filter(({ kind }) => bodies.filter((one) => one.kind === kind && !one.archived).length === 1)
      .map(({ kind, slug }): Named => ({ kind: 'body', key: slug, name: kind })),
    ...kept('kiln', kilns),
    ...people.map(({ id, name }): Named => ({ kind: 'person', key: id, name })),
  ];
}

/** The thing itself, where a line names one and says little else. */
export function entries(asked: Asked, { bodies, coatings, kilns, people }: Studio): Found[] {
  return asked.chips.flatMap(({ filter }): Found[] => {
    if (filter.is === 'coating') {
      const one = coatings.find(({ slug }) => slug === filter.key)!;
      return [
        {
          kind: one.kind,
          title: one.name,
          detail: one.whatItDoes,
          href: `/store/coatings/${one.slug}`,
        },
      ];
    }
    if (filter.is === 'body') {
      const one = bodies.find(({ slug }) => slug === filter.key)!;
      return [
        {
          kind: 'body',
          title: `Chart on ${one.name}`,
          detail: one.notes,
          href: `/chart?body=${one.slug}`,
        },
      ];
    }
    if (filter.is === 'kiln') {
      const one = kilns.find(({ slug }) => slug === filter.key)!;
      return [
        {
          kind: 'kiln',
          title: one.name,
          detail: 'its thermocouple, hot and cold places, upkeep',
          href: `/kilns/${one.slug}`,
        },
      ];
    }
    if (filter.is !== 'person') return [];
    const one = people.find(({ id }) => id === filter.key)!;
    return [
      {
        kind: 'person',
        title: one.name,
        detail: `${one.role}: everything of theirs`,
        href: `/tests?owner=${one.id}`,
      },
    ];
  });
}

/** Firings of a kiln that was named, the one of its number first. */
export async function firingsOf(src: Source, asked: Asked, kilns: readonly Kiln[]): Promise<Found[]> {
  const filter = asked.chips.find((chip) => chip.filter.is === 'kiln')?.filter;
  const kiln = kilns.find(({ slug }) => slug === filter?.key);
  if (kiln === undefined) return [];
  const number = asked.words.find((word) => /^\d+$/.test(word));
  const firings = await listFirings(src, {
    kilnId: kiln.id,
    limit: 6,
    ...(number === undefined ? {} : { no: Number(number) }),
  });
  return firings.map((firing) => ({
    kind: 'firing',
    title: `${kiln.name} ${firing.no}`,
    detail: `${firing.kind}, cone ${formatCone(firing.targetCone)}, ${firing.plannedFor ?? 'no date'}, ${firing.status}`,
    href: `/kilns/firings/${firing.id}`,
  }));
}

/** Pieces, firings and questions by the words in them; students find their own pieces so. */
export async function byWords(src: Source, person: Person, words: readonly string[]): Promise<Found[]> {
  const only = may(person, 'see records') ? null : { ownerId: person.id };
  const hits = await findWords(src, words, only);
  const ids = (kind: string): string[] => hits.flatMap((hit) => (hit.kind === kind ? [hit.id] : []));
  const [pieces, firings, questions] = await Promise.all([
    listPieces(src, { ids: ids('piece') }),
    listFirings(src, { ids: ids('firing') }),
    ids('question').length === 0 ? [] : listQuestions(src),
  ]);
  return hits.flatMap((hit): Found[] => {
    const piece = pieces.find(({ id }) => id === hit.id);
    if (piece !== undefined) return [pieceFound(piece, hit.text)];
    const firing = firings.find(({ id }) => id === hit.id);
    if (firing !== undefined)
      return [
        {
          kind: 'firing',
          title: `${firing.kilnName} ${firing.no}`,
          detail: hit.text,
          href: `/kilns/firings/${firing.id}`,
        },
      ];
    const question = questions.find(({ id }) => id === hit.id);
    return question === undefined
      ? []
      : [
          {
            kind: 'question',
            title: question.text,
            detail: `question ${question.no}, ${question.seen} of ${question.tiles} tiles written up`,
            href: `/tests/questions/${question.no}`,
          },
        ];
  });
}
