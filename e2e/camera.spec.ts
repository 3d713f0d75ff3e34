import { expect, type Page } from '@playwright/test';
import { DEMO, signIn, test, WITH_CAMERA } from './support';
import { opens } from './studios';

opens('demo');

test.use({
  viewport: { width: 390, height: 844 },
  isMobile: true,
  hasTouch: true,
  launchOptions: WITH_CAMERA,
});

async function openHalfWritten(page: Page): Promise<void> {
  await page.goto(`${DEMO()}/bench`);
  await page.getByRole('link', { name: 'Go on writing up' }).first().click();
  await expect(page.getByText(/all of it is on the studio’s server/)).toBeVisible();
}
const waits = (page: Page, n: number) => expect(page.getByText(`${n} on this device`)).toBeVisible();

test('picture first: shot by the large button and by key, each of the piece in hand; a clean tile is two touches after it', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await openHalfWritten(page);
  const code = (await page.getByRole('heading', { level: 1 }).textContent())!;
  await page.getByRole('button', { name: 'Camera on' }).tap();
  await expect(page.getByRole('button', { name: `Take ${code}` })).toBeVisible();
  await expect
    .poll(() => page.locator('video').evaluate((video: HTMLVideoElement) => video.videoWidth))
    .toBeGreaterThan(0);
  await page.getByRole('button', { name: `Take ${code}` }).tap();
  await page.getByRole('heading', { level: 1 }).tap();
  await page.keyboard.press('Space');
  await expect(page.getByText(/all of it is on the studio’s server/)).toBeVisible();
  // Two touches, and the camera waits for the next one.
  await page.getByRole('group', { name: 'Surface' }).getByRole('button', { name: 'gloss' }).tap();
  await page.getByRole('button', { name: 'Save, next piece' }).tap();
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(code);
  const next = (await page.getByRole('heading', { level: 1 }).textContent())!;
  await expect(page.getByRole('button', { name: `Take ${next}` })).toBeVisible();
  await page.goto(`${DEMO()}/pieces/${code}`);
  await expect(page.getByRole('img', { name: new RegExp(code) }).first()).toBeVisible();
});

test('shot now, said later: the tray keeps what is taken, and it is laid by touch and by the plan', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await openHalfWritten(page);
  await page.getByRole('button', { name: /^Tray/ }).tap();
  await page.getByRole('button', { name: 'Camera on' }).tap();
  const take = page.getByRole('button', { name: 'Take one for the tray' });
  await expect(take).toBeVisible();
  await expect
    .poll(() => page.locator('video').evaluate((video: HTMLVideoElement) => video.videoWidth))
    .toBeGreaterThan(0);
  for (let n = 1; n <= 3; n++) {
    await take.tap();
    await expect(page.getByRole('button', { name: new RegExp(`^Picture ${n}, taken`) })).toBeVisible();
  }
  // They lie there through a page that is loaded again, and nobody else sees them.
  await page.reload();
  await page.getByRole('button', { name: 'Tray 3' }).tap();
  await page.context().setOffline(true);
  await page.getByRole('button', { name: /^Picture 1, taken/ }).tap();
  const plan = page.getByRole('navigation', { name: 'Pieces of this firing' });
  const code = (await plan
    .getByRole('button', { name: /^[A-Z0-9]{5}$/ })
    .first()
    .textContent())!;
  await plan.getByRole('button', { name: code }).tap();
  await expect(page.getByText(`1 thing laid on ${code}`)).toBeVisible();
  await waits(page, 1);
  await page.getByRole('button', { name: /^Lay 2 pictures on/ }).tap();
  await expect(page.getByText('2 pictures laid on their pieces')).toBeVisible();
  await waits(page, 3);
  // Taken back: the two of the plan lie in the tray again.
  await page.getByRole('button', { name: 'Undo' }).tap();
  await expect(page.getByRole('button', { name: 'Tray 2' })).toBeVisible();
  await waits(page, 1);
  // Framed where it was taken: the frame waits beside its picture, and both go out.
  await plan.getByRole('button', { name: code }).tap();
  await page.getByRole('button', { name: 'Frame it' }).tap();
  await expect(page.getByRole('button', { name: 'That is it' })).toBeEnabled({ timeout: 20_000 });
  await page.getByRole('button', { name: 'That is it' }).tap();
  await expect(page.getByText('Framed; it is measured when it is sent.')).toBeVisible();
  await waits(page, 2);
  await page.context().setOffline(false);
  await expect(page.getByText(/all of it is on the studio’s server/)).toBeVisible();
});

test('two phones at one load: each sees within seconds what the other wrote up', async ({
  page,
  browser,
}) => {
  await signIn(page, DEMO(), 'iben');
  await openHalfWritten(page);
  const other = await (await browser.newContext()).newPage();
  await signIn(other, DEMO(), 'tomasz');
  await other.goto(page.url());
  const written = async (who: Page) =>
    Number(
      /^\d+/.exec(
        (await who
          .getByRole('status')
          .filter({ hasText: /^\d+ of \d+ written up/ })
          .textContent())!,
      )![0],
    );
  const before = await written(other);
  await page.getByRole('group', { name: 'Surface' }).getByRole('button', { name: 'satin' }).tap();
  await page.getByRole('button', { name: 'Save, next piece' }).tap();
  await expect.poll(() => written(other), { timeout: 15_000 }).toBe(before + 1);
});
