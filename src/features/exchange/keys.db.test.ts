/** Keys that are sure, likely or lost: from a spreadsheet to the chart, and of pictures. */
import { transact } from '@/data/database';
import { boardCells } from '@/data/board';
import { piecesOfCells } from '@/data/cell-pieces';
import { rebuildCells } from '@/data/cells';
import { loadPieces } from '@/data/pieces';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';
import { importOptions, type ImportOptionsInput } from './contracts';
import { matchPictures, openingOrder } from './pictures';
import { planImport } from './plan';
import { writeImport } from './write';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const CSV = `mark,body,coating 1,cone,atmosphere,kiln
K1,Peat,Pitch,6,oxidation,Marta
K2,Peat,Pitch?,6,oxidation,Marta
K3,Peat,,6,oxidation,Marta
K4,Peat,none,5-6,oxidation,Marta
K5,,Pitch,5-6,oxidation,Marta`;
const plan = (input: ImportOptionsInput) =>
  planImport(studio.db, new TextEncoder().encode(CSV), importOptions.parse(input));

test('rows that somebody should look at come back as written; what is mended is read anew', async () => {
  const before = await plan({});
  expect(before.counts).toMatchObject({ add: 4, refused: 1, likely: 1, lost: 1 });
  expect(before.written.map(({ line }) => line)).toEqual([4, 5, 6]);
  expect(before.written[1]!.cells).toEqual(['K4', 'Peat', 'none', '5-6', 'oxidation', 'Marta']);
  const after = await plan({
    mended: [
      { column: 3, line: null, from: '5-6', to: '6' },
      { column: 1, line: 6, from: '', to: 'Peat' },
    ],
  });
  expect(after.counts).toMatchObject({ add: 5, refused: 0, unknownCone: 0 });
  // What was mended stays in sight.
  expect(after.written.map(({ line }) => line)).toEqual([4, 5, 6]);
  expect(after.rows[4]).toMatchObject({ body: 'Peat', cone: '6', note: '', warnings: [] });
  expect(after.open).toEqual([]);
});

test('a likely key is on the chart and says so; a lost one stands on no cell, now and when all is summed up again', async () => {
  const options = importOptions.parse({ leaveOutRefused: true, conesShown: true });
  await transact(studio.db, async (trx) =>
    writeImport(
      trx,
      await planImport(trx, new TextEncoder().encode(CSV), options),
      options,
      'keys.csv',
      studio.technician.id,
      new Date(),
    ),
  );
  const pieces = await loadPieces(studio.db, {});
  expect(pieces.map(({ mark, keyKnown }) => [mark, keyKnown]).sort()).toEqual([
    ['K1', 'sure'],
    ['K2', 'likely'],
    ['K3', 'lost'],
    ['K4', 'sure'],
  ]);
  for (const again of [false, true]) {
    if (again) await rebuildCells(studio.db);
    const cells = await boardCells(studio.db, {
      body: 'peat',
      cone: '6',
      atmosphere: 'oxidation',
      slips: '',
    });
    expect(cells.map(({ pieces }) => pieces)).toEqual([2]);
    const seen = await piecesOfCells(
      studio.db,
      cells.map(({ id }) => id),
    );
    expect(seen.map(({ mark, keyKnown }) => [mark, keyKnown]).sort()).toEqual([
      ['K1', 'sure'],
      ['K2', 'likely'],
    ]);
  }
});

test('what a piece bears is put right as sure or as likely', async () => {
  const [lost] = (await loadPieces(studio.db, {})).filter(({ mark }) => mark === 'K3');
  const correct = (likely: boolean) =>
    studio.must('pieces.correct-layers', { pieceIds: [lost!.id], layers: [], likely });
  const key = async () =>
    (await studio.db('piece').where({ id: lost!.id }).first('key_known')).key_known as string;
  await correct(true);
  expect(await key()).toBe('likely');
  await correct(false);
  expect(await key()).toBe('sure');
});

test('a picture’s key is its code, a mark that one piece bears, or lost with whose it may be', async () => {
  const [one] = await loadPieces(studio.db, {});
  await studio.db('piece').whereIn('mark', ['K3', 'K4']).update({ mark: 'double' });
  const found = await matchPictures(studio.db, [`${one!.code}.jpg`, 'K2 rim.jpg', 'double.jpg', 'x.jpg']);
  expect(found.map(({ key, why, maybe }) => [key, why, maybe.length])).toEqual([
    ['sure', `code ${one!.code}`, 0],
    ['likely', 'mark “K2”', 0],
    ['lost', '2 pieces bear the mark “double”', 2],
    ['lost', 'no code or mark in its name', 0],
  ]);
});

test('a firing’s pieces come as they stood, and once half of them were looked at, as they were looked at', async () => {
  const load = await fired(studio, [layer(studio.version('pitch'), 0, 1)], { count: 4 });
  const order = async (): Promise<number[]> =>
    (await openingOrder(studio.db, load.firingId)).map(({ id }) => load.ids.indexOf(id));
  await studio.db('placement').where({ piece_id: load.ids[0]! }).update({ shelf: 3 });
  const stood = await order();
  expect([...stood].sort()).toEqual([0, 1, 2, 3]);
  expect(stood.at(-1)).toBe(0);
  await studio.must('opening.record', recordInput(load.firingId, [load.ids[0]!], { surface: 'gloss' }));
  expect(await order()).toEqual(stood);
  await studio.must('opening.record', recordInput(load.firingId, [load.ids[2]!], { surface: 'gloss' }));
  expect((await order()).slice(0, 2)).toEqual([0, 2]);
  expect(await openingOrder(studio.db, '0192c7cd-5baa-71a4-a619-90db87e81009')).toEqual([]);
});
