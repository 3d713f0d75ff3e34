import type { Shape } from '@/core/frame';
import { framesOfPieces, given, inOrder, type OnShelf } from './on-shelf';

const shape = (n: number): Shape => ({
  kind: 'ellipse',
  centre: { x: n / 10, y: 0.5 },
  across: 0.02,
  along: 0.02,
  turn: 0,
});
const piece = (id: string, faces = [1]): OnShelf => ({ id, code: id, shelf: 1, faces });
const whose = (list: ReturnType<typeof inOrder>) =>
  list.map(({ of }) => (of === null ? null : `${of.pieceId}${of.face}`));

test('faces go to pieces in the order of the plan, two to one that has two; what is left over is nobody’s', () => {
  const list = inOrder([1, 2, 3, 4].map(shape), [piece('a', [1, 2]), piece('b')]);
  expect(whose(list)).toEqual(['a1', 'a2', 'b1', null]);
  expect(whose(inOrder([shape(1)], [piece('a'), piece('b')]))).toEqual(['a1']);
});

test('said to be another’s, the two change places; said to be nobody’s, the rest stays', () => {
  const list = inOrder([1, 2, 3].map(shape), [piece('a'), piece('b'), piece('c')]);
  expect(whose(given(list, 0, { pieceId: 'c', face: 1 }))).toEqual(['c1', 'b1', 'a1']);
  expect(whose(given(list, 1, null))).toEqual(['a1', null, 'c1']);
  expect(whose(given(list, 0, { pieceId: 'new', face: 1 }))).toEqual(['new1', 'b1', 'c1']);
});

test('what is kept are pieces with their frames, in whatever order they were found', () => {
  const list = given(inOrder([1, 2, 3].map(shape), [piece('a', [1, 2]), piece('b')]), 0, {
    pieceId: 'a',
    face: 2,
  });
  expect(
    framesOfPieces(list).map(({ pieceId, frames }) => [
      pieceId,
      frames.map(({ face, shape: at }) => [face, at]),
    ]),
  ).toEqual([
    [
      'a',
      [
        [2, shape(1)],
        [1, shape(2)],
      ],
    ],
    ['b', [[1, shape(3)]]],
  ]);
  expect(framesOfPieces(inOrder([shape(1)], []))).toEqual([]);
});
