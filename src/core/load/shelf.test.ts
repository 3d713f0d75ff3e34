/** Shelves in figures: each worked out by hand from the geometry named beside it. */
import {
  CLEARANCE_MM,
  footprintOf,
  fullness,
  gapBetween,
  onPost,
  onShelf,
  postsOf,
  shelfArea,
  shelfOf,
  standingPosts,
  tooNear,
  UNMEASURED,
  type Footprint,
  type Shelf,
} from './index';
import { disc } from '../../../test-support/shelf';

const box = (widthMm: number, depthMm: number, heightMm = 90): Footprint => ({
  round: false,
  widthMm,
  depthMm,
  heightMm,
});
const at = (footprint: Footprint, xMm: number, yMm: number, shelf = 1) => ({
  id: `${xMm},${yMm}`,
  footprint,
  spot: { shelf, xMm, yMm },
});
const SQUARE: Shelf = { shape: 'rectangle', widthMm: 450, depthMm: 400 };
const ROUND: Shelf = { shape: 'round', widthMm: 480, depthMm: 480 };
const HALF: Shelf = { shape: 'half', widthMm: 500, depthMm: 250 };

// Common practice, no source: what potters allow when a size is not on record.
test.each([
  ['L tile', false, 50, 55, 95],
  ['ring-cut T tile', false, 45, 50, 80],
  ['test cup', true, 55, 55, 55],
  ['test bowl', true, 80, 80, 45],
  ['slab', false, 60, 40, 100],
  ['ball and coil', false, 50, 40, 50],
  ['draped coil', false, 60, 50, 60],
  ['mug', true, 88, 88, 105],
  ['beaker', true, 80, 80, 120],
  ['bowl', true, 150, 150, 75],
  ['plate', true, 230, 230, 35],
  ['vase', true, 120, 120, 300],
  ['jar with lid', true, 120, 120, 160],
  ['something new', true, 100, 100, 100],
])('a %s takes up its usual room', (form, round, widthMm, depthMm, heightMm) => {
  expect(footprintOf(form, null)).toEqual({ round, widthMm, depthMm, heightMm });
});

test('a height on record widens ware by its root, tiles and plates by nothing', () => {
  // √(150/105) = 1.1952: 88 → 105.
  expect(footprintOf('mug', 150)).toEqual({ round: true, widthMm: 105, depthMm: 105, heightMm: 150 });
  // √(25/100) = 0.5, and no narrower however low.
  expect(footprintOf('slab', 25)).toEqual({ round: false, widthMm: 30, depthMm: 20, heightMm: 25 });
  expect(footprintOf('slab', 5)).toEqual({ round: false, widthMm: 30, depthMm: 20, heightMm: 5 });
  expect(footprintOf('L tile', 140)).toEqual({ round: false, widthMm: 50, depthMm: 55, heightMm: 140 });
  // A plate's height says nothing of its width, and its usual one is kept.
  expect(footprintOf('plate', 60)).toEqual({ round: true, widthMm: 230, depthMm: 230, heightMm: 35 });
});

test('gaps, whichever comes first: side by side, corner to corner, one inside another', () => {
  const both = (a: ReturnType<typeof at>, b: ReturnType<typeof at>) => {
    expect(gapBetween(b, a)).toBeCloseTo(gapBetween(a, b), 9);
    return gapBetween(a, b);
  };
  expect(both(at(disc(80), 0, 0), at(disc(60), 30, 40))).toBeCloseTo(-20, 9);
  expect(both(at(disc(80), 0, 0), at(disc(60), 60, 80))).toBeCloseTo(30, 9);
  expect(both(at(box(80, 40), 0, 0), at(box(60, 40), 10, -90))).toBeCloseTo(50, 9);
  expect(both(at(box(80, 40), 0, 0), at(box(60, 40), 70, 20))).toBeCloseTo(0, 9);
  expect(both(at(box(80, 40), 0, 0), at(box(60, 40), 100, 80))).toBeCloseTo(50, 9);
  expect(both(at(box(80, 40), 0, 0), at(box(60, 40), 65, 35))).toBeCloseTo(-5, 9);
  // A disc of radius 20 beside a box whose half is 40 × 20: level with its side, past its corner, on it.
  expect(both(at(box(80, 40), 0, 0), at(disc(40), 70, 10))).toBeCloseTo(10, 9);
  expect(both(at(box(80, 40), 0, 0), at(disc(40), 10, -55))).toBeCloseTo(15, 9);
  expect(both(at(box(80, 40), 0, 0), at(disc(40), 70, 60))).toBeCloseTo(30, 9);
  expect(both(at(box(80, 40), 0, 0), at(disc(40), 30, 5))).toBeCloseTo(-30, 9);
});

test('too near is under six millimetres, said with the gap; a hair is forgiven', () => {
  const pair = (gap: number) => [at(disc(80), 0, 0), at(disc(80), 80 + gap, 0)];
  expect(CLEARANCE_MM).toBe(6);
  expect(tooNear(pair(5.5))).toEqual([{ a: '0,0', b: '85.5,0', gapMm: expect.closeTo(5.5, 9) as number }]);
  expect(tooNear(pair(6))).toEqual([]);
  expect(tooNear(pair(5.995))).toEqual([]);
  expect(tooNear(pair(5.98))).toHaveLength(1);
  expect(tooNear(pair(8), 10)).toHaveLength(1);
  expect(tooNear([...pair(1), at(disc(80), 0, 81)])).toHaveLength(2);
});

test('posts: 32 mm wide, corners in front and one behind; by angle on a disc; ends and bow of a half', () => {
  expect(postsOf(SQUARE)).toEqual([
    { xMm: -209, yMm: -184 },
    { xMm: 209, yMm: -184 },
    { xMm: 0, yMm: 184 },
  ]);
  // Radius 240 − 24 = 216, at 210°, 330° and 90°.
  expect(postsOf(ROUND)).toEqual([
    { xMm: -187, yMm: -108 },
    { xMm: 187, yMm: -108 },
    { xMm: 0, yMm: 216 },
  ]);
  // Radius 250 − 24 = 226: 210 along the straight edge; the bow's middle lies at 125 − 226.
  expect(postsOf(HALF)).toEqual([
    { xMm: -210, yMm: 109 },
    { xMm: 210, yMm: 109 },
    { xMm: 0, yMm: -101 },
  ]);
  expect(standingPosts(SQUARE, 2)[1]).toEqual({
    id: 'post 1',
    footprint: box(32, 32, 0),
    spot: { shelf: 2, xMm: 209, yMm: -184 },
  });
  // The post at (0, 184) reaches down to 168.
  expect(onPost(SQUARE, box(40, 40), { shelf: 1, xMm: 0, yMm: 149 })).toBe(true);
  expect(onPost(SQUARE, box(40, 40), { shelf: 1, xMm: 0, yMm: 148 })).toBe(false);
});

test('on the shelf to a hundredth of a millimetre', () => {
  const on = (shelf: Shelf, footprint: Footprint, xMm: number, yMm: number) =>
    onShelf(shelf, footprint, { shelf: 1, xMm, yMm });
  for (const sign of [-1, 1]) {
    expect(on(SQUARE, box(50, 40), sign * 200, 0)).toBe(true);
    expect(on(SQUARE, box(50, 40), sign * 200.005, 0)).toBe(true);
    expect(on(SQUARE, box(50, 40), sign * 200.1, 0)).toBe(false);
    expect(on(SQUARE, box(50, 40), 0, sign * 180)).toBe(true);
    expect(on(SQUARE, box(50, 40), 0, sign * 180.1)).toBe(false);
    // A disc of radius 40 goes 200 from the middle of one of 240: 120 across and 160 up.
    expect(on(ROUND, disc(80), sign * 120, sign * 160)).toBe(true);
    expect(on(ROUND, disc(80), sign * 120.1, sign * 160)).toBe(false);
    // Its corner at (144, 192) touches the rim.
    expect(on(ROUND, box(60, 80), sign * 114, -sign * 152)).toBe(true);
    expect(on(ROUND, box(60, 80), sign * 114.1, sign * 152)).toBe(false);
    // A half shelf's circle has its middle at y = 125: 150 across and 200 down is its rim.
    expect(on(HALF, box(100, 100), sign * 100, -25)).toBe(true);
    expect(on(HALF, box(100, 100), sign * 100.2, -25)).toBe(false);
    expect(on(HALF, disc(100), sign * 120, -35)).toBe(true);
    expect(on(HALF, disc(100), sign * 120.2, -35)).toBe(false);
  }
});

test('areas, spacing and fullness', () => {
  expect(shelfArea(SQUARE)).toBe(180_000);
  expect(shelfArea(ROUND)).toBeCloseTo(Math.PI * 240 ** 2, 6);
  expect(shelfArea(HALF)).toBeCloseTo((Math.PI * 250 ** 2) / 2, 6);
  const on = (footprint: Footprint, shelf: number) => ({ footprint, spot: { shelf } });
  const load = [on(box(450, 200, 100), 1), on(disc(100, 60), 1), on(disc(100, 250), 3)];
  expect(fullness(SQUARE, 3, 800, load)).toEqual({
    // 90,000 and two discs of 7,854 on 540,000.
    area: expect.closeTo((90_000 + 2 * Math.PI * 2500) / 540_000, 9) as number,
    // 100 + 15 and 250 + 15 above their shelves of 20 each; an empty shelf takes nothing.
    height: expect.closeTo(420 / 800, 9) as number,
    spacing: [115, 0, 265],
  });
  expect(fullness(SQUARE, 0, null, [])).toEqual({ area: 0, height: 0, spacing: [] });
});

test('a shelf is known when its shape and its measures are', () => {
  const build = { ...UNMEASURED, shelfShape: 'rectangle' as const, shelfWidthMm: 450 };
  expect(Object.values(UNMEASURED).every((one) => one === null)).toBe(true);
  expect(Object.keys(UNMEASURED)).toHaveLength(11);
  expect(shelfOf(UNMEASURED)).toBeNull();
  expect(shelfOf({ ...UNMEASURED, shelfShape: 'round' })).toBeNull();
  expect(shelfOf({ ...UNMEASURED, shelfWidthMm: 400 })).toBeNull();
  expect(shelfOf(build)).toBeNull();
  expect(shelfOf({ ...build, shelfDepthMm: 400 })).toEqual(SQUARE);
  expect(shelfOf({ ...build, shelfShape: 'round' })).toEqual({ shape: 'round', widthMm: 450, depthMm: 450 });
  expect(shelfOf({ ...build, shelfShape: 'half' })).toEqual({ shape: 'half', widthMm: 450, depthMm: 225 });
  const posts = [{ xMm: 1, yMm: 2 }];
  expect(shelfOf({ ...build, shelfDepthMm: 400 }, posts)).toEqual({ ...SQUARE, posts });
  expect(shelfOf({ ...build, shelfShape: 'half' }, posts)!.posts).toEqual(posts);
});
