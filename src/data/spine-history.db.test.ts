import fc from 'fast-check';
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
import { boardCells, cellsWithCoats } from './board';
import { rebuildCells } from './cells';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const pitchTarn = () => overlap(studio, 'pitch', 'tarn');
beforeEach(() => clearPieces(studio.db));

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
      await clearPieces(studio.db);
      const { firingId, ids } = await fired(studio, pitchTarn(), { count: 3 });
      const more = await makePieces(studio, [layer(studio.version('tarn'))], { count: 3 });
      const second = await planFiring(studio);
      await studio.must('loading.place', { firingId: second, pieceIds: more.ids, shelf: 2 });
      await advance(studio, second);
      const all = [...ids, ...more.ids];
      const firingOf = (piece: number): string => (piece < 3 ? firingId : second);
      for (const step of history) {
        if (step.kind === 'say') {
          const said = {
            surface: step.surface,
            movementMm: step.mm,
            rating: step.rating,
            signs: step.severity === 0 ? [] : [{ sign: 'pit', severity: step.severity, wanted: false }],
          };
          const answer = await studio.act(
            'opening.record',
            recordInput(firingOf(step.piece), [all[step.piece]!], said, {
              ...(step.zone ? { zone: step.zone } : {}),
            }),
            // Two people write: their looks stand beside one another.
            (step.mm ?? 0) % 2 === 0 ? studio.technician : studio.teacher,
          );
          const { binned_at } = await studio.db('piece').where({ id: all[step.piece] }).first();
          expect(answer.ok).toBe(binned_at === null);
        } else if (step.kind === 'take back') {
          const row = await studio
            .db('observation')
            .where({ piece_id: all[step.piece] })
            .whereNull('superseded_at')
            .first('id');
          if (row) await studio.must('opening.withdraw', { observationIds: [row.id] });
        } else if (step.kind === 'bin')
          await studio.must('pieces.bin', { pieceIds: [all[step.piece]], binned: step.binned });
        else if (step.kind === 'correct')
          await studio.must('pieces.correct-layers', {
            pieceIds: [all[step.piece]],
            layers: [layer(studio.version('pitch'), 0, step.to, { coats: step.coats })],
          });
        else if (step.kind === 'cones') {
          const cones = await studio.db('witness_cone').where({ firing_id: firingId });
          await studio.must('firings.read-cones', {
            firingId,
            readings: cones.map((cone) => ({ coneId: cone.id, bendDegrees: step.bend })),
          });
        } else {
          const row = await studio.db('firing').where({ id: second }).first();
          await studio.must('firings.edit', {
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

test('a cell’s coats, its firing and how its cone is known are kept with it, and follow when it goes', async () => {
  const { firingId, ids } = await fired(studio, pitchTarn());
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
  const cell = (await cellsWithCoats(studio.db, ['tarn', 'pitch']))[0]!;
  expect(await cellsWithCoats(studio.db, ['tarn', 'pitch'])).toHaveLength(1);
  expect(await cellsWithCoats(studio.db, ['tarn'])).toHaveLength(2);
  expect(await cellsWithCoats(studio.db, ['tarn', 'chalk-slip'])).toEqual([]);
  expect(cell).toMatchObject({ generation: 1, coneKnown: 'intended' });
  expect(await studio.db('cell_coat').where({ cell_id: cell.id }).orderBy('seq')).toMatchObject([
    { seq: 0, slug: 'pitch', version: 1, amount: 'dip×1' },
    { seq: 1, slug: 'tarn', version: 1, amount: 'dip×1' },
  ]);
  const cones = await studio.db('witness_cone').where({ firing_id: firingId });
  await studio.must('firings.read-cones', {
    firingId,
    readings: cones.map(({ id, cone }) => ({ coneId: id, bendDegrees: cone === '7' ? 30 : 90 })),
  });
  expect((await cellsWithCoats(studio.db, ['tarn', 'pitch']))[0]).toMatchObject({
    coneKnown: 'read',
  });
  const kept = await studio.db('cell_coat').orderBy(['cell_id', 'seq']);
  await studio.db.transaction((trx) => rebuildCells(trx));
  expect(await studio.db('cell_coat').orderBy(['cell_id', 'seq'])).toEqual(kept);
  await studio.must('pieces.bin', { pieceIds: ids, binned: true });
  expect(await studio.db('cell_coat')).toEqual([]);
});

test('people writing of different zones of one piece at the same moment are all heard', async () => {
  for (let round = 0; round < 6; round++) {
    await clearPieces(studio.db);
    const { firingId, ids } = await fired(studio, pitchTarn());
    await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss' }));
    const zones = ['1|0-333|0-1000|all', '1|333-667|0-1000|all', '1|667-1000|0-1000|all'];
    const answers = await Promise.all(
      zones.map((zone) =>
        studio.act('opening.record', recordInput(firingId, ids, { surface: 'matt' }, { zone })),
      ),
    );
    expect(answers.every((answer) => answer.ok)).toBe(true);
    expect(
      (
        await boardCells(studio.db, {
          body: 'peat',
          cone: '?6',
          atmosphere: 'oxidation',
          slips: null,
        })
      ).map((cell) => cell.surface),
    ).toEqual(['matt', 'matt', 'matt']);
  }
});
