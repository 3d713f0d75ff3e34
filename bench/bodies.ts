/**
 * Somebody sends far too much: how long another person's health check takes meanwhile, and what it costs in
 * memory.
 */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { migrate } from '../src/data/migrations';
import { startApplication } from '../test-support/application';
import { ensureDatabase, openOn } from '../src/keeper/server';
import { build } from '../scripts/build';
import { median, note, type Bench } from './measure';

const STUDIO = {
  name: 'Kiln Lane',
  timeZone: 'UTC',
  temperatureUnit: 'C',
  lengthUnit: 'mm',
  massUnit: 'g',
  crackAtC: 100,
  unloadAtC: 40,
};

/** A process of its own, so that its own work is not taken for the server's. */
const SENDER = `
  const bytes = Buffer.alloc(Number(process.env.BYTES), process.env.UNIT);
  for (let i = 0; i < 5; i++) {
    let body = bytes;
    const headers = { cookie: process.env.COOKIE };
    if (process.env.URL_.includes('import')) {
      body = new FormData();
      body.set('options', '{}');
      body.set('file', new Blob([bytes]), 'past.csv');
    } else headers['content-type'] = 'application/json';
    await fetch(process.env.URL_, { method: 'POST', headers, body }).then((answer) => answer.text(), () => 0);
  }
`;

const residentMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))![1]) / 1024;

export const benchBodies: Bench = async (server, sized) => {
  const MB = 1024 * sized(1024, 20);
  await build();
  await ensureDatabase(server, 'bodies');
  const db = openOn(server, 'bodies');
  await migrate(db);
  await db.destroy();
  const data = mkdtempSync(join(tmpdir(), 'jiten-bodies-'));
  const application = await startApplication({ server, name: 'bodies' }, data);
  const { url, pid } = application;
  const json = { 'content-type': 'application/json' };
  const opened = await fetch(`${url}/api/door/first-run`, {
    method: 'POST',
    headers: json,
    body: JSON.stringify({
      studio: STUDIO,
      name: 'Ada',
      login: 'ada',
      password: 'a-long-way-to-go',
    }),
  });
  const cookie = opened.headers
    .getSetCookie()
    .map((one) => one.split(';')[0])
    .join('; ');

  /** Health checks, one after another, while something is sent (or nothing is, for so long). */
  async function checked(work: Promise<unknown>): Promise<{ times: number[]; mostMb: number }> {
    const times: number[] = [];
    let [over, mostMb] = [false, 0];
    void work.finally(() => (over = true)).catch(() => undefined);
    while (!over || times.length < 5) {
      const began = performance.now();
      await (await fetch(`${url}/api/health`)).arrayBuffer();
      times.push(performance.now() - began);
      mostMb = Math.max(mostMb, residentMb(pid));
      await wait(10);
    }
    return { times: times.sort((a, b) => a - b), mostMb };
  }
  await checked(wait(sized(1500, 50)));
  const { times: idle } = await checked(wait(sized(3000, 200)));
  const usual = median([...idle]);
  note(`health check, usually: median ${usual.toFixed(1)} ms, ${residentMb(pid).toFixed(0)} MB`);
  for (const [what, path, unit, bytes, sender] of [
    ['100 MB of brackets from a stranger', '/api/act/pieces.bin', '[],', 100 * MB, ''],
    ['100 MB of brackets from a technician', '/api/act/pieces.bin', '[],', 100 * MB, cookie],
    ['20 MB of line ends as a table', '/api/import/plan', '\n', 20 * MB - 2000, cookie],
    ['20 MB of commas as a table', '/api/import/plan', ',', 20 * MB - 2000, cookie],
    ['50,000 rows as a table', '/api/import/plan', 'Peat,6\n', 7 * sized(50_000, 500), cookie],
  ] as const) {
    const sending = spawn(process.execPath, ['--input-type=module', '-e', SENDER], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, URL_: url + path, UNIT: unit, BYTES: String(bytes), COOKIE: sender },
    });
    const { times, mostMb } = await checked(once(sending, 'exit'));
    const at = (share: number): number =>
      times[Math.min(times.length - 1, Math.floor(share * times.length))]!;
    note(
      `${what}, five times: health check median ${at(0.5).toFixed(1)} ms (${(at(0.5) / usual).toFixed(1)} × its usual; wanted: at most 5), longest ${at(1).toFixed(0)} ms of ${times.length}, at most ${mostMb.toFixed(0)} MB (wanted: under 600)`,
    );
  }
  await application.stop();
  rmSync(data, { recursive: true, force: true });
};
