import fc from 'fast-check';
import { v7 } from 'uuid';
import {
  advance,
  fired,
  layer,
  makePieces,
  planFiring,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../test-support/studio';
import { boardCells } from './board';
import { rebuildCells } from './cells';
import { createPhotos } from './photos';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio('test_spine');
});
afterAll(() => studio.db.destroy());

const board = (cone = '6', atmosphere = 'oxidation') =>
  boardCells(studio.db, { body: 'peat', cone, atmosphere, slips: null });
const pitchTarn = () => [
  layer(studio.version('pitch'), 0, 2 / 3),
  layer(studio.version('tarn'), 1 / 3, 1),
];
const clean = async (): Promise<void> => {
  for (const table of [
    'photo',
    'sighting',
    'cell',
    'observation_sign',
    'observation',
    'placement',
    'witness_cone',
    'firing_event',
    'firing',
    'flag',
    'layer',
    'face',
    'piece',
    'lot',
  ])
    await studio.db(table).delete();
};
beforeEach(clean);

test('one tile dipped from both ends stands three times on the chart without anyone typing it', async () => {
  const { firingId, ids } = await fired(studio, pitchTarn());
  expect(await board()).toEqual([]);
  await studio.must(
    'opening.record',
    recordInput(firingId, ids, { surface: 'gloss', verdict: 'study' }),
  );
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
  expect(await board('6')).toHaveLength(1);
  const cones = await studio.db('witness_cone').where({ firing_id: firingId });
  const read = (bends: Record<string, number>) =>
    studio.must('kilns.read-cones', {
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
  await studio.must('tests.correct-layers', {
    pieceIds: ids,
    layers: [layer(studio.version('tarn'), 0, 1, { coats: 2 })],
  });
  expect((await board()).map((cell) => cell.stackKey)).toEqual(['tarn#1 dip×2']);
  expect(
    await studio.db('layer').where({ piece_id: ids[0], intent: 'meant' }).first('coats'),
  ).toEqual({ coats: 1 });
  expect(
    await studio.db('layer').where({ piece_id: ids[0], intent: 'done' }).count({ n: '*' }).first(),
  ).toEqual({ n: 2 });
});

test('a lot is written up in one go, its exception by itself; disagreement is a contradiction', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('pitch'))], {
    count: 10,
    exceptions: [{ index: 4, coats: [2], flag: 'Dipped twice' }],
  });
  expect(await studio.db('flag').first('text')).toEqual({ text: 'Dipped twice' });
  await studio.must(
    'opening.record',
    recordInput(firingId, ids, { surface: 'gloss', verdict: 'keep' }),
  );
  const cells = await board();
  expect(cells.map((cell) => [cell.stackKey, cell.pieces]).sort()).toEqual([
    ['pitch#1 dip×1', 9],
    ['pitch#1 dip×2', 1],
  ]);
  const current = await studio
    .db('observation')
    .where({ piece_id: ids[0] })
    .whereNotNull('current_key')
    .first('id');
  await studio.must(
    'opening.record',
    recordInput(firingId, [ids[0]!], { surface: 'matt' }, { basedOn: current.id as string }),
  );
  expect((await board()).find((cell) => cell.pieces === 9)?.standing).toBe('contradictory');
});

test('a piece is in one kiln at a time, and the load says which', async () => {
  const { ids, codes } = await makePieces(studio, []);
  const [first, second] = [await planFiring(studio), await planFiring(studio)];
  await studio.must('kilns.place', { firingId: first, pieceIds: ids, shelf: 1 });
  expect(
    await studio.act('kilns.place', { firingId: second, pieceIds: ids, shelf: 1 }),
  ).toMatchObject({
    ok: false,
    problem: {
      message: expect.stringMatching(new RegExp(`${codes[0]} is in Marta \\d+ already`)) as string,
    },
  });
  // Two technicians at once: the database lets only one through.
  await studio.db('placement').delete();
  const race = await Promise.all(
    [first, second].map((firingId) =>
      studio.act('kilns.place', { firingId, pieceIds: ids, shelf: 1 }),
    ),
  );
  expect(race.filter((answer) => answer.ok)).toHaveLength(1);
  expect(
    await studio.act('kilns.place', { firingId: first, pieceIds: ids, shelf: 9 }),
  ).toMatchObject({ ok: false });
});

test('a firing cannot skip or go back without saying why, and two people moving it do not skip a step', async () => {
  const { ids } = await makePieces(studio, []);
  const firingId = await planFiring(studio);
  expect(await studio.act('kilns.move', { firingId, from: 'planned', to: 'loaded' })).toMatchObject(
    {
      ok: false,
      problem: { message: expect.stringContaining('Nothing is in the load') as string },
    },
  );
  await studio.must('kilns.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId, 'cooling');
  expect(await studio.act('kilns.move', { firingId, from: 'cooling', to: 'firing' })).toMatchObject(
    { ok: false, problem: { message: expect.stringContaining('Say why') as string } },
  );
  await studio.must('kilns.move', {
    firingId,
    from: 'cooling',
    to: 'firing',
    reason: 'switched off too early',
  });
  expect(await studio.act('kilns.move', { firingId, from: 'cooling', to: 'opened' })).toMatchObject(
    { ok: false, problem: { code: 'conflict' } },
  );
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

test('a second browser’s words are never overwritten unseen', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))]);
  await studio.must(
    'opening.record',
    recordInput(firingId, ids, { surface: 'gloss', note: 'mine' }),
    studio.teacher,
  );
  const answer = await studio.act(
    'opening.record',
    recordInput(firingId, ids, { surface: 'matt' }),
  );
  expect(answer).toMatchObject({
    ok: false,
    problem: {
      code: 'conflict',
      message: expect.stringContaining('Teach wrote up') as string,
      details: { observations: [{ note: 'mine' }] },
    },
  });
  await studio.must(
    'opening.record',
    recordInput(firingId, ids, { surface: 'matt' }, { replace: true }),
  );
  expect((await board())[0]).toMatchObject({ surface: 'matt', pieces: 1 });
  expect(await studio.db('observation').count({ n: '*' }).first()).toEqual({ n: 2 });
});

test('taking back an observation brings back what it replaced', async () => {
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'))]);
  const first = recordInput(firingId, ids, { surface: 'gloss' });
  await studio.must('opening.record', first);
  const second = recordInput(
    firingId,
    ids,
    { surface: 'matt' },
    { basedOn: first.pieces[0]!.observationId },
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
  await studio.must('opening.bin-picture', { photoId: photo.id, binned: false });
  expect((await board())[0]?.photo).toBe(photo.sha);
  await studio.must('opening.bin-picture', { photoId: photo.id, binned: true });
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
  expect(
    (await studio.act('tests.flag', { pieceIds: other.ids, text: 'x' }, studio.student)).ok,
  ).toBe(false);
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

test('people writing of different zones of one piece at the same moment are all heard', async () => {
  for (let round = 0; round < 6; round++) {
    await clean();
    const { firingId, ids } = await fired(studio, pitchTarn());
    await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
    const zones = ['1|0-333|0-1000|all', '1|333-667|0-1000|all', '1|667-1000|0-1000|all'];
    const answers = await Promise.all(
      zones.map((zone) =>
        studio.act('opening.record', recordInput(firingId, ids, { surface: 'matt' }, { zone })),
      ),
    );
    expect(answers.every((answer) => answer.ok)).toBe(true);
    expect((await board()).map((cell) => cell.surface)).toEqual(['matt', 'matt', 'matt']);
  }
});

test('after any history of words, corrections, deletions and refits the kept summaries equal the rebuilt ones', async () => {
  const snapshot = async () => (await studio.db('cell').orderBy('id')).map((row) => ({ ...row }));
  const command = fc.oneof(
    {
      weight: 5,
      arbitrary: fc.record({
        kind: fc.constant('say' as const),
        piece: fc.nat(5),
        zone: fc.constantFrom(null, '1|0-333|0-1000|all', '1|333-667|0-1000|all'),
        surface: fc.constantFrom('gloss', 'matt', null),
        severity: fc.constantFrom(0, 1, 2, 3),
        mm: fc.constantFrom(null, 0, 3, 9),
        rating: fc.constantFrom(null, 1, 5),
      }),
    },
    {
      weight: 2,
      arbitrary: fc.record({ kind: fc.constant('take back' as const), piece: fc.nat(5) }),
    },
    {
      weight: 2,
      arbitrary: fc.record({
        kind: fc.constant('bin' as const),
        piece: fc.nat(5),
        binned: fc.boolean(),
      }),
    },
    {
      weight: 2,
      arbitrary: fc.record({
        kind: fc.constant('correct' as const),
        piece: fc.nat(5),
        coats: fc.integer({ min: 1, max: 3 }),
        to: fc.constantFrom(0.5, 1),
      }),
    },
    {
      weight: 1,
      arbitrary: fc.record({
        kind: fc.constant('cones' as const),
        bend: fc.constantFrom(0, 45, 90),
      }),
    },
    {
      weight: 1,
      arbitrary: fc.record({
        kind: fc.constant('air' as const),
        atmosphere: fc.constantFrom('oxidation', 'neutral', 'unknown'),
      }),
    },
  );
  await fc.assert(
    fc.asyncProperty(fc.array(command, { minLength: 4, maxLength: 14 }), async (history) => {
      await clean();
      const { firingId, ids } = await fired(studio, pitchTarn(), { count: 3 });
      const more = await makePieces(studio, [layer(studio.version('tarn'))], { count: 3 });
      const second = await planFiring(studio);
      await studio.must('kilns.place', { firingId: second, pieceIds: more.ids, shelf: 2 });
      await advance(studio, second);
      const all = [...ids, ...more.ids];
      const firingOf = (piece: number): string => (piece < 3 ? firingId : second);
      for (const step of history) {
        if (step.kind === 'say') {
          const said = {
            surface: step.surface,
            movementMm: step.mm,
            rating: step.rating,
            signs:
              step.severity === 0 ? [] : [{ sign: 'pit', severity: step.severity, wanted: false }],
          };
          const answer = await studio.act(
            'opening.record',
            recordInput(firingOf(step.piece), [all[step.piece]!], said, {
              replace: true,
              ...(step.zone ? { zone: step.zone } : {}),
            }),
            studio.technician,
          );
          const { binned_at } = await studio.db('piece').where({ id: all[step.piece] }).first();
          expect(answer.ok).toBe(binned_at === null);
        } else if (step.kind === 'take back') {
          const row = await studio
            .db('observation')
            .where({ piece_id: all[step.piece] })
            .whereNotNull('current_key')
            .first('id');
          if (row) await studio.must('opening.withdraw', { observationIds: [row.id] });
        } else if (step.kind === 'bin')
          await studio.must('tests.bin', { pieceIds: [all[step.piece]], binned: step.binned });
        else if (step.kind === 'correct')
          await studio.must('tests.correct-layers', {
            pieceIds: [all[step.piece]],
            layers: [layer(studio.version('pitch'), 0, step.to, { coats: step.coats })],
          });
        else if (step.kind === 'cones') {
          const cones = await studio.db('witness_cone').where({ firing_id: firingId });
          await studio.must('kilns.read-cones', {
            firingId,
            readings: cones.map((cone) => ({ coneId: cone.id, bendDegrees: step.bend })),
          });
        } else {
          const row = await studio.db('firing').where({ id: second }).first();
          await studio.must('kilns.edit-firing', {
            firingId: second,
            revision: row.revision,
            fields: {
              kilnId: studio.kiln,
              kind: 'glaze',
              targetCone: '6',
              atmosphere: step.atmosphere,
              plannedFor: null,
              notes: '',
            },
          });
        }
      }
      const kept = await snapshot();
      await rebuildCells(studio.db);
      expect(kept).toEqual(await snapshot());
    }),
    { numRuns: 20 },
  );
}, 120_000);
