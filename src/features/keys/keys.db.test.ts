/** A key of numbers: things are written up by their marks, and what lies on them is filled in later. */
import { v7 } from 'uuid';
import { recordInput, testStudio, type TestStudio } from '../../../test-support/studio';
import { countStore } from '@/data/studio';
import { loadPieces } from '@/data/pieces';
import { loadFor } from '../opening/server';
import { changesOf, readKeyRow } from './key-grid';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const body = () => ({ id: null, name: 'Peat' });
const firing = (rest: object = {}) => ({
  id: null,
  kilnId: studio.kiln,
  on: '2026-05-01',
  cone: '6',
  shown: false,
  atmosphere: 'oxidation',
  ...rest,
});

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
  const coatings = [
    { name: 'Tarn', versionId: studio.version('tarn') },
    { name: 'Pitch', versionId: studio.version('pitch') },
  ];
  const cells = [
    ['Pitch', 'Tarn x2'],
    ['Tarn over Pitch', ''],
    ['?', ''],
    ['Tarn?', ''],
  ];
  const rows = cells.map((row) => readKeyRow(row, coatings));
  const changes = changesOf(
    pieceIds.map((one) => ({ id: one, generation: 1 })),
    rows,
    true,
  );
  const { before } = (await studio.must('pieces.put-right', { changes })) as { before: unknown };
  const [a, b, c, d] = await Promise.all(
    pieceIds.slice(0, 4).map(async (one) => (await loadPieces(studio.db, { ids: [one] }))[0]!),
  );
  const stack = (piece: typeof a) => piece!.done.map(({ coat, coats }) => `${coat.slug}×${coats}`);
  expect([stack(a), stack(b), stack(c), stack(d)]).toEqual([
    ['pitch×1', 'tarn×2'],
    ['pitch×1', 'tarn×1'],
    [],
    ['tarn×1'],
  ]);
  expect([a!.keyKnown, c!.keyKnown, d!.keyKnown]).toEqual(['sure', 'lost', 'likely']);
  expect([a!.keySaid?.by, c!.keySaid]).toEqual([studio.technician.name, null]);
  // What was written up by its number stands on the chart now.
  expect(await studio.db('sighting').where({ piece_id: pieceIds[3]! })).not.toEqual([]);
  await studio.must('pieces.put-back', { changes: before });
  const [again] = await loadPieces(studio.db, { ids: [pieceIds[0]!] });
  expect([again!.keyKnown, again!.keySaid, again!.done]).toEqual(['lost', null, []]);
  expect(await studio.db('sighting').where({ piece_id: pieceIds[3]! })).toEqual([]);
});
