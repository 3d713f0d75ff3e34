/** What people write into the cells of a spreadsheet: understood, or left as it stands and unknown. */
import { parseCone } from '@/core/cones';
import { parseNumber } from '@/core/units';
import { UNKNOWN_WORD } from '@/core/zones';

/** Something read, or why it was not: then the words are kept in the note. */
export type Cell<T> = { value: T | null; why: string | null };
const read = <T>(value: T | null): Cell<T> => ({ value, why: null });
const not = (why: string): Cell<never> => ({ value: null, why });

const NUMBERS = 'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen';

/** "∆6", "c6", "10R", "ten", "6 ox", "cone 5½"; of "5-6" nobody can say which. `air`: what else it says. */
export function readConeCell(text: string): Cell<string> & { air: string | null } {
  const words = text.trim().toLowerCase().replace(/∆/g, 'δ');
  const air = /^(.*?\d\s*½?)\s*(r|red|redn|reduction|ox|o|oxidation)$/.exec(words);
  const bare = (air?.[1] ?? words).replace(/^c(?=0?\d)/, '').trim();
  const said = bare.replace(/^(cone|co\.?|δ|\^)\s*/, '');
  const number = NUMBERS.split(' ').indexOf(said);
  const cone = parseCone(number > 0 ? String(number) : bare);
  if (cone.ok) return { ...read(cone.cone), air: air?.[2] ?? null };
  return {
    ...not(/\d\s*[-–/]\s*\d|\bto\b|\bor\b/.test(said) ? 'more than one cone' : cone.message),
    air: null,
  };
}

function calendar(year: number, month: number, day: number): Cell<string> {
  const date = new Date(Date.UTC(year, month - 1, day));
  if (date.getUTCMonth() !== month - 1 || date.getUTCDate() !== day || year < 1900 || year > 2200)
    return not('there is no such day');
  return read(date.toISOString().slice(0, 10));
}

/** A year of two figures is of this century, unless that lies ahead. */
const fullYear = (text: string): number =>
  text.length === 4 ? Number(text) : 2000 + Number(text) - (Number(text) > 60 ? 100 : 0);

/**
 * 2024-03-05, 5.3.2024, 13.3.22, 25/3/2024; what can be read two ways, a year or a season, stays in the note.
 */
export function readDateCell(text: string): Cell<string> {
  const plain = text.trim();
  if (plain === '' || UNKNOWN_WORD.test(plain)) return read<string>(null);
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ].*)?$/.exec(plain);
  if (iso) return calendar(Number(iso[1]), Number(iso[2]), Number(iso[3]));
  const dotted = /^(\d{1,2})\.(\d{1,2})\.(\d{4}|\d{2})$/.exec(plain);
  if (dotted) return calendar(fullYear(dotted[3]!), Number(dotted[2]), Number(dotted[1]));
  const slashed = /^(\d{1,2})[/-](\d{1,2})[/-](\d{4}|\d{2})$/.exec(plain);
  if (slashed) {
    const [a, b, year] = [Number(slashed[1]), Number(slashed[2]), fullYear(slashed[3]!)];
    if (a > 12) return calendar(year, b, a);
    if (b > 12 || a === b) return calendar(year, a, b);
    return not('it can be read two ways');
  }
  return not('it names no day');
}

/** "4", "3,5 mm", "2-3 mm" (its middle), "none"; "yes" says that it ran, not how far. */
export function readMovementCell(text: string): Cell<number> {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(/\s*mm\.?$/, '');
  if (/^(no|none|n|nil|did not run|0)$/.test(plain)) return read(0);
  const range = /^(\d+(?:[.,]\d+)?)\s*(?:[-–]|to)\s*(\d+(?:[.,]\d+)?)$/.exec(plain);
  const figures = (range ? [range[1]!, range[2]!] : [plain]).map((one) => parseNumber(one));
  const values = figures.flatMap((one) => (one.ok && one.value >= 0 && one.value <= 500 ? [one.value] : []));
  if (values.length < figures.length) return not('it gives no millimetres from 0 to 500');
  return read(values.reduce((sum, one) => sum + one, 0) / values.length);
}
