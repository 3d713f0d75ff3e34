/** A key for every sign, for whoever writes up at a laptop. */
import { SIGNS, type Sign } from './signs';

const LETTERS = 'abcdefghijklmnopqrstuvwxyz';

/**
 * The first letter of each name that no sign before it has; where all are taken, the first free one of the
 * alphabet.
 */
export function lettersFor(names: readonly string[]): string[] {
  const taken = new Set<string>();
  return names.map((name) => {
    const letter = [...name.toLowerCase().replace(/[^a-z]/g, ''), ...LETTERS].find((one) => !taken.has(one));
    if (letter === undefined) throw new Error('There are more names than letters.');
    taken.add(letter);
    return letter;
  });
}

const keyed = (usually: Sign['usually']): [string, string][] => {
  const signs = SIGNS.filter((sign) => sign.usually === usually);
  const letters = lettersFor(signs.map(({ name }) => name));
  // Effects with the shift key held, as its letter says.
  return signs.map(({ id }, i) => [id, usually === 'fault' ? letters[i]! : letters[i]!.toUpperCase()]);
};

/** Key by sign: a small letter for what is usually a fault, a capital for what is usually sought. */
export const SIGN_KEYS: Readonly<Record<string, string>> = Object.fromEntries([
  ...keyed('fault'),
  ...keyed('effect'),
]);

/** The sign of a key that was pressed. */
export const signOfKey = (key: string): string | undefined =>
  Object.keys(SIGN_KEYS).find((id) => SIGN_KEYS[id] === key);
