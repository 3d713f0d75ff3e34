/**
 * The other ways into the clinic, and what belongs to it: the opening, the chart, a coating, tests of use,
 * the drill.
 */
import { expect } from '@playwright/test';
import { choose, DEMO, accessible, phoneOf, sending, signIn, test, unfold } from './support';
import { opens } from './studios';

opens('demo');

test('asked in the kiln room without a network, “Why?” is kept as a wish and answered at the next connection', async ({
  browser,
}) => {
  const { context, page } = await phoneOf(browser, 'iben');
  await page.goto(`${DEMO()}/bench`);
  await page.locator('a[href^="/opening/"]').first().click();
  await expect(page.getByRole('button', { name: /^Save/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Why?' })).toHaveCount(0);
  await context.setOffline(true);
  await page.getByRole('button', { name: /^Blisters/ }).tap();
  await page.getByRole('button', { name: 'Why?' }).tap();
  await expect(page.getByText('“Why?” is kept, and asked when the server is reached.')).toBeVisible();
  await context.setOffline(false);
  // What was said of it went first: the clinic reads it.
  await page.getByRole('link', { name: 'Its case' }).tap({ timeout: 20_000 });
  await expect(page).toHaveURL(/\/clinic\/cases\//);
  await expect(page.getByRole('heading', { name: 'Blisters' })).toBeVisible();
  await expect(page.getByText('Edges can be razor sharp', { exact: false }).first()).toBeVisible();
  await context.close();
});

test('from a cell of the chart and from a coating to a case, each for where it was seen', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'noor');
  await page.goto(`${DEMO()}/chart?body=saltbox&cone=6&atmosphere=oxidation&ground=&at=ember/`);
  await page.getByRole('button', { name: 'Why?' }).first().click();
  await expect(page).toHaveURL(/\/clinic\/cases\//);
  await expect(page.getByRole('list', { name: 'Causes, the likeliest first' })).toBeVisible();
  await page.goto(`${DEMO()}/store/coatings/ember`);
  await page.getByRole('button', { name: /^Why pits\?/ }).click();
  await expect(page).toHaveURL(/\/clinic\/cases\//);
  await expect(page.getByText('with several coats', { exact: false }).first()).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What goes with it in our records' })).toBeVisible();
  await expect(page.getByText('coats: two and more')).toBeVisible();
  // Firings and the store are no student’s pages: what is said leads nowhere they may not go.
  await expect(page.locator('main a[href^="/kilns/firings/"]')).toHaveCount(0);
  await accessible(page);
  // Another fault of the same coating, by its drawing.
  await page.goto(`${DEMO()}/store/coatings/ember`);
  await expect(page.getByRole('link', { name: /^Case \d+$/ }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Something else is wrong …' }).click();
  await expect(page.getByText('What is wrong with Ember? Touch what it looks like.')).toBeVisible();
  await page.getByRole('button', { name: /^Crawling/ }).click();
  await expect(page).toHaveURL(/\/clinic\/cases\//);
  await expect(page.getByText('nobody has written it up', { exact: false })).toHaveCount(1);
});

test('a lemon overnight on a piece: written down, shown before everything else, struck again', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'tomasz');
  await page.goto(`${DEMO()}/clinic`);
  await page.getByRole('link', { name: 'Look' }).first().click();
  await page.locator('main a[href^="/pieces/"]').first().click();
  await unfold(page, 'A test was done');
  await choose(page, 'Which test', 'Lemon or vinegar overnight');
  await choose(page, 'What was found', 'duller or rougher there');
  await sending(page, () => page.getByRole('button', { name: 'Write it down' }).click());
  const failed = page.getByText('duller or rougher there. Not for food or drink.', {
    exact: false,
  });
  await expect(failed).toBeVisible();
  await expect(page.getByText('Home tests only find bad ones', { exact: false })).toBeVisible();
  await accessible(page);
  await sending(page, () => page.getByRole('button', { name: 'Strike it' }).first().click());
  await expect(failed).toHaveCount(0);
});

test('the drill on a student’s phone: a touch, the reason, the next; and with a class', async ({
  browser,
}) => {
  const { context, page } = await phoneOf(browser, 'noor');
  await page.goto(`${DEMO()}/clinic/drill`);
  await expect(page.getByText('1 of 10')).toBeVisible();
  const choices = page.getByRole('heading', { name: 'What is this?' }).locator('..').getByRole('button');
  await expect(choices).toHaveCount(4);
  await choices.first().tap();
  await expect(page.getByRole('status')).toHaveText(/^(Yes|No)\. /);
  await accessible(page);
  await page.getByRole('button', { name: 'Next' }).tap();
  await expect(page.getByText('2 of 10')).toBeVisible();
  await page.goto(`${DEMO()}/clinic/drill?class`);
  await page.getByRole('button', { name: 'Show what it is' }).tap();
  await expect(page.getByRole('status')).toBeVisible();
  await context.close();
});

test('what unrelated stacks of a load share is a case of the firing, with the cause that its diary tells', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/clinic`);
  await page.getByRole('listitem').filter({ hasText: 'the whole load of Gable' }).getByRole('link').click();
  const causes = page.getByRole('list', { name: 'Causes, the likeliest first' });
  await expect(causes.getByRole('listitem').first()).toContainText('Reduced too late or too weakly');
  await expect(causes.getByRole('listitem').first()).toContainText('the diary: reduction from');
  await page.locator('main a[href^="/kilns/firings/"]').first().click();
  await expect(page.getByRole('heading', { name: 'What the whole load shares' })).toBeVisible();
});
