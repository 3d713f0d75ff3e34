import { SI } from '../units';
import { changesWords, lookWords, NOTHING, shownWords, voicesWords, whenWords } from './index';

const DAY = 86_400_000;

test.each([
  [0.5, 'kiln', 'at the kiln'],
  [1.2, 'desk', 'at the desk, 1 day after the opening'],
  [35, 'desk', 'at the desk, 5 weeks after the opening'],
  [92, 'kiln', 'at the kiln, 3 months after the opening'],
] as const)('%f days after, at the %s: %s', (days, place, words) => {
  const opened = new Date(0);
  expect(whenWords(new Date(days * DAY), opened, place)).toBe(words);
});

test('without an opening on record only the place is said', () => {
  expect(whenWords(new Date(90 * DAY), null, 'desk')).toBe('at the desk');
});

test('what a look says, and nothing of what it is silent about', () => {
  const look = {
    surface: 'gloss',
    opacity: null,
    colour: 'teal',
    movementMm: 4,
    met: 'blend',
    rating: 4,
  } as const;
  expect(lookWords({ ...look, verdict: 'keep' }, SI)).toBe(
    'gloss, teal, coats blend, ran 4 mm, 4 of 5, keep',
  );
  expect(lookWords({ ...look, movementMm: 25.4 }, { ...SI, length: 'in' })).toContain('ran 1 in');
});

test('changes and voices as sentences', () => {
  expect(changesWords({ later: [], gone: [], surfaceWas: null })).toBe('');
  expect(changesWords({ later: ['crazing'], gone: ['pinhole'], surfaceWas: 'satin' })).toBe(
    'crazing came later, pinholes gone since, came out satin',
  );
  const name = (id: string): string => ({ i: 'Iben', n: 'Noor' })[id] ?? id;
  const voices = {
    zone: null,
    people: ['i', 'n'],
    agree: [{ about: 'surface', value: 'gloss' }],
    differ: [
      {
        about: 'crazing',
        sides: [
          { value: 'found', people: ['i'] },
          { value: 'not found', people: ['n'] },
        ],
      },
      {
        about: 'run',
        sides: [
          { value: '0 mm', people: ['i'] },
          { value: '9 mm', people: ['n'] },
        ],
      },
    ],
  };
  expect(voicesWords(voices, name, SI)).toEqual([
    'Iben and Noor agree: gloss.',
    'They differ: crazing found (Iben), crazing not found (Noor).',
    'They differ: ran 0 mm (Iben), ran 9 mm (Noor).',
  ]);
  // Of a part of the piece: which one comes first.
  expect(voicesWords(voices, name, SI, 'inside').slice(0, 2)).toEqual([
    'inside: Iben and Noor agree: gloss.',
    'inside: they differ: crazing found (Iben), crazing not found (Noor).',
  ]);
});

test('a tile shows what was asked about, that it does not, or that it is sound', () => {
  const sign = (name: string, severity: 1 | 2 | 3 = 2, wanted = false) => ({
    sign: name,
    severity,
    wanted,
  });
  const seen = (signs: ReturnType<typeof sign>[], surface: 'gloss' | null = 'gloss') => ({
    ...NOTHING,
    surface,
    signs,
  });
  expect(shownWords(seen([sign('crazing')]), 'crazing')).toBe('crazed');
  expect(shownWords(seen([sign('crazing', 1)], null), 'crazing')).toBe('crazed, slight');
  expect(shownWords(seen([]), 'crazing')).toBe('sound');
  expect(shownWords(seen([sign('pit')]), 'crazing')).toBe('not crazed');
  expect(shownWords(seen([sign('halo', 1, true)]), 'crazing')).toBe('sound');
  expect(shownWords(seen([sign('pit')]), null)).toBe('gloss');
  // Nobody went over it: that it is sound would be a guess.
  expect(shownWords(null, 'crazing')).toBeNull();
  expect(shownWords(seen([], null), 'crazing')).toBeNull();
});
