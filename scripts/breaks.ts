/**
 * `npm run breaks [-- --large] [NUMBER …]`: breaks a copy of the program on purpose, one place at a time
 * (stand-ins/breaks), and counts what the simulated worlds notice: the small ones of the everyday tests, or
 * with --large the large ones.
 */
import { execFileSync, spawnSync } from 'node:child_process';
import { cpSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { BREAKS, type Break } from '../stand-ins/breaks';

const large = process.argv.includes('--large');
const asked = process.argv.slice(2).map(Number).filter(Number.isInteger);
const root = resolve(import.meta.dirname, '..');
const copy = mkdtempSync(join(tmpdir(), 'jiten-breaks-'));
process.on('exit', () => rmSync(copy, { recursive: true, force: true }));
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, () => process.exit(1));

const files = execFileSync('git', ['ls-files', '-z', '--cached', '--others', '--exclude-standard'], {
  cwd: root,
});
for (const file of files.toString().split('\0').filter(Boolean))
  cpSync(join(root, file), join(copy, file), { recursive: true });
symlinkSync(join(root, 'node_modules'), join(copy, 'node_modules'));

/** Do the worlds hold in the copy as it stands? */
function holds({ worlds, small }: Break): boolean {
  const [command, ...words] = ((!large && small) || worlds).split(' ');
  const [program, args] =
    words.length > 0
      ? ['npm', ['run', command!, '--', ...words]]
      : [
          'node',
          [
            '--experimental-vm-modules',
            'node_modules/jest/bin/jest.js',
            '--silent',
            '--testPathPatterns',
            command!,
          ],
        ];
  const { status, stderr, error } = spawnSync(program, args, {
    cwd: copy,
    encoding: 'utf8',
    env: { ...process.env, NODE_NO_WARNINGS: '1', ...(large ? { JITEN_WORLDS: 'large' } : {}) },
  });
  if (error) throw error;
  if (status !== 0 && /No tests found|Cannot find module/.test(stderr)) throw new Error(stderr);
  return status === 0;
}

/** Puts the break in, looks, and takes it out. */
function caught(one: Break): boolean {
  const path = join(copy, one.file);
  const whole = readFileSync(path, 'utf8');
  const [before, after, more] = whole.split(one.from);
  if (after === undefined || more !== undefined)
    throw new Error(`${one.file} has not exactly one “${one.from}”.`);
  writeFileSync(path, `${before}${one.to}${after}`);
  try {
    return !holds(one);
  } finally {
    writeFileSync(path, whole);
  }
}

const tried = BREAKS.filter(({ no }) => asked.length === 0 || asked.includes(no));
const missed: Break[] = [];
for (const one of tried) {
  const began = Date.now();
  const noticed = caught(one);
  if (!noticed) missed.push(one);
  const seconds = Math.round((Date.now() - began) / 1000);
  console.log(`${noticed ? 'caught' : 'MISSED'} ${one.no}. ${one.what} (${one.worlds}, ${seconds} s)`);
}
console.log(
  `${tried.length - missed.length} of ${tried.length} caught by the ${large ? 'large' : 'small'} worlds`,
);
process.exit(missed.length <= (large ? 0 : 1) ? 0 : 1);
