/**
 * `./start` and what it holds up: killed, started twice, closed with its terminal; carried away and brought
 * back.
 */
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  truncateSync,
} from 'node:fs';
import { get } from 'node:https';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { v7 as uuid } from 'uuid';
import { freePort } from '../src/keeper/port';
import { bornOf, end, stillRuns, type Born } from '../src/keeper/processes';

test.describe.configure({ mode: 'serial' });

type Started = { process: ChildProcess; said: () => string; over: Promise<number | null> };

let directory: string;
let data: string;
let port: number;
const started: Born[] = [];

test.beforeAll(async () => {
  directory = mkdtempSync(join(tmpdir(), 'jiten-house-'));
  data = join(directory, 'studio');
  port = await freePort();
});
test.afterAll(async () => {
  for (const one of [...started, ...Object.values(children())]) await end(one, 5000);
  rmSync(directory, { recursive: true, force: true });
});

const url = (): string => `http://127.0.0.1:${port}`;
const children = (of = data): Record<string, Born> => {
  const path = join(of, 'run', 'children.json');
  return existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : {};
};

function start(env: Record<string, string> = {}, ...words: string[]): Started {
  const process_ = spawn(process.execPath, ['--import', 'tsx', 'scripts/start.ts', '--empty', ...words], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, JITEN_DATA: data, PORT: String(port), ...env },
  });
  let text = '';
  for (const stream of [process_.stdout, process_.stderr])
    stream.on('data', (chunk: Buffer) => (text += chunk));
  const over = new Promise<number | null>((resolve) => process_.once('exit', resolve));
  started.push(bornOf(process_.pid!)!);
  return { process: process_, said: () => text, over };
}

const healthy = async (): Promise<boolean> =>
  fetch(`${url()}/api/health`).then(
    (answer) => answer.ok,
    () => false,
  );
const up = (one: Started): Promise<void> =>
  expect.poll(() => one.said(), { timeout: 60_000 }).toContain('Ctrl+C stops it.');

function run(script: string, ...args: string[]): { code: number | null; said: string } {
  const done = spawnSync(process.execPath, ['--import', 'tsx', `scripts/${script}.ts`, ...args], {
    env: { ...process.env, JITEN_DATA: data, JITEN_HERE: directory },
    encoding: 'utf8',
  });
  return { code: done.status, said: done.stdout + done.stderr };
}

let first: Started;

test('what is killed under it is started again, with a word, and nothing that was kept is lost', async () => {
  first = start();
  await up(first);
  const opened = await fetch(`${url()}/api/door/first-run`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      studio: {
        name: 'Kiln Lane',
        timeZone: 'UTC',
        temperatureUnit: 'C',
        lengthUnit: 'mm',
        massUnit: 'g',
        crackAtC: 100,
        unloadAtC: 40,
      },
      name: 'Ada Thorne',
      login: 'ada',
      password: 'a-long-way-to-go',
    }),
  });
  expect(await opened.json()).toMatchObject({ ok: true });
  for (const name of ['database', 'application']) {
    process.kill(children()[name]!.pid, 'SIGKILL');
    await expect.poll(() => first.said()).toContain(`The ${name} ended by itself and is started again.`);
    await expect.poll(healthy, { timeout: 60_000 }).toBe(true);
  }
  const again = await fetch(`${url()}/api/door/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login: 'ada', password: 'a-long-way-to-go' }),
  });
  expect(again.status).toBe(200);
});

test('a second start on the folder, and one on a port that is taken, say so in one line and leave the first alone', async () => {
  const second = start({ PORT: '' });
  expect(await second.over).toBe(1);
  expect(second.said().trim()).toMatch(
    new RegExp(`^.* is in use by ./start \\(process ${first.process.pid}, .*${url()}\\)\\..*$`),
  );
  expect(await healthy()).toBe(true);
});

test('a closed terminal ends all of it; so does Ctrl+C', async () => {
  for (const signal of ['SIGHUP', 'SIGINT'] as const) {
    const below = Object.values(children());
    expect(below).toHaveLength(2);
    first.process.kill(signal);
    expect(await first.over).toBe(0);
    expect(below.map(stillRuns)).toEqual([false, false]);
    first = start();
    await up(first);
  }
});

test('killed outright, the next start ends what was left and goes on', async () => {
  const left = children();
  first.process.kill('SIGKILL');
  await first.over;
  expect(stillRuns(left.database!)).toBe(true);
  first = start();
  await up(first);
  expect(first.said()).toContain(
    `Ended what a start that was killed had left: application (process ${left.application!.pid}), database (process ${left.database!.pid}).`,
  );
  expect(Object.values(left).map(stillRuns)).toEqual([false, false]);
  expect(await healthy()).toBe(true);
});

let file: string;

test('while it runs a backup is made in one file, and tried', async () => {
  const made = run('backup', '--to', 'away');
  expect(made.said).toMatch(/jiten-kiln-lane-.*\.tar: 1 MB/);
  file = join(directory, 'away', readdirSync(join(directory, 'away'))[0]!);
  const tried = run('verify', file);
  expect(tried.said).toContain('“Kiln Lane” as it was on');
  expect(tried.said).toContain('every summary is what its records say.');
  expect(tried.code).toBe(0);
  expect(readdirSync(join(directory, 'away'))).toHaveLength(1);
  await expect.poll(healthy).toBe(true);
});

test('brought back: into an empty folder at once, over a living studio only with its name, never over a running one', async () => {
  expect(run('restore', file).said).toContain('is in use by ./start');
  const other = run('restore', file, '--into', 'other');
  expect(other.said).toContain('“Kiln Lane” is in');
  expect(other.code).toBe(0);
  const over = run('restore', file, '--into', 'other');
  expect(over.said).toContain('Say --over "Kiln Lane" to put the backup in its place; nothing was changed.');
  expect(over.code).toBe(1);
  expect(run('restore', file, '--into', 'other', '--over', 'Kiln Lane').code).toBe(0);
  const cut = join(directory, 'away', 'cut.tar');
  copyFileSync(file, cut);
  truncateSync(cut, 3000);
  for (const command of ['restore', 'verify']) {
    const refused = run(command, cut, ...(command === 'restore' ? ['--into', 'third'] : []));
    expect(refused.said).toMatch(/^This backup is cut off/m);
    expect(refused.code).toBe(1);
  }
  first.process.kill('SIGTERM');
  await first.over;
  data = join(directory, 'other');
  first = start();
  await up(first);
  const inside = await fetch(`${url()}/api/door/sign-in`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login: 'ada', password: 'a-long-way-to-go' }),
  });
  expect(inside.status).toBe(200);
});

test('without a shell: made, tried and brought back from the room of backups', async ({ page }) => {
  test.setTimeout(240_000);
  const write = (name: string) =>
    page.request.post(`${url()}/api/act/store.save-body`, {
      data: {
        id: uuid(),
        input: {
          id: null,
          fields: {
            name,
            kind: 'stoneware',
            coneLow: '6',
            coneHigh: '6',
            ground: 'light',
            ironBearing: false,
            colour: '#ddccbb',
            notes: '',
            cautions: '',
          },
        },
      },
    });
  await page.request.post(`${url()}/api/door/sign-in`, {
    data: { login: 'ada', password: 'a-long-way-to-go' },
  });
  expect((await write('Before')).ok()).toBe(true);
  await page.goto(`${url()}/studio/backups`, { waitUntil: 'networkidle' });
  const known = await page.getByRole('button', { name: 'Bring it back …' }).count();
  await page.getByRole('button', { name: 'Make a backup now' }).click();
  await expect(page.getByRole('button', { name: 'Bring it back …' })).toHaveCount(known + 1, {
    timeout: 60_000,
  });
  await page.getByRole('button', { name: 'Try it' }).first().click();
  await expect(page.getByText(/every summary is what its records say/).first()).toBeVisible({
    timeout: 60_000,
  });
  expect((await write('After')).ok()).toBe(true);
  await page.getByRole('button', { name: 'Bring it back …' }).first().click();
  const go = page.getByRole('button', { name: 'Bring it back', exact: true });
  await expect(go).toBeDisabled();
  await page.getByLabel(/^Type “Kiln Lane”/).fill('Kiln Lane');
  await go.click();
  // The studio of then knows the session, which was there when the backup was made.
  await expect(page.getByRole('status')).toContainText(/The studio is as it was on/, {
    timeout: 120_000,
  });
  await page.goto(`${url()}/store`);
  await expect(page.getByRole('link', { name: /Before/ }).first()).toBeVisible();
  await expect(page.getByRole('link', { name: /After/ })).toHaveCount(0);
  first.process.kill('SIGTERM');
  await first.over;
});

test('a port that was asked for and is taken ends the start in one line, with nothing left running', async () => {
  const server = createServer();
  await new Promise<void>((resolve) => server.listen(port, '127.0.0.1', resolve));
  const blocked = start();
  expect(await blocked.over).toBe(1);
  expect(blocked.said().trim()).toBe(
    `Port ${port} is taken by another program. Stop that one, or start with another PORT.`,
  );
  server.close();
  const unread = start({ JITEN_TLS_CERT: 'nowhere.pem', JITEN_TLS_KEY: 'nowhere.key' });
  expect(await unread.over).toBe(1);
  expect(unread.said().trim()).toBe('The certificate’s file nowhere.pem cannot be read.');
  expect(Object.values(children()).filter(stillRuns)).toEqual([]);
});

test('on the local network: one name under a certificate of its own, a page that says how to trust it, all of it ended together', async () => {
  const [tls, plain] = [await freePort(), await freePort()];
  const one = start(
    {
      JITEN_LAN_ADDRESS: '127.0.0.1',
      JITEN_LAN_PORT: String(tls),
      JITEN_LAN_PLAIN_PORT: String(plain),
    },
    '--lan',
    '--name',
    'kiln-lane.local',
  );
  await up(one);
  expect(one.said()).toContain(`On the local network it is at https://kiln-lane.local:${tls}`);
  const page = await (await fetch(`http://127.0.0.1:${plain}/`)).text();
  expect(page).toContain(`https://kiln-lane.local:${tls}`);
  const ca = await (await fetch(`http://127.0.0.1:${plain}/studio-certificate.crt`)).text();
  const ask = (host: string, trusted: string | undefined): Promise<number | string> =>
    new Promise((resolve) => {
      const options = { ca: trusted, servername: host, headers: { host: `${host}:${tls}` } };
      get(`https://127.0.0.1:${tls}/api/health`, options, (answer) => {
        answer.resume();
        resolve(answer.statusCode ?? 0);
      }).once('error', (error: NodeJS.ErrnoException) => resolve(error.code ?? String(error)));
    });
  expect(await ask('kiln-lane.local', ca)).toBe(200);
  // Whoever was not told to trust it does not, and no other name is answered for.
  expect(await ask('kiln-lane.local', undefined)).toMatch(/SELF_SIGNED|UNABLE_TO/);
  expect(await ask('another.local', ca)).not.toBe(200);
  const door = children().door!;
  expect(stillRuns(door)).toBe(true);
  one.process.kill('SIGINT');
  expect(await one.over).toBe(0);
  expect(stillRuns(door)).toBe(false);
});
