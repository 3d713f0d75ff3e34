import { named, person, press, router, screen, server, show } from '../../../../test-support/dom';

const { UseTestForm } = await import('./UseTestForm');
const { Strike } = await import('./Strike');

const ID = '0192c7cd-5baa-71a4-a619-90db87e84771';
const choose = async (hand: ReturnType<typeof person>, label: string, option: RegExp | string) => {
  await hand.click(screen.getByRole('combobox', { name: label }));
  await hand.click(screen.getByRole('option', { name: option }));
};

test('what is asked follows from the test: cycles of ice water, with its caution and what was found', async () => {
  const sent = server(() => ({ ok: true, data: { id: ID } }));
  const hand = person();
  show(<UseTestForm pieceId={ID} today="2026-05-03" />);
  expect(screen.getByRole('note').textContent).toMatch(/Goggles/);
  await choose(hand, 'What was found', 'it crazed');
  await hand.type(named('How many cycles'), '3');
  await press(hand, 'Write it down');
  expect(sent.at(-1)!.body.input).toMatchObject({
    kind: 'ice',
    outcome: 'crazed',
    rounds: 3,
    doneOn: '2026-05-03',
    dueOn: null,
  });
  expect(router.refresh).toHaveBeenCalled();
});

test('absorption is weighed, not judged; what is worth doing again says when', async () => {
  const sent = server(() => ({ ok: true, data: { id: ID } }));
  const hand = person();
  show(<UseTestForm pieceId={ID} today="2026-05-03" />);
  await choose(hand, 'Which test', 'Absorption');
  expect(screen.queryByRole('combobox', { name: 'What was found' })).toBeNull();
  await hand.type(named('Dry, g'), '200');
  await press(hand, 'Write it down');
  // The soaked weight is missing: nothing is sent.
  expect(sent).toHaveLength(0);
  await hand.type(named('Soaked, g'), '204');
  await press(hand, 'Write it down');
  expect(sent.at(-1)!.body.input).toMatchObject({
    kind: 'absorption',
    outcome: 'weighed',
    dryG: 200,
    wetG: 204,
  });
  await choose(hand, 'Which test', 'Dishwasher rounds');
  await choose(hand, 'What was found', 'as its twin');
  await press(hand, 'Write it down');
  expect(sent.at(-1)!.body.input).toMatchObject({ kind: 'dishwasher', dueOn: '2026-08-01' });
});

test('a test that was wrong is struck, and that can be taken back', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<Strike id={ID} />);
  await press(hand, 'Strike it');
  await press(hand, 'Undo');
  expect(sent.map(({ body }) => body.input)).toEqual([
    { id: ID, dropped: true },
    { id: ID, dropped: false },
  ]);
});
