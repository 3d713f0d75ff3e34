import { facesOfForm } from '@/core/designs';
import { listCoatings } from '@/data/coatings';
import { listMaterials } from '@/data/materials';
import { listPieces, loadPieces } from '@/data/pieces';
import { layersOf } from '@/data/layers';
import { listQuestions, tilesOf } from '@/data/questions';
import { recipesOf } from '@/data/recipes';
import { advance, planFiring, recordInput, type TestStudio } from '../../../test-support/studio';
import { textOf } from '../../../test-support/pdf';
import { asking, questionStudio, type Asked } from '../../../test-support/questions';
import { likePiece } from '../tests/server';
import { makeChoices, versionsOn } from '../pieces/server';
import { askChoices, questionData, ripe, sheetPdf } from './server';

let room: Awaited<ReturnType<typeof questionStudio>>;
let studio: TestStudio;
beforeAll(async () => {
  room = await questionStudio();
  ({ studio } = room);
});
afterAll(() => studio.db.destroy());

/** Fires all tiles of a question. */
async function fireTiles(id: string): Promise<{ firingId: string; ids: string[] }> {
  const tiles = await tilesOf(studio.db, id);
  const firingId = await planFiring(studio);
  const ids = tiles.map(({ pieceId }) => pieceId);
  await studio.must('loading.place', { firingId, pieceIds: ids, shelf: 1 });
  await advance(studio, firingId);
  return { firingId, ids };
}

test('a crazing ladder makes its tiles, a test coating with a version a step, and their recipes', async () => {
  const asked = await studio.must<Asked>('questions.ask', asking(room.crazing()));
  expect(asked.codes).toHaveLength(4);
  const tiles = await tilesOf(studio.db, asked.id);
  expect(tiles.map(({ label, role }) => [label, role])).toEqual([
    ['as it is', 'control'],
    ['+ 1.25 % Silica, + 1 % Kaolin', 'test'],
    ['+ 2.5 % Silica, + 2 % Kaolin', 'test'],
    ['+ 3.75 % Silica, + 3 % Kaolin', 'test'],
  ]);
  expect(tiles[0]!.factors).toEqual({ base: 'Tarn', step: '0', body: 'Peat' });
  const coating = (await listCoatings(studio.db)).find(({ name }) => name === `Question ${asked.no}`)!;
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
  expect(pieces.map(({ mark }) => mark).sort()).toEqual([1, 2, 3, 4].map((no) => `${asked.no}-${no}`));
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
  await room.write('gull', [
    ['Potash feldspar', 60],
    ['Barium carbonate', 40],
  ]);
  const coatings = await listCoatings(studio.db);
  const version = (slug: string): string => coatings.find((one) => one.slug === slug)!.versions[0]!.id;
  const asked = await studio.must<Asked>(
    'questions.ask',
    asking({
      ...room.common(),
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
  // In the typeface of the application, and in no other.
  const names = [...pdf.toString('latin1').matchAll(/\/BaseFont \/([\w+-]+)/g)].map(([, one]) => one);
  expect(names.length).toBeGreaterThan(1);
  for (const name of names) expect(name).toMatch(/Atkinson/);
});

test('results fill in as tiles are written up, and a question whose tiles are all out asks to be concluded', async () => {
  const asked = await studio.must<Asked>(
    'questions.ask',
    asking({ ...room.common(), kind: 'coats', coating: studio.version('pitch'), coats: [1, 2] }),
  );
  const { firingId, ids } = await fireTiles(asked.id);
  const of = async () => (await listQuestions(studio.db, { id: asked.id }))[0]!;
  expect(ripe(await of())).toBe(false);
  await studio.must('opening.record', recordInput(firingId, [ids[0]!], { rating: 4, verdict: 'keep' }));
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

test('a matrix makes every pair both ways and each alone, by every number of coats, with its glazing order', async () => {
  const asked = await studio.must<Asked>(
    'questions.ask',
    asking({
      ...room.common(),
      kind: 'matrix',
      bases: [studio.version('pitch')],
      overs: [studio.version('tarn')],
      both: true,
      baseCoats: [1, 2],
      overCoats: [1],
      baseOn: 'lower two thirds',
      overOn: 'upper two thirds',
    }),
  );
  const pieces = await loadPieces(studio.db, { codes: asked.codes });
  const stacks = pieces.map(({ done }) => done.map(({ coat, coats }) => `${coat.slug} ${coats}`).join(' + '));
  expect(stacks.sort()).toEqual([
    'pitch 1',
    'pitch 1 + tarn 1',
    'pitch 2',
    'pitch 2 + tarn 1',
    'tarn 1',
    'tarn 1 + pitch 1',
    'tarn 2',
    'tarn 2 + pitch 1',
  ]);
  const { sheets } = (await questionData(studio.db, asked.no))!;
  const order = sheets.find(({ key }) => key === 'glaze')!;
  expect(order.groups.map(({ title }) => title)).toEqual(['First', 'Then, on the dry coat (2)']);
  // A row for each coat, how and where; all tiles that want it so are in it.
  const rows = order.groups[0]!.rows;
  expect(rows.length).toBeLessThan(asked.codes.length + 1);
  expect(rows.flatMap(([, , , nos]) => nos!.split(', '))).toHaveLength(asked.codes.length);
});

test('ware of a design is ware with its surfaces, and raw coats go on raw clay', async () => {
  const asked = await studio.must<Asked>(
    'questions.ask',
    asking(
      {
        ...room.common(),
        apply: { ...room.common().apply, stage: 'leather-hard' },
        kind: 'coats',
        coating: studio.version('pitch'),
        coats: [1],
      },
      {
        form: 'mug',
        faces: facesOfForm('mug').map((face) => ({ ...face, slipVersionId: null })),
        waitingFor: 'bisque',
      },
    ),
  );
  const [piece] = await loadPieces(studio.db, { codes: asked.codes });
  expect(piece).toMatchObject({ kind: 'ware', form: 'mug' });
  expect(piece!.faces.map(({ surface }) => surface)).toEqual(['outside', 'inside', 'rim', 'foot']);
  expect(piece!.done[0]).toMatchObject({ stage: 'leather-hard' });
  // Raw clay takes a scratch; what waits for its glaze firing has been fired hard.
  const lead = async (no: number) =>
    (await questionData(studio.db, no))!.sheets.find(({ key }) => key === 'labels')!.lead;
  expect(await lead(asked.no)).toMatch(/^Scratch the code/);
  const bisque = await studio.must<Asked>('questions.ask', asking(room.crazing()));
  expect(await lead(bisque.no)).toMatch(/^Write the code on the foot with an iron/);
});

test('the board of a question shows the sign that was asked about, as each tile is now', async () => {
  const asked = await studio.must<Asked>(
    'questions.ask',
    asking(
      { ...room.common(), kind: 'coats', coating: studio.version('pitch'), coats: [1, 2, 3, 4] },
      { fields: { text: 'Does it craze?', about: 'crazing' } },
    ),
  );
  const { firingId, ids } = await fireTiles(asked.id);
  const sign = (name: string, severity: number) => ({ sign: name, severity, wanted: false });
  const see = (i: number, signs: object[]) =>
    studio.must('opening.record', recordInput(firingId, [ids[i]!], { surface: 'gloss', signs }));
  await see(0, [sign('crazing', 2)]);
  await see(1, [sign('crazing', 1)]);
  await see(2, []);
  const shown = async () => (await questionData(studio.db, asked.no))!.tiles.map((tile) => tile.shown);
  expect(await shown()).toEqual(['crazed', 'crazed, slight', 'sound', null]);
  expect((await listQuestions(studio.db, { id: asked.id }))[0]!.about).toBe('crazing');
});

test('a material or coating that there is none of is refused, and nothing is made', async () => {
  const before = (await listQuestions(studio.db)).length;
  const ghost = '0193f7a0-0000-7000-8000-000000000999';
  expect(await studio.act('questions.ask', asking({ ...room.crazing(), silica: ghost }))).toMatchObject({
    ok: false,
  });
  expect(await listQuestions(studio.db)).toHaveLength(before);
});
