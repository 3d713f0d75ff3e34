/** Pieces put right together: body, form, faces, wanted firing, owner, mark, layers. */
import { facesOfForm, formNamed } from '@/core/designs';
import { ATMOSPHERES } from '@/core/signs';
import { listBodies } from '@/data/bodies';
import { refreshCells } from '@/data/cells';
import { pairsOf } from '@/data/fired';
import { settleJourneys } from '@/data/journey';
import { faceFieldsOf, replaceFaces, type FaceFields } from '@/data/faces';
import { replaceDone } from '@/data/layers';
import { loadPieces, updatePiece, type Piece } from '@/data/pieces';
import { operation, type Act } from '@/platform/operation';
import { notFound, refuse } from '@/platform/refusal';
import { permit } from '../people';
import * as contracts from './contracts';
import { layerOf } from './layers';
import type { z } from 'zod';

type Changes = z.output<typeof contracts.putRightSchema>['changes'];
type Before = contracts.PutRight['changes'];

/** What a piece was in the fields that a change names: what takes the change back. */
function beforeOf(piece: Piece, faces: readonly FaceFields[], to: Changes[number]['to']): Before[number] {
  const was = {
    bodyId: piece.bodyId,
    form: piece.form,
    heightMm: piece.heightMm,
    ownerId: piece.ownerId,
    wantedCone: piece.wantedCone,
    wantedAtmosphere: ATMOSPHERES.find((one) => one === piece.wantedAtmosphere) ?? null,
    mark: piece.mark,
  };
  const named = Object.fromEntries(
    Object.entries(was).filter(([field]) => to[field as keyof typeof to] !== undefined),
  );
  return {
    pieceIds: [piece.id],
    to: {
      ...named,
      // Another form may bring other faces with it.
      ...(to.faces !== undefined || to.form !== undefined ? { faces: [...faces] } : {}),
      ...(to.layers !== undefined || to.layersLike !== undefined
        ? { layers: piece.done.map(layerOf), keyKnown: piece.keyKnown }
        : {}),
    },
  };
}

/** The faces a piece has in its new form: tile faces do not stay on ware. */
function facesIn(piece: Piece, to: Changes[number]['to']) {
  if (to.faces !== undefined) return to.faces;
  const next = to.form === undefined ? undefined : formNamed(to.form);
  if (next === undefined || next.kind === (formNamed(piece.form)?.kind ?? piece.kind)) return null;
  return facesOfForm(next.name).map((face) => ({ ...face, slipVersionId: null }));
}

async function change(act: Act, changes: Changes): Promise<Before> {
  const ids = [...new Set(changes.flatMap(({ pieceIds }) => pieceIds))];
  const likes = changes.flatMap(({ to }) => (to.layersLike === undefined ? [] : [to.layersLike]));
  const all = await loadPieces(act.trx, { ids: [...new Set([...ids, ...likes])] });
  const pieces = new Map(all.map((piece) => [piece.id, piece]));
  const kept = await faceFieldsOf(act.trx, ids);
  if (ids.some((id) => !pieces.has(id)) || likes.some((id) => !pieces.has(id)))
    throw notFound('One of these pieces');
  const bodies = new Set((await listBodies(act.trx)).map(({ id }) => id));
  const before: Before = [];
  for (const { pieceIds, to } of changes) {
    if (to.bodyId !== undefined && !bodies.has(to.bodyId)) throw notFound('This body');
    for (const id of pieceIds) {
      const piece = pieces.get(id)!;
      before.unshift(beforeOf(piece, kept.get(id) ?? [], to));
      const faces = facesIn(piece, to);
      const layers = to.layers ?? pieces.get(to.layersLike ?? '')?.done.map(layerOf);
      const on = layers ?? piece.done.map(layerOf);
      const count = faces?.length ?? piece.faces.length;
      const lost = on.find(({ region }) => (region.face ?? 1) > count);
      if (lost !== undefined)
        throw refuse(
          `${piece.code} has a layer on face ${lost.region.face}, which it would no longer have. Correct its layers first.`,
        );
      await updatePiece(act.trx, id, {
        ...(to.bodyId === undefined ? {} : { body_id: to.bodyId }),
        ...(to.form === undefined
          ? {}
          : {
              form: to.form,
              kind: formNamed(to.form)?.kind ?? piece.kind,
            }),
        ...(to.heightMm === undefined ? {} : { height_mm: to.heightMm }),
        ...(to.ownerId === undefined ? {} : { owner_id: to.ownerId }),
        ...(to.wantedCone === undefined ? {} : { wanted_cone: to.wantedCone }),
        ...(to.wantedAtmosphere === undefined ? {} : { wanted_atmosphere: to.wantedAtmosphere }),
        ...(to.mark === undefined ? {} : { mark: to.mark === '' ? null : to.mark }),
      });
      if (faces !== null) await replaceFaces(act.trx, id, faces);
      if (layers !== undefined) await replaceDone(act.trx, id, layers, act.person.id, act.now, to.keyKnown);
      else if (to.keyKnown !== undefined) await updatePiece(act.trx, id, { key_known: to.keyKnown });
    }
  }
  await refreshCells(act.trx, await pairsOf(act.trx, { pieceIds: ids }));
  await settleJourneys(act.trx, ids);
  return before;
}

export const putRight = operation({
  contract: contracts.putRight,
  permit: permit('keep records'),
  run: async (act, { changes }) => ({ before: await change(act, changes) }),
});

export const putBack = operation({
  contract: contracts.putBack,
  permit: permit('keep records'),
  run: async (act, { changes }) => {
    await change(act, changes);
  },
});
