/**
 * Operations that have no file of tests of their own: each carried out, refused, and taken back where it can
 * be.
 */
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { v7 } from 'uuid';
import { UNMEASURED } from '@/core/load';
import { listCoatings } from '@/data/coatings';
import { listKilns } from '@/data/kilns';
import { findLogin, listInvitations, type Person } from '@/data/people';
import { overrulesOf } from '@/data/firing-log';
import { listPhotos } from '@/data/photos';
import { readStudio } from '@/data/studio';
import { checkPassword, hashPassword } from '@/platform/passwords';
import {
  advance,
  fired,
  layer,
  makePieces,
  planFiring,
  testStudio,
  type TestStudio,
} from '../../test-support/studio';
import { OPERATIONS } from './operations';

let studio: TestStudio;
let pictures: string;
beforeAll(async () => {
  studio = await testStudio();
  pictures = mkdtempSync(join(tmpdir(), 'jiten-pictures-'));
  process.env.JITEN_DATA = pictures;
});
afterAll(async () => {
  rmSync(pictures, { recursive: true, force: true });
  await studio.db.destroy();
});

const said = async (name: string, input: unknown, as?: Person): Promise<string> => {
  const answer = await studio.act(name, input, as);
  return answer.ok ? 'done' : answer.problem.message;
};
const withFile = (name: string, input: unknown, file: Buffer, id?: string) =>
  studio.actWithFile(name, input, file, studio.technician, id);

test('the studio’s settings are kept as a whole, and impossible ones change nothing', async () => {
  const before = (await readStudio(studio.db))!;
  const wanted = { ...before, name: 'Kiln Lane', temperatureUnit: 'F' as const, crackAtC: 93.3 };
  await studio.must('people.save-studio', { studio: wanted });
  expect(await readStudio(studio.db)).toEqual({ ...wanted, crackAtC: 93 });
  expect(await said('people.save-studio', { studio: { ...wanted, crackAtC: 500 } })).toContain('cracks pots');
  expect((await readStudio(studio.db))!.crackAtC).toBe(93);
});

test('a password is changed by whoever knows the present one', async () => {
  await studio
    .db('person')
    .where({ id: studio.student.id })
    .update({ password_hash: await hashPassword('the present one') });
  const change = (current: string, next: string) =>
    said('people.change-password', { current, next }, studio.student);
  expect(await change('a wrong one', 'a longer new one')).toContain('not right');
  expect(await change('the present one', 'short')).toContain('ten characters');
  expect(await change('the present one', 'a longer new one')).toBe('done');
  const held = (await findLogin(studio.db, 'stud'))!;
  expect(await checkPassword(held.passwordHash, 'a longer new one')).toBe(true);
  expect(await checkPassword(held.passwordHash, 'the present one')).toBe(false);
});

test('an invitation that is withdrawn is open no more', async () => {
  await studio.must('people.invite', { name: 'Bram', role: 'student' });
  const [open] = await listInvitations(studio.db, new Date());
  await studio.must('people.withdraw-invitation', { invitationId: open!.id });
  expect(await listInvitations(studio.db, new Date())).toEqual([]);
});

const body = {
  name: 'Heron',
  kind: 'stoneware',
  coneLow: '5',
  coneHigh: '7',
  ground: 'light',
  ironBearing: false,
  colour: '#d8cdb8',
  notes: '',
  cautions: '',
  traits: [],
};

test('a body is added, saved over the revision that was read, put away and taken back', async () => {
  const save = (id: string | null, revision: number, fields: object) =>
    studio.act<{ id: string }>('store.save-body', { id, revision, fields });
  const made = await save(null, 0, body);
  const id = made.ok ? made.data.id : '';
  expect((await save(null, 0, body)).ok).toBe(false);
  const row = () => studio.db('body').where({ id }).first();
  const { revision } = (await row())!;
  expect((await save(id, revision, { ...body, coneHigh: '6' })).ok).toBe(true);
  expect(await save(id, revision, { ...body, coneHigh: '8' })).toMatchObject({
    ok: false,
    problem: { code: 'conflict' },
  });
  expect((await row())!.cone_high).toBe('6');
  for (const archived of [true, false]) {
    await studio.must('store.archive', { table: 'body', id, archived });
    expect((await row())!.archived_at !== null).toBe(archived);
  }
});

test('a coating’s next version has the next number and says what changed', async () => {
  const tarn = async () => (await listCoatings(studio.db)).find(({ slug }) => slug === 'tarn')!;
  const coatingId = (await tarn()).id;
  expect(await said('store.add-version', { coatingId, notes: ' ' })).toContain('what changed');
  const input = { coatingId, notes: 'New feldspar' };
  expect(await studio.must('store.add-version', input)).toMatchObject({ no: 2 });
  expect((await tarn()).versions.map(({ no, notes }) => [no, notes])).toEqual([
    [1, ''],
    [2, 'New feldspar'],
  ]);
});

test('a kiln is added, changed, put away and taken back', async () => {
  const fields = {
    name: 'Bertha',
    energy: 'gas',
    control: 'by hand',
    volumeL: 300,
    shelves: 5,
    notes: '',
    ...UNMEASURED,
  };
  const { id } = await studio.must<{ id: string }>('kilns.save', { id: null, fields });
  const kiln = async () => (await listKilns(studio.db)).find((one) => one.id === id);
  const revision = (await kiln())!.revision;
  await studio.must('kilns.save', { id, revision, fields: { ...fields, shelves: 6 } });
  expect(await said('kilns.save', { id, revision, fields })).not.toBe('done');
  expect(await kiln()).toMatchObject({ name: 'Bertha', shelves: 6, archived: false });
  for (const archived of [true, false]) {
    await studio.must('kilns.archive', { id, archived });
    expect((await studio.db('kiln').where({ id }).first()).archived_at !== null).toBe(archived);
  }
});

test('an opening is written up and open again; a kiln that is closed is not', async () => {
  const { firingId } = await fired(studio, [layer(studio.version('pitch'))]);
  const written = async () =>
    (await studio.db('firing').where({ id: firingId }).first()).written_up_at !== null;
  for (const done of [true, false]) {
    await studio.must('opening.finish', { firingId, done });
    expect(await written()).toBe(done);
  }
  const planned = await planFiring(studio);
  expect(await said('opening.finish', { firingId: planned, done: true })).toBe('Open the kiln first.');
});

test('what was overruled before the lid counts again once that is withdrawn', async () => {
  const { ids } = await makePieces(studio, [layer(studio.version('pitch'))]);
  const firingId = await planFiring(studio);
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  const input = { firingId, finding: 'no cones', pieces: [], reason: 'watched by eye' };
  const { id } = await studio.must<{ id: string }>('loading.overrule', input);
  const kept = () => overrulesOf(studio.db, firingId);
  expect(await kept()).toHaveLength(1);
  await studio.must('loading.withdraw-overrule', { firingId, id });
  expect(await kept()).toEqual([]);
  await advance(studio, firingId, 'loaded');
});

test('a picture is kept once for a piece and its firing, repeated or sent anew; no picture is refused', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))]);
  const input = { pieceId: ids[0]!, firingId };
  const bytes = await sharp({
    create: { width: 40, height: 50, channels: 3, background: '#356' },
  })
    .png()
    .toBuffer();
  const id = v7();
  const first = await withFile('media.add-picture', input, bytes, id);
  expect(first.ok).toBe(true);
  expect(await withFile('media.add-picture', input, bytes, id)).toEqual(first);
  // Sent under another id it is the same picture, which was there already.
  expect(await withFile('media.add-picture', input, bytes)).toEqual({
    ok: true,
    data: { ...(first.ok ? (first.data as object) : {}), added: false },
  });
  expect(await listPhotos(studio.db, { pieceIds: ids })).toHaveLength(1);
  expect(readdirSync(join(pictures, 'pictures'), { recursive: true }).length).toBeGreaterThan(0);
  expect(await withFile('media.add-picture', input, Buffer.from('no picture'))).toMatchObject({
    ok: false,
  });
  expect(await listPhotos(studio.db, { pieceIds: ids })).toHaveLength(1);
});

test('the same picture of no firing, ten times at once, is one picture; put away and sent again it is back', async () => {
  const { ids } = await makePieces(studio, [layer(studio.version('tarn'))]);
  const input = { pieceId: ids[0]!, firingId: null };
  const bytes = await sharp({ create: { width: 30, height: 50, channels: 3, background: '#a56' } })
    .png()
    .toBuffer();
  const answers = await Promise.all(
    Array.from({ length: 10 }, () => withFile('media.add-picture', input, bytes)),
  );
  expect(new Set(answers.map((one) => (one.ok ? (one.data as { id: string }).id : 'no'))).size).toBe(1);
  expect(answers.every(({ ok }) => ok)).toBe(true);
  const [photo] = await listPhotos(studio.db, { pieceIds: ids });
  await studio.must('media.bin-picture', { photoId: photo!.id, binned: true });
  expect(await listPhotos(studio.db, { pieceIds: ids })).toEqual([]);
  expect(await withFile('media.add-picture', input, bytes)).toMatchObject({
    ok: true,
    data: { id: photo!.id, added: true },
  });
  expect(await listPhotos(studio.db, { pieceIds: ids })).toHaveLength(1);
});

test('nobody puts a picture into a firing that its piece was not in', async () => {
  const { ids } = await makePieces(studio, [layer(studio.version('tarn'))]);
  const other = await fired(studio, [layer(studio.version('tarn'))]);
  const input = { pieceId: ids[0]!, firingId: other.firingId };
  const bytes = await sharp({ create: { width: 30, height: 40, channels: 3, background: '#1a6' } })
    .png()
    .toBuffer();
  expect(await withFile('media.add-picture', input, bytes)).toMatchObject({
    ok: false,
    problem: { message: 'This piece was not in that firing.' },
  });
  expect(await listPhotos(studio.db, { pieceIds: ids })).toEqual([]);
});

test('one import under one id, three times at once, is carried out once and answered three times alike', async () => {
  const before = Number((await studio.db('piece').count({ n: '*' }).first())!.n);
  const rows = 'mark,body,coating 1,cone,atmosphere,kiln\nT1,Peat,Pitch,6,oxidation,Marta\n';
  const id = v7();
  const answers = await Promise.all(
    [1, 2, 3].map(() => withFile('exchange.import', {}, Buffer.from(rows), id)),
  );
  expect(answers[0]).toMatchObject({ ok: true, data: { pieces: 1 } });
  expect(answers).toEqual([answers[0], answers[0], answers[0]]);
  expect(Number((await studio.db('piece').count({ n: '*' }).first())!.n)).toBe(before + 1);
});

test('a file of past tests comes in once, however often it is sent, and a file too large is refused', async () => {
  const rows = 'mark,body,coating 1,cone,atmosphere,kiln\nP1,Peat,Pitch,6,oxidation,Marta\n';
  const id = v7();
  const first = await withFile('exchange.import', {}, Buffer.from(rows), id);
  expect(first).toMatchObject({ ok: true, data: { pieces: 1 } });
  expect(await withFile('exchange.import', {}, Buffer.from(rows), id)).toEqual(first);
  expect(await studio.db('piece').where({ mark: 'P1' })).toHaveLength(1);
  const huge = Buffer.alloc(OPERATIONS.get('exchange.import')!.contract.fileBytes! + 1);
  expect(await withFile('exchange.import', {}, huge)).toMatchObject({
    ok: false,
    problem: { code: 'invalid' },
  });
});

test('every operation there is has a test against the database', () => {
  const roots = ['src', 'demo'].flatMap((root) =>
    readdirSync(root, { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.db.test.ts') && !file.endsWith('operations.db.test.ts'))
      .map((file) => readFileSync(join(root, file), 'utf8')),
  );
  const tested = roots.join('\n');
  expect([...OPERATIONS.keys()].filter((name) => !tested.includes(`'${name}'`))).toEqual([]);
});
