import type { NetworkInterfaceInfo } from 'node:os';
import { caddyfile } from './caddy';
import { answersTo } from './name';
import { addressOf, hostName, ownAddresses, trustAddressOf } from './place';
import { trustPage } from './trust-page';

const PLACE = {
  name: 'kiln-lane.local',
  addresses: ['192.168.1.7'],
  port: 8443,
  plainPort: 8080,
  upstream: 3000,
};

test.each([
  ['Kiln-Lane.local ', 'kiln-lane.local'],
  ['studio', 'studio'],
  ['a.b.c', 'a.b.c'],
])('“%s” is a host name', (asked, name) => expect(hostName(asked)).toBe(name));

test.each(['', '-a', 'a_b', 'a..b', 'a b', 'a\n}', 'https://a', 'a:1', 'ä'])(
  '“%s” is none, and is said to be so',
  (asked) => expect(() => hostName(asked)).toThrow(/is no host name/),
);

test('the address that stays, and the one where a phone learns to trust it', () => {
  expect(addressOf(PLACE)).toBe('https://kiln-lane.local:8443');
  expect(addressOf({ ...PLACE, port: 443 })).toBe('https://kiln-lane.local');
  expect(trustAddressOf(PLACE)).toBe('http://192.168.1.7:8080');
  expect(trustAddressOf({ ...PLACE, addresses: [], plainPort: 80 })).toBe('http://kiln-lane.local');
});

test('addresses by which others reach it: of IPv4, not its own loop', () => {
  const one = (address: string, rest: object = {}) =>
    ({ address, family: 'IPv4', internal: false, ...rest }) as NetworkInterfaceInfo;
  const found = ownAddresses({
    lo: [one('127.0.0.1', { internal: true })],
    wlan0: [one('192.168.1.7'), one('fe80::1', { family: 'IPv6' })],
    eth0: [one('192.168.1.7'), one('10.0.0.2')],
  });
  expect(found).toEqual(['192.168.1.7', '10.0.0.2']);
});

test('a question for the name is answered with its addresses, in whatever case it is asked; others are not', () => {
  const ask = (name: string, type = 'A') => answersTo([{ name, type }], PLACE.name, PLACE.addresses);
  expect(ask('Kiln-Lane.LOCAL')).toEqual([{ name: PLACE.name, type: 'A', ttl: 120, data: '192.168.1.7' }]);
  expect(ask(PLACE.name, 'ANY')).toHaveLength(1);
  expect(ask('other.local')).toEqual([]);
  expect(ask(PLACE.name, 'AAAA')).toEqual([]);
});

test('the proxy answers for the name and each address, and leaves everything in its own folder', () => {
  const text = caddyfile('/a folder/lan', PLACE);
  expect(text).toContain('https://kiln-lane.local:8443, https://192.168.1.7:8443 {');
  expect(text).toContain('storage file_system "/a folder/lan/store"');
  expect(text).toContain('skip_install_trust');
  expect(text).toContain('reverse_proxy 127.0.0.1:3000');
});

test('the page that tells a phone what to trust says what trusting it means', () => {
  const html = trustPage('https://a"b');
  expect(html).toContain('href="https://a&#34;b"');
  expect(html).toContain('studio-certificate.crt');
  expect(html).toContain('could make certificates that this phone believes');
});
