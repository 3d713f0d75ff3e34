/** Figures around what lies on a ground, each worked out by hand. */
import { Field, type Raster } from './field';
import { partedByGaps } from './gaps';
import { groundOf } from './ground';
import { meet, ordered, polygonArea, quadAround, whole, type Quad } from './quad';
import { refined } from './refine';
import { offGround, regionsOf, type Point } from './regions';

const at = (x: number, y: number): Point => ({ x, y });
const near = (a: readonly Point[], b: readonly Point[], within: number): void => {
  expect(a).toHaveLength(b.length);
  a.forEach((one, i) => expect(Math.hypot(one.x - b[i]!.x, one.y - b[i]!.y)).toBeLessThan(within));
};

test('two lines meet where they do, and lines side by side nowhere', () => {
  expect(meet(at(0, 0), at(2, 2), at(0, 2), at(2, 0))).toEqual(at(1, 1));
  expect(meet(at(0, 0), at(1, 0), at(0, 3), at(5, 3))).toBeNull();
});

test('around an octagon with small cut corners stands its square, whichever way it is gone round', () => {
  const octagon = [at(1, 0), at(9, 0), at(10, 1), at(10, 9), at(9, 10), at(1, 10), at(0, 9), at(0, 1)];
  for (const hull of [octagon, [...octagon].reverse()]) {
    const quad = quadAround(hull)!;
    expect(polygonArea(quad)).toBeCloseTo(100);
    near(ordered(quad), [at(0, 10), at(10, 10), at(10, 0), at(0, 0)], 1e-9);
  }
  expect(quadAround([at(0, 0), at(1, 0), at(0, 1)])).toBeNull();
});

test('a corner that has the colour of the ground comes back; a face seen aslant stays as it is', () => {
  // The upper left corner is missing: the cut runs from (0, 4) to (10, 0).
  const cut: Quad = [at(0, 10), at(10, 10), at(10, 0), at(0, 7)];
  const found = whole(ordered(cut));
  expect(polygonArea(found)).toBeGreaterThanOrEqual(polygonArea(cut));
  const blunt: Quad = [at(0, 10), at(6, 10), at(10, 0), at(1, 8)];
  near(whole(blunt).slice(3), [at(4, 0)], 1e-9);
  const aslant: Quad = [at(0, 10), at(10, 9), at(9, 0), at(1, 1)];
  expect(whole(aslant)).toEqual(aslant);
});

const drawn = (width: number, height: number, colour: (x: number, y: number) => readonly number[]): Field => {
  const data = new Uint8Array(width * height * 3);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) data.set(colour(x, y), (y * width + x) * 3);
  return new Field({ width, height, channels: 3, data } satisfies Raster);
};

const RED = [150, 50, 40] as const;
/** A ground that falls off to the right, as the light of a window does. */
const falling = (x: number): number[] => [0, 1, 2].map(() => 190 - 0.12 * x);

test('the ground is known under what lies on it, with the light that falls off across it', () => {
  const field = drawn(300, 220, (x, y) => (x > 100 && x < 200 && y > 60 && y < 170 ? RED : falling(x)));
  const ground = groundOf(field)!;
  const bare = drawn(300, 220, falling);
  const [own, want] = [new Float64Array(3), new Float64Array(3)];
  for (const [x, y] of [
    [20, 20],
    [150, 110],
    [280, 200],
  ] as const) {
    ground.at(x, y, own);
    bare.sample(x, y, want);
    for (let c = 0; c < 3; c++) expect(Math.abs(own[c]! - want[c]!)).toBeLessThan(0.01);
  }
  expect(ground.share).toBeGreaterThan(0.7);
  const [region, ...others] = regionsOf(field, offGround(field, ground), ground);
  expect(others).toEqual([]);
  expect([region!.left, region!.top].map((v) => Math.abs(v - (v > 80 ? 101 : 61)) <= 2)).toEqual([
    true,
    true,
  ]);
  expect(region!.cut).toBe(false);
});

test('an edge of many things is no ground', () => {
  let state = 7;
  const any = (): number => (state = (state * 16807) % 2147483647) % 256;
  expect(groundOf(drawn(120, 90, () => [any(), any(), any()]))).toBeNull();
});

// A shade wider than an eighth of the face is not looked through: its corners are a person’s to move.
test('a soft shade beside a face is left outside its frame', () => {
  const shade = (x: number): number => Math.max(0, 1 - (x - 200) / 14) * 0.35;
  const field = drawn(320, 240, (x, y) => {
    if (x >= 100 && x < 200 && y >= 50 && y < 190) return RED;
    const dim = x >= 200 && x < 214 && y >= 55 && y < 195 ? 1 - shade(x) : 1;
    return [180 * dim, 180 * dim, 180 * dim];
  });
  const ground = groundOf(field)!;
  const [region] = regionsOf(field, offGround(field, ground), ground);
  const rough = ordered(quadAround(region!.hull)!);
  expect(Math.max(...rough.map(({ x }) => x))).toBeGreaterThan(203);
  const { quad, edge } = refined(field, ground, rough)!;
  near(quad, [at(100, 190), at(200, 190), at(200, 50), at(100, 50)], 2.5);
  expect(edge).toBeGreaterThan(0.05);
});

test('faces are parted by ground in the shade between them, not by a streak of light or a dip line', () => {
  const CALM = [178, 178, 178] as const;
  const pair = (gap: readonly number[]) =>
    drawn(320, 200, (x, y) => {
      if (y < 40 || y >= 160 || x < 60 || x >= 260) return CALM;
      return x >= 152 && x < 168 ? gap : RED;
    });
  const figure: Quad = [at(60, 160), at(260, 160), at(260, 40), at(60, 40)];
  const parts = (field: Field) => partedByGaps(field, groundOf(field)!, figure);
  const two = parts(pair([120, 120, 120]));
  expect(two).toHaveLength(2);
  near(two[0]!, [at(60, 160), at(152, 160), at(152, 40), at(60, 40)], 4);
  near(two[1]!, [at(168, 160), at(260, 160), at(260, 40), at(168, 40)], 4);
  // What is between them is lighter than the ground: a mirrored lamp, not a gap.
  expect(parts(pair([250, 240, 235]))).toEqual([figure]);
  // A thin run of grey at a third of the height parts no face of which one part would be twice the other.
  const dipped = drawn(320, 200, (x, y) =>
    y < 40 || y >= 160 || x < 60 || x >= 260 ? CALM : y >= 76 && y < 82 ? [120, 120, 120] : RED,
  );
  expect(parts(dipped)).toEqual([figure]);
});
