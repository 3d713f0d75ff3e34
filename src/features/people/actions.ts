import { newId, newToken } from '@/data/ids';
import {
  createInvitation,
  createShareLink,
  findLogin,
  findPerson,
  lockTechnicians,
  revokeShareLink,
  setDisabled,
  setPassword,
  setRole,
  withdrawInvitation,
} from '@/data/people';
import { createResetLink, endOtherSessions, endSessionById } from '@/data/sessions';
import { forgetName as takeNameOut } from '@/data/leaving';
import { updateStudio } from '@/data/studio';
import { operation, type Act } from '@/platform/operation';
import { countWrongChange, waitForChange } from '@/platform/limits';
import { checkPassword, hashPassword } from '@/platform/passwords';
import { presentSession } from '@/platform/present-session';
import { notFound, refuse } from '@/platform/refusal';
import { tooManyTries } from './door';
import { permit } from './permissions';
import * as contracts from './contracts';

const DAY = 86_400_000;
const INVITATION_DAYS = 14;

/** A studio must keep somebody who can run it. */
async function keepOneTechnician({ trx }: Act, leaving: string): Promise<void> {
  const technicians = await lockTechnicians(trx);
  if (technicians.length === 1 && technicians[0] === leaving) {
    throw refuse('This is the studio’s only technician. Make somebody else one first.');
  }
}

export const invite = operation({
  contract: contracts.invite,
  permit: permit('run the studio'),
  run: async ({ trx, person, now }, { name, role }) => {
    const token = await createInvitation(
      trx,
      { id: newId(), name, role, createdBy: person.id },
      now,
      new Date(now.getTime() + INVITATION_DAYS * DAY),
    );
    return { token };
  },
});

export const withdraw = operation({
  contract: contracts.withdraw,
  permit: permit('run the studio'),
  run: ({ trx, now }, { invitationId }) => withdrawInvitation(trx, invitationId, now),
});

export const changeRole = operation({
  contract: contracts.setRole,
  permit: permit('run the studio'),
  run: async (act, { personId, role }) => {
    if ((await findPerson(act.trx, personId)) === null) throw notFound('This person');
    if (role !== 'technician') await keepOneTechnician(act, personId);
    await setRole(act.trx, personId, role);
  },
});

export const disable = operation({
  contract: contracts.disable,
  permit: permit('run the studio'),
  run: async (act, { personId, disabled }) => {
    if ((await findPerson(act.trx, personId)) === null) throw notFound('This person');
    if (disabled) await keepOneTechnician(act, personId);
    await setDisabled(act.trx, personId, disabled ? act.now : null);
  },
});

export const changePassword = operation({
  contract: contracts.changePassword,
  permit: permit('see the chart'),
  run: async ({ trx, person }, { current, next }) => {
    const wait = await waitForChange(person.id);
    if (wait > 0) throw tooManyTries(wait);
    const held = await findLogin(trx, person.login);
    if (held === null || !(await checkPassword(held.passwordHash, current))) {
      await countWrongChange(person.id);
      throw refuse('The present password is not right.', { current: 'Not right.' });
    }
    await setPassword(trx, person.id, await hashPassword(next));
    // Whoever knew the old one is out: only where it was changed one stays signed in.
    await endOtherSessions(trx, person.id, await presentSession());
  },
});

export const endSession = operation({
  contract: contracts.endSession,
  permit: permit('see the chart'),
  run: async ({ trx, person }, { sessionId }) => {
    if (!(await endSessionById(trx, person.id, sessionId))) throw notFound('This session');
  },
});

export const endOthers = operation({
  contract: contracts.endOthers,
  permit: permit('see the chart'),
  run: async ({ trx, person }) => endOtherSessions(trx, person.id, await presentSession()),
});

export const resetLink = operation({
  contract: contracts.resetLink,
  permit: permit('run the studio'),
  run: async ({ trx, person, now }, { personId }) => {
    const found = await findPerson(trx, personId);
    if (found === null) throw notFound('This person');
    if (found.disabled) throw refuse(`${found.name} may not sign in. Let them in again first.`);
    return { token: await createResetLink(trx, { personId, createdBy: person.id }, now) };
  },
});

export const forgetName = operation({
  contract: contracts.forgetName,
  permit: permit('run the studio'),
  run: async (act, { personId, name }) => {
    const found = await findPerson(act.trx, personId);
    if (found === null) throw notFound('This person');
    if (personId === act.person.id) throw refuse('Somebody else has to do this for you.');
    if (name.trim() !== found.name)
      throw refuse(`Type “${found.name}” to say that it is meant.`, { name: 'Not the same.' });
    await keepOneTechnician(act, personId);
    await takeNameOut(act.trx, found, await hashPassword(newToken()), act.now);
  },
});

export const saveStudio = operation({
  contract: contracts.saveStudio,
  permit: permit('run the studio'),
  run: ({ trx }, { studio }) => updateStudio(trx, studio),
});

export const share = operation({
  contract: contracts.share,
  permit: permit('keep records'),
  run: async ({ trx, person, now }, { label, view, days }) => {
    const expiresAt = days === null ? null : new Date(now.getTime() + days * DAY);
    return {
      token: await createShareLink(trx, { id: newId(), label, view, createdBy: person.id, expiresAt }, now),
    };
  },
});

export const revoke = operation({
  contract: contracts.revokeShare,
  permit: permit('keep records'),
  run: ({ trx, now }, { shareId }) => revokeShareLink(trx, shareId, now),
});
