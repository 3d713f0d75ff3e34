/**
 * Runs one part of the tests as a process group of its own: its output is kept, its time and its CPU are
 * counted.
 */
import { spawn, type ChildProcess } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';

export type Ran = {
  ok: boolean;
  output: string;
  /** Seconds by the clock, and of all cores together. */
  wall: number;
  cpu: number;
};

/** Every process of a run has this in its environment, so that none is left when the run is over. */
const MARK = `JITEN_TEST_RUN=${process.pid}-${Date.now()}`;
const running = new Set<ChildProcess>();

/** bash tells what a command and all that it waited for took. */
const TIMED = 'TIMEFORMAT="%R %U %S"; time "$@"';

export function runPart(command: readonly string[], env: Record<string, string> = {}): Promise<Ran> {
  const [name, value] = MARK.split('=') as [string, string];
  const child = spawn('bash', ['-c', TIMED, 'bash', ...command], {
    detached: true,
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', FORCE_COLOR: '0', ...env, [name]: value },
  });
  running.add(child);
  const chunks: Buffer[] = [];
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk: Buffer) => chunks.push(chunk));
  return new Promise((resolve) => {
    child.once('close', (code) => {
      running.delete(child);
      const lines = Buffer.concat(chunks).toString('utf8').trimEnd().split('\n');
      const at = lines.findLastIndex((line) => /^\d+\.\d+ \d+\.\d+ \d+\.\d+$/.test(line));
      const [wall = 0, user = 0, system = 0] = at < 0 ? [] : lines[at]!.split(' ').map(Number);
      const output = lines.filter((_, i) => i !== at).join('\n');
      resolve({ ok: code === 0, output, wall, cpu: user + system });
    });
  });
}

/** Processes that bear this run's mark, this one excepted. */
export function leftRunning(): { pid: number; what: string }[] {
  return readdirSync('/proc').flatMap((entry) => {
    const pid = Number(entry);
    if (!Number.isInteger(pid) || pid === process.pid) return [];
    try {
      if (!readFileSync(`/proc/${pid}/environ`, 'utf8').split('\0').includes(MARK)) return [];
      const words = readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0').slice(0, 3);
      // What has ended and was not waited for yet has no words.
      return words.join('') === '' ? [] : [{ pid, what: words.join(' ').trim() }];
    } catch {
      // It ended meanwhile, or is somebody else's.
      return [];
    }
  });
}

const signal = (pid: number, name: NodeJS.Signals): void => {
  try {
    process.kill(pid, name);
  } catch {
    // It ended meanwhile.
  }
};

/** Ends whatever is left of this run, civilly first; says what it was. */
export async function endAll(patienceMs = 8000): Promise<string[]> {
  for (const { pid } of running) if (pid !== undefined) signal(-pid, 'SIGTERM');
  const until = Date.now() + patienceMs;
  const left = leftRunning();
  for (const { pid } of left) signal(pid, 'SIGTERM');
  while (leftRunning().length > 0 && Date.now() < until)
    await new Promise((resolve) => setTimeout(resolve, 100));
  for (const { pid } of leftRunning()) signal(pid, 'SIGKILL');
  return left.map(({ what }) => what);
}
