import { readdirSync } from 'node:fs';
import { v7 } from 'uuid';
import { z } from 'zod';
import { OPERATIONS } from './operations';
import { DEEDS } from '@/features/people';
import { makeInput, testStudio, type TestStudio } from '../../test-support/studio';
import { openDatabase } from '../data/database';
import { perform } from '../platform/operation';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

test('an operation sent twice is carried out once and answers alike', async () => {
  const id = v7();
  const first = await studio.act('tests.make', makeInput(studio, []), studio.technician, id);
  const again = await studio.act('tests.make', makeInput(studio, []), studio.technician, id);
  expect(again).toEqual(first);
  expect(await studio.db('piece').count({ n: '*' }).first()).toEqual({ n: 1 });
});

test('sent twice at the same moment, it is still carried out once', async () => {
  const before = Number((await studio.db('piece').count({ n: '*' }).first())?.n);
  const id = v7();
  const answers = await Promise.all(
    [0, 1, 2].map(() => studio.act('tests.make', makeInput(studio, []), studio.technician, id)),
  );
  expect(answers.every((answer) => answer.ok)).toBe(true);
  expect(new Set(answers.map((answer) => JSON.stringify(answer))).size).toBe(1);
  expect(Number((await studio.db('piece').count({ n: '*' }).first())?.n)).toBe(before + 1);
});

test('an id that was used for something else is refused', async () => {
  const id = v7();
  await studio.act('tests.make', makeInput(studio, []), studio.technician, id);
  expect(
    await studio.act('people.invite', { name: 'X', role: 'student' }, studio.technician, id),
  ).toMatchObject({ ok: false, problem: { code: 'conflict' } });
});

test('of a write that says a password nothing is kept, not even a hash', async () => {
  const secret = [...OPERATIONS.values()].filter(({ contract }) => contract.secret);
  expect(secret.map(({ contract }) => contract.name)).toEqual(['people.change-password']);
  // No other takes a field that is called so, however deep.
  const says = [...OPERATIONS.values()].filter(({ contract }) => {
    const schema = JSON.stringify(z.toJSONSchema(contract.input, { io: 'input', unrepresentable: 'any' }));
    return /"(password|secret|current)":/.test(schema);
  });
  expect(says).toEqual(secret);
});

test('every operation asks who is there, and every role gets what the deeds say', async () => {
  // What each role may do at all; written out here so that a change of heart shows.
  const student = [
    'clinic.answer',
    'clinic.close',
    'clinic.make-test',
    'clinic.name',
    'clinic.open',
    'clinic.reopen',
    'frames.set',
    'frames.set-many',
    'frames.set-of',
    'frames.shelf',
    'frames.shelf-away',
    'handing.collected',
    'lookagain.ask',
    'lookagain.drop',
    'media.add-picture',
    'opening.record',
    'opening.withdraw',
    'people.change-password',
    'people.end-other-sessions',
    'people.end-session',
    'pieces.edit',
    'pieces.flag',
    'sounds.bin',
    'sounds.speak',
    'sounds.type-again',
    'sounds.type-up',
    'ticks.clear',
    'ticks.tick',
    'usetests.done',
    'usetests.drop',
  ];
  const technicianOnly = [
    'clinic.disagree',
    'exchange.away',
    'exchange.import',
    'kilns.make-token',
    'kilns.revoke-token',
    'merging.bring-along',
    'merging.merge',
    'merging.take-apart',
    'people.disable',
    'people.forget-name',
    'people.invite',
    'people.reset-link',
    'people.save-studio',
    'people.set-role',
    'people.withdraw-invitation',
    'wallboard.bring',
  ];
  for (const [name, operation] of OPERATIONS) {
    expect(await studio.act(name, {}, null)).toMatchObject({
      ok: false,
      problem: { code: 'not-signed-in' },
    });
    const allowed = async (as: typeof studio.student): Promise<boolean> => {
      const answer = await studio.act(name, { nonsense: true }, as);
      return answer.ok || answer.problem.code !== 'not-allowed';
    };
    expect([name, await allowed(studio.student)]).toEqual([name, student.includes(name)]);
    expect([name, await allowed(studio.teacher)]).toEqual([name, !technicianOnly.includes(name)]);
    expect([name, await allowed(studio.technician)]).toEqual([name, true]);
    expect(operation.contract.name).toBe(name);
  }
  expect(DEEDS['run the studio']).toEqual(['technician']);
});

test('a name says its feature, and what takes a write back is a write that is known', () => {
  const features = readdirSync(new URL('../features', import.meta.url));
  const withInverse: string[] = [];
  for (const [name, { contract }] of OPERATIONS) {
    expect(features).toContain(name.split('.')[0]);
    // Every list that an inverse may walk is empty; only whom it names is asked here.
    const nothing = {
      pieces: [],
      placementIds: [],
      readings: [],
      remarks: [],
      ids: [],
      pieceIds: [],
      id: '',
    };
    const back = contract.inverse?.(nothing, nothing);
    if (back === undefined) continue;
    withInverse.push(name);
    expect(OPERATIONS.get(back.contract.name)).toBeDefined();
  }
  expect(withInverse).toContain('opening.record');
  expect(withInverse.length).toBeGreaterThanOrEqual(17);
});

test('wrong input is said at its field and changes nothing', async () => {
  const before = await studio.db('piece').count({ n: '*' }).first();
  const answer = await studio.act('tests.make', {
    ...makeInput(studio, []),
    count: 0,
    wantedCone: '99',
  });
  expect(answer).toMatchObject({
    ok: false,
    problem: {
      code: 'invalid',
      fields: {
        count: 'At least one.',
        wantedCone: expect.stringContaining('no cone “99”') as string,
      },
    },
  });
  expect(await studio.db('piece').count({ n: '*' }).first()).toEqual(before);
});

test('a database that is away is a civil answer, not a crash', async () => {
  const away = openDatabase({
    socketPath: '/nowhere/database.sock',
    user: 'jiten',
    password: '',
    database: 'none',
  });
  const answer = await perform(
    away,
    OPERATIONS.get('tests.make')!,
    { id: v7(), input: makeInput(studio, []) },
    studio.technician,
  );
  expect(answer).toMatchObject({
    ok: false,
    problem: {
      code: 'database-away',
      message: expect.stringContaining('what you typed is still here') as string,
    },
  });
  await away.destroy();
});
