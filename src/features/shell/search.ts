/** One search that answers: codes, names, what pieces show, questions, firings, notes and acts. */
import { readAsked, type Asked, type Chip } from '@/core/finding';
import { plainColours } from '@/core/standing';
import { listBodies } from '@/data/bodies';
import { coatNames, listCoatings, type Coating } from '@/data/coatings';
import type { Source } from '@/data/database';
import { findWaiting } from '@/data/finding';
import { listKilns } from '@/data/kilns';
import { listPeople, type Person } from '@/data/people';
import { listPieces } from '@/data/pieces';
import { may } from '../people';
import { cellsFor } from './find-cells';
import {
  byCode,
  byWords,
  entries,
  firingsOf,
  namesOf,
  pieceFound,
  type Found,
  type Studio,
} from './find-records';

export type { Found } from './find-records';
/** What was understood of a line, and the line without it. */
export type FoundChip = { name: string; rest: string };
export type Answer = { found: Found[]; hint: string | null; chips: FoundChip[] };

const ACTS: readonly { words: string; title: string; href: string }[] = [
  { words: 'make tiles pieces lot alike new', title: 'Make tiles', href: '/tests/make' },
  {
    words: 'matrix every base over board new',
    title: 'Every base under every over',
    href: '/tests/ask?design=matrix',
  },
  { words: 'plan firing load kiln new', title: 'Plan a firing', href: '/kilns/plan' },
  { words: 'schedule program hold cone how long', title: 'Schedules', href: '/kilns/schedules' },
  { words: 'calendar queue waiting firings duty', title: 'Calendar', href: '/kilns/calendar' },
  { words: 'compare firings curves', title: 'Compare firings', href: '/kilns/compare' },
  {
    words: 'what glaze is that colour picture photo camera match look alike identify',
    title: 'What glaze is that? By a picture',
    href: '/chart/what',
  },
  {
    words: 'pictures without a frame framing grey card colours measure',
    title: 'Pictures without a frame',
    href: '/pieces/frames',
  },
  {
    words: 'import bring in csv spreadsheet past',
    title: 'Bring in past tests',
    href: '/studio/import',
  },
  {
    words: 'wall board chart picture photograph tiles grid bring in',
    title: 'Bring in a wall board',
    href: '/studio/board',
  },
  {
    words: 'pictures folder photos match',
    title: 'Bring in a folder of pictures',
    href: '/studio/pictures',
  },
];

const MOST = 25;

/** Coatings whose own words name the colour that was asked for: "Pale celadon that pools". */
function saysOfItself(asked: Asked, coatings: readonly Coating[], any: boolean): Found[] {
  // Of a plain colour there are many; a name such as celadon is a kind of glaze.
  const colours = asked.chips.flatMap(({ filter }) =>
    filter.is === 'colour' && (any || plainColours(filter.key)[0] !== filter.key) ? [filter.key] : [],
  );
  return coatings
    .filter(({ archived, trial, whatItDoes }) => {
      const words = whatItDoes.toLowerCase().split(/[^a-z]+/);
      return !archived && !trial && colours.some((colour) => words.includes(colour));
    })
    .map((one) => ({
      kind: one.kind,
      title: one.name,
      detail: one.whatItDoes,
      href: `/store/coatings/${one.slug}`,
    }));
}

const isName = ({ filter }: Chip): boolean => filter.is === 'coating' || filter.is === 'body';

/** Cells that show all of it; where there are none, all but the one thing said last. */
async function nearestCells(
  asked: Asked,
  find: (asked: Asked) => Promise<Found[]>,
): Promise<{ cells: Found[]; left: string | null }> {
  const cells = await find(asked);
  if (cells.length > 0 || asked.chips.length < 2) return { cells, left: null };
  // What it shows is let go of before what is named.
  const order = [...asked.chips.keys()].sort(
    (a, b) => Number(isName(asked.chips[a]!)) - Number(isName(asked.chips[b]!)) || b - a,
  );
  for (const i of order) {
    const fewer = await find({ ...asked, chips: asked.chips.filter((_, at) => at !== i) });
    if (fewer.length > 0) return { cells: fewer, left: asked.chips[i]!.name };
  }
  return { cells, left: null };
}

/** What was left out to find anything, or that nobody has seen it. */
const hintFor = (asked: Asked, left: string | null, found: readonly Found[]): string | null =>
  left !== null
    ? `Nothing shows all of it. Without “${left}”:`
    : found.length === 0 && asked.chips.length > 0
      ? `Nothing on record shows ${asked.chips.map(({ name }) => name).join(', ')}.`
      : null;

/** What the search field finds, best guess first, and what it understood. */
export async function search(src: Source, person: Person, text: string): Promise<Answer> {
  const typed = text.trim().toLowerCase();
  const records = may(person, 'see records');
  const acts = records
    ? ACTS.filter((one) => typed.split(/\s+/).every((word) => one.words.includes(word))).map(
        ({ title, href }): Found => ({ kind: 'do', title, detail: '', href }),
      )
    : [];
  if (typed === '') return { found: acts, hint: null, chips: [] };
  const [bodies, coatings, kilns, people] = await Promise.all([
    listBodies(src),
    listCoatings(src),
    records ? listKilns(src) : [],
    records ? listPeople(src) : [],
  ]);
  const studio: Studio = { bodies, coatings, kilns, people };
  const asked = readAsked(text, namesOf(studio));
  const shows = asked.chips.filter(({ filter }) => !['kiln', 'person', 'waiting'].includes(filter.is));
  const waits = asked.chips.find(({ filter }) => filter.is === 'waiting')?.filter.key;
  const only = records ? null : { ownerId: person.id };
  const { found: coded, hint } = await byCode(src, person, typed);
  const names = coatNames(coatings);
  const [nearest, words, firings, waiting] = await Promise.all([
    shows.length > 0 && asked.words.length === 0
      ? nearestCells(asked, (some) => cellsFor(src, some, bodies, names))
      : { cells: [], left: null },
    byWords(src, person, typed.split(/[^\p{L}\p{N}]+/u)),
    firingsOf(src, asked, kilns),
    waits === undefined ? [] : findWaiting(src, waits, only).then((ids) => listPieces(src, { ids })),
  ]);
  const { cells, left } = nearest;
  const named = [...entries(asked, studio), ...saysOfItself(asked, coatings, cells.length === 0)];
  const alone = asked.chips.length === 1 && asked.words.length === 0;
  const questions = words.filter(({ kind }) => kind === 'question');
  const found = [
    ...coded,
    ...waiting.map((piece) => pieceFound(piece, `waits for a ${waits}: ${piece.form}, ${piece.bodyName}`)),
    ...(acts.length > 0 && asked.chips.length === 0 ? acts : []),
    ...(alone ? named : []),
    ...(asked.words.length > 0 ? firings : []),
    ...(cells.length === 0 ? questions : []),
    ...cells,
    ...words.filter((one) => cells.length > 0 || one.kind !== 'question'),
    ...(asked.words.length > 0 ? [] : firings),
    ...(alone ? [] : named),
    ...acts,
  ];
  const once = new Map(found.map((one) => [`${one.kind}/${one.href}`, one]));
  return {
    found: [...once.values()].slice(0, MOST),
    hint: hint ?? hintFor(asked, left, found),
    chips: asked.chips.map(({ name, words: said }) => ({ name, rest: without(text, said) })),
  };
}

/** A line with some of its words taken off. */
const without = (text: string, words: string): string => {
  const bare = words.replace(/^no /, '');
  const at = text.toLowerCase().indexOf(bare);
  return (at < 0 ? text : text.slice(0, at) + text.slice(at + bare.length))
    .replace(/\b(no|not|without)\s*$/i, '')
    .replace(/\s+/g, ' ')
    .trim();
};
