/** Frames in pictures: said, and their zones measured. */
import { wrongWith } from '@/core/frame';
import { FRAME_METHOD } from '@/core/sight';
import { COLOUR_METHOD } from '@/core/colour';
import { summariseCells } from '@/data/cell-summaries';
import { holdCells, refreshCells } from '@/data/cells';
import { framesOf, greyCard, greysOf, replaceFrames, saidUnframed, sayGreyCard } from '@/data/frames';
import { findPhoto, samePhoto } from '@/data/photos';
import { holdPieces, listPieces } from '@/data/pieces';
import type { z } from 'zod';
import type { Database, Transaction } from '@/data/database';
import type { Person } from '@/data/people';
import { choosePicture, chosenPicture, picturesOfCells } from '@/data/zone-pictures';
import { pictureFile, pictureStore } from '@/platform/objects';
import { operation, type Act } from '@/platform/operation';
import { rasterOf } from '@/platform/raster';
import { found, refuse } from '@/platform/refusal';
import { mayTouchPiece, permit } from '../people';
import * as contracts from './contracts';
import { measured, type Measurement } from './measure';
import { zonesThen } from './zones-then';

type Asked = z.output<typeof contracts.setFramesSchema>;

/** Looks at a picture’s pixels before anything is held. */
async function lookedAt({ db, person }: { db: Database; person: Person }, { photoId, frames, grey }: Asked) {
  const photo = found(await findPhoto(db, photoId), 'This picture');
  if (photo.pieceId === null) throw refuse('This picture is of no piece.');
  const [piece] = await listPieces(db, { ids: [photo.pieceId] });
  if (!mayTouchPiece(person, found(piece, 'This piece').ownerId))
    throw refuse('You can frame pictures of your own pieces only.');
  for (const { shape } of frames) {
    const wrong = wrongWith(shape);
    if (wrong !== null) throw refuse(wrong);
  }
  const own = { ...photo, pieceId: photo.pieceId };
  if (frames.length === 0) return { photo: own, card: null, result: NOTHING };
  const [bytes, zones, card] = await Promise.all([
    pictureStore().read(pictureFile(photo.sha, 'large')),
    zonesThen(db, photo.pieceId, photo.firingId),
    greyCard(db),
  ]);
  const raster = await rasterOf(found(bytes, 'The file of this picture'));
  return { photo: own, card, result: measured(raster, frames, zones, { steps: grey, card }) };
}
const NOTHING: Measurement = { frames: [], byGrey: false, why: null };
type Looked = Awaited<ReturnType<typeof lookedAt>>;

/** Keeps the frames of a picture whose piece is held; answers what stood before. */
async function keep(
  trx: Transaction,
  { photoId, grey, nothing }: Asked,
  { card, result }: Looked,
  by: string,
  now: Date,
): Promise<z.input<typeof contracts.setFramesSchema>> {
  const [standing, greys, unframed] = await Promise.all([
    framesOf(trx, [photoId]),
    greysOf(trx, [photoId]),
    saidUnframed(trx, photoId),
  ]);
  await replaceFrames(
    trx,
    photoId,
    {
      frames: result.frames,
      grey: grey === null ? null : { steps: grey, card: card ?? [] },
      unframed: nothing && result.frames.length === 0,
      frameMethod: FRAME_METHOD,
      colourMethod: COLOUR_METHOD,
    },
    by,
    now,
  );
  return {
    photoId,
    frames: standing.map(({ face, shape, guessed }) => ({ face, shape, guessed })),
    grey: greys.get(photoId)?.steps ?? null,
    nothing: unframed,
  };
}

const pairsWith = (looked: readonly Looked[]) =>
  looked.flatMap(({ photo: { pieceId, firingId } }) => (firingId === null ? [] : [{ pieceId, firingId }]));

export const setFrames = operation({
  contract: contracts.setFrames,
  permit: permit('write of own pieces'),
  prepare: lookedAt,
  run: framed,
});

async function framed({ trx, person, now }: Act, asked: Asked, looked: Looked) {
  await holdPieces(trx, [looked.photo.pieceId]);
  const before = await keep(trx, asked, looked, person.id, now);
  await refreshCells(trx, pairsWith([looked]));
  const { frames, byGrey, why } = looked.result;
  const zones = frames.reduce((sum, { colours }) => sum + colours.length, 0);
  return { zones, byGrey, why, before };
}

export const setFramesOf = operation({
  contract: contracts.setFramesOf,
  permit: permit('write of own pieces'),
  prepare: async (on, { pieceId, firingId, sha, frames, grey, nothing }) => {
    const photo = await samePhoto(on.db, { sha, pieceId, firingId });
    if (photo === null || photo.binned)
      throw refuse('This picture is not on record: it was taken back, or put away. Its frame goes with it.');
    const asked = { photoId: photo.id, frames, grey, nothing };
    return { asked, looked: await lookedAt(on, asked) };
  },
  run: async (act, _, { asked, looked }) => {
    const { zones, byGrey, why } = await framed(act, asked, looked);
    return { zones, byGrey, why };
  },
});

export const setManyFrames = operation({
  contract: contracts.setManyFrames,
  permit: permit('write of own pieces'),
  prepare: async (on, { pictures }) => {
    const looked: Looked[] = [];
    // One after another: each holds a whole picture in memory.
    for (const one of pictures) looked.push(await lookedAt(on, one));
    return looked;
  },
  run: async ({ trx, person, now }, { pictures }, looked) => {
    await holdPieces(trx, [...new Set(looked.map(({ photo }) => photo.pieceId))]);
    const before = [];
    for (const [i, asked] of pictures.entries())
      before.push(await keep(trx, asked, looked[i]!, person.id, now));
    await refreshCells(trx, pairsWith(looked));
    return {
      framed: looked.filter(({ result }) => result.frames.length > 0).length,
      measured: looked.filter(({ result }) => result.byGrey).length,
      before: { pictures: before },
    };
  },
});

export const sayCard = operation({
  contract: contracts.sayCard,
  permit: permit('keep records'),
  run: async ({ trx }, { card }) => {
    await sayGreyCard(trx, card.length === 0 ? null : card);
  },
});

export const letStand = operation({
  contract: contracts.letStand,
  permit: permit('keep records'),
  run: async ({ trx, person, now }, { cellId, photoId }) => {
    const before = { cellId, photoId: await chosenPicture(trx, cellId) };
    if (photoId !== null) {
      const of = await picturesOfCells(trx, [cellId]);
      const own = [...of.values()].flat().some(({ id }) => id === photoId);
      if (!own) throw refuse('This picture is of no piece of this cell any more.');
    }
    await choosePicture(trx, { cellId, photoId }, person.id, now);
    await summariseCells(trx, await holdCells(trx, [], [cellId]));
    return { before };
  },
});
