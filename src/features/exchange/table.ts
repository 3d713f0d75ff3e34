import { count } from '@/core/units';
import Papa from 'papaparse';
import { breathe } from '@/platform/breath';
import { refuse, type Refusal } from '@/platform/refusal';
import { KNOWN_COLUMNS, guessColumn, type Column } from './columns';

export const MAX_FILE_BYTES = 20 * 1024 * 1024;
export const MAX_ROWS = 50_000;
/** Blank ones included; nobody keeps records of so many columns. */
const MAX_LINES = 3 * MAX_ROWS;
const MAX_CELLS = 3_000_000;
/** So much is read at a turn: others have theirs in between. */
const TURN = 256 * 1024;

/** A spreadsheet as read: its header and rows, and what was noticed on the way. */
export type Table = {
  header: string[];
  rows: { line: number; cells: string[] }[];
  notices: string[];
};

/** Bytes to text. UTF-8 and UTF-16 are recognised; what is neither is read as Windows-1252, and said. */
export async function decode(bytes: Uint8Array): Promise<{ text: string; notice: string | null }> {
  if (bytes.length === 0) throw refuse('The file is empty.');
  if (bytes.length > MAX_FILE_BYTES)
    throw refuse(`The file has more than ${MAX_FILE_BYTES / 1048576} MB. Split it and import the parts.`);
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
    const decoder = new TextDecoder('utf-8', { fatal: true });
    let text = '';
    for (let from = 0; from < bytes.length; from += 4 * TURN) {
      text += decoder.decode(bytes.subarray(from, from + 4 * TURN), { stream: true });
      await breathe();
    }
    return { text: text + decoder.decode(), notice: null };
  } catch {
    if (bytes.includes(0)) throw refuse('This is not a text file. Export the spreadsheet as CSV first.');
    return {
      text: new TextDecoder('windows-1252').decode(bytes),
      notice: 'The file is not in UTF-8 and was read as Windows-1252. Check the accented letters below.',
    };
  }
}

const isBlank = (cells: readonly string[]): boolean => cells.every((cell) => cell.trim() === '');

/** How many cells of a line are headings we know. */
const known = (cells: readonly string[]): number => cells.filter((cell) => guessColumn(cell) !== null).length;

const tooMany = (what: string, most: number): Refusal =>
  refuse(
    `The file has more than ${most.toLocaleString('en')} ${what}. Split it by year or by body and import the parts.`,
  );

/** No line of a spreadsheet is so long; one that never ends would be read again and again. */
const LONGEST_LINE = 100_000;

/** Looks at where lines end before any of them is taken apart. */
function notTooMuch(text: string): void {
  const end = text.includes('\n') ? '\n' : '\r';
  for (let from = 0, lines = 1; from < text.length; lines++) {
    const next = text.indexOf(end, from);
    const length = (next < 0 ? text.length : next) - from;
    if (length > LONGEST_LINE)
      throw refuse(
        `Line ${lines} has ${length.toLocaleString('en')} characters: that is no table. Export the spreadsheet as CSV again.`,
      );
    if (lines > MAX_LINES) throw tooMany('lines', MAX_LINES);
    if (next < 0) return;
    from = next + 1;
  }
}

type Parsed = { lines: Table['rows']; openQuote: number | null };

/** Parses turn by turn, and stops where there is too much of it. */
function parse(text: string): Promise<Parsed> {
  return new Promise((resolve, reject) => {
    const lines: Table['rows'] = [];
    let openQuote: number | null = null;
    let cellsSoFar = 0;
    Papa.parse<string[]>(text, {
      delimitersToGuess: [',', ';', '\t', '|'],
      skipEmptyLines: false,
      chunkSize: TURN,
      chunk: ({ data, errors }: Papa.ParseResult<string[]>, parser: Papa.Parser) => {
        for (const { type, row = 0 } of errors) if (type === 'Quotes') openQuote ??= lines.length + row + 1;
        for (const cells of data) {
          cellsSoFar += cells.length;
          lines.push({
            line: lines.length + 1,
            cells: cells.map((cell: string) => cell.replace(/\u00a0/g, ' ').trim()),
          });
        }
        const over =
          lines.length > MAX_LINES
            ? tooMany('lines', MAX_LINES)
            : cellsSoFar > MAX_CELLS
              ? tooMany('cells', MAX_CELLS)
              : null;
        if (over !== null) {
          // Before it says that it is done.
          reject(over);
          return parser.abort();
        }
        parser.pause();
        setImmediate(() => parser.resume());
      },
      complete: () => resolve({ lines, openQuote }),
    });
  });
}

/**
 * Reads a CSV with any of the usual separators. Title lines above the header, blank lines
 * and blank columns (what merged cells leave behind) are passed over, and said.
 */
export async function readTable(bytes: Uint8Array): Promise<Table> {
  const { text, notice } = await decode(bytes);
  notTooMuch(text);
  const { lines, openQuote } = await parse(text);
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
  if (openQuote !== null)
    notices.push(`A quotation mark is left open near line ${openQuote}; check the rows there.`);
  return { header: top.cells, rows, notices };
}

/** Which column of the file holds what: first guessed from the headings, then as the person says. */
export function mapColumns(
  header: readonly string[],
  chosen: Record<number, Column | null>,
): (Column | null)[] {
  return header.map((title, i) => (i in chosen ? (chosen[i] ?? null) : guessColumn(title)));
}
