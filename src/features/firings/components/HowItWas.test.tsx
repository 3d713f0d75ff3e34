import { person, press, screen, server, show, within } from '../../../../test-support/dom';

const { HowItWas } = await import('./HowItWas');

const id = '0192c7cd-5baa-71a4-a619-90db87e84770';
const how = (rest: Partial<Parameters<typeof HowItWas>[0]> = {}) =>
  show(
    <HowItWas
      firingId={id}
      fullness={null}
      shelfAir={{}}
      atmosphere="moderate reduction"
      shelves={3}
      stoodOn={0.42}
      {...rest}
    />,
  );
const choose = async (hand: ReturnType<typeof person>, label: string, option: string): Promise<void> => {
  await hand.click(screen.getByLabelText(label));
  await hand.click(within(screen.getByRole('listbox')).getByText(option));
};
const BEFORE = { fullness: null, shelfAir: {} };

test('the bottom reduced less: said in two touches, of its shelf alone, and taken back', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  how();
  await choose(hand, 'the air was', 'light reduction');
  await screen.findByText('Kept; the chart follows');
  expect(sent[0]!.body.input).toEqual({
    firingId: id,
    ...BEFORE,
    shelfAir: { 1: 'light reduction' },
    before: BEFORE,
  });
  await press(hand, 'Undo');
  expect(sent[1]!.body.input).toEqual({ firingId: id, ...BEFORE });
});

test('how full, with what the plan comes to; a shelf back to the air of the rest', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  const shelfAir = { 1: 'light reduction' as const, 3: 'neutral' as const };
  how({ shelfAir });
  expect(screen.getByText('By its plan 42 % of the shelves.')).toBeTruthy();
  await choose(hand, 'How full it was', 'tight');
  const lines = screen.getAllByText(/^Shelf \d:/);
  expect(lines.map((line) => line.textContent)).toEqual([
    'Shelf 1: light reduction As the rest',
    'Shelf 3: neutral As the rest',
  ]);
  await hand.click(within(lines[0]!).getByRole('button'));
  expect(sent.map(({ body }) => body.input)).toMatchObject([
    { fullness: 'tight', shelfAir },
    { fullness: null, shelfAir: { 3: 'neutral' } },
  ]);
});

test('a refusal is said where it was tried', async () => {
  server(() => ({
    ok: false,
    problem: { code: 'invalid', message: 'Marta has 3 shelves, not 9.' },
  }));
  const hand = person();
  how({ stoodOn: null });
  expect(screen.queryByText(/By its plan/)).toBeNull();
  await choose(hand, 'How full it was', 'half');
  expect(await screen.findByText('Marta has 3 shelves, not 9.')).toBeTruthy();
});
