/**
 * Reads what people type into the search field: names, signs, surfaces, colours, cones, air, in any order.
 */
import { parseCone } from '../cones';
import { OPACITIES, SIGNS, SURFACES } from '../signs';
import { plainColours } from '../standing';
import { GROUNDS } from '../studio';

export type NamedKind = 'body' | 'coating' | 'kiln' | 'person';
/** Something of the studio that has a name, and the key it is looked up by. */
export type Named = { kind: NamedKind; key: string; name: string };

export type Filter =
  | { is: NamedKind; key: string }
  | { is: 'sign'; key: string; without: boolean }
  | {
      is: 'surface' | 'opacity' | 'colour' | 'cone' | 'atmosphere' | 'ground' | 'waiting';
      key: string;
    };

/** One thing that was understood, with the words it was said in. */
export type Chip = { filter: Filter; words: string; name: string };
export type Asked = {
  chips: Chip[];
  /** Words that are none of the studio's vocabulary: looked for in notes. */
  words: string[];
  /** "A over B": the first coating lies on the second. */
  over: boolean;
};

/** Other words for what signs and surfaces are called. From memory. */
const SYNONYMS: Record<string, Filter> = {
  glossy: { is: 'surface', key: 'gloss' },
  shiny: { is: 'surface', key: 'gloss' },
  bright: { is: 'surface', key: 'gloss' },
  matte: { is: 'surface', key: 'matt' },
  mat: { is: 'surface', key: 'matt' },
  silky: { is: 'surface', key: 'satin' },
  clear: { is: 'opacity', key: 'transparent' },
  refire: { is: 'waiting', key: 'refire' },
  refires: { is: 'waiting', key: 'refire' },
  refiring: { is: 'waiting', key: 'refire' },
  oxidation: { is: 'atmosphere', key: 'oxidation' },
  ox: { is: 'atmosphere', key: 'oxidation' },
  electric: { is: 'atmosphere', key: 'oxidation' },
  reduction: { is: 'atmosphere', key: 'reduction' },
  reduced: { is: 'atmosphere', key: 'reduction' },
  gas: { is: 'atmosphere', key: 'reduction' },
  neutral: { is: 'atmosphere', key: 'neutral' },
};
const SIGN_WORDS: Record<string, string> = {
  pitting: 'pit',
  pinholing: 'pinhole',
  blistering: 'blister',
  crazes: 'crazing',
  craze: 'crazing',
  run: 'running',
  runs: 'running',
  runny: 'running',
  movement: 'running',
  drips: 'running',
  crawl: 'crawling',
  crawls: 'crawling',
  bubbles: 'blister',
  shivers: 'shivering',
  crackle: 'crazing',
  underfired: 'dry',
};
/** What a body is called by those who do not name it. */
const BODY_WORDS = ['body', 'bodies', 'clay', 'clays', 'clay body', 'ground'];
/** Words that only join others. */
const JOINS = new Set([
  'on',
  'in',
  'at',
  'with',
  'and',
  'the',
  'a',
  'of',
  'by',
  'that',
  'is',
  'its',
  'itself',
  'alone',
  'when',
  'does',
  'do',
]);
const SHADES = new Set(['dark', 'light', 'pale', 'deep']);
const WITHOUT = new Set(['no', 'not', 'without', 'never', 'less']);

const plain = (text: string): string =>
  text
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[’']s\b/g, '')
    .replace(/[^\p{L}\p{N}½.^∆-]+/gu, ' ')
    .trim();

/** Letters by which one word becomes another, two that are swapped counted once (after Damerau 1964). */
export function apart(a: string, b: string): number {
  const rows = [Array.from({ length: b.length + 1 }, (_, j) => j)];
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      let least = Math.min(
        rows[i - 1]![j]! + 1,
        row[j - 1]! + 1,
        rows[i - 1]![j - 1]! + (a[i - 1] === b[j - 1] ? 0 : 1),
      );
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1])
        least = Math.min(least, rows[i - 2]![j - 2]! + 1);
      row.push(least);
    }
    rows.push(row);
  }
  return rows[a.length]![b.length]!;
}

/** A slip of the finger or two, by how long a word is; short words have to be right. */
const near = (typed: string, meant: string): boolean =>
  typed[0] === meant[0] && apart(typed, meant) <= (meant.length >= 8 ? 2 : meant.length >= 5 ? 1 : 0);

/** The vocabulary: phrases and what they mean; names go before common words. */
function vocabulary(names: readonly Named[]): Map<string, { filter: Filter; name: string }> {
  const found = new Map<string, { filter: Filter; name: string }>();
  const add = (phrase: string, filter: Filter, name: string): void => {
    if (phrase !== '' && !found.has(phrase)) found.set(phrase, { filter, name });
  };
  for (const { kind, key, name } of names) {
    add(plain(name), { is: kind, key }, name);
    // People are called by their first names.
    if (kind === 'person') add(plain(name).split(' ')[0]!, { is: kind, key }, name);
  }
  for (const { id, name, is } of SIGNS)
    for (const word of [name, id, is, name.replace(/s$/, '')])
      add(plain(word), { is: 'sign', key: id, without: false }, name.toLowerCase());
  for (const [word, id] of Object.entries(SIGN_WORDS))
    add(
      word,
      { is: 'sign', key: id, without: false },
      SIGNS.find((one) => one.id === id)!.name.toLowerCase(),
    );
  for (const one of SURFACES) add(one, { is: 'surface', key: one }, one);
  for (const one of OPACITIES) add(one, { is: 'opacity', key: one }, one);
  for (const ground of GROUNDS)
    for (const one of BODY_WORDS) add(`${ground} ${one}`, { is: 'ground', key: ground }, `${ground} body`);
  for (const [word, filter] of Object.entries(SYNONYMS)) add(word, filter, filter.key);
  return found;
}

const CONE = /^(?:cone|c|\^|∆)?-?(0?\d{1,2}(?:½|\.5)?)$/;

/**
 * What a line asks for, in the order it was typed. Every word is understood as the longest phrase of the
 * studio's names and the trade's words that it begins, else with a slip or two, else as a colour, else
 * it is looked for in notes.
 */
export function readAsked(text: string, names: readonly Named[]): Asked {
  const known = vocabulary(names);
  const tokens = plain(text).split(' ').filter(Boolean);
  const longest = Math.max(1, ...[...known.keys()].map((phrase) => phrase.split(' ').length));
  const asked: Asked = { chips: [], words: [], over: false };
  let without = false;
  const take = (filter: Filter, words: string, name: string): void => {
    const said = filter.is === 'sign' ? { ...filter, without } : filter;
    const typed = without ? `no ${words}` : words;
    asked.chips.push({ filter: said, words: typed, name: without ? `no ${name}` : name });
    without = false;
  };
  for (let i = 0; i < tokens.length;) {
    const token = tokens[i]!;
    if (WITHOUT.has(token)) {
      without = true;
      i++;
      continue;
    }
    if (token === 'over') {
      asked.over = true;
      i++;
      continue;
    }
    const cone = coneAt(tokens, i);
    if (cone !== null) {
      take({ is: 'cone', key: cone.cone }, tokens.slice(i, i + cone.length).join(' '), `cone ${cone.cone}`);
      i += cone.length;
      continue;
    }
    let length = Math.min(longest, tokens.length - i);
    for (; length > 0; length--) {
      const phrase = tokens.slice(i, i + length).join(' ');
      const exact = known.get(phrase);
      if (exact !== undefined) {
        take(exact.filter, phrase, exact.name);
        break;
      }
    }
    if (length > 0) {
      i += length;
      continue;
    }
    // "rose hip" for Rosehip.
    const joined = known.get(token + (tokens[i + 1] ?? ''));
    if (joined !== undefined && tokens[i + 1] !== undefined) {
      take(joined.filter, `${token} ${tokens[i + 1]}`, joined.name);
      i += 2;
      continue;
    }
    // "dark blue" is one colour.
    const next = tokens[i + 1] ?? '';
    if (SHADES.has(token) && plainColours(next).length > 0) {
      take({ is: 'colour', key: `${token} ${next}` }, `${token} ${next}`, `${token} ${next}`);
      i += 2;
      continue;
    }
    if (!JOINS.has(token)) {
      const slip = [...known].find(([phrase]) => near(token, phrase));
      if (slip !== undefined) take(slip[1].filter, token, slip[1].name);
      else if (plainColours(token).length > 0) take({ is: 'colour', key: token }, token, token);
      else asked.words.push(token);
    }
    i++;
  }
  return asked;
}

/** "cone 6", "c6", "∆04", "^10": a bare number is none. */
function coneAt(tokens: readonly string[], i: number): { cone: string; length: number } | null {
  const token = tokens[i]!;
  const joined = token === 'cone' && tokens[i + 1] !== undefined ? `cone${tokens[i + 1]}` : token;
  if (/^\d/.test(joined)) return null;
  const number = CONE.exec(joined)?.[1];
  if (number === undefined) return null;
  const read = parseCone(number);
  return read.ok ? { cone: read.cone, length: joined === token ? 1 : 2 } : null;
}
