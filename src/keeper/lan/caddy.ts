/** The front door of the local network: a proxy with a certificate authority of the studio's own. */
import { spawn } from 'node:child_process';
import { copyFileSync, existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import type { Running } from '../keep';
import { addressOf, type LanPlace } from './place';
import { trustPage } from './trust-page';

export type RunningProxy = Running & { pid: number };

const START_MS = 30_000;
const STOP_MS = 5_000;

/** The authority's own certificate, made at the first start and kept with the studio's data. */
export const rootOf = (folder: string): string =>
  join(folder, 'store', 'pki', 'authorities', 'local', 'root.crt');

/** What the proxy is told. Paths may hold spaces. */
export function caddyfile(folder: string, place: LanPlace): string {
  const hosts = [place.name, ...place.addresses].map((host) => `https://${host}:${place.port}`);
  return `{
	admin off
	skip_install_trust
	auto_https disable_redirects
	storage file_system "${join(folder, 'store')}"
	default_sni ${place.name}
}
${hosts.join(', ')} {
	tls internal
	encode gzip
	reverse_proxy 127.0.0.1:${place.upstream}
}
http://:${place.plainPort} {
	root * "${join(folder, 'trust')}"
	file_server
}
`;
}

/** Starts the proxy and waits until it has its authority. Errors: it ended, with its own last words. */
export async function startCaddy(folder: string, place: LanPlace): Promise<RunningProxy> {
  const trust = join(folder, 'trust');
  mkdirSync(trust, { recursive: true, mode: 0o700 });
  writeFileSync(join(trust, 'index.html'), trustPage(addressOf(place)));
  const config = join(folder, 'Caddyfile');
  writeFileSync(config, caddyfile(folder, place), { mode: 0o600 });
  const child = spawn('caddy', ['run', '--config', config, '--adapter', 'caddyfile'], {
    stdio: ['ignore', 'ignore', 'pipe'],
    detached: true,
    // It leaves nothing anywhere but with the studio's data.
    env: { ...process.env, XDG_DATA_HOME: folder, XDG_CONFIG_HOME: folder },
  });
  let last = '';
  child.stderr.on('data', (bytes: Buffer) => (last = `${last}${String(bytes)}`.slice(-2000)));
  let over = false;
  const ended = new Promise<void>((resolve) => {
    const end = (): void => {
      over = true;
      resolve();
    };
    child.once('exit', end).once('error', end);
  });
  for (let waited = 0; !existsSync(rootOf(folder)); waited += 50) {
    if (over || waited > START_MS) {
      child.kill('SIGKILL');
      throw new Error(`The door to the local network did not open: ${reason(last)}`);
    }
    await wait(50);
  }
  copyFileSync(rootOf(folder), join(trust, 'studio-certificate.crt'));
  return {
    pid: child.pid as number,
    ended,
    async stop() {
      if (over) return;
      child.kill('SIGTERM');
      await Promise.race([ended, wait(STOP_MS, undefined, { ref: false })]);
      if (!over) child.kill('SIGKILL');
      await ended;
    },
  };
}

/** The last thing it said, out of its lines of JSON. */
function reason(said: string): string {
  const line = said.trim().split('\n').at(-1) ?? '';
  return (
    /"(?:error|msg)":"((?:[^"\\]|\\.)*)"/.exec(line)?.[1] ?? (line === '' ? 'is caddy installed?' : line)
  );
}
