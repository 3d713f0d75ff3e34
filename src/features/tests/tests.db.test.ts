import { search } from '../shell/server';
import { seenOf } from './seen';
import { readCode } from '@/core/codes';
import { listPieces, loadPieces } from '@/data/pieces';
import { flagsOf } from '@/data/flags';
import { layersOf } from '@/data/layers';
import {
  advance,
  layer,
  makeInput,
  makePieces,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const pitch = (rest: object = {}) => layer(studio.version('pitch'), 0, 2 / 3, rest);
const tarn = (rest: object = {}) => layer(studio.version('tarn'), 1 / 3, 1, rest);

test('a lot is recorded once with its exceptions: what was meant and what was done stay apart', async () => {
  const { codes } = await makePieces(studio, [pitch({ coats: 2 }), tarn()], {
    count: 4,
    exceptions: [
      { index: 2, coats: [1], flag: '' },
      { index: 3, coats: [2, 0], flag: 'gave when lifted' },
    ],
  });
  const pieces = await loadPieces(studio.db, { codes });
  const of = (code: string) => pieces.find((piece) => piece.code === code)!;
  const done = (i: number) => of(codes[i]!).done.map(({ coat, coats }) => [coat.slug, coats]);
  expect(done(0)).toEqual([
    ['pitch', 2],
    ['tarn', 1],
  ]);
  expect(done(1)).toEqual([
    ['pitch', 1],
    ['tarn', 1],
  ]);
  expect(done(2)).toEqual([['pitch', 2]]);
  for (const piece of pieces) expect(piece.meant).toHaveLength(2);
  expect(of(codes[2]!).flags.map(({ text }) => text)).toEqual(['gave when lifted']);
  expect(new Set(pieces.map(({ lotId }) => lotId)).size).toBe(1);
});

test('codes are given in order, no two alike, and each is read back', async () => {
  const { codes } = await makePieces(studio, [], { count: 60 });
  expect(new Set(codes).size).toBe(60);
  for (const code of codes) expect(readCode(code)).toMatchObject({ ok: true });
});

test('two people making tiles at the same moment get different codes', async () => {
  const made = await Promise.all(
    [0, 1, 2, 3].map(() =>
      studio.must<{ codes: string[] }>('tests.make', makeInput(studio, [pitch()], { count: 5 })),
    ),
  );
  expect(new Set(made.flatMap(({ codes }) => codes)).size).toBe(20);
});

test('a region beyond the rim, no coats, too many layers and an exception beyond the lot are refused in words', async () => {
  const refused = async (layers: object[], rest: object = {}) => {
    const answer = await studio.act('tests.make', makeInput(studio, layers, rest));
    if (answer.ok) throw new Error('It was taken.');
    return answer.problem.fields ?? {};
  };
  expect(await refused([layer(studio.version('pitch'), 0, 1.2)])).toMatchObject({
    'layers.0.region.stretch.to': 'Beyond the rim: the whole face is 1.',
  });
  expect(await refused([layer(studio.version('pitch'), 0.5, 0.5)])).toMatchObject({
    'layers.0.region.stretch.to': 'The stretch begins where it ends.',
  });
  expect(await refused([pitch({ coats: 0 })])).toMatchObject({ 'layers.0.coats': 'At least one.' });
  expect(Object.keys(await refused(Array.from({ length: 13 }, () => pitch())))).toEqual(['layers']);
  expect(
    await refused([pitch()], { count: 2, exceptions: [{ index: 3, coats: [1], flag: '' }] }),
  ).toMatchObject({ exceptions: expect.stringContaining('beyond') as string });
  expect(await refused([], { heightMm: 5000 })).toMatchObject({
    heightMm: 'Taller than 3 m? Check the unit.',
  });
});

test('layers are corrected beside the old ones, which stay on record', async () => {
  const { ids } = await makePieces(studio, [pitch()]);
  await studio.must('pieces.correct-layers', { pieceIds: ids, layers: [tarn({ coats: 3 })] });
  const now = (await layersOf(studio.db, ids, ['done'])).get(ids[0]!)!;
  expect(now.map(({ coat, coats }) => [coat.slug, coats])).toEqual([['tarn', 3]]);
  const meant = (await layersOf(studio.db, ids, ['meant'])).get(ids[0]!)!;
  expect(meant.map(({ coat }) => coat.slug)).toEqual(['pitch']);
  const all = await studio.db('layer').where({ piece_id: ids[0], intent: 'done' });
  expect(all).toHaveLength(2);
});

test('a flag stays with its piece until it is cleared, and clearing is kept', async () => {
  const { ids } = await makePieces(studio, [pitch()]);
  await studio.must('pieces.flag', { pieceIds: ids, text: 'foot not wiped' });
  const [flag] = (await flagsOf(studio.db, ids)).get(ids[0]!)!;
  expect(flag).toMatchObject({ text: 'foot not wiped', raisedBy: 'Tech' });
  await studio.must('pieces.clear-flag', { flagId: flag!.id });
  expect((await flagsOf(studio.db, ids)).get(ids[0]!)).toBeUndefined();
  expect((await flagsOf(studio.db, ids, true)).get(ids[0]!)).toHaveLength(1);
  expect(await studio.act('pieces.flag', { pieceIds: ids, text: ' ' })).toMatchObject({
    problem: { fields: { text: 'Say what the doubt is.' } },
  });
});

test('what belongs to somebody is found by others once its owner shows it; the studio’s own by everybody', async () => {
  const owned = await makePieces(studio, [pitch()], { ownerId: studio.technician.id });
  const studios = await makePieces(studio, [pitch()]);
  const found = async (code: string) => {
    const answer = await search(studio.db, studio.student, code);
    return [answer.found.map(({ title }) => title), answer.hint];
  };
  expect(await found(studios.codes[0]!)).toEqual([[studios.codes[0]], null]);
  expect(await found(owned.codes[0]!)).toEqual([
    [],
    `${owned.codes[0]} is a right code, but no piece that you may look at bears it.`,
  ]);
  const edit = { pieceId: owned.ids[0]!, mark: '', notes: '', heightMm: null };
  await studio.must('pieces.edit', { ...edit, ownerId: studio.technician.id, shown: true });
  expect((await found(owned.codes[0]!))[0]).toEqual([owned.codes[0]]);
  await studio.must('pieces.edit', { ...edit, ownerId: studio.technician.id, shown: false });
  expect((await found(owned.codes[0]!))[0]).toEqual([]);
});

test('a student writes of own pieces only, and cannot give one away', async () => {
  const own = await makePieces(studio, [pitch()], { ownerId: studio.student.id });
  const other = await makePieces(studio, [pitch()]);
  const say = (pieceIds: string[]) => studio.act('pieces.flag', { pieceIds, text: 'mine' }, studio.student);
  expect((await say(own.ids)).ok).toBe(true);
  expect(await say(other.ids)).toMatchObject({
    problem: { message: 'You can write of your own pieces only.' },
  });
  await studio.must(
    'pieces.edit',
    { pieceId: own.ids[0], mark: 'N', notes: 'blue?', ownerId: studio.teacher.id, heightMm: null },
    studio.student,
  );
  expect((await listPieces(studio.db, { ids: own.ids }))[0]).toMatchObject({
    ownerId: studio.student.id,
    mark: 'N',
  });
});

test('what stands in a kiln cannot be binned; what is binned comes out again whole', async () => {
  const { ids } = await makePieces(studio, [pitch()], { count: 2 });
  const firingId = await planFiring(studio);
  await studio.must('loading.place', { firingId, pieceIds: [ids[0]], shelf: 1 });
  const bin = (id: string, binned: boolean) => studio.act('pieces.bin', { pieceIds: [id], binned });
  expect(await bin(ids[0]!, true)).toMatchObject({
    problem: { message: expect.stringContaining('Take it out of the load first') as string },
  });
  expect((await bin(ids[1]!, true)).ok).toBe(true);
  expect(await listPieces(studio.db, { binned: true })).toHaveLength(1);
  expect((await bin(ids[1]!, false)).ok).toBe(true);
  expect(await listPieces(studio.db, { binned: true })).toHaveLength(0);
  await advance(studio, firingId);
  expect((await bin(ids[0]!, true)).ok).toBe(true);
});

test('the list of pieces shows surface, signs, cone and verdict as they are now', async () => {
  const { ids } = await makePieces(studio, [pitch()], { count: 2 });
  const firingId = await planFiring(studio);
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId);
  const sign = { sign: 'crazing', severity: 2, wanted: false };
  await studio.must(
    'opening.record',
    recordInput(firingId, [ids[0]!], { surface: 'satin', verdict: 'keep', signs: [sign] }),
  );
  await studio.must(
    'opening.record',
    recordInput(
      firingId,
      [ids[0]!],
      { surface: 'gloss', verdict: 'second', signs: [] },
      { corrects: null, place: 'desk' },
    ),
  );
  const seen = await seenOf(studio.db, ids);
  expect(seen.get(ids[0]!)).toEqual({
    surface: 'gloss',
    signs: '',
    cone: 'cone unknown, 6 intended',
    verdict: 'second',
  });
  expect(seen.get(ids[1]!)).toBeUndefined();
});
