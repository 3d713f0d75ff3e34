/** What runs the tests: which parts there are, what their reports say, and that nothing is left running. */
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { roomForDatabases } from '../../test-support/database';
import { partsFor, touchedBy, type Part } from './parts';
import { ofJest, ofPlaywright, single } from './results';
import { endAll, leftRunning, runPart } from './run-part';
import { table } from './table';

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'jiten-testing-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const file = (name: string, text: string): string => {
  writeFileSync(join(folder, name), text);
  return join(folder, name);
};
const named = (parts: readonly Part[], name: string): Part => parts.find((one) => one.name === name)!;

describe('parts', () => {
  const asked = { folder: '/results', cores: 2, all: false, touched: null };
  test('of a whole run: browser tests wait for a build that holds, and what needs all cores says so', () => {
    const parts = partsFor(asked);
    expect(parts.map(({ name }) => name)).toEqual([
      'formatting',
      'lint',
      'types',
      'unit',
      'components',
      'integration',
      'build',
      'browser',
    ]);
    expect(named(parts, 'browser').needs).toEqual(['build']);
    expect(named(parts, 'build').cores).toBe(Infinity);
    expect(named(parts, 'unit').command).toContain('--maxWorkers=2');
    expect(named(parts, 'unit').env.JITEN_WORLDS).toBeUndefined();
  });
  test('on one core nothing asks for two workers; with everything the worlds are large', () => {
    const parts = partsFor({ ...asked, cores: 1, all: true });
    expect(named(parts, 'integration').command).toContain('--maxWorkers=1');
    expect(named(parts, 'unit').env.JITEN_WORLDS).toBe('large');
  });
  test('of a change: its files by kind, the rooms they lie in, its browser tests alone', () => {
    const touched = touchedBy([
      'src/features/ticks/actions.ts',
      'src/core/zones/keys.ts',
      'docs/SPEED.md',
      'e2e/store.spec.ts',
      'start',
    ]);
    expect(touched.rooms).toEqual(['src/features/ticks/', 'src/core/zones/']);
    expect(touched.formatted).toContain('docs/SPEED.md');
    expect(touched.sources).not.toContain('docs/SPEED.md');
    const parts = partsFor({ ...asked, touched });
    expect(named(parts, 'browser').command).toContain('e2e/store.spec.ts');
    expect(named(parts, 'integration').command.join(' ')).toMatch(/ticks\.db\.test\.ts/);
    const docs = partsFor({ ...asked, touched: touchedBy(['docs/SPEED.md']) });
    expect(docs.map(({ name }) => name)).toEqual(['formatting']);
  });
});

describe('reports', () => {
  const jest = (over: object): string =>
    JSON.stringify({
      numPassedTests: 3,
      testResults: [
        {
          name: join(process.cwd(), 'src/a.test.ts'),
          status: 'failed',
          startTime: 1000,
          endTime: 3500,
          assertionResults: [
            { status: 'passed', fullName: 'one' },
            { status: 'failed', fullName: 'two' },
          ],
        },
      ],
      ...over,
    });
  test('Jest’s: tests that failed by name, a file that could not be run, how long each took', () => {
    const said = ofJest('unit', false, file('jest.json', jest({})));
    expect(said).toEqual({
      passed: 3,
      failed: ['src/a.test.ts: two'],
      files: [{ name: 'src/a.test.ts', seconds: 2.5 }],
    });
    const testResults = [
      { name: 'b.test.ts', status: 'failed', startTime: 0, endTime: 0, assertionResults: [] },
    ];
    expect(ofJest('unit', false, file('jest.json', jest({ testResults }))).failed).toEqual([
      'b.test.ts: could not be run',
    ]);
  });
  test('a run that failed names something, whatever its report says; one without a report does too', () => {
    const good = jest({ testResults: [] });
    expect(ofJest('unit', false, file('jest.json', good)).failed).toEqual(['unit: ended with an error']);
    expect(ofJest('unit', true, join(folder, 'none')).failed).toEqual(['unit: no result was written']);
    expect(ofPlaywright('browser', false, file('half', '{"st')).failed).toEqual([
      'browser: no result was written',
    ]);
    expect(single('lint', false)).toEqual({ passed: 0, failed: ['lint'], files: [] });
  });
  test('Playwright’s: one that held at a second try only has failed', () => {
    const spec = (title: string, status: string) => ({
      title,
      tests: [{ status, results: [{ duration: 1500 }] }],
    });
    const report = {
      stats: { expected: 1, skipped: 0 },
      suites: [
        {
          file: 'a.spec.ts',
          specs: [spec('holds', 'expected')],
          suites: [{ file: 'a.spec.ts', specs: [spec('at the second try', 'flaky')] }],
        },
      ],
    };
    expect(ofPlaywright('browser', true, file('browser.json', JSON.stringify(report)))).toEqual({
      passed: 1,
      failed: ['e2e/a.spec.ts: at the second try'],
      files: [{ name: 'e2e/a.spec.ts', seconds: 3 }],
    });
  });
});

test('a part’s words are kept and its time told; its own end is its verdict', async () => {
  const good = await runPart(['sh', '-c', 'echo said; echo loudly >&2']);
  expect(good).toMatchObject({ ok: true });
  expect(good.output).toContain('said');
  expect(good.output).toContain('loudly');
  expect(good.wall).toBeGreaterThanOrEqual(0);
  expect((await runPart(['sh', '-c', 'exit 3'])).ok).toBe(false);
  expect((await runPart(['no-such-command-here'])).ok).toBe(false);
});

test('what a part leaves running is found by its mark and ended', async () => {
  await runPart(['sh', '-c', 'setsid sleep 300 >/dev/null 2>&1 & exit 0']);
  // Seen a moment before it became what it is, it bears the name of what started it.
  expect(leftRunning().map(({ what }) => what)).toEqual([expect.stringContaining('sleep 300')]);
  expect(await endAll()).toEqual([expect.stringContaining('sleep 300')]);
  expect(leftRunning()).toEqual([]);
}, 20_000);

test('the table tells each part, all of it, and the slowest files first', () => {
  const ran = { ok: true, output: '', wall: 90, cpu: 120 };
  const files = [
    { name: 'quick.test.ts', seconds: 1 },
    { name: 'slow.test.ts', seconds: 40.25 },
  ];
  expect(table([{ part: 'unit', ran, result: { passed: 7, failed: [], files } }], 96, 2).split('\n')).toEqual(
    [
      '| part | minutes | CPU minutes | passed |',
      '| --- | --- | --- | --- |',
      '| unit | 1.5 | 2.0 | 7 |',
      '| all, on 2 cores | 1.6 | 2.0 | 7 |',
      '',
      '| slowest files | seconds |',
      '| --- | --- |',
      '| slow.test.ts | 40.3 |',
      '| quick.test.ts | 1.0 |',
    ],
  );
});

test('databases lie on the disk where there is no memory for files, or less than a gigabyte of it', () => {
  expect(roomForDatabases('/no/such/place')).toBe(tmpdir());
  expect(roomForDatabases('/proc')).toBe(tmpdir());
});

test('a database that ends in the middle of a run ends the run, in words, with nothing left running', async () => {
  const result = join(folder, 'integration.json');
  const jest = [
    'node',
    '--experimental-vm-modules',
    'node_modules/jest/bin/jest.js',
    '--selectProjects',
    'integration',
  ];
  const only = [
    '--maxWorkers=2',
    '--json',
    `--outputFile=${result}`,
    '--testPathPatterns',
    '/stock.db|/near.db',
  ];
  const running = runPart([...jest, ...only]);
  // The server itself, not what makes its tables.
  const server = (): number | undefined =>
    leftRunning().find(
      ({ pid, what }) =>
        what.startsWith('mariadbd') &&
        readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('--skip-networking'),
    )?.pid;
  while (server() === undefined) await new Promise((resolve) => setTimeout(resolve, 50));
  process.kill(server()!, 'SIGKILL');
  const ran = await running;
  expect(ran.ok).toBe(false);
  expect(ofJest('integration', ran.ok, result).failed.length).toBeGreaterThan(0);
  expect(ran.output).toMatch(/ended in the middle of the run|database did not start/i);
  expect(leftRunning()).toEqual([]);
}, 90_000);
