import { Random } from '../../../demo/random';
import { coloursOf, deltaE, linearOfLab, type Lab, type Linear } from '.';

const random = new Random(5);
/** Spots of a colour as they lie about it, in lightness. */
const spots = (lab: Lab, count: number, scatter = 1): Linear[] =>
  Array.from({ length: count }, () =>
    linearOfLab([lab[0] + scatter * (random.next() + random.next() - 1), lab[1], lab[2]]),
  );

const CELADON: Lab = [68, -12, 6];
const IRON: Lab = [24, 6, 8];

test('one even colour is itself, whole, and hardly scattered', () => {
  const found = coloursOf(spots(CELADON, 900))!;
  expect(deltaE(found.lab, CELADON)).toBeLessThan(0.3);
  expect(found.parts).toEqual([{ lab: found.lab, share: 1 }]);
  expect(found.variegation).toBeLessThan(1);
  expect(found.glare).toBe(0);
});

test('two colours are told with their shares, the larger first, the same at every reading', () => {
  const mixed = [...spots(CELADON, 700), ...spots(IRON, 300)];
  const found = coloursOf(mixed)!;
  expect(found.parts).toHaveLength(2);
  expect(deltaE(found.parts[0]!.lab, CELADON)).toBeLessThan(1.5);
  expect(deltaE(found.parts[1]!.lab, IRON)).toBeLessThan(1.5);
  expect(found.parts[0]!.share).toBeCloseTo(0.7, 1);
  expect(found.parts.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 6);
  expect(found.variegation).toBeGreaterThan(8);
  expect(coloursOf(mixed)).toEqual(found);
});

test('a mirrored lamp is left out and counted; a zone that is half light by itself is not', () => {
  const lamp: Linear = [0.98, 0.98, 0.98];
  const found = coloursOf([...spots(IRON, 900), ...Array.from({ length: 100 }, () => lamp)])!;
  expect(deltaE(found.lab, IRON)).toBeLessThan(0.6);
  expect(found.glare).toBeCloseTo(0.1, 1);
  expect(coloursOf([...spots(IRON, 500), ...spots([90, 0, 2], 500)])!.glare).toBeLessThan(0.05);
});

test('too few spots say nothing', () => {
  expect(coloursOf(spots(CELADON, 39))).toBeNull();
});
