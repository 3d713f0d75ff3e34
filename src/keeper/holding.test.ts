/** Who holds a data folder, and what a killed one leaves behind. */
import { spawn } from 'node:child_process';
import { closeSync, mkdtempSync, openSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { password } from './account';
import { folderOf, noRoom, ownDirectory, type Folder } from './folder';
import { Held, holdFolder, readHolder } from './hold';
import { portFor } from './port';
import { bornOf, end, endLeftovers, noteChild, stillRuns } from './processes';
import { createServer } from 'node:net';

let directory: string;
let folder: Folder;
beforeEach(() => {
  directory = mkdtempSync(join(tmpdir(), 'jiten-hold-'));
  folder = folderOf(directory);
});
afterEach(() => rmSync(directory, { recursive: true, force: true }));

test('one holds a folder; the second is told who, since when and where; then it is free again', async () => {
  const hold = await holdFolder(folder, './start');
  hold.tell('http://127.0.0.1:3000');
  const second = holdFolder(folder, './backup');
  await expect(second).rejects.toThrow(Held);
  await expect(holdFolder(folder, './backup')).rejects.toThrow(
    new RegExp(`is in use by ./start \\(process ${process.pid}, since .* UTC, http://127.0.0.1:3000\\)`),
  );
  hold.release();
  for (let tries = 0; ; tries++) {
    try {
      (await holdFolder(folder, './backup')).release();
      break;
    } catch (error) {
      if (tries > 50) throw error;
      await wait(20);
    }
  }
  expect(readHolder(folder)?.what).toBe('./backup');
});

test('a holder that is killed outright lets go at once', async () => {
  const script = `import('${join(import.meta.dirname, 'hold.ts')}').then(async ({ holdFolder }) => {
    const { folderOf } = await import('${join(import.meta.dirname, 'folder.ts')}');
    await holdFolder(folderOf(${JSON.stringify(directory)}), 'the first');
    console.log('held');
    setInterval(() => undefined, 1000);
  })`;
  const child = spawn(process.execPath, ['--import', 'tsx', '-e', script], {
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, NODE_OPTIONS: '' },
  });
  await new Promise((resolve) => child.stdout.once('data', resolve));
  await expect(holdFolder(folder, 'the second')).rejects.toThrow(/in use by the first/);
  child.kill('SIGKILL');
  await new Promise((resolve) => child.once('exit', resolve));
  await wait(200);
  (await holdFolder(folder, 'the second')).release();
}, 20_000);

test('a process is known by its birth, not by its number alone', async () => {
  const own = bornOf(process.pid)!;
  expect(stillRuns(own)).toBe(true);
  expect(stillRuns({ ...own, ticks: '1' })).toBe(false);
  expect(stillRuns({ ...own, boot: 'another' })).toBe(false);
  expect(bornOf(2 ** 22 + 1)).toBeNull();
  // Another's process of that number is left alone.
  await end({ ...own, ticks: '1' }, 10);
});

test('what a killed start left is ended, even when it does not listen', async () => {
  ownDirectory(folder.run);
  const deaf = spawn('sh', ['-c', 'trap "" TERM; echo up; while :; do sleep 0.1; done'], {
    stdio: ['ignore', 'pipe', 'ignore'],
    detached: true,
  });
  await new Promise((resolve) => deaf.stdout.once('data', resolve));
  noteChild(folder, 'application', deaf.pid!);
  const born = bornOf(deaf.pid!)!;
  expect(await endLeftovers(folder)).toEqual([`application (process ${deaf.pid})`]);
  expect(stillRuns(born)).toBe(false);
  expect(await endLeftovers(folder)).toEqual([]);
}, 20_000);

test('a damaged record of what was started is no reason not to start', async () => {
  ownDirectory(folder.run);
  writeFileSync(join(folder.run, 'children.json'), '{"database": {"pid": "no"');
  expect(await endLeftovers(folder)).toEqual([]);
});

test('what was started is written whole: whoever has the old record open reads it to its end', () => {
  ownDirectory(folder.run);
  const path = join(folder.run, 'children.json');
  noteChild(folder, 'application', process.pid);
  const open = openSync(path, 'r');
  noteChild(folder, 'database', process.pid);
  expect(Object.keys(JSON.parse(readFileSync(open, 'utf8')) as object)).toEqual(['application']);
  expect(Object.keys(JSON.parse(readFileSync(path, 'utf8')) as object)).toEqual(['application', 'database']);
  closeSync(open);
});

test('the password is made once, long, and for its owner only; a damaged one is made anew', () => {
  const made = password(folder);
  expect(made).toMatch(/^[0-9a-f]{64}$/);
  expect(password(folder)).toBe(made);
  expect(statSync(folder.key).mode & 0o777).toBe(0o600);
  writeFileSync(folder.key, 'half');
  expect(password(folder)).not.toBe(made);
  expect(readFileSync(folder.key, 'utf8')).toMatch(/^[0-9a-f]{64}\n$/);
});

test('a socket’s path is short however deep the folder lies, and one for each folder', () => {
  const deep = join(directory, 'x'.repeat(90));
  const { socket } = folderOf(deep);
  expect(Buffer.byteLength(socket)).toBeLessThan(107);
  expect(folderOf(`${deep}y`).socket).not.toBe(socket);
  expect(folderOf(directory).socket).toBe(join(directory, 'run', 'database.sock'));
});

test('a disk without room is told in one line, with how much is there', () => {
  expect(noRoom(directory, 0)).toBeNull();
  expect(noRoom(directory, Number.MAX_SAFE_INTEGER)).toMatch(
    /^The disk of .* has \d+ MB left; at least \d+ MB are needed\. Make room, then start again\.$/,
  );
});

test('a port that is taken: another is used with a word, unless it was asked for', async () => {
  const server = createServer();
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as { port: number };
  await expect(portFor(port, '127.0.0.1')).rejects.toThrow(`Port ${port} is taken`);
  server.close();
  await wait(20);
  expect(await portFor(port, '127.0.0.1')).toEqual({ port, word: null });
});
