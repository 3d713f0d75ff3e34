/**
 * `npm run worlds [NAME …]`: the large simulated worlds, whose figures go into docs/WORLDS.md; those of
 * pictures, clinic and phones also write docs of their own (docs/PICTURES.md, docs/CLINIC.md,
 * docs/RELIABILITY.md by hand).
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { availableParallelism } from 'node:os';
import { format, resolveConfig } from 'prettier';
import type { Figure } from '../test-support/worlds';

const DOC = 'docs/WORLDS.md';
/** Tests whose worlds come in two sizes, and commands that make figures of their own. */
const TESTED = ['watch', 'heatwork', 'load', 'standing', 'sight', 'clinic'];
const COMMANDS: Record<string, string> = {
  clinic: 'clinic-doc',
  pictures: 'pictures-doc',
  phones: 'reliability',
};

const asked = process.argv.slice(2);
const takes = (name: string): boolean => asked.length === 0 || asked.includes(name);
const strange = asked.filter((name) => !TESTED.includes(name) && !(name in COMMANDS));
if (strange.length > 0) {
  console.error(
    `No world is called ${strange.join(', ')}; there are ${[...TESTED, ...Object.keys(COMMANDS)].join(', ')}.`,
  );
  process.exit(1);
}

const run = (command: string, args: string[], env: Record<string, string> = {}): boolean =>
  spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } }).status === 0;

/** Figures of worlds that were run now, beside those of the others from before. */
async function write(figures: readonly Figure[]): Promise<void> {
  const rows = (lines: string[]): string[] => lines.filter((line) => /^\| (?!world |-)/.test(line));
  const before = existsSync(DOC) ? rows(readFileSync(DOC, 'utf8').split('\n')) : [];
  const worlds = new Set(figures.map(({ world }) => world));
  const kept = before.filter((line) => !worlds.has(line.split('|')[1]!.trim()));
  const now = figures.map((one) => `| ${one.world} | ${one.what} | ${one.found} | ${one.wanted} |`);
  const text = [
    '# Simulated worlds',
    '',
    'Made by `npm run worlds` from worlds that know nothing of the code they judge; written by hand nowhere. How each is made',
    'stands with it (`stand-ins`, `test-support/photographs`); what follows from it in HEATWORK.md, PICTURES.md and CLINIC.md.',
    '',
    '| world | what | found | wanted |',
    '| --- | --- | --- | --- |',
    ...[...kept, ...now].sort((a, b) => (a.split('|')[1]! < b.split('|')[1]! ? -1 : 0)),
  ].join('\n');
  writeFileSync(DOC, await format(text, { ...(await resolveConfig(DOC)), filepath: DOC }));
}

const failed: string[] = [];
const tested = TESTED.filter(takes);
if (tested.length > 0) {
  const folder = mkdtempSync(join(tmpdir(), 'jiten-worlds-'));
  const file = join(folder, 'figures');
  const jest = [
    '--experimental-vm-modules',
    'node_modules/jest/bin/jest.js',
    '--selectProjects',
    'unit',
    `--maxWorkers=${availableParallelism()}`,
    '--testPathPatterns',
    `/(${tested.join('|')})/[a-z-]*worlds\\.test`,
  ];
  const env = { JITEN_WORLDS: 'large', JITEN_FIGURES: file, NODE_NO_WARNINGS: '1' };
  if (!run('node', jest, env)) failed.push(tested.join(', '));
  const lines = existsSync(file) ? readFileSync(file, 'utf8').trim().split('\n') : [];
  rmSync(folder, { recursive: true });
  await write(lines.map((line) => JSON.parse(line) as Figure));
}
for (const [name, command] of Object.entries(COMMANDS))
  if (takes(name) && !run('npm', ['run', '--silent', command])) failed.push(name);
for (const name of failed) console.log(`failed: ${name}`);
process.exit(failed.length === 0 ? 0 : 1);
