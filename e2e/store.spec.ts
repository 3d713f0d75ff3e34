/** The part of the job before the kiln: questions, sheets, recipes, buckets. */
import { expect } from '@playwright/test';
import { accessible, DEMO, choose, signIn, onPhone, test, seenOnce } from './support';
import { opens } from './studios';

opens('demo');

test('from a question to the sheets of a 35-tile grid, ticked off and printed', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/tests`);
  await page.getByRole('link', { name: 'Ask a question' }).click();
  await page.getByRole('button', { name: 'What lies between glazes?' }).click();
  await page.getByRole('button', { name: 'Grid of four corners' }).click();
  await choose(page, 'Corner A', 'Tarn');
  await expect(page.getByRole('heading', { name: '35 tiles' })).toBeVisible();
  await expect(page.getByText(/Nothing changes but what is asked about/)).toBeVisible();
  await page.getByLabel('What you expect').fill('blue in the middle');
  await accessible(page);
  await page.getByRole('button', { name: 'Make 35 tiles and their sheets' }).click();
  await expect(page.getByText('0 of 35 tiles are written up.')).toBeVisible();
  await page.getByRole('tab', { name: 'Cups by volume' }).click();
  await expect(page.getByText('0 of 35 done')).toBeVisible();
  await page.getByRole('checkbox').nth(3).check();
  await page.reload();
  await page.getByRole('tab', { name: 'Cups by volume' }).click();
  // The device keeps the place.
  await expect(page.getByText('1 of 35 done')).toBeVisible();
  const href = await page.getByRole('link', { name: 'All sheets as PDF' }).getAttribute('href');
  const pdf = await page.request.get(DEMO() + href!);
  expect(pdf.headers()['content-type']).toBe('application/pdf');
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
  await accessible(page);
});

test('a crazing ladder is made from a crazed recipe in three acts', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/store/coatings/foxglove`);
  await choose(page, 'Version', '1');
  await page.getByRole('link', { name: 'Crazing ladder' }).click();
  await expect(page.getByRole('heading', { name: '6 tiles' })).toBeVisible();
  // The version that was open, not the newest.
  await expect(page.getByRole('combobox', { name: 'Recipe to start from' })).toHaveText('Foxglove v1');
  await page.getByRole('button', { name: 'Make 6 tiles and their sheets' }).click();
  await expect(page.getByText('0 of 6 tiles are written up.')).toBeVisible();
  await expect(page.getByText(/Add Silica to the pot of 500 g base/)).toBeVisible();
});

test('a design that changes more than it asks says so before it is made, and a wrong one cannot be made', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/tests/ask?design=line`);
  await choose(page, 'Corner B', await page.getByRole('combobox', { name: 'Corner A' }).innerText());
  await expect(page.getByText(/Two corners are the same/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Make 0 tiles/ })).toBeDisabled();
  await page.getByRole('button', { name: 'Another design …' }).click();
  await page.getByRole('button', { name: 'Seconds', exact: true }).click();
  await page.getByLabel('Seconds in the bucket').fill('1 two 4');
  await expect(page.getByText('“two” is no number')).toBeVisible();
  await expect(page.getByLabel('Seconds in the bucket')).toHaveValue('1 two 4');
});

test('chemistry follows while an amount is typed, and a fired version is kept as it is', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/store/coatings/tarn`);
  const silica = page.getByRole('row', { name: /^SiO₂/ });
  const before = await silica.textContent();
  await page.getByLabel('Amount of Silica', { exact: true }).fill('40');
  await expect(silica).not.toHaveText(before!);
  await expect(page.getByText('The base sums to 116, not 100.')).toBeVisible();
  await page.getByRole('button', { name: 'Make it 100' }).click();
  await expect(page.getByText('The base sums to 100.')).toBeVisible();
  await page.getByLabel('Amount of Silica', { exact: true }).fill('-3');
  await expect(page.getByRole('button', { name: 'Keep as version 2' })).toBeDisabled();
  await page.getByLabel('Amount of Silica', { exact: true }).fill('35');
  await page.getByRole('button', { name: 'Keep as version 2' }).click();
  await expect(page.getByText('The recipe of version 2 is kept')).toBeVisible();
  await page.reload();
  await choose(page, 'Version', '1, fired');
  await expect(page.getByLabel('Amount of Silica', { exact: true })).toHaveValue('24');
  await choose(page, 'Beside', 'version 2');
  await expect(page.getByText(/per 100 of base/)).toBeVisible();
  await accessible(page);
});

test('a batch is weighed with ticks, becomes a bucket, is measured, thinned, undone, and has a label', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/store/coatings/gull/mix`);
  await expect(page.getByText(/fitted respirator/).first()).toBeVisible();
  await page.getByLabel('Dry weight, g').fill('nothing');
  await expect(page.getByText(/Give a dry weight above 0 g/)).toBeVisible();
  await page.getByLabel('Dry weight, g').fill('5000');
  await page.getByRole('checkbox').first().check();
  await page.reload();
  await page.getByLabel('Dry weight, g').fill('5000');
  await expect(page.getByText('1 of 6 done')).toBeVisible();
  await accessible(page);
  await page.getByLabel('Name on the bucket').fill('Gull, second bucket');
  await page.getByRole('button', { name: /It is a bucket now/ }).click();
  await expect(page.getByRole('heading', { name: 'Gull, second bucket' })).toBeVisible();
  await page.getByLabel('SG', { exact: true }).fill('0.8');
  await expect(page.getByText(/Lighter than water/)).toBeVisible();
  await page.getByLabel('SG', { exact: true }).fill('1,55');
  await page.getByLabel('Volume now, l').fill('10');
  await expect(page.getByText('Water: 2.22 l brings it to 1.45.')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText(/SG 1.55, 10 l in it/)).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/SG 1.55, 10 l in it/)).toHaveCount(0);
  await accessible(page);
  await page.getByRole('link', { name: 'Label' }).click();
  await expect(page.getByRole('img', { name: /QR code of .*\/store\/buckets\// })).toBeVisible();
  await accessible(page);
});

test('from a target formula to a recipe; what cannot be had is named', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/store/target`);
  await expect(page.getByRole('table', { name: 'Recipe found' })).toBeVisible();
  await page.getByLabel('BaO from').fill('0.2');
  await expect(page.getByText(/Nothing on the shelf brings BaO/)).toBeVisible();
  await page.getByLabel('BaO from').fill('a little');
  await expect(page.getByText('One of the wishes is no number.')).toBeVisible();
  await accessible(page);
});

test('tile stock, materials and a body’s own measurements', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/tests/stock`);
  await accessible(page);
  await choose(page, 'Were', 'broken');
  await page.getByLabel('Tiles', { exact: true }).fill('999');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText(/Only \d+ are on record/)).toBeVisible();
  await page.goto(`${DEMO()}/store/materials/new`);
  await page.getByLabel('Name').fill('Estuary clay');
  await page.getByLabel('SiO₂ %').fill('90');
  await page.getByLabel('Al₂O₃ %').fill('30');
  await page.getByRole('button', { name: 'Add the material' }).click();
  await expect(page.getByText(/more than 103 %/)).toBeVisible();
  await page.getByLabel('SiO₂ %').fill('60');
  await page.getByRole('button', { name: 'Add the material' }).click();
  await expect(page.getByRole('link', { name: /Estuary clay/ })).toBeVisible();
  await accessible(page);
  await page.goto(`${DEMO()}/store/bodies/eider`);
  await page.getByLabel('Figure').fill('12,5');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('shrinkage 12.5')).toBeVisible();
});

test('on a phone the sheets and a bucket can be used', async ({ browser }) => {
  const context = await onPhone(browser);
  const page = seenOnce(await context.newPage());
  await signIn(page, DEMO(), 'iben');
  for (const path of ['/tests/questions/2', '/store', '/store/coatings/pitch', '/tests/ask']) {
    await page.goto(DEMO() + path);
    await expect(page.locator('main')).toBeVisible();
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect([path, wide]).toEqual([path, 390]);
  }
  await context.close();
});
