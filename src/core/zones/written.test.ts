import { BARE_WORD, LOST_WORD, UNKNOWN_WORD, writtenName, writtenStack } from './written';

test.each([
  ['Pitch x2 + Tarn', ['Pitch*2', 'Tarn*']],
  ['Tarn over Pitch', ['Pitch*', 'Tarn*']],
  ['3 × Tarn', ['Tarn*3']],
  ['Tarn*4, Ash; Lid', ['Tarn*4', 'Ash*', 'Lid*']],
  ['Tarn → Ash > Lid', ['Tarn*', 'Ash*', 'Lid*']],
  // Over is a word, and no part of one.
  ['Overcast', ['Overcast*']],
  ['  ', []],
])('“%s” is read first coat first', (text, coats) => {
  expect(writtenStack(text).map((one) => `${one.coating}*${one.coats}`)).toEqual(coats);
});

test.each([
  ['Tarn', { name: 'Tarn', doubted: false, unknown: false }],
  ['Tarn?', { name: 'Tarn', doubted: true, unknown: false }],
  ['probably Tarn', { name: 'Tarn', doubted: true, unknown: false }],
  ['Tarn (??)', { name: 'Tarn', doubted: true, unknown: false }],
  ['?', { name: '', doubted: true, unknown: true }],
  ['forgotten', { name: 'forgotten', doubted: false, unknown: true }],
  ['n/a', { name: 'n/a', doubted: false, unknown: true }],
])('the name in “%s”', (text, read) => {
  expect(writtenName(text)).toEqual(read);
});

test('bare, lost and unknown are three things', () => {
  for (const [word, ...is] of [
    ['none', true, false, false],
    ['illegible', false, true, false],
    ['tbd', false, false, true],
    ['Tarn', false, false, false],
  ] as const)
    expect([BARE_WORD, LOST_WORD, UNKNOWN_WORD].map((one) => one.test(word))).toEqual(is);
});
