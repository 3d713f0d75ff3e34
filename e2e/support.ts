import AxeBuilder from '@axe-core/playwright';
import { expect, test as base, type Browser, type BrowserContext, type Page } from '@playwright/test';
import sharp from 'sharp';
import { DEMO_PASSWORD } from '../demo/studio';
import config from '../playwright.config';
import { studioOf } from './studios';

const { launchOptions } = config.use!;
/** A browser with a camera and a microphone that nobody has to allow. */
export const WITH_CAMERA = {
  ...launchOptions,
  args: [...launchOptions!.args!, '--use-fake-device-for-media-stream', '--use-fake-ui-for-media-stream'],
};

/** An empty studio, in which nobody has set anything up yet. */
export const EMPTY = (): string => studioOf('empty').application.url;
export const DEMO = (): string => studioOf('demo').application.url;
export const PASSWORD = 'a kiln full of tiles';

export async function signIn(
  page: Page,
  base: string,
  login: string,
  password = DEMO_PASSWORD,
): Promise<void> {
  const answer = await page.request.post(`${base}/api/door/sign-in`, { data: { login, password } });
  expect(answer.ok()).toBe(true);
}

/** A small picture of one colour. */
export const picture = (r: number, g: number, b: number): Promise<Buffer> =>
  sharp({ create: { width: 300, height: 400, channels: 3, background: { r, g, b } } })
    .jpeg()
    .toBuffer();

/** Chooses from a MUI select by its label. */
export async function choose(page: Page, label: string | RegExp, option: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name: label }).first().click();
  await page.getByRole('option', { name: option }).first().click();
  // What was chosen closes the list, which fades, and is hidden from a reader from the first
  // moment of it: by its attribute it is found until it is gone.
  await expect(page.locator('[role="listbox"]')).toHaveCount(0);
}

/**
 * What pages of this test threw and nobody caught; also where what the server drew is not what the browser
 * draws.
 */
let faults: string[] = [];

/**
 * A page that is streamed stands in the document twice for a moment, once hidden on its way in,
 * and its buttons stand there before they are taken over by the program. Opening or reading it
 * again is done when only the one that is seen is left and what can be touched in it answers.
 */
export function seenOnce(page: Page): Page {
  page.on('pageerror', (error) => faults.push(`${page.url()}: ${error.message}`));
  const goto = page.goto.bind(page);
  const reload = page.reload.bind(page);
  const arrived = async () => {
    await expect(page.locator('div[hidden][id^="S:"]')).toHaveCount(0);
    await page.waitForFunction(() =>
      [...document.querySelectorAll('button, input, textarea')].every((touched) =>
        Object.keys(touched).some((key) => key.startsWith('__reactProps')),
      ),
    );
  };
  return Object.assign(page, {
    async goto(...from: Parameters<Page['goto']>) {
      const answer = await goto(...from);
      await arrived();
      return answer;
    },
    async reload(...how: Parameters<Page['reload']>) {
      const answer = await reload(...how);
      await arrived();
      return answer;
    },
  });
}

/** The browser test whose page is seen once; it fails where a page did by itself. */
export const test = base.extend<{ faultless: void }>({
  faultless: [
    async ({}, give) => {
      faults = [];
      await give();
      expect(faults).toEqual([]);
    },
    { auto: true },
  ],
  page: async ({ page }, give) => {
    await give(seenOnce(page));
  },
});

/** Opens a folded part of a page, unless it stands open. */
export async function unfold(page: Page, title: string): Promise<void> {
  const fold = page.locator('details', { has: page.locator('summary', { hasText: title }) }).last();
  if ((await fold.getAttribute('open')) === null) await fold.locator('summary').first().click();
}

/** Does what sends an act, and waits until the server has answered it. */
export async function sending(page: Page, act: () => Promise<void>): Promise<void> {
  const answered = page.waitForResponse(
    (answer) => answer.url().includes('/api/act/') && answer.request().method() === 'POST',
  );
  await act();
  await answered;
}

/** A phone in the hand: small, touched, its own storage. */
export const onPhone = (browser: Browser): Promise<BrowserContext> =>
  browser.newContext({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });

/** The same, signed in to the demo studio, with a page to look at. */
export async function phoneOf(
  browser: Browser,
  login: string,
): Promise<{ context: BrowserContext; page: Page }> {
  const context = await onPhone(browser);
  const page = seenOnce(await context.newPage());
  await signIn(page, DEMO(), login);
  return { context, page };
}

/** Fails where an automatic check finds something that keeps somebody out. */
export async function accessible(page: Page): Promise<void> {
  // A page that is still arriving has its title at the end of it.
  await expect(page).toHaveTitle(/./);
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(
    violations.map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .slice(0, 3)
          .map(({ html }) => html.slice(0, 160))
          .join(' | ')}`,
    ),
  ).toEqual([]);
}

/** Opens the first piece of the list of tests. */
export async function firstPiece(page: Page): Promise<void> {
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/tests`);
  await page.locator('a[href^="/pieces/"]').first().click();
}
