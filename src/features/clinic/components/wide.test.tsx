import { person, press, router, screen, server, show } from '../../../../test-support/dom';

const { OpenWideCase } = await import('./OpenWideCase');
const { Contradicts } = await import('./Contradicts');
const { NowWith } = await import('./NowWith');

const ID = '0192c7cd-5baa-71a4-a619-90db87e84771';

test('of a coating: a touch asks why of what was seen most; a colour that is off is named on the sheet', async () => {
  const sent = server(() => ({ ok: true, data: { id: ID, no: 4 } }));
  const hand = person();
  const seen = [
    { sign: 'pit', name: 'Pits', times: 22 },
    { sign: 'off-colour', name: 'Colour off', times: 16 },
  ];
  show(<OpenWideCase of={{ kind: 'coating', id: ID }} seen={seen} open={[{ id: ID, no: 3 }]} />);
  expect(screen.getByRole('link', { name: 'Case 3' }).getAttribute('href')).toBe(`/clinic/cases/${ID}`);
  expect(screen.getByRole('link', { name: /Something else/ }).getAttribute('href')).toBe(
    `/clinic?coating=${ID}`,
  );
  await press(hand, 'Why pits? (22)');
  await press(hand, 'Why colour off? (16)');
  expect(sent.map(({ body }) => body.input)).toEqual([
    { coatingId: ID, complaints: ['pit'] },
    { coatingId: ID, complaints: [] },
  ]);
  expect(router.push).toHaveBeenCalledWith(`/clinic/cases/${ID}`);
});

test('what does not go together is shown, and asked again by a touch', async () => {
  const hand = person();
  const asked: string[] = [];
  show(<Contradicts facts={{ stack: 'single', order: 'both' }} onAsk={(fact) => asked.push(fact)} />);
  expect(screen.getByRole('note').textContent).toContain('there is only one coat');
  await hand.click(screen.getAllByRole('button', { name: 'Put this right' })[1]!);
  expect(asked).toEqual(['order']);
});

test('what goes together says nothing; of several complaints each says what to do now', () => {
  const { container, unmount } = show(<Contradicts facts={{ stack: 'single' }} onAsk={() => undefined} />);
  expect(container.querySelector('[role=note]')).toBeNull();
  unmount();
  show(<NowWith complaints={['shivering', 'running']} one={false} />);
  expect(screen.getByRole('heading', { name: 'With these pieces now' })).toBeTruthy();
  expect(screen.getByText(/Nothing heals it/)).toBeTruthy();
  expect(screen.getByText(/ground flat and smooth/)).toBeTruthy();
});
