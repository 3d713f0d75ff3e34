import { refreshCells } from '@/data/cells';
import { pairsOf } from '@/data/fired';
import { openFiringsOf } from '@/data/placements';
import { newId } from '@/data/ids';
import { listPieces, putIntoBin, updatePiece } from '@/data/pieces';
import { clearFlag, raiseFlag } from '@/data/flags';
import { replaceDone } from '@/data/layers';
import { operation } from '@/platform/operation';
import { notFound, refuse } from '@/platform/refusal';
import { mayTouchPiece, permit } from '../people';
import type { Act } from '@/platform/operation';
import * as contracts from './contracts';

/** The pieces, if they are all there and this person may write of them. */
async function ownPieces({ trx, person }: Act, ids: readonly string[]) {
  const pieces = await listPieces(trx, { ids });
  if (pieces.length !== new Set(ids).size) throw notFound('One of these pieces');
  if (!pieces.every((piece) => mayTouchPiece(person, piece.ownerId))) {
    throw refuse('You can write of your own pieces only.');
  }
  return pieces;
}

export const correctLayers = operation({
  contract: contracts.correctLayers,
  permit: permit('keep records'),
  run: async (act, { pieceIds, layers, likely }) => {
    await ownPieces(act, pieceIds);
    const key = likely ? 'likely' : 'sure';
    for (const id of pieceIds) await replaceDone(act.trx, id, layers, act.person.id, act.now, key);
    await refreshCells(act.trx, await pairsOf(act.trx, { pieceIds }));
  },
});

export const editPiece = operation({
  contract: contracts.edit,
  permit: permit('write of own pieces'),
  run: async (act, { pieceId, mark, notes, ownerId, heightMm, shown }) => {
    const [piece] = await ownPieces(act, [pieceId]);
    const owner = act.person.role === 'student' ? piece!.ownerId : ownerId;
    await updatePiece(act.trx, pieceId, {
      mark: mark === '' ? null : mark,
      notes,
      owner_id: owner,
      height_mm: heightMm,
      shown,
    });
  },
});

export const flag = operation({
  contract: contracts.flag,
  permit: permit('write of own pieces'),
  run: async (act, { pieceIds, text }) => {
    await ownPieces(act, pieceIds);
    for (const pieceId of pieceIds)
      await raiseFlag(act.trx, { id: newId(), pieceId, text }, act.person.id, act.now);
  },
});

export const unflag = operation({
  contract: contracts.clearFlag,
  permit: permit('keep records'),
  run: ({ trx, person, now }, { flagId }) => clearFlag(trx, flagId, person.id, now),
});

export const bin = operation({
  contract: contracts.bin,
  permit: permit('keep records'),
  run: async (act, { pieceIds, binned }) => {
    const { trx, now } = act;
    await ownPieces(act, pieceIds);
    const loaded = await openFiringsOf(trx, pieceIds);
    const first = [...loaded.values()][0];
    if (binned && first) throw refuse(`A piece is still in ${first.label}. Take it out of the load first.`);
    await putIntoBin(trx, pieceIds, binned ? now : null);
    await refreshCells(trx, await pairsOf(trx, { pieceIds }));
  },
});
