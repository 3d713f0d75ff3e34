import { v7 } from 'uuid';
import { z } from 'zod';
import { testStudio, type TestStudio } from '../../test-support/studio';
import { answers, contract, withFile } from './contract';
import { fieldMessages, operation, perform, problemOf, type Operation } from './operation';
import { Refusal, refuse } from './refusal';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

const input = z.object({ name: z.string().min(2, 'Too short.'), n: z.number('A number.') });
let runs: string[];
beforeEach(() => {
  runs = [];
});

/** Writes a flag-like row of its own, so that what was undone can be seen in the database. */
const keep = operation({
  contract: contract('test.keep', input, answers<{ twice: number }>()),
  permit: ({ role }) => role !== 'student',
  run: async ({ trx, person, now, operationId }, { name, n }) => {
    runs.push(`${name} by ${person.name} at ${now.toISOString()} as ${operationId}`);
    await trx('rate').insert({ id: v7(), name });
    if (n < 0) throw refuse('Not below 0.', { n: 'Not below 0.' });
    if (n > 100) throw new Error('a programming fault');
    return { twice: 2 * n };
  },
});
beforeAll(() => studio.db.raw('CREATE TABLE rate (id CHAR(36) PRIMARY KEY, name VARCHAR(60))'));
const rows = (): Promise<string[]> => studio.db('rate').orderBy('name').pluck('name');
beforeEach(() => studio.db('rate').delete());

const act = (
  request: {
    id?: string;
    input: unknown;
    as?: string;
    file?: { name: string; bytes: Buffer } | null;
  },
  person: typeof studio.technician | null = studio.technician,
  of: Operation = keep as unknown as Operation,
  now?: Date,
) => perform(studio.db, of, { id: v7(), ...request }, person, now);

test('it is carried out with who, when and under which id, and answers', async () => {
  const id = v7();
  const now = new Date('2026-05-01T10:00:00Z');
  const answer = await act({ id, input: { name: 'ab', n: 4 } }, studio.teacher, undefined, now);
  expect(answer).toEqual({ ok: true, data: { twice: 8 } });
  expect(runs).toEqual([`ab by Teach at 2026-05-01T10:00:00.000Z as ${id}`]);
  expect(await rows()).toEqual(['ab']);
  expect(await studio.db('operation').where({ id }).first()).toMatchObject({
    name: 'test.keep',
    person_id: studio.teacher.id,
    at: now,
  });
});

test('a page that was made for one person sends nothing under another’s name', async () => {
  const input = { name: 'ab', n: 4 };
  const under = (as: string) => act({ input, as }, studio.teacher);
  expect(await under(studio.technician.id)).toMatchObject({
    ok: false,
    problem: {
      code: 'other-person',
      message: expect.stringMatching(/^Teach is signed in on this device now/),
    },
  });
  expect(runs).toEqual([]);
  expect(await under(studio.teacher.id)).toMatchObject({ ok: true });
});

test('nobody, and who may not, are turned away before anything is read', async () => {
  expect(await act({ input: null }, null)).toEqual({
    ok: false,
    problem: {
      code: 'not-signed-in',
      message: 'You are not signed in any more. Sign in again; what you typed is still here.',
    },
  });
  expect(await act({ input: null }, studio.student)).toEqual({
    ok: false,
    problem: {
      code: 'not-allowed',
      message: 'A student cannot do this. Ask a technician.',
    },
  });
  expect(runs).toEqual([]);
});

test('what does not fit is said field by field, the first word of each; nothing is done', async () => {
  expect(await act({ input: { name: 'a', n: 'many' } })).toEqual({
    ok: false,
    problem: {
      code: 'invalid',
      message: 'Too short.',
      fields: { name: 'Too short.', n: 'A number.' },
    },
  });
  const twice = z.object({ a: z.string().min(3, 'first').regex(/x/, 'second') });
  expect(fieldMessages(twice.safeParse({ a: 'y' }).error!)).toEqual({ a: 'first' });
  const deep = z.object({ a: z.array(z.object({ b: z.number('no number') })) });
  expect(fieldMessages(deep.safeParse({ a: [{ b: 'x' }] }).error!)).toEqual({
    'a.0.b': 'no number',
  });
  expect(runs).toEqual([]);
});

test('a repeat by the same person for the same thing answers as the first time, and says so where it was changed since', async () => {
  const id = v7();
  const first = await act({ id, input: { name: 'ab', n: 4 } });
  expect(await act({ id, input: { name: 'ab', n: 4 } })).toEqual(first);
  const changed = await act({ id, input: { name: 'cd', n: 9 } });
  expect(changed).toMatchObject({
    ok: false,
    problem: {
      code: 'arrived',
      message: expect.stringMatching(/^What you sent before did arrive .* is on record/),
      details: { twice: 8 },
    },
  });
  // A device that waited since before this was kept is answered as it was then.
  await studio.db('operation').where({ id }).update({ asked: null });
  expect(await act({ id, input: { name: 'cd', n: 9 } })).toEqual(first);
  expect(await rows()).toEqual(['ab']);
  const used = {
    ok: false,
    problem: { code: 'conflict', message: 'This operation id was used for something else.' },
  };
  expect(await act({ id, input: { name: 'ab', n: 4 } }, studio.teacher)).toEqual(used);
  const other = { ...keep, contract: contract('test.other', input) } as unknown as Operation;
  expect(await act({ id, input: { name: 'ab', n: 4 } }, studio.technician, other)).toEqual(used);
  expect(await rows()).toEqual(['ab']);
});

test('a refusal undoes what was begun and says why; the id stays free', async () => {
  const id = v7();
  expect(await act({ id, input: { name: 'ab', n: -1 } })).toMatchObject({
    ok: false,
    problem: { message: 'Not below 0.', fields: { n: 'Not below 0.' } },
  });
  expect(await rows()).toEqual([]);
  expect((await act({ id, input: { name: 'ab', n: 1 } })).ok).toBe(true);
});

test('a programming fault undoes everything and says so without its insides', async () => {
  expect(await act({ input: { name: 'ab', n: 101 } })).toEqual({
    ok: false,
    problem: {
      code: 'failed',
      message: 'This did not work, and nothing was changed. Try again; if it stays so, tell your technician.',
    },
  });
  expect(await rows()).toEqual([]);
});

test('an operation that answers nothing answers null', async () => {
  const quiet = operation({
    contract: contract('test.quiet', z.object({})),
    permit: () => true,
    run: () => Promise.resolve(),
  }) as unknown as Operation;
  expect(await act({ input: {} }, studio.student, quiet)).toEqual({ ok: true, data: null });
});

describe('with a file', () => {
  const bytes = Buffer.from('some');
  const sized = operation({
    contract: withFile(
      contract('test.file', z.object({ n: z.number() }), answers<{ size: number }>()),
      2 * 1048576,
    ),
    permit: () => true,
    prepare: ({ file, person, db }, { n }) => {
      runs.push(`prepared ${n} for ${person.name}${db === studio.db ? '' : ' elsewhere'}`);
      if (n < 0) throw refuse('No such picture.');
      return Promise.resolve(file.bytes.length);
    },
    run: (_, __, size) => Promise.resolve({ size }),
  }) as unknown as Operation;
  const send = (request: Parameters<typeof act>[0]) => act(request, studio.technician, sized);

  test('its long work is done once before the transaction, and not again for a repeat', async () => {
    const request = { id: v7(), input: { n: 1 }, file: { name: 'x', bytes } };
    expect(await send(request)).toEqual({ ok: true, data: { size: 4 } });
    expect(await send(request)).toEqual({ ok: true, data: { size: 4 } });
    expect(runs).toEqual(['prepared 1 for Tech']);
    const other = await act(request, studio.teacher, sized);
    expect(other).toMatchObject({ ok: false, problem: { code: 'conflict' } });
  });

  test('without its file, or with one too large, it is refused in words', async () => {
    expect(await send({ input: { n: 1 } })).toEqual({
      ok: false,
      problem: { code: 'invalid', message: 'The file did not arrive whole. Send it again.' },
    });
    const large = { name: 'x', bytes: Buffer.alloc(3 * 1048576) };
    expect(await send({ input: { n: 1 }, file: large })).toEqual({
      ok: false,
      problem: { code: 'invalid', message: 'The file has 3 MB; at most 2 MB can be taken.' },
    });
    const just = { name: 'x', bytes: Buffer.alloc(2 * 1048576) };
    expect((await send({ input: { n: 1 }, file: just })).ok).toBe(true);
  });

  test('what is refused while it is prepared is refused', async () => {
    expect(await send({ input: { n: -1 }, file: { name: 'x', bytes } })).toMatchObject({
      ok: false,
      problem: { message: 'No such picture.' },
    });
  });
});

test('every kind of fault becomes a problem a person can act on', () => {
  const problem = { code: 'invalid' as const, message: 'said' };
  expect(problemOf(new Refusal(problem), 'x')).toBe(problem);
  const away = Object.assign(new Error('gone'), { code: 'ECONNREFUSED' });
  expect(problemOf(away, 'x')).toMatchObject({
    code: 'database-away',
    message: expect.stringContaining('does not answer'),
  });
  const taken = Object.assign(new Error('dup'), { errno: 1062, code: 'ER_DUP_ENTRY' });
  expect(problemOf(taken, 'x')).toEqual({
    code: 'conflict',
    message: 'There is one like this already: a name, code or place is taken.',
  });
  expect(problemOf('thrown words', 'x').code).toBe('failed');
});
