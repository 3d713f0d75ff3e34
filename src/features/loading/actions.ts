/** What is put into a firing and where, and what may stay so. */
import { settleJourneys } from '@/data/journey';
import * as contracts from './contracts';
import { addOverrule, removeOverrule } from '@/data/firing-log';
import { arrange as putAt, setSetting, listPlacements, removePlacement } from '@/data/placements';
import { found, refuse } from '@/platform/refusal';
import { findFiring } from '@/data/firings';
import { listObservations } from '@/data/observations';
import { newId } from '@/data/ids';
import { operation, type Act } from '@/platform/operation';
import { permit } from '../people';
import { putIn } from './put-in';

async function changeable(act: Act, firingId: string): Promise<void> {
  const firing = found(await findFiring(act.trx, firingId, true), 'This firing');
  if (firing.status !== 'planned' && firing.status !== 'loaded')
    throw refuse(`${firing.kilnName} ${firing.no} is ${firing.status}: its load stands as it is.`);
}

export const put = operation({
  contract: contracts.place,
  permit: permit('keep records'),
  run: putIn,
});

export const takeOut = operation({
  contract: contracts.takeOut,
  permit: permit('keep records'),
  run: async (act, { firingId, placementIds }) => {
    const firing = found(await findFiring(act.trx, firingId, true), 'This firing');
    const placements = (await listPlacements(act.trx, { firingId })).filter(({ id }) =>
      placementIds.includes(id),
    );
    if (firing.status !== 'planned' && firing.status !== 'loaded') {
      if (placements.some(({ late }) => !late))
        throw refuse(
          `${firing.kilnName} ${firing.no} is ${firing.status}: what went in stays on record. Step the firing back first, saying why.`,
        );
      const pieceIds = placements.map(({ pieceId }) => pieceId);
      if ((await listObservations(act.trx, { firingId, pieceIds, current: true })).length > 0)
        throw refuse('It is written up already. Take back what was written first.');
    }
    for (const { id } of placements) await removePlacement(act.trx, id);
    if (firing.status === 'opened')
      await settleJourneys(
        act.trx,
        placements.map(({ pieceId }) => pieceId),
      );
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
