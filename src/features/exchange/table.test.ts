import { Refusal } from '@/platform/refusal';
import { guessColumn, type Column } from './columns';
import { interpret } from './interpret';
import { fillDown } from './mend';
import { MAX_ROWS, decode, readTable } from './table';

const utf8 = (text: string) => new TextEncoder().encode(text);
const why = (work: () => unknown): string => {
  try {
    work();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
  }
  return 'not refused';
};

test('encodings: UTF-8 with and without mark, UTF-16, and Windows-1252 with a notice', () => {
  expect(decode(utf8('\ufeffbody')).text.replace('\ufeff', '')).toBe('body');
  expect(decode(new Uint8Array([0xff, 0xfe, 0x62, 0, 0x6f, 0])).text.replace('\ufeff', '')).toBe(
    'bo',
  );
  const old = decode(new Uint8Array([0x47, 0x6c, 0xfc, 0x68]));
  expect(old).toMatchObject({
    text: 'Glüh',
    notice: expect.stringContaining('Windows-1252') as string,
  });
  expect(why(() => decode(utf8('')))).toContain('empty');
  expect(why(() => decode(new Uint8Array([0x50, 0x4b, 3, 4])))).toContain('workbook');
  expect(why(() => decode(new Uint8Array([0x80, 0, 0x81])))).toContain('not a text file');
});

test('semicolons, title lines, blank lines and debris of merged cells are read past', () => {
  const table = readTable(
    utf8('Our glaze tests;;;\n;;;\nTile;Clay;Glaze 1;Cone\n1;Peat;Pitch;6\n;;;\n;;;\n2;;Tarn;\n'),
  );
  expect(table.header).toEqual(['Tile', 'Clay', 'Glaze 1', 'Cone']);
  expect(table.rows.map((row) => row.line)).toEqual([4, 7]);
  expect(table.notices).toEqual([
    expect.stringContaining('above the header'),
    expect.stringContaining('blank lines'),
  ]);
  const columns: Column[] = ['mark', 'body', 'coating 1', 'cone'];
  fillDown(table.rows, columns, ['body']);
  expect(interpret(7, table.rows[1]!.cells, columns)).toMatchObject({
    body: 'Peat',
    cone: null,
    errors: [],
  });
});

test('what is no table is refused with the reason, and a hundred thousand rows civilly', () => {
  expect(why(() => readTable(utf8('dear diary\ntoday I glazed\n')))).toContain('No header line');
  expect(why(() => readTable(utf8('body,cone\n')))).toContain('no row below');
  const many = `body,cone\n${'Peat,6\n'.repeat(100_000)}`;
  expect(why(() => readTable(utf8(many)))).toContain(`at most ${MAX_ROWS.toLocaleString('en')}`);
});

test('headings in people’s words', () => {
  expect(
    ['Clay body', '2nd glaze', 'Dips 2', 'Glaze 1', 'Firing date', 'Remarks', 'Colour', 'xyz'].map(
      guessColumn,
    ),
  ).toEqual(['body', 'coating 2', 'coats 2', 'coating 1', 'date', 'note', 'colour', null]);
});

const columns: Column[] = ['body', 'stack', 'cone', 'atmosphere', 'movement', 'defects', 'surface'];
const row = (...cells: string[]) => interpret(2, cells, columns);

test('decimal commas, stacks in words, severities, and what is not known', () => {
  expect(
    row(
      'Peat',
      'Tarn over Pitch x2',
      '^6',
      'medium reduction',
      '3,5 mm',
      'pinholes (slight), crazed',
      'glossy',
    ),
  ).toMatchObject({
    coats: [
      { coating: 'Pitch', coats: 2 },
      { coating: 'Tarn', coats: 1 },
    ],
    cone: '6',
    atmosphere: 'moderate reduction',
    movementMm: 3.5,
    surface: 'gloss',
    signs: [
      { sign: 'pinhole', severity: 1 },
      { sign: 'crazing', severity: 2 },
    ],
    errors: [],
  });
  expect(row('Peat', 'A + B', '?', '', '', 'ghosts', '')).toMatchObject({
    cone: null,
    atmosphere: 'unknown',
    note: 'Defects as written: ghosts',
    warnings: [expect.stringContaining('ghosts')],
  });
  expect(row('Peat', 'A', '1222', 'reduction', '-4', '', '')).toMatchObject({
    // Plain reduction is what it says: of unknown degree.
    atmosphere: 'reduction',
    errors: [],
    warnings: [expect.stringContaining('temperature'), expect.stringContaining('Movement')],
    note: 'Cone as written: 1222\nMovement as written: -4',
  });
});
