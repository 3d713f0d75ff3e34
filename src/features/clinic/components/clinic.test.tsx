import { person, press, router, screen, server, show, within } from '../../../../test-support/dom';
import type { CaseView } from '../queries';

const { CaseSheet } = await import('./CaseSheet');
const { Why } = await import('./Why');

const ID = '0192c7cd-5baa-71a4-a619-90db87e84771';
const view = (rest: Partial<CaseView> = {}, one: Partial<CaseView['one']> = {}): CaseView => ({
  one: {
    id: ID,
    no: 7,
    code: 'PXTHW',
    complaints: ['lime-pop'],
    turnedOut: null,
    closedByName: null,
    closedAt: null,
    closingNote: '',
    revision: 3,
    ...one,
  },
  told: [],
  said: [],
  missing: [],
  pictures: [],
  confirmed: [],
  disagreed: [],
  firing: null,
  contrasts: [],
  itself: { sha: null, cut: null },
  test: null,
  place: { bodyId: 'b', stack: 'tarn', stackKey: 'tarn#1 dip×1' },
  over: null,
  corrected: null,
  ...rest,
});
const first = (): HTMLElement =>
  within(screen.getByRole('list', { name: 'Causes, the likeliest first' })).getAllByRole('listitem')[0]!;

test('an answer changes the order before the server has said anything, and is sent as it was touched', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<CaseSheet view={view()} mayMake mayMix />);
  expect(first().textContent).toContain('Lime in the clay');
  // The caution stands above it all.
  expect(screen.getByText(/Throws sharp chips/)).toBeTruthy();
  await press(hand, 'a soft chip, as of plaster');
  expect(first().textContent).toContain('Plaster in the clay');
  expect(sent[0]!.body.input).toEqual({ caseId: ID, fact: 'pop', value: 'soft' });
});

test('an answer that did not arrive is taken back by itself and said to be; the next stands', async () => {
  server(({ body }) =>
    (body.input as { fact: string }).fact === 'pop'
      ? { ok: false, problem: { code: 'failed', message: 'It did not arrive.' } }
      : { ok: true, data: null },
  );
  const hand = person();
  show(<CaseSheet view={view()} mayMake mayMix />);
  await press(hand, 'a soft chip, as of plaster');
  expect(await screen.findByText('It did not arrive.')).toBeTruthy();
  expect(first().textContent).toContain('Lime in the clay');
  expect(screen.getByRole('heading', { name: 'What is at the bottom of the pop?' })).toBeTruthy();
});

test('what nobody knows is not asked again, and what the records say is shown with what was said', async () => {
  server(() => ({ ok: true, data: null }));
  const hand = person();
  const told = [{ fact: 'plaster', value: 'none', words: 'no plaster in this house' }];
  const said = [{ fact: 'plaster', value: 'near', by: 'Tomasz', at: '2026-01-01T00:00:00Z' }];
  show(<CaseSheet view={view({ told, said })} mayMake mayMix />);
  expect(screen.getByText(/the records say otherwise: no \(no plaster in this house\)/)).toBeTruthy();
  const asked = screen.getByRole('heading', { name: 'What is at the bottom of the pop?' });
  await press(hand, 'Nobody knows');
  expect(asked.textContent).not.toBe('What is at the bottom of the pop?');
});

test('a colour that is off says not which: that is asked first', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<CaseSheet view={view({}, { complaints: [] })} mayMake mayMix />);
  expect(screen.getByRole('heading', { name: 'Which is it?' })).toBeTruthy();
  expect(screen.queryByText('Why, likely')).toBeNull();
  await press(hand, /^Copper red lost/);
  expect(screen.getByText('Why, likely')).toBeTruthy();
  expect(sent[0]!.body.input).toMatchObject({ complaints: ['copper-red'], revision: 3 });
});

test('a test whose tiles are written up is asked before any look; tiles are made by who may', async () => {
  const sent = server(() => ({ ok: true, data: { no: 12, tiles: 3 } }));
  const hand = person();
  const pits = { complaints: ['pit'] };
  const { unmount } = show(<CaseSheet view={view({}, pits)} mayMake mayMix />);
  await hand.click(screen.getAllByRole('button', { name: 'Make its tiles' })[0]!);
  expect(sent[0]!.body.input).toMatchObject({ caseId: ID, revision: 3 });
  expect(router.push).toHaveBeenCalledWith('/tests/questions/12');
  unmount();
  show(
    <CaseSheet
      view={view({ test: { no: 12, tiles: 3, seen: 3, fact: null } }, pits)}
      mayMake={false}
      mayMix={false}
    />,
  );
  expect(screen.queryByRole('button', { name: 'Make its tiles' })).toBeNull();
  expect(
    screen.getAllByRole('heading').some(({ textContent }) => /^What did .* show\?$/.test(textContent ?? '')),
  ).toBe(true);
});

test('a closed case says what it was, and asks nothing more', () => {
  const closed = {
    turnedOut: ['plaster'],
    closedByName: 'Iben',
    closedAt: new Date(),
    closingNote: 'Under the lens.',
  };
  show(<CaseSheet view={view({}, closed)} mayMake mayMix />);
  expect(screen.getByText('Under the lens.')).toBeTruthy();
  expect(screen.queryByRole('button', { name: 'Nobody knows' })).toBeNull();
  expect(screen.getByRole('button', { name: 'Open it again' })).toBeTruthy();
});

test('“Why?” opens a case of what was seen, or goes on with the one that is open', async () => {
  const sent = server(() => ({ ok: true, data: { id: ID, no: 7 } }));
  const hand = person();
  const { unmount } = show(<Why pieceId={ID} firingId={ID} signs={['pit', 'off-colour']} open={null} />);
  await press(hand, 'Why?');
  expect(sent[0]!.body.input).toMatchObject({ pieceId: ID, complaints: ['pit'] });
  expect(router.push).toHaveBeenCalledWith(`/clinic/cases/${ID}`);
  unmount();
  show(<Why pieceId={ID} firingId={ID} signs={['pit']} open={ID} />);
  expect(screen.getByText('Its case in the clinic').getAttribute('href')).toBe(`/clinic/cases/${ID}`);
});
