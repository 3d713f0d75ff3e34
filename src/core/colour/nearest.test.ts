import { nearestCells, distanceTo, type MeasuredZone } from './nearest';
import { deltaE } from './difference';
import type { Lab } from './spaces';

const zone = (cellId: string, pieceId: string, l: number, parts: [number, number][] = []): MeasuredZone => ({
  cellId,
  pieceId,
  lab: [l, 0, 0],
  parts:
    parts.length === 0
      ? [{ lab: [l, 0, 0], share: 1 }]
      : parts.map(([at, share]) => ({ lab: [at, 0, 0] as Lab, share })),
});
const SOUGHT: Lab = [50, 0, 0];

test('cells stand by the middle of their pieces, not by their luckiest', () => {
  const found = nearestCells(SOUGHT, [
    zone('lucky', 'a', 50),
    zone('lucky', 'b', 80),
    zone('lucky', 'c', 84),
    zone('steady', 'd', 53),
    zone('steady', 'e', 54),
    zone('steady', 'f', 47),
  ]);
  expect(found.map(({ cellId }) => cellId)).toEqual(['steady', 'lucky']);
  expect(found[1]).toMatchObject({ pieces: 3, nearest: 'a' });
  expect(found[0]!.distance).toBeCloseTo(deltaE(SOUGHT, [47, 0, 0]), 1);
});

test('a piece counts once, by the nearer of its pictures', () => {
  const [only] = nearestCells(SOUGHT, [zone('c', 'a', 90), zone('c', 'a', 50), zone('c', 'b', 60)]);
  expect(only).toMatchObject({ pieces: 2, nearest: 'a' });
  expect(only!.distance).toBeCloseTo(deltaE(SOUGHT, [60, 0, 0]) / 2, 6);
});

test('a colour that takes a good part of a zone is one of it; a speck is not', () => {
  expect(
    distanceTo(
      SOUGHT,
      zone('c', 'a', 70, [
        [50, 0.3],
        [72, 0.7],
      ]),
    ),
  ).toBe(0);
  expect(
    distanceTo(
      SOUGHT,
      zone('c', 'a', 70, [
        [50, 0.05],
        [72, 0.95],
      ]),
    ),
  ).toBeGreaterThan(10);
  expect(nearestCells(SOUGHT, [])).toEqual([]);
});
