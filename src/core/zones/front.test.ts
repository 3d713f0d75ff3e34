/** What passes the front of a piece, the surfaces of ware, and shares by area. */
import fc from 'fast-check';
import {
  describePiece,
  faceWords,
  liesOn,
  parseZoneKey,
  reachesShelf,
  sectorMiddle,
  sectorOverlap,
  sectorParts,
  sectorWidth,
  speaksFor,
  stackKey,
  zoneKey,
  zoneShare,
  zonesOf,
  zonesOfFace,
  type Face,
  type Sector,
} from './index';
import { dip, glaze } from '../../../test-support/layers';

const [A, B] = [glaze('a'), glaze('b')];
const bare: Face = { no: 1, kind: 'bare', slip: null };
const FRONT = { from: 0.75, to: 0.25 };
const BACK = { from: 0.25, to: 0.75 };

test('the front half is one zone, and a look at either side of it speaks for it', () => {
  const zones = zonesOfFace(bare, [dip(A), dip(B, { sector: FRONT })]);
  expect(zones.map(({ sector, stack }) => [sector, stackKey(stack)])).toEqual([
    [BACK, 'a#1 dip×1'],
    [FRONT, 'a#1 dip×1 + b#1 dip×1'],
  ]);
  const front = zones[1]!;
  expect(zoneShare(front)).toBeCloseTo(0.5, 9);
  const place = parseZoneKey(zoneKey(front))!;
  expect(place.sector).toEqual(FRONT);
  expect(speaksFor(place, front)).toBe(true);
  expect(speaksFor(place, zones[0]!)).toBe(false);
  // Kept from before there was one zone: a look at one of its halves.
  for (const sector of [
    { from: 0.75, to: 1 },
    { from: 0, to: 0.25 },
  ])
    expect([speaksFor({ ...front, sector }, front), speaksFor({ ...front, sector }, zones[0]!)]).toEqual([
      true,
      false,
    ]);
});

test('bands of different height round the front stay bands; a full round is no sector', () => {
  const zones = zonesOfFace(bare, [dip(A), dip(B, { sector: FRONT, stretch: { from: 0, to: 0.5 } })]);
  expect(zones).toHaveLength(3);
  expect(zones.filter(({ sector }) => sector.from > sector.to)).toHaveLength(2);
  expect(zones.reduce((sum, zone) => sum + zoneShare(zone), 0)).toBeCloseTo(1, 9);
  expect(zonesOfFace(bare, [dip(A)])[0]!.sector).toEqual({ from: 0, to: 1 });
});

const anySector = fc
  .tuple(fc.integer({ min: 0, max: 16 }), fc.integer({ min: 0, max: 16 }))
  .filter(([a, b]) => a !== b && !(a === 16 && b === 0))
  .map(([a, b]): Sector => ({ from: a / 16, to: b / 16 }));

test('sectors: parts make up the width, the middle lies inside, overlap is symmetric and bounded', () => {
  fc.assert(
    fc.property(anySector, anySector, (a, b) => {
      const width = sectorParts(a).reduce((sum, { from, to }) => sum + to - from, 0);
      expect(width).toBeCloseTo(sectorWidth(a), 9);
      const shared = sectorOverlap(a, b);
      expect(shared).toBeCloseTo(sectorOverlap(b, a), 9);
      expect(shared).toBeLessThanOrEqual(Math.min(sectorWidth(a), sectorWidth(b)) + 1e-9);
      expect(sectorOverlap(a, a)).toBeCloseTo(sectorWidth(a), 9);
      const middle = sectorMiddle(a);
      expect(middle).toBeGreaterThanOrEqual(0);
      expect(middle).toBeLessThan(1);
      expect(sectorParts(a).some(({ from, to }) => middle >= from - 1e-9 && middle <= to + 1e-9)).toBe(true);
    }),
  );
  expect([sectorMiddle(FRONT), sectorWidth(FRONT), sectorOverlap(FRONT, BACK)]).toEqual([0, 0.5, 0]);
});

test('zones still divide a face however its layers pass the front', () => {
  const layers = fc.array(
    fc.tuple(anySector, fc.constantFrom(A, B)).map(([sector, coat]) => dip(coat, { sector })),
    { maxLength: 4 },
  );
  fc.assert(
    fc.property(layers, (some) => {
      const zones = zonesOfFace(bare, some);
      expect(zones.reduce((sum, zone) => sum + zoneShare(zone), 0)).toBeCloseTo(1, 9);
      for (const a of zones)
        for (const b of zones) if (a !== b) expect(sectorOverlap(a.sector, b.sector)).toBeCloseTo(0, 9);
      // No two neighbours that are alike are left apart, across the front neither.
      const ends = (zone: (typeof zones)[number]) => stackKey(zone.stack);
      for (const a of zones)
        for (const b of zones)
          if (a !== b && Math.abs((a.sector.to % 1) - (b.sector.from % 1)) < 1e-9)
            expect(ends(a)).not.toBe(ends(b));
    }),
  );
});

const surface = (no: number, name: Face['surface']): Face => ({ ...bare, no, surface: name });
const MUG = [surface(1, 'outside'), surface(2, 'inside'), surface(3, 'rim'), surface(4, 'foot')];

test('a coat on every face leaves the foot wiped; one put on the foot is there', () => {
  const covered = (face: number | null): number[] =>
    zonesOf(MUG, [dip(A, { face })], 1)
      .filter(({ stack }) => stack.length > 0)
      .map((zone) => zone.face);
  expect(covered(null)).toEqual([1, 2, 3]);
  expect(covered(4)).toEqual([4]);
  expect(covered(2)).toEqual([2]);
  expect(liesOn({ face: null }, bare)).toBe(true);
});

test('what comes down to the shelf: the outside and the foot, not the bottom of an inside', () => {
  const at = (face: number | null, from = 0) => reachesShelf(MUG, { face, stretch: { from, to: 1 } });
  expect([at(null), at(1), at(2), at(3), at(4)]).toEqual([true, true, false, false, true]);
  expect([at(1, 0.1), at(null, 0.1), at(4, 0.1)]).toEqual([false, false, true]);
  expect(reachesShelf([bare], { face: null, stretch: { from: 0, to: 0.5 } })).toBe(true);
});

test('surfaces are called by their names, with the slip that lies there', () => {
  const name = (slug: string): string => slug.toUpperCase();
  expect(faceWords(surface(2, 'inside'), name)).toBe('inside');
  expect(faceWords({ ...surface(2, 'inside'), kind: 'light-slip' }, name)).toBe('inside, light slip');
  const slip = { slug: 'chalk', version: 1, kind: 'slip' as const };
  expect(faceWords({ ...surface(1, 'outside'), slip }, name)).toBe('outside, CHALK');
  expect(faceWords({ ...bare, surface: null }, name)).toBe('bare body');
});

// Geometry: the area of a ring grows with the square of its radius.
test('rings of a plate by area: the inner half is a quarter', () => {
  const ring = (from: number, to: number) => ({
    stretch: { from, to },
    sector: { from: 0, to: 1 },
  });
  expect(zoneShare(ring(0, 0.5), true)).toBe(0.25);
  expect(zoneShare(ring(0.5, 1), true)).toBe(0.75);
  expect(zoneShare({ ...ring(0.5, 1), sector: FRONT }, true)).toBe(0.375);
  expect(zoneShare(ring(0, 0.5))).toBe(0.5);
});

test('a piece whose coats nobody knows is never called bare', () => {
  const names = { coat: (slug: string) => slug, body: 'Peat' };
  expect(describePiece([bare], [], names)).toBe('bare Peat');
  expect(describePiece([bare], [], names, 'lost')).toBe('nobody knows what is on it');
  expect(describePiece([bare], [], names, 'likely')).toBe('likely bare Peat');
});
