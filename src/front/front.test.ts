/** The front before anything behind it: what an address, a proxy and a certificate may be. */
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import type { IncomingHttpHeaders, IncomingMessage } from 'node:http';
import { request as overTls } from 'node:https';
import { connect, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { readAddress } from './address';
import { publiclyTrusted, readCertificate } from './certificate';
import { makeFront, type FrontOptions } from './front';
import { answerByMark } from './marks';
import { namedProxies, peerOf } from './peer';
import { answerStatic } from './statics';

const CERTIFICATES = 'test-support/certificates';
const pem = (name: string): string => readFileSync(`${CERTIFICATES}/${name}.pem`, 'utf8');

describe('addresses', () => {
  test.each([
    ['/chart?cone=6', '/chart?cone=6'],
    ['/chart?cone=5&cone=6&body=x', '/chart?cone=6&body=x'],
    ['/a?b=1?2', '/a?b=1?2'],
    ['/s/%C3%A9', '/s/%C3%A9'],
    ['/x?q=a+b', '/x?q=a+b'],
  ])('%s is read as %s', (asked, url) => {
    expect(readAddress(asked)).toEqual({ ok: true, url });
  });

  test.each([
    '/%',
    '/s/%E0%A4%A',
    '/x?a=%zz',
    '/a%00b',
    '//other.example/x',
    'http://other.example/',
    '*',
    '/é',
    '/a b',
  ])('%s is refused in words', (asked) => {
    expect(readAddress(asked)).toMatchObject({ ok: false, status: 400 });
  });

  test('one that is too long is told apart', () => {
    expect(readAddress(`/${'a'.repeat(6000)}`)).toMatchObject({ ok: false, status: 414 });
  });

  test('whatever is let through can be decoded and names nothing twice (2,000 addresses)', () => {
    const hostile = fc.array(
      fc.constantFrom('/', '?', '&', '=', '%', '%41', '%C3%A9', '%FF', 'a', 'a=1', '+', '#', '"', '\u00e9'),
      { maxLength: 14 },
    );
    let through = 0;
    fc.assert(
      fc.property(hostile, (parts) => {
        const read = readAddress(`/${parts.join('')}`);
        if (!read.ok) return;
        through++;
        const names = [...new URL(read.url, 'http://here.test').searchParams.keys()];
        expect(new Set(names).size).toBe(names.length);
        expect(() => decodeURIComponent(read.url.split('?')[0]!)).not.toThrow();
      }),
      { numRuns: 2000, seed: 11 },
    );
    expect(through).toBeGreaterThan(500);
  });
});

const from = (remoteAddress: string, headers: IncomingHttpHeaders): IncomingMessage =>
  ({ socket: { remoteAddress }, headers }) as unknown as IncomingMessage;

describe('who is at the other end', () => {
  const forged = { 'x-forwarded-for': '1.2.3.4', 'x-forwarded-proto': 'https' };

  test('a forwarded address is believed from nobody who was not named', () => {
    expect(peerOf(from('::ffff:9.9.9.9', forged), namedProxies(undefined), false)).toEqual({
      address: '9.9.9.9',
      tls: false,
    });
  });

  test('a named proxy is believed, as far as proxies that are named reach', () => {
    const proxies = namedProxies('10.0.0.1, 192.168.4.0/24, fd00::1');
    expect(peerOf(from('10.0.0.1', forged), proxies, false)).toEqual({
      address: '1.2.3.4',
      tls: true,
    });
    // What stands further left the asker may have written.
    const chain = { 'x-forwarded-for': '6.6.6.6, 1.2.3.4, 192.168.4.7' };
    expect(peerOf(from('fd00::1', chain), proxies, false).address).toBe('1.2.3.4');
    expect(peerOf(from('10.0.0.1', { 'x-forwarded-for': 'nobody' }), proxies, false).address).toBe(
      '10.0.0.1',
    );
  });

  test.each(['somewhere', '10.0.0.1/99', '10.0.0'])('%s is no proxy', (named) => {
    expect(() => namedProxies(named)).toThrow(/JITEN_PROXY/);
  });
});

describe('certificates', () => {
  test('a chain that ends in a known root is trusted, one that does not is not', () => {
    const chain = pem('leaf') + pem('mid');
    expect(publiclyTrusted(chain, [pem('root')])).toBe(true);
    expect(publiclyTrusted(chain)).toBe(false);
    expect(publiclyTrusted(pem('leaf'), [pem('root')])).toBe(false);
    expect(publiclyTrusted(pem('root') + pem('mid'), [pem('root')])).toBe(false);
    expect(publiclyTrusted('', [pem('root')])).toBe(false);
  });

  test('certificate and key go together, and a missing file is named', () => {
    expect(readCertificate(undefined, '')).toBeNull();
    expect(() => readCertificate('a', undefined)).toThrow(/together/);
    expect(() => readCertificate('/nowhere/a.pem', 'b')).toThrow('/nowhere/a.pem');
  });
});

describe('the server', () => {
  const started: ReturnType<typeof makeFront>[] = [];
  afterEach(() => {
    for (const one of started.splice(0)) one.close();
  });

  async function front(options: Partial<FrontOptions> = {}): Promise<number> {
    const server = makeFront({
      proxies: namedProxies(undefined),
      certificate: null,
      handle: (asked, to) => {
        to.end(JSON.stringify({ url: asked.url, ...asked.headers }));
        return Promise.resolve();
      },
      fault: () => undefined,
      ...options,
    });
    started.push(server);
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    return (server.address() as AddressInfo).port;
  }

  test('the application hears who asks and the page’s mark from the front alone', async () => {
    const port = await front();
    const answer = await fetch(`http://127.0.0.1:${port}/x?a=1&a=2`, {
      headers: {
        'x-forwarded-for': '1.2.3.4',
        'x-forwarded-host': 'evil.example',
        'x-jiten-peer': '1.2.3.4',
        'x-jiten-tls': 'yes',
        'x-jiten-nonce': 'mine',
        'content-security-policy': "script-src 'nonce-mine'",
      },
    });
    const heard = (await answer.json()) as Record<string, string>;
    expect(heard).toMatchObject({ url: '/x?a=2', 'x-jiten-peer': '127.0.0.1' });
    expect(heard).not.toHaveProperty('x-jiten-tls');
    expect(heard).not.toHaveProperty('x-forwarded-host');
    expect(heard['x-jiten-nonce']).not.toBe('mine');
    const policy = answer.headers.get('content-security-policy');
    expect(policy).toBe(heard['content-security-policy']);
    expect(policy).toContain(`script-src 'self' 'nonce-${heard['x-jiten-nonce']}'`);
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(answer.headers.get('x-content-type-options')).toBe('nosniff');
    expect(answer.headers.get('strict-transport-security')).toBeNull();
    const again = await fetch(`http://127.0.0.1:${port}/x`);
    expect(again.headers.get('content-security-policy')).not.toBe(policy);
  });

  test('what is unchanged is not sent again, and what failed keeps no mark', async () => {
    let status = 200;
    const port = await front({
      handle: (asked, to) => {
        if (answerByMark(asked, to, 'W/"one"')) return Promise.resolve();
        to.setHeader('cache-control', 'no-store');
        to.writeHead(status).end('the chart');
        return Promise.resolve();
      },
    });
    const ask = (kept?: string) =>
      fetch(`http://127.0.0.1:${port}/chart`, { headers: kept ? { 'if-none-match': kept } : {} });
    const first = await ask();
    expect([first.status, first.headers.get('etag'), first.headers.get('cache-control')]).toEqual([
      200,
      'W/"one"',
      'private, no-cache',
    ]);
    const again = await ask('W/"one"');
    expect([again.status, await again.text()]).toEqual([304, '']);
    // The page that is kept goes by the nonce that it came with.
    expect(again.headers.get('content-security-policy')).toBeNull();
    expect((await ask('W/"another"')).status).toBe(200);
    status = 500;
    const failed = await ask();
    expect([failed.headers.get('etag'), failed.headers.get('cache-control')]).toEqual([null, 'no-store']);
  });

  test('scripts and letters come from memory, small where that is understood, and nothing from beside them', async () => {
    const build = mkdtempSync(join(tmpdir(), 'jiten-front-'));
    mkdirSync(join(build, 'static/chunks'), { recursive: true });
    const script = 'let a = 1;\n'.repeat(500);
    writeFileSync(join(build, 'static/chunks/a.js'), script);
    writeFileSync(join(build, 'secret.js'), 'no');
    const answer = answerStatic(build);
    const port = await front({
      handle: async (from, to) => {
        if (!(await answer(from, to))) to.writeHead(404).end();
      },
    });
    const ask = (path: string, encoding: string) =>
      fetch(`http://127.0.0.1:${port}/_next/static/${path}`, {
        headers: { 'accept-encoding': encoding },
      });
    for (const encoding of ['gzip', 'identity']) {
      const sent = await ask('chunks/a.js', encoding);
      expect(await sent.text()).toBe(script);
      expect(sent.headers.get('content-encoding')).toBe(encoding === 'gzip' ? 'gzip' : null);
      expect(Number(sent.headers.get('content-length')) < 500).toBe(encoding === 'gzip');
      expect(sent.headers.get('cache-control')).toContain('immutable');
    }
    for (const path of ['chunks/b.js', '..%2Fsecret.js', 'chunks%2F..%2F..%2Fsecret.js', 'chunks'])
      expect([path, (await ask(path, 'gzip')).status]).toEqual([path, 404]);
    rmSync(build, { recursive: true });
  });

  test('an address that cannot be read is answered in words, in the form that was asked', async () => {
    const port = await front();
    const page = await fetch(`http://127.0.0.1:${port}/s/%`);
    expect([page.status, await page.text()]).toEqual([400, expect.stringContaining('percent sign')]);
    const called = await fetch(`http://127.0.0.1:${port}/api/zoom?base=%`);
    expect([called.status, await called.json()]).toMatchObject([400, { ok: false }]);
    // A browser would not send this one.
    const raw = await new Promise<string>((resolve) => {
      const line = connect(port, '127.0.0.1');
      line.once('data', (bytes) => resolve(bytes.toString()));
      line.write(Buffer.from('GET /chart?cone=\u00e9 HTTP/1.1\r\nHost: x\r\n\r\n', 'latin1'));
    });
    expect(raw).toMatch(/^HTTP\/1\.1 400/);
  });

  test('what falls through is an answer, and is written down', async () => {
    const faults: unknown[] = [];
    const port = await front({
      handle: () => Promise.reject(new Error('inside /home/x.ts')),
      fault: (error) => faults.push(error),
    });
    const answer = await fetch(`http://127.0.0.1:${port}/`);
    expect(answer.status).toBe(500);
    expect(await answer.text()).not.toContain('x.ts');
    expect(faults).toHaveLength(1);
  });

  test.each([
    ['made by the studio', false],
    ['publicly trusted', true],
  ])('under a certificate that is %s', async (_, trusted) => {
    const certificate = readCertificate(`${CERTIFICATES}/leaf.pem`, `${CERTIFICATES}/leaf.key`)!;
    const port = await front({ certificate: { ...certificate, trusted } });
    const [heard, lasting] = await new Promise<[Record<string, string>, string | undefined]>(
      (resolve, reject) => {
        const asked = overTls({ port, host: '127.0.0.1', ca: [pem('mid'), pem('root')] }, (answer) => {
          const parts: Buffer[] = [];
          answer.on('data', (part: Buffer) => parts.push(part));
          answer.on('end', () =>
            resolve([
              JSON.parse(Buffer.concat(parts).toString()) as Record<string, string>,
              answer.headers['strict-transport-security'],
            ]),
          );
        });
        asked.once('error', reject).end();
      },
    );
    expect(heard).toMatchObject({ 'x-jiten-tls': 'yes', 'x-forwarded-proto': 'https' });
    expect(lasting !== undefined).toBe(trusted);
  });
});
