import { named, person, press, router, screen, server, show } from '../../../../test-support/dom';

const { Knowledge } = await import('./Knowledge');
const { Starts } = await import('./Starts');

test('what is looked for is found by fault, cause and remedy; nothing is said to be nothing', async () => {
  const hand = person();
  show(<Knowledge said={[]} mayDisagree={false} />);
  const search = named('Search faults, causes and remedies');
  await hand.type(search, 'element');
  expect(screen.getByRole('heading', { name: 'Kiln spots' })).toBeTruthy();
  expect(screen.queryByRole('heading', { name: 'Crazing' })).toBeNull();
  await hand.clear(search);
  await hand.type(search, 'zzz');
  expect(screen.getByText('Nothing here speaks of “zzz”.')).toBeTruthy();
});

test('a technician says otherwise with a reason; without one the server says why not, and nothing is lost', async () => {
  let refuse = true;
  const sent = server(() =>
    refuse
      ? { ok: false, problem: { code: 'invalid', message: 'Say why, for whoever reads it later.' } }
      : { ok: true, data: null },
  );
  const hand = person();
  show(<Knowledge said={[]} mayDisagree />);
  await hand.type(named('Search faults, causes and remedies'), 'quartz jumps at 573');
  await press(hand, 'Not so here …');
  await press(hand, 'Keep it');
  expect(await screen.findByText('Say why, for whoever reads it later.')).toBeTruthy();
  await hand.type(named('Because'), 'Our kilns cool for two days.');
  refuse = false;
  await press(hand, 'Keep it');
  expect(sent.at(-1)!.body.input).toEqual({
    cause: 'cooled-fast',
    off: false,
    factor: 1,
    reason: 'Our kilns cool for two days.',
  });
  expect(router.refresh).toHaveBeenCalled();
});

test('what was said here stands beside the cause, with who said it', async () => {
  const said = [{ cause: 'lime', off: true, factor: 1, reason: 'We wash our clay.', by: 'Iben' }];
  const hand = person();
  show(<Knowledge said={said} mayDisagree={false} />);
  await hand.type(named('Search faults, causes and remedies'), 'lime pops');
  expect(screen.getByText(/turned off here/)).toBeTruthy();
  expect(screen.getByText('Iben: We wash our clay.')).toBeTruthy();
});

test('a fault in the hand begins a case by its drawing; what needs a flame is left out without one', async () => {
  const sent = server(() => ({ ok: true, data: { id: 'c1', no: 1 } }));
  const hand = person();
  show(<Starts fuel={false} />);
  expect(screen.queryByRole('button', { name: /^Copper red lost/ })).toBeNull();
  await press(hand, /^Blisters/);
  expect(sent[0]!.body.input).toEqual({ complaints: ['blister'] });
  expect(router.push).toHaveBeenCalledWith('/clinic/cases/c1');
});
