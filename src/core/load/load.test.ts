import {
  fillGaps,
  footprintOf,
  fullness,
  gapBetween,
  onPost,
  onShelf,
  postsOf,
  packLoad,
  shelfArea,
  tooNear,
  type Footprint,
  type Shelf,
} from './index';
import { disc } from '../../../test-support/shelf';

const SQUARE: Shelf = { shape: 'rectangle', widthMm: 450, depthMm: 450 };
const ROUND: Shelf = { shape: 'round', widthMm: 420, depthMm: 420 };
const HALF: Shelf = { shape: 'half', widthMm: 500, depthMm: 250 };

const box = (widthMm: number, depthMm: number, heightMm = 90): Footprint => ({
  round: false,
  widthMm,
  depthMm,
  heightMm,
});
const at = (id: string, footprint: Footprint, xMm: number, yMm: number, shelf = 1) => ({
  id,
  footprint,
  spot: { shelf, xMm, yMm },
});

describe('standing on a shelf', () => {
  test('gaps between discs, boxes, and one of each', () => {
    expect(gapBetween(at('a', disc(80), 0, 0), at('b', disc(60), 100, 0))).toBeCloseTo(30, 6);
    expect(gapBetween(at('a', box(80, 40), 0, 0), at('b', box(60, 40), 100, 0))).toBeCloseTo(30, 6);
    expect(gapBetween(at('a', box(60, 60), 0, 0), at('b', box(60, 60), 90, 100))).toBeCloseTo(50, 6);
    expect(gapBetween(at('a', box(60, 60), 0, 0), at('b', disc(40), 70, 70))).toBeCloseTo(
      Math.hypot(40, 40) - 20,
      6,
    );
    expect(gapBetween(at('a', box(60, 60), 0, 0), at('b', disc(40), 10, 0))).toBeLessThan(0);
  });

  test('only pieces of one shelf are near each other', () => {
    const three = [at('a', disc(80), 0, 0), at('b', disc(80), 60, 0), at('c', disc(80), 60, 0, 2)];
    expect(tooNear(three).map(({ a, b }) => a + b)).toEqual(['ab']);
  });

  test('a corner of a box leaves a round shelf before its middle does', () => {
    expect(onShelf(ROUND, disc(80), { shelf: 1, xMm: 170, yMm: 0 })).toBe(true);
    expect(onShelf(ROUND, box(80, 80), { shelf: 1, xMm: 170, yMm: 0 })).toBe(false);
    expect(onShelf(SQUARE, box(80, 80), { shelf: 1, xMm: 180, yMm: 180 })).toBe(true);
    expect(onShelf(SQUARE, box(80, 80), { shelf: 1, xMm: 190, yMm: 0 })).toBe(false);
    // A half shelf's straight edge is at the foot of its box.
    expect(onShelf(HALF, disc(60), { shelf: 1, xMm: 200, yMm: 85 })).toBe(true);
    expect(onShelf(HALF, disc(60), { shelf: 1, xMm: 200, yMm: -60 })).toBe(false);
  });

  test('three posts stand on every shelf, and a piece may not stand there below another shelf', () => {
    for (const shelf of [SQUARE, ROUND, HALF]) {
      const posts = postsOf(shelf);
      expect(posts).toHaveLength(3);
      for (const post of posts) {
        expect(onShelf(shelf, box(30, 30), { shelf: 1, ...post })).toBe(true);
        expect(onPost(shelf, disc(60), { shelf: 1, ...post })).toBe(true);
      }
      expect(onPost(shelf, disc(60), { shelf: 1, xMm: 0, yMm: 0 })).toBe(false);
    }
  });

  test('areas and fullness', () => {
    expect(shelfArea(ROUND)).toBeCloseTo(Math.PI * 210 ** 2, 3);
    expect(shelfArea(HALF)).toBeCloseTo((Math.PI * 250 ** 2) / 2, 3);
    const full = fullness(SQUARE, 2, 400, [
      { footprint: box(450, 225, 100), spot: { shelf: 1 } },
      { footprint: box(450, 225, 60), spot: { shelf: 1 } },
    ]);
    expect(full.area).toBeCloseTo(0.5, 6);
    expect(full.spacing).toEqual([115, 0]);
    expect(full.height).toBeCloseTo(135 / 400, 6);
  });

  test('a taller piece of a form is wider, but not in proportion', () => {
    const [small, tall] = [footprintOf('vase', 300), footprintOf('vase', 600)];
    expect(tall.widthMm).toBeGreaterThan(small.widthMm);
    expect(tall.widthMm).toBeLessThan(2 * small.widthMm);
    expect(footprintOf('something new', null).widthMm).toBeGreaterThan(0);
  });
});

describe('packing', () => {
  test('eighty tiles stand on five shelves, and what cannot is said', () => {
    const tiles = Array.from({ length: 80 }, (_, i) => ({ id: `t${i}`, footprint: box(50, 55) }));
    const heard: number[] = [];
    const packed = packLoad(tiles, SQUARE, 5, 800, undefined, (done) => heard.push(done));
    expect(packed.left).toEqual([]);
    const shelves = [...packed.spots.values()].map(({ shelf }) => shelf);
    expect(heard.map((_, i) => shelves.filter((no) => no <= i + 1).length)).toEqual(heard);
    expect(heard.at(-1)).toBe(80);
    const odd = packLoad(
      [
        { id: 'wide', footprint: disc(600) },
        { id: 'tall', footprint: disc(100, 900) },
        { id: 'fits', footprint: disc(100) },
      ],
      SQUARE,
      5,
      800,
    );
    expect(odd.left).toEqual([
      { id: 'tall', why: 'taller than the chamber' },
      { id: 'wide', why: 'larger than a shelf' },
    ]);
    expect(odd.spots.has('fits')).toBe(true);
    const crowd = packLoad(
      Array.from({ length: 400 }, (_, i) => ({ id: `t${i}`, footprint: box(50, 55) })),
      SQUARE,
      2,
      800,
    );
    expect(crowd.left[0]!.why).toBe('no room left');
  });

  test('tall pieces share a shelf', () => {
    const mixed = Array.from({ length: 12 }, (_, i) => ({
      id: `v${i}`,
      footprint: disc(100, i % 2 ? 300 : 60),
    }));
    const { spots } = packLoad(mixed, SQUARE, 4, 900);
    const tall = mixed.filter(({ footprint }) => footprint.heightMm === 300);
    expect(new Set(tall.map(({ id }) => spots.get(id)!.shelf)).size).toBe(1);
  });
});

describe('gaps', () => {
  const packed = (n: number) => {
    const parcels = Array.from({ length: n }, (_, i) => ({ id: `m${i}`, footprint: disc(100) }));
    const { spots } = packLoad(parcels, SQUARE, 1, 800);
    return parcels.flatMap(({ id, footprint }) => {
      const spot = spots.get(id);
      return spot ? [{ id, footprint, spot }] : [];
    });
  };

  test('small pieces find places between what stands, and nothing that stands is moved', () => {
    const standing = packed(12);
    const small = Array.from({ length: 6 }, (_, i) => ({ id: `s${i}`, footprint: disc(40, 50) }));
    const found = fillGaps(standing, small, SQUARE, 1);
    expect(found.size).toBeGreaterThan(2);
    const all = [
      ...standing,
      ...small.flatMap(({ id, footprint }) => {
        const spot = found.get(id);
        return spot ? [{ id, footprint, spot }] : [];
      }),
    ];
    expect(tooNear(all, 5.9)).toEqual([]);
    for (const { footprint, spot } of all) expect(onShelf(SQUARE, footprint, spot)).toBe(true);
  });

  test('what is taller than its shelf is spaced for, or finds no room, is left', () => {
    const standing = packed(16);
    expect(fillGaps(standing, [{ id: 't', footprint: disc(30, 200) }], SQUARE, 1).size).toBe(0);
    expect(fillGaps(standing, [{ id: 'w', footprint: disc(300, 50) }], SQUARE, 1).size).toBe(0);
    expect(fillGaps([], [{ id: 'a', footprint: disc(30) }], SQUARE, 1).size).toBe(0);
  });
});
