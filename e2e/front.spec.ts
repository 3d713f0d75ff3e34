/** What the front holds back: scripts that are not the server's own, and cookies in the clear. */
import { expect, request } from '@playwright/test';
import { DEMO_PASSWORD } from '../demo/studio';
import { startApplication } from '../test-support/application';
import { DEMO, signIn, test } from './support';
import { opens, studioOf } from './studios';

opens('demo');

test('every main view keeps to the policy, and a foreign script does not run', async ({ page }) => {
  test.setTimeout(180_000);
  const broken: string[] = [];
  page.on('console', (said) => {
    if (said.text().includes('Content Security Policy')) broken.push(said.text());
  });
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/kilns`);
  const firing = await page.locator('a[href*="/kilns/firings/"]').first().getAttribute('href');
  for (const path of [
    '/bench',
    '/chart',
    '/tests',
    '/store',
    '/store/target',
    '/kilns/compare',
    '/studio',
    '/studio/backups',
    '/studio/import',
    firing!,
  ]) {
    await page.goto(DEMO() + path, { waitUntil: 'networkidle' });
    expect({ path, broken }).toEqual({ path, broken: [] });
  }
  // The picture that is zoomed into lays a sheet of its own into the page.
  await page.goto(`${DEMO()}/chart`);
  await page.getByRole('gridcell').getByRole('button').first().click();
  await expect(page.locator('.react-transform-wrapper').first()).toBeVisible();
  await expect(page.locator('.react-transform-wrapper').first()).toHaveCSS('overflow', 'hidden');
  expect(broken).toEqual([]);
  await page.evaluate(() => {
    const script = document.createElement('script');
    script.textContent = 'document.title = "taken over"';
    document.body.append(script);
  });
  expect(broken).toHaveLength(1);
  expect(await page.title()).not.toBe('taken over');
});

test('a form that is pressed before its page is awake loses nothing and puts no password into the address', async ({
  browser,
}) => {
  const asleep = await browser.newContext({ javaScriptEnabled: false });
  const page = await asleep.newPage();
  await page.goto(`${DEMO()}/sign-in`);
  const asked: string[] = [];
  page.on('request', (request) => request.isNavigationRequest() && asked.push(request.url()));
  const [login, secret] = [page.getByLabel(/name/i).first(), page.getByLabel(/^password/i)];
  await login.fill('iben');
  await secret.fill('crane-on-the-quay');
  await secret.press('Enter');
  await page.getByRole('button', { name: 'Sign in' }).click();
  // By the time it is drawn anew, a page that was sent for has been asked for.
  await page.screenshot();
  expect(asked).toEqual([]);
  expect(page.url()).toBe(`${DEMO()}/sign-in`);
  expect(await secret.inputValue()).toBe('crane-on-the-quay');
  await asleep.close();
});

test('under a certificate the session goes over TLS only, by itself', async () => {
  const { server, name, data } = studioOf('demo');
  const at = 'test-support/certificates';
  const application = await startApplication({ server, name }, data, {
    JITEN_TLS_CERT: `${at}/leaf.pem`,
    JITEN_TLS_KEY: `${at}/leaf.key`,
  });
  const cookieAt = async (base: string): Promise<string> => {
    const asked = await request.newContext({ ignoreHTTPSErrors: true });
    const answer = await asked.post(`${base}/api/door/sign-in`, {
      data: { login: 'iben', password: DEMO_PASSWORD },
      headers: { 'x-forwarded-proto': 'https' },
    });
    expect(answer.ok()).toBe(true);
    return answer.headers()['set-cookie'] ?? '';
  };
  try {
    expect(application.url).toMatch(/^https:/);
    expect(await cookieAt(application.url)).toMatch(/; Secure/i);
    expect(await cookieAt(DEMO())).not.toMatch(/; Secure/i);
  } finally {
    await application.stop();
  }
});
