/** What somebody may do who is not signed in: set the studio up, sign in, accept an invitation. */
import type { z } from 'zod';
import { isDuplicate, transact, type Database } from '@/data/database';
import { newId } from '@/data/ids';
import {
  countPeople,
  createPerson,
  findInvitation,
  findLogin,
  useInvitation as markUsed,
} from '@/data/people';
import { createStudio, readStudio } from '@/data/studio';
import { countWrongSignIn, forgiveSignIn, waitForSignIn } from '@/platform/limits';
import { checkNothing, checkPassword, hashPassword } from '@/platform/passwords';
import { Refusal, refuse } from '@/platform/refusal';
import type { acceptSchema, firstRunSchema, signInSchema } from './contracts';

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

/** The id of the person whose name and password these are; counted against guessing. */
export async function checkSignIn(
  db: Database,
  input: z.output<typeof signInSchema>,
  address: string,
): Promise<string> {
  const wait = await waitForSignIn(input.login, address);
  if (wait > 0) throw tooManyTries(wait);
  const held = await findLogin(db, input.login);
  if (held === null) await checkNothing(input.password);
  const right = held !== null && (await checkPassword(held.passwordHash, input.password));
  if (!right || held.person.disabled) {
    await countWrongSignIn(input.login, address);
    throw refuse('Name or password is not right.', { password: 'Name or password is not right.' });
  }
  await forgiveSignIn(input.login, address);
  return held.person.id;
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
      if (invitation.expiresAt <= now)
        throw refuse('This invitation has run out. Ask for another.');
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
