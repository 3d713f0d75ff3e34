import { named, person, press, screen, server, show } from '../../../../test-support/dom';

const { PutRight } = await import('./PutRight');

const pieces = ['AAA', 'BBB', 'CCC'].map((code) => ({ id: `id-${code}`, code }));
const form = (some = pieces) =>
  show(
    <PutRight
      pieces={some}
      bodies={[{ id: 'b1', name: 'Saltbox' }]}
      people={[{ id: 'p1', name: 'Noor' }]}
      label="Put right …"
    />,
  );
const choose = async (hand: ReturnType<typeof person>, label: string, option: string) => {
  await hand.click(screen.getByRole('combobox', { name: label }));
  await hand.click(await screen.findByRole('option', { name: option }));
};
const save = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Put right' });

test('only what is chosen changes, for all in one act, and the answer is the undo', async () => {
  const before = [{ pieceIds: ['id-AAA'], to: { bodyId: 'b0' } }];
  const sent = server(() => ({ ok: true, data: { before } }));
  const hand = person();
  form();
  await press(hand, 'Put right …');
  expect(save().disabled).toBe(true);
  await choose(hand, 'Body', 'Saltbox');
  await choose(hand, 'Belongs to', 'the studio');
  await choose(hand, 'Layers', 'as on BBB');
  await press(hand, 'Put right');
  await screen.findByText('3 pieces put right; the chart follows');
  expect(sent[0]).toMatchObject({ path: '/api/act/pieces.put-right' });
  expect(sent[0]!.body.input).toEqual({
    changes: [
      {
        pieceIds: ['id-AAA', 'id-BBB', 'id-CCC'],
        to: { bodyId: 'b1', ownerId: null, layersLike: 'id-BBB' },
      },
    ],
  });
  await press(hand, 'Undo');
  expect(sent[1]).toMatchObject({
    path: '/api/act/pieces.put-back',
    body: { input: { changes: before } },
  });
});

test('a series of marks goes on in the order of the list; too many, or backwards, is said', async () => {
  const sent = server(() => ({ ok: true, data: { before: [] } }));
  const hand = person();
  form();
  await press(hand, 'Put right …');
  const marks = named(/^Marks/);
  await hand.type(marks, '9-3');
  expect(screen.getByText('A range goes up, and not on for ever.')).toBeTruthy();
  expect(save().disabled).toBe(true);
  await hand.clear(marks);
  await hand.type(marks, '1-9');
  expect(screen.getByText('9 marks for 3 pieces.')).toBeTruthy();
  await hand.clear(marks);
  await hand.type(marks, '1–3');
  expect(screen.getByText('1 on AAA … 3 on CCC')).toBeTruthy();
  await press(hand, 'Put right');
  await screen.findByText(/put right/);
  expect(sent[0]!.body.input).toEqual({
    changes: ['1', '2', '3'].map((mark, i) => ({ pieceIds: [pieces[i]!.id], to: { mark } })),
  });
});

test('one piece has one mark and no other to take layers from', async () => {
  const hand = person();
  form(pieces.slice(0, 1));
  await press(hand, 'Put right …');
  expect(named('Mark')).toBeTruthy();
  expect(screen.queryByRole('combobox', { name: 'Layers' })).toBeNull();
});
