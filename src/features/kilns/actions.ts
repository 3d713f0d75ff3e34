import { refreshCells } from '@/data/cells';
import { pairsOf } from '@/data/fired';
import { listKilns } from '@/data/catalogue';
import { createFiring, findFiring, moveFiring, updateFiring } from '@/data/firings';
import {
  glazeFirings,
  listPlacements,
  openFiringsOf,
  place,
  removePlacement,
} from '@/data/placements';
import { followCones, listWitnesses, readWitness, setWitnesses } from '@/data/witnesses';
import { newId } from '@/data/ids';
import { listPieces, updatePiece } from '@/data/pieces';
import { NOWHERE } from '@/core/load';
import { formatTemperature } from '@/core/units';
import type { Transaction } from '@/data/database';
import { lastOf } from '@/data/readings';
import { readStudio, unitsOf } from '@/data/studio';
import { operation } from '@/platform/operation';
import { conflict, notFound, refuse } from '@/platform/refusal';
import { permit } from '../people';
import {
  conesSchema,
  editFiringSchema,
  moveSchema,
  placeSchema,
  planSchema,
  readConesSchema,
  takeOutSchema,
} from './schema';
import { heldFiring } from './held';
import { learnFrom } from './learn';
import { checkedLoad } from './load-check';
import { checkMove } from './progress';

export const plan = operation({
  name: 'kilns.plan',
  permit: permit('keep records'),
  input: planSchema,
  run: async ({ trx, person, now }, { fields, cones }) => {
    const kiln = (await listKilns(trx)).find(({ id }) => id === fields.kilnId);
    if (kiln === undefined || kiln.archived) throw notFound('This kiln');
    const id = newId();
    const no = await createFiring(trx, id, fields, person.id, now);
    await setWitnesses(trx, id, cones);
    return { id, no };
  },
});

export const edit = operation({
  name: 'kilns.edit-firing',
  permit: permit('keep records'),
  input: editFiringSchema,
  run: async (act, { firingId, revision, fields }) => {
    const { trx } = act;
    const before = await heldFiring(act, firingId);
    if (!(await updateFiring(trx, firingId, fields, revision))) {
      throw conflict(
        'Somebody else changed this firing meanwhile. Look at it again before saving.',
      );
    }
    const moved = await followCones(trx, firingId);
    if (moved || before.atmosphere !== fields.atmosphere || before.kind !== fields.kind) {
      await refreshCells(trx, await pairsOf(trx, { firingId }));
    }
  },
});

export const setCones = operation({
  name: 'kilns.set-cones',
  permit: permit('keep records'),
  input: conesSchema,
  run: async (act, { firingId, cones }) => {
    await heldFiring(act, firingId);
    await setWitnesses(act.trx, firingId, cones);
    if (await followCones(act.trx, firingId))
      await refreshCells(act.trx, await pairsOf(act.trx, { firingId }));
  },
});

/** The load can change until the kiln is lit; afterwards only what was forgotten is put on record. */
export const load = operation({
  name: 'kilns.place',
  permit: permit('keep records'),
  input: placeSchema,
  run: async (act, input) => {
    const { trx, person, now } = act;
    const firing = await heldFiring(act, input.firingId);
    if (input.shelf !== null && input.shelf > firing.shelves) {
      throw refuse(`${firing.kilnName} has ${firing.shelves} shelves.`, {
        shelf: `1 to ${firing.shelves}.`,
      });
    }
    const ids = [...new Set(input.pieceIds)];
    const pieces = await listPieces(trx, { ids });
    if (pieces.length !== ids.length || pieces.some((piece) => piece.binned))
      throw notFound('One of these pieces');
    const code = new Map(pieces.map((piece) => [piece.id, piece.code]));
    const open = await openFiringsOf(trx, ids);
    const already = new Set(
      (await listPlacements(trx, { firingId: firing.id })).map((one) => one.pieceId),
    );
    for (const id of ids) {
      const other = open.get(id);
      if (other && other.firingId !== firing.id) {
        throw refuse(`${code.get(id)} is in ${other.label} already. Take it out there first.`, {
          pieceIds: `${code.get(id)} is in ${other.label}.`,
        });
      }
      if (already.has(id))
        throw refuse(`${code.get(id)} is in this load already.`, {
          pieceIds: `${code.get(id)} is in this load.`,
        });
    }
    const times = await glazeFirings(trx, ids);
    const placements = ids.map((pieceId) => ({
      id: newId(),
      firingId: firing.id,
      pieceId,
      shelf: input.shelf,
      position: input.position,
      setting: input.setting,
      generation: firing.kind === 'bisque' ? 0 : (times.get(pieceId) ?? 0) + 1,
      open: firing.status !== 'opened',
      ...NOWHERE,
    }));
    await place(trx, placements, person.id, now);
    return { placementIds: placements.map(({ id }) => id) };
  },
});

export const takeOut = operation({
  name: 'kilns.take-out',
  permit: permit('keep records'),
  input: takeOutSchema,
  run: async (act, { firingId, placementIds }) => {
    const firing = await heldFiring(act, firingId);
    if (firing.status !== 'planned' && firing.status !== 'loaded') {
      throw refuse(
        `${firing.kilnName} ${firing.no} is ${firing.status}: what went in stays on record. Step the firing back first, saying why.`,
      );
    }
    for (const id of placementIds) await removePlacement(act.trx, id);
  },
});

/** A reading older than this says nothing of how hot a kiln is now. */
const STALE_MS = 3 * 3_600_000;

/** A kiln that was just read above the studio's opening temperature is not opened without a word. */
async function refuseHot(trx: Transaction, firingId: string, now: Date): Promise<void> {
  const last = (await lastOf(trx, [firingId])).get(firingId);
  const studio = await readStudio(trx);
  if (last === undefined || studio === null || now.getTime() - last.at.getTime() > STALE_MS) return;
  if (last.celsius <= studio.crackAtC) return;
  const units = unitsOf(studio);
  throw refuse(
    `It showed ${formatTemperature(last.celsius, units)} when it was last read; this studio opens at ${formatTemperature(studio.crackAtC, units)}. Wait, read it again, or say under “Another step” why it is opened now.`,
    { reason: 'Say why it is opened hot.' },
  );
}

export const move = operation({
  name: 'kilns.move',
  permit: permit('keep records'),
  input: moveSchema,
  run: async (act, { firingId, from, to, reason }) => {
    const { trx, person, now } = act;
    const firing = await heldFiring(act, firingId);
    if (firing.status !== from) {
      throw conflict(
        `${firing.kilnName} ${firing.no} is ${firing.status} already: somebody moved it on meanwhile.`,
      );
    }
    const problem = checkMove(from, to, reason);
    if (problem !== null) throw refuse(problem, { reason: problem });
    const placements = await listPlacements(trx, { firingId });
    if (from === 'planned' && placements.length === 0)
      throw refuse('Nothing is in the load yet. Put pieces in first.');
    if (from === 'planned' && to === 'loaded') {
      const { findings } = await checkedLoad(trx, firing);
      const stops = findings.filter((one) => one.level === 'stop' && one.overruledBy === null);
      if (stops.length > 0)
        throw refuse(
          `Before the lid is closed: ${stops.map(({ title, pieces }) => (pieces.length > 0 ? `${title} (${pieces.slice(0, 6).join(', ')}${pieces.length > 6 ? ' …' : ''})` : title)).join('; ')}. Mend it, or say why it may stay so.`,
        );
    }
    if (to === 'opened' && reason === '') await refuseHot(trx, firingId, now);
    await moveFiring(trx, firing, to, reason === '' ? null : reason, person.id, now);
    if (to === 'opened') {
      for (const { pieceId } of placements) {
        await updatePiece(trx, pieceId, { waiting_for: firing.kind === 'bisque' ? 'glaze' : null });
      }
      await learnFrom(trx, firingId);
    }
  },
});

export const readCones = operation({
  name: 'kilns.read-cones',
  permit: permit('keep records'),
  input: readConesSchema,
  run: async (act, { firingId, readings }) => {
    const { trx, person, now } = act;
    await heldFiring(act, firingId);
    const own = new Set(
      ((await listWitnesses(trx, [firingId])).get(firingId) ?? []).map(({ id }) => id),
    );
    for (const { coneId, bendDegrees } of readings) {
      if (!own.has(coneId)) throw notFound('One of these cones');
      await readWitness(trx, coneId, bendDegrees, person.id, now);
    }
    if (await followCones(trx, firingId)) await refreshCells(trx, await pairsOf(trx, { firingId }));
    await learnFrom(trx, firingId);
    const after = await findFiring(trx, firingId);
    return {
      reachedOrdinal: after?.reachedOrdinal ?? null,
      coneBand: after?.coneBand ?? 'unknown',
    };
  },
});
