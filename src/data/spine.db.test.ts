import { v7 } from 'uuid';
import {
  advance,
  clearPieces,
  fired,
  layer,
  makePieces,
  overlap,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../test-support/studio';
import { boardCells } from './board';
import { createPhotos } from './photos';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

/** Cones are not read unless a test does so: its pieces stand under what was intended. */
const board = (cone = '?6', atmosphere = 'oxidation') =>
  boardCells(studio.db, { body: 'peat', cone, atmosphere, slips: null });
const pitchTarn = () => overlap(studio, 'pitch', 'tarn');
beforeEach(() => clearPieces(studio.db));

test('one tile dipped from both ends stands three times on the chart without anyone typing it', async () => {
  const { firingId, ids } = await fired(studio, pitchTarn());
  expect(await board()).toEqual([]);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss', verdict: 'study' }));
  const cells = await board();
  expect(cells.map((cell) => [cell.base, cell.over, cell.standing]).sort()).toEqual([
    ['pitch', null, 'once'],
    ['pitch', 'tarn', 'once'],
    ['tarn', null, 'once'],
  ]);
  expect(cells.find((cell) => cell.over === 'tarn')?.stackKey).toBe('pitch#1 dip×1 + tarn#1 dip×1');
});

test('what is said of a zone speaks for that zone alone', async () => {
  const { firingId, ids } = await fired(studio, pitchTarn());
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  await studio.must(
    'opening.record',
    recordInput(
      firingId,
      ids,
      { movementMm: 7, signs: [{ sign: 'running', severity: 2, wanted: false }] },
      { zone: '1|333-667|0-1000|all' },
    ),
  );
  const cells = await board();
  expect(cells.find((cell) => cell.over === 'tarn')).toMatchObject({
    movementMm: 7,
    surface: 'gloss',
    signs: [{ sign: 'running', pieces: 1, severity: 2 }],
  });
  expect(cells.find((cell) => cell.base === 'pitch' && cell.over === null)).toMatchObject({
    movementMm: null,
    signs: [],
  });
});

test('a slip beneath everything is ground: the same glaze with it stands on another ground', async () => {
  const { firingId, ids } = await fired(studio, [
    layer(studio.version('chalk-slip')),
    layer(studio.version('tarn')),
  ]);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  expect((await board()).map((cell) => [cell.slips, cell.base, cell.over])).toEqual([
    ['chalk-slip#1', 'tarn', null],
  ]);
});

test('the reached cone follows the cones, and the chart follows the reached cone', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))]);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  expect(await board('6')).toHaveLength(0);
  expect(await board('?6')).toHaveLength(1);
  const cones = await studio.db('witness_cone').where({ firing_id: firingId });
  const read = (bends: Record<string, number>) =>
    studio.must('firings.read-cones', {
      firingId,
      readings: cones.map((cone) => ({ coneId: cone.id, bendDegrees: bends[cone.cone] })),
    });
  expect(await read({ 5: 90, 6: 90, 7: 80 })).toMatchObject({ coneBand: '7' });
  expect(await board('6')).toHaveLength(0);
  expect(await board('7')).toHaveLength(1);
  expect(await read({ 5: 90, 6: 90, 7: 10 })).toMatchObject({ coneBand: '6' });
  expect(await board('6')).toHaveLength(1);
});

test('correcting what was done moves the piece on the chart and keeps what was meant', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))]);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  await studio.must('pieces.correct-layers', {
    pieceIds: ids,
    layers: [layer(studio.version('tarn'), 0, 1, { coats: 2 })],
  });
  expect((await board()).map((cell) => cell.stackKey)).toEqual(['tarn#1 dip×2']);
  expect(await studio.db('layer').where({ piece_id: ids[0], intent: 'meant' }).first('coats')).toEqual({
    coats: 1,
  });
  expect(
    await studio.db('layer').where({ piece_id: ids[0], intent: 'done' }).count({ n: '*' }).first(),
  ).toEqual({ n: 2 });
});

test('a lot is written up in one go, its exception by itself; one that differs is named, half of them contradict', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('pitch'))], {
    count: 10,
    exceptions: [{ index: 4, coats: [2], flag: 'Dipped twice' }],
  });
  expect(await studio.db('flag').first('text')).toEqual({ text: 'Dipped twice' });
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss', verdict: 'keep' }));
  const cells = await board();
  expect(cells.map((cell) => [cell.stackKey, cell.pieces]).sort()).toEqual([
    ['pitch#1 dip×1', 9],
    ['pitch#1 dip×2', 1],
  ]);
  const current = await studio
    .db('observation')
    .where({ piece_id: ids[0] })
    .whereNull('superseded_at')
    .first('id');
  await studio.must(
    'opening.record',
    recordInput(firingId, [ids[0]!], { surface: 'matt' }, { corrects: current.id as string }),
  );
  const standing = async () => (await board()).find((cell) => cell.pieces === 9)?.standing;
  expect(await standing()).toBe('repeated');
  await studio.must('opening.record', recordInput(firingId, ids.slice(0, 4), { surface: 'matt' }));
  expect(await standing()).toBe('contradictory');
});

test('a piece is in one kiln at a time, and the load says which', async () => {
  const { ids, codes } = await makePieces(studio, []);
  const inMarta = { kilnId: studio.kiln };
  const [first, second] = [await planFiring(studio, inMarta), await planFiring(studio)];
  await studio.must('loading.place', { firingId: first, pieceIds: ids, shelf: 1 });
  expect(await studio.act('loading.place', { firingId: second, pieceIds: ids, shelf: 1 })).toMatchObject({
    ok: false,
    problem: {
      message: expect.stringMatching(new RegExp(`${codes[0]} is in Marta \\d+ already`)) as string,
    },
  });
  // Two technicians at once: the database lets only one through.
  await studio.db('placement').delete();
  const race = await Promise.all(
    [first, second].map((firingId) => studio.act('loading.place', { firingId, pieceIds: ids, shelf: 1 })),
  );
  expect(race.filter((answer) => answer.ok)).toHaveLength(1);
  expect(await studio.act('loading.place', { firingId: first, pieceIds: ids, shelf: 9 })).toMatchObject({
    ok: false,
  });
});

test('a firing cannot skip or go back without saying why, and two people moving it do not skip a step', async () => {
  const { ids } = await makePieces(studio, []);
  const firingId = await planFiring(studio);
  expect(await studio.act('firings.move', { firingId, from: 'planned', to: 'loaded' })).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('Nothing is in the load') as string },
  });
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId, 'cooling');
  expect(await studio.act('firings.move', { firingId, from: 'cooling', to: 'firing' })).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('Say why') as string },
  });
  await studio.must('firings.move', {
    firingId,
    from: 'cooling',
    to: 'firing',
    reason: 'switched off too early',
  });
  expect(await studio.act('firings.move', { firingId, from: 'cooling', to: 'opened' })).toMatchObject({
    ok: false,
    problem: { code: 'conflict' },
  });
  const events = await studio
    .db('firing_event')
    .where({ firing_id: firingId })
    .orderBy('id')
    .select('to_status', 'reason');
  expect(events.at(-1)).toEqual({ to_status: 'firing', reason: 'switched off too early' });
  expect(await studio.act('opening.record', recordInput(firingId, ids, {}))).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('open it first') as string },
  });
});

test('taking back an observation brings back what it replaced', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))]);
  const first = recordInput(firingId, ids, { surface: 'gloss' });
  await studio.must('opening.record', first);
  const second = recordInput(
    firingId,
    ids,
    { surface: 'matt' },
    { corrects: first.pieces[0]!.observationId },
  );
  await studio.must('opening.record', second);
  await studio.must('opening.withdraw', { observationIds: [second.pieces[0]!.observationId] });
  expect((await board())[0]?.surface).toBe('gloss');
  await studio.must('opening.withdraw', { observationIds: [first.pieces[0]!.observationId] });
  expect(await board()).toEqual([]);
});

test('a wrong picture leaves the chart and comes back with its undo', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))]);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  const photo = {
    id: v7(),
    sha: 'a'.repeat(64),
    width: 3,
    height: 4,
    pieceId: ids[0]!,
    firingId,
    originalName: 'x',
  };
  await createPhotos(studio.db, [photo], studio.technician.id, new Date());
  await studio.must('media.bin-picture', { photoId: photo.id, binned: false });
  expect((await board())[0]?.photo).toBe(photo.sha);
  await studio.must('media.bin-picture', { photoId: photo.id, binned: true });
  expect((await board())[0]?.photo).toBeNull();
});

test('a student writes of own pieces only', async () => {
  const own = await fired(studio, [layer(studio.version('tarn'))], { ownerId: studio.student.id });
  const other = await fired(studio, [layer(studio.version('tarn'))]);
  expect(
    (await studio.act('opening.record', recordInput(own.firingId, own.ids, {}), studio.student)).ok,
  ).toBe(true);
  expect(
    await studio.act('opening.record', recordInput(other.firingId, other.ids, {}), studio.student),
  ).toMatchObject({ ok: false, problem: { message: 'You can write of your own pieces only.' } });
  expect((await studio.act('pieces.flag', { pieceIds: other.ids, text: 'x' }, studio.student)).ok).toBe(
    false,
  );
});

test('many people writing up one stack at the same time lose nobody’s count', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))], { count: 8 });
  const answers = await Promise.all(
    ids.map((id, i) =>
      studio.act(
        'opening.record',
        recordInput(firingId, [id], { surface: 'gloss' }),
        i % 2 ? studio.teacher : studio.technician,
      ),
    ),
  );
  expect(answers.every((answer) => answer.ok)).toBe(true);
  expect(await board()).toMatchObject([{ pieces: 8, standing: 'repeated' }]);
});
