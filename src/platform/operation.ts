import { createHash } from 'node:crypto';
import { z } from 'zod';
import {
  isDatabaseAway,
  isDiskFull,
  isDuplicate,
  refusedByTable,
  transact,
  type Database,
  type Transaction,
} from '@/data/database';
import { findOperation, keepOperation, type Done } from '@/data/operations';
import type { Person } from '@/data/people';
import type { Contract } from './contract';
import { log } from './log';
import { Refusal, type Problem } from './refusal';

export type Answer<T = unknown> = { ok: true; data: T } | { ok: false; problem: Problem };

/** What an operation works with: one transaction, who acts, and the time. */
export type Act = { trx: Transaction; person: Person; now: Date; operationId: string };

/** A file as it came with an operation. */
export type Upload = { name: string; bytes: Buffer };

/** A contract carried out: who may, and what is done. */
export type Operation<I extends z.ZodType = z.ZodType, R = unknown, P = unknown> = {
  contract: Contract<I, R>;
  /** Who may do this at all; finer rules (ownership) are asked inside. */
  permit: (person: Person) => boolean;
  /**
   * Long work, with the file if one comes with it (else an empty one), done before the transaction begins.
   */
  prepare?(request: { db: Database; person: Person; file: Upload }, input: z.output<I>): Promise<P>;
  run(act: Act, input: z.output<I>, prepared: P): Promise<R extends null ? void | null : R>;
  /**
   * What follows once it is kept, and cannot be taken back: where it fails the answer stands, and it is
   * written down.
   */
  after?(db: Database, prepared: P): Promise<void>;
};

/** Ties an operation's parts together; the one way to define a write. */
export const operation = <I extends z.ZodType, R, P = undefined>(
  definition: Operation<I, R, P>,
): Operation<I, R, P> => definition;

/** Messages by field path from a failed parse, the first of each field. */
export function fieldMessages(error: z.ZodError): Record<string, string> {
  const fields: Record<string, string> = {};
  for (const issue of error.issues) fields[issue.path.join('.')] ??= issue.message;
  return fields;
}

const NOT_SIGNED_IN: Problem = {
  code: 'not-signed-in',
  message: 'You are not signed in any more. Sign in again; what you typed is still here.',
};

/** A tablet is shared: a page that was made for one person sends nothing under another's name. */
const otherPerson = ({ name }: Person): Problem => ({
  code: 'other-person',
  message: `${name} is signed in on this device now. What you wrote is still here, and waits until you sign in again.`,
});

const AWAY: Problem = {
  code: 'database-away',
  message:
    'The studio’s database does not answer. Nothing was lost: what you typed is still here. Try again in a moment.',
};

/** Why somebody may not even try; null when they may. */
export function mayTry(definition: Operation, person: Person | null): Problem | null {
  if (person === null) return NOT_SIGNED_IN;
  if (definition.permit(person)) return null;
  return { code: 'not-allowed', message: `A ${person.role} cannot do this. Ask a technician.` };
}

/** What is being carried out in this process: the same again waits for its answer. */
const underWay = new Map<string, Promise<Answer>>();

/** What was asked for, as it came, with the file that came with it; null where it is a secret. */
const fingerprint = ({ secret }: Contract, input: unknown, file: Upload | null): string | null =>
  secret === true
    ? null
    : createHash('sha256')
        .update(JSON.stringify(input) ?? '')
        .update(file === null ? '' : createHash('sha256').update(file.bytes).digest())
        .digest('hex');

/**
 * Carries an operation out once: a repeat with the same id answers as the first time and changes nothing;
 * one that asks for something else is told what is on record. Every failure comes back as a problem a person
 * can act on.
 */
export async function perform(
  db: Database,
  definition: Operation,
  request: { id: string; input: unknown; as?: string; file?: Upload | null },
  person: Person | null,
  now = new Date(),
): Promise<Answer> {
  const refused = mayTry(definition, person);
  if (refused !== null || person === null) return { ok: false, problem: refused ?? NOT_SIGNED_IN };
  if (request.as !== undefined && request.as !== person.id)
    return { ok: false, problem: otherPerson(person) };
  const parsed = definition.contract.input.safeParse(request.input);
  if (!parsed.success) {
    const fields = fieldMessages(parsed.error);
    return {
      ok: false,
      problem: {
        code: 'invalid',
        message: Object.values(fields)[0] ?? 'Something is missing.',
        fields,
      },
    };
  }
  const { fileBytes } = definition.contract;
  const file = request.file ?? null;
  if (fileBytes !== undefined && (file === null || file.bytes.length > fileBytes))
    return { ok: false, problem: fileProblem(file, fileBytes) };
  // One answer for one id, also for two that come at the same moment.
  const asked = fingerprint(definition.contract, request.input, file);
  const key = `${person.id} ${definition.contract.name} ${request.id} ${asked}`;
  const same = underWay.get(key);
  if (same !== undefined) return same;
  const answer = carryOut(db, definition, { id: request.id, input: parsed.data, file, asked }, person, now);
  underWay.set(key, answer);
  try {
    return await answer;
  } finally {
    underWay.delete(key);
  }
}

async function carryOut(
  db: Database,
  definition: Operation,
  request: { id: string; input: unknown; file: Upload | null; asked: string | null },
  person: Person,
  now: Date,
): Promise<Answer> {
  const { file, asked } = request;
  const { name } = definition.contract;
  const again = (done: Done): Answer => repeated(done, { name, personId: person.id, asked });
  try {
    if (file !== null) {
      // What comes with a file is long work: a repeat is answered before it is done again.
      const done = await findOperation(db, request.id);
      if (done !== undefined) return again(done);
    }
    const given = { db, person, file: file ?? { name: '', bytes: Buffer.alloc(0) } };
    const prepared = await definition.prepare?.(given, request.input);
    const data = await transact(db, async (trx) => {
      const result = await definition.run(
        { trx, person, now, operationId: request.id },
        request.input,
        prepared,
      );
      await keepOperation(trx, { id: request.id, name, personId: person.id, asked, result }, now);
      return result;
    });
    await definition
      .after?.(db, prepared)
      .catch((error: unknown) =>
        log.error({ where: name, error: String(error) }, 'what was to follow did not'),
      );
    return { ok: true, data: data ?? null };
  } catch (error) {
    // A repeat fails at the latest where its id would be kept twice; then the first answer stands.
    // While nobody can say whether it was carried out before, nobody says that it was not.
    const done = await findSurely(db, request.id);
    if (done === 'nobody knows') return { ok: false, problem: AWAY };
    if (done !== undefined) return again(done);
    return { ok: false, problem: problemOf(error, name) };
  }
}

const LOOKS = 4;

/** Looks an answer up; a connection that was cut is tried again on another. */
async function findSurely(db: Database, id: string) {
  for (let look = 1; ; look++) {
    try {
      return await findOperation(db, id);
    } catch (error) {
      log.warn({ where: 'answers', error: String(error) }, 'an answer could not be looked up');
      if (look === LOOKS) return 'nobody knows' as const;
      await new Promise((resolve) => setTimeout(resolve, 50 * look));
    }
  }
}

function fileProblem(file: Upload | null, most: number): Problem {
  const message =
    file === null
      ? 'The file did not arrive whole. Send it again.'
      : `The file has ${Math.round(file.bytes.length / 1048576)} MB; at most ${most / 1048576} MB can be taken.`;
  return { code: 'invalid', message };
}

const ARRIVED =
  'What you sent before did arrive after all, and is on record. What you changed since is not: look at what is there, then put that right.';

function repeated(done: Done, now: Omit<Done, 'result'>): Answer {
  if (done.name !== now.name || done.personId !== now.personId) {
    const message = 'This operation id was used for something else.';
    return { ok: false, problem: { code: 'conflict', message } };
  }
  if (done.asked === null || done.asked === now.asked) return { ok: true, data: done.result };
  return { ok: false, problem: { code: 'arrived', message: ARRIVED, details: done.result } };
}

const REFUSED_WORDS: Record<NonNullable<ReturnType<typeof refusedByTable>>, Problem> = {
  missing: {
    code: 'not-found',
    message: 'Something that this refers to is not there any more. Nothing was changed.',
  },
  'in use': {
    code: 'conflict',
    message: 'Something else still refers to this. Nothing was changed.',
  },
  value: {
    code: 'invalid',
    message:
      'One of the values cannot be kept: too large, too long, or not of its kind. Nothing was changed.',
  },
};

/** Turns anything thrown into a problem; what is not the person's doing is logged. */
export function problemOf(error: unknown, where: string): Problem {
  if (error instanceof Refusal) return error.problem;
  if (isDatabaseAway(error)) {
    log.error({ where, error: String(error) }, 'database away');
    return AWAY;
  }
  if (isDiskFull(error)) {
    log.error({ where, error: String(error) }, 'disk full');
    return {
      code: 'no-room',
      message:
        'The studio’s disk is full, and nothing was changed. What you typed is still here; tell your technician to make room.',
    };
  }
  if (isDuplicate(error)) {
    return {
      code: 'conflict',
      message: 'There is one like this already: a name, code or place is taken.',
    };
  }
  const refused = refusedByTable(error);
  if (refused !== null) {
    // No form of ours sends it; what was meant as a rule of a contract shows here.
    log.warn({ where, refused, error: String(error) }, 'a table refused what was sent');
    return REFUSED_WORDS[refused];
  }
  log.error({ where, error: error instanceof Error ? error.stack : String(error) }, 'operation failed');
  return {
    code: 'failed',
    message: 'This did not work, and nothing was changed. Try again; if it stays so, tell your technician.',
  };
}
