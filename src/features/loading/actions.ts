/** What is put into a firing and where, and what may stay so. */
import { settleJourneys } from '@/data/journey';
import * as contracts from './contracts';
import { addOverrule, removeOverrule } from '@/data/firing-log';
import {
  arrange as putAt,
  setSetting,
  glazeFirings,
  listPlacements,
  openFiringsOf,
  place,
  removePlacement,
} from '@/data/placements';
import { NOWHERE } from '@/core/load';
import { found, notFound, refuse } from '@/platform/refusal';
import { findFiring } from '@/data/firings';
import { listPieces } from '@/data/pieces';
import { newId } from '@/data/ids';
import { operation, type Act } from '@/platform/operation';
import { permit } from '../people';

async function changeable(act: Act, firingId: string): Promise<void> {
  const firing = found(await findFiring(act.trx, firingId, true), 'This firing');
  if (firing.status !== 'planned' && firing.status !== 'loaded')
    throw refuse(`${firing.kilnName} ${firing.no} is ${firing.status}: its load stands as it is.`);
}

/** The load can change until the kiln is lit; afterwards only what was forgotten is put on record. */
export const put = operation({
  contract: contracts.place,
  permit: permit('keep records'),
  run: async (act, input) => {
    const { trx, person, now } = act;
    const firing = found(await findFiring(act.trx, input.firingId, true), 'This firing');
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
    if (firing.status === 'opened') await settleJourneys(trx, ids);
    return { placementIds: placements.map(({ id }) => id) };
  },
});

export const takeOut = operation({
  contract: contracts.takeOut,
  permit: permit('keep records'),
  run: async (act, { firingId, placementIds }) => {
    const firing = found(await findFiring(act.trx, firingId, true), 'This firing');
    if (firing.status !== 'planned' && firing.status !== 'loaded') {
      throw refuse(
        `${firing.kilnName} ${firing.no} is ${firing.status}: what went in stays on record. Step the firing back first, saying why.`,
      );
    }
    for (const id of placementIds) await removePlacement(act.trx, id);
  },
});

export const arrange = operation({
  contract: contracts.arrange,
  permit: permit('keep records'),
  run: async (act, { firingId, spots }) => {
    await changeable(act, firingId);
    for (const { placementId, ...spot } of spots)
      await putAt(act.trx, firingId, { id: placementId, ...spot });
  },
});

export const standOn = operation({
  contract: contracts.standOn,
  permit: permit('keep records'),
  run: async (act, { firingId, placementIds, setting }) => {
    found(await findFiring(act.trx, firingId, true), 'This firing');
    await setSetting(act.trx, firingId, placementIds, setting);
  },
});

export const overrule = operation({
  contract: contracts.overrule,
  permit: permit('keep records'),
  run: async (act, { firingId, ...said }) => {
    found(await findFiring(act.trx, firingId, true), 'This firing');
    const id = newId();
    await addOverrule(act.trx, firingId, { id, ...said }, act.person.id, act.now);
    return { id };
  },
});

export const withdrawOverrule = operation({
  contract: contracts.withdrawOverrule,
  permit: permit('keep records'),
  run: ({ trx }, { firingId, id }) => removeOverrule(trx, firingId, id),
});
