/** A wall board becomes the chart from one picture, on a desk and on a phone. */
import { expect } from '@playwright/test';
import { Random } from '../demo/random';
import { GREY_CARD } from '../demo/paint';
import { developed, photograph } from '../test-support/photographs/camera';
import { PLAIN } from '../test-support/photographs/ranges';
import { drawScene } from '../test-support/photographs/scene';
import { DEMO, phoneOf, seenOnce, signIn, test } from './support';
import { opens } from './studios';

opens('demo');

/** A board of four rows and seven columns beside the demo studio's card. */
async function photo(): Promise<{ name: string; mimeType: string; buffer: Buffer }> {
  const scene = drawScene(new Random(8022), PLAIN, 'board');
  scene.card!.steps = GREY_CARD.map((l) => [l, 0, 0] as const);
  const buffer = await developed(photograph(scene, { ...PLAIN, exposure: [-0.3, 0] }, 8022, 1200));
  return { name: 'wall.jpg', mimeType: 'image/jpeg', buffer };
}
const ROWS = 'Tarn\nGull\nPitch\nWhimbrel';
const COLUMNS = 'Gull\nSlack Tide\nEmber\nSnowmelt\nRosehip\nTarn\nYard Clear';

test('a board of 28 tiles is counted, headed by two pasted lists, brought in as one, seen on its chart, and taken back', async ({
  page: fresh,
}) => {
  const page = seenOnce(fresh);
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/studio/board`);
  await page.getByLabel('Picture of the board').setInputFiles(await photo());
  await expect(page.getByText('28 tiles; 0 places empty', { exact: false })).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText('4 rows')).toBeVisible();
  const paste = (label: string, text: string): Promise<void> =>
    page.getByLabel(label).evaluate((field, words) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text', words);
      field.dispatchEvent(new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }));
    }, text);
  await paste('Row A, coating', ROWS);
  await paste('Column 1, coating', COLUMNS);
  await page.getByLabel('Name of the board').fill('The board by the sink');
  await page.getByLabel('Body', { exact: true }).fill('Drift');
  await page.getByLabel('Cone', { exact: true }).fill('6');
  await page.getByRole('button', { name: 'below once, above twice' }).click();
  await expect(page.getByText(/New in the store: Whimbrel\./)).toBeVisible();
  await page.getByRole('button', { name: /^D7, / }).click();
  await page.getByRole('button', { name: 'No tile hangs here' }).click();
  await page.getByRole('button', { name: 'Bring in 27 tiles' }).click();
  await expect(page.getByText('On record: 27 tiles of this board')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/measured by the grey card.*1 coating new/)).toBeVisible();
  const chart = await page.getByRole('link', { name: 'Look at the chart' }).getAttribute('href');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('On record: 27 tiles')).toHaveCount(0);
  await page.goto(`${DEMO()}${chart}`);
  await expect(page.getByText(/: 0 combinations seen/)).toBeVisible();
});

test('on a phone the board is counted, a tile is touched and said to be something else', async ({
  browser,
}) => {
  const { context, page } = await phoneOf(browser, 'iben');
  await page.goto(`${DEMO()}/studio/board`);
  await page.getByLabel('Picture of the board').setInputFiles(await photo());
  await expect(page.getByText('28 tiles; 0 places empty', { exact: false })).toBeVisible({ timeout: 30_000 });
  await page.getByRole('button', { name: 'Fewer columns' }).click();
  await expect(page.getByText(/^24 tiles; /)).toBeVisible();
  await page.getByRole('button', { name: 'More columns' }).click();
  await page.getByRole('button', { name: /^B2, / }).click();
  await page.getByLabel('Written on B2').fill('Tarn over Pitch');
  await expect(page.getByText(/B2: Pitch, then Tarn/)).toBeVisible();
  // What was typed is there again after a reload; the picture is chosen once more.
  await page.reload();
  await page.getByLabel('Picture of the board').setInputFiles(await photo());
  await expect(page.getByRole('button', { name: 'B2, Pitch, then Tarn' })).toBeVisible({ timeout: 30_000 });
  await context.close();
});
