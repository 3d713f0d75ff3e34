/** Runs every check one after another; ends by naming what failed, and with one line that counts. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, relative } from 'node:path';
import { build } from './build';

const out = mkdtempSync(join(tmpdir(), 'jiten-results-'));
let passed = 0;
/** What did not hold, by name: said once more at the very end, where it is looked for. */
const failed: string[] = [];

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
  else failed.push(name);
}

interface JestReport {
  readonly numPassedTests: number;
  readonly testResults: readonly {
    readonly name: string;
    readonly status: string;
    readonly assertionResults: readonly { readonly status: string; readonly fullName: string }[];
  }[];
}

/** The tests of a report that failed; a file that failed without a test of it stands by its name. */
function failuresOf(report: JestReport): string[] {
  return report.testResults.flatMap((file) => {
    const name = relative(process.cwd(), file.name);
    const tests = file.assertionResults.filter((test) => test.status === 'failed');
    if (tests.length > 0) return tests.map((test) => `${name}: ${test.fullName}`);
    return file.status === 'failed' ? [`${name}: could not be run`] : [];
  });
}

interface BrowserSuite {
  readonly file: string;
  readonly suites?: readonly BrowserSuite[];
  readonly specs?: readonly {
    readonly title: string;
    readonly tests: readonly { readonly status: string }[];
  }[];
}

/** The browser tests that did not hold at the first try. */
function unexpectedIn(suite: BrowserSuite): string[] {
  const own = (suite.specs ?? [])
    .filter((spec) => spec.tests.some((test) => ['unexpected', 'flaky'].includes(test.status)))
    .map((spec) => `e2e/${suite.file}: ${spec.title}`);
  return [...own, ...(suite.suites ?? []).flatMap(unexpectedIn)];
}

function jest(name: string, project: string): void {
  const file = join(out, `${project}.json`);
  const ok = run(
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
    const report = JSON.parse(readFileSync(file, 'utf8')) as JestReport;
    passed += report.numPassedTests;
    const failures = failuresOf(report);
    failed.push(...(ok || failures.length > 0 ? failures : [`${name}: ended with an error`]));
  } catch {
    failed.push(`${name}: no result was written`);
  }
}

function browser(): void {
  const file = join(out, 'browser.json');
  const ok = run('browser', 'npx', ['playwright', 'test'], { PLAYWRIGHT_JSON_OUTPUT_NAME: file });
  try {
    const report = JSON.parse(readFileSync(file, 'utf8')) as {
      readonly stats: { readonly expected: number };
      readonly suites: readonly BrowserSuite[];
    };
    passed += report.stats.expected;
    const failures = report.suites.flatMap(unexpectedIn);
    failed.push(...(ok || failures.length > 0 ? failures : ['browser: ended with an error']));
  } catch {
    failed.push('browser: no result was written');
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
  failed.push('build');
}
rmSync(out, { recursive: true, force: true });
for (const name of failed) console.log(`failed: ${name}`);
console.log(`\n${passed} passed, ${failed.length} failed`);
process.exit(failed.length === 0 ? 0 : 1);
