import { likelyDoubles } from './likely';

const pairs = (...names: string[]): string[] =>
  likelyDoubles(names.map((name) => ({ name }))).map(([a, b]) => `${a.name} = ${b.name}`);

test('the same name in another dress is a likely double', () => {
  expect(pairs('Yard Clear', 'yard-clear glaze', 'Tarn')).toEqual(['Yard Clear = yard-clear glaze']);
  expect(pairs('Saltbox', 'Saltbox body', 'SALT BOX')).toHaveLength(3);
});

test('a slip of the pen is; another word is not', () => {
  expect(pairs('Snowmelt', 'Snowmlet')).toEqual(['Snowmelt = Snowmlet']);
  expect(pairs('Tarn', 'Tern')).toHaveLength(1);
  expect(pairs('Ash', 'Oak')).toEqual([]);
  expect(pairs('Ash Lane', 'Cinder', 'Pitch', 'Drift', 'Rust Wash')).toEqual([]);
});

test('figures tell apart: 1 and 2 are not a slip of the pen', () => {
  expect(pairs('Clear base 1', 'Clear base 2', 'Celadon 12', 'Celadon 21')).toEqual([]);
  expect(pairs('', 'glaze', 'body')).toEqual([]);
});
