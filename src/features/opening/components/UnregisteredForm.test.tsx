import { named, person, press, router, screen, server, show } from '../../../../test-support/dom';

const { UnregisteredForm, howMany } = await import('./UnregisteredForm');

test.each([
  ['27', { count: 27, marks: [] }],
  [' 3 ', { count: 3, marks: [] }],
  ['1-3', { count: 3, marks: ['1', '2', '3'] }],
  ['A, B', { count: 2, marks: ['A', 'B'] }],
  ['9-3', null],
  ['', null],
])('“%s”', (text, many) => {
  expect(howMany(text)).toEqual(many);
});

const ID = '0192c7cd-5baa-71a4-a619-90db87e81';
const form = () =>
  show(
    <UnregisteredForm
      bodies={[{ id: `${ID}001`, name: 'Peat' }]}
      kilns={[{ id: `${ID}002`, name: 'Marta' }]}
      firings={[{ id: `${ID}003`, name: 'Marta 36, 2 May' }]}
      start={{
        body: { id: `${ID}001`, name: 'Peat' },
        form: 'mug',
        firing: { id: `${ID}003`, kilnId: null, on: null, cone: null, shown: false, atmosphere: 'unknown' },
      }}
    />,
  );

test('a number and one touch: the opening begins', async () => {
  const sent = server(() => ({ ok: true, data: { firingId: 'f' } }));
  const hand = person();
  form();
  await hand.type(named('How many, or what is written on them'), '27');
  await press(hand, 'Begin with 27 pieces');
  const input = sent[0]!.body.input as { pieceIds: string[]; marks: string[]; firing: object };
  expect([new Set(input.pieceIds).size, input.marks, input.firing]).toEqual([
    27,
    [],
    expect.objectContaining({ id: `${ID}003` }),
  ]);
  expect(router.push).toHaveBeenCalledWith('/opening/f');
});

test('the same things keep their ids while the number is typed; none at all is refused beside its field', async () => {
  const sent = server(() => ({ ok: false, problem: { code: 'failed', message: 'x' } }));
  const hand = person();
  form();
  await press(hand, 'Begin the opening');
  expect(sent).toEqual([]);
  await hand.type(named('How many, or what is written on them'), '2');
  await press(hand, 'Begin with 2 pieces');
  await hand.type(named('How many, or what is written on them'), '{Backspace}3');
  await press(hand, 'Begin with 3 pieces');
  const ids = sent.map(({ body }) => (body.input as { pieceIds: string[] }).pieceIds);
  expect([ids[0]!.length, ids[1]!.length]).toEqual([2, 3]);
  expect(screen.getByRole('alert')).toBeTruthy();
});
