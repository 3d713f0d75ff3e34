/**
 * What is done in the kiln room besides writing up: spoken, labelled, dragged, looked at again, handed out.
 */
import { expect, type Page } from '@playwright/test';
import QRCode from 'qrcode';
import sharp from 'sharp';
import { DEMO, signIn, test, WITH_CAMERA } from './support';
import { opens } from './studios';

opens('demo');

test.use({
  launchOptions: WITH_CAMERA,
});

async function openHalfWritten(page: Page): Promise<string> {
  await page.goto(`${DEMO()}/bench`);
  await page.getByRole('link', { name: 'Go on writing up' }).first().click();
  await expect(page.getByText(/all of it is on the studio’s server/)).toBeVisible();
  return (await page.getByRole('heading', { level: 1 }).textContent())!;
}

/** A picture of a pot with its label beside it, a little turned, on grey. */
async function labelled(address: string): Promise<Buffer> {
  const label = await sharp(await QRCode.toBuffer(address, { width: 260, margin: 2 }))
    .rotate(7, { background: '#ffffff' })
    .toBuffer();
  return sharp({ create: { width: 1600, height: 1200, channels: 3, background: '#8a8a86' } })
    .composite([{ input: label, left: 1150, top: 760 }])
    .jpeg({ quality: 80 })
    .toBuffer();
}

test('spoken of the piece in hand, heard on its page, typed up, found by its words', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  const code = await openHalfWritten(page);
  const talk = page.getByRole('button', { name: `Speak of ${code}` });
  await talk.hover();
  await page.mouse.down();
  await expect(page.getByRole('button', { name: /^Recording 0:01/ })).toBeVisible();
  await page.mouse.up();
  await expect(page.getByText(new RegExp(`^Spoken of ${code}: 0:0[12]`))).toBeVisible();
  await expect(page.getByText(/all of it is on the studio’s server/)).toBeVisible();
  await page.goto(`${DEMO()}/bench`);
  await expect(page.getByText('1 spoken note to type up')).toBeVisible();
  await page.getByRole('link', { name: 'Type up' }).click();
  const player = page.getByLabel(new RegExp(`^Spoken note: ${code}`));
  await expect.poll(() => player.evaluate((audio: HTMLAudioElement) => audio.readyState)).toBeGreaterThan(0);
  await page.getByRole('button', { name: '0.75×' }).click();
  expect(await player.evaluate((audio: HTMLAudioElement) => audio.playbackRate)).toBe(0.75);
  await page.getByLabel('What is said').fill('curdled where it is thick');
  await page.getByRole('button', { name: 'Keep the words' }).click();
  await expect(page.getByText('Everything that was spoken is typed up.')).toBeVisible();
  await page.goto(`${DEMO()}/pieces/${code}`);
  await expect(page.getByText('curdled where it is thick')).toBeVisible();
});

test('a label in a picture says of what it is; another is dragged onto its piece', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  await openHalfWritten(page);
  const plan = page.getByRole('navigation', { name: 'Pieces of this firing' });
  const codes = await plan.getByRole('button', { name: /^[A-Z0-9]{5}(,|$)/ }).allTextContents();
  const [first, second] = [codes.at(-1)!.slice(0, 5), codes.at(-2)!.slice(0, 5)];
  await page.getByRole('button', { name: /^Tray/ }).click();
  const taker = page.getByLabel('Take or choose a picture');
  await taker.setInputFiles({
    name: 'a.jpg',
    mimeType: 'image/jpeg',
    buffer: await labelled(`https://studio.example/pieces/${first}`),
  });
  await expect(page.getByText(`By its label: of ${first}`)).toBeVisible();
  const plain = await sharp({ create: { width: 900, height: 700, channels: 3, background: '#777' } })
    .jpeg()
    .toBuffer();
  await taker.setInputFiles({ name: 'b.jpg', mimeType: 'image/jpeg', buffer: plain });
  const thumb = page.getByRole('button', { name: /^Picture 1, taken/ });
  const onto = plan.getByRole('button', { name: new RegExp(`^${second}`) });
  // Taken once it lies still, and let go of once the piece shows that it is over it.
  await thumb.hover();
  await page.mouse.down();
  const [from, to] = [(await thumb.boundingBox())!, (await onto.boundingBox())!];
  await page.mouse.move(from.x + 20, from.y + 30, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 12 });
  await expect(onto).toHaveCSS('border-top-width', '3px');
  await page.mouse.up();
  await expect(page.getByText(`1 thing laid on ${second}`)).toBeVisible();
  await expect(page.getByText(/all of it is on the studio’s server/)).toBeVisible();
});

test('where a fault is, by a touch of the drawing; a refire says what it did here before', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  const code = await openHalfWritten(page);
  await page.getByRole('group', { name: 'Faults' }).getByRole('button', { name: 'Pinholes' }).click();
  const where = page.getByRole('group', { name: 'Where: pinholes' });
  await where.locator('[data-face="1"]').click({ position: { x: 20, y: 6 } });
  await page.getByRole('group', { name: 'Verdict' }).getByRole('button', { name: 'refire' }).click();
  await expect(page.getByRole('group', { name: 'What a refire did here' })).toContainText('slow to red heat');
  await page.getByRole('button', { name: 'Save, next piece' }).click();
  await expect(page.getByText(/all of it is on the studio’s server/)).toBeVisible();
  await page.goto(`${DEMO()}/pieces/${code}`);
  await expect(page.getByText(/Pinholes, slight, at the rim/)).toBeVisible();
});

test('27 cups that nobody registered: three acts from the Bench to the opening; their key is pasted in later', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/bench`);
  // One, two, three.
  await page.getByRole('link', { name: 'Things nobody registered' }).click();
  await page.getByLabel('How many, or what is written on them').fill('1-27');
  await page.getByRole('button', { name: 'Begin with 27 pieces' }).click();
  await page.waitForURL('**/opening/*');
  const firing = page.url().split('/').at(-1)!;
  await page.getByLabel('Code or mark').fill('14');
  await page.keyboard.press('Enter');
  await expect(page.getByText('“14”')).toBeVisible();
  await page.getByRole('link', { name: 'Say it for many at once' }).click();
  await page.goto(`${DEMO()}/tests/keys?firing=${firing}`);
  const cell = page.getByLabel('1, first coat', { exact: true });
  await cell.focus();
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text/plain', 'none\nnone\t\n?');
    document.activeElement!.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }),
    );
  });
  await page.getByRole('button', { name: 'Keep what is on 2 pieces' }).click();
  await expect(page.getByText('2 pieces with their coats')).toBeVisible();
  await expect(page.getByLabel('1, first coat', { exact: true })).toHaveCount(0);
  await expect(page.getByLabel('3, first coat', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('1, first coat', { exact: true })).toBeVisible();
});

test('what is due is looked at again in one act', async ({ page }) => {
  await signIn(page, DEMO(), 'tomasz');
  await page.goto(`${DEMO()}/bench`);
  await expect(page.getByText('5 pieces to look at again, after a week')).toBeVisible();
  await page.getByRole('link', { name: 'Look again' }).click();
  await page.getByRole('button', { name: 'All of them are as they were' }).click();
  await page
    .getByRole('group', { name: /^Crazing of/ })
    .first()
    .getByRole('button', { name: 'slight' })
    .click();
  await page.getByRole('button', { name: 'Keep the looks at 5 pieces' }).click();
  await expect(page.getByText('5 pieces looked at again')).toBeVisible();
  await page.goto(`${DEMO()}/look-again`);
  await expect(page.getByText('Nothing is due.')).toBeVisible();
});

test('handed out: where it lies, what was collected; its owner sees it; the load on paper has its labels', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/bench`);
  await page.getByRole('link', { name: 'Go on writing up' }).first().click();
  await page.waitForURL('**/opening/*');
  const id = page.url().split('/').at(-1)!;
  await page.goto(`${DEMO()}/kilns/firings/${id}/paper`);
  await expect(page.getByRole('columnheader', { name: 'Faults' })).toBeVisible();
  await page.getByRole('link', { name: 'Labels' }).click();
  await expect(page.getByRole('img', { name: /^QR code of/ }).first()).toBeVisible();
  await page.getByRole('link', { name: 'Type it in' }).click();
  await page.getByRole('button', { name: /^\d+ of \d+$/ }).click();
  const owners = page
    .getByRole('region', { name: 'To their owners' })
    .or(page.locator('section', { hasText: 'To their owners' }));
  await expect(owners.first()).toBeVisible();
  await page.getByLabel('Collect from').fill('the shelf under the window');
  await page.getByRole('button', { name: 'Say so' }).click();
  await expect(page.getByText('Owners see: collect from the shelf under the window')).toBeVisible();
  const box = page.getByRole('checkbox', { name: /collected$/ }).first();
  await box.check();
  await page.reload();
  await page.getByRole('button', { name: /^\d+ of \d+$/ }).click();
  await expect(box).toBeChecked();
});

test.describe('on a student’s phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });

  test('own pieces are written up, spoken of, heard again by their owner, and ticked off when collected', async ({
    page,
  }) => {
    await signIn(page, DEMO(), 'kit');
    await page.goto(`${DEMO()}/mine`);
    // Whatever others have written up by now: a piece of their own that came out of a kiln.
    const own = page.locator('a[href^="/pieces/"]');
    await own.first().waitFor();
    const pages = await own.evaluateAll((links) => links.map((one) => one.getAttribute('href')!));
    const way = page.getByRole('link', { name: /^(Look again|Write it up)$/ }).last();
    for (const address of pages) {
      await page.goto(DEMO() + address);
      await page.getByRole('heading', { level: 2 }).last().waitFor();
      if ((await way.count()) > 0) break;
    }
    await way.tap();
    await page.waitForURL('**/opening/*');
    await expect(page.getByText(/all of it is on the studio’s server/)).toBeVisible();
    const code = (await page.getByRole('heading', { level: 1 }).textContent())!;
    const talk = page.getByRole('button', { name: `Speak of ${code}` });
    // A touch begins it, a second one ends it: nothing is held with a glove on.
    await talk.dispatchEvent('pointerdown', { pointerId: 1 });
    await page.getByRole('button', { name: /^Recording/ }).dispatchEvent('pointerup', { pointerId: 1 });
    await expect(page.getByRole('button', { name: /^Recording 0:01/ })).toBeVisible();
    await page.getByRole('button', { name: /^Recording/ }).dispatchEvent('pointerdown', { pointerId: 1 });
    await expect(page.getByText(new RegExp(`^Spoken of ${code}`))).toBeVisible();
    await page.getByRole('group', { name: 'Surface' }).getByRole('button', { name: 'satin' }).tap();
    await page.getByRole('button', { name: 'Save, next piece' }).tap();
    await expect(page.getByText(/all of it is on the studio’s server/)).toBeVisible();
    await page.goto(`${DEMO()}/pieces/${code}`);
    await expect(page.getByLabel(/^Spoken note/)).toBeVisible();
    // Of other people's pieces and of whole firings a student is told nothing.
    await page.goto(`${DEMO()}/sounds`);
    await page.waitForURL('**/who-may*');
  });
});
