import { expect } from '@playwright/test';
import { DEMO, sending, signIn, test, unfold } from './support';
import { opens } from './studios';

opens('demo');

test('tiles are put right together from the list: a series of marks in one act, and taken back', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/tests`);
  const rows = page.getByRole('row');
  for (const nth of [1, 2, 3]) await rows.nth(nth).getByRole('checkbox').check();
  await page.getByRole('button', { name: 'Put 3 right …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel(/^Marks/).fill('ZZ1-ZZ3');
  await expect(dialog.getByText(/ZZ1 on .* ZZ3 on /)).toBeVisible();
  await sending(page, () => dialog.getByRole('button', { name: 'Put right' }).click());
  await expect(page.getByRole('gridcell', { name: 'ZZ2', exact: true })).toBeVisible();
  await sending(page, () => page.getByRole('button', { name: 'Undo' }).click());
  await expect(page.getByRole('gridcell', { name: 'ZZ2', exact: true })).toHaveCount(0);
});

test('a page of a notebook is written up on a firing long past, and stands in its diary', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/kilns/pip`);
  await page.getByRole('link', { name: 'Pip 15' }).first().click();
  await expect(page.getByRole('heading', { name: 'Pip 15' })).toBeVisible();
  await unfold(page, 'Log: files, paper, corrections');
  await page.getByRole('button', { name: 'Write up a log from paper' }).click();
  const lines = page.getByLabel(/^A line a reading/);
  await lines.fill('+0:20 30 lid propped\nafterwards 100');
  await expect(page.getByText(/Line 2, .* begins with no time/)).toBeVisible();
  await lines.fill('+0:20 30 lid propped a thumb wide');
  await sending(page, () => page.getByRole('button', { name: 'Keep 2 lines' }).click());
  await unfold(page, 'Diary');
  const diary = page.getByRole('listitem').filter({ hasText: 'lid propped a thumb wide' });
  await expect(diary).toContainText('written down');
  await page.getByText(/^Put readings right/).click();
  await expect(page.getByText(/written down/).first()).toBeVisible();
});

test('one load in one kiln: a second is not closed beside it; a planned firing is called off and comes back', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/bench`);
  // Marta burns; her next load is planned already.
  await page
    .getByRole('link', { name: /^Load Marta/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Close the load' }).click();
  await expect(page.getByRole('alert').filter({ hasText: /in this kiln/ })).toBeVisible();
  await unfold(page, 'Change the plan, or call it off');
  await sending(page, () => page.getByRole('button', { name: 'Call it off' }).click());
  await expect(page.getByText('This firing was called off; its pieces wait again.')).toBeVisible();
  await unfold(page, 'Change the plan, or call it off');
  await sending(page, () => page.getByRole('button', { name: 'Plan it after all' }).click());
  await expect(page.getByText('This firing was called off')).toHaveCount(0);
});
