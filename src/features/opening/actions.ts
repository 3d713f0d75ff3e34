import { keepCells, refreshCells } from '@/data/cells';
import type { Transaction } from '@/data/database';
import { loadFired, type Fired } from '@/data/fired';
import { findFiring, setWrittenUp } from '@/data/firings';
import {
  appendObservations,
  listObservations,
  reinstate,
  supersede,
  type Observation,
} from '@/data/observations';
import { binPhoto } from '@/data/photos';
import { holdPieces, listPieces, updatePiece, type HeldPiece } from '@/data/pieces';
import { operation } from '@/platform/operation';
import { conflict, notFound, refuse } from '@/platform/refusal';
import { mayTouchPiece, permit } from '../people';
import { binPhotoSchema, finishSchema, recordSchema, withdrawSchema } from './schema';

export const record = operation({
  name: 'opening.record',
  permit: permit('write of own pieces'),
  input: recordSchema,
  run: async ({ trx, person, now }, { firingId, pieces: entries, zone, replace, seen }) => {
    const entryOf = new Map(entries.map((entry) => [entry.pieceId, entry]));
    const ids = [...entryOf.keys()];
    const pairs = ids.map((pieceId) => ({ pieceId, firingId }));
    const pieces = await holdPieces(trx, ids);
    if (pieces.length !== ids.length) throw notFound('One of these pieces');
    if (!pieces.every((piece) => mayTouchPiece(person, piece.ownerId)))
      throw refuse('You can write of your own pieces only.');
    const codes = new Map(pieces.map((piece) => [piece.id, piece.code]));
    const fired = await loadFired(trx, pairs);
    if (fired.length !== ids.length || fired[0]?.firingStatus !== 'opened')
      throw await whyNot(trx, firingId, pieces, fired);

    const held = fired.flatMap((piece) => {
      const one = piece.seen.find((seen) => seen.zone === zone);
      return one === undefined ? [] : [{ id: one.id, pieceId: piece.pieceId }];
    });
    const strange = held.filter((one) => entryOf.get(one.pieceId)?.basedOn !== one.id);
    if (strange.length > 0 && !replace) {
      const observations = await listObservations(trx, { ids: strange.map(({ id }) => id) });
      throw conflict(
        `${observations[0]?.seenByName} wrote up ${strange.map((one) => codes.get(one.pieceId)).join(', ')} meanwhile.`,
        { observations },
      );
    }
    const before = new Map(held.map((one) => [one.pieceId, one.id]));
    const observations = ids.map((pieceId): Observation & { supersedes?: string } => {
      const old = before.get(pieceId);
      return {
        id: (entryOf.get(pieceId) as { observationId: string }).observationId,
        pieceId,
        firingId,
        zone,
        seenAt: now,
        ...seen,
        ...(old === undefined ? {} : { supersedes: old }),
      };
    });
    const write = async (): Promise<void> => {
      if (held.length > 0) await supersede(trx, [...before.values()], now);
      await appendObservations(trx, observations, person.id);
      if (zone !== null) return;
      const waitingFor = seen.verdict === 'refire' ? 'refire' : null;
      for (const piece of pieces) {
        if (piece.waitingFor !== waitingFor)
          await updatePiece(trx, piece.id, { waiting_for: waitingFor });
      }
    };
    const written = new Map(observations.map((one) => [one.pieceId, one]));
    const after = fired.map((piece) => ({
      ...piece,
      seen: [
        ...piece.seen.filter((one) => one.zone !== zone),
        { ...(written.get(piece.pieceId) as Observation), seenAt: now.toISOString() },
      ],
    }));
    // Side by side: cells follow from what is in hand, not from the rows that are being written.
    await settled([write(), keepCells(trx, fired, after)]);
  },
});

/** Waits for all, so that none is still under way when the transaction ends; then fails if one did. */
async function settled(work: readonly Promise<void>[]): Promise<void> {
  const failed = (await Promise.allSettled(work)).find((one) => one.status === 'rejected');
  if (failed) throw failed.reason;
}

/** What stands in the way of writing up these pieces of this firing. */
async function whyNot(
  trx: Transaction,
  firingId: string,
  pieces: readonly HeldPiece[],
  fired: readonly Fired[],
): Promise<Error> {
  const firing = await findFiring(trx, firingId);
  if (firing === null) return notFound('This firing');
  const label = `${firing.kilnName} ${firing.no}`;
  if (firing.status !== 'opened')
    return refuse(`${label} is ${firing.status}: open it first, then write it up.`);
  const binned = pieces.find((piece) => piece.binned);
  if (binned) return refuse(`${binned.code} is in the bin. Take it out again first.`);
  const inside = new Set(fired.map((piece) => piece.pieceId));
  return refuse(`${pieces.find((piece) => !inside.has(piece.id))?.code} was not in ${label}.`);
}

/** Takes observations back (undo): what they replaced is believed again. */
export const withdraw = operation({
  name: 'opening.withdraw',
  permit: permit('write of own pieces'),
  input: withdrawSchema,
  run: async ({ trx, person, now }, { observationIds }) => {
    const taken = await listObservations(trx, { ids: observationIds });
    if (taken.length !== observationIds.length) throw notFound('One of these observations');
    const pieces = new Map(
      (await listPieces(trx, { ids: [...new Set(taken.map((one) => one.pieceId))] })).map(
        (piece) => [piece.id, piece],
      ),
    );
    for (const one of taken) {
      if (one.superseded)
        throw conflict('This was corrected meanwhile and cannot be taken back any more.');
      if (!mayTouchPiece(person, pieces.get(one.pieceId)?.ownerId ?? null))
        throw refuse('You can take back what was written of your own pieces only.');
    }
    await supersede(trx, observationIds, now);
    const replaced = taken.flatMap((one) => (one.supersedes === null ? [] : [one.supersedes]));
    for (const one of await listObservations(trx, { ids: replaced })) await reinstate(trx, one);
    await refreshCells(
      trx,
      taken.map(({ pieceId, firingId }) => ({ pieceId, firingId })),
    );
  },
});

export const finish = operation({
  name: 'opening.finish',
  permit: permit('keep records'),
  input: finishSchema,
  run: async ({ trx, now }, { firingId, done }) => {
    const firing = await findFiring(trx, firingId, true);
    if (firing === null) throw notFound('This firing');
    if (firing.status !== 'opened') throw refuse('Open the kiln first.');
    await setWrittenUp(trx, firingId, done ? now : null);
  },
});

export const dropPicture = operation({
  name: 'opening.bin-picture',
  permit: permit('keep records'),
  input: binPhotoSchema,
  run: async ({ trx, now }, { photoId, binned }) => {
    const photo = await binPhoto(trx, photoId, binned ? now : null);
    if (photo === null) throw notFound('This picture');
    if (photo.pieceId !== null && photo.firingId !== null) {
      await refreshCells(trx, [{ pieceId: photo.pieceId, firingId: photo.firingId }]);
    }
  },
});
