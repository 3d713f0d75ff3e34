/**
 * What a board says of its tiles. Common practice, no source: rows beneath, columns over, one dip below and
 * two above.
 */
import fc from 'fast-check';
import { coatsOf, namesOf, pasted, placeOf, tileOf, type Wallboard } from './index';

const BOARD: Wallboard = {
  rows: { are: 'coating', headings: ['Pitch', 'Gull'] },
  columns: { are: 'coating', headings: ['Tarn', 'Nettle?', 'none', ''] },
  beneath: 'rows',
  under: 1,
  top: { lower: 1, upper: 2 },
  line: 0.5,
  halves: null,
  body: 'Peat',
};
const of = (part: Partial<Wallboard>, row = 0, column = 0, own: string | null = null) =>
  tileOf({ ...BOARD, ...part }, row, column, own);
const short = (tile: ReturnType<typeof tileOf>) =>
  tile.coats.map(({ coating, coats, stretch }) => `${coating} ${coats} ${stretch.from}-${stretch.to}`);

test('rows lie beneath, columns over; the upper half has two coats of what is on top', () => {
  expect(of({})).toMatchObject({ body: 'Peat', doubted: false, lost: false });
  expect(short(of({}))).toEqual(['Pitch 1 0-1', 'Tarn 1 0-0.5', 'Tarn 2 0.5-1']);
  expect(short(of({ beneath: 'columns' }))).toEqual(['Tarn 1 0-1', 'Pitch 1 0-0.5', 'Pitch 2 0.5-1']);
  expect(short(of({ top: { lower: 1, upper: 1 }, under: 2 }))).toEqual(['Pitch 2 0-1', 'Tarn 1 0-1']);
  // Only the upper half was dipped into the second: below there is nothing of it.
  expect(short(of({ top: { lower: 0, upper: 1 }, line: 0.4 }))).toEqual(['Pitch 1 0-1', 'Tarn 1 0.4-1']);
});

test('a doubt stays a doubt, bare stays bare, and what has no heading is not known', () => {
  expect(of({}, 0, 1)).toMatchObject({ doubted: true, lost: false });
  expect(of({}, 0, 1).coats.at(-1)!.coating).toBe('Nettle');
  expect(short(of({}, 1, 2))).toEqual(['Gull 1 0-0.5', 'Gull 2 0.5-1']);
  expect(of({}, 0, 3)).toMatchObject({ lost: true, coats: [] });
  expect(of({}, 0, 0, '?')).toMatchObject({ lost: true });
});

test('words on a tile go before its headings, with the coats they name', () => {
  expect(short(of({}, 0, 0, 'Gull over Tarn x2'))).toEqual(['Tarn 2 0-1', 'Gull 1 0-0.5', 'Gull 2 0.5-1']);
  expect(short(of({}, 0, 0, 'Gull x3'))).toEqual(['Gull 3 0-1']);
  expect(of({}, 0, 0, 'none')).toMatchObject({ coats: [], lost: false });
});

test('headings may name bodies, or how many coats; or there are none and every tile is written on', () => {
  const bodies: Partial<Wallboard> = {
    columns: { are: 'body', headings: ['Saltbox', ''] },
    top: { lower: 1, upper: 1 },
  };
  expect(of(bodies)).toMatchObject({ body: 'Saltbox' });
  expect(of(bodies, 0, 1)).toMatchObject({ body: 'Peat' });
  expect(short(of(bodies))).toEqual(['Pitch 1 0-1']);
  const coats: Partial<Wallboard> = {
    columns: { are: 'coats', headings: ['1', '2 dips', 'three'] },
  };
  expect([0, 1, 2].map((column) => short(of(coats, 0, column)))).toEqual([
    ['Pitch 1 0-1'],
    ['Pitch 2 0-1'],
    ['Pitch 3 0-1'],
  ]);
  const blank: Partial<Wallboard> = {
    rows: { are: 'nothing', headings: [] },
    columns: { are: 'nothing', headings: [] },
  };
  expect(of(blank).lost).toBe(true);
  expect(short(of({ ...blank, top: { lower: 1, upper: 1 } }, 0, 0, 'Tarn over Pitch'))).toEqual([
    'Pitch 1 0-1',
    'Tarn 1 0-1',
  ]);
});

test('no coat lies outside its tile, none has no coats, and both halves have what is on top', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 4 }),
      fc.integer({ min: 1, max: 4 }),
      fc.double({ min: 0.05, max: 0.95, noNaN: true }),
      (lower, upper, line) => {
        const { coats } = of({ top: { lower, upper }, line });
        for (const { coats: n, stretch } of coats) {
          expect(n).toBeGreaterThan(0);
          expect(stretch.from).toBeLessThan(stretch.to);
        }
        const tops = coats.filter(({ coating }) => coating === 'Tarn');
        const covered = tops.reduce((sum, { stretch }) => sum + stretch.to - stretch.from, 0);
        expect(covered).toBeCloseTo(lower === 0 ? 1 - line : 1, 9);
      },
    ),
  );
});

test('pasted headings, coats in words, places, and names each once', () => {
  expect(pasted('Pitch\nTarn\n\n Gull ')).toEqual(['Pitch', 'Tarn', 'Gull']);
  expect(pasted('Pitch, Tarn; Gull')).toEqual(['Pitch', 'Tarn', 'Gull']);
  expect(pasted('Pitch\tSea, deep')).toEqual(['Pitch', 'Sea, deep']);
  expect(['2', '3 dips', 'Two', '9', 'Tarn', ''].map(coatsOf)).toEqual([2, 3, 2, null, null, null]);
  expect([placeOf(0, 0), placeOf(2, 11), placeOf(25, 0), placeOf(26, 1)]).toEqual(['A1', 'C12', 'Z1', 'AA2']);
  expect(namesOf([of({}), of({}, 1), of({}, 0, 0, 'tarn'), of({}, 0, 0, 'PITCH.')])).toEqual({
    coatings: ['Pitch', 'Tarn', 'Gull'],
    bodies: ['Peat'],
  });
});
