/** How pieces came out of the firing before this one, for the opening of their refire. */
import { firingTitle } from '@/core/firing';
import { decisionOf } from '@/core/journey';
import { stateOf } from '@/core/looks';
import type { Source } from '@/data/database';
import { listFirings, type Firing } from '@/data/firings';
import { listObservations } from '@/data/observations';
import { listPhotos } from '@/data/photos';
import { listPlacements } from '@/data/placements';
import type { Before } from './room';

export async function beforeOf(
  src: Source,
  firing: Pick<Firing, 'id'>,
  pieces: readonly { pieceId: string; generation: number }[],
): Promise<Map<string, Before>> {
  const found = new Map<string, Before>();
  const again = new Map(
    pieces.filter(({ generation }) => generation > 1).map((one) => [one.pieceId, one.generation]),
  );
  if (again.size === 0) return found;
  const pieceIds = [...again.keys()];
  const [placements, looks, photos] = await Promise.all([
    listPlacements(src, { pieceIds }),
    listObservations(src, { pieceIds, current: true }),
    listPhotos(src, { pieceIds }),
  ]);
  const firings = new Map(
    (
      await listFirings(src, {
        ids: [...new Set(placements.map(({ firingId }) => firingId))],
        statuses: ['opened'],
      })
    ).map((one) => [one.id, one]),
  );
  for (const pieceId of pieceIds) {
    // The last time before: the highest generation below this one's.
    const earlier = placements
      .filter(
        (one) =>
          one.pieceId === pieceId &&
          one.firingId !== firing.id &&
          one.generation > 0 &&
          one.generation < again.get(pieceId)! &&
          firings.has(one.firingId),
      )
      .sort((a, b) => b.generation - a.generation)[0];
    if (earlier === undefined) continue;
    const told = looks
      .filter((look) => look.pieceId === pieceId && look.firingId === earlier.firingId)
      .map((look) => ({ ...look, by: look.seenBy, seenAt: look.seenAt.toISOString() }));
    const whole = stateOf(told.filter(({ zone }) => zone === null))?.now ?? null;
    found.set(pieceId, {
      firing: firingTitle(firings.get(earlier.firingId)!),
      photos: photos
        .filter((one) => one.pieceId === pieceId && one.firingId === earlier.firingId)
        .map(({ sha }) => sha),
      surface: whole?.surface ?? null,
      signs: (whole?.signs ?? []).filter(({ wanted }) => !wanted),
      refire: decisionOf(told).refire,
    });
  }
  return found;
}
