/** Spoken notes: whose, of what, heard by whom, typed up, found again, put away and back. */
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { v7 } from 'uuid';
import { findWords } from '@/data/finding';
import { listSounds } from '@/data/sounds';
import { countStore } from '@/data/studio';
import type { Person } from '@/data/people';
import { pictureStore } from '@/platform/objects';
import { perform, type Answer, type Operation } from '@/platform/operation';
import { fired, layer, testStudio, type TestStudio } from '../../../test-support/studio';
import { soundAnswer, soundFor, soundsOperations } from './server';

let studio: TestStudio;
let folder: string;
let firingId: string;
let mine: string;
let theirs: string;
beforeAll(async () => {
  studio = await testStudio();
  folder = mkdtempSync(join(tmpdir(), 'jiten-sounds-'));
  process.env.JITEN_DATA = folder;
  const made = await fired(studio, [layer(studio.version('tarn'))], { count: 2 });
  [firingId, mine, theirs] = [made.firingId, made.ids[0]!, made.ids[1]!];
  await studio.db('piece').where({ id: mine }).update({ owner_id: studio.student.id });
});
afterAll(async () => {
  rmSync(folder, { recursive: true, force: true });
  await studio.db.destroy();
});

const SPEAK = Object.values(soundsOperations).find(
  ({ contract }) => contract.name === 'sounds.speak',
) as Operation;
/** WebM begins with the mark of EBML (RFC 8794). */
const webm = (words: string): Buffer =>
  Buffer.concat([Buffer.from([0x1a, 0x45, 0xdf, 0xa3]), Buffer.from(words.padEnd(40))]);
const spoken = (rest: object = {}) => ({
  soundId: v7(),
  pieceId: mine,
  firingId,
  lengthS: 4.2,
  spokenAt: '2026-05-01T10:00:00.000Z',
  ...rest,
});
const speak = (
  input: ReturnType<typeof spoken>,
  bytes: Buffer,
  as: Person = studio.technician,
  id: string = v7(),
): Promise<Answer> => perform(studio.db, SPEAK, { id, input, file: { name: 'a.webm', bytes } }, as);

test('what is spoken is kept once, in the order of speaking, with its speaker, and heard again byte by byte', async () => {
  const bytes = webm('it came out duller than last time');
  const input = spoken();
  const id = v7();
  const sha = createHash('sha256').update(bytes).digest('hex');
  expect(await speak(input, bytes, studio.student, id)).toEqual({ ok: true, data: { sha } });
  expect(await speak(input, bytes, studio.student, id)).toEqual({ ok: true, data: { sha } });
  await speak(spoken({ spokenAt: '2026-04-30T09:00:00.000Z' }), webm('earlier'));
  const held = await listSounds(studio.db, { pieceIds: [mine] });
  expect(held.map((one) => [one.spokenByName, one.lengthS, one.media, one.words])).toEqual([
    [studio.technician.name, 4.2, 'audio/webm', null],
    [studio.student.name, 4.2, 'audio/webm', null],
  ]);
  const heard = await soundFor(studio.db, pictureStore(), studio.student, input.soundId);
  expect(heard?.bytes.equals(bytes)).toBe(true);
  const part = soundAnswer(heard!, 'bytes=4-10');
  expect([part.status, part.headers.get('content-range'), await part.text()]).toEqual([
    206,
    `bytes 4-10/${bytes.length}`,
    'it came',
  ]);
});

test('nobody hears or speaks of what is not theirs, and no file of another kind is kept', async () => {
  const ofTheirs = spoken({ pieceId: theirs });
  expect(await speak(ofTheirs, webm('x'), studio.student)).toMatchObject({
    ok: false,
    problem: { message: 'You can speak of your own pieces only.' },
  });
  expect(await speak(spoken({ pieceId: null }), webm('x'), studio.student)).toMatchObject({ ok: false });
  expect(await speak(spoken({ pieceId: null, firingId: null }), webm('x'))).toMatchObject({
    ok: false,
    problem: { code: 'invalid' },
  });
  expect(await speak(spoken(), Buffer.from('<html>no sound at all</html>'))).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('not a sound') },
  });
  await speak(ofTheirs, webm('only for those who keep records'));
  expect(await soundFor(studio.db, pictureStore(), studio.student, ofTheirs.soundId)).toBeNull();
  expect(await soundFor(studio.db, pictureStore(), studio.teacher, ofTheirs.soundId)).not.toBeNull();
  expect(await soundFor(studio.db, pictureStore(), studio.teacher, 'no-such')).toBeNull();
});

test('typed up it is found by its words, and waits on the Bench no more; two who type see one another', async () => {
  const input = spoken({ pieceId: null });
  await speak(input, webm('the spy hole shone brighter at the back'));
  const before = (await countStore(studio.db)).untyped;
  const typed = { soundId: input.soundId, words: 'The spyhole shone brighter', before: null };
  await studio.must('sounds.type-up', typed);
  expect((await countStore(studio.db)).untyped).toBe(before - 1);
  expect(await findWords(studio.db, ['spyhole'], null)).toEqual([
    { kind: 'firing', id: firingId, text: 'The spyhole shone brighter' },
  ]);
  expect(await studio.act('sounds.type-up', { ...typed, words: 'Something else' })).toMatchObject({
    ok: false,
    problem: { code: 'conflict', message: expect.stringContaining('The spyhole shone brighter') },
  });
  await studio.must('sounds.type-again', { soundId: input.soundId, words: null });
  expect((await countStore(studio.db)).untyped).toBe(before);
  expect(await findWords(studio.db, ['spyhole'], null)).toEqual([]);
});

test('a student finds the words of own pieces alone', async () => {
  for (const pieceId of [mine, theirs]) {
    const input = spoken({ pieceId });
    await speak(input, webm(`x ${pieceId}`));
    await studio.must('sounds.type-up', { soundId: input.soundId, words: 'a feathery rim', before: null });
  }
  const own = await findWords(studio.db, ['feathery'], { ownerId: studio.student.id });
  expect(own.map(({ id }) => id)).toEqual([mine]);
});

test('put away it is gone from its piece, and comes back as it was', async () => {
  const input = spoken();
  await speak(input, webm('put me away'));
  const ids = async () => (await listSounds(studio.db, { pieceIds: [mine] })).map(({ id }) => id);
  await studio.must('sounds.bin', { soundId: input.soundId, binned: true });
  expect(await ids()).not.toContain(input.soundId);
  await studio.must('sounds.bin', { soundId: input.soundId, binned: false });
  expect(await ids()).toContain(input.soundId);
  expect(await studio.act('sounds.bin', { soundId: v7(), binned: true })).toMatchObject({
    ok: false,
    problem: { code: 'not-found' },
  });
});
