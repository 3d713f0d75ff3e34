import { newId } from '@/data/ids';
import { createLot, createPieces, type NewPiece } from '@/data/pieces';
import { raiseFlag } from '@/data/flags';
import { type LayerFields } from '@/data/layers';
import { operation } from '@/platform/operation';
import { permit } from '../people';
import * as contracts from './contracts';
import { listBodies } from '@/data/bodies';

/** Coats of an exception: 0 leaves a layer out, a missing number keeps what was meant. */
function doneOf(meant: readonly LayerFields[], coats: readonly number[] | undefined): LayerFields[] {
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
