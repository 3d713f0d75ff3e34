import type { Source } from './database';

/** The answer an operation gave when it was first carried out; undefined when it never was. */
export async function findOperation(
  src: Source,
  id: string,
): Promise<{ name: string; personId: string | null; result: unknown } | undefined> {
  const row = await src('operation').where({ id }).first();
  return row === undefined
    ? undefined
    : { name: row.name, personId: row.person_id, result: row.result };
}

/** Keeps an operation's answer, so that a repeat of it changes nothing. */
export async function keepOperation(
  src: Source,
  operation: { id: string; name: string; personId: string | null; result: unknown },
  now: Date,
): Promise<void> {
  await src('operation').insert({
    id: operation.id,
    name: operation.name,
    person_id: operation.personId,
    at: now,
    result: JSON.stringify(operation.result ?? null),
  });
}
