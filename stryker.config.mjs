import { mutated } from './stryker.rooms.mjs';

/**
 * `npm run mutants`: breaks the code on purpose and counts how many breaks the tests notice;
 * `JITEN_MUTANTS=operation npm run mutants` does so with what carries operations out,
 * `JITEN_MUTANTS=load,atmosphere npm run mutants` with some rooms of the core.
 */
const config = {
  testRunner: 'jest',
  testRunnerNodeArgs: ['--experimental-vm-modules'],
  jest: { projectType: 'custom', configFile: 'stryker.jest.mjs', enableFindRelatedTests: false },
  mutate: mutated,
  coverageAnalysis: 'perTest',
  concurrency: 2,
  reporters: ['clear-text', 'json', 'progress-append-only'],
  jsonReporter: { fileName: 'mutants/report.json' },
  clearTextReporter: { allowColor: false, reportTests: false, reportMutants: true },
  tempDirName: 'mutants/sandbox',
  ignorePatterns: ['.next', 'studio-data', 'docs', 'mutants', 'public'],
  timeoutMS: 4_000,
  timeoutFactor: 1.5,
  ignoreStatic: true,
};
export default config;
