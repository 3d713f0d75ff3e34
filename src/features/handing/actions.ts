import { findFiring } from '@/data/firings';
import { setCollected, setCollectFrom } from '@/data/handing';
import { listPieces } from '@/data/pieces';
import { operation } from '@/platform/operation';
import { found, notFound, refuse } from '@/platform/refusal';
import { mayTouchPiece, permit } from '../people';
import * as contracts from './contracts';

export const collectFrom = operation({
  contract: contracts.collectFrom,
  permit: permit('keep records'),
  run: async ({ trx }, { firingId, place }) => {
    found(await findFiring(trx, firingId), 'This firing');
    await setCollectFrom(trx, firingId, place);
  },
});

export const collectFromAgain = operation({
  contract: contracts.collectFromAgain,
  permit: permit('keep records'),
  run: async ({ trx }, { firingId, place }) => {
    found(await findFiring(trx, firingId), 'This firing');
    await setCollectFrom(trx, firingId, place);
  },
});

/** Whoever keeps the records ticks for everybody; everybody for themselves. */
export const collected = operation({
  contract: contracts.collected,
  permit: permit('write of own pieces'),
  run: async ({ trx, person, now }, { firingId, pieceIds, collected: taken }) => {
    const firing = found(await findFiring(trx, firingId), 'This firing');
    if (firing.status !== 'opened') throw refuse('Nothing came out of this firing yet.');
    const pieces = await listPieces(trx, { ids: pieceIds });
    if (pieces.length !== new Set(pieceIds).size) throw notFound('One of these pieces');
    if (!pieces.every(({ ownerId }) => mayTouchPiece(person, ownerId)))
      throw refuse('You can collect your own pieces only.');
    await setCollected(trx, firingId, pieceIds, { at: taken ? now : null, by: person.id });
  },
});
