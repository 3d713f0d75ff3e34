import { findFiring } from '@/data/firings';
import { listPieces } from '@/data/pieces';
import { wasIn } from '@/data/placements';
import { askAgain, dropLooks, piecesOfLooks } from '@/data/second-looks';
import { readStudio } from '@/data/studio';
import { operation, type Act } from '@/platform/operation';
import { found, notFound, refuse } from '@/platform/refusal';
import { today } from '@/ui/time';
import { mayTouchPiece, permit } from '../people';
import * as contracts from './contracts';

async function touch({ trx, person }: Act, pieceIds: readonly string[]): Promise<void> {
  const pieces = await listPieces(trx, { ids: pieceIds });
  if (pieces.length !== new Set(pieceIds).size) throw notFound('One of these pieces');
  if (!pieces.every(({ ownerId }) => mayTouchPiece(person, ownerId)))
    throw refuse('You can ask for looks at your own pieces only.');
}

export const ask = operation({
  contract: contracts.ask,
  permit: permit('write of own pieces'),
  run: async (act, { firingId, pieceIds, days }) => {
    await touch(act, pieceIds);
    const firing = found(await findFiring(act.trx, firingId), 'This firing');
    if (firing.status !== 'opened') throw refuse('Nothing came out of this firing yet.');
    for (const id of pieceIds)
      if (!(await wasIn(act.trx, id, firingId))) throw refuse('One of these was not in it.');
    const studio = found(await readStudio(act.trx), 'The studio');
    const opened = today(studio.timeZone, firing.openedAt ?? act.now);
    return {
      ids: await askAgain(act.trx, { firingId, pieceIds, days, opened }, act.person.id, act.now),
    };
  },
});

export const drop = operation({
  contract: contracts.drop,
  permit: permit('write of own pieces'),
  run: async (act, { ids, dropped }) => {
    const pieceIds = await piecesOfLooks(act.trx, ids);
    if (pieceIds.length === 0) throw notFound('This look');
    await touch(act, pieceIds);
    await dropLooks(act.trx, ids, dropped ? act.now : null);
  },
});
