/** The demo's pictures come after its records, in portions; what is cut off goes on, and nothing comes twice. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readPainting } from '../src/platform/painting';
import { freshen } from '../src/data/cell-summaries';
import { makeRepeats } from '../src/data/repeats';
import { rebuildSummaries } from '../src/data/summaries';
import { transact, type Database, type Row } from '../src/data/database';
import { emptyDatabase } from '../test-support/database';
import { writeDemo } from './load';
import { announcePictures, paintDemo, picturesWait } from './pictures';

const NOW = new Date('2026-11-01T10:00:00Z');
let db: Database;
let folder: string;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'jiten-pictures-test-'));
  db = await emptyDatabase();
  await writeDemo(db, { now: NOW });
}, 120_000);
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

const photos = async (): Promise<number> => Number(((await db('photo').count({ n: '*' }).first()) as Row).n);
/** As they are when somebody has looked. */
async function cells(): Promise<Row[]> {
  await makeRepeats(db, new Date());
  await freshen(db);
  return db('cell').orderBy('id').select('id', 'standing', 'pieces', 'photo_sha', 'colour');
}

/** Paints until the first portions are on record. */
async function paintSome(): Promise<number> {
  const halt = new AbortController();
  const before = await photos();
  return paintDemo(db, folder, {
    signal: halt.signal,
    progress: (said) => {
      if (Number(/\d+/.exec(said)![0]) > before) halt.abort();
    },
  });
}

test('while none is painted it is told how many there will be', async () => {
  expect(picturesWait(folder)).toBe(false);
  expect(await readPainting(folder)).toBeNull();
  announcePictures(folder, NOW);
  expect(picturesWait(folder)).toBe(true);
  const told = new AbortController();
  told.abort();
  expect(await paintDemo(db, folder, { signal: told.signal })).toBe(0);
  expect(await readPainting(folder)).toEqual({ now: NOW.toISOString(), done: 0, all: 603 });
});

test('cut off and begun again: what was painted stands, the chart follows, nothing comes twice', async () => {
  const first = await paintSome();
  expect(first).toBeGreaterThanOrEqual(40);
  expect(await photos()).toBe(first);
  expect(await readPainting(folder)).toMatchObject({ done: first });
  const second = await paintSome();
  expect(second).toBeGreaterThanOrEqual(first + 40);
  expect(second).toBeLessThan(603);
  expect(await photos()).toBe(second);
  expect(Number(((await db('photo').countDistinct({ n: 'original_name' }).first()) as Row).n)).toBe(second);
  expect(picturesWait(folder)).toBe(true);
  const kept = await cells();
  expect(kept.filter(({ photo_sha }) => photo_sha !== null).length).toBeGreaterThan(20);
  await transact(db, (trx) => rebuildSummaries(trx));
  expect(await cells()).toEqual(kept);
}, 120_000);
