/** Addresses that nobody's link leads to: every route there is, with what does not belong into it. */
import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { STRANGE_WORDS, type Known } from './values';

/** Every route of the application, as `/kilns/firings/[id]`. */
export function routesIn(folder: string, at = ''): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((one) => {
    if (one.isDirectory())
      return routesIn(join(folder, one.name), /^\(/.test(one.name) ? at : `${at}/${one.name}`);
    return /^(page|route)\.tsx?$/.test(one.name) ? [at || '/'] : [];
  });
}

const NAMES = [
  'a',
  'atmosphere',
  'at',
  'b',
  'base',
  'body',
  'cell',
  'code',
  'coating',
  'cone',
  'deed',
  'design',
  'form',
  'from',
  'ground',
  'key',
  'kiln',
  'kind',
  'like',
  'look',
  'mark',
  'match',
  'name',
  'over',
  'piece',
  'q',
  'refires',
  'share',
  'sheet',
  'stack',
  'to',
  'version',
  '__proto__',
];

/** As it would stand in an address; what cannot be encoded stays as it is. */
function encoded(word: string): string {
  try {
    return encodeURIComponent(word);
  } catch {
    return '%ED%A0%80';
  }
}

/** `routes` with something in their places and something asked. */
export function addressesOf(routes: readonly string[], known: Known): fc.Arbitrary<string> {
  const names = [...known.words, ...Object.values(known.ids).flat()];
  const part = fc.oneof(
    { weight: 6, arbitrary: fc.constantFrom(...names).map(encoded) },
    { weight: 3, arbitrary: fc.constantFrom(...STRANGE_WORDS).map(encoded) },
    {
      weight: 1,
      arbitrary: fc.constantFrom('%', '%E0%A4', '%zz', '%00', 'é', '..', '%2e%2e%2f', '[id]'),
    },
    { weight: 2, arbitrary: fc.string({ unit: 'binary', maxLength: 12 }).map(encoded) },
  );
  const asked = fc.array(fc.tuple(fc.constantFrom(...NAMES), part), { maxLength: 6 });
  return fc.tuple(fc.constantFrom(...routes), fc.infiniteStream(part), asked).map(([route, parts, query]) => {
    const path = route.replace(/\[[^\]]+\]/g, () => parts.next().value);
    const search = query.map(([name, value]) => `${name}=${value}`).join('&');
    return search === '' ? path : `${path}?${search}`;
  });
}
