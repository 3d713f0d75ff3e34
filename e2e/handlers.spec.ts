/** Every door of the server, asked wrongly: who is not signed in, who may not, what cannot be read. */
import { expect, type APIRequestContext } from '@playwright/test';
import { DEMO, signIn, test } from './support';
import { opens } from './studios';

opens('demo');

const ID = '0193f7a0-0000-7000-8000-0000000000f1';

type Multipart = NonNullable<Parameters<APIRequestContext['post']>[1]>['multipart'];
type Problem = { ok: boolean; problem: { code: string; message: string } };
const problem = async (answer: { json: () => Promise<unknown> }) =>
  ((await answer.json()) as Problem).problem;

const READS = [
  '/api/search?q=tarn',
  '/api/export/json',
  '/api/export/csv',
  '/api/sheets/2',
  '/api/calendar',
  `/api/pictures/${'a'.repeat(64)}/small`,
  '/api/zoom?body=saltbox&cone=6&atmosphere=oxidation&ground=&base=pitch',
  '/api/board?body=saltbox&cone=6&atmosphere=oxidation&ground=',
];

test('nobody: every door that shows or keeps something asks who is there', async ({ request }) => {
  for (const path of READS) {
    const answer = await request.get(DEMO() + path);
    expect([path, answer.status()]).toEqual([path, 401]);
    expect((await problem(answer)).code).toBe('not-signed-in');
  }
  for (const path of ['/api/act/pieces.bin', '/api/import/plan', '/api/act/media.add-picture']) {
    const answer = await request.post(DEMO() + path, { data: { id: ID, input: {} } });
    expect([path, answer.status()]).toEqual([path, 401]);
  }
  expect((await request.get(`${DEMO()}/api/health`)).ok()).toBe(true);
});

test('a device without a token, with a wrong one, or with nonsense is told what to do', async ({
  request,
  page,
}) => {
  const post = (headers: Record<string, string>, data: unknown) =>
    request.post(`${DEMO()}/api/readings`, { headers, data: data as object });
  const reading = { readings: [{ at: new Date().toISOString(), celsius: 20 }] };
  const wrong: Record<string, string>[] = [
    {},
    { authorization: 'Bearer nothing' },
    { authorization: 'Basic x' },
  ];
  for (const headers of wrong) {
    const answer = await post(headers, reading);
    expect(answer.status()).toBe(401);
    expect((await problem(answer)).message).toContain('Authorization: Bearer');
  }
  await signIn(page, DEMO(), 'iben');
  await page.goto(`${DEMO()}/kilns/pip`);
  await page.getByLabel('A new device').fill('Probe');
  await page.getByRole('button', { name: 'Make its token' }).click();
  const token = (await page.getByTestId('secret').textContent()) as string;
  const headers = { authorization: `Bearer ${token}` };
  expect((await post(headers, { readings: [] })).status()).toBe(422);
  expect((await post(headers, { readings: [{ at: 'now', celsius: 3 }] })).status()).toBe(422);
  expect((await post(headers, { celsius: 3 })).status()).toBe(422);
  // Pip is not lit: what comes is kept as a stray, and the kiln's page asks whose it is.
  const kept = await post(headers, reading);
  expect(kept.ok()).toBe(true);
  expect(((await kept.json()) as { data: object }).data).toMatchObject({ kept: 0, stray: 1 });
  await page.reload();
  await expect(page.getByText(/while no firing was under way/)).toBeVisible();
  await page.getByRole('button', { name: 'Forget them' }).click();
  await expect(page.getByText(/while no firing was under way/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Revoke' }).click();
  await expect(page.getByText(/never heard|last heard/)).toHaveCount(0);
  const gone = await post(headers, reading);
  expect(gone.status()).toBe(401);
  expect((await problem(gone)).message).toContain('revoked');
});

test('a student is let to the chart and no further', async ({ page }) => {
  await signIn(page, DEMO(), 'noor');
  const status = async (path: string): Promise<number> => (await page.request.get(DEMO() + path)).status();
  expect(await status('/api/export/json')).toBe(403);
  // A question that was not made for a case of theirs is not told from one that is not there.
  expect(await status('/api/sheets/2')).toBe(404);
  expect(await status('/api/zoom?body=saltbox&cone=6&atmosphere=oxidation&base=pitch')).toBe(200);
  expect(await status('/api/search?q=tarn')).toBe(200);
  const post = async (path: string, data: object): Promise<number> =>
    (await page.request.post(DEMO() + path, { data })).status();
  expect(await post('/api/act/store.save-body', { id: ID, input: {} })).toBe(403);
  expect(await post('/api/import/pictures', { files: ['x.jpg'] })).toBe(403);
  expect(await post('/api/import/order', { firingId: ID })).toBe(403);
  // A colour may be asked for by whoever sees the chart; a frame only of one's own.
  expect(await status('/api/what?l=50&a=0&b=0&grey=no')).toBe(200);
  expect(await status('/api/what?l=black&a=0&b=0&grey=no')).toBe(422);
  expect(await status('/api/what?l=50&a=0&b=0&grey=no&firing=none')).toBe(422);
  expect(await status(`/api/frame?piece=${ID}&sha=${'a'.repeat(64)}`)).toBe(404);
  expect(await status('/api/frame?piece=x&sha=y')).toBe(422);
  expect(await post('/api/act/wallboard.bring', { id: ID, input: {} })).toBe(403);
  expect(await post('/api/act/frames.crop', { id: ID, input: {} })).toBe(403);
});

test('without a session nobody looks for a colour, frames a picture or asks for an opening’s order', async ({
  request,
}) => {
  const status = async (path: string): Promise<number> => (await request.get(DEMO() + path)).status();
  expect(await status('/api/what?l=50&a=0&b=0&grey=no')).toBe(401);
  expect(await status(`/api/frame?piece=${ID}&sha=${'a'.repeat(64)}`)).toBe(401);
  expect((await request.post(`${DEMO()}/api/import/order`, { data: { firingId: ID } })).status()).toBe(401);
});

const act = (request: APIRequestContext, name: string, data: unknown) =>
  request.post(`${DEMO()}/api/act/${name}`, { data: data as object });

test('what cannot be read is said to be so, and what is not there is not there', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  const { request } = page;
  expect((await act(request, 'no.such-act', { id: ID, input: {} })).status()).toBe(404);
  expect((await act(request, 'pieces.bin', { id: 'not an id', input: {} })).status()).toBe(422);
  const broken = await request.post(`${DEMO()}/api/act/pieces.bin`, {
    headers: { 'content-type': 'application/json' },
    data: Buffer.from('{"id": '),
  });
  expect(broken.status()).toBe(422);
  const missing = await act(request, 'pieces.bin', {
    id: ID,
    input: { pieceIds: [ID], binned: true },
  });
  expect(missing.status()).toBe(404);
  expect((await problem(missing)).message).toMatch(/not there any more/);
  for (const path of ['/api/export/nonsense', '/api/sheets/9999', '/api/sheets/nonsense'])
    expect([path, (await request.get(DEMO() + path)).status()]).toEqual([path, 404]);
  for (const sha of ['../../etc/passwd', 'a'.repeat(64)])
    expect((await request.get(`${DEMO()}/api/pictures/${encodeURIComponent(sha)}/small`)).status()).toBe(404);
});

test('an import without its file, with options that are no options, or for no step is refused', async ({
  page,
}) => {
  await signIn(page, DEMO(), 'iben');
  const post = (step: string, multipart: Record<string, string | object>) =>
    page.request.post(`${DEMO()}/api/import/${step}`, { multipart: multipart as Multipart });
  const file = {
    name: 'a.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('body,cone\nSaltbox,6\n'),
  };
  expect((await problem(await post('plan', { options: '{}' }))).message).toMatch(/did not arrive/);
  expect((await problem(await post('plan', { file, options: '{oops' }))).message).toMatch(
    /could not be read/,
  );
  expect((await post('commit', { file, options: '{}', id: 'x' })).status()).toBe(404);
  const whole = (multipart: object) =>
    page.request.post(`${DEMO()}/api/act/exchange.import`, { multipart: multipart as Multipart });
  expect((await problem(await whole({ id: ID, input: '{}' }))).message).toMatch(/did not arrive/);
  expect((await whole({ id: ID, input: '{oops', file })).status()).toBe(422);
  expect((await problem(await whole({ id: ID, input: '{}', file }))).message).toMatch(/kiln/);
  expect((await post('nonsense', { file, options: '{}', id: ID })).status()).toBe(404);
  expect((await post('plan', { file, options: '{}' })).ok()).toBe(true);
});

test('a picture for no piece, or without one, is refused with what to do', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  const file = { name: 'p.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('x') };
  const post = (multipart: object) =>
    page.request.post(`${DEMO()}/api/act/media.add-picture`, { multipart: multipart as Multipart });
  expect(
    (await problem(await post({ id: ID, input: JSON.stringify({ pieceId: ID, firingId: null }) }))).message,
  ).toMatch(/did not arrive whole/);
  expect(
    (await post({ file, id: ID, input: JSON.stringify({ pieceId: 'x', firingId: null }) })).status(),
  ).toBe(422);
  expect((await post({ file, id: ID, input: JSON.stringify({ pieceId: ID, firingId: null }) })).ok()).toBe(
    false,
  );
});

test('wrong passwords are counted, and a link that is none opens nothing', async ({ page }) => {
  const door = (name: string, data: object) => page.request.post(`${DEMO()}/api/door/${name}`, { data });
  const wrong = await door('sign-in', { login: 'odile', password: 'not it at all' });
  expect(wrong.ok()).toBe(false);
  // The same words for a name that exists and one that does not.
  const unknown = await door('sign-in', { login: 'nobody', password: 'not it at all' });
  expect((await problem(unknown)).message).toBe((await problem(wrong)).message);
  let last = wrong;
  for (let i = 0; i < 15 && last.status() !== 429; i++)
    last = await door('sign-in', { login: 'odile', password: `wrong ${i} again` });
  expect(last.status()).toBe(429);
  expect((await door('first-run', {})).ok()).toBe(false);
  expect((await door('nonsense', {})).status()).toBe(404);
  await page.goto(`${DEMO()}/s/${'x'.repeat(43)}`);
  await expect(page.getByText('This link does not open any more')).toBeVisible();
});

test('a share link opens its one board and nothing more, and its secret is in no further address', async ({
  page,
  playwright,
}) => {
  await signIn(page, DEMO(), 'iben');
  const board = 'body=saltbox&cone=6&atmosphere=oxidation&ground=';
  const made = await page.request.post(`${DEMO()}/api/act/people.share`, {
    data: { id: ID.replace('f1', 'f7'), input: { label: 'A friend', view: `?${board}`, days: 3 } },
  });
  const { token } = ((await made.json()) as { data: { token: string } }).data;
  type Zoom = {
    data: {
      cells: unknown[];
      elsewhere: { body: string; cone: string; atmosphere: string; slips: string }[];
      pieces: { photos: { sha: string }[] }[];
    };
  };
  const zoom = async (from: APIRequestContext, query: string): Promise<Zoom['data']> =>
    ((await (await from.get(`${DEMO()}/api/zoom?${query}`)).json()) as Zoom).data;
  const here = await zoom(page.request, `${board}&base=tarn`);
  expect(here.elsewhere.length).toBeGreaterThan(0);
  const other = here.elsewhere[0]!;
  const there = `body=${other.body}&cone=${other.cone}&atmosphere=${encodeURIComponent(other.atmosphere)}&ground=${encodeURIComponent(other.slips)}`;
  const elsewhere = await zoom(page.request, `${there}&base=tarn`);
  const shaOf = (one: Zoom['data']): string =>
    one.pieces.flatMap(({ photos }) => photos.map(({ sha }) => sha))[0]!;

  const visitor = await playwright.request.newContext();
  const followed = await visitor.get(`${DEMO()}/s/${token}`, { maxRedirects: 0 });
  expect(followed.status()).toBe(303);
  const address = followed.headers().location!;
  expect(address).toMatch(/^\/shared\/[0-9a-f-]{36}$/);
  const share = address.split('/').at(-1)!;
  // Whatever is asked for, it is that board which is answered.
  const asked = await zoom(visitor, `${there}&base=tarn&share=${share}`);
  expect(asked.cells).toEqual(here.cells);
  expect(asked.elsewhere).toEqual([]);
  const picture = (sha: string, of = visitor, query = `?share=${share}`) =>
    of.get(`${DEMO()}/api/pictures/${sha}/small${query}`);
  expect((await picture(shaOf(here))).status()).toBe(200);
  expect((await picture(shaOf(elsewhere))).status()).toBe(404);
  expect((await picture(shaOf(elsewhere), page.request, '')).status()).toBe(200);
  for (const path of ['/api/calendar', `/api/calendar?share=${token}`, `/api/zoom?share=${token}`])
    expect([path, (await visitor.get(DEMO() + path)).status()]).toEqual([path, 401]);
  // Somebody who only overheard the address has nothing.
  const stranger = await playwright.request.newContext();
  expect((await picture(shaOf(here), stranger)).status()).toBe(401);
  await visitor.dispose();
  await stranger.dispose();
});

test('a write from a page of another site is not carried out, whatever it says', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  const input = { name: 'Somebody', role: 'technician' };
  for (const headers of [
    { origin: 'https://elsewhere.example' },
    { 'sec-fetch-site': 'cross-site' },
  ] as Record<string, string>[]) {
    const answer = await page.request.post(`${DEMO()}/api/act/people.invite`, {
      headers,
      data: { id: ID, input },
    });
    expect(answer.status()).toBe(403);
    const out = await page.request.post(`${DEMO()}/api/door/sign-out`, { headers, data: {} });
    expect(out.status()).toBe(403);
  }
  const plain = await page.request.post(`${DEMO()}/api/act/people.invite`, {
    headers: { 'content-type': 'text/plain' },
    data: JSON.stringify({ id: ID, input }),
  });
  expect(plain.status()).toBe(422);
  expect((await page.request.get(`${DEMO()}/api/search?q=tarn`)).ok()).toBe(true);
});

test('every answer says what a page may load and that it stands in nobody’s frame', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  for (const path of ['/bench', '/sign-in', '/api/health', '/shared/none']) {
    const headers = (await page.request.get(DEMO() + path)).headers();
    expect([path, headers['content-security-policy']]).toEqual([
      path,
      expect.stringContaining("frame-ancestors 'none'"),
    ]);
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['permissions-policy']).toContain('camera=(self)');
  }
  // What the policy forbids that a page needs would be told here.
  const refused: string[] = [];
  page.on('console', (message) => {
    if (/Content Security Policy/i.test(message.text())) refused.push(message.text());
  });
  for (const path of ['/chart', '/kilns', '/store', '/studio/backups', '/tests/make']) {
    await page.goto(DEMO() + path);
    await page.waitForLoadState('networkidle');
  }
  expect(refused).toEqual([]);
});

test('a picture and a chart that are unchanged are not sent again; what changed is', async ({ page }) => {
  await signIn(page, DEMO(), 'iben');
  const get = (path: string, kept?: string) =>
    page.request.get(DEMO() + path, { headers: kept ? { 'if-none-match': kept } : {} });
  const board = 'body=saltbox&cone=6&atmosphere=oxidation&ground=';
  const zoom = await (await get(`/api/zoom?${board}&base=gull`)).text();
  const path = `/api/pictures/${/[0-9a-f]{64}/.exec(zoom)![0]}/small`;
  const picture = await get(path);
  expect(picture.headers()['cache-control']).toContain('immutable');
  expect((await picture.body()).length).toBe(Number(picture.headers()['content-length']));
  expect((await get(path, picture.headers().etag)).status()).toBe(304);
  expect((await page.request.head(DEMO() + path)).status()).toBe(200);

  for (const asked of [`/chart?${board}`, `/api/board?${board}`, `/api/zoom?${board}&base=gull`]) {
    const sent = await get(asked);
    const mark = sent.headers().etag!;
    expect([asked, sent.status(), sent.headers()['cache-control']]).toEqual([
      asked,
      200,
      'private, no-cache',
    ]);
    expect((await get(asked, mark)).status()).toBe(304);
    // Another board or place: never by that mark.
    const other = asked.replace('cone=6', 'cone=10').replace('oxidation', 'reduction');
    expect((await get(other, mark)).status()).toBe(200);
  }
  const chart = await get(`/chart?${board}`);
  const kept = chart.headers().etag!;
  expect(chart.headers().link).toContain(`</api/board?${board}>; rel=preload; as=fetch`);
  // Another person, or nobody.
  await signIn(page, DEMO(), 'noor');
  expect((await get(`/chart?${board}`, kept)).status()).toBe(200);
  await page.context().clearCookies();
  const stranger = await page.request.get(`${DEMO()}/chart?${board}`, {
    headers: { 'if-none-match': kept },
    maxRedirects: 0,
  });
  expect(stranger.status()).toBe(307);
  expect(
    (
      await page.request.get(DEMO() + path, { headers: { 'if-none-match': picture.headers().etag! } })
    ).status(),
  ).toBe(401);
});
