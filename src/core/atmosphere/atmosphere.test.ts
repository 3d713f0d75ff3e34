import fc from 'fast-check';
import {
  airAt,
  airWords,
  bandsOf,
  carbonRatio,
  fellShort,
  minutesOf,
  oxygenOf,
  probeMillivolts,
  probeWords,
  ratioWords,
} from './index';

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
  expect([0, 400, 600, 650, 720].map((mv) => probeWords(1200, mv))).toEqual([
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

// Arithmetic of the fit named in the code; that 0.01 is no strong reduction at any heat is common practice.
test('the same CO to CO₂ is the same air at any heat, whatever the probe shows in volts', () => {
  const volts = (celsius: number, ratio: number): number => {
    let [low, high] = [0, 1400];
    for (let i = 0; i < 60; i++) {
      const middle = (low + high) / 2;
      if (carbonRatio(celsius, middle) < ratio) low = middle;
      else high = middle;
    }
    return low;
  };
  for (const ratio of [0.01, 0.05, 0.2, 0.6]) {
    const words = [750, 950, 1100, 1280].map((celsius) => probeWords(celsius, volts(celsius, ratio)));
    expect(new Set(words).size).toBe(1);
  }
  expect(probeWords(700, volts(700, 0.01))).toBe('neutral');
  expect(probeWords(1200, volts(1200, 0.6))).toBe('heavy reduction');
  // At 1200 °C a CO/CO₂ of 0.1 needs about 600 mV (worked by hand from the same two equations).
  expect(Math.abs(volts(1200, 0.1) - 602)).toBeLessThan(15);
  fc.assert(
    fc.property(
      fc.double({ min: 650, max: 1350, noNaN: true }),
      fc.double({ min: 0, max: 900, noNaN: true }),
      (celsius, mv) => {
        expect(carbonRatio(celsius, mv + 10)).toBeGreaterThan(carbonRatio(celsius, mv));
      },
    ),
  );
});

test('the ratio in words', () => {
  expect([0.0001, 0.01, 0.125, 0.8, 2.34].map(ratioWords)).toEqual([
    'next to no CO',
    '1 part of CO to 100 of CO₂',
    '1 part of CO to 8 of CO₂',
    '1 part of CO to 1.3 of CO₂',
    '2.3 parts of CO to 1 of CO₂',
  ]);
});

test('the air of a shelf is what was said of it, else the firing’s', () => {
  const firing = {
    atmosphere: 'moderate reduction' as const,
    shelfAir: { 1: 'light reduction' as const },
  };
  expect([1, 2, null].map((shelf) => airAt(firing, shelf))).toEqual([
    'light reduction',
    'moderate reduction',
    'moderate reduction',
  ]);
  expect(airWords(firing)).toBe('moderate reduction; shelf 1 light reduction');
  expect(airWords({ ...firing, shelfAir: { 2: 'moderate reduction' } })).toBe('moderate reduction');
});

test('reduction of unknown degree counts as some, never as heavy', () => {
  const bands = bandsOf([{ t: 0, atmosphere: 'reduction', judgedBy: '' }], 3600);
  expect(minutesOf(bands, 'light reduction')).toBe(60);
  expect(minutesOf(bands, 'moderate reduction')).toBe(0);
  expect(fellShort(bands, 'reduction')).toBeNull();
});
