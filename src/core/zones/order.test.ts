import { dip } from '../../../test-support/layers';
import { zonesOfFace, type Face } from './index';

const bare: Face = { no: 1, kind: 'bare', slip: null };
const read = (face: Face, layers: Parameters<typeof zonesOfFace>[1]) =>
  zonesOfFace(face, layers).map(({ stretch, sector, relief, stack }) => [
    `${stretch.from}-${stretch.to}`,
    `${sector.from}-${sector.to}`,
    relief,
    stack.map(({ coat }) => coat.slug).join('+'),
  ]);

test('zones come from foot to rim, and round the piece where they begin alike', () => {
  const half = { sector: { from: 0, to: 0.5 }, stretch: { from: 0.5, to: 1 } };
  expect(read(bare, [dip('a'), dip('b', half)])).toEqual([
    ['0-0.5', '0-0.5', 'all', 'a'],
    ['0-1', '0.5-1', 'all', 'a'],
    ['0.5-1', '0-0.5', 'all', 'a+b'],
  ]);
});

test('what is alike all round is one zone, however the coats above it are cut', () => {
  const upper = { stretch: { from: 0.5, to: 1 } };
  const quarter = { ...upper, sector: { from: 0.25, to: 0.5 } };
  expect(read(bare, [dip('a'), dip('b', upper), dip('c', quarter)])).toEqual([
    ['0-0.5', '0-1', 'all', 'a'],
    ['0.5-1', '0.25-0.5', 'all', 'a+b+c'],
    // Past the front it goes on: one zone, not two.
    ['0.5-1', '0.5-0.25', 'all', 'a+b'],
  ]);
});

test('hollows coated on a face not said to be textured give it hollows and raised parts', () => {
  for (const relief of ['hollows', 'raised'] as const) {
    const other = relief === 'hollows' ? 'raised' : 'hollows';
    const found = read(bare, [dip('a'), dip('b', { relief })]);
    expect(found).toHaveLength(2);
    expect(found).toEqual(
      expect.arrayContaining([
        ['0-1', '0-1', relief, 'a+b'],
        ['0-1', '0-1', other, 'a'],
      ]),
    );
  }
  expect(read({ ...bare, kind: 'textured' }, [dip('a')])).toEqual([['0-1', '0-1', 'all', 'a']]);
});

test('a motif is a part of its own beside the rest', () => {
  expect(read(bare, [dip('a'), dip('b', { relief: 'motif:leaf' })])).toEqual([
    ['0-1', '0-1', 'flat', 'a'],
    ['0-1', '0-1', 'motif:leaf', 'a+b'],
  ]);
});

test('coats of another face are passed over, coats of all faces are not', () => {
  const layers = [dip('a', { face: 1 }), dip('b', { face: 2 }), dip('c', { face: null })];
  expect(read(bare, layers)).toEqual([['0-1', '0-1', 'all', 'a+c']]);
  expect(read({ ...bare, no: 2 }, layers)).toEqual([['0-1', '0-1', 'all', 'b+c']]);
});
