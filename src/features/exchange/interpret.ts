import { readCode } from '@/core/codes';
import { parseCone } from '@/core/cones';
import {
  ATMOSPHERES,
  SURFACES,
  VERDICTS,
  findSign,
  type Atmosphere,
  type Surface,
  type Verdict,
} from '@/core/signs';
import type { SeenSign } from '@/core/looks';
import { parseNumber } from '@/core/units';
import { METHODS, type Method } from '@/core/zones';
import { MAX_COATS, type Column } from './columns';

/** A row as understood, before names are looked up. `null` is "unknown", never a guess. */
export type ImportRow = {
  line: number;
  code: string | null;
  mark: string | null;
  body: string | null;
  form: string | null;
  coats: { coating: string; coats: number; method: Method | null }[];
  cone: string | null;
  atmosphere: Atmosphere;
  date: string | null;
  kiln: string | null;
  surface: Surface | null;
  colour: string | null;
  movementMm: number | null;
  signs: SeenSign[];
  rating: number | null;
  verdict: Verdict | null;
  note: string;
  /** The row cannot be taken for these reasons. */
  errors: string[];
  /** It can be taken, but somebody should know. */
  warnings: string[];
};

type Get = (column: Column) => string;
const UNKNOWN = /^(unknown|\?+|n\/?a|-+|–|not known|unsure)$/i;

function readAtmosphere(text: string, row: ImportRow): Atmosphere {
  const plain = text.toLowerCase().trim();
  if (plain === '' || UNKNOWN.test(plain)) return 'unknown';
  const exact = ATMOSPHERES.find((one) => one === plain);
  if (exact) return exact;
  if (/^(ox|oxid|o|electric)$/.test(plain)) return 'oxidation';
  const reduction =
    /^(?:gas\s+)?(light|medium|moderate|heavy)?\s*(?:reduction|reduced|red|redn|rdn|r)\.?$/.exec(
      plain,
    );
  if (reduction)
    return (
      reduction[1] === undefined
        ? 'reduction'
        : `${reduction[1] === 'medium' ? 'moderate' : reduction[1]} reduction`
    ) as Atmosphere;
  row.warnings.push(`Atmosphere “${text}” stays unknown.`);
  return 'unknown';
}

const joinNote = (note: string, more: string): string => (note === '' ? more : `${note}\n${more}`);

/** 2024-03-05, 5.3.2024, 5/3/2024 (only when it can be read one way). */
export function readDate(text: string): { date: string | null; error: string | null } {
  const plain = text.trim();
  if (plain === '' || UNKNOWN.test(plain)) return { date: null, error: null };
  const iso = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[T ].*)?$/.exec(plain);
  if (iso) return calendar(Number(iso[1]), Number(iso[2]), Number(iso[3]), plain);
  const dotted = /^(\d{1,2})\.(\d{1,2})\.(\d{4})$/.exec(plain);
  if (dotted) return calendar(Number(dotted[3]), Number(dotted[2]), Number(dotted[1]), plain);
  const slashed = /^(\d{1,2})[/-](\d{1,2})[/-](\d{4})$/.exec(plain);
  if (slashed) {
    const [a, b, year] = [Number(slashed[1]), Number(slashed[2]), Number(slashed[3])];
    if (a > 12) return calendar(year, b, a, plain);
    if (b > 12) return calendar(year, a, b, plain);
    if (a === b) return calendar(year, a, b, plain);
    return {
      date: null,
      error: `Date “${plain}” can be read two ways; write it as ${year}-MM-DD.`,
    };
  }
  return { date: null, error: `Date “${plain}” was not understood; write it as YYYY-MM-DD.` };
}

function calendar(
  year: number,
  month: number,
  day: number,
  text: string,
): { date: string | null; error: string | null } {
  const date = new Date(Date.UTC(year, month - 1, day));
  if (date.getUTCMonth() !== month - 1 || date.getUTCDate() !== day || year < 1900 || year > 2200) {
    return { date: null, error: `There is no day “${text}”.` };
  }
  return { date: date.toISOString().slice(0, 10), error: null };
}

const SEVERITY: Record<string, 1 | 2 | 3> = {
  slight: 1,
  few: 1,
  some: 1,
  marked: 2,
  many: 2,
  bad: 2,
  ruinous: 3,
  ruined: 3,
  '1': 1,
  '2': 2,
  '3': 3,
};

function readSigns(text: string, row: ImportRow): SeenSign[] {
  const found = new Map<string, SeenSign>();
  for (const part of text
    .split(/[,;/|+]|\band\b/i)
    .map((word) => word.trim())
    .filter((word) => word !== '')) {
    if (/^(none|no|ok|-|–)$/i.test(part)) continue;
    const words = part
      .toLowerCase()
      .replace(/[()]/g, ' ')
      .split(/\s+/)
      .filter((word) => word !== '');
    const severity = words.map((word) => SEVERITY[word]).find((value) => value !== undefined) ?? 2;
    const name = words.filter((word) => SEVERITY[word] === undefined).join(' ');
    const sign = findSign(name);
    if (sign) found.set(sign.id, { sign: sign.id, severity, wanted: sign.usually === 'effect' });
    else {
      row.warnings.push(`“${part}” is not a sign we know; it is kept in the note.`);
      row.note = joinNote(row.note, `Defects as written: ${part}`);
    }
  }
  return [...found.values()];
}

/** "Pitch x2 + Tarn" (first coat first) or "Tarn over Pitch". */
function readStack(text: string): { coating: string; coats: string }[] {
  const parts = /\sover\s/i.test(text)
    ? text.split(/\s+over\s+/i).reverse()
    : text.split(/\s*(?:\+|;|>|→|,)\s*/);
  return parts
    .filter((part) => part.trim() !== '')
    .map((part) => {
      const match =
        /^(.*?)\s*[x×*]\s*(\d+)$/i.exec(part.trim()) ?? /^(\d+)\s*[x×*]\s*(.*)$/i.exec(part.trim());
      if (!match) return { coating: part.trim(), coats: '' };
      return /^\d+$/.test(match[1] as string)
        ? { coating: match[2] as string, coats: match[1] as string }
        : { coating: match[1] as string, coats: match[2] as string };
    });
}

function readCoats(get: Get, row: ImportRow): ImportRow['coats'] {
  const numbered: { coating: string; coats: string; method: string }[] = [];
  for (let n = 1; n <= MAX_COATS; n++) {
    const coating = get(`coating ${n}`);
    if (coating !== '' && !/^(none|-|–)$/i.test(coating)) {
      numbered.push({ coating, coats: get(`coats ${n}`), method: get(`method ${n}`) });
    }
  }
  const entries =
    numbered.length > 0 ? numbered : readStack(get('stack')).map((one) => ({ ...one, method: '' }));
  return entries.map(({ coating, coats, method }) => {
    let count = 1;
    if (coats !== '') {
      const read = parseNumber(coats);
      if (read.ok && Number.isInteger(read.value) && read.value >= 1 && read.value <= 20)
        count = read.value;
      else row.errors.push(`“${coats}” coats of ${coating}: give a whole number from 1 to 20.`);
    }
    const known = METHODS.find(
      (one) =>
        one === method.toLowerCase() || (method !== '' && method.toLowerCase().startsWith(one)),
    );
    if (method !== '' && known === undefined) row.warnings.push(`Method “${method}” is not known.`);
    return { coating, coats: count, method: known ?? null };
  });
}

/** Reads one row of a mapped table. Nothing unknown is guessed; everything doubtful is said. */
export function interpret(
  line: number,
  cells: readonly string[],
  columns: readonly (Column | null)[],
): ImportRow {
  const values = new Map<Column, string>();
  columns.forEach((column, i) => {
    const value = (cells[i] ?? '').trim();
    if (column !== null && value !== '')
      values.set(column, values.has(column) ? `${values.get(column)}; ${value}` : value);
  });
  const get: Get = (column) => values.get(column) ?? '';
  const orNull = (text: string): string | null => (text === '' || UNKNOWN.test(text) ? null : text);
  const row: ImportRow = {
    line,
    code: null,
    mark: orNull(get('mark')),
    body: orNull(get('body')),
    form: orNull(get('form')),
    coats: [],
    cone: null,
    atmosphere: 'unknown',
    date: null,
    kiln: orNull(get('kiln')),
    surface: null,
    colour: orNull(get('colour')),
    movementMm: null,
    signs: [],
    rating: null,
    verdict: null,
    note: get('note'),
    errors: [],
    warnings: [],
  };
  if (row.mark !== null && row.mark.length > 40)
    row.errors.push('The mark is longer than 40 characters.');
  if (row.colour !== null && row.colour.length > 120)
    row.errors.push('The colour is longer than 120 characters.');
  const code = orNull(get('code'));
  if (code !== null) {
    const read = readCode(code);
    if (read.ok) row.code = read.code;
    else row.errors.push(read.message);
  }
  if (row.body === null) row.errors.push('No body is given.');
  row.coats = readCoats(get, row);
  const cone = orNull(get('cone'));
  if (cone !== null) {
    const read = parseCone(cone);
    if (read.ok) row.cone = read.cone;
    else row.errors.push(read.message);
  }
  row.atmosphere = readAtmosphere(get('atmosphere'), row);
  const { date, error } = readDate(get('date'));
  row.date = date;
  if (error !== null) row.errors.push(error);
  const surface = get('surface')
    .toLowerCase()
    .replace('matte', 'matt')
    .replace('glossy', 'gloss')
    .replace(/^satin.*$/, 'satin')
    .replace(/^semi-?matt$/, 'satin');
  row.surface = SURFACES.find((one) => one === surface) ?? null;
  if (surface !== '' && row.surface === null && !UNKNOWN.test(surface))
    row.warnings.push(
      `Surface “${get('surface')}” is not one of ${SURFACES.join(', ')}; left unknown.`,
    );
  const movement = orNull(get('movement'));
  if (movement !== null) {
    const read = parseNumber(movement.replace(/\s*mm$/i, ''));
    if (read.ok && read.value >= 0 && read.value <= 500) row.movementMm = read.value;
    else row.errors.push(`Movement “${movement}”: give millimetres from 0 to 500.`);
  }
  row.signs = readSigns(get('defects'), row);
  const rating = orNull(get('rating'));
  if (rating !== null) {
    const read = parseNumber(rating.replace(/\/\s*5$/, ''));
    if (read.ok && Number.isInteger(read.value) && read.value >= 1 && read.value <= 5)
      row.rating = read.value;
    else row.warnings.push(`Rating “${rating}” is not 1 to 5; left out.`);
  }
  const verdict = get('verdict').toLowerCase();
  row.verdict = VERDICTS.find((one) => one === verdict) ?? null;
  if (verdict !== '' && row.verdict === null)
    row.warnings.push(
      `Verdict “${get('verdict')}” is not one of ${VERDICTS.join(', ')}; left out.`,
    );
  if (row.note.length > 4000) row.errors.push('The note is longer than 4000 characters.');
  return row;
}

/** Merged cells leave blanks below their first line; the named columns take what stands above. */
export function fillDown(
  rows: { line: number; cells: string[] }[],
  columns: readonly (Column | null)[],
  fill: readonly Column[],
): void {
  const last = new Map<number, string>();
  for (const { cells } of rows) {
    columns.forEach((column, i) => {
      if (column === null || !fill.includes(column)) return;
      const value = cells[i] ?? '';
      if (value !== '') last.set(i, value);
      else cells[i] = last.get(i) ?? '';
    });
  }
}
