/**
 * Begins the opening of things that nobody registered: pieces without a key, in a firing on record or a
 * forgotten one.
 */
import { facesOfForm, formNamed } from '@/core/designs';
import { createBody, listBodies } from '@/data/bodies';
import { newId } from '@/data/ids';
import { refreshCells } from '@/data/cells';
import { settleJourneys } from '@/data/journey';
import { createLot, createPieces } from '@/data/pieces';
import { placeFound } from '@/data/placements';
import { setWrittenUp } from '@/data/firings';
import { operation } from '@/platform/operation';
import { permit } from '../people';
import { plainBody } from '../store/server';
import { entryFor, firingFor } from './in-hand';
import { unregistered as contract } from './in-hand-contracts';

export const unregistered = operation({
  contract,
  permit: permit('keep records'),
  run: async (act, taken) => {
    const { trx, person, now } = act;
    const { pieceIds, marks, form } = taken;
    const bodyId = await entryFor(await listBodies(trx), taken.body, (id) =>
      createBody(trx, id, plainBody(taken.body.name)),
    );
    const firingId = await firingFor(act, taken);
    // They are written up now, whatever was said of the load before.
    await setWrittenUp(trx, firingId, null);
    const kind = formNamed(form)?.kind ?? 'tile';
    const faces = kind === 'ware' ? facesOfForm(form) : facesOfForm('');
    const lotId = newId();
    await createLot(
      trx,
      { id: lotId, kind: 'alike', name: `Out of the kiln: ${pieceIds.length} × ${form}`.slice(0, 80) },
      person.id,
      now,
    );
    await createPieces(
      trx,
      pieceIds.map((id, i) => ({
        id,
        mark: marks[i]?.trim() || null,
        kind,
        bodyId,
        form,
        heightMm: null,
        lotId,
        ownerId: null,
        madeOn: null,
        notes: '',
        madeFor: 'glaze',
        been: [{ kind: 'glaze', status: 'opened', order: 0, verdict: null, refire: null }],
        wantedCone: null,
        wantedAtmosphere: null,
        faces: faces.map((face) => ({ ...face, slipVersionId: null })),
        meant: [],
        done: [],
        keyKnown: 'lost',
      })),
      person.id,
      now,
    );
    await placeFound(trx, firingId, pieceIds, person.id, now);
    await refreshCells(
      trx,
      pieceIds.map((pieceId) => ({ pieceId, firingId })),
    );
    await settleJourneys(trx, pieceIds);
    return { firingId };
  },
});
