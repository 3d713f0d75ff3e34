import { ownerOf, pagesOf, picturesOf, STATIC_CACHE, wayOf } from './names';

const HERE = 'https://studio.local';
const way = (path: string, rest: object = {}) =>
  wayOf({ method: 'GET', mode: 'no-cors', url: HERE + path, ...rest }, HERE);

test.each([
  ['a page that is opened', '/opening/1?piece=PXTHW', { mode: 'navigate' }, 'page'],
  ['what the framework asks for by itself', '/opening/1?_rsc=ab', { mode: 'cors' }, 'network'],
  ['a write', '/api/act/opening.record', { method: 'POST', mode: 'cors' }, 'network'],
  ['a download', '/api/export/whole.json', { mode: 'navigate' }, 'network'],
  ['a script', '/_next/static/chunks/a.js', {}, 'static'],
  ['a picture', `/api/pictures/${'a'.repeat(64)}/small`, {}, 'picture'],
  ['a picture by another name', '/api/pictures/../act/small', {}, 'network'],
])('%s', (_, path, rest, expected) => {
  expect(way(path, rest)).toBe(expected);
});

test('another host is none of its business', () => {
  expect(wayOf({ method: 'GET', mode: 'navigate', url: 'https://other/_next/static/a.js' }, HERE)).toBe(
    'network',
  );
});

test('whose pages and pictures a cache holds', () => {
  expect([pagesOf('p'), picturesOf('p'), STATIC_CACHE].map(ownerOf)).toEqual(['p', 'p', null]);
});
