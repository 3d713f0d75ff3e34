/** Places on a shelf, held against a search that skips nothing and against counts made by hand. */
import { onShelf, standingPosts, tooNear, type Footprint, type Shelf } from './index';
import { fitsAlone, gapOn, Hopeless, isFree, latticeSites, turnedRound, ways, type Site } from './sites';
import type { Standing } from './shelf';
import { disc } from '../../../test-support/shelf';

const box = (widthMm: number, depthMm: number): Footprint => ({
  round: false,
  widthMm,
  depthMm,
  heightMm: 90,
});
const SQUARE: Shelf = { shape: 'rectangle', widthMm: 450, depthMm: 400, posts: [] };
const ROUND: Shelf = { shape: 'round', widthMm: 420, depthMm: 420, posts: [] };
const HALF: Shelf = { shape: 'half', widthMm: 500, depthMm: 250, posts: [] };

/** The same places tried one by one: from edge to edge, at most 8 mm apart, row by row. */
function oneByOne(size: Footprint, here: readonly Standing[], shelf: Shelf): Site | null {
  const round = (value: number): number => Math.round(value * 10) / 10;
  for (const turned of size.round || size.widthMm === size.depthMm ? [false] : [false, true]) {
    const footprint = turned ? { ...size, widthMm: size.depthMm, depthMm: size.widthMm } : size;
    const places = (length: number, wide: number): number[] => {
      const room = length - wide;
      const steps = Math.ceil(room / 8);
      return Array.from({ length: steps + 1 }, (_, i) =>
        round(steps === 0 ? 0 : -room / 2 + (i * room) / steps),
      );
    };
    if (shelf.widthMm < footprint.widthMm || shelf.depthMm < footprint.depthMm) continue;
    const free = (xMm: number, yMm: number): boolean => {
      const one = { id: 'new', footprint, spot: { shelf: 1, xMm, yMm } };
      return (
        onShelf(shelf, footprint, one.spot) && here.every((other) => tooNear([other, one], 6.01).length === 0)
      );
    };
    for (const yMm of places(shelf.depthMm, footprint.depthMm))
      for (const xMm of places(shelf.widthMm, footprint.widthMm))
        if (free(xMm, yMm)) return { xMm, yMm, turned };
    if (free(0, 0)) return { xMm: 0, yMm: 0, turned };
  }
  return null;
}

let state = 7;
const chance = (): number => {
  state = (state * 1103515245 + 12345) % 2147483648;
  return state / 2147483648;
};
const between = (low: number, high: number): number => Math.round(low + (high - low) * chance());

test('the first gap is the one that a search finds which skips nothing', () => {
  let found = 0;
  for (let n = 0; n < 60; n++) {
    const shelf = [SQUARE, ROUND, HALF][n % 3]!;
    const here: Standing[] = [];
    for (let i = 0; i < between(0, 14); i++)
      here.push({
        id: `${i}`,
        footprint: chance() < 0.5 ? disc(between(40, 110)) : box(between(30, 120), between(30, 120)),
        spot: { shelf: 1, xMm: between(-200, 200), yMm: between(-120, 120) },
      });
    const size = chance() < 0.5 ? disc(between(40, 120)) : box(between(30, 180), between(30, 90));
    const site = gapOn(size, here, shelf, 1, 6);
    expect(site).toEqual(oneByOne(size, here, shelf));
    if (site !== null) found += 1;
  }
  // Both answers were asked for.
  expect(found).toBeGreaterThan(20);
  expect(found).toBeLessThan(60);
});

test('what just fits finds its one place; what does not is turned, or nowhere', () => {
  expect(gapOn(box(450, 400), [], SQUARE, 1, 6)).toEqual({ xMm: 0, yMm: 0, turned: false });
  expect(gapOn(box(400, 450), [], SQUARE, 1, 6)).toEqual({ xMm: 0, yMm: 0, turned: true });
  expect(gapOn(box(450.1, 400), [], SQUARE, 1, 6)).toBeNull();
  expect(gapOn(disc(420), [], ROUND, 1, 6)).toEqual({ xMm: 0, yMm: 0, turned: false });
  expect(gapOn(disc(421), [], ROUND, 1, 6)).toBeNull();
  expect(gapOn(disc(100), [], SQUARE, 1, 6)).toEqual({ xMm: -175, yMm: -150, turned: false });
});

/** How many places were tried before an answer; a place that is tried is looked for on the shelf once. */
function tries(size: Footprint, here: readonly Standing[], shelf: Shelf): number {
  let asked = 0;
  const counted = (one: Shelf): Shelf => ({
    ...one,
    get shape() {
      asked++;
      return one.shape;
    },
  });
  gapOn(disc(10), [], counted(SQUARE), 1, 6);
  const each = asked;
  asked = 0;
  expect(gapOn(size, here, counted(shelf), 1, 6)).toBeNull();
  return asked / each;
}

// By hand: in each of its rows such a shelf is closed by two pieces. One place is tried for each of them, and
// the middle of the shelf at the end; trying all would be 31 places a row.
test.each([
  ['a box beside boxes', box(60, 60), box(130, 40), 20, 2],
  ['a disc beside discs', disc(60), disc(130), 40, 2],
  ['a disc beside boxes', disc(60), box(130, 40), 14, 2],
  ['a box beside discs', box(60, 60), disc(130), 24, 2],
])('where something is in the way of %s, what lies behind it is not tried', (_, size, big, off, rows) => {
  const shelf: Shelf = { shape: 'rectangle', widthMm: 300, depthMm: 68, posts: [] };
  const at = (xMm: number, yMm: number): Standing => ({
    id: `${xMm}`,
    footprint: big,
    spot: { shelf: 1, xMm, yMm },
  });
  expect(tries(size, [at(-80, off), at(70, -off)], shelf)).toBe(2 * rows + 1);
  expect(tries(size, [at(-80, -off), at(70, off)], shelf)).toBe(2 * rows + 1);
});

test('the widest piece of a round shelf stands in its middle, between the places that are tried in rows', () => {
  expect(gapOn(disc(418), [], ROUND, 1, 6)).toEqual({ xMm: 0, yMm: 0, turned: false });
  const post: Standing = { id: 'p', footprint: disc(10), spot: { shelf: 1, xMm: 0, yMm: 0 } };
  expect(gapOn(disc(418), [post], ROUND, 1, 6)).toBeNull();
});

test('what found no place speaks for what is as large both ways, and for nothing else', () => {
  const hopeless = new Hopeless();
  expect(hopeless.has(box(500, 500))).toBe(false);
  hopeless.add(box(40, 100));
  expect(hopeless.has(box(100, 40))).toBe(true);
  expect(hopeless.has(box(120, 45))).toBe(true);
  expect(hopeless.has(box(90, 45))).toBe(false);
  expect(hopeless.has(box(120, 39))).toBe(false);
  // A disc of that size may fit where the box did not.
  expect(hopeless.has(disc(100))).toBe(false);
  hopeless.add(disc(80));
  expect(hopeless.has(disc(80))).toBe(true);
  expect(hopeless.has(box(80, 80))).toBe(true);
});

test('free means on the shelf and the clearance away from everything', () => {
  const other = { id: 'a', footprint: disc(80), spot: { shelf: 1, xMm: 0, yMm: 0 } };
  const free = (xMm: number, yMm = 0) => isFree(SQUARE, disc(80), { shelf: 1, xMm, yMm }, [other], 6);
  expect([free(86), free(85.9), free(-86), free(0, 86), free(0, -85.9)]).toEqual([
    true,
    false,
    true,
    true,
    false,
  ]);
  expect(free(190)).toBe(false);
  // Past the corner of its square a disc is nearer than its distance along either axis says.
  expect([free(61, 61), free(60, 60)]).toEqual([true, false]);
  expect(isFree(SQUARE, disc(80), { shelf: 1, xMm: 0, yMm: 0 }, [], 6)).toBe(true);
});

test('a piece is tried both ways only where that makes a difference', () => {
  expect(ways(disc(80))).toEqual([{ footprint: disc(80), turned: false }]);
  expect(ways(box(60, 60))).toHaveLength(1);
  expect(ways(box(60, 40))).toEqual([
    { footprint: box(60, 40), turned: false },
    { footprint: box(40, 60), turned: true },
  ]);
  expect(turnedRound({ ...box(60, 40), heightMm: 7 })).toEqual({ ...box(40, 60), heightMm: 7 });
});

// By hand: how many times the piece and its clearance, 6.1 mm with rounding, go into the shelf.
test.each([
  ['L tiles: seven by seven, turned, where eight by six are 48', SQUARE, box(50, 55), 7 * 7],
  ['slabs, the other way round', SQUARE, box(210, 60), 2 * 6],
  ['mugs of 88: every other row moved by half', SQUARE, disc(88), 4 + 3 + 4 + 3 + 4],
  ['one bowl that just fits', SQUARE, disc(400), 1],
  ['cups of 140: rows of three and two', { ...SQUARE, depthMm: 450 }, disc(140), 3 * 3],
])('a lattice of %s', (_, shelf, size, count) => {
  const sites = latticeSites(shelf, size, 6, true);
  expect(sites.length).toBe(count);
  const standing = sites.map(({ xMm, yMm, turned }, i) => ({
    id: `${i}`,
    footprint: turned ? turnedRound(size) : size,
    spot: { shelf: 1, xMm, yMm },
  }));
  expect(tooNear(standing)).toEqual([]);
  for (const { footprint, spot } of standing) expect(onShelf(shelf, footprint, spot)).toBe(true);
});

test('posts need no room around them, only that nothing stands on them; where there are none, nothing is kept clear', () => {
  const posts: Shelf = { ...SQUARE, posts: [{ xMm: 0, yMm: 0 }] };
  expect(fitsAlone(posts, box(440, 390), true)).toBe(false);
  expect(fitsAlone(posts, box(440, 390), false)).toBe(true);
  // 225 − 16 = 209 is free on either side of the post.
  expect(fitsAlone(posts, box(209, 390), true)).toBe(true);
  expect(fitsAlone(posts, box(210, 390), true)).toBe(false);
  expect(latticeSites(posts, box(60, 60), 6, false).length).toBe(6 * 6);
  const kept = latticeSites(posts, box(60, 60), 6, true);
  expect(kept.length).toBeGreaterThanOrEqual(6 * 6 - 2);
  for (const { xMm, yMm } of kept)
    expect(isFree(posts, box(60, 60), { shelf: 1, xMm, yMm }, standingPosts(posts, 1), 0)).toBe(true);
});
