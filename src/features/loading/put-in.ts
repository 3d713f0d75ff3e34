import { NOWHERE } from '@/core/load';
import { findFiring } from '@/data/firings';
import { newId } from '@/data/ids';
import { settleJourneys } from '@/data/journey';
import { listPieces } from '@/data/pieces';
import { glazeFirings, listPlacements, openFiringsOf, place } from '@/data/placements';
import type { Act } from '@/platform/operation';
import { found, notFound, refuse } from '@/platform/refusal';
import type { z } from 'zod';
import type { placeSchema } from './contracts';

/** The load can change until the kiln is lit; afterwards only what was forgotten is put on record. */
export async function putIn(
  act: Act,
  input: z.output<typeof placeSchema>,
): Promise<{ placementIds: string[] }> {
  const { trx, person, now } = act;
  const firing = found(await findFiring(act.trx, input.firingId, true), 'This firing');
  if (input.shelf !== null && input.shelf > firing.shelves) {
    throw refuse(`${firing.kilnName} has ${firing.shelves} shelves.`, {
      shelf: `1 to ${firing.shelves}.`,
    });
  }
  const ids = [...new Set(input.pieceIds)];
  const pieces = await listPieces(trx, { ids });
  if (pieces.length !== ids.length || pieces.some((piece) => piece.binned))
    throw notFound('One of these pieces');
  const code = new Map(pieces.map((piece) => [piece.id, piece.code]));
  const open = await openFiringsOf(trx, ids);
  const already = new Set((await listPlacements(trx, { firingId: firing.id })).map((one) => one.pieceId));
  for (const id of ids) {
    const other = open.get(id);
    if (other && other.firingId !== firing.id) {
      throw refuse(`${code.get(id)} is in ${other.label} already. Take it out there first.`, {
        pieceIds: `${code.get(id)} is in ${other.label}.`,
      });
    }
    if (already.has(id))
      throw refuse(`${code.get(id)} is in this load already.`, {
        pieceIds: `${code.get(id)} is in this load.`,
      });
  }
  const times = await glazeFirings(trx, ids);
  const placements = ids.map((pieceId) => ({
    id: newId(),
    firingId: firing.id,
    pieceId,
    shelf: input.shelf,
    position: input.position,
    setting: input.setting,
    generation: firing.kind === 'bisque' ? 0 : (times.get(pieceId) ?? 0) + 1,
    open: firing.status !== 'opened',
    late: firing.status !== 'planned' && firing.status !== 'loaded',
    ...NOWHERE,
  }));
  await place(trx, placements, person.id, now);
  if (firing.status === 'opened') await settleJourneys(trx, ids);
  return { placementIds: placements.map(({ id }) => id) };
}
