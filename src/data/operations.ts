import type { Source } from './database';

/**
 * An operation as it was carried out; `asked`: the fingerprint of what was asked, null where it was not kept
 * yet.
 */
export type Done = {
  name: string;
  personId: string | null;
  asked: string | null;
  result: unknown;
};

/** The answer an operation gave when it was first carried out; undefined when it never was. */
export async function findOperation(src: Source, id: string): Promise<Done | undefined> {
  const row = await src('operation').where({ id }).first();
  return row === undefined
    ? undefined
    : { name: row.name, personId: row.person_id, asked: row.asked, result: row.result };
}

/** Keeps an operation's answer, so that a repeat of it changes nothing. */
export async function keepOperation(src: Source, operation: Done & { id: string }, now: Date): Promise<void> {
  await src('operation').insert({
    id: operation.id,
    name: operation.name,
    person_id: operation.personId,
    asked: operation.asked,
    at: now,
    result: JSON.stringify(operation.result ?? null),
  });
}
