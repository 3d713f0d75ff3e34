/** Two records of one thing: found, read what changes, made one, and taken apart again. */
import { expect } from '@playwright/test';
import { DEMO, accessible, choose, sending, signIn, test } from './support';
import { opens } from './studios';

opens('demo');

test('a coating on record twice is made one, its old address shows what it is, and it is taken apart', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  // A tile written up under a slip of the pen brings a second coating with it.
  await page.goto(`${DEMO()}/tests/fired`);
  await page.getByRole('button', { name: 'Saltbox', exact: true }).click();
  const coats = page.getByRole('combobox', { name: 'Coatings, first coat first' });
  await coats.fill('Yard Cler');
  await coats.press('Escape');
  await coats.press('Enter');
  await page.getByRole('button', { name: 'gloss', exact: true }).click();
  await sending(page, () => page.getByRole('button', { name: 'Put it on record' }).click());

  await page.goto(`${DEMO()}/studio/merge?kind=coating`);
  await accessible(page);
  await page.getByRole('link', { name: /Yard Cler/ }).click();
  await expect(page.getByRole('heading', { name: /What changes when Yard Cle/ })).toBeVisible();
  await choose(page, 'The double', 'Yard Cler');
  await expect(page.getByText(/Led over to Yard Clear: .*layer/)).toBeVisible();
  await accessible(page);
  await sending(page, () =>
    page.getByRole('button', { name: 'Yard Cler is Yard Clear', exact: true }).click(),
  );
  await expect(page.getByText('Yard Cler is Yard Clear', { exact: true })).toBeVisible();

  // The page leads on while it is still arriving: no page to be taken over in between.
  await page.evaluate((url) => window.location.assign(url), `${DEMO()}/store/coatings/yard-cler`);
  await expect(page).toHaveURL(/\/store\/coatings\/yard-clear$/);
  await expect(page.getByRole('heading', { name: 'Yard Clear', exact: true })).toBeVisible();
  await page.goto(`${DEMO()}/studio/merge?kind=coating`);
  await sending(page, () => page.getByRole('button', { name: 'Take apart again' }).click());
  await page.goto(`${DEMO()}/store/coatings/yard-cler`);
  await expect(page.getByRole('heading', { name: 'Yard Cler', exact: true })).toBeVisible();
});

test('touching refire asks what it is for, and the piece waits for that', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/bench`);
  await page
    .getByRole('link', { name: /rit(e|ing) up/ })
    .first()
    .click();
  await page.waitForURL(/\/opening\//);
  await page.getByRole('button', { name: 'refire', exact: true }).click();
  const why = page.getByRole('group', { name: 'What the refire is for' });
  await why.getByRole('button', { name: 'another coat', exact: true }).click();
  await why.getByLabel('At cone').fill('5 1/2');
  const code = (await page.getByRole('heading', { level: 1 }).textContent())!.trim();
  await sending(page, () => page.getByRole('button', { name: /^Save/ }).click());
  await page.goto(`${DEMO()}/pieces/${code}`);
  await expect(page.getByText(/waits for a refire, cone 5½, another coat/)).toBeVisible();
  await expect(page.getByText('Refire at cone 5½: another coat')).toBeVisible();
});
