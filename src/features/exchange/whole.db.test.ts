/** A whole studio out of one database and into an empty one, and every way in which the file may be wrong. */
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import tar from 'tar-stream';
import sharp from 'sharp';
import type { Database } from '@/data/database';
import { createPerson } from '@/data/people';
import { createSession, findSession } from '@/data/sessions';
import { STAYS_BEHIND, sumOf, wholeTables, type TableSum } from '@/data/whole';
import { folderStore, keepPicture } from '@/platform/objects';
import { Refusal } from '@/platform/refusal';
import { loadDemo } from '../../../demo/load';
import { emptyDatabase } from '../../../test-support/database';
import { fired, layer, recordInput, testStudio } from '../../../test-support/studio';
import { firstRun } from '../people/server';
import { bringWhole } from './whole-in';
import { wholeBytes } from './whole-out';

const STUDIO = {
  name: 'New',
  timeZone: 'UTC',
  temperatureUnit: 'C',
  lengthUnit: 'mm',
  massUnit: 'g',
  crackAtC: 100,
  unloadAtC: 40,
} as const;

/** A studio, and the file that takes it all elsewhere. */
type Leaving = { from: Database; whole: Buffer };

let folder: string;
/** A few pieces and all that hangs on them: what is refused is refused of these too. */
let few: Leaving;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'jiten-whole-test-'));
  const studio = await testStudio();
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))], { count: 4 });
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss', rating: 4 }));
  few = await leaving(studio.db);
}, 240_000);
afterAll(async () => {
  await few.from.destroy();
  rmSync(folder, { recursive: true, force: true });
});

/** With one picture. */
async function leaving(from: Database): Promise<Leaving> {
  const pictures = mkdtempSync(join(folder, 'from-'));
  await keepPicture(
    folderStore(pictures),
    await sharp({ create: { width: 60, height: 40, channels: 3, background: '#3a5' } })
      .jpeg()
      .toBuffer(),
  );
  return { from, whole: await gathered(wholeBytes(from, pictures, new Date())) };
}

async function gathered(bytes: AsyncIterable<Uint8Array>): Promise<Buffer> {
  const parts: Uint8Array[] = [];
  for await (const part of bytes) parts.push(part);
  return Buffer.concat(parts);
}
const sent = (bytes: Buffer): AsyncIterable<Uint8Array> =>
  (async function* () {
    for (let i = 0; i < bytes.length; i += 60_000) yield bytes.subarray(i, i + 60_000);
  })();

/** An empty studio with one technician of that sign-in name. */
async function empty(login: string): Promise<{ db: Database; id: string }> {
  const db = await emptyDatabase();
  const person = { name: 'New', login, password: 'a long enough one' };
  return { db, id: await firstRun(db, { studio: STUDIO, ...person }, new Date()) };
}

const sums = async (db: Database, people: readonly string[]): Promise<TableSum[]> => {
  const found: TableSum[] = [];
  for (const table of await wholeTables(db)) {
    const id = table.columns.indexOf('id');
    const only = table.name === 'person' ? (row: unknown[]) => people.includes(row[id] as string) : undefined;
    found.push(await sumOf(db, table, only));
  }
  return found;
};
const cells = async (db: Database): Promise<unknown> => [
  await db('cell').orderBy('id').select('id', 'standing'),
  await db('sighting').count({ n: '*' }).first(),
];

test('what leaves comes into an empty studio with equal sums, and everything follows from it again', async () => {
  const from = await emptyDatabase();
  await loadDemo(from, 'unused', { pictures: false });
  const { whole } = await leaving(from);
  const { db, id } = await empty('newcomer');
  const store = folderStore(join(folder, 'into'));
  const brought = await bringWhole(db, store, sent(whole));
  const people = (await from('person').pluck('id')) as string[];
  const before = await sums(from, people);
  expect(await sums(db, people)).toEqual(before);
  expect(brought.tables).toEqual(before);
  expect(before.find(({ table }) => table === 'piece')!.rows).toBeGreaterThan(300);
  expect(brought.pictures).toBe(1);
  expect(await cells(db)).toEqual(await cells(from));
  // Whoever brought it in runs it; the others have no way in until they get one.
  expect(await db('person').where({ id }).first('role')).toEqual({ role: 'technician' });
  const hashes = await db('person').whereIn('id', people).distinct('password_hash');
  expect(hashes).toHaveLength(1);
  expect(whole.includes((await from('person').first()).password_hash)).toBe(false);
  // It is no empty studio any more, and sums that leave are those that came.
  await expect(bringWhole(db, store, sent(whole))).rejects.toThrow(/recorded here already/);
  await db.destroy();
  await from.destroy();
}, 240_000);

test('whoever brings it in under a name of theirs is that person from now on, signed in as before', async () => {
  const { from, whole } = few;
  const there = await from('person').where({ login: 'tech' }).first();
  const { db, id } = await empty('tech');
  const token = await createSession(db, id, new Date());
  await bringWhole(db, folderStore(join(folder, 'same')), sent(whole));
  expect(await findSession(db, token, new Date())).toMatchObject({ id: there.id, name: there.name });
  expect(await db('person').where({ id })).toEqual([]);
  const people = (await from('person').pluck('id')) as string[];
  expect(await sums(db, people)).toEqual(await sums(from, people));
  await db.destroy();
}, 240_000);

test('nothing is forgotten: every table leaves, or is named with its reason', async () => {
  const { from } = few;
  const all = (await from('information_schema.TABLES')
    .whereRaw('TABLE_SCHEMA = DATABASE()')
    .pluck('TABLE_NAME')) as string[];
  const leaves = (await wholeTables(from)).map(({ name }) => name);
  expect([...leaves, ...Object.keys(STAYS_BEHIND)].sort()).toEqual(all.sort());
});

/** The file with its entries changed. */
async function changed(change: (entries: [string, Buffer][]) => [string, Buffer][]): Promise<Buffer> {
  const entries: [string, Buffer][] = [];
  const extract = tar.extract();
  extract.end(few.whole);
  for await (const entry of extract)
    entries.push([entry.header.name, await gathered(entry as unknown as AsyncIterable<Uint8Array>)]);
  const pack = tar.pack();
  for (const [name, bytes] of change(entries)) pack.entry({ name }, bytes);
  pack.finalize();
  return gathered(pack as unknown as AsyncIterable<Uint8Array>);
}
const inRecords = (edit: (text: string) => string) =>
  changed((all) =>
    all.map(([name, bytes], i) => [name, i === 0 ? Buffer.from(edit(bytes.toString())) : bytes]),
  );

test('what is foreign, cut off, altered or of another version is refused in words, and nothing is changed', async () => {
  const { from, whole } = few;
  const { db } = await empty('newcomer');
  const store = folderStore(join(folder, 'wrong'));
  const found = await wholeTables(db);
  const before = await Promise.all(found.map((table) => sumOf(db, table)));
  const piece = (await from('piece').first('id')).id as string;
  const body = (await from('body').first('id')).id as string;
  const wrong: [RegExp, Buffer][] = [
    [/end is missing|no such file|not a whole studio/, Buffer.from('a picture, perhaps')],
    [/not a whole studio/, await changed((all) => all.slice(1))],
    [/cut off/, whole.subarray(0, Math.floor(whole.length / 2))],
    [/ends? too early/, await inRecords((text) => text.slice(0, 3000).replace(/[^\n]*$/, ''))],
    [/not a whole studio, or a newer/, await inRecords((text) => text.replace('"version":1', '"version":2'))],
    [/another version/, await inRecords((text) => text.replace(/"step":"[^"]*"/, '"step":"9999-later"'))],
    [
      /is not what is in it/,
      await inRecords((text) =>
        text.replace(/\["[0-9a-f-]{36}"[^\n]*\n(\{"sum":\{"table":"placement")/, '$1'),
      ),
    ],
    [
      /not those of this version/,
      await inRecords((text) => text.replace('"table":"piece"', '"table":"session"')),
    ],
    [/cannot be (read|kept)/, await inRecords((text) => text.replace(`["${piece}"`, '[{"a":1}'))],
    [
      /cannot be kept|is not what is in it/,
      await inRecords((text) => text.replace(`["${body}"`, '["not an id"')),
    ],
    [/does not belong/, await changed((all) => [...all, ['../../etc/passwd', Buffer.from('x')]])],
    [
      /not what its name says/,
      await changed((all) =>
        all.map(([name, bytes]) => [name, name.endsWith('.original') ? Buffer.from('else') : bytes]),
      ),
    ],
  ];
  for (const [why, bytes] of wrong) {
    const answer = await bringWhole(db, store, sent(bytes)).then(
      () => 'was brought in',
      (error: unknown) => (error instanceof Refusal ? error.message : `not civil: ${String(error)}`),
    );
    expect(answer).toMatch(why);
    expect(await Promise.all(found.map((table) => sumOf(db, table)))).toEqual(before);
  }
  // A row whose sum is right, but which refers to what did not come.
  const loose = await inRecords((text) => withoutTable(text, 'kiln'));
  await expect(bringWhole(db, store, sent(loose))).rejects.toThrow(/refers to is missing/);
  // The connection goes on with what tables are to be asked.
  expect((await db.raw('SELECT @@foreign_key_checks AS on_'))[0][0].on_).toBe(1);
  await db.destroy();
}, 240_000);

test('of two that come at once one is here, and the other is told that it is no empty studio any more', async () => {
  const { from, whole } = few;
  const { db } = await empty('newcomer');
  const store = folderStore(join(folder, 'twice'));
  const both = await Promise.allSettled([1, 2].map(() => bringWhole(db, store, sent(whole))));
  expect(both.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
  const people = (await from('person').pluck('id')) as string[];
  expect(await sums(db, people)).toEqual(await sums(from, people));
  await db.destroy();
}, 240_000);

/** The records with no row of a table, and a sum that says so. */
function withoutTable(text: string, table: string): string {
  const lines = text.split('\n');
  const from_ = lines.findIndex((line) => line.startsWith(`{"table":"${table}"`));
  const to = lines.findIndex((line) => line.startsWith(`{"sum":{"table":"${table}"`));
  const none = createHash('sha256').digest('hex');
  lines.splice(from_ + 1, to - from_, JSON.stringify({ sum: { table, rows: 0, sha256: none } }));
  return lines.join('\n');
}

test('it is refused when nobody could run the studio afterwards', async () => {
  const { from, whole } = few;
  const student = await from('person').where({ role: 'student' }).first();
  const { db } = await empty(student.login);
  const store = folderStore(join(folder, 'student'));
  await expect(bringWhole(db, store, sent(whole))).rejects.toThrow(/nobody could run/);
  expect(await db('piece').first('id')).toBeUndefined();
  // With another technician beside them it may.
  await createPerson(
    db,
    {
      id: '0193f7a0-0000-7000-8000-00000000abcd',
      name: 'Other',
      login: 'other',
      passwordHash: 'x',
      role: 'technician',
    },
    new Date(),
  );
  expect((await bringWhole(db, store, sent(whole))).pictures).toBe(1);
  await db.destroy();
}, 240_000);
