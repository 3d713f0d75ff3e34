import { person, router, screen, server, show, within } from '../../../../test-support/dom';

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
const ask = () =>
  show(<AskForm choices={choices} start={{ kind: 'coats' }} seed={42} target={null} />);
const words = () => screen.getByLabelText<HTMLInputElement>('What do you want to know?');
const varied = () => screen.getByLabelText<HTMLInputElement>('What is varied');
const design = (name: string) =>
  within(screen.getByRole('group', { name: 'Design' })).getByText(name);
beforeEach(() => localStorage.clear());

test('what it asks follows the design until somebody says it in other words', async () => {
  const hand = person();
  ask();
  expect([words().value, varied().value]).toEqual(['Tarn: how many coats?', 'coats']);
  await hand.click(design('Seconds'));
  expect([words().value, varied().value]).toEqual(['Tarn: how long in the bucket?', 'seconds']);
  await hand.clear(words());
  await hand.type(words(), 'Does it pinhole less?');
  await hand.click(design('Crazing ladder'));
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
    fields: { text: 'Tarn: how many coats?', expected: 'Two will do.', targetPieceId: null },
    design: { kind: 'coats', coating: uuid(2), coats: [1, 2, 3], bodies: [uuid(0)] },
    tile: { form: 'L tile', faces: ['bare', 'light-slip'], wantedCone: '6', heightMm: 90 },
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
