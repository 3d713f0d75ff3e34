/**
 * What glaze is that: a colour is looked for among what was measured, narrowed, and said in the studio's
 * terms.
 */
import type { Lab } from '@/core/colour';
import { search } from '../shell/server';
import { whatIs, whatSchema } from './what';
import { measure } from '../../../test-support/measured';
import { fired, layer, recordInput, testStudio, type TestStudio } from '../../../test-support/studio';

let studio: TestStudio;
const BLUE: Lab = [35, 5, -40];
const GREEN: Lab = [55, -35, 25];

beforeAll(async () => {
  studio = await testStudio();
  const made = await fired(
    studio,
    [layer(studio.version('tarn'), 0, 0.5), layer(studio.version('pitch'), 0.5, 1)],
    { count: 2 },
  );
  // Tarn was called red by whoever wrote it up; its picture says blue.
  await studio.must(
    'opening.record',
    recordInput(made.firingId, made.ids, { surface: 'satin', colour: 'red' }),
  );
  await measure(studio.db, studio.technician.id, made.firingId, made.ids, (base) =>
    base === 'tarn' ? BLUE : GREEN,
  );
  const eyes = await fired(studio, [layer(studio.version('pitch'), 0, 1, { coats: 3 })], { count: 1 });
  await studio.must('opening.record', recordInput(eyes.firingId, eyes.ids, { surface: 'gloss' }));
  await measure(studio.db, studio.technician.id, eyes.firingId, eyes.ids, () => BLUE, new Date(), false);
});
afterAll(() => studio.db.destroy());

const ask = (lab: Lab, rest: object = {}) =>
  whatIs(studio.db, whatSchema.parse({ l: lab[0], a: lab[1], b: lab[2], grey: 'yes', ...rest }));
const titles = async (...of: Parameters<typeof ask>) => (await ask(...of)).cells.map(({ title }) => title);

test('the nearest stands first with its distance, and goes to the board that shows it', async () => {
  const { cells, words } = await ask([36, 5, -40]);
  expect(cells.map(({ title }) => title)).toEqual(['Tarn', 'Pitch']);
  expect(cells[0]!.distance!).toBeLessThan(2);
  expect(cells[0]!.href).toMatch(/^\/chart\?body=.*at=tarn%2F$/);
  expect(words).toMatch(/^One comes as near/);
});

test('nothing near is said to be so; far off there are still the nearest', async () => {
  const { cells, words } = await ask([95, 0, 90]);
  expect(words).toMatch(/^Nothing here comes near: the nearest is \d/);
  expect(cells.length).toBeGreaterThan(0);
});

test('by eye there is an order and no distance, also of what no grey told', async () => {
  const { cells, words } = await ask(BLUE, { grey: 'no' });
  expect(cells.map(({ distance }) => distance)).toEqual(cells.map(() => null));
  expect(words).toMatch(/By eye, not measured/);
  // The one without a grey is among them now.
  expect(cells.filter(({ title }) => title === 'Pitch')).toHaveLength(2);
});

test('what is known narrows it', async () => {
  expect(await titles(BLUE, { surface: 'gloss' })).toEqual([]);
  expect(await titles(BLUE, { surface: 'satin', cone: '' })).toEqual(['Tarn', 'Pitch']);
  expect(await titles(BLUE, { among: 'pitch' })).toEqual(['Pitch']);
  expect(await titles(BLUE, { body: 'nowhere' })).toEqual([]);
  expect(await titles(BLUE, { atmosphere: 'neutral' })).toEqual([]);
  expect((await ask(BLUE, { surface: 'gloss' })).words).toMatch(/Nothing that was measured fits/);
  expect(whatSchema.safeParse({ l: 'x', a: 0, b: 0, grey: 'yes' }).success).toBe(false);
});

test('out of a firing only stacks of what was in it; an effect only where it was seen as one', async () => {
  const { firing_id: firing } = await studio
    .db('sighting')
    .join('cell', 'cell.id', 'cell_id')
    .where({ base_slug: 'pitch' })
    .first('firing_id');
  const inIt = await studio
    .db('placement')
    .join('layer', 'layer.piece_id', 'placement.piece_id')
    .join('coating_version', 'coating_version.id', 'layer.coating_version_id')
    .join('coating', 'coating.id', 'coating_id')
    .where({ firing_id: firing })
    .distinct()
    .pluck('slug');
  const found = await titles(BLUE, { firing });
  expect(found.length).toBeGreaterThan(0);
  for (const title of found) expect(inIt).toContain(title.toLowerCase());
  expect(await titles(BLUE, { firing, among: 'nothing' })).toEqual([]);
  expect((await ask(BLUE, { firing: '0192c7cd-5baa-71a4-a619-90db87e81009' })).words).toMatch(
    /Nobody knows of any coating/,
  );
  const seen = (wanted: boolean) =>
    studio
      .db('cell')
      .where({ base_slug: 'tarn' })
      .update({ signs: JSON.stringify([{ sign: 'crystals', wanted, pieces: 1, worst: 1 }]) });
  await seen(true);
  expect(await titles(BLUE, { effect: 'crystals' })).toEqual(['Tarn']);
  await seen(false);
  expect(await titles(BLUE, { effect: 'crystals' })).toEqual([]);
  await studio.db('cell').where({ base_slug: 'tarn' }).update({ signs: '[]' });
});

test('a fault or a run leaves out what shows it, where that is asked', async () => {
  await studio.db('cell').where({ base_slug: 'tarn' }).update({ movement_mm: 12 });
  expect(await titles(BLUE, { clean: 'yes' })).toEqual(['Pitch']);
  await studio.db('cell').where({ base_slug: 'tarn' }).update({ movement_mm: null });
});

test('the search in words goes by what was measured, not by what it was called', async () => {
  const of = async (text: string) =>
    (await search(studio.db, studio.technician, text)).found
      .filter(({ kind }) => kind === 'cell')
      .map(({ title }) => title);
  expect(await of('blue satin')).toEqual(['Tarn']);
  expect(await of('green satin')).toEqual(['Pitch']);
  // A body may be told by its ground.
  await studio.db('body').where({ id: studio.body }).update({ ground: 'dark' });
  expect(await of('blue satin on a dark body')).toEqual(['Tarn']);
  expect(await of('blue satin on dark clay that does not craze')).toEqual(['Tarn']);
  const { hint } = await search(studio.db, studio.technician, 'blue satin on a porcelain body');
  expect(hint).toBe('Nothing shows all of it. Without “porcelain body”:');
});
