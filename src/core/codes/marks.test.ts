import { markSeries } from './index';

test.each([
  ['1–4', ['1', '2', '3', '4']],
  ['8-11', ['8', '9', '10', '11']],
  ['T1-T3', ['T1', 'T2', 'T3']],
  ['T1-3', ['T1', 'T2', 'T3']],
  ['kiln 3 no 08–10', ['kiln 3 no 08', 'kiln 3 no 09', 'kiln 3 no 10']],
  ['a\nb\n\n c ', ['a', 'b', 'c']],
  ['red, blue; green\tblack', ['red', 'blue', 'green', 'black']],
  ['7', ['7']],
  ['A-B', ['A-B']],
  ['', []],
])('“%s”', (text, marks) => {
  expect(markSeries(text)).toEqual(marks);
});

test('a range that goes down, or on for ever, is none', () => {
  expect(markSeries('9-3')).toBeNull();
  expect(markSeries('1-99999')).toBeNull();
});
