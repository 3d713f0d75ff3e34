import { matrixTiles } from '@/core/designs';
import type { Coat } from '@/core/zones';
import { listBodies, listCoatings } from '@/data/catalogue';
import { refreshCells } from '@/data/cells';
import { pairsOf } from '@/data/fired';
import { openFiringsOf } from '@/data/placements';
import { newId } from '@/data/ids';
import { createLot, createPieces, listPieces, updatePiece, type NewPiece } from '@/data/pieces';
import { clearFlag, raiseFlag } from '@/data/flags';
import { replaceDone, type LayerFields } from '@/data/layers';
import { operation } from '@/platform/operation';
import { notFound, refuse } from '@/platform/refusal';
import { mayTouchPiece, permit } from '../people';
import {
  binSchema,
  clearFlagSchema,
  correctSchema,
  editPieceSchema,
  flagSchema,
  makeSchema,
  matrixSchema,
} from './schema';
import type { Act } from '@/platform/operation';

/** Coats of an exception: 0 leaves a layer out, a missing number keeps what was meant. */
function doneOf(
  meant: readonly LayerFields[],
  coats: readonly number[] | undefined,
): LayerFields[] {
  return meant.flatMap((layer, i) => {
    const changed = coats?.[i] ?? layer.coats;
    return changed === 0 ? [] : [{ ...layer, coats: changed }];
  });
}

export const make = operation({
  name: 'tests.make',
  permit: permit('keep records'),
  input: makeSchema,
  run: async ({ trx, person, now }, input) => {
    const lotId = input.count > 1 ? newId() : null;
    if (lotId !== null) {
      const body = (await listBodies(trx)).find(({ id }) => id === input.bodyId);
      await createLot(
        trx,
        { id: lotId, kind: 'alike', name: `${input.count} × ${input.form}, ${body?.name ?? ''}` },
        person.id,
        now,
      );
    }
    const exceptions = new Map(input.exceptions.map((one) => [one.index, one]));
    const pieces = Array.from({ length: input.count }, (_, i): NewPiece => ({
      id: newId(),
      mark: input.marks[i]?.trim() || null,
      kind: input.kind,
      bodyId: input.bodyId,
      form: input.form,
      heightMm: input.heightMm,
      lotId,
      ownerId: input.ownerId,
      madeOn: input.madeOn,
      notes: input.notes,
      waitingFor: input.waitingFor,
      wantedCone: input.wantedCone,
      wantedAtmosphere: input.wantedAtmosphere,
      faces: input.faces,
      meant: input.layers,
      done: doneOf(input.layers, exceptions.get(i + 1)?.coats),
    }));
    const codes = await createPieces(trx, pieces, person.id, now);
    for (const [i, piece] of pieces.entries()) {
      const texts = [input.flag, exceptions.get(i + 1)?.flag ?? ''].filter((text) => text !== '');
      for (const text of texts)
        await raiseFlag(trx, { id: newId(), pieceId: piece.id, text }, person.id, now);
    }
    return { codes, lotId };
  },
});

type VersionedCoat = Coat & { versionId: string; name: string };

async function coatsOf({ trx }: Act, versionIds: readonly string[]): Promise<VersionedCoat[]> {
  const coatings = await listCoatings(trx);
  return versionIds.map((versionId) => {
    for (const coating of coatings) {
      const version = coating.versions.find(({ id }) => id === versionId);
      if (version)
        return {
          slug: coating.slug,
          version: version.no,
          kind: coating.kind,
          versionId,
          name: coating.name,
        };
    }
    throw notFound('A coating of this matrix');
  });
}

export const makeMatrix = operation({
  name: 'tests.make-matrix',
  permit: permit('keep records'),
  input: matrixSchema,
  run: async (act, input) => {
    const { trx, person, now } = act;
    const [bases, overs] = [await coatsOf(act, input.bases), await coatsOf(act, input.overs)];
    const tiles = matrixTiles({ ...input, bases, overs });
    if (tiles.length === 0)
      throw refuse('This makes no tile: choose overs, or the coatings by themselves.', {
        overs: 'Choose at least one.',
      });
    if (tiles.length * input.bodyIds.length > 1000) {
      throw refuse(
        `This would make ${tiles.length * input.bodyIds.length} tiles in one act; at most 1000. Split the matrix.`,
      );
    }
    const lotId = newId();
    await createLot(
      trx,
      { id: lotId, kind: 'matrix', name: `Matrix ${bases.length} × ${overs.length}` },
      person.id,
      now,
    );
    const pieces = input.bodyIds.flatMap((bodyId) =>
      tiles.map((tile): NewPiece => {
        const layers = tile.layers.map(({ coat, ...layer }) => ({
          ...layer,
          coatingVersionId: coat.versionId,
        }));
        return {
          id: newId(),
          mark: null,
          kind: 'tile',
          bodyId,
          form: input.form,
          heightMm: input.heightMm,
          lotId,
          ownerId: null,
          madeOn: input.madeOn,
          notes: input.notes,
          waitingFor: input.waitingFor,
          wantedCone: input.wantedCone,
          wantedAtmosphere: input.wantedAtmosphere,
          faces: input.faces,
          meant: layers,
          done: layers,
        };
      }),
    );
    const codes = await createPieces(trx, pieces, person.id, now);
    return { codes, lotId };
  },
});

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
  name: 'tests.correct-layers',
  permit: permit('keep records'),
  input: correctSchema,
  run: async (act, { pieceIds, layers }) => {
    await ownPieces(act, pieceIds);
    for (const id of pieceIds) await replaceDone(act.trx, id, layers, act.person.id, act.now);
    await refreshCells(act.trx, await pairsOf(act.trx, { pieceIds }));
  },
});

export const editPiece = operation({
  name: 'tests.edit-piece',
  permit: permit('write of own pieces'),
  input: editPieceSchema,
  run: async (act, { pieceId, mark, notes, ownerId, heightMm }) => {
    const [piece] = await ownPieces(act, [pieceId]);
    const owner = act.person.role === 'student' ? piece!.ownerId : ownerId;
    await updatePiece(act.trx, pieceId, {
      mark: mark === '' ? null : mark,
      notes,
      owner_id: owner,
      height_mm: heightMm,
    });
  },
});

export const flag = operation({
  name: 'tests.flag',
  permit: permit('write of own pieces'),
  input: flagSchema,
  run: async (act, { pieceIds, text }) => {
    await ownPieces(act, pieceIds);
    for (const pieceId of pieceIds)
      await raiseFlag(act.trx, { id: newId(), pieceId, text }, act.person.id, act.now);
  },
});

export const unflag = operation({
  name: 'tests.clear-flag',
  permit: permit('keep records'),
  input: clearFlagSchema,
  run: ({ trx, person, now }, { flagId }) => clearFlag(trx, flagId, person.id, now),
});

export const bin = operation({
  name: 'tests.bin',
  permit: permit('keep records'),
  input: binSchema,
  run: async (act, { pieceIds, binned }) => {
    const { trx, now } = act;
    await ownPieces(act, pieceIds);
    const loaded = await openFiringsOf(trx, pieceIds);
    const first = [...loaded.values()][0];
    if (binned && first)
      throw refuse(`A piece is still in ${first.label}. Take it out of the load first.`);
    for (const id of pieceIds) await updatePiece(trx, id, { binned_at: binned ? now : null });
    await refreshCells(trx, await pairsOf(trx, { pieceIds }));
  },
});
