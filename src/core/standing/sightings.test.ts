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
