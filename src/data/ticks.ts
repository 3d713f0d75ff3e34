/** Ticks on sheets, of each person their own. */
import type { Source } from './database';

/** The rows of a sheet that this person has done. */
export const ticksOf = (src: Source, personId: string, sheet: string): Promise<string[]> =>
  src('tick').where({ person_id: personId, sheet, done: true }).orderBy('line').pluck('line');

/** Keeps what was said last of a row: two devices send in whatever order they find a network. */
export async function keepTick(
  src: Source,
  personId: string,
  one: { sheet: string; line: string; done: boolean; saidAt: Date },
  now: Date,
): Promise<void> {
  await src.raw(
    `INSERT INTO tick (person_id, sheet, line, done, said_at, at)
     VALUES (:personId, :sheet, :line, :done, :saidAt, :now)
     ON DUPLICATE KEY UPDATE
       done = IF(VALUES(said_at) >= said_at, VALUES(done), done),
       at = VALUES(at),
       said_at = GREATEST(said_at, VALUES(said_at))`,
    { ...one, personId, now },
  );
}

/** Begins a sheet anew; what was ticked on another device after that moment stays. */
export async function clearTicks(src: Source, personId: string, sheet: string, before: Date): Promise<void> {
  await src('tick')
    .where({ person_id: personId, sheet })
    .where('said_at', '<=', before)
    .update({ done: false, said_at: before });
}
