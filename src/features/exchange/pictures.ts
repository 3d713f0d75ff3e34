import { readCode } from '@/core/codes';
import type { Source } from '@/data/database';
import { listObservations } from '@/data/observations';
import { listPhotos } from '@/data/photos';
import { asTheyStood, listPlacements } from '@/data/placements';
import type { KeyKnown } from '@/core/zones';
import { findByMarks, listPieces } from '@/data/pieces';

export type PictureMatch = {
  file: string;
  pieceId: string | null;
  firingId: string | null;
  code: string | null;
  /** By its code it is sure; by a mark that one piece bears, likely; else nobody knows yet. */
  key: KeyKnown;
  why: string;
  /** Pieces that it may show, where several bear the mark. */
  maybe: { id: string; code: string }[];
};

/**
 * Words of a file name that could be a code or a mark: "IMG_ACEF7-front.jpg" → IMG, ACEF7, FRONT and the
 * whole.
 */
function words(file: string): string[] {
  const bare = (file.split('/').at(-1) ?? file).replace(/\.[a-z0-9]+$/i, '');
  return [bare, ...bare.split(/[\s_.()-]+/)].filter((word) => word !== '');
}

type Found = Omit<PictureMatch, 'firingId'>;
type One = { id: string; code: string };
const known = (file: string, { id, code }: One, key: KeyKnown, why: string): Found => ({
  file,
  pieceId: id,
  code,
  key,
  why,
  maybe: [],
});
const lost = (file: string, why: string, maybe: readonly One[] = []): Found => ({
  file,
  pieceId: null,
  code: null,
  key: 'lost',
  why,
  maybe: maybe.slice(0, 12).map(({ id, code }) => ({ id, code })),
});

/** Finds each picture's piece by a code in its name, else by a mark that only one piece bears. */
export async function matchPictures(src: Source, files: readonly string[]): Promise<PictureMatch[]> {
  const codes = new Map<string, string[]>();
  for (const file of files) {
    codes.set(
      file,
      words(file).flatMap((word) => {
        const read = readCode(word);
        return read.ok ? [read.code] : [];
      }),
    );
  }
  const byCode = new Map(
    (await listPieces(src, { codes: [...new Set([...codes.values()].flat())] })).map((piece) => [
      piece.code,
      piece,
    ]),
  );
  const marked = await findByMarks(src, [...new Set(files.flatMap(words))]);
  const found = files.map((file): Found => {
    const hit = codes
      .get(file)!
      .map((code) => byCode.get(code))
      .find((piece) => piece !== undefined);
    if (hit) return known(file, hit, 'sure', `code ${hit.code}`);
    for (const word of words(file)) {
      const pieces = marked.get(word.toLowerCase()) ?? [];
      if (pieces.length === 1) return known(file, pieces[0]!, 'likely', `mark “${word}”`);
      if (pieces.length > 1) return lost(file, `${pieces.length} pieces bear the mark “${word}”`, pieces);
    }
    return lost(file, 'no code or mark in its name');
  });
  const placements = await listPlacements(src, {
    pieceIds: found.flatMap((one) => (one.pieceId === null ? [] : [one.pieceId])),
  });
  const lastFiring = new Map(
    placements.sort((a, b) => a.generation - b.generation).map((one) => [one.pieceId, one.firingId]),
  );
  return found.map((one) => ({
    ...one,
    firingId: one.pieceId === null ? null : (lastFiring.get(one.pieceId) ?? null),
  }));
}

export type PieceInOrder = {
  id: string;
  code: string;
  /** It has a picture out of this firing. */ pictured: boolean;
};

/**
 * The pieces of a firing in the order in which they were looked at when it was opened; where fewer than half
 * were, as they stood, shelf by shelf from the back.
 */
export async function openingOrder(src: Source, firingId: string): Promise<PieceInOrder[]> {
  const placements = await listPlacements(src, { firingId });
  const looks = await listObservations(src, { firingId });
  const first = new Map<string, number>();
  for (const { pieceId } of looks) if (!first.has(pieceId)) first.set(pieceId, first.size);
  const byLook = 2 * placements.filter(({ pieceId }) => first.has(pieceId)).length >= placements.length;
  const rank = (id: string): number => (byLook ? (first.get(id) ?? first.size) : 0);
  const sorted = [...placements].sort((a, b) => rank(a.pieceId) - rank(b.pieceId) || asTheyStood(a, b));
  const codes = new Map(
    (await listPieces(src, { ids: placements.map(({ pieceId }) => pieceId) })).map(({ id, code }) => [
      id,
      code,
    ]),
  );
  const pictured = new Set((await listPhotos(src, { firingId })).map(({ pieceId }) => pieceId));
  return sorted.flatMap(({ pieceId }) => {
    const code = codes.get(pieceId);
    return code === undefined ? [] : [{ id: pieceId, code, pictured: pictured.has(pieceId) }];
  });
}
