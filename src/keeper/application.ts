/** The built application as a process of its own. */
import { spawn } from 'node:child_process';
import { request as askPlainly } from 'node:http';
import { request as askUnderTls } from 'node:https';
import { setTimeout as wait } from 'node:timers/promises';
import type { Running } from './keep';

export type RunningApplication = Running & { url: string; pid: number };

export type ApplicationPlace = {
  host: string;
  port: number;
  /** Settings that it reads, on top of our own. */
  env: Record<string, string>;
  /** What it writes: lines of its log. */
  said?: (bytes: Buffer) => void;
};

/** Where the build leaves the server around the application. */
export const SERVER = '.next/serve.mjs';

const STOP_MS = 10_000;
const START_MS = 60_000;
/** A process that answers nothing for so long does not come back by itself. */
const SILENT = { everyMs: 15_000, answerMs: 10_000, times: 4 };

const spoken = (host: string): string =>
  host === '0.0.0.0' || host === '::' ? '127.0.0.1' : host.includes(':') ? `[${host}]` : host;

/**
 * Does it answer at all? That its database is away is an answer; whose certificate it is does not matter
 * here.
 */
function answers(url: string, timeout = SILENT.answerMs): Promise<boolean> {
  const ask = url.startsWith('https:') ? askUnderTls : askPlainly;
  return new Promise((resolve) => {
    const options = { timeout, rejectUnauthorized: false, agent: false };
    const asked = ask(`${url}/api/health`, options, (answer) => {
      answer
        .resume()
        .once('end', () => resolve(true))
        .once('error', () => resolve(false));
    });
    asked.once('timeout', () => asked.destroy()).once('error', () => resolve(false));
    asked.end();
  });
}

/** Starts the application and waits until it answers. Errors: it ended, or never answered. */
export async function startApplication(place: ApplicationPlace): Promise<RunningApplication> {
  const child = spawn(process.execPath, [SERVER], {
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
    env: {
      ...process.env,
      NEXT_TELEMETRY_DISABLED: '1',
      NODE_ENV: 'production',
      HOST: place.host,
      PORT: String(place.port),
      ...place.env,
    },
  });
  const said = place.said ?? (() => undefined);
  child.stdout.on('data', said);
  child.stderr.on('data', said);
  let over = false;
  const ended = new Promise<void>((resolve) => {
    const end = (): void => {
      over = true;
      resolve();
    };
    child.once('exit', end).once('error', end);
  });
  const env = { ...process.env, ...place.env };
  const scheme = env.JITEN_TLS_CERT ? 'https' : 'http';
  const url = `${scheme}://${spoken(place.host)}:${place.port}`;
  for (let waited = 0; !(await answers(url)); waited += 100) {
    if (over || waited > START_MS) {
      child.kill('SIGKILL');
      throw new Error(`The application did not start at ${url}.`);
    }
    await wait(100);
  }
  const stopWatch = killWhenSilent(url, () => child.kill('SIGKILL'));
  void ended.then(stopWatch);
  return {
    url,
    pid: child.pid as number,
    ended,
    async stop() {
      stopWatch();
      if (over) return;
      child.kill('SIGTERM');
      await Promise.race([ended, wait(STOP_MS, undefined, { ref: false })]);
      if (!over) child.kill('SIGKILL');
      await ended;
    },
  };
}

/** Asks now and then; what stays silent is ended, and then begun again by who keeps it. */
export function killWhenSilent(url: string, kill: () => void, silence = SILENT): () => void {
  let silent = 0;
  const timer = setInterval(() => {
    void answers(url, silence.answerMs).then((up) => {
      silent = up ? 0 : silent + 1;
      if (silent >= silence.times) kill();
    });
  }, silence.everyMs);
  timer.unref();
  return () => clearInterval(timer);
}
