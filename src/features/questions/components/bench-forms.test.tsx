import { named, person, press, screen, server, show } from '../../../../test-support/dom';

const { StockRoom } = await import('./StockRoom');
const { BodyTests } = await import('./BodyTests');
const { FormCards } = await import('./FormCards');
const { ConcludeForm } = await import('./ConcludeForm');
const { Calculators } = await import('./Calculators');

const id = '0192c7cd-5baa-71a4-a619-90db87e84770';
const IMPERIAL = { temperature: 'F', length: 'in', mass: 'oz' } as const;
const ok = () => ({ ok: true, data: null });
beforeEach(() => localStorage.clear());

test('blanks are written down with the faces of their form; how many is asked for', async () => {
  const sent = server(ok);
  const hand = person();
  show(<StockRoom stock={[]} bodies={[{ id, name: 'Drift' }]} />);
  await press(hand, 'Write it down');
  expect(await screen.findByText('How many?')).toBeTruthy();
  await hand.type(named('Tiles'), '24');
  await press(hand, 'Write it down');
  await screen.findByText('Written down');
  expect(sent.map(({ body }) => body.input)).toEqual([
    { bodyId: id, form: 'L tile', faces: 'bare, light-slip', number: 24, why: 'made' },
  ]);
  expect(named('Tiles').value).toBe('');
});

test('a clay’s figure or what was seen of it, never neither; the kind stays for the next', async () => {
  const sent = server(ok);
  const hand = person();
  show(<BodyTests bodyId={id} tests={[]} timeZone="UTC" />);
  await hand.click(named('What was measured'));
  await hand.click(screen.getByRole('option', { name: 'Absorption, %' }));
  await press(hand, 'Write it down');
  expect(await screen.findByText('Give a figure, or say what was seen.')).toBeTruthy();
  await hand.type(named('Figure'), '1,5');
  await hand.type(named('Fired to cone'), '6');
  await press(hand, 'Write it down');
  await screen.findByText('Measured');
  expect(sent[0]!.body.input).toEqual({
    bodyId: id,
    kind: 'absorption',
    value: 1.5,
    cone: '6',
    note: '',
  });
  expect([named('Figure').value, named('Fired to cone').value]).toEqual(['', '6']);
});

test('a form is kept in grams and mm, its shrinkage as a part of 1; taken out it can come back', async () => {
  const card = {
    id,
    name: 'Mug',
    bodyId: null,
    clayG: 430,
    wetHeightMm: 108,
    wetWidthMm: null,
    shrinkage: 0.12,
    fits: '',
  };
  const sent = server(({ path }) => ({ ok: true, data: path.includes('drop') ? card : null }));
  const hand = person();
  show(<FormCards cards={[card]} />, { units: IMPERIAL });
  expect(screen.getByText('4.25 in wet, 3.74 in fired')).toBeTruthy();
  await hand.type(named('Form'), 'Bowl');
  await hand.type(named('Clay, oz'), '16');
  await hand.clear(named('Shrinkage, %'));
  await hand.type(named('Shrinkage, %'), '40');
  await press(hand, 'Add');
  expect(await screen.findByText('Shrinkage lies between 0 and 30 %.')).toBeTruthy();
  await hand.clear(named('Shrinkage, %'));
  await hand.type(named('Shrinkage, %'), '12,5');
  await press(hand, 'Add');
  await screen.findByText('The form is kept');
  expect(sent[0]!.body.input).toMatchObject({
    name: 'Bowl',
    clayG: expect.closeTo(453.59237, 6),
    shrinkage: 0.125,
  });
  await press(hand, 'Take out');
  await screen.findByText('Mug is taken out');
  await press(hand, 'Undo');
  expect(sent.at(-1)).toMatchObject({
    path: '/api/act/questions.save-form-card',
    body: { input: card },
  });
});

test('a conclusion says what came out; taken back, the question is open again', async () => {
  const sent = server(ok);
  const hand = person();
  show(<ConcludeForm question={{ id, expected: 'two coats' }} />);
  await press(hand, 'Conclude');
  expect(await screen.findByText('Say what came out, in a sentence.')).toBeTruthy();
  expect(screen.getByText('Expected was: two coats')).toBeTruthy();
  await hand.type(named('What came out'), 'One will do.');
  await press(hand, 'Otherwise');
  await hand.type(named('Would we mix a bucket?'), 'yes');
  await press(hand, 'Conclude');
  await screen.findByText('Concluded');
  expect(sent[0]!.body.input).toMatchObject({
    id,
    conclusion: {
      said: 'One will do.',
      asExpected: 'otherwise',
      counts: { 'mix a bucket': 'yes' },
    },
  });
  await press(hand, 'Undo');
  expect(sent[1]!.body.input).toEqual({ id, conclusion: null });
});

test('the arithmetic of clay answers as it is typed, in the studio’s units, and says what it lacks', async () => {
  const hand = person();
  show(<Calculators />);
  // 100 mm fired at 12 % comes from 100 ÷ 0.88.
  expect(screen.getByText('113.6 mm wet')).toBeTruthy();
  const fired = named('Fired, mm');
  await hand.clear(fired);
  expect(screen.getByText('Give numbers.')).toBeTruthy();
  await hand.type(fired, '88');
  expect(screen.getByText('100 mm wet')).toBeTruthy();
  // 203 g boiled of 200 g dry: 1.5 %.
  expect(screen.getByText(/^1\.5 %: nearly tight/)).toBeTruthy();
});
