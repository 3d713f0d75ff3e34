/** A row of a table that comes a second time: the same test in the same firing, whatever is said of it by now. */
import { createHash } from 'node:crypto';
import { plainName } from '@/core/zones';
import { cameBefore } from '@/data/came';
import type { Source } from '@/data/database';
import type { ImportRow } from './row';

const plain = (name: string | null): string => plainName(name ?? '');

/** Which test a row is, as a fingerprint: its mark, body, form, coats and firing; not what was seen of it. */
export function cameAs(row: ImportRow): string {
  const which = [
    plain(row.mark ?? row.code),
    plain(row.body),
    plain(row.form),
    row.coats.map(({ coating, coats, stretch }) => [plain(coating), coats, stretch ?? null]),
    [row.cone, row.atmosphere, row.date, plain(row.kiln)],
  ];
  return createHash('sha256').update(JSON.stringify(which)).digest('hex');
}

/**
 * Refuses rows that came in before, or says so of them where they are to come again. Of tests that
 * are alike so many are refused as are on record: a repeat that was added to the table is taken.
 */
export async function refuseWhatCame(
  src: Source,
  rows: readonly ImportRow[],
  again: boolean,
): Promise<void> {
  const good = rows.filter(({ errors }) => errors.length === 0);
  const came = await cameBefore(src, good.map(cameAs));
  for (const row of good) {
    const first = came.get(cameAs(row))?.shift();
    if (first === undefined) continue;
    const why = `It came in before, from “${first.file}”, and is ${first.code}.`;
    (again ? row.warnings : row.errors).push(why);
    row.came = first.code;
  }
}
