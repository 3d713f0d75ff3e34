import { Ajv2020 } from 'ajv/dist/2020.js';
import { transact } from '@/data/database';
import { boardCells } from '@/data/board';
import { rebuildCells } from '@/data/cells';
import {
  fired,
  layer,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import { documentJsonSchema, exportDocument, exportLines } from './document';
import { matchPictures } from './pictures';
import { planImport } from './plan';
import { importOptions, type ImportOptionsInput } from './schema';
import { writeImport, type Imported } from './write';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio('test_exchange');
});
afterAll(() => studio.db.destroy());

const options = (input: ImportOptionsInput = {}) => importOptions.parse(input);
const bytes = (text: string) => new TextEncoder().encode(text);
const plan = (text: string, input: ImportOptionsInput = {}) =>
  planImport(studio.db, bytes(text), options(input));
const bring = (text: string, input: ImportOptionsInput): Promise<Imported> =>
  transact(studio.db, async (trx) =>
    writeImport(
      trx,
      await planImport(trx, bytes(text), options(input)),
      options(input),
      'past.csv',
      studio.technician.id,
      new Date(),
    ),
  );

const CSV = `mark,body,coating 1,coats 1,coating 2,cone,atmosphere,date,kiln,surface,defects
A1,Peat,Pitch,2,Tarn,6,oxidation,2024-03-05,Marta,gloss,pits 2
A2,peat,pitch,2,TARN,6,ox,2024-03-05,marta,gloss,
A3,Peat,Pitch,1,,,,,Marta,,
A4,Peat,Nettle,1,,6,oxidation,2024-03-05,Marta,,
A5,,Pitch,1,,6,oxidation,2024-03-05,Marta,,
A6,Peat,Pitch,1,,66,oxidation,2024-03-05,Marta,,`;

test('the dry run says row by row what would come, what is unknown and what is refused, and changes nothing', async () => {
  const found = await plan(CSV);
  expect(found.counts).toMatchObject({
    add: 4,
    refused: 2,
    unknownCone: 1,
    unknownAtmosphere: 1,
    firings: 2,
  });
  expect(found.rows.map((row) => row.errors.length)).toEqual([0, 0, 0, 0, 1, 1]);
  expect(found.rows[5]?.errors[0]).toContain('There is no cone “66”');
  expect(found.coatings.map((one) => [one.name, one.id !== null])).toEqual([
    ['Pitch', true],
    ['Tarn', true],
    ['Nettle', false],
  ]);
  expect(found.open).toEqual([
    expect.stringContaining('“Nettle”'),
    expect.stringContaining('2 rows cannot be taken'),
  ]);
  expect(await studio.db('piece').count({ n: '*' }).first()).toEqual({ n: 0 });
});

test('then all of it comes, unknown stays unknown, and its cells equal the rebuilt ones', async () => {
  const made = await bring(CSV, { coatings: { Nettle: 'new' }, leaveOutRefused: true });
  expect(made).toEqual({ pieces: 4, firings: 2, bodies: 0, coatings: 1, kilns: 0 });
  const cells = await boardCells(studio.db, {
    body: 'peat',
    cone: '6',
    atmosphere: 'oxidation',
    slips: '',
  });
  expect(cells.find((cell) => cell.over === 'tarn')).toMatchObject({
    pieces: 2,
    standing: 'contradictory',
    stackKey: 'pitch#1 dip×2 + tarn#1 dip×1',
  });
  expect(
    await boardCells(studio.db, {
      body: 'peat',
      cone: 'unknown',
      atmosphere: 'unknown',
      slips: '',
    }),
  ).toHaveLength(1);
  const kept = await studio.db('cell').orderBy('id');
  await rebuildCells(studio.db);
  expect(await studio.db('cell').orderBy('id')).toEqual(kept);
});

test('a write that fails in the middle leaves nothing behind', async () => {
  const before = await studio.db('piece').count({ n: '*' }).first();
  const text = 'mark,body,coating 1,cone,kiln\nB1,Otter,Pitch,6,Marta\n';
  await expect(
    transact(studio.db, async (trx) => {
      const opts = options({ bodies: { Otter: 'new' } });
      await writeImport(
        trx,
        await planImport(trx, bytes(text), opts),
        opts,
        'x',
        studio.technician.id,
        new Date(),
      );
      throw new Error('power cut');
    }),
  ).rejects.toThrow('power cut');
  expect(await studio.db('piece').count({ n: '*' }).first()).toEqual(before);
  expect(await studio.db('body').where({ name: 'Otter' }).first()).toBeUndefined();
});

test('pictures find their piece by code or mark and say why not', async () => {
  const row = await studio.db('piece').where({ mark: 'A1' }).first('id', 'code');
  const found = await matchPictures(studio.db, [
    `IMG ${row.code as string} front.jpg`,
    'a1.png',
    'sunset.jpg',
  ]);
  expect(found.map((one) => one.pieceId)).toEqual([row.id, row.id, null]);
  expect(found[0]?.firingId).not.toBeNull();
  expect(found[2]?.why).toContain('no code or mark');
});

test('the JSON document fits the schema that ships, and CSV carries header and units', async () => {
  const { firingId, ids } = await fired(studio, [
    layer(studio.version('tarn'), 0, 1, { driedBefore: true }),
  ]);
  await studio.must(
    'opening.record',
    recordInput(firingId, ids, { surface: 'gloss', note: '=1+1' }),
  );
  const document = JSON.parse(
    JSON.stringify(await exportDocument(studio.db, { name: 'Test', timeZone: 'UTC' }, new Date())),
  ) as { piece: object[] };
  const ajv = new Ajv2020({ strict: false, validateFormats: false });
  const validate = ajv.compile(documentJsonSchema() as object);
  expect(validate(document) ? [] : validate.errors).toEqual([]);
  expect(validate({ ...document, piece: [{ id: 3 }] })).toBe(false);
  expect(JSON.stringify(document)).not.toContain('password');
  const lines = await exportLines(studio.db, 'observation');
  expect(lines[0]).toContain('movement_mm');
  expect(lines[1]?.[lines[0]!.indexOf('movement_mm')]).toBe('mm');
  expect(lines.some((line) => line.includes("'=1+1"))).toBe(true);
});
