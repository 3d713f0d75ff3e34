import jest from './jest.config.mjs';

/**
 * Only the tests beside the code: what others notice by chance is no test of it. `JITEN_MUTANTS=operation`
 * takes what carries operations out, which needs a database.
 */
const [unit, , integration] = jest.projects;
const operation = process.env.JITEN_MUTANTS === 'operation';
const config = {
  ...(operation ? integration : unit),
  testMatch: operation
    ? ['<rootDir>/src/platform/operation.db.test.ts']
    : ['zones', 'chemistry', 'codes', 'looks', 'standing', 'statistics'].map(
        (room) => `<rootDir>/src/core/${room}/**/*.test.ts`,
      ),
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
};
export default config;
