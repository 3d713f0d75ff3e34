/** The parts of `./test`: what each runs, how many cores it fills, and what it has to wait for. */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ofJest, ofPlaywright, single, type Result } from './results';

export type Part = {
  name: string;
  command: readonly string[];
  env: Record<string, string>;
  cores: number;
  /** Parts that have to be over, however they ended; and those that have to hold. */
  after: readonly string[];
  needs: readonly string[];
  /** What it prints is shown though it holds. */
  shows: boolean;
  result: (ok: boolean) => Result;
};

/** What a change touches: its own files by kind, and the rooms (folders) that they lie in. */
export type Touched = { sources: string[]; formatted: string[]; rooms: string[]; specs: string[] };

const CACHE = 'node_modules/.cache/jiten';

export function touchedBy(files: readonly string[]): Touched {
  const sources = files.filter((file) => /\.(ts|tsx|mjs)$/.test(file));
  return {
    sources,
    formatted: files.filter((file) => /\.(ts|tsx|mjs|json|md|css)$/.test(file)),
    rooms: [
      ...new Set(sources.flatMap((file) => /^src\/(?:core\/|features\/)?[^/]+\//.exec(file)?.[0] ?? [])),
    ],
    specs: sources.filter((file) => /^e2e\/.*\.spec\.ts$/.test(file)),
  };
}

const part = (name: string, command: readonly string[], rest: Partial<Part> = {}): Part => ({
  name,
  command,
  env: {},
  cores: 1,
  after: rest.needs ?? [],
  needs: [],
  shows: false,
  result: (ok) => single(name, ok),
  ...rest,
});

type Asked = { folder: string; cores: number; all: boolean; touched: Touched | null };

/** Jest takes one worker less than there are cores; here nothing else runs beside it. */
function jest(name: string, project: string, { folder, cores, all }: Asked, ...words: string[]): Part {
  const file = join(folder, `${project}.json`);
  return part(
    name,
    [
      'node',
      '--experimental-vm-modules',
      'node_modules/jest/bin/jest.js',
      '--selectProjects',
      project,
      '--json',
      `--outputFile=${file}`,
      '--silent',
      `--maxWorkers=${cores}`,
      '--passWithNoTests',
      ...words,
    ],
    {
      cores,
      env: { NODE_NO_WARNINGS: '1', ...(all ? { JITEN_WORLDS: 'large' } : {}) },
      result: (ok) => ofJest(name, ok, file),
    },
  );
}

const prettier = (files: readonly string[]): Part =>
  part('formatting', [
    'npx',
    'prettier',
    '--check',
    '--log-level',
    'warn',
    '--cache',
    '--cache-strategy',
    'content',
    '--cache-location',
    `${CACHE}/prettier`,
    '--no-error-on-unmatched-pattern',
    ...files,
  ]);

const eslint = (files: readonly string[]): Part =>
  part('lint', [
    'npx',
    'eslint',
    '--max-warnings',
    '0',
    '--cache',
    '--cache-strategy',
    'content',
    '--cache-location',
    `${CACHE}/eslint`,
    '--no-warn-ignored',
    ...files,
  ]);

const types = (): Part => part('types', ['sh', '-c', 'npx next typegen && npx tsc --noEmit']);

function playwright({ folder }: Asked, after: readonly string[], ...words: string[]): Part {
  const file = join(folder, 'browser.json');
  return part('browser', ['npx', 'playwright', 'test', ...words], {
    cores: Infinity,
    env: { PLAYWRIGHT_JSON_OUTPUT_NAME: file },
    needs: ['build'],
    after: ['build', ...after],
    result: (ok) => ofPlaywright('browser', ok, file),
  });
}

/** One build for all. */
const build = (): Part => part('build', ['node', '--import', 'tsx', 'scripts/build.ts'], { cores: Infinity });

export function partsFor(asked: Asked): Part[] {
  const { touched } = asked;
  if (touched !== null) return partsOfChange(asked, touched);
  return [
    prettier(['.']),
    eslint(['.']),
    types(),
    jest('unit', 'unit', asked),
    jest('components', 'dom', asked),
    jest('integration', 'integration', asked),
    build(),
    playwright(asked, []),
  ];
}

/**
 * Formatting and lint of the files that changed, all types, tests that import what changed; of those against
 * the database only the changed rooms', for nearly all of them import everything. Browser tests only where
 * one of them changed.
 */
function partsOfChange(asked: Asked, { sources, formatted, rooms, specs }: Touched): Part[] {
  const related = ['--findRelatedTests', ...sources];
  const own = rooms.flatMap((room) =>
    readdirSync(room, { recursive: true, encoding: 'utf8' })
      .filter((file) => file.endsWith('.db.test.ts'))
      .map((file) => join(room, file)),
  );
  return [
    ...(formatted.length > 0 ? [prettier(formatted)] : []),
    ...(sources.length > 0
      ? [
          eslint(sources),
          types(),
          jest('unit', 'unit', asked, ...related),
          jest('components', 'dom', asked, ...related),
        ]
      : []),
    ...(own.length > 0 ? [jest('integration', 'integration', asked, '--runTestsByPath', ...own)] : []),
    ...(specs.length > 0 ? [build(), playwright(asked, [], ...specs)] : []),
  ];
}
