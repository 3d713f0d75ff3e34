import { named, person, press, screen, server, show, within } from '../../../../test-support/dom';

const { MakeForm } = await import('./MakeForm');

const uuid = (n: number): string => `0192c7cd-5baa-71a4-a619-90db87e8477${n}`;
const bodies = [{ id: uuid(0), name: 'Drift', colour: '#ccbb99' }];
const coatings = ['Tarn', 'Pitch'].map((name, i) => ({
  versionId: uuid(i + 1),
  slug: name.toLowerCase(),
  name,
  kind: 'glaze',
  version: 1,
  colour: '#557788',
}));
const make = (units?: { temperature: 'F'; length: 'in'; mass: 'oz' }) =>
  show(
    <MakeForm bodies={bodies} coatings={coatings} people={[]} today="2026-11-25" start={{}} />,
    units ? { units } : {},
  );
beforeEach(() => localStorage.clear());

test('tiles alike are made in one act, and their codes stand there to be scratched in', async () => {
  const sent = server(() => ({ ok: true, data: { codes: ['E7W94', 'RAKNT'], lotId: 'l' } }));
  const hand = person();
  make();
  await hand.clear(named('How many alike'));
  await hand.type(named('How many alike'), '2');
  await press(hand, 'Put a layer on');
  await press(hand, 'Make 2 tiles alike');
  // Each beside its number.
  const codes = within(await screen.findByRole('list', { name: 'Codes' })).getAllByRole('listitem');
  expect(codes.map((one) => one.textContent)).toEqual(['1E7W94', '2RAKNT']);
  expect(sent[0]!.body.input).toMatchObject({
    bodyId: uuid(0),
    count: 2,
    heightMm: 90,
    layers: [{ coatingVersionId: uuid(1), coats: 1 }],
    wantedCone: '6',
  });
});

test('a height nobody touched stays exactly what it was, in whatever unit it is shown', async () => {
  const sent = server(() => ({ ok: true, data: { codes: ['E7W94'], lotId: null } }));
  const hand = person();
  make({ temperature: 'F', length: 'in', mass: 'oz' });
  expect(named('Face, foot to rim, in').value).toBe('3.5433');
  await press(hand, 'Make it');
  await screen.findByRole('list', { name: 'Codes' });
  expect(sent[0]!.body.input).toMatchObject({ heightMm: 90 });
});

test('too many, or a wrong cone, is said beside its field and nothing is made', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  make();
  await hand.clear(named('How many alike'));
  await hand.type(named('How many alike'), '999');
  await hand.clear(named('Cone wanted'));
  await hand.type(named('Cone wanted'), '66');
  await press(hand, /^Make 999/);
  expect(await screen.findByText('At most 200 in one act.')).toBeTruthy();
  expect(screen.getByText(/There is no cone “66”/)).toBeTruthy();
  expect(sent).toEqual([]);
});

test('choosing a mug makes it ware with the surfaces of one; a slip face of a tile is not left behind', async () => {
  const sent = server(() => ({ ok: true, data: { codes: ['E7W94'], lotId: null } }));
  const hand = person();
  show(<MakeForm bodies={bodies} coatings={coatings} people={[]} today="2026-11-25" start={{}} />);
  await hand.click(named('Form'));
  await hand.click(within(screen.getByRole('listbox')).getByText('mug'));
  expect(screen.getByText(/^outside, inside, rim, foot: bare body/)).toBeTruthy();
  expect(screen.queryByLabelText('Face 2')).toBeNull();
  await press(hand, 'A slip on one, or another surface');
  expect(screen.getByLabelText('Inside')).toBeTruthy();
  await press(hand, 'Make it');
  await screen.findByRole('list', { name: 'Codes' });
  expect(sent[0]!.body.input).toMatchObject({
    kind: 'ware',
    form: 'mug',
    faces: ['outside', 'inside', 'rim', 'foot'].map((surface, i) => ({
      no: i + 1,
      kind: 'bare',
      surface,
    })),
  });
});

test('the code is scratched into raw clay, and written on what has been fired hard', async () => {
  server(() => ({ ok: true, data: { codes: ['E7W94'], lotId: null } }));
  const hand = person();
  make();
  await press(hand, 'Bisque');
  await press(hand, 'Make it');
  expect(await screen.findByText(/Scratch the code into each/)).toBeTruthy();
  await press(hand, 'Make more like it');
  await press(hand, 'Glaze');
  await press(hand, 'Make it');
  expect(await screen.findByText(/Write the code on the foot of each/)).toBeTruthy();
  expect(screen.queryByText(/Scratch/)).toBeNull();
});
