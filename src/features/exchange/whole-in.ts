/** A whole studio comes into an empty one. */
import { createHash } from 'node:crypto';
import { createInterface } from 'node:readline';
import { Readable, type Writable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import tar from 'tar-stream';
import type { z } from 'zod';
import { isDuplicate, refusedByTable, type Database, type Transaction } from '@/data/database';
import { newToken } from '@/data/ids';
import { rebuildSummaries } from '@/data/summaries';
import {
  canBeRun,
  clearForWhole,
  isEmptyStudio,
  layDown,
  letPersonCome,
  LooseEnd,
  rowOf,
  STEP,
  sumOf,
  wholeTables,
  withoutOrder,
  type TableSum,
  type WholeTable,
} from '@/data/whole';
import type { PictureStore } from '@/platform/objects';
import { hashPassword } from '@/platform/passwords';
import { refuse } from '@/platform/refusal';
import { beginning, ending, FILE_BYTES, header, LINE_BYTES, PICTURE, RECORDS, row } from './whole-format';

const notEmpty = () =>
  refuse('Something has been recorded here already. A whole studio comes into an empty one only.');
const altered = (what: string) =>
  refuse(`This file was altered or cut off: ${what}. Nothing was brought in.`);

export type Brought = { studio: string; tables: TableSum[]; pictures: number };

/**
 * Brings a whole studio into an empty one, all or nothing. Errors: Refusal, for what is foreign, of another
 * version, altered or cut off, and where something has been recorded already.
 */
export async function bringWhole(
  db: Database,
  store: PictureStore,
  body: AsyncIterable<Uint8Array>,
): Promise<Brought> {
  const noPassword = await hashPassword(newToken());
  try {
    return await withoutOrder(db, async (trx) => {
      if (!(await isEmptyStudio(trx))) throw notEmpty();
      const extract = tar.extract();
      const incoming = pipeline(Readable.from(body), extract as unknown as Writable);
      incoming.catch(() => undefined);
      let records: Omit<Brought, 'pictures'> | null = null;
      let pictures = 0;
      for await (const entry of extract) {
        const { name, size = 0 } = entry.header;
        if (records === null) {
          if (name !== RECORDS)
            throw refuse('This file is not a whole studio, as it is taken out under “Records in and out”.');
          records = await layRecords(trx, Readable.from(entry), noPassword);
        } else {
          if (size > FILE_BYTES) throw altered(`${name.slice(0, 40)} is too large`);
          if (await layPicture(store, name, Readable.from(entry))) pictures++;
        }
      }
      await incoming;
      if (records === null) throw refuse('This file is not a whole studio.');
      if (!(await canBeRun(trx, noPassword)))
        throw refuse(
          'After this nobody could run the studio: whoever signs in here under your name is no technician there. Sign in under another name first.',
        );
      await rebuildSummaries(trx);
      return { ...records, pictures };
    });
  } catch (error) {
    if (error instanceof LooseEnd) throw altered(`what ${error.message} refers to is missing`);
    if (isDuplicate(error) || refusedByTable(error) !== null) throw altered('a row of it cannot be kept');
    if (error instanceof Error && /tar|header|Unexpected end|Premature/i.test(error.message))
      throw altered('its end is missing, or it is no such file');
    throw error;
  }
}

async function layPicture(store: PictureStore, name: string, content: Readable): Promise<boolean> {
  const found = PICTURE.exec(name);
  if (found === null) throw altered(`“${name.slice(0, 40)}” does not belong into it`);
  const parts: Buffer[] = [];
  for await (const part of content) parts.push(part as Buffer);
  const bytes = Buffer.concat(parts);
  const original = found[2] === '.original';
  if (original && createHash('sha256').update(bytes).digest('hex') !== found[1])
    throw altered(`the picture ${found[1]!.slice(0, 8)} is not what its name says`);
  await store.write(`${found[1]}${found[2]}`, bytes);
  return original;
}

function parsed<T>(shape: z.ZodType<T>, line: string): T | null {
  if (line.length > LINE_BYTES) return null;
  try {
    const read = shape.safeParse(JSON.parse(line));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}

const ROWS_AT_ONCE = 500;

async function layRecords(
  trx: Transaction,
  content: Readable,
  noPassword: string,
): Promise<Omit<Brought, 'pictures'>> {
  const lines = createInterface({ input: content, crlfDelay: Infinity })[Symbol.asyncIterator]();
  const next = async (): Promise<string> => {
    const { value, done } = await lines.next();
    if (done) throw altered('its records end too early');
    return value;
  };
  const head = parsed(header, await next());
  if (head === null) throw refuse('This file is not a whole studio, or a newer program made it.');
  if (head.step !== STEP)
    throw refuse(
      `This file was made by another version of the program (${head.step.slice(0, 40)}; this one has ${STEP}). Bring it in with that version, or use a backup, which every newer version understands.`,
    );
  const known = new Map((await wholeTables(trx)).map((table) => [table.name, table]));
  if (!(await clearForWhole(trx, [...known.values()]))) throw notEmpty();
  const tables: TableSum[] = [];
  for (let line = await next(); line !== '{"end":true}'; line = await next()) {
    const begun = parsed(beginning, line);
    const table = begun === null ? undefined : known.get(begun.table);
    if (begun === null || table === undefined || begun.columns.join() !== table.columns.join())
      throw altered('its tables are not those of this version');
    known.delete(table.name);
    tables.push(await layTable(trx, table, next, noPassword));
  }
  if (known.size > 0) throw altered(`of ${[...known.keys()].join(', ')} there is nothing in it`);
  return { studio: head.studio, tables };
}

/** Lays a table's rows, then holds what lies there now against what the file says of itself. */
async function layTable(
  trx: Transaction,
  table: WholeTable,
  next: () => Promise<string>,
  noPassword: string,
): Promise<TableSum> {
  const people = table.name === 'person';
  const came = new Set<unknown>();
  let held: unknown[][] = [];
  const lay = async (): Promise<void> => {
    if (people) for (const one of held) await letPersonCome(trx, rowOf(table, one), noPassword);
    else await layDown(trx, table, held);
    held = [];
  };
  for (;;) {
    const line = await next();
    const sum = parsed(ending, line);
    if (sum !== null) {
      await lay();
      const id = table.columns.indexOf('id');
      const now = await sumOf(trx, table, people ? (one) => came.has(one[id]) : undefined);
      if (sum.sum.table !== table.name || sum.sum.rows !== now.rows || sum.sum.sha256 !== now.sha256)
        throw altered(`what it says of “${table.name}” is not what is in it`);
      return now;
    }
    const values = parsed(row, line);
    if (values === null || values.length !== table.columns.length)
      throw altered(`a row of “${table.name}” cannot be read`);
    if (people) came.add(values[table.columns.indexOf('id')]);
    held.push(values);
    if (held.length >= ROWS_AT_ONCE) await lay();
  }
}
