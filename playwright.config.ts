import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { defineConfig } from '@playwright/test';

/** The one without a window takes two thirds of the time; Debian has both. */
const SHELL = '/usr/bin/chromium-headless-shell';

export default defineConfig({
  testDir: 'e2e',
  timeout: 90_000,
  expect: { timeout: 15_000 },
  // Each worker has its files' studios to itself (e2e/studios.ts): a browser, an application and a database server.
  workers: Math.min(4, availableParallelism()),
  fullyParallel: false,
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME === undefined ? 'list' : [['list'], ['json']],
  globalSetup: './e2e/setup.ts',
  use: {
    // Kept only on demand: to record each step of each test takes as long again.
    trace: process.env.JITEN_TRACE === undefined ? 'off' : 'retain-on-failure',
    screenshot: 'only-on-failure',
    actionTimeout: 20_000,
    launchOptions: {
      executablePath: existsSync(SHELL) ? SHELL : '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-quic',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
    viewport: { width: 1280, height: 800 },
    // A device keeps the whole shell once; here every test is a new device. Phones (test-support/phone.ts)
    // and the specs that say so have it.
    serviceWorkers: 'block',
  },
});
