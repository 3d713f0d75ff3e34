/**
 * A fired tile in the hand: on the chart in few acts, in a new studio and in one at work. Acts are counted.
 */
import { expect, type Locator, type Page } from '@playwright/test';
import { accessible, DEMO, EMPTY, PASSWORD, phoneOf, picture, sending, signIn, test } from './support';
import { opens } from './studios';

opens('demo', 'empty');

/** Counts what a person does: a touch, a field filled, a picture chosen. */
function hand() {
  let acts = 0;
  return {
    acts: () => acts,
    async touch(what: Locator): Promise<void> {
      acts += 1;
      await what.click();
    },
    async write(what: Locator, text: string, enter = false): Promise<void> {
      acts += 1;
      await what.fill(text);
      if (enter) await what.press('Enter');
    },
    async picture(page: Page): Promise<void> {
      acts += 1;
      await page.getByLabel('Take or choose a picture').setInputFiles({
        name: 'tile.jpg',
        mimeType: 'image/jpeg',
        buffer: await picture(60, 90, 110),
      });
    },
  };
}

const button = (page: Page, name: string) => page.getByRole('button', { name, exact: true });

test('from the Bench: body, coat, cone, air, picture, surface and a fault in at most ten acts', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/bench`);
  const me = hand();
  await me.touch(page.getByRole('link', { name: 'I hold a fired tile' }));
  await me.touch(button(page, 'Saltbox'));
  await me.write(page.getByRole('combobox', { name: 'Coatings, first coat first' }), 'Tarn', true);
  await me.write(page.getByLabel('Cone', { exact: true }), '6');
  await me.touch(button(page, 'oxidation'));
  await me.picture(page);
  await me.touch(button(page, 'gloss'));
  await me.touch(page.getByRole('button', { name: /^Crazing/ }).first());
  await accessible(page);
  await sending(page, () => me.touch(button(page, 'Put it on record')));
  await expect(page.getByText('Write its code on it')).toBeVisible();
  expect(me.acts()).toBeLessThanOrEqual(10);
  await accessible(page);

  await page.getByRole('link', { name: 'See it on the chart' }).click();
  await expect(page).toHaveURL(/cone=%3F6.*at=tarn/);
  await expect(page.getByText('cone unknown, 6 intended').first()).toBeVisible();
});

test('a new studio reaches its first cell in at most twenty acts, from an empty screen', async ({ page }) => {
  await page.goto(EMPTY());
  const me = hand();
  await me.write(page.getByLabel('Studio’s name'), 'Ferry Lane');
  await me.write(page.getByLabel('Your name'), 'Ada Thorne');
  await me.write(page.getByLabel('Sign-in name'), 'ada');
  await me.write(page.getByLabel('Password'), PASSWORD);
  await me.touch(button(page, 'Open the studio'));
  await expect(page.getByRole('heading', { name: 'To begin' })).toBeVisible();
  await me.touch(page.getByRole('link', { name: 'I hold a fired tile' }).first());
  await me.write(page.getByRole('textbox', { name: 'Body' }), 'Heron');
  await me.write(page.getByRole('combobox', { name: 'Coatings, first coat first' }), 'Loam', true);
  await me.write(page.getByLabel('Cone', { exact: true }), '6');
  await me.touch(button(page, 'oxidation'));
  await me.picture(page);
  await me.touch(button(page, 'matt'));
  await sending(page, () => me.touch(button(page, 'Put it on record')));
  await me.touch(page.getByRole('link', { name: 'See it on the chart' }));
  await expect(page.getByRole('heading', { name: /Loam/ }).first()).toBeVisible();
  expect(me.acts()).toBeLessThanOrEqual(20);
});

test('led from step to step: what was added leads back to the next thing to add', async ({ page }) => {
  await signIn(page, EMPTY(), 'ada', PASSWORD);
  await page.goto(`${EMPTY()}/store/bodies/new`);
  await page.getByLabel('Name').fill('Plover');
  await page.getByRole('button', { name: 'Add the body' }).click();
  // No kiln yet: back at the Bench, where that is the next step.
  await expect(page.getByRole('heading', { name: 'To begin' })).toBeVisible();
  await expect(page.getByRole('link', { name: 'Add a kiln' })).toBeVisible();
});

test('a pot that was in the kiln and on no list joins its opening in two acts, on a phone', async ({
  browser,
}) => {
  const { context, page } = await phoneOf(browser, 'iben');
  await page.goto(`${DEMO()}/bench`);
  const opening = page.getByRole('link', { name: /rit(e|ing) up/ }).first();
  await opening.click();
  await page.waitForURL(/\/opening\//);
  const id = page.url().split('/').at(-1)!.split('?')[0]!;

  const me = hand();
  await me.touch(page.getByRole('link', { name: 'A pot on no list' }));
  await sending(page, () => me.touch(button(page, 'Put it on record')));
  expect(me.acts()).toBe(2);
  await expect(page.getByText('Write its code on it')).toBeVisible();
  const code = (await page.getByRole('main').locator('p').nth(1).textContent())!.trim();
  await page.goto(`${DEMO()}/opening/${id}?piece=${code}`);
  await expect(page.getByRole('heading', { name: code })).toBeVisible();
  await expect(page.getByText('It was on no list of this firing.')).toBeVisible();
  await expect(page.getByText('Nobody knows what is on it.')).toBeVisible();

  // It was another one after all: out again, and in again by its code.
  await sending(page, () => button(page, 'It was not in it').click());
  await expect(page.getByRole('heading', { name: code })).toHaveCount(0);
  const again = hand();
  await again.write(page.getByLabel('Code or mark'), code, true);
  await sending(page, () => again.touch(button(page, `${code} was in it too`)));
  expect(again.acts()).toBe(2);
  await expect(page.getByRole('heading', { name: code })).toBeVisible();
  await context.close();
});

test('a student writes up own pieces on their own phone, and nothing else of the load', async ({
  browser,
}) => {
  for (const login of ['kit', 'noor', 'pilar', 'ren', 'effie', 'jonas', 'amara']) {
    const { context, page } = await phoneOf(browser, login);
    await page.goto(`${DEMO()}/mine`);
    await expect(page.getByRole('heading', { name: 'My pieces' })).toBeVisible();
    const mine = page.getByRole('link', { name: 'Write them up' });
    if ((await mine.count()) === 0) {
      await context.close();
      continue;
    }
    await mine.first().tap();
    const status = page.getByText(/^\d+ of \d+ written up; all of it/);
    await expect(status).toBeVisible();
    const before = Number(/^\d+/.exec((await status.textContent())!)![0]);
    // The code field is on top; the cones and strangers are for those who keep the records.
    await expect(page.getByLabel('Code or mark')).toBeInViewport();
    await expect(page.getByRole('button', { name: 'Cones' })).toHaveCount(0);
    await expect(page.getByRole('link', { name: 'A pot on no list' })).toHaveCount(0);
    await page.getByRole('group', { name: 'Surface' }).getByRole('button', { name: 'gloss' }).tap();
    await page.getByRole('button', { name: /^Save, next/ }).tap();
    await expect(
      page.getByText(new RegExp(`^${before + 1} of \\d+ written up; all of it is on the studio’s server`)),
    ).toBeVisible();
    await expect(page.getByRole('button', { name: /The opening is written up|Close it/ })).toHaveCount(0);
    await context.close();
    return;
  }
  throw new Error('Nobody’s pieces wait in the demo’s half-written opening.');
});
