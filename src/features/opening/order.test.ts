import { inOrder } from './order';
import type { RoomPiece } from './room';

const pieces = ['a', 'b', 'c', 'd'].map((id) => ({ id })) as RoomPiece[];
const laid = (pictures: string[], from: string | null = null, pictured: string[] = []) =>
  inOrder(pictures, pieces, from, new Set(pictured)).map(({ picture, piece }) => `${picture}${piece.id}`);

test('one for each piece in the order of the plan, from where it is said', () => {
  expect(laid(['1', '2'])).toEqual(['1a', '2b']);
  expect(laid(['1', '2', '3'], 'c')).toEqual(['1c', '2d']);
  expect(laid(['1'], 'nobody')).toEqual(['1a']);
});

test('a piece that has a picture is passed over; what is too many stays', () => {
  expect(laid(['1', '2', '3', '4'], null, ['b'])).toEqual(['1a', '2c', '3d']);
  expect(laid([], null)).toEqual([]);
  expect(laid(['1'], null, ['a', 'b', 'c', 'd'])).toEqual([]);
});
