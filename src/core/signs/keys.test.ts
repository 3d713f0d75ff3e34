import { SIGN_KEYS, lettersFor, signOfKey } from './keys';
import { SIGNS } from './signs';

test('every sign has a key, no two have one, and each key finds its sign', () => {
  expect(Object.keys(SIGN_KEYS).sort()).toEqual(SIGNS.map(({ id }) => id).sort());
  expect(new Set(Object.values(SIGN_KEYS)).size).toBe(SIGNS.length);
  for (const { id, usually } of SIGNS) {
    const key = SIGN_KEYS[id]!;
    expect(signOfKey(key)).toBe(id);
    expect(/[a-z]/.test(key)).toBe(usually === 'fault');
  }
  expect(signOfKey('?')).toBeUndefined();
});

test('a letter of the name where one is free, another where none is', () => {
  expect(lettersFor(['Pits', 'Pinholes', 'Pit', 'It', 'p-p'])).toEqual(['p', 'i', 't', 'a', 'b']);
  expect(() => lettersFor(Array.from({ length: 27 }, () => 'a'))).toThrow(/more names/);
});
