import { findShareLink, findSession, createSession, listPeople } from '@/data/people';
import { database } from '@/platform/database';
import { WRONG_TRIES } from '@/platform/limits';
import { Refusal } from '@/platform/refusal';
import { emptyDatabase, testStudio, type TestStudio } from '../../../test-support/studio';
import { acceptInvitation, checkSignIn, firstRun } from './door';
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

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio('test_people');
});
afterAll(async () => {
  await studio.db.destroy();
  await database().destroy();
});

test('the first run makes the studio and its technician once, even when two try at once', async () => {
  const db = await emptyDatabase('test_first_run');
  const tries = await Promise.allSettled([
    firstRun(db, SETUP, new Date()),
    firstRun(db, { ...SETUP, login: 'other' }, new Date()),
  ]);
  expect(tries.filter((one) => one.status === 'fulfilled')).toHaveLength(1);
  expect(await listPeople(db)).toMatchObject([{ role: 'technician' }]);
  expect(await refusal(firstRun(db, SETUP, new Date()))).toContain('set up already');
  await db.destroy();
  process.env.JITEN_DB_NAME = 'test_people';
});

test('settings that cannot be are refused with the reason', () => {
  expect(studioSchema.safeParse({ ...SETUP.studio, timeZone: 'Moon/Tranquility' }).success).toBe(
    false,
  );
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
    acceptInvitation(
      studio.db,
      { token, name: 'Noor', login, password: 'glaze every day' },
      new Date(),
    );
  expect(await refusal(accept('tech'))).toContain('taken');
  const id = await accept('noor');
  expect(await refusal(accept('noor2'))).toContain('used already');
  expect((await listPeople(studio.db)).find((person) => person.id === id)?.role).toBe('student');
  expect(await checkSignIn(studio.db, { login: 'noor', password: 'glaze every day' }, 'a')).toBe(
    id,
  );
  for (let i = 0; i < WRONG_TRIES.pair; i++)
    expect(
      await refusal(checkSignIn(studio.db, { login: 'noor', password: 'wrong' }, 'a')),
    ).toContain('not right');
  expect(
    await refusal(checkSignIn(studio.db, { login: 'noor', password: 'glaze every day' }, 'a')),
  ).toContain('Too many tries');
  expect(
    await refusal(checkSignIn(studio.db, { login: 'nobody', password: 'wrong' }, 'a')),
  ).toContain('not right');
});

test('a class signs in at once behind one address; guessing from everywhere is slowed down for the name alone', async () => {
  const sign = (login: string, password: string, address: string) =>
    refusal(checkSignIn(studio.db, { login, password }, address));
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
  const session = await createSession(studio.db, id, now, new Date(now.getTime() + 1e7));
  const change = (current: string) =>
    studio.act('people.change-password', { current, next: 'another long one' }, ute);
  expect(await change('glaze every day')).toMatchObject({ ok: true });
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
      acceptInvitation(
        studio.db,
        { token, name: 'Late', login: 'late', password: 'glaze every day' },
        late,
      ),
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

test('shutting somebody out ends their session at once; sessions run out', async () => {
  const now = new Date();
  const token = await createSession(
    studio.db,
    studio.student.id,
    now,
    new Date(now.getTime() + 1000),
  );
  expect((await findSession(studio.db, token, now))?.id).toBe(studio.student.id);
  expect(await findSession(studio.db, token, new Date(now.getTime() + 2000))).toBeNull();
  await studio.db('person').where({ id: studio.technician.id }).update({ role: 'technician' });
  await studio.must('people.disable', { personId: studio.student.id, disabled: true });
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
  expect(
    (await studio.act('people.share', { label: 'x', view: 'javascript:alert(1)', days: null })).ok,
  ).toBe(false);
});
