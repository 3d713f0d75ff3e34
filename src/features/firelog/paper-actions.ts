/** Logs that are caught up afterwards: from paper, put right, or read in another unit. */
import { addEntry, dropEntry } from '@/data/firing-log';
import { findFiring, type Firing } from '@/data/firings';
import { setUnitSaid } from '@/data/kiln-firings';
import { convertReadings, correctReading, setDoubts, setJudged, unstruck } from '@/data/mend-readings';
import type { Transaction } from '@/data/database';
import { operation } from '@/platform/operation';
import { found, notFound, refuse } from '@/platform/refusal';
import { judgeReadings } from '@/core/heatwork';
import { permit } from '../people';
import { learnFrom } from '../kilns/server';
import { takeReadings } from './readings';
import * as contracts from './contracts';

const DAYS_MS = 10 * 86_400_000;

const litFiring = async (trx: Transaction, firingId: string): Promise<Firing & { startedAt: Date }> => {
  const firing = found(await findFiring(trx, firingId, true), 'This firing');
  if (firing.startedAt === null)
    throw refuse('Start the firing first: its readings need to know when it was lit.');
  return { ...firing, startedAt: firing.startedAt };
};

export const paper = operation({
  contract: contracts.paper,
  permit: permit('keep records'),
  run: async (act, { firingId, readings, remarks }) => {
    if (readings.length + remarks.length === 0) throw refuse('There is no line to keep.');
    const firing = await litFiring(act.trx, firingId);
    const far = [...readings.map(([at]) => at), ...remarks.map(({ at }) => at)].some(
      (at) => Math.abs(at - firing.startedAt.getTime()) > DAYS_MS,
    );
    if (far) throw refuse('No firing takes more than ten days: look at the dates.');
    const taken = await takeReadings(
      act.trx,
      firingId,
      readings.map(([at, celsius]) => ({ at: new Date(at), celsius, probeMv: null })),
      'hand',
      act.person.id,
      act.now,
    );
    for (const { at, ...remark } of remarks)
      await addEntry(
        act.trx,
        firingId,
        { ...remark, at: new Date(at), atmosphere: null },
        act.person.id,
        act.now,
      );
    await learnFrom(act.trx, firingId);
    return { kept: taken.kept, repeated: taken.repeated, doubted: taken.doubted.length };
  },
});

/** Takes a kept paper log back, or gives it again. What was kept stays on record. */
export const keepPaper = operation({
  contract: contracts.keepPaper,
  permit: permit('keep records'),
  run: async (act, { firingId, at, remarks, kept }) => {
    await litFiring(act.trx, firingId);
    await setDoubts(
      act.trx,
      firingId,
      at.map((ms) => new Date(ms)),
      kept ? null : 'struck',
      act.person.id,
    );
    for (const id of remarks) await dropEntry(act.trx, firingId, id, kept ? null : act.now);
    await learnFrom(act.trx, firingId);
  },
});

export const correct = operation({
  contract: contracts.correct,
  permit: permit('keep records'),
  run: async (act, { firingId, at, celsius, why }) => {
    await litFiring(act.trx, firingId);
    const change = { why, by: act.person.id };
    if (!(await correctReading(act.trx, firingId, new Date(at), celsius, change)))
      throw notFound('This reading');
    await learnFrom(act.trx, firingId);
  },
});

/** Readings that were taken for °C are said to be °F, or not: they are converted and judged anew. */
export const sayUnit = operation({
  contract: contracts.sayUnit,
  permit: permit('keep records'),
  run: async (act, { firingId, fahrenheit }) => {
    const firing = await litFiring(act.trx, firingId);
    await setUnitSaid(act.trx, firingId, fahrenheit ? 'F' : 'C');
    if (fahrenheit === (firing.unitSaid === 'F')) return;
    await convertReadings(act.trx, firingId, fahrenheit);
    const all = await unstruck(act.trx, firingId);
    const doubts = judgeReadings(
      all.map(({ at, celsius }) => ({ t: at.getTime() / 1000, c: celsius ?? Number.NaN })),
      null,
      [],
      act.now.getTime() / 1000,
    );
    await setJudged(
      act.trx,
      firingId,
      all.map(({ at }, i) => ({ at, doubt: doubts[i] ?? null })),
    );
    await learnFrom(act.trx, firingId);
  },
});
