import { EVERYWHERE, zonesOf, type Face, type Layer } from '../zones';
import {
  MOST_POINTS,
  heightOf,
  ofAllAlike,
  ontoFaces,
  ontoPicture,
  placesWords,
  touched,
  zonesAt,
  type FramedHere,
  type Point,
} from './points';

const FRONT: Face = { no: 1, kind: 'bare', slip: null } as Face;
const dip = (slug: string, from: number, to: number): Layer =>
  ({
    coat: { slug, version: 1, kind: 'glaze' },
    method: 'dip',
    coats: 1,
    weight: 'normal',
    thicknessMm: null,
    region: { ...EVERYWHERE, stretch: { from, to } },
    generation: 1,
  }) as Layer;
const drawn = (x: number, y: number, face = 1): Point => ({ face, sha: null, x, y });

test('a touch on the drawing says in which coats it is', () => {
  const zones = zonesOf([FRONT], [dip('a', 0, 2 / 3), dip('b', 1 / 3, 1)], 1);
  const slugs = (point: Point): string[][] =>
    zonesAt(zones, point).map(({ stack }) => stack.map(({ coat }) => coat.slug));
  expect(slugs(drawn(0.5, 0.1))).toEqual([['b']]);
  expect(slugs(drawn(0.5, 0.5))).toEqual([['a', 'b']]);
  expect(slugs(drawn(0.5, 0.9))).toEqual([['a']]);
  expect(slugs(drawn(0.5, 0))).toEqual([['b']]);
  expect(slugs(drawn(0.5, 1))).toEqual([['a']]);
  expect(slugs(drawn(0.5, 0.5, 2))).toEqual([]);
  expect(slugs({ face: null, sha: 'f'.repeat(64), x: 0.5, y: 0.5 })).toEqual([]);
});

test('every place of a face is in one of its zones, and in no two of one relief', () => {
  const zones = zonesOf([FRONT], [dip('a', 0, 0.4), dip('b', 0.25, 0.9), dip('c', 0.5, 1)], 1);
  for (let i = 0; i <= 200; i++) expect(zonesAt(zones, drawn(0.3, i / 200))).toHaveLength(1);
});

test('on rings the middle is the foot end and all around is the rim', () => {
  const zones = zonesOf([FRONT], [dip('rim', 0.7, 1), dip('well', 0, 0.7)], 1);
  const at = (x: number, y: number) =>
    zonesAt(zones, drawn(x, y), true).map(({ stack }) => stack[0]!.coat.slug);
  expect([at(0.5, 0.5), at(0.5, 0.02), at(0.98, 0.5), at(0, 0)]).toEqual([
    ['well'],
    ['rim'],
    ['rim'],
    ['rim'],
  ]);
});

test.each([
  [[drawn(0.5, 0.05)], false, 'at the rim'],
  [[drawn(0.5, 0.95)], false, 'at the foot'],
  [[drawn(0.5, 0.3), drawn(0.2, 0.95), drawn(0.4, 0.97)], false, 'at the foot, high'],
  [[drawn(0.5, 0.5)], true, 'in the middle'],
  [[drawn(0.5, 0.99)], true, 'at the rim'],
  [[{ face: null, sha: 'a'.repeat(64), x: 0.1, y: 0.1 }], false, ''],
] as const)('%j in words', (points, rings, words) => {
  expect(placesWords(points, rings)).toBe(words);
});

test('touching adds, touching the same spot again takes away, and there is an end to it', () => {
  const one = touched([], drawn(0.51234, 0.2));
  expect(one).toEqual([drawn(0.512, 0.2)]);
  expect(touched(one, drawn(0.53, 0.22))).toEqual([]);
  // On another face it is another spot.
  expect(touched(one, drawn(0.53, 0.22, 2))).toHaveLength(2);
  let many: Point[] = [];
  for (let i = 0; i < 20; i++) many = touched(many, drawn((i % 5) / 5, Math.floor(i / 5) / 5));
  expect(many).toHaveLength(MOST_POINTS);
  expect(touched([], drawn(1.4, -2))).toEqual([drawn(1, 0)]);
});

test('said of many alike a place on one picture is left out, one on the drawing stays', () => {
  const onPicture: Point = { face: null, sha: 'a'.repeat(64), x: 0.5, y: 0.5 };
  const signs = [{ sign: 'pit', points: [drawn(0.5, 0.1), onPicture] }, { sign: 'crazing' }];
  expect(ofAllAlike(signs)).toEqual([{ sign: 'pit', points: [drawn(0.5, 0.1)] }, { sign: 'crazing' }]);
});

describe('touches of a framed picture', () => {
  const SHA = 'a'.repeat(64);
  const spot = (x: number, y: number) => ({ x, y });
  const of = (frames: FramedHere['frames']): FramedHere[] => [{ sha: SHA, width: 400, height: 300, frames }];
  // The tile lies on its side: its foot is at the left.
  const lying = of([
    {
      face: 2,
      shape: { kind: 'corners', corners: [spot(0.2, 0.2), spot(0.2, 0.8), spot(0.8, 0.8), spot(0.8, 0.2)] },
    },
  ]);
  const on = (x: number, y: number): Point => ({ face: null, sha: SHA, x, y });
  const flat = () => false;

  test('are put where they are on the drawing, however the piece lies', () => {
    const [low, high, beside] = ontoFaces([on(0.23, 0.5), on(0.79, 0.21), on(0.05, 0.5)], lying, flat);
    expect(low).toMatchObject({ face: 2, sha: null });
    expect(heightOf(low!)).toBeCloseTo(0.05, 6);
    expect(low!.x).toBeCloseTo(0.5, 6);
    expect([heightOf(high!), high!.x]).toEqual([expect.closeTo(0.983, 2), expect.closeTo(0.017, 2)]);
    // Outside the frame nobody knows.
    expect(beside).toEqual(on(0.05, 0.5));
    expect(placesWords([low!, high!])).toBe('at the foot, at the rim');
  });

  test('of a plate go round as the drawing does', () => {
    const plate = of([
      { face: 1, shape: { kind: 'ellipse', centre: spot(0.5, 0.5), across: 0.3, along: 0.3, turn: 0 } },
    ]);
    const [top, right] = ontoFaces([on(0.5, 0.5 - 0.29 / 0.75), on(0.75, 0.5)], plate, () => true);
    expect(top!.x).toBeCloseTo(0.5, 6);
    expect(top!.y).toBeLessThan(0.05);
    expect(heightOf(top!, true)).toBeCloseTo(0.29 / 0.3, 6);
    expect(right!.x).toBeGreaterThan(0.9);
    expect(right!.y).toBeCloseTo(0.5, 6);
  });

  test('lie in the picture where they were put, through the drawing and back', () => {
    const plate = of([
      { face: 1, shape: { kind: 'ellipse', centre: spot(0.5, 0.5), across: 0.3, along: 0.2, turn: 20 } },
    ]);
    for (const [pictures, rings] of [
      [lying, flat],
      [plate, () => true],
    ] as const) {
      const own = [on(0.45, 0.5), on(0.52, 0.47)];
      const back = ontoPicture(ontoFaces(own, pictures, rings), pictures[0]!, rings);
      back.forEach(({ x, y }, i) => {
        expect(x).toBeCloseTo(own[i]!.x, 6);
        expect(y).toBeCloseTo(own[i]!.y, 6);
      });
      expect(ontoPicture(own, pictures[0]!, rings)).toEqual(own.map(({ x, y }) => ({ x, y })));
      // Of another picture, or of a face that is not in it, there is nothing to show.
      expect(
        ontoPicture(
          [{ face: null, sha: 'b'.repeat(64), x: 0.5, y: 0.5 }, drawn(0.5, 0.5, 9)],
          pictures[0]!,
          rings,
        ),
      ).toEqual([]);
    }
  });

  test('of another picture, or where nothing is framed, stay as they are', () => {
    const other: Point = { face: null, sha: 'b'.repeat(64), x: 0.5, y: 0.5 };
    expect(ontoFaces([other, on(0.5, 0.5)], of([]), flat)).toEqual([other, on(0.5, 0.5)]);
    const drawnOne = drawn(0.3, 0.3);
    expect(ontoFaces([drawnOne], lying, flat)).toEqual([drawnOne]);
  });
});
