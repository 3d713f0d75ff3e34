/**
 * A wall board as people speak of it: headings, dips and halves said once, and what each of its tiles is by
 * that.
 */
import { BARE_WORD, plainName, writtenName, writtenStack, type FaceKind, type Stretch } from '../zones';

/** What the headings along one side of a board name. */
export const AXES = ['coating', 'body', 'coats', 'nothing'] as const;
export type Axis = (typeof AXES)[number];

/** Which half of each tile is another ground; the halves lie side by side. */
export type Halves = { left: FaceKind; right: FaceKind };

export type Wallboard = {
  rows: { are: Axis; headings: readonly string[] };
  columns: { are: Axis; headings: readonly string[] };
  /** Where both name coatings: which of them lies beneath. */
  beneath: 'rows' | 'columns';
  /** Coats of what lies beneath, everywhere. */
  under: number;
  /** Coats of the uppermost coating below and above the line; alike where there is no line. */
  top: { lower: number; upper: number };
  /** How high the line is, from the foot 0 to the rim 1. */
  line: number;
  halves: Halves | null;
  /** The body where no heading names one. */
  body: string;
};

export type TileCoat = { coating: string; coats: number; stretch: Stretch };
export type WallTile = {
  body: string;
  coats: TileCoat[];
  /** Somebody put a question mark behind a name. */
  doubted: boolean;
  /** Nobody knows what is on it: it is kept, and stands in no cell. */
  lost: boolean;
};

const WHOLE: Stretch = { from: 0, to: 1 };

/** Headings as they are pasted: one a line, or divided by tabs, semicolons or commas. */
export const pasted = (text: string): string[] =>
  (/[\n\t]/.test(text) ? text.split(/[\n\t]+/) : text.split(/[;,]/))
    .map((one) => one.trim())
    .filter((one) => one !== '');

/** Coats named by a heading: "2", "2 dips", "three coats". Null where it names no number from 1 to 6. */
export function coatsOf(heading: string): number | null {
  const words = ['one', 'two', 'three', 'four', 'five', 'six'];
  const text = heading.trim().toLowerCase();
  const word = words.findIndex((one) => text.startsWith(one));
  const number = word >= 0 ? word + 1 : Number(/^\d+/.exec(text)?.[0] ?? NaN);
  return Number.isInteger(number) && number >= 1 && number <= 6 ? number : null;
}

function withTop(names: readonly { coating: string; coats: number | null }[], board: Wallboard): TileCoat[] {
  const beneath = names
    .slice(0, -1)
    .map(({ coating, coats }): TileCoat => ({ coating, coats: coats ?? board.under, stretch: WHOLE }));
  const last = names.at(-1);
  if (last === undefined) return beneath;
  const { lower, upper } = board.top;
  if (last.coats !== null || lower === upper)
    return [...beneath, ...some(last.coating, last.coats ?? upper, WHOLE)];
  return [
    ...beneath,
    ...some(last.coating, lower, { from: 0, to: board.line }),
    ...some(last.coating, upper, { from: board.line, to: 1 }),
  ];
}
const some = (coating: string, coats: number, stretch: Stretch): TileCoat[] =>
  coats > 0 ? [{ coating, coats, stretch }] : [];

/**
 * What the tile in a row and a column is. Words of its own ("Tarn over Pitch", "none", "?") go before the
 * headings. Coatings are first on first. Rows and columns from 0.
 */
export function tileOf(board: Wallboard, row: number, column: number, own: string | null): WallTile {
  const at = [
    { are: board.rows.are, heading: board.rows.headings[row] ?? '' },
    { are: board.columns.are, heading: board.columns.headings[column] ?? '' },
  ];
  if (board.beneath === 'columns') at.reverse();
  const body = at.find(({ are, heading }) => are === 'body' && heading.trim() !== '')?.heading ?? board.body;
  const number = at.flatMap(({ are, heading }) => (are === 'coats' ? [coatsOf(heading)] : []))[0] ?? null;
  const headed = at.flatMap(({ are, heading }) => (are === 'coating' ? [heading.trim()] : []));
  const words = own?.trim() ? writtenStack(own) : headed.map((coating) => ({ coating, coats: '' }));
  const bare = own !== null && BARE_WORD.test(own.trim());
  if (bare) return { body, coats: [], doubted: false, lost: false };
  const read = words
    .filter(({ coating }) => !BARE_WORD.test(coating))
    .map(({ coating, coats }) => ({ ...writtenName(coating), coats: coats === '' ? null : coatsOf(coats) }));
  const lost = words.length === 0 || read.some(({ unknown }) => unknown);
  if (lost) return { body, coats: [], doubted: false, lost: true };
  const names = read.map(({ name, coats }, i) => ({
    coating: name,
    coats: coats ?? (i === read.length - 1 ? number : null),
  }));
  return {
    body,
    coats: withTop(names, board),
    doubted: read.some(({ doubted }) => doubted),
    lost: false,
  };
}

/** A tile’s place on its board as people say it: rows by letters, columns by numbers from 1. */
export const placeOf = (row: number, column: number): string =>
  `${row < 26 ? String.fromCharCode(65 + row) : `${String.fromCharCode(64 + Math.floor(row / 26))}${String.fromCharCode(65 + (row % 26))}`}${column + 1}`;

/** Names that stand in headings or in words of tiles, each once, in the order of reading. */
export function namesOf(tiles: readonly WallTile[]): { coatings: string[]; bodies: string[] } {
  const once = (names: readonly string[]): string[] => {
    const first = new Map<string, string>();
    for (const name of names) {
      const key = plainName(name);
      if (!first.has(key)) first.set(key, name);
    }
    return [...first.values()];
  };
  return {
    coatings: once(tiles.flatMap(({ coats }) => coats.map(({ coating }) => coating))),
    bodies: once(tiles.map(({ body }) => body)),
  };
}
