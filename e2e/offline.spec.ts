import { cableTo, type Cable } from '../test-support/cable';
import { phone, type Phone } from '../test-support/phone';
import { DEMO, picture, signIn, test } from './support';
import { opens } from './studios';
import { expect, type Page } from '@playwright/test';

opens('demo');

let cable: Cable;
let hand: Phone;
test.beforeEach(async () => {
  cable = await cableTo(DEMO());
  hand = await phone();
});
test.afterEach(async () => {
  await hand.end();
  await cable.close();
});

/** Signs in and waits until all that is at hand is on the phone. */
async function prepared(page: Page, login: string): Promise<void> {
  await signIn(page, cable.url, login);
  await page.goto(`${cable.url}/device`);
  await expect(page.getByText(/^(\d+) of \1 pages and pictures are on this device/)).toBeVisible({
    timeout: 60_000,
  });
}
/** The opening that is half written up, as the phone knows it. */
async function openingAddress(page: Page): Promise<string> {
  const answer = await page.request.get(`${cable.url}/api/at-hand`);
  const { data } = (await answer.json()) as { data: { pages: { url: string; title: string }[] } };
  return cable.url + data.pages.find(({ url }) => url.startsWith('/opening/'))!.url;
}
const saved = (page: Page) => page.getByRole('button', { name: 'Save, next piece' });
const surface = (page: Page, word: string) =>
  page.getByRole('group', { name: 'Surface' }).getByRole('button', { name: word });
/**
 * A battery that dies takes the newest sign-in with it: what waits stays, and goes on under the same name.
 */
async function sent(page: Page): Promise<void> {
  const all = page.getByText(/all of it is on the studio’s server/);
  const again = page.getByRole('dialog', { name: 'Sign in again' });
  await expect(all.or(again)).toBeVisible({ timeout: 30_000 });
  if (await again.isVisible()) {
    await again.getByLabel('Password').fill('crane-on-the-quay');
    await again.getByRole('button', { name: 'Sign in and go on' }).tap();
  }
  await expect(all).toBeVisible({ timeout: 30_000 });
}
const written = async (page: Page): Promise<number> => {
  // A page that is still streamed stands there twice, once for nobody.
  const status = page.getByRole('status').filter({ hasText: /^\d+ of \d+ written up/ });
  await expect(status).not.toContainText('looking through');
  return Number(/^\d+/.exec((await status.textContent())!)![0]);
};

test('in a cellar, from a dead battery: the load is written up, kept through another, and sent when there is a network', async () => {
  await prepared(hand.page, 'iben');
  const opening = await openingAddress(hand.page);
  await cable.pull();
  await hand.restart();
  await hand.page.goto(opening);
  const before = await written(hand.page);
  await hand.page
    .getByLabel('Take or choose a picture')
    .setInputFiles({ name: 'p.jpg', mimeType: 'image/jpeg', buffer: await picture(90, 200, 90) });
  await expect(hand.page.getByAltText(/on this device$/)).toBeVisible();
  await surface(hand.page, 'satin').tap();
  await saved(hand.page).tap();
  await expect(hand.page.getByText(/2 on this device, not yet on the server/)).toBeVisible();
  await surface(hand.page, 'gloss').tap();
  await saved(hand.page).tap();
  await expect(hand.page.getByText(/3 on this device/)).toBeVisible();
  // What was said by mistake was never said.
  await hand.page.getByRole('button', { name: 'Undo' }).tap();
  await expect(hand.page.getByText(/2 on this device/)).toBeVisible();
  await hand.restart();
  await hand.page.goto(opening);
  await expect(hand.page.getByText(/2 on this device/)).toBeVisible();
  expect(await written(hand.page)).toBe(before + 1);
  await cable.plugIn();
  await sent(hand.page);
  // A page that was kept is older than what was sent from it; a new one says the same.
  expect(await written(hand.page)).toBe(before + 1);
  await hand.page.reload();
  expect(await written(hand.page)).toBe(before + 1);
});

test('a page that is not on the device says so, and leads to those that are; leaving takes them away', async () => {
  await prepared(hand.page, 'tomasz');
  await cable.pull();
  await hand.page.goto(`${cable.url}/store`);
  await expect(hand.page.getByRole('heading', { name: 'No connection to the studio' })).toBeVisible();
  await hand.page.getByRole('link', { name: 'Bench' }).tap();
  await expect(hand.page.getByRole('heading', { name: 'Bench' })).toBeVisible();
  await cable.plugIn();
  await hand.page.goto(`${cable.url}/studio`);
  await hand.page.getByRole('button', { name: 'Sign out', exact: true }).tap();
  await expect(hand.page).toHaveURL(/sign-in/);
  const kept = () => hand.page.evaluate(async () => (await caches.keys()).sort());
  await expect.poll(kept).toEqual(['jiten-static']);
});

test('readings and diary lines at the kiln are kept without a network and sent in their order', async () => {
  await prepared(hand.page, 'iben');
  const { page } = hand;
  const answer = await page.request.get(`${cable.url}/api/at-hand`);
  const { data } = (await answer.json()) as { data: { pages: { url: string }[] } };
  let address: string | null = null;
  for (const { url } of data.pages.filter((one) => one.url.startsWith('/kilns/firings/'))) {
    await page.goto(cable.url + url);
    const pad = page.getByRole('button', { name: /^Read temperature/ });
    // A page shows its parts one after another.
    if (
      await pad.waitFor({ timeout: 3000 }).then(
        () => true,
        () => false,
      )
    )
      address = url;
    if (address !== null) break;
  }
  expect(address).not.toBeNull();
  await cable.pull();
  await page.goto(cable.url + address!);
  await page.getByRole('button', { name: /^Read temperature/ }).tap();
  await page.getByRole('dialog').getByRole('button', { name: /^\d+$/ }).nth(2).tap();
  await expect(page.getByText(/written down on this device/)).toBeVisible();
  await expect(page.getByText('1 entry on this device, not yet on the studio’s server.')).toBeVisible();
  await cable.plugIn();
  await expect(page.getByText('1 entry on this device')).toHaveCount(0, { timeout: 30_000 });
});
