import { inflateSync } from 'node:zlib';
import { listCoatings } from '@/data/catalogue';
import { listMaterials } from '@/data/materials';
import { listPieces, loadPieces } from '@/data/pieces';
import { layersOf } from '@/data/layers';
import { listQuestions, tilesOf } from '@/data/questions';
import { recipesOf } from '@/data/recipes';
import { bodyTestsOf, listFormCards, tileStock } from '@/data/stock';
import { advance, planFiring, recordInput, testStudio, type TestStudio } from '../../../test-support/studio'; // prettier-ignore
import { likePiece, makeChoices, versionsOn } from '../tests/server';
import { askChoices, questionData, ripe, sheetPdf } from './server';

let studio: TestStudio;
let material: (name: string) => string;

const write = async (slug: string, lines: [string, number][]): Promise<void> => {
  const coating = (await listCoatings(studio.db)).find((one) => one.slug === slug)!;
  await studio.must('store.save-recipe', {
    coatingId: coating.id,
    versionId: coating.versions[0]!.id,
    changed: '',
    unit: 'percent',
    notes: '',
    lines: lines.map(([name, amount]) => ({
      materialId: material(name),
      amount,
      addition: false,
      supply: '',
    })),
  });
};

beforeAll(async () => {
  studio = await testStudio('test_questions');
  const materials = await listMaterials(studio.db);
  material = (name) => materials.find((one) => one.name === name)!.id;
  await write('tarn', [
    ['Potash feldspar', 40],
    ['Silica', 30],
    ['Whiting', 20],
    ['Kaolin', 10],
  ]);
  await write('pitch', [
    ['Soda feldspar', 70],
    ['Whiting', 20],
    ['Kaolin', 10],
  ]);
});
afterAll(() => studio.db.destroy());

const common = () => ({
  bodies: [studio.body],
  repeats: 1,
  controls: true,
  apply: { method: 'dip', coats: 1, weight: 'normal', seconds: 3 },
});

const asking = (design: object | null, rest: object = {}) => ({
  fields: { text: 'Does silica cure it?', varied: 'silica', held: 'all else', expected: 'yes' },
  design,
  tile: {
    form: 'L tile',
    heightMm: 90,
    faces: ['bare'],
    waitingFor: 'glaze',
    wantedCone: '6',
    wantedAtmosphere: 'oxidation',
  },
  sheet: { dryG: 100, cupMl: 60, measureMl: 1, resolutionG: 0.1 },
  shelves: 2,
  seed: 42,
  ...rest,
});

const crazing = () => ({
  ...common(),
  kind: 'crazing',
  base: studio.version('tarn'),
  steps: 3,
  silica: material('Silica'),
  kaolin: material('Kaolin'),
});

type Asked = { id: string; no: number; codes: string[] };

test('a crazing ladder makes its tiles, a test coating with a version a step, and their recipes', async () => {
  const asked = await studio.must<Asked>('questions.ask', asking(crazing()));
  expect(asked.codes).toHaveLength(4);
  const tiles = await tilesOf(studio.db, asked.id);
  expect(tiles.map(({ label, role }) => [label, role])).toEqual([
    ['as it is', 'control'],
    ['+ 1.25 % Silica, + 1 % Kaolin', 'test'],
    ['+ 2.5 % Silica, + 2 % Kaolin', 'test'],
    ['+ 3.75 % Silica, + 3 % Kaolin', 'test'],
  ]);
  expect(tiles[0]!.factors).toEqual({ base: 'Tarn', step: '0', body: 'Peat' });
  const coating = (await listCoatings(studio.db)).find(
    ({ name }) => name === `Question ${asked.no}`,
  )!;
  expect(coating.versions).toHaveLength(4);
  const recipes = await recipesOf(
    studio.db,
    coating.versions.map(({ id }) => id),
  );
  const third = recipes.get(coating.versions[2]!.id)!;
  const silica = third.lines.filter(({ name }) => name === 'Silica');
  expect(silica.map(({ amount, addition }) => [amount, addition])).toEqual([
    [30, false],
    [2.5, true],
  ]);
  const pieces = await listPieces(studio.db, { codes: asked.codes });
  expect(pieces.map(({ mark }) => mark).sort()).toEqual(
    [1, 2, 3, 4].map((no) => `${asked.no}-${no}`),
  );
  const layers = await layersOf(studio.db, [tiles[2]!.pieceId], ['done']);
  expect(layers.get(tiles[2]!.pieceId)![0]).toMatchObject({
    coat: { version: 3 },
    seconds: 3,
  });
});

test('its weigh-out sheet reproduces every step by adding only', async () => {
  const { no } = (await listQuestions(studio.db))[0]!;
  const data = (await questionData(studio.db, no))!;
  const weigh = data.sheets.find(({ key }) => key === 'weigh')!;
  expect(weigh.cautions[0]).toMatch(/respirator/);
  // 4 × 100 g of base: 160 of feldspar; then silica for 300 g of base by 1.25 % is 3.75 g.
  expect(weigh.groups[0]!.rows[0]).toEqual(['Potash feldspar', '', '160 g']);
  const flat = weigh.groups[1]!.rows.map(([what, , weight]) => `${what}: ${weight}`);
  expect(flat).toContain('Add Silica to the pot of 300 g base: 3.75 g');
  expect(flat.filter((line) => line.startsWith('Add'))).toHaveLength(6);
  expect(data.sheets.map(({ key }) => key)).toEqual(['weigh', 'glaze', 'labels']);
});

test('one more like a tile of a ladder has that tile’s own mix, and blends are not offered elsewhere', async () => {
  const { id } = (await listQuestions(studio.db))[0]!;
  const third = (await tilesOf(studio.db, id))[2]!;
  const [piece] = await loadPieces(studio.db, { codes: [third.code] });
  const start = likePiece(piece!, await makeChoices(studio.db, versionsOn(piece!)));
  expect(start.layers!.map((layer) => layer.coatingVersionId)).toEqual(
    piece!.done.map((layer) => layer.coatingVersionId),
  );
  const names = (await makeChoices(studio.db)).coatings.map(({ name }) => name);
  expect(names).toEqual(['Chalk Slip', 'Pitch', 'Tarn']);
  expect((await askChoices(studio.db, new Date())).coatings.map(({ name }) => name)).toEqual([
    'Pitch',
    'Tarn',
  ]);
});

test('what the shelf has too little of is said on the sheet', async () => {
  const kaolin = (await listMaterials(studio.db)).find(({ name }) => name === 'Kaolin')!;
  const keep = (stockG: number | null, revision: number) =>
    studio.must('store.save-material', {
      id: kaolin.id,
      revision,
      fields: {
        name: kaolin.name,
        analysis: kaolin.analysis,
        density: kaolin.density,
        hazards: kaolin.hazards,
        stockG,
        pricePerKg: null,
        notes: '',
      },
    });
  await keep(30, kaolin.revision);
  const { no } = (await listQuestions(studio.db))[0]!;
  // 10 % of 400 g in the base, and 1 + 2 + 3 g added.
  expect((await questionData(studio.db, no))!.sheets[0]!.lead).toContain(
    'Not enough: Kaolin: 46 g wanted, 30 g on the shelf.',
  );
  await keep(null, kaolin.revision + 1);
  expect((await questionData(studio.db, no))!.sheets[0]!.lead).not.toContain('Not enough');
});

test('a grid of 35 has a cup table in which every cup is full, and a PDF of all its sheets', async () => {
  await studio.must('store.save-coating', {
    id: null,
    revision: 0,
    fields: {
      name: 'Gull',
      kind: 'glaze',
      coneLow: null,
      coneHigh: null,
      colour: '#eeeeee',
      atmosphereNotes: '',
      whatItDoes: '',
      cautions: '',
    },
  });
  await studio.must('store.save-coating', {
    id: null,
    revision: 0,
    fields: {
      name: 'Ember',
      kind: 'glaze',
      coneLow: null,
      coneHigh: null,
      colour: '#aa3322',
      atmosphereNotes: '',
      whatItDoes: '',
      cautions: '',
    },
  });
  await write('gull', [
    ['Potash feldspar', 60],
    ['Barium carbonate', 40],
  ]);
  const coatings = await listCoatings(studio.db);
  const version = (slug: string): string =>
    coatings.find((one) => one.slug === slug)!.versions[0]!.id;
  const asked = await studio.must<Asked>(
    'questions.ask',
    asking({
      ...common(),
      kind: 'grid',
      corners: [version('tarn'), version('pitch'), version('gull'), version('ember')],
      rows: 5,
      columns: 7,
    }),
  );
  expect(asked.codes).toHaveLength(35);
  const data = (await questionData(studio.db, asked.no))!;
  const [weigh, cups, glaze, labels] = data.sheets;
  expect([weigh, cups, glaze, labels].map((sheet) => sheet!.key)).toEqual([
    'weigh',
    'cups',
    'glaze',
    'labels',
  ]);
  for (const row of cups!.groups[0]!.rows) {
    const ml = row.slice(1).map((cell) => (cell === '–' ? 0 : Number.parseFloat(cell)));
    expect(ml.reduce((sum, one) => sum + one, 0)).toBeCloseTo(60, 9);
  }
  expect(weigh!.groups[3]!.title).toMatch(/Ember has no recipe yet/);
  expect(weigh!.cautions.join(' ')).toMatch(/Barium carbonate: Poisonous/);
  expect(labels!.groups[0]!.rows).toHaveLength(35);
  const places = labels!.groups[0]!.rows.map((row) => row[4]);
  expect(new Set(places).size).toBe(35);
  // Drawn at random with a stored seed: not in the order of the board, and the same every time.
  expect(places).not.toEqual([...places].sort());
  expect((await questionData(studio.db, asked.no))!.sheets[3]).toEqual(labels);

  const pdf = await sheetPdf('Question', data.sheets);
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  const pages = pdf.toString('latin1').match(/\/Type \/Page\b/g)!;
  expect(pages.length).toBeGreaterThanOrEqual(4);
  expect(textOf(pdf)).toContain('Cups by volume');
});

/** The words of a PDF: its streams unpacked, its text operators read. */
function textOf(pdf: Buffer): string {
  const words: string[] = [];
  const raw = pdf.toString('latin1');
  for (const match of raw.matchAll(/stream\n([\s\S]*?)\nendstream/g)) {
    let content: string;
    try {
      content = inflateSync(Buffer.from(match[1]!, 'latin1')).toString('latin1');
    } catch {
      continue;
    }
    for (const line of content.matchAll(/\[(.*?)\] TJ/g))
      words.push(
        [...line[1]!.matchAll(/<([0-9a-f]+)>/g)]
          .map(([, hex]) => Buffer.from(hex!, 'hex').toString('latin1'))
          .join(''),
      );
  }
  return words.join('\n');
}

test('results fill in as tiles are written up, and a question whose tiles are all out asks to be concluded', async () => {
  const asked = await studio.must<Asked>(
    'questions.ask',
    asking({ ...common(), kind: 'coats', coating: studio.version('pitch'), coats: [1, 2] }),
  );
  const tiles = await tilesOf(studio.db, asked.id);
  const firingId = await planFiring(studio);
  const ids = tiles.map(({ pieceId }) => pieceId);
  await studio.must('kilns.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId);
  const of = async () => (await listQuestions(studio.db, asked.id))[0]!;
  expect(ripe(await of())).toBe(false);
  await studio.must(
    'opening.record',
    recordInput(firingId, [ids[0]!], { rating: 4, verdict: 'keep' }),
  );
  expect(await of()).toMatchObject({ tiles: 2, seen: 1 });
  await studio.must('opening.record', recordInput(firingId, [ids[1]!], { rating: 2 }));
  expect(ripe(await of())).toBe(true);
  const after = await tilesOf(studio.db, asked.id);
  expect(after.map(({ rating, seen, fired }) => [rating, seen, fired])).toEqual([
    [4, true, true],
    [2, true, true],
  ]);

  const conclusion = {
    said: 'One coat is enough.',
    asExpected: 'otherwise',
    counts: { colour: 'the same', 'mix a bucket': 'yes' },
    nextChange: 'try two seconds',
  };
  await studio.must('questions.conclude', { id: asked.id, conclusion });
  expect(await of()).toMatchObject({ conclusion, concludedBy: 'Tech' });
  expect(ripe(await of())).toBe(false);
  await studio.must('questions.conclude', { id: asked.id, conclusion: null });
  expect((await of()).conclusion).toBeNull();
});

test('a question without tiles can be asked and changed; a stale change is caught', async () => {
  const { id } = await studio.must<Asked>('questions.ask', asking(null));
  const fields = { text: 'Why?', varied: '', held: '', expected: '', targetPieceId: null };
  await studio.must('questions.edit', { id, revision: 1, fields });
  expect((await listQuestions(studio.db, id))[0]).toMatchObject({ text: 'Why?', design: null });
  expect(await studio.act('questions.edit', { id, revision: 1, fields })).toMatchObject({
    ok: false,
    problem: { code: 'conflict' },
  });
});

test('designs that cannot be made change nothing', async () => {
  const before = (await listQuestions(studio.db)).length;
  const same = studio.version('tarn');
  const wrong = [
    { ...common(), kind: 'line', corners: [same, same], points: 5 },
    { ...crazing(), bodies: [] },
    { ...crazing(), base: '0193f7a0-0000-7000-8000-000000000001', kind: 'nonsense' },
    {
      ...common(),
      kind: 'coats',
      coating: '0193f7a0-0000-7000-8000-000000000001',
      coats: [1],
    },
  ];
  for (const design of wrong)
    expect(await studio.act('questions.ask', asking(design))).toMatchObject({ ok: false });
  expect((await listQuestions(studio.db)).length).toBe(before);
});

test('blanks are counted by what is made, used and broken, and a design takes from them', async () => {
  const kind = { bodyId: studio.body, form: 'L tile', faces: 'bare' };
  const move = (number: number, why: string) =>
    studio.act('questions.move-tiles', { ...kind, number, why });
  await move(10, 'made');
  await move(2, 'broken');
  const stock = async () =>
    (await tileStock(studio.db, new Date())).find((one) => one.form === 'L tile');
  expect(await stock()).toMatchObject({ number: 8, usedLately: 2 });
  expect(await move(9, 'used')).toMatchObject({
    ok: false,
    problem: { fields: { number: 'Only 8 on record.' } },
  });
  await studio.must('questions.ask', asking(crazing()));
  expect(await stock()).toMatchObject({ number: 4, usedLately: 6 });
  await move(20, 'counted');
  expect((await stock())!.number).toBe(20);
  expect((await askChoices(studio.db, new Date())).stock).toHaveLength(1);
});

test('what is measured of a body is kept with it', async () => {
  await studio.must('questions.test-body', {
    bodyId: studio.body,
    kind: 'absorption',
    value: 2.1,
    cone: '6',
    note: 'boiled two hours',
  });
  expect(await bodyTestsOf(studio.db, studio.body)).toMatchObject([
    { kind: 'absorption', value: 2.1, cone: '6', by: 'Tech' },
  ]);
  expect(
    await studio.act('questions.test-body', {
      bodyId: studio.body,
      kind: 'absorption',
      value: 2,
      cone: '99',
      note: '',
    }),
  ).toMatchObject({ ok: false });
});

test('a form card is kept, written over by its id, and taken out; odd figures are questioned', async () => {
  const card = {
    id: '0193f7a0-0000-7000-8000-0000000000aa',
    name: 'Mug',
    bodyId: studio.body,
    clayG: 570,
    wetHeightMm: 115,
    wetWidthMm: 90,
    shrinkage: 0.12,
    fits: 'saucer',
  };
  await studio.must('questions.save-form-card', card);
  await studio.must('questions.save-form-card', { ...card, clayG: 600 });
  expect(await listFormCards(studio.db)).toMatchObject([
    { name: 'Mug', clayG: 600, fits: 'saucer' },
  ]);
  expect(await studio.act('questions.save-form-card', { ...card, shrinkage: 12 })).toMatchObject({
    ok: false,
    problem: { fields: { shrinkage: expect.stringContaining('30 %') as string } },
  });
  await studio.must('questions.drop-form-card', { id: card.id });
  expect(await listFormCards(studio.db)).toEqual([]);
});
