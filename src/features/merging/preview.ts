/** What making two one would change: carried out, read, and taken back before anybody sees it. */
import { coatsOfKey, describeStack, nameIn } from '@/core/zones';
import { coneWords } from '@/core/firing';
import { describeStanding } from '@/core/standing';
import { cellsByIds, cellsOfPieces, type Cell } from '@/data/board';
import { listBodies } from '@/data/bodies';
import { coatNames, listCoatings } from '@/data/coatings';
import type { Database, Source } from '@/data/database';
import { leadOver, type Move } from '@/data/merging';
import { Refusal } from '@/platform/refusal';
import { makeOne, type Merge } from './merge';

export type Change = { name: string; was: string; becomes: string };
export type Preview = {
  /** Why it cannot be done; then nothing else is said. */
  refused: string | null;
  /** "41 pieces": what is led over, most first. */
  moved: { noun: string; n: number }[];
  renumbered: { was: number; becomes: number }[];
  /** Cells that both had, with their standing before and after; null when there are too many to work out. */
  cells: { joined: Change[]; own: number } | null;
};

/** What tables hold, as people call one of it. */
const NOUNS: Readonly<Record<string, string>> = {
  piece: 'piece',
  firing: 'firing',
  bucket: 'bucket',
  observation: 'look',
  photo: 'picture',
  layer: 'layer',
  face: 'slip ground',
  tile_move: 'entry of the tile stock',
  body_test: 'test of the clay',
  kiln_upkeep: 'entry of upkeep',
  kiln_token: 'device',
  firing_entry: 'diary line',
  reading: 'reading',
  stray_reading: 'unclaimed reading',
  question: 'question',
  flag: 'doubt',
  coating_version: 'version',
};

/** Above this a rehearsal would hold the studio up. */
const MOST_PIECES = 3000;

class TakenBack extends Error {}

function counts(moves: readonly Move[], kind: Merge['kind']): Preview['moved'] {
  const sums = new Map<string, number>();
  for (const { table, rows } of moves) {
    if (table === kind) continue;
    const noun = NOUNS[table] ?? 'other entry';
    sums.set(noun, (sums.get(noun) ?? 0) + rows.length);
  }
  return [...sums].map(([noun, n]) => ({ noun, n })).sort((a, b) => b.n - a.n);
}

/** Carries it out in a transaction that is always rolled back. */
async function rehearse(db: Database, wanted: Merge, own: string): Promise<{ moves: Move[]; after: Cell[] }> {
  let seen: { moves: Move[]; after: Cell[] } | null = null;
  await db
    .transaction(async (trx) => {
      const { moves, pieceIds } = await makeOne(trx, wanted, own, new Date());
      seen = { moves, after: await cellsByIds(trx, await cellsOfPieces(trx, pieceIds)) };
      throw new TakenBack();
    })
    .catch((error: unknown) => {
      if (!(error instanceof TakenBack)) throw error;
    });
  return seen!;
}

const standing = (cell: Cell): string =>
  `${describeStanding(cell.standing)}, ${cell.pieces} ${cell.pieces === 1 ? 'piece' : 'pieces'}`;

async function cellName(src: Source): Promise<(cell: Cell) => string> {
  const [bodies, coatings] = await Promise.all([listBodies(src), listCoatings(src)]);
  const coat = nameIn(coatNames(coatings));
  return (cell) => {
    const stack = coatsOfKey(cell.stackKey).map(({ slug, version, amount }) => ({
      coat: { slug, version, kind: 'glaze' as const },
      amount,
    }));
    const body = bodies.find(({ id }) => id === cell.bodyId)?.name ?? null;
    return `${describeStack(stack, cell.slips, { coat, body })}, ${coneWords({ known: cell.coneKnown, band: cell.cone })}`;
  };
}

export async function previewMerge(db: Database, wanted: Merge, own: string): Promise<Preview> {
  const nothing = { refused: null, moved: [], renumbered: [], cells: null };
  try {
    const plain = await leadOver(db, wanted.kind, wanted.fromId, wanted.intoId);
    const pieces = plain.find(({ table }) => table === 'piece')?.rows.length ?? 0;
    if (pieces > MOST_PIECES) return { ...nothing, moved: counts(plain, wanted.kind) };
    const { moves, after } = await rehearse(db, wanted, own);
    const before = new Map(
      (
        await cellsByIds(
          db,
          after.map(({ id }) => id),
        )
      ).map((cell) => [cell.id, cell]),
    );
    const name = await cellName(db);
    const joined = after.flatMap((cell) => {
      const was = before.get(cell.id);
      return was === undefined ? [] : [{ name: name(cell), was: standing(was), becomes: standing(cell) }];
    });
    return {
      refused: null,
      moved: counts(moves, wanted.kind),
      renumbered: moves.flatMap(({ table, was, became }) =>
        table === 'firing' && typeof was.no === 'number'
          ? [{ was: was.no, becomes: became.no as number }]
          : [],
      ),
      cells: {
        joined: joined.filter(({ was, becomes }) => was !== becomes),
        own: after.length - joined.length,
      },
    };
  } catch (error) {
    if (error instanceof Refusal) return { ...nothing, refused: error.message };
    throw error;
  }
}
