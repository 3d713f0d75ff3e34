import jest from './jest.config.mjs';
import { noticedBy, operation } from './stryker.rooms.mjs';

/**
 * Only the tests beside the code: what others notice by chance is no test of it. An operation needs a
 * database.
 */
const [unit, , integration] = jest.projects;
const config = {
  ...(operation ? integration : unit),
  testMatch: noticedBy,
  testPathIgnorePatterns: ['/node_modules/', '-worlds\\.test\\.ts$'],
  testSequencer: '<rootDir>/stryker.sequencer.mjs',
  testEnvironment: './stryker.environment.cjs',
};
export default config;
