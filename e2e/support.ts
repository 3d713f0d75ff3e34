import { expect, type Browser, type BrowserContext, type Page } from '@playwright/test';
import sharp from 'sharp';
import { DEMO_PASSWORD } from '../demo/studio';

export const EMPTY = (): string => process.env.JITEN_E2E_EMPTY as string;
export const DEMO = (): string => process.env.JITEN_E2E_DEMO as string;
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
export async function choose(
  page: Page,
  label: string | RegExp,
  option: string | RegExp,
): Promise<void> {
  await page.getByRole('combobox', { name: label }).first().click();
  await page.getByRole('option', { name: option }).first().click();
}

/** A phone in the hand: small, touched, its own storage. */
export const onPhone = (browser: Browser): Promise<BrowserContext> =>
  browser.newContext({ viewport: { width: 390, height: 844 }, isMobile: true, hasTouch: true });
