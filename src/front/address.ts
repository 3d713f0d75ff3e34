/** What an address may be. What cannot be read is refused here, before any page has to think of it. */

/** Nothing of ours comes near this length. */
const LONGEST = 6_000;
/** Printed ASCII: everything else travels as percent signs. */
const PRINTED = /^[!-~]*$/;

export type ReadAddress = { ok: true; url: string } | { ok: false; status: 400 | 414; word: string };

const refused = (word: string, status: 400 | 414 = 400): ReadAddress => ({
  ok: false,
  status,
  word,
});

/**
 * The path and query of a request, with each parameter once (the last one counts). Errors: not ours to
 * serve, too long, or not to be decoded, in words.
 */
export function readAddress(asked: string): ReadAddress {
  if (asked.length > LONGEST) return refused('This address is too long.', 414);
  if (!asked.startsWith('/') || asked.startsWith('//') || !PRINTED.test(asked))
    return refused('This address cannot be read.');
  const [path = '', ...rest] = asked.split('?');
  const query = rest.join('?');
  try {
    for (const part of [path, ...query.split('&')])
      if (decodeURIComponent(part.replaceAll('+', ' ')).includes('\0'))
        return refused('This address cannot be read.');
  } catch {
    return refused('This address cannot be read: a percent sign in it stands for nothing.');
  }
  return { ok: true, url: query === '' ? path : `${path}?${onceEach(query)}` };
}

/** A query as it came, unless a name stands in it twice. */
function onceEach(query: string): string {
  const given = new URLSearchParams(query);
  const names = [...given.keys()];
  return new Set(names).size === names.length
    ? query
    : new URLSearchParams(Object.fromEntries(given)).toString();
}
