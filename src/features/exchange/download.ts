/** What is exported, as bytes that leave while they are made. */
import { Zip, ZipDeflate, strToU8 } from 'fflate';
import Papa from 'papaparse';
import type { Database } from '@/data/database';
import { documentText, tableLines } from './document';

/** So much text is gathered before it is passed on. */
const CHUNK = 64 * 1024;

/** Gathers small texts into larger ones. */
async function* gathered(texts: AsyncIterable<string>): AsyncGenerator<string> {
  let held = '';
  for await (const text of texts) {
    held += text;
    if (held.length < CHUNK) continue;
    yield held;
    held = '';
  }
  if (held !== '') yield held;
}

/** The JSON document as bytes. */
export async function* jsonBytes(db: Database, now: Date): AsyncGenerator<Uint8Array> {
  for await (const text of gathered(documentText(db, now))) yield strToU8(text);
}

/** All tables as CSV files in one zip. */
export async function* csvZipBytes(db: Database): AsyncGenerator<Uint8Array> {
  const ready: Uint8Array[] = [];
  let failure: Error | null = null;
  const zip = new Zip((error, bytes) => {
    if (error) failure = error;
    else ready.push(bytes);
  });
  const taken = (): Uint8Array[] => {
    if (failure !== null) throw failure;
    return ready.splice(0);
  };
  let table = '';
  let deflate = new ZipDeflate('');
  let text = '';
  const pass = (last: boolean): void => {
    if (table !== '') deflate.push(strToU8(text), last);
    text = '';
  };
  for await (const one of tableLines(db)) {
    if (one.table !== table) {
      pass(true);
      ({ table } = one);
      deflate = new ZipDeflate(`${table}.csv`);
      zip.add(deflate);
      // Spreadsheets tell UTF-8 by this mark.
      text = '\ufeff';
    }
    text += `${Papa.unparse([one.line])}\r\n`;
    if (text.length >= CHUNK) pass(false);
    yield* taken();
  }
  pass(true);
  zip.end();
  yield* taken();
}
