/** What is kept of a read holds until what it was made from is written, and never longer. */
import { testStudio, type TestStudio } from '../../test-support/studio';
import { changesOf, tablesOf } from './changes';
import { transact, type Source } from './database';
import { keepRead } from './kept';

let studio: TestStudio;
beforeAll(async () => {
  studio = await testStudio();
});
afterAll(() => studio.db.destroy());

/** Reads the studio's name, and says how often it really did. */
function nameReader() {
  let reads = 0;
  const read = keepRead({
    most: 10,
    key: () => '',
    read: async (src: Source) => {
      reads++;
      return (await src('studio').first('name')).name as string;
    },
  });
  return { read: () => read(studio.db), reads: () => reads, inside: read };
}
const rename = (src: Source, name: string) => src('studio').update({ name });

test('read once, until its table is written; another table is none of its business', async () => {
  const { read, reads } = nameReader();
  await rename(studio.db, 'One');
  expect([await read(), await read(), reads()]).toEqual(['One', 'One', 1]);
  await studio.db('coating').update({ revision: studio.db.raw('revision + 1') });
  expect([await read(), reads()]).toEqual(['One', 1]);
  await rename(studio.db, 'Two');
  expect([await read(), reads()]).toEqual(['Two', 2]);
});

test('what a transaction writes counts when it ends, also when it is taken back', async () => {
  const { read, reads, inside } = nameReader();
  await rename(studio.db, 'Before');
  await read();
  await transact(studio.db, async (trx) => {
    await rename(trx, 'Within');
    // Others still see what was, the writer what will be.
    expect(await read()).toBe('Before');
    expect(await inside(trx)).toBe('Within');
  });
  expect([await read(), await read()]).toEqual(['Within', 'Within']);
  const before = reads();
  const broken = transact(studio.db, async (trx) => {
    await rename(trx, 'Never');
    throw new Error('taken back');
  });
  await expect(broken).rejects.toThrow('taken back');
  expect([await read(), reads() - before]).toEqual(['Within', 1]);
});

test('what was begun within a transaction and goes on after it counts by itself', async () => {
  const { read } = nameReader();
  let late: Promise<unknown> = Promise.resolve();
  let go = (): void => undefined;
  const later = new Promise<void>((resolve) => (go = resolve));
  await transact(studio.db, async (trx) => {
    await rename(trx, 'In time');
    late = later.then(() => rename(studio.db, 'Late'));
  });
  expect(await read()).toBe('In time');
  go();
  await late;
  expect(await read()).toBe('Late');
});

test('a hundred writers and readers: whoever reads after a write was answered sees it', async () => {
  const { read } = nameReader();
  let said = 0;
  let looks = 0;
  const write = async (): Promise<void> => {
    for (let i = 0; i < 25; i++)
      await transact(studio.db, async (trx) => {
        const { name } = await trx('studio').forUpdate().first('name');
        const next = Number(/\d+/.exec(name as string)?.[0] ?? 0) + 1;
        await rename(trx, `n${next}`);
        return next;
      }).then(async (next) => {
        said = Math.max(said, next);
        // Somebody reads between any two writes of one hand.
        const before = looks;
        while (looks === before && said < 100) await new Promise(setImmediate);
      });
  };
  const look = async (): Promise<void> => {
    while (said < 100) {
      const known = said;
      expect(Number((await read()).slice(1))).toBeGreaterThanOrEqual(known);
      looks++;
      await new Promise(setImmediate);
    }
  };
  await rename(studio.db, 'n0');
  await Promise.all([...Array.from({ length: 4 }, write), ...Array.from({ length: 6 }, look)]);
  expect(await read()).toBe('n100');
  expect(looks).toBeGreaterThan(25);
}, 60_000);

test('a read made from another kept read ends with it', async () => {
  const { inside } = nameReader();
  const loud = keepRead({
    most: 10,
    key: (mark: string) => mark,
    read: async (src: Source, mark) => (await inside(src)) + mark,
  });
  await rename(studio.db, 'Inner');
  await inside(studio.db);
  expect(await loud(studio.db, '!')).toBe('Inner!');
  await rename(studio.db, 'Other');
  expect(await loud(studio.db, '!')).toBe('Other!');
  expect(await loud(studio.db, '?')).toBe('Other?');
});

test('a marked table is asked for its mark: what it does not change is kept', async () => {
  let reads = 0;
  const first = async (src: Source): Promise<string> =>
    (await src('coating').orderBy('slug').first('name')).name as string;
  const read = keepRead({
    most: 10,
    key: () => '',
    read: async (src: Source) => {
      reads++;
      return first(src);
    },
    marked: { tables: ['coating'], mark: first },
  });
  await read(studio.db);
  const slugs: string[] = await studio.db('coating').orderBy('slug').pluck('slug');
  const call = (slug: string, name: string) => studio.db('coating').where({ slug }).update({ name });
  await call(slugs.at(-1)!, 'Last, renamed');
  await read(studio.db);
  expect(reads).toBe(1);
  await call(slugs[0]!, 'First, renamed');
  expect(await read(studio.db)).toBe('First, renamed');
  expect(reads).toBe(2);
});

test('what fails is not kept, and what is not worth it is asked for again', async () => {
  let turn = 0;
  const read = keepRead({
    most: 10,
    key: () => '',
    read: async (src: Source) => {
      await src('studio').first();
      if (++turn === 1) throw new Error('once');
      return turn;
    },
    worth: (value) => value > 2,
  });
  await expect(read(studio.db)).rejects.toThrow('once');
  expect([await read(studio.db), await read(studio.db), await read(studio.db)]).toEqual([2, 3, 3]);
});

test.each([
  ['select * from `cell` where `id` = ?', false, ['cell']],
  ['insert into `photo` (`id`, `sha`) values (?, ?)', true, ['photo']],
  ['insert ignore into `photo` (`id`) values (?)', true, ['photo']],
  ['update `piece` set `mark` = ?', true, ['piece']],
  ['update `piece` inner join `lot` on 1 set `mark` = ?', true, ['piece', 'lot']],
  ['select 1 from `cell` where `id` in (select `cell_id` from `cell_coat`)', false, ['cell', 'cell_coat']],
  ['delete from session where id = 1', true, ['session']],
  ['SELECT 1 FROM photo JOIN piece ON 1', false, ['photo', 'piece']],
  ['SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED', false, []],
  ['COMMIT;', false, []],
])('%s', (sql, writes, tables) => {
  expect(tablesOf(sql)).toEqual({ writes, tables });
});

test('a transaction is not watched by itself: what it reads is never kept', async () => {
  expect(changesOf(studio.db)).not.toBeNull();
  await studio.db.transaction(async (trx) => {
    expect(changesOf(trx)).toBeNull();
    await trx('studio').first();
  });
});
