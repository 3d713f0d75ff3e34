import { madeWords, planWords } from './words';

const NONE = {
  add: 0,
  refused: 0,
  doubtful: 0,
  likely: 0,
  lost: 0,
  came: 0,
  maybe: 0,
  unknownCone: 0,
  unknownAtmosphere: 0,
  firings: 0,
};

test.each([
  [{ add: 5, firings: 1 }, {}, '1 firing'],
  [{ add: 5, firings: 3, likely: 1, lost: 2 }, {}, 'Keys: 2 sure, 1 likely, 2 lost; 3 firings'],
  [{ add: 5, firings: 3, lost: 2 }, {}, 'Keys: 3 sure, 2 lost; 3 firings'],
  [
    { add: 5, firings: 2, unknownCone: 1, unknownAtmosphere: 4, doubtful: 3, refused: 2 },
    {},
    '2 firings; cone unknown in 1; atmosphere unknown in 4; 3 with a remark; 2 refused',
  ],
  [{ came: 1 }, {}, '1 came in before and stays out'],
  [{ add: 1, firings: 1, came: 4 }, {}, '1 firing; 4 came in before and stay out'],
  [{ add: 5, firings: 2, came: 4 }, { again: true }, '2 firings'],
  [{ add: 5, firings: 2, maybe: 4 }, {}, '2 firings; 4 may have come in before'],
  [
    { add: 1, firings: 1, maybe: 1 },
    { leaveOutMaybe: true },
    '1 firing; 1 may have come in before and stays out',
  ],
])('%p, with %p: %s', (counts, options, words) => {
  expect(planWords({ counts: { ...NONE, ...counts } }, options)).toBe(words);
});

test('what is new is named, and nothing else', () => {
  const made = { lotId: '', coatingIds: [], pieces: 4, firings: 2, bodies: 0, coatings: 0, kilns: 0 };
  expect(madeWords(made)).toBe('In 2 firings.');
  expect(madeWords({ ...made, firings: 1, bodies: 2, kilns: 1 })).toBe(
    'In 1 firing; new: 2 bodies, 1 kiln. Give what is new its kind, range and cautions in the store.',
  );
  expect(madeWords({ ...made, bodies: 1, coatings: 1 })).toMatch(/^In 2 firings; new: 1 body, 1 coating\. /);
});
