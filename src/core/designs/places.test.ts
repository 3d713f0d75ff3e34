import {
  absorption,
  daysLeft,
  firedSize,
  howManyToMake,
  ringTiles,
  slipFit,
  tilesFromClay,
  wetSize,
} from './clay';
import { placesFor, seeded, shuffled } from './confound';

describe('random places', () => {
  test('the same seed gives the same order, another another', () => {
    const items = Array.from({ length: 35 }, (_, i) => i);
    expect(shuffled(items, 7)).toEqual(shuffled(items, 7));
    expect(shuffled(items, 7)).not.toEqual(shuffled(items, 8));
    expect([...shuffled(items, 7)].sort((a, b) => a - b)).toEqual(items);
  });

  test('every tile has one place, and shelves are filled evenly', () => {
    const tiles = Array.from({ length: 35 }, (_, i) => ({ no: i + 1 }));
    const places = placesFor(tiles, 3, 42);
    expect(new Set(places.map(({ no }) => no)).size).toBe(35);
    expect(new Set(places.map(({ shelf, place }) => `${shelf}/${place}`)).size).toBe(35);
    expect(Math.max(...places.map(({ shelf }) => shelf))).toBe(3);
  });

  test('over many seeds every tile is on every shelf about as often', () => {
    const onFirst = Array.from(
      { length: 600 },
      (_, seed) =>
        placesFor(
          [1, 2, 3, 4, 5, 6].map((no) => ({ no })),
          2,
          seed,
        ).find(({ no }) => no === 1)!.shelf,
    ).filter((shelf) => shelf === 1).length;
    // 300 expected, standard deviation 12; five of them allowed.
    expect(Math.abs(onFirst - 300)).toBeLessThan(61);
  });

  test('numbers lie in 0 … 1', () => {
    const random = seeded(1);
    for (let i = 0; i < 1000; i++) {
      const value = random();
      expect(value).toBeGreaterThanOrEqual(0);
      expect(value).toBeLessThan(1);
    }
  });
});

describe('clay', () => {
  test('wet size from fired size and back', () => {
    expect(wetSize(88, 0.12)).toBeCloseTo(100, 9);
    expect(firedSize(100, 0.12)).toBeCloseTo(88, 9);
    expect(() => wetSize(88, 12)).toThrow(/fraction/);
    expect(() => firedSize(88, -0.1)).toThrow(RangeError);
  });

  test('a ring of tiles: clay by section, round and density; tiles by width', () => {
    // By hand: (50·6 + 90·6) mm² · π·250 mm · 1.9 g/cm³ = 1253 g; 785 mm cut every 40 mm.
    const ring = { baseWidth: 50, wallHeight: 90, thickness: 6, diameter: 250, tileWidth: 40 };
    expect(ringTiles(ring).grams).toBeCloseTo(1253, 0);
    expect(ringTiles(ring).tiles).toBe(19);
    expect(() => ringTiles({ ...ring, tileWidth: 0 })).toThrow(RangeError);
  });

  test('slab tiles from clay with a tenth lost', () => {
    // By hand: 100 × 50 × 6 mm weigh 57 g; 2000 g less a tenth make 31.
    expect(tilesFromClay(2000, { length: 100, width: 50, thickness: 6 })).toEqual({
      gramsEach: expect.closeTo(57, 6) as number,
      tiles: 31,
    });
    expect(() => tilesFromClay(0, { length: 1, width: 1, thickness: 1 })).toThrow(/Clay/);
  });

  test('absorption by the boiled weight', () => {
    // Published: ASTM C373, (boiled − dry)/dry.
    expect(absorption(200, 204)).toBeCloseTo(2, 9);
    expect(() => absorption(200, 190)).toThrow(/weigh again/);
  });

  test('how many to make for an order', () => {
    // Published: the binomial distribution; 18 good at 85 % want 25, 10 at 90 % want 13, 95 % sure.
    expect(howManyToMake(18, 0.85, 0.95)).toBe(25);
    expect(howManyToMake(10, 0.9, 0.95)).toBe(13);
    expect(howManyToMake(4, 1, 0.95)).toBe(4);
    expect(() => howManyToMake(0, 0.9, 0.9)).toThrow(RangeError);
    expect(() => howManyToMake(3, 0, 0.9)).toThrow(RangeError);
    expect(() => howManyToMake(3, 0.5, 1)).toThrow(RangeError);
  });

  test('slip and body shrinkage are compared before the slip goes on', () => {
    expect(slipFit(0.14, 0.12).words).toMatch(/crack or peel/);
    expect(slipFit(0.1, 0.12).words).toMatch(/flake/);
    expect(slipFit(0.12, 0.12).words).toMatch(/alike/);
  });

  test('stock runs out at the rate at which it went', () => {
    expect(daysLeft(60, 90, 30)).toBe(20);
    expect(daysLeft(60, 0, 30)).toBeNull();
  });
});
