/** The machine fails under the work: a database that stops, an application that is killed. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from '@playwright/test';
import { ensureDatabase, openOn, startDatabase, type RunningDatabase } from '../src/keeper/server';
import type { Database } from '../src/data/database';
import { startApplication, type RunningApplication } from '../test-support/application';
import { PASSWORD, test, seenOnce } from './support';

test.describe.configure({ mode: 'serial' });

let directory: string;
let server: RunningDatabase;
let application: RunningApplication;

const open = (): Database => openOn(server, 'jiten_faults');

test.beforeAll(async () => {
  directory = mkdtempSync(join(tmpdir(), 'jiten-faults-'));
  server = await startDatabase(directory, { throwaway: true });
  await ensureDatabase(server, 'jiten_faults');
  const { migrate } = await import('../src/data/migrations');
  const db = open();
  await migrate(db);
  await db.destroy();
  application = await startApplication({ server, name: 'jiten_faults' }, directory);
});

test.afterAll(async () => {
  await application.stop();
  await server.stop();
  rmSync(directory, { recursive: true, force: true });
});

test('the database stops under a form: the words stay, and go through when it is back', async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto(application.url);
  await page.getByLabel('Studio’s name').fill('Kiln Lane');
  await page.getByLabel('Your name').fill('Ada Thorne');
  await page.getByLabel('Sign-in name').fill('ada');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Open the studio' }).click();
  await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();
  await page.goto(`${application.url}/store/coatings/new`);
  await page.getByLabel('Name').fill('Estuary');
  await server.stop();
  await page.getByRole('button', { name: 'Add the coating' }).click();
  await expect(page.getByText(/database does not answer/)).toBeVisible({ timeout: 30_000 });
  await expect(page.getByLabel('Name')).toHaveValue('Estuary');
  const other = seenOnce(await page.context().newPage());
  await other.goto(`${application.url}/chart`);
  // Which of server, database and program is at fault is said, with the number in the log.
  const fault = other.getByRole('heading', { name: 'The studio’s database does not answer' });
  await expect(fault).toBeVisible({ timeout: 30_000 });
  await expect(other.getByText(/^Fault \d+$/)).toBeVisible();
  server = await startDatabase(directory, { throwaway: true });
  await page.getByRole('button', { name: 'Add the coating' }).click();
  // Kept once, and on to what a new studio still lacks.
  await expect(page.getByText('Glazes, slips and washes: 1 in the store.')).toBeVisible({
    timeout: 30_000,
  });
  await other.getByRole('button', { name: 'Try again' }).click();
  await expect(fault).toHaveCount(0);
});

test('the application is killed in the middle of an import: all or nothing', async ({ page }) => {
  test.setTimeout(120_000);
  await page.request.post(`${application.url}/api/door/sign-in`, {
    data: { login: 'ada', password: PASSWORD },
  });
  const rows = Array.from({ length: 20_000 }, (_, i) => `M${i},Peat,Dune,1,6,oxidation`);
  const csv = Buffer.from(['mark,body,coating 1,coats 1,cone,atmosphere', ...rows].join('\n'));
  const db = open();
  const written = async (): Promise<number> => Number((await db('piece').count({ n: '*' }).first())?.n);
  const sent = page.request
    .post(`${application.url}/api/act/exchange.import`, {
      timeout: 60_000,
      multipart: {
        file: { name: 'past.csv', mimeType: 'text/csv', buffer: csv },
        id: '0193f7a0-0000-7000-8000-000000000001',
        input: JSON.stringify({
          bodies: { Peat: 'new' },
          coatings: { Dune: 'new' },
          kilnForRest: 'new',
        }),
      },
    })
    .then(
      (answer) => answer.status(),
      () => 'cut off',
    );
  // The server renews its list of transactions only when it was left alone for a tenth of a second.
  await expect
    .poll(
      async () =>
        Number((await db('information_schema.INNODB_TRX').max({ n: 'trx_rows_modified' }).first())?.n ?? 0),
      { intervals: [250], timeout: 30_000 },
    )
    .toBeGreaterThan(2000);
  process.kill(application.pid, 'SIGKILL');
  expect(await sent).toBe('cut off');
  await expect
    .poll(async () => Number((await db('information_schema.INNODB_TRX').count({ n: '*' }).first())?.n), {
      intervals: [250],
    })
    .toBe(0);
  expect(await written()).toBe(0);
  await db.destroy();
  application = await startApplication({ server, name: 'jiten_faults' }, directory);
  await page.goto(`${application.url}/store`);
  await expect(page.getByRole('link', { name: /Estuary/ }).first()).toBeVisible();
  await expect(page.getByText('Dune')).toHaveCount(0);
});
