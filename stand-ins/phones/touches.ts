import type { Locator } from '@playwright/test';
import { phone } from '../../test-support/phone';
import { allSent, prepared, takePicture } from './hand';
import { world } from './world';
import type { Told } from './told';

/** What the application may keep somebody waiting after a touch: below this a hand notices nothing. */
const NOTICED_MS = 400;

/**
 * Touches for a clean tile, a faulty one, and ten alike but three, after the picture; and what has to be
 * waited for.
 */
export async function touches(): Promise<Told> {
  const here = await world(12);
  const hand = await phone();
  const { page } = hand;
  await prepared(page, here.url, 'tech');
  await page.goto(`${here.url}/opening/${here.firingId}`);
  const heading = page.getByRole('heading', { level: 1 });
  let touched = 0;
  const waits: number[] = [];
  const tap = async (what: Locator): Promise<void> => {
    touched++;
    await what.tap();
  };
  const word = (group: string, name: string | RegExp): Locator =>
    page.getByRole('group', { name: group }).getByRole('button', { name });
  /** Saves, and waits until the next piece is in hand. */
  const save = async (name: string | RegExp): Promise<void> => {
    const before = await heading.textContent();
    const button = page.getByRole('button', { name });
    await button.scrollIntoViewIfNeeded();
    // By the page's own clock, from the finger's lifting: the script's way to the browser is not the
    // application's.
    await page.evaluate(() => {
      const was = document.querySelector('h1')?.textContent;
      document.addEventListener(
        'click',
        () => {
          const began = performance.now();
          new MutationObserver((_, watch) => {
            if (document.querySelector('h1')?.textContent === was) return;
            document.body.dataset.waited = String(Math.max(1, Math.round(performance.now() - began)));
            watch.disconnect();
          }).observe(document.body, { subtree: true, childList: true, characterData: true });
        },
        { once: true, capture: true },
      );
    });
    await tap(button);
    await page.waitForFunction((was) => document.querySelector('h1')?.textContent !== was, before);
    const waited = await page.waitForFunction(() => {
      const { waited } = document.body.dataset;
      delete document.body.dataset.waited;
      return waited;
    });
    waits.push(Number(await waited.jsonValue()));
  };
  const counted = async (work: () => Promise<void>): Promise<number> => {
    touched = 0;
    await work();
    return touched;
  };
  await takePicture(page, 1);
  const clean = await counted(async () => {
    await tap(word('Surface', 'gloss'));
    await save('Save, next piece');
  });
  await takePicture(page, 2);
  const faulty = await counted(async () => {
    await tap(word('Surface', 'matt'));
    await tap(word('Faults', /^Pinholes/));
    await tap(word('Faults', /^Pinholes/));
    await tap(page.locator('[data-face="1"]').first());
    await tap(word('Faults', /^Crawling/));
    await tap(word('Verdict', 'refire'));
    await save('Save, next piece');
  });
  await takePicture(page, 3);
  const lot = await counted(async () => {
    await tap(page.getByRole('button', { name: /^All 12 alike/ }));
    const alike = page.locator('button[value]:not([disabled])').filter({ hasText: /^[A-Z0-9]{5}$/ });
    // Two are written up already, and three of the rest are different.
    for (const i of [0, 1, 2, 3, 4]) await tap(alike.nth(i));
    await tap(word('Surface', 'gloss'));
    await save(/^Save \d+, next$/);
  });
  await allSent(page, 'tech');
  const written = new Set(await here.studio.db('observation').pluck('piece_id')).size;
  await hand.end();
  await here.end();
  const longest = Math.max(...waits);
  return {
    said: `touches after the picture: clean tile ${clean}, two faults with their place and a refire ${faulty}, ${written - 2} alike but five ${lot}; waits for the next piece ${waits.join(', ')} ms`,
    good: clean <= 2 && faulty <= 7 && lot <= 8 && longest < NOTICED_MS,
  };
}
