/**
 * What pictures know once they are framed: many framed at once, a colour looked for, a picture chosen, drift
 * of the control.
 */
import { expect } from '@playwright/test';
import { Random } from '../demo/random';
import { GREY_CARD } from '../demo/paint';
import { developed, photograph } from '../test-support/photographs/camera';
import { PLAIN } from '../test-support/photographs/ranges';
import { drawScene } from '../test-support/photographs/scene';
import { DEMO, onPhone, seenOnce, signIn, test } from './support';
import { opens } from './studios';

opens('demo');

/** Something glazed beside the demo studio's card. */
async function photo(): Promise<Buffer> {
  const scene = drawScene(new Random(12), PLAIN, 'tile');
  scene.card!.steps = GREY_CARD.map((l) => [l, 0, 0] as const);
  return developed(photograph(scene, { ...PLAIN, exposure: [-0.3, 0] }, 12, 720));
}

test('the Bench says how many pictures have no frame; a dozen are accepted in one act and taken back as one', async ({
  page: fresh,
}) => {
  const page = seenOnce(fresh);
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/bench`);
  await page.getByRole('link', { name: 'Frame them' }).click();
  await expect(page.getByRole('heading', { name: 'Pictures without a frame' })).toBeVisible();
  const count = async (): Promise<number> =>
    Number(
      /^(\d+) pictures?\./.exec((await page.getByText(/\d+ pictures?\. A frame says/).textContent())!)![1],
    );
  const before = await count();
  const accept = page.getByRole('button', { name: /^Accept \d+ frames?$/ });
  await expect(page.getByText(/^Looking: /)).toHaveCount(0, { timeout: 60_000 });
  const many = Number(/\d+/.exec((await accept.textContent())!)![0]);
  expect(many).toBeGreaterThan(6);
  await accept.click();
  await expect(page.getByText(/pictures? framed, (all|\d+) measured by the grey card/)).toBeVisible({
    timeout: 60_000,
  });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(count).toBe(before);
});

test('on a phone a picture of a pot is touched, and the nearest stacks come with their distance; narrowed they are others', async ({
  browser,
}) => {
  const context = await onPhone(browser);
  const page = seenOnce(await context.newPage());
  await signIn(page, DEMO(), 'noor');
  await page.goto(`${DEMO()}/chart`);
  await page.getByRole('link', { name: 'What glaze is that?' }).tap();
  await page
    .getByLabel('Picture of what is to be found')
    .setInputFiles({ name: 'pot.jpg', mimeType: 'image/jpeg', buffer: await photo() });
  await expect(page.getByText('Touch the glaze.')).toBeVisible();
  const shown = page.getByRole('button', { name: /^Touch the glaze in the picture/ });
  const { x, y, width, height } = (await shown.boundingBox())!;
  await page.touchscreen.tap(x + width / 2, y + 0.4 * height);
  await expect(page.getByText('Measured by the grey card.')).toBeVisible();
  const first = page.getByRole('listitem').first();
  await expect(first.getByText(/\d\.\d ΔE₀₀: /)).toBeVisible();
  await page.getByRole('combobox', { name: 'Body' }).tap();
  await page.getByRole('option', { name: 'Peat', exact: true }).tap();
  await expect(first.getByText(/^Peat/)).toBeVisible();
  await first.getByRole('link').tap();
  await expect(page).toHaveURL(/\/chart\?body=peat/);
  await context.close();
});

test('a cell says its colours against the studio’s repeats, and another picture can stand for it', async ({
  page: fresh,
}) => {
  const page = seenOnce(fresh);
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/chart?body=saltbox&cone=6&atmosphere=oxidation&ground=`);
  await page.locator('[role=gridcell]:has(svg image)').first().click();
  const panel = page.getByRole('dialog');
  await expect(panel.getByText(/pieces measured, two of them \d+\.\d ΔE₀₀ apart: /).first()).toBeVisible();
  await expect(panel.getByText('This picture stands for the cell on the chart.')).toBeVisible();
  await panel
    .getByRole('button', { name: /^Picture of / })
    .first()
    .click();
  await panel.getByRole('button', { name: 'Let this picture stand on the chart' }).click();
  await expect(panel.getByText('This picture stands for the cell on the chart.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/stands on the chart$/)).toHaveCount(0);
});

test('a coating’s page says what it minds, a kiln’s how the control came out of it', async ({
  page: fresh,
}) => {
  const page = seenOnce(fresh);
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/store/coatings/yard-clear`);
  await expect(page.getByRole('heading', { name: 'What it is sensitive to' })).toBeVisible();
  await expect(page.getByText(/It (hardly minds|minds|seems to mind).* which clay it is on/)).toBeVisible();
  await page.goto(`${DEMO()}/kilns/marta`);
  await expect(page.getByRole('heading', { name: /^The control: / })).toBeVisible();
  await page.getByRole('button', { name: /^surface/ }).click();
  await expect(page.getByRole('img', { name: /^surface of the control in \d+ firings/ })).toBeVisible();
});

test('one picture of a shelf becomes every piece’s own, and is taken back as one', async ({
  page: fresh,
}) => {
  const page = seenOnce(fresh);
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/pieces/KT94W`);
  await page.getByRole('link', { name: 'Marta 33' }).click();
  await page.getByRole('link', { name: 'A picture of a shelf' }).click();
  const scene = drawScene(new Random(8), PLAIN, 'shelf');
  scene.card!.steps = GREY_CARD.map((l) => [l, 0, 0] as const);
  const shelf = await developed(photograph(scene, { ...PLAIN, exposure: [-0.3, 0] }, 8, 960));
  await page
    .getByLabel('Picture of the shelf')
    .setInputFiles({ name: 'shelf.jpg', mimeType: 'image/jpeg', buffer: shelf });
  await expect(page.getByText(/\d+ found, given in the order of the plan/)).toBeVisible();
  await page.getByRole('button', { name: /^Keep for \d+ pieces$/ }).click();
  await expect(page.getByText(/pieces have this picture, \d+ measured by the grey card/)).toBeVisible({
    timeout: 60_000,
  });
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/pieces have this picture/)).toHaveCount(0);
});
