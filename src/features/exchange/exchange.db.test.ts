import { Ajv2020 } from 'ajv/dist/2020.js';
import { transact } from '@/data/database';
import { boardCells } from '@/data/board';
import { rebuildJourneys } from '@/data/journey';
import { rebuildCells } from '@/data/cells';
import { nameOf } from '../../../test-support/database';
import {
  clearPieces,
  fired,
  layer,
  makeInput,
  recordInput,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import { strFromU8, unzipSync } from 'fflate';
import { COLUMNS_LEFT_OUT, TABLES_LEFT_OUT, exportCatalogue, wholeCatalogue } from '../../data/export';
import { documentJsonSchema, documentText, tableLines } from './document';
import { csvZipBytes } from './download';
import { matchPictures } from './pictures';
import { planImport } from './plan';
import { writeImport } from './write';
import { importOptions, type ImportOptionsInput, type Imported } from './contracts';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const options = (input: ImportOptionsInput = {}) => importOptions.parse(input);
const bytes = (text: string) => new TextEncoder().encode(text);
const plan = (text: string, input: ImportOptionsInput = {}) =>
  planImport(studio.db, bytes(text), options(input));
const bring = (text: string, input: ImportOptionsInput): Promise<Imported> =>
  transact(studio.db, async (trx) => {
    const plan = await planImport(trx, bytes(text), options(input));
    return (await writeImport(trx, plan, options(input), 'past.csv', studio.technician.id, new Date())).made;
  });

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
    add: 5,
    refused: 1,
    unknownCone: 2,
    unknownAtmosphere: 1,
    firings: 3,
  });
  expect(found.rows.map((row) => row.errors.length)).toEqual([0, 0, 0, 0, 1, 0]);
  // A cone that there is none of stays unknown, in words in the note: the row is not lost for it.
  expect(found.rows[5]).toMatchObject({ cone: null, note: 'Cone as written: 66' });
  expect(found.rows[5]?.warnings[0]).toContain('There is no cone “66”');
  expect(found.coatings.map((one) => [one.name, one.id !== null])).toEqual([
    ['Pitch', true],
    ['Tarn', true],
    ['Nettle', false],
  ]);
  expect(found.open).toEqual([
    expect.stringContaining('“Nettle”'),
    expect.stringContaining('1 row cannot be taken'),
  ]);
  expect(await studio.db('piece').count({ n: '*' }).first()).toEqual({ n: 0 });
});

test('then all of it comes, unknown stays unknown, and its cells equal the rebuilt ones', async () => {
  const made = await bring(CSV, {
    coatings: { Nettle: 'new' },
    leaveOutRefused: true,
    conesShown: true,
  });
  expect(made.coatingIds).toHaveLength(1);
  expect(made).toMatchObject({ pieces: 5, firings: 3, bodies: 0, coatings: 1, kilns: 0 });
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

test('what came in fired waits for nothing, but a refire that was wanted', async () => {
  const waits = async () =>
    studio.db('piece').whereIn('mark', ['R1', 'R2', 'R3']).orderBy('mark').pluck('waiting_for');
  await bring(
    `mark,body,coating 1,cone,atmosphere,kiln,verdict
R1,Peat,Pitch,6,oxidation,Marta,keep
R2,Peat,Pitch,6,oxidation,Marta,refire
R3,Peat,Pitch,6,oxidation,Marta,`,
    {},
  );
  expect(await waits()).toEqual([null, 'refire', null]);
  await rebuildJourneys(studio.db);
  expect(await waits()).toEqual([null, 'refire', null]);
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
  const { firingId, ids } = await fired(studio, [layer(studio.version('tarn'), 0, 1, { driedBefore: true })]);
  await studio.must('opening.record', recordInput(firingId, ids, { surface: 'gloss', note: '=1+1' }));
  const document = JSON.parse(await all(documentText(studio.db, new Date()))) as {
    piece: object[];
    studio: object[];
  };
  const ajv = new Ajv2020({ strict: false, validateFormats: false });
  const validate = ajv.compile((await documentJsonSchema(studio.db)) as object);
  expect(validate(document) ? [] : validate.errors).toEqual([]);
  expect(validate({ ...document, piece: [{ id: 3 }] })).toBe(false);
  expect(JSON.stringify(document)).not.toContain('password');
  expect(document.studio).toMatchObject([{ mass_unit: 'g', crack_at_c: 100 }]);
  const lines: unknown[][] = [];
  for await (const { table, line } of tableLines(studio.db)) if (table === 'observation') lines.push(line);
  expect(lines[0]).toContain('movement_mm');
  expect(lines[1]?.[lines[0]!.indexOf('movement_mm')]).toBe('mm');
  expect(lines.some((line) => line.includes("'=1+1"))).toBe(true);
});

async function all(texts: AsyncIterable<string>): Promise<string> {
  let whole = '';
  for await (const text of texts) whole += text;
  return whole;
}

test('nothing is forgotten: every table and column leaves, or is named with its reason', async () => {
  const catalogue = await wholeCatalogue(studio.db);
  const left = catalogue.filter(({ why }) => why !== null);
  for (const { why } of left) expect(why).toMatch(/[a-z]{3}/);
  // Every reason is still about something that exists.
  const tables = new Set(catalogue.map(({ table }) => table));
  const columns = new Set(catalogue.map(({ column }) => column.name));
  for (const table of Object.keys(TABLES_LEFT_OUT)) expect(tables).toContain(table);
  for (const column of Object.keys(COLUMNS_LEFT_OUT)) expect(columns).toContain(column);
  // What was once forgotten leaves now.
  const leaves = catalogue
    .filter(({ why }) => why === null)
    .map(({ table, column }) => `${table}.${column.name}`);
  for (const place of [
    'firing.reached_bound',
    'coating.trial',
    'witness_cone.read_at',
    'stray_reading.at',
    'studio.mass_unit',
    'observation.id',
    'reading.celsius',
  ])
    expect(leaves).toContain(place);
  // Nothing that could let somebody in, and nobody’s name.
  for (const place of leaves) expect(place).not.toMatch(/hash|password|token|login|person/);
  // What a later migration adds leaves by itself; what cannot be written down is not passed over.
  await studio.db.raw('ALTER TABLE body ADD COLUMN porosity FLOAT NULL');
  expect((await exportCatalogue(studio.db)).find(({ name }) => name === 'body')?.columns).toContainEqual({
    name: 'porosity',
    kind: 'number',
    nullable: true,
  });
  await studio.db.raw('ALTER TABLE body MODIFY COLUMN porosity BLOB NULL');
  await expect(exportCatalogue(studio.db)).rejects.toThrow('body.porosity');
  await studio.db.raw('ALTER TABLE body DROP COLUMN porosity');
});

test('tables leave in an order in which they can be read back', async () => {
  const order = (await exportCatalogue(studio.db)).map(({ name }) => name);
  for (const [first, then] of [
    ['body', 'piece'],
    ['coating', 'coating_version'],
    ['coating_version', 'layer'],
    ['piece', 'observation'],
    ['observation', 'observation_sign'],
    ['kiln', 'firing'],
    ['firing', 'reading'],
  ])
    expect(order.indexOf(first!)).toBeLessThan(order.indexOf(then!));
});

test('the document is of one moment, and nothing stays open when whoever reads goes away', async () => {
  const texts = documentText(studio.db, new Date());
  await texts.next();
  await studio.must('tests.make', makeInput(studio, [], { mark: 'late' }));
  const late = Number((await studio.db('piece').count({ n: '*' }).first())?.n);
  const document = JSON.parse(`{"format":0${(await all(texts)).replace(/^/, '')}`) as {
    piece: object[];
  };
  expect(document.piece).toHaveLength(late - 1);
  const cut = documentText(studio.db, new Date());
  await cut.next();
  await cut.return(undefined);
  // Of this database: other workers of the tests have theirs on the same server.
  const open = await studio
    .db('information_schema.INNODB_TRX as trx')
    .join('information_schema.PROCESSLIST as line', 'line.ID', 'trx.trx_mysql_thread_id')
    .where('line.DB', nameOf(studio.db))
    .count({ n: '*' })
    .first();
  expect(Number(open?.n)).toBe(0);
});

test('the tables as CSV in a zip hold the same', async () => {
  const parts: Uint8Array[] = [];
  for await (const part of csvZipBytes(studio.db)) parts.push(part);
  const files = unzipSync(new Uint8Array(Buffer.concat(parts)));
  const bodies = strFromU8(files['body.csv']!).trim().split('\r\n');
  const kept = await studio.db('body').count({ n: '*' }).first();
  expect(bodies).toHaveLength(2 + Number(kept?.n));
  expect(bodies[0]).toContain('iron_bearing');
  expect(Object.keys(files).sort()).toEqual(
    (await exportCatalogue(studio.db)).map(({ name }) => `${name}.csv`).sort(),
  );
});

test('a cone that was only intended stands under its own heading, one that cones showed is read', async () => {
  await clearPieces(studio.db);
  const text = 'mark,body,coating 1,cone,atmosphere,kiln,surface\nI1,Peat,Pitch,6,oxidation,Marta,gloss\n';
  await bring(text, {});
  await bring(text.replace('I1', 'I2'), { conesShown: true });
  const cells = await studio.db('cell').orderBy('cone').select('cone', 'known');
  expect(cells).toEqual([
    { cone: '6', known: { read: 1 } },
    { cone: '?6', known: { intended: 1 } },
  ]);
  const kept = await studio.db('cell').orderBy('id');
  await rebuildCells(studio.db);
  expect(await studio.db('cell').orderBy('id')).toEqual(kept);
});
