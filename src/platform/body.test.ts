import { fromHere } from './origin';
import { readBytes, readJson, withForm } from './body';
import { Refusal } from './refusal';

const why = async (work: () => unknown): Promise<string> => {
  try {
    await work();
    return 'done';
  } catch (error) {
    if (error instanceof Refusal) return error.problem.code;
    throw error;
  }
};
const MB = 1024 ** 2;

/** A body that goes on and on, and how much of it was asked for. */
function endless(type = 'application/json') {
  let sent = 0;
  const body = new ReadableStream<Uint8Array>({
    pull(controller) {
      sent += 65536;
      controller.enqueue(new Uint8Array(65536).fill(0x5b));
    },
  });
  const http = new Request('http://studio/api/act/x', {
    method: 'POST',
    body,
    headers: { 'content-type': type },
    duplex: 'half',
  } as RequestInit);
  return { http, sent: () => sent };
}

test('a body is read up to its limit and no further', async () => {
  const { http, sent } = endless();
  expect(await why(() => readJson(http, MB))).toBe('too-large');
  expect(sent()).toBeLessThan(1.3 * MB);
});

test('what is announced as too much is not read at all', async () => {
  const http = new Request('http://studio/x', {
    method: 'POST',
    body: 'x',
    headers: { 'content-length': '99999999' },
  });
  expect(await why(() => readBytes(http, MB))).toBe('too-large');
  expect(http.bodyUsed).toBe(false);
});

test('JSON is asked for; what is none is undefined', async () => {
  const send = (body: string, type: string) =>
    new Request('http://studio/x', { method: 'POST', body, headers: { 'content-type': type } });
  expect(await readJson(send('{"a":1}', 'application/json; charset=utf-8'))).toEqual({ a: 1 });
  expect(await readJson(send('{"a":', 'application/json'))).toBeUndefined();
  for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data'])
    expect(await why(() => readJson(send('{"a":1}', type)))).toBe('invalid');
});

test('a form: its file and words; a file too large, broken, or none, in words', async () => {
  const most = { file: 1000, fields: 100 };
  const send = (bytes: number, options = '{}'): Request => {
    const form = new FormData();
    form.set('options', options);
    form.set('file', new Blob([new Uint8Array(bytes)]), 'Überglaze.csv');
    return new Request('http://studio/x', { method: 'POST', body: form });
  };
  expect(await withForm(send(1000), most, (form) => Promise.resolve(form))).toMatchObject({
    fields: { options: '{}' },
    file: { name: 'Überglaze.csv', bytes: { length: 1000 } },
  });
  const never = (): Promise<never> => Promise.reject(new Error('worked'));
  expect(await why(() => withForm(send(1001), most, never))).toBe('too-large');
  expect(await why(() => withForm(send(10, 'x'.repeat(101)), most, never))).toBe('too-large');
  expect(await why(() => withForm(endless('multipart/form-data; boundary=b').http, most, never))).toMatch(
    /too-large|invalid/,
  );
  const cut = new Request('http://studio/x', {
    method: 'POST',
    body: '--b\r\ncontent-disposition: form-data; name="file"; filename="a"\r\n\r\nabc',
    headers: { 'content-type': 'multipart/form-data; boundary=b' },
  });
  expect(await why(() => withForm(cut, most, never))).toBe('invalid');
  const none = new Request('http://studio/x', {
    method: 'POST',
    body: 'x',
    headers: { 'content-type': 'multipart/form-data' },
  });
  expect(await why(() => withForm(none, most, never))).toBe('invalid');
});

test.each([
  [{}, true],
  [{ 'sec-fetch-site': 'same-origin', origin: 'https://elsewhere' }, true],
  [{ 'sec-fetch-site': 'none' }, true],
  [{ 'sec-fetch-site': 'cross-site' }, false],
  [{ 'sec-fetch-site': 'same-site', origin: 'http://studio:3000' }, false],
  [{ origin: 'http://studio:3000', host: 'studio:3000' }, true],
  [{ origin: 'http://studio:3001', host: 'studio:3000' }, false],
  [{ origin: 'null', host: 'studio:3000' }, false],
])('a write with %o is let through: %s', async (headers, through) => {
  expect(await why(() => fromHere(new Headers(headers as Record<string, string>)))).toBe(
    through ? 'done' : 'not-allowed',
  );
});
