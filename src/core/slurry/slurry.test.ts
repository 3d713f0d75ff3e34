import fc from 'fast-check';
import { batch, percentOf, retotal, roundTo, type RecipeLine } from './batch';
import {
  additionForBucket,
  dipFits,
  drySolids,
  dryToThicken,
  equaliseSolids,
  mixDensity,
  sgOf,
  sgProblem,
  waterToThin,
} from './slurry';

const recipe: RecipeLine[] = [
  { name: 'Potash feldspar', percent: 40, addition: false },
  { name: 'Silica', percent: 30, addition: false },
  { name: 'Whiting', percent: 20, addition: false },
  { name: 'Kaolin', percent: 10, addition: false },
  { name: 'Red iron oxide', percent: 8, addition: true },
];

describe('batches', () => {
  test('percent and additions over 100 become grams of base, or of everything', () => {
    const byBase = batch(recipe, 500, 0.1);
    expect(byBase.lines.map(({ grams }) => grams)).toEqual([200, 150, 100, 50, 40]);
    expect(byBase.grams).toBe(540);
    const byTotal = batch(recipe, 540, 0.1, 'total');
    expect(byTotal.lines.map(({ grams }) => grams)).toEqual([200, 150, 100, 50, 40]);
  });

  test('equal parts by volume or weight keep their proportion', () => {
    const thirds = percentOf(
      ['Clay', 'Ash', 'Feldspar'].map((name) => ({ name, amount: 1, addition: false })),
    );
    for (const line of thirds) expect(line.percent).toBeCloseTo(100 / 3, 9);
  });

  test('a coarse scale shows how far it is off', () => {
    const small = batch(recipe, 37, 1);
    expect(small.lines.every(({ grams }) => Number.isInteger(grams))).toBe(true);
    expect(small.worst).toBeGreaterThan(0.05);
    expect(batch(recipe, 37, 0.01).worst).toBeLessThan(0.005);
  });

  test('what cannot be weighed is refused in words', () => {
    expect(() => batch([], 100, 1)).toThrow(/sums to nothing/);
    expect(() => batch(recipe, 0, 1)).toThrow(/dry weight/);
    expect(() => batch(recipe, 100, 0)).toThrow(/resolution/);
    expect(() => percentOf([{ name: 'x', amount: -1, addition: false }])).toThrow(/below 0/);
    expect(() => percentOf([{ name: 'x', amount: 1, addition: true }])).toThrow(/sums to nothing/);
    expect(() => percentOf([{ name: 'x', amount: NaN, addition: false }])).toThrow(RangeError);
  });

  test('grams sum to the total within half a step for each line, and retotalling keeps ratios', () => {
    const amount = fc.double({ min: 0.01, max: 90, noNaN: true });
    const lines = fc.array(fc.record({ name: fc.string(), percent: amount, addition: fc.boolean() }), {
      minLength: 1,
      maxLength: 15,
    });
    fc.assert(
      fc.property(
        lines,
        fc.double({ min: 1, max: 20000, noNaN: true }),
        fc.constantFrom(0.01, 0.1, 1, 5),
        (some, dry, step) => {
          fc.pre(some.some((line) => !line.addition));
          const made = batch(some, dry, step, 'total');
          expect(made.exact).toBeCloseTo(dry, 6);
          expect(Math.abs(made.grams - dry)).toBeLessThanOrEqual((some.length * step) / 2 + 1e-6);
          const again = retotal(some);
          const base = again.reduce((sum, line) => sum + (line.addition ? 0 : line.percent), 0);
          expect(base).toBeCloseTo(100, 6);
          const [a, b] = [some[0]!, some.at(-1)!];
          expect(again[0]!.percent * b.percent).toBeCloseTo(again.at(-1)!.percent * a.percent, 3);
        },
      ),
    );
  });

  test('rounding leaves no binary dust', () => {
    expect(roundTo(0.30000000000000004, 0.1)).toBe(0.3);
    expect(roundTo(1234.56, 5)).toBe(1235);
  });
});

describe('slurries', () => {
  test('an imperial pint that weighs 32 oz at density 2.5 holds 20 oz dry', () => {
    // Published: potters' handbooks. A pint is 568.261 ml, an ounce 28.3495 g, water 20 oz a pint.
    const ounces = (drySolids(32 / 20, 2.5) * 0.568261) / 28.3495;
    expect(ounces).toBeCloseTo(20, 1);
  });

  test('SG 1.45 at density 2.6 holds 731 g a litre', () => {
    // Published: Brongniart's formula.
    expect(drySolids(1.45, 2.6)).toBeCloseTo(731, 0);
    expect(sgOf(drySolids(1.45, 2.6), 2.6)).toBeCloseTo(1.45, 9);
  });

  test('ten litres from 1.55 to 1.45 take 2.22 l of water', () => {
    expect(waterToThin(10, 1.55, 1.45)).toBeCloseTo(2.22, 2);
  });

  test('thinning conserves the dry solids, thickening the water', () => {
    const sg = fc.double({ min: 1.1, max: 1.9, noNaN: true });
    const litres = fc.double({ min: 0.1, max: 100, noNaN: true });
    fc.assert(
      fc.property(sg, sg, litres, (x, y, volume) => {
        const [low, high] = [Math.min(x, y), Math.max(x, y)];
        fc.pre(high - low > 0.01);
        const water = waterToThin(volume, high, low);
        expect((volume + water) * drySolids(low)).toBeCloseTo(volume * drySolids(high), 5);
        const more = dryToThicken(volume, low, high);
        const waterIn = (v: number, s: number): number => v * 1000 * s - v * drySolids(s);
        expect(waterIn(more.litres, high)).toBeCloseTo(waterIn(volume, low), 4);
        expect(more.litres * drySolids(high)).toBeCloseTo(volume * drySolids(low) + more.grams, 4);
      }),
    );
  });

  test('the wrong way round is refused with what to do instead', () => {
    expect(() => waterToThin(10, 1.4, 1.5)).toThrow(/dry mix must go in/);
    expect(() => dryToThicken(10, 1.5, 1.4)).toThrow(/water must go in/);
    expect(() => waterToThin(10, 1.4, 1)).toThrow(/SG 1/);
    expect(() => dryToThicken(1, 1.5, 2.1, 2)).toThrow(/as heavy/);
  });

  test.each([
    [0.9, /Lighter than water/],
    [2.5, /Heavier than any/],
    [1450, /SG 1.45/],
    [NaN, /Give a specific gravity/],
  ])('an SG of %d is questioned', (sg, words) => {
    expect(sgProblem(sg)).toMatch(words);
    expect(() => drySolids(sg)).toThrow(RangeError);
  });
  test('usual SGs are not questioned', () => {
    for (const sg of [1, 1.2, 1.45, 1.8, 2.2]) expect(sgProblem(sg)).toBeNull();
  });

  test('an addition to a wet bucket counts on its base alone', () => {
    // 5 l at SG 1.45 hold 3656 g dry; with 8 % in already the base is 3385 g; 2 % of it is 67.7 g.
    const found = additionForBucket({ litres: 5, sg: 1.45, additionsIn: 8 }, 2);
    expect(found.dry).toBeCloseTo(3656, 0);
    expect(found.base).toBeCloseTo(3385, 0);
    expect(found.grams).toBeCloseTo(67.7, 1);
  });

  test('the density of a mix goes by volume', () => {
    expect(
      mixDensity([
        { amount: 2.6, density: 2.6 },
        { amount: 5.2, density: 5.2 },
      ]),
    ).toBeCloseTo(3.9, 9);
    expect(mixDensity([{ amount: 5, density: null }])).toBe(2.6);
    expect(mixDensity([])).toBe(2.6);
  });

  test('slurries are made equal by water in the thicker ones', () => {
    const equal = equaliseSolids([
      { name: 'A', litres: 2, sg: 1.5, density: 2.6 },
      { name: 'B', litres: 2, sg: 1.4, density: 2.6 },
    ]);
    expect(equal[1]!.waterLitres).toBe(0);
    expect(equal[0]!.waterLitres).toBeCloseTo(waterToThin(2, 1.5, 1.4), 9);
    expect(equal[0]!.gramsPerLitre).toBe(equal[1]!.gramsPerLitre);
  });

  test('a pot fits a bucket, or it is said why not and how full it must be', () => {
    const bucket = { shape: 'round', widthMm: 300, depthMm: 350 } as const;
    const mug = { widthMm: 90, heightMm: 115, volumeMl: 250 };
    const fits = dipFits(bucket, mug);
    expect(fits.fits).toBe(true);
    // A disc of 300 mm holds 7.07 l per 100 mm.
    expect(fits.needLitres).toBeCloseTo(0.0706858 * 130 - 0.25, 2);
    expect(fits.atMostLitres).toBeCloseTo(0.0706858 * 350 - 0.25, 2);
    expect(dipFits(bucket, { ...mug, widthMm: 280 }).why).toMatch(/Pour or dip in halves/);
    expect(dipFits(bucket, { ...mug, heightMm: 400 }).why).toMatch(/two halves/);
    expect(dipFits({ ...bucket, shape: 'square' }, mug).needLitres).toBeCloseTo(0.09 * 130 - 0.25, 2);
  });
});
