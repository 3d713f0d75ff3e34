import { fireEvent, within } from '@testing-library/react';
import { named, person, press, screen, server, show } from '../../../../test-support/dom';

const { LitAt } = await import('./LitAt');
const { PaperLog } = await import('./PaperLog');
const { ReadingsBook } = await import('./ReadingsBook');
const { UnitQuestion } = await import('./UnitQuestion');
const { LogBook } = await import('./LogBook');

const units = { temperature: 'C', length: 'mm', mass: 'g' } as const;
const LINES = /^A line a reading/;
const paper = (startedAt = '2026-06-01T07:00:00Z') =>
  show(
    <PaperLog
      firingId="f"
      startedAt={new Date(startedAt)}
      units={units}
      timeZone="Europe/London"
      top={1222}
    />,
  );
const kept = () => ({ ok: true, data: { kept: 2, repeated: 0, doubted: 0 } });

test('a page of a notebook is one act: readings and what was done, and one undo', async () => {
  const sent = server(kept);
  const hand = person();
  paper();
  await press(hand, 'Write up a log from paper');
  await hand.click(named(LINES));
  await hand.paste('8:00 20\n10:30 310 lid closed\n11:00 damper in');
  expect(screen.getByRole('status').textContent).toMatch(
    /^2 readings, 2 remarks, 1 Jun, 08:00 to 1 Jun, 11:00, hottest 310 °C$/,
  );
  await press(hand, 'Keep 4 lines');
  await screen.findByText(/2 readings and 2 lines of the diary kept/);
  const input = sent[0]!.body.input as {
    readings: [number, number][];
    remarks: { id: string; kind: string }[];
  };
  expect(input.readings.map(([, c]) => c)).toEqual([20, 310]);
  expect(input.remarks.map(({ kind }) => kind)).toEqual(['lid', 'damper']);
  await press(hand, 'Undo');
  expect(sent[1]).toMatchObject({
    path: '/api/act/firelog.keep-paper',
    body: {
      input: {
        at: input.readings.map(([at]) => at),
        remarks: input.remarks.map(({ id }) => id),
        kept: false,
      },
    },
  });
});

test('sent again after a lost answer a page of a notebook is the same act with the same lines', async () => {
  let answer: object = { ok: false, problem: { code: 'offline', message: 'No connection.' } };
  const sent = server(() => answer);
  const hand = person();
  paper();
  await press(hand, 'Write up a log from paper');
  await hand.click(named(LINES));
  await hand.paste('8:00 20\n10:30 310 lid closed');
  await press(hand, 'Keep 3 lines');
  await screen.findByText('No connection.');
  answer = kept();
  await press(hand, 'Keep 3 lines');
  await screen.findByText(/of the diary kept/);
  expect(sent[1]!.body).toEqual(sent[0]!.body);
});

test('of a firing that nobody wrote down it can be said when it was lit, and what that opens', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(
    <LitAt
      firingId="f"
      startedAt={null}
      openedAt={new Date('2025-03-05T12:00:00Z')}
      timeZone="Europe/London"
      edit
    />,
  );
  expect(screen.getByText(/Nobody said when it was lit\. Once that is known, its log can be/)).toBeTruthy();
  await press(hand, 'Say when it was lit');
  expect(named('Lit at').value).toBe('2025-03-04T12:00');
  fireEvent.change(named('Lit at'), { target: { value: '2025-03-04T18:30' } });
  await press(hand, 'Keep');
  expect(sent[0]!.body.input).toEqual({ firingId: 'f', at: '2025-03-04T18:30:00.000Z' });
});

test('a line that cannot be read is named, and nothing is kept before it is mended', async () => {
  server(kept);
  const hand = person();
  paper();
  await press(hand, 'Write up a log from paper');
  await hand.click(named(LINES));
  await hand.paste('8:00 20\nlid shut');
  expect(screen.getByText(/Line 2, “lid shut”, begins with no time/)).toBeTruthy();
  expect(screen.getByRole<HTMLButtonElement>('button', { name: /^Keep/ }).disabled).toBe(true);
});

test('the hour that comes twice is asked about; °F by its shape too, and either answer is taken', async () => {
  const sent = server(kept);
  const hand = person();
  paper('2026-10-24T21:00:00Z');
  await press(hand, 'Write up a log from paper');
  await hand.click(named(LINES));
  await hand.paste('22:00 68\n23:00 300\n01:30 1500\n03:00 2230');
  expect(screen.getByText(/an hour came twice/)).toBeTruthy();
  expect(screen.getByText('These look like °F. Are they?')).toBeTruthy();
  await press(hand, 'the second');
  await press(hand, 'They are °F');
  await press(hand, 'Keep 4 lines');
  await screen.findByText(/kept/);
  const { readings } = sent[0]!.body.input as { readings: [number, number][] };
  expect(readings.map(([, c]) => Math.round(c))).toEqual([20, 149, 816, 1221]);
  expect(new Date(readings[2]![0]).toISOString()).toBe('2026-10-25T01:30:00.000Z');
});

const reading = (rest: object = {}) => ({
  at: new Date('2026-06-01T09:00:00Z'),
  celsius: 150,
  probeMv: null,
  source: 'hand' as const,
  doubt: null,
  addedAt: new Date('2026-06-03T09:00:00Z'),
  wasCelsius: null,
  why: null,
  ...rest,
});

test('a reading says when it was written down; put right it asks why; struck it can be believed again', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  const book = (rest: object = {}) =>
    show(<ReadingsBook firingId="f" readings={[reading(rest)]} units={units} timeZone="Europe/London" />);
  const first = book({ wasCelsius: 510, why: 'wrong line' });
  expect(screen.getByText(/was 510 °C; wrong line; written down 3 Jun, 10:00/)).toBeTruthy();
  await press(hand, 'Put right …');
  await hand.clear(named('It was, °C'));
  await hand.type(named('It was, °C'), '115');
  await hand.type(named('Why'), 'glare');
  await press(hand, 'Put right');
  await screen.findByText('Reading put right');
  expect(sent[0]).toMatchObject({
    path: '/api/act/firelog.correct',
    body: { input: { celsius: 115, why: 'glare' } },
  });
  first.unmount();
  book({ doubt: 'struck' });
  await press(hand, 'Believe it');
  expect(sent[1]).toMatchObject({
    path: '/api/act/firelog.strike',
    body: { input: { struck: false } },
  });
});

test('a log in °F: the answer is the person’s', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<UnitQuestion firingId="f" />);
  await press(hand, 'It is °F');
  await screen.findByText(/Read as °F/);
  expect(sent[0]!.body.input).toEqual({ firingId: 'f', fahrenheit: true });
});

test('a diary line of an hour long past: at any time, and it says when it was written down', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(
    <LogBook
      firingId="f"
      entries={[
        {
          id: 'e',
          at: new Date('2026-06-01T09:00:00Z'),
          kind: 'switch',
          atmosphere: null,
          text: 'all to high',
          by: 'Iben',
          addedAt: new Date('2026-06-02T09:00:00Z'),
        },
      ]}
      fuelled={false}
      edit
      timeZone="Europe/London"
    />,
  );
  expect(within(screen.getByRole('list')).getByText(/written down 2 Jun, 10:00/)).toBeTruthy();
  await press(hand, 'flame');
  await hand.type(named('What was done'), 'a hand long');
  await hand.click(screen.getByRole('combobox', { name: 'When' }));
  await hand.click(await screen.findByRole('option', { name: 'at …' }));
  const at = named('At');
  await hand.clear(at);
  await hand.type(at, '2026-06-01T08:30');
  await press(hand, 'Write down');
  expect(sent[0]!.body.input).toMatchObject({
    kind: 'flame',
    at: '2026-06-01T07:30:00.000Z',
    text: 'a hand long',
  });
});
