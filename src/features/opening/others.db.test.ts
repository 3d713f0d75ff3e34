/** Two phones at one load: each sees by one word whether something was said meanwhile. */
import { v7 } from 'uuid';
import { openingMark } from '@/data/observations';
import { createPhotos } from '@/data/photos';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';

let studio: TestStudio;
let firingId: string;
let ids: string[];
beforeAll(async () => {
  studio = await testStudio();
  ({ firingId, ids } = await fired(studio, [layer(studio.version('tarn'))], { count: 2 }));
});
afterAll(() => studio.db.destroy());

test('the word changes with each look, with one taken back, with a picture, and with nothing else', async () => {
  const words = [await openingMark(studio.db, firingId)];
  const changed = async (): Promise<boolean> => {
    words.push(await openingMark(studio.db, firingId));
    return new Set(words).size === words.length;
  };
  const said = recordInput(firingId, [ids[0]!], { surface: 'gloss' });
  await studio.must('opening.record', said);
  expect(await changed()).toBe(true);
  await studio.must('opening.withdraw', { observationIds: [said.pieces[0]!.observationId] });
  expect(await changed()).toBe(true);
  await createPhotos(
    studio.db,
    [{ id: v7(), sha: 'b'.repeat(64), width: 9, height: 9, originalName: 'a', pieceId: ids[0]!, firingId }],
    studio.technician.id,
    new Date(),
  );
  expect(await changed()).toBe(true);
  const other = await fired(studio, [layer(studio.version('tarn'))]);
  await studio.must('opening.record', recordInput(other.firingId, other.ids, { surface: 'matt' }));
  expect(await changed()).toBe(false);
});

test('a piece that was binned meanwhile is refused by name, and what was said of it is nowhere', async () => {
  const load = await fired(studio, [layer(studio.version('tarn'))], { count: 2 });
  await studio.must('pieces.bin', { pieceIds: [load.ids[0]!], binned: true });
  const said = recordInput(load.firingId, [load.ids[0]!], { surface: 'gloss' });
  expect(await studio.act('opening.record', said)).toMatchObject({
    ok: false,
    problem: { message: `${load.codes[0]} is in the bin. Take it out again first.` },
  });
  expect(await studio.db('observation').where({ piece_id: load.ids[0]! })).toEqual([]);
  // Taken out again the very same words are taken.
  await studio.must('pieces.bin', { pieceIds: [load.ids[0]!], binned: false });
  await studio.must('opening.record', said);
});
