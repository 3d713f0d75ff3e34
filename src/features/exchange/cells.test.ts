import { interpret } from './interpret';
import { readConeCell, readDateCell, readMovementCell } from './cells';
import type { Column } from './columns';

// As real sheets of studios have them.
test.each([
  ['6', '6', null],
  ['∆6', '6', null],
  ['Δ04', '04', null],
  ['c6', '6', null],
  ['cone 10', '10', null],
  ['10R', '10', 'r'],
  ['6 ox', '6', 'ox'],
  ['ten', '10', null],
  ['Cone six', '6', null],
  ['5½', '5.5', null],
])('cone “%s” is %s', (text, cone, air) => {
  expect(readConeCell(text)).toEqual({ value: cone, why: null, air });
});
test.each([
  ['5-6', /more than one/],
  ['6 or 7', /more than one/],
  ['1222', /temperature/],
  ['66', /no cone/],
  ['hot', /no cone/i],
])('of “%s” no cone is guessed', (text, why) => {
  const read = readConeCell(text);
  expect(read.value).toBeNull();
  expect(read.why).toMatch(why);
});

test.each([
  ['2024-03-05', '2024-03-05'],
  ['5.3.2024', '2024-03-05'],
  ['13.3.22', '2022-03-13'],
  ['25/3/2024', '2024-03-25'],
  ['3/25/24', '2024-03-25'],
  ['1.1.99', '1999-01-01'],
])('date “%s” is %s', (text, date) => {
  expect(readDateCell(text)).toEqual({ value: date, why: null });
});
test.each([
  ['5/3/2024', /two ways/],
  ['2023', /no day/],
  ['spring 2023', /no day/],
  ['2024-02-30', /no such day/],
])('of “%s” no day is guessed', (text, why) => {
  expect(readDateCell(text).value).toBeNull();
  expect(readDateCell(text).why).toMatch(why);
});
test.each(['?', 'n/a', 'N.A.', '', '–', 'tbd'])('“%s” says nothing, and that is no fault', (text) => {
  expect(readDateCell(text)).toEqual({ value: null, why: null });
});

test.each([
  ['3,5 mm', 3.5],
  ['2-3 mm', 2.5],
  ['2 to 4', 3],
  ['no', 0],
  ['none', 0],
])('movement “%s” is %d', (text, mm) => {
  expect(readMovementCell(text)).toEqual({ value: mm, why: null });
});
test.each(['y', 'yes', 'a bit', '-4', '900'])('of “%s” no millimetres are guessed', (text) => {
  expect(readMovementCell(text)).toMatchObject({ value: null, why: expect.any(String) as string });
});

const COLUMNS: (Column | null)[] = ['body', 'coating 1', 'cone', 'date', 'movement', 'code', null, null];
const HEADINGS = ['Clay', 'Glaze', 'Cone', 'When', 'Runs', 'No', 'Mood', null];
const row = (...cells: string[]) => interpret(2, cells, COLUMNS, HEADINGS);

test('no row is refused for one field: what is not understood is unknown, and its words stay in the note', () => {
  const read = row('Peat', 'Tarn over Pitch', '5-6', 'spring 2023', 'y', '17b', 'happy', 'hidden');
  expect(read).toMatchObject({
    errors: [],
    cone: null,
    date: null,
    movementMm: null,
    code: null,
    mark: '17b',
    coats: [
      { coating: 'Pitch', coats: 1 },
      { coating: 'Tarn', coats: 1 },
    ],
  });
  expect(read.note.split('\n')).toEqual([
    'Cone as written: 5-6',
    'Date as written: spring 2023',
    'Movement as written: y',
    'Mood: happy',
  ]);
  expect(read.warnings).toHaveLength(4);
});

test('the air that a cone was written with is taken where no column says it; a column that is taken says nothing twice', () => {
  expect(row('Peat', 'Pitch', '10R').atmosphere).toBe('reduction');
  const said = interpret(2, ['Peat', '10R', 'ox'], ['body', 'cone', 'atmosphere'], ['A', 'B', 'C']);
  expect(said).toMatchObject({ cone: '10', atmosphere: 'oxidation', note: '' });
});

test('only a row without a body cannot be taken: a piece is of some clay', () => {
  expect(row('', 'Pitch', '6').errors).toEqual(['No body is given.']);
});
