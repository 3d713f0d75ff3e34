/** Schedules, devices that speak for a kiln, and what is done to it between firings. */
import { listKilns } from '@/data/catalogue';
import { newId, newToken } from '@/data/ids';
import {
  addToken,
  addUpkeep,
  dropUpkeep as hideUpkeep,
  revokeToken as endToken,
} from '@/data/kiln-care';
import { archiveSchedule as shelve, createSchedule, updateSchedule } from '@/data/schedules';
import { operation, type Act } from '@/platform/operation';
import { conflict, notFound } from '@/platform/refusal';
import { permit } from '../people';
import {
  archiveScheduleSchema,
  dropUpkeepSchema,
  revokeSchema,
  saveScheduleSchema,
  tokenSchema,
  upkeepSchema,
} from './schema';

async function knownKiln({ trx }: Act, id: string): Promise<void> {
  if (!(await listKilns(trx)).some((kiln) => kiln.id === id)) throw notFound('This kiln');
}

export const saveSchedule = operation({
  name: 'kilns.save-schedule',
  permit: permit('keep records'),
  input: saveScheduleSchema,
  run: async ({ trx, person, now }, { id, revision, fields }) => {
    if (id === null) {
      const made = newId();
      await createSchedule(trx, made, fields, person.id, now);
      return { id: made };
    }
    if (!(await updateSchedule(trx, id, fields, revision)))
      throw conflict('Somebody else changed this schedule meanwhile. Look at it again first.');
    return { id };
  },
});

export const archiveSchedule = operation({
  name: 'kilns.archive-schedule',
  permit: permit('keep records'),
  input: archiveScheduleSchema,
  run: ({ trx, now }, { id, archived }) => shelve(trx, id, archived ? now : null),
});

/** A secret for a device; it is shown this once, only its hash is kept. */
export const makeToken = operation({
  name: 'kilns.make-token',
  permit: permit('run the studio'),
  input: tokenSchema,
  run: async (act, { kilnId, name }) => {
    await knownKiln(act, kilnId);
    const secret = newToken();
    const id = newId();
    await addToken(act.trx, { id, kilnId, name, secret }, act.person.id, act.now);
    return { id, secret };
  },
});

export const revokeToken = operation({
  name: 'kilns.revoke-token',
  permit: permit('run the studio'),
  input: revokeSchema,
  run: async ({ trx, now }, { id }) => {
    if (!(await endToken(trx, id, now))) throw notFound('This token');
  },
});

export const upkeep = operation({
  name: 'kilns.upkeep',
  permit: permit('keep records'),
  input: upkeepSchema,
  run: async (act, input) => {
    await knownKiln(act, input.kilnId);
    await addUpkeep(act.trx, input, act.person.id, act.now);
  },
});

export const dropUpkeep = operation({
  name: 'kilns.drop-upkeep',
  permit: permit('keep records'),
  input: dropUpkeepSchema,
  run: async ({ trx, now }, { id, dropped }) => {
    if (!(await hideUpkeep(trx, id, dropped ? now : null))) throw notFound('This line');
  },
});
