/**
 * A picture of a tile becomes a record: framed by itself, nudged, measured by the studio's grey card, and
 * seen on the chart.
 */
import { expect, type Page } from '@playwright/test';
import { Random } from '../demo/random';
import { GREY_CARD } from '../demo/paint';
import { developed, photograph } from '../test-support/photographs/camera';
import { PLAIN } from '../test-support/photographs/ranges';
import { drawScene } from '../test-support/photographs/scene';
import { DEMO, onPhone, seenOnce, signIn, test } from './support';
import { opens } from './studios';

opens('demo');

/** A made photograph of one tile beside the demo studio's card. */
async function photo(): Promise<Buffer> {
  const scene = drawScene(new Random(12), PLAIN, 'tile');
  scene.card!.steps = GREY_CARD.map((l) => [l, 0, 0] as const);
  return developed(photograph(scene, { ...PLAIN, exposure: [-0.3, 0] }, 12, 720));
}

/** The code of a piece that stands on the chart's board. */
async function pieceOnChart(page: Page): Promise<string> {
  await page.goto(`${DEMO()}/chart?body=saltbox&cone=6&atmosphere=oxidation&ground=`);
  await page.locator('[role=gridcell]:has(img, svg image)').first().click();
  const link = page.getByRole('dialog').locator('a[href*="/pieces/"]').first();
  await expect(link).toBeVisible();
  return (await link.getAttribute('href'))!.split('/').pop()!;
}

test('dropped, framed with one touch, measured by the card; taken back, and framed again by keys', async ({
  page: fresh,
}) => {
  const page = seenOnce(fresh);
  await signIn(page, DEMO(), 'iben');
  const code = await pieceOnChart(page);
  await page.goto(`${DEMO()}/pieces/${code}`);
  const frames = page.getByRole('button', { name: 'Frame it' });
  const before = await frames.count();
  const measured = page.getByText(/\(L\* \d+ a\*/);
  const colours = await measured.count();
  await page
    .getByLabel('Take or choose a picture')
    .setInputFiles({ name: 'tile.jpg', mimeType: 'image/jpeg', buffer: await photo() });
  await expect(frames).toHaveCount(before + 1);
  await frames.first().click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('Colours will be measured by the grey card.')).toBeVisible();
  await dialog.getByRole('button', { name: 'That is it' }).click();
  await expect(page.getByText(/^Framed; colours of .* measured$/)).toBeVisible();
  await expect.poll(() => measured.count()).toBeGreaterThan(colours);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(measured).toHaveCount(colours);
  await frames.first().click();
  const corner = dialog.getByRole('button', { name: /foot left/ }).first();
  await corner.focus();
  const place = await corner.getAttribute('transform');
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(corner).not.toHaveAttribute('transform', place!);
  await dialog.getByRole('button', { name: 'That is it' }).click();
  await expect(page.getByRole('button', { name: 'Its frame' }).first()).toBeVisible();
});

test('on a phone a corner goes by finger, and the chart then shows the zone itself with its tile one touch away', async ({
  browser,
}) => {
  const context = await onPhone(browser);
  const page = seenOnce(await context.newPage());
  await signIn(page, DEMO(), 'iben');
  const code = await pieceOnChart(page);
  await page.goto(`${DEMO()}/pieces/${code}`);
  await page
    .getByRole('button', { name: /^(Frame it|Its frame)$/ })
    .last()
    .tap();
  const dialog = page.getByRole('dialog');
  const corner = dialog.getByRole('button', { name: /foot left/ }).first();
  await expect(corner).toBeVisible();
  const { x, y, width, height } = (await corner.boundingBox())!;
  const [from, to] = [
    { x: x + width / 2, y: y + height / 2 },
    { x: x + width / 2 - 12, y: y + height / 2 + 9 },
  ];
  const place = await corner.getAttribute('transform');
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.mouse.move(to.x, to.y, { steps: 4 });
  await page.mouse.up();
  await expect(corner).not.toHaveAttribute('transform', place!);
  await dialog.getByRole('button', { name: 'That is it' }).tap();
  await expect(page.getByText(/^Framed/)).toBeVisible();
  await page.goto(`${DEMO()}/chart?body=saltbox&cone=6&atmosphere=oxidation&ground=`);
  const cut = page.locator('[role=gridcell]:has(svg image)').first();
  await expect(cut).toBeVisible();
  await cut.tap();
  await expect(page.getByRole('dialog').locator('svg polygon').first()).toBeVisible();
  await context.close();
});
