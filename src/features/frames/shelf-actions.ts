/** One picture of many pieces. */
import { wrongWith } from '@/core/frame';
import { refreshCells } from '@/data/cells';
import { findFiring } from '@/data/firings';
import { greyCard } from '@/data/frames';
import { binPhoto, takenBy } from '@/data/photos';
import { holdPieces, listPieces } from '@/data/pieces';
import { wasIn } from '@/data/placements';
import { keepPicture, pictureFile, pictureStore } from '@/platform/objects';
import { operation } from '@/platform/operation';
import { rasterOf } from '@/platform/raster';
import { found, refuse } from '@/platform/refusal';
import { may, mayTouchPiece, permit } from '../people';
import * as contracts from './contracts';
import { keepFor } from './keep-for';
import { measured, type Measurement } from './measure';
import { zonesThen } from './zones-then';

export const addShelf = operation({
  contract: contracts.addShelf,
  permit: permit('write of own pieces'),
  prepare: async ({ db, person, file }, { firingId, pieces, grey }) => {
    found(await findFiring(db, firingId), 'This firing');
    const known = await listPieces(db, { ids: pieces.map(({ pieceId }) => pieceId) });
    for (const { pieceId, frames } of pieces) {
      const piece = found(
        known.find(({ id }) => id === pieceId),
        'One of these pieces',
      );
      if (!mayTouchPiece(person, piece.ownerId))
        throw refuse(`${piece.code} is not yours to add a picture to.`);
      for (const { shape } of frames) {
        const wrong = wrongWith(shape);
        if (wrong !== null) throw refuse(`${piece.code}: ${wrong}`);
      }
    }
    const kept = await keepPicture(pictureStore(), file.bytes);
    const [bytes, card] = await Promise.all([
      pictureStore().read(pictureFile(kept.sha, 'large')),
      greyCard(db),
    ]);
    // Opened once, however many lie on it.
    const raster = await rasterOf(found(bytes, 'The file of this picture'));
    const results = new Map<string, Measurement>();
    for (const { pieceId, frames } of pieces)
      results.set(
        pieceId,
        measured(raster, frames, await zonesThen(db, pieceId, firingId), { steps: grey, card }),
      );
    return { kept: { ...kept, originalName: file.name }, card, results };
  },
  run: async ({ trx, person, now }, { firingId, pieces, grey }, { kept, card, results }) => {
    await holdPieces(
      trx,
      pieces.map(({ pieceId }) => pieceId),
    );
    for (const { pieceId } of pieces)
      if (!(await wasIn(trx, pieceId, firingId))) throw refuse('One of these pieces was not in that firing.');
    const list = pieces.map(({ pieceId }) => ({ pieceId, firingId, frames: results.get(pieceId)!.frames }));
    const said = grey === null ? null : { steps: grey, card: card ?? [] };
    const { photoIds, added } = await keepFor(trx, kept, list, said, person.id, now);
    await refreshCells(
      trx,
      pieces.map(({ pieceId }) => ({ pieceId, firingId })),
    );
    return {
      photoIds,
      added,
      measured: [...results.values()].filter(({ byGrey }) => byGrey).length,
    };
  },
});

export const putShelfAway = operation({
  contract: contracts.putShelfAway,
  permit: permit('write of own pieces'),
  run: async ({ trx, person, now }, { photoIds, binned }) => {
    const pairs = [];
    for (const id of photoIds) {
      const photo = found(await binPhoto(trx, id, binned ? now : null), 'This picture');
      if (photo.pieceId === null) continue;
      const [piece] = await listPieces(trx, { ids: [photo.pieceId] });
      if (!mayTouchPiece(person, piece?.ownerId ?? null)) throw refuse('This picture is of another’s piece.');
      // To put other people’s pictures away is for who keeps records.
      if (!may(person, 'keep records') && (await takenBy(trx, id)) !== person.id)
        throw refuse('This picture was sent by somebody else.');
      if (photo.firingId !== null) pairs.push({ pieceId: photo.pieceId, firingId: photo.firingId });
    }
    await refreshCells(trx, pairs);
  },
});
