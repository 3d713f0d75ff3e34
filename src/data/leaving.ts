/** Somebody leaves: what is on record of them, and their name taken out. */
import { SOMEBODY } from '@/core/studio';
import type { Row, Source } from './database';
import { findPerson, type Person } from './people';

/** Tables that hold only ways in, which end when somebody leaves. */
const WAYS_IN = ['session', 'known_device', 'reset_link'];
/** Answers to acts that were carried out; the acts themselves are on record. */
const UNTOLD = new Set([...WAYS_IN, 'operation', 'merger']);
const SECRETS = new Set(['token', 'token_hash', 'password_hash']);

export type PersonRecord = {
  person: Pick<Person, 'name' | 'login' | 'role'>;
  at: string;
  /** Rows in which they stand, by table; `because` names the column. */
  records: { table: string; because: string; rows: Row[] }[];
};

/** Columns that say who: by the database's own list of what refers to people. */
async function whoColumns(src: Source): Promise<{ table: string; column: string }[]> {
  const rows: Row[] = await src('information_schema.KEY_COLUMN_USAGE')
    .whereRaw('TABLE_SCHEMA = DATABASE() AND REFERENCED_TABLE_SCHEMA = DATABASE()')
    .where('REFERENCED_TABLE_NAME', 'person')
    .orderBy(['TABLE_NAME', 'COLUMN_NAME'])
    .select('TABLE_NAME as table', 'COLUMN_NAME as column');
  return rows as { table: string; column: string }[];
}

/** Everything that names this person; null when there is nobody of that id. */
export async function recordOfPerson(
  src: Source,
  id: string,
  now: Date,
): Promise<PersonRecord | null> {
  const person = await findPerson(src, id);
  if (person === null) return null;
  const records: PersonRecord['records'] = [];
  for (const { table, column } of await whoColumns(src)) {
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
  for (const table of WAYS_IN) await src(table).where({ person_id: id }).delete();
  await src('invitation').where({ name }).whereNotNull('used_at').update({ name: SOMEBODY });
  await src('person')
    .where({ id })
    .update({
      name: SOMEBODY,
      // Unlike any that can be typed, and free again for somebody else.
      login: id,
      password_hash: noPassword,
      disabled_at: src.raw('COALESCE(disabled_at, ?)', [now]),
    });
}
