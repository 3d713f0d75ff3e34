/** Packing held against lattices, against its own checks, and against loads it once gave up on. */
import fc from 'fast-check';
import { onPost, onShelf, packLoad, postsOf, tooNear, type Shelf } from './index';
import { gapOn, latticeSites } from './sites';
import { disc } from '../../../test-support/shelf';

const box = (widthMm: number, depthMm: number, heightMm = 90) => ({
  round: false,
  widthMm,
  depthMm,
  heightMm,
});
const SQUARE: Shelf = { shape: 'rectangle', widthMm: 450, depthMm: 450 };
const ROUND: Shelf = { shape: 'round', widthMm: 480, depthMm: 480 };
const HALF: Shelf = { shape: 'half', widthMm: 500, depthMm: 250 };

/**
 * The better of a square and a hexagonal lattice over 100 offsets, posts kept clear: counted here, not by the
 * core.
 */
function lattice(shelf: Shelf, width: number): number {
  let best = 0;
  const pitch = width + 6;
  for (const hexagonal of [false, true])
    for (let i = 0; i < 10; i++)
      for (let j = 0; j < 10; j++) {
        const deep = hexagonal ? (pitch * Math.sqrt(3)) / 2 : pitch;
        let count = 0;
        for (let row = -12; row <= 12; row++)
          for (let column = -12; column <= 12; column++) {
            const shift = hexagonal && row % 2 !== 0 ? pitch / 2 : 0;
            const spot = {
              shelf: 1,
              xMm: column * pitch + (i * pitch) / 10 + shift,
              yMm: row * deep + (j * deep) / 10,
            };
            if (onShelf(shelf, disc(width), spot) && !onPost(shelf, disc(width), spot)) count += 1;
          }
        best = Math.max(best, count);
      }
  return best;
}

// Geometry: what any potter reaches who sets mugs in rows.
test.each([
  ['square', SQUARE],
  ['round', ROUND],
  ['half', HALF],
])('equal mugs on a %s shelf reach 90 %% of the better lattice', (_, shelf) => {
  for (const width of [62, 88, 110]) {
    const mugs = Array.from({ length: 60 }, (__, i) => ({ id: `m${i}`, footprint: disc(width) }));
    const { spots } = packLoad(mugs, shelf, 1, null);
    expect(spots.size).toBeGreaterThanOrEqual(0.9 * lattice(shelf, width));
    const standing = [...spots].map(([id, spot]) => ({ id, footprint: disc(width), spot }));
    expect(tooNear(standing)).toEqual([]);
    for (const { footprint, spot } of standing) expect(onShelf(shelf, footprint, spot)).toBe(true);
  }
});

test('a platter stands on an empty round shelf, an oblong one across a half shelf', () => {
  const one = (shelf: Shelf, footprint: ReturnType<typeof disc>) =>
    packLoad([{ id: 'it', footprint }], shelf, 1, 800);
  expect(one(ROUND, disc(360, 40)).left).toEqual([]);
  expect(one(HALF, box(400, 100)).left).toEqual([]);
  const turned = one(HALF, box(100, 400));
  expect([turned.left, turned.turned.has('it')]).toEqual([[], true]);
});

test('a tray too wide to stand between posts takes the top shelf, and stops none of the mugs', () => {
  const tray = { id: 'tray', footprint: box(430, 430, 120) };
  const mugs = Array.from({ length: 12 }, (_, i) => ({ id: `m${i}`, footprint: disc(88) }));
  const { spots, left } = packLoad([tray, ...mugs], SQUARE, 4, 900);
  expect(left).toEqual([]);
  const top = Math.max(...[...spots.values()].map(({ shelf }) => shelf));
  expect(spots.get('tray')!.shelf).toBe(top);
  const second = { id: 'second', footprint: box(430, 430, 120) };
  const two = packLoad([tray, second, ...mugs], SQUARE, 4, 900);
  expect(two.left).toEqual([
    { id: 'tray', why: 'too wide to stand between posts, and the top shelf is taken' },
  ]);
  expect(two.spots.size).toBe(13);
});

test('plates and tall vases do not share a shelf where that wastes the height', () => {
  const plates = Array.from({ length: 8 }, (_, i) => ({ id: `p${i}`, footprint: disc(200, 35) }));
  const vases = Array.from({ length: 6 }, (_, i) => ({ id: `v${i}`, footprint: disc(80, 300) }));
  // Two shelves of plates and one of vases come to 475 mm; a vase among the plates would make it 740.
  const { spots, left } = packLoad([...plates, ...vases], SQUARE, 4, 480);
  expect(left).toEqual([]);
  const shelfOf = (id: string): number => spots.get(id)!.shelf;
  const tall = new Set(vases.map(({ id }) => shelfOf(id)));
  expect(tall.size).toBe(1);
});

test('posts that were moved are kept clear where they stand now, and nowhere else', () => {
  const moved: Shelf = { ...SQUARE, posts: [{ xMm: 0, yMm: 0 }] };
  expect(postsOf(moved)).toEqual([{ xMm: 0, yMm: 0 }]);
  const tiles = Array.from({ length: 100 }, (_, i) => ({ id: `t${i}`, footprint: box(50, 55) }));
  const { spots } = packLoad(tiles, moved, 2, null);
  const below = [...spots.values()].filter(({ shelf }) => shelf === 1);
  expect(below.length).toBeGreaterThan(40);
  for (const spot of below) expect(onPost(moved, box(50, 55), spot)).toBe(false);
  // A corner that the usual posts would have taken is stood on.
  expect(below.some((spot) => onPost(SQUARE, box(50, 55), spot))).toBe(true);
});

test('the first gap is found whatever is skipped on the way', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.integer({ min: -200, max: 200 }), fc.integer({ min: -200, max: 200 })), {
        maxLength: 14,
      }),
      fc.integer({ min: 40, max: 120 }),
      (places, width) => {
        const here = places.map(([xMm, yMm], i) => ({
          id: `${i}`,
          footprint: i % 2 ? disc(70) : box(60, 80),
          spot: { shelf: 1, xMm, yMm },
        }));
        const site = gapOn(disc(width), here, SQUARE, 1, 6);
        if (site === null) return;
        const one = { id: 'new', footprint: disc(width), spot: { shelf: 1, ...site } };
        expect(onShelf(SQUARE, one.footprint, one.spot)).toBe(true);
        expect(tooNear([...here, one]).filter(({ b }) => b === 'new')).toEqual([]);
      },
    ),
  );
  expect(gapOn(disc(460), [], SQUARE, 1, 6)).toBeNull();
  expect(gapOn(disc(450), [], SQUARE, 1, 6)).toEqual({ xMm: 0, yMm: 0, turned: false });
});

test('a lattice has room for oblong tiles either way round, clear of posts', () => {
  const sites = latticeSites(SQUARE, box(120, 50), 6, true);
  expect(sites.length).toBeGreaterThan(20);
  for (const { xMm, yMm, turned } of sites)
    expect(onPost(SQUARE, turned ? box(50, 120) : box(120, 50), { shelf: 1, xMm, yMm })).toBe(false);
});
