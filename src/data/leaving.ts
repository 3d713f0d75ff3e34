/** Somebody leaves: what is on record of them, and their name taken out. */
import { SOMEBODY } from '@/core/studio';
import type { Row, Source } from './database';
import { findPerson, type Person } from './people';
import { references } from './references';
import { WAYS_IN } from './sessions';

/** Answers to acts that were carried out; the acts themselves are on record. */
const UNTOLD = new Set<string>([...WAYS_IN, 'operation', 'merger']);
const SECRETS = new Set(['token', 'token_hash', 'password_hash']);

export type PersonRecord = {
  person: Pick<Person, 'name' | 'login' | 'role'>;
  at: string;
  /** Rows in which they stand, by table; `because` names the column. */
  records: { table: string; because: string; rows: Row[] }[];
};

/** Everything that names this person; null when there is nobody of that id. */
export async function recordOfPerson(src: Source, id: string, now: Date): Promise<PersonRecord | null> {
  const person = await findPerson(src, id);
  if (person === null) return null;
  const records: PersonRecord['records'] = [];
  for (const { table, column } of await references(src, 'person')) {
    if (UNTOLD.has(table)) continue;
    const rows: Row[] = await src(table).where({ [column]: id });
    const told = rows.map((row) =>
      Object.fromEntries(Object.entries(row).filter(([name]) => !SECRETS.has(name))),
    );
    if (told.length > 0) records.push({ table, because: column, rows: told });
  }
  const { name, login, role } = person;
  return { person: { name, login, role }, at: now.toISOString(), records };
}

/**
 * Takes a person's name out: what they recorded stays, as somebody's who left; nobody can sign in as them,
 * and the invitation they came by names nobody. A name in a note stays, since nobody can find it surely.
 */
export async function forgetName(
  src: Source,
  { id, name }: Person,
  noPassword: string,
  now: Date,
): Promise<void> {
  // A double of theirs bears the name as well.
  const doubles = await src('person').where({ merged_into: id }).select('id', 'name');
  for (const one of [{ id, name }, ...doubles]) {
    for (const table of WAYS_IN) await src(table).where({ person_id: one.id }).delete();
    await src('invitation').where({ name: one.name }).whereNotNull('used_at').update({ name: SOMEBODY });
    await src('person')
      .where({ id: one.id })
      .update({
        name: SOMEBODY,
        // Unlike any that can be typed, and free again for somebody else.
        login: one.id,
        password_hash: noPassword,
        disabled_at: src.raw('COALESCE(disabled_at, ?)', [now]),
      });
  }
}
