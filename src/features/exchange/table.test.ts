import { Refusal } from '@/platform/refusal';
import { guessColumn, type Column } from './columns';
import { interpret } from './interpret';
import { fillDown } from './mend';
import { MAX_FILE_BYTES, MAX_ROWS, decode, readTable } from './table';

const utf8 = (text: string) => new TextEncoder().encode(text);
const why = async (work: () => Promise<unknown>): Promise<string> => {
  try {
    await work();
  } catch (error) {
    if (error instanceof Refusal) return error.message;
  }
  return 'not refused';
};

test('encodings: UTF-8 with and without mark, UTF-16, and Windows-1252 with a notice', async () => {
  expect((await decode(utf8('\ufeffbody'))).text.replace('\ufeff', '')).toBe('body');
  expect((await decode(new Uint8Array([0xff, 0xfe, 0x62, 0, 0x6f, 0]))).text.replace('\ufeff', '')).toBe(
    'bo',
  );
  const old = await decode(new Uint8Array([0x47, 0x6c, 0xfc, 0x68]));
  expect(old).toMatchObject({
    text: 'Glüh',
    notice: expect.stringContaining('Windows-1252') as string,
  });
  expect(await why(() => decode(utf8('')))).toContain('empty');
  expect(await why(() => decode(new Uint8Array([0x50, 0x4b, 3, 4])))).toContain('workbook');
  expect(await why(() => decode(new Uint8Array([0x80, 0, 0x81])))).toContain('not a text file');
});

test('semicolons, title lines, blank lines and debris of merged cells are read past', async () => {
  const table = await readTable(
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

test('what is no table is refused with the reason, and a hundred thousand rows civilly', async () => {
  expect(await why(() => readTable(utf8('dear diary\ntoday I glazed\n')))).toContain('No header line');
  expect(await why(() => readTable(utf8('body,cone\n')))).toContain('no row below');
  const many = `body,cone\n${'Peat,6\n'.repeat(60_000)}`;
  expect(await why(() => readTable(utf8(many)))).toContain(`at most ${MAX_ROWS.toLocaleString('en')}`);
});

test('twenty megabytes of line ends, or of commas, are given up while they are read, and others have their turn', async () => {
  for (const [mark, word] of [
    ['\n', 'more than 150,000 lines'],
    [',', 'Line 2 has 20,971,500 characters'],
    [`${','.repeat(100)}\n`, 'more than 3,000,000 cells'],
  ]) {
    const bytes = utf8(
      `body,cone\n${mark!.repeat(Math.floor((MAX_FILE_BYTES - 20) / mark!.length / (mark!.length > 50 ? 3 : 1)))}`,
    );
    let [turns, longest, last] = [0, 0, performance.now()];
    const clock = setInterval(() => {
      longest = Math.max(longest, performance.now() - last);
      last = performance.now();
      turns++;
    }, 1);
    const said = await why(() => readTable(bytes)).finally(() => clearInterval(clock));
    expect(said).toContain(word);
    expect(turns).toBeGreaterThan(3);
    expect(longest).toBeGreaterThan(0);
  }
});

test('a table of many turns is read whole, its open quotation mark found where it is', async () => {
  const rows = Array.from({ length: 30_000 }, (_, i) => `Peat ${i},6,"Tarn, thin"`);
  const table = await readTable(utf8(`body,cone,note\n${rows.join('\n')}`));
  expect(table.rows).toHaveLength(30_000);
  expect(table.rows.at(-1)).toEqual({ line: 30_001, cells: ['Peat 29999', '6', 'Tarn, thin'] });
  expect(table.notices).toEqual([]);
  const open = await readTable(utf8(`body,cone,note\n${rows.slice(0, 5).join('\n')}\nPeat,6,"open`));
  expect(open.notices).toEqual(['A quotation mark is left open near line 7; check the rows there.']);
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
