/** What somebody does at a kiln with a phone, and what the phone and the studio then say of it. */
import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { PASSWORD, type World } from './world';

/** A picture that no other one is, of so many bytes or a few more. */
export async function pictureOf(bytes: number, seed: number): Promise<Buffer> {
  const side = Math.max(64, Math.round(Math.sqrt(bytes / 2.2)));
  const raw = Buffer.alloc(side * side * 3);
  let state = seed * 2654435761 + 1;
  for (let i = 0; i < raw.length; i++) {
    state = (Math.imul(state, 1664525) + 1013904223) | 0;
    raw[i] = state >>> 24;
  }
  const jpeg = await sharp(raw, { raw: { width: side, height: side, channels: 3 } })
    .jpeg({ quality: 90 })
    .toBuffer();
  // What comes after a picture's end is no part of what it shows, and weighs all the same.
  return Buffer.concat([jpeg, Buffer.alloc(Math.max(0, bytes - jpeg.length))]);
}

export async function signIn(page: Page, base: string, login: string): Promise<void> {
  const answer = await page.request.post(`${base}/api/door/sign-in`, { data: { login, password: PASSWORD } });
  if (!answer.ok()) throw new Error(await answer.text());
}

/** Waits until what is at hand is on the phone. */
export async function prepared(page: Page, base: string, login: string): Promise<void> {
  await signIn(page, base, login);
  await page.goto(`${base}/device`);
  await page.getByText(/^(\d+) of \1 pages and pictures are on this device/).waitFor({ timeout: 120_000 });
}

/** Waits until all is on the server; a battery that dies takes the newest sign-in with it. */
export async function allSent(page: Page, login: string, timeout = 300_000): Promise<void> {
  const all = page.getByText(/all of it is on the studio’s server/);
  const again = page.getByRole('dialog', { name: 'Sign in again' });
  await all.or(again).waitFor({ timeout });
  if (await again.isVisible()) {
    await signIn(page, new URL(page.url()).origin, login);
    await page.reload();
  }
  await all.waitFor({ timeout });
}

const SURFACES = ['gloss', 'satin', 'matt', 'dry'] as const;

/** Says how the piece in hand came out; done when the page says that it is kept. */
export async function writeUp(page: Page, n: number): Promise<void> {
  try {
    await page
      .getByRole('group', { name: 'Surface' })
      .getByRole('button', { name: SURFACES[n % 4]! })
      .tap();
    await page.getByRole('button', { name: 'Save, next piece' }).tap();
  } catch (error) {
    const shown = await page
      .locator('body')
      .innerText({ timeout: 2000 })
      .catch(() => 'nothing');
    throw new Error(`At ${page.url()} the phone shows: ${shown.slice(0, 800)}`, { cause: error });
  }
}
export const takePicture = async (page: Page, n: number, bytes = 120_000): Promise<void> =>
  page
    .getByLabel('Take or choose a picture')
    .setInputFiles({ name: `${n}.jpg`, mimeType: 'image/jpeg', buffer: await pictureOf(bytes, n) });

export type OnDevice = {
  seq: number;
  id: string;
  person: string;
  name: string;
  state: string;
  observations: string[];
};

/** All acts that the phone knows, in the order of writing, straight from its memory. */
export const onDevice = (page: Page): Promise<OnDevice[]> =>
  page.evaluate(
    () =>
      new Promise<OnDevice[]>((resolve, reject) => {
        const asked = indexedDB.open('jiten');
        asked.onerror = () => reject(asked.error);
        asked.onsuccess = () => {
          const db = asked.result;
          const all = db.transaction('items').objectStore('items').getAll();
          all.onerror = () => reject(all.error);
          all.onsuccess = () => {
            db.close();
            resolve(
              (all.result as (OnDevice & { input: { pieces?: { observationId: string }[] } })[]).map(
                ({ seq, id, person, name, state, input }) => ({
                  seq,
                  id,
                  person,
                  name,
                  state,
                  observations: (input.pieces ?? []).map((one) => one.observationId),
                }),
              ),
            );
          };
        };
      }),
  );

export type Verdict = {
  acts: number;
  lost: number;
  doubled: number;
  outOfOrder: number;
  underAnotherName: number;
};

/** Holds what phones promised against what the studio has. */
export async function judge({ studio }: World, promised: readonly OnDevice[]): Promise<Verdict> {
  const kept = await studio
    .db('operation')
    .whereIn(
      'id',
      promised.map(({ id }) => id),
    )
    .select('id', 'person_id', 'at');
  const looks = await studio
    .db('observation')
    .whereIn(
      'id',
      promised.flatMap(({ observations }) => observations),
    )
    .select('id', 'seen_by', 'arrived_at');
  const byId = new Map(kept.map((one) => [one.id as string, one]));
  const lookOf = new Map(looks.map((one) => [one.id as string, one]));
  const wrong = promised.filter(({ id, person }) => byId.has(id) && byId.get(id)!.person_id !== person);
  const wrongLooks = promised.flatMap(({ person, observations }) =>
    observations.filter((id) => lookOf.has(id) && lookOf.get(id)!.seen_by !== person),
  );
  const times = promised.flatMap(({ id }) => byId.get(id)?.at?.getTime() ?? []);
  const wanted = promised.flatMap(({ observations }) => observations);
  const pictures = promised.filter(({ name }) => name === 'media.add-picture').length;
  const photos = (await studio.db('photo').select('id')).length;
  const all = (await studio.db('observation').select('id')).length;
  return {
    acts: promised.length,
    lost:
      promised.filter(({ id }) => !byId.has(id)).length +
      wanted.filter((id) => !lookOf.has(id)).length +
      Math.max(0, pictures - photos),
    doubled: Math.max(0, photos - pictures) + Math.max(0, all - wanted.length),
    outOfOrder: times.filter((time, i) => i > 0 && time < times[i - 1]!).length,
    underAnotherName: wrong.length + wrongLooks.length,
  };
}
