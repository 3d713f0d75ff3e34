/** A phone with a memory of its own: it can be killed, and started again with what it had kept. */
import { chromium, type BrowserContext, type Page } from '@playwright/test';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import config from '../playwright.config';

export type Phone = {
  page: Page;
  context: BrowserContext;
  /** Ends the browser as a dead battery would, and starts it again. */
  restart: () => Promise<void>;
  end: () => Promise<void>;
};

/** Processes of the browser that works in a folder. */
const processesIn = (folder: string): number[] =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .map(Number)
    .filter((pid) => {
      try {
        return readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(folder);
      } catch {
        return false;
      }
    });

export async function phone(): Promise<Phone> {
  const folder = mkdtempSync(join(tmpdir(), 'jiten-phone-'));
  const start = () =>
    chromium.launchPersistentContext(folder, {
      ...config.use?.launchOptions,
      viewport: { width: 390, height: 844 },
      isMobile: true,
      hasTouch: true,
      serviceWorkers: 'allow',
    });
  const kill = async (): Promise<void> => {
    for (const pid of processesIn(folder)) {
      try {
        process.kill(pid, 'SIGKILL');
      } catch {
        // It ended with its parent.
      }
    }
    while (processesIn(folder).length > 0) await new Promise((done) => setTimeout(done, 20));
  };
  const context = await start();
  const it: Phone = {
    context,
    page: context.pages()[0] ?? (await context.newPage()),
    restart: async () => {
      await kill();
      for (const lock of ['SingletonLock', 'SingletonCookie', 'SingletonSocket'])
        rmSync(join(folder, lock), { force: true });
      it.context = await start();
      it.page = it.context.pages()[0] ?? (await it.context.newPage());
    },
    end: async () => {
      await it.context.close().catch(() => undefined);
      await kill();
      rmSync(folder, { recursive: true, force: true });
    },
  };
  return it;
}
