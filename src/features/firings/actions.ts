/** A firing through its stages: planned, moved on, its cones set and read, how it is run. */
import * as contracts from './contracts';
import type { Transaction } from '@/data/database';
import { keepHow, setRun } from '@/data/firing-log';
import { listPlacements } from '@/data/placements';
import { firingTitle } from '@/core/firing';
import { checkMove } from '@/core/firing/progress';
import { insideWords } from '@/core/load';
import { believedMoment } from '@/core/looks';
import { checkedLoad } from '../loading/server';
import { putControl } from '../control/server';
import { conflict, found, notFound, refuse } from '@/platform/refusal';
import { createFiring, findFiring, moveFiring, updateFiring, type Firing } from '@/data/firings';
import { callOff, insideKiln } from '@/data/kiln-firings';
import { followCones, listWitnesses, readWitness, setWitnesses } from '@/data/witnesses';
import { formatTemperature } from '@/core/units';
import { lastOf } from '@/data/readings';
import { learnFrom, relearn } from '../kilns/server';
import { settleJourneys } from '@/data/journey';
import { newId } from '@/data/ids';
import { operation, type Act } from '@/platform/operation';
import { pairsOf } from '@/data/fired';
import { permit } from '../people';
import { readStudio, unitsOf } from '@/data/studio';
import { refreshCells } from '@/data/cells';
import { listKilns } from '@/data/kilns';

export const plan = operation({
  contract: contracts.plan,
  permit: permit('keep records'),
  run: async (act, { fields, cones }) => {
    const { trx, person, now } = act;
    const kiln = (await listKilns(trx)).find(({ id }) => id === fields.kilnId);
    if (kiln === undefined || kiln.archived) throw notFound('This kiln');
    const id = newId();
    const no = await createFiring(trx, id, fields, person.id, now);
    await setWitnesses(trx, id, cones);
    return { id, no, control: await putControl(act, { id, ...fields }) };
  },
});

export const edit = operation({
  contract: contracts.edit,
  permit: permit('keep records'),
  run: async (act, { firingId, revision, fields }) => {
    const { trx } = act;
    const before = found(await findFiring(act.trx, firingId, true), 'This firing');
    if (!(await updateFiring(trx, firingId, fields, revision))) {
      throw conflict('Somebody else changed this firing meanwhile. Look at it again before saving.');
    }
    const moved = await followCones(trx, firingId);
    if (moved || before.atmosphere !== fields.atmosphere || before.kind !== fields.kind) {
      const pairs = await pairsOf(trx, { firingId });
      await refreshCells(trx, pairs);
      await settleJourneys(
        trx,
        pairs.map(({ pieceId }) => pieceId),
      );
    }
  },
});

export const setCones = operation({
  contract: contracts.setCones,
  permit: permit('keep records'),
  run: async (act, { firingId, cones }) => {
    found(await findFiring(act.trx, firingId, true), 'This firing');
    await setWitnesses(act.trx, firingId, cones);
    if (await followCones(act.trx, firingId))
      await refreshCells(act.trx, await pairsOf(act.trx, { firingId }));
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
  contract: contracts.move,
  permit: permit('keep records'),
  run: async (act, { firingId, from, to, reason, at }) => {
    const { trx, person, now } = act;
    const firing = found(await findFiring(act.trx, firingId, true), 'This firing');
    // Somebody said so meanwhile: two that open one kiln are of one mind.
    if (firing.status === to && to === 'opened') return;
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
    if (firing.calledOff) throw refuse('This firing was called off. Take that back first.');
    if (to === 'loaded' || to === 'firing') await refuseSecond(trx, firing);
    if (from === 'planned' && to === 'loaded') {
      const { findings } = await checkedLoad(trx, firing);
      const stops = findings.filter((one) => one.level === 'stop' && one.overruledBy === null);
      if (stops.length > 0)
        throw refuse(
          `Before the lid is closed: ${stops.map(({ title, pieces }) => (pieces.length > 0 ? `${title} (${pieces.slice(0, 6).join(', ')}${pieces.length > 6 ? ' …' : ''})` : title)).join('; ')}. Mend it, or say why it may stay so.`,
        );
    }
    const when = believedMoment(at === null ? null : new Date(at), firing.startedAt, now);
    if (to === 'opened' && reason === '') await refuseHot(trx, firingId, when);
    await moveFiring(trx, firing, to, reason === '' ? null : reason, person.id, when);
    await settleJourneys(
      trx,
      placements.map(({ pieceId }) => pieceId),
    );
    if (to === 'opened') await learnFrom(trx, firingId, now);
    else if (from === 'opened') await relearn(trx, firing.kilnId, null, now);
  },
});

/** Two loads are never in one kiln: what is inside comes out first, or was forgotten to be said. */
async function refuseSecond(trx: Transaction, firing: Firing): Promise<void> {
  const inside = await insideKiln(trx, firing.kilnId, firing.id);
  if (inside === null) return;
  throw refuse(insideWords({ title: firingTitle(inside), status: inside.status }));
}

/** A firing that nobody will light: its number stays, its pieces wait again. */
export const callFiringOff = operation({
  contract: contracts.callOff,
  permit: permit('keep records'),
  run: async ({ trx, now }, { firingId, calledOff }) => {
    const firing = found(await findFiring(trx, firingId, true), 'This firing');
    if (firing.status !== 'planned' && firing.status !== 'loaded')
      throw refuse('It has been lit: it can be put right, not called off.');
    if (!(await callOff(trx, firingId, calledOff ? now : null)))
      throw refuse('Some of its pieces are in another load by now. Plan it anew.');
    const placements = await listPlacements(trx, { firingId });
    await settleJourneys(
      trx,
      placements.map(({ pieceId }) => pieceId),
    );
  },
});

export const readCones = operation({
  contract: contracts.readCones,
  permit: permit('keep records'),
  run: async (act, { firingId, readings }) => {
    const { trx, person, now } = act;
    found(await findFiring(act.trx, firingId, true), 'This firing');
    const own = new Set(((await listWitnesses(trx, [firingId])).get(firingId) ?? []).map(({ id }) => id));
    for (const { coneId, bendDegrees } of readings) {
      if (!own.has(coneId)) throw notFound('One of these cones');
      await readWitness(trx, coneId, bendDegrees, person.id, now);
    }
    if (await followCones(trx, firingId)) await refreshCells(trx, await pairsOf(trx, { firingId }));
    const moved = await learnFrom(trx, firingId, now);
    const after = await findFiring(trx, firingId);
    return {
      moved,
      reachedOrdinal: after?.reachedOrdinal ?? null,
      coneBand: after?.coneBand ?? 'unknown',
    };
  },
});

export const setHow = operation({
  contract: contracts.setRun,
  permit: permit('keep records'),
  run: async (act, { firingId, ...run }) => {
    found(await findFiring(act.trx, firingId, true), 'This firing');
    await setRun(act.trx, firingId, run as Parameters<typeof setRun>[2]);
  },
});

/** What is said of a whole firing, or of a shelf, is said of the pieces in it: their cells follow. */
async function howItWas(
  { trx }: Act,
  { firingId, fullness, shelfAir }: Pick<Firing, 'fullness' | 'shelfAir'> & { firingId: string },
): Promise<void> {
  const firing = found(await findFiring(trx, firingId, true), 'This firing');
  const beyond = Object.keys(shelfAir).find((shelf) => Number(shelf) > firing.shelves);
  if (beyond !== undefined) throw refuse(`${firing.kilnName} has ${firing.shelves} shelves, not ${beyond}.`);
  await keepHow(trx, firingId, { fullness, shelfAir });
  await refreshCells(trx, await pairsOf(trx, { firingId }));
}

export const sayHow = operation({
  contract: contracts.sayHow,
  permit: permit('keep records'),
  run: howItWas,
});

export const sayHowAgain = operation({
  contract: contracts.sayHowAgain,
  permit: permit('keep records'),
  run: howItWas,
});
