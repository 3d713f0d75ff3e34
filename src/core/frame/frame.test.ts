import fc from 'fast-check';
import { Matrix, solve } from 'ml-matrix';
import {
  apply,
  areaOf,
  cutOf,
  homographyOnto,
  inverse,
  onFace,
  onPicture,
  outlineOf,
  split,
  spotsOf,
  turned,
  within,
  wrongWith,
  zonesUnder,
  type Corners,
  type Ellipse,
  type Spot,
} from '.';
import { ROUND, WHOLE } from '../zones';

const UPRIGHT: Corners = {
  kind: 'corners',
  corners: [
    { x: 0.2, y: 0.9 },
    { x: 0.6, y: 0.9 },
    { x: 0.6, y: 0.1 },
    { x: 0.2, y: 0.1 },
  ],
};

/** Any face as a hand-held camera may see it: a square with each corner moved. */
const seen = fc
  .array(
    fc.record({
      x: fc.double({ min: -0.09, max: 0.09, noNaN: true }),
      y: fc.double({ min: -0.09, max: 0.09, noNaN: true }),
    }),
    { minLength: 4, maxLength: 4 },
  )
  .map((moves): Corners => ({
    kind: 'corners',
    corners: UPRIGHT.corners.map(({ x, y }, i) => ({
      x: x + moves[i]!.x,
      y: y + moves[i]!.y,
    })) as unknown as Corners['corners'],
  }));
const unit = fc.double({ min: 0, max: 1, noNaN: true });

test('the map onto four corners is what a linear-algebra package solves for', () => {
  fc.assert(
    fc.property(seen, unit, unit, ({ corners }, x, y) => {
      const square = [
        [0, 0],
        [1, 0],
        [1, 1],
        [0, 1],
      ] as const;
      const rows: number[][] = [];
      const right: number[][] = [];
      square.forEach(([u, v], i) => {
        const { x: px, y: py } = corners[i]!;
        rows.push([u, v, 1, 0, 0, 0, -u * px, -v * px], [0, 0, 0, u, v, 1, -u * py, -v * py]);
        right.push([px], [py]);
      });
      const h = solve(new Matrix(rows), new Matrix(right)).to1DArray();
      const w = h[6]! * x + h[7]! * y + 1;
      const at = apply(homographyOnto(corners), { x, y });
      expect(at.x).toBeCloseTo((h[0]! * x + h[1]! * y + h[2]!) / w, 8);
      expect(at.y).toBeCloseTo((h[3]! * x + h[4]! * y + h[5]!) / w, 8);
    }),
  );
});

test('there and back again, and straight lines stay straight', () => {
  fc.assert(
    fc.property(seen, unit, unit, ({ corners }, x, y) => {
      const map = homographyOnto(corners);
      const back = apply(inverse(map), apply(map, { x, y }));
      expect(back.x).toBeCloseTo(x, 7);
      expect(back.y).toBeCloseTo(y, 7);
      const [a, b, c] = [0, x, 1].map((t) => apply(map, { x: t, y }));
      const bend = (b!.x - a!.x) * (c!.y - a!.y) - (b!.y - a!.y) * (c!.x - a!.x);
      expect(bend).toBeCloseTo(0, 8);
    }),
  );
});

test('height goes up from the foot, turn from left to right', () => {
  expect(onFace(UPRIGHT, { x: 0.2, y: 0.9 }, 1)).toEqual({ height: 0, turn: 0 });
  const middle = onFace(UPRIGHT, { x: 0.4, y: 0.3 }, 1)!;
  expect(middle.height).toBeCloseTo(0.75);
  expect(middle.turn).toBeCloseTo(0.5);
  expect(onFace(UPRIGHT, { x: 0.7, y: 0.3 }, 1)).toBeNull();
  expect(onFace(UPRIGHT, { x: 0.605, y: 0.3 }, 1, 0.02)?.turn).toBe(1);
});

const PLATE: Ellipse = { kind: 'ellipse', centre: { x: 0.5, y: 0.5 }, across: 0.3, along: 0.2, turn: 20 };

test('a plate is measured out from its centre, clockwise from the top, whatever the picture’s shape', () => {
  const round: Ellipse = { ...PLATE, across: 0.2, along: 0.2, turn: 0 };
  const right = onFace(round, { x: 0.6, y: 0.5 }, 0.75)!;
  expect(right.height).toBeCloseTo(0.5);
  expect(right.turn).toBeCloseTo(0.25);
  // 0.2 of the width is 0.2667 of the height of a picture that is 4 wide and 3 high.
  expect(onFace(round, { x: 0.5, y: 0.5 - 0.2666 }, 0.75)!.height).toBeCloseTo(1, 3);
  expect(onFace(round, { x: 0.5, y: 0.2 }, 0.75)).toBeNull();
  fc.assert(
    fc.property(
      fc.double({ min: 0.05, max: 0.99, noNaN: true }),
      fc.double({ min: 0, max: 0.99, noNaN: true }),
      fc.double({ min: 0.5, max: 2, noNaN: true }),
      (height, turn, aspect) => {
        const back = onFace(PLATE, onPicture(PLATE, { height, turn }, aspect), aspect)!;
        expect(back.height).toBeCloseTo(height, 6);
        expect(Math.abs(((back.turn - turn + 1.5) % 1) - 0.5)).toBeLessThan(1e-6);
      },
    ),
  );
});

const zone = (face: number, from: number, to: number) => ({ face, stretch: { from, to }, sector: ROUND });

test('a touch of the picture says which zone was touched, of the face that is framed', () => {
  const zones = [zone(1, 0, 0.4), zone(1, 0.4, 1), zone(2, 0, 1)];
  const frame = { face: 1, shape: UPRIGHT };
  const under = (at: Spot) => zonesUnder(zones, frame, at, 1);
  expect(under({ x: 0.3, y: 0.85 })).toEqual([zones[0]]);
  expect(under({ x: 0.3, y: 0.2 })).toEqual([zones[1]]);
  expect(under({ x: 0.3, y: 0.1 })).toEqual([zones[1]]);
  expect(under({ x: 0.6, y: 0.1 })).toEqual([zones[1]]);
  expect(under({ x: 0.9, y: 0.5 })).toEqual([]);
});

test('spots of a zone lie inside it and off its edges, as many on every bit of a ring', () => {
  const part = { stretch: { from: 0.3, to: 0.7 }, sector: ROUND };
  for (const shape of [UPRIGHT, PLATE]) {
    const spots = spotsOf(shape, part, 1, 900);
    expect(spots.length).toBeGreaterThanOrEqual(900);
    for (const spot of spots) {
      const at = onFace(shape, spot, 1)!;
      expect(at.height).toBeGreaterThan(0.33);
      expect(at.height).toBeLessThan(0.67);
    }
  }
  const outer = spotsOf(PLATE, { stretch: WHOLE, sector: ROUND }, 1, 10_000);
  const far = outer.filter((spot) => onFace(PLATE, spot, 1)!.height > 0.6).length / outer.length;
  // Of a ring from 0.12 to 0.88 the part beyond 0.6 is (0.88² − 0.6²) / (0.88² − 0.12²) of the area.
  expect(far).toBeCloseTo((0.88 ** 2 - 0.36) / (0.88 ** 2 - 0.12 ** 2), 1);
});

test('a small zone keeps its middle', () => {
  const { stretch } = within({ stretch: { from: 0.5, to: 0.52 }, sector: ROUND });
  expect(stretch.from).toBeGreaterThan(0.5);
  expect(stretch.to).toBeLessThan(0.52);
  expect(stretch.to - stretch.from).toBeGreaterThan(0.005);
  expect(within({ stretch: WHOLE, sector: { from: 0.75, to: 0.25 } }).sector.from).toBeCloseTo(0.81);
});

test('the outline of a zone: four corners of a face, a ring of a plate', () => {
  const outline = outlineOf(UPRIGHT, { stretch: { from: 0.5, to: 1 }, sector: ROUND }, 1);
  expect(outline).toHaveLength(4);
  [
    [0.2, 0.5],
    [0.6, 0.5],
    [0.6, 0.1],
    [0.2, 0.1],
  ].forEach(([x, y], i) => {
    expect(outline[i]!.x).toBeCloseTo(x!);
    expect(outline[i]!.y).toBeCloseTo(y!);
  });
  const ring = outlineOf(PLATE, { stretch: { from: 0.5, to: 1 }, sector: ROUND }, 1);
  expect(ring.length).toBeGreaterThan(60);
  const heights = ring.map((at) => onFace(PLATE, at, 1, 0.01)!.height);
  expect(Math.min(...heights)).toBeCloseTo(0.5);
  expect(Math.max(...heights)).toBeCloseTo(1);
});

test('two faces of one frame lie side by side', () => {
  const [left, right] = split(UPRIGHT, 2);
  expect(left!.corners[1]).toEqual(right!.corners[0]);
  expect(left!.corners[1].x).toBeCloseTo(0.4);
  expect(areaOf(left!) + areaOf(right!)).toBeCloseTo(areaOf(UPRIGHT));
});

test('crossed, bent, mirrored and tiny frames are refused in words; one on its side is turned, not refused', () => {
  const [a, b, c, d] = UPRIGHT.corners;
  const of = (...corners: [Spot, Spot, Spot, Spot]) => wrongWith({ kind: 'corners', corners });
  expect(wrongWith(UPRIGHT)).toBeNull();
  expect(of(a, c, b, d)).toMatch(/cross/);
  expect(of(a, b, { x: 0.3, y: 0.8 }, d)).toMatch(/bent inwards/);
  expect(of(b, a, d, c)).toMatch(/wrong way/);
  expect(of(a, { x: 0.201, y: 0.9 }, { x: 0.201, y: 0.899 }, { x: 0.2, y: 0.899 })).toMatch(/small/);
  expect(wrongWith({ ...PLATE, along: 0.001 })).toMatch(/small/);
  expect(wrongWith(turned(UPRIGHT))).toBeNull();
  expect(turned(turned(turned(turned(UPRIGHT))))).toEqual(UPRIGHT);
});

test('a cut shows the zone and a little of its neighbours, and never more than the picture', () => {
  const upper = cutOf(UPRIGHT, { stretch: { from: 0.5, to: 1 }, sector: ROUND }, 1.5);
  expect(upper).toMatchObject({ x: 0.152, y: 0.052, width: 0.496, height: 0.496, aspect: 1.5 });
  const large: Corners = {
    kind: 'corners',
    corners: [
      { x: 0, y: 1 },
      { x: 1, y: 1 },
      { x: 1, y: 0 },
      { x: 0, y: 0 },
    ],
  };
  expect(cutOf(large, { stretch: WHOLE, sector: ROUND }, 1)).toMatchObject({
    x: 0,
    y: 0,
    width: 1,
    height: 1,
  });
});
