/** Things nobody registered: on record in one act, written up by their marks, their key filled in later. */
import { v7 } from 'uuid';
import { countStore } from '@/data/studio';
import { loadPieces } from '@/data/pieces';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio'; // prettier-ignore
import { changesOf, readKeyRow } from '../keys/key-grid';
import { loadFor } from './server';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio('test_unregistered');
});
afterAll(() => studio.db.destroy());

const body = () => ({ id: null, name: 'Peat' });
const firing = (rest: object = {}) => ({ id: null, kilnId: studio.kiln, on: '2026-05-01', cone: '6', shown: false, atmosphere: 'oxidation', ...rest }); // prettier-ignore

test('27 cups of yesterday’s kiln: an opening by their numbers, and the same sent twice makes no more', async () => {
  const pieceIds = Array.from({ length: 27 }, () => v7());
  const marks = pieceIds.map((_, i) => String(i + 1));
  const input = { pieceIds, marks, body: body(), form: 'mug', firing: firing() };
  const id = v7();
  const first = await studio.act('opening.unregistered', input, studio.teacher, id);
  expect(await studio.act('opening.unregistered', input, studio.teacher, id)).toEqual(first);
  const { firingId } = (first as { data: { firingId: string } }).data;
  const load = await loadFor(studio.db, studio.teacher, firingId);
  expect(load.pieces.map(({ mark }) => mark).sort()).toEqual([...marks].sort());
  expect(new Set(load.pieces.map(({ keyKnown }) => keyKnown))).toEqual(new Set(['lost']));
  expect((await countStore(studio.db)).lost).toBe(27);
  await studio.must('opening.record', recordInput(firingId, [pieceIds[3]!], { surface: 'matt' }));
  // Without a key no cell of the chart knows it.
  expect(await studio.db('sighting').where({ piece_id: pieceIds[3]! })).toEqual([]);

  // The key turns up: most are known, one is doubted, one stays unknown.
  const coatings = [{ name: 'Tarn', versionId: studio.version('tarn') }, { name: 'Pitch', versionId: studio.version('pitch') }]; // prettier-ignore
  const cells = [
    ['Pitch', 'Tarn x2'],
    ['Tarn over Pitch', ''],
    ['?', ''],
    ['Tarn?', ''],
  ];
  const rows = cells.map((row) => readKeyRow(row, coatings));
  const changes = changesOf(pieceIds.map((one) => ({ id: one, generation: 1 })), rows, true); // prettier-ignore
  const { before } = (await studio.must('pieces.put-right', { changes })) as { before: unknown };
  const [a, b, c, d] = await Promise.all(pieceIds.slice(0, 4).map(async (one) => (await loadPieces(studio.db, { ids: [one] }))[0]!)); // prettier-ignore
  const stack = (piece: typeof a) => piece!.done.map(({ coat, coats }) => `${coat.slug}×${coats}`);
  expect([stack(a), stack(b), stack(c), stack(d)]).toEqual([['pitch×1', 'tarn×2'], ['pitch×1', 'tarn×1'], [], ['tarn×1']]); // prettier-ignore
  expect([a!.keyKnown, c!.keyKnown, d!.keyKnown]).toEqual(['sure', 'lost', 'likely']);
  expect([a!.keySaid?.by, c!.keySaid]).toEqual([studio.technician.name, null]);
  // What was written up by its number stands on the chart now.
  expect(await studio.db('sighting').where({ piece_id: pieceIds[3]! })).not.toEqual([]);
  await studio.must('pieces.put-back', { changes: before });
  const [again] = await loadPieces(studio.db, { ids: [pieceIds[0]!] });
  expect([again!.keyKnown, again!.keySaid, again!.done]).toEqual(['lost', null, []]);
  expect(await studio.db('sighting').where({ piece_id: pieceIds[3]! })).toEqual([]);
});

test('they join a firing on record, which is to be written up again; a firing that is not open is refused', async () => {
  const known = await fired(studio, [layer(studio.version('tarn'))]);
  await studio.must('opening.finish', { firingId: known.firingId, done: true });
  const input = { pieceIds: [v7(), v7()], marks: [], body: body(), form: 'mug', firing: firing({ id: known.firingId }) }; // prettier-ignore
  await studio.must('opening.unregistered', input);
  const row = await studio.db('firing').where({ id: known.firingId }).first('written_up_at');
  expect(row).toEqual({ written_up_at: null });
  expect((await loadFor(studio.db, studio.technician, known.firingId)).pieces).toHaveLength(3);
  await studio.db('firing').where({ id: known.firingId }).update({ status: 'cooling' });
  expect(await studio.act('opening.unregistered', { ...input, pieceIds: [v7()] })).toMatchObject({ ok: false, problem: { message: expect.stringContaining('cooling') } }); // prettier-ignore
  expect(await studio.act('opening.unregistered', { ...input, pieceIds: [] })).toMatchObject({ ok: false, problem: { code: 'invalid' } }); // prettier-ignore
});

test('a load is read anew by who writes of it: all of it, or one’s own pieces', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))], { count: 3 });
  await studio.db('piece').where({ id: ids[1] }).update({ owner_id: studio.student.id });
  const all = await loadFor(studio.db, studio.teacher, firingId);
  const own = await loadFor(studio.db, studio.student, firingId);
  expect([all.pieces.length, own.pieces.map(({ id }) => id)]).toEqual([3, [ids[1]]]);
  expect(own.mark).toBe(all.mark);
  await expect(loadFor(studio.db, studio.teacher, v7())).rejects.toThrow('This firing');
  await expect(loadFor(studio.db, studio.teacher, '../x')).rejects.toThrow('This firing');
});

test('where a sign is stays with it, and only places that can be are taken', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))]);
  const sign = { sign: 'pit', severity: 2, wanted: false };
  const points = [{ face: 1, sha: null, x: 0.5, y: 0.04 }];
  await studio.must('opening.record', recordInput(firingId, ids, { signs: [{ ...sign, points }] }));
  const [piece] = (await loadFor(studio.db, studio.teacher, firingId)).pieces;
  expect(piece!.looks['']![0]!.seen.signs).toEqual([{ ...sign, points }]);
  for (const wrong of [{ face: 1, sha: null, x: 2, y: 0 }, { face: 1, sha: 'a'.repeat(64), x: 0, y: 0 }, { face: null, sha: null, x: 0, y: 0 }]) // prettier-ignore
    expect(await studio.act('opening.record', recordInput(firingId, ids, { signs: [{ ...sign, points: [wrong] }] }))).toMatchObject({ ok: false, problem: { code: 'invalid' } }); // prettier-ignore
});
