import { person, press, screen, server, show } from '../../../../test-support/dom';

const { ReadPad } = await import('./ReadPad');

const pad = (units: { temperature: 'C' | 'F' } = { temperature: 'C' }, probe = false) =>
  show(
    <ReadPad
      firingId="f"
      last={{ at: new Date(), celsius: 600 }}
      rate={0}
      everyS={1800}
      units={units}
      probe={probe}
    />,
  );
const open = (hand: ReturnType<typeof person>) => press(hand, /^Read temperature/);
const ok = () => ({ ok: true, data: null });

test('a temperature in two touches: the pad expects what the last reading makes likely', async () => {
  const sent = server(ok);
  const hand = person();
  pad();
  await open(hand);
  for (const likely of ['590', '595', '600', '605', '610'])
    expect(screen.getByRole('button', { name: likely })).toBeTruthy();
  await press(hand, '605');
  await screen.findByText('605 °C written down');
  expect(sent[0]!.body.input).toMatchObject({ firingId: 'f', celsius: 605, sure: false });
  await press(hand, 'Undo');
  const { at } = sent[0]!.body.input as { at: string };
  expect(sent[1]).toMatchObject({
    path: '/api/act/firelog.strike',
    body: { input: { firingId: 'f', at, struck: true } },
  });
});

test('typed by key, a digit taken back, in °F kept in °C', async () => {
  const sent = server(ok);
  const hand = person();
  pad({ temperature: 'F' });
  await open(hand);
  for (const key of ['1', '2', '2', '2', 'Take the last digit away', '0']) await press(hand, key);
  await press(hand, 'Save');
  await screen.findByText('1220 °F written down');
  expect((sent[0]!.body.input as { celsius: number }).celsius).toBeCloseTo(660, 9);
});

test('a strange one is asked about, and said to be so it is the reading of that moment', async () => {
  const sent = server(({ body }) =>
    (body.input as { sure: boolean }).sure
      ? ok()
      : {
          ok: false,
          problem: {
            code: 'invalid',
            message: '12 °C does not fit.',
            fields: { celsius: 'Really so?' },
          },
        },
  );
  const hand = person();
  pad();
  await open(hand);
  await press(hand, '1');
  await press(hand, '2');
  await press(hand, 'Save');
  expect(await screen.findByText('12 °C does not fit.')).toBeTruthy();
  await press(hand, 'It is really so');
  await screen.findByText('12 °C written down');
  const [asked, sure] = sent.map(({ body }) => body.input as { at: string; sure: boolean });
  expect([asked!.sure, sure!.sure]).toEqual([false, true]);
  expect(sure!.at).toBe(asked!.at);
});

test('tried again after a lost connection it is still the reading of that moment', async () => {
  let away = true;
  const sent = server(() =>
    away ? { ok: false, problem: { code: 'failed', message: 'No answer.' } } : ok(),
  );
  const hand = person();
  pad();
  await open(hand);
  await press(hand, '600');
  await screen.findByText('No answer.');
  away = false;
  await press(hand, '600');
  await screen.findByText('600 °C written down');
  const at = sent.map(({ body }) => (body.input as { at: string }).at);
  expect(at[1]).toBe(at[0]);
  expect(sent[1]!.body.id).toBe(sent[0]!.body.id);
});

test('the probe’s figure goes with it; one that is no number holds it back', async () => {
  const sent = server(ok);
  const hand = person();
  pad(undefined, true);
  await open(hand);
  const mv = screen.getByLabelText('Oxygen probe, mV (if there is one)');
  await hand.type(mv, 'low');
  await press(hand, '600');
  expect(sent).toEqual([]);
  await hand.clear(mv);
  await hand.type(mv, '640');
  await press(hand, '600');
  await screen.findByText('600 °C written down');
  expect(sent[0]!.body.input).toMatchObject({ celsius: 600, probeMv: 640 });
});
