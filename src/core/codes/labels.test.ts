import { codeOnLabel } from './codes';

test.each([
  ['https://jiten.local/pieces/A7CFK', 'A7CFK'],
  ['http://127.0.0.1:4100/pieces/a7cfk?from=label', 'A7CFK'],
  ['A7CFK', 'A7CFK'],
  ['https://elsewhere.example/A7CFK', null],
  ['https://jiten.local/store/buckets/1', null],
  ['', null],
])('a label that says “%s”', (text, code) => {
  expect(codeOnLabel(text)).toBe(code);
});
