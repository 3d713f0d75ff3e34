/** Planning how a firing is run and keeping its log. */
import { DOUBT_WORDS } from '@/core/heatwork';
import { fahrenheitToCelsius } from '@/core/units';
import {
  addEntry,
  addOverrule,
  dropEntry as hideEntry,
  removeOverrule,
  setRun,
} from '@/data/firing-log';
import { setLit } from '@/data/firings';
import { newId } from '@/data/ids';
import { arrange as putAt, setSetting } from '@/data/placements';
import { dropStrays, keepReadings, setDoubt, takeStrays } from '@/data/readings';
import { operation, type Act } from '@/platform/operation';
import { notFound, refuse } from '@/platform/refusal';
import { permit } from '../people';
import { heldFiring } from './held';
import { learnFrom } from './learn';
import { judge, takeReadings } from './readings';
import {
  arrangeSchema,
  dropEntrySchema,
  entrySchema,
  importLogSchema,
  litSchema,
  overruleSchema,
  readSchema,
  runSchema,
  settingSchema,
  straysSchema,
  strikeSchema,
  withdrawOverruleSchema,
} from './schema';

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

async function changeable(act: Act, firingId: string): Promise<void> {
  const firing = await heldFiring(act, firingId);
  if (firing.status !== 'planned' && firing.status !== 'loaded')
    throw refuse(`${firing.kilnName} ${firing.no} is ${firing.status}: its load stands as it is.`);
}

export const arrange = operation({
  name: 'kilns.arrange',
  permit: permit('keep records'),
  input: arrangeSchema,
  run: async (act, { firingId, spots }) => {
    await changeable(act, firingId);
    for (const { placementId, ...spot } of spots)
      await putAt(act.trx, firingId, { id: placementId, ...spot });
  },
});

export const standOn = operation({
  name: 'kilns.stand-on',
  permit: permit('keep records'),
  input: settingSchema,
  run: async (act, { firingId, placementIds, setting }) => {
    await heldFiring(act, firingId);
    await setSetting(act.trx, firingId, placementIds, setting);
  },
});

export const overrule = operation({
  name: 'kilns.overrule',
  permit: permit('keep records'),
  input: overruleSchema,
  run: async (act, { firingId, ...said }) => {
    await heldFiring(act, firingId);
    const id = newId();
    await addOverrule(act.trx, firingId, { id, ...said }, act.person.id, act.now);
    return { id };
  },
});

export const withdrawOverrule = operation({
  name: 'kilns.withdraw-overrule',
  permit: permit('keep records'),
  input: withdrawOverruleSchema,
  run: ({ trx }, { firingId, id }) => removeOverrule(trx, firingId, id),
});

export const setHow = operation({
  name: 'kilns.set-run',
  permit: permit('keep records'),
  input: runSchema,
  run: async (act, { firingId, ...run }) => {
    await heldFiring(act, firingId);
    await setRun(act.trx, firingId, run as Parameters<typeof setRun>[2]);
  },
});

/** One temperature read by hand; a strange one is asked about before it is kept. */
export const read = operation({
  name: 'kilns.read',
  permit: permit('keep records'),
  input: readSchema,
  run: async (act, { firingId, at, celsius, probeMv, sure }) => {
    const firing = await heldFiring(act, firingId);
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
    if ((await keepReadings(act.trx, firingId, [{ ...reading, doubt: null }], 'hand', by)) === 0)
      throw refuse('There is a reading of this very moment already.');
    if (firing.status === 'opened') await learnFrom(act.trx, firingId);
  },
});

/** When it was really lit: people forget to say so. Readings that came meanwhile are taken along. */
export const litAt = operation({
  name: 'kilns.lit-at',
  permit: permit('keep records'),
  input: litSchema,
  run: async (act, { firingId, at }) => {
    const firing = await heldFiring(act, firingId);
    const lit = new Date(at);
    if (firing.startedAt === null)
      throw refuse('Start the firing first, then say when it was lit.');
    if (lit > act.now) throw refuse('That is still to come.', { at: 'Not in the future.' });
    if ((firing.openedAt ?? act.now).getTime() - lit.getTime() > 10 * DAY_MS)
      throw refuse('No firing takes more than ten days.', { at: 'Look at the date.' });
    if (firing.openedAt !== null && lit >= firing.openedAt)
      throw refuse('It was opened before that.', { at: 'Before it was opened.' });
    await setLit(act.trx, firingId, lit);
    const from = new Date(lit.getTime() - HOUR_MS);
    const strays = await takeStrays(act.trx, firing.kilnId, from, firing.openedAt ?? act.now);
    if (strays.length > 0)
      await takeReadings(act.trx, firingId, strays, 'device', act.person.id, act.now);
    await learnFrom(act.trx, firingId);
  },
});

/** Takes a reading out of belief, or back. It stays on record. */
export const strike = operation({
  name: 'kilns.strike-reading',
  permit: permit('keep records'),
  input: strikeSchema,
  run: async (act, { firingId, at, struck }) => {
    await heldFiring(act, firingId);
    if (!(await setDoubt(act.trx, firingId, new Date(at), struck ? 'struck' : null)))
      throw notFound('This reading');
    await learnFrom(act.trx, firingId);
  },
});

export const importLog = operation({
  name: 'kilns.import-log',
  permit: permit('keep records'),
  input: importLogSchema,
  run: async (act, { firingId, readings }) => {
    const firing = await heldFiring(act, firingId);
    if (firing.startedAt === null)
      throw refuse('Start the firing first: its readings need to know when it was lit.');
    const taken = await takeReadings(
      act.trx,
      firingId,
      readings.map(([ms, celsius]) => ({ at: new Date(ms), celsius, probeMv: null })),
      'file',
      act.person.id,
      act.now,
    );
    await learnFrom(act.trx, firingId);
    return {
      kept: taken.kept,
      repeated: taken.repeated,
      doubted: taken.doubted.length,
    };
  },
});

export const write = operation({
  name: 'kilns.log',
  permit: permit('keep records'),
  input: entrySchema,
  run: async (act, { firingId, at, kind, atmosphere, ...entry }) => {
    await heldFiring(act, firingId);
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
    );
  },
});

export const dropEntry = operation({
  name: 'kilns.drop-log',
  permit: permit('keep records'),
  input: dropEntrySchema,
  run: async ({ trx, now }, { firingId, id, dropped }) => {
    if (!(await hideEntry(trx, firingId, id, dropped ? now : null))) throw notFound('This line');
  },
});

/** Gives what a kiln sent while no firing was under way to one, or forgets it. */
export const settleStrays = operation({
  name: 'kilns.settle-strays',
  permit: permit('keep records'),
  input: straysSchema,
  run: async (act, { firingId, kilnId }) => {
    if (firingId === null) return { kept: 0, dropped: await dropStrays(act.trx, kilnId) };
    const firing = await heldFiring(act, firingId);
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
