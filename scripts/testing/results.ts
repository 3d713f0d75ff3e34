/**
 * What the reports of the test runners say: how many tests held, what did not, and how long each file took.
 */
import { readFileSync } from 'node:fs';
import { relative } from 'node:path';

export type Result = { passed: number; failed: string[]; files: { name: string; seconds: number }[] };

type JestReport = {
  numPassedTests: number;
  testResults: {
    name: string;
    status: string;
    startTime: number;
    endTime: number;
    assertionResults: { status: string; fullName: string }[];
  }[];
};

/** A check that is one thing: it holds or it does not. */
export const single = (name: string, ok: boolean): Result => ({
  passed: ok ? 1 : 0,
  failed: ok ? [] : [name],
  files: [],
});

/** Of a run that did not hold something is named, whatever its report says. */
function named(name: string, ok: boolean, failures: string[]): string[] {
  return ok || failures.length > 0 ? failures : [`${name}: ended with an error`];
}

/** The tests of Jest's report; a file that failed without a test of it stands by its name. */
export function ofJest(name: string, ok: boolean, path: string): Result {
  let report: JestReport;
  try {
    report = JSON.parse(readFileSync(path, 'utf8')) as JestReport;
  } catch {
    return { passed: 0, failed: [`${name}: no result was written`], files: [] };
  }
  const failures = report.testResults.flatMap((file) => {
    const at = relative(process.cwd(), file.name);
    const tests = file.assertionResults.filter((test) => test.status === 'failed');
    if (tests.length > 0) return tests.map((test) => `${at}: ${test.fullName}`);
    return file.status === 'failed' ? [`${at}: could not be run`] : [];
  });
  return {
    passed: report.numPassedTests,
    failed: named(name, ok, failures),
    files: report.testResults.map((file) => ({
      name: relative(process.cwd(), file.name),
      seconds: (file.endTime - file.startTime) / 1000,
    })),
  };
}

type BrowserSuite = {
  file: string;
  suites?: BrowserSuite[];
  specs?: { title: string; tests: { status: string; results: { duration: number }[] }[] }[];
};

/** The browser tests that did not hold at the first try. */
function unexpectedIn(suite: BrowserSuite): string[] {
  const own = (suite.specs ?? [])
    .filter((spec) => spec.tests.some((test) => ['unexpected', 'flaky'].includes(test.status)))
    .map((spec) => `e2e/${suite.file}: ${spec.title}`);
  return [...own, ...(suite.suites ?? []).flatMap(unexpectedIn)];
}

const milliseconds = (suite: BrowserSuite): number =>
  [
    ...(suite.specs ?? []).flatMap(({ tests }) =>
      tests.flatMap(({ results }) => results.map(({ duration }) => duration)),
    ),
    ...(suite.suites ?? []).map(milliseconds),
  ].reduce((sum, each) => sum + each, 0);

/** The tests of Playwright's report. */
export function ofPlaywright(name: string, ok: boolean, path: string): Result {
  let report: { stats: { expected: number; skipped: number }; suites: BrowserSuite[] };
  try {
    report = JSON.parse(readFileSync(path, 'utf8')) as typeof report;
  } catch {
    return { passed: 0, failed: [`${name}: no result was written`], files: [] };
  }
  return {
    passed: report.stats.expected,
    failed: named(name, ok, report.suites.flatMap(unexpectedIn)),
    files: report.suites.map((suite) => ({
      name: `e2e/${suite.file}`,
      seconds: milliseconds(suite) / 1000,
    })),
  };
}
