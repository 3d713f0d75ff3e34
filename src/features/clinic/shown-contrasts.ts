/** The nearest clean pieces, as they are shown beside the one that is not. */
import type { Contrast } from '@/core/diagnosis';
import { circumstancesIn } from '@/data/clinic-evidence';
import type { Source } from '@/data/database';
import { listPhotos } from '@/data/photos';
import { picturesOfStack } from '@/data/zone-pictures';
import { listPieces } from '@/data/pieces';
import type { CaseView } from './queries';

const OTHERWISE: Readonly<Record<Contrast['differs'][number], string>> = {
  thickness: 'another thickness',
  version: 'another version of the recipe',
  body: 'another body',
  ground: 'another ground',
  cone: 'another cone',
  firing: 'another firing',
};

/** Names compare nothing, and what a firing gives all of its load is said by its own name. */
const SAID = new Set(['firing', 'lot', 'kiln', 'how full']);

/** Recorded circumstances that are otherwise: "seconds in the bucket 3 s, not 9 s". */
const otherwise = (
  theirs: Readonly<Record<string, string>>,
  own: Readonly<Record<string, string>>,
): string[] =>
  Object.entries(theirs).flatMap(([name, value]) =>
    SAID.has(name) || own[name] === undefined || own[name] === value
      ? []
      : [`${name} ${value}, not ${own[name]}`],
  );

/** Contrasts with their pictures; of ware that is not the studio's own nothing is shown. */
export async function shownContrasts(
  src: Source,
  of: { pieceId: string | null; firingId: string | null },
  contrasts: readonly Contrast[],
  isIt: (stackKey: string) => boolean,
): Promise<CaseView['contrasts']> {
  if (contrasts.length === 0 || of.pieceId === null || of.firingId === null) return [];
  const own = { pieceId: of.pieceId, firingId: of.firingId };
  const ids = contrasts.map(({ pieceId }) => pieceId);
  const [pieces, photos, circumstances, zones] = await Promise.all([
    listPieces(src, { ids }),
    listPhotos(src, { pieceIds: ids }),
    circumstancesIn(src, [own, ...contrasts]),
    picturesOfStack(src, contrasts, isIt),
  ]);
  const known = (one: { pieceId: string; firingId: string }) =>
    circumstances.get(`${one.pieceId}/${one.firingId}`) ?? {};
  return contrasts.flatMap(({ pieceId, firingId, differs }) => {
    const piece = pieces.find(({ id }) => id === pieceId);
    if (piece === undefined || (piece.ownerId !== null && !piece.shown)) return [];
    const its = photos.filter((photo) => photo.pieceId === pieceId);
    const photo = its.find((one) => one.firingId === firingId) ?? its[0];
    return [
      {
        code: piece.code,
        ...(zones.get(`${pieceId}/${firingId}`) ?? { sha: photo?.sha ?? null, cut: null }),
        differs: [
          ...differs.map((name) => OTHERWISE[name]),
          ...otherwise(known({ pieceId, firingId }), known(own)),
        ],
      },
    ];
  });
}
