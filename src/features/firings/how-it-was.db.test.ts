import {
  fired,
  layer,
  makePieces,
  planFiring,
  recordInput,
  advance,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import { findFiring } from '@/data/firings';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const BEFORE = { fullness: null, shelfAir: {} };

test('the air of one shelf is the air of its pieces: they stand in a cell of their own, and back', async () => {
  const firingId = await planFiring(studio, { atmosphere: 'moderate reduction' });
  const { ids } = await makePieces(studio, [layer(studio.version('tarn'))], { count: 2 });
  for (const [i, id] of ids.entries())
    await studio.must('loading.place', { firingId, pieceIds: [id], shelf: i + 1 });
  await advance(studio, firingId, 'opened');
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  const airs = async () =>
    (await studio.db('cell').orderBy('atmosphere').select('atmosphere', 'pieces')).map((row) => [
      row.atmosphere,
      row.pieces,
    ]);
  expect(await airs()).toEqual([['moderate reduction', 2]]);
  const said = { firingId, fullness: 'tight', shelfAir: { 1: 'light reduction' }, before: BEFORE };
  await studio.must('firings.say-how', said);
  expect(await airs()).toEqual([
    ['light reduction', 1],
    ['moderate reduction', 1],
  ]);
  expect(await findFiring(studio.db, firingId)).toMatchObject({
    fullness: 'tight',
    shelfAir: { 1: 'light reduction' },
  });
  // How full it was is a circumstance that its pieces share.
  const [sighting] = await studio.db('sighting').select('variables');
  expect(sighting.variables).toMatchObject({ 'how full': 'tight' });
  await studio.must('firings.say-how-again', { firingId, ...BEFORE });
  expect(await airs()).toEqual([['moderate reduction', 2]]);
  const [plain] = await studio.db('sighting').select('variables');
  expect(plain.variables).not.toHaveProperty('how full');
});

test('a shelf that the kiln does not have, and air that is none, are refused', async () => {
  const { firingId } = await fired(studio, [layer(studio.version('tarn'))]);
  const say = (shelfAir: object) =>
    studio.act('firings.say-how', { firingId, fullness: null, shelfAir, before: BEFORE });
  expect(await say({ 9: 'neutral' })).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('3 shelves') },
  });
  expect(await say({ 0: 'neutral' })).toMatchObject({ ok: false });
  expect(await say({ 1: 'smoky' })).toMatchObject({ ok: false });
  expect(
    await studio.act('firings.say-how', { firingId, ...BEFORE, before: BEFORE }, studio.student),
  ).toMatchObject({ ok: false, problem: { code: 'not-allowed' } });
});

test('plain reduction is planned, fired and seen as such', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('pitch'))]);
  const fields = {
    kilnId: (await findFiring(studio.db, firingId))!.kilnId,
    kind: 'glaze',
    targetCone: '6',
    atmosphere: 'reduction',
    plannedFor: '2026-03-01',
    notes: '',
  };
  const { revision } = (await findFiring(studio.db, firingId))!;
  await studio.must('firings.edit', { firingId, revision, fields });
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'matt' }));
  const [cell] = await studio
    .db('cell')
    .join('sighting', 'sighting.cell_id', 'cell.id')
    .where('sighting.piece_id', ids[0]!)
    .select('cell.atmosphere');
  expect(cell.atmosphere).toBe('reduction');
});
