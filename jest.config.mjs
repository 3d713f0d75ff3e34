const transform = {
  '^.+\\.tsx?$': [
    '<rootDir>/scripts/jest-transform.mjs',
    {
      jsc: {
        target: 'es2022',
        parser: { syntax: 'typescript', tsx: true },
        transform: { react: { runtime: 'automatic' } },
      },
      module: { type: 'es6' },
    },
  ],
};
const shared = {
  transform,
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: {
    '\\.module\\.css$': '<rootDir>/test-support/css-module.ts',
    '^@/(.*)$': '<rootDir>/src/$1',
  },
  testEnvironment: 'node',
  modulePathIgnorePatterns: ['<rootDir>/.next', '<rootDir>/studio-data', '<rootDir>/mutants'],
};

const config = {
  // A database that is made anew can take its time on a busy machine.
  testTimeout: 20_000,
  projects: [
    {
      ...shared,
      displayName: 'unit',
      testMatch: [
        '<rootDir>/src/**/*.test.ts',
        '<rootDir>/demo/**/*.test.ts',
        '<rootDir>/stand-ins/**/*.test.ts',
        '<rootDir>/scripts/**/*.test.ts',
      ],
      testPathIgnorePatterns: ['\\.db\\.test\\.ts$'],
    },
    {
      ...shared,
      displayName: 'dom',
      testEnvironment: 'jsdom',
      testMatch: ['<rootDir>/src/**/*.test.tsx'],
    },
    {
      ...shared,
      displayName: 'integration',
      testMatch: [
        '<rootDir>/src/**/*.db.test.ts',
        '<rootDir>/demo/**/*.db.test.ts',
        '<rootDir>/bench/**/*.db.test.ts',
      ],
      globalSetup: '<rootDir>/scripts/jest-database.ts',
      globalTeardown: '<rootDir>/scripts/jest-database-stop.ts',
    },
  ],
};

export default config;
