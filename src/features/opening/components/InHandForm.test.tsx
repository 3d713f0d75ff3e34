import { SI } from '@/core/units';
import { named, person, press, screen, server, show, within } from '../../../../test-support/dom';

const { InHandForm } = await import('./InHandForm');

const uuid = (n: number): string => `0192c7cd-5baa-71a4-a619-90db87e8477${n}`;
const bodies = [
  { id: uuid(1), name: 'Saltbox' },
  { id: uuid(2), name: 'Eider' },
];
const coatings = [
  { id: uuid(3), name: 'Tarn' },
  { id: uuid(4), name: 'Pitch' },
];
const form = (rest: Partial<Parameters<typeof InHandForm>[0]> = {}) =>
  show(
    <InHandForm
      bodies={bodies}
      coatings={coatings}
      cautions={{}}
      kilns={[]}
      firings={[]}
      start={{}}
      fixed={null}
      units={SI}
      {...rest}
    />,
  );
const KEPT = { ok: true, data: { code: 'HEMPN', firingId: uuid(5), chart: '/chart?at=tarn/' } };
const coats = () => screen.getByRole('combobox', { name: 'Coatings, first coat first' });
type Sent = Record<string, unknown> & { pieceId: string; firing: object };

beforeEach(() => localStorage.clear());

test('chosen and named, in the order put on; then the code to write on it, and the next one like it', async () => {
  const sent = server(() => KEPT);
  const hand = person();
  form();
  await press(hand, 'Eider');
  await hand.type(coats(), 'Tarn{Enter}');
  await hand.type(coats(), 'Old Celadon{Enter}');
  await hand.type(named('Cone'), '6');
  await press(hand, 'oxidation');
  await press(hand, 'matt');
  await press(hand, 'Put it on record');
  expect(await screen.findByText('HEMPN')).toBeTruthy();
  const first = sent[0]!.body.input as Sent;
  expect(first).toMatchObject({
    body: { id: uuid(2), name: 'Eider' },
    coats: [
      { coating: { id: uuid(3), name: 'Tarn' }, coats: 1, stretch: { from: 0, to: 1 } },
      { coating: { id: null, name: 'Old Celadon' }, coats: 1 },
    ],
    firing: { id: null, cone: '6', shown: false, atmosphere: 'oxidation' },
    seen: { surface: 'matt' },
  });
  expect(screen.getByRole('link', { name: 'See it on the chart' }).getAttribute('href')).toBe(
    '/chart?at=tarn/',
  );
  await press(hand, 'Another one like it');
  await press(hand, 'Put it on record');
  await screen.findByText('HEMPN');
  const second = sent[1]!.body.input as Sent;
  // Another piece of the same making and firing; what was seen of the first is not said of it.
  expect(second.pieceId).not.toBe(first.pieceId);
  expect(second).toMatchObject({
    coats: first.coats,
    firing: first.firing,
    seen: { surface: null },
  });
});

test('without a body, or with a cone that is none, nothing is sent and each is said at its field', async () => {
  const sent = server(() => KEPT);
  const hand = person();
  form();
  await hand.type(named('Cone'), '66');
  await press(hand, 'Put it on record');
  expect(await screen.findByText('Choose one, or give a name.')).toBeTruthy();
  expect(screen.getByText(/There is no cone “66”/)).toBeTruthy();
  expect(sent).toEqual([]);
  await press(hand, 'another');
  await hand.type(named('Body: its name'), 'Heron');
  await hand.clear(named('Cone'));
  await press(hand, 'Put it on record');
  await screen.findByText('HEMPN');
  expect(sent[0]!.body.input).toMatchObject({
    body: { id: null, name: 'Heron' },
    firing: { cone: null },
  });
});

test('a pot on no list: its firing is fixed, what is on it is unknown unless somebody says', async () => {
  const sent = server(() => ({ ok: true, data: { ...KEPT.data, chart: null } }));
  const hand = person();
  form({
    fixed: 'Marta 14',
    start: { body: bodies[0]!, coats: null, form: 'mug', firing: { id: uuid(6) } },
  });
  expect(screen.getByText('It came out of Marta 14.')).toBeTruthy();
  expect(screen.queryByLabelText('Cone')).toBeNull();
  await press(hand, 'Put it on record');
  await screen.findByText('HEMPN');
  expect(sent[0]!.body.input).toMatchObject({ coats: null, firing: { id: uuid(6) } });
  expect(screen.getByText(/It stands on no cell of the chart/)).toBeTruthy();
  expect(screen.queryByRole('link', { name: 'See it on the chart' })).toBeNull();
});

test('of ware it is said on which surface a coat lies', async () => {
  const sent = server(() => KEPT);
  const hand = person();
  form({ start: { body: bodies[0]!, form: 'mug' } });
  await hand.type(coats(), 'Pitch{Enter}');
  await hand.click(screen.getByLabelText('On'));
  await hand.click(within(screen.getByRole('listbox')).getByText('inside'));
  await hand.click(screen.getByLabelText('Coats'));
  await hand.click(within(screen.getByRole('listbox')).getByText('2'));
  await press(hand, 'Put it on record');
  await screen.findByText('HEMPN');
  expect(sent[0]!.body.input).toMatchObject({
    coats: [{ coating: { id: uuid(4) }, coats: 2, surface: 'inside' }],
  });
});

test('what to beware of in a coat stands above “keep, sell, give” as soon as the coat is chosen', async () => {
  const hand = person();
  form({
    cautions: {
      [uuid(3)]: [{ name: 'Tarn', words: 'Runs.', materials: [{ name: 'Copper', hazards: ['copper'] }] }],
    },
  });
  expect(screen.queryByText(/Holds copper/)).toBeNull();
  await hand.type(coats(), 'Tarn{Enter}');
  const caution = screen.getByText(/Holds copper \(Tarn\)\. Not for the inside of food ware/);
  expect(screen.getByText('Tarn: Runs.')).toBeTruthy();
  const verdict = screen.getByRole('group', { name: 'Verdict' });
  expect(caution.compareDocumentPosition(verdict)).toBe(Node.DOCUMENT_POSITION_FOLLOWING);
});
