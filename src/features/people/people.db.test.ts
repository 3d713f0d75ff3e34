import { SOMEBODY } from '@/core/studio';
import { recordOfPerson } from '@/data/leaving';
import { findShareLink, listPeople, type Person } from '@/data/people';
import {
  createSession,
  findResetLink,
  findSession,
  isKnownDevice,
  knowDevice,
  listSessions,
  SESSION_DAYS,
} from '@/data/sessions';
import { database } from '@/platform/database';
import { WRONG_TRIES } from '@/platform/limits';
import { Refusal } from '@/platform/refusal';
import { emptyDatabase, nameOf, pointAt } from '../../../test-support/database';
import { makeInput, testStudio, type TestStudio } from '../../../test-support/studio';
import { acceptInvitation, checkSignIn, firstRun, resetPassword } from './door';
import { firstRunSchema, studioSchema } from './contracts';

const SETUP = {
  studio: {
    name: 'Yard',
    timeZone: 'Europe/Lisbon',
    temperatureUnit: 'C',
    lengthUnit: 'mm',
    massUnit: 'g',
    crackAtC: 100,
    unloadAtC: 40,
  },
  name: 'Iben',
  login: 'iben',
  password: 'a long enough one',
} as const;
const refusal = async (work: Promise<unknown>): Promise<string> =>
  work.then(
    () => 'nothing was refused',
    (error: unknown) => (error instanceof Refusal ? error.message : `not civil: ${String(error)}`),
  );

const strange = (address: string) => ({ address, device: null });
const DAY = 86_400_000;

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(async () => {
  await studio.db.destroy();
  await database().destroy();
});

test('the first run makes the studio and its technician once, even when two try at once', async () => {
  const db = await emptyDatabase();
  const tries = await Promise.allSettled([
    firstRun(db, SETUP, new Date()),
    firstRun(db, { ...SETUP, login: 'other' }, new Date()),
  ]);
  expect(tries.filter((one) => one.status === 'fulfilled')).toHaveLength(1);
  expect(await listPeople(db)).toMatchObject([{ role: 'technician' }]);
  expect(await refusal(firstRun(db, SETUP, new Date()))).toContain('set up already');
  await db.destroy();
  pointAt(nameOf(studio.db));
});

test('settings that cannot be are refused with the reason', () => {
  expect(studioSchema.safeParse({ ...SETUP.studio, timeZone: 'Moon/Tranquility' }).success).toBe(false);
  expect(studioSchema.safeParse({ ...SETUP.studio, crackAtC: 600 }).success).toBe(false);
  expect(firstRunSchema.safeParse({ ...SETUP, password: 'short' }).success).toBe(false);
  expect(firstRunSchema.safeParse(SETUP).success).toBe(true);
});

test('an invitation opens once, gives its role, and guessing passwords is slowed down', async () => {
  const { token } = await studio.must<{ token: string }>('people.invite', {
    name: 'Noor',
    role: 'student',
  });
  const accept = (login: string) =>
    acceptInvitation(studio.db, { token, name: 'Noor', login, password: 'glaze every day' }, new Date());
  expect(await refusal(accept('tech'))).toContain('taken');
  const id = await accept('noor');
  expect(await refusal(accept('noor2'))).toContain('used already');
  expect((await listPeople(studio.db)).find((person) => person.id === id)?.role).toBe('student');
  expect(await checkSignIn(studio.db, { login: 'noor', password: 'glaze every day' }, strange('a'))).toBe(id);
  for (let i = 0; i < WRONG_TRIES.pair; i++)
    expect(
      await refusal(checkSignIn(studio.db, { login: 'noor', password: 'wrong' }, strange('a'))),
    ).toContain('not right');
  expect(
    await refusal(checkSignIn(studio.db, { login: 'noor', password: 'glaze every day' }, strange('a'))),
  ).toContain('Too many tries');
  expect(
    await refusal(checkSignIn(studio.db, { login: 'nobody', password: 'wrong' }, strange('a'))),
  ).toContain('not right');
});

test('a class signs in at once behind one address; guessing from everywhere is slowed down for the name alone', async () => {
  const sign = (login: string, password: string, address: string) =>
    refusal(checkSignIn(studio.db, { login, password }, strange(address)));
  const { token } = await studio.must<{ token: string }>('people.invite', {
    name: 'Wim',
    role: 'student',
  });
  const person = { name: 'Wim', login: 'wim', password: 'glaze every day' };
  await acceptInvitation(studio.db, { token, ...person }, new Date());
  for (let i = 0; i < 30; i++)
    expect(await sign('wim', 'glaze every day', 'class')).toBe('nothing was refused');
  // Eight wrong ones from one address leave the others free.
  for (let i = 0; i < WRONG_TRIES.pair; i++) await sign('wim', 'wrong', 'far away');
  expect(await sign('wim', 'glaze every day', 'far away')).toContain('Too many tries');
  expect(await sign('wim', 'glaze every day', 'class')).toBe('nothing was refused');
  for (let i = WRONG_TRIES.pair; i < WRONG_TRIES.account; i++) await sign('wim', 'wrong', `a${i}`);
  expect(await sign('wim', 'wrong', 'yet another')).toContain('Too many tries');
}, 120_000);

test('a change of password is not for guessing, and ends the other sessions', async () => {
  const { token } = await studio.must<{ token: string }>('people.invite', {
    name: 'Ute',
    role: 'student',
  });
  const person = { name: 'Ute', login: 'ute', password: 'glaze every day' };
  const id = await acceptInvitation(studio.db, { token, ...person }, new Date());
  const ute = (await listPeople(studio.db)).find((one) => one.id === id)!;
  const now = new Date();
  const session = await createSession(studio.db, id, now);
  const change = (current: string) =>
    studio.act('people.change-password', { current, next: 'another long one' }, ute);
  expect(await change('glaze every day')).toMatchObject({ ok: true });
  const kept = await studio.db('operation').where({ name: 'people.change-password' }).first();
  expect([kept.asked, JSON.stringify(kept).includes('glaze every day')]).toEqual([null, false]);
  expect(await findSession(studio.db, session, now)).toBeNull();
  for (let i = 0; i < WRONG_TRIES.change; i++)
    expect(await change(`wrong ${i}`)).toMatchObject({ problem: { code: 'invalid' } });
  expect(await change('another long one')).toMatchObject({ problem: { code: 'too-many' } });
}, 60_000);

test('invitations run out and can be withdrawn', async () => {
  const { token } = await studio.must<{ token: string }>('people.invite', {
    name: 'Late',
    role: 'teacher',
  });
  const late = new Date(Date.now() + 15 * 86_400_000);
  expect(
    await refusal(
      acceptInvitation(studio.db, { token, name: 'Late', login: 'late', password: 'glaze every day' }, late),
    ),
  ).toContain('run out');
});

test('the last technician can neither be demoted nor shut out', async () => {
  const only = studio.technician.id;
  expect(await studio.act('people.set-role', { personId: only, role: 'student' })).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('only technician') as string },
  });
  expect((await studio.act('people.disable', { personId: only, disabled: true })).ok).toBe(false);
  await studio.must('people.set-role', { personId: studio.teacher.id, role: 'technician' });
  const race = await Promise.all([
    studio.act('people.set-role', { personId: only, role: 'teacher' }),
    studio.act('people.set-role', { personId: studio.teacher.id, role: 'teacher' }),
  ]);
  expect(race.filter((answer) => answer.ok)).toHaveLength(1);
});

/** Somebody who came by invitation, with a password. */
async function joined(login: string): Promise<Person> {
  const { token } = await studio.must<{ token: string }>('people.invite', {
    name: login,
    role: 'student',
  });
  const person = { name: login, login, password: 'glaze every day' };
  const id = await acceptInvitation(studio.db, { token, ...person }, new Date());
  return (await listPeople(studio.db)).find((one) => one.id === id)!;
}

test('guessing from everywhere does not lock somebody out of a device they know', async () => {
  const ada = await joined('ada');
  const now = new Date();
  await knowDevice(studio.db, ada.id, 'her phone', now);
  const sign = (password: string, address: string, device: string | null) =>
    refusal(checkSignIn(studio.db, { login: 'ada', password }, { address, device }));
  for (let i = 0; i < WRONG_TRIES.account; i++) await sign('wrong', `spray ${i}`, null);
  expect(await sign('glaze every day', 'home', null)).toContain('Too many tries');
  expect(await sign('glaze every day', 'home', 'a forged device')).toContain('Too many tries');
  expect(await sign('glaze every day', 'home', 'her phone')).toBe('nothing was refused');
  // A known device is no way round: it has as many wrong tries as one address.
  for (let i = 0; i < WRONG_TRIES.pair; i++) await sign('wrong', `any ${i}`, 'her phone');
  expect(await sign('glaze every day', 'home', 'her phone')).toContain('Too many tries');
  // It is hers, and for a while.
  expect(await isKnownDevice(studio.db, studio.teacher.id, 'her phone', now)).toBe(false);
  const later = new Date(now.getTime() + 401 * DAY);
  expect(await isKnownDevice(studio.db, ada.id, 'her phone', later)).toBe(false);
}, 120_000);

test('a forgotten password is set anew by a link that opens once, within a day, the newest only', async () => {
  const eva = await joined('eva');
  const now = new Date();
  const session = await createSession(studio.db, eva.id, now);
  await knowDevice(studio.db, eva.id, 'old phone', now);
  const make = async () =>
    (await studio.must<{ token: string }>('people.reset-link', { personId: eva.id })).token;
  const [first, second] = [await make(), await make()];
  const reset = (token: string, at = now) =>
    refusal(resetPassword(studio.db, { token, password: 'a very new one' }, at));
  expect(await reset(first)).toContain('does not open any more');
  expect(await reset(second, new Date(now.getTime() + 1.1 * DAY))).toContain('does not open');
  // Locked out by guesses is no reason to stay out.
  const sign = (password: string) =>
    refusal(checkSignIn(studio.db, { login: 'eva', password }, strange('eva at home')));
  const race = await Promise.all([reset(second), reset(second)]);
  expect(race.filter((word) => word === 'nothing was refused')).toHaveLength(1);
  expect(await reset(second)).toContain('does not open any more');
  expect(await findSession(studio.db, session, now)).toBeNull();
  expect(await isKnownDevice(studio.db, eva.id, 'old phone', now)).toBe(false);
  expect(await sign('glaze every day')).toContain('not right');
  expect(await sign('a very new one')).toBe('nothing was refused');
  // Not by whoever likes to, nor for somebody who may not sign in.
  const asked = await studio.act('people.reset-link', { personId: eva.id }, studio.teacher);
  expect(asked).toMatchObject({ problem: { code: 'not-allowed' } });
  const third = await make();
  await studio.must('people.disable', { personId: eva.id, disabled: true });
  expect(await findResetLink(studio.db, third, now)).toBeNull();
  expect((await studio.act('people.reset-link', { personId: eva.id })).ok).toBe(false);
}, 60_000);

test('where one is signed in is listed and ended, one’s own only', async () => {
  const [kai, other] = [await joined('kai'), await joined('olga')];
  const now = new Date();
  const here = await createSession(studio.db, kai.id, now, 'Firefox on Linux');
  const phone = await createSession(studio.db, kai.id, now, 'x'.repeat(500));
  const listed = await listSessions(studio.db, kai.id, here, now);
  expect(listed.map((one) => [one.device.length, one.here])).toEqual([
    [16, true],
    [120, false],
  ]);
  const sessionId = listed[1]!.id;
  expect(await studio.act('people.end-session', { sessionId }, other)).toMatchObject({
    problem: { code: 'not-found' },
  });
  expect(await findSession(studio.db, phone, now)).not.toBeNull();
  expect((await studio.act('people.end-session', { sessionId }, kai)).ok).toBe(true);
  expect(await findSession(studio.db, phone, now)).toBeNull();
  expect(await findSession(studio.db, here, now)).not.toBeNull();
  // All at once; whoever carries it out without a page of their own keeps none. Others keep theirs.
  const theirs = await createSession(studio.db, other.id, now);
  expect((await studio.act('people.end-other-sessions', {}, kai)).ok).toBe(true);
  expect(await listSessions(studio.db, kai.id, null, now)).toEqual([]);
  expect(await findSession(studio.db, theirs, now)).not.toBeNull();
});

test('what is on record of somebody is handed out, and their name is taken out for good', async () => {
  const mia = await joined('mia');
  await createSession(studio.db, mia.id, new Date());
  await studio.must('tests.make', makeInput(studio, [], { ownerId: mia.id, notes: 'hers' }));
  const record = (await recordOfPerson(studio.db, mia.id, new Date()))!;
  expect(record.person).toEqual({ name: 'mia', login: 'mia', role: 'student' });
  const pieces = record.records.find((one) => one.table === 'piece' && one.because === 'owner_id');
  expect(pieces?.rows).toMatchObject([{ notes: 'hers' }]);
  expect(JSON.stringify(record)).not.toMatch(/password|token/);
  expect(await recordOfPerson(studio.db, '0193f7a0-0000-7000-8000-0000000000ff', new Date())).toBeNull();

  // A double of hers bears a name too.
  const twin = await joined('mia-twice');
  await studio.must('merging.merge', { kind: 'person', fromId: twin.id, intoId: mia.id });

  const forget = (name: string, as?: Person) =>
    studio.act('people.forget-name', { personId: mia.id, name }, as);
  expect(await forget('Mia Other')).toMatchObject({ ok: false });
  expect(await forget('mia', studio.teacher)).toMatchObject({ problem: { code: 'not-allowed' } });
  expect((await forget('mia')).ok).toBe(true);
  // Nowhere in the studio does the name stand any more; what she recorded does.
  const tables = (await studio
    .db('information_schema.COLUMNS')
    .whereRaw('TABLE_SCHEMA = DATABASE()')
    .whereIn('DATA_TYPE', ['varchar', 'char', 'text', 'longtext'])
    .select('TABLE_NAME as t', 'COLUMN_NAME as c')) as { t: string; c: string }[];
  for (const { t, c } of tables.filter(({ t }) => t !== 'operation'))
    expect([t, c, await studio.db(t).where(c, 'like', 'mia%').first()]).toEqual([t, c, undefined]);
  expect(await studio.db('piece').where({ owner_id: mia.id }).first('notes')).toEqual({
    notes: 'hers',
  });
  const gone = (await listPeople(studio.db)).find(({ id }) => id === mia.id);
  expect(gone).toMatchObject({ name: SOMEBODY, disabled: true });
  expect(await listSessions(studio.db, mia.id, null, new Date())).toEqual([]);
  const sign = checkSignIn(studio.db, { login: mia.id, password: 'none' }, strange('x'));
  expect(await refusal(sign)).toContain('not right');
  // Nobody does it to themselves, and a studio keeps somebody who can run it.
  const own = { personId: studio.technician.id, name: studio.technician.name };
  expect(await studio.act('people.forget-name', own)).toMatchObject({ ok: false });
});

test('a session ends after 30 idle days, after 180 whatever happens, and with its person', async () => {
  const now = new Date();
  const after = (days: number): Date => new Date(now.getTime() + days * DAY);
  const { id } = studio.student;
  const idle = await createSession(studio.db, id, now);
  expect((await findSession(studio.db, idle, after(29)))?.id).toBe(id);
  // Used on the 29th day it lives thirty more.
  expect((await findSession(studio.db, idle, after(58)))?.id).toBe(id);
  expect(await findSession(studio.db, idle, after(58 + SESSION_DAYS.idle + 1))).toBeNull();
  const used = await createSession(studio.db, id, now);
  for (let day = 20; day < SESSION_DAYS.most; day += 20)
    expect(await findSession(studio.db, used, after(day))).not.toBeNull();
  expect(await findSession(studio.db, used, after(SESSION_DAYS.most))).toBeNull();
  const token = await createSession(studio.db, id, now);
  await studio.db('person').where({ id: studio.technician.id }).update({ role: 'technician' });
  await studio.must('people.disable', { personId: id, disabled: true });
  expect(await findSession(studio.db, token, now)).toBeNull();
});

test('a share link opens until it is revoked or has run out, and cannot be guessed', async () => {
  const { token } = await studio.must<{ token: string }>('people.share', {
    label: 'Tuesday class',
    view: '?body=peat',
    days: 7,
  });
  expect(token).toMatch(/^[\w-]{43}$/);
  expect(await findShareLink(studio.db, token, new Date())).toMatchObject({ view: '?body=peat' });
  expect(await findShareLink(studio.db, token, new Date(Date.now() + 8 * 86_400_000))).toBeNull();
  expect(await findShareLink(studio.db, token.toLowerCase(), new Date())).toBeNull();
  const { id } = await studio.db('share_link').first('id');
  await studio.must('people.revoke-share', { shareId: id });
  expect(await findShareLink(studio.db, token, new Date())).toBeNull();
  expect((await studio.act('people.share', { label: 'x', view: 'javascript:alert(1)', days: null })).ok).toBe(
    false,
  );
});
