/**
 * `./test`: every check, those that can run side by side. `./test --changed [REV]` only what a change touches
 * (since a commit, or what is not committed), `./test --all` the large simulated worlds too. Ends with a
 * table of what took how long, with what failed by name, and with one line that counts.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { partsFor, touchedBy, type Part } from './testing/parts';
import { endAll, leftRunning, runPart, type Ran } from './testing/run-part';
import type { Result } from './testing/results';
import { table, type Done } from './testing/table';

const CORES = availableParallelism();
const folder = mkdtempSync(join(tmpdir(), 'jiten-results-'));

function changed(): string[] | null {
  const at = process.argv.indexOf('--changed');
  if (at < 0) return null;
  const since = process.argv[at + 1] ?? 'HEAD';
  const git = (...words: string[]): string[] =>
    execFileSync('git', words, { encoding: 'utf8' }).split('\n').filter(Boolean);
  return [
    ...new Set([
      ...git('diff', '--name-only', '--diff-filter=d', since),
      ...git('ls-files', '--others', '--exclude-standard'),
    ]),
  ];
}

const files = changed();
const parts = partsFor({
  folder,
  cores: CORES,
  all: process.argv.includes('--all'),
  touched: files === null ? null : touchedBy(files),
});
if (files !== null) console.log(`${files.length} files changed: ${parts.map(({ name }) => name).join(', ')}`);

let ending = false;
/** Nothing that was started here goes on when the run is given up. */
async function giveUp(): Promise<void> {
  if (ending) return;
  ending = true;
  await endAll();
  rmSync(folder, { recursive: true, force: true });
  console.log('\nGiven up; what was started is ended.');
  process.exit(130);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) process.on(signal, () => void giveUp());

const done = new Map<string, Done>();
const under = new Map<string, number>();

async function take(part: Part): Promise<void> {
  const began = Date.now();
  under.set(part.name, began);
  const ran: Ran = await runPart(part.command, part.env);
  under.delete(part.name);
  if (ending) return;
  const result: Result = part.result(ran.ok);
  done.set(part.name, { part: part.name, ran, result });
  const verdict = result.failed.length === 0 && ran.ok ? 'holds' : 'FAILS';
  console.log(`\n== ${part.name}: ${verdict}, ${Math.round(ran.wall)} s`);
  if (!ran.ok || part.shows) console.log(ran.output);
}

/** Starts whatever may start: what it needs is done, and there are cores for it. */
async function takeAll(): Promise<void> {
  const waiting = [...parts];
  const works = new Map<string, Promise<void>>();
  while (waiting.length > 0 || works.size > 0) {
    for (const part of [...waiting]) {
      const busy = [...works.keys()].reduce((sum, name) => sum + coresOf(name), 0);
      const needed = part.after.filter((name) => parts.some((other) => other.name === name));
      if (!needed.every((name) => done.has(name))) continue;
      if (busy > 0 && busy + coresOf(part.name) > CORES) continue;
      waiting.splice(waiting.indexOf(part), 1);
      const broken = part.needs.find((name) => done.get(name)?.ran.ok === false);
      if (broken !== undefined) {
        done.set(part.name, {
          part: part.name,
          ran: { ok: false, output: '', wall: 0, cpu: 0 },
          result: { passed: 0, failed: [`${part.name}: not run, for ${broken} failed`], files: [] },
        });
        continue;
      }
      const work = take(part).finally(() => works.delete(part.name));
      works.set(part.name, work);
    }
    if (works.size > 0) await Promise.race(works.values());
  }
}
const coresOf = (name: string): number => Math.min(CORES, parts.find((part) => part.name === name)!.cores);

const progress = setInterval(() => {
  for (const [name, began] of under) console.log(`… ${name}, ${Math.round((Date.now() - began) / 1000)} s`);
}, 60_000);

const began = Date.now();
await takeAll();
clearInterval(progress);
rmSync(folder, { recursive: true, force: true });
const results = [...done.values()].map(({ result }) => result);
const failed = results.flatMap((result) => result.failed);
if (leftRunning().length > 0) for (const what of await endAll()) failed.push(`left running: ${what}`);
console.log(`\n${table([...done.values()], (Date.now() - began) / 1000, CORES)}`);
for (const name of failed) console.log(`failed: ${name}`);
const passed = results.reduce((sum, result) => sum + result.passed, 0);
console.log(`\n${passed} passed, ${failed.length} failed`);
process.exit(failed.length === 0 ? 0 : 1);
