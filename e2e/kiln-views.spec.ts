import { expect } from '@playwright/test';
import { DEMO, signIn, test, unfold } from './support';
import { opens } from './studios';

opens('demo');

test('a controller’s file is read before it is kept; one that is none is turned away', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/bench`);
  await page.getByRole('link', { name: 'Open kiln …' }).first().click();
  await unfold(page, 'Log: files, paper, corrections');
  const file = page.locator('input[type=file]');
  await file.setInputFiles({
    name: 'log.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('no table here'),
  });
  await expect(page.getByText(/This is no table of readings/)).toBeVisible();
  await file.setInputFiles({
    name: 'log.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('minutes,temp F\n1,70\n2,75\nlater,80\n'),
  });
  await expect(page.getByText(/2 readings, .*hottest 24 °C/)).toBeVisible();
  await expect(page.getByText(/1 row cannot be read, the first in row 4/)).toBeVisible();
  await page.getByRole('button', { name: 'Keep these readings' }).click();
  await expect(page.getByText(/2 readings kept/)).toBeVisible();
});

test('the calendar for a student, and two firings compared', async ({ page }) => {
  await signIn(page, DEMO(), 'noor');
  await page.goto(`${DEMO()}/mine`);
  await expect(page.getByText('Bone-dry work only: cold to the cheek means wet.')).toBeVisible();
  await page.getByRole('link', { name: 'Firings to come' }).click();
  await expect(page.getByText(/Pip 18/)).toBeVisible();
  const calendar = await page.request.get(`${DEMO()}/api/calendar`);
  expect(calendar.headers()['content-type']).toContain('text/calendar');
  expect(await calendar.text()).toContain('Fire Pip 18');

  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/kilns`);
  await page
    .getByRole('link', { name: /Gable 7/ })
    .first()
    .click();
  await page.getByRole('link', { name: /Compare with Gable/ }).click();
  await expect(page.getByRole('rowheader', { name: 'Reduction on record' })).toBeVisible();
  await page.getByRole('button', { name: 'by time since lit' }).click();
  await expect(page.getByRole('img', { name: /Temperatures of Gable/ })).toBeVisible();
});

test('pieces are moved on the plan by touch and by key, and the move can be undone', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/kilns`);
  await page
    .getByRole('link', { name: /Pip 18/ })
    .first()
    .click();
  await unfold(page, 'On the shelves');
  const queue = page.getByText('Not on the plan yet').locator('..');
  const code = (await queue.getByRole('button').first().textContent()) as string;
  await queue.getByRole('button').first().click();
  const shelf = page.getByRole('group', { name: /^Shelf 2/ });
  await shelf.click({ position: { x: 150, y: 150 } });
  const stone = shelf.getByRole('button', { name: new RegExp(`^${code}`) });
  await expect(stone).toBeVisible();
  const before = (await stone.boundingBox())!;
  await stone.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowRight');
  await expect.poll(async () => ((await stone.boundingBox())?.x ?? 0) - before.x).toBeGreaterThan(10);
  await page.reload();
  await unfold(page, 'On the shelves');
  await expect(shelf.getByRole('button', { name: new RegExp(`^${code}`) })).toBeVisible();
});

test('a firing’s page keeps to three screens at every stage, with the rest under an index', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await signIn(page, DEMO(), 'iben');
  const hrefs: string[] = [];
  for (const from of ['bench', 'kilns']) {
    await page.goto(`${DEMO()}/${from}`);
    await expect(page.locator('a[href^="/kilns/firings/"]').first()).toBeVisible();
    hrefs.push(
      ...(await page
        .locator('a[href^="/kilns/firings/"]')
        .evaluateAll((links) => links.map((link) => link.getAttribute('href')!.split('#')[0]!))),
    );
  }
  const first: Record<string, string> = {
    'Close the load': 'Before the lid is closed',
    'Firing is done, cooling': 'Now',
    'Open kiln': 'Now',
    'Write up opening': 'Witness cones',
  };
  const seen = new Set<string>();
  for (const href of [...new Set(hrefs)].slice(0, 14)) {
    await page.goto(`${DEMO()}${href}`);
    await expect(page.getByRole('region', { name: 'The rest of this page' })).toBeVisible();
    for (const [act, heading] of Object.entries(first)) {
      const there = page
        .getByRole('button', { name: act })
        .or(page.getByRole('link', { name: act === 'Write up opening' ? /opening/ : act }));
      // Every firing that waits or burns, and one that is opened.
      if ((await there.count()) === 0 || (act === 'Write up opening' && seen.has(act))) continue;
      seen.add(act);
      await expect(page.getByRole('heading', { name: heading }).first()).toBeVisible();
      const tall = await page.evaluate(() => document.documentElement.scrollHeight);
      expect(tall, `${act}: ${href}`).toBeLessThanOrEqual(3 * 800);
    }
  }
  expect([...seen].sort()).toEqual(Object.keys(first).sort());
});
