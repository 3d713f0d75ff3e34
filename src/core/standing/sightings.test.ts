import { facesOfForm } from '../designs';
import { dip } from '../../../test-support/layers';
import { NOTHING, type Seen } from '../looks';
import { cellKey, sightingsOf } from './index';
import type { FiredPiece } from './index';

const seen = (rest: Partial<Seen> = {}): Seen => ({
  zone: null,
  seenAt: '2026-03-01T00:00:00.000Z',
  by: 'iben',
  ...NOTHING,
  ...rest,
});

const layer = (slug: string, from: number, to: number) => dip(slug, { stretch: { from, to } });

const piece = (rest: Partial<FiredPiece> = {}): FiredPiece => ({
  pieceId: 'p1',
  firingId: 'f1',
  generation: 1,
  body: 'peat',
  faces: [{ no: 1, kind: 'bare', slip: null }],
  form: 'L tile',
  layers: [layer('a', 0, 2 / 3), layer('b', 1 / 3, 1)],
  cone: '6',
  coneKnown: 'read',
  atmosphere: 'oxidation',
  variables: {},
  seen: [seen({ surface: 'gloss' })],
  ...rest,
});

test('one tile dipped from both ends gives three sightings', () => {
  expect(sightingsOf(piece()).map((one) => one.stackKey)).toEqual([
    'a#1 dip×1',
    'a#1 dip×1 + b#1 dip×1',
    'b#1 dip×1',
  ]);
});

test('a sighting names the zone in which most of it lies', () => {
  const zones = sightingsOf(piece()).map((one) => one.zone);
  expect(zones).toEqual(['1|0-333|0-1000|all', '1|333-667|0-1000|all', '1|667-1000|0-1000|all']);
});

test('what is said of a zone overlays what is said of the piece', () => {
  const found = sightingsOf(
    piece({
      seen: [
        seen({ surface: 'gloss', signs: [{ sign: 'pit', severity: 1, wanted: false }] }),
        seen({
          zone: '1|333-667|0-1000|all',
          surface: 'matt',
          movementMm: 4,
          signs: [{ sign: 'pit', severity: 3, wanted: false }],
        }),
      ],
    }),
  );
  expect(found.map((one) => [one.surface, one.movementMm, one.signs[0]?.severity])).toEqual([
    ['gloss', null, 1],
    ['matt', 4, 3],
    ['gloss', null, 1],
  ]);
});

test('a piece nobody wrote up contributes nothing; a zone alone contributes itself', () => {
  expect(sightingsOf(piece({ seen: [] }))).toEqual([]);
  expect(sightingsOf(piece({ seen: [seen({ zone: '1|667-1000|0-1000|all' })] }))).toHaveLength(1);
});

test('two faces of one tile on the same ground are one sighting with the worse fault', () => {
  const found = sightingsOf(
    piece({
      faces: [
        { no: 1, kind: 'bare', slip: null },
        { no: 2, kind: 'bare', slip: null },
      ],
      layers: [layer('a', 0, 1)],
      seen: [
        seen(),
        seen({ zone: '2|0-1000|0-1000|all', signs: [{ sign: 'pit', severity: 2, wanted: false }] }),
      ],
    }),
  );
  expect(found).toHaveLength(1);
  expect(found[0]?.signs).toEqual([{ sign: 'pit', severity: 2, wanted: false }]);
});

test('looks follow one another: the latest says what it is, and what came later is told', () => {
  const crazing = { sign: 'crazing', severity: 2, wanted: false } as const;
  const [one] = sightingsOf(
    piece({
      layers: [layer('a', 0, 1)],
      seen: [
        seen({ seenAt: '2026-05-01T00:00:00.000Z', surface: 'gloss', signs: [crazing] }),
        seen({ surface: 'gloss', signs: [{ sign: 'pit', severity: 1, wanted: false }] }),
      ],
    }),
  );
  expect(one!.signs).toEqual([crazing]);
  expect(one!.changes).toEqual({ later: ['crazing'], gone: ['pit'], surfaceWas: null });
  expect(one!.seenAt).toBe('2026-05-01T00:00:00.000Z');
});

test('people who see one state differently are told, and the later words stand', () => {
  const [one] = sightingsOf(
    piece({
      layers: [layer('a', 0, 1)],
      seen: [seen({ surface: 'gloss' }), seen({ by: 'noor', surface: 'satin' })],
    }),
  );
  expect(one).toMatchObject({ surface: 'satin', split: ['surface'] });
  expect(one!.changes.surfaceWas).toBeNull();
});

test('a piece fired again is no evidence for its stack as once fired', () => {
  const [once] = sightingsOf(piece({ layers: [layer('a', 0, 1)] }));
  const [again] = sightingsOf(piece({ layers: [layer('a', 0, 1)], generation: 2 }));
  expect(again!.stackKey).toBe(once!.stackKey);
  expect(cellKey(again!)).not.toBe(cellKey(once!));
});

test('ware: inside and outside are cells of their own, a bare foot is no evidence', () => {
  const faces = facesOfForm('mug').map((face) => ({ ...face, slip: null }));
  const on = (slug: string, face: number | null) => dip(slug, { face });
  const mug = piece({ form: 'mug', faces, layers: [on('clear', 2), on('tarn', 1)] });
  expect(sightingsOf(mug).map(({ stackKey }) => stackKey)).toEqual([
    'tarn#1 dip×1',
    'clear#1 dip×1',
    // The rim was left: that is seen. The foot is always left.
    'bare',
  ]);
  const all = piece({ form: 'mug', faces, layers: [on('tarn', null)] });
  expect(sightingsOf(all).map(({ stackKey }) => stackKey)).toEqual(['tarn#1 dip×1']);
  const footed = piece({ form: 'mug', faces, layers: [on('tarn', 4)] });
  expect(sightingsOf(footed).map(({ stackKey }) => stackKey)).toEqual(['bare', 'tarn#1 dip×1']);
});

test('a plate’s inner half is a quarter of it, a tile’s lower half is half', () => {
  const layers = [layer('a', 0, 0.5), layer('b', 0.5, 1)];
  const areas = (form: string, faces: FiredPiece['faces']): number[] =>
    sightingsOf(piece({ form, faces, layers })).map(({ area }) => area);
  expect(areas('L tile', [{ no: 1, kind: 'bare', slip: null }])).toEqual([0.5, 0.5]);
  expect(areas('plate', [{ no: 1, kind: 'bare', slip: null }])).toEqual([0.25, 0.75]);
  // Its underside is not measured from the middle.
  const under = { no: 1, kind: 'bare' as const, slip: null, surface: 'outside' as const };
  expect(areas('plate', [under])).toEqual([0.5, 0.5]);
});

describe('two faces of one stack on one ground are one sighting', () => {
  const faces = [1, 2].map((no) => ({ no, kind: 'bare' as const, slip: null }));
  const front = '1|0-1000|0-1000|all';
  const back = '2|0-1000|0-1000|all';
  const of = (...looks: Seen[]) => {
    const found = sightingsOf(piece({ faces, layers: [layer('a', 0, 1)], seen: looks }));
    expect(found).toHaveLength(1);
    return found[0]!;
  };
  const pit = (severity: 1 | 2 | 3) => ({ sign: 'pit', severity, wanted: false });
  const blister = { sign: 'blister', severity: 1 as const, wanted: false };

  test('the first word of each, the longest run, the best liked, the last look, both faces’ share', () => {
    const one = of(
      seen({ zone: front, opacity: 'opaque', movementMm: 3, rating: 4, seenAt: '2026-04-01' }),
      seen({
        zone: back,
        surface: 'matt',
        opacity: 'transparent',
        colour: 'blue',
        met: 'blend',
        movementMm: 7,
        rating: 2,
        seenAt: '2026-03-01',
      }),
    );
    expect(one).toMatchObject({
      surface: 'matt',
      opacity: 'opaque',
      colour: 'blue',
      met: 'blend',
      movementMm: 7,
      rating: 4,
      seenAt: '2026-04-01',
      coatings: ['a'],
      area: 1,
    });
    const turned = of(
      seen({ zone: front, surface: 'satin', colour: 'red', met: 'separate', seenAt: '2026-03-01' }),
      seen({
        zone: back,
        surface: 'matt',
        colour: 'blue',
        met: 'blend',
        movementMm: 2,
        seenAt: '2026-05-01',
      }),
    );
    expect(turned).toMatchObject({
      surface: 'satin',
      colour: 'red',
      met: 'separate',
      movementMm: 2,
      seenAt: '2026-05-01',
    });
    expect(of(seen({ zone: front, movementMm: 6 }), seen({ zone: back })).movementMm).toBe(6);
    expect(of(seen({ zone: front }), seen({ zone: back })).movementMm).toBeNull();
  });

  test('the worse of a fault on both, in the order of their names', () => {
    const one = of(seen({ zone: front, signs: [pit(3), blister] }), seen({ zone: back, signs: [pit(1)] }));
    expect(one.signs).toEqual([blister, pit(3)]);
    const other = of(seen({ zone: front, signs: [pit(1)] }), seen({ zone: back, signs: [blister, pit(2)] }));
    expect(other.signs).toEqual([blister, pit(2)]);
  });

  test('what changed on either, once, by name; and who differs', () => {
    const at = (zone: string, seenAt: string, rest: Partial<Seen>) => seen({ zone, seenAt, ...rest });
    const one = of(
      at(front, '2026-01-01', { surface: 'gloss' }),
      at(front, '2026-03-01', { surface: 'gloss', signs: [pit(2), blister] }),
      at(back, '2026-01-01', { surface: 'gloss', signs: [{ ...blister, sign: 'crawling' }] }),
      at(back, '2026-03-01', { surface: 'matt', signs: [pit(2)] }),
      seen({
        zone: back,
        seenAt: '2026-03-01',
        by: 'noor',
        surface: 'satin',
        opacity: 'opaque',
        signs: [pit(2)],
      }),
      seen({
        zone: front,
        seenAt: '2026-03-01',
        by: 'noor',
        surface: 'satin',
        signs: [pit(2), blister],
      }),
    );
    expect(one.changes).toEqual({
      later: ['blister', 'pit'],
      gone: ['crawling'],
      surfaceWas: 'gloss',
    });
    expect(one.split).toEqual(['surface']);
  });
});

test('a cell is named by stack, ground, cone and air, and apart after a refire', () => {
  const cell = {
    stackKey: 's',
    groundKey: 'g',
    cone: '6',
    atmosphere: 'oxidation',
    generation: 1,
  };
  expect(cellKey(cell)).toBe('s @ g @ 6 @ oxidation');
  expect(cellKey({ ...cell, generation: 2 })).toBe('s @ g @ 6 @ oxidation @ after a refire');
});
