import { expect } from '@playwright/test';
import { EMPTY, PASSWORD, choose, picture, signIn, test } from './support';
import { opens } from './studios';

opens('empty');

test.describe.configure({ mode: 'serial' });

test('an empty studio: set up, make a matrix, load, fire, open with pictures, and the chart shows it', async ({
  page,
}) => {
  const base = EMPTY();
  await page.goto(base);
  await page.getByLabel('Studio’s name').fill('Kiln Lane');
  await page.getByLabel('Your name').fill('Ada Thorne');
  await page.getByLabel('Sign-in name').fill('ada');
  await page.getByLabel('Password').fill('short');
  await page.getByRole('button', { name: 'Open the studio' }).click();
  await expect(
    page.getByText('A password has at least ten characters; a short sentence does well.').first(),
  ).toBeVisible();
  await expect(page.getByLabel('Studio’s name')).toHaveValue('Kiln Lane');
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByRole('button', { name: 'Open the studio' }).click();
  await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible();

  // A clinic without records says so, and still takes what somebody holds in the hand.
  await page.goto(`${base}/clinic`);
  await expect(page.getByText('Nothing is open.', { exact: false })).toBeVisible();
  await page.goto(`${base}/clinic/drill`);
  await expect(page.getByText('There are not enough of them yet.', { exact: false })).toBeVisible();
  await page.goto(`${base}/clinic`);
  await page.getByRole('button', { name: /^Crazing/ }).click();
  await expect(page.getByText('No piece stands behind this case', { exact: false })).toBeVisible();
  await expect(page.getByRole('list', { name: 'Causes, the likeliest first' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'What goes with it in our records' })).toHaveCount(0);
  await page.goto(`${base}/bench`);

  await page.getByRole('link', { name: 'Add a body' }).click();
  await page.getByLabel('Name').fill('Heron');
  await page.getByLabel('From cone').fill('5');
  await page.getByLabel('to cone').fill('99');
  await page.getByRole('button', { name: 'Add the body' }).click();
  await expect(page.getByText(/There is no cone “99”/)).toBeVisible();
  await page.getByLabel('to cone').fill('7');
  await page.getByRole('button', { name: 'Add the body' }).click();
  await expect(page.getByText('Clay bodies').or(page.getByText('Heron')).first()).toBeVisible();
  for (const name of ['Loam', 'Fjord']) {
    await page.goto(`${base}/store/coatings/new`);
    await page.getByLabel('Name').fill(name);
    await page.getByLabel('From cone').fill('5');
    await page.getByLabel('to cone').fill('7');
    await page.getByRole('button', { name: 'Add the coating' }).click();
    // A studio without a kiln is led back to what it still lacks.
    await expect(page.getByRole('heading', { name: 'To begin' })).toBeVisible();
  }
  await page.goto(`${base}/kilns/new`);
  await page.getByLabel('Name').fill('Bertha');
  await page.getByRole('button', { name: 'Add the kiln' }).click();
  await expect(page.getByRole('heading', { name: /Bertha/ })).toBeVisible();

  // One door to the matrix: its question, with a base and an over already chosen.
  await page.goto(`${base}/tests/matrix`);
  await expect(page.getByRole('heading', { name: '4 tiles' })).toBeVisible();
  // One each way and one control of each.
  await page.getByRole('button', { name: 'Make 4 tiles and their sheets' }).click();
  await expect(page.getByText('0 of 4 tiles are written up.')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Glazing order' })).toBeVisible();

  await page.goto(`${base}/kilns/plan`);
  await page.getByRole('button', { name: 'Plan this firing' }).click();
  await expect(page.getByRole('heading', { name: 'Bertha 1' })).toBeVisible();
  await page.getByLabel('Code or mark').fill('AAAA0');
  await page.getByRole('button', { name: 'Put in', exact: true }).click();
  await expect(page.getByText(/“0” is never used in a piece code/)).toBeVisible();
  await page.getByRole('button', { name: 'Choose all' }).click();
  await page.getByRole('button', { name: 'Put 4 on shelf 1' }).click();
  await expect(page.getByRole('heading', { name: 'In the load: 4' })).toBeVisible();
  for (const act of ['Close the load', 'Start firing', 'Firing is done, cooling', 'Open kiln']) {
    await page.getByRole('button', { name: act }).click();
    await expect(page.getByRole('button', { name: act })).toHaveCount(0);
  }
  for (const [cone, act] of [
    ['5', 'down'],
    ['6', 'down'],
    ['7', 'up'],
  ] as const) {
    await page.getByRole('button', { name: `Cone ${cone}, top shelf: ${act}` }).click();
  }
  await page.getByRole('button', { name: 'Save what the cones say' }).click();
  await expect(page.getByRole('heading', { name: 'Reached cone 6' })).toBeVisible();

  await page.getByRole('link', { name: 'Write up opening' }).click();
  for (let i = 1; i <= 4; i++) {
    await page.getByLabel('Take or choose a picture').setInputFiles({
      name: `t${i}.jpg`,
      mimeType: 'image/jpeg',
      buffer: await picture(40 * i, 90, 120),
    });
    // After its picture a clean tile is two touches.
    await page.getByRole('group', { name: 'Surface' }).getByRole('button', { name: 'gloss' }).click();
    await page.getByRole('button', { name: /Save/ }).click();
    await expect(page.getByText(`${i} of 4 written up; all of it is on the studio’s server`)).toBeVisible();
  }
  await page.getByRole('button', { name: 'The opening is written up' }).click();
  await expect(page.getByRole('link', { name: 'Look at the opening' })).toBeVisible();

  await page.goto(`${base}/chart`);
  const cell = page.getByRole('button', {
    name: /^Fjord over Loam on Heron, cone 6, oxidation: seen once, 1 piece, gloss/,
  });
  await expect(cell).toBeVisible();
  await expect(cell.locator('img')).toHaveJSProperty('complete', true);
  await cell.click();
  await expect(page.getByRole('heading', { name: 'Fjord over Loam' })).toBeVisible();
  await expect(page.getByText('seen once')).not.toHaveCount(0);
  await expect(page).toHaveURL(/at=loam(%2F|\/)fjord/);
  await page.keyboard.press('o');
  await expect(page.getByRole('heading', { name: 'Loam over Fjord' })).toBeVisible();
});

test('a spreadsheet of 200 rows comes in after a dry run and stands on the chart', async ({ page }) => {
  const base = EMPTY();
  await signIn(page, base, 'ada', PASSWORD);
  const rows = Array.from(
    { length: 200 },
    (_, i) =>
      `T${i};Heron;Loam;${1 + (i % 2)};Fjord;1;${i % 10 === 0 ? '' : '6'};${i % 7 === 0 ? '' : 'oxidation'};2024-0${1 + (i % 9)}-15;Bertha;gloss;${i % 4 === 0 ? 'pits (slight)' : ''};${i % 3},5`,
  );
  const csv = [
    'mark;body;coating 1;coats 1;coating 2;coats 2;cone;atmosphere;date;kiln;surface;defects;movement',
    ...rows,
  ].join('\n');
  await page.goto(`${base}/studio/import`);
  await page
    .getByLabel('Choose a CSV file')
    .setInputFiles({ name: 'past.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
  await expect(page.getByRole('heading', { name: '200 of 200 rows can be taken' })).toBeVisible();
  await expect(page.getByText(/cone unknown in 20; atmosphere unknown in 29/)).toBeVisible();
  await choose(page, 'The cone is', 'what the cones showed');
  await page.getByRole('button', { name: 'Bring in 200 rows' }).click();
  await expect(page.getByRole('heading', { name: 'On record: 200 pieces' })).toBeVisible();
  await page.goto(`${base}/chart?body=heron&cone=6&atmosphere=oxidation&ground=`);
  await expect(
    page.getByRole('button', {
      name: /^Fjord over Loam on Heron.*(settled|depends|contradictory|repeated)/,
    }),
  ).toBeVisible();
  await page.goto(`${base}/chart?body=heron&cone=unknown&atmosphere=oxidation`);
  await expect(page.getByText('cone unknown').first()).toBeVisible();
  await choose(page, 'Cone', '6');
  await expect(page).toHaveURL(/cone=6/);

  // The table went on, and comes again: only what is new in it comes in, and is taken back as one.
  await page.goto(`${base}/studio/import`);
  const more = `${csv}\nT200;Heron;Loam;1;Fjord;1;6;oxidation;2024-10-15;Bertha;gloss;;3`;
  await page
    .getByLabel('Choose a CSV file')
    .setInputFiles({ name: 'past.csv', mimeType: 'text/csv', buffer: Buffer.from(more) });
  await expect(page.getByRole('heading', { name: '1 of 201 rows can be taken' })).toBeVisible();
  await expect(page.getByText('200 came in before and stay out')).toBeVisible();
  await page.getByRole('button', { name: 'Bring in 1 row' }).click();
  await expect(page.getByRole('heading', { name: 'On record: 1 piece' })).toBeVisible();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('1 piece taken back: it is in the bin')).toBeVisible();
});
