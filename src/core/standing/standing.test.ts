import fc from 'fast-check';
import { EVERYWHERE } from '../zones';
import type { Layer } from '../zones';
import { sightingsOf, summarise } from './index';
import type { FiredPiece, Seen, Sighting } from './index';

const seen = (rest: Partial<Seen> = {}): Seen => ({
  zone: null,
  seenAt: '2026-03-01',
  surface: null,
  opacity: null,
  colour: null,
  movementMm: null,
  met: null,
  rating: null,
  signs: [],
  ...rest,
});

const layer = (slug: string, from: number, to: number): Layer => ({
  coat: { slug, version: 1, kind: 'glaze' },
  method: 'dip',
  coats: 1,
  weight: 'normal',
  thicknessMm: null,
  seconds: null,
  stage: 'bisque',
  driedBefore: null,
  generation: 1,
  region: { ...EVERYWHERE, stretch: { from, to } },
});

const piece = (rest: Partial<FiredPiece> = {}): FiredPiece => ({
  pieceId: 'p1',
  firingId: 'f1',
  generation: 1,
  body: 'peat',
  faces: [{ no: 1, kind: 'bare', slip: null }],
  layers: [layer('a', 0, 2 / 3), layer('b', 1 / 3, 1)],
  cone: '6',
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

const sighting = (pieceId: string, firingId: string, rest: Partial<Sighting> = {}): Sighting => ({
  ...(sightingsOf(piece({ layers: [layer('a', 0, 1)], seen: [seen()] }))[0] as Sighting),
  pieceId,
  firingId,
  ...rest,
});

test('standing counts pieces and firings', () => {
  expect(summarise([]).standing).toBe('untried');
  expect(summarise([sighting('p1', 'f1')]).standing).toBe('once');
  expect(summarise([sighting('p1', 'f1'), sighting('p1', 'f2')]).standing).toBe('once');
  expect(
    summarise([sighting('p1', 'f1'), sighting('p2', 'f1'), sighting('p3', 'f1')]).standing,
  ).toBe('repeated');
  expect(
    summarise([sighting('p1', 'f1'), sighting('p2', 'f1'), sighting('p3', 'f2')]).standing,
  ).toBe('settled');
});

test('a different surface contradicts, and the circumstances that part the pieces are named', () => {
  const at = (firing: string, seconds: string) => ({ firing, seconds, form: 'L tile' });
  const summary = summarise([
    sighting('p1', 'f1', { surface: 'gloss', variables: at('f1', '3') }),
    sighting('p2', 'f1', { surface: 'gloss', variables: at('f1', '4') }),
    sighting('p3', 'f1', { surface: 'matt', variables: at('f1', '9') }),
  ]);
  expect(summary.standing).toBe('contradictory');
  const [contradiction] = summary.contradictions;
  expect(contradiction?.about).toBe('surface');
  expect(contradiction?.differIn).toEqual([
    { variable: 'seconds', wholly: true, values: [['3', '4'], ['9']] },
  ]);
});

test('a marked fault on one piece only contradicts; a slight or a wanted one does not', () => {
  const pit = (severity: 1 | 2 | 3, wanted: boolean) => ({
    signs: [{ sign: 'pit', severity, wanted }],
  });
  expect(summarise([sighting('p1', 'f1', pit(2, false)), sighting('p2', 'f1')]).standing).toBe(
    'contradictory',
  );
  expect(summarise([sighting('p1', 'f1', pit(1, false)), sighting('p2', 'f1')]).standing).toBe(
    'repeated',
  );
  expect(summarise([sighting('p1', 'f1', pit(3, true)), sighting('p2', 'f1')]).standing).toBe(
    'repeated',
  );
  expect(
    summarise([sighting('p1', 'f1', pit(2, false)), sighting('p2', 'f1', pit(1, false))]).standing,
  ).toBe('repeated');
});

test('the summary does not depend on the order of the sightings', () => {
  const arbitrary = fc.array(
    fc.record({
      p: fc.integer({ min: 1, max: 4 }),
      f: fc.integer({ min: 1, max: 3 }),
      surface: fc.constantFrom('gloss' as const, 'matt' as const, null),
      mm: fc.option(fc.integer({ min: 0, max: 20 })),
      day: fc.integer({ min: 10, max: 28 }),
    }),
    { maxLength: 8 },
  );
  fc.assert(
    fc.property(
      arbitrary,
      fc.infiniteStream(fc.double({ min: 0, max: 1, noNaN: true })),
      (rows, random) => {
        const unique = new Map(rows.map((row) => [`${row.p}/${row.f}`, row]));
        const sightings = [...unique.values()].map((row) =>
          sighting(`p${row.p}`, `f${row.f}`, {
            surface: row.surface,
            movementMm: row.mm,
            seenAt: `2026-03-${row.day}`,
          }),
        );
        const shuffled = sightings
          .map((one) => ({ one, key: random.next().value as number }))
          .sort((a, b) => a.key - b.key)
          .map(({ one }) => one);
        expect(summarise(shuffled)).toEqual(summarise(sightings));
      },
    ),
  );
});
