import { readCode } from '@/core/codes';
import { ATMOSPHERES, SURFACES, VERDICTS, findSign, type Atmosphere } from '@/core/signs';
import type { SeenSign } from '@/core/looks';
import { parseNumber } from '@/core/units';
import { UNKNOWN_WORD } from '@/core/zones';
import { readConeCell, readDateCell, readMovementCell } from './cells';
import { readCoats } from './coats';
import type { Column } from './columns';
import { joinNote, keep, type Get, type ImportRow } from './row';

export type { ImportRow } from './row';

function readAtmosphere(text: string, row: ImportRow): Atmosphere {
  const plain = text.toLowerCase().trim();
  if (plain === '' || UNKNOWN_WORD.test(plain)) return 'unknown';
  const exact = ATMOSPHERES.find((one) => one === plain);
  if (exact) return exact;
  if (/^(ox|oxid|o|electric)$/.test(plain)) return 'oxidation';
  const reduction =
    /^(?:gas\s+)?(light|medium|moderate|heavy)?\s*(?:reduction|reduced|red|redn|rdn|r)\.?$/.exec(plain);
  if (reduction)
    return (
      reduction[1] === undefined
        ? 'reduction'
        : `${reduction[1] === 'medium' ? 'moderate' : reduction[1]} reduction`
    ) as Atmosphere;
  row.warnings.push(`Atmosphere “${text}” stays unknown.`);
  return 'unknown';
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

/** Reads one row of a mapped table. Nothing unknown is guessed; everything doubtful is said. */
export function interpret(
  line: number,
  cells: readonly string[],
  columns: readonly (Column | null)[],
  /** Headings by column; what stands in a column that is not taken goes into the note under it. */
  headings: readonly (string | null)[] = [],
): ImportRow {
  const untaken = columns.flatMap((column, i): [string, string][] => {
    const text = (cells[i] ?? '').trim();
    const heading = headings[i] ?? null;
    return column !== null || heading === null || text === '' ? [] : [[heading, text]];
  });
  const values = new Map<Column, string>();
  columns.forEach((column, i) => {
    const value = (cells[i] ?? '').trim();
    if (column !== null && value !== '')
      values.set(column, values.has(column) ? `${values.get(column)}; ${value}` : value);
  });
  const get: Get = (column) => values.get(column) ?? '';
  const orNull = (text: string): string | null => (text === '' || UNKNOWN_WORD.test(text) ? null : text);
  const row: ImportRow = {
    line,
    code: null,
    mark: orNull(get('mark')),
    body: orNull(get('body')),
    form: orNull(get('form')),
    coats: [],
    key: 'sure',
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
  for (const [field, most] of [
    ['mark', 40],
    ['colour', 120],
  ] as const) {
    const text = row[field];
    if (text === null || text.length <= most) continue;
    keep(row, field[0]!.toUpperCase() + field.slice(1), text, `longer than ${most} characters`);
    row[field] = null;
  }
  const code = orNull(get('code'));
  if (code !== null) {
    const read = readCode(code);
    if (read.ok) row.code = read.code;
    else {
      // Some other numbering of the studio's: it is the piece's mark, if it has none.
      row.warnings.push(`“${code}” is no code of ours; it is kept as its mark.`);
      if (row.mark === null && code.length <= 40) row.mark = code;
      else row.note = joinNote(row.note, `Code as written: ${code}`);
    }
  }
  if (row.body === null) row.errors.push('No body is given.');
  readCoats(get, row);
  const cone = orNull(get('cone'));
  if (cone !== null) {
    const { value, why, air } = readConeCell(cone);
    row.cone = value;
    if (why !== null) keep(row, 'Cone', cone, why);
    if (air !== null && get('atmosphere') === '') row.atmosphere = readAtmosphere(air, row);
  }
  if (get('atmosphere') !== '') row.atmosphere = readAtmosphere(get('atmosphere'), row);
  const day = readDateCell(get('date'));
  row.date = day.value;
  if (day.why !== null) keep(row, 'Date', get('date'), day.why);
  const surface = get('surface')
    .toLowerCase()
    .replace('matte', 'matt')
    .replace('glossy', 'gloss')
    .replace(/^satin.*$/, 'satin')
    .replace(/^semi-?matt$/, 'satin');
  row.surface = SURFACES.find((one) => one === surface) ?? null;
  if (surface !== '' && row.surface === null && !UNKNOWN_WORD.test(surface))
    row.warnings.push(`Surface “${get('surface')}” is not one of ${SURFACES.join(', ')}; left unknown.`);
  const movement = orNull(get('movement'));
  if (movement !== null) {
    const { value, why } = readMovementCell(movement);
    row.movementMm = value;
    if (why !== null) keep(row, 'Movement', movement, why);
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
    row.warnings.push(`Verdict “${get('verdict')}” is not one of ${VERDICTS.join(', ')}; left out.`);
  for (const [heading, text] of untaken) row.note = joinNote(row.note, `${heading}: ${text}`);
  if (row.note.length > 4000) {
    row.warnings.push('The note is longer than 4000 characters; its end is left out.');
    row.note = row.note.slice(0, 4000);
  }
  return row;
}
