/** Planning how a firing is run and keeping its log. */
import { DOUBT_WORDS } from '@/core/heatwork';
import { fahrenheitToCelsius } from '@/core/units';
import { addEntry, dropEntry as hideEntry } from '@/data/firing-log';
import { findFiring, setLit } from '@/data/firings';
import { setDoubt } from '@/data/mend-readings';
import { dropStrays, keepReadings, takeStrays } from '@/data/readings';
import { operation } from '@/platform/operation';
import { found, notFound, refuse } from '@/platform/refusal';
import { permit } from '../people';
import { learnFrom } from '../kilns/server';
import { judge, possible, takeReadings } from './readings';
import * as contracts from './contracts';

const HOUR_MS = 3_600_000;

const DAY_MS = 24 * HOUR_MS;

/** One temperature read by hand; a strange one is asked about before it is kept. */
export const read = operation({
  contract: contracts.read,
  permit: permit('keep records'),
  run: async (act, { firingId, at, celsius, probeMv, sure }) => {
    const firing = found(await findFiring(act.trx, firingId, true), 'This firing');
    if (firing.startedAt === null)
      throw refuse(`${firing.kilnName} ${firing.no} has not been lit yet. Start the firing first.`);
    const reading = { at: new Date(at), celsius, probeMv };
    const [judged] = await judge(act.trx, firingId, [reading], act.now);
    if (!sure && judged?.doubt) {
      const said = Math.round(fahrenheitToCelsius(celsius));
      throw refuse(
        judged.doubt === 'unit'
          ? `${celsius} °C does not fit; as °F it would be ${said} °C. Is that what you read?`
          : judged.doubt === 'future'
            ? 'This time is still to come. Look at the clock.'
            : `${celsius} °C looks like ${DOUBT_WORDS[judged.doubt]}. Save it all the same if it is really so.`,
        { celsius: judged.doubt === 'unit' ? `Did you mean ${said} °C?` : 'Really so?' },
      );
    }
    const by = act.person.id;
    if ((await keepReadings(act.trx, firingId, [{ ...reading, doubt: null }], 'hand', by, act.now)) === 0)
      throw refuse('There is a reading of this very moment already.');
    if (firing.status === 'opened') await learnFrom(act.trx, firingId);
  },
});

/** When it was really lit: people forget to say so. Readings that came meanwhile are taken along. */
export const litAt = operation({
  contract: contracts.litAt,
  permit: permit('keep records'),
  run: async (act, { firingId, at }) => {
    const firing = found(await findFiring(act.trx, firingId, true), 'This firing');
    const lit = new Date(at);
    // One that nobody wrote down is over; its paper may turn up all the same.
    if (firing.startedAt === null && firing.status !== 'opened')
      throw refuse('Start the firing first, then say when it was lit.');
    if (lit > act.now) throw refuse('That is still to come.', { at: 'Not in the future.' });
    const opened = firing.openedAt ?? act.now;
    const long = opened.getTime() - lit.getTime() > 10 * DAY_MS;
    const before = firing.openedAt !== null && lit >= firing.openedAt;
    // When such a firing was opened is a guess of ours, and follows from when it was lit.
    const guessed = firing.unrecorded && firing.startedAt === null && (long || before);
    if (long && !guessed) throw refuse('No firing takes more than ten days.', { at: 'Look at the date.' });
    if (before && !guessed) throw refuse('It was opened before that.', { at: 'Before it was opened.' });
    const end = guessed ? new Date(Math.min(lit.getTime() + DAY_MS, act.now.getTime())) : opened;
    await setLit(act.trx, firingId, lit, guessed ? end : null);
    const from = new Date(lit.getTime() - HOUR_MS);
    const strays = await takeStrays(act.trx, firing.kilnId, from, end);
    if (strays.length > 0) await takeReadings(act.trx, firingId, strays, 'device', act.person.id, act.now);
    await learnFrom(act.trx, firingId);
  },
});

/** Takes a reading out of belief, or back. It stays on record. */
export const strike = operation({
  contract: contracts.strike,
  permit: permit('keep records'),
  run: async (act, { firingId, at, struck, why }) => {
    found(await findFiring(act.trx, firingId, true), 'This firing');
    const change = { why, by: act.person.id };
    if (!(await setDoubt(act.trx, firingId, new Date(at), struck ? 'struck' : null, change)))
      throw notFound('This reading');
    await learnFrom(act.trx, firingId);
  },
});

export const importLog = operation({
  contract: contracts.importLog,
  permit: permit('keep records'),
  run: async (act, { firingId, readings }) => {
    const firing = found(await findFiring(act.trx, firingId, true), 'This firing');
    if (firing.startedAt === null)
      throw refuse('Start the firing first: its readings need to know when it was lit.');
    const { readings: good, refused } = possible(
      readings.map(([ms, celsius]) => ({ at: new Date(ms), celsius, probeMv: null })),
      firing.startedAt,
      act.now,
    );
    const taken = await takeReadings(act.trx, firingId, good, 'file', act.person.id, act.now);
    await learnFrom(act.trx, firingId);
    return {
      kept: taken.kept,
      repeated: taken.repeated,
      doubted: taken.doubted.length,
      refused: refused.length,
      firstRefused: refused.slice(0, 5),
    };
  },
});

export const write = operation({
  contract: contracts.write,
  permit: permit('keep records'),
  run: async (act, { firingId, at, kind, atmosphere, ...entry }) => {
    found(await findFiring(act.trx, firingId, true), 'This firing');
    if (kind === 'atmosphere' && atmosphere === null)
      throw refuse('Say how the air is.', { atmosphere: 'Choose one.' });
    if (kind !== 'atmosphere' && entry.text === '')
      throw refuse('Say what was done.', { text: 'Say what was done.' });
    await addEntry(
      act.trx,
      firingId,
      {
        ...entry,
        at: new Date(at),
        kind,
        atmosphere: kind === 'atmosphere' ? atmosphere : null,
      },
      act.person.id,
      act.now,
    );
  },
});

export const dropEntry = operation({
  contract: contracts.dropEntry,
  permit: permit('keep records'),
  run: async ({ trx, now }, { firingId, id, dropped }) => {
    if (!(await hideEntry(trx, firingId, id, dropped ? now : null))) throw notFound('This line');
  },
});

/** Gives what a kiln sent while no firing was under way to one, or forgets it. */
export const settleStrays = operation({
  contract: contracts.settleStrays,
  permit: permit('keep records'),
  run: async (act, { firingId, kilnId }) => {
    if (firingId === null) return { kept: 0, dropped: await dropStrays(act.trx, kilnId) };
    const firing = found(await findFiring(act.trx, firingId, true), 'This firing');
    if (firing.kilnId !== kilnId || firing.startedAt === null)
      throw refuse('That firing is not of this kiln, or has not been lit.');
    const from = new Date(firing.startedAt.getTime() - 12 * 3_600_000);
    const to = firing.openedAt ?? act.now;
    const strays = await takeStrays(act.trx, kilnId, from, to);
    const taken = await takeReadings(act.trx, firingId, strays, 'device', act.person.id, act.now);
    await learnFrom(act.trx, firingId);
    return { kept: taken.kept, dropped: 0 };
  },
});
