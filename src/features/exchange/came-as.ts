/**
 * A row of a table that comes a second time: the same test in the same firing, whatever is said of it by now.
 */
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

/** A file that was fetched twice is the same file: "tests (1).csv". */
const plainFile = (name: string): string => plain(name.slice(0, 160).replace(/ ?\(\d+\)(?=\.\w+$|$)/, ''));

/**
 * Finds rows that came in before, and leaves them out by a reason, unless they are to come again. Of tests
 * that are alike so many are found as are on record: a repeat that was added to the table is taken. Without a
 * day the same test may have been made and fired once more: then only the same file holds the same row, and a
 * row of another may be it, and is taken.
 * @param file the name of the file
 */
export async function findWhatCame(
  src: Source,
  rows: readonly ImportRow[],
  file: string,
  { again, leaveOutMaybe }: { again: boolean; leaveOutMaybe: boolean },
): Promise<void> {
  const good = rows.filter(({ errors }) => errors.length === 0);
  const came = await cameBefore(src, good.map(cameAs));
  for (const row of good) {
    const there = came.get(cameAs(row)) ?? [];
    const same = there.findIndex((one) => row.date !== null || plainFile(one.file) === plainFile(file));
    const [first] = there.splice(Math.max(0, same), 1);
    if (first === undefined) continue;
    const maybe = same < 0;
    row.came = { code: first.code, maybe };
    const out = maybe ? leaveOutMaybe : !again;
    (out ? row.errors : row.warnings).push(
      maybe
        ? `It may have come in before, from “${first.file}”, and be ${first.code}: it names no day.`
        : `It came in before, from “${first.file}”, and is ${first.code}.`,
    );
  }
}
