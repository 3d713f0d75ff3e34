import type { DesignKind } from '@/core/designs';
import {
  named as field,
  person,
  press,
  router,
  screen,
  server,
  show,
  within,
} from '../../../../test-support/dom';

const { AskForm } = await import('./AskForm');

const uuid = (n: number): string => `0192c7cd-5baa-71a4-a619-90db87e8477${n}`;
const named = (names: readonly string[], from: number) =>
  names.map((name, i) => ({ id: uuid(from + i), name }));
const choices = {
  bodies: named(['Drift', 'Peat'], 0).map((one) => ({ ...one, colour: '#ccbb99' })),
  coatings: named(['Tarn', 'Pitch', 'Gull', 'Ember'], 2).map((one) => ({
    ...one,
    colour: '#557788',
    recipe: true,
  })),
  materials: named(['silica', 'kaolin'], 6).map((one) => ({ ...one, slug: one.name })),
  stock: [],
};
const coatings = choices.coatings.map(({ id, name, colour }) => ({
  versionId: id,
  slug: name.toLowerCase(),
  name,
  kind: 'glaze',
  version: 1,
  colour,
}));
const ask = (kind: DesignKind = 'coats') =>
  show(<AskForm choices={choices} coatings={coatings} start={{ kind }} seed={42} target={null} />);
const words = () => screen.getByLabelText<HTMLInputElement>('In your words');
const varied = () => screen.getByLabelText<HTMLInputElement>('What is varied');
const design = (name: string) => within(screen.getByRole('group', { name: 'Design' })).getByText(name);
beforeEach(() => localStorage.clear());

test('what it asks follows the design until somebody says it in other words', async () => {
  const hand = person();
  ask();
  expect([words().value, varied().value]).toEqual(['How many coats of Tarn?', 'coats']);
  await hand.click(design('Seconds'));
  expect([words().value, varied().value]).toEqual(['How long may Tarn be dipped?', 'seconds']);
  await hand.clear(words());
  await hand.type(words(), 'Does it pinhole less?');
  await press(hand, 'What stops it crazing?');
  expect(words().value).toBe('Does it pinhole less?');
  expect(varied().value).toContain('silica by 1.25 %');
});

test('it is sent whole: design, tile with the faces of its form, sheet and seed', async () => {
  const sent = server(() => ({ ok: true, data: { id: 'q', no: 7, codes: ['a', 'b', 'c'] } }));
  const hand = person();
  ask();
  expect(screen.getByRole('heading', { name: '3 tiles' })).toBeTruthy();
  await hand.type(screen.getByLabelText('What you expect'), 'Two will do.');
  await hand.click(screen.getByRole('button', { name: 'Make 3 tiles and their sheets' }));
  await screen.findByText('3 tiles are made; their sheets are here');
  expect(sent.map(({ path }) => path)).toEqual(['/api/act/questions.ask']);
  expect(sent[0]!.body.input).toMatchObject({
    fields: {
      text: 'How many coats of Tarn?',
      expected: 'Two will do.',
      about: null,
      targetPieceId: null,
    },
    design: { kind: 'coats', coating: uuid(2), coats: [1, 2, 3], bodies: [uuid(0)] },
    form: 'L tile',
    faces: [
      { no: 1, kind: 'bare', slipVersionId: null },
      { no: 2, kind: 'light-slip', slipVersionId: null },
    ],
    wantedCone: '6',
    heightMm: 90,
    sheet: { dryG: 100, resolutionG: 0.1 },
    seed: 42,
  });
  expect(router.push).toHaveBeenCalledWith('/tests/questions/7');
});

test('a wrong cone is said beside its field and nothing is sent; a design that cannot be made has no button', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  ask();
  await hand.clear(screen.getByLabelText('Cone'));
  await hand.type(screen.getByLabelText('Cone'), '66');
  await hand.click(screen.getByRole('button', { name: /^Make 3 tiles/ }));
  expect(await screen.findByText(/There is no cone “66”/)).toBeTruthy();
  expect(sent).toEqual([]);
  const coats = screen.getByRole('textbox', { name: 'Coats' });
  await hand.clear(coats);
  await hand.type(coats, '40');
  expect(await screen.findByText('At most ten coats.')).toBeTruthy();
  const button = screen.getByRole<HTMLButtonElement>('button', { name: /^Make 0 tiles/ });
  expect(button.disabled).toBe(true);
});

test('it begins with what is asked: designs that can answer it are proposed, and the sign it is about', async () => {
  const sent = server(() => ({ ok: true, data: { id: 'q', no: 7, codes: ['a'] } }));
  const hand = person();
  ask();
  const offered = () =>
    within(screen.getByRole('group', { name: 'Design' }))
      .getAllByRole('button')
      .map((one) => one.textContent);
  expect(offered()).toEqual(['Coats', 'Coats on one tile', 'Seconds']);
  await press(hand, 'What stops it crazing?');
  expect(offered()).toEqual(['Crazing ladder', 'Across bodies', 'Coats']);
  expect(field('Sign it is about').textContent).toBe('Crazing');
  // Several bodies at once where the body is asked of, each named on its tile.
  await hand.click(design('Across bodies'));
  const board = within(screen.getByRole('group', { name: 'What it makes' }));
  expect(board.getByText('Drift')).toBeTruthy();
  expect(board.getByText('Peat')).toBeTruthy();
  await press(hand, 'Another design …');
  expect(offered()).toHaveLength(13);
  await press(hand, /^Make 2 tiles/);
  await screen.findByText(/tiles are made/);
  expect(sent[0]!.body.input).toMatchObject({
    fields: { about: 'crazing', text: 'What does the clay do to Tarn?' },
    design: { kind: 'across bodies', bodies: [uuid(0), uuid(1)] },
  });
});

test('a matrix takes a list of coats and says how many tiles that makes; a mug makes ware of them', async () => {
  const sent = server(() => ({ ok: true, data: { id: 'q', no: 7, codes: ['a'] } }));
  const hand = person();
  ask('matrix');
  // Two over two, both ways round, and four singles.
  expect(screen.getByRole('heading', { name: '12 tiles' })).toBeTruthy();
  const coats = screen.getByRole('textbox', { name: 'Coats of a base' });
  await hand.clear(coats);
  await hand.type(coats, '1, 2');
  expect(screen.getByRole('heading', { name: '24 tiles' })).toBeTruthy();
  await hand.click(field('Form'));
  await hand.click(within(screen.getByRole('listbox')).getByText('Mug'));
  expect(screen.getByText(/^outside, inside, rim, foot: bare body/)).toBeTruthy();
  await press(hand, /^Make 24 tiles/);
  await screen.findByText(/tiles are made/);
  expect(sent[0]!.body.input).toMatchObject({
    form: 'mug',
    design: { kind: 'matrix', baseCoats: [1, 2], overCoats: [1] },
  });
});

test('what the clay is when coats go on is asked where tiles still wait for their bisque', async () => {
  const hand = person();
  ask();
  expect(screen.queryByRole('combobox', { name: 'Put on when' })).toBeNull();
  await hand.click(field('Next firing'));
  await hand.click(within(screen.getByRole('listbox')).getByText('Bisque'));
  expect(field('Put on when').textContent).toBe('bisque');
});
