import fc from 'fast-check';
import { codesFrom, isUnwanted, ALPHABET, CODE_COUNT, codeOf, nearCodes, readCode } from './codes';

const number = fc.integer({ min: 0, max: CODE_COUNT - 1 });

test('every number has its own code and every code reads back', () => {
  const seen = new Set<string>();
  for (let n = 0; n < CODE_COUNT; n++) seen.add(codeOf(n));
  expect(seen.size).toBe(CODE_COUNT);
  fc.assert(fc.property(number, (n) => expect(readCode(codeOf(n))).toEqual({ ok: true, code: codeOf(n) })));
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

test('codes that are scratched into clay already stay what they are', () => {
  // Frozen: the figures by which codes were given out must never change.
  expect([0, 1, 2, 1000, CODE_COUNT - 1].map(codeOf)).toEqual(['E7W94', 'RAKNT', '7C973', 'FEFWT', 'Y4APW']);
  for (const none of [-1, 1.5, CODE_COUNT, Number.NaN])
    expect(() => codeOf(none)).toThrow(`There are 130321 piece codes; number ${none} has none.`);
});

test('what is wrong is said in full', () => {
  const said = (input: string): string => {
    const read = readCode(input);
    return read.ok ? '' : read.message;
  };
  expect(said(' ACE ')).toBe('A piece code has 5 characters; “ACE” has 3.');
  expect(said('AC0EF')).toBe(
    '“0” is never used in a piece code. Look again: the characters are A C E F H J K M N P R T W X Y 3 4 7 9.',
  );
  expect(said('E7W93')).toBe('“E7W93” has a character wrong: its last one does not agree with the rest.');
});

test('near codes are valid, differ in one place, and never repeat the input', () => {
  for (const input of ['E7W93', 'e7-w9 3', 'RAKNA']) {
    const plain = input.toUpperCase().replace(/[\s-]/g, '');
    const near = nearCodes(input);
    expect(near.length).toBeGreaterThan(0);
    expect(new Set(near).size).toBe(near.length);
    for (const code of near) {
      expect(readCode(code)).toEqual({ ok: true, code });
      expect([...code].filter((character, i) => character !== plain[i])).toHaveLength(1);
    }
  }
  // Nineteen other characters in each of five places: one of each place mends a wrong code.
  expect(nearCodes('E7W93')).toHaveLength(5);
  expect(nearCodes('E7W94')).toEqual([]);
  expect(nearCodes('E7W9')).toEqual([]);
});

describe('words that nobody wants on a pot', () => {
  test.each(['CRAPY', 'F4RTA', 'xTW47', 'K4CKE', 'R4PE3'])('%s is one', (code) => {
    expect(isUnwanted(code)).toBe(true);
  });
  test.each(['HEMPN', 'E7W94', 'RAKNT', 'YARCM'])('%s is none', (code) => {
    expect(isUnwanted(code)).toBe(false);
  });

  test('they are passed over when codes are given out, and read where they were given', () => {
    let n = 0;
    while (!isUnwanted(codeOf(n))) n++;
    const bad = codeOf(n);
    const { codes, next } = codesFrom(n - 1, 3);
    expect(codes).toHaveLength(3);
    expect(codes[0]).toBe(codeOf(n - 1));
    expect(codes).not.toContain(bad);
    expect(next).toBeGreaterThanOrEqual(n + 3);
    expect(codesFrom(next, 1).codes[0]).not.toBe(codes[2]);
    // A pot that bears it already is still found by it.
    expect(readCode(bad)).toEqual({ ok: true, code: bad });
  });

  test('few codes are lost', () => {
    let lost = 0;
    for (let i = 0; i < 20_000; i++) if (isUnwanted(codeOf(i))) lost++;
    expect(lost).toBeGreaterThan(0);
    expect(lost / 20_000).toBeLessThan(0.01);
  });
});
