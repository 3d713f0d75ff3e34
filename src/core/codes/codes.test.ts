import fc from 'fast-check';
import { ALPHABET, CODE_COUNT, codeOf, nearCodes, readCode } from './codes';

const number = fc.integer({ min: 0, max: CODE_COUNT - 1 });

test('every number has its own code and every code reads back', () => {
  const seen = new Set<string>();
  for (let n = 0; n < CODE_COUNT; n++) seen.add(codeOf(n));
  expect(seen.size).toBe(CODE_COUNT);
  fc.assert(
    fc.property(number, (n) => expect(readCode(codeOf(n))).toEqual({ ok: true, code: codeOf(n) })),
  );
});

test('any one wrong character is caught', () => {
  fc.assert(
    fc.property(number, fc.nat(4), fc.constantFrom(...ALPHABET), (n, place, wrong) => {
      const code = codeOf(n);
      fc.pre(code[place] !== wrong);
      expect(readCode(code.slice(0, place) + wrong + code.slice(place + 1)).ok).toBe(false);
    }),
  );
});

test('any two different characters swapped are caught', () => {
  fc.assert(
    fc.property(number, fc.nat(4), fc.nat(4), (n, i, j) => {
      const letters = [...codeOf(n)];
      fc.pre(letters[i] !== letters[j]);
      [letters[i], letters[j]] = [letters[j] as string, letters[i] as string];
      expect(readCode(letters.join('')).ok).toBe(false);
    }),
  );
});

test('neighbouring pieces do not look alike', () => {
  for (let n = 0; n < 2000; n++) {
    const [a, b] = [codeOf(n), codeOf(n + 1)];
    expect([...a].filter((character, i) => character !== b[i]).length).toBeGreaterThanOrEqual(2);
  }
});

test('a code is read in any case, with blanks and dashes', () => {
  const code = codeOf(42);
  expect(readCode(` ${code.slice(0, 2).toLowerCase()}-${code.slice(2)} `)).toEqual({
    ok: true,
    code,
  });
});

test('what is wrong is said', () => {
  const length = readCode('ACE');
  expect(length.ok ? '' : length.message).toContain('has 3');
  const stranger = readCode('AC0EF');
  expect(stranger.ok ? '' : stranger.message).toContain('“0”');
  expect(() => codeOf(CODE_COUNT)).toThrow(RangeError);
});

test('the code that was meant is among the near ones', () => {
  const code = codeOf(7);
  const slip = (code[0] === 'A' ? 'C' : 'A') + code.slice(1);
  expect(nearCodes(slip)).toContain(code);
});
