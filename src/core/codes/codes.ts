/**
 * Piece codes: short enough to scratch into clay, and safe to read back after a
 * firing. Nineteen characters drawn with few strokes that stay apart when blurred by
 * glaze (no 0/O/Q/D, 1/I/L, 2/Z, 5/S, 6/G, 8/B, U/V). Nineteen is prime, so a weighted
 * sum modulo 19 catches every single wrong character and every swap of two different
 * characters. The construction is the usual weighted check digit over a prime field
 * (as in ISO/IEC 7064's pure systems); the alphabet is ours.
 */
export const ALPHABET = 'ACEFHJKMNPRTWXY3479';
const BASE = ALPHABET.length;

/** Characters before the check character. */
export const BODY_LENGTH = 4;
/** How many different codes there are. */
export const CODE_COUNT = BASE ** BODY_LENGTH;

// Any multiplier coprime to 19 permutes the codes; these make neighbours look unlike each other.
const STEP = 48_611;
const START = 20_101;

function checkCharacter(body: string): string {
  let sum = 0;
  for (let i = 0; i < body.length; i++) sum += (i + 2) * ALPHABET.indexOf(body[i] as string);
  // The check character weighs 1: sum + check ≡ 0 (mod 19).
  return ALPHABET[(BASE - (sum % BASE)) % BASE] as string;
}

/**
 * The code of the n-th piece of a studio, n = 0, 1, 2 …; every n has another code.
 * @throws RangeError when n is outside 0 … CODE_COUNT − 1.
 */
export function codeOf(n: number): string {
  if (!Number.isInteger(n) || n < 0 || n >= CODE_COUNT) {
    throw new RangeError(`There are ${CODE_COUNT} piece codes; number ${n} has none.`);
  }
  let value = (n * STEP + START) % CODE_COUNT;
  let body = '';
  for (let i = 0; i < BODY_LENGTH; i++) {
    body = ALPHABET[value % BASE] + body;
    value = Math.floor(value / BASE);
  }
  return body + checkCharacter(body);
}

/**
 * What nobody wants to read on a pot, in English and some neighbours, as far as the alphabet can spell
 * it; 3, 4, 7 and 9 are read as E, A, T and G. From memory; a studio's own language may want more.
 */
const UNWANTED = [
  'ARYAN',
  'CACA',
  'CRAP',
  'CRACK',
  'FAG',
  'FART',
  'FATTY',
  'FCK',
  'HATE',
  'JAP',
  'KACK',
  'KAFFER',
  'KKK',
  'METH',
  'NAKED',
  'NEGER',
  'NEGR',
  'PAKY',
  'PEE',
  'PENE',
  'RAPE',
  'TART',
  'TRANNY',
  'TWAT',
  'WANK',
];
const READ_AS: Record<string, string> = { '3': 'E', '4': 'A', '7': 'T', '9': 'G' };

/** Does a code read as a word that nobody wants on a pot? Such codes stay valid where they were given out. */
export function isUnwanted(code: string): boolean {
  const word = [...code.toUpperCase()].map((one) => READ_AS[one] ?? one).join('');
  return UNWANTED.some((one) => word.includes(one));
}

/** The next `count` codes from the n-th on, unwanted words passed over, and where the next ones begin. */
export function codesFrom(n: number, count: number): { codes: string[]; next: number } {
  const codes: string[] = [];
  let at = n;
  while (codes.length < count) {
    const code = codeOf(at++);
    if (!isUnwanted(code)) codes.push(code);
  }
  return { codes, next: at };
}

export type CodeResult = { ok: true; code: string } | { ok: false; message: string };

/** Reads a code as typed or spoken into a field: any case, spaces and dashes ignored. */
export function readCode(input: string): CodeResult {
  const code = input.toUpperCase().replace(/[\s\-–.]/g, '');
  if (code.length !== BODY_LENGTH + 1) {
    return {
      ok: false,
      message: `A piece code has ${BODY_LENGTH + 1} characters; “${input.trim()}” has ${code.length}.`,
    };
  }
  const stranger = [...code].find((character) => !ALPHABET.includes(character));
  if (stranger !== undefined) {
    return {
      ok: false,
      message: `“${stranger}” is never used in a piece code. Look again: the characters are ${[...ALPHABET].join(' ')}.`,
    };
  }
  if (checkCharacter(code.slice(0, BODY_LENGTH)) !== code[BODY_LENGTH]) {
    return {
      ok: false,
      message: `“${code}” has a character wrong: its last one does not agree with the rest.`,
    };
  }
  return { ok: true, code };
}

/** Every valid code that differs from the input in exactly one place: what was probably meant. */
export function nearCodes(input: string): string[] {
  const code = input.toUpperCase().replace(/[\s\-–.]/g, '');
  if (code.length !== BODY_LENGTH + 1) return [];
  const found: string[] = [];
  for (let i = 0; i < code.length; i++) {
    for (const character of ALPHABET) {
      const candidate = code.slice(0, i) + character + code.slice(i + 1);
      if (candidate !== code && readCode(candidate).ok) found.push(candidate);
    }
  }
  return found;
}

/**
 * The code on a printed label: the address of a piece's page, or the code alone; null for any other writing.
 */
export function codeOnLabel(text: string): string | null {
  const read = readCode(/\/pieces\/([^/?#]+)/.exec(text)?.[1] ?? text);
  return read.ok ? read.code : null;
}
