/**
 * Every kind of page that links lead to: it answers, throws nothing, folds nothing empty, and fits its
 * screen.
 */
import { expect, type Page } from '@playwright/test';
import { DEMO, phoneOf, signIn, test } from './support';
import { opens } from './studios';

opens('demo');

/** So many pages of a kind are opened: a firing's is another at each of its stages. */
const most = (kind: string): number => (kind === '/kilns/firings/:id' ? 4 : 1);
/** Each begins where signing in leads; of what waits on a device only a strip tells, while something does. */
const FROM = ['/', '/device'];

/** Which kind of page an address is: the same for every piece, firing, coating. */
const kindOf = (path: string): string =>
  path
    .replace(/\?.*/, '')
    .replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, ':id')
    .replace(/\/pieces\/[A-Z0-9]{5}/, '/pieces/:code')
    .replace(/\/(coatings|bodies|recipes|materials|questions)\/[a-z0-9-]+/, '/$1/:name');

/** What is wrong with the page in sight, in words, and where its links lead. */
const look = (page: Page): Promise<{ said: string[]; links: string[] }> =>
  page.evaluate(() => {
    const said: string[] = [];
    const shows = (part: Element, title: string): boolean =>
      (part as HTMLElement).innerText.replace(title, '').trim() !== '' ||
      part.querySelector('input, canvas, img, button') !== null;
    for (const fold of document.querySelectorAll('details')) {
      fold.open = true;
      const title = fold.querySelector('summary')?.innerText ?? '';
      if (!shows(fold, title)) said.push(`nothing is folded under “${title}”`);
    }
    const words = /.{0,30}\b(undefined|NaN|\[object|Invalid Date|Infinity)\b.{0,30}/g;
    said.push(...(document.body.innerText.match(words) ?? []));
    if (document.documentElement.scrollWidth > window.innerWidth + 1)
      said.push(`it is ${document.documentElement.scrollWidth} px wide`);
    const links = [...document.querySelectorAll('a[href^="/"]')];
    return { said, links: links.map((one) => one.getAttribute('href')!) };
  });

async function walk(page: Page): Promise<{ wrong: string[]; kinds: number }> {
  const [queue, seen, kinds] = [[...FROM], new Set<string>(), new Map<string, number>()];
  const wrong: string[] = [];
  for (let path = queue.shift(); path !== undefined; path = queue.shift()) {
    const kind = kindOf(path);
    const before = kinds.get(kind) ?? 0;
    if (seen.has(path) || before >= most(kind)) continue;
    seen.add(path);
    kinds.set(kind, before + 1);
    const answer = await page.goto(DEMO() + path);
    if (answer!.status() >= 500) wrong.push(`${path}: ${answer!.status()}`);
    // A page that has begun to arrive leads on by this, and is looked at where it leads.
    await expect(page.locator('meta[http-equiv="refresh"]')).toHaveCount(0);
    if (new URL(page.url()).pathname === '/who-may') wrong.push(`${path}: it is not theirs to open`);
    const { said, links } = await look(page);
    wrong.push(...said.map((one) => `${path}: ${one}`));
    queue.push(...links.map((one) => one.replace(/#.*/, '')).filter((one) => !one.startsWith('/api/')));
  }
  return { wrong, kinds: kinds.size };
}

test('a technician’s walk through everything that a link leads to', async ({ page }) => {
  test.setTimeout(420_000);
  await signIn(page, DEMO(), 'iben');
  const { wrong, kinds } = await walk(page);
  expect(wrong).toEqual([]);
  expect(kinds).toBeGreaterThan(40);
});

test('a student’s, on a phone', async ({ browser }) => {
  test.setTimeout(240_000);
  const { page, context } = await phoneOf(browser, 'noor');
  const { wrong, kinds } = await walk(page);
  expect(wrong).toEqual([]);
  expect(kinds).toBeGreaterThan(10);
  await context.close();
});
