/** What somebody may do who is not signed in: set the studio up, sign in, accept an invitation. */
import type { z } from 'zod';
import { isDuplicate, transact, type Database } from '@/data/database';
import { newId, tokenHash } from '@/data/ids';
import {
  countPeople,
  createPerson,
  findInvitation,
  findLogin,
  setPassword,
  useInvitation as markUsed,
} from '@/data/people';
import { endOtherSessions, findResetLink, isKnownDevice, useResetLink } from '@/data/sessions';
import { createStudio, readStudio } from '@/data/studio';
import {
  countWrongSignIn,
  forgiveAccount,
  forgiveSignIn,
  waitForSignIn,
  type TriedFrom,
} from '@/platform/limits';
import { checkNothing, checkPassword, hashPassword } from '@/platform/passwords';
import { Refusal, refuse } from '@/platform/refusal';
import type { acceptSchema, firstRunSchema, resetSchema, signInSchema } from './contracts';

const TAKEN = 'This sign-in name is taken; choose another.';

/** Makes the studio and its first technician; refused once there is anybody. */
export async function firstRun(
  db: Database,
  input: z.output<typeof firstRunSchema>,
  now: Date,
): Promise<string> {
  const id = newId();
  const passwordHash = await hashPassword(input.password);
  await transact(db, async (trx) => {
    if ((await readStudio(trx)) !== null || (await countPeople(trx)) > 0) {
      throw refuse('This studio has been set up already. Sign in instead.');
    }
    await createStudio(trx, input.studio, now);
    await createPerson(
      trx,
      { id, name: input.name, login: input.login, passwordHash, role: 'technician' },
      now,
    );
  });
  return id;
}

/** Too many wrong passwords, and how long to wait. */
export const tooManyTries = (seconds: number): Refusal =>
  new Refusal({
    code: 'too-many',
    message: `Too many tries. Wait ${Math.max(1, Math.ceil(seconds / 60))} minutes, or ask a technician.`,
  });

export type SignInFrom = {
  address: string;
  /** What this browser was given when somebody last signed in from it. */
  device: string | null;
};

/**
 * The id of the person whose name and password these are; counted against guessing. Where they have signed
 * in before, only wrong tries from that very device count: nobody locks them out from elsewhere.
 */
export async function checkSignIn(
  db: Database,
  input: z.output<typeof signInSchema>,
  { address, device }: SignInFrom,
  now = new Date(),
): Promise<string> {
  const held = await findLogin(db, input.login);
  const known = held !== null && device !== null && (await isKnownDevice(db, held.person.id, device, now));
  const from: TriedFrom = known
    ? { login: input.login, device: tokenHash(device) }
    : { login: input.login, address };
  const wait = await waitForSignIn(from);
  if (wait > 0) throw tooManyTries(wait);
  if (held === null) await checkNothing(input.password);
  const right = held !== null && (await checkPassword(held.passwordHash, input.password));
  if (!right || held.person.disabled) {
    await countWrongSignIn(from);
    throw refuse('Name or password is not right.', { password: 'Name or password is not right.' });
  }
  await forgiveSignIn(from);
  return held.person.id;
}

/** Sets a forgotten password by the link that a technician gave; every session of before ends. */
export async function resetPassword(
  db: Database,
  input: z.output<typeof resetSchema>,
  now: Date,
): Promise<string> {
  const passwordHash = await hashPassword(input.password);
  const person = await transact(db, async (trx) => {
    const link = await findResetLink(trx, input.token, now);
    if (link === null || !(await useResetLink(trx, link.id, now)))
      throw refuse('This link does not open any more. Ask a technician for another.');
    await setPassword(trx, link.person.id, passwordHash);
    await endOtherSessions(trx, link.person.id, null);
    return link.person;
  });
  await forgiveAccount(person.login);
  return person.id;
}

/** Makes the invited person; an invitation opens once. */
export async function acceptInvitation(
  db: Database,
  input: z.output<typeof acceptSchema>,
  now: Date,
): Promise<string> {
  const passwordHash = await hashPassword(input.password);
  const id = newId();
  try {
    await transact(db, async (trx) => {
      const invitation = await findInvitation(trx, input.token);
      if (invitation === null || invitation.withdrawn)
        throw refuse('This invitation does not exist any more. Ask for another.');
      if (invitation.expiresAt <= now) throw refuse('This invitation has run out. Ask for another.');
      if (invitation.used || !(await markUsed(trx, invitation.id, now))) {
        throw refuse('This invitation has been used already. Sign in instead.');
      }
      await createPerson(
        trx,
        { id, name: input.name, login: input.login, passwordHash, role: invitation.role },
        now,
      );
    });
  } catch (error) {
    if (isDuplicate(error)) throw refuse(TAKEN, { login: TAKEN });
    throw error;
  }
  return id;
}
