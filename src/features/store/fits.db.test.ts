import { questionStudio } from '../../../test-support/questions';
import {
  advance,
  layer,
  makePieces,
  planFiring,
  recordInput,
  type TestStudio,
} from '../../../test-support/studio';
import { examinedPieces } from '@/data/examined';
import { bodyFits } from './fits';

let room: Awaited<ReturnType<typeof questionStudio>>;
let studio: TestStudio;
let firingId: string;
const crazing = { sign: 'crazing', severity: 2, wanted: false };

/** Fires pieces with one glaze alone and looks at them. */
async function see(slug: string, count: number, signs: object[], coats = 1): Promise<string[]> {
  const { ids } = await makePieces(studio, [layer(studio.version(slug), 0, 1, { coats })], {
    count,
  });
  firingId = await planFiring(studio);
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss', signs }));
  return ids;
}

beforeAll(async () => {
  room = await questionStudio();
  ({ studio } = room);
  await studio.must('questions.test-body', {
    bodyId: studio.body,
    kind: 'expansion',
    value: 9,
    cone: null,
    note: '',
  });
});
afterAll(() => studio.db.destroy());

test('a body is placed by what crazes on it, and pieces stand against a figure that says otherwise', async () => {
  expect((await bodyFits(studio.db))[0]).toMatchObject({ value: 9, placed: null, against: [] });
  // Soda feldspar and little else: far above tarn, computed as fitting a body of 9.
  await see('pitch', 4, [crazing]);
  await see('tarn', 3, []);
  const [fits] = await bodyFits(studio.db, studio.body);
  expect(fits!.placed).toMatchObject({ sides: 'both', glazes: 2, pieces: 7 });
  expect(fits!.placed!.at).toBeLessThan(9);
  expect(fits!.placed!.apart.early).toBe(3);
  expect(fits!.against.map(({ coating }) => coating)).toEqual(['pitch#1']);
  expect(fits!.against[0]!.says).toMatch(/^Computed as .*, yet 4 of 4 pieces craze here: believe/);
});

test('crazing that came weeks later is told from crazing at the opening; coats are read from the stack', async () => {
  const ids = await see('tarn', 1, [], 3);
  await studio
    .db('observation')
    .whereIn('piece_id', ids)
    .update({
      seen_at: new Date(Date.now() - 40 * 86_400_000),
    });
  await studio
    .db('firing')
    .where({ id: firingId })
    .update({
      opened_at: new Date(Date.now() - 41 * 86_400_000),
    });
  await studio.must(
    'opening.record',
    recordInput(firingId, ids, { surface: 'gloss', signs: [crazing] }, { place: 'desk', corrects: null }),
  );
  const [own] = (await examinedPieces(studio.db, studio.body)).filter(({ pieceId }) => ids.includes(pieceId));
  expect(own).toMatchObject({ slug: 'tarn', version: 1, found: 'crazed later', coats: 3 });
  expect(own!.days).toBeGreaterThan(20);
});

test('a glaze without a recipe, a stack of two and another body say nothing here', async () => {
  const before = (await bodyFits(studio.db, studio.body))[0]!.placed!.pieces;
  const { ids } = await makePieces(studio, [
    layer(studio.version('pitch'), 0, 1),
    layer(studio.version('tarn'), 0, 1),
  ]);
  firingId = await planFiring(studio);
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss', signs: [crazing] }));
  expect((await bodyFits(studio.db, studio.body))[0]!.placed!.pieces).toBe(before);
  expect(await bodyFits(studio.db, '0193f7a0-0000-7000-8000-000000000999')).toEqual([]);
});
