import { person, press, screen, server, show } from '../../../test-support/dom';

const { TakeAsControl } = await import('./components/TakeAsControl');
const { PutControlIn } = await import('./components/PutControlIn');

const id = (n: number) => `0192c7cd-5baa-71a4-a619-90db87e8100${n}`;

test('a cell becomes the control with one touch, and what was the control before is back with another', async () => {
  const before = { control: { bodyId: id(1), slips: '', stackKey: 'tarn#1 dip×1' } };
  const sent = server(() => ({ ok: true, data: { before } }));
  const hand = person();
  show(<TakeAsControl cellId={'a'.repeat(32)} />);
  await press(hand, 'Make it the control');
  await screen.findByText(/This is the studio’s control now/);
  await press(hand, 'Undo');
  expect(sent.map(({ path, body }) => [path, body.input])).toEqual([
    ['/api/act/control.cell', { cellId: 'a'.repeat(32) }],
    ['/api/act/control.say', before],
  ]);
});

test('the tile that waits is put in, and taken out again; a refusal is said where it was asked', async () => {
  let ok = false;
  const sent = server(() =>
    ok
      ? { ok: true, data: { placementIds: [id(7)] } }
      : { ok: false, problem: { code: 'refused', message: 'K3RV1 is in Gable 4 already.' } },
  );
  const hand = person();
  show(<PutControlIn firingId={id(9)} piece={{ id: id(1), code: 'K3RV1' }} />);
  await press(hand, 'Put K3RV1 in');
  await screen.findByText('K3RV1 is in Gable 4 already.');
  ok = true;
  await press(hand, 'Put K3RV1 in');
  await screen.findByText('K3RV1 is in this firing');
  await press(hand, 'Undo');
  expect(sent.at(-1)).toMatchObject({
    path: '/api/act/loading.take-out',
    body: { input: { firingId: id(9), placementIds: [id(7)] } },
  });
});
