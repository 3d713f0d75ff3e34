import { newId } from '@/data/ids';
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
import { updateStudio } from '@/data/studio';
import { operation, type Act } from '@/platform/operation';
import { checkPassword, hashPassword } from '@/platform/passwords';
import { notFound, refuse } from '@/platform/refusal';
import { permit } from './permissions';
import {
  disableSchema,
  inviteSchema,
  passwordSchema,
  revokeSchema,
  roleSchema,
  shareSchema,
  studioSchema,
  withdrawSchema,
} from './schema';

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
  name: 'people.invite',
  permit: permit('run the studio'),
  input: inviteSchema,
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
  name: 'people.withdraw-invitation',
  permit: permit('run the studio'),
  input: withdrawSchema,
  run: ({ trx, now }, { invitationId }) => withdrawInvitation(trx, invitationId, now),
});

export const changeRole = operation({
  name: 'people.set-role',
  permit: permit('run the studio'),
  input: roleSchema,
  run: async (act, { personId, role }) => {
    if ((await findPerson(act.trx, personId)) === null) throw notFound('This person');
    if (role !== 'technician') await keepOneTechnician(act, personId);
    await setRole(act.trx, personId, role);
  },
});

export const disable = operation({
  name: 'people.disable',
  permit: permit('run the studio'),
  input: disableSchema,
  run: async (act, { personId, disabled }) => {
    if ((await findPerson(act.trx, personId)) === null) throw notFound('This person');
    if (disabled) await keepOneTechnician(act, personId);
    await setDisabled(act.trx, personId, disabled ? act.now : null);
  },
});

export const changePassword = operation({
  name: 'people.change-password',
  permit: permit('see the chart'),
  input: passwordSchema,
  run: async ({ trx, person }, { current, next }) => {
    const held = await findLogin(trx, person.login);
    if (held === null || !(await checkPassword(held.passwordHash, current))) {
      throw refuse('The present password is not right.', { current: 'Not right.' });
    }
    await setPassword(trx, person.id, await hashPassword(next));
  },
});

export const saveStudio = operation({
  name: 'people.save-studio',
  permit: permit('run the studio'),
  input: studioSchema,
  run: ({ trx }, studio) => updateStudio(trx, studio),
});

export const share = operation({
  name: 'people.share',
  permit: permit('keep records'),
  input: shareSchema,
  run: async ({ trx, person, now }, { label, view, days }) => {
    const expiresAt = days === null ? null : new Date(now.getTime() + days * DAY);
    return {
      token: await createShareLink(
        trx,
        { id: newId(), label, view, createdBy: person.id, expiresAt },
        now,
      ),
    };
  },
});

export const revoke = operation({
  name: 'people.revoke-share',
  permit: permit('keep records'),
  input: revokeSchema,
  run: ({ trx, now }, { shareId }) => revokeShareLink(trx, shareId, now),
});
