import { readdirSync } from 'node:fs';
import next from 'eslint-config-next/core-web-vitals';
import tseslint from 'typescript-eslint';

const zone = (target, from, message) => ({
  target: `./src/${target}`,
  from: from.map((one) => `./src/${one}`),
  message,
});
const FEATURES = readdirSync(new URL('./src/features', import.meta.url));

/** A feature's doors: what runs in a browser, the rest, and pages or sections to be placed. */
const DOORS = FEATURES.flatMap((one) => [
  `./${one}/index.ts`,
  `./${one}/server.ts`,
  `./${one}/contracts.ts`,
  `./${one}/rooms`,
]);
const DOOR_MESSAGE =
  'A feature is reached through its index.ts, its contracts.ts, on the server its server.ts, or a page or section in its rooms.';

export default tseslint.config(
  {
    ignores: [
      '.next/**',
      'node_modules/**',
      'studio-data/**',
      'mutants/**',
      'next-env.d.ts',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  ...next,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx,mjs}'],
    // What a path leads to does not change while the files are read.
    settings: { react: { version: '19.3' }, 'import/cache': { lifetime: Infinity } },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_$' }],
      'no-console': 'error',
      'import/no-restricted-paths': [
        'error',
        {
          basePath: import.meta.dirname,
          // app → features → data, platform, ui → core; core knows only itself.
          zones: [
            zone(
              'core',
              ['app', 'data', 'features', 'platform', 'ui', 'workers'],
              'The core knows only itself and pure libraries.',
            ),
            zone(
              'ui',
              ['app', 'data', 'features', 'platform', 'workers'],
              'ui knows nothing of the studio’s data or features.',
            ),
            zone(
              'data',
              ['app', 'features', 'platform', 'ui', 'workers'],
              'data stands below features and platform.',
            ),
            zone('platform', ['app', 'features', 'ui', 'workers'], 'platform stands below features.'),
            zone('features', ['app'], 'Routes use features, not the other way round.'),
            { target: './src/app', from: './src/features', except: DOORS, message: DOOR_MESSAGE },
            ...FEATURES.map((feature) => ({
              target: `./src/features/${feature}`,
              from: './src/features',
              except: [`./${feature}`, ...DOORS],
              message: DOOR_MESSAGE,
            })),
          ],
        },
      ],
      'no-restricted-imports': [
        'error',
        { patterns: [{ regex: '^(?:\\.\\./){4,}', message: 'Climb with @/ instead.' }] },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['src/core/**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex:
                '^(?!\\.|culori/fn$|fastest-levenshtein$|image-js$|javascript-lp-solver$|jstat$|maxrects-packer$|ml-kmeans$|zod$)',
              message: 'The core imports only itself and pure libraries named here.',
            },
          ],
        },
      ],
      'no-restricted-globals': ['error', 'Date', 'process', 'window', 'document', 'fetch'],
    },
  },
  {
    files: ['src/features/**/*.{ts,tsx}', 'src/app/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "CallExpression[callee.name='trx'], CallExpression[callee.name='db'], CallExpression[callee.name='src']",
          message: 'SQL is written in data/ only.',
        },
      ],
    },
  },
  {
    // A test environment is required, not imported.
    files: ['**/*.cjs'],
    rules: { '@typescript-eslint/no-require-imports': 'off' },
  },
  {
    // What has shipped stays as it shipped: no step follows code or data that go on living.
    files: ['src/data/migrations/0*.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '^(?!\\./0|knex$|uuid$)',
              message: 'A migration imports Knex, uuid and its own data only.',
            },
          ],
        },
      ],
    },
  },
  {
    // A component under test stands in a small room of the test's own, seen from outside.
    files: ['src/**/*.test.tsx'],
    rules: {
      'import/no-restricted-paths': 'off',
      'no-restricted-imports': 'off',
      'react-hooks/globals': 'off',
    },
  },
  { files: ['scripts/**', 'bench/**', 'demo/**', 'stand-ins/**'], rules: { 'no-console': 'off' } },
);
