/** Backups made, carried, tried and refused, on a small studio with pictures. */
import { createHash, randomBytes } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  truncateSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createWriteStream } from 'node:fs';
import { pipeline } from 'node:stream/promises';
import type { Readable } from 'node:stream';
import sharp from 'sharp';
import tar from 'tar-stream';
import { demoBefore0010 } from '../../../test-support/old-demo';
import { FOLDER, nameOf, SERVER } from '../../../test-support/database';
import { fired, overlap, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';
import type { Database } from '../../data/database';
import { createPhotos } from '../../data/photos';
import { folderStore, keepPicture } from '../../platform/objects';
import { openOn } from '../server';
import type { Dumped } from './dump';
import { copyBackup, makeBackup, tidy } from './make';
import { readManifest, type Manifest } from './manifest';
import { packTo, unpack } from './packed';
import { bringBack } from './restore';
import { picturesIn, Shelf } from './shelf';
import { tryBackup } from './verify';

let studio: TestStudio;
let directory: string;
let server: Dumped;
let shelf: Shelf;

beforeAll(async () => {
  directory = mkdtempSync(join(tmpdir(), 'jiten-backup-'));
  const pictures = join(directory, 'pictures');
  server = { ...SERVER, folder: { ...FOLDER, data: directory, pictures } };
  studio = await testStudio();
  const { firingId, ids } = await fired(studio, overlap(studio, 'pitch', 'tarn'));
  for (const colour of ['#446688', '#884422']) await picture(ids[0]!, firingId, colour);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  shelf = new Shelf(join(directory, 'backups'));
}, 60_000);
afterAll(async () => {
  await studio.db.destroy();
  rmSync(directory, { recursive: true, force: true });
});

async function picture(pieceId: string, firingId: string, background: string): Promise<string> {
  const bytes = await sharp({ create: { width: 90, height: 60, channels: 3, background } })
    .jpeg()
    .toBuffer();
  const kept = await keepPicture(folderStore(server.folder.pictures), bytes);
  const { technician, db } = studio;
  const one = { id: crypto.randomUUID(), originalName: 'a.jpg', pieceId, firingId, ...kept };
  await createPhotos(db, [one], technician.id, new Date());
  return kept.sha;
}

const make = () => makeBackup(server, nameOf(studio.db), shelf, 'asked');
const after = (): Promise<void> => Promise.resolve();

/** What every table says, row by row: a FLOAT is what it is read as, its last bits are nobody's. */
async function checksums(db: Database): Promise<Record<string, string>> {
  const [tables] = (await db.raw('SHOW TABLES')) as [Record<string, string>[]];
  const sums = await Promise.all(
    tables.map(async (row) => {
      const name = Object.values(row)[0]!;
      const rows = (await db(name).select()).map((one) => JSON.stringify(one)).sort();
      return [name, createHash('sha256').update(rows.join('\n')).digest('hex')] as const;
    }),
  );
  return Object.fromEntries(sums);
}

test('a backup holds the database and every picture once, and comes up with every summary right', async () => {
  const first = await make();
  expect(first.manifest).toMatchObject({ studio: 'Test', kind: 'asked' });
  expect(first.manifest.steps.length).toBeGreaterThan(29);
  // Two pictures, each as it came and in three sizes.
  expect(first.manifest.pictures).toHaveLength(8);
  for (const { name, bytes, sha256 } of first.manifest.pictures) {
    const content = readFileSync(shelf.picture(name));
    expect(content.length).toBe(bytes);
    expect(createHash('sha256').update(content).digest('hex')).toBe(sha256);
  }
  await make();
  expect(await picturesIn(join(shelf.root, 'pictures'))).toHaveLength(8);
  expect(statSync(shelf.path(first.manifest.dump.name)).mode & 0o777).toBe(0o600);
  const trial = await tryBackup(shelf, first, directory);
  expect(trial).toEqual({
    ok: true,
    said: '1 pieces, 1 firings and 2 pictures come up; every summary is what its records say.',
  });
  expect(readdirSync(directory).some((name) => name.startsWith('scratch-'))).toBe(false);
  await shelf.tell(first.name, { at: new Date().toISOString(), ...trial });
  expect((await shelf.list()).map(({ verified }) => verified?.ok ?? null).sort()).toEqual([null, true]);
}, 120_000);

test('it says so when a summary is not what the records say, or a picture on record is not in it', async () => {
  await studio.db('cell').update({ pieces: 77 });
  const wrong = await make();
  const trial = await tryBackup(shelf, wrong, directory);
  expect(trial.ok).toBe(false);
  expect(trial.said).toMatch(/but cells of the chart \(\d of 3\) are not what its records say/);
  const { rebuildSummaries } = await import('../../data/summaries');
  await studio.db.transaction((trx) => rebuildSummaries(trx));
  const good = await make();
  const lost = {
    ...good,
    manifest: { ...good.manifest, pictures: good.manifest.pictures.slice(0, 4) },
  };
  expect(await tryBackup(shelf, lost, directory)).toEqual({
    ok: false,
    said: '1 pictures that are on record are not in it.',
  });
}, 120_000);

test('carried in one file and taken in elsewhere it is the same, and brings the same records back', async () => {
  const made = await make();
  const file = join(directory, 'carried.tar');
  await packTo(shelf, made, file);
  const elsewhere = new Shelf(join(directory, 'elsewhere'));
  const taken = await unpack(file, elsewhere);
  expect(taken.manifest.pictures).toEqual(made.manifest.pictures);
  expect(taken.manifest.dump.sha256).toBe(made.manifest.dump.sha256);
  const before = await checksums(studio.db);
  const into: Dumped = {
    ...server,
    folder: { ...server.folder, pictures: join(directory, 'new') },
  };
  const database = await bringBack(into, elsewhere, taken, { after });
  const db = openOn(SERVER, database);
  expect(await checksums(db)).toEqual(before);
  await db.raw(`DROP DATABASE ${database}`);
  await db.destroy();
  expect(await picturesIn(into.folder.pictures)).toEqual(await picturesIn(server.folder.pictures));
}, 120_000);

test('a copy on another shelf is whole', async () => {
  const made = await make();
  const other = new Shelf(join(directory, 'disk'));
  await copyBackup(shelf, other, made);
  const [found] = await other.list();
  expect(found!.manifest).toEqual(made.manifest);
  expect(await other.missing(found!)).toBeNull();
});

describe('refused in words, with nothing left behind', () => {
  let file: string;
  let size: number;
  beforeAll(async () => {
    file = join(directory, 'good.tar');
    await packTo(shelf, await make(), file);
    size = statSync(file).size;
  });

  async function refused(change: (path: string) => unknown): Promise<string> {
    const path = join(directory, 'bad.tar');
    const bad = new Shelf(join(directory, 'bad'));
    rmSync(bad.root, { recursive: true, force: true });
    copyFileSync(file, path);
    await change(path);
    const word = await unpack(path, bad).then(
      () => 'taken',
      (error: Error) => error.message,
    );
    expect(await bad.list()).toEqual([]);
    const left = existsSync(bad.root)
      ? readdirSync(bad.root, { recursive: true }).filter((one) =>
          /\.(gz|webp|original|come|part)$/.test(String(one)),
        )
      : [];
    expect(left).toEqual([]);
    return word;
  }

  async function repacked(
    change: (name: string, content: Buffer) => Buffer | null,
    path: string,
    more: Record<string, string> = {},
  ): Promise<void> {
    const entries: [string, Buffer][] = [];
    const extract = tar.extract();
    const reading = (async () => {
      for await (const entry of extract) {
        const chunks: Buffer[] = [];
        for await (const chunk of entry) chunks.push(chunk as Buffer);
        entries.push([entry.header.name, Buffer.concat(chunks)]);
      }
    })();
    extract.end(readFileSync(path));
    await reading;
    const pack = tar.pack();
    for (const [name, content] of entries) {
      const changed = change(name, content);
      if (changed !== null) pack.entry({ name }, changed);
    }
    for (const [name, content] of Object.entries(more)) pack.entry({ name }, content);
    pack.finalize();
    await pipeline(pack as unknown as Readable, createWriteStream(path));
  }
  const inList = (content: Buffer, change: (list: Manifest) => object): Buffer =>
    Buffer.from(JSON.stringify(change(JSON.parse(content.toString()) as Manifest)));

  test.each([0.15, 0.5, 0.9, 0.99])('cut off at %f of its length', async (share) => {
    expect(await refused((path) => truncateSync(path, Math.floor(size * share)))).toMatch(
      /^This backup is cut off/,
    );
  });

  test('cut off in its list of contents, or empty', async () => {
    for (const bytes of [0, 100, 700])
      expect(await refused((path) => truncateSync(path, bytes))).toBe(
        'This file is not a backup of a studio.',
      );
  });

  test('foreign: noise, a picture, a tape with other things on it', async () => {
    expect(await refused((path) => writeFileSync(path, randomBytes(5000)))).toMatch(/not a backup/);
    expect(await refused((path) => copyFileSync(shelf.picture(firstPicture()), path))).toMatch(
      /not a backup/,
    );
    expect(
      await refused((path) => repacked((name, content) => (name === 'manifest.json' ? null : content), path)),
    ).toMatch(/not a backup/);
    expect(
      await refused((path) =>
        repacked((name, content) => (name === 'manifest.json' ? Buffer.from('{"hello": 1}') : content), path),
      ),
    ).toMatch(/not a backup/);
  });
  const firstPicture = (): string =>
    readdirSync(join(shelf.root, 'pictures')).flatMap((two) =>
      readdirSync(join(shelf.root, 'pictures', two)),
    )[0]!;

  test('newer than the program', async () => {
    for (const change of [
      (list: Manifest) => ({ ...list, format: 2, more: true }),
      (list: Manifest) => ({ ...list, steps: [...list.steps, '9999-of-tomorrow'] }),
    ])
      expect(
        await refused((path) =>
          repacked((name, content) => (name === 'manifest.json' ? inList(content, change) : content), path),
        ),
      ).toMatch(/made by a newer version of the program/);
  });

  test('altered: a bit in the database, in a picture, or something that is not on the list', async () => {
    const flip =
      (what: RegExp) =>
      (name: string, content: Buffer): Buffer => {
        if (!what.test(name)) return content;
        const other = Buffer.from(content);
        other[Math.floor(other.length / 2)]! ^= 1;
        return other;
      };
    expect(await refused((path) => repacked(flip(/sql\.gz$/), path))).toMatch(/was altered/);
    expect(await refused((path) => repacked(flip(/original$/), path))).toMatch(/was altered/);
    expect(
      await refused((path) =>
        repacked((_, content) => content, path, { '../../escape': 'out of the folder' }),
      ),
    ).toMatch(/was altered: “..\/..\/escape” is not on its list/);
    expect(existsSync(join(directory, '..', 'escape'))).toBe(false);
  });

  test('names in a list that lead out of the folder', () => {
    const list = {
      jiten: 'backup',
      format: 1,
      kind: 'asked',
      made: '2026-01-01T00:00:00.000Z',
      studio: 'Test',
      application: '0.1.0',
      steps: [],
      dump: { name: 'a.sql.gz', bytes: 1, sha256: 'a'.repeat(64) },
      pictures: [],
    };
    expect(readManifest(JSON.stringify(list), 'It').studio).toBe('Test');
    const led = { ...list, dump: { ...list.dump, name: '../../a' } };
    expect(() => readManifest(JSON.stringify(led), 'It')).toThrow(/It is broken/);
  });
});

test('on the shelf too: a file that is missing, cut off or altered is named', async () => {
  const other = new Shelf(join(directory, 'spoilt'));
  const made = await make();
  await copyBackup(shelf, other, made);
  const one = other.picture(made.manifest.pictures[0]!.name);
  const whole = readFileSync(one);
  const spoil = async (content: Buffer | null): Promise<string | null> => {
    rmSync(one, { force: true });
    if (content !== null) writeFileSync(one, content);
    return other.missing(made);
  };
  expect(await spoil(null)).toMatch(/^The picture .* is missing\.$/);
  expect(await spoil(whole.subarray(1))).toMatch(/is cut off/);
  expect(await spoil(Buffer.concat([whole.subarray(1), Buffer.from('x')]))).toMatch(/was altered/);
  expect((await tryBackup(other, made, directory)).said).toMatch(/was altered/);
  const target: Dumped = {
    ...server,
    folder: { ...server.folder, pictures: join(directory, 'no') },
  };
  await expect(bringBack(target, other, made, { after })).rejects.toThrow(/Nothing was changed/);
});

test('what is forgotten takes along only pictures that no other backup holds; an unreadable list keeps all', async () => {
  const own = new Shelf(join(directory, 'own'));
  const making = () => makeBackup(server, nameOf(studio.db), own, 'asked');
  const first = await making();
  const sha = await picture(
    (await studio.db('piece').first('id')).id,
    (await studio.db('firing').first('id')).id,
    '#22aa55',
  );
  const second = await making();
  await own.forget([second.name]);
  expect((await own.list()).map(({ name }) => name)).toEqual([first.name]);
  expect(existsSync(own.picture(`${sha}.original`))).toBe(false);
  expect(await own.missing(first)).toBeNull();
  const third = await making();
  writeFileSync(own.path('of-tomorrow.json'), '{"jiten": "backup", "format": 99}');
  await own.forget([third.name]);
  expect(existsSync(own.picture(`${sha}.original`))).toBe(true);
  expect(await tidy(own)).toEqual([]);
});

test('a database that cannot be dumped leaves no backup behind', async () => {
  const own = new Shelf(join(directory, 'none'));
  mkdirSync(own.root);
  await expect(makeBackup(server, 'test_no_such', own, 'asked')).rejects.toThrow(/Unknown database/);
  expect(readdirSync(own.root)).toEqual([]);
});

test('a backup of long ago comes up in this version', async () => {
  const old = await demoBefore0010('test_backup_old');
  const own = new Shelf(join(directory, 'old'));
  await old('photo').delete();
  const made = await makeBackup(server, 'test_backup_old', own, 'asked');
  await old.destroy();
  expect(made.manifest.steps.at(-1)).toBe('0009-firing-room');
  const trial = await tryBackup(own, made, directory);
  expect(trial.said).toMatch(/brought up to date by \d\d steps/);
  expect(trial.ok).toBe(true);
}, 120_000);
