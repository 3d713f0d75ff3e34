import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { DEMO_PASSWORD } from '../demo/studio';
import { DEMO, picture, signIn } from './support';

/** The opening that is half written up, from the Bench. */
async function openHalfWritten(page: Page): Promise<void> {
  await page.goto(`${DEMO()}/bench`);
  await page.getByRole('link', { name: 'Go on writing up' }).click();
  await expect(page.getByText(/on the studio’s server/)).toBeVisible();
}

const accessible = async (page: Page): Promise<void> => {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(
    violations.map(
      (one) =>
        `${one.id}: ${one.nodes
          .slice(0, 3)
          .map((node) => node.html.slice(0, 160))
          .join(' | ')}`,
    ),
  ).toEqual([]);
};

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
    '/tests/matrix',
    '/store',
    '/store/coatings/pitch',
    '/kilns',
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
  await page.goto(`${DEMO()}/store`);
  await expect(page).toHaveURL(/\/chart/);
  await expect(page.getByRole('link', { name: 'Store' })).toHaveCount(0);
  expect((await page.request.get(`${DEMO()}/api/export/json`)).status()).toBe(403);
  await page.goto(`${DEMO()}/mine`);
  await expect(page.getByRole('heading', { name: 'My pieces' })).toBeVisible();
});

test('a share link shows the chart read-only until it is revoked', async ({ page, browser }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/studio`);
  await page.getByLabel('Share the chart with').fill('Tuesday class');
  await page.getByRole('button', { name: 'Make share link' }).click();
  const link = await page.getByRole('link', { name: /\/s\// }).getAttribute('href');
  const visitor = await (await browser.newContext()).newPage();
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
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    isMobile: true,
    hasTouch: true,
  });
  const page = await context.newPage();
  await signIn(page, DEMO(), 'iben');
  await openHalfWritten(page);
  const before = Number(
    /(\d+) of/.exec((await page.getByRole('status').first().textContent()) ?? '')?.[1],
  );
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

test('two browsers write up the same piece: the second is asked, nothing is overwritten unseen', async ({
  page,
  browser,
}) => {
  await signIn(page, DEMO(), 'iben');
  await openHalfWritten(page);
  const other = await (await browser.newContext()).newPage();
  await signIn(other, DEMO(), 'tomasz');
  await other.goto(page.url());
  await expect(other.getByText(/on the studio’s server/)).toBeVisible();
  const say = async (who: Page, surface: string): Promise<void> => {
    await who
      .getByRole('group', { name: 'Surface' })
      .getByRole('button', { name: surface })
      .click();
    await who.getByRole('button', { name: 'Save, next piece' }).click();
  };
  await say(page, 'gloss');
  await expect(page.getByText(/all of it is on the studio’s server/)).toBeVisible();
  await say(other, 'matt');
  await expect(other.getByRole('dialog').getByText(/Iben Raskov wrote up/)).toBeVisible();
  await other.getByRole('button', { name: 'Put mine in its place' }).click();
  await expect(other.getByText(/all of it is on the studio’s server/)).toBeVisible();
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
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/tests`);
  await page.locator('a[href^="/pieces/"]').first().click();
  await page
    .getByLabel('Take or choose a picture')
    .setInputFiles({ name: 'x.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a picture') });
  await expect(page.getByText(/This file is not a picture/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Send it again' })).toBeVisible();
});
