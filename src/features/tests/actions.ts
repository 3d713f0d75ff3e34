import { matrixTiles } from '@/core/designs';
import type { Coat } from '@/core/zones';
import { newId } from '@/data/ids';
import { createLot, createPieces, type NewPiece } from '@/data/pieces';
import { raiseFlag } from '@/data/flags';
import { type LayerFields } from '@/data/layers';
import { operation } from '@/platform/operation';
import { notFound, refuse } from '@/platform/refusal';
import { permit } from '../people';
import type { Act } from '@/platform/operation';
import * as contracts from './contracts';
import { listBodies } from '@/data/bodies';
import { listCoatings } from '@/data/coatings';

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
  contract: contracts.make,
  permit: permit('keep records'),
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
      madeFor: input.waitingFor,
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
  contract: contracts.makeMatrix,
  permit: permit('keep records'),
  run: async (act, input) => {
    const { trx, person, now } = act;
    const bases = await coatsOf(act, input.bases);
    const overs = await coatsOf(act, input.overs);
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
          madeFor: input.waitingFor,
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
