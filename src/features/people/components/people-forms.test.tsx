import { named, person, press, router, screen, server, show } from '../../../../test-support/dom';

const { FirstRunForm, ResetForm, SignInForm } = await import('./DoorForms');
const { StudioForm } = await import('./StudioForm');
const { PeopleList } = await import('./PeopleList');
const { ShareLinks } = await import('./ShareLinks');
const { Account } = await import('./Account');
const { Devices } = await import('./Devices');

const refused = (problem: object) => () => ({ ok: false, problem });
beforeEach(() => localStorage.clear());

test('the first page makes studio and technician through its door, and keeps no password on the device', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<FirstRunForm />);
  await hand.type(named('Studio’s name'), 'Kiln Lane');
  await hand.type(named('Your name'), 'Ada');
  await hand.type(named('Sign-in name'), 'ada');
  await hand.type(named('Password'), 'short');
  await press(hand, 'Open the studio');
  expect(await screen.findByText(/at least ten characters; a short sentence/)).toBeTruthy();
  expect([named('Studio’s name').value, sent.length]).toEqual(['Kiln Lane', 0]);
  await hand.type(named('Password'), ' but longer now');
  await press(hand, 'Open the studio');
  expect(sent).toMatchObject([
    {
      path: '/api/door/first-run',
      body: { studio: { name: 'Kiln Lane', crackAtC: 100 }, name: 'Ada', login: 'ada' },
    },
  ]);
  expect(router.replace).toHaveBeenCalledWith('/');
  expect(JSON.stringify({ ...localStorage })).not.toContain('short but longer now');
});

test('a wrong password is said beside its field and the name stays', async () => {
  const message = 'Name or password is not right.';
  server(refused({ code: 'invalid', message, fields: { password: message } }));
  const hand = person();
  show(<SignInForm />);
  await hand.type(named('Sign-in name'), 'ada');
  await hand.type(named('Password'), 'a wrong one');
  await press(hand, 'Sign in');
  expect(await screen.findAllByText(message)).toHaveLength(2);
  expect(named('Sign-in name').value).toBe('ada');
  expect(router.replace).not.toHaveBeenCalled();
});

const STUDIO = {
  name: 'Yard',
  timeZone: 'UTC',
  temperatureUnit: 'F',
  lengthUnit: 'mm',
  massUnit: 'g',
  crackAtC: 100,
  unloadAtC: 40,
} as const;

test('settings are typed in the studio’s scale, kept in °C, and saved once they are changed', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<StudioForm studio={STUDIO} />, {
    units: { temperature: 'F', length: 'mm', mass: 'g' },
  });
  const save = screen.getByRole<HTMLButtonElement>('button', { name: 'Save settings' });
  expect([save.disabled, named('Crack the lid below, °F').value]).toEqual([true, '212']);
  await hand.clear(named('Crack the lid below, °F'));
  await hand.type(named('Crack the lid below, °F'), '700');
  await hand.click(save);
  expect(await screen.findByText(/Not above 572 °F/)).toBeTruthy();
  await hand.clear(named('Crack the lid below, °F'));
  await hand.type(named('Crack the lid below, °F'), '302');
  await hand.click(save);
  await screen.findByText('Settings saved');
  expect(sent.map(({ body }) => body.input)).toEqual([{ studio: { ...STUDIO, crackAtC: 150 } }]);
  expect(save.disabled).toBe(true);
});

test('an invitation’s link is shown once it is made; a role given is said', async () => {
  const sent = server(({ path }) => ({
    ok: true,
    data: path.endsWith('invite') ? { token: 'abc' } : null,
  }));
  const hand = person();
  const bram = { id: 'p2', name: 'Bram', login: 'bram', role: 'student', disabled: false } as const;
  show(<PeopleList people={[bram]} invitations={[]} own="p1" backups={[]} />);
  await press(hand, 'Make invitation');
  expect(await screen.findByText('Give a name.')).toBeTruthy();
  await hand.type(named('Invite somebody'), 'Effie');
  await press(hand, 'Make invitation');
  expect(await screen.findByText('http://localhost/invite/abc')).toBeTruthy();
  expect(sent[0]!.body.input).toEqual({ name: 'Effie', role: 'student' });
  expect(named('Invite somebody').value).toBe('');
  await press(hand, 'Stop signing in');
  await screen.findByText('Bram may not sign in any more');
  await press(hand, 'Undo');
  expect(sent.slice(1).map(({ body }) => body.input)).toEqual([
    { personId: 'p2', disabled: true },
    { personId: 'p2', disabled: false },
  ]);
});

test('a share link is made for a time or until it is revoked', async () => {
  const sent = server(() => ({ ok: true, data: { token: 'xyz' } }));
  const hand = person();
  show(<ShareLinks links={[]} now={new Date(0)} timeZone="UTC" view="?body=peat" />);
  await hand.type(named('Share the chart with'), 'Tuesday class');
  await press(hand, 'Make share link');
  expect(await screen.findByText('http://localhost/s/xyz')).toBeTruthy();
  await hand.type(named('Share the chart with'), 'Everybody');
  await hand.click(named('for'));
  await hand.click(screen.getByRole('option', { name: 'until it is revoked' }));
  await press(hand, 'Make share link');
  expect(sent.map(({ body }) => body.input)).toEqual([
    { label: 'Tuesday class', view: '?body=peat', days: 90 },
    { label: 'Everybody', view: '?body=peat', days: null },
  ]);
});

test('a password form that is left keeps nothing of it', async () => {
  const hand = person();
  show(<Account />);
  await press(hand, 'Change password');
  await hand.type(named('New password'), 'a very secret one');
  await press(hand, 'Leave it');
  expect(screen.queryByLabelText('New password')).toBeNull();
  expect(JSON.stringify({ ...localStorage })).not.toContain('secret');
});

test('a forgotten password is asked for once and goes through its door with the link', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  show(<ResetForm token="from-the-link" />);
  await hand.type(named('New password'), 'a very new one');
  await press(hand, 'Set it and sign in');
  expect(sent).toMatchObject([
    { path: '/api/door/reset', body: { token: 'from-the-link', password: 'a very new one' } },
  ]);
  expect(router.replace).toHaveBeenCalledWith('/');
});

test('a technician gives a link for a new password, to others who may sign in', async () => {
  server(() => ({ ok: true, data: { token: 'opens-once' } }));
  const hand = person();
  const one = { login: 'x', role: 'student', disabled: false } as const;
  const people = [
    { ...one, id: 'me', name: 'Iben' },
    { ...one, id: 'noor', name: 'Noor' },
    { ...one, id: 'gone', name: 'Wim', disabled: true },
  ];
  show(<PeopleList people={people} invitations={[]} own="me" backups={[]} />);
  const offered = screen.getAllByRole('button', { name: /^New password for/ });
  expect(offered.map((button) => button.getAttribute('aria-label'))).toEqual(['New password for Noor']);
  await hand.click(offered[0]!);
  const link = await screen.findByRole('link', { name: /reset/ });
  expect(link.getAttribute('href')).toMatch(/\/reset\/opens-once$/);
  expect(screen.getByText(/opens once, within a day/)).toBeTruthy();
});

test('one signs out elsewhere one by one or at once, never here by mistake', async () => {
  const at = new Date('2026-03-01T10:00:00Z');
  const session = (id: string, device: string, here = false) => ({ id, device, here, since: at, seen: at });
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  const { rerender } = show(
    <Devices
      timeZone="UTC"
      sessions={[session('a', 'Firefox on Linux', true), session('b', 'Chrome on Android'), session('c', '')]}
    />,
  );
  expect(screen.queryByRole('button', { name: 'Sign out there: Firefox on Linux' })).toBeNull();
  expect(screen.getByText('Firefox on Linux (this one)')).toBeTruthy();
  await press(hand, 'Sign out there: Chrome on Android');
  await press(hand, 'Sign out everywhere else');
  expect(sent.map(({ path, body }) => [path, body.input])).toEqual([
    ['/api/act/people.end-session', { sessionId: 'b' }],
    ['/api/act/people.end-other-sessions', {}],
  ]);
  const many = Array.from({ length: 9 }, (_, i) => session(`s${i}`, `Phone ${i}`));
  rerender(<Devices timeZone="UTC" sessions={[session('a', 'Firefox on Linux', true), ...many]} />);
  expect(screen.queryByText('Phone 8')).toBeNull();
  await press(hand, '6 more');
  expect(screen.getByText('Phone 8')).toBeTruthy();
  rerender(<Devices timeZone="UTC" sessions={[session('a', 'Firefox on Linux', true)]} />);
  expect(screen.queryByRole('button')).toBeNull();
});

test('a name is taken out only of somebody who may not sign in, and only when it is typed', async () => {
  const sent = server(() => ({ ok: true, data: null }));
  const hand = person();
  const one = { login: 'x', role: 'student', disabled: true } as const;
  const people = [
    { ...one, id: 'wim', name: 'Wim' },
    { ...one, id: 'gone', name: 'Somebody who left' },
    { ...one, id: 'noor', name: 'Noor', disabled: false },
  ];
  show(<PeopleList people={people} invitations={[]} own="me" backups={['1 Mar, 03:10', '2 Mar, 03:10']} />);
  const record = screen.getByRole('link', { name: 'On record: Wim' });
  expect(record.getAttribute('href')).toBe('/api/people/wim');
  expect(screen.queryByRole('link', { name: 'On record: Noor' })).toBeNull();
  const offered = screen.getAllByRole('button', { name: /^Take out name …/ });
  expect(offered).toHaveLength(1);
  await hand.click(offered[0]!);
  expect(screen.getByText(/2 backups of 1 Mar, 03:10; 2 Mar, 03:10/)).toBeTruthy();
  const go = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Take it out' });
  await hand.type(named('Type “Wim”'), 'Wi');
  expect(go().disabled).toBe(true);
  await hand.type(named('Type “Wim”'), 'm');
  await hand.click(go());
  expect(sent).toMatchObject([
    { path: '/api/act/people.forget-name', body: { input: { personId: 'wim', name: 'Wim' } } },
  ]);
});
