import { v7 } from 'uuid';
import { analyse, MATERIALS } from '@/core/chemistry';
import { entriesOf, listBuckets } from '@/data/buckets';
import { listMaterials, type Material } from '@/data/materials';
import { recipesOf } from '@/data/recipes';
import {
  advance,
  layer,
  makePieces,
  planFiring,
  testStudio,
  type TestStudio,
} from '../../../test-support/studio';
import { listCoatings } from '@/data/coatings';

let studio: TestStudio;
let materials: Material[];
const material = (name: string): Material => materials.find((one) => one.name === name)!;

beforeAll(async () => {
  studio = await testStudio();
  materials = await listMaterials(studio.db);
});
afterAll(() => studio.db.destroy());

const coatingId = async (slug: string): Promise<string> =>
  (await listCoatings(studio.db)).find((one) => one.slug === slug)!.id;

const textbook = () =>
  (
    [
      ['Potash feldspar', 40],
      ['Silica', 30],
      ['Whiting', 20],
      ['Kaolin', 10],
    ] as const
  ).map(([name, amount]) => ({
    materialId: material(name).id,
    amount,
    addition: false,
    supply: '',
  }));

const saved = async (slug: string, rest: object = {}) => ({
  coatingId: await coatingId(slug),
  versionId: studio.version(slug),
  changed: '',
  unit: 'percent',
  notes: '',
  lines: textbook(),
  ...rest,
});

const own = (rest: object = {}) => ({
  id: null,
  revision: 0,
  fields: {
    name: 'Harbour feldspar',
    analysis: { oxides: { SiO2: 67, Al2O3: 18, K2O: 11, Na2O: 3 }, loi: 0.5 },
    density: 2.57,
    hazards: ['silica dust'],
    stockG: 5000,
    pricePerKg: 2.4,
    notes: '',
    ...rest,
  },
});

const bucket = (rest: object = {}) => ({
  name: 'Tarn, blue lid',
  dryG: 5000,
  shape: 'round',
  widthMm: 300,
  depthMm: 350,
  litres: 7,
  advice: { dips: 2, seconds: 3, dryingSign: 'the sheen is gone', restirMinutes: 5, sg: 1.45 },
  ...rest,
});

test('the shipped materials are there, with their analyses and hazards as they were reckoned', () => {
  expect(materials).toHaveLength(MATERIALS.length);
  expect(material('Kaolin')).toMatchObject({ kind: 'theoretical', hazards: ['silica dust'] });
  expect(material('Ball clay').kind).toBe('typical');
  expect(material('Whiting').analysis!.loi).toBeCloseTo(43.97, 1);
});

test('a studio adds its own material, and cannot take a name twice', async () => {
  await studio.must('store.save-material', own());
  expect(await studio.act('store.save-material', own())).toMatchObject({
    ok: false,
    problem: { fields: { 'fields.name': 'This name is taken.' } },
  });
  materials = await listMaterials(studio.db);
  expect(material('Harbour feldspar')).toMatchObject({ kind: 'own', stockG: 5000 });
});

test('an analysis of more than 103 % or of nothing is questioned at its field', async () => {
  const of = (oxides: object, loi = 0) =>
    studio.act('store.save-material', own({ name: 'Odd', analysis: { oxides, loi } }));
  expect(await of({ SiO2: 90, Al2O3: 20 })).toMatchObject({
    problem: { fields: { 'fields.analysis': expect.stringContaining('103 %') as string } },
  });
  expect(await of({ SiO2: 0 })).toMatchObject({ ok: false });
  expect(await of({ SiO2: -1 })).toMatchObject({ ok: false });
  expect(await of({ Unobtainium: 4 })).toMatchObject({ ok: false });
});

test('changing the analysis of a shipped material makes it the studio’s own; a stale form is caught', async () => {
  const talc = material('Talc');
  const fields = { ...own().fields, name: 'Talc', hazards: [], stockG: null, pricePerKg: null };
  await studio.must('store.save-material', { id: talc.id, revision: talc.revision, fields });
  materials = await listMaterials(studio.db);
  expect(material('Talc')).toMatchObject({ kind: 'own', revision: talc.revision + 1 });
  expect(
    await studio.act('store.save-material', { id: talc.id, revision: talc.revision, fields }),
  ).toMatchObject({ ok: false, problem: { code: 'conflict' } });
});

test('a price alone leaves a shipped analysis what it is', async () => {
  const zinc = material('Zinc oxide');
  await studio.must('store.save-material', {
    id: zinc.id,
    revision: zinc.revision,
    fields: {
      name: zinc.name,
      analysis: zinc.analysis,
      density: zinc.density,
      hazards: zinc.hazards,
      stockG: 900,
      pricePerKg: 8,
      notes: '',
    },
  });
  materials = await listMaterials(studio.db);
  expect(material('Zinc oxide')).toMatchObject({ kind: 'theoretical', stockG: 900 });
});

test('a recipe is kept with its version and has its chemistry', async () => {
  await studio.must('store.save-recipe', await saved('tarn'));
  const recipe = (await recipesOf(studio.db, [studio.version('tarn')])).get(studio.version('tarn'))!;
  expect(recipe.lines.map(({ name, amount }) => [name, amount])).toEqual([
    ['Potash feldspar', 40],
    ['Silica', 30],
    ['Whiting', 20],
    ['Kaolin', 10],
  ]);
  const chemistry = analyse(
    recipe.lines.map((line) => ({ ...line, analysis: material(line.name).analysis })),
  )!;
  expect(chemistry.umf!.CaO).toBeCloseTo(0.736, 3);
});

test('recipes that sum to nothing, negative amounts and materials that are gone are refused', async () => {
  const with_ = async (lines: object[]) => studio.act('store.save-recipe', await saved('tarn', { lines }));
  expect(await with_([])).toMatchObject({ ok: false });
  expect(await with_(textbook().map((line) => ({ ...line, amount: 0 })))).toMatchObject({
    problem: { message: expect.stringContaining('sums to nothing') as string },
  });
  expect(await with_(textbook().map((line) => ({ ...line, amount: -2 })))).toMatchObject({
    ok: false,
  });
  expect(await with_([{ materialId: v7(), amount: 5, addition: false, supply: '' }])).toMatchObject({
    ok: false,
    problem: { code: 'not-found' },
  });
});

test('a version that has been fired cannot change; the next version can be made of it', async () => {
  await studio.must('store.save-recipe', await saved('pitch'));
  const { ids } = await makePieces(studio, [layer(studio.version('pitch'))]);
  const firingId = await planFiring(studio);
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await studio.must('store.save-recipe', await saved('pitch'));
  await advance(studio, firingId, 'firing');
  expect(await studio.act('store.save-recipe', await saved('pitch'))).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('has been fired and cannot change') as string },
  });
  const next = await studio.must<{ id: string; no: number }>(
    'store.save-recipe',
    await saved('pitch', { versionId: null, changed: 'less silica' }),
  );
  expect(next.no).toBe(2);
  expect((await recipesOf(studio.db, [next.id])).get(next.id)!.lines).toHaveLength(4);
});

test('a version of another coating is not written over', async () => {
  expect(
    await studio.act('store.save-recipe', await saved('tarn', { versionId: studio.version('pitch') })),
  ).toMatchObject({ ok: false, problem: { code: 'not-found' } });
});

test('a weighed batch becomes a bucket, and what was weighed leaves the shelf, not below nothing', async () => {
  const before = material('Zinc oxide').stockG!;
  const { id } = await studio.must<{ id: string }>('store.mix', {
    versionId: studio.version('tarn'),
    fields: bucket(),
    weighed: [
      { materialId: material('Zinc oxide').id, name: 'Zinc oxide', grams: 120 },
      { materialId: material('Harbour feldspar').id, name: 'Harbour feldspar', grams: 99_000 },
      { materialId: material('Silica').id, name: 'Silica', grams: 10 },
    ],
  });
  materials = await listMaterials(studio.db);
  expect(material('Zinc oxide').stockG).toBe(before - 120);
  expect(material('Harbour feldspar').stockG).toBe(0);
  expect(material('Silica').stockG).toBeNull();
  const [made] = await listBuckets(studio.db, { id });
  expect(made).toMatchObject({
    coatingName: 'Tarn',
    versionNo: 1,
    litres: 7,
    mixedBy: 'Tech',
    advice: { sg: 1.45 },
  });
});

test('a bucket’s log keeps measurements in order, and its volume follows', async () => {
  const { id } = await studio.must<{ id: string }>('store.mix', {
    versionId: studio.version('tarn'),
    fields: bucket({ name: 'Second' }),
    weighed: null,
  });
  const entry = (rest: object) => ({
    bucketId: id,
    entryId: v7(),
    kind: 'measured',
    sg: null,
    seconds: null,
    temperatureC: null,
    litres: null,
    grams: null,
    note: '',
    ...rest,
  });
  await studio.must('store.log-bucket', entry({ sg: 1.52, seconds: 4, temperatureC: 18 }));
  const wet = entry({ kind: 'water', litres: 7.5 });
  await studio.must('store.log-bucket', wet);
  const log = (await entriesOf(studio.db, [id])).get(id)!;
  expect(log.map(({ kind }) => kind)).toEqual(['measured', 'water']);
  expect(log[0]!.sg).toBeCloseTo(1.52, 5);
  expect((await listBuckets(studio.db, { id }))[0]!.litres).toBe(7.5);
  await studio.must('store.drop-bucket-entry', { entryId: wet.entryId });
  expect((await entriesOf(studio.db, [id])).get(id)).toHaveLength(1);

  const wrong = async (rest: object) =>
    (await studio.act('store.log-bucket', entry(rest))) as { problem: { message: string } };
  expect((await wrong({})).problem.message).toMatch(/SG or seconds/);
  expect((await wrong({ sg: 0.9 })).problem.message).toMatch(/Lighter than water/);
  expect((await wrong({ sg: 1450 })).problem.message).toMatch(/SG 1.45/);
  expect((await wrong({ sg: 1.4, temperatureC: 70 })).problem.message).toMatch(/°F/);

  await studio.must('store.empty-bucket', { id, emptied: true });
  expect((await wrong({ sg: 1.4 })).problem.message).toMatch(/was emptied/);
  expect((await listBuckets(studio.db)).some((one) => one.id === id)).toBe(false);
  await studio.must('store.empty-bucket', { id, emptied: false });
  expect((await listBuckets(studio.db)).some((one) => one.id === id)).toBe(true);
});

test('two people editing one bucket: the second is told', async () => {
  const { id } = await studio.must<{ id: string }>('store.mix', {
    versionId: studio.version('tarn'),
    fields: bucket({ name: 'Third' }),
    weighed: null,
  });
  await studio.must('store.save-bucket', { id, revision: 1, fields: bucket({ name: 'Renamed' }) });
  expect(
    await studio.act('store.save-bucket', { id, revision: 1, fields: bucket({ name: 'Mine' }) }),
  ).toMatchObject({ ok: false, problem: { code: 'conflict' } });
  expect((await listBuckets(studio.db, { id }))[0]!.name).toBe('Renamed');
});
