/** Runs every check one after another and ends with one line that counts them. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from './build';

const out = mkdtempSync(join(tmpdir(), 'jiten-results-'));
let passed = 0;
let failed = 0;

function run(
  name: string,
  command: string,
  args: readonly string[],
  env: Record<string, string> = {},
): boolean {
  console.log(`\n== ${name}`);
  const result = spawnSync(command, args, {
    stdio: 'inherit',
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
  });
  return result.status === 0;
}

/** A check that is one thing: it holds or it does not. */
function check(name: string, command: string, args: readonly string[]): void {
  if (run(name, command, args)) passed++;
  else failed++;
}

function jest(name: string, project: string): void {
  const file = join(out, `${project}.json`);
  run(
    name,
    'node',
    [
      '--experimental-vm-modules',
      'node_modules/jest/bin/jest.js',
      '--selectProjects',
      project,
      '--json',
      `--outputFile=${file}`,
      '--silent',
    ],
    { NODE_NO_WARNINGS: '1' },
  );
  try {
    const report = JSON.parse(readFileSync(file, 'utf8')) as {
      numPassedTests: number;
      numFailedTests: number;
      numRuntimeErrorTestSuites: number;
    };
    passed += report.numPassedTests;
    failed += report.numFailedTests + report.numRuntimeErrorTestSuites;
  } catch {
    failed++;
  }
}

function browser(): void {
  const file = join(out, 'browser.json');
  const ok = run('browser', 'npx', ['playwright', 'test'], { PLAYWRIGHT_JSON_OUTPUT_NAME: file });
  try {
    const { stats } = JSON.parse(readFileSync(file, 'utf8')) as {
      stats: { expected: number; unexpected: number; flaky: number };
    };
    passed += stats.expected;
    failed +=
      stats.unexpected + stats.flaky + (!ok && stats.unexpected + stats.flaky === 0 ? 1 : 0);
  } catch {
    failed++;
  }
}

check('formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
check('lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
check('types', 'sh', ['-c', 'npx next typegen && npx tsc --noEmit']);
jest('unit', 'unit');
jest('components', 'dom');
jest('integration', 'integration');
console.log('\n== build');
try {
  build();
  browser();
} catch (error) {
  console.error(error);
  failed++;
}
rmSync(out, { recursive: true, force: true });
console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
