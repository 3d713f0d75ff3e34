import {
  advance,
  makePieces,
  overlap,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import { pairAnywhere } from '@/data/board';
import { chartData } from './queries';
import { elsewhereThan, zoomHere } from './zoom';

let studio: TestStudio;
let body: string;
beforeAll(async () => {
  studio = await testStudio();
  body = (await studio.db('body').where({ id: studio.body }).first('slug')).slug as string;
});
afterAll(() => studio.db.destroy());

/** Fires pieces with pitch beneath and tarn above, or the other way round. */
async function seen(count: number, atmosphere: string, below = 'pitch', above = 'tarn') {
  const { ids } = await makePieces(studio, overlap(studio, below, above), { count });
  const firingId = await planFiring(studio, { atmosphere });
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
}

test('what is untried here is listed where it was seen, either way round, the best known first', async () => {
  await seen(1, 'oxidation');
  await seen(3, 'heavy reduction');
  await seen(2, 'oxidation', 'tarn', 'pitch');
  const all = await pairAnywhere(studio.db, 'pitch', 'tarn');
  expect(all.map(({ atmosphere, over, pieces }) => [atmosphere, over, pieces])).toEqual([
    ['heavy reduction', 'tarn', 3],
    ['oxidation', 'pitch', 2],
    ['oxidation', 'tarn', 1],
  ]);
  const here = { body, cone: '9', atmosphere: 'oxidation', slips: '' };
  const pair = { base: 'pitch', over: 'tarn' };
  const untried = await zoomHere(studio.db, here, pair);
  expect(untried).toMatchObject({ cells: [], pieces: [] });
  expect(await elsewhereThan(studio.db, here, pair)).toHaveLength(3);
  // The board that is open is not elsewhere.
  const cone = all[1]!.cone;
  const others = await elsewhereThan(studio.db, { ...here, cone }, pair);
  expect(others.map(({ atmosphere }) => atmosphere)).toEqual(['heavy reduction']);
  expect(await pairAnywhere(studio.db, 'gull', 'tarn')).toEqual([]);
});

test('a pair opens where it is best known; with a body said it stays there', async () => {
  const best = await chartData(studio.db, { at: 'pitch/tarn' });
  expect(best.chosen).toMatchObject({ atmosphere: 'heavy reduction' });
  const said = await chartData(studio.db, { at: 'pitch/tarn', body, atmosphere: 'oxidation' });
  expect(said.chosen).toMatchObject({ atmosphere: 'oxidation' });
  expect((await chartData(studio.db, { at: 'ghost/tarn' })).chosen).not.toBeNull();
});
