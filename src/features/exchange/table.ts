import { count } from '@/core/units';
import Papa from 'papaparse';
import { refuse } from '@/platform/refusal';
import { KNOWN_COLUMNS, guessColumn, type Column } from './columns';

export const MAX_FILE_BYTES = 25 * 1024 * 1024;
export const MAX_ROWS = 50_000;

/** A spreadsheet as read: its header and rows, and what was noticed on the way. */
export type Table = {
  header: string[];
  rows: { line: number; cells: string[] }[];
  notices: string[];
};

/** Bytes to text. UTF-8 and UTF-16 are recognised; what is neither is read as Windows-1252, and said. */
export function decode(bytes: Uint8Array): { text: string; notice: string | null } {
  if (bytes.length === 0) throw refuse('The file is empty.');
  if (bytes.length > MAX_FILE_BYTES)
    throw refuse(
      `The file has more than ${MAX_FILE_BYTES / 1048576} MB. Split it and import the parts.`,
    );
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) {
    throw refuse(
      'This is a workbook, not a CSV file. In the spreadsheet choose “Save as” and “CSV”, then bring that file.',
    );
  }
  if (bytes[0] === 0xff && bytes[1] === 0xfe)
    return { text: new TextDecoder('utf-16le').decode(bytes), notice: null };
  if (bytes[0] === 0xfe && bytes[1] === 0xff)
    return { text: new TextDecoder('utf-16be').decode(bytes), notice: null };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), notice: null };
  } catch {
    if (bytes.includes(0))
      throw refuse('This is not a text file. Export the spreadsheet as CSV first.');
    return {
      text: new TextDecoder('windows-1252').decode(bytes),
      notice:
        'The file is not in UTF-8 and was read as Windows-1252. Check the accented letters below.',
    };
  }
}

const isBlank = (cells: readonly string[]): boolean => cells.every((cell) => cell.trim() === '');

/** How many cells of a line are headings we know. */
const known = (cells: readonly string[]): number =>
  cells.filter((cell) => guessColumn(cell) !== null).length;

/**
 * Reads a CSV with any of the usual separators. Title lines above the header, blank lines
 * and blank columns (what merged cells leave behind) are passed over, and said.
 */
export function readTable(bytes: Uint8Array): Table {
  const { text, notice } = decode(bytes);
  const parsed = Papa.parse<string[]>(text, {
    delimitersToGuess: [',', ';', '\t', '|'],
    skipEmptyLines: false,
  });
  const lines = parsed.data.map((cells, i) => ({
    line: i + 1,
    cells: cells.map((cell) => cell.replace(/\u00a0/g, ' ').trim()),
  }));
  const filled = lines.filter(({ cells }) => !isBlank(cells));
  if (filled.length === 0) throw refuse('There is nothing in this file.');
  const top = filled
    .slice(0, 15)
    .reduce((best, line) => (known(line.cells) > known(best.cells) ? line : best));
  if (known(top.cells) < 2) {
    throw refuse(
      `No header line was found. The first line names the columns, such as: ${KNOWN_COLUMNS.slice(0, 8).join(', ')} …`,
    );
  }
  const notices = notice === null ? [] : [notice];
  const above = filled.filter(({ line }) => line < top.line).length;
  if (above > 0) notices.push(`${count(above, 'line')} above the header passed over.`);
  const rows = filled.filter(({ line }) => line > top.line);
  if (rows.length === 0) throw refuse('There is a header but no row below it.');
  if (rows.length > MAX_ROWS) {
    throw refuse(
      `The file has ${rows.length.toLocaleString('en')} rows; at most ${MAX_ROWS.toLocaleString('en')} at a time. Split it by year or by body and import the parts.`,
    );
  }
  const blank = lines.filter(({ line, cells }) => line > top.line && isBlank(cells)).length;
  if (blank > 1) notices.push(`${blank} blank lines passed over.`);
  const broken = parsed.errors.find((error) => error.type === 'Quotes');
  if (broken)
    notices.push(
      `A quotation mark is left open near line ${(broken.row ?? 0) + 1}; check the rows there.`,
    );
  return { header: top.cells, rows, notices };
}

/** Which column of the file holds what: first guessed from the headings, then as the person says. */
export function mapColumns(
  header: readonly string[],
  chosen: Record<number, Column | null>,
): (Column | null)[] {
  return header.map((title, i) => (i in chosen ? (chosen[i] ?? null) : guessColumn(title)));
}
