import { expect, type Page } from '@playwright/test';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { strFromU8, unzipSync } from 'fflate';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import Papa from 'papaparse';
import sharp from 'sharp';
import { DEMO_PASSWORD } from '../demo/studio';
import { accessible, DEMO, firstPiece, phoneOf, picture, seenOnce, sending, signIn, test } from './support';
import { opens } from './studios';

opens('demo');

/** The opening that is half written up, from the Bench. */
async function openHalfWritten(page: Page): Promise<void> {
  await page.goto(`${DEMO()}/bench`);
  await page.getByRole('link', { name: 'Go on writing up' }).click();
  await expect(page.getByText(/on the studio’s server/)).toBeVisible();
}

test('the main views are accessible', async ({ page }) => {
  test.setTimeout(240_000);
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/kilns`);
  const firing = await page
    .getByRole('link', { name: /Marta \d+/ })
    .nth(1)
    .getAttribute('href');
  for (const path of [
    '/bench',
    '/chart',
    '/tests/make',
    '/tests/ask?design=matrix',
    '/store',
    '/store/coatings/pitch',
    '/kilns',
    '/kilns/marta',
    '/kilns/schedules',
    '/kilns/schedules/new',
    '/kilns/calendar',
    '/kilns/compare',
    '/kilns/plan',
    firing!,
    '/studio',
    '/studio/import',
  ]) {
    await page.goto(DEMO() + path);
    await expect(page.locator('main, [role=grid]').first()).toBeVisible();
    await test.step(path, () => accessible(page));
  }
  await openHalfWritten(page);
  await test.step('opening', () => accessible(page));
});

test('the chart by keyboard alone: move, open, turn round, close', async ({ page }) => {
  await signIn(page, DEMO(), 'noor');
  await page.goto(`${DEMO()}/chart?body=saltbox&cone=6&atmosphere=oxidation&ground=`);
  const first = page.locator('[data-row="0"][data-column="0"]');
  await first.focus();
  // A coating over itself is no cell: one step goes past it.
  await page.keyboard.press('ArrowRight');
  await expect(page.locator('[data-row="0"][data-column="2"]')).toBeFocused();
  await page.keyboard.press('Enter');
  const title = page.getByRole('heading', { level: 2 }).first();
  const before = await title.textContent();
  await page.keyboard.press('o');
  await expect(title).toHaveText(before!.split(' over ').reverse().join(' over '));
  await page.keyboard.press('Escape');
  await expect(page).not.toHaveURL(/at=/);
});

test('a student sees the chart and own pieces, and is not let further', async ({ page }) => {
  await signIn(page, DEMO(), 'noor');
  // Never sent away in silence: it says who may, and where to go.
  await page.goto(`${DEMO()}/store`);
  await expect(
    page.getByText(/That is for technicians and teachers; you are signed in as Noor/),
  ).toBeVisible();
  await page.getByRole('link', { name: 'To the chart' }).click();
  await expect(page).toHaveURL(/\/chart/);
  await expect(page.getByRole('link', { name: 'Store' })).toHaveCount(0);
  expect((await page.request.get(`${DEMO()}/api/export/json`)).status()).toBe(403);
  await page.goto(`${DEMO()}/mine`);
  await expect(page.getByRole('heading', { name: 'My pieces' })).toBeVisible();
});

test('a student reads study tiles, coatings, buckets and labels with their cautions, and no ware that is not shown', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  const find = async (q: string): Promise<{ title: string; href: string }[]> => {
    const answer = await page.request.get(`${DEMO()}/api/search?q=${encodeURIComponent(q)}`);
    return ((await answer.json()) as { data: { found: { title: string; href: string }[] } }).data.found;
  };
  await page.goto(`${DEMO()}/store/coatings/tarn`);
  const bucket = await page
    .locator('a[href^="/store/buckets/"]')
    .first()
    .getAttribute('href', { timeout: 5000 })
    .catch(() => null);
  await signIn(page, DEMO(), 'noor');
  // A coating: what it does and what to beware of; no recipe, nothing to change.
  await page.goto(`${DEMO()}/store/coatings/tarn`);
  await expect(page.getByRole('heading', { name: 'Tarn', exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Recipe' })).toHaveCount(0);
  await expect(page.getByRole('link', { name: 'Edit' })).toHaveCount(0);
  if (bucket !== null) {
    await page.goto(DEMO() + bucket);
    await expect(page.getByRole('link', { name: 'Label' })).toBeVisible();
    await page.goto(`${DEMO()}${bucket}/label`);
    await expect(page.getByRole('img', { name: /QR code of/ })).toBeVisible();
  }
  // A study tile from the chart, with its code as a link.
  await page.goto(`${DEMO()}/chart`);
  await page.locator('[data-row="0"][data-column="0"]').click();
  const tile = page.locator('a[href^="/pieces/"]').first();
  const code = await tile.innerText();
  await tile.click();
  await expect(page.getByRole('heading', { name: code })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Particulars' })).toHaveCount(0);
  expect((await find(code))[0]?.title).toBe(code);
});

test('a share link shows the chart read-only until it is revoked', async ({ page, browser }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/studio`);
  await page.getByLabel('Share the chart with').fill('Tuesday class');
  await page.getByRole('button', { name: 'Make share link' }).click();
  const link = await page.getByRole('link', { name: /\/s\// }).getAttribute('href');
  const visitor = seenOnce(await (await browser.newContext()).newPage());
  await visitor.goto(link!);
  await visitor.locator('[data-row="0"][data-column="0"]').click();
  await expect(visitor.getByText(/pieces? in/).first()).toBeVisible();
  await expect(visitor.getByRole('link', { name: /Make/ })).toHaveCount(0);
  await page.getByRole('button', { name: 'Revoke' }).first().click();
  await expect(page.getByText('revoked').first()).toBeVisible();
  await visitor.goto(link!);
  await expect(visitor.getByText('This link does not open any more')).toBeVisible();
});

test('writing up without a network on a phone: all is kept, leaving loses nothing, and it is sent later', async ({
  browser,
}) => {
  const { context, page } = await phoneOf(browser, 'iben');
  await openHalfWritten(page);
  const before = Number(/(\d+) of/.exec((await page.getByRole('status').first().textContent()) ?? '')?.[1]);
  await context.setOffline(true);
  await page
    .getByLabel('Take or choose a picture')
    .setInputFiles({ name: 'p.jpg', mimeType: 'image/jpeg', buffer: await picture(90, 90, 200) });
  await page.getByRole('group', { name: 'Surface' }).getByRole('button', { name: 'satin' }).tap();
  await page.getByRole('button', { name: 'Save, next piece' }).tap();
  await expect(page.getByText(/2 on this device, not yet on the server/)).toBeVisible();
  await context.setOffline(false);
  // Twice: what the first visit sends is what the second finds on the server.
  const all = new RegExp(`^${before + 1} of \\d+ written up; all of it is on the studio’s server`);
  for (let visit = 0; visit < 2; visit++) {
    await page.reload();
    await expect(page.getByText(all)).toBeVisible();
  }
  await context.close();
});

test('a half-filled piece is still half filled after leaving the page', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await openHalfWritten(page);
  await page.getByLabel('Note', { exact: true }).fill('a word half wri');
  await page.getByRole('link', { name: 'Leave' }).click();
  await expect(page.getByRole('heading', { name: 'Witness cones' })).toBeVisible();
  await page.getByRole('link', { name: 'Write up opening' }).click();
  await expect(page.getByLabel('Note', { exact: true })).toHaveValue('a word half wri');
});

test('two people write up the same piece: both looks stand; a correction of what was changed is asked about', async ({
  page,
  browser,
}) => {
  await signIn(page, DEMO(), 'iben');
  await openHalfWritten(page);
  const code = (await page.getByRole('heading', { level: 1 }).textContent()) as string;
  const other = seenOnce(await (await browser.newContext()).newPage());
  await signIn(other, DEMO(), 'tomasz');
  await other.goto(page.url());
  const kept = (who: Page) => expect(who.getByText(/all of it is on the studio’s server/)).toBeVisible();
  await kept(other);
  const say = async (who: Page, surface: string): Promise<void> => {
    await who.getByRole('group', { name: 'Surface' }).getByRole('button', { name: surface }).click();
    await sending(who, () => who.getByRole('button', { name: 'Save, next piece' }).click());
    await kept(who);
  };
  await say(page, 'gloss');
  await say(other, 'matt');
  const piece = `${page.url().split('?')[0]}?piece=${code}`;
  await page.goto(piece);
  await expect(page.getByText('They differ: gloss (Iben Raskov), matt (Tomasz Wieland).')).toBeVisible();

  // One's own words of the day are put right: on two devices at once, the one that comes later is asked.
  const again = seenOnce(await (await browser.newContext()).newPage());
  await signIn(again, DEMO(), 'iben');
  await again.goto(piece);
  await expect(again.getByText('Saving puts your words right')).toBeVisible();
  await again.context().setOffline(true);
  await say(page, 'satin');
  await again.getByRole('group', { name: 'Surface' }).getByRole('button', { name: 'dry' }).click();
  await again.getByRole('button', { name: 'Save, next piece' }).click();
  await expect(again.getByText(/1 on this device/)).toBeVisible();
  await again.context().setOffline(false);
  await expect(again.getByRole('dialog').getByText(/changed meanwhile by Iben Raskov/)).toBeVisible();
  await sending(again, () => again.getByRole('button', { name: 'Add mine as a look' }).click());
  await kept(again);
  await page.goto(`${DEMO()}/pieces/${code}`);
  await expect(page.getByText(/put right by Iben Raskov/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Look again' })).toBeVisible();
});

test('a session that ended is mended in place and the work goes on', async ({ page, context }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/store/coatings/new`);
  await page.getByLabel('Name').fill('Estuary');
  await context.clearCookies();
  await page.getByRole('button', { name: 'Add the coating' }).click();
  await page.getByRole('dialog').getByLabel('Password').fill(DEMO_PASSWORD);
  await page.getByRole('button', { name: 'Sign in and go on' }).click();
  await expect(page.getByRole('link', { name: /Estuary/ }).first()).toBeVisible();
});

test('a picture that is a text file is refused beside the piece, and a wrong code is caught', async ({
  page,
}) => {
  await firstPiece(page);
  await page
    .getByLabel('Take or choose a picture')
    .setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a picture') });
  await expect(page.getByText(/This file is not a picture/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Send it again' })).toBeVisible();
});

test('a picture of 200 megapixels is refused before it is opened, and said so beside the piece', async ({
  page,
}) => {
  test.setTimeout(90_000);
  const buffer = await sharp({
    create: { width: 20_000, height: 10_001, channels: 3, background: '#777' },
    limitInputPixels: false,
  })
    .png({ compressionLevel: 1 })
    .toBuffer();
  await firstPiece(page);
  await page
    .getByLabel('Take or choose a picture')
    .setInputFiles({ name: 'huge.png', mimeType: 'image/png', buffer });
  await expect(page.getByText(/megapixel/i)).toBeVisible({ timeout: 30_000 });
});

test('a CSV of 100,000 rows and one that is no CSV are turned away with what to do', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/studio/import`);
  const drop = (name: string, buffer: Buffer): Promise<void> =>
    page.getByLabel('Choose a CSV file').setInputFiles({ name, mimeType: 'text/csv', buffer });
  await drop('all.csv', Buffer.from(`body,cone\n${'Saltbox,6\n'.repeat(100_000)}`));
  await expect(page.getByText(/has 100,000 rows; at most 50,000 at a time/)).toBeVisible({
    timeout: 30_000,
  });
  await drop('tests.xlsx', Buffer.from('PK\u0003\u0004\u0000\u0000binary'));
  await expect(page.getByText(/CSV/).last()).toBeVisible();
  await drop('few.csv', Buffer.from('body;cone;coating 1;coats 1\nSaltbox;5,5;Pitch;2\n'));
  await expect(page.getByRole('heading', { name: '1 of 1 row can be taken' })).toBeVisible();
});

test('everything can be taken out: the document keeps to its schema, the tables open as CSV', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/studio`);
  const taken = async (button: string): Promise<Buffer> => {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: button }).click(),
    ]);
    return readFileSync(await download.path());
  };
  const schema = JSON.parse((await taken('Its schema')).toString()) as object;
  const studio = JSON.parse((await taken('One JSON document')).toString()) as {
    piece: { code: string }[];
  };
  const check = new Ajv2020({ strict: false, validateFormats: false }).compile(schema);
  expect(check(studio) ? [] : check.errors).toEqual([]);
  expect(studio.piece.length).toBeGreaterThan(600);
  const tables = unzipSync(new Uint8Array(await taken('All tables as CSV')));
  const pieces = Papa.parse<{ code: string }>(strFromU8(tables['piece.csv']!), {
    header: true,
    skipEmptyLines: true,
  });
  // The first line under the names holds the units.
  expect(pieces.data.slice(1).map(({ code }) => code)).toEqual(studio.piece.map(({ code }) => code));
});

test('a folder of pictures finds its pieces by the codes in the file names', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/tests`);
  const href = await page.locator('a[href^="/pieces/"]').first().getAttribute('href');
  const code = href!.split('/').pop()!;
  await page.goto(`${DEMO()}/studio/pictures`);
  await page.getByLabel('Choose pictures').setInputFiles([
    { name: `tile ${code} front.jpg`, mimeType: 'image/jpeg', buffer: await picture(10, 90, 30) },
    { name: 'holiday.jpg', mimeType: 'image/jpeg', buffer: await picture(1, 2, 3) },
  ]);
  await expect(page.getByText('1 of 2 pictures have their piece; 0 kept.')).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 1 picture' }).click();
  await expect(page.getByText('1 of 2 pictures have their piece; 1 kept.')).toBeVisible();
  await page.goto(`${DEMO()}${href}`);
  await expect(page.getByRole('img').first()).toBeVisible();
});

test('an answer is lost on its way back: what was changed since is not sent as a second thing, and it is said what is there', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  const planned = async (): Promise<number> => {
    await page.goto(`${DEMO()}/kilns`);
    return page.getByText(/cone unknown, 6 intended|planned/).count();
  };
  const before = await planned();
  await page.goto(`${DEMO()}/kilns/plan?kiln=pip`);
  await page.getByLabel('Notes').fill('Kit’s tiles in front');
  let firingId = '';
  await page.route('**/api/act/firings.plan', async (route) => {
    const answer = await route.fetch();
    firingId = ((await answer.json()) as { data: { id: string } }).data.id;
    await route.abort();
  });
  const plan = page.getByRole('button', { name: 'Plan this firing' });
  await plan.click();
  await expect(page.getByText(/There is no connection to the studio/)).toBeVisible();
  await page.unroute('**/api/act/firings.plan');
  // The page is left meanwhile; what was typed is back.
  await page.reload();
  await page.getByLabel('Notes').fill('Kit’s tiles at the back');
  await plan.click();
  await expect(page.getByText(/What you sent before did arrive after all/)).toBeVisible();
  expect(await planned()).toBe(before + 1);
  // Nobody else’s test finds it.
  const off = { id: randomUUID(), input: { firingId, calledOff: true } };
  const answer = await page.request.post(`${DEMO()}/api/act/firings.call-off`, { data: off });
  expect(answer.ok()).toBe(true);
});
