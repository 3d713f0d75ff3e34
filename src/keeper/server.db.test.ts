/** A studio's own database server: what it starts from, and what it leaves alone. */
import { mkdirSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir, userInfo } from 'node:os';
import { join } from 'node:path';
import mysql from 'mysql2/promise';
import { folderOf } from './folder';
import { ensureDatabase, onServer, openOn, startDatabase } from './server';

let directory: string;
beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), 'jiten-server-'));
});
afterEach(() => rmSync(directory, { recursive: true, force: true }));

test('only its own account gets in, by the socket; its temporary files are its own', async () => {
  const server = await startDatabase(directory);
  try {
    await ensureDatabase(server, 'jiten');
    const db = openOn(server, 'jiten');
    const [rows] = (await db.raw('SELECT @@tmpdir AS tmp, @@skip_networking AS alone')) as [
      { tmp: string; alone: number }[],
    ];
    expect(rows[0]).toEqual({ tmp: join(directory, 'mariadb-tmp'), alone: 1 });
    await db.destroy();
    const { socket } = folderOf(directory);
    // The machine's own root may: it could read the files anyway.
    for (const user of userInfo().uid === 0 ? ['jiten', ''] : ['root', 'jiten', ''])
      await expect(mysql.createConnection({ socketPath: socket, user, password: '' })).rejects.toMatchObject({
        code: expect.stringMatching(/ER_ACCESS_DENIED|AUTH_SWITCH/),
      });
    // The account has the studio's databases, and nothing else of the server.
    await expect(onServer(server, 'CREATE DATABASE elsewhere')).rejects.toThrow(/denied/);
    expect(statSync(folderOf(directory).run).mode & 0o777).toBe(0o700);
    expect(readdirSync(folderOf(directory).run)).not.toContain('first-words.sql');
  } finally {
    await server.stop();
  }
}, 60_000);

test('a lost password is made anew; what was kept is still there', async () => {
  const first = await startDatabase(directory);
  await ensureDatabase(first, 'jiten');
  await onServer(first, 'CREATE TABLE jiten.kept (n INT); INSERT INTO jiten.kept VALUES (7)'.split(';')[0]!);
  await onServer(first, 'INSERT INTO jiten.kept VALUES (7)');
  await first.stop();
  rmSync(folderOf(directory).key);
  const second = await startDatabase(directory);
  const db = openOn(second, 'jiten');
  expect(await db('kept').pluck('n')).toEqual([7]);
  await db.destroy();
  await second.stop();
}, 60_000);

test('half-made tables without records are set aside and made anew; tables with records never are', async () => {
  const { tables } = folderOf(directory);
  // Killed while the tables were being made: by this program beside their place, by an old one in it.
  mkdirSync(`${tables}.new/mysql`, { recursive: true });
  mkdirSync(join(tables, 'mysql'), { recursive: true });
  writeFileSync(join(tables, 'mysql', 'half.frm'), 'nothing whole');
  const server = await startDatabase(directory, { patienceMs: 20_000 });
  await ensureDatabase(server, 'jiten');
  await server.stop();
  expect(readdirSync(directory).filter((name) => name.includes('half-made'))).toHaveLength(1);
  expect(readdirSync(directory)).not.toContain('mariadb.new');
  rmSync(join(tables, 'mysql'), { recursive: true });
  await expect(startDatabase(directory, { patienceMs: 20_000 })).rejects.toThrow(
    /^The database did not start\.\n/,
  );
  expect(readdirSync(tables)).toContain('jiten');
}, 120_000);

test('starts of another server beside it, again and again, leave a busy one running', async () => {
  const server = await startDatabase(directory);
  const other = mkdtempSync(join(tmpdir(), 'jiten-server-'));
  await ensureDatabase(server, 'jiten');
  const db = openOn(server, 'jiten');
  let busy = true;
  let queries = 0;
  try {
    // Sorts and groups that need temporary tables on the disk.
    const work = (async () => {
      while (busy) {
        await db.raw(
          'SELECT REPEAT(seq, 900) AS long_word, COUNT(*) FROM seq_1_to_2000 GROUP BY long_word ORDER BY long_word DESC LIMIT 1',
        );
        queries++;
      }
    })();
    for (let round = 0; round < 3; round++) await (await startDatabase(other, { throwaway: true })).stop();
    busy = false;
    await work;
    expect(queries).toBeGreaterThan(3);
  } finally {
    await db.destroy();
    await server.stop();
    rmSync(other, { recursive: true, force: true });
  }
}, 120_000);
