/** From a fault to its cause: as a teacher at a desk, as a student on a phone. */
import { expect, type Page } from '@playwright/test';
import { DEMO, accessible, phoneOf, sending, signIn, test } from './support';
import { opens } from './studios';

opens('demo');

const CAUSES = { name: 'Causes, the likeliest first' };
const first = (page: Page) => page.getByRole('list', CAUSES).getByRole('listitem').first();

/** The code of a piece that is on record as pitted. */
async function pitted(page: Page): Promise<string> {
  const board = 'body=saltbox&cone=6&atmosphere=oxidation&ground=';
  const answer = await page.request.get(`${DEMO()}/api/zoom?${board}&base=ember`);
  const { data } = (await answer.json()) as {
    data: { pieces: { code: string; signs: { sign: string; wanted: boolean }[] }[] };
  };
  return data.pieces.find(({ signs }) => signs.some((one) => one.sign === 'pit' && !one.wanted))!.code;
}

test('from the Bench to a pitted piece, its ranked causes and the tiles of the next test in five acts; closed with what it was', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'tomasz');
  const code = await pitted(page);
  await page.goto(`${DEMO()}/bench`);
  // Five acts from the Bench: a key, a filled field, three touches.
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: 'Find' }).fill(code);
  await page.getByRole('option').filter({ hasText: code }).first().click();
  await expect(page).toHaveURL(new RegExp(`/pieces/${code}`));
  await page.getByRole('button', { name: 'Why?' }).first().click();
  await expect(page).toHaveURL(/\/clinic\/cases\//);
  // The demo’s truth: the coat that holds silicon carbide, and only where it is thick.
  await expect(first(page)).toContainText('Silicon carbide in the stack');
  await expect(first(page)).toContainText('the thinner zone of the same piece is clean');
  await accessible(page);

  // Two acts from the piece: the tiles of the next test, with their sheets; the case waits for them.
  await page.getByRole('button', { name: 'Make its tiles' }).first().click();
  await expect(page).toHaveURL(/\/tests\/questions\/\d+$/);
  await expect(page.getByText(/^If so: /)).toBeVisible();
  await page.goBack();
  await expect(page.getByText(/was made to tell: 0 of \d tiles written up so far/)).toBeVisible();

  // What the records say can be said otherwise, and the order follows before anything is loaded again.
  await page.getByRole('combobox', { name: 'Is there silicon carbide in any coat?' }).click();
  await sending(page, () => page.getByRole('option', { name: 'no', exact: true }).click());
  await expect(first(page)).toContainText('The coat is too thick');
  await page.reload();
  await expect(first(page)).toContainText('The coat is too thick');
  await expect(page.getByText('the records say otherwise: yes')).toBeVisible();

  await page.getByRole('button', { name: 'It turned out to be …' }).click();
  await page.getByRole('checkbox', { name: 'The coat is too thick' }).check();
  await page.getByLabel('From what it is known').fill('A single dip came out clean.');
  await sending(page, () => page.getByRole('button', { name: 'Close the case' }).click());
  await expect(page.getByText('A single dip came out clean.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Open it again' })).toBeVisible();
  await page.goto(`${DEMO()}/clinic`);
  await expect(page.getByRole('heading', { name: 'Closed' })).toBeVisible();
  await accessible(page);
});

test('a student on a phone: a fault in the hand, named by its drawing, asked about by touches', async ({
  browser,
}) => {
  const { context, page } = await phoneOf(browser, 'noor');
  await page.goto(`${DEMO()}/clinic`);
  await page.getByRole('button', { name: /^Lime pops/ }).click();
  await expect(page).toHaveURL(/\/clinic\/cases\//);
  await expect(page.getByText('Throws sharp chips days or weeks later', { exact: false })).toBeVisible();
  const question = page.getByRole('heading', { name: 'What is at the bottom of the pop?' });
  await expect(question).toBeVisible();
  await sending(page, () => page.getByRole('button', { name: 'a soft chip, as of plaster' }).click());
  await expect(first(page)).toContainText('Plaster in the clay');
  await expect(question).toHaveCount(0);
  await accessible(page);
  await context.close();
});

test('a student on a phone: from a pitted piece to its causes and the sheets of the next test in three touches', async ({
  browser,
  page: desk,
}) => {
  await signIn(desk, DEMO(), 'tomasz');
  const code = await pitted(desk);
  const { context, page } = await phoneOf(browser, 'pilar');
  await page.goto(`${DEMO()}/pieces/${code}`);
  await page.getByRole('button', { name: 'Why?' }).first().tap();
  await expect(first(page)).toContainText('Silicon carbide in the stack');
  await page.getByRole('button', { name: 'Make its tiles' }).first().tap();
  await expect(page).toHaveURL(/\/tests\/questions\/\d+$/);
  await expect(page.getByRole('tab', { name: 'Glazing order' })).toBeVisible();
  await expect(page.getByRole('tab', { name: 'Weigh out' })).toHaveCount(0);
  await expect(page.getByText('conclude all the same', { exact: false })).toHaveCount(0);
  await accessible(page);
  await context.close();
});

test('what the clinic knows is searched, and disagreed with by a technician alone', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/clinic/knows`);
  await page.getByLabel('Search faults, causes and remedies').fill('plaster in the clay');
  await expect(page.getByRole('heading', { name: 'Lime pops' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Pinholes' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Not so here …' }).click();
  await page.getByLabel('Because').fill('There is no plaster in the house.');
  await page.getByRole('combobox', { name: 'Here it is' }).click();
  await page.getByRole('option', { name: 'never the cause' }).click();
  await sending(page, () => page.getByRole('button', { name: 'Keep it' }).click());
  await expect(page.getByText('turned off here', { exact: false })).toBeVisible();
  await expect(page.getByText('There is no plaster in the house.', { exact: false })).toBeVisible();
  await signIn(page, DEMO(), 'tomasz');
  await page.goto(`${DEMO()}/clinic/knows`);
  await page.getByLabel('Search faults, causes and remedies').fill('plaster in the clay');
  await expect(page.getByText('turned off here', { exact: false })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Not so here …' })).toHaveCount(0);
});

test('how to get it: what brings an effect about, what it costs, and where it was seen here', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'noor');
  await page.goto(`${DEMO()}/clinic`);
  await page.getByRole('link', { name: 'How to get it' }).click();
  await expect(page.getByRole('heading', { name: 'Large zinc crystals' })).toBeVisible();
  await expect(page.getByText('Steered by:').first()).toBeVisible();
  await expect(page.getByText('Weaker, goes on cracking for years', { exact: false })).toBeVisible();
  await accessible(page);
});
