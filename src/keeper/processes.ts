/** Processes by number and birth: a number alone may belong to somebody else by now. */
import { readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { z } from 'zod';
import type { Folder } from './folder';

const born = z.object({ pid: z.number().int().positive(), boot: z.string(), ticks: z.string() });
export type Born = z.output<typeof born>;
const children = z.record(z.string(), born);

/** A process that runs now; null when there is none of that number. */
export function bornOf(pid: number): Born | null {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    // The name, in brackets, may hold anything; the state follows it, the birth is 19 fields on.
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    if (fields[0] === 'Z') return null;
    const boot = readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim();
    return { pid, boot, ticks: fields[19]! };
  } catch {
    return null;
  }
}

export function stillRuns(one: Born): boolean {
  const now = bornOf(one.pid);
  return now !== null && now.ticks === one.ticks && now.boot === one.boot;
}

/** Ends a process: asks, waits, and then does not ask any more. */
export async function end(one: Born, patienceMs: number): Promise<void> {
  if (!stillRuns(one)) return;
  const send = (signal: 'SIGTERM' | 'SIGKILL'): void => {
    try {
      process.kill(one.pid, signal);
    } catch {
      // It went by itself.
    }
  };
  send('SIGTERM');
  for (let waited = 0; waited < patienceMs; waited += 50) {
    if (!stillRuns(one)) return;
    await wait(50);
  }
  send('SIGKILL');
  for (let waited = 0; waited < 10_000 && stillRuns(one); waited += 20) await wait(20);
}

const record = (folder: Folder): string => join(folder.run, 'children.json');

function readChildren(folder: Folder): Record<string, Born> {
  try {
    return children.parse(JSON.parse(readFileSync(record(folder), 'utf8')));
  } catch {
    return {};
  }
}

/** Whole or not at all: whoever reads it meanwhile, or after a kill, finds no half of it. */
function write(folder: Folder, all: Record<string, Born>): void {
  const beside = `${record(folder)}.new`;
  writeFileSync(beside, JSON.stringify(all), { mode: 0o600 });
  renameSync(beside, record(folder));
}

/** Writes down what was started, so that a later start can end what a killed one left. */
export function noteChild(folder: Folder, name: string, pid: number): void {
  const one = bornOf(pid);
  if (one === null) return;
  write(folder, { ...readChildren(folder), [name]: one });
}

/** A server of before this record was kept: known by its own file and the folder it serves. */
function oldServer(folder: Folder): Born | null {
  try {
    const pid = Number(readFileSync(join(folder.data, 'mariadb.pid'), 'utf8'));
    const command = readFileSync(`/proc/${pid}/cmdline`, 'utf8').split('\0');
    return command.includes(`--datadir=${folder.tables}`) ? bornOf(pid) : null;
  } catch {
    return null;
  }
}

/** Ends what a killed start left running; says what that was. The folder must be held. */
export async function endLeftovers(folder: Folder): Promise<string[]> {
  const left: Record<string, Born> = readChildren(folder);
  const old = oldServer(folder);
  if (old !== null) left.database ??= old;
  const ended: string[] = [];
  // The application first: it would only complain that its database is away.
  for (const name of Object.keys(left).sort((a, b) => a.localeCompare(b))) {
    const one = left[name]!;
    if (!stillRuns(one)) continue;
    await end(one, name === 'database' ? 60_000 : 5000);
    ended.push(`${name} (process ${one.pid})`);
  }
  write(folder, {});
  return ended;
}
