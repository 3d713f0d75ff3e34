/** Small loads whose packing can be told by hand. */
import { fillGaps, onShelf, packLoad, tooNear, type Footprint, type Shelf } from './index';
import { disc } from '../../../test-support/shelf';

const box = (widthMm: number, depthMm: number, heightMm = 90): Footprint => ({
  round: false,
  widthMm,
  depthMm,
  heightMm,
});
/** No posts, so that the sums come out even. */
const SQUARE: Shelf = { shape: 'rectangle', widthMm: 450, depthMm: 450, posts: [] };
const ROUND: Shelf = { shape: 'round', widthMm: 480, depthMm: 480, posts: [] };
const HALF: Shelf = { shape: 'half', widthMm: 500, depthMm: 250, posts: [] };
const many = (count: number, footprint: Footprint, name = 'm') =>
  Array.from({ length: count }, (_, i) => ({ id: `${name}${i}`, footprint }));
const on = (spots: ReturnType<typeof packLoad>['spots'], shelf: number): number =>
  [...spots.values()].filter((spot) => spot.shelf === shelf).length;

test('four that fill a square, four in a circle, two in a half: laid out in rectangles', () => {
  const places = (shelf: Shelf, count: number, side: number) =>
    [...packLoad(many(count, box(side, side)), shelf, 1, null).spots.values()]
      .map(({ xMm, yMm }) => [Math.abs(xMm), yMm])
      .sort((a, b) => a[1]! - b[1]!);
  // 222 + 6 + 222 = 450.
  expect(places(SQUARE, 4, 222)).toEqual([
    [114, -114],
    [114, -114],
    [114, 114],
    [114, 114],
  ]);
  // A square of 0.707 × 480 = 339.4 lies in the circle: 166 + 6 + 166 = 338.
  expect(places(ROUND, 5, 166)).toHaveLength(4);
  // Half of it, 353.5 × 176.75, in a half of radius 250: 173 + 6 + 173 = 352.
  const two = places(HALF, 3, 173);
  expect(two).toHaveLength(2);
  for (const [, y] of two) expect(y).toBeGreaterThan(0);
});

test('of several sizes, too: four in a circle one after another are three; three in a square only if two are turned', () => {
  // The square in the circle again: no size comes more than twice, so that no lattice is tried.
  const four = [...many(2, box(166, 166), 'a'), ...many(2, box(165, 165), 'b')];
  const { spots } = packLoad(four, ROUND, 1, null);
  expect([...spots.values()].map(({ xMm, yMm }) => [Math.sign(xMm), Math.sign(yMm)]).sort()).toEqual([
    [-1, -1],
    [-1, 1],
    [1, -1],
    [1, 1],
  ]);
  // 280 × 220 and 220 × 170 are 396 deep with their gap; beside them 140 × 300 make 426.
  const three = [
    { id: 'a', footprint: box(220, 280) },
    { id: 'b', footprint: box(140, 300) },
    { id: 'c', footprint: box(170, 220) },
  ];
  const packed = packLoad(three, SQUARE, 1, null);
  expect(packed.left).toEqual([]);
  const standing = three.map(({ id, footprint }) => ({
    id,
    footprint: packed.turned.has(id)
      ? { ...footprint, widthMm: footprint.depthMm, depthMm: footprint.widthMm }
      : footprint,
    spot: packed.spots.get(id)!,
  }));
  expect(packed.turned.size).toBeGreaterThan(0);
  expect(tooNear(standing)).toEqual([]);
  for (const { footprint, spot } of standing) expect(onShelf(SQUARE, footprint, spot)).toBe(true);
});

test('small and large together: the large first, the small in what is left', () => {
  // 300 + 6 + 144 = 450: one large one, and beside and above it a row of three of 144 each, and one in the
  // corner.
  const { spots, left } = packLoad(
    [{ id: 'large', footprint: box(300, 300) }, ...many(5, box(144, 144), 's')],
    SQUARE,
    1,
    null,
  );
  expect(left).toEqual([]);
  expect(spots.size).toBe(6);
});

test('twenty mugs to a shelf of moved rows; the chamber’s height decides how many shelves', () => {
  // 4 rows of 94.1 fit in 450; every other moved by half at 81.6 there are 5 rows of 4.
  const mugs = many(70, disc(88, 100));
  const shelves = (chamberMm: number | null, most = 3) => packLoad(mugs, SQUARE, most, chamberMm);
  expect([1, 2, 3].map((no) => on(shelves(null).spots, no))).toEqual([20, 20, 20]);
  // Each takes 100 + 15 + 20.
  expect(shelves(270).spots.size).toBe(40);
  expect(shelves(269).spots.size).toBe(20);
  expect(shelves(135).spots.size).toBe(20);
  const none = shelves(134);
  expect(none.spots.size).toBe(0);
  expect(new Set(none.left.map(({ why }) => why))).toEqual(new Set(['taller than the chamber']));
  const two = shelves(null, 2);
  expect(two.left).toHaveLength(30);
  expect(new Set(two.left.map(({ why }) => why))).toEqual(new Set(['no room left']));
  expect(shelves(null, 0).spots.size).toBe(0);
});

test('tallest below; what is low fills the gaps of a taller shelf and never makes one taller', () => {
  const { spots } = packLoad(
    [...many(3, disc(60, 60), 'low'), ...many(2, disc(150, 200), 'tall')],
    SQUARE,
    4,
    null,
  );
  expect([...spots.values()].map(({ shelf }) => shelf)).toEqual([1, 1, 1, 1, 1]);
  // Plates and a vase on one shelf would waste its height: each has its own.
  const plates = [...many(4, disc(215, 35), 'plate'), ...many(1, disc(60, 300), 'vase')];
  const apart = packLoad(plates, SQUARE, 2, null).spots;
  expect(new Set([...apart.keys()].map((id) => apart.get(id)!.shelf)).size).toBe(2);
  expect(on(apart, apart.get('vase0')!.shelf)).toBe(1);
});

test('the order is by height, then size, then name: the same load packs the same way', () => {
  const load = [...many(9, disc(120, 80), 'b'), ...many(9, disc(120, 80), 'a')];
  const first = packLoad(load, SQUARE, 2, null);
  const again = packLoad([...load].reverse(), SQUARE, 2, null);
  expect(again.spots).toEqual(first.spots);
  // Four rows of three, every other moved by half: all the a's stand before the first b.
  expect([...first.spots].filter(([, { shelf }]) => shelf === 1).map(([id]) => id[0])).toEqual([
    ...'aaaaaaaaabbb',
  ]);
});

test('what is larger than a shelf is said at once, and the clearance is as asked', () => {
  const wide = packLoad([{ id: 'w', footprint: box(451, 100) }], SQUARE, 2, null);
  expect(wide.left).toEqual([{ id: 'w', why: 'larger than a shelf' }]);
  // Two of 222 stand 6 apart and not 7.
  expect(packLoad(many(2, box(222, 440)), SQUARE, 1, null).spots.size).toBe(2);
  expect(packLoad(many(2, box(222, 440)), SQUARE, 1, null, 7).spots.size).toBe(1);
  expect(packLoad([], SQUARE, 2, null)).toEqual({ spots: new Map(), turned: new Set(), left: [] });
});

test('one that is too wide for posts stands on the top shelf, with what is no taller around it', () => {
  const posts: Shelf = { ...SQUARE, posts: [{ xMm: 0, yMm: 0 }] };
  const wide = { id: 'wide', footprint: box(450, 300, 60) };
  const { spots, left } = packLoad(
    [wide, ...many(3, box(140, 140, 50), 'low'), ...many(2, box(140, 140, 120), 'tall')],
    posts,
    2,
    null,
  );
  expect(left).toEqual([]);
  expect(spots.get('wide')!.shelf).toBe(2);
  expect(['low0', 'low1', 'low2'].map((id) => spots.get(id)!.shelf)).toEqual([2, 2, 2]);
  expect(['tall0', 'tall1'].map((id) => spots.get(id)!.shelf)).toEqual([1, 1]);
  // With one shelf only, that shelf is the top one.
  expect(packLoad([wide], posts, 1, null).spots.get('wide')!.shelf).toBe(1);
});

test('those done with are told of after each shelf', () => {
  const heard: number[] = [];
  packLoad(many(45, disc(88, 100)), SQUARE, 3, null, undefined, (done) => heard.push(done));
  expect(heard).toEqual([20, 40, 45]);
});

describe('gaps between what stands', () => {
  const large = {
    id: 'large',
    footprint: box(300, 450, 100),
    spot: { shelf: 1, xMm: -75, yMm: 0 },
  };

  test('only so many, the smallest first, and none that is taller than the shelf is spaced for', () => {
    // Beside the large one 150 are free: a column of ten discs of 38, three wide.
    const small = many(40, disc(38, 100), 's');
    expect(fillGaps([large], small, SQUARE, 1).size).toBe(12);
    expect(fillGaps([large], small, SQUARE, 1, 3).size).toBe(3);
    const mixed = [
      { id: 'big', footprint: disc(140) },
      { id: 'small', footprint: disc(40) },
    ];
    expect([...fillGaps([large], mixed, SQUARE, 1, 1).keys()]).toEqual(['small']);
    expect([...fillGaps([large], mixed, SQUARE, 1).keys()]).toEqual(['small', 'big']);
    const tall = (heightMm: number) =>
      fillGaps([large], [{ id: 't', footprint: disc(40, heightMm) }], SQUARE, 1).size;
    expect([tall(100), tall(101)]).toEqual([1, 0]);
  });

  test('each on the first shelf that has room, turned where it has to be, apart from the others', () => {
    const full = { id: 'full', footprint: box(450, 450, 100), spot: { shelf: 1, xMm: 0, yMm: 0 } };
    const above = { ...large, id: 'above', spot: { ...large.spot, shelf: 2 } };
    const oblong = { id: 'o', footprint: box(300, 140) };
    const found = fillGaps([full, above], [oblong, { ...oblong, id: 'p' }], SQUARE, 2);
    expect(found.get('o')).toMatchObject({ shelf: 2, turned: true });
    expect(found.size).toBe(1);
    const pairs = fillGaps([large], many(6, disc(70)), SQUARE, 1);
    const standing = [large, ...[...pairs].map(([id, spot]) => ({ id, footprint: disc(70), spot }))];
    expect(pairs.size).toBe(6);
    expect(tooNear(standing)).toEqual([]);
    for (const { footprint, spot } of standing) expect(onShelf(SQUARE, footprint, spot)).toBe(true);
    expect(fillGaps([large], many(1, disc(145)), SQUARE, 1).size).toBe(0);
    expect(fillGaps([large], many(1, disc(144)), SQUARE, 1).size).toBe(1);
    expect(fillGaps([large], many(1, disc(144)), SQUARE, 1, 12, 7).size).toBe(0);
  });
});
