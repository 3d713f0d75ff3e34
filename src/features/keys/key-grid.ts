/** A key of numbers written down later: what is typed or pasted for many marks at once, and what it means. */
import { closest, distance } from 'fastest-levenshtein';
import Papa from 'papaparse';
import { BARE_WORD, writtenName, writtenStack } from '@/core/zones';
import { newLayer, type PutRight } from '../pieces/contracts';

/** So many fields stand for the coats of a piece, the first one on first. */
export const COAT_FIELDS = 3;

export type KeyCoating = { name: string; versionId: string };
export type KeyPiece = { id: string; generation: number };

/**
 * What a row says: nothing yet; that nobody knows; what lies on it; or something that cannot be understood.
 */
export type KeyRow =
  | { says: 'nothing' }
  | { says: 'not known' }
  | { says: 'known'; likely: boolean; coats: { versionId: string; coats: number }[] }
  | { says: 'wrong'; why: string; at: number; near: string | null };

/** No name is that like another one by chance. */
const NEAR = 3;

/** Reads a row of coats, first on first; a field may hold several, as in "Tarn over Pitch". */
export function readKeyRow(cells: readonly string[], coatings: readonly KeyCoating[]): KeyRow {
  const texts = cells.map((cell) => cell.trim());
  if (texts.every((text) => text === '')) return { says: 'nothing' };
  const byName = new Map(coatings.map((one) => [one.name.toLowerCase(), one]));
  const coats: { versionId: string; coats: number }[] = [];
  let likely = false;
  for (const [at, text] of texts.entries()) {
    if (text === '' || BARE_WORD.test(text)) continue;
    for (const written of writtenStack(text)) {
      const { name, doubted, unknown } = writtenName(written.coating);
      // One coat that nobody knows makes the stack unknown.
      if (unknown) return { says: 'not known' };
      const coating = byName.get(name.toLowerCase());
      if (coating === undefined) return { says: 'wrong', at, ...notThere(name, coatings) };
      const n = written.coats === '' ? 1 : Number(written.coats);
      if (!Number.isInteger(n) || n < 1 || n > 20)
        return { says: 'wrong', at, why: `${name}: 1 to 20 coats.`, near: null };
      likely ||= doubted;
      coats.push({ versionId: coating.versionId, coats: n });
    }
  }
  return { says: 'known', likely, coats };
}

function notThere(name: string, coatings: readonly KeyCoating[]): { why: string; near: string | null } {
  const near =
    coatings.length === 0
      ? null
      : closest(
          name,
          coatings.map((one) => one.name),
        );
  const like = near !== null && distance(name.toLowerCase(), near.toLowerCase()) <= NEAR;
  return { why: `“${name}” is not in the store.`, near: like ? near : null };
}

/** Cells pasted from a table, laid from one cell on to the right and down; what does not fit is left out. */
export function pasted(
  grid: readonly (readonly string[])[],
  row: number,
  column: number,
  text: string,
): string[][] {
  const { data } = Papa.parse<string[]>(text.replace(/\r\n?/g, '\n').replace(/\n$/, ''), {
    delimiter: '\t',
    newline: '\n',
  });
  return grid.map((cells, r) =>
    cells.map((cell, c) => data[r - row]?.[c - column]?.trim().slice(0, 200) ?? cell),
  );
}

/** A cell's words in every empty cell beneath it, down to the next one that is filled. */
export function filledDown(grid: readonly (readonly string[])[], row: number, column: number): string[][] {
  const text = grid[row]?.[column] ?? '';
  let open = true;
  return grid.map((cells, r) => {
    if (r <= row) return [...cells];
    open &&= (cells[column] ?? '').trim() === '';
    return cells.map((cell, c) => (open && c === column ? text : cell));
  });
}

/** Pieces of one stack are one change; what says nothing, or that nobody knows, stays as it is. */
export function changesOf(
  pieces: readonly KeyPiece[],
  rows: readonly KeyRow[],
  sure: boolean,
): PutRight['changes'] {
  const changes = new Map<string, PutRight['changes'][number]>();
  for (const [i, row] of rows.entries()) {
    const piece = pieces[i];
    if (row.says !== 'known' || piece === undefined) continue;
    const keyKnown = sure && !row.likely ? ('sure' as const) : ('likely' as const);
    const key = JSON.stringify([row.coats, keyKnown]);
    const change = changes.get(key) ?? {
      pieceIds: [],
      to: {
        layers: row.coats.map(({ versionId, coats }) => ({ ...newLayer(versionId, 1), coats })),
        keyKnown,
      },
    };
    change.pieceIds.push(piece.id);
    changes.set(key, change);
  }
  return [...changes.values()];
}
