/**
 * `npm run bench` measures everything; `npm run bench import board` only what is named; `npm run bench -- --write`
 * everything, and puts its table into docs/SPEED.md.
 */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startDatabase } from '../src/keeper/server';
import { BENCHES } from './all';
import { asTable, FULL } from './measure';

const SPEED = 'docs/SPEED.md';
const [FROM, TO] = ['<!-- bench: written by npm run bench -- --write -->', '<!-- /bench -->'];

const write = process.argv.includes('--write');
const named = process.argv.slice(2).filter((word) => !word.startsWith('--'));
const strange = named.filter((name) => !(name in BENCHES));
if (strange.length > 0) {
  console.error(`No bench is called ${strange.join(', ')}; there are ${Object.keys(BENCHES).join(', ')}.`);
  process.exit(1);
}
if (write && named.length > 0) {
  console.error('The table is written of all benches together; leave their names out.');
  process.exit(1);
}

const directory = mkdtempSync(join(tmpdir(), 'jiten-bench-'));
const server = await startDatabase(directory, { throwaway: true });
try {
  for (const name of named.length > 0 ? named : Object.keys(BENCHES)) await BENCHES[name]!(server, FULL);
} finally {
  await server.stop();
  rmSync(directory, { recursive: true, force: true });
}

const git = (...words: string[]): string => execFileSync('git', words, { encoding: 'utf8' }).trim();
const changed = git('status', '--porcelain', '--', 'src', 'bench', 'demo', 'test-support') !== '';
const table = asTable(`${git('rev-parse', '--short', 'HEAD')}${changed ? ' with changes' : ''}`);
if (write) {
  const [before, rest] = readFileSync(SPEED, 'utf8').split(FROM);
  const after = rest?.split(TO)[1];
  if (after === undefined) throw new Error(`${SPEED} has no place for the table.`);
  writeFileSync(SPEED, `${before}${FROM}\n\n${table}\n\n${TO}${after}`);
  execFileSync('npx', ['prettier', '--write', '--log-level', 'warn', SPEED], { stdio: 'inherit' });
} else console.log(`\n${table}`);
