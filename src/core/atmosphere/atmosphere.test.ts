import fc from 'fast-check';
import { bandsOf, fellShort, minutesOf, oxygenOf, probeMillivolts, probeWords } from './index';

// Published: the Nernst equation with CODATA constants; both values follow from it.
test.each([
  [1200, 0.01, 96.5],
  [1200, 1e-8, 535],
])('at %d °C and %d atm of oxygen a probe gives %d mV', (celsius, oxygen, millivolts) => {
  expect(Math.abs(probeMillivolts(celsius, oxygen) - millivolts)).toBeLessThan(0.6);
});

test('in air it gives nothing, and reads backwards', () => {
  expect(probeMillivolts(1200, 0.2095)).toBeCloseTo(0, 10);
  fc.assert(
    fc.property(
      fc.double({ min: 700, max: 1350, noNaN: true }),
      fc.double({ min: 1e-14, max: 0.2, noNaN: true }),
      (celsius, oxygen) => {
        const back = oxygenOf(celsius, probeMillivolts(celsius, oxygen));
        expect(Math.abs(back / oxygen - 1)).toBeLessThan(1e-9);
      },
    ),
  );
});

test('a probe below its working heat says nothing; above, more volts are more reduction', () => {
  expect(probeWords(400, 700)).toBe('unknown');
  expect([0, 200, 400, 600, 720].map((mv) => probeWords(1200, mv))).toEqual([
    'oxidation',
    'neutral',
    'light reduction',
    'moderate reduction',
    'heavy reduction',
  ]);
});

const diary = [
  { t: 7200, atmosphere: 'heavy reduction' as const, judgedBy: 'flame at the spy hole' },
  { t: 0, atmosphere: 'oxidation' as const, judgedBy: 'damper open' },
  { t: 9000, atmosphere: 'neutral' as const, judgedBy: 'flame' },
];

test('a diary becomes bands that follow each other without a gap', () => {
  const bands = bandsOf(diary, 12_000);
  expect(bands.map(({ from, to }) => [from, to])).toEqual([
    [0, 7200],
    [7200, 9000],
    [9000, 12_000],
  ]);
  expect(minutesOf(bands, 'light reduction')).toBe(30);
  expect(minutesOf(bands, 'neutral')).toBe(80);
});

test('a reduction that hardly happened is said; one that did, or none on record, is not', () => {
  expect(fellShort(bandsOf(diary, 12_000), 'heavy reduction')).toBeNull();
  const short = bandsOf([diary[1]!, { ...diary[0]!, atmosphere: 'light reduction' }], 12_000);
  expect(fellShort(short, 'heavy reduction')).toContain('0 minutes of heavy reduction');
  expect(fellShort([], 'heavy reduction')).toBeNull();
  expect(fellShort(bandsOf([diary[1]!], 12_000), 'oxidation')).toBeNull();
});
